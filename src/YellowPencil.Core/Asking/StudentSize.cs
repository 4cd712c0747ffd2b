using System.Collections.Concurrent;
using System.Numerics;
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

    // What a number of more than nine digits counts as.
    private const long BeyondAll = 1_000_000_000;

    private readonly IReadOnlyList<ItemTask> page;
    private readonly Dictionary<Family, List<Look>> looks;
    private readonly long room;

    // What was looked at once is known: the rules of a page are planned for from the same items.
    private readonly ConcurrentDictionary<ItemTask, bool> fitting = new();
    private readonly ConcurrentDictionary<ItemTask, ItemTask> lettered = new();

    private StudentSize(IReadOnlyList<ItemTask> page, int level, long room = 1)
    {
        (this.page, Level, this.room) = (page, level, room);
        looks = page.GroupBy(t => t.Family).ToDictionary(g => g.Key, g => g.Select(Look.Of).ToList());
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
    public bool Fits(ItemTask task) => looks.TryGetValue(task.Family, out var alike) && Look.Of(task).IsWithin(alike, room);

    /// <summary>Whether it has an operation, signs and kinds of number that the page has too, whatever their length.</summary>
    public bool KnowsSignsOf(ItemTask task) => looks.TryGetValue(task.Family, out var alike) && Look.Of(task).HasNoNewSigns(alike.FindAll(p => p.Operation == Look.Of(task).Operation));

    /// <summary>Whether none of its numbers is shorter than all that the page has in that position, in columns.</summary>
    public bool IsAsLong(ItemTask task) => looks.TryGetValue(task.Family, out var alike) && Look.Of(task).IsAsLong(alike);

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
        var own = Look.Of(task).Letter;
        if (own == ' ' || !looks.TryGetValue(task.Family, out var alike) || task.Text.IndexOf(' ') is not (> 0 and var word)) return task;
        if (alike.Exists(l => l.Letter == own) || alike.Find(l => l.Letter != ' ')?.Letter is not { } letter) return task;
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
            var made = ItemPool.Of(family, Made, seed).Where(t => t.Asked == default).Select(Lettered).Where(t => !asked.Contains(t.Text)).DistinctBy(t => t.Text).ToList();
            foreach (var task in made.Where(Fits).Take(count)) yield return task;
            foreach (var task in made.Where(t => !Fits(t)).Take(count / 2)) yield return task;
        }
    }

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

    /// <summary>What makes a task easy or hard to the eye.</summary>
    private sealed partial record Look(PairOperation? Operation, int[] Lengths, int[] Places, int Parts, int Brackets, string Signs, char Letter, long Largest)
    {
        private const string Rare = "/^.";

        public static Look Of(ItemTask task)
        {
            var numbers = task.SetOperation is null || char.IsAsciiLetter(task.Text[0]) ? [] : task.Numbers;
            var text = task.Text[(task.Text.IndexOf(' ') is > 0 and var word && char.IsAsciiLetter(task.Text[0]) ? word + 1 : 0)..];
            List<string> signs = [.. Rare.Where(text.Contains).Select(c => c.ToString()), .. Power().Matches(text).Select(m => m.Value)];
            if (numbers.Count > 0 ? numbers.Any(n => n.IsNegative) : text.StartsWith('-') || text.Contains("(-") || text.Contains("= -")) signs.Add("-");
            if (text.Contains("- (") || text.Contains("-(")) signs.Add("- (");
            foreach (var fraction in PlainFraction().Matches(text).Select(m => (Over: long.Parse(m.Groups[1].Value), Under: long.Parse(m.Groups[2].Value))))
            {
                if (fraction.Over >= fraction.Under) signs.Add("one or more");
                if (BigInteger.GreatestCommonDivisor(fraction.Over, fraction.Under) > 1) signs.Add("not in lowest terms");
            }

            if (ZeroAtEnd().IsMatch(text)) signs.Add("zero at the end of decimals");
            if (FirstNumber().IsMatch(text)) signs.Add("number first");
            if (NumberBeforeLetter().IsMatch(text)) signs.Add("number before letter");
            return new(
                task.SetOperation,
                numbers.Count > 0 ? [.. numbers.Select(n => n.Length - n.Places)] : [.. Number().Matches(text).Select(m => m.Length).DefaultIfEmpty(1)],
                [.. numbers.Select(n => n.Places)],
                text.Count(c => c == ' ') + 1, text.Count(c => c == '('), string.Join('|', signs.Distinct().Order(StringComparer.Ordinal)),
                numbers.Count > 0 ? ' ' : text.FirstOrDefault(char.IsAsciiLetterLower, ' '), Number().Matches(text).Select(m => m.Length < 10 ? long.Parse(m.Value) : BeyondAll).DefaultIfEmpty(0).Max());
        }

        public bool IsWithin(List<Look> page, long room)
        {
            var alike = page.FindAll(p => p.Operation == Operation);
            if (alike.Count == 0 || Parts > alike.Max(p => p.Parts) || Brackets > alike.Max(p => p.Brackets) || !alike.Exists(p => p.Letter == Letter)) return false;
            if (!HasNoNewSigns(alike)) return false;
            return Places.Length == 0
                ? Lengths.Max() <= alike.Max(p => p.Lengths.Max()) && Largest <= room * alike.Max(p => p.Largest)
                : Within(Lengths, alike, p => p.Lengths) && Within(Places, alike, p => p.Places);
        }

        public bool HasNoNewSigns(List<Look> alike)
        {
            var known = alike.SelectMany(p => p.Signs.Split('|')).ToHashSet();
            return alike.Count > 0 && (Signs.Length == 0 || Signs.Split('|').All(known.Contains));
        }

        public bool IsAsLong(List<Look> page)
        {
            var alike = page.FindAll(p => p.Operation == Operation && p.Places.Length == Places.Length);
            return alike.Count > 0 && Places.Index().All(p => Lengths[p.Index] + p.Item >= alike.Min(a => a.Lengths[p.Index] + a.Places[p.Index]));
        }

        private static bool Within(int[] own, List<Look> page, Func<Look, int[]> of) =>
            own.Index().All(o => o.Item <= page.Select(of).Where(p => p.Length > o.Index).Select(p => p[o.Index]).DefaultIfEmpty(-1).Max());

        [GeneratedRegex(@"\^\d")]
        private static partial Regex Power();

        [GeneratedRegex(@"\d+")]
        private static partial Regex Number();

        [GeneratedRegex(@"(\d{1,9})/(\d{1,9})")]
        private static partial Regex PlainFraction();

        [GeneratedRegex(@"\.\d*0(?!\d)")]
        private static partial Regex ZeroAtEnd();

        // "(3 + x)", "7 - 2x": a plain number before a letter.
        [GeneratedRegex(@"(^|\(|= )-?\d+ [+-] \d*[a-z]")]
        private static partial Regex NumberBeforeLetter();

        // "2x^2", "3(", where the first number is not 1.
        [GeneratedRegex(@"^\d+[a-z]\^")]
        private static partial Regex FirstNumber();
    }
}
