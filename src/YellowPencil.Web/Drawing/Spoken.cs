using YellowPencil.Core.Format;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Web.Drawing;

/// <summary>What a screen reader says of an item.</summary>
internal static class Spoken
{
    /// <summary>The task with its operations in words.</summary>
    public static string Task(ItemTask task) => task.Text.Replace(" - ", " minus ", StringComparison.Ordinal).Replace(" + ", " plus ", StringComparison.Ordinal)
        .Replace(" * ", " times ", StringComparison.Ordinal).Replace(" / ", " divided by ", StringComparison.Ordinal).Replace('-', '−');

    /// <summary>The marks beside the answer: what was struck out with what stands over it, and the other strips from the top.</summary>
    public static IEnumerable<string> Marks(PageLayout layout, Squares squares)
    {
        var striking = layout.Strips.Where(s => s.Strikes is not null).ToList();
        foreach (var column in striking.SelectMany(s => squares.In(s.Id).Keys).Distinct().OrderDescending())
        {
            var marks = striking.OrderBy(s => s.Level).Select(s => squares.In(s.Id).GetValueOrDefault(column)).OfType<string>().ToList();
            var row = striking.First(s => squares.In(s.Id).ContainsKey(column)).Strikes;
            var digit = layout.Prints.Where(p => p.Column == column && p.Row == row).Select(p => p.Text.TrimEnd('.')).FirstOrDefault() ?? "a digit";
            yield return $"{string.Join(", ", marks.SkipLast(1).Prepend(digit).Select(t => $"{t} struck out"))}, {marks[^1]} above";
        }

        foreach (var strip in layout.Strips.Where(s => s.Mark is not null && s.Strikes is null).OrderBy(s => s.Row))
            if (squares.TextOf(strip.Id, " ") is { } written) yield return $"{strip.Name} {written.Text.Trim()}";
    }
}
