using System.Collections.Concurrent;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;

namespace YellowPencil.Core.Bugs;

/// <summary>One worked example of a bug: the simplest item of a fixed pool on which it shows.</summary>
/// <param name="Task">The task.</param>
/// <param name="Answer">The answer of a student who follows the bug throughout.</param>
public sealed record BugExample(ItemTask Task, string Answer)
{
    private static readonly ConcurrentDictionary<Family, IReadOnlyList<ItemTask>> Pools = new();

    /// <summary>The example of a bug.</summary>
    /// <exception cref="InvalidOperationException">The bug shows on no item of the pool; a test keeps this from happening.</exception>
    public static BugExample Of(Bug bug)
    {
        var run = new MethodRun();
        var set = bug.Alone;
        foreach (var task in Pools.GetOrAdd(bug.Family, Ordered))
        {
            Method.Run(task, run, set);
            if (!run.Page.Answer.IsEmpty && !run.Page.Answer.SequenceEqual(task.RightAnswer)) return new BugExample(task, run.Page.Answer.ToString());
        }

        throw new InvalidOperationException($"{bug.Id} shows on no item of the pool");
    }

    /// <summary>Simple items first.</summary>
    private static IReadOnlyList<ItemTask> Ordered(Family family) =>
        [.. ItemPool.Of(family, 600, seed: 5).OrderBy(t => t.Form is not null).ThenBy(t => t.Text.Length).ThenBy(t => t.Text, StringComparer.Ordinal)];
}
