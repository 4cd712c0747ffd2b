using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Working;

/// <summary>What is too long to be read in a moment is refused with the limit.</summary>
public class EffortTests
{
    private static string Sheet(int count, Func<int, string> task, string extra = "") =>
        $$"""{"format":"yellow-pencil.worked-sheet","version":1,"student":"E","items":[{{string.Join(',', Enumerable.Range(0, count).Select(i => $$"""{"id":"{{i}}","task":"{{task(i)}}","answer":"{{7919 * (i + 3)}}"}"""))}}]{{extra}}}""";

    [Theory]
    [InlineData("52 - 38", 6)]
    [InlineData("386 + 75 + 94", 12)]
    [InlineData("47 * 36", 24)]
    [InlineData("958 / 4", 36)]
    [InlineData("604 - 278", 9)]
    [InlineData("386 + 75", 8)]
    [InlineData("36.5 + 4.08", 15)]
    [InlineData("2.4 * 0.15", 47)]
    [InlineData("8.164 / 0.26", 140)]
    [InlineData("-7 - -4", 12)]
    public void The_effort_of_a_task_grows_with_its_steps(string task, int steps)
    {
        var item = SetItem.Of(TaskText.TryParse(task).Value!);
        item.Task.Steps.ShouldBe(steps);
        item.Effort.ShouldBe(steps + steps * steps / 500);
    }

    [Fact]
    public void Long_products_are_refused_with_the_limit()
    {
        SheetReader.TryRead(Sheet(15, _ => "123456789012345678901234567890 * 987654321098765432109876543210"), out var fault).ShouldBeNull();
        fault!.Field.ShouldBe("items");
        fault.Message.ShouldEndWith("where 6000 is the most; part the sheet, or set shorter numbers");
        SheetReader.TryRead(Sheet(1, _ => "123456789012345678901234567890 + 987654321098765432109876543210"), out _).ShouldNotBeNull();
    }

    [Fact]
    public void Predictions_and_lines_count_too()
    {
        SheetReader.TryRead(Sheet(1, _ => "52 - 38", $",\"predict\":[{string.Join(',', Enumerable.Repeat("\"12345678 * 87654321\"", 120))}]"), out var fault).ShouldBeNull();
        fault!.Message.ShouldContain("too long to be read at once");
        var lines = string.Join(',', Enumerable.Range(0, 60).Select(i => $"\"-{i} + 4\""));
        var items = string.Join(',', Enumerable.Range(0, 10).Select(i => $$$"""{"id":"{{{i}}}","task":"-7 - -4","answer":"5","work":{"lines":[{{{lines}}}]}}"""));
        SheetReader.TryRead($$"""{"format":"yellow-pencil.worked-sheet","version":1,"student":"E","items":[{{items}}]}""", out fault).ShouldBeNull();
        fault!.Message.ShouldContain("too long to be read at once");
    }

    /// <summary>The longest sheets that are accepted, on which nothing fits, so that everything is tried: less is tried the longer they are.</summary>
    [Theory]
    [InlineData("123 + 456", 500)]
    [InlineData("4071 - 386", 500)]
    [InlineData("123 * 45", 200)]
    [InlineData("9580 / 42", 200)]
    [InlineData("12.5 + 3.08", 500)]
    [InlineData("12.5 * 3.08", 200)]
    [InlineData("8.164 / 0.26", 200)]
    [InlineData("-52 - -38", 500)]
    public void On_no_accepted_sheet_is_too_much_tried(string task, int most)
    {
        WorkedSheet? longest = null;
        for (var count = most; longest is null; count -= 5) longest = SheetReader.TryRead(Sheet(count, _ => task), out _);
        longest.Items.Sum(i => i.Effort).ShouldBeGreaterThan(WorkedSheet.MaxEffort / 3);
        MustBeBounded(longest);
    }

    [Theory]
    [InlineData("87654321 + 98765432 + 12345678 = 198765430", "44444444 + 55555556 = 99999990")]
    [InlineData("87654321 - 12345678 = 75308642", "90000000 - 12345678 = 77654321")]
    [InlineData("87654321 * 12345678 = 1082152022374630", "98765432 * 87654321 = 8657216999999999")]
    [InlineData("98765432 / 87 = 1135234 r 14", "98765432 / 9876 = 10001 r 5556")]
    [InlineData("98765.432 + 1234.5678 = 10000.9998", "70000.001 - 1234.5678 = 68765.4322")]
    [InlineData("-98765.43 * 8765.432 = 865721698.8", "12345.678 * 0.8765 = 10820.9")]
    [InlineData("86567.406432 / 0.9876 = 8765.432", "98765.432 / 0.0008 = 1234567.9")]
    [InlineData("-87654321 - -98765432 = 11111110", "-98765432 * 12345678 = 1219326")]
    [InlineData("999999999999999999999999999991 - 888888888888888888888888888888 = 11111111111111111", "999999999999999999999999999992 - 888888888888888888888888888888 = 2")]
    public void Nor_on_pages_of_the_longest_numbers(params string[] lines)
    {
        var page = string.Join('\n', Enumerable.Repeat(lines, 6).SelectMany(l => l));
        var sheet = new WorkedSheet { Student = "L", Items = ItemList.TryParse(page, null, out var faults) };
        faults.ShouldBeEmpty();
        MustBeBounded(sheet);
    }

    // Steps that were walked through: what was weighed, each on every item.
    private static void MustBeBounded(WorkedSheet sheet)
    {
        var tried = SheetDiagnosis.Read(sheet).Tried;
        ((tried.Weighed + tried.Unlisted) * (long)sheet.Items.Sum(i => i.Task.Steps)).ShouldBeLessThan(60_000_000, $"{tried}");
    }
}
