namespace YellowPencil.Core.Inference;

/// <summary>A candidate and how probable it is at one stage of a reading.</summary>
internal readonly record struct Share(Candidate Candidate, double Probability);

/// <summary>
/// The first stage of a reading: scores as probabilities. Beside the candidates stand "something that is not here", and the students whose only bugs had no
/// chance on this page: these write what a sound student writes.
/// </summary>
/// <param name="Candidates">The candidates, most probable first.</param>
/// <param name="SomethingElse">The probability of something that is not here.</param>
/// <param name="NoChance">The probability of bugs that had no chance on the page.</param>
internal sealed record Weighed(IReadOnlyList<Share> Candidates, double SomethingElse, double NoChance)
{
    /// <summary>Weighs what a search has found.</summary>
    /// <param name="candidates">The candidates of all schools; the same rules in several are one.</param>
    /// <param name="evidence">What stands on the page.</param>
    /// <param name="unseen">The share of bugs that had no chance on the page.</param>
    public static Weighed Of(IEnumerable<Candidate> candidates, IReadOnlyList<ItemEvidence> evidence, double unseen)
    {
        var all = Together(candidates);
        var logElse = Math.Log(Priors.SomethingElse);
        foreach (var item in evidence) logElse += Math.Log(item.IsRight ? Priors.SomethingElseRight : Priors.SomethingElseWrong);
        var hidden = Priors.OneBug * unseen + Priors.TwoBugs * unseen * unseen + Priors.ThreeBugs * unseen * unseen * unseen;
        var logHidden = all.Where(c => c.Hypothesis is { RuleCount: 0, Facts.Count: 0 }).Max(c => c.LogEvidence) + Math.Log(hidden);
        var largest = Math.Max(logElse, all.Max(c => c.LogScore));
        var total = Of(logElse) + Of(logHidden) + all.Sum(c => Of(c.LogScore));
        return new Weighed(
            [
                .. all.Select(c => new Share(c, Of(c.LogScore) / total))
                    .OrderByDescending(s => s.Probability).ThenBy(s => s.Candidate.Hypothesis.Key, StringComparer.Ordinal),
            ],
            Of(logElse) / total, Of(logHidden) / total);

        double Of(double logScore) => Math.Exp(logScore - largest);
    }

    /// <summary>The same rules in several schools are one candidate, in the school in which they fit best, with the weight of all.</summary>
    private static List<Candidate> Together(IEnumerable<Candidate> candidates) =>
    [
        .. candidates.GroupBy(c => c.Hypothesis.Key).Select(same =>
        {
            var best = same.MaxBy(c => c.LogScore)!;
            return best.WithPrior(best.LogPrior + Math.Log(same.Sum(c => Math.Exp(c.LogScore - best.LogScore))));
        }),
    ];
}

/// <summary>
/// The second stage: what of each probability can be trusted. The rest is of students who do something else that agrees with the page as well, which the space
/// of rules does not hold; it goes to "something else", the only one from here on.
/// </summary>
/// <param name="Candidates">The candidates in the order in which they were weighed.</param>
/// <param name="SomethingElse">The probability of everything else.</param>
/// <param name="NoChance">The probability of bugs that had no chance on the page.</param>
internal sealed record Trusted(IReadOnlyList<Share> Candidates, double SomethingElse, double NoChance)
{
    /// <summary>What can be trusted of what was weighed.</summary>
    public static Trusted Of(Weighed weighed, IReadOnlyList<ItemEvidence> evidence)
    {
        var shares = weighed.Candidates.Select(s => s with { Probability = s.Probability * TrustIn(s, evidence) }).ToList();
        var lost = weighed.Candidates.Zip(shares, (before, after) => before.Probability - after.Probability).Sum();
        return new Trusted(shares, weighed.SomethingElse + lost, weighed.NoChance);
    }

    private static double TrustIn(Share share, IReadOnlyList<ItemEvidence> evidence)
    {
        var rules = share.Candidate.Hypothesis.RuleCount;
        if (rules == 0 || share.Probability < SheetDiagnosis.Reported) return 1;
        var stands = evidence.Select(item => item.StandOf(share.Candidate.Items[item.Index])).ToList();
        return Priors.Trust(rules, stands.Count(s => s == Stand.Agrees), stands.Count(s => s == Stand.Against));
    }
}

/// <summary>
/// The third stage: as what each candidate is told. A rule that shows on a single item is none yet: beside rules that show on more it is left out, and what was
/// trusted of all of them is told of the others. What stands under that item happened once.
/// </summary>
/// <param name="Candidates">The candidates that are told, with what is told of them.</param>
/// <param name="Once">The rules that were left out.</param>
internal sealed record Told(IReadOnlyList<Share> Candidates, IReadOnlyList<SeenOnce> Once)
{
    private readonly Dictionary<Candidate, Candidate> fewer = [];

    /// <summary>As which candidate one is told: itself, or the one with fewer rules.</summary>
    public Candidate As(Candidate candidate) => fewer.GetValueOrDefault(candidate, candidate);

    /// <summary>What is told of what is trusted.</summary>
    public static Told Of(Trusted trusted, SheetLikelihood sheet)
    {
        var once = new List<SeenOnce>();
        var fewer = new Dictionary<Candidate, Candidate>();
        var probability = trusted.Candidates.ToDictionary(s => s.Candidate, s => s.Probability);
        var byKey = trusted.Candidates.ToDictionary(s => s.Candidate.Hypothesis.Key, s => s.Candidate);
        var several = trusted.Candidates.Where(s => s.Candidate.Hypothesis.RuleCount > 1 && s.Probability >= SheetDiagnosis.Reported);
        foreach (var (candidate, _) in several.OrderBy(s => s.Candidate.Hypothesis.RuleCount))
        {
            var shown = sheet.Shown(candidate.Hypothesis);
            if (shown.Min() >= SheetDiagnosis.ShowingsNeeded || shown.Max() < SheetDiagnosis.ShowingsNeeded) continue;
            if (!byKey.TryGetValue(candidate.Hypothesis.KeyOf(rule => shown[rule] >= SheetDiagnosis.ShowingsNeeded), out var known)) continue;
            var told = fewer[candidate] = fewer.GetValueOrDefault(known, known);
            once.Add(new SeenOnce(candidate.Hypothesis, told.Hypothesis, candidate.Consistency, probability[candidate]));
            probability[told] += probability[candidate];
        }

        var shares = trusted.Candidates.Where(s => !fewer.ContainsKey(s.Candidate)).Select(s => s with { Probability = probability[s.Candidate] });
        return new Told([.. shares], once, fewer);
    }

    private Told(IReadOnlyList<Share> candidates, IReadOnlyList<SeenOnce> once, Dictionary<Candidate, Candidate> fewer)
        : this(candidates, once) => this.fewer = fewer;
}
