using System.Text.RegularExpressions;

namespace YellowPencil.Core.Layouts;

/// <summary>What becomes of a line of working in the next one.</summary>
public static partial class LineChange
{
    /// <summary>
    /// What the line behind this one begins with, as a rule: of an equation with one term left, that term or its letter alone; the number taken out before a
    /// bracket. Empty where nothing is sure to stay.
    /// </summary>
    public static string Stays(WrittenLine line)
    {
        if (line.Root is null) return "";
        if (TermAlone().Match(line.Text) is { Success: true } equation)
        {
            var (number, letter) = (equation.Groups["number"].Value, equation.Groups["letter"].Value);
            return !ANumber().IsMatch(equation.Groups["other"].Value) ? $"{number}{letter} = " : number.Length > 0 ? $"{letter} = " : "";
        }

        return TakenOut().Match(line.Text) is { Success: true } product ? $"{product.Groups["number"].Value}(" : "";
    }

    /// <summary>
    /// From which sign of the line before each sign of a line comes, by their places among the <see cref="WrittenLine.Leaves"/>: those that keep their order,
    /// then numbers and letters that went somewhere else. What is not there is new.
    /// </summary>
    public static IReadOnlyDictionary<int, int> Origins(WrittenLine before, WrittenLine line)
    {
        var (theirs, mine) = (before.Leaves.ToList(), line.Leaves.ToList());
        var longest = new int[theirs.Count + 1, mine.Count + 1];
        for (var i = theirs.Count - 1; i >= 0; i--)
            for (var j = mine.Count - 1; j >= 0; j--)
                longest[i, j] = theirs[i].Text == mine[j].Text ? longest[i + 1, j + 1] + 1 : Math.Max(longest[i + 1, j], longest[i, j + 1]);
        var origins = new Dictionary<int, int>();
        for (var (i, j) = (0, 0); i < theirs.Count && j < mine.Count;)
        {
            if (theirs[i].Text == mine[j].Text) origins[j++] = i++;
            else if (longest[i + 1, j] >= longest[i, j + 1]) i++;
            else j++;
        }

        var left = Enumerable.Range(0, theirs.Count).Except(origins.Values).Where(i => theirs[i].Kind is SignKind.Number or SignKind.Letter).ToList();
        for (var j = 0; j < mine.Count; j++)
        {
            if (origins.ContainsKey(j) || left.FindIndex(i => theirs[i].Text == mine[j].Text) is not (>= 0 and var found)) continue;
            origins[j] = left[found];
            left.RemoveAt(found);
        }

        return origins;
    }

    [GeneratedRegex(@"^(?<number>[-−]?\d+)?(?<letter>[a-z])\s*=\s*(?<other>\S.*)$")]
    private static partial Regex TermAlone();

    [GeneratedRegex(@"^[-−]?\d+(\.\d+|/\d+|\s\d+/\d+)?$")]
    private static partial Regex ANumber();

    [GeneratedRegex(@"^(?<number>[-−]?\d+)\([^()]*[a-z][^()]*\)$")]
    private static partial Regex TakenOut();
}
