using System.Collections.Concurrent;
using System.Text.RegularExpressions;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;

namespace YellowPencil.Core.Asking;

/// <summary>
/// How hard items may be that a student is set: as those on the page and no harder, of its operations, with numbers as long in each position, signs, fractions,
/// powers and brackets only where it has them, and its letter.
/// </summary>
public sealed partial class StudentSize
{
    // Of so many items that the family makes, those that fit come first.
    private const int Made = 400;

    private const int MostRedrawn = 4_000;

    private const long AnySize = 1_000_000_000;

    /// <summary>The seed by which items to ask are made where nothing else is said.</summary>
    internal const int UsualSeed = 7;

    private readonly IReadOnlyList<ItemTask> page;
    private readonly Dictionary<Family, PageLook> looks;
    private readonly long room;

    // What was looked at once is known: the rules of a page are planned for from the same items.
    private readonly ConcurrentDictionary<ItemTask, bool> fitting = new();
    private readonly ConcurrentDictionary<ItemTask, ItemTask> lettered = new();

    private StudentSize(IReadOnlyList<ItemTask> page, int level, long room = 1)
    {
        (this.page, Level, this.room) = (page, level, room);
        looks = page.GroupBy(t => t.Family).ToDictionary(g => g.Key, g => new PageLook(g.Select(TaskLook.Of)));
    }

    /// <summary>The digits of the longest number, 2 to 5.</summary>
    public int Level { get; }

    /// <summary>The size of a page.</summary>
    /// <param name="page">What stands on it.</param>
    public static StudentSize Of(IEnumerable<ItemTask> page)
    {
        List<ItemTask> tasks = [.. page];
        return new(tasks, Math.Clamp(tasks.Select(LevelOf).DefaultIfEmpty(3).Max(), 2, 5));
    }

    /// <summary>The size where no page is known but how long its numbers were.</summary>
    /// <param name="digits">The digits of the longest number.</param>
    public static StudentSize UpTo(int digits) => new([], digits);

    /// <summary>The same with more room for how large the numbers of fractions and before letters are: twice as large, and then only as long.</summary>
    public StudentSize Loosened => loosened ??= new(page, Level, room == 1 ? 2 : AnySize);

    private StudentSize? loosened;

    /// <summary>The digits of the longest number of a task.</summary>
    public static int LevelOf(ItemTask task) => task.Numbers.Max(n => n.Text.Count(char.IsAsciiDigit));

    /// <summary>Whether there is something of a family on the page.</summary>
    public bool Knows(Family family) => looks.ContainsKey(family);

    /// <summary>What stands on the page of a family.</summary>
    public IEnumerable<ItemTask> Page(Family family) => page.Where(t => t.Family == family);

    /// <summary>Whether a task is no harder than what stands on the page.</summary>
    public bool Fits(ItemTask task) => looks.TryGetValue(task.Family, out var alike) && alike.Admits(TaskLook.Of(task), room);

    /// <summary>Whether it has an operation, signs and kinds of number that the page has too, whatever their length.</summary>
    public bool KnowsSignsOf(ItemTask task) => looks.TryGetValue(task.Family, out var alike) && alike.KnowsSignsOf(TaskLook.Of(task));

    /// <summary>Whether none of its numbers is shorter than all that the page has in that position, in columns.</summary>
    public bool IsAsLong(ItemTask task) => looks.TryGetValue(task.Family, out var alike) && alike.IsNoLongerThan(TaskLook.Of(task));

    /// <summary>Whether its answer too is of a kind that the page has: below zero, with a fraction, a point or a remainder, a word, as long.</summary>
    public bool FitsWithAnswer(ItemTask task) => fitting.GetOrAdd(task, IsFitting);

    private bool IsFitting(ItemTask task)
    {
        if (!Fits(task)) return false;
        var answers = Page(task.Family).Select(t => t.RightAnswer).ToList();
        return task.RightAnswer.Length <= answers.Max(a => a.Length) + 1 && "-/.r".All(c => !task.RightAnswer.Contains(c) || answers.Exists(a => a.Contains(c)))
            && (task.RightAnswer.Any(c => c is >= '1' and <= '9') || answers.Contains(task.RightAnswer));
    }

    /// <summary>The same task with the page's letter.</summary>
    public ItemTask Lettered(ItemTask task) => lettered.GetOrAdd(task, WithLetter);

    private ItemTask WithLetter(ItemTask task)
    {
        var own = TaskLook.Of(task).Letter;
        if (own == ' ' || !looks.TryGetValue(task.Family, out var alike) || task.Text.IndexOf(' ') is not (> 0 and var word)) return task;
        if (alike.Letters.Contains(own) || alike.Letters.FirstOrDefault(l => l != ' ') is not (not '\0' and var letter)) return task;
        return TaskText.TryParse(task.Text[..word] + task.Text[word..].Replace(own, letter), task.Asked) is { Succeeded: true } read ? read.Value : task;
    }

    /// <summary>Tasks that are not on the page yet: those that fit it first, then some that do not, for where nothing else tells.</summary>
    /// <param name="families">The families.</param>
    /// <param name="count">How many of each family.</param>
    /// <param name="seed">The seed.</param>
    internal IEnumerable<ItemTask> New(IEnumerable<Family> families, int count, int seed)
    {
        var asked = page.Select(t => t.Text).ToHashSet();
        foreach (var family in families)
        {
            var made = PoolOf(family, seed).Where(t => t.Asked == default).Select(Lettered).Where(t => !asked.Contains(t.Text)).DistinctBy(t => t.Text).ToList();
            var fits = made.ToLookup(Fits);
            foreach (var task in fits[true].Take(count)) yield return task;
            foreach (var task in fits[false].Take(count / 2)) yield return task;
        }
    }

    // The usual seed is asked for by every page; its pools are kept, and with them how their items look.
    private static IReadOnlyList<ItemTask> PoolOf(Family family, int seed) =>
        seed == UsualSeed ? UsualPools.GetOrAdd(family, static f => ItemPool.Of(f, Made, UsualSeed)) : ItemPool.Of(family, Made, seed);

    private static readonly ConcurrentDictionary<Family, IReadOnlyList<ItemTask>> UsualPools = new();

    /// <summary>Tasks of the shape of those on the page, with other digits; they fit with their answers.</summary>
    /// <param name="family">The family.</param>
    /// <param name="seed">The seed.</param>
    internal IEnumerable<ItemTask> Redrawn(Family family, int seed)
    {
        var shapes = Page(family).ToList();
        var (random, seen) = (new Random(seed), shapes.Select(t => t.Text).ToHashSet());
        for (var i = 0; i < MostRedrawn && shapes.Count > 0; i++)
        {
            var shape = shapes[i % shapes.Count];
            var text = Digits().Replace(shape.Text, d => d.Value == "0" ? "0" : $"{(d.Length > 1 || d.Value == "1" ? d.Value[0] == '0' ? '0' : (char)random.Next('1', ':') : (char)random.Next('2', ':'))}"
                + string.Concat(d.Value.Skip(1).Select(_ => (char)random.Next('0', ':'))));
            if (TaskText.TryParse(text, shape.Asked) is { Succeeded: true } read && read.Value.Family == family && seen.Add(read.Value.Text) && FitsWithAnswer(read.Value))
                yield return read.Value;
        }
    }

    [GeneratedRegex(@"(?<!\^)\d+")]
    private static partial Regex Digits();
}
