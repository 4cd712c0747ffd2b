using System.Net;
using System.Text.Json;
using AngleSharp.Dom;
using Shouldly;
using Xunit;
using YellowPencil.Tests.Shared;

namespace YellowPencil.Web.Tests;

/// <summary>Pages whose items stand in lines: fractions, algebra, roots.</summary>
public sealed class LinePageTests(PencilApp app) : PageTests(app), IClassFixture<PencilApp>
{
    private const string Turned = "solve 2x + 7 = 15\nsolve 3x + 4 = 19\nsolve 4x - 9 = 11\nsolve 5x + 1 = 21";

    [Fact]
    public async Task A_line_is_built_up_by_the_server_for_who_is_signed_in()
    {
        using var visitor = await new Visitor(App).SignInAsync();
        var built = await LineAsync(visitor, "29/4 - 17/6");
        built.GetProperty("svg").GetString()!.Split("<line").Length.ShouldBe(3, "two lines of fractions");
        built.GetProperty("message").ValueKind.ShouldBe(JsonValueKind.Null);
        (await LineAsync(visitor, "2x = 15 - 7")).GetProperty("stays").GetString().ShouldBe("2x = ");
        var kept = await LineAsync(visitor, "3/");
        kept.GetProperty("at").GetInt32().ShouldBe(1);
        kept.GetProperty("message").GetString().ShouldBe("Nothing stands under the line of this fraction.");
        kept.GetProperty("svg").GetString()!.ShouldContain("<text");
        (await LineAsync(visitor, "<b onload=x>")).GetProperty("svg").GetString()!.ShouldNotContain("<b ");
        await visitor.GetAsync($"/api/line?text={new string('(', 201)}");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        await visitor.GetAsync("/api/line");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        await LineAsync(visitor, new string('(', 200));

        using var stranger = new Visitor(App);
        await stranger.GetAsync("/api/line?text=1/2");
        stranger.Last!.StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
    }

    [Fact]
    public async Task One_item_stands_there_by_each_school_with_what_it_takes()
    {
        var (visitor, _, page) = await PageAsync("factor x^2 + x - 12\nsqrt(31)\n2/3 + 3/5\n5 1/4 - 2 5/6");
        using var __ = visitor;
        var quadratic = await visitor.GetAsync($"/pages/{page}/items/1/schools");
        quadratic.QuerySelectorAll(".schools h3").Select(h => string.Join(' ', h.TextContent.Split(' ', StringSplitOptions.RemoveEmptyEntries))).ShouldBe(["with X and box taught here", "by trying pairs", "by middle and gap"]);
        quadratic.QuerySelectorAll(".schools > div").Select(d => d.QuerySelectorAll("math")[^1].TextContent).ShouldAllBe(answer => answer == "(x+4)(x−3)");
        quadratic.QuerySelectorAll(".schools p")[1].TextContent.ShouldContain("6 trials");

        // 31 is 6/11 of the way from 25 to 36; 5.5 squared is 30.25 and 5.6 squared 31.36; the root is 5.56776...
        var root = await visitor.GetAsync($"/pages/{page}/items/2/schools");
        root.QuerySelectorAll(".schools p").Select(p => p.TextContent).ShouldContain("The true value is 5.5678 and more; the error is −0.0678.");
        root.QuerySelectorAll(".schools p").Select(p => p.TextContent).ShouldContain("The true value is 5.5678 and more; the error is 0.0322.");
        (await visitor.GetAsync($"/pages/{page}/items/4/schools")).QuerySelectorAll(".schools h3").Length.ShouldBeGreaterThan(1);
        (await visitor.GetAsync($"/pages/{page}/items/3/schools")).QuerySelector("main")!.TextContent.ShouldContain("On this item all schools write the same.");
        await visitor.GetAsync($"/pages/{page}/items/9/schools");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Lines_that_follow_are_ticked_what_is_not_finished_has_a_mark_of_its_own_and_an_end_of_the_x_is_circled()
    {
        var (visitor, _, page) = await PageAsync("7/12 + 5/6\n3/4 + 5/8\nfactor x^2 + x - 12");
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}");
        await SaveAsync(
            visitor, page,
            new { id = "1", version = 1, lines = new[] { "42/72 + 60/72", "112/72", "14/9", "1 5/9" } },
            new { id = "2", version = 1, lines = new[] { "24/32 + 20/32", "44/32" } },
            new { id = "3", version = 1, lines = new[] { "(x + 4)(x + 3)" }, cells = new Dictionary<string, string> { ["cross-0"] = "1", ["cross-1"] = "-12", ["cross-2"] = "4", ["cross-3"] = "3" } });
        var items = (await visitor.GetAsync($"/pages/{page}/reading")).QuerySelectorAll(".items > li");
        items[0].TextContent.ShouldContain("lines 3, 4 follow rightly");
        items[0].QuerySelectorAll("text.inkmark").Count(t => t.TextContent == "✓").ShouldBe(2);
        items[1].QuerySelector(".itemname")!.TextContent.Trim().ShouldBe("2 not finished");
        items[1].QuerySelectorAll("text.inkmark").Select(t => t.TextContent.Trim()).ShouldContain(t => t.StartsWith("→ …"));
        items[1].QuerySelector("ellipse").ShouldBeNull();
        var circle = items[2].QuerySelector("ellipse")!;
        var three = items[2].QuerySelectorAll("text.handline").Last(t => t.TextContent == "3");
        Math.Abs(Number(circle, "cx") - Number(three, "x")).ShouldBeLessThan(1);
        Math.Abs(Number(circle, "cy") - Number(three, "y")).ShouldBeLessThan(1);
    }

    [Fact]
    public async Task Lines_are_saved_as_work_and_answer_and_what_cannot_be_lines_is_refused()
    {
        var (visitor, _, page) = await PageAsync("2/3 + 3/5\n604 - 278");
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}");
        var saved = await SaveAsync(visitor, page, new { id = "1", version = 1, lines = new[] { "10/15 + 9/15", "", "19/15 ", "1 4/15" } });
        saved.ShouldContain("\"versions\":{\"1\":2}");
        var stored = (await App.SqlAsync($"select content::text from pages where id = '{page}'"))!.ToString()!;
        stored.ShouldContain("\"answer\": \"1 4/15\"");
        stored.ShouldContain("\"lines\": [\"10/15 + 9/15\", \"19/15\", \"1 4/15\"]");
        (await SaveAsync(visitor, page, new { id = "2", version = 1, lines = new[] { "326" } })).ShouldContain("it is written in squares, and these are lines");
        (await SaveAsync(visitor, page, new { id = "1", version = 2, squares = new { } })).ShouldContain("it is written in lines, and these are squares");
        (await SaveAsync(visitor, page, new { id = "1", version = 2, lines = new[] { new string('1', 201) } })).ShouldContain("has more than 200 characters");
        (await SaveAsync(visitor, page, new { id = "1", version = 2, lines = Enumerable.Repeat("1/2", 61) })).ShouldContain("it has more than 60 lines");
        (await SaveAsync(visitor, page, new { id = "1", version = 2, lines = new[] { 3 } })).ShouldContain("its lines are no list of texts");
    }

    [Fact]
    public async Task What_differs_from_the_taught_line_is_circled_and_the_replay_goes_line_by_line()
    {
        var (visitor, _, page) = await PageAsync(Turned);
        using var __ = visitor;
        await visitor.GetAsync($"/pages/{page}");
        string[][] lines = [["2x = 22", "x = 11"], ["3x = 23", "x = 23/3"], ["4x = 2", "x = 1/2"], ["5x = 22", "x = 22/5"]];
        await SaveAsync(visitor, page, [.. lines.Select((l, i) => (object)new { id = $"{i + 1}", version = 1, lines = l })]);
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelector("h1")!.TextContent.ShouldContain("adds the number of the left to the right");
        var first = reading.QuerySelector(".items li")!;
        first.QuerySelectorAll("math").Select(m => m.TextContent).ShouldBe(["2x+7=15", "2x=22", "x=11"]);
        first.TextContent.ShouldContain("first wrong step in line 1");

        // The circle goes round 22, which stands behind the equals sign.
        var circle = first.QuerySelector("ellipse")!;
        var equals = first.QuerySelectorAll("text.handline").First(t => t.TextContent == "=");
        (Number(circle, "cx") - Number(circle, "rx")).ShouldBeGreaterThan(Number(equals, "x"));

        var item = await visitor.GetAsync($"/pages/{page}/items/1");
        var captions = item.QuerySelectorAll("[data-side=student] .caption").Select(c => c.TextContent.Trim()).ToList();
        captions[1].ShouldContain("Writes the line 2x = 22.");
        captions[^1].ShouldStartWith("The answer: x = 11.");
    }

    [Fact]
    public async Task A_sheet_for_the_student_is_printed_with_the_same_room_for_each_item_as_a_page_and_as_a_file()
    {
        var (visitor, _, page) = await PageAsync("2/3 + 3/5\n1/2 + 1/4\nfactor x^2 + x - 12\nsqrt(31)");
        using var __ = visitor;
        var sheet = await visitor.GetAsync($"/pages/{page}/sheet");
        sheet.QuerySelectorAll(".sheet svg").Select(s => s.GetAttribute("viewBox")!.Split(' ')[3]).Distinct().Count().ShouldBe(1);
        var file = await visitor.GetFileAsync($"/pages/{page}/sheet?as=pdf");
        System.Text.Encoding.ASCII.GetString(file[..5]).ShouldBe("%PDF-");
    }

    private static double Number(IElement element, string name) => double.Parse(element.GetAttribute(name)!, System.Globalization.CultureInfo.InvariantCulture);

    private static async Task<JsonElement> LineAsync(Visitor visitor, string text)
    {
        var file = await visitor.GetFileAsync($"/api/line?text={Uri.EscapeDataString(text)}");
        visitor.Last!.StatusCode.ShouldBe(HttpStatusCode.OK);
        return JsonDocument.Parse(file).RootElement;
    }

    private static async Task<string> SaveAsync(Visitor visitor, string page, params object[] items)
    {
        var answer = await visitor.PutAsync($"/api/pages/{page}/items", items);
        return await answer.Content.ReadAsStringAsync();
    }
}
