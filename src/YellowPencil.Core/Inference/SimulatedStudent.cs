using YellowPencil.Core.Families;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Inference;

/// <summary>
/// A made-up student who follows given rules chance by chance with a consistency, and makes a slip, one altered step, on an
/// item with a slip rate. The same seed gives the same pages.
/// </summary>
/// <param name="hypothesis">The rules.</param>
/// <param name="consistency">The probability that a chance is followed, 0 to 1.</param>
/// <param name="slipRate">The probability of a slip on one item, 0 to 1.</param>
/// <param name="seed">The seed.</param>
public sealed class SimulatedStudent(Hypothesis hypothesis, double consistency, double slipRate, int seed)
{
    private readonly Random random = new(seed);
    private readonly MethodRun run = new() { Recording = true };

    /// <summary>A task with the answer and the marks that the student writes to it.</summary>
    /// <param name="id">The name of the item.</param>
    /// <param name="task">The task.</param>
    public WorkedItem Write(string id, ItemTask task) => Write(WorkedItem.Of(id, task));

    /// <summary>An item with the answer and the marks that the student writes to it, in place of what stood there.</summary>
    public WorkedItem Write(WorkedItem item)
    {
        var task = item.Task;
        ulong declined = 0;
        for (var i = 0; i < MethodRun.MaxChances; i++)
            if (random.NextDouble() >= consistency) declined |= 1UL << i;
        var does = hypothesis.IsOpen ? hypothesis.Outcomes[random.Next(hypothesis.Outcomes.Count)].Deviations : hypothesis.Deviations;
        Method.Run(task, run, does, declined);
        if (random.NextDouble() < slipRate && Slip() is { } slip) Method.Run(task, run, does, declined, slip);
        return item with { Answer = run.Page.Answer.IsEmpty ? null : run.Page.Answer.ToString(), Work = PageOf(task), Seconds = null };
    }

    /// <summary>One step that goes another way; null where there is none, as in 0 divided by something.</summary>
    private Slip? Slip()
    {
        var steps = run.Steps.SelectMany(SlipSearch.Alterations).ToList();
        var draw = random.NextDouble() * steps.Sum(s => s.Weight);
        foreach (var (slip, weight) in steps)
            if ((draw -= weight) < 0) return slip;
        return steps.Count > 0 ? steps[^1].Slip : null;
    }

    /// <summary>The marks, without what a page tells anyway.</summary>
    private Work PageOf(ItemTask task)
    {
        var marks = run.Page.Marks.ToLookup(m => m.Field);
        var method = TaughtFamily.Of(task.Family);
        return Work.Of(
            run.Page.Marks,
            [.. FamilyList.FieldsOf(task.Family).Where(f => (method.Fields.Contains(f) || marks.Contains(f)) && f.IsWorthRecording([.. marks[f]]))]);
    }
}
