using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using Shouldly;
using UglyToad.PdfPig;
using Xunit;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>Sessions, checks and how it stands with a plan, from its first day until the rule is gone and was looked at again.</summary>
public sealed class WeeksTests(PencilApp app) : IClassFixture<PencilApp>
{
    private const string Turns = "subtraction.turns-column-round";

    // Turned round in every column: worked by hand.
    private const string Turned = "604 - 278 = 474\n523 - 168 = 445\n80 - 36 = 56\n415 - 203 = 212\n703 - 245 = 542\n952 - 367 = 615\n867 - 452 = 415";

    private async Task<(Visitor Visitor, string Code, string Plan)> PlanAsync()
    {
        var visitor = await new Visitor(app).SignInAsync();
        var code = "W-" + Guid.NewGuid().ToString("N")[..8];
        await visitor.GetAsync("/add-student");
        await visitor.PostAsync("/add-student", ("code", code), ("callName", ""), ("word", "Regroup"));
        await visitor.GetAsync($"/students/{code}/pages/new");
        await visitor.PostAsync($"/students/{code}/pages/new", ("items", Turned), ("title", "Spars"), ("writtenOn", "2026-03-02"));
        var page = visitor.Address["/pages/".Length..];
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        var rules = reading.QuerySelectorAll("form").First(f => f.TextContent.Contains("Accept and plan")).QuerySelector("input[name=rules]")!.GetAttribute("value")!;
        await visitor.PostAsync($"/pages/{page}/reading?handler=Accept", ("rules", rules));
        return (visitor, code, visitor.Address);
    }

    private static object Ticks(int version, params (string Item, string Answer)[] ticks) =>
        new { version, ticks = ticks.ToDictionary(t => t.Item, t => new { answer = t.Answer, helped = false, @checked = false }), said = "the bottom from the top", changed = "" };

    [Fact]
    public async Task A_session_is_ticked_kept_and_says_what_comes_next()
    {
        var (visitor, _, plan) = await PlanAsync();
        await visitor.GetAsync($"{plan}/progress");
        await visitor.PostAsync($"{plan}/progress?handler=Session");
        var session = visitor.Address;
        session.ShouldStartWith("/sessions/");
        var api = "/api" + session;
        var saved = await visitor.PutAsync(api, Ticks(1, ("Together 1", "right"), ("Alone 1", "right"), ("Alone 2", "other"), ("Alone 3", "right"), ("Exit", "right"), ("No such item", "right")));
        var reply = (await saved.Content.ReadFromJsonAsync<JsonElement>()).GetProperty("session");
        reply.GetProperty("next").GetString().ShouldBe("Once more together, and the exit question again.");
        reply.GetProperty("because").GetString().ShouldBe("2 of 3 alone right, the exit question right.");
        reply.GetProperty("ticks").EnumerateObject().Select(t => t.Name).ShouldNotContain("No such item");

        // The same once more: its acknowledgement was lost on the way.
        var again = await (await visitor.PutAsync(api, Ticks(1, ("Together 1", "right"), ("Alone 1", "right"), ("Alone 2", "other"), ("Alone 3", "right"), ("Exit", "right")))).Content.ReadFromJsonAsync<JsonElement>();
        (again.GetProperty("versions").EnumerateObject().Single().Value.GetInt32(), again.GetProperty("conflicts").GetArrayLength()).ShouldBe((2, 0));

        // What another tab typed on the old version is not lost and not laid over: it comes back as a conflict.
        var late = await (await visitor.PutAsync(api, Ticks(1, ("Exit", "old")))).Content.ReadFromJsonAsync<JsonElement>();
        late.GetProperty("versions").EnumerateObject().ShouldBeEmpty();
        late.GetProperty("conflicts")[0].GetProperty("ticks").GetProperty("Exit").GetProperty("answer").GetString().ShouldBe("right");

        var progress = await visitor.GetAsync($"{plan}/progress");
        progress.Body!.TextContent.ShouldContain("the bottom from the top");
        progress.Body.TextContent.ShouldContain("Once more together");
        (await visitor.PutAsync(api, new { version = 2 })).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await visitor.PutAsync(api, new { version = 2, ticks = new Dictionary<string, object> { ["Exit"] = new { answer = "sideways" } } })).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await visitor.PutAsync("/api/sessions/" + Guid.NewGuid(), Ticks(1))).StatusCode.ShouldBe(HttpStatusCode.NotFound);

        await visitor.GetAsync(session);
        await visitor.PostAsync(session + "?handler=Day", ("day", "2026-03-09"));
        (await visitor.GetAsync($"{plan}/progress")).Body!.TextContent.ShouldContain("9 Mar 2026");
        await visitor.GetAsync(session);
        await visitor.PostAsync(session + "?handler=Remove");
        visitor.Address.ShouldBe($"{plan}/progress");
        await visitor.GetAsync(session);
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Of_what_many_type_at_once_on_one_version_exactly_one_is_kept()
    {
        var (visitor, _, plan) = await PlanAsync();
        await visitor.GetAsync($"{plan}/progress");
        await visitor.PostAsync($"{plan}/progress?handler=Session");
        var api = "/api" + visitor.Address;
        var replies = await Task.WhenAll(Enumerable.Range(0, 12).Select(async i => await (await visitor.PutAsync(api, new { version = 1, ticks = new Dictionary<string, object>(), said = $"in tab {i}", changed = "" })).Content.ReadFromJsonAsync<JsonElement>()));
        replies.Count(r => r.GetProperty("versions").EnumerateObject().Any()).ShouldBe(1);
        replies.Count(r => r.GetProperty("conflicts").GetArrayLength() == 1).ShouldBe(11);
    }

    [Fact]
    public async Task A_student_is_followed_until_the_rule_is_gone_and_was_looked_at_again()
    {
        var (visitor, code, plan) = await PlanAsync();
        await visitor.GetAsync($"{plan}/progress");
        await visitor.PostAsync($"{plan}/progress?handler=Session");
        var session = visitor.Address;
        await visitor.PostAsync(session + "?handler=Day", ("day", "2026-03-03"));

        async Task<string> CheckAsync(string day, bool isOld)
        {
            await visitor.GetAsync($"{plan}/progress");
            await visitor.PostAsync($"{plan}/progress?handler=Check");
            var page = visitor.Address.Split('/')[2];

            // The button pressed twice sets one check.
            await visitor.GetAsync($"{plan}/progress");
            await visitor.PostAsync($"{plan}/progress?handler=Check");
            visitor.Address.Split('/')[2].ShouldBe(page);
            var content = JsonSerializer.Deserialize<JsonElement>((string)(await app.SqlAsync($"select content::text from checks where page_id = '{page}'"))!);
            var items = content.EnumerateArray().Select((item, at) => new
            {
                id = $"{at + 1}",
                version = 1,
                answer = isOld ? item.GetProperty("old").GetString()! : Difference(item.GetProperty("task").GetString()!),
            }).ToList();
            items.Count.ShouldBe(6);
            await visitor.GetAsync($"/pages/{page}");
            (await visitor.PutAsync($"/api/pages/{page}/items", items)).StatusCode.ShouldBe(HttpStatusCode.OK);
            await app.SqlAsync($"update pages set state = 'Typed', written_on = '{day}' where id = '{page}'");
            var progress = await visitor.GetAsync($"{plan}/progress");
            return progress.QuerySelector("#stands")!.TextContent + " " + progress.QuerySelector(".nextstep")!.TextContent;
        }

        (await CheckAsync("2026-03-09", isOld: true)).ShouldContain("How it stands: too few checks to say");
        (await CheckAsync("2026-03-16", isOld: false)).ShouldContain("How it stands: goes on");
        var gone = await CheckAsync("2026-03-23", isOld: false);
        gone.ShouldContain("How it stands: gone");
        gone.ShouldContain("Old rule at 0 of 6 chances in the last two checks (0 of 3, 0 of 3), 5 of 5 where it began.");
        gone.ShouldContain("6 Apr 2026"); // two weeks on
        (await CheckAsync("2026-04-06", isOld: false)).ShouldContain("4 May 2026"); // six weeks after it was gone
        (await CheckAsync("2026-05-04", isOld: false)).ShouldContain("How it stands: gone, looked at again after six weeks");

        // Each check is read with what was known when it was set: the newest page counts most, and what is typed later changes nothing of it.
        (await KnownAsync(1)).Keys.ShouldBe([Turns]);
        (await KnownAsync(1))[Turns].ShouldBeInRange(0.4, 0.5);
        var third = await KnownAsync(3);
        third[""].ShouldBeGreaterThan(third[Turns] / 2, "one page with the rule before, one without it behind");
        var fifth = await KnownAsync(5);
        fifth[""].ShouldBeGreaterThan(3 * fifth[Turns]);
        var page = await app.SqlAsync($"select page_id::text from checks where plan_id = '{plan.Split('/')[^1]}' and number = 5");
        (await visitor.GetAsync($"/pages/{page}/reading")).QuerySelector(".note")!.TextContent.ShouldStartWith("This page is check 5 of a plan, read with what the pages before it say: no rule ");

        async Task<Dictionary<string, double>> KnownAsync(int number) => JsonSerializer.Deserialize<Dictionary<string, double>>(
            (string)(await app.SqlAsync($"select known::text from pages p join checks c on c.page_id = p.id where c.plan_id = '{plan.Split('/')[^1]}' and c.number = {number}"))!)!;

        var desk = await visitor.GetAsync("/");
        var row = desk.QuerySelectorAll(".pile li").Single(r => r.TextContent.Contains(code));
        row.TextContent.ShouldContain("gone, looked at again after six weeks: close the plan");
        row.QuerySelector("a")!.GetAttribute("href").ShouldBe($"{plan}/progress");
        desk.QuerySelectorAll(".pile li").ShouldNotContain(li => li.TextContent.Contains(code) && li.TextContent.Contains("Check"));

        using (var pdf = PdfDocument.Open(await visitor.GetFileAsync($"{plan}/progress?as=pdf")))
        {
            pdf.NumberOfPages.ShouldBe(1);
            pdf.GetPage(1).Text.ShouldContain("looked at again after six weeks");
            pdf.GetPage(1).Text.ShouldContain("check 5");
        }

        // Closed, it leaves the desk; it can be taken up again.
        await visitor.GetAsync($"{plan}/progress");
        await visitor.PostAsync($"{plan}/progress?handler=Close", ("closed", "true"));
        (await visitor.GetAsync("/")).QuerySelectorAll(".pile li").ShouldNotContain(r => r.TextContent.Contains(code));
        await visitor.GetAsync($"{plan}/progress");
        await visitor.PostAsync($"{plan}/progress?handler=Close", ("closed", "false"));
        (await visitor.GetAsync("/")).QuerySelectorAll(".pile li").ShouldContain(r => r.TextContent.Contains(code) && r.TextContent.Contains("looked at again"));
    }

    [Fact]
    public async Task A_report_is_proposed_changed_and_kept_as_it_was_given_out()
    {
        var (visitor, code, plan) = await PlanAsync();
        var proposed = await visitor.GetAsync($"{plan}/reports?kind=Family");
        proposed.QuerySelector("textarea")!.TextContent.ShouldContain("Two minutes at the table");
        (await visitor.PostAsync($"{plan}/reports", ("kind", "Family"), ("text", "She is weak in sums."))).QuerySelector("[role=alert]")!.TextContent.ShouldContain("“weak…” may not stand in a report");
        var kept = await visitor.PostAsync($"{plan}/reports", ("kind", "Family"), ("text", "We work on one thing.\n\nThank you."));
        kept.QuerySelector("textarea")!.TextContent.ShouldBe("We work on one thing.\n\nThank you.");
        kept.QuerySelectorAll("ul a").ShouldContain(a => a.TextContent == "For the family");
        using (var pdf = PdfDocument.Open(await visitor.GetFileAsync(visitor.Address + "&as=pdf")))
            pdf.GetPage(1).Text.ShouldContain("Thank you.");

        // What is proposed changes with the weeks; what was given out does not.
        (await visitor.GetAsync($"{plan}/reports?kind=Learner")).QuerySelector("textarea")!.TextContent.ShouldContain("I check it myself");
        using var file = new System.IO.Compression.ZipArchive(new MemoryStream(await visitor.GetFileAsync($"/students/{code}?handler=Export")));
        using var reports = new StreamReader(file.GetEntry("reports.csv")!.Open());
        (await reports.ReadToEndAsync()).ShouldContain("We work on one thing.");
    }

    [Fact]
    public async Task Nobody_who_is_not_signed_in_sees_the_weeks()
    {
        var (visitor, _, plan) = await PlanAsync();
        await visitor.GetAsync($"{plan}/progress");
        await visitor.PostAsync($"{plan}/progress?handler=Session");
        var session = visitor.Address;
        var nobody = new Visitor(app);
        foreach (var address in new[] { $"{plan}/progress", session })
        {
            await nobody.GetAsync(address);
            nobody.Address.ShouldStartWith("/sign-in");
        }
    }

    private static string Difference(string task) => task.Split(" - ") is [var top, var bottom] ? $"{int.Parse(top) - int.Parse(bottom)}" : throw new ArgumentException(task);

    [Fact]
    public async Task A_sheet_of_the_class_counts_as_the_check_of_those_who_are_taught_and_can_be_taken_back()
    {
        var (visitor, code, plan) = await PlanAsync();
        await visitor.GetAsync($"{plan}/progress");
        await visitor.PostAsync($"{plan}/progress?handler=Session");

        // Three items where turning round shows, one where it is right by luck; a second student without a plan.
        await visitor.GetAsync("/add-class");
        await visitor.PostAsync("/add-class", ("name", code), ("codes", $"{code}, {code}-b"), ("word", "Regroup"));
        var students = (await visitor.GetAsync(visitor.Address + "/set")).QuerySelectorAll("input[name=students]").Select(i => ("students", i.GetAttribute("value")!)).ToList();
        await visitor.PostManyAsync(visitor.Address, [("items", "614 - 278\n533 - 168\n867 - 452\n70 - 36"), ("title", "Stock"), .. students]);
        var sheet = visitor.Address;
        var pages = await app.SqlAsync($"select string_agg(p.id::text, ' ' order by s.code) from pages p join students s on s.id = p.student_id where p.class_sheet_id = '{sheet.Split('/')[^1]}'");
        var (page, otherPage) = (((string)pages!).Split(' ')[0], ((string)pages).Split(' ')[1]);
        string[] answers = ["336", "365", "415", "46"]; // the last one turned round: 6 from 0 taken as 0 from 6
        foreach (var of in new[] { page, otherPage })
        {
            var items = answers.Select((answer, at) => new { id = $"{at + 1}", version = 1, answer });
            (await visitor.PutAsync($"/api{sheet}/items", new Dictionary<string, object> { [of] = items })).StatusCode.ShouldBe(HttpStatusCode.OK);
        }

        (await visitor.GetAsync($"{sheet}/reading")).QuerySelectorAll("input[name=plans]").Length.ShouldBe(0, "not typed in yet");
        await visitor.GetAsync(sheet);
        var reading = await visitor.PostAsync($"{sheet}?handler=Finish");
        reading.QuerySelectorAll("label").Select(l => l.TextContent.Trim()).ShouldContain($"{code}: “Turns the column round”, 3 chances");
        reading.QuerySelectorAll("input[name=plans]").Length.ShouldBe(1);
        await visitor.PostAsync($"{sheet}/reading?handler=Checks");
        (await visitor.GetAsync($"{plan}/progress")).QuerySelectorAll("td a[href$='/reading']").Length.ShouldBe(1, "nobody was ticked");

        await visitor.GetAsync($"{sheet}/reading");
        reading = await visitor.PostAsync($"{sheet}/reading?handler=Checks", ("plans", plan.Split('/')[^1]));
        reading.QuerySelector("[role=status].note")!.TextContent.ShouldBe($"Counted as a check: {code}.");
        reading.QuerySelectorAll("input[name=plans]").Length.ShouldBe(0);
        await RowAsync("check 1", "1 of 3", "3 of 4");
        var own = await visitor.GetAsync($"/pages/{page}/reading");
        own.QuerySelector(".note")!.TextContent.ShouldContain("This page is check 1 of a plan, read with what the pages before it say: “Turns the column round” ");
        (await visitor.GetAsync($"/pages/{otherPage}/reading")).Body!.TextContent.ShouldNotContain("of a plan");

        // Taken back, the page is read by itself again and waits to be counted; counted once more it is check 1 again.
        await visitor.GetAsync($"/pages/{page}/reading");
        own = await visitor.PostAsync($"/pages/{page}/reading?handler=NoCheck");
        own.Body!.TextContent.ShouldContain("“Turns the column round” is being taught, and had 3 chances on this page.");
        own.Body.TextContent.ShouldNotContain("of a plan");
        (await visitor.GetAsync($"{plan}/progress")).QuerySelectorAll("td a[href$='/reading']").Length.ShouldBe(1);
        await visitor.GetAsync($"/pages/{page}/reading");
        await visitor.PostAsync($"/pages/{page}/reading?handler=Count", ("plan", plan.Split('/')[^1]));
        await RowAsync("check 1", "1 of 3", "3 of 4");

        // A check that was set stays one, and the page of the plan itself is none.
        await visitor.GetAsync($"{plan}/progress");
        await visitor.PostAsync($"{plan}/progress?handler=Check");
        var set = visitor.Address.Split('/')[2];
        await visitor.GetAsync($"/pages/{set}/reading");
        await visitor.PostAsync($"/pages/{set}/reading?handler=NoCheck");
        ((long)(await app.SqlAsync($"select count(*) from checks where page_id = '{set}'"))!).ShouldBe(1);
        var first = (string)(await app.SqlAsync($"select page_id::text from plans where id = '{plan.Split('/')[^1]}'"))!;
        (await visitor.GetAsync($"/pages/{first}/reading")).Body!.TextContent.ShouldNotContain("chances on this page");

        async Task RowAsync(string name, string followed, string right)
        {
            var row = (await visitor.GetAsync($"{plan}/progress")).QuerySelectorAll("tr").Single(r => r.TextContent.Contains(name));
            row.QuerySelectorAll("td").Skip(1).Take(3).Select(d => d.TextContent.Trim()).ShouldBe([name, followed, right]);
        }
    }
}
