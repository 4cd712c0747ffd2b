using System.Globalization;
using System.Text;
using Microsoft.AspNetCore.Html;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;

namespace YellowPencil.Web.Drawing;

/// <summary>
/// A column difference on squared paper: the task in print, what the student wrote in the pencil hand, what the reading adds
/// in the reader's ink. One digit to a square; a square is 28 units.
/// </summary>
public sealed class ColumnPicture
{
    private const int Square = 28;
    private readonly ColumnDifference task;
    private readonly Dictionary<int, string> cells = [];
    private readonly Dictionary<int, IReadOnlyList<string>> rewritten = [];
    private readonly Dictionary<int, IReadOnlyList<string>> rewrittenBelow = [];
    private readonly Dictionary<int, string> predicted = [];

    private ColumnPicture(ColumnDifference task) => this.task = task;

    private WrongStep? circled;
    private bool isForetold;

    /// <summary>What a screen reader says.</summary>
    public string Label { get; private set; } = "";

    /// <summary>The task alone, with room for an answer.</summary>
    public static ColumnPicture Blank(ColumnDifference task) => new(task) { Label = Spoken(task) };

    /// <summary>What a student wrote.</summary>
    public static ColumnPicture Of(WorkedItem item)
    {
        var task = (ColumnDifference)item.Task;
        var picture = new ColumnPicture(task) { Label = $"{Spoken(task)}, written {item.Answer ?? "nothing"}" };
        Take(item.Work, MarkField.Rewritten, picture.rewritten);
        Take(item.Work, MarkField.RewrittenBelow, picture.rewrittenBelow);
        if (item.Work.Marks.TryGetValue(MarkField.Cells, out var marks))
            foreach (var place in marks.Places) picture.cells[place] = marks.At(place)[^1];
        else PutDigits(item.Answer, picture.cells);
        return picture.Settled();
    }

    /// <summary>The page as a run has left it after so many marks.</summary>
    public static ColumnPicture Of(ColumnDifference task, IEnumerable<Mark> marks)
    {
        var all = marks.ToList();
        var picture = new ColumnPicture(task) { Label = Spoken(task) };
        foreach (var mark in all.Where(m => m.Field == MarkField.Cells)) picture.cells[mark.Place] = mark.Text;
        var work = Work.Of(all, MarkField.Rewritten, MarkField.RewrittenBelow);
        Take(work, MarkField.Rewritten, picture.rewritten);
        Take(work, MarkField.RewrittenBelow, picture.rewrittenBelow);
        return picture.Settled();
    }

    /// <summary>Adds the circle round the first step that went wrong.</summary>
    public ColumnPicture WithCircle(WrongStep? step)
    {
        circled = step;
        if (step is not null) Label += $"; first wrong step in the {Place.Name(step.Place ?? 0)}";
        return this;
    }

    /// <summary>Adds an answer that an explanation predicts: a tick where it is what was written, else the digits below.</summary>
    public ColumnPicture WithPrediction(string answer)
    {
        isForetold = string.Concat(cells.OrderByDescending(c => c.Key).Select(c => c.Value)) == answer;
        if (!isForetold) PutDigits(answer, predicted);
        HasRowBelow |= !isForetold;
        Label += $"; the explanation predicts {answer}";
        return this;
    }

    /// <summary>Whether a predicted answer stands below.</summary>
    public bool HasRowBelow { get; private set; }

    /// <summary>Leaves room below for a predicted answer, so that pictures in a row stand on one line.</summary>
    public ColumnPicture WithRowBelow(bool needed)
    {
        HasRowBelow |= needed;
        return this;
    }

    /// <summary>How many rows the marks above the top number take.</summary>
    public int RowsAbove { get; private set; } = 1;

    /// <summary>Leaves room for so many rows of marks, so that pictures side by side stand on one line.</summary>
    public ColumnPicture WithRowsAbove(int rows)
    {
        RowsAbove = Math.Max(RowsAbove, rows);
        return this;
    }

    /// <summary>Draws it.</summary>
    public IHtmlContent Draw()
    {
        var columns = Math.Max(task.Top.Length, task.Bottom.Length) + 1;
        foreach (var place in cells.Keys.Concat(predicted.Keys)) columns = Math.Max(columns, place + 2);
        var top = RowsAbove;
        var bottom = top + 1 + (rewrittenBelow.Count > 0 ? 1 : 0);
        var answer = bottom + 1;
        var rows = answer + 1 + (HasRowBelow ? 1 : 0);
        var svg = new StringBuilder();
        var (width, height) = (columns * Square, rows * Square);
        svg.Append(CultureInfo.InvariantCulture, $"<svg class=\"working\" viewBox=\"0 0 {width} {height}\" width=\"{width}\" height=\"{height}\" role=\"img\" aria-label=\"{System.Net.WebUtility.HtmlEncode(Label)}\">");
        PutNumber(svg, task.Top, top, rewritten);
        PutNumber(svg, task.Bottom, bottom, rewrittenBelow);
        Text(svg, "print", X(columns, columns - 1), Y(bottom), "−");
        foreach (var (place, values) in rewritten)
            for (var i = 0; i < values.Count; i++) PutAbove(svg, columns, place, top - 1 - i, values[i], i < values.Count - 1);
        foreach (var (place, values) in rewrittenBelow) PutAbove(svg, columns, place, bottom - 1, values[^1], false);
        Line(svg, "rule", 4, answer * Square, width - 4, answer * Square);
        foreach (var (place, text) in cells)
            Text(svg, text.Length > 1 ? "hand tight" : "hand", X(columns, place), Y(answer), text);
        foreach (var (place, text) in predicted) Text(svg, "inkmark", X(columns, place), Y(answer + 1), text);
        if (isForetold) Text(svg, "inkmark", X(columns, columns - 1), Y(answer), "✓");
        if (circled is not null) Circle(svg, X(columns, circled.Place ?? 0), Y(circled.Field == MarkField.Rewritten ? top : answer));
        return new HtmlString(svg.Append("</svg>").ToString());

        void PutNumber(StringBuilder to, WholeNumber number, int row, Dictionary<int, IReadOnlyList<string>> struck)
        {
            for (var place = 0; place < number.Length; place++)
            {
                Text(to, "print", X(columns, place), Y(row), number.Digit(place).ToString(CultureInfo.InvariantCulture));
                if (struck.ContainsKey(place)) Strike(to, X(columns, place), Y(row));
            }
        }
    }

    private static void PutAbove(StringBuilder svg, int columns, int place, int row, string text, bool struck)
    {
        Text(svg, "hand small", X(columns, place), Y(row) + 4, text);
        if (struck) Strike(svg, X(columns, place), Y(row) + 4);
    }

    private static void Take(Work work, MarkField field, Dictionary<int, IReadOnlyList<string>> to)
    {
        if (!work.Marks.TryGetValue(field, out var marks)) return;
        foreach (var place in marks.Places) to[place] = marks.At(place);
    }

    private ColumnPicture Settled() => WithRowsAbove(rewritten.Values.Select(v => v.Count).DefaultIfEmpty(0).Max());

    private static void PutDigits(string? answer, Dictionary<int, string> to)
    {
        if (answer is null) return;
        var text = answer.Trim().Replace(",", "", StringComparison.Ordinal);
        for (var i = 0; i < text.Length; i++) to[i] = text[^(i + 1)].ToString();
    }

    private static string Spoken(ColumnDifference task) => $"{task.Top.Text} minus {task.Bottom.Text}";

    private static double X(int columns, int place) => (columns - 1 - place + .5) * Square;

    private static double Y(int row) => (row + .5) * Square;

    private static void Strike(StringBuilder svg, double x, double y) => Line(svg, "strike", x - 9, y + 10, x + 9, y - 10);

    private static void Line(StringBuilder svg, string css, double x1, double y1, double x2, double y2) =>
        svg.Append(CultureInfo.InvariantCulture, $"<line class=\"{css}\" x1=\"{x1}\" y1=\"{y1}\" x2=\"{x2}\" y2=\"{y2}\"/>");

    private static void Circle(StringBuilder svg, double x, double y) => svg.Append(
        CultureInfo.InvariantCulture, $"<ellipse class=\"circle\" cx=\"{x}\" cy=\"{y}\" rx=\"14\" ry=\"15\" transform=\"rotate(-8 {x} {y})\"/>");

    private static void Text(StringBuilder svg, string css, double x, double y, string text) =>
        svg.Append(CultureInfo.InvariantCulture, $"<text class=\"{css}\" x=\"{x}\" y=\"{y}\">{System.Net.WebUtility.HtmlEncode(text)}</text>");
}
