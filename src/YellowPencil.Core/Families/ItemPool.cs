using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Families;

/// <summary>Items as a teacher would set them, by family. The same seed gives the same items.</summary>
public static class ItemPool
{
    /// <summary>Different tasks of a family, from easy to hard mixed.</summary>
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
        while (pool.Count < count)
        {
            var task = items();
            if (seen.Add(task)) pool.Add(task);
        }

        return pool;
    }
}
