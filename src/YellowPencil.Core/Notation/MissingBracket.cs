using System.Text.RegularExpressions;

namespace YellowPencil.Core.Notation;

/// <summary>
/// Puts back a bracket that somebody forgot, where it can only have stood in one place: where every bracket then holds two unlike terms and none stands in
/// another.
/// </summary>
public static partial class MissingBracket
{
    private const int LongestText = 200;

    /// <summary>The text with its bracket; null where none is missing, or more than one, or it could stand in several places.</summary>
    /// <param name="text">An expression or an equation in one letter, as written.</param>
    public static string? PutBack(string text)
    {
        if (text.Length > LongestText || text.Contains("sqrt", StringComparison.Ordinal)) return null;
        var plain = Signs.Plain(text);
        var missing = (plain.Count(c => c == '(') - plain.Count(c => c == ')')) switch { 1 => ')', -1 => '(', _ => default(char) };
        if (missing == default) return null;
        string? found = null;
        for (var at = 0; at <= plain.Length; at++)
        {
            if (
                at > 0
                    && (
                        plain[at - 1] == '^'
                            || (at < plain.Length && (char.IsWhiteSpace(plain[at - 1]) || (char.IsAsciiDigit(plain[at - 1]) && char.IsAsciiDigit(plain[at]))))))
                continue;
            var whole = plain.Insert(at, missing.ToString());
            if (!IsWhole(whole)) continue;
            if (found is not null) return null;
            found = whole;
        }

        return found;
    }

    private static bool IsWhole(string text) =>
        Groups().Match(text) is { Success: true } groups && groups.Groups["inside"].Captures.All(inside => HoldsTwoTerms(inside.Value));

    private static bool HoldsTwoTerms(string inside)
    {
        char? letter = null;
        return PolynomialText.TryRead(inside, ref letter) is [var one, var other] && one.Power != other.Power;
    }

    [GeneratedRegex(@"^[^()]*(?:\((?<inside>[^()]*)\)[^()]*)+$")]
    private static partial Regex Groups();
}
