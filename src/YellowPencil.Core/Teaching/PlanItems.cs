using YellowPencil.Core.Families;
using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Teaching;

/// <summary>
/// The items that a plan can use, sorted by whether the old rule shows on them, easy ones first; each item is given out once. Items that need facts which the
/// student does not have are left out, and as far as enough are left, those that need an idea which comes after the one that is taught.
/// </summary>
internal sealed class PlanItems
{
    /// <summary>So many items on which the rule shows are needed for a plan.</summary>
    private const int Needed = 22;

    /// <summary>So many on which it does not, where there are any.</summary>
    private const int GuardsNeeded = 6;

    private const int LongestNumber = 5;

    /// <summary>Of the items that could take the place of another, one of so many nearest is taken.</summary>
    private const int Choice = 8;

    private readonly List<Weighed> showing;
    private readonly List<Weighed> guards;
    private readonly List<Weighed> others;
    private readonly Random random;

    private PlanItems(List<Weighed> items, Random random)
    {
        this.random = random;
        showing = [.. items.Where(i => i.Item.Shows)];
        guards = [.. items.Where(IsGuard)];
        others = [.. items.Where(i => !i.Item.Shows && i is { Chances: 0, Asks: false })];
    }

    /// <summary>Sorts the items for a rule.</summary>
    /// <param name="family">The family that is practised.</param>
    /// <param name="rule">The rule.</param>
    /// <param name="idea">The idea that is taught.</param>
    /// <param name="avoided">Facts that the student does not have.</param>
    /// <param name="level">The digits of the longest number that the student meets.</param>
    /// <param name="seed">The seed by which items of like kind are chosen.</param>
    public static PlanItems For(Family family, IReadOnlyList<Deviation> rule, MissingIdea idea, IReadOnlyCollection<NumberFact> avoided, int level, int seed)
    {
        var run = new MethodRun();
        var set = new DeviationSet([rule]);
        var points = rule.Select(d => d.Decision!).ToHashSet();
        Weighed Weigh(PooledItem item)
        {
            Method.Run(item.Task, run, set);
            return new Weighed(item, new PlanItem(item.Task, run.Page.Answer.ToString()), run.Chances, item.Points.Overlaps(points));
        }

        bool CanBeUsed(PooledItem item) => !avoided.Any(item.Facts.Contains);
        var able = PlanPool.Of(family).Where(CanBeUsed).Select(Weigh).ToList();
        if (able.Count(w => w.Item.Shows) < Needed) able.AddRange(PlanPool.Further(family, set, Needed).Where(CanBeUsed).Select(Weigh));
        able = [.. able.OrderBy(w => w.Pooled.Steps).ThenBy(w => w.Item.Task.Text.Length).ThenBy(w => w.Item.Task.Text, StringComparer.Ordinal)];

        // Another form of answer is asked for only where the rule needs it.
        if (able.Count(w => w.Item.Shows && w.Item.Task.Asked == default) >= Needed) able.RemoveAll(w => w.Item.Task.Asked != default);
        var items = able;
        for (var digits = Math.Max(2, level); digits < LongestNumber; digits++)
        {
            items = [.. able.Where(w => w.Pooled.Level <= digits)];
            if (items.Count(i => i.Item.Shows) >= Needed) break;
        }

        if (items.Count(i => i.Item.Shows) < Needed) items = able;
        return new PlanItems(WithoutLaterIdeas(items, idea), new Random(seed));
    }

    /// <summary>An item on which the old rule shows, whose work goes through the step that it gets wrong and writes what it comes to.</summary>
    public PlanItem TakeExample(double level)
    {
        var clear = showing.Where(w => !w.Pooled.HasZeroInFront).ToList();
        var found = (clear.Count > 0 ? clear : showing)[(int)(level * ((clear.Count > 0 ? clear : showing).Count - 1))];
        showing.Remove(found);
        return found.Item;
    }

    /// <summary>Items that the old rule gets wrong, evenly spread between two levels of effort, 0 the easiest and 1 the hardest.</summary>
    public IReadOnlyList<PlanItem> TakeShowing(int count, double from, double to) => [.. Take(showing, count, from, to).Select(w => w.Item)];

    /// <summary>
    /// Items on which the old rule shows with others in between that guard the new habit: the same question comes up in them and has the other answer. A rule
    /// that shows everywhere gets items on which it shows instead.
    /// </summary>
    public IReadOnlyList<PlanItem> TakeMixed(int shown, int between)
    {
        var guarding = Take(guards, between, 0.1, 0.9);
        guarding.AddRange(Take(others, between - guarding.Count, 0.2, 0.9));
        var taken = Take(showing, shown + between - guarding.Count, 0, 0.9);
        var step = taken.Count / (guarding.Count + 1);
        for (var i = guarding.Count; i > 0; i--) taken.Insert(i * Math.Max(1, step), guarding[i - 1]);
        return [.. taken.Select(w => w.Item)];
    }

    /// <summary>
    /// An item on which the old rule happens to work, as the question has the other answer there, and that looks most like another one; null where there is
    /// none.
    /// </summary>
    public PlanItem? TakeLike(PlanItem other)
    {
        var from = guards.Count > 0 ? guards : others;
        var best = from.OrderByDescending(w => Alike(w.Item.Task.Text, other.Task.Text)).ThenBy(w => w.Pooled.Steps).FirstOrDefault();
        if (best is null) return null;
        from.Remove(best);
        return best.Item;
    }

    /// <summary>Another item with the same claim, as hard as nearly as can be; null where there is none.</summary>
    /// <param name="old">The item whose place it takes.</param>
    /// <param name="used">The tasks that the plan has, and those that were put out of it.</param>
    public PlanItem? Instead(PlanItem old, IReadOnlySet<string> used)
    {
        var steps = showing.Concat(guards).Concat(others).FirstOrDefault(w => w.Item.Task.Text == old.Task.Text)?.Pooled.Steps ?? 0;
        var from = old.Shows ? showing : guards.Exists(w => w.Item.Task.Text == old.Task.Text) || others.Count == 0 ? guards : others;
        return from.Where(w => !used.Contains(w.Item.Written))
            .OrderBy(w => Math.Abs(w.Pooled.Steps - steps)).ThenBy(w => Math.Abs(w.Item.Task.Text.Length - old.Task.Text.Length)).Take(Choice)
            .OrderBy(_ => random.Next()).Select(w => w.Item).FirstOrDefault();
    }

    private static int Alike(string one, string other) =>
        (one.Length == other.Length ? 20 : 0) + one.Zip(other)
            .Count(p => p.First == p.Second) + one.Zip(other).Count(p => char.IsAsciiDigit(p.First) == char.IsAsciiDigit(p.Second));

    /// <summary>Leaves out items that need a later idea, the latest ideas first, so long as enough items are left on which the rule shows.</summary>
    private static List<Weighed> WithoutLaterIdeas(List<Weighed> items, MissingIdea idea)
    {
        foreach (var later in items.SelectMany(w => w.Pooled.Ideas).Distinct().Where(i => IdeaMap.ComesBefore(idea, i)).OrderByDescending(IdeaMap.OrderOf))
        {
            var left = items.Where(w => !w.Pooled.Ideas.Contains(later)).ToList();
            if (left.Count(w => w.Item.Shows) >= Needed && left.Count(IsGuard) >= Math.Min(GuardsNeeded, items.Count(IsGuard))) items = left;
        }

        return items;
    }

    private static bool IsGuard(Weighed weighed) => !weighed.Item.Shows && weighed is { Chances: 0, Asks: true };

    private List<Weighed> Take(List<Weighed> source, int count, double from, double to)
    {
        var taken = new List<Weighed>();
        for (var i = 0; i < count && source.Count > 0; i++)
        {
            var level = count == 1 ? from : from + (to - from) * i / (count - 1);
            var near = Math.Max(1, source.Count / 20);
            var item = source[Math.Clamp((int)(level * (source.Count - 1)) + random.Next(-near, near + 1), 0, source.Count - 1)];
            source.Remove(item);
            taken.Add(item);
        }

        return taken;
    }

    private sealed record Weighed(PooledItem Pooled, PlanItem Item, int Chances, bool Asks);
}
