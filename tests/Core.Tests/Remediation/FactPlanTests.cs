using System.Text.RegularExpressions;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Tests.Remediation;

public class FactPlanTests
{
    public static TheoryData<FactKind> Kinds => [FactKind.Plus, FactKind.Minus, FactKind.Times, FactKind.DividedBy];

    private static IEnumerable<NumberFact> Facts(FactKind kind) =>
        from a in Enumerable.Range(2, 9)
        from b in Enumerable.Range(2, 9)
        select kind switch { FactKind.Minus => new NumberFact(kind, a + b, b), FactKind.DividedBy => new NumberFact(kind, a * b, b), _ => new NumberFact(kind, a, b) };

    // Every "x + y = z" of a way is worked by plain arithmetic, and the last one comes to the fact.
    [Theory]
    [MemberData(nameof(Kinds))]
    public void Every_way_is_right_and_leads_to_the_fact(FactKind kind)
    {
        foreach (var fact in Facts(kind))
        {
            var ways = FactPlan.WaysTo(fact);
            ways.ShouldNotBeEmpty(fact.ToString());
            foreach (var way in ways)
            {
                var sums = Regex.Matches(way.Text, @"(\d+) ([+−×]) (\d+) = (\d+)");
                sums.Count.ShouldBeGreaterThan(0);
                foreach (Match sum in sums)
                {
                    var (one, other) = (int.Parse(sum.Groups[1].Value), int.Parse(sum.Groups[3].Value));
                    (sum.Groups[2].Value switch { "+" => one + other, "−" => one - other, _ => one * other }).ToString().ShouldBe(sum.Groups[4].Value, $"{fact}: {way.Text}");
                }

                Regex.Matches(way.Text, @"\d+")[^1].Value.ShouldBe((kind == FactKind.DividedBy ? fact.First : fact.Value).ToString(), way.Text);
                way.From.ShouldNotBe(fact.Ordered);
            }
        }
    }

    [Fact]
    public void A_fact_that_was_found_is_reached_from_one_that_the_page_shows_and_checked_at_growing_distances()
    {
        // 7 × 8 is taken to be 54 throughout; 6 × 8 and 7 × 7 are right.
        var reading = SheetDiagnosis.Read(new WorkedSheet
        {
            Student = "K",
            Items = ItemList.TryParse("47 * 8 = 374\n87 * 3 = 261\n68 * 7 = 474\n37 * 8 = 294\n36 * 8 = 288\n57 * 7 = 399\n78 * 7 = 544\n46 * 5 = 230", null, out _),
        });
        var found = reading.Facts.Single();
        (found.Fact.Ordered.ToString(), found.Written).ShouldBe(("7 * 8", 54));
        var plan = new FactPlan(reading, found);
        plan.Ways[0].IsKnown.ShouldBeTrue();
        plan.Ways[0].Text.ShouldBe("6 × 8 = 48, and 48 + 8 = 56.");
        plan.KnownNeighbours.Select(f => f.ToString()).ShouldContain("6 * 8");
        plan.Checks.Select(c => c.Day).ShouldBe([0, 1, 3, 7, 14, 28]);
        plan.Checks.ShouldAllBe(c => c.Questions.Any(q => q.Answer == "56") && c.Questions.Count >= 3);
        FactPlan.Say(plan.Fact).ShouldBe("7 × 8 = 56");
    }

    [Theory]
    [InlineData("7 * 8", "Count in steps of 8: 8, 16, 24, 32, 40, 48, 56. That is 7 counts.")]
    [InlineData("14 - 5", "Start at 14 and count 5 back: 13, 12, 11, 10, 9.")]
    [InlineData("6 + 9", "Start at 9 and count 6 on: 10, 11, 12, 13, 14, 15.")]
    [InlineData("26 / 6", "Count in steps of 6: 6, 12, 18, 24. That is 4 counts, and one more is above 26.")]
    public void A_classroom_that_counts_has_a_way_that_counts(string fact, string way) => FactPlan.Counted(NumberFact.Parse(fact)).Single().Text.ShouldBe(way);
}
