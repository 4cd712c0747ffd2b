using System.Collections.Concurrent;
using YellowPencil.Core.Families.Addition;
using YellowPencil.Core.Families.Subtraction;

namespace YellowPencil.Core.Families;

/// <summary>
/// One worked example of a bug: of the items of a fixed pool the plainest on which it shows and, where there is such an item, no other bug of the family gives
/// the same.
/// </summary>
/// <param name="Task">The task.</param>
/// <param name="Answer">The answer of a student who follows the bug throughout.</param>
/// <param name="Sharing">The bugs of the family that give the same answer to it.</param>
public sealed record BugExample(ItemTask Task, string Answer, IReadOnlyList<Bug> Sharing)
{
    private static readonly ConcurrentDictionary<Family, ExamplePool> Pools = new();

    /// <summary>The example of a bug.</summary>
    /// <exception cref="InvalidOperationException">The bug shows on no item of the pool; a test keeps this from happening.</exception>
    public static BugExample Of(Bug bug) => Pools.GetOrAdd(bug.Family, family => new ExamplePool(family)).ExampleOf(bug);
}

/// <summary>The items of a family from which examples are taken, with what each bug gives; worked out as far as it is asked for.</summary>
internal sealed class ExamplePool(Family family)
{
    private const int Size = 600;

    private readonly IReadOnlyList<Bug> bugs = Catalogue.DeclaredFor(family);
    private readonly IReadOnlyList<ItemTask> tasks = [
        .. ItemPool.Of(family, Size, seed: 5)
            .OrderBy(t => t.Asked != default).ThenBy(Raggedness).ThenBy(t => t.Text.Length).ThenBy(t => t.Text, StringComparer.Ordinal)];
    private readonly ConcurrentDictionary<int, string[]> answers = new();

    public BugExample ExampleOf(Bug bug)
    {
        var own = bugs.ToList().IndexOf(bug);
        BugExample? best = null;
        for (var at = 0; at < tasks.Count; at++)
        {
            var given = answers.GetOrAdd(at, Answers);
            if (given[own].Length == 0 || given[own] == tasks[at].RightAnswer) continue;
            var sharing = bugs.Where((b, i) => b != bug && given[i] == given[own]).ToList();
            if (best is null || sharing.Count < best.Sharing.Count) best = new BugExample(tasks[at], given[own], sharing);
            if (sharing.Count == 0) break;
        }

        return best ?? throw new InvalidOperationException($"{bug.Id} shows on no item of the pool");
    }

    private string[] Answers(int at)
    {
        var run = new MethodRun();
        return [.. bugs.Select(bug =>
        {
            Method.Run(tasks[at], run, bug.Alone);
            return run.Page.Answer.ToString();
        })];
    }

    // In columns, numbers of one length are what a class meets first.
    private static int Raggedness(ItemTask task) =>
        task is ColumnSum or ColumnDifference
            ? 10 * task.Numbers.Count(n => n.Length < 2) + task.Numbers.Max(n => n.Length) - task.Numbers.Min(n => n.Length)
            : 0;
}
