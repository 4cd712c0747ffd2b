using System.Net;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Xunit;
using YellowPencil.Data;
using YellowPencil.Tests.Shared;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Tests;

/// <summary>Pages and files are changed, thrown away and taken back.</summary>
public sealed class KeepingTests(PencilApp app) : PageTests(app), IClassFixture<PencilApp>
{
    [Fact]
    public async Task A_page_is_edited_after_it_was_begun_and_its_answers_stay()
    {
        var (visitor, _, page) = await PageAsync();
        using var __ = visitor;
        var edit = await visitor.GetAsync($"/pages/{page}/edit");
        edit.QuerySelector("#item-1")!.GetAttribute("value").ShouldBe("604 - 278");
        var bad = await visitor.PostAsync($"/pages/{page}/edit", ("task.1", "6O4 - 278"), ("task.2", "52 - 38"), ("task.3", "81 - 27"), ("title", "Knots"), ("writtenOn", "2026-03-09"), ("more", ""));
        bad.QuerySelector(".fault")!.TextContent.ShouldContain("Item 1, “6O4 - 278”");
        await visitor.PostAsync($"/pages/{page}/edit", ("task.1", "640 - 278"), ("task.2", ""), ("task.3", "81 - 27"), ("title", "Knots"), ("writtenOn", "2026-03-09"), ("more", "93 - 46\n75 - 28 = 53"));
        var sheet = PageDesk.StoredSheet(new StudentPage { Content = (string)(await App.SqlAsync($"select content::text from pages where id = '{page}'"))! });
        sheet.Items.Select(i => (i.Id, i.Task.Text, i.Answer)).ShouldBe([("1", "640 - 278", "474"), ("3", "81 - 27", "66"), ("4", "93 - 46", null), ("5", "75 - 28", "53")]);
        (sheet.Sheet, sheet.Date).ShouldBe(("Knots", new DateOnly(2026, 3, 9)));

        // A tab that still shows the old item 1 does not overwrite it unseen.
        using var answer = System.Text.Json.JsonDocument.Parse(await (await visitor.PutAsync($"/api/pages/{page}/items", new object[] { new { id = "1", version = 1, answer = "1" } })).Content.ReadAsStringAsync());
        answer.RootElement.GetProperty("conflicts").GetArrayLength().ShouldBe(1);
    }

    [Fact]
    public async Task Pages_are_read_ahead_but_for_those_being_typed_thrown_away_or_broken()
    {
        await new Visitor(App).SignInAsync();
        var ahead = App.Services.GetRequiredService<ReadingAhead>();
        var before = await ahead.ReadAsync(CancellationToken.None);
        before.ShouldBe((int)(long)(await App.SqlAsync("select count(*) from pages where state <> 'Typing' and removal_id is null"))!);
        before.ShouldBeGreaterThan(20);
        const string Newest = "(select id from pages where state <> 'Typing' and removal_id is null order by changed_at desc limit 1)";
        var kept = (string)(await App.SqlAsync($"update pages set content = '{{}}' where id = {Newest} returning id::text"))!;
        (await ahead.ReadAsync(CancellationToken.None)).ShouldBe(before - 1);
        await App.SqlAsync($"update pages set state = 'Typing' where id = '{kept}'");
        (await ahead.ReadAsync(CancellationToken.None)).ShouldBe(before - 1);
        using var ended = new CancellationTokenSource();
        await ended.CancelAsync();
        await Should.ThrowAsync<OperationCanceledException>(() => ahead.ReadAsync(ended.Token));
    }

    [Fact]
    public async Task A_code_is_compared_without_case_and_collides_with_no_address()
    {
        using var visitor = await new Visitor(App).SignInAsync();
        await visitor.GetAsync("/add-student");
        (await visitor.PostAsync("/add-student", ("code", "k-01"), ("callName", ""), ("word", "Borrow"))).QuerySelector(".fault")!.TextContent.ShouldContain("already a student with the code K-01");
        (await visitor.GetAsync("/students/k-01")).QuerySelector("h1")!.TextContent.ShouldStartWith("K-01");
        foreach (var code in new[] { "new", "edit", "pages" })
        {
            await visitor.GetAsync("/add-student");
            (await visitor.PostAsync("/add-student", ("code", code), ("callName", ""), ("word", "Borrow"))).QuerySelector("h1")!.TextContent.Trim().ShouldBe(code);
            (await visitor.GetAsync($"/students/{code}/pages/new")).QuerySelector("h1")!.TextContent.ShouldBe("Begin a page");
        }
    }

    [Fact]
    public async Task A_file_is_edited_and_its_pages_go_under_the_new_code()
    {
        var (visitor, code, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/students/{code}/edit");
        (await visitor.PostAsync($"/students/{code}/edit", ("code", "K-01"), ("callName", "Pim"), ("word", "Rename"))).QuerySelector(".fault")!.TextContent.ShouldContain("already a student");
        var file = await visitor.PostAsync($"/students/{code}/edit", ("code", code + "b"), ("callName", "Pip"), ("word", "Rename"));
        visitor.Address.ShouldBe($"/students/{code}b");
        file.QuerySelector("h1")!.TextContent.ShouldContain("Pip");
        ((string)(await App.SqlAsync($"select content->>'student' from pages where id = '{page}'"))!).ShouldBe(code + "b");
    }

    [Theory]
    [InlineData("page")]
    [InlineData("plan")]
    [InlineData("student")]
    public async Task What_is_thrown_away_is_gone_can_be_taken_back_for_ten_minutes_and_is_then_erased(string what)
    {
        var (visitor, code, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Name", ("rules", Turns), ("text", $"the way of {code}"));
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var plan = visitor.Address;
        var (form, shows) = what switch { "page" => ($"/pages/{page}/edit", $"/pages/{page}"), "plan" => (plan, plan), _ => ($"/students/{code}/edit", $"/students/{code}") };

        await visitor.GetAsync(form);
        var after = await visitor.PostAsync($"{form}?handler=ThrowAway");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK, after.Body!.TextContent);
        var id = after.QuerySelector("main form input[name=id]")!.GetAttribute("value")!;
        await visitor.GetAsync(shows);
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        await visitor.GetAsync("/thrown-away");
        var log = await visitor.PostAsync("/thrown-away", ("id", id));
        log.QuerySelector("tbody")!.TextContent.ShouldContain("taken back");
        await visitor.GetAsync(shows);
        visitor.Last.StatusCode.ShouldBe(HttpStatusCode.OK);
        (await visitor.GetAsync(plan)).QuerySelector("article").ShouldNotBeNull();

        await visitor.GetAsync(form);
        await visitor.PostAsync($"{form}?handler=ThrowAway");
        await App.SqlAsync($"update removals set at = at - interval '11 minutes' where undone_at is null and code = '{code}'");
        await using (var scope = App.Services.CreateAsyncScope()) await scope.ServiceProvider.GetRequiredService<Removals>().EraseAsync();
        (await CountAsync($"select count(*) from {what}s x join removals r on r.id = x.removal_id where r.code = '{code}'")).ShouldBe(0);
        log = await visitor.GetAsync("/thrown-away");
        if (what != "student")
        {
            log.QuerySelectorAll("tbody tr").ShouldContain(r => r.TextContent.Contains(code) && r.TextContent.Contains("erased"));
            return;
        }

        // Of an erased file the log keeps that there was one; nothing in the database has its code or a name that was given on it.
        log.QuerySelectorAll("tbody tr").ShouldContain(r => r.TextContent.Contains("a file") && r.TextContent.Contains("erased"));
        (await CountAsync($"select count(*) from pages where id = '{page}'")).ShouldBe(0);
        foreach (var table in new[] { "students", "pages", "readings", "decisions", "plans", "looks", "sent_forms", "removals", "rule_names" })
            (await CountAsync($"select count(*) from {table} t where t::text like '%{code}%'")).ShouldBe(0, table);
    }

    [Fact]
    public async Task A_change_made_on_an_old_page_takes_off_nothing_that_came_since()
    {
        var (visitor, _, page) = await PageAsync("604 - 278 = 426\n703 - 245 = 558\n805 - 347 = 558\n902 - 456 = 546\n586 - 243 = 343");
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Ask");
        await visitor.GetAsync($"/pages/{page}/edit");
        await visitor.PostAsync($"/pages/{page}/edit", ("task.1", "604 - 278"), ("task.2", "703 - 245"), ("task.3", "805 - 347"), ("task.4", ""), ("task.5", "586 - 243"), ("title", ""), ("more", ""));
        var ids = PageDesk.StoredSheet(new StudentPage { Content = (string)(await App.SqlAsync($"select content::text from pages where id = '{page}'"))! }).Items.Select(i => i.Id).ToList();
        ids.ShouldNotContain("4");
        ids.ShouldContain("6");
    }
}
