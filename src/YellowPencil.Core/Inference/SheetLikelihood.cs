using YellowPencil.Core.Families;
using YellowPencil.Core.Parts;

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

    /// <summary>Up to this effort a sheet is an ordinary one: about thirty items of common length.</summary>
    private const double OrdinaryEffort = 30;

    private readonly MethodRun run = new();
    private readonly MethodRun trace = new() { Recording = true };
    private readonly SlipSearch slips;
    private readonly Dictionary<(int Item, string Rules), IReadOnlyList<SlipExplanation>> slipsFound = [];
    private readonly ItemLikelihood[] taughtRoughly;
    private readonly ItemLikelihood?[] taughtExactly;
    private readonly Dictionary<string, StudentTrees> trees = [];
    private readonly HashSet<Bug> inside;
    private readonly double[] efforts;
    private readonly double totalWeight;
    private readonly double schoolWeight;
    private readonly CancellationToken cancellation;

    /// <param name="items">The stretches of the sheet.</param>
    /// <param name="catalogue">The bugs of the families of the sheet.</param>
    /// <param name="instead">The bugs of the families whose methods come up where another operation is done.</param>
    /// <param name="inside">The bugs of the methods by which numbers inside the workings are dealt with.</param>
    /// <param name="school">What the student was taught; null for the usual school.</param>
    /// <param name="schoolWeight">How probable that school is before any evidence.</param>
    /// <param name="known">What older pages say of the student; null for nothing.</param>
    /// <param name="cancellation">Ends the work early.</param>
    public SheetLikelihood(
        IReadOnlyList<ItemEvidence> items, IReadOnlyList<Bug> catalogue, IReadOnlyList<Bug> instead, IReadOnlyList<Bug>? inside = null,
        School? school = null, double schoolWeight = 1, KnownBefore? known = null, CancellationToken cancellation = default)
    {
        Known = known ?? KnownBefore.Nothing;
        Sound = Hypothesis.SoundIn(school ?? School.Usual);
        this.schoolWeight = schoolWeight;
        this.cancellation = cancellation;
        Items = items;
        slips = new SlipSearch(run);
        Listed = new ChanceTable<Bug>(items, [.. catalogue, .. instead, .. inside ?? []], b => b.Deviations, Sound.Deviations, run);
        this.inside = [.. inside ?? []];
        ListedCount = catalogue.Count;
        Points = [.. items.Select(i => i.Task.Family).Distinct().SelectMany(f => TaughtFamily.Of(f).Decisions).Distinct()];
        Unlisted = new UnlistedPrior(Points, catalogue);
        taughtRoughly = [.. items.Select(item => new ItemLikelihood([RoughSlip(Followed(Sound, item))], item.Taught))];
        efforts = [.. items.Select(EffortOf)];
        taughtExactly = new ItemLikelihood?[items.Count];
        totalWeight = Math.Max(1, catalogue.Sum(b => Priors.Weight(b.Commonness)));
    }

    public IReadOnlyList<ItemEvidence> Items { get; }

    /// <summary>The families of what was set.</summary>
    public IReadOnlyList<Family> Families => families ??= [.. Items.Select(i => i.Item.Task.Family).Distinct()];

    private IReadOnlyList<Family>? families;

    /// <summary>The bugs that can show in the families of the sheet, and where they can.</summary>
    public ChanceTable<Bug> Listed { get; }

    /// <summary>What older pages say of the student.</summary>
    public KnownBefore Known { get; }

    /// <summary>Whether a bug is one of a method by which numbers inside the workings are dealt with.</summary>
    public bool IsBeside(Bug bug) => inside.Contains(bug);

    /// <summary>The student who works as taught.</summary>
    public Hypothesis Sound { get; }

    /// <summary>How many bugs the families of the sheet have.</summary>
    public int ListedCount { get; }

    /// <summary>The decision points of the families of the sheet.</summary>
    public IReadOnlyList<Decision> Points { get; }

    /// <summary>How probable the rules outside the catalogue are before any evidence.</summary>
    public UnlistedPrior Unlisted { get; }

    /// <summary>Ends the work if somebody asked for that.</summary>
    public void ThrowIfCancelled() => cancellation.ThrowIfCancellationRequested();

    /// <summary>The ways of a student through the items of the sheet with one more rule.</summary>
    public StudentTrees TreesOf(Hypothesis student) =>
        trees.TryGetValue(student.Key, out var known) ? known : trees[student.Key] = new StudentTrees(Items, student.Deviations, run);

    /// <summary>How long an item is beside one of common length: 1 or more.</summary>
    public double Effort(ItemEvidence item) => efforts[item.Index];

    /// <summary>So many of something as can be afforded: fewer on a sheet that takes more work than an ordinary one.</summary>
    /// <param name="usual">How many on an ordinary sheet.</param>
    /// <param name="least">How many at the least.</param>
    public int Affordable(int usual, int least) => Math.Max(least, (int)(usual * OrdinaryEffort / Math.Max(OrdinaryEffort, efforts.Sum())));

    /// <summary>Whether a hypothesis, followed throughout, gives the answer of an item.</summary>
    public bool Gives(Hypothesis hypothesis, ItemEvidence item)
    {
        cancellation.ThrowIfCancellationRequested();
        foreach (var outcome in hypothesis.Outcomes)
        {
            item.Run(run, outcome.Deviations);
            if (item.Matches(run)) return true;
        }

        return false;
    }

    /// <summary>
    /// A candidate weighed quickly: of the ways of an item only those that follow every chance, none, or all but one are looked at, and
    /// where none meets the answer, the slip stands at an average value.
    /// </summary>
    public Candidate Rough(Hypothesis hypothesis)
    {
        cancellation.ThrowIfCancellationRequested();
        if (hypothesis.IsOpen) return OfAny(hypothesis, hypothesis.Outcomes.Select(Rough).ToList());
        var first = new Way[Items.Count];
        var predictions = new string[Items.Count];
        var explains = false;
        foreach (var item in Items.Where(i => !IsSilent(hypothesis, i)))
        {
            first[item.Index] = Followed(hypothesis, item);
            predictions[item.Index] = item.Says(run);
            explains |= !item.IsRight && first[item.Index].IsMet;
        }

        return new Candidate(hypothesis, LogPrior(hypothesis),
            [
                .. Items.Select(
                    i =>
                        FromTheTask(hypothesis, i, predictions[i.Index] ?? i.Taught)
                            ?? (first[i.Index].Chances == 0
                                ? taughtRoughly[i.Index]
                                : new ItemLikelihood(RoughWays(hypothesis, i, first[i.Index], explains), predictions[i.Index])))]);
    }

    /// <summary>A candidate with one more rule, that nobody listed, weighed quickly by the ways that are known.</summary>
    /// <param name="smaller">The candidate without the rule.</param>
    /// <param name="rule">The rule.</param>
    /// <param name="known">The ways of the smaller candidate.</param>
    public Candidate Rough(Candidate smaller, UnlistedDeviation rule, StudentTrees known)
    {
        cancellation.ThrowIfCancellationRequested();
        var hypothesis = smaller.Hypothesis.With(rule);
        return new Candidate(hypothesis, LogPrior(hypothesis), [.. Items.Select(item => Rough(smaller.Items[item.Index], rule, known, item))]);
    }

    private ItemLikelihood Rough(ItemLikelihood smaller, UnlistedDeviation rule, StudentTrees known, ItemEvidence item)
    {
        if (known.Follow(rule, item) is not { Chances: > 0 } all) return smaller;
        var ways = new List<Way> { WayOf(all) };
        if (!all.End.IsMet)
        {
            if (item.IsRight)
            {
                ways.Add(WayOf(known.Follow(rule, item, ulong.MaxValue)!.Value));
                ways.Add(new Way(all.Chances + all.End.Chances, 0, taughtRoughly[item.Index].Ways[0].IsMet, 0, taughtRoughly[item.Index].Ways[0].Marks));
            }
            else
            {
                for (var i = 0; i < Math.Min(all.Chances, WayEnumeration.ManyChances); i++) ways.Add(WayOf(known.Follow(rule, item, 1UL << i)!.Value));
                if (!ways.Exists(w => w.IsMet)) ways = ways.ConvertAll(RoughSlip);
            }
        }

        return new ItemLikelihood([.. ways], "");

        static Way WayOf(RuleWay way) => new(way.Chances + way.End.Chances, way.Followed + way.End.Followed, way.End.IsMet, 0, way.End.Marks);
    }

    /// <summary>The same candidate with every way, and every slip looked for.</summary>
    public Candidate Refine(Candidate rough) => rough.Hypothesis.IsOpen
        ? OfAny(rough.Hypothesis, [.. rough.Hypothesis.Outcomes.Select(o => Refine(Rough(o)))])
        : new(rough.Hypothesis, rough.LogPrior, [.. Items.Select(i => Exact(rough.Hypothesis, i))]);

    /// <summary>A candidate with a rule that leaves open what comes of it, of the candidates that do one thing each.</summary>
    private Candidate OfAny(Hypothesis hypothesis, List<Candidate> outcomes) => new(hypothesis, LogPrior(hypothesis),
        [
            .. Items.Select(item =>
            {
                var different = outcomes.Select(o => o.Items[item.Index]).Where(o => o.Prediction != item.Taught).DistinctBy(o => o.Prediction).ToList();
                return different.Count == 0 ? outcomes[0].Items[item.Index] : ItemLikelihood.OfAny([.. different, ExactlyAsTaught(item)]);
            }),
        ]);

    /// <summary>The altered steps that lead a student, who else follows every chance, to what stands under an item.</summary>
    public IReadOnlyList<SlipExplanation> Slips(ItemEvidence item, Hypothesis hypothesis)
    {
        var key = (item.Index, RulesShown(hypothesis, item));
        if (slipsFound.TryGetValue(key, out var known)) return known;
        cancellation.ThrowIfCancellationRequested();
        return slipsFound[key] = slips.Explain(item, hypothesis.Deviations);
    }

    /// <summary>The number facts that a student uses on an item.</summary>
    public IEnumerable<NumberFact> FactsUsed(Hypothesis hypothesis, ItemEvidence item)
    {
        item.MakeReady(trace);
        Method.Run(item.Task, trace, hypothesis.Deviations);
        return [.. trace.Steps.Where(s => s.Fact is not null).Select(s => s.Fact!.Value).Distinct()];
    }

    /// <summary>
    /// On how many wrong answers that a student gives each rule has a part, in the order of <see cref="Hypothesis.RuleIds"/>; also where another of the rules is not
    /// followed there.
    /// </summary>
    public int[] Shown(Hypothesis hypothesis)
    {
        var shown = new int[hypothesis.RuleCount];
        List<int[]> together = [.. Together(hypothesis.RuleCount)];
        var students = together.ConvertAll(kept => kept.Length == hypothesis.RuleCount ? hypothesis : hypothesis.Only(kept.Contains));
        foreach (var item in Items.Where(i => !i.IsRight && !IsSilent(hypothesis, i)))
        {
            var at = students.FindIndex(student => Gives(student, item));
            if (at < 0) continue;
            for (var owner = 0; owner < together[at].Length; owner++)
                if (run.FollowedOf(owner) > 0) shown[together[at][owner]]++;
        }

        return shown;
    }

    // All rules, then all but one, and so on.
    private static IEnumerable<int[]> Together(int rules) =>
        Enumerable.Range(1, (1 << rules) - 1)
            .Select(set => Enumerable.Range(0, rules).Where(rule => (set & 1 << rule) != 0).ToArray()).OrderByDescending(kept => kept.Length);

    private double EffortOf(ItemEvidence item)
    {
        item.MakeReady(run);
        Method.Run(item.Task, run, Sound.Deviations);
        return Math.Max(1, (double)run.StepCount / CommonSteps);
    }

    private Way[] RoughWays(Hypothesis hypothesis, ItemEvidence item, Way followed, bool explains)
    {
        if (item.IsRight) return [followed, NoneFollowed(hypothesis, item)];
        var ways = new List<Way> { followed };
        if (!followed.IsMet)
        {
            for (var i = 0; (explains || followed.Chances == 2) && i < Math.Min(followed.Chances, WayEnumeration.ManyChances); i++)
                ways.Add(Followed(hypothesis, item, 1UL << i));
            if (!ways.Exists(w => w.IsMet)) return [.. ways.Select(RoughSlip)];
        }

        return [.. ways];
    }

    private static Way RoughSlip(Way way) => way.IsMet ? way : way with { Slip = AverageSlip };

    private Way NoneFollowed(Hypothesis hypothesis, ItemEvidence item) =>
        new(TaughtChances(hypothesis, item), 0, taughtRoughly[item.Index].Ways[0].IsMet, 0, taughtRoughly[item.Index].Ways[0].Marks);

    /// <summary>The way that follows every chance but the declined ones. The answer is left in the run.</summary>
    private Way Followed(Hypothesis hypothesis, ItemEvidence item, ulong declined = 0)
    {
        item.Run(run, hypothesis.Deviations, declined);
        return WayRun(hypothesis, item, declined);
    }

    // Marks are only worth a second run where the answer is met.
    private Way WayRun(Hypothesis hypothesis, ItemEvidence item, ulong declined)
    {
        var way = new Way(run.Chances, run.Followed, item.Matches(run), 0);
        if (!way.IsMet) return way with { Slip = item.SlipOfThePen(run.Page.Answer) };
        if (!item.HasMarks) return way;
        item.MakeReady(run, withMarks: true);
        Method.Run(item.Task, run, hypothesis.Deviations, declined);
        item.MakeReady(run);
        return way with { Marks = item.MarksOf(run) };
    }

    private ItemLikelihood Exact(Hypothesis hypothesis, ItemEvidence item)
    {
        if (IsSilent(hypothesis, item)) return FromTheTask(hypothesis, item, item.Taught) ?? ExactlyAsTaught(item);
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
            () => ways[0].Chances > ChancesOfEveryWay && ways.Exists(w => w.IsMet));
        if (FromTheTask(hypothesis, item, prediction!) is { } whole) return whole;
        if (ways[0].Chances == 0) return ExactlyAsTaught(item);
        if (item.IsRight && !ways.Exists(w => w.Followed == 0)) ways.Add(NoneFollowed(hypothesis, item));
        return ways.Exists(w => w.IsMet)
            ? new ItemLikelihood([.. ways], prediction!)
            : new ItemLikelihood([.. ways.Select(w => w with { Slip = w.Slip + Slip(w.Followed == 0 ? Sound : hypothesis, item) })], prediction!);
    }

    // Approximation: a slip is as likely where some chances are followed as where all are.
    private double Slip(Hypothesis hypothesis, ItemEvidence item) => Slips(item, hypothesis).Sum(s => s.Probability);

    private ItemLikelihood ExactlyAsTaught(ItemEvidence item) => taughtExactly[item.Index] ??= taughtRoughly[item.Index].IsMet
        ? taughtRoughly[item.Index]
        : new ItemLikelihood([new Way(0, 0, false, Slip(Sound, item))], item.Taught);

    /// <summary>
    /// An answer behind lines, by what the rules come to from the task on, where that is another answer than from the last line on: what a line no longer shows they
    /// still go by (−7 − 6 as −7 + −6; one halving behind another). Null where the lines are not on their way, or it is the same.
    /// </summary>
    private ItemLikelihood? FromTheTask(Hypothesis hypothesis, ItemEvidence item, string fromTheLine)
    {
        if (hypothesis.RuleCount == 0 || !item.IsLast || item.Index == 0 || Items[item.Index - 1].Item != item.Item) return null;
        var before = Items.Take(item.Index).Reverse().TakeWhile(i => i.Item == item.Item).ToList();
        if (before.TrueForAll(i => IsSilent(hypothesis, i))) return null;
        before[^1].Run(run, hypothesis.Deviations);
        if (run.Followed == 0 || run.Page.Answer.SequenceEqual(fromTheLine) || !before.TrueForAll(i => i.Matches(run))) return null;
        var followed = new Way(run.Chances, run.Followed, item.IsWritten(run.Page.Answer), 0, item.MarksOf(run));
        if (followed.IsMet) return new ItemLikelihood([followed], run.Page.Answer.ToString());
        return item.Item.Task.Judge(item.Item.Answer) == Verdict.Right
            ? new ItemLikelihood([followed with { Marks = null }, new Way(run.Chances, 0, true, 0, taughtRoughly[item.Index].Ways[0].Marks)], run.Page.Answer.ToString())
            : null;
    }

    // Where no rule has a chance, the item is what it is without them.
    /// <summary>Whether nothing of a student could show on an item.</summary>
    public bool IsSilent(Hypothesis hypothesis, ItemEvidence item) => hypothesis.Facts.Count == 0 && TaughtChances(hypothesis, item) == 0;

    /// <summary>The chances that the rules of a student would have on the way of a student without rules.</summary>
    private int TaughtChances(Hypothesis hypothesis, ItemEvidence item) =>
        hypothesis.Unlisted.Sum(rule => TreesOf(Sound).Follow(rule, item, ulong.MaxValue)?.Chances ?? 0)
            + hypothesis.Bugs.Sum(bug => Listed.OnTaughtWay(bug.Whole, item));

    private string RulesShown(Hypothesis hypothesis, ItemEvidence item)
    {
        if (IsSilent(hypothesis, item)) return "";
        item.Run(run, hypothesis.Deviations);
        if (run.Chances == 0) return "";
        var ids = hypothesis.RuleIds;
        var shown = "";
        for (var owner = 0; owner < hypothesis.Deviations.OwnerCount; owner++)
            if (run.ChancesOf(owner) > 0)
                shown += owner < ids.Count
                    ? ids[owner] + "+"
                    : hypothesis.Facts[owner - ids.Count].Fact + "=" + hypothesis.Facts[owner - ids.Count].Written + "+";
        return shown;
    }

    private double LogPrior(Hypothesis hypothesis)
    {
        var prior = schoolWeight * Priors.Number(hypothesis.Bugs.Count);
        for (var i = 0; i < hypothesis.Bugs.Count; i++)
            prior *= (i + 1) * Priors.Weight(hypothesis.Bugs[i].Commonness) * (inside.Contains(hypothesis.Bugs[i].Whole) ? Priors.BesideAnother : 1)
                * (hypothesis.Bugs[i].IsOpen ? Priors.LeavesOpen : 1) / totalWeight;
        foreach (var rule in hypothesis.Unlisted) prior *= Unlisted.Of(rule.Deviation, rule.Length);
        foreach (var fact in hypothesis.Facts) prior *= Priors.OneWrongFact * Priors.FactWeight(fact.Fact);
        return Math.Log(Known.Prior(hypothesis, prior * (hypothesis.RuleCount > 1 && hypothesis.Unlisted.Count > 0 ? Priors.InCompany : 1), schoolWeight));
    }
}
