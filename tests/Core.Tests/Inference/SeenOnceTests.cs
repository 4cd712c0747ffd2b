using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>One error of another kind beside a rule: the rule is held, the error happened once, and whether it comes again is asked.</summary>
public class SeenOnceTests
{
    private static readonly string[] LinedUpOnTheRight =
        ["4.56 + 3.7 = 4.93", "12.5 + 0.34 = 1.59", "0.8 + 0.15 = 0.23", "2.5 + 1.2 = 3.7", "6.45 - 2.3 = 6.22", "3.25 + 1.4 = 3.39", "5.1 + 2.36 = 2.87", "4.4 - 1.2 = 3.2", "857 / 24 = 35 r 17"];

    private static WorkedSheet Page(params string[] items) => new()
    {
        Student = "S",
        Items = [.. items.Select((text, i) => text.Split(" = ") is var parts ? WorkedItem.Of((i + 1).ToString(), TaskText.TryParse(parts[0]).Value!) with { Answer = parts[1] } : null!)],
    };

    [Fact]
    public void A_rule_is_held_beside_a_single_error_of_another_kind()
    {
        var reading = SheetDiagnosis.Read(Page([.. LinedUpOnTheRight, "624 / 6 = 14"]));
        reading.Outcome.ShouldBe(Outcome.NotToldApart); // no number is whole: 8 - 2.3 tells the two wordings apart
        reading.Explanations.Take(2).SelectMany(e => e.Hypothesis.RuleIds).ShouldBe(["decimal-sums.decimals-lined-up-right", "decimal-sums.right-ends-lined-up"], ignoreOrder: true);
        (reading.Explanations[0].Probability + reading.Explanations[1].Probability).ShouldBeGreaterThan(0.9);
        var division = reading.Items[9];
        (division.Verdict, division.Cause).ShouldBe((Verdict.Wrong, Cause.Slip));
        division.FirstWrongStep!.Text.ShouldStartWith("This once: ");
        reading.SeenOnce.ShouldNotBeEmpty();
        NextItems.For(reading).Select(n => n.Task.Family).ShouldBe([FamilyList.DecimalSums, FamilyList.Division, FamilyList.Division], ignoreOrder: true);
    }

    [Fact]
    public void Three_errors_once_each_are_told_together_and_not_as_rules_put_together()
    {
        var reading = SheetDiagnosis.Read(Page("604 - 278 = 474", "456 + 378 = 834", "47 * 38 = 1786", "624 / 6 = 14", "4.56 + 3.7 = 8.26", "-7 - -12 = -19", "81 - 27 = 54", "23 * 12 = 276"));
        reading.Outcome.ShouldBe(Outcome.TooFewChances);
        reading.OneByOne.ShouldAllBe(e => e.Hypothesis.RuleCount <= 1);
        reading.OnceEach.ShouldBeGreaterThan(0.3);
        var told = ReadingText.Write(reading, []).Split('\n').Where(line => line.Contains(" %  ", StringComparison.Ordinal)).ToList();
        told.Count.ShouldBeLessThanOrEqualTo(4);
        told[^1].ShouldEndWith("what happened once is no rule yet.");
    }

    [Fact]
    public void Seen_twice_it_is_a_second_rule()
    {
        var reading = SheetDiagnosis.Read(Page([.. LinedUpOnTheRight, "624 / 6 = 14", "4212 / 4 = 153", "832 / 8 = 14", "515 / 5 = 13"]));
        reading.Best.Hypothesis.RuleCount.ShouldBe(2);
        reading.Items[9].Cause.ShouldBe(Cause.Bug);
        reading.Items[10].Cause.ShouldBe(Cause.Bug);
    }
}
