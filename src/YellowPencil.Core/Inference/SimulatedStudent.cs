using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;

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

    /// <summary>The answer and the marks that the student writes to a task.</summary>
    /// <param name="id">The name of the item.</param>
    /// <param name="task">The task.</param>
    public WorkedItem Write(string id, ItemTask task)
    {
        ulong declined = 0;
        for (var i = 0; i < MethodRun.MaxChances; i++)
            if (random.NextDouble() >= consistency) declined |= 1UL << i;
        Method.Run(task, run, hypothesis.Deviations, declined);
        if (random.NextDouble() < slipRate) Method.Run(task, run, hypothesis.Deviations, declined, Slip());
        return new WorkedItem
        {
            Id = id,
            Task = task,
            TaskAsWritten = task.Text,
            Answer = run.Answer.IsEmpty ? null : run.Answer.ToString(),
            Work = Page(task),
        };
    }

    private Slip Slip()
    {
        var steps = run.Steps.SelectMany(SlipSearch.Alterations).ToList();
        var draw = random.NextDouble() * steps.Sum(s => s.Weight);
        foreach (var (slip, weight) in steps)
            if ((draw -= weight) < 0) return slip;
        return steps[^1].Slip;
    }

    /// <summary>The marks, with the cells of the answer only where the answer alone does not tell them.</summary>
    private Work Page(ItemTask task)
    {
        var cells = run.Marks.Where(m => m.Field == MarkField.Cells).ToList();
        var plain = cells.All(c => c.Text.Length == 1) && cells.Select(c => c.Place).Order().SequenceEqual(Enumerable.Range(0, cells.Count));
        var fields = Method.Of(task.Family).Fields.Where(f => f switch
        {
            MarkField.Cells => !plain,
            MarkField.RewrittenBelow => run.Marks.Any(m => m.Field == f),
            _ => true,
        });
        return Work.Of(run.Marks, [.. fields]);
    }
}
