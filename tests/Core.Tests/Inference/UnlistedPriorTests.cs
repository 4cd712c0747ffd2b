using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Divisions;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>How probable rules outside the catalogue are before any evidence, and what comes of it on a page.</summary>
public class UnlistedPriorTests
{
    public static TheoryData<Family> Families => [.. FamilyList.All];

    [Theory]
    [MemberData(nameof(Families))]
    public void Rules_of_one_length_share_what_their_length_has(Family family)
    {
        var points = TaughtFamily.Of(family).Decisions;
        var prior = new UnlistedPrior(points, Catalogue.Of(family));
        var named = points.Where(p => p.ChoiceCount > 0).SelectMany(p => p.AllDeviations()).Sum(rule => prior.Of(rule.Deviation, rule.Length));

        // What one of many choices does is no rule of its own, and its share is nobody's.
        named.ShouldBeInRange(0.8 * Priors.UnlistedOf(RuleLength.Named), Priors.UnlistedOf(RuleLength.Named) + 1e-9);
    }

    [Fact]
    public void A_common_wrong_choice_in_fewer_contexts_is_likelier_than_an_odd_one()
    {
        var prior = new UnlistedPrior(TaughtFamily.Of(FamilyList.Named("division")).Decisions, Catalogue.Of(FamilyList.Named("division")));
        var (roundsUp, overHundred) = (DivisionDecisions.Written.FindDeviation("half", "round-up")!, DivisionDecisions.Written.FindDeviation("half", "over-hundred")!);
        prior.Of(roundsUp.Deviation, roundsUp.Length).ShouldBeGreaterThan(3 * prior.Of(overHundred.Deviation, overHundred.Length));
    }

    // Rounds up where half of the divisor or more is left (13 of 14, 3 of 4, 2 of 4), and writes a smaller remainder (1 of 6, 10 of 37, 3 of 7, 1 of 3).
    [Fact]
    public void A_listed_rule_that_is_followed_in_some_contexts_only_is_found_with_them()
    {
        var reading = SheetDiagnosis.Read(new WorkedSheet
        {
            Student = "K-17",
            Items = ItemList.TryParse("3451 / 6 = 575 r 1\n9001 / 37 = 243 r 10\n4633 / 14 = 331\n2130 / 3 = 710\n3563 / 4 = 891\n2453 / 7 = 350 r 3\n1482 / 4 = 371\n5355 / 35 = 153\n2632 / 3 = 877 r 1", null, out _),
        });
        reading.Outcome.ShouldBe(Outcome.Bug);
        reading.Best.Hypothesis.RuleIds.ShouldBe(["unlisted:division.remainder/half/round-up"]);
        reading.Best.CountText.ShouldBe("3 of 3 items");
    }

    // Two slips of sound work, one too many each, in columns with a 9 (466 + 795 is 1261, 257 + 985 is 1242); a third such column is right.
    [Fact]
    public void Two_slips_that_some_odd_rule_gives_are_not_held_for_it() => SheetDiagnosis.Read(new WorkedSheet
    {
        Student = "K-17",
        Items = ItemList.TryParse("466 + 795 = 1271\n257 + 985 = 1342\n394 + 278 = 672\n48 + 37 = 85\n263 + 518 = 781\n704 + 168 = 872\n586 + 247 = 833\n65 + 28 = 93\n347 + 468 = 815\n758 + 164 = 922", null, out _),
    }).Outcome.ShouldBe(Outcome.TooFewChances);
}
