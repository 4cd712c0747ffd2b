using System.IO.Compression;
using System.Net;
using System.Text.Json;
using Shouldly;
using Xunit;
using YellowPencil.Data;
using YellowPencil.Tests.Shared;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Tests;

/// <summary>Answers and lines that were struck out on the paper are kept beside what stands.</summary>
public sealed class NotReadTests(PencilApp app) : PageTests(app), IClassFixture<PencilApp>
{
    [Fact]
    public async Task An_answer_that_was_struck_out_stands_beside_the_final_one_and_is_told_by_what_it_is()
    {
        var (visitor, code, page) = await PageAsync("604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66\n93 - 46 = 53\n70 - 24");
        using var _ = visitor;
        (await SentAsync(visitor, page, Squares("5", 1, "46", "54"))).GetProperty("versions").GetProperty("5").GetInt32().ShouldBe(2);
        (await SentAsync(visitor, page, Squares("1", 1, "474", "326"))).GetProperty("versions").GetProperty("1").GetInt32().ShouldBe(2);
        var reading = await visitor.GetAsync($"/pages/{page}/reading");
        reading.QuerySelectorAll(".struckout s").Select(s => s.TextContent).ShouldBe(["326", "54"]);
        reading.QuerySelectorAll("p.ink").Select(p => p.TextContent).Where(t => t.StartsWith("Struck", StringComparison.Ordinal)).ShouldBe(["Struck out on the paper: item 1: 326 (right); item 5: 54 (what this explanation predicts)."]);

        using var zip = new ZipArchive(new MemoryStream(await visitor.GetFileAsync($"/students/{code}?handler=Export")));
        using var text = new StreamReader(zip.GetEntry("not-read.csv")!.Open());
        (await text.ReadToEndAsync()).ReplaceLineEndings("\n").ShouldBe("page,item,behind line,what,text\nRopes,1,0,struck out,326\nRopes,5,0,struck out,54\n");
    }

    [Fact]
    public async Task What_is_struck_out_has_part_in_versions_and_conflicts_and_goes_with_its_item()
    {
        var (visitor, _, page) = await PageAsync();
        using var __ = visitor;
        var mine = Squares("1", 1, "474", "326");
        await SentAsync(visitor, page, mine);
        (await SentAsync(visitor, page, mine)).GetProperty("conflicts").GetArrayLength().ShouldBe(0);
        var theirs = (await SentAsync(visitor, page, Squares("1", 1, "474", "327"))).GetProperty("conflicts")[0];
        theirs.GetProperty("struck").EnumerateArray().Select(s => s.GetString()).ShouldBe(["326"]);

        // An answer typed elsewhere, such as in the table of a class, says nothing of what is struck out.
        await SentAsync(visitor, page, new { id = "1", version = 2, answer = "475" });
        (await StruckAsync(page)).ShouldBe("""{"1": [{"Line": 0, "Text": "326", "IsSideWork": false}]}""");
        await visitor.GetAsync($"/pages/{page}/edit");
        await visitor.PostAsync($"/pages/{page}/edit", ("task.1", ""), ("task.2", "52 - 38"), ("task.3", "81 - 27"), ("title", "Ropes"), ("writtenOn", ""), ("more", ""));
        (await StruckAsync(page)).ShouldBe("{}");
    }

    [Fact]
    public async Task More_than_twenty_or_very_long_ones_are_refused_with_the_reason()
    {
        var (visitor, _, page) = await PageAsync();
        using var __ = visitor;
        (await RefusedAsync(Squares("1", 1, "474", [.. Enumerable.Repeat("1", 21)]))).ShouldBe("items[1]: it has more than 20 answers or lines that are struck out or on the side");
        (await RefusedAsync(Squares("1", 1, "474", new string('1', 201)))).ShouldBe("items[1]: what is struck out or on the side has more than 200 characters");
        (await RefusedAsync(new { id = "1", version = 1, squares = new { }, struck = "326" })).ShouldBe("items[1]: what is struck out is no list of texts");

        async Task<string> RefusedAsync(object item)
        {
            var answer = await visitor.PutAsync($"/api/pages/{page}/items", new[] { item });
            answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
            return JsonDocument.Parse(await answer.Content.ReadAsStringAsync()).RootElement.GetProperty("message").GetString()!;
        }
    }

    [Fact]
    public void Work_on_the_side_stands_beside_its_line_in_one_column_or_two()
    {
        var (read, notRead) = TypedLines.Part(["29/4 - 17/6", "| 29*3 = 87 | 17*2 = 34", "|  | 87", "87/12 - 34/12", "|", "53/12"]);
        read.ShouldBe(["29/4 - 17/6", "87/12 - 34/12", "53/12"]);
        notRead.ShouldBe([new NotReadText("29*3 = 87 | 17*2 = 34", 1, IsSideWork: true), new NotReadText("87", 1, IsSideWork: true)]);
        TypedLines.ColumnsOf(notRead[0].Text).ShouldBe(["29*3 = 87", "17*2 = 34"]);
        TypedLines.ColumnsOf("1 | 2 | 3").ShouldBe(["1", "2 | 3"]);
        TypedLines.Together(read, notRead).ShouldBe(["29/4 - 17/6", "| 29*3 = 87 | 17*2 = 34", "| 87", "87/12 - 34/12", "53/12"]);
    }

    [Fact]
    public void Lines_that_are_struck_out_come_back_between_those_that_stand()
    {
        string[] typed = ["2x = 15 + 7", "~ 2x = 24", "2x = 22", "~x = 12", "x = 11", "~", "~~ x = 1"];
        var (standing, struck) = TypedLines.Part(typed);
        standing.ShouldBe(["2x = 15 + 7", "2x = 22", "x = 11"]);
        struck.ShouldBe([new NotReadText("2x = 24", 1), new NotReadText("x = 12", 2), new NotReadText("x = 1", 3)]);
        TypedLines.Together(standing, struck).ShouldBe(["2x = 15 + 7", "~ 2x = 24", "2x = 22", "~ x = 12", "x = 11", "~ x = 1"]);
        TypedLines.Together(["2x = 15 + 7"], struck).ShouldBe(["2x = 15 + 7", "~ 2x = 24", "~ x = 12", "~ x = 1"], "behind lines that are gone they stand at the end");
        TypedLines.Together([], []).ShouldBeEmpty();
    }

    // An item of three squares at most, as the browser sends it.
    private static object Squares(string id, int version, string answer, params string[] struck) =>
        new { id, version, squares = new { answer = answer.Reverse().Index().ToDictionary(d => $"{d.Index}", d => $"{d.Item}") }, moved = new { }, unreadable = false, struck };

    private static async Task<JsonElement> SentAsync(Visitor visitor, string page, object item) =>
        JsonDocument.Parse(await (await visitor.PutAsync($"/api/pages/{page}/items", new[] { item })).Content.ReadAsStringAsync()).RootElement;

    private async Task<string> StruckAsync(string page) => (string)(await App.SqlAsync($"select not_read::text from pages where id = '{page}'"))!;
}
