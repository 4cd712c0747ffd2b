using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>The same number in another spelling is met by the same rule.</summary>
public class AnswerSpellingTests
{
    private static Reading Read(params (string Task, string Answer)[] items) => SheetDiagnosis.Read(new WorkedSheet
    {
        Student = "S",
        Items = [.. items.Select((item, i) => WorkedItem.Of((i + 1).ToString(), TaskText.TryParse(item.Task).Value!) with { Answer = item.Answer })],
    });

    [Fact]
    public void A_rule_that_comes_to_three_halves_gives_one_and_a_half()
    {
        // -7 is brought to the right as it stands: 13 - 7 = 6, 6/4; 20 - 4 = 16, 16/6; 1 - 9 = -8.
        var reading = Read(
            ("solve 3x + 5 = 20", "x = 5"), ("solve 4x - 7 = 13", "x = 1.5"), ("solve 2x - 9 = 1", "x = -4"), ("solve 5x + 3 = 18", "x = 3"),
            ("solve 6x - 4 = 20", "x = 2 2/3"), ("solve x - 8 = 2", "x = -6"), ("solve 7x + 1 = 15", "x = 2"));
        reading.Best.Hypothesis.RuleIds.ShouldBe(["equations.negative-number-taken-away"]);
        reading.Items.Where(i => i.Verdict == Verdict.Wrong).ShouldAllBe(i => i.Cause == Cause.Bug);
    }

    [Fact]
    public void Right_decimals_for_fractions_ask_for_no_rule() =>
        Read(("1/2 + 1/4", "0.75"), ("3/4 + 1/2", "1.25"), ("1/5 + 2/5", "0.6"), ("1/2 - 1/4", "0.25"), ("3/4 - 1/2", "1/4")).Outcome.ShouldNotBe(Outcome.Unexplained);
}
