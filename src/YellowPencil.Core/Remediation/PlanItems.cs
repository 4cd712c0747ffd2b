using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Remediation;

/// <summary>A pool of items sorted by whether the old rule shows on them, easy ones first; each item is given out once.</summary>
internal sealed class PlanItems
{
    private readonly List<PlanItem> showing = [];
    private readonly List<PlanItem> silent = [];
    private readonly List<PlanItem> plain = [];

    public PlanItems(IReadOnlyList<Deviation> rule, IReadOnlyCollection<NumberFact> avoided, IEnumerable<ItemTask> pool)
    {
        var taught = new MethodRun { Recording = true };
        var old = new MethodRun();
        var set = new DeviationSet([rule]);
        var sorted = new List<(PlanItem Item, int Effort, bool Renames)>();
        foreach (var task in pool)
        {
            Method.Run(task, taught, DeviationSet.Taught);
            if (taught.Steps.Any(s => s.Fact is { } fact && avoided.Contains(fact.Ordered))) continue;
            var rewritten = taught.Page.Marks.Count(m => m.Field == WorkFields.Rewritten);
            Method.Run(task, old, set);
            sorted.Add((new PlanItem(task, old.Page.Answer.ToString()), task.Text.Length + 2 * rewritten, rewritten > 0));
        }

        foreach (var (item, _, renames) in sorted.OrderBy(s => s.Effort).ThenBy(s => s.Item.Task.Text, StringComparer.Ordinal))
        {
            if (item.Shows) showing.Add(item);
            else (renames ? silent : plain).Add(item);
        }
    }

    /// <summary>How many items are left that the old rule gets wrong.</summary>
    public int Showing => showing.Count;

    /// <summary>Items that the old rule gets wrong, evenly spread between two levels of effort, 0 the easiest and 1 the hardest.</summary>
    public IReadOnlyList<PlanItem> TakeShowing(int count, double from, double to) => Take(showing, count, from, to);

    /// <summary>
    /// Items on which the old rule shows and others in between, those without renaming where there are enough of them. A rule
    /// that shows everywhere gets items on which it shows instead.
    /// </summary>
    public IReadOnlyList<PlanItem> TakeMixed(int shown, int others)
    {
        var between = Take(plain.Count >= others ? plain : silent, others, 0.2, 0.9);
        var taken = Take(showing, shown + others - between.Count, 0, 0.9);
        var step = taken.Count / (between.Count + 1);
        for (var i = between.Count; i > 0; i--) taken.Insert(i * Math.Max(1, step), between[i - 1]);
        return taken;
    }

    /// <summary>An item on which the old rule happens to work and that looks like another one; null where there is none.</summary>
    public PlanItem? TakeLike(PlanItem other)
    {
        var from = silent.Count > 0 ? silent : plain;
        var best = from.Where(i => i.Task.Text.Length == other.Task.Text.Length)
            .OrderByDescending(i => i.Task.Text.Zip(other.Task.Text).Count(p => p.First == p.Second)).FirstOrDefault() ?? from.FirstOrDefault();
        if (best is not null) from.Remove(best);
        return best;
    }

    private static List<PlanItem> Take(List<PlanItem> source, int count, double from, double to)
    {
        var taken = new List<PlanItem>();
        for (var i = 0; i < count && source.Count > 0; i++)
        {
            var level = count == 1 ? from : from + (to - from) * i / (count - 1);
            var item = source[(int)(level * (source.Count - 1))];
            source.Remove(item);
            taken.Add(item);
        }

        return taken;
    }
}
