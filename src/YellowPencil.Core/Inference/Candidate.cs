namespace YellowPencil.Core.Inference;

/// <summary>A hypothesis with the likelihood of every item of the sheet under it.</summary>
internal sealed class Candidate
{
    private static readonly double[] LogGridPrior = [.. Priors.Consistency.SelectMany(c => Priors.SlipRate.Select(s => Math.Log(c.Weight * s.Weight)))];

    public Candidate(Hypothesis hypothesis, double logPrior, ItemLikelihood[] items)
    {
        Hypothesis = hypothesis;
        LogPrior = logPrior;
        Items = items;
        Span<double> weights = stackalloc double[LogGridPrior.Length];
        LogGridPrior.CopyTo(weights);
        foreach (var item in items) Add(item.LogGrid, weights);
        var largest = double.NegativeInfinity;
        foreach (var weight in weights) largest = Math.Max(largest, weight);
        var sum = 0.0;
        for (var i = 0; i < weights.Length; i++) sum += weights[i] = Math.Exp(weights[i] - largest);
        LogEvidence = largest + Math.Log(sum) + LogMarks(items);
        for (var i = 0; i < weights.Length; i++)
        {
            Consistency += Priors.Consistency[i / Priors.SlipRate.Length].Value * weights[i] / sum;
            SlipRate += Priors.SlipRate[i % Priors.SlipRate.Length].Value * weights[i] / sum;
        }
    }

    private Candidate(Candidate other) => (Hypothesis, LogPrior, Items, LogEvidence, Consistency, SlipRate) =
        (other.Hypothesis, other.LogPrior, other.Items, other.LogEvidence, other.Consistency, other.SlipRate);

    public Hypothesis Hypothesis { get; }

    /// <summary>The logarithm of the prior; of schools in which the same rules come to less, their weight is added.</summary>
    public double LogPrior { get; private init; }

    public ItemLikelihood[] Items { get; }

    /// <summary>The logarithm of the probability of the sheet, consistency and slip rate summed out.</summary>
    public double LogEvidence { get; }

    /// <summary>The logarithm of prior times likelihood.</summary>
    public double LogScore => LogPrior + LogEvidence;

    /// <summary>The expected consistency after the evidence.</summary>
    public double Consistency { get; }

    /// <summary>The expected slip rate after the evidence.</summary>
    public double SlipRate { get; }

    /// <summary>The same with another prior.</summary>
    public Candidate WithPrior(double logPrior) => new(this) { LogPrior = logPrior };

    /// <summary>The answers predicted on the whole sheet: candidates with the same signature cannot be told apart by it.</summary>
    public string Signature => signature ??= string.Join('|', Items.Select(i => i.Prediction));

    private string? signature;

    private static void Add(ReadOnlySpan<double> more, Span<double> to)
    {
        for (var i = 0; i < to.Length; i++) to[i] += more[i];
    }

    private static double LogMarks(ItemLikelihood[] items)
    {
        SheetMarks? all = null;
        foreach (var item in items)
            if (item.Marks is { } marks) (all ??= new SheetMarks()).Add(marks);
        return all?.LogEvidence ?? 0;
    }
}
