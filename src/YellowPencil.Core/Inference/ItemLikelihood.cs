namespace YellowPencil.Core.Inference;

/// <summary>One way in which the chances of an item can be followed or not.</summary>
/// <param name="Chances">Chances met on this way.</param>
/// <param name="Followed">How many were followed.</param>
/// <param name="IsMet">Whether the answer is met without a slip.</param>
/// <param name="Slip">The probability that one altered step, somewhere on this way, gives the answer.</param>
/// <param name="Marks">How the marks agree, where the answer is met and there are any.</param>
internal readonly record struct Way(int Chances, int Followed, bool IsMet, double Slip, MarkEvidence? Marks = null)
{
    /// <summary>The share of the outcome to which it belongs, where a rule leaves open what comes of it.</summary>
    public double Share { get; init; } = 1;
}

/// <summary>The probability of what stands under one item, as a function of consistency and slip rate.</summary>
internal sealed class ItemLikelihood(Way[] ways, string prediction)
{
    /// <summary>The ways that were enumerated, the one that follows every chance first.</summary>
    public IReadOnlyList<Way> Ways => ways;

    /// <summary>What is said where every chance is followed: the answer, or the lines on the way to it.</summary>
    public string Prediction => prediction;

    /// <summary>
    /// The likelihood where a rule leaves open what comes of it: each thing that can come of it is as likely as the others, and so is that it comes out as taught.
    /// </summary>
    /// <param name="outcomes">What can come of it, and what does as taught; no two say the same.</param>
    public static ItemLikelihood OfAny(IReadOnlyList<ItemLikelihood> outcomes)
    {
        var ordered = outcomes.OrderByDescending(o => o.IsForetold).ToList();
        var ways = ordered.SelectMany(o => o.Ways).Select(w => w with { Share = w.Share / outcomes.Count });
        return new ItemLikelihood([.. ways], string.Join(" or ", outcomes.Select(o => o.Prediction))) { IsOpen = true, foremost = ordered[0].Prediction };
    }

    /// <summary>Whether a rule leaves open what comes of it.</summary>
    public bool IsOpen { get; private init; }

    /// <summary>Of what is said, where it is left open, what was written, if that is among it; else one of it.</summary>
    public string Foremost => foremost ?? prediction;

    private string? foremost;

    /// <summary>Whether what was written is met where every chance is followed.</summary>
    public bool IsForetold => ways[0].IsMet;

    /// <summary>Whether some way meets the answer without a slip.</summary>
    public bool IsMet { get; } = Array.Exists(ways, w => w.IsMet);

    /// <summary>The logarithm of the probability over the grid of consistencies and slip rates, consistencies outermost.</summary>
    public ReadOnlySpan<double> LogGrid => logGrid ??= Grid();

    private double[]? logGrid;

    /// <summary>The probability of the item.</summary>
    /// <param name="consistency">How often the student follows the rules where they apply, 0 to 1.</param>
    /// <param name="slipRate">The probability of a slip on one item, 0 to 1.</param>
    public double At(double consistency, double slipRate)
    {
        var (met, slipped) = Shares(consistency);
        return Together(met, slipped, slipRate);
    }

    private double[] Grid()
    {
        var grid = new double[Priors.Consistency.Length * Priors.SlipRate.Length];
        for (var c = 0; c < Priors.Consistency.Length; c++)
        {
            var (met, slipped) = Shares(Priors.Consistency[c].Value);
            for (var s = 0; s < Priors.SlipRate.Length; s++)
                grid[c * Priors.SlipRate.Length + s] = Math.Log(Together(met, slipped, Priors.SlipRate[s].Value));
        }

        return grid;
    }

    /// <summary>The probabilities of meeting the item without a slip, and by one altered step where there is one.</summary>
    private (double Met, double Slipped) Shares(double consistency)
    {
        double met = 0, slipped = 0;
        foreach (var way in ways)
        {
            var weight = way.Share * Priors.Following(consistency, way.Chances, way.Followed);
            if (way.IsMet) met += weight;
            slipped += weight * way.Slip;
        }

        return (met, slipped);
    }

    private static double Together(double met, double slipped, double slipRate) =>
        (1 - slipRate) * met + slipRate * (Priors.SlipIsOneStep * slipped + Priors.OtherSlip);

    /// <summary>How the marks agree on the way by which the answer was most probably met; null where it was not, or there are none.</summary>
    public MarkEvidence? Marks { get; } = Array.Exists(ways, w => w.Marks is not null) ? MostProbable(ways, Priors.CommonConsistency)?.Marks : null;

    /// <summary>The way by which the answer was most probably met; null where it was not.</summary>
    public Way? MostProbable(double consistency) => MostProbable(ways, consistency);

    private static Way? MostProbable(Way[] ways, double consistency) => ways
        .Where(w => w.IsMet)
        .OrderByDescending(w => (w.Marks?.Weight ?? 1) * w.Share * Priors.Following(consistency, w.Chances, w.Followed))
        .Select(w => (Way?)w).FirstOrDefault();
}
