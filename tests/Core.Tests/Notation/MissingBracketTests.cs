using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Notation;

/// <summary>A bracket that was forgotten is put back where it can only have stood in one place, and that is said.</summary>
public class MissingBracketTests
{
    [Theory]
    [InlineData("(x + 3(x - 7)", "(x + 3)(x - 7)")]
    [InlineData("x + 3)(x - 7)", "(x + 3)(x - 7)")]
    [InlineData("2(x + 3 = 10", "2(x + 3) = 10")]
    [InlineData("3(x + 2 - 4(x − 1) = 7", "3(x + 2) - 4(x - 1) = 7")]
    [InlineData("(4x^2 - 3x) - (x^2 - 5", "(4x^2 - 3x) - (x^2 - 5)")]
    [InlineData("2x + 3) = 10", null)] // (2x + 3) or 2(x + 3)
    [InlineData("2(x^2 + 3x + 1", null)] // the 1 may stand inside or outside
    [InlineData("(x + 3)(x - 7)", null)]
    [InlineData("(x + 3(x - 7", null)]
    [InlineData("(x", null)]
    [InlineData("x + 3", null)]
    [InlineData("(", null)]
    [InlineData("", null)]
    public void A_bracket_is_put_back(string text, string? whole) => MissingBracket.PutBack(text).ShouldBe(whole);

    [Fact]
    public void Lines_and_answers_are_read_with_it_and_the_reading_says_so()
    {
        WorkedItem[] items =
        [
            WorkedItem.Of("1", TaskText.TryParse("factor x^2 - 4x - 21").Value!) with { Answer = "(x + 3(x - 7)" },
            WorkedItem.Of("2", TaskText.TryParse("solve 2(x + 3) = 4x").Value!) with { Answer = "x = 3", Work = Work.None.With(WorkFields.Lines, ["2(x + 3 = 4x", "2x + 6 = 4x"]) },
            WorkedItem.Of("3", TaskText.TryParse("factor x^2 + 5x + 6").Value!) with { Answer = "(x + 2)(x + 3)" },
        ];
        var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "B", Items = items });
        reading.Items.Select(i => i.Verdict).ShouldAllBe(v => v == Verdict.Right);
        PageNotes.For(reading).ShouldHaveSingleItem().Text.ShouldBe("In items 1 and 2 a bracket is missing; read as (x + 3)(x − 7), 2(x + 3) = 4x.");
    }
}
