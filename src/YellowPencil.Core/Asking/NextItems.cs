using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Asking;

/// <summary>An item worth asking next.</summary>
/// <param name="Task">The task.</param>
/// <param name="GainBits">The expected drop in entropy over the explanations, in bits.</param>
/// <param name="Answers">The answer that each explanation predicts, most probable explanation first; on a page with too few chances also by rules that had
/// none.</param>
public sealed record NextItem(ItemTask Task, double GainBits, IReadOnlyList<PredictedAnswer> Answers);

/// <summary>What an explanation predicts for an item.</summary>
/// <param name="Rules">The rules of the explanation; none is "no systematic bug".</param>
/// <param name="Answer">The answer if they are followed throughout.</param>
public sealed record PredictedAnswer(IReadOnlyList<string> Rules, string Answer);

/// <summary>
/// Chooses items by the expected drop in entropy over the explanations of a reading (the mutual information between
/// explanation and answer), over a generated pool, a slip counting as an answer that says nothing.
/// </summary>
public static class NextItems
{
    private const int PoolSize = 80;
    private const int MostExplanations = 8;
    private const int MostWithoutChance = 12;
    private const double LeastGain = 0.01;

    /// <summary>What rules without a chance weigh at the least, so that they are asked for too.</summary>
    private const double LeastWithoutChance = 0.1;

    /// <summary>Items longer than the student has met are asked only for more than this.</summary>
    private const double LeastGainOfLonger = 0.1;

    /// <summary>The best items, each chosen given that those before it are asked too.</summary>
    /// <param name="reading">The reading.</param>
    /// <param name="count">At most so many.</param>
    /// <param name="seed">The seed of the pool.</param>
    public static IReadOnlyList<NextItem> For(Reading reading, int count = 3, int seed = StudentSize.UsualSeed)
    {
        var once = reading.SeenOnce.ToLookup(o => o.ToldAs, o => o.Probability);
        List<Weighed> explanations =
        [
            .. reading.Explanations.Select(
                e => new Weighed(e.Hypothesis, e.IsSound ? 1 : Math.Max(0.9, e.Consistency), Math.Max(0, e.Probability - once[e.Hypothesis].Sum())))
                .Concat(reading.SeenOnce.Select(o => new Weighed(o.Hypothesis, Math.Max(0.9, o.Consistency), o.Probability)))
                .OrderByDescending(e => e.Probability).Take(MostExplanations),
        ];
        if (reading.Outcome == Outcome.TooFewChances) explanations.AddRange(WithoutChance(reading));
        if (explanations.Count < 2) return [];
        var total = explanations.Sum(e => e.Probability);
        var weights = explanations.Select(e => e.Probability / total).ToArray();
        var run = new MethodRun();
        var families = FamilyList.Of(reading.Sheet.Items.Select(i => i.Task));
        var size = StudentSize.Of(reading.Sheet.Items.Select(i => i.Task));
        var open = size.New(families, PoolSize, seed).ToList();
        var pool = open.Select(
            task =>
                (Task: task, Fits: size.Fits(task), Answers: explanations.Select(e => AnswerPrediction.Answers(task, e.Hypothesis, e.Consistency, run)).ToArray()))
            .ToList();

        var chosen = new List<NextItem>();
        var told = explanations.Select(_ => "").ToArray();
        var isLonger = false;
        while (chosen.Count < count)
        {
            var best = pool.Where(p => p.Fits || isLonger)
                .Select(p => (p.Task, p.Answers, Gain: JointGain(told, p.Answers, weights), Alone: Gain(p.Answers, weights)))
                .OrderByDescending(p => Math.Round(p.Gain, 2))
                    .ThenBy(p => p.Task.Text.Length).ThenBy(p => p.Task.Text, StringComparer.Ordinal).FirstOrDefault();
            if (best.Task is null || best.Alone < LeastGain || best.Gain < (isLonger ? LeastGainOfLonger : LeastGain / 2))
            {
                // What items of the student's size cannot tell apart, longer ones may.
                if (isLonger) break;
                isLonger = true;
                continue;
            }

            chosen.Add(
                new NextItem(best.Task, best.Alone, [.. explanations.Select((e, i) => new PredictedAnswer(e.Hypothesis.RuleIds, Likeliest(best.Answers[i])))]));
            for (var i = 0; i < told.Length; i++) told[i] += "|" + Likeliest(best.Answers[i]);
            pool.RemoveAll(p => p.Task == best.Task);
        }

        return chosen;
    }

    /// <summary>The mutual information, in bits, between explanation and answer.</summary>
    /// <param name="answers">For each explanation, the probabilities of the answers.</param>
    /// <param name="weights">The probabilities of the explanations; they sum to 1.</param>
    public static double Gain(IReadOnlyDictionary<string, double>[] answers, double[] weights)
    {
        var mixture = new Dictionary<string, double>();
        var conditional = 0.0;
        for (var i = 0; i < answers.Length; i++)
            foreach (var (answer, probability) in answers[i])
            {
                mixture[answer] = mixture.GetValueOrDefault(answer) + weights[i] * probability;
                conditional -= weights[i] * probability * Log2(probability);
            }

        return Math.Max(0, -mixture.Values.Sum(p => p * Log2(p)) - conditional);
    }

    // What an item adds to those chosen before: its gain within each group of explanations that they leave together.
    private static double JointGain(string[] told, IReadOnlyDictionary<string, double>[] answers, double[] weights)
    {
        var gain = 0.0;
        foreach (var group in Enumerable.Range(0, told.Length).GroupBy(i => told[i]))
        {
            var members = group.ToArray();
            var weight = members.Sum(i => weights[i]);
            if (weight > 0) gain += weight * Gain([.. members.Select(i => answers[i])], [.. members.Select(i => weights[i] / weight)]);
        }

        return gain;
    }

    /// <summary>Rules that had no chance to show on the page, the commonest first: what a longer page is set for.</summary>
    private static IEnumerable<Weighed> WithoutChance(Reading reading)
    {
        var hidden = ShowingItems.WithoutChance(reading).Where(b => reading.Explanations.All(e => !e.Hypothesis.Bugs.Contains(b)))
            .OrderByDescending(b => Priors.Weight(b.Commonness)).ThenBy(b => b.Id, StringComparer.Ordinal).Take(MostWithoutChance).ToList();
        var total = hidden.Sum(b => Priors.Weight(b.Commonness));
        return hidden.Select(b => new Weighed(Hypothesis.Of(b), 0.9, Math.Max(LeastWithoutChance, reading.NoChance) * Priors.Weight(b.Commonness) / total));
    }

    private static string Likeliest(IReadOnlyDictionary<string, double> answers) =>
        answers.OrderByDescending(a => a.Value).ThenBy(a => a.Key, StringComparer.Ordinal).First().Key;

    private static double Log2(double p) => p <= 0 ? 0 : Math.Log2(p);

    private sealed record Weighed(Hypothesis Hypothesis, double Consistency, double Probability);
}
