using YellowPencil.Core.Layouts;
using YellowPencil.Core.Pages;

namespace YellowPencil.Web.Drawing;

/// <summary>What stands beside a working: the X with its four ends, a box with its edges, middle and gap, trials, the squares round a root, multiples of a divisor.</summary>
internal sealed class NotedPart
{
    private const double Square = ExpressionBox.Square;
    private readonly List<(double X, double Y, string Text, MarkKind Kind)> texts = [];
    private readonly List<LineShape> lines = [];
    private NotedPart()
    {
    }

    /// <summary>How wide it is.</summary>
    public double Width { get; private set; }

    /// <summary>How high it is.</summary>
    public double Height { get; private set; }

    /// <summary>What stands there, one after the other.</summary>
    public string Text => string.Join(", ", texts.Select(t => t.Text));

    /// <summary>The parts of a working, from the left to the right.</summary>
    public static IReadOnlyList<NotedPart> Of(ItemTask task, Work work)
    {
        List<NotedPart?> parts =
        [
            work.Get(WorkFields.Cross) is { } ends ? Cross(ends) : null,
            work.Get(WorkFields.Box) is { } box ? Box(box) : null,
            Listed([.. Notes(task, work)]),
        ];
        return [.. parts.OfType<NotedPart>()];
    }

    /// <summary>What stands together with a mark, as one text: both squares round a root, a trial with what it comes to.</summary>
    public static MarkKind Together(MarkKind kind) => kind.Field == WorkFields.Between ? kind with { Part = 0 }
        : kind.Field == WorkFields.Tried ? kind with { Part = kind.Part - kind.Part % 2 }
        : kind;

    /// <summary>Whether something stands there of a mark.</summary>
    public bool Holds(MarkKind kind) => texts.Exists(t => t.Kind == kind);

    /// <summary>Whether something of it does not stand among other parts.</summary>
    public bool IsInferred(IReadOnlyList<NotedPart> onPage) => texts.Exists(t => IsInferred(t.Text, t.Kind, onPage));

    private static bool IsInferred(string text, MarkKind kind, IReadOnlyList<NotedPart> onPage) => !onPage.Any(p => p.texts.Exists(t => t.Kind == kind && t.Text == text));

    /// <summary>
    /// Draws it with its left upper corner at a point, a circle round what stands there of a mark, and in the reader's ink what does not stand on the page.
    /// </summary>
    public void Draw(List<Shape> shapes, double left, double top, MarkKind? circled, IReadOnlyList<NotedPart>? onPage = null)
    {
        foreach (var (x, y, text, kind) in texts)
        {
            var ink = onPage is not null && IsInferred(text, kind, onPage) ? SquarePaper.Inferred : "";
            var box = ExpressionBox.Of(WrittenLine.Read(text));
            foreach (var sign in box.Placed) shapes.Add(new TextShape("handline" + ink, left + x - box.Width / 2 + sign.X, top + y + sign.Y, sign.Text, 22 * sign.Size));
            shapes.AddRange(box.Strokes.Select(s => new LineShape("rule thin" + ink, left + x - box.Width / 2 + s.X1, top + y + s.Y1, left + x - box.Width / 2 + s.X2, top + y + s.Y2)));
            if (kind == circled) shapes.Add(new OvalShape("circle", left + x, top + y, box.Width / 2 + 8, box.Squares * Square / 2, Turned: -3));
        }

        shapes.AddRange(lines.Select(l => l with { X1 = l.X1 + left, X2 = l.X2 + left, Y1 = l.Y1 + top, Y2 = l.Y2 + top }));
    }

    // What is listed one under the other: middle and gap, the squares round a root, multiples, trials.
    private static IEnumerable<(string Text, MarkKind Kind)> Notes(ItemTask task, Work work)
    {
        if (work.Get(WorkFields.Gap) is { } gap)
            foreach (var (part, name) in ((string[])["middle", "squared", "gap"]).Index())
                if (gap[part] is { } text) yield return ($"{name} {text}", new MarkKind(WorkFields.Gap, part));
        if (work.Get(WorkFields.Between) is { } squares)
        {
            var between = WrittenLine.Read(task.Text).Leaves.Where(l => l.Kind == SignKind.Number).Select(l => l.Text).FirstOrDefault() ?? "?";
            yield return ($"{Or(squares[0])} < {between} < {Or(squares[1])}", new MarkKind(WorkFields.Between, 0));
        }

        foreach (var (part, text) in (work.Get(WorkFields.Multiples) ?? []).Index())
            if (text.Length > 0) yield return (text, new MarkKind(WorkFields.Multiples, part));
        foreach (var (row, (value, result)) in (work.Get(WorkFields.Tried) ?? []).Index())
            yield return (result is null ? value : $"{value} → {result}", WorkFields.Tried.Value(row));
    }

    private static string Or(string? text) => text is { Length: > 0 } ? text : "?";

    // The product stands on top of the X, the sum below, the pair to the left and to the right.
    private static NotedPart Cross(IReadOnlyList<string?> ends)
    {
        var part = new NotedPart { Width = 5 * Square, Height = 4 * Square };
        part.lines.Add(new LineShape("rule thin", Square, Square, 4 * Square, 3 * Square));
        part.lines.Add(new LineShape("rule thin", 4 * Square, Square, Square, 3 * Square));
        foreach (var (end, (x, y)) in new[] { (2.5, 3.4), (2.5, 0.6), (0.7, 2.0), (4.3, 2.0) }.Index())
            if (ends[end] is { Length: > 0 } text) part.texts.Add((x * Square, y * Square, text, new MarkKind(WorkFields.Cross, end)));
        return part;
    }

    private static NotedPart Box(ProductBox box)
    {
        const double Wide = 2.5 * Square, High = 1.5 * Square, Left = 2 * Square, Top = Square;
        var columns = Math.Max(2, box.Cells.Select(row => row.Count).Append(box.Top.Count).Max());
        var rows = Math.Max(2, Math.Max(box.Cells.Count, box.Side.Count));
        var part = new NotedPart { Width = Left + columns * Wide, Height = Top + rows * High };
        for (var column = 0; column <= columns; column++) part.lines.Add(new LineShape("rule thin", Left + column * Wide, Top, Left + column * Wide, Top + rows * High));
        for (var row = 0; row <= rows; row++) part.lines.Add(new LineShape("rule thin", Left, Top + row * High, Left + columns * Wide, Top + row * High));
        for (var column = 0; column < box.Top.Count; column++) part.Write(Left + (column + 0.5) * Wide, Top / 2, box.Top[column], 0, column + 1);
        for (var row = 0; row < box.Side.Count; row++) part.Write(Left / 2, Top + (row + 0.5) * High, box.Side[row], row + 1, 0);
        for (var row = 0; row < box.Cells.Count; row++)
            for (var column = 0; column < box.Cells[row].Count; column++) part.Write(Left + (column + 0.5) * Wide, Top + (row + 0.5) * High, box.Cells[row][column], row + 1, column + 1);
        return part;
    }

    private static NotedPart? Listed(IReadOnlyList<(string Text, MarkKind Kind)> notes)
    {
        if (notes.Count == 0) return null;
        var part = new NotedPart();
        foreach (var (note, kind) in notes)
        {
            var box = ExpressionBox.Of(WrittenLine.Read(note));
            part.texts.Add((box.Width / 2, part.Height + box.Squares * Square / 2, note, kind));
            (part.Width, part.Height) = (Math.Max(part.Width, box.Width), part.Height + box.Squares * Square);
        }

        return part;
    }

    private void Write(double x, double y, string text, int row, int column)
    {
        if (text.Length > 0) texts.Add((x, y, text, WorkFields.Box.At(row, column)));
    }
}
