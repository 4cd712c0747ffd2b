using YellowPencil.Core.Layouts;
using YellowPencil.Core.Pages;

namespace YellowPencil.Web.Drawing;

/// <summary>What stands beside the lines of a working: the X with its four ends, a box with its edges, middle and gap, trials, the squares round a root.</summary>
internal sealed class NotedPart
{
    private const double Square = ExpressionBox.Square;
    private readonly List<(double X, double Y, string Text)> texts = [];
    private readonly List<LineShape> lines = [];
    private NotedPart()
    {
    }

    /// <summary>How wide it is.</summary>
    public double Width { get; private set; }

    /// <summary>How high it is.</summary>
    public double Height { get; private set; }

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

    /// <summary>Draws it with its left upper corner at a point.</summary>
    public void Draw(List<Shape> shapes, double left, double top)
    {
        foreach (var (x, y, text) in texts)
        {
            var box = ExpressionBox.Of(WrittenLine.Read(text));
            foreach (var sign in box.Placed) shapes.Add(new TextShape("handline", left + x - box.Width / 2 + sign.X, top + y + sign.Y, sign.Text, 22 * sign.Size));
            shapes.AddRange(box.Strokes.Select(s => new LineShape("rule thin", left + x - box.Width / 2 + s.X1, top + y + s.Y1, left + x - box.Width / 2 + s.X2, top + y + s.Y2)));
        }

        shapes.AddRange(lines.Select(l => l with { X1 = l.X1 + left, X2 = l.X2 + left, Y1 = l.Y1 + top, Y2 = l.Y2 + top }));
    }

    // What is listed one under the other: middle and gap, the squares round a root, trials.
    private static IEnumerable<string> Notes(ItemTask task, Work work)
    {
        if (work.Get(WorkFields.Gap) is { } gap)
            foreach (var (name, text) in ((string[])["middle", "squared", "gap"]).Zip(gap))
                if (text is not null) yield return $"{name} {text}";
        if (work.Get(WorkFields.Between) is { } squares)
        {
            var between = WrittenLine.Read(task.Text).Leaves.Where(l => l.Kind == SignKind.Number).Select(l => l.Text).FirstOrDefault() ?? "?";
            yield return $"{squares[0] ?? "?"} < {between} < {squares[1] ?? "?"}";
        }

        foreach (var (value, result) in work.Get(WorkFields.Tried) ?? []) yield return result is null ? value : $"{value} → {result}";
    }

    // The product stands on top of the X, the sum below, the pair to the left and to the right.
    private static NotedPart Cross(IReadOnlyList<string?> ends)
    {
        var part = new NotedPart { Width = 5 * Square, Height = 4 * Square };
        part.lines.Add(new LineShape("rule thin", Square, Square, 4 * Square, 3 * Square));
        part.lines.Add(new LineShape("rule thin", 4 * Square, Square, Square, 3 * Square));
        foreach (var (text, x, y) in new[] { (ends[0], 2.5, 3.4), (ends[1], 2.5, 0.6), (ends[2], 0.7, 2.0), (ends[3], 4.3, 2.0) })
            if (text is { Length: > 0 }) part.texts.Add((x * Square, y * Square, text));
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
        for (var column = 0; column < box.Top.Count; column++) part.Write(Left + (column + 0.5) * Wide, Top / 2, box.Top[column]);
        for (var row = 0; row < box.Side.Count; row++) part.Write(Left / 2, Top + (row + 0.5) * High, box.Side[row]);
        for (var row = 0; row < box.Cells.Count; row++)
            for (var column = 0; column < box.Cells[row].Count; column++) part.Write(Left + (column + 0.5) * Wide, Top + (row + 0.5) * High, box.Cells[row][column]);
        return part;
    }

    private static NotedPart? Listed(IReadOnlyList<string> notes)
    {
        if (notes.Count == 0) return null;
        var part = new NotedPart();
        foreach (var note in notes)
        {
            var box = ExpressionBox.Of(WrittenLine.Read(note));
            part.texts.Add((box.Width / 2, part.Height + box.Squares * Square / 2, note));
            (part.Width, part.Height) = (Math.Max(part.Width, box.Width), part.Height + box.Squares * Square);
        }

        return part;
    }

    private void Write(double x, double y, string text)
    {
        if (text.Length > 0) texts.Add((x, y, text));
    }
}
