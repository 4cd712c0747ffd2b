using System.Text.RegularExpressions;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Asking;

/// <summary>
/// Items as hard as those on the page, and no harder: of its operations, with numbers as long in each position, signs, fractions, powers and brackets only
/// where it has them, and its letter.
/// </summary>
internal static partial class StudentSize
{
    // Of so many items that the family makes, those that fit come first.
    private const int Made = 400;

    /// <summary>Tasks that are not on the page yet: those that fit it first, then some that do not, for where nothing else tells.</summary>
    /// <param name="reading">The reading.</param>
    /// <param name="families">The families.</param>
    /// <param name="count">How many of each family.</param>
    /// <param name="seed">The seed.</param>
    /// <param name="fits">Says of a task whether it is as the page's are.</param>
    public static IEnumerable<ItemTask> New(Reading reading, IEnumerable<Family> families, int count, int seed, Func<ItemTask, bool> fits)
    {
        var asked = reading.Sheet.Items.Select(i => i.Task.Text).ToHashSet();
        foreach (var family in families)
        {
            var letter = reading.Sheet.Items.Where(i => i.Task.Family == family).Select(i => Look.Of(i.Task).Letter).FirstOrDefault(' ');
            var made = ItemPool.Of(family, Made, seed).Where(t => t.Asked == default).Select(t => Under(t, letter)).Where(t => !asked.Contains(t.Text)).DistinctBy(t => t.Text).ToList();
            foreach (var task in made.Where(fits).Take(count)) yield return task;
            foreach (var task in made.Where(t => !fits(t)).Take(count / 2)) yield return task;
        }
    }

    // The same task with the page's letter.
    private static ItemTask Under(ItemTask task, char letter)
    {
        var own = Look.Of(task).Letter;
        if (own == ' ' || letter == ' ' || own == letter || task.Text.IndexOf(' ') is not (> 0 and var word)) return task;
        return TaskText.TryParse(task.Text[..word] + task.Text[word..].Replace(own, letter), task.Asked) is { Succeeded: true } read ? read.Value : task;
    }

    /// <summary>Says of a task whether it is no harder than what stands on the page.</summary>
    public static Func<ItemTask, bool> Fitting(Reading reading)
    {
        var pages = reading.Sheet.Items.Select(i => i.Task).GroupBy(t => t.Family).ToDictionary(g => g.Key, g => g.Select(Look.Of).ToList());
        return task => pages.TryGetValue(task.Family, out var looks) && Look.Of(task).IsWithin(looks);
    }

    /// <summary>What makes a task easy or hard to the eye.</summary>
    private sealed partial record Look(PairOperation? Operation, int[] Lengths, int[] Places, int Parts, int Brackets, string Signs, char Letter)
    {
        private const string Rare = "/^.";

        public static Look Of(ItemTask task)
        {
            var numbers = task.SetOperation is null ? [] : task.Numbers;
            var text = task.Text[(task.Text.IndexOf(' ') is > 0 and var word && char.IsAsciiLetter(task.Text[0]) ? word + 1 : 0)..];
            List<string> signs = [.. Rare.Where(text.Contains).Select(c => c.ToString()), .. Power().Matches(text).Select(m => m.Value)];
            if (numbers.Count > 0 ? numbers.Any(n => n.IsNegative) : text.StartsWith('-') || text.Contains("(-")) signs.Add("-");
            if (text.Contains("- (") || text.Contains("-(")) signs.Add("- (");
            if (FirstNumber().IsMatch(text)) signs.Add("number first");
            return new(
                task.SetOperation,
                numbers.Count > 0 ? [.. numbers.Select(n => n.Length - n.Places)] : [.. Number().Matches(text).Select(m => m.Length).DefaultIfEmpty(1)],
                [.. numbers.Select(n => n.Places)],
                text.Count(c => c == ' ') + 1, text.Count(c => c == '('), string.Join('|', signs.Distinct().Order(StringComparer.Ordinal)),
                numbers.Count > 0 ? ' ' : text.FirstOrDefault(char.IsAsciiLetterLower, ' '));
        }

        public bool IsWithin(List<Look> page)
        {
            var alike = page.FindAll(p => p.Operation == Operation);
            if (alike.Count == 0 || Parts > alike.Max(p => p.Parts) || Brackets > alike.Max(p => p.Brackets) || !alike.Exists(p => p.Letter == Letter)) return false;
            var known = alike.SelectMany(p => p.Signs.Split('|')).ToHashSet();
            if (Signs.Length > 0 && !Signs.Split('|').All(known.Contains)) return false;
            return Operation is null
                ? Lengths.Max() <= alike.Max(p => p.Lengths.Max())
                : Within(Lengths, alike, p => p.Lengths) && Within(Places, alike, p => p.Places);
        }

        private static bool Within(int[] own, List<Look> page, Func<Look, int[]> of) =>
            own.Index().All(o => o.Item <= page.Select(of).Where(p => p.Length > o.Index).Select(p => p[o.Index]).DefaultIfEmpty(-1).Max());

        [GeneratedRegex(@"\^\d")]
        private static partial Regex Power();

        [GeneratedRegex(@"\d+")]
        private static partial Regex Number();

        // "2x^2", "3(", where the first number is not 1.
        [GeneratedRegex(@"^\d+[a-z]\^")]
        private static partial Regex FirstNumber();
    }
}
