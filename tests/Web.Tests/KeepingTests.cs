using System.Net;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Xunit;
using YellowPencil.Data;
using YellowPencil.Tests.Shared;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Tests;

/// <summary>Nothing is made twice, nothing is lost, and what is thrown away can be taken back.</summary>
public sealed class KeepingTests(PencilApp app) : IClassFixture<PencilApp>
{
    private const string Turns = "subtraction.turns-column-round";

    private async Task<(Visitor Visitor, string Code, string Page)> PageAsync(string items = "604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66")
    {
        var visitor = await new Visitor(app).SignInAsync();
        var code = "T-" + Guid.NewGuid().ToString("N")[..8];
        await visitor.GetAsync("/add-student");
        await visitor.PostAsync("/add-student", ("code", code), ("callName", "Pim"), ("word", "Borrow"));
        await visitor.GetAsync($"/students/{code}/pages/new");
        await visitor.PostAsync($"/students/{code}/pages/new", ("items", items), ("title", "Ropes"));
        visitor.Address.ShouldStartWith("/pages/");
        return (visitor, code, visitor.Address["/pages/".Length..]);
    }

    private async Task<long> CountAsync(string sql) => (long)(await app.SqlAsync(sql))!;

    private static async Task<string[]> PilesOfAsync(Visitor visitor, string code) =>
        [.. (await visitor.GetAsync("/")).QuerySelectorAll(".pile").SelectMany(p => p.QuerySelectorAll("li").Where(li => li.TextContent.Contains(code)).Select(_ => p.QuerySelector("h2")!.TextContent.Split(' ')[1]))];

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
    public async Task After_accepting_the_reading_shows_the_plan_and_no_second_accept()
    {
        var (visitor, _, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var plan = visitor.Address;
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelector(".nextstep a.next")!.GetAttribute("href").ShouldBe(plan);
        reading.QuerySelectorAll("form[action*=Accept]").ShouldBeEmpty();
        reading.QuerySelectorAll(".next").Length.ShouldBe(1);
    }

    [Fact]
    public async Task Accepting_that_there_is_no_bug_accepts_just_that()
    {
        var (visitor, code, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading?rules=sound");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", ""));
        visitor.Address.ShouldBe($"/pages/{page}/reading");
        ((string)(await app.SqlAsync($"select rules from decisions where page_id = '{page}'"))!).ShouldBeEmpty();
        (await CountAsync($"select count(*) from plans where page_id = '{page}'")).ShouldBe(0);
        (await PilesOfAsync(visitor, code)).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_fault_keeps_the_explanation_that_was_chosen()
    {
        var (visitor, _, page) = await PageAsync("604 - 278 = 426\n703 - 245 = 558\n805 - 347 = 558\n902 - 456 = 546\n586 - 243 = 343");
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        var back = await visitor.PostAsync($"/pages/{page}/reading?handler=Name", ("rules", "subtraction.zero-becomes-nine-alone"), ("text", " "));
        back.QuerySelector(".fault")!.TextContent.ShouldBe("Write the name first.");
        back.QuerySelector(".decide h2")!.TextContent.ShouldContain("Zero becomes nine, nobody lends");
        back.QuerySelector(".sentence:has(span.ink)")!.TextContent.ShouldContain("Turns the zero next door into 9");
    }

    [Fact]
    public async Task Rejecting_one_of_several_says_which_and_leaves_the_page_waiting()
    {
        var (visitor, code, page) = await PageAsync("604 - 278 = 426\n703 - 245 = 558\n805 - 347 = 558\n902 - 456 = 546\n586 - 243 = 343");
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        var after = await visitor.PostAsync($"/pages/{page}/reading?handler=Reject", ("rules", "subtraction.zero-becomes-nine-alone"));
        after.QuerySelector(".note.key")!.TextContent.ShouldContain("Rejected by Demo specialist");
        after.QuerySelector(".note.key")!.TextContent.ShouldContain("“Zero becomes nine, nobody lends”");
        (await PilesOfAsync(visitor, code)).ShouldBe(["decide"]);
    }

    [Fact]
    public async Task Every_page_that_is_not_finished_lies_in_exactly_one_pile_until_its_plan_is_printed()
    {
        var (visitor, code, page) = await PageAsync("604 - 278\n52 - 38\n81 - 27");
        using var __ = visitor;
        (await PilesOfAsync(visitor, code)).ShouldBe(["type"]);
        await visitor.GetAsync($"/pages/{page}");
        await visitor.PutAsync($"/api/pages/{page}/items", new object[] { new { id = "1", version = 1, answer = "474" }, new { id = "2", version = 1, answer = "26" }, new { id = "3", version = 1, answer = "66" } });
        await visitor.PostAsync($"/pages/{page}", ("marksComplete", "false"));
        (await PilesOfAsync(visitor, code)).ShouldBe(["decide"]);
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var plan = visitor.Address;
        (await PilesOfAsync(visitor, code)).ShouldBe(["print"]);
        (await visitor.GetAsync("/")).QuerySelectorAll(".pile li").Single(li => li.TextContent.Contains(code)).TextContent.ShouldContain("3 items");
        await visitor.GetAsync(plan);
        (await visitor.PostAsync(plan, ("printed", "true"))).QuerySelector("main")!.TextContent.ShouldContain("Not printed: put it back on the desk");
        (await PilesOfAsync(visitor, code)).ShouldBeEmpty();
        await visitor.PostAsync(plan, ("printed", "false"));
        (await PilesOfAsync(visitor, code)).ShouldBe(["print"]);
    }

    [Fact]
    public async Task After_answers_were_corrected_reading_desk_plan_and_file_say_so_and_no_decision_disappears()
    {
        var (visitor, code, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var plan = visitor.Address;
        await visitor.GetAsync($"/pages/{page}");
        await visitor.PutAsync($"/api/pages/{page}/items", new object[] { new { id = "1", version = 1, answer = "326" }, new { id = "2", version = 1, answer = "14" }, new { id = "3", version = 1, answer = "54" } });

        (await visitor.GetAsync("/")).QuerySelectorAll(".pile li").Single(li => li.TextContent.Contains(code)).TextContent.ShouldContain("changed since it was read");
        (await visitor.GetAsync(plan)).QuerySelector(".fault")!.TextContent.ShouldContain("The page was changed after this plan was made.");
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelector(".fault")!.TextContent.ShouldContain("changed after it was decided on");
        reading.QuerySelectorAll(".note.key").ShouldContain(n => n.TextContent.Contains("Accepted by Demo specialist") && n.TextContent.Contains("“Turns the column round”") && n.TextContent.Contains("before the page was changed"));
        (await PilesOfAsync(visitor, code)).ShouldBe(["decide"]);
        (await visitor.GetAsync($"/students/{code}")).QuerySelector("tbody")!.TextContent.ShouldContain("before the page was changed");
    }

    [Fact]
    public async Task The_specialists_own_name_for_a_rule_is_used_everywhere()
    {
        var (visitor, code, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        try
        {
            (await visitor.PostAsync($"/pages/{page}/reading?handler=Name", ("rules", Turns), ("text", "the turner"))).QuerySelector("h1")!.TextContent.ShouldStartWith("“the turner”: Pim turns");
            await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
            var plan = visitor.Address;
            (await visitor.GetAsync(plan)).QuerySelector("article")!.TextContent.ShouldContain("“the turner”:");
            (await visitor.GetAsync($"/students/{code}")).QuerySelector("tbody")!.TextContent.ShouldContain("Plan: the turner");
            (await visitor.GetAsync("/")).QuerySelectorAll("table.ledger tr").Single(r => r.TextContent.Contains(code)).TextContent.ShouldContain("the turner");
            (await visitor.GetAsync($"/pages/{page}/items/1")).QuerySelector("main")!.TextContent.ShouldContain("Played by: the turner");

            // Also on the page of another student.
            var (other, _, otherPage) = await PageAsync();
            using var ___ = other;
            (await other.GetAsync($"/pages/{otherPage}/reading")).QuerySelector("h1")!.TextContent.ShouldStartWith("“the turner”");
        }
        finally
        {
            await app.SqlAsync("delete from rule_names");
        }
    }

    [Fact]
    public async Task A_name_and_a_note_are_two_fields_and_neither_accepts()
    {
        var (visitor, _, page) = await PageAsync();
        using var __ = visitor;
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelector("#note")!.Closest("form")!.GetAttribute("action").ShouldEndWith("handler=Note");
        reading.QuerySelector("#ownName")!.Closest("form")!.GetAttribute("action").ShouldEndWith("handler=Name");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Note", ("rules", Turns), ("text", "a note"));
        (await CountAsync($"select count(*) from decisions where page_id = '{page}' and kind = 'Accepted'")).ShouldBe(0);
    }

    [Fact]
    public async Task An_unexplained_page_has_a_next_step_a_note_items_and_what_was_tried()
    {
        var (visitor, code, page) = await PageAsync("604 - 278 = 88888\n523 - 168 = 7777\n80 - 36 = 1\n703 - 245 = 99999\n952 - 367 = 3");
        using var __ = visitor;
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelectorAll(".next").Single().TextContent.ShouldBe("Keep what was said");
        reading.QuerySelector("aside")!.TextContent.ShouldContain("Tried: 72 listed rules");
        reading.QuerySelectorAll("form[action*=Ask]").Length.ShouldBe(1);
        await visitor.PostAsync($"/pages/{page}/reading?handler=Note", ("rules", ""), ("text", "counts on the fingers"), ("item", "1"));
        (await visitor.GetAsync($"/pages/{page}/reading")).QuerySelector(".note.key")!.TextContent.ShouldContain("item 1: counts on the fingers");
        await visitor.PostAsync($"/pages/{page}/reading?handler=PutAside");
        (await PilesOfAsync(visitor, code)).ShouldBeEmpty();
    }

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
        var sheet = PageDesk.StoredSheet(new StudentPage { Content = (string)(await app.SqlAsync($"select content::text from pages where id = '{page}'"))! });
        sheet.Items.Select(i => (i.Id, i.Task.Text, i.Answer)).ShouldBe([("1", "640 - 278", "474"), ("3", "81 - 27", "66"), ("4", "93 - 46", null), ("5", "75 - 28", "53")]);
        (sheet.Sheet, sheet.Date).ShouldBe(("Knots", new DateOnly(2026, 3, 9)));

        // A tab that still shows the old item 1 does not overwrite it unseen.
        using var answer = System.Text.Json.JsonDocument.Parse(await (await visitor.PutAsync($"/api/pages/{page}/items", new object[] { new { id = "1", version = 1, answer = "1" } })).Content.ReadAsStringAsync());
        answer.RootElement.GetProperty("conflicts").GetArrayLength().ShouldBe(1);
    }

    [Fact]
    public async Task A_code_is_compared_without_case_and_collides_with_no_address()
    {
        using var visitor = await new Visitor(app).SignInAsync();
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
        ((string)(await app.SqlAsync($"select content->>'student' from pages where id = '{page}'"))!).ShouldBe(code + "b");
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
        await app.SqlAsync($"update removals set at = at - interval '11 minutes' where undone_at is null and code = '{code}'");
        await using (var scope = app.Services.CreateAsyncScope()) await scope.ServiceProvider.GetRequiredService<Removals>().EraseAsync();
        (await CountAsync($"select count(*) from {what}s x join removals r on r.id = x.removal_id where r.code = '{code}'")).ShouldBe(0);
        log = await visitor.GetAsync("/thrown-away");
        log.QuerySelectorAll("tbody tr").ShouldContain(r => r.TextContent.Contains(code) && r.TextContent.Contains("erased"));
        if (what == "student") (await CountAsync($"select count(*) from pages where id = '{page}'")).ShouldBe(0);
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
        var sheet = PageDesk.StoredSheet(new StudentPage { Content = (string)(await app.SqlAsync($"select content::text from pages where id = '{page}'"))! });
        sheet.Items.Count.ShouldBeGreaterThan(6);
        ((int)(await app.SqlAsync($"select (item_versions->>'6')::int from pages where id = '{page}'"))!).ShouldBe(saved + 1);
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
        var ids = PageDesk.StoredSheet(new StudentPage { Content = (string)(await app.SqlAsync($"select content::text from pages where id = '{page}'"))! }).Items.Select(i => i.Id).ToList();
        ids.ShouldNotContain("4");
        ids.ShouldContain("6");
    }

    [Fact]
    public async Task A_plan_that_was_thrown_away_can_be_made_again_and_another_explanation_accepted_instead()
    {
        var (visitor, code, page) = await PageAsync();
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        var first = visitor.Address;
        await visitor.GetAsync(first);
        var id = (await visitor.PostAsync(first + "?handler=ThrowAway")).QuerySelector("main form input[name=id]")!.GetAttribute("value")!;
        (await visitor.GetAsync($"/pages/{page}/reading")).QuerySelector(".next")!.TextContent.ShouldBe("Make the plan again");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", Turns));
        visitor.Address.ShouldNotBe(first);
        await visitor.GetAsync("/thrown-away");
        (await visitor.PostAsync("/thrown-away", ("id", id))).QuerySelector(".fault")!.TextContent.ShouldContain("made again since");
        var sound = await visitor.GetAsync($"/pages/{page}/reading?rules=sound");
        sound.QuerySelectorAll(".decide form[action*=Accept]").Length.ShouldBe(1);
        sound.QuerySelectorAll(".next").Length.ShouldBe(1);
        (await PilesOfAsync(visitor, code)).ShouldBe(["print"]);
    }

    [Fact]
    public async Task A_NUL_in_an_address_or_a_form_gets_a_page_and_not_a_fault()
    {
        using var visitor = await new Visitor(app).SignInAsync();
        await visitor.GetAsync("/add-student");
        (await visitor.PostAsync("/add-student", ("code", "K\0"), ("callName", ""), ("word", "Borrow"))).QuerySelector("h1")!.TextContent.ShouldBe("This form was not taken in");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        await visitor.GetAsync("/sign-in?returnUrl=%00");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task What_an_earlier_version_kept_is_carried_over()
    {
        await using var old = new PencilApp();
        old.StartServer();
        await using var scope = old.Services.CreateAsyncScope();
        var data = scope.ServiceProvider.GetRequiredService<PencilContext>();
        var migrator = data.Database.GetService<IMigrator>();
        var owner = (Guid)(await old.SqlAsync("select id from \"AspNetUsers\""))!;
        await migrator.MigrateAsync("Begin");
        await old.SqlAsync($$"""
            delete from readings; delete from pages; delete from students;
            insert into students (id, owner_id, code, call_name, word, created_at) values
              ('11111111-0000-0000-0000-000000000001', '{{owner}}', 'K-1', '', 'Borrow', now() - interval '2 days'), ('11111111-0000-0000-0000-000000000002', '{{owner}}', 'k-1', '', 'Borrow', now());
            insert into pages (id, owner_id, student_id, title, state, marks_complete, content, item_versions, created_at, changed_at) values
              ('22222222-0000-0000-0000-000000000001', '{{owner}}', '11111111-0000-0000-0000-000000000001', 'Old', 'Typed', false,
               '{"format":"yellow-pencil.worked-sheet","version":1,"student":"K-1","items":[{"id":"1","task":"52 - 38","answer":"26"},{"id":"2","task":"81 - 27","answer":"66"}]}', '{"1":1,"2":1}', now() - interval '2 days', now() - interval '1 day');
            insert into readings (id, owner_id, page_id, engine_version, outcome, summary, content, made_at)
              select gen_random_uuid(), '{{owner}}', '22222222-0000-0000-0000-000000000001', '1', 'bug', 'Smaller from larger', '{"explanations":[{"bugs":[]},{"bugs":["subtraction.smaller-from-larger"]}]}', at
              from unnest(array[now() - interval '36 hours', now(), now()]) at;
            insert into decisions (id, owner_id, page_id, rules, kind, text, by_name, at) values
              (gen_random_uuid(), '{{owner}}', '22222222-0000-0000-0000-000000000001', 'subtraction.smaller-from-larger', 'Renamed', 'the turner', 'Me', now());
            insert into plans (id, owner_id, student_id, page_id, rules, avoided_facts, word, most_digits, seed, made_at)
              select gen_random_uuid(), '{{owner}}', '11111111-0000-0000-0000-000000000001', '22222222-0000-0000-0000-000000000001', 'subtraction.adds-instead+subtraction.smaller-from-larger-beside-zero', '', 'Borrow', 3, 7, now() from generate_series(1, 2);
            """);
        await migrator.MigrateAsync();

        using var visitor = await new Visitor(old).SignInAsync();
        var desk = await visitor.GetAsync("/");
        desk.QuerySelectorAll("table.ledger td a").Select(a => a.TextContent).ShouldBe(["K-1", "k-1-2"]);
        desk.QuerySelector("table.ledger tbody tr")!.TextContent.ShouldContain("the turner");
        desk.QuerySelector(".pile li")!.TextContent.ShouldContain("2 items");
        foreach (var plan in (await visitor.GetAsync("/students/K-1")).QuerySelectorAll("a[href^='/plans/']").Select(a => a.GetAttribute("href")!).ToList())
            (await visitor.GetAsync(plan)).QuerySelector("article h1")!.TextContent.ShouldContain("K-1");
        (await visitor.GetAsync("/pages/22222222-0000-0000-0000-000000000001/reading")).QuerySelector(".note.key")!.TextContent.ShouldContain("the turner");
    }
}
