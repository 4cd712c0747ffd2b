using System.Text.RegularExpressions;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Teaching.Examples;

namespace YellowPencil.Core.Teaching;

/// <summary>
/// The items that a plan can use, sorted by whether the old rule shows on them, easy ones first; each item is given out once. Items that need facts which the
/// student does not have are left out, and as far as enough are left, those that need an idea which comes after the one that is taught.
/// </summary>
internal sealed partial class PlanItems
{
    /// <summary>So many items on which the rule shows are needed for a plan.</summary>
    private const int Needed = 22;

    /// <summary>So many leave a choice among them.</summary>
    private const int Plenty = 50;

    /// <summary>Of each shape in which the rule shows on the page so many are looked for, among so many more.</summary>
    private const int OfEachShape = 10;

    private const int MostBeyond = 300;

    /// <summary>Contrast, example, two together, three alone and the exit question.</summary>
    private const int ForASession = 8;

    /// <summary>So many on which it does not, where there are any.</summary>
    private const int GuardsNeeded = 6;

    private const int LongestNumber = 5;

    /// <summary>Of the items that could take the place of another, one of so many nearest is taken.</summary>
    private const int Choice = 8;

    /// <summary>Of so many easy items one is looked for whose example says what is decided.</summary>
    private const int LookedAtForExample = 60;

    /// <summary>Of those on which a new habit may be wrong, about so many are looked at.</summary>
    private const int LookedAt = 50;

    /// <summary>A contrast is looked for beside so many of the easiest.</summary>
    private const int Easy = 8;

    private readonly List<WeighedItem> showing;
    private readonly List<WeighedItem> guards;
    private readonly List<WeighedItem> others;
    private readonly DeviationSet rule;
    private readonly HashSet<Decision> points;
    private readonly StudentSize size;
    private readonly Random random;
    private NewHabits? habits;

    // How often the page has each shape of those on which the rule shows, and how often it was given out.
    private readonly Dictionary<string, int> shapes;
    private readonly Dictionary<string, int> used = [];

    // Those that were given out of those on which the rule shows.
    private readonly List<WeighedItem> given = [];

    private PlanItems(List<WeighedItem> items, DeviationSet rule, HashSet<Decision> points, StudentSize size, Dictionary<string, int> shapes, Random random)
    {
        (this.rule, this.points, this.size, this.shapes, this.random) = (rule, points, size, shapes, random);
        showing = [.. items.Where(i => i.Shows)];
        guards = [.. items.Where(IsGuard)];
        others = [.. items.Where(i => !i.Shows && i is { Chances: 0, Asks: false })];
    }

    /// <summary>Sorts the items for a rule.</summary>
    /// <param name="family">The family that is practised.</param>
    /// <param name="school">What the classroom teaches.</param>
    /// <param name="rule">The rule.</param>
    /// <param name="orElse">What may be done another time instead.</param>
    /// <param name="part">What of it belongs to the idea; on items where the rest shows, nothing is taught.</param>
    /// <param name="idea">The idea that is taught.</param>
    /// <param name="avoided">Facts that the student does not have.</param>
    /// <param name="size">How hard items are that the student meets.</param>
    /// <param name="seed">The seed by which items of like kind are chosen.</param>
    public static PlanItems For(
        Family family, School school, IReadOnlyList<Deviation> rule, IReadOnlyList<Deviation> orElse, IReadOnlyList<Deviation> part, MissingIdea idea,
        IReadOnlyCollection<NumberFact> avoided, StudentSize size, int seed)
    {
        var run = new MethodRun();
        var set = new DeviationSet(school, [rule]);
        var others = orElse.Select(other => new DeviationSet(school, [[other]])).ToList();
        var points = rule.Select(d => d.Decision!).ToHashSet();
        var sameWork = new SameWork(set);
        WeighedItem Weigh(PooledItem item)
        {
            Method.Run(item.Task, run, set);
            var (old, isByLuck) = (run.Page.Answer.ToString(), run.CameToTheSame);
            var chances = run.Chances > 0 && old == item.Task.RightAnswer && sameWork.On(item.Task) ? 0 : run.Chances;
            var answers = others.Where(_ => chances > 0).Select(other =>
            {
                Method.Run(item.Task, run, other);
                return run.Page.Answer.ToString();
            });
            return new WeighedItem(item, PlanItem.Of(item.Task, answers.Prepend(old)), chances, item.Points.Overlaps(points), isByLuck);
        }

        var (partRun, ofIdea) = (new MethodRun(), new DeviationSet(school, [part]));
        bool IsOfIdea(ItemTask task)
        {
            if (ReferenceEquals(part, rule)) return true;
            Method.Run(task, run, set);
            Method.Run(task, partRun, ofIdea);
            return run.Page.Answer.SequenceEqual(partRun.Page.Answer);
        }

        bool CanBeUsed(PooledItem item) => !avoided.Any(item.Facts.Contains) && IsOfIdea(item.Task);
        var able = PlanPool.Of(family, school).Select(i => i with { Task = size.Lettered(i.Task) }).DistinctBy(i => i.Task.Text).Where(CanBeUsed).Select(Weigh).ToList();
        if (able.FindAll(w => !NeighbourItems.IsMisleading(w.Item.Task)) is var honest && IsEnough(honest)) able = honest;
        List<WeighedItem> ofPage = [.. size.Page(family).Where(IsOfIdea).Select(t => Weigh(PlanPool.Look(t, school)))];
        List<WeighedItem> items = [];
        var shapes = ofPage.Where(w => w.Shows).GroupBy(w => w.Shape).ToDictionary(g => g.Key, g => g.Count());
        List<WeighedItem> Measured(StudentSize measure)
        {
            var fitting = able.FindAll(w => measure.FitsWithAnswer(w.Item.Task) && (measure != size || !w.Shows || measure.IsAsLong(w.Item.Task)));
            var known = fitting.Select(w => w.Item.Task.Text).ToHashSet();
            var (alike, guarding, beyond) = (fitting.Count(IsAlike), fitting.Count(IsGuard), 0);
            var missing = shapes.Keys.ToDictionary(s => s, s => OfEachShape - fitting.Count(w => w.Shows && w.Shape == s));
            foreach (var item in PlanPool.Like(family, school, measure, seed).Where(i => CanBeUsed(i) && !NeighbourItems.IsMisleading(i.Task) && known.Add(i.Task.Text)).Select(Weigh))
            {
                // So many leave a choice; of a rule that shows everywhere there are no guards to wait for.
                if (alike >= Plenty && (guarding >= GuardsNeeded || alike >= 2 * Plenty) && (missing.Values.All(m => m <= 0) || ++beyond > MostBeyond)) break;
                fitting.Add(item);
                if (IsGuard(item)) guarding++;
                if (!IsAlike(item)) continue;
                alike++;
                missing[item.Shape]--;
            }

            return fitting;
        }

        bool IsAlike(WeighedItem item) => item.Shows && shapes.ContainsKey(item.Shape);
        bool AreLeft(List<WeighedItem> of) => of.Count(w => !w.Shows) >= GuardsNeeded && of.Count(IsGuard) >= Math.Min(GuardsNeeded, items.Count(IsGuard));

        items = size.Knows(family) ? Measured(size) : [];
        if (size.Knows(family) && !IsEnough(items)) items = Measured(size.Loosened);
        if (size.Knows(family) && !IsEnough(items)) items = Measured(size.Loosened.Loosened);
        if (items.FindAll(w => !w.Shows || shapes.ContainsKey(w.Shape)) is var alike && IsEnough(alike)) items = alike;
        if (!IsEnough(items) && able.FindAll(w => size.KnowsSignsOf(w.Item.Task)) is var known && IsEnough(known)) able = known;
        if (!IsEnough(items)) items = OfLevel(family, school, able, set, size.Level, CanBeUsed, Weigh);

        // Where the old rule comes to the right number by luck, there is nothing to learn.
        if (items.FindAll(w => w.Shows || !w.IsByLuck) is var unlucky && unlucky.Count(w => !w.Shows) >= GuardsNeeded) items = unlucky;

        // Items in between that are shorter than all of the page would give themselves away.
        if (size.Knows(family) && items.FindAll(w => w.Shows || size.IsAsLong(w.Item.Task)) is var asLong && AreLeft(asLong)) items = asLong;

        // Of a rule that hardly shows, those of the page itself.
        if (!IsEnough(items)) items = [.. items.Concat(ofPage).DistinctBy(w => (w.Item.Task.Text, w.Item.Task.Asked))];
        if (items.FindAll(w => !HasOddOldAnswer(w.Item)) is var plain && IsEnough(plain)) items = plain;
        items = [.. items.OrderBy(w => w.Pooled.Steps).ThenBy(w => w.Item.Task.Text.Length).ThenBy(w => w.Item.Task.Text, StringComparer.Ordinal)];
        return new PlanItems(WithoutLaterIdeas(items, idea, shapes), set, points, size, shapes, new Random(seed));
    }

    // Where the page gives no measure, or too little of it for a plan: by the length of the numbers alone.
    private static List<WeighedItem> OfLevel(
        Family family, School school, List<WeighedItem> able, DeviationSet rule, int level, Func<PooledItem, bool> canBeUsed, Func<PooledItem, WeighedItem> weigh)
    {
        if (able.Count(w => w.Shows) < Needed) able.AddRange(PlanPool.Further(family, school, rule, Needed).Where(canBeUsed).Select(weigh));

        // Where the family sets too few of its own: the same with other digits.
        if (able.Count(w => w.Shows) < Needed)
        {
            var known = able.Select(w => w.Item.Task.Text).ToHashSet();
            able.AddRange(PlanPool.Like(family, school, StudentSize.Of(able.Select(w => w.Item.Task)), seed: 1).Where(i => canBeUsed(i) && !known.Contains(i.Task.Text)).Select(weigh));
        }

        // Another form of answer is asked for only where the rule needs it.
        if (able.Count(w => w.Shows && w.Item.Task.Asked == default) >= Needed) able.RemoveAll(w => w.Item.Task.Asked != default);
        for (var digits = Math.Max(2, level); digits < LongestNumber; digits++)
        {
            var items = able.FindAll(w => w.Pooled.Level <= digits);
            if (items.Count(i => i.Shows) >= Needed) return items;
        }

        return able;
    }

    // A fraction that nobody expects gives the old rule away before it is thought about, and is no key to compare with.
    private static bool HasOddOldAnswer(PlanItem item) => item.OldAnswer.Contains('/') && !item.Right.Contains('/');

    private static bool IsEnough(List<WeighedItem> items) => items.Count(w => w.Shows) >= Needed;

    /// <summary>Whether the rule shows on so many that a session can be made of them; for practice on other days they may come again.</summary>
    public bool AreEnough => showing.Count >= ForASession;

    /// <summary>
    /// An item on which the old rule shows, whose work goes through the step that it gets wrong and writes what it comes to: of a shape that the page has, with few
    /// steps and few ideas beside the one that is taught, not by one, no zeros that are not written, no fraction out of whole numbers, and no digit twice in a number.
    /// </summary>
    public PlanItem TakeExample(double level)
    {
        var clear = showing.FindAll(w => !w.Pooled.HasZeroInFront && (shapes.Count == 0 || shapes.ContainsKey(w.Shape)));
        if (clear.Count == 0) clear = showing;
        if (clear.FindAll(IsPlain) is { Count: > 0 } plain) clear = plain;
        else if (showing.FindAll(w => !w.Pooled.HasZeroInFront && IsPlain(w)) is { Count: > 0 } ofOtherShape) clear = ofOtherShape;
        if (clear.FindAll(w => !RepeatedDigit().IsMatch(w.Item.Task.Text)) is { Count: > 0 } distinct) clear = distinct;
        var simple = clear.OrderBy(ItemEffort.Of).ToList();
        var from = simple.Skip((int)(level * (simple.Count - 1))).ToList();
        var found = from.Take(LookedAtForExample).FirstOrDefault(w => WorkedExamples.Of(w.Item.Task, rule.School)?.Any(l => l.About.Any(points.Contains)) != false) ?? from[0];
        showing.Remove(found);
        given.Add(found);
        return found.Item;
    }

    private static bool IsPlain(WeighedItem item) =>
        !ItemEffort.IsByOne(item.Item.Task) && !ItemEffort.HidesZeros(item.Item.Task) && !ItemEffort.ComesToAFraction(item);

    /// <summary>Items that the old rule gets wrong, evenly spread between two levels of effort, 0 the easiest and 1 the hardest.</summary>
    public IReadOnlyList<PlanItem> TakeShowing(int count, double from, double to) => [.. Take(showing, count, from, to).Select(w => w.Item)];

    /// <summary>
    /// An item on which the old rule is right, of those first on which a new habit is wrong; null where the rule shows everywhere.
    /// </summary>
    public PlanItem? TakeGuard()
    {
        var step = 1 + guards.Count / LookedAt;
        if (guards.Where((w, at) => at % step == 0 && HasHabit(w)).ToList() is { Count: > 0 } caught) return TakeFrom(guards, caught);
        if (MostAlike(Plenty).FindAll(HasHabit) is { Count: > 0 } alike) return TakeFrom(others, alike);
        return guards.Count > 0 ? TakeFrom(guards, guards) : others.Count > 0 ? TakeFrom(others, MostAlike(1)) : null;
    }

    private bool HasHabit(WeighedItem weighed) => Habits.AnswerOn(weighed.Item.Task) is not null;

    private NewHabits Habits => habits ??= new NewHabits([.. given.Concat(showing.OrderBy(ItemEffort.Of)).Select(w => w.Item.Task)], rule.School, points);

    private PlanItem TakeFrom(List<WeighedItem> source, List<WeighedItem> choice)
    {
        var taken = Take([.. choice], 1, 0.4, 0.4)[0];
        source.Remove(taken);
        return WithHabit(taken.Item);
    }

    private PlanItem WithHabit(PlanItem item) => item with { NewHabit = Habits.AnswerOn(item.Task) };

    // Of the others so many and more, those first in which most questions come up that come up in the items on which the rule shows.
    private List<WeighedItem> MostAlike(int count)
    {
        var asked = given.SelectMany(w => w.Pooled.Points).ToHashSet();
        var alike = new List<WeighedItem>();
        foreach (var group in others.GroupBy(w => w.Pooled.Points.Count(asked.Contains)).OrderByDescending(g => g.Key))
        {
            if (alike.Count >= count) break;
            alike.AddRange(group);
        }

        return [.. others.Where(alike.Contains)];
    }

    private List<WeighedItem> TakeOthers(int count, double from, double to)
    {
        var taken = Take(MostAlike(count * Choice), count, from, to);
        others.RemoveAll(taken.Contains);
        return taken;
    }

    /// <summary>Leaves items out that were used before, of each kind only so long as there are enough others.</summary>
    public void PutAside(IReadOnlySet<string> used)
    {
        foreach (var list in new[] { showing, guards, others })
            if (list.FindAll(w => !used.Contains(w.Item.Written)) is var fresh && fresh.Count >= Math.Min(list.Count, ForASession))
            {
                list.Clear();
                list.AddRange(fresh);
            }
    }

    /// <summary>Items on which the old rule is right, those first in which the same question comes up; fewer where there are not so many.</summary>
    public IReadOnlyList<PlanItem> TakeNotShowing(int count)
    {
        var taken = Take(guards, count, 0.2, 0.7);
        return [.. taken.Concat(TakeOthers(count - taken.Count, 0.3, 0.8)).Select(w => w.Item)];
    }

    /// <summary>
    /// Items on which the old rule shows with others in between that guard the new habit: the same question comes up in them and has the other answer. A rule
    /// that shows everywhere gets items on which it shows instead.
    /// </summary>
    public IReadOnlyList<PlanItem> TakeMixed(int shown, int between)
    {
        var guarding = Take(guards, between, 0.1, 0.9);
        guarding.AddRange(TakeOthers(between - guarding.Count, 0.2, 0.9));
        var taken = Take(showing, shown + between - guarding.Count, 0, 0.9);
        taken.AddRange(Take(guards, shown + between - guarding.Count - taken.Count, 0, 0.9));
        taken.AddRange(TakeOthers(shown + between - guarding.Count - taken.Count, 0, 0.9));

        // There are too few of any kind: those that were given out come once more, for another day.
        taken.AddRange(Take([.. given.Except(taken)], shown + between - guarding.Count - taken.Count, 0, 0.9));
        var step = taken.Count / (guarding.Count + 1);
        for (var i = guarding.Count; i > 0; i--) taken.Insert(Math.Min(taken.Count, i * Math.Max(1, step)), guarding[i - 1]);
        return [.. taken.Select(w => w.Item)];
    }

    /// <summary>
    /// Two items that differ in one thing, a digit or a sign: on one the old rule gives the right answer, because the question has the other answer there, on the
    /// other it does not. The first is null where no easy item has such a neighbour.
    /// </summary>
    public (PlanItem? Works, PlanItem Fails) TakeContrast()
    {
        var contrasts = new Contrasts(rule, points, size);
        var easy = showing.OrderBy(ItemEffort.ComesToAFraction).ThenBy(ItemEffort.Of).Take(Easy).ToList();
        (WeighedItem Fails, (PlanItem Item, Contrast Kind)? Works) best = (easy[0], null);
        foreach (var fails in easy)
        {
            if (contrasts.Beside(fails.Item.Task) is not { } works || best.Works?.Kind >= works.Kind) continue;
            best = (fails, works);
            if (works.Kind == Contrast.OtherAnswer) break;
        }

        given.Add(best.Fails);
        foreach (var list in new[] { showing, guards, others }) list.RemoveAll(w => w == best.Fails || w.Item.Task.Text == best.Works?.Item.Task.Text);
        return (best.Works?.Item, best.Fails.Item);
    }

    [GeneratedRegex(@"(?<![\d/^])\d*(\d)\d*\1")]
    private static partial Regex RepeatedDigit();

    /// <summary>Another item with the same claim, as hard as nearly as can be; null where there is none.</summary>
    /// <param name="old">The item whose place it takes.</param>
    /// <param name="used">The tasks that the plan has, and those that were put out of it.</param>
    public PlanItem? Instead(PlanItem old, IReadOnlySet<string> used)
    {
        var steps = showing.Concat(guards).Concat(others).FirstOrDefault(w => w.Item.Task.Text == old.Task.Text)?.Pooled.Steps ?? 0;
        var from = old.Shows ? showing : guards.Exists(w => w.Item.Task.Text == old.Task.Text) || others.Count == 0 ? guards : others;
        return from.Where(w => !used.Contains(w.Item.Written))
            .OrderBy(w => Math.Abs(w.Pooled.Steps - steps)).ThenBy(w => Math.Abs(w.Item.Task.Text.Length - old.Task.Text.Length)).Take(Choice)
            .OrderByDescending(w => old.NewHabit is not null && HasHabit(w)).ThenBy(_ => random.Next()).Select(w => old.NewHabit is null ? w.Item : WithHabit(w.Item)).FirstOrDefault();
    }

    /// <summary>
    /// Leaves out items that need a later idea, the latest ideas first, so long as enough items are left on which the rule shows, and they look like at least half of
    /// those of the page; of the others only where enough are left too.
    /// </summary>
    private static List<WeighedItem> WithoutLaterIdeas(List<WeighedItem> items, MissingIdea idea, Dictionary<string, int> shapes)
    {
        int Covered(List<WeighedItem> by) => by.Where(w => w.Shows).Select(w => w.Shape).Distinct().Sum(s => shapes.GetValueOrDefault(s));
        var half = Covered(items) / 2.0;
        foreach (var later in items.SelectMany(w => w.Pooled.Ideas).Distinct().Where(i => IdeaMap.ComesBefore(idea, i)).OrderByDescending(IdeaMap.OrderOf))
        {
            var left = items.FindAll(w => !w.Pooled.Ideas.Contains(later));
            if (left.Count(w => w.Shows) < Needed || Covered(left) < half) continue;
            bool AreLeft(Func<WeighedItem, bool> of) => left.Count(of) >= Math.Min(GuardsNeeded, items.Count(of));
            items = AreLeft(IsGuard) && AreLeft(w => !w.Shows) ? left : items.FindAll(w => !w.Shows || !w.Pooled.Ideas.Contains(later));
        }

        return items;
    }

    private static bool IsGuard(WeighedItem weighed) => !weighed.Shows && weighed is { Chances: 0, Asks: true };

    // From the shape of which too few were given out yet, beside how often the page has it, an item of about that level of effort among its like.
    private List<WeighedItem> Take(List<WeighedItem> source, int count, double from, double to)
    {
        var taken = new List<WeighedItem>();
        for (var i = 0; i < count && source.Count > 0; i++)
        {
            var level = count == 1 ? from : from + (to - from) * i / (count - 1);
            var alike = source.GroupBy(w => w.Shape).OrderBy(g => Share(g.Key)).ThenByDescending(g => shapes.GetValueOrDefault(g.Key)).ThenBy(g => g.First().Pooled.Steps).First().ToList();
            var near = Math.Max(1, alike.Count / 20);
            var item = alike[Math.Clamp((int)(level * (alike.Count - 1)) + random.Next(-near, near + 1), 0, alike.Count - 1)];
            used[item.Shape] = used.GetValueOrDefault(item.Shape) + 1;
            source.Remove(item);
            taken.Add(item);
            if (source == showing) given.Add(item);
        }

        return [.. taken.OrderBy(w => w.Pooled.Steps).ThenBy(w => w.Item.Task.Text.Length)];
    }

    // How often a shape was given out beside how often the page has it.
    private double Share(string shape) => (double)used.GetValueOrDefault(shape) / Math.Max(1, shapes.GetValueOrDefault(shape));
}
