using YellowPencil.Core.Bugs;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Inference;

/// <summary>
/// Likelihoods of the items of one sheet. What a rule without a chance on an item says there is what the method without it says, so it is
/// computed once for all of them.
/// </summary>
internal sealed class SheetLikelihood
{
    /// <summary>What the slip that leads to a wrong answer is taken to be before it is looked for.</summary>
    private const double AverageSlip = 0.01;

    /// <summary>On items with more chances, the ways beyond those that already meet the answer are left out.</summary>
    private const int ChancesOfEveryWay = 3;

    /// <summary>The steps of an item of common length.</summary>
    private const int CommonSteps = 80;

    private readonly MethodRun run = new();
    private readonly SlipSearch slips;
    private readonly Dictionary<(int Item, string Rules), IReadOnlyList<SlipExplanation>> slipsFound = [];
    private readonly ItemLikelihood[] taughtRoughly;
    private readonly ItemLikelihood?[] taughtExactly;
    private readonly Lazy<ChanceTable<UnlistedDeviation>> unlisted;
    private readonly Lazy<int> unlistedWithChance;
    private readonly double[] efforts;
    private readonly double totalWeight;
    private readonly double schoolWeight;
    private readonly CancellationToken cancellation;

    /// <param name="items">The stretches of the sheet.</param>
    /// <param name="catalogue">The bugs of the families of the sheet.</param>
    /// <param name="instead">The bugs of the families whose methods come up where another operation is done.</param>
    /// <param name="unlistedRules">The unlisted rules of the families of the sheet.</param>
    /// <param name="school">What the student was taught; null for the usual school.</param>
    /// <param name="schoolWeight">How probable that school is before any evidence.</param>
    /// <param name="cancellation">Ends the work early.</param>
    public SheetLikelihood(
        IReadOnlyList<ItemEvidence> items, IReadOnlyList<Bug> catalogue, IReadOnlyList<Bug> instead, IReadOnlyList<UnlistedDeviation> unlistedRules,
        School? school = null, double schoolWeight = 1, CancellationToken cancellation = default)
    {
        Sound = Hypothesis.SoundIn(school ?? School.Usual);
        this.schoolWeight = schoolWeight;
        this.cancellation = cancellation;
        Items = items;
        slips = new SlipSearch(run);
        Listed = new ChanceTable<Bug>(items, [.. catalogue, .. instead], b => b.Deviations, Sound.Deviations, run);
        ListedCount = catalogue.Count;
        unlisted = new(() => new ChanceTable<UnlistedDeviation>(items, unlistedRules, u => [u.Deviation], Sound.Deviations, run));
        unlistedWithChance = new(() => Unlisted.Rules.Count(Unlisted.HasAny));
        taughtRoughly = [.. items.Select(item => new ItemLikelihood([RoughSlip(Followed(Sound, item))], item.Taught))];
        efforts = [.. items.Select(EffortOf)];
        taughtExactly = new ItemLikelihood?[items.Count];
        totalWeight = catalogue.Sum(b => Priors.Weight(b.Commonness));
    }

    public IReadOnlyList<ItemEvidence> Items { get; }

    /// <summary>The bugs that can show in the families of the sheet, and where they can.</summary>
    public ChanceTable<Bug> Listed { get; }

    /// <summary>The student who works as taught.</summary>
    public Hypothesis Sound { get; }

    /// <summary>How many bugs the families of the sheet have.</summary>
    public int ListedCount { get; }

    /// <summary>The unlisted rules of the families of the sheet, and where they can show; made when it is first needed.</summary>
    public ChanceTable<UnlistedDeviation> Unlisted => unlisted.Value;

    /// <summary>Whether unlisted rules were looked for.</summary>
    public bool IsUnlistedTried => unlisted.IsValueCreated;

    /// <summary>How long an item is beside one of common length: 1 or more.</summary>
    public double Effort(ItemEvidence item) => efforts[item.Index];

    /// <summary>Whether a hypothesis, followed throughout, gives the answer of an item.</summary>
    public bool Gives(Hypothesis hypothesis, ItemEvidence item)
    {
        cancellation.ThrowIfCancellationRequested();
        item.Run(run, hypothesis.Deviations);
        return item.Matches(run);
    }

    /// <summary>
    /// A candidate weighed quickly: of the ways of an item only those that follow every chance, none, or all but one are looked at, and
    /// where none meets the answer, the slip stands at an average value.
    /// </summary>
    public Candidate Rough(Hypothesis hypothesis)
    {
        cancellation.ThrowIfCancellationRequested();
        var first = new Way[Items.Count];
        var predictions = new string[Items.Count];
        var explains = false;
        foreach (var item in Items.Where(i => !IsSilent(hypothesis, i)))
        {
            first[item.Index] = Followed(hypothesis, item);
            predictions[item.Index] = item.Says(run);
            explains |= !item.IsRight && first[item.Index].Match > 0;
        }

        return new Candidate(hypothesis, LogPrior(hypothesis),
            [.. Items.Select(i => first[i.Index].Chances == 0 ? taughtRoughly[i.Index] : new ItemLikelihood(RoughWays(hypothesis, i, first[i.Index], explains), predictions[i.Index]))]);
    }

    /// <summary>The same candidate with every way, and every slip looked for.</summary>
    public Candidate Refine(Candidate rough) => new(rough.Hypothesis, rough.LogPrior, [.. Items.Select(i => Exact(rough.Hypothesis, i))]);

    /// <summary>The altered steps that lead a student, who else follows every chance, to what stands under an item.</summary>
    public IReadOnlyList<SlipExplanation> Slips(ItemEvidence item, Hypothesis hypothesis)
    {
        var key = (item.Index, RulesShown(hypothesis, item));
        if (slipsFound.TryGetValue(key, out var known)) return known;
        cancellation.ThrowIfCancellationRequested();
        return slipsFound[key] = slips.Explain(item, hypothesis.Deviations);
    }

    private double EffortOf(ItemEvidence item)
    {
        Method.Run(item.Task, run, Sound.Deviations);
        return Math.Max(1, (double)run.StepCount / CommonSteps);
    }

    private List<Way> RoughWays(Hypothesis hypothesis, ItemEvidence item, Way followed, bool explains)
    {
        var ways = new List<Way> { followed };
        if (item.IsRight)
        {
            ways.Add(NoneFollowed(hypothesis, item));
        }
        else if (followed.Match == 0)
        {
            for (var i = 0; (explains || followed.Chances == 2) && i < Math.Min(followed.Chances, WayEnumeration.ManyChances); i++)
                ways.Add(Followed(hypothesis, item, 1UL << i));
            if (!ways.Exists(w => w.Match > 0)) return [.. ways.Select(RoughSlip)];
        }

        return ways;
    }

    private static Way RoughSlip(Way way) => way.Match > 0 ? way : way with { Slip = AverageSlip };

    private Way NoneFollowed(Hypothesis hypothesis, ItemEvidence item) => new(TaughtChances(hypothesis, item), 0, taughtRoughly[item.Index].Ways[0].Match, 0);

    /// <summary>The way that follows every chance but the declined ones. The answer is left in the run.</summary>
    private Way Followed(Hypothesis hypothesis, ItemEvidence item, ulong declined = 0)
    {
        item.Run(run, hypothesis.Deviations, declined);
        return WayRun(hypothesis, item, declined);
    }

    // Marks are only worth a second run where the answer is met.
    private Way WayRun(Hypothesis hypothesis, ItemEvidence item, ulong declined)
    {
        var way = new Way(run.Chances, run.Followed, item.Matches(run) ? 1 : 0, 0);
        if (way.Match == 0 || !item.HasMarks) return way;
        item.MakeReady(run, withMarks: true);
        Method.Run(item.Task, run, hypothesis.Deviations, declined);
        item.MakeReady(run);
        return way with { Match = item.MarkLikelihood(run) };
    }

    private ItemLikelihood Exact(Hypothesis hypothesis, ItemEvidence item)
    {
        if (IsSilent(hypothesis, item)) return ExactlyAsTaught(item);
        item.MakeReady(run);
        var ways = new List<Way>();
        string? prediction = null;
        WayEnumeration.Visit(
            item.Task, run, hypothesis.Deviations,
            declined =>
            {
                prediction ??= item.Says(run);
                ways.Add(WayRun(hypothesis, item, declined));
            },
            () => ways[0].Chances > ChancesOfEveryWay && ways.Exists(w => w.Match > 0));
        if (ways[0].Chances == 0) return ExactlyAsTaught(item);
        if (item.IsRight && !ways.Exists(w => w.Followed == 0)) ways.Add(NoneFollowed(hypothesis, item));
        return ways.Exists(w => w.Match > 0)
            ? new ItemLikelihood(ways, prediction!)
            : new ItemLikelihood([.. ways.Select(w => w with { Slip = Slip(w.Followed == 0 ? Sound : hypothesis, item) })], prediction!);
    }

    // Approximation: a slip is as likely where some chances are followed as where all are.
    private double Slip(Hypothesis hypothesis, ItemEvidence item) => Slips(item, hypothesis).Sum(s => s.Probability);

    private ItemLikelihood ExactlyAsTaught(ItemEvidence item) => taughtExactly[item.Index] ??= taughtRoughly[item.Index].IsMet
        ? taughtRoughly[item.Index]
        : new ItemLikelihood([new Way(0, 0, 0, Slip(Sound, item))], item.Taught);

    // Where no rule has a chance, the item is what it is without them.
    private bool IsSilent(Hypothesis hypothesis, ItemEvidence item) => hypothesis.Facts.Count == 0 && TaughtChances(hypothesis, item) == 0;

    /// <summary>The chances that the rules of a student would have on the way of a student without rules.</summary>
    private int TaughtChances(Hypothesis hypothesis, ItemEvidence item) =>
        (hypothesis.Unlisted is { } rule ? Unlisted.OnTaughtWay(rule, item) : 0) + hypothesis.Bugs.Sum(bug => Listed.OnTaughtWay(bug, item));

    private string RulesShown(Hypothesis hypothesis, ItemEvidence item)
    {
        if (IsSilent(hypothesis, item)) return "";
        item.Run(run, hypothesis.Deviations);
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
        var prior = schoolWeight * Priors.Number(hypothesis.Bugs.Count);
        for (var i = 0; i < hypothesis.Bugs.Count; i++)
            prior *= (i + 1) * Priors.Weight(hypothesis.Bugs[i].Commonness) / totalWeight;
        if (hypothesis.Unlisted is not null)
            prior *= Priors.Unlisted / unlistedWithChance.Value;
        foreach (var fact in hypothesis.Facts) prior *= Priors.OneWrongFact * Priors.FactWeight(fact.Fact);
        return Math.Log(prior);
    }
}
