using System.Runtime.CompilerServices;

namespace YellowPencil.Core.Engine;

/// <summary>
/// Watches one run for the chances of many rules at once, none of which is followed. A rule without a chance on the way of a
/// student without rules never leaves that way, so it says what the method says.
/// </summary>
/// <param name="owners">The deviations of each rule.</param>
public sealed class ChanceWatch(IReadOnlyList<IReadOnlyList<Deviation>> owners)
{
    private readonly (Deviation Deviation, int Owner)[]?[] byPoint = Group(owners);

    private readonly int[] chances = new int[owners.Count];

    /// <summary>Forgets what was seen, for the next run.</summary>
    public void Clear() => Array.Clear(chances);

    /// <summary>How many chances each rule had, in their order.</summary>
    public ReadOnlySpan<int> Chances => chances;

    internal bool Watches(Decision point) => point.Ordinal < byPoint.Length && byPoint[point.Ordinal] is not null;

    internal void See<TContext>(Decision<TContext> point, in TContext context, int taught)
        where TContext : struct, IDecisionContext
    {
        if (point.Ordinal >= byPoint.Length || byPoint[point.Ordinal] is not { } rules) return;
        foreach (var (deviation, owner) in rules)
            if (Unsafe.As<ContextDeviation<TContext>>(deviation).Applies(context, taught, out _)) chances[owner]++;
    }

    private static (Deviation, int)[]?[] Group(IReadOnlyList<IReadOnlyList<Deviation>> owners)
    {
        var grouped = new (Deviation, int)[]?[Decision.Created];
        foreach (var point in owners.SelectMany((deviations, owner) => deviations.Select(d => (Deviation: d, Owner: owner)))
            .Where(d => d.Deviation.Decision is not null).GroupBy(d => d.Deviation.Decision!.Ordinal))
            grouped[point.Key] = [.. point];
        return grouped;
    }
}
