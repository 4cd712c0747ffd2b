using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>A short page of a student of whom older pages are known.</summary>
public sealed class KnownBeforeTests
{
    private const string Turns = "subtraction.turns-column-round";

    private static readonly KnownBefore FollowedIt = KnownBefore.From([new Dictionary<string, double> { [Turns] = 0.96, [""] = 0.01 }]);

    private static Reading Read(KnownBefore known, params string[] lines) =>
        SheetDiagnosis.Read(new WorkedSheet { Student = "K-17", Items = ItemList.TryParse(string.Join('\n', lines), null, out _)! }, [], known);

    [Fact]
    public void The_newest_page_counts_twice_as_much_as_the_one_before_and_all_together_half()
    {
        FollowedIt.Shares.ShouldBe(new Dictionary<string, double> { [Turns] = 0.48 });
        var shares = KnownBefore.From([new Dictionary<string, double> { [""] = 0.9 }, new Dictionary<string, double> { [Turns] = 0.9 }, new Dictionary<string, double> { [Turns] = 0.9 }]).Shares;
        shares[""].ShouldBe(0.2571, "0.5 × 0.9 × 4/7");
        shares[Turns].ShouldBe(0.1929, "0.5 × 0.9 × 3/7");
        KnownBefore.From([]).Shares.ShouldBeEmpty();
    }

    [Fact]
    public void What_was_kept_under_an_older_id_counts_for_the_rule_of_today()
    {
        var known = new KnownBefore(new Dictionary<string, double>
        {
            ["unlisted:polynomials.like-terms/power/sum-powers-added+polynomials.minus-ignored"] = 0.25,
            ["unlisted:polynomials.power-of-like/power/added+polynomials.minus-ignored"] = 0.125,
            [""] = 0.0625,
        });
        known.Shares.ShouldBe(new Dictionary<string, double> { ["unlisted:polynomials.power-of-like/power/added+polynomials.minus-ignored"] = 0.375, [""] = 0.0625 });
    }

    [Fact]
    public void A_rule_that_was_found_before_is_found_again_where_a_short_page_alone_does_not_tell()
    {
        string[] check = ["52 - 38 = 26", "604 - 271 = 333", "81 - 27 = 66", "75 - 32 = 43"];
        Read(KnownBefore.Nothing, check).Outcome.ShouldNotBe(Outcome.Bug);
        var reading = Read(FollowedIt, check);
        reading.Outcome.ShouldBe(Outcome.Bug);
        reading.Best.Hypothesis.RuleIds.ShouldBe([Turns]);
    }

    [Fact]
    public void What_is_gone_is_gone_and_what_came_instead_is_found()
    {
        string[] gone = ["52 - 38 = 14", "604 - 278 = 326", "81 - 27 = 54", "75 - 32 = 43", "503 - 267 = 236"];
        var right = Read(FollowedIt, gone);
        right.Best.IsSound.ShouldBeTrue();
        right.Explanations.Where(e => e.Hypothesis.RuleIds.Contains(Turns)).Sum(e => e.Probability).ShouldBeLessThan(0.03);
        string[] other = ["52 - 38 = 24", "604 - 278 = 436", "81 - 27 = 64", "75 - 32 = 43", "93 - 46 = 57"];
        Read(FollowedIt, other).Best.Hypothesis.RuleIds.ShouldNotContain(Turns);
    }

    [Fact]
    public void Where_nothing_is_known_a_page_reads_as_ever_and_what_no_catalogue_knows_says_nothing()
    {
        string[] page = ["52 - 38 = 26", "604 - 278 = 474", "81 - 27 = 66", "93 - 46 = 53"];
        var alone = Read(KnownBefore.Nothing, page);
        alone.Best.Probability.ShouldBe(SheetDiagnosis.Read(alone.Sheet).Best.Probability);
        Read(new KnownBefore(new Dictionary<string, double> { ["subtraction.of-another-time"] = 0.4 }), page).Best.Hypothesis.RuleIds.ShouldBe([Turns]);
        Read(new KnownBefore(new Dictionary<string, double> { ["fractions.across"] = 0.4 }), page).Best.Hypothesis.RuleIds.ShouldBe([Turns], "a rule of another family has no chance here");
    }

    /// <summary>Checks of five items, of students who still follow the rule and of those who do not any more: what is known makes more of them plain, and none wrong.</summary>
    [Fact]
    public void Short_checks_are_read_more_often_and_not_more_often_wrongly()
    {
        string[] tasks = ["52 - 38", "604 - 271", "81 - 36", "75 - 32", "460 - 128"];
        var (alone, withKnown, wrong) = (0, 0, 0);
        for (var seed = 1; seed <= 20; seed++)
        {
            foreach (var follows in new[] { true, false })
            {
                var student = new SimulatedStudent(follows ? Hypothesis.Parse(Turns)! : Hypothesis.Sound, 0.9, 0.05, seed);
                var sheet = new WorkedSheet { Student = "S", Items = [.. tasks.Select((t, i) => student.Write($"{i + 1}", TaskText.TryParse(t).Value!))] };
                bool IsTold(Reading r) => follows ? r.Best.Hypothesis.RuleIds.Contains(Turns) && r.Best.Probability >= SheetDiagnosis.Threshold : r.Best.IsSound && r.Best.Probability >= 0.5;
                if (IsTold(SheetDiagnosis.Read(sheet))) alone++;
                var reading = SheetDiagnosis.Read(sheet, [], FollowedIt);
                if (IsTold(reading)) withKnown++;
                if (!follows && reading.Outcome == Outcome.Bug) wrong++;
            }
        }

        withKnown.ShouldBeGreaterThan(alone);
        wrong.ShouldBe(0);
    }
}
