namespace YellowPencil.Core.Inference;

/// <summary>Finds how a student with given rules came to what stands under one item.</summary>
public sealed class ProcedureSearch
{
    private const ulong NoneFollowed = ulong.MaxValue;

    private readonly MethodRun run = new();

    /// <summary>
    /// The procedure by which an explanation leads to what was written: its rules followed or not; or all followed, or none, with one slip. Where none does, or
    /// nothing was written, the explanation followed throughout, which is then what the student would do by it, not what was done.
    /// </summary>
    /// <param name="item">The item as written.</param>
    /// <param name="explanation">The explanation.</param>
    public ItemReplay Find(WorkedItem item, Explanation explanation)
    {
        var unexplained = new ItemReplay(explanation.Hypothesis, 0, null, false);
        if (!item.IsAnswered) return unexplained;
        var evidence = ItemEvidence.Whole(item);
        if (LikeliestWay(evidence, explanation.Hypothesis, explanation.Consistency) is { } way) return way;
        foreach (var chances in (ulong[])[0, NoneFollowed])
            if (new SlipSearch(run).Explain(evidence, explanation.Hypothesis.Deviations, chances) is [{ } slip, ..])
                return unexplained with { Declined = chances, Slip = slip.Slip, IsExplained = true };
        return unexplained;
    }

    /// <summary>The likeliest way by which a student gives what was written, without a slip; null where none does.</summary>
    internal ItemReplay? LikeliestWay(ItemEvidence item, Hypothesis hypothesis, double consistency)
    {
        ItemReplay? best = null;
        var highest = -1.0;
        item.MakeReady(run, withMarks: true);
        foreach (var outcome in hypothesis.Outcomes)
            WayEnumeration.Visit(item.Task, run, outcome.Deviations, declined =>
            {
                if (!item.Matches(run)) return;
                var weight = (item.MarksOf(run)?.Weight ?? 1) * Priors.Following(consistency, run.Chances, run.Followed);
                if (weight <= highest) return;
                (best, highest) = (new ItemReplay(outcome, declined, null, true), weight);
            });
        return best;
    }
}
