using System.Numerics;
using YellowPencil.Core.Families;

namespace YellowPencil.Core.Inference;

/// <summary>
/// Goes through the ways in which the chances of an item can be followed or not. With up to
/// <see cref="ExactChances"/> chances every way is visited; beyond that, approximately, those with at most
/// <see cref="MostDeclined"/> chances not followed, or one in items with more than <see cref="ManyChances"/>. The way that follows
/// every chance comes first, then those that leave out one, and so on.
/// </summary>
internal static class WayEnumeration
{
    public const int ExactChances = 4;

    public const int MostDeclined = 2;

    public const int ManyChances = 12;

    /// <summary>Runs every way and lets the visitor look at the run; the visitor must not keep it.</summary>
    public static void Visit(ItemTask task, MethodRun run, DeviationSet set, Action<ulong> visit) => Visit(task, run, set, visit, static () => false);

    /// <summary>The same, ending before the ways that leave out one more chance as soon as enough was seen.</summary>
    public static void Visit(ItemTask task, MethodRun run, DeviationSet set, Action<ulong> visit, Func<bool> isEnough)
    {
        Method.Run(task, run, set);
        var chances = run.Chances;
        visit(0);
        if (chances == 0) return;
        var open = new Queue<(ulong Declined, int From)>();
        Extend(open, 0, 0, chances);
        var level = 0;
        while (open.TryDequeue(out var next))
        {
            var declined = BitOperations.PopCount(next.Declined);
            if (declined > level && isEnough()) return;
            level = declined;
            Method.Run(task, run, set, next.Declined);
            var found = run.Chances;
            visit(next.Declined);
            Extend(open, next.Declined, next.From, found);
        }
    }

    // A way is named by its declined chances; declining one leaves the chances before it as they are, so each way is met once.
    // Declining one can open many more, as where work goes on that would have stopped: the bound is that of the way itself.
    private static void Extend(Queue<(ulong Declined, int From)> open, ulong declined, int from, int chances)
    {
        var most = chances <= ExactChances ? int.MaxValue : chances <= ManyChances ? MostDeclined : 1;
        if (BitOperations.PopCount(declined) >= most) return;
        for (var i = from; i < Math.Min(chances, MethodRun.MaxChances); i++) open.Enqueue((declined | 1UL << i, i + 1));
    }
}
