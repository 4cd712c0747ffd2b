using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using AngleSharp.Html.Dom;
using Shouldly;
using Xunit;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>Classes: putting one together, setting a sheet, typing it in, tables, reading in the background, throwing away.</summary>
public sealed class ClassTests(PencilApp app) : IClassFixture<PencilApp>
{
    private const string Items = "604 - 278\n523 - 168\n80 - 36\n4.56 + 3.7";

    /// <summary>A class with a sheet of four items.</summary>
    private async Task<(Visitor Visitor, string Sheet)> BeginAsync(string codes, string items = Items)
    {
        var visitor = await new Visitor(app).SignInAsync();
        await visitor.GetAsync("/add-class");
        await visitor.PostAsync("/add-class", ("name", $"Class {Guid.NewGuid().ToString("N")[..6]}"), ("codes", codes), ("word", "Borrow"));
        visitor.Address.ShouldStartWith("/classes/");
        var form = await visitor.GetAsync(visitor.Address + "/set");
        var students = form.QuerySelectorAll("input[name=students]").Select(i => ("students", i.GetAttribute("value")!));
        await visitor.PostManyAsync(visitor.Address, [("items", items), ("title", "Stock"), .. students]);
        visitor.Address.ShouldStartWith("/class-sheets/");
        return (visitor, visitor.Address["/class-sheets/".Length..]);
    }

    private static string Codes(string start, int count) => string.Join('\n', Enumerable.Range(1, count).Select(n => $"{start}-{n:00}"));

    private static string Unique() => "C" + Guid.NewGuid().ToString("N")[..6].ToUpperInvariant();

    private async Task<Dictionary<string, Guid>> PagesAsync(string sheet)
    {
        var text = (string)(await app.SqlAsync($"select json_object_agg(s.code, p.id order by s.code)::text from pages p join students s on s.id = p.student_id where p.class_sheet_id = '{sheet}'"))!;
        return JsonSerializer.Deserialize<Dictionary<string, Guid>>(text)!;
    }

    private static async Task<JsonElement> TableAsync(Visitor visitor, string sheet, string text, Guid? page = null, string? item = null)
    {
        var request = new HttpRequestMessage(HttpMethod.Post, $"/api/class-sheets/{sheet}/table") { Content = JsonContent.Create(new { text, page, item }) };
        var answer = await visitor.SendAsync(request);
        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        return JsonDocument.Parse(await answer.Content.ReadAsStringAsync()).RootElement;
    }

    private static List<string> CellsOf(JsonElement table, Dictionary<string, Guid> pages) =>
        [.. table.GetProperty("cells").EnumerateArray().Select(c => $"{pages.First(p => p.Value == c.GetProperty("page").GetGuid()).Key} {c.GetProperty("id").GetString()} {c.GetProperty("answer").GetString()}")];

    private static List<(string Row, string Column, string What)> FaultsOf(JsonElement table) =>
        [.. table.GetProperty("faults").EnumerateArray().Select(f => (f.GetProperty("row").GetString()!, f.GetProperty("column").GetString()!, f.GetProperty("what").GetString()!))];

    private static Task<HttpResponseMessage> SaveAsync(Visitor visitor, string sheet, params (Guid Page, string Id, int Version, string? Answer)[] cells) =>
        visitor.PutAsync($"/api/class-sheets/{sheet}/items", cells.GroupBy(c => c.Page).ToDictionary(g => g.Key, g => g.Select(c => new { id = c.Id, version = c.Version, answer = c.Answer }).ToList()));

    private static async Task<JsonElement> StateAsync(Visitor visitor, string sheet, Func<JsonElement, bool> until)
    {
        for (var tries = 0; ; tries++, await Task.Delay(50))
        {
            await visitor.GetAsync($"/api/class-sheets/{sheet}/state");
            var state = JsonDocument.Parse(await visitor.Last!.Content.ReadAsStringAsync()).RootElement;
            if (until(state)) return state;
            tries.ShouldBeLessThan(10_000, state.GetRawText());
        }
    }

    [Fact]
    public async Task A_class_is_a_list_of_codes_and_who_has_no_file_gets_one()
    {
        var start = Unique();
        var (visitor, _) = await BeginAsync($"{start}-01, {start}-02\n{start}-03\n\n{start.ToLowerInvariant()}-01");
        var file = await visitor.GetAsync($"/students/{start}-02");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
        file.Body!.TextContent.ShouldContain("The classroom says borrow");
        file.Body.TextContent.ShouldContain("Page: Stock");
    }

    [Theory]
    [InlineData("", "K-17", "Give the class a name")]
    [InlineData("Kestrel", "", "A class has at least one student")]
    [InlineData("Kestrel", "K-17\nAnna Field", "“Anna Field” is no code")]
    public async Task What_is_wrong_with_a_class_is_said_and_nothing_is_kept(string name, string codes, string fault)
    {
        using var visitor = await new Visitor(app).SignInAsync();
        await visitor.GetAsync("/add-class");
        var before = await app.SqlAsync("select count(*) from classes");
        var page = await visitor.PostAsync("/add-class", ("name", name), ("codes", codes), ("word", "Borrow"));
        page.QuerySelector(".fault")!.TextContent.ShouldContain(fault);
        page.QuerySelector("#codes")!.TextContent.Trim().ShouldBe(codes);
        (await app.SqlAsync("select count(*) from classes")).ShouldBe(before);
    }

    [Fact]
    public async Task A_sheet_can_be_set_for_some_and_given_to_the_others_later()
    {
        var start = Unique();
        var (visitor, _) = await BeginAsync(Codes(start, 3));
        var address = (await visitor.GetAsync(visitor.Address)).QuerySelectorAll("nav a").Select(a => a.GetAttribute("href")!).Single(a => a.StartsWith("/classes/"));
        var form = await visitor.GetAsync(address + "/set");
        await visitor.PostManyAsync(address + "/set", [("items", "52 - 38 = 26"), ("title", ""), ("students", form.QuerySelector("input[name=students]")!.GetAttribute("value")!)]);
        var board = await visitor.GetAsync(visitor.Address);
        board.QuerySelectorAll("tr[data-row]").Length.ShouldBe(1);
        board.QuerySelectorAll("td input").ShouldAllBe(i => i.GetAttribute("value") == null || i.GetAttribute("value") == "");
        board.Body!.TextContent.ShouldContain("2 students of the class do not have this sheet");
        (await visitor.PostAsync(visitor.Address + "?handler=GiveToAll")).QuerySelectorAll("tr[data-row]").Length.ShouldBe(3);

        await visitor.GetAsync(address + "/set");
        (await visitor.PostAsync(address + "/set", ("items", "52 - 38"))).QuerySelector(".fault")!.TextContent.ShouldContain("Choose at least one student.");
    }

    [Fact]
    public async Task Answers_are_saved_cell_by_cell_and_a_change_made_elsewhere_is_a_conflict()
    {
        var start = Unique();
        var (visitor, sheet) = await BeginAsync(Codes(start, 2));
        var pages = await PagesAsync(sheet);
        var (one, two) = (pages[$"{start}-01"], pages[$"{start}-02"]);
        var saved = JsonDocument.Parse(await (await SaveAsync(visitor, sheet, (one, "1", 1, "474"), (one, "4", 1, "4.93"), (two, "1", 1, "326"))).Content.ReadAsStringAsync()).RootElement;
        saved.GetProperty("pages").GetProperty(one.ToString()).GetProperty("versions").GetRawText().ShouldBe("""{"1":2,"4":2}""");
        saved.GetProperty("state").GetProperty("rows").GetProperty(one.ToString()).GetProperty("verdicts").GetRawText().ShouldBe("""{"1":"wrong","2":"blank","3":"blank","4":"wrong"}""");
        saved.GetProperty("state").GetProperty("of").GetInt32().ShouldBe(2);

        var late = JsonDocument.Parse(await (await SaveAsync(visitor, sheet, (one, "1", 1, "475"), (two, "2", 1, "12a"), (two, "3", 1, "44"))).Content.ReadAsStringAsync()).RootElement.GetProperty("pages");
        late.GetProperty(one.ToString()).GetProperty("conflicts").GetRawText().ShouldBe("""[{"id":"1","answer":"474","version":2}]""");
        var refused = late.GetProperty(two.ToString());
        refused.GetProperty("refused")[0].GetProperty("message").GetString().ShouldBe("“12a” is no number: write 12, if that is what stands on the paper; ? where it cannot be read");
        refused.GetProperty("versions").GetRawText().ShouldBe("""{"3":2}""");
    }

    [Fact]
    public async Task A_page_of_another_sheet_cannot_be_written_through_this_one()
    {
        var (visitor, sheet) = await BeginAsync(Codes(Unique(), 1));
        var (_, other) = await BeginAsync(Codes(Unique(), 1));
        await visitor.GetAsync($"/class-sheets/{sheet}");
        var page = (await PagesAsync(other)).Values.Single();
        var reply = JsonDocument.Parse(await (await SaveAsync(visitor, sheet, (page, "1", 1, "1"))).Content.ReadAsStringAsync()).RootElement;
        reply.GetProperty("pages").GetProperty(page.ToString()).GetProperty("refused")[0].GetProperty("message").GetString().ShouldBe("this page is not on the sheet any more");
        ((string)(await app.SqlAsync($"select content::text from pages where id = '{page}'"))!).ShouldContain("\"answer\": null");
    }

    [Fact]
    public async Task Rows_copied_from_a_spreadsheet_begin_at_the_caret()
    {
        var start = Unique();
        var (visitor, sheet) = await BeginAsync(Codes(start, 3));
        var pages = await PagesAsync(sheet);
        var table = await TableAsync(visitor, sheet, "445\t56\n\t44\n1\t2", pages[$"{start}-02"], "2");
        CellsOf(table, pages).ShouldBe([$"{start}-02 2 445", $"{start}-02 3 56", $"{start}-03 3 44"]);
        FaultsOf(table).ShouldBe([("row 3", "", "there is no student left for it: this sheet has 3")]);
    }

    [Fact]
    public async Task Codes_and_tasks_say_which_cell_is_meant_and_each_bad_cell_is_named()
    {
        var start = Unique();
        var (visitor, sheet) = await BeginAsync(Codes(start, 3));
        var pages = await PagesAsync(sheet);
        var table = await TableAsync(visitor, sheet, $"student,4.56 + 3.7,604 - 278,9 - 4\n{start.ToLowerInvariant()}-03,\"8,26\",474,5\nX-99,1,2,\n{start}-01,4.93,#REF!,\n{start}-01,1,1,\n");
        CellsOf(table, pages).ShouldBe([$"{start}-03 1 474", $"{start}-01 4 4.93"]);
        FaultsOf(table).ShouldBe(
        [
            ($"row 2 ({start}-03)", "item 4, 4.56 + 3.7", "“8,26” has a comma where the point stands"),
            ($"row 2 ({start}-03)", "column 4", "there is no item for this column"),
            ("row 3", "", "nobody on this sheet has the code X-99"),
            ($"row 4 ({start}-01)", "item 1, 604 − 278", "“#REF!” is an error of the spreadsheet"),
            ($"row 5 ({start}-01)", "", "this student stands in the table twice"),
        ]);
    }

    [Fact]
    public async Task Semicolons_quotes_and_numbers_of_items_are_understood()
    {
        var start = Unique();
        var (visitor, sheet) = await BeginAsync(Codes(start, 2));
        var pages = await PagesAsync(sheet);
        CellsOf(await TableAsync(visitor, sheet, $"\ufeffCode;1;3\r\n\"{start}-01\";\"474\";−56\r\n"), pages).ShouldBe([$"{start}-01 1 474", $"{start}-01 3 -56"]);
        CellsOf(await TableAsync(visitor, sheet, "474\n326\n"), pages).ShouldBe([$"{start}-01 1 474", $"{start}-02 1 326"]);
        FaultsOf(await TableAsync(visitor, sheet, "  \n")).Single().What.ShouldBe("there is nothing in it");
    }

    [Fact]
    public async Task What_goes_out_as_csv_and_as_worked_sheets_comes_in_again()
    {
        var start = Unique();
        var (visitor, sheet) = await BeginAsync(Codes(start, 2));
        var pages = await PagesAsync(sheet);
        await SaveAsync(visitor, sheet, (pages[$"{start}-01"], "1", 1, "474"), (pages[$"{start}-01"], "2", 1, "?"), (pages[$"{start}-02"], "4", 1, "1,234.5"));
        string[] written = [$"{start}-01 1 474", $"{start}-01 2 ?", $"{start}-02 4 1,234.5"];
        await visitor.GetAsync($"/class-sheets/{sheet}?handler=Csv");
        var csv = await visitor.Last!.Content.ReadAsStringAsync();
        csv.TrimStart('\ufeff').ShouldBe($"student,604 - 278,523 - 168,80 - 36,4.56 + 3.7\r\n{start}-01,474,?,,\r\n{start}-02,,,,\"1,234.5\"\r\n");
        CellsOf(await TableAsync(visitor, sheet, csv), pages).ShouldBe(written);

        // Where numbers have a comma, semicolons stand between the cells.
        await app.SqlAsync("update \"AspNetUsers\" set has_decimal_comma = true");
        await visitor.GetAsync($"/class-sheets/{sheet}?handler=Csv");
        await app.SqlAsync("update \"AspNetUsers\" set has_decimal_comma = false");
        (await visitor.Last!.Content.ReadAsStringAsync()).TrimStart('\ufeff').ShouldBe($"student;604 - 278;523 - 168;80 - 36;4,56 + 3,7\r\n{start}-01;474;?;;\r\n{start}-02;;;;1,234,5\r\n");
        await visitor.GetAsync($"/class-sheets/{sheet}?handler=Sheets");
        var sheets = await visitor.Last!.Content.ReadAsStringAsync();
        sheets.TrimEnd().Split('\n').Length.ShouldBe(2);
        CellsOf(await TableAsync(visitor, sheet, sheets), pages).ShouldBe(written);
        FaultsOf(await TableAsync(visitor, sheet, "{\"format\": \"something\"}")).Single().Row.ShouldBe("line 1");
    }

    [Fact]
    public async Task A_worked_sheet_brings_its_work_along()
    {
        var start = Unique();
        var (visitor, sheet) = await BeginAsync(Codes(start, 1));
        var table = await TableAsync(visitor, sheet, """
            {"format": "yellow-pencil.worked-sheet", "version": 1, "student": "START-01",
             "items": [{"id": "a", "task": "80 - 36", "answer": "44", "work": {"rewritten": {"1": "7", "0": "10"}}}, {"id": "b", "task": "9 - 4", "answer": "5"}]}
            """.Replace("START", start));
        var cell = table.GetProperty("cells")[0];
        (cell.GetProperty("id").GetString(), cell.GetProperty("work").GetProperty("rewritten").GetProperty("1").GetString()).ShouldBe(("3", "7"));
        FaultsOf(table).ShouldBe([($"the sheet ({start}-01)", "item b", "9 − 4 is not on this sheet")]);
    }

    [Fact]
    public async Task Thirty_students_with_fifteen_items_are_read_in_the_background()
    {
        const string items = "604 - 278\n523 - 168\n80 - 36\n703 - 245\n952 - 367\n456 + 378\n745 + 86\n47 * 38\n69 * 24\n856 / 8\n612 / 3\n4.56 + 3.7\n12.5 + 0.34\n500 - 123\n640 - 58";
        var start = Unique();
        var (visitor, sheet) = await BeginAsync(Codes(start, 30), items);
        var pages = await PagesAsync(sheet);
        string[] round = ["474", "445", "56", "542", "615", "834", "831", "1786", "1656", "107", "204", "8.26", "12.84", "423", "618"];
        string[] taught = ["326", "355", "44", "458", "585", "834", "831", "1786", "1656", "107", "204", "8.26", "12.84", "377", "582"];
        await visitor.GetAsync($"/class-sheets/{sheet}");
        await SaveAsync(visitor, sheet, [.. pages.SelectMany((page, at) => (at % 3 == 0 ? round : taught).Select((answer, i) => (page.Value, (i + 1).ToString(), 1, (string?)answer)))]);
        var state = await StateAsync(visitor, sheet, s => s.GetProperty("read").GetInt32() == 30);
        state.GetProperty("rows").GetProperty(pages[$"{start}-01"].ToString()).GetProperty("says").GetString()!.ShouldStartWith("Turns the column round, ");

        var reading = await visitor.GetAsync($"/class-sheets/{sheet}/reading");
        reading.QuerySelector("h1")!.TextContent.ShouldBe("10 of 30 share one rule: “Turns the column round”.");
        reading.QuerySelectorAll(".lettered li li").Length.ShouldBe(10);
        reading.QuerySelectorAll($"#row-{start}-01 td").Select(td => td.TextContent).Take(2).ShouldBe(["474A", "445A"]);
        reading.QuerySelectorAll($"#row-{start}-02 td").Select(td => td.TextContent).Take(2).ShouldBe(["326✓", "355✓"]);
        (await app.SqlAsync($"select count(*) from readings where is_passing and page_id in (select id from pages where class_sheet_id = '{sheet}')")).ShouldBe(30L);

        // Typed in, the readings stay; on the student's own page a link leads back to the row.
        await visitor.GetAsync($"/class-sheets/{sheet}");
        await visitor.PostAsync($"/class-sheets/{sheet}?handler=Finish");
        visitor.Address.ShouldBe($"/class-sheets/{sheet}/reading");
        (await app.SqlAsync($"select count(*) from readings where is_passing and page_id in (select id from pages where class_sheet_id = '{sheet}')")).ShouldBe(0L);
        var own = await visitor.GetAsync($"/pages/{pages[$"{start}-01"]}/reading");
        own.QuerySelectorAll("nav a").Select(a => a.GetAttribute("href")).ShouldContain($"/class-sheets/{sheet}/reading#row-{start}-01");
    }

    [Fact]
    public async Task A_class_ends_in_plans_for_those_of_a_rule_and_one_file_of_their_papers()
    {
        var start = Unique();
        var (visitor, sheet) = await BeginAsync(Codes(start, 4), "604 - 278\n523 - 168\n80 - 36\n703 - 245\n952 - 367\n64 - 31");
        var pages = await PagesAsync(sheet);
        string[] round = ["474", "445", "56", "542", "615", "33"], twice = ["474", "445", "44", "458", "585", "33"];
        await visitor.GetAsync($"/class-sheets/{sheet}");
        await SaveAsync(visitor, sheet, [.. pages.SelectMany((page, at) => (at < 3 ? round : twice).Select((answer, i) => (page.Value, (i + 1).ToString(), 1, (string?)answer)))]);
        await StateAsync(visitor, sheet, s => s.GetProperty("read").GetInt32() == 4);
        await visitor.PostAsync($"/class-sheets/{sheet}?handler=Finish");

        // One of them is decided by hand first; it is left as it was, also where it is ticked.
        await visitor.GetAsync($"/pages/{pages[$"{start}-01"]}/reading");
        await visitor.PostAsync($"/pages/{pages[$"{start}-01"]}/reading?handler=Accept", ("rules", "subtraction.turns-column-round"));
        var reading = await visitor.GetAsync($"/class-sheets/{sheet}/reading");
        reading.QuerySelectorAll(".lettered form[action*=Plan] input[type=checkbox][checked]").Select(i => i.GetAttribute("value")).ShouldBe([$"{start}-02", $"{start}-03"]);
        var done = await visitor.PostManyAsync(
            $"/class-sheets/{sheet}/reading?handler=Plan",
            [("rule", "subtraction.turns-column-round"), ("students", $"{start}-01"), ("students", $"{start}-02"), ("students", $"{start}-03")]);
        done.QuerySelector(".note")!.TextContent.ShouldBe($"Accepted and planned: {start}-02, {start}-03. Left as it was: {start}-01 (decided already).");
        done.QuerySelectorAll(".lettered a[href^='/plans/']").Length.ShouldBe(3);

        await visitor.PostAsync($"/class-sheets/{sheet}/reading?handler=Papers", ("rule", "subtraction.turns-column-round"), ("size", "a4"));
        var file = await visitor.GetFileAsync($"/class-sheets/{sheet}/reading?handler=Papers&rule=subtraction.turns-column-round&size=a4");
        System.Text.Encoding.ASCII.GetString(file, 0, 5).ShouldBe("%PDF-");
        (await app.SqlAsync($"select count(*) from plans where printed_at is not null and page_id in (select id from pages where class_sheet_id = '{sheet}')")).ShouldBe(3L);

        // From student to student without the way back to the class.
        var second = await visitor.GetAsync($"/pages/{pages[$"{start}-02"]}/reading");
        second.QuerySelector("a[rel=prev]")!.GetAttribute("href").ShouldBe($"/pages/{pages[$"{start}-01"]}/reading");
        second.QuerySelector("a[rel=next]")!.GetAttribute("href").ShouldBe($"/pages/{pages[$"{start}-03"]}/reading");
    }

    [Fact]
    public async Task Reading_can_be_stopped_and_goes_on_where_it_was()
    {
        var start = Unique();
        var (visitor, sheet) = await BeginAsync(Codes(start, 2));
        var pages = await PagesAsync(sheet);
        await visitor.GetAsync($"/class-sheets/{sheet}");
        (await visitor.PutAsync($"/api/class-sheets/{sheet}/by-itself", false)).StatusCode.ShouldBe(HttpStatusCode.OK);
        await SaveAsync(visitor, sheet, (pages[$"{start}-01"], "1", 1, "474"));
        await Task.Delay(1500);
        (await StateAsync(visitor, sheet, _ => true)).GetProperty("read").GetInt32().ShouldBe(0);
        (await visitor.GetAsync($"/class-sheets/{sheet}/reading")).QuerySelector("[data-stop]")!.TextContent.ShouldBe("Read on");
        await visitor.PutAsync($"/api/class-sheets/{sheet}/by-itself", true);
        await StateAsync(visitor, sheet, s => s.GetProperty("read").GetInt32() == 1);

        // What is changed is read again, and what was read while it was typed makes room for it.
        await SaveAsync(visitor, sheet, (pages[$"{start}-01"], "2", 1, "445"));
        await StateAsync(visitor, sheet, s => s.GetProperty("read").GetInt32() == 1);
        (await app.SqlAsync($"select count(*) from readings where page_id = '{pages[$"{start}-01"]}'")).ShouldBe(1L);
        (await visitor.PutAsync($"/api/class-sheets/{sheet}/by-itself", "perhaps")).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task The_pages_of_a_class_lie_on_the_desk_as_one_sheet()
    {
        var (visitor, sheet) = await BeginAsync(Codes(Unique(), 5));
        var desk = await visitor.GetAsync("/");
        desk.QuerySelectorAll($".pile a[href='/class-sheets/{sheet}']").Length.ShouldBe(1);
        desk.QuerySelectorAll($".pile li:has(a[href='/class-sheets/{sheet}'])").Single().TextContent.ShouldContain("5 students");
        desk.QuerySelectorAll("a[href^='/class-sheets/']").Select(a => a.GetAttribute("href")).ShouldContain($"/class-sheets/{sheet}/reading");
    }

    [Fact]
    public async Task A_class_is_thrown_away_without_what_its_students_wrote_and_taken_back()
    {
        var start = Unique();
        var (visitor, sheet) = await BeginAsync(Codes(start, 1));
        var address = (await visitor.GetAsync($"/class-sheets/{sheet}")).QuerySelectorAll("nav a").Select(a => a.GetAttribute("href")!).Single(a => a.StartsWith("/classes/"));
        await visitor.GetAsync(address + "/edit");
        var desk = await visitor.PostAsync(address + "/edit?handler=ThrowAway");
        var removal = ((IHtmlInputElement)desk.QuerySelector("form[action='/thrown-away'] input[name=id]")!).Value;
        await visitor.GetAsync($"/class-sheets/{sheet}");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await visitor.GetAsync($"/students/{start}-01")).Body!.TextContent.ShouldContain("Page: Stock");
        await visitor.GetAsync($"/pages/{(await PagesAsync(sheet)).Values.Single()}");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
        await visitor.PostAsync("/thrown-away", ("id", removal));
        await visitor.GetAsync($"/class-sheets/{sheet}");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task Somebody_elses_class_is_not_found()
    {
        var (visitor, sheet) = await BeginAsync(Codes(Unique(), 1));
        var owner = await app.SqlAsync("select id from \"AspNetUsers\" limit 1");
        await app.SqlAsync($"insert into \"AspNetUsers\" select (jsonb_populate_record(u, '{{\"id\": \"{Guid.NewGuid()}\", \"user_name\": \"third@x.example\", \"normalized_user_name\": \"THIRD@X.EXAMPLE\", \"email\": \"third@x.example\", \"normalized_email\": \"THIRD@X.EXAMPLE\"}}'::jsonb)).* from \"AspNetUsers\" u where id = '{owner}' on conflict do nothing");
        using var other = await new Visitor(app).SignInAsync("third@x.example");
        foreach (var address in new[] { $"/class-sheets/{sheet}", $"/class-sheets/{sheet}/reading", $"/class-sheets/{sheet}/paper", $"/class-sheets/{sheet}?handler=Csv", $"/api/class-sheets/{sheet}/state" })
        {
            await other.GetAsync(address);
            other.Last!.StatusCode.ShouldBe(HttpStatusCode.NotFound, address);
        }

        (await other.GetAsync("/")).QuerySelectorAll("a[href^='/classes/']").ShouldBeEmpty();
        visitor.Dispose();
    }

    [Theory]
    [InlineData("", "sheet for 2 students")]
    [InlineData("?kind=key&size=letter&print=large", "Turns the column round")]
    public async Task A_sheet_goes_on_paper_for_each_student_and_as_a_key(string wish, string expected)
    {
        var (visitor, sheet) = await BeginAsync(Codes(Unique(), 2));
        var paper = await visitor.GetAsync($"/class-sheets/{sheet}/paper{wish}");
        paper.Body!.TextContent.ShouldContain(expected);
        paper.QuerySelectorAll("article").Length.ShouldBe(wish.Length == 0 ? 2 : 1);
        if (wish.Length > 0) paper.QuerySelector("article")!.ClassList.ShouldBe(["plan", "sheet", "keysheet", "letter", "largeprint"]);
    }
}
