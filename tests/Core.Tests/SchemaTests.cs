using System.Text.Json;
using Json.Schema;
using Shouldly;
using Xunit;
using YellowPencil.Cli;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests;

/// <summary>The published schemas against what the command line really gives out and takes in.</summary>
public class SchemaTests
{
    private static readonly JsonSchema Sheet = Schema("worked-sheet");
    private static readonly JsonSchema Reading = Schema("reading");
    private static readonly JsonSchema Bug = Schema("bug");
    private static readonly JsonSchema Plan = Schema("plan");

    public static TheoryData<string> Families => [.. FamilyList.All.Select(f => f.Name)];

    private static JsonSchema Schema(string name)
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder!.FullName, "YellowPencil.slnx"))) folder = folder.Parent;
        return JsonSchema.FromFile(Path.Combine(folder.FullName, "docs", $"{name}.schema.json"));
    }

    private static string Call(string input, params string[] args)
    {
        var (output, error) = (new StringWriter(), new StringWriter());
        CommandLine.Run(args, new MemoryStream(System.Text.Encoding.UTF8.GetBytes(input)), output, error).ShouldBe(0, error.ToString());
        return output.ToString();
    }

    private static void MustFit(JsonSchema schema, string json)
    {
        using var document = JsonDocument.Parse(json);
        var result = schema.Evaluate(document.RootElement, new EvaluationOptions { OutputFormat = OutputFormat.List });
        if (result.IsValid) return;

        // Branches that were tried and left are listed too; the fault is among them.
        var errors = result.Details.Where(d => d.Errors is not null).SelectMany(d => d.Errors!.Select(e => $"{d.InstanceLocation}: {e.Value}"));
        Assert.Fail($"{string.Join("; ", errors)} in {json}");
    }

    private static string[] Lines(string text) => text.Split('\n', StringSplitOptions.RemoveEmptyEntries);

    [Theory]
    [MemberData(nameof(Families))]
    public void Sheets_readings_and_bugs_of_a_family_fit(string family)
    {
        var design = Call("", "design", "--family", family, "--items", "12");
        MustFit(Sheet, design);
        foreach (var bug in Lines(Call("", "bugs", "--family", family)))
        {
            MustFit(Bug, bug);
            using var parsed = JsonDocument.Parse(bug);
            var id = parsed.RootElement.GetProperty("id").GetString()!;
            if (Math.Abs(id.Sum(c => c)) % 16 != 0) continue; // one in sixteen: the others are read in other tests
            var filled = Call(design, "simulate", "--bugs", id, "--tasks", "-", "--slip", "0.2", "--seed", "3");
            MustFit(Sheet, filled);
            MustFit(Reading, Call(filled, "diagnose", "-"));
            MustFit(Plan, Call(filled, "plan", "-", "--json"));
        }
    }

    [Theory]
    [InlineData("1 - 1 = 0")]
    [InlineData("52 - 38 = 26\n604 - 278 = 474\n81 - 27 = 66")]
    [InlineData("52 - 38 = ?\n604 - 278\n81 - 27 = x")]
    [InlineData("-7 - 4 = 3\n-9 - -2 = 11\n-5 - 8 = 3\n-6 * 9 = 54")]
    [InlineData("36.5 + 4.08 = 773\n0.5 + .7 = 12\n.5 + .7 = .12\n1.2 + 3 = 15")]
    [InlineData("958 / 4 = 239\n612 / 6 = 12\n816 / 8 = 12\n100 / 7 = 14 r 2")]
    public void Readings_of_all_kinds_of_pages_fit(string lines)
    {
        var sheet = SheetWriter.Write(new WorkedSheet { Student = "S", Sheet = "a page", Items = ItemList.TryParse(lines, null, out _), Predict = [SetItem.Of(TaskText.TryParse("93 - 46").Value!)] });
        MustFit(Sheet, sheet);
        MustFit(Reading, Call(sheet, "diagnose", "-"));
        MustFit(Plan, Call(sheet, "plan", "-", "--json"));
    }

    [Fact]
    public void The_pages_of_the_tests_fit()
    {
        foreach (var page in Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "Pages"), "*.json"))
        {
            using var whole = JsonDocument.Parse(File.ReadAllText(page));
            var sheet = whole.RootElement.GetProperty("sheet").GetRawText();
            MustFit(Sheet, sheet);
            MustFit(Reading, Call(sheet, "diagnose", "-"));
        }
    }

    private const string Small = """{"format":"yellow-pencil.worked-sheet","version":1,"student":"K","items":[{"id":"1","task":"52 - 38","answer":"26","work":{"carries":{"1":"1"},"sign":"-","rows":[{"text":"282"}]},"seconds":3}]}""";

    /// <summary>What the reader refuses the schema refuses too, and the other way round.</summary>
    [Theory]
    [InlineData("\"student\":\"K\"", "\"student\":\"K\"", true)]
    [InlineData("\"student\":\"K\"", "\"student\":\"\"", false)]
    [InlineData("\"student\":\"K\"", "\"student\":\" \"", false)]
    [InlineData("\"student\":\"K\"", "\"student\":\"K\\u001b\"", false)]
    [InlineData("\"student\":\"K\"", "\"student\":\"K\",\"pupil\":1", false)]
    [InlineData("\"student\":\"K\"", "\"student\":\"K\",\"date\":\"2026-03-09\"", true)]
    [InlineData("\"student\":\"K\"", "\"student\":\"K\",\"date\":\"9 March\"", false)]
    [InlineData("\"student\":\"K\"", "\"student\":\"K\",\"methods\":{\"roots\":\"number-line\"}", true)]
    [InlineData("\"student\":\"K\"", "\"student\":\"K\",\"methods\":{\"roots\":\"guess\"}", false)]
    [InlineData("\"student\":\"K\"", "\"student\":\"K\",\"methods\":{\"sums\":\"above\"}", false)]
    [InlineData("\"seconds\":3", "\"seconds\":-1", false)]
    [InlineData("\"seconds\":3", "\"seconds\":86401", false)]
    [InlineData("\"seconds\":3", "\"second\":3", false)]
    [InlineData("\"work\":", "\"wrok\":", false)]
    [InlineData("\"carries\":{\"1\":\"1\"}", "\"carries\":{\"tens\":\"1\"}", false)]
    [InlineData("\"carries\":{\"1\":\"1\"}", "\"carries\":{\"01\":\"1\"}", false)]
    [InlineData("\"carries\":{\"1\":\"1\"}", "\"carries\":{\"61\":\"1\"}", false)]
    [InlineData("\"carries\":{\"1\":\"1\"}", "\"carrys\":{\"1\":\"1\"}", false)]
    [InlineData("\"carries\":{\"1\":\"1\"}", "\"cross\":{\"sum\":\"1\"}", true)]
    [InlineData("\"carries\":{\"1\":\"1\"}", "\"cross\":\"1\"", false)]
    [InlineData("\"sign\":\"-\"", "\"sign\":\"−\"", true)]
    [InlineData("\"sign\":\"-\"", "\"sign\":\"minus\"", false)]
    [InlineData("\"sign\":\"-\"", "\"places\":\"three\"", false)]
    [InlineData("{\"text\":\"282\"}", "{\"text\":\"282\",\"last\":1}", false)]
    [InlineData("\"answer\":\"26\"", "\"answer\":26", false)]
    [InlineData("\"answer\":\"26\"", "\"answer\":\"26\",\"to\":\"0.5\"", false)]
    public void Reader_and_schema_agree(string good, string changed, bool fits)
    {
        var json = Small.Replace(good, changed, StringComparison.Ordinal);
        using var document = JsonDocument.Parse(json);
        Sheet.Evaluate(document.RootElement).IsValid.ShouldBe(fits, "schema");
        (SheetReader.TryRead(json, out _) is not null).ShouldBe(fits, "reader");
    }
}
