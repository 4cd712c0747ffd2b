using System.Globalization;
using System.Text;
using Microsoft.AspNetCore.Html;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Web.Drawing;

/// <summary>
/// A column difference on squared paper: the task in print, what the student wrote in the pencil hand, what the reading adds
/// in the reader's ink. One digit to a square; a square is 28 units of the drawing and one square of the paper, on the screen and in print.
/// </summary>
public sealed class ColumnPicture
{
    private const int Square = 28;
    private const double SquareInRem = 1.75;
    private readonly ColumnDifference task;
    private readonly Dictionary<int, string> cells = [];
    private readonly Dictionary<int, IReadOnlyList<string>> rewritten = [];
    private readonly Dictionary<int, IReadOnlyList<string>> rewrittenBelow = [];
    private readonly Dictionary<int, string> predicted = [];

    private ColumnPicture(ColumnDifference task) => this.task = task;

    private WrongStep? circled;
    private bool isForetold;
    private string written = "";

    /// <summary>What a screen reader says.</summary>
    public string Label => string.Join("; ", new[] { $"{task.Top.Text} minus {task.Bottom.Text}", Struck(task.Top, rewritten), Struck(task.Bottom, rewrittenBelow), written, Circled, Foretold }.Where(t => t.Length > 0));

    private string Circled => circled is null ? "" : $"first wrong step in the {Place.Name(circled.Place ?? 0)}";

    private string Foretold => isForetold ? "as foretold" : predicted.Count > 0 ? $"foretold {string.Concat(predicted.OrderByDescending(p => p.Key).Select(p => p.Value))}" : "";

    /// <summary>The task alone, with room for an answer.</summary>
    public static ColumnPicture Blank(ColumnDifference task) => new(task);

    /// <summary>The task alone, with as much room above as the taught method needs for its marks.</summary>
    public static ColumnPicture WithRoom(ColumnDifference task)
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(task, run, DeviationSet.Taught);
        return Blank(task).WithRowsAbove(run.Page.Marks.Where(m => m.Field == WorkFields.Rewritten).GroupBy(m => m.At.Place).Select(g => g.Count()).DefaultIfEmpty(1).Max());
    }

    /// <summary>What a student wrote.</summary>
    public static ColumnPicture Of(WorkedItem item)
    {
        var picture = new ColumnPicture((ColumnDifference)item.Task) { written = item.Answer switch { null => "nothing written", "?" => "written, but it cannot be read", var answer => $"written {answer}" } };
        Take(item.Work, WorkFields.Rewritten, picture.rewritten);
        Take(item.Work, WorkFields.RewrittenBelow, picture.rewrittenBelow);
        foreach (var (place, text) in AnswerCells.Of(item)) picture.cells[place] = text;
        if (item.Answer == "?") picture.cells[0] = "?";
        return picture.Settled();
    }

    /// <summary>The page as a run has left it after so many marks. A zero that stands in front of the finished answer is not written.</summary>
    /// <param name="task">The task.</param>
    /// <param name="run">The whole run.</param>
    /// <param name="count">How many of its marks are there; null for all.</param>
    public static ColumnPicture Of(ColumnDifference task, MethodRun run, int? count = null)
    {
        var all = run.Page.Marks.Take(count ?? run.Page.Marks.Count).ToList();
        var picture = new ColumnPicture(task);
        var inFront = ZerosInFront(run);
        foreach (var mark in all.Where(m => m.Field == WorkFields.Cells && !inFront.Contains(m.At.Place!.Value))) picture.cells[mark.At.Place!.Value] = mark.Text;
        var work = Work.Of(all, WorkFields.Rewritten, WorkFields.RewrittenBelow);
        Take(work, WorkFields.Rewritten, picture.rewritten);
        Take(work, WorkFields.RewrittenBelow, picture.rewrittenBelow);
        if (picture.cells.Count > 0) picture.written = $"written {string.Concat(picture.cells.OrderByDescending(c => c.Key).Select(c => c.Value))}";
        return picture.Settled();
    }

    /// <summary>The places in which a run comes to a zero in front of its answer.</summary>
    public static IReadOnlySet<int> ZerosInFront(MethodRun run) => run.Page.Marks.Where(m => m.Field == WorkFields.Cells).OrderByDescending(m => m.At.Place)
        .SkipLast(1).TakeWhile(m => m.Text == "0").Select(m => m.At.Place!.Value).ToHashSet();

    /// <summary>Adds the circle round the first step that went wrong.</summary>
    public ColumnPicture WithCircle(WrongStep? step)
    {
        circled = step;
        return this;
    }

    /// <summary>Adds an answer that an explanation predicts: a tick where it is what was written, else the digits below.</summary>
    public ColumnPicture WithPrediction(string answer)
    {
        if (string.Concat(cells.OrderByDescending(c => c.Key).Select(c => c.Value)).TrimStart('0') == answer.TrimStart('0')) isForetold = true;
        else for (var i = 0; i < answer.Length; i++) predicted[i] = answer[^(i + 1)].ToString();
        HasRowBelow = predicted.Count > 0;
        return this;
    }

    /// <summary>Whether there is a row below for a predicted answer.</summary>
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

    /// <summary>Gives all pictures as much room above as the one that needs most, so that they stand in lines.</summary>
    public static void LineUp(IEnumerable<ColumnPicture> pictures)
    {
        var all = pictures.ToList();
        var rows = all.Select(p => p.RowsAbove).DefaultIfEmpty(1).Max();
        foreach (var picture in all) picture.WithRowsAbove(rows);
    }

    /// <summary>Draws it.</summary>
    public IHtmlContent Draw()
    {
        var columns = Math.Max(task.Top.Length, task.Bottom.Length) + 1;
        foreach (var place in cells.Keys.Concat(predicted.Keys)) columns = Math.Max(columns, place + (isForetold ? 2 : 1));
        var top = RowsAbove;
        var bottom = top + 1 + (rewrittenBelow.Count > 0 ? 1 : 0);
        var answer = bottom + 1;
        var rows = answer + 1 + (HasRowBelow ? 1 : 0);
        var svg = new StringBuilder();
        var (width, height) = (columns * Square, rows * Square);
        svg.Append(CultureInfo.InvariantCulture, $"<svg class=\"working\" viewBox=\"0 0 {width} {height}\" width=\"{columns * SquareInRem}rem\" height=\"{rows * SquareInRem}rem\" role=\"img\" aria-label=\"{System.Net.WebUtility.HtmlEncode(Label)}\">");
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
        if (circled is not null) Circle(svg, X(columns, circled.Place ?? 0), Y(circled.Field == WorkFields.Rewritten ? top : answer));
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

    // "2 struck out, 14 above": what was struck out in its place, and what stands there last.
    private static string Struck(WholeNumber number, Dictionary<int, IReadOnlyList<string>> marks) => string.Join("; ", marks.OrderByDescending(m => m.Key).Select(m =>
        $"{string.Join(", ", m.Value.SkipLast(1).Prepend(number.Digit(m.Key) is >= 0 and var digit ? digit.ToString(CultureInfo.InvariantCulture) : "a blank").Select(t => $"{t} struck out"))}, {m.Value[^1]} above"));

    private static void PutAbove(StringBuilder svg, int columns, int place, int row, string text, bool struck)
    {
        Text(svg, "hand small", X(columns, place), Y(row) + 4, text);
        if (struck) Strike(svg, X(columns, place), Y(row) + 4);
    }

    private static void Take(Work work, PlaceField field, Dictionary<int, IReadOnlyList<string>> to)
    {
        if (work.Get(field) is not { } marks) return;
        foreach (var place in marks.Places) to[place] = marks.At(place);
    }

    private ColumnPicture Settled() => WithRowsAbove(rewritten.Values.Select(v => v.Count).DefaultIfEmpty(0).Max());

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
