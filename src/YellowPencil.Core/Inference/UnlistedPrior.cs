namespace YellowPencil.Core.Inference;

/// <summary>How probable the rules outside the catalogue are before any evidence.</summary>
internal sealed class UnlistedPrior
{
    private readonly double[] each;
    private readonly Dictionary<object, double> known = new(ReferenceEqualityComparer.Instance);

    /// <param name="points">The decisions that come up on the sheet.</param>
    /// <param name="catalogue">The listed bugs of its families.</param>
    public UnlistedPrior(IReadOnlyList<Decision> points, IReadOnlyList<Bug> catalogue)
    {
        var decisions = points.ToHashSet();
        foreach (var bug in catalogue)
            foreach (var deviation in bug.Deviations)
                if (deviation is { Done: { } done, Decision: { } decision } && decisions.Contains(decision))
                    known[done] = known.GetValueOrDefault(done) + Priors.Weight(bug.Commonness) / bug.Deviations.Count;
        foreach (var done in decisions.SelectMany(d => d.DoneBySlip)) known[done] = known.GetValueOrDefault(done) + Priors.DoneBySlip;
        var total = known.Values.Sum();
        foreach (var done in known.Keys.ToList()) known[done] /= total;
        var ofAny = known.Count == 0 ? 1 : 1 - Priors.Narrowed;
        each = [.. Enum.GetValues<RuleLength>().Select(length => Priors.UnlistedOf(length) * ofAny / Math.Max(1, points.Sum(p => p.CountOf(length))))];
    }

    /// <summary>Whether a listed bug does the same, or others by a slip.</summary>
    public bool IsKnown(object done) => known.ContainsKey(done);

    /// <summary>The probability of one rule.</summary>
    /// <param name="rule">What is done, and where.</param>
    /// <param name="length">How much it takes to say it.</param>
    public double Of(Deviation rule, RuleLength length) => Of(rule.Decision!, rule.Done!, length);

    /// <summary>The probability of one rule.</summary>
    /// <param name="decision">The decision at which something else is done.</param>
    /// <param name="done">What is done.</param>
    /// <param name="length">How much it takes to say the rule.</param>
    public double Of(Decision decision, object done, RuleLength length) =>
        each[(int)length] + known.GetValueOrDefault(done) * Priors.Narrowed * Priors.UnlistedOf(length) / Math.Max(1, decision.KindsOf(length));
}
