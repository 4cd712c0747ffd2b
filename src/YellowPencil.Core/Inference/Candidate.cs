namespace YellowPencil.Core.Inference;

/// <summary>A hypothesis with the likelihood of every item of the sheet under it.</summary>
internal sealed class Candidate
{
    private static readonly double[] LogGridPrior = [.. Priors.Consistency.SelectMany(c => Priors.SlipRate.Select(s => Math.Log(c.Weight * s.Weight)))];

    public Candidate(Hypothesis hypothesis, double logPrior, ItemLikelihood[] items)
    {
        Hypothesis = hypothesis;
        ToldAs = this;
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

    public Hypothesis Hypothesis { get; }

    /// <summary>The logarithm of the prior; of schools in which the same rules come to less, their weight is added.</summary>
    public double LogPrior { get; set; }

    public ItemLikelihood[] Items { get; }

    /// <summary>The logarithm of the probability of the sheet, consistency and slip rate summed out.</summary>
    public double LogEvidence { get; }

    /// <summary>The logarithm of prior times likelihood.</summary>
    public double LogScore => LogPrior + LogEvidence;

    /// <summary>The expected consistency after the evidence.</summary>
    public double Consistency { get; }

    /// <summary>The expected slip rate after the evidence.</summary>
    public double SlipRate { get; }

    /// <summary>The probability after the evidence; set once all candidates are known.</summary>
    public double Probability { get; set; }

    /// <summary>
    /// The probability after the evidence, less the part of students who do something else that agrees with the page as well, which the space of rules does not
    /// hold.
    /// </summary>
    public double Trusted { get; set; }

    /// <summary>
    /// The candidate as which this one is told: itself; or the one with fewer rules, where each of the others shows on a single item, which is no rule yet.
    /// </summary>
    public Candidate ToldAs { get; set; }

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
