using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>A sheet read without what somebody who knows the student has ruled out, and explanations that somebody brings along.</summary>
public class RejectedTests
{
    private const string TurnsRound = "subtraction.turns-column-round";

    private static WorkedSheet Sheet(params string[] lines) => new() { Student = "R", Items = ItemList.TryParse(string.Join('\n', lines), null, out _)! };

    private static WorkedSheet Turned { get; } = Sheet("604 - 278 = 474", "52 - 38 = 26", "81 - 27 = 66", "935 - 412 = 523", "460 - 135 = 335");

    [Fact]
    public void A_rejected_rule_is_among_the_explanations_neither_alone_nor_beside_others()
    {
        SheetDiagnosis.Read(Turned).Best.Hypothesis.RuleIds.ShouldBe([TurnsRound]);
        var without = SheetDiagnosis.Read(Turned, [TurnsRound]);
        without.Explanations.ShouldAllBe(e => !e.Hypothesis.RuleIds.Contains(TurnsRound));
        without.Explanations.Sum(e => e.Probability).ShouldBeLessThanOrEqualTo(1 + 1e-9);
    }

    // The rule was a choice of another decision when it was rejected.
    [Fact]
    public void A_rule_that_was_rejected_under_an_older_id_stays_rejected()
    {
        const string Now = "unlisted:equations.solution-written/always/with-remainder";
        var sheet = Sheet("solve 8x + 6 = 19 = x = 1 r 5", "solve 3x = 10 = x = 3 r 1", "solve 2x + 5 = 11 = x = 3", "solve 4x - 1 = 8 = x = 2 r 1", "solve 5x = 17 = x = 3 r 2");
        SheetDiagnosis.Read(sheet).Explanations.ShouldContain(e => e.Hypothesis.RuleIds.Contains(Now));
        SheetDiagnosis.Read(sheet, ["unlisted:equations.number-before/always/with-remainder"]).Explanations.ShouldAllBe(e => !e.Hypothesis.RuleIds.Contains(Now));
    }

    [Fact]
    public void The_rest_keep_their_proportions()
    {
        var sheet = Sheet("604 - 278 = 426", "703 - 245 = 558", "805 - 347 = 558", "902 - 456 = 546", "586 - 243 = 343");
        var all = SheetDiagnosis.Read(sheet);
        var rejected = all.BestBug!.Hypothesis.RuleIds[0];
        var left = SheetDiagnosis.Read(sheet, [rejected]);
        var pair = all.Explanations.Where(e => !e.Hypothesis.RuleIds.Contains(rejected) && e.Hypothesis.Bugs.Count == 1).Take(2).ToList();
        var again = pair.ConvertAll(e => left.Explanations.First(o => o.Hypothesis.Key == e.Hypothesis.Key));
        (again[0].Probability / again[1].Probability).ShouldBe(pair[0].Probability / pair[1].Probability, 0.02 * pair[0].Probability / pair[1].Probability);
        again[0].Probability.ShouldBeGreaterThan(pair[0].Probability);
    }

    [Fact]
    public void No_systematic_bug_can_be_ruled_out_too()
    {
        var sheet = Sheet("604 - 278 = 326", "52 - 38 = 14", "81 - 27 = 54", "703 - 245 = 458", "402 - 156 = 246", "560 - 247 = 313", "8005 - 367 = 7638", "900 - 36 = 864", "741 - 328 = 413", "650 - 408 = 242");
        SheetDiagnosis.Read(sheet).Outcome.ShouldBe(Outcome.Sound);
        SheetDiagnosis.Read(sheet, [""]).Outcome.ShouldBe(Outcome.TooFewChances);
    }

    [Theory]
    [InlineData(TurnsRound, 4, 4)]
    [InlineData("subtraction.nobody-lends", 0, 4)] // 604 − 278 would be 436, 52 − 38 is 24, 81 − 27 is 64, 460 − 135 is 335: one agrees
    public void An_explanation_that_is_brought_along_is_counted_on_the_page(string rule, int least, int chances)
    {
        var tried = SheetDiagnosis.Try(Turned, Hypothesis.Of(Catalogue.Find(rule)!));
        tried.ItemsWithChances.ShouldBe(chances);
        tried.ItemsFollowed.ShouldBeGreaterThanOrEqualTo(least);
        tried.Standing(Stand.Agrees, Turned).ShouldBe(rule == TurnsRound ? ["1", "2", "3", "5"] : ["5"]);
    }
}
