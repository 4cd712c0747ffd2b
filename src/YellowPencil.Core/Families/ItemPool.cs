using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Families;

/// <summary>Items as a teacher would set them, by family. The same seed gives the same items.</summary>
public static class ItemPool
{
    // When so many in a row bring no new one, the family has no more.
    private const int MostInVain = 2_000;

    /// <summary>Different tasks of a family, from easy to hard mixed; fewer than asked for where it does not make so many.</summary>
    /// <param name="family">A family whose methods are in the product.</param>
    /// <param name="count">How many tasks, at most 5,000.</param>
    /// <param name="seed">The seed.</param>
    /// <exception cref="ArgumentOutOfRangeException">No items can be made for the family yet, or the count is out of range.</exception>
    public static IReadOnlyList<ItemTask> Of(Family family, int count, int seed)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(count);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(count, 5_000);
        var items = TaughtFamily.Of(family).Items(seed);
        var seen = new HashSet<ItemTask>();
        var pool = new List<ItemTask>(count);
        for (var inVain = 0; pool.Count < count && inVain < MostInVain; inVain++)
        {
            var task = items();
            if (!seen.Add(task)) continue;
            pool.Add(task);
            inVain = 0;
        }

        return pool;
    }
}
