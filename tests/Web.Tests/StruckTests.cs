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
public sealed class StruckTests(PencilApp app) : PageTests(app), IClassFixture<PencilApp>
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
        using var text = new StreamReader(zip.GetEntry("struck-out.csv")!.Open());
        (await text.ReadToEndAsync()).ReplaceLineEndings("\n").ShouldBe("page,item,behind line,text\nRopes,1,0,326\nRopes,5,0,54\n");
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
        (await StruckAsync(page)).ShouldBe("""{"1": [{"Line": 0, "Text": "326"}]}""");
        await visitor.GetAsync($"/pages/{page}/edit");
        await visitor.PostAsync($"/pages/{page}/edit", ("task.1", ""), ("task.2", "52 - 38"), ("task.3", "81 - 27"), ("title", "Ropes"), ("writtenOn", ""), ("more", ""));
        (await StruckAsync(page)).ShouldBe("{}");
    }

    [Fact]
    public async Task More_than_twenty_or_very_long_ones_are_refused_with_the_reason()
    {
        var (visitor, _, page) = await PageAsync();
        using var __ = visitor;
        (await RefusedAsync(Squares("1", 1, "474", [.. Enumerable.Repeat("1", 21)]))).ShouldBe("items[1]: it has more than 20 answers or lines that are struck out");
        (await RefusedAsync(Squares("1", 1, "474", new string('1', 201)))).ShouldBe("items[1]: what is struck out has more than 200 characters");
        (await RefusedAsync(new { id = "1", version = 1, squares = new { }, struck = "326" })).ShouldBe("items[1]: what is struck out is no list of texts");

        async Task<string> RefusedAsync(object item)
        {
            var answer = await visitor.PutAsync($"/api/pages/{page}/items", new[] { item });
            answer.StatusCode.ShouldBe(HttpStatusCode.BadRequest);
            return JsonDocument.Parse(await answer.Content.ReadAsStringAsync()).RootElement.GetProperty("message").GetString()!;
        }
    }

    [Fact]
    public void Lines_that_are_struck_out_come_back_between_those_that_stand()
    {
        string[] typed = ["2x = 15 + 7", "~ 2x = 24", "2x = 22", "~x = 12", "x = 11", "~", "~~ x = 1"];
        var (standing, struck) = StruckLines.Part(typed);
        standing.ShouldBe(["2x = 15 + 7", "2x = 22", "x = 11"]);
        struck.ShouldBe([new StruckText("2x = 24", 1), new StruckText("x = 12", 2), new StruckText("x = 1", 3)]);
        StruckLines.Together(standing, struck).ShouldBe(["2x = 15 + 7", "~ 2x = 24", "2x = 22", "~ x = 12", "x = 11", "~ x = 1"]);
        StruckLines.Together(["2x = 15 + 7"], struck).ShouldBe(["2x = 15 + 7", "~ 2x = 24", "~ x = 12", "~ x = 1"], "behind lines that are gone they stand at the end");
        StruckLines.Together([], []).ShouldBeEmpty();
    }

    // An item of three squares at most, as the browser sends it.
    private static object Squares(string id, int version, string answer, params string[] struck) =>
        new { id, version, squares = new { answer = answer.Reverse().Index().ToDictionary(d => $"{d.Index}", d => $"{d.Item}") }, moved = new { }, unreadable = false, struck };

    private static async Task<JsonElement> SentAsync(Visitor visitor, string page, object item) =>
        JsonDocument.Parse(await (await visitor.PutAsync($"/api/pages/{page}/items", new[] { item })).Content.ReadAsStringAsync()).RootElement;

    private async Task<string> StruckAsync(string page) => (string)(await App.SqlAsync($"select struck::text from pages where id = '{page}'"))!;
}
