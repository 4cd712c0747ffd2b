namespace YellowPencil.Core.Inference;

/// <summary>How the marks beside one item agree with those of a way through it: a match for each part of a field that people note by itself.</summary>
/// <param name="matches">The matches, with the number of the part.</param>
internal sealed class MarkEvidence(IReadOnlyList<(int Part, FieldMatch Match)> matches)
{
    /// <summary>The matches, with the number of the part of a field.</summary>
    public IReadOnlyList<(int Part, FieldMatch Match)> Matches => matches;

    /// <summary>
    /// How well the marks agree, 1 where all are as they are due: to choose among ways that lead to the same answer. A mark that is there and another one
    /// says much, one that is not there hardly anything.
    /// </summary>
    public double Weight { get; } = matches.Aggregate(1.0, (weight, m) =>
        weight * Math.Pow(Priors.MarkDiffers, m.Match.Differ) * Math.Pow(Priors.MarkExtra, m.Match.Extra) * Math.Pow(Priors.MarkLeftOut, m.Match.Missing));
}

/// <summary>
/// What the marks of a whole sheet tell about a hypothesis. For each part of a field the student has a habit, the same on the whole sheet: to write
/// every mark, some, or hardly any; or to mark in a way that has nothing to do with the method. So the marks of one part can speak for an explanation as long
/// as they agree, but never rule one out, however often they differ.
/// </summary>
internal sealed class SheetMarks
{
    private readonly Dictionary<int, double[]> byPart = [];

    /// <summary>Adds the marks of one item.</summary>
    public void Add(MarkEvidence marks)
    {
        foreach (var (part, match) in marks.Matches)
        {
            if (!byPart.TryGetValue(part, out var habits)) byPart[part] = habits = new double[Priors.MarkHabits.Length];
            for (var i = 0; i < habits.Length; i++) habits[i] += LogRatio(match, Priors.MarkHabits[i].Written);
        }
    }

    /// <summary>The logarithm of how much more probable the marks are under the hypothesis than if they had nothing to do with it.</summary>
    public double LogEvidence
    {
        get
        {
            var log = 0.0;
            foreach (var habits in byPart.Values)
            {
                var largest = Math.Max(0, habits.Max());
                var sum = Priors.MarksInOwnWay * Math.Exp(-largest);
                for (var i = 0; i < habits.Length; i++) sum += (1 - Priors.MarksInOwnWay) * Priors.MarkHabits[i].Weight * Math.Exp(habits[i] - largest);
                log += largest + Math.Log(sum);
            }

            return log;
        }
    }

    private static double LogRatio(FieldMatch match, double written) =>
        match.Same * Math.Log(written * (1 - Priors.MarkMistaken) / Priors.AnyMark) + match.Differ * Math.Log(written * Priors.MarkMistaken / Priors.AnyMark)
        + match.Missing * Math.Log(1 - written) + match.Extra * Math.Log(Priors.MarkMistaken / Priors.AnyMark);
}
