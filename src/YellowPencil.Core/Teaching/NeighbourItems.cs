using System.Globalization;
using System.Text.RegularExpressions;
using YellowPencil.Core.Families.Roots;
using YellowPencil.Core.Format;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Teaching;

/// <summary>Items that differ from one in one thing only: a sign, a point, a digit, or a term more or less.</summary>
internal static partial class NeighbourItems
{
    // The largest last number that is tried with the other sign.
    private const int MostOfLast = 40;

    /// <summary>Those that a teacher would set.</summary>
    public static IEnumerable<ItemTask> Of(ItemTask task) =>
        from text in Squares(task).Concat(Texts(task.Text))
        let read = TaskText.TryParse(text, task.Asked)
        where read.Succeeded && (read.Value.Family == task.Family || IsWithoutSign(task, read.Value)) && read.Value.Text == text && IsNatural(read.Value)
        select read.Value;

    // 2 + 4 beside 2 + -4: without its only sign an item belongs to the whole numbers.
    private static bool IsWithoutSign(ItemTask task, ItemTask other) =>
        task.Numbers.Any(n => n.IsNegative) && !other.Numbers.Any(n => n.IsNegative) && TaughtFamily.Of(task.Family).Parts.Any(p => p.Family == other.Family.Name);

    /// <summary>
    /// Whether it is a root that lies higher than the straight line says or comes out whole although it is none, or a double such as 67 + 67: no item to learn another
    /// idea on, so long as there are others.
    /// </summary>
    public static bool IsMisleading(ItemTask task) =>
        (task is RootTask root && (root.TrueAnswer != root.RightAnswer || (!root.IsPerfect && root.Places > 0 && !root.RightAnswer.Contains('.')))) || (task.SetOperation is not null && task.Numbers is [var one, var other] && one.Text == other.Text);

    // Nothing that a teacher would not set: no 0 where none is needed, no answer that is nothing or a word, no bracket round one term, no root of 1, nothing that is done.
    private static bool IsNatural(ItemTask task) =>
        !IsMisleading(task) && !OddZero().IsMatch(task.Text) && !LoneTerm().IsMatch(task.Text) && task.Text != "sqrt(1)" && !task.Text.EndsWith($" {task.RightAnswer}", StringComparison.Ordinal)
            && task.RightAnswer.Any(c => c is >= '1' and <= '9') && task.Numbers.All(n => n.Text.Trim('0', '.', '-').Length > 0);

    // A bracket with one term in it that is not raised to a power.
    [GeneratedRegex(@"(?<!sqrt)\(-?\w*(\^\d)?\)(?!\^)")]
    private static partial Regex LoneTerm();

    // A 0 by itself, in front of a number, or behind the last decimal.
    [GeneratedRegex(@"(?<![\d.])0(?!\.)|\.\d*0(?!\d)")]
    private static partial Regex OddZero();

    // Beside a root that is no whole number the nearest square.
    private static IEnumerable<string> Squares(ItemTask task)
    {
        if (task is not RootTask { IsPerfect: false } root) yield break;
        var value = (double)root.Radicand.Numerator / (double)root.Radicand.Denominator;
        var below = Math.Floor(Math.Sqrt(value));
        foreach (var side in new[] { below, below + 1 }.OrderBy(n => Math.Abs(n * n - value))) yield return string.Create(CultureInfo.InvariantCulture, $"sqrt({side * side})");
    }

    // Signs first, then points, then single digits, and last a digit, the sign of a number or a term more or less.
    private static IEnumerable<string> Texts(string text)
    {
        for (var i = 0; i < text.Length; i++)
            if (text[i] is '+' or '-' && i + 1 < text.Length && text[i + 1] == ' ') yield return text[..i] + (text[i] == '+' ? '-' : '+') + text[(i + 1)..];
        if (Difference().Match(text) is { Success: true } taken) yield return $"{taken.Groups[2]} {(taken.Groups["sign"].Value == "+" ? '-' : '+')} {taken.Groups[1]}";
        if (LastTerm().Match(text) is { Success: true } last)
            for (var number = 1; number <= MostOfLast; number++) yield return $"{text[..last.Index]} {(last.Groups["sign"].Value == "+" ? '-' : '+')} {number}";
        for (var i = 1; i < text.Length && !text.StartsWith("sqrt", StringComparison.Ordinal); i++)
            if (text[i] == '.') yield return text[..(text[i - 1] == '0' ? i - 1 : i)] + text[(i + 1)..].TrimStart('0');
        foreach (Match whole in WholeNumber().Matches(text).Where(_ => text.Contains('.')))
        {
            var point = whole.Index + whole.Length - 1;
            yield return text.Insert(point, whole.Length == 1 ? "0." : ".");
            if (whole.Length == 1) yield return text.Insert(point, "0.0");
        }

        foreach (var by in new[] { 2, -2, 3, -3, 4, -4, 5, -5, 6, -6, 7, -7, 8, -8, 1, -1, 9, -9 })
            for (var i = 0; i < text.Length; i++)
                if (char.IsAsciiDigit(text[i]) && (i == 0 || text[i - 1] != '^') && text[i] - '0' + by is >= 0 and <= 9 and var digit)
                    yield return text[..i] + digit + text[(i + 1)..];
        foreach (Match number in SignedNumber().Matches(text))
        {
            yield return text[..number.Index] + (number.Value[0] == '-' ? number.Value[1..] : $"-{number.Value}") + text[(number.Index + number.Length)..];
            var digits = number.Index + (number.Value[0] == '-' ? 1 : 0);
            for (var i = digits; i < number.Index + number.Length; i++) yield return text.Remove(i, 1);
            for (var first = '1'; first <= '9'; first++) yield return text.Insert(digits, first.ToString());
        }

        foreach (Match term in LaterTerm().Matches(text)) yield return text.Remove(term.Index, term.Length);
    }

    // The last number of a quadratic, with its sign: with the other sign only another number has factors too.
    [GeneratedRegex(@"(?<=^factor .*) (?<sign>[+-]) \d+$")]
    private static partial Regex LastTerm();

    // A term behind another, with its sign.
    [GeneratedRegex(@" [+-] \d*[a-z]?(\^\d)?(?=[ )]|$)")]
    private static partial Regex LaterTerm();

    // Two numbers that are put together or taken from each other: with the other sign, the larger is to stand first.
    [GeneratedRegex(@"^([\d.]+) (?<sign>[+-]) ([\d.]+)$")]
    private static partial Regex Difference();

    // A number without a point.
    [GeneratedRegex(@"(?<![\d.])\d+(?![\d.])")]
    private static partial Regex WholeNumber();

    // A number that stands by itself between spaces, with its sign.
    [GeneratedRegex(@"(?<![^ ])-?\d+(\.\d+)?(?![^ ])")]
    private static partial Regex SignedNumber();
}
