using System.Diagnostics;
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

    /// <summary>The longest sheets that are accepted, on which nothing fits, so that everything is tried. The bound is ten times what it takes on an idle machine.</summary>
    [Theory]
    [InlineData("123 + 456", 500)]
    [InlineData("4071 - 386", 500)]
    [InlineData("123 * 45", 200)]
    [InlineData("9580 / 42", 200)]
    [InlineData("12.5 + 3.08", 500)]
    [InlineData("12.5 * 3.08", 200)]
    [InlineData("8.164 / 0.26", 200)]
    [InlineData("-52 - -38", 500)]
    public void No_accepted_sheet_takes_long(string task, int most)
    {
        WorkedSheet? longest = null;
        for (var count = most; longest is null; count -= 5) longest = SheetReader.TryRead(Sheet(count, _ => task), out _);
        longest.Items.Sum(i => i.Effort).ShouldBeGreaterThan(WorkedSheet.MaxEffort / 3);
        var clock = Stopwatch.StartNew();
        SheetDiagnosis.Read(longest);
        clock.Elapsed.TotalSeconds.ShouldBeLessThan(20, task);
    }
}
