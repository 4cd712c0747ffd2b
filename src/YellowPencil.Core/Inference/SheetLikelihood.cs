using YellowPencil.Core.Bugs;
using YellowPencil.Core.Procedures;

namespace YellowPencil.Core.Inference;

/// <summary>Likelihoods of the items of one sheet, computed once per item and set of rules that show on it.</summary>
internal sealed class SheetLikelihood
{
    private const int MostWaysWithOwnSlips = 4;

    private readonly MethodRun run = new();
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

    /// <summary>The items where a hypothesis shows at least one chance when it is followed throughout, counted by rule.</summary>
    public int[] ItemsWithChances(Hypothesis hypothesis)
    {
        var items = new int[hypothesis.RuleCount];
        foreach (var item in Items)
        {
            Method.Run(item.Task, run, hypothesis.Deviations);
            for (var rule = 0; rule < items.Length; rule++)
                if (run.ChancesOf(rule) > 0) items[rule]++;
        }

        return items;
    }

    /// <summary>Whether a hypothesis, followed throughout, gives the answer of an item.</summary>
    public bool Gives(DeviationSet set, ItemEvidence item)
    {
        run.KeepsMarks = false;
        Method.Run(item.Task, run, set);
        return item.Matches(run);
    }

    /// <summary>A candidate without slips on its rules: where no way meets the answer, the slip stands at an average value.</summary>
    public Candidate Rough(Hypothesis hypothesis) => new(hypothesis, LogPrior(hypothesis), [.. Items.Select(i => Likelihood(hypothesis, i, exactSlips: false))]);

    /// <summary>The same candidate with every slip looked for.</summary>
    public Candidate Refine(Candidate rough) => new(rough.Hypothesis, rough.LogPrior, [.. Items.Select((item, i) =>
        rough.Items[i].IsMet ? rough.Items[i] : Likelihood(rough.Hypothesis, item, exactSlips: true))]);

    /// <summary>The altered steps that lead a student to what stands under an item.</summary>
    public IReadOnlyList<SlipExplanation> Slips(ItemEvidence item, Hypothesis hypothesis) => slips.Explain(item, hypothesis.Deviations);

    private ItemLikelihood Likelihood(Hypothesis hypothesis, ItemEvidence item, bool exactSlips)
    {
        const double averageSlip = 0.01;
        run.KeepsMarks = item.HasMarks;
        Method.Run(item.Task, run, hypothesis.Deviations);

        // Where no rule has a chance, the item is what it is without them.
        if (run.Chances == 0 && taught is not null) return taught.Items[item.Index];
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
            ways.Add(new Way(run.Chances, run.Followed, item.Matches(run) ? item.MarkLikelihood(run) : 0, 0));
        });
        if (!ways.Exists(w => w.Match > 0))
            for (var i = 0; i < ways.Count; i++)
                ways[i] = ways[i] with { Slip = exactSlips ? SlipOn(ways[i], i, declinedOf[i], ways.Count) : averageSlip };
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
