using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Teaching;

/// <summary>An ordinary item of a family with what has to be known of it to choose items for a plan.</summary>
/// <param name="Task">The task.</param>
/// <param name="Steps">How many steps the taught method takes.</param>
/// <param name="Level">The digits of its longest number.</param>
/// <param name="Facts">The number facts that it needs.</param>
/// <param name="Points">The decision points that come up.</param>
/// <param name="Ideas">The ideas without which it comes out wrong: those behind rules that show on it.</param>
/// <param name="HasZeroInFront">Whether the work comes to a zero that is not written in front of the answer.</param>
internal sealed record PooledItem(
    ItemTask Task, int Steps, int Level, IReadOnlySet<NumberFact> Facts, IReadOnlySet<Decision> Points, IReadOnlySet<MissingIdea> Ideas, bool HasZeroInFront);

/// <summary>Ordinary items of each family, looked through once.</summary>
internal static class PlanPool
{
    private const int Size = 700;
    private const int FurtherSize = 5_000;
    private const int LikeThePage = 300;
    private const int Seed = 7;

    private static readonly ConcurrentDictionary<(Family Family, string School), Lazy<IReadOnlyList<PooledItem>>> Pools = new();

    /// <summary>The items of a family as a school works them; of its answers only those count on which what is written depends.</summary>
    public static IReadOnlyList<PooledItem> Of(Family family, School school)
    {
        var own = TaughtFamily.Of(family).SchoolQuestions.Aggregate(School.Usual, (all, question) => all.With(question, school.AnswerTo(question)));
        return Pools.GetOrAdd((family, own.Key), _ => new Lazy<IReadOnlyList<PooledItem>>(() => [.. LookThrough(family, own, ItemPool.Of(family, Size, Seed))])).Value;
    }

    /// <summary>Items beyond those on which a rule shows, for rules that show on few.</summary>
    /// <param name="family">The family.</param>
    /// <param name="school">What the classroom teaches.</param>
    /// <param name="rule">The rule.</param>
    /// <param name="count">At most so many.</param>
    public static IReadOnlyList<PooledItem> Further(Family family, School school, DeviationSet rule, int count)
    {
        var run = new MethodRun();
        var showing = ItemPool.Of(family, FurtherSize, Seed).Skip(Size).Where(task =>
        {
            Method.Run(task, run, rule);
            return !run.Page.Answer.SequenceEqual(task.RightAnswer);
        });
        return [.. LookThrough(family, school, showing.Take(count))];
    }

    // What was looked at for a page, as long as its size is in use: each rule on it has a plan from the same items.
    private static readonly ConditionalWeakTable<StudentSize, ConcurrentDictionary<(Family Family, string School, int Seed), Drawn>> Pages = [];

    /// <summary>Items of the shape of those on a page, which fit it with their answers; each is looked at when it is taken, and once.</summary>
    public static IEnumerable<PooledItem> Like(Family family, School school, StudentSize size, int seed) =>
        Pages.GetOrCreateValue(size).GetOrAdd((family, school.Key, seed), _ => new Drawn(LookThrough(family, school, size.Redrawn(family, seed).Take(LikeThePage)))).Items();

    /// <summary>An item of a page, looked at in the same way.</summary>
    public static PooledItem Look(ItemTask task, School school) => LookThrough(task.Family, school, [task]).Single();

    private static IEnumerable<PooledItem> LookThrough(Family family, School school, IEnumerable<ItemTask> tasks)
    {
        var taught = new MethodRun { Recording = true };
        var worked = new DeviationSet(school, []);
        var needs = new IdeaNeeds(family);
        foreach (var task in tasks)
        {
            Method.Run(task, taught, worked);
            yield return new PooledItem(
                task, taught.StepCount, StudentSize.LevelOf(task), taught.Steps.Select(s => s.Fact?.Ordered)
                    .OfType<NumberFact>().ToHashSet(), taught.Steps.Select(s => s.Decision).OfType<Decision>().ToHashSet(), needs.Of(task),
                taught.Page.Marks.Where(m => m.Field == WorkFields.Cells).OrderByDescending(m => m.At.Place).Select(m => m.Text).FirstOrDefault() == "0");
        }
    }

    /// <summary>Items that are looked at one by one, and kept.</summary>
    private sealed class Drawn(IEnumerable<PooledItem> source)
    {
        private readonly IEnumerator<PooledItem> rest = source.GetEnumerator();
        private readonly List<PooledItem> kept = [];

        public IEnumerable<PooledItem> Items()
        {
            for (var at = 0; At(at) is { } item; at++) yield return item;
        }

        private PooledItem? At(int at)
        {
            lock (kept)
            {
                if (at == kept.Count && rest.MoveNext()) kept.Add(rest.Current);
                return kept.ElementAtOrDefault(at);
            }
        }
    }
}
