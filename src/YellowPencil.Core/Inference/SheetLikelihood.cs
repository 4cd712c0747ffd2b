using YellowPencil.Core.Bugs;
using YellowPencil.Core.Procedures;

namespace YellowPencil.Core.Inference;

/// <summary>Likelihoods of the items of one sheet, computed once per item and set of rules that show on it.</summary>
internal sealed class SheetLikelihood
{
    private const int MostWaysWithOwnSlips = 4;

    /// <summary>What the slip that leads to a wrong answer is taken to be before it is looked for.</summary>
    private const double AverageSlip = 0.01;

    private readonly MethodRun run = new();
    private readonly ChanceWatch watch;
    private readonly Dictionary<object, int> ruleIndex;
    private readonly int[][] taughtChances;
    private readonly SlipSearch slips;
    private readonly Dictionary<(int Item, string Rules, ulong Declined), double> slipsFound = [];
    private readonly double totalWeight;
    private readonly Candidate? taught;

    public SheetLikelihood(IReadOnlyList<ItemEvidence> items, IReadOnlyList<Bug> catalogue, IReadOnlyList<UnlistedDeviation> unlisted)
    {
        Items = items;
        Catalogue = catalogue;
        Unlisted = unlisted;
        slips = new SlipSearch(run);
        IReadOnlyList<object> rules = [.. catalogue, .. unlisted];
        ruleIndex = rules.Select((rule, i) => (rule, i)).ToDictionary(r => r.rule, r => r.i);
        watch = new ChanceWatch([.. catalogue.Select(b => b.Deviations), .. unlisted.Select(u => (IReadOnlyList<Deviation>)[u.Deviation])]);
        taughtChances = [.. items.Select(item => ChancesUnder(DeviationSet.Taught, item))];
        totalWeight = catalogue.Sum(b => Priors.Weight(b.Commonness));
        taught = Refine(Rough(Hypothesis.Sound));
    }

    public IReadOnlyList<ItemEvidence> Items { get; }

    /// <summary>The bugs that can show in the families of the sheet.</summary>
    public IReadOnlyList<Bug> Catalogue { get; }

    /// <summary>The unlisted rules of the families of the sheet.</summary>
    public IReadOnlyList<UnlistedDeviation> Unlisted { get; }

    /// <summary>The student without bugs, refined.</summary>
    public Candidate Taught => taught!;

    /// <summary>Whether a listed bug has a chance to show on some item of the sheet.</summary>
    public bool HasChance(Bug bug) => taughtChances.Any(chances => chances[ruleIndex[bug]] > 0);

    /// <summary>
    /// The rules among the given ones that have a chance on at least so many of the items when they are added to a student: the others
    /// would change nothing there.
    /// </summary>
    public IEnumerable<T> WithChance<T>(IReadOnlyList<T> rules, DeviationSet student, IReadOnlyList<ItemEvidence> items, int least)
        where T : class
    {
        var counts = new int[ruleIndex.Count];
        foreach (var item in items)
        {
            var chances = ChancesUnder(student, item);
            for (var i = 0; i < counts.Length; i++)
                if (chances[i] > 0) counts[i]++;
        }

        return rules.Where(rule => counts[ruleIndex[rule]] >= least);
    }

    /// <summary>Whether a hypothesis, followed throughout, gives the answer of an item.</summary>
    public bool Gives(DeviationSet set, ItemEvidence item)
    {
        run.KeepsMarks = false;
        Method.Run(item.Task, run, set);
        return item.Matches(run);
    }

    /// <summary>
    /// A candidate weighed quickly: of the ways of an item only those that follow every chance, none, or all but one are looked at, and
    /// where none meets the answer, the slip stands at an average value.
    /// </summary>
    public Candidate Rough(Hypothesis hypothesis) => new(hypothesis, LogPrior(hypothesis), [.. Items.Select(i => Quick(hypothesis, i))]);

    /// <summary>The same candidate with every way, and every slip looked for.</summary>
    public Candidate Refine(Candidate rough) => new(rough.Hypothesis, rough.LogPrior, [.. Items.Select(i => Exact(rough.Hypothesis, i))]);

    /// <summary>The altered steps that lead a student to what stands under an item.</summary>
    public IReadOnlyList<SlipExplanation> Slips(ItemEvidence item, Hypothesis hypothesis) => slips.Explain(item, hypothesis.Deviations);

    private int[] ChancesUnder(DeviationSet student, ItemEvidence item)
    {
        watch.Clear();
        Method.Run(item.Task, run, student, watching: watch);
        var chances = new int[ruleIndex.Count];
        for (var i = 0; i < chances.Length; i++) chances[i] = watch.ChancesOf(i);
        return chances;
    }

    /// <summary>The chances that the rules of a student would have on the way of a student without rules.</summary>
    private int TaughtChances(Hypothesis hypothesis, ItemEvidence item)
    {
        var chances = hypothesis.Unlisted is { } unlisted && ruleIndex.TryGetValue(unlisted, out var index) ? taughtChances[item.Index][index] : 0;
        foreach (var bug in hypothesis.Bugs) chances += ruleIndex.TryGetValue(bug, out var of) ? taughtChances[item.Index][of] : 0;
        return chances;
    }

    // Where no rule has a chance, the item is what it is without them.
    private bool IsSilent(Hypothesis hypothesis, ItemEvidence item) =>
        taught is not null && hypothesis.Facts.Count == 0 && TaughtChances(hypothesis, item) == 0;

    private ItemLikelihood Quick(Hypothesis hypothesis, ItemEvidence item)
    {
        if (IsSilent(hypothesis, item)) return taught!.Items[item.Index];
        run.KeepsMarks = item.HasMarks;
        Method.Run(item.Task, run, hypothesis.Deviations);
        if (run.Chances == 0 && taught is not null) return taught.Items[item.Index];
        var prediction = run.Answer.ToString();
        var chances = run.Chances;
        var ways = new List<Way> { WayOf(item) };
        if (item.IsRight && taught is not null)
            ways.Add(new Way(TaughtChances(hypothesis, item), 0, taught.Items[item.Index].Ways[0].Match, 0));
        else if (ways[0].Match == 0)
            for (var i = 0; i < Math.Min(chances, MethodRun.MaxChances); i++)
            {
                Method.Run(item.Task, run, hypothesis.Deviations, 1UL << i);
                ways.Add(WayOf(item));
            }

        if (!ways.Exists(w => w.Match > 0))
            for (var i = 0; i < ways.Count; i++) ways[i] = ways[i] with { Slip = AverageSlip };
        return new ItemLikelihood(ways, prediction);
    }

    private Way WayOf(ItemEvidence item) => new(run.Chances, run.Followed, item.Matches(run) ? item.MarkLikelihood(run) : 0, 0);

    private ItemLikelihood Exact(Hypothesis hypothesis, ItemEvidence item)
    {
        if (IsSilent(hypothesis, item)) return taught!.Items[item.Index];
        run.KeepsMarks = item.HasMarks;
        var ways = new List<Way>();
        var declinedOf = new List<ulong>();
        string? prediction = null;
        var rules = "";
        WayEnumeration.Visit(item.Task, run, hypothesis.Deviations, declined =>
        {
            if (declined == 0)
            {
                prediction = run.Answer.ToString();
                rules = RulesShown(hypothesis);
            }

            declinedOf.Add(declined);
            ways.Add(WayOf(item));
        });
        if (!ways.Exists(w => w.Match > 0))
            for (var i = 0; i < ways.Count; i++)
                ways[i] = ways[i] with { Slip = SlipOn(ways[i], i, declinedOf[i], ways.Count) };
        return new ItemLikelihood(ways, prediction!);

        // Approximation: with many ways, a slip is looked for where every chance is followed and where none is, and taken to
        // be as likely on the others as where every chance is followed.
        double SlipOn(Way way, int index, ulong declined, int count) =>
            way.Followed == 0 ? Slip(item, Hypothesis.Sound, "", 0)
            : index == 0 || count > MostWaysWithOwnSlips ? Slip(item, hypothesis, rules, 0)
            : Slip(item, hypothesis, rules, declined);
    }

    private double Slip(ItemEvidence item, Hypothesis hypothesis, string rules, ulong declined)
    {
        if (slipsFound.TryGetValue((item.Index, rules, declined), out var known)) return known;
        var found = slips.Explain(item, hypothesis.Deviations, declined).Sum(s => s.Probability);
        return slipsFound[(item.Index, rules, declined)] = found;
    }

    // Rules without a chance on the item predict what the method without them predicts.
    private string RulesShown(Hypothesis hypothesis)
    {
        if (run.Chances == 0) return "";
        var ids = hypothesis.RuleIds;
        var shown = "";
        for (var owner = 0; owner < hypothesis.Deviations.OwnerCount; owner++)
            if (run.ChancesOf(owner) > 0)
                shown += owner < ids.Count ? ids[owner] + "+" : hypothesis.Facts[owner - ids.Count].Fact + "=" + hypothesis.Facts[owner - ids.Count].Written + "+";
        return shown;
    }

    private double LogPrior(Hypothesis hypothesis)
    {
        var prior = Priors.Number(hypothesis.Bugs.Count);
        for (var i = 0; i < hypothesis.Bugs.Count; i++)
            prior *= (i + 1) * Priors.Weight(hypothesis.Bugs[i].Commonness) / totalWeight;
        if (hypothesis.Unlisted is not null)
            prior *= Priors.SomethingElse * Priors.Unlisted / Unlisted.Count;
        foreach (var _ in hypothesis.Facts) prior *= Priors.OneWrongFact;
        return Math.Log(prior);
    }
}
