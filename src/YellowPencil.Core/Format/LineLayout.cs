using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Format;

/// <summary>
/// A page of lines one under the other, of which the last is the answer: what stands on it from an item, and the item from what stands on it. Families
/// without squares of their own are written so.
/// </summary>
public static class LineLayout
{
    /// <summary>What a last line says where the work stops without an answer.</summary>
    public const string Stops = "…";

    /// <summary>What stands for an answer that cannot be read.</summary>
    public const string Unreadable = "?";

    /// <summary>Whether items of a family stand in lines.</summary>
    public static bool Has(Family family) => TaughtFamily.Of(family).Layout is null;

    /// <summary>The lines of an item from the top, its answer last.</summary>
    public static IReadOnlyList<string> Lines(WorkedItem item)
    {
        var lines = item.Work.Get(WorkFields.Lines) ?? [];
        if (item.Answer is not { } answer) return lines.Count > 0 ? [.. lines, Stops] : [];
        return lines.Count > 0 && Close(AnswerIn(item.Task, lines[^1])) == Close(answer) ? lines : [.. lines, answer];
    }

    /// <summary>The item with these lines. Lines that were not changed leave it as it was recorded.</summary>
    public static WorkedItem Take(WorkedItem item, IEnumerable<string> lines)
    {
        List<string> written = [.. lines.Select(l => Signs.Digits(l).Trim()).Where(l => l.Length > 0).Select(l => l == "..." ? Stops : l)];
        if (written.SequenceEqual(Lines(item))) return item;
        if (written.Count == 0) return item with { Answer = null, Work = item.Work.Without(WorkFields.Lines) };
        var last = written[^1];
        var answer = last == Stops ? null : last == Unreadable ? last : AnswerIn(item.Task, last);
        var kept = last is Stops or Unreadable ? written[..^1] : written;

        // One line that is nothing but the answer says nothing of the way to it.
        var isAnswerOnly = kept.Count == 0 || (kept.Count == 1 && kept[0] == answer && !item.Work.Has(WorkFields.Lines));
        return item with { Answer = answer, Work = isAnswerOnly ? item.Work.Without(WorkFields.Lines) : item.Work.With(WorkFields.Lines, (IReadOnlyList<string>)kept) };
    }

    private static string AnswerIn(ItemTask task, string line) => TaughtFamily.Of(task.Family).StatementsOf(line).LastOrDefault() ?? line;

    private static string Close(string text) => Signs.Plain(text).Replace(" ", "", StringComparison.Ordinal);
}
