using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Asking;

/// <summary>
/// Items for a page whose explanations leave nothing to tell apart: those on which most of the rules would show that had no chance to show
/// so far, common ones first.
/// </summary>
public static class ShowingItems
{
    private const int PoolSize = 80;

    /// <summary>Where fewer items than this are of the student's size, longer ones are taken too.</summary>
    private const int LeastLeft = 12;

    /// <summary>The items, each chosen given that those before it are asked too.</summary>
    /// <param name="reading">The reading.</param>
    /// <param name="count">How many.</param>
    /// <param name="seed">The seed of the pool.</param>
    public static IReadOnlyList<ItemTask> For(Reading reading, int count = 3, int seed = 7)
    {
        var run = new MethodRun();
        var size = StudentSize.Of(reading.Sheet.Items.Select(i => i.Task));
        var pool = size.New(Families(reading), PoolSize, seed).ToList();
        if (pool.Count(size.Fits) >= LeastLeft) pool.RemoveAll(t => !size.Fits(t));
        var rules = WithoutChance(reading) is { Count: > 0 } hidden ? hidden : [.. Families(reading).SelectMany(Catalogue.Of).Distinct()];
        var open = rules.Select(bug => (Set: bug.Alone, Weight: Priors.Weight(bug.Commonness))).ToList();
        var shows = pool.ToDictionary(task => task, task => open.Where(bug => Shows(bug.Set, task)).ToList());
        var chosen = new List<ItemTask>();
        while (chosen.Count < count && pool.Count > 0)
        {
            var best = pool.OrderByDescending(t => shows[t].Where(open.Contains).Sum(b => b.Weight))
                .ThenBy(t => t.Text.Length).ThenBy(t => t.Text, StringComparer.Ordinal).First();
            chosen.Add(best);
            pool.Remove(best);
            open.RemoveAll(shows[best].Contains);
        }

        return chosen;

        bool Shows(DeviationSet set, ItemTask task) => ShowingItems.Shows(set, task, run);
    }

    /// <summary>The bugs of the page's families that show on none of its answered items.</summary>
    public static IReadOnlyList<Bug> WithoutChance(Reading reading)
    {
        var run = new MethodRun();
        return [.. Families(reading).SelectMany(Catalogue.Of).Distinct().Where(bug =>
        {
            var set = bug.Alone;
            return !reading.Items.Any(i => i.Item.IsAnswered && Shows(set, i.Item.Task, run));
        })];
    }

    private static bool Shows(DeviationSet set, ItemTask task, MethodRun run)
    {
        Method.Run(task, run, set);
        return !run.Page.Answer.SequenceEqual(task.RightAnswer);
    }

    private static IEnumerable<Family> Families(Reading reading) => FamilyList.Of(reading.Sheet.Items.Select(i => i.Task));
}
