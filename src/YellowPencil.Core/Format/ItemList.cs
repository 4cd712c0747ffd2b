using System.Text.RegularExpressions;

namespace YellowPencil.Core.Format;

/// <summary>
/// Reads items as people list them: one task a line, numbered or not, with or without "= answer", typed or pasted from a table.
/// </summary>
public static partial class ItemList
{
    /// <summary>The most items of one page.</summary>
    public const int MaxOnOnePage = 60;

    /// <summary>The items, numbered from 1; empty lines are passed over.</summary>
    /// <param name="text">The lines.</param>
    /// <param name="families">The families that a page takes in, whose answers are checked too; null for all that can be read, with any answer.</param>
    /// <param name="faults">One sentence for each line that cannot be read; empty when all can.</param>
    public static IReadOnlyList<WorkedItem> TryParse(string text, IReadOnlyCollection<Family>? families, out IReadOnlyList<string> faults)
    {
        var items = new List<WorkedItem>();
        var found = new List<string>();
        var number = 0;
        foreach (var line in text.Split('\n'))
        {
            number++;
            if (string.IsNullOrWhiteSpace(line)) continue;
            var (written, answer) = Sides(line);
            var task = TryParseTask(written, families, out var fault);
            if (task is not null && families is not null && answer is not null && !LineLayout.Has(task.Family)) fault = AnswerFault(answer);
            if (fault is not null) found.Add($"Line {number}, “{line.Trim()}”: {fault}");
            else items.Add(WorkedItem.Of((items.Count + 1).ToString(), task!) with { TaskAsWritten = WithoutAsked(written).Task, Answer = answer });
        }

        if (items.Count == 0 && found.Count == 0) found.Add("There is no item yet: write at least one, such as 604 - 278.");
        if (items.Count > MaxOnOnePage) found.Add($"A page holds at most {MaxOnOnePage} items; these are {items.Count}.");
        if (families is not null && items.Sum(i => (long)i.Effort) > WorkedSheet.MaxEffort)
            found.Add("The numbers are too long to be read on one page: take shorter ones, or fewer items.");
        faults = found;
        return items;
    }

    /// <summary>A task as one line of a list.</summary>
    public static string Written(ItemTask task) => Written(task.Text, task.Asked);

    /// <summary>A task as somebody wrote it, with what was asked for.</summary>
    public static string Written(string task, Asked asked) => $"{task} {asked.Words}".TrimEnd();

    /// <summary>Reads one task as somebody writes it.</summary>
    /// <param name="text">The task, without number and answer.</param>
    /// <param name="families">The families that a page takes in; null for all that can be read.</param>
    /// <param name="fault">What is wrong and what to do, in sentences; null when the task was read.</param>
    public static ItemTask? TryParseTask(string text, IReadOnlyCollection<Family>? families, out string? fault)
    {
        (text, var asked) = WithoutAsked(text);
        var task = TaskText.TryParse(text.Contains('/') ? text : SpaceInNumber().Replace(text, ""), asked);
        fault = !task.Succeeded ? $"{task.Fault}."
            : families is null ? null
            : !families.Contains(task.Value.Family) ? $"this page takes {string.Join(" and ", families.Select(f => f.Title))} only."
            : null;
        return fault is null ? task.Value : null;
    }

    private static (string Task, Asked Asked) WithoutAsked(string text) =>
        AskedBehind().Match(text) is { Success: true } behind && Asked.TryRead(behind.Value.ToLowerInvariant()) is { } asked
            ? (text[..behind.Index].TrimEnd(), asked)
            : (text, default);

    // "2. 523 − 168", "1) 604 - 278 = 474", "3\t604 - 278\t474": a number in front and a table's columns are not part of the task.
    private static (string Task, string? Answer) Sides(string line)
    {
        var text = Numbering().Replace(line.Trim(), "");
        if (text.Contains('\t')) text = FromTable(text.Split('\t', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries));

        var at = AnswerSign(text);
        var (task, answer) = at < 0 ? (text, "") : (text[..at], text[(at + 1)..].Trim());
        return (Numbering().Replace(task.Trim(), ""), answer.Length == 0 ? null : answer);
    }

    // The equals sign before the answer; less than 0 where there is none. An equation has one of its own, and its answer stands behind the second.
    private static int AnswerSign(string text) => text.IndexOf('=', text.StartsWith("solve ", StringComparison.OrdinalIgnoreCase) ? text.IndexOf('=') + 1 : 0);

    // A column with a whole task, or with nothing but a sign between two numbers, says where the others belong: what stands before is the
    // number of the item, what stands behind is the answer.
    private static string FromTable(string[] columns)
    {
        var whole = Array.FindIndex(columns, c => TryParseTask((AnswerSign(c) is >= 0 and var at ? c[..at] : c).Trim(), null, out _) is not null);
        var sign = Array.FindIndex(columns, c => c.Length == 1 && !char.IsLetterOrDigit(c[0]) && c != "=");
        var (task, next) = whole >= 0 ? (columns[whole], whole + 1)
            : sign > 0 && sign + 1 < columns.Length ? (string.Join(' ', columns[(sign - 1)..(sign + 2)]), sign + 2)
            : (string.Join(' ', columns), columns.Length);
        var answer = string.Concat(columns.Skip(next)).TrimStart('=').Trim();
        return answer.Length == 0 || AnswerSign(task) >= 0 ? task : $"{task} = {answer}";
    }

    /// <summary>What is wrong with an answer to an item of numbers, in a sentence; null where it can be kept.</summary>
    public static string? AnswerFault(string answer)
    {
        if (answer == "?") return null;
        var strange = answer.FirstOrDefault(c => !char.IsAsciiDigit(c) && c is not (',' or ' ' or '.' or '-' or '−' or '+' or '/' or 'r' or 'R'));
        return strange == default
            ? answer.Any(char.IsAsciiDigit)
            ? null
            : $"the answer “{answer}” has no digit: write the digits, ? where it cannot be read, or nothing where it is blank."
            : $"the answer “{answer}” holds “{strange}”: write digits only, ? where the whole answer cannot be read, or nothing where it is blank.";
    }

    [GeneratedRegex(@"\b(as a|over the|to) [a-z0-9.]+$", RegexOptions.IgnoreCase)]
    private static partial Regex AskedBehind();

    [GeneratedRegex(@"^\(?[0-9]{1,3}(\)\s*|\.\s+)(?=\S)")]
    private static partial Regex Numbering();

    [GeneratedRegex(@"(?<=[0-9])\s+(?=[0-9])")]
    private static partial Regex SpaceInNumber();
}
