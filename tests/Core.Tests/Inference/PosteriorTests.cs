using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>The search and its approximations against the posterior that plain enumeration of a small model gives.</summary>
public class PosteriorTests
{
    private static readonly Bug[] SmallCatalogue =
    [
        .. new[] { "turns-column-round", "zero-below-gives-zero", "lender-unchanged", "stops-when-bottom-ends" }.Select(id => Catalogue.Find("subtraction." + id)!),
    ];

    [Theory]
    [InlineData("52 - 38 = 26", "63 - 40 = 23", "415 - 203 = 212", "81 - 27 = 66")]
    [InlineData("52 - 38 = 24", "63 - 40 = 20", "415 - 203 = 202", "81 - 27 = 64")]
    [InlineData("52 - 38 = 26", "63 - 47 = 16", "91 - 56 = 45")]
    [InlineData("52 - 38 = 14", "63 - 40 = 23", "81 - 27 = 53")]
    [InlineData("645 - 32 = 13", "81 - 27 = 64", "52 - 38 = 24")]
    [InlineData("523 - 168 = 445", "604 - 278 = 474", "952 - 367 = 615")]
    [InlineData("523 - 168 = 355", "604 - 278 = 474", "952 - 367 = 585")]
    [InlineData("523 - 168 = 345", "931 - 457 = 526", "604 - 278 = 326")]
    public void The_search_agrees_with_enumeration(params string[] page)
    {
        var items = ItemList.TryParse(string.Join('\n', page), null, out _).Select((item, i) => ItemEvidence.Of(item, i, [School.Usual]).Single()).ToList();
        var sheet = new SheetLikelihood(items, SmallCatalogue, []);

        var found = new ExplanationSearch(sheet).Search().Where(c => c.Hypothesis is { Unlisted.Count: 0, Facts.Count: 0 }).ToList();
        var largest = found.Max(c => c.LogScore);
        var approximate = found.ToDictionary(c => c.Hypothesis.Key, c => Math.Exp(c.LogScore - largest));
        var sum = approximate.Values.Sum();

        var exact = Exact(items);
        foreach (var (key, probability) in exact.Where(e => e.Value > 0.01))
            (approximate.GetValueOrDefault(key) / sum).ShouldBe(probability, 0.03, $"{key} on {string.Join("; ", page)}");
    }

    /// <summary>Every set of up to three bugs that has chances and is no mere copy of a smaller one, with every way and every slip.</summary>
    private static Dictionary<string, double> Exact(List<ItemEvidence> items)
    {
        var weights = new Dictionary<string, double>();
        var signatures = new HashSet<string>();
        foreach (var set in Subsets().OrderBy(s => s.Length))
        {
            var hypothesis = new Hypothesis(set, [], []);
            var run = new MethodRun();
            var predictions = string.Join('|', items.Select(i =>
            {
                Method.Run(i.Task, run, hypothesis.Deviations);
                return run.Page.Answer.ToString();
            }));
            var copies = set.Any(b => signatures.Contains(string.Join('+', new Hypothesis([.. set.Where(x => x != b)], [], []).RuleIds) + ":" + predictions));
            signatures.Add(hypothesis.Key + ":" + predictions);
            if (copies) continue;
            var total = 0.0;
            foreach (var (consistency, cw) in Priors.Consistency)
                foreach (var (slipRate, sw) in Priors.SlipRate)
                    total += cw * sw * items.Aggregate(1.0, (product, item) => product * Likelihood(item, hypothesis.Deviations, consistency, slipRate));
            weights[hypothesis.Key] = Prior(set) * total;
        }

        var sum = weights.Values.Sum();
        return weights.ToDictionary(w => w.Key, w => w.Value / sum);
    }

    private static IEnumerable<Bug[]> Subsets() =>
        Enumerable.Range(0, 16).Select(mask => SmallCatalogue.Where((_, i) => (mask >> i & 1) == 1).ToArray()).Where(s => s.Length <= 3);

    private static double Prior(Bug[] set)
    {
        var all = SmallCatalogue.Sum(b => Priors.Weight(b.Commonness));
        var orders = set.Length switch { 2 => 2, 3 => 6, _ => 1 };
        return set.Aggregate(Priors.Number(set.Length) * orders, (p, bug) => p * Priors.Weight(bug.Commonness) / all);
    }

    private static double Likelihood(ItemEvidence item, DeviationSet student, double consistency, double slipRate)
    {
        var run = new MethodRun { Recording = true };
        var slipped = new MethodRun();
        double sum = 0;
        Branch(0, 0);
        return sum + slipRate * Priors.OtherSlip;

        void Branch(ulong declined, int decided)
        {
            Method.Run(item.Task, run, student, declined);
            if (decided < run.Chances)
            {
                Branch(declined, decided + 1);
                Branch(declined | 1UL << decided, decided + 1);
                return;
            }

            var weight = Priors.Following(consistency, run.Chances, run.Followed);
            if (run.Page.Answer.SequenceEqual(item.Answer)) sum += weight * (1 - slipRate);
            double all = 0, meeting = 0;
            foreach (var (slip, slipWeight) in run.Steps.SelectMany(SlipSearch.Alterations).ToList())
            {
                all += slipWeight;
                Method.Run(item.Task, slipped, student, declined, slip);
                if (slipped.Page.Answer.SequenceEqual(item.Answer)) meeting += slipWeight;
            }

            sum += weight * slipRate * Priors.SlipIsOneStep * meeting / all;
        }
    }
}
