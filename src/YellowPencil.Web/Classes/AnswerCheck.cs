using System.Text.RegularExpressions;
using YellowPencil.Core.Format;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Web.Classes;

/// <summary>Checks an answer as a spreadsheet hands it over, which may have changed what was typed.</summary>
internal static partial class AnswerCheck
{
    /// <summary>The answer to a task as it is kept; null with what is wrong and what to write instead.</summary>
    public static string? Read(ItemTask task, string cell, out string what, out string instead)
    {
        var text = Signs.Plain(cell.Replace('\u00a0', ' ').Replace('\u202f', ' ').Trim().TrimStart('\''));
        (what, instead) = Fault(text, isNumber: !LineLayout.Has(task.Family));
        return what.Length == 0 ? text : null;
    }

    private static (string What, string Instead) Fault(string text, bool isNumber)
    {
        if (text is "-" or "–" or "—") return ("a dash alone is no answer", "nothing where it is blank, ? where it cannot be read");
        if (text.StartsWith('#')) return ($"“{Short(text)}” is an error of the spreadsheet", "the answer as text");
        if (Date().IsMatch(text)) return ($"“{Short(text)}” is a date that the spreadsheet made of what was typed", "the answer, in a column formatted as text");
        if (Scientific().IsMatch(text)) return ($"“{Short(text)}” is how the spreadsheet shortens a number", "all its digits, in a column formatted as text");
        if (DecimalComma().IsMatch(text)) return ($"“{Short(text)}” has a comma where the point stands", text.Replace(',', '.'));
        if (text.Length > WorkedItem.LongestAnswer) return ($"it has more than {WorkedItem.LongestAnswer} characters", "the answer only");
        return !isNumber || ItemList.AnswerFault(text) is null ? ("", "") : (text.Any(char.IsAsciiDigit) ? $"“{Short(text)}” is no number" : $"“{Short(text)}” has no digit", Suggested(text));
    }

    // What is left when everything that cannot belong to a number is taken away is only a guess where digits are left.
    private static string Suggested(string text) =>
        string.Concat(text.Where(c => char.IsAsciiDigit(c) || c is '.' or '-' or '/' or ' ')).Trim() is { Length: > 0 } rest && rest.Any(char.IsAsciiDigit) && ItemList.AnswerFault(rest) is null
            ? $"{rest}, if that is what stands on the paper; ? where it cannot be read"
            : "the digits, ? where it cannot be read, nothing where it is blank";

    private static string Short(string text) => text.Length <= 24 ? text : text[..23] + "…";

    [GeneratedRegex(@"^([0-9]{4}-[0-9][0-9]?-[0-9][0-9]?|[0-9][0-9]?[-. ][A-Za-z]{3,}\.?([-. ][0-9]{2,4})?|[0-9][0-9]?/[0-9][0-9]?/[0-9]{2,4}|[A-Za-z]{3,}[-. ][0-9][0-9]?)([ T].*)?$")]
    private static partial Regex Date();

    [GeneratedRegex(@"^-?[0-9](\.[0-9]+)?[eE]\+?[0-9]+$")]
    private static partial Regex Scientific();

    // 1,234 is a number with its thousands marked; 3,5 and 1,2345 are not.
    [GeneratedRegex(@"^-?[0-9]+,([0-9]{1,2}|[0-9]{4,})$")]
    private static partial Regex DecimalComma();
}
