using System.Net;
using Shouldly;
using Xunit;
using YellowPencil.Data;
using YellowPencil.Tests.Shared;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Tests;

/// <summary>Nothing is made twice, and nothing that cannot be kept comes in.</summary>
public sealed class OnceTests(PencilApp app) : PageTests(app), IClassFixture<PencilApp>
{
    [Fact]
    public async Task A_form_that_is_sent_twice_leads_to_the_same_and_makes_nothing_a_second_time()
    {
        var (visitor, code, page) = await PageAsync();
        using var _ = visitor;
        await visitor.PostAgainAsync();
        (await CountAsync($"select count(*) from pages p join students s on s.id = p.student_id where s.code = '{code}'")).ShouldBe(1);

        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Note", ("rules", Turns), ("text", "said it aloud"));
        await visitor.PostAgainAsync();
        (await CountAsync($"select count(*) from decisions where page_id = '{page}'")).ShouldBe(1);

        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var plan = visitor.Address;
        (await visitor.PostAgainAsync()).RequestMessage!.RequestUri!.AbsolutePath.ShouldBe(plan);
        (await CountAsync($"select count(*) from plans where page_id = '{page}'")).ShouldBe(1);

        // Another tab that still shows the button leads to the same plan.
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        visitor.Address.ShouldBe(plan);
        (await CountAsync($"select count(*) from decisions where page_id = '{page}' and kind = 'Accepted'")).ShouldBe(1);
    }

    [Fact]
    public async Task A_double_click_makes_one_page_also_when_both_requests_run_at_once()
    {
        var (visitor, code, _) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/students/{code}/pages/new");
        await visitor.PrepareAsync($"/students/{code}/pages/new", ("items", "81 - 27"), ("title", "at once"));
        var made = await Task.WhenAll(Enumerable.Range(0, 4).Select(_ => visitor.PostAgainAsync()));
        made.Select(m => m.RequestMessage!.RequestUri!.AbsolutePath).Distinct().Count().ShouldBe(1);
        (await CountAsync("select count(*) from pages where title = 'at once'")).ShouldBe(1);
    }

    [Fact]
    public async Task A_form_that_came_back_with_a_message_keeps_nothing_and_can_be_sent_again()
    {
        var (visitor, code, _) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/students/{code}/pages/new");
        await visitor.PostAsync($"/students/{code}/pages/new", ("items", "nothing"), ("title", "mended"));
        var key = visitor.SentKey;
        (await CountAsync($"select count(*) from sent_forms where id = '{key}'")).ShouldBe(0);
        await visitor.PostAsync($"/students/{code}/pages/new", ("items", "52 - 38"), ("title", "mended"), ("once", key));
        visitor.Address.ShouldStartWith("/pages/");
    }

    [Fact]
    public async Task Items_asked_while_somebody_types_lose_nothing()
    {
        var (visitor, _, page) = await PageAsync("604 - 278 = 426\n703 - 245 = 558\n805 - 347 = 558\n902 - 456 = 546\n586 - 243 = 343\n52 - 38 = 14");
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        var typing = Enumerable.Range(1, 8).Select(i => visitor.PutAsync($"/api/pages/{page}/items", new object[] { new { id = "6", version = i, answer = $"{i}" } }));
        var asking = visitor.PostAsync($"/pages/{page}/reading?handler=Ask");
        var saved = 0;
        foreach (var put in typing.ToList()) if ((await (await put).Content.ReadAsStringAsync()).Contains("\"versions\":{\"6\"")) saved++;
        await asking;
        var sheet = PageDesk.StoredSheet(new StudentPage { Content = (string)(await App.SqlAsync($"select content::text from pages where id = '{page}'"))! });
        sheet.Items.Count.ShouldBeGreaterThan(6);
        ((int)(await App.SqlAsync($"select (item_versions->>'6')::int from pages where id = '{page}'"))!).ShouldBe(saved + 1);
    }

    [Fact]
    public async Task A_form_without_a_key_is_done_in_whole_or_not_at_all()
    {
        var (visitor, code, page) = await PageAsync();
        using var _ = visitor;
        var of = $"(select id from students where code = '{code}')";
        await App.SqlAsync($"create function refuse() returns trigger language plpgsql as 'begin raise exception ''the disk is full''; end'; create trigger refuse before update on pages for each row when (new.id = '{page}') execute function refuse()");
        try
        {
            await visitor.GetAsync($"/students/{code}/edit");
            await visitor.PostAsync($"/students/{code}/edit?handler=ThrowAway", ("once", ""));
            visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.InternalServerError);
            (await CountAsync($"select count(*) from students where id = {of} and removal_id is not null")).ShouldBe(0);
            (await CountAsync("select count(*) from removals where code = '" + code + "'")).ShouldBe(0);
        }
        finally
        {
            await App.SqlAsync("drop function refuse() cascade");
        }

        await visitor.PostAsync($"/students/{code}/edit?handler=ThrowAway", ("once", ""));
        (await CountAsync($"select count(*) from pages where id = '{page}' and removal_id is not null")).ShouldBe(1);
    }

    [Fact]
    public async Task A_NUL_in_an_address_or_a_form_gets_a_page_and_not_a_fault()
    {
        using var visitor = await new Visitor(App).SignInAsync();
        await visitor.GetAsync("/add-student");
        (await visitor.PostAsync("/add-student", ("code", "K\0"), ("callName", ""), ("word", "Borrow"))).QuerySelector("h1")!.TextContent.ShouldBe("This form was not taken in");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        await visitor.GetAsync("/sign-in?returnUrl=%00");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }
}
