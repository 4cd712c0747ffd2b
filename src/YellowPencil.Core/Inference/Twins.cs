using System.Collections.Concurrent;
using YellowPencil.Core.Families;

namespace YellowPencil.Core.Inference;

/// <summary>Listed rules that no item tells apart, as a rule of signs and the same rule of numbers with signs inside another working.</summary>
internal static class Twins
{
    // Rules that answer so many ordinary items of each family alike answer all alike.
    private const int ItemsLookedAt = 200;

    private const int Seed = 5;

    private static readonly ConcurrentDictionary<Family, IReadOnlyList<ItemTask>> Items = new();

    /// <summary>Whether two students with listed rules give the same answer to every item of some families.</summary>
    public static bool Are(Hypothesis one, Hypothesis other, IReadOnlyList<Family> families)
    {
        if (!IsListed(one) || !IsListed(other)) return false;
        var (first, second) = (new MethodRun(), new MethodRun());
        return families.SelectMany(family => Items.GetOrAdd(family, static f => ItemPool.Of(f, ItemsLookedAt, Seed))).All(task =>
        {
            Method.Run(task, first, one.Deviations);
            Method.Run(task, second, other.Deviations);
            return first.Page.Answer.SequenceEqual(second.Page.Answer);
        });
    }

    private static bool IsListed(Hypothesis hypothesis) => hypothesis is { RuleCount: > 0, Unlisted.Count: 0, Facts.Count: 0, IsOpen: false };
}
