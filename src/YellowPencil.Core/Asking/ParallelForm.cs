using YellowPencil.Core.Families;

namespace YellowPencil.Core.Asking;

/// <summary>
/// A sheet with other numbers that asks the same: item for item of the same family, form and length, on which as nearly as can be found the same rules
/// would show.
/// </summary>
public static class ParallelForm
{
    private const int PoolSize = 400;

    /// <summary>Of the items of the same length, so many are compared rule by rule.</summary>
    private const int MostCompared = 40;

    /// <summary>The parallel of each item, in their order. An item for which nothing else is found stays.</summary>
    /// <param name="tasks">The items.</param>
    /// <param name="seed">The seed of the numbers.</param>
    public static IReadOnlyList<ItemTask> Of(IReadOnlyList<ItemTask> tasks, int seed)
    {
        var run = new MethodRun();
        var pools = tasks.Select(t => t.Family).Distinct().ToDictionary(f => f, f => ItemPool.Of(f, PoolSize, seed));
        var used = tasks.ToHashSet();
        var parallel = new List<ItemTask>();
        foreach (var task in tasks)
        {
            var shows = SheetCoverage.Showing(task, run);
            var open = pools[task.Family].Where(t => t.Asked == task.Asked && !used.Contains(t)).ToList();
            var found = open.OrderBy(t => Distance(Shape(t), Shape(task)))
                .ThenBy(t => SheetWish.IsRegrouped(t) != SheetWish.IsRegrouped(task)).Take(MostCompared)
                .OrderBy(t => Distance(Shape(t), Shape(task)))
                    .ThenBy(t => Unlike(SheetCoverage.Showing(t, run), shows)).ThenBy(t => t.Text, StringComparer.Ordinal).FirstOrDefault()
                    ?? task;
            used.Add(found);
            parallel.Add(found);
        }

        return parallel;
    }

    /// <summary>The lengths of the numbers before and behind the point, with the signs between.</summary>
    private static string Shape(ItemTask task) => string.Concat(task.Text.Select(c => char.IsAsciiDigit(c) ? '0' : c));

    private static int Distance(string one, string other) => one == other ? 0 : 1 + Math.Abs(one.Length - other.Length) + (Signs(one) == Signs(other) ? 0 : 3);

    private static string Signs(string shape) => string.Concat(shape.Where(c => c is not ('0' or ' ')));

    private static double Unlike(HashSet<string> one, HashSet<string> other)
    {
        var both = one.Count(other.Contains);
        var any = one.Count + other.Count - both;
        return any == 0 ? 0 : 1 - (double)both / any;
    }
}
