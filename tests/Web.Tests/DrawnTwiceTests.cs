using System.Diagnostics;
using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using AngleSharp.Html.Parser;
using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;
using YellowPencil.Data;
using YellowPencil.Web.Drawing;

namespace YellowPencil.Web.Tests;

/// <summary>While an item is typed the browser draws it, afterwards the server does: drawing.js and <see cref="SquarePaper"/> put the same into the same squares.</summary>
public sealed class DrawnTwiceTests
{
    private const int EachFamily = 25;

    private const string Draw = """
        const { open } = await import(process.argv[1] + "/working.js"), { draw } = await import(process.argv[1] + "/drawing.js");
        let text = "";
        for await (const part of process.stdin) text += part;
        const drawn = JSON.parse(text).map(({ item, rows }) => draw({ ...open(item), shown: new Set(rows) }, null));
        process.stdout.write(JSON.stringify(drawn));
        """;

    [Fact]
    public async Task Two_hundred_drawings_are_the_same_in_the_browser_and_on_the_server()
    {
        var items = PageLayout.Families.SelectMany(Worked).ToList();
        items.Count.ShouldBeGreaterThanOrEqualTo(200);
        var pictures = items.ConvertAll(i => SquaresPicture.Of(i, null));
        var drawn = await DrawInBrowserAsync(items, pictures);
        for (var i = 0; i < items.Count; i++)
        {
            var sketch = pictures[i].Sketch();
            var browser = new HtmlParser().ParseDocument(drawn[i]).QuerySelector("svg")!;
            var texts = browser.QuerySelectorAll("text").Select(t => $"{t.ClassName} {Number(t, "x")} {Number(t, "y")} {t.TextContent}");
            texts.Order().ShouldBe(sketch.Shapes.OfType<TextShape>().Select(t => $"{t.Style} {t.X} {t.Y} {t.Text}").Order(), $"{items[i].Task}, {items[i].Answer}");

            // The server leaves out columns on the right in which nothing stands, and lines of work of which nothing is written.
            var lines = browser.QuerySelectorAll("line").Select(l => $"{l.ClassName} {Number(l, "x1")} {Number(l, "y1")} {(l.ClassName == "rule" && Number(l, "y1") == Number(l, "y2") ? Math.Min(Number(l, "x2"), sketch.Width - 4) : Number(l, "x2"))} {Number(l, "y2")}").ToList();
            var onServer = sketch.Shapes.OfType<LineShape>().Select(l => $"{l.Style} {l.X1} {l.Y1} {l.X2} {l.Y2}").ToList();
            onServer.ShouldBeSubsetOf(lines, $"{items[i].Task}, {items[i].Answer}");
            lines.Count(l => l.StartsWith("strike", StringComparison.Ordinal)).ShouldBe(onServer.Count(l => l.StartsWith("strike", StringComparison.Ordinal)));
        }
    }

    private static IEnumerable<WorkedItem> Worked(Family family)
    {
        var bugs = Catalogue.Of(family);
        return ItemPool.Of(family, EachFamily, seed: 5).Select((task, i) => new SimulatedStudent(Hypothesis.Of(bugs[i * 7 % bugs.Count]), 0.9, 0.1, i).Write($"{i}", task));
    }

    private static double Number(AngleSharp.Dom.IElement element, string name) => double.Parse(element.GetAttribute(name)!, CultureInfo.InvariantCulture);

    private static async Task<IReadOnlyList<string>> DrawInBrowserAsync(List<WorkedItem> items, List<SquaresPicture> pictures)
    {
        var set = items.Select((item, i) => new JsonObject
        {
            ["item"] = JsonNode.Parse(TypingJson.Write(item, new StudentPage { Content = "" })),
            ["rows"] = JsonSerializer.SerializeToNode(pictures[i].Rows),
        });
        var scripts = Path.Combine(StartedTests.Root, "src", "YellowPencil.Web", "Scripts");
        using var node = Process.Start(new ProcessStartInfo("node", ["--input-type=module", "--eval", Draw, scripts]) { RedirectStandardInput = true, RedirectStandardOutput = true })!;
        await node.StandardInput.WriteAsync(new JsonArray([.. set]).ToJsonString());
        node.StandardInput.Close();
        return JsonSerializer.Deserialize<string[]>(await node.StandardOutput.ReadToEndAsync())!;
    }
}
