namespace YellowPencil.Core.Inference;

/// <summary>What a student would answer to a task, over everything that is not known about the student.</summary>
public static class AnswerPrediction
{
    /// <summary>
    /// The probabilities of the answers that a student with these rules gives when no slip is made; they sum to 1 up to ways
    /// that were left out.
    /// </summary>
    /// <param name="task">The task.</param>
    /// <param name="hypothesis">The rules.</param>
    /// <param name="consistency">How often they are followed, 0 to 1.</param>
    /// <param name="run">A run to work with.</param>
    public static IReadOnlyDictionary<string, double> Answers(ItemTask task, Hypothesis hypothesis, double consistency, MethodRun run)
    {
        if (hypothesis.IsOpen) return OfAny(task, hypothesis, consistency, run);
        var answers = new Dictionary<string, double>();
        WayEnumeration.Visit(task, run, hypothesis.Deviations, _ =>
        {
            var answer = run.Page.Answer.ToString();
            var weight = Priors.Following(consistency, run.Chances, run.Followed);
            answers[answer] = answers.GetValueOrDefault(answer) + weight;
        });
        return answers;
    }

    /// <summary>The same where a rule leaves open what comes of it: each outcome is as likely as the others and as what is taught.</summary>
    private static Dictionary<string, double> OfAny(ItemTask task, Hypothesis hypothesis, double consistency, MethodRun run)
    {
        var outcomes = hypothesis.Outcomes.Select(o => Answers(task, o, consistency, run)).DistinctBy(a => a.MaxBy(p => p.Value).Key)
            .Append(new Dictionary<string, double> { [task.RightAnswer] = 1 }).DistinctBy(a => a.MaxBy(p => p.Value).Key).ToList();
        return outcomes.SelectMany(a => a).GroupBy(a => a.Key).ToDictionary(g => g.Key, g => g.Sum(a => a.Value) / outcomes.Count);
    }

    /// <summary>
    /// The single most probable answer over all candidates, as they were weighed: who does something else that agrees with the page answers mostly alike. Its
    /// probability is that of the answer where no slip is made.
    /// </summary>
    internal static Prediction Predict(string text, ItemTask task, Weighed weighed)
    {
        var run = new MethodRun();
        var total = new Dictionary<string, double> { [task.RightAnswer] = (weighed.SomethingElse + weighed.NoChance) * Priors.SomethingElseRight };
        foreach (var (candidate, share) in weighed.Candidates.Where(s => s.Probability > 1e-4))
            foreach (var (answer, probability) in Answers(task, candidate.Hypothesis, candidate.Consistency, run))
                total[answer] = total.GetValueOrDefault(answer) + share * probability;
        var best = total.OrderByDescending(a => a.Value).ThenBy(a => a.Key, StringComparer.Ordinal).First();
        return new Prediction(text, best.Key, best.Value);
    }
}
