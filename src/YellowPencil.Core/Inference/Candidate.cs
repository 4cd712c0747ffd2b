namespace YellowPencil.Core.Inference;

/// <summary>A hypothesis with the likelihood of every item of the sheet under it.</summary>
internal sealed class Candidate
{
    private readonly double[,] logWeights = new double[Priors.Consistency.Length, Priors.SlipRate.Length];

    private readonly double logAnswers;

    public Candidate(Hypothesis hypothesis, double logPrior, ItemLikelihood[] items)
    {
        Hypothesis = hypothesis;
        LogPrior = logPrior;
        Items = items;
        var largest = double.NegativeInfinity;
        for (var c = 0; c < Priors.Consistency.Length; c++)
            for (var s = 0; s < Priors.SlipRate.Length; s++)
            {
                var log = Math.Log(Priors.Consistency[c].Weight * Priors.SlipRate[s].Weight);
                foreach (var item in items) log += item.LogGrid[c * Priors.SlipRate.Length + s];
                logWeights[c, s] = log;
                largest = Math.Max(largest, log);
            }

        var sum = 0.0;
        foreach (var log in logWeights) sum += Math.Exp(log - largest);
        logAnswers = largest + Math.Log(sum);
        LogEvidence = logAnswers + LogMarks(items);
        Consistency = Mean((c, _) => Priors.Consistency[c].Value);
        SlipRate = Mean((_, s) => Priors.SlipRate[s].Value);
    }

    public Hypothesis Hypothesis { get; }

    public double LogPrior { get; }

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

    /// <summary>The answers predicted on the whole sheet: candidates with the same signature cannot be told apart by it.</summary>
    public string Signature => signature ??= string.Join('|', Items.Select(i => i.Prediction));

    private string? signature;

    private static double LogMarks(ItemLikelihood[] items)
    {
        SheetMarks? all = null;
        foreach (var item in items)
            if (item.Marks is { } marks) (all ??= new SheetMarks()).Add(marks);
        return all?.LogEvidence ?? 0;
    }

    private double Mean(Func<int, int, double> value)
    {
        var mean = 0.0;
        for (var c = 0; c < Priors.Consistency.Length; c++)
            for (var s = 0; s < Priors.SlipRate.Length; s++)
                mean += value(c, s) * Math.Exp(logWeights[c, s] - logAnswers);
        return mean;
    }
}
