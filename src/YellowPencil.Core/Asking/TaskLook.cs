using System.Numerics;
using System.Runtime.CompilerServices;
using System.Text.RegularExpressions;

namespace YellowPencil.Core.Asking;

/// <summary>What makes a task easy or hard to the eye.</summary>
internal sealed partial class TaskLook
{
    private const string Rare = "/^.";

    // What a number of more than nine digits counts as.
    private const long BeyondAll = 1_000_000_000;

    // A task that is kept keeps its look.
    private static readonly ConditionalWeakTable<ItemTask, TaskLook> Known = [];

    private TaskLook(ItemTask task)
    {
        var numbers = task.SetOperation is null || char.IsAsciiLetter(task.Text[0]) || Fraction().IsMatch(task.Text) ? [] : task.Numbers;
        var text = task.Text[(task.Text.IndexOf(' ') is > 0 and var word && char.IsAsciiLetter(task.Text[0]) ? word + 1 : 0)..];
        var inText = Number().Matches(text);
        Operation = task.SetOperation;
        Lengths = numbers.Count > 0 ? [.. numbers.Select(n => n.Length - n.Places)] : [.. inText.Select(m => m.Length).DefaultIfEmpty(1)];
        Places = [.. numbers.Select(n => n.Places)];
        Parts = text.Count(c => c == ' ') + 1;
        Brackets = text.Count(c => c == '(');
        Signs = [.. SignsOf(text, numbers).Distinct()];
        Letter = numbers.Count > 0 ? ' ' : text.FirstOrDefault(char.IsAsciiLetterLower, ' ');
        Largest = inText.Select(m => m.Length < 10 ? long.Parse(m.Value) : BeyondAll).DefaultIfEmpty(0).Max();
    }

    public static TaskLook Of(ItemTask task) => Known.GetValue(task, static t => new TaskLook(t));

    /// <summary>What is set.</summary>
    public PairOperation? Operation { get; }

    /// <summary>The digits before the point of each number.</summary>
    public int[] Lengths { get; }

    /// <summary>The digits behind the point of each number; empty where the task is no column of numbers.</summary>
    public int[] Places { get; }

    /// <summary>The parts that spaces leave.</summary>
    public int Parts { get; }

    public int Brackets { get; }

    /// <summary>Signs and kinds of number that have to be known.</summary>
    public string[] Signs { get; }

    /// <summary>The letter; a space where there is none.</summary>
    public char Letter { get; }

    public long Largest { get; }

    private static IEnumerable<string> SignsOf(string text, IReadOnlyList<DecimalNumber> numbers)
    {
        foreach (var rare in Rare.Where(text.Contains)) yield return rare.ToString();
        foreach (Match power in Power().Matches(text)) yield return power.Value;
        if (numbers.Count > 0 ? numbers.Any(n => n.IsNegative) : text.StartsWith('-') || text.Contains("(-") || text.Contains("= -")) yield return "-";
        if (text.Contains("- (") || text.Contains("-(")) yield return "- (";
        foreach (Match fraction in PlainFraction().Matches(text))
        {
            var (over, under) = (long.Parse(fraction.Groups[1].Value), long.Parse(fraction.Groups[2].Value));
            if (over >= under) yield return "one or more";
            if (BigInteger.GreatestCommonDivisor(over, under) > 1) yield return "not in lowest terms";
        }

        if (ZeroAtEnd().IsMatch(text)) yield return "zero at the end of decimals";
        if (FirstNumber().IsMatch(text)) yield return "number first";
        if (NumberBeforeLetter().IsMatch(text)) yield return "number before letter";
    }

    // Fractions stand in no columns: how large their numbers are is what counts.
    [GeneratedRegex(@"\d/\d")]
    private static partial Regex Fraction();

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

/// <summary>What the tasks of one family on a page look like, operation by operation.</summary>
internal sealed class PageLook
{
    private readonly List<Group> groups;

    public PageLook(IEnumerable<TaskLook> page)
    {
        List<TaskLook> all = [.. page];
        Letters = [.. all.Select(l => l.Letter).Distinct()];
        groups = [.. all.GroupBy(l => l.Operation).Select(g => new Group(g.Key, [.. g]))];
    }

    /// <summary>The letters of the page, in the order in which they come up; a space stands for none.</summary>
    public IReadOnlyList<char> Letters { get; }

    /// <summary>Whether a task is no harder to the eye than those on the page.</summary>
    /// <param name="task">The task.</param>
    /// <param name="room">So many times larger may its numbers be, where it is no column of numbers.</param>
    public bool Admits(TaskLook task, long room) => Like(task)?.Admits(task, room) == true;

    /// <summary>Whether the page has its operation, its signs and its kinds of number too.</summary>
    public bool KnowsSignsOf(TaskLook task) => Like(task)?.KnowsSignsOf(task) == true;

    /// <summary>Whether none of its numbers is shorter than all that the page has in that position.</summary>
    public bool IsNoLongerThan(TaskLook task) => Like(task)?.IsNoLongerThan(task) == true;

    private Group? Like(TaskLook task) => groups.Find(g => g.Operation == task.Operation);

    // Those of one operation.
    private sealed class Group(PairOperation? operation, TaskLook[] tasks)
    {
        public PairOperation? Operation { get; } = operation;

        private readonly int parts = tasks.Max(t => t.Parts);
        private readonly int brackets = tasks.Max(t => t.Brackets);
        private readonly char[] letters = [.. tasks.Select(t => t.Letter).Distinct()];
        private readonly HashSet<string> signs = [.. tasks.SelectMany(t => t.Signs)];
        private readonly int longest = tasks.Max(t => t.Lengths.Max());
        private readonly long largest = tasks.Max(t => t.Largest);
        private readonly int[] lengths = Longest(tasks, t => t.Lengths);
        private readonly int[] places = Longest(tasks, t => t.Places);

        public bool Admits(TaskLook task, long room)
        {
            if (task.Parts > parts || task.Brackets > brackets || !letters.Contains(task.Letter) || !KnowsSignsOf(task)) return false;
            return task.Places.Length == 0
                ? task.Lengths.Max() <= longest && task.Largest <= room * largest
                : IsWithin(task.Lengths, lengths) && IsWithin(task.Places, places);
        }

        public bool KnowsSignsOf(TaskLook task) => Array.TrueForAll(task.Signs, signs.Contains);

        public bool IsNoLongerThan(TaskLook task)
        {
            var alike = Array.FindAll(tasks, t => t.Places.Length == task.Places.Length);
            return alike.Length > 0 && task.Places.Index().All(p => task.Lengths[p.Index] + p.Item >= alike.Min(a => a.Lengths[p.Index] + a.Places[p.Index]));
        }

        private static bool IsWithin(int[] own, int[] most)
        {
            for (var i = 0; i < own.Length; i++)
                if (i >= most.Length || own[i] > most[i]) return false;
            return true;
        }

        private static int[] Longest(TaskLook[] tasks, Func<TaskLook, int[]> of) =>
            [.. Enumerable.Range(0, tasks.Max(t => of(t).Length)).Select(at => tasks.Where(t => of(t).Length > at).Max(t => of(t)[at]))];
    }
}
