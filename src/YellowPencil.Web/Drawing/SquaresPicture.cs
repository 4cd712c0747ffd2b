using Microsoft.AspNetCore.Html;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Telling;
using YellowPencil.Data;

namespace YellowPencil.Web.Drawing;

/// <summary>
/// An item on squared paper: the task in print, what the student wrote in the pencil hand, what the reading adds in the reader's ink. Rows of work in which
/// nothing stands are left out.
/// </summary>
internal sealed class SquaresPicture : PagePicture
{
    private readonly ItemTask task;
    private readonly PageLayout layout;
    private readonly Squares squares;
    private readonly SortedSet<int> shown;
    private Squares predicted = new();
    private Squares? onPage;
    private (int Column, int Row)? circle;
    private WrongStep? circled;
    private bool isForetold;
    private string written = "";
    private IReadOnlyList<NotedPart> noted = [];
    private IReadOnlyList<NotReadText> notRead = [];

    private SquaresPicture(ItemTask task, PageLayout layout, Squares squares)
    {
        this.task = task;
        this.layout = layout;
        this.squares = squares;
        var set = layout.Prints.Select(p => p.Row).Concat(layout.Strips.Where(s => !s.IsWork).Select(s => s.Row)).ToHashSet();
        var words = layout.Prints.Where(p => p.Text.Length > 2).Select(p => p.Row);
        shown = [.. set.Except(words), .. layout.Strips.Where(s => !squares.IsEmpty(s.Id)).Select(s => s.Row)];

        // Room for the marks over the numbers, also where there are none or one row of them.
        if (shown.Min > 0 && shown.Min > set.Min() - 2) shown.Add(shown.Min - 1);
    }

    /// <summary>The rows that are shown, from the top.</summary>
    internal IReadOnlyCollection<int> Rows => shown;

    /// <inheritdoc/>
    public override string Label => string.Join("; ", ((string[])[Spoken.Task(task), .. Spoken.Marks(layout, squares), .. noted.Select(n => $"beside it {n.Text}"), written, Circled, Foretold, HasInferred ? "some of it does not stand on the page" : ""]).Where(t => t.Length > 0));

    private string Circled => circled is null ? "" : circled.Place is { } place ? $"first wrong step in the {Place.Name(place)}" : "first wrong step marked";

    private string Foretold => isForetold ? "as predicted" : predicted.In(layout.Answer.Id) is { Count: > 0 } digits ? $"predicted {string.Concat(digits.OrderByDescending(p => p.Key).Select(p => p.Value))}" : "";

    /// <summary>The task alone, with room for an answer.</summary>
    public static new SquaresPicture Blank(ItemTask task, School? school) => new(task, PageLayout.Of(task, school), new Squares());

    /// <summary>
    /// The task alone, with the rows that the taught method needs for its work. Numbers that a student sets out by their points stand in a line: where they
    /// are put is a step of the work.
    /// </summary>
    public static new SquaresPicture WithRoom(ItemTask task, School? school)
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(task, run, DeviationSet.Taught);
        var layout = PageLayout.Of(task, school);
        var picture = new SquaresPicture(task, layout, new Squares()) { HasRoom = true, IsInLine = layout.Strips.Any(s => s.Given is not null) };
        picture.Show(Of(task, run, null, school));
        if (picture.IsInLine) picture.shown.Add(picture.LineRow = picture.shown.Min - 1);
        return picture;
    }

    /// <summary>The task worked as taught but for its last steps, which are left to the student, with the rows that they need.</summary>
    /// <param name="task">The task.</param>
    /// <param name="open">How many of the steps that are told are left open; all of them where there are fewer.</param>
    /// <param name="school">What the classroom teaches; null for the usual.</param>
    public static new SquaresPicture WithStepsOpen(ItemTask task, int open, School? school)
    {
        var run = new MethodRun { Recording = true };
        Method.Run(task, run, DeviationSet.Taught);
        if (open == 0) return Of(task, run, TaughtFamily.Of(task.Family).Shown(task, run.Page.Marks), isDone: true, school);
        var told = ToldSteps.InOrder(run.Steps, task.Family, school ?? School.Usual);
        var layout = PageLayout.Of(task, school);
        var marks = told.Count <= open ? 0 : told[^open].MarksBefore;
        var picture = new SquaresPicture(task, layout, layout.Put(run.Page.Marks.Take(marks), _ => true)) { HasRoom = true };
        if (run.Page.Answer.Contains('.') && told.SkipLast(open).Any(s => ToldSteps.ComesEarly(s, task.Family))) picture.WithPoint();
        picture.Show(Of(task, run, null, school));
        return picture;
    }

    /// <summary>What a student wrote.</summary>
    public static new SquaresPicture Of(WorkedItem item, School? school)
    {
        var layout = PageLayout.Of(item.Task, school);
        return new SquaresPicture(item.Task, layout, layout.Put(item)) { written = item.Answer switch { null => "nothing written", "?" => "written, but it cannot be read", var answer => $"written {answer}" }, noted = NotedPart.Of(item.Task, item.Work) };
    }

    /// <summary>The page as a run has left it after so many marks. A zero that stands in front of the finished answer is not written.</summary>
    /// <param name="task">The task.</param>
    /// <param name="run">The whole run.</param>
    /// <param name="count">How many of its marks are there; null for all, and the answer as it is written at the end.</param>
    /// <param name="school">What the classroom teaches; null for the usual.</param>
    public static new SquaresPicture Of(ItemTask task, MethodRun run, int? count, School? school) =>
        Of(task, run, run.Page.Marks.Take(count ?? run.Page.Marks.Count), count is null, school);

    private static SquaresPicture Of(ItemTask task, MethodRun run, IEnumerable<Mark> marks, bool isDone, School? school)
    {
        var layout = PageLayout.Of(task, school);
        var inFront = ZerosInFront(run);
        var squares = layout.Put(marks.Where(m => m.Field != WorkFields.Cells || !inFront.Contains(m.At.Place!.Value)), line => ToldSteps.IsRowHeldAsTaught(run.Steps, line));
        var answer = run.Page.Answer.ToString();
        if (isDone && answer.Length > 0) layout.PutAnswer(squares, answer);
        var picture = new SquaresPicture(task, layout, squares);
        if (squares.In(layout.Answer.Id) is { Count: > 0 } cells) picture.written = $"written {string.Concat(cells.OrderByDescending(c => c.Key).Select(c => c.Value))}";
        return picture;
    }

    /// <inheritdoc/>
    public override PagePicture WithPoint()
    {
        squares.Put(layout.Answer.Id, layout.Answer.Ones, squares.In(layout.Answer.Id).GetValueOrDefault(layout.Answer.Ones, "") + ".");
        shown.Add(layout.Answer.Row);
        return this;
    }

    /// <inheritdoc/>
    public override PagePicture WithCircle(WrongStep? step)
    {
        if (step is null) return this;
        circled = step;

        // Of numbers that stand in the wrong columns, the one is circled that does, at its last digit.
        if (step.Field == WorkFields.Operands && layout.Strips.FirstOrDefault(s => s.Given is not null && s.Line == (step.Row ?? 1) - 1) is { } number)
        {
            circle = (number.GivenAt + squares.MovedBy(number.Id), number.Row);
            return this;
        }

        var strips = layout.Strips.Where(s => s.Mark?.Field == step.Field && s.Line == (step.Row ?? 1) - 1).OrderBy(s => s.Level).ToList();
        var strip = strips.Find(s => squares.TextOf(s.Id) is { } text && text.Text == step.Written) ?? strips.Find(s => !squares.IsEmpty(s.Id)) ?? strips.Find(s => s.Mark!.Value.Field is PlaceField) ?? layout.Answer;
        var filled = squares.In(strip.Id);
        var column = step.Place is { } place ? (strip is { FromLeft: true, IsByPoint: false } && filled.Count > 0 ? filled.Keys.Min() + place : strip.ColumnOf(place)) : filled.Count > 0 ? filled.Keys.Max() : strip.Ones;
        var row = strip.Strikes is { } struck && !filled.ContainsKey(column) ? struck : strip.Row;
        circle = (Math.Clamp(column, 0, layout.Columns - 1), row);
        shown.Add(row);
        return this;
    }

    /// <inheritdoc/>
    public override PagePicture WithInferred(WorkedItem page)
    {
        onPage = layout.Put(page);
        return this;
    }

    /// <inheritdoc/>
    public override bool HasInferred => layout.Strips.Any(s => squares.In(s.Id).Any(square => IsInferred(s, square.Key, square.Value)));

    // The answer stands on the page; in which columns, and what of it first, is mostly not known.
    private bool IsInferred(Strip strip, int column, string text) =>
        onPage is not null && onPage.In(strip.Id).GetValueOrDefault(column) != text && (strip.Kind != StripKind.Answer || onPage.IsEmpty(strip.Id));

    /// <inheritdoc/>
    public override PagePicture WithPrediction(string answer)
    {
        var stands = squares.TextOf(layout.Answer.Id)?.Text;
        if (stands is not null && task.Canonical(stands) == task.Canonical(answer)) isForetold = true;
        else layout.PutAnswer(predicted, answer);
        HasRowBelow = !isForetold;
        return this;
    }

    /// <summary>Whether columns on the right in which nothing stands are kept, to be written in.</summary>
    private bool HasRoom { get; init; }

    /// <summary>Whether the task stands in a line, and its numbers are still to be set out.</summary>
    private bool IsInLine { get; init; }

    private int LineRow { get; set; }

    /// <inheritdoc/>
    private protected override void MakeRoomFor(IReadOnlyList<PagePicture> others)
    {
        foreach (var other in others) Show((SquaresPicture)other);
        if (IsInLine) LineRow = shown.Min;
    }

    private protected override object Frame => (task.Family, layout.Rows);

    /// <inheritdoc/>
    public override IHtmlContent Draw()
    {
        var html = new HtmlContentBuilder().AppendHtml(SquarePaper.Svg(Sketch()));
        if (notRead.Count == 0) return html;
        html.AppendHtml("<span class=\"struckout\"><span class=\"visuallyhidden\">struck out: </span>");
        foreach (var one in notRead) html.AppendHtml("<s>").Append(Signs.Printed(one.Text)).AppendHtml("</s> ");
        return html.AppendHtml("</span>");
    }

    /// <inheritdoc/>
    public override PagePicture WithNotRead(IReadOnlyList<NotReadText> notRead)
    {
        this.notRead = notRead;
        return this;
    }

    /// <inheritdoc/>
    private protected override Sketch Lay()
    {
        var answer = squares.In(layout.Answer.Id);
        var last = Math.Max(
            answer.Keys.Concat(predicted.In(layout.Answer.Id).Keys).DefaultIfEmpty(0).Max() + (isForetold ? 1 : 0),
            layout.Strips.SelectMany(s => squares.In(s.Id).Keys).DefaultIfEmpty(0).Max());
        var used = layout.Strips.SelectMany(s => squares.In(s.Id).Keys.Concat(s.Given is null ? [] : [s.GivenAt + squares.MovedBy(s.Id)]))
            .Concat(layout.Prints.Where(p => shown.Contains(p.Row)).Select(p => p.Column)).Concat(predicted.In(layout.Answer.Id).Keys).Append(layout.Answer.Ones);
        var tick = isForetold ? TickColumn(answer.Keys.Min(), answer.Keys.Max()) : int.MaxValue;
        var right = HasRoom ? 0 : Math.Min(Math.Min(used.Min(), tick), circle?.Column ?? int.MaxValue);
        // In a line a task ends a square before the next one's begins.
        var inSigns = task.Text.Replace(" ", "");
        var inLine = IsInLine ? Squares.Spread(inSigns, 0).Count() + 1 : 0;
        var columns = Math.Max(Math.Max(layout.Columns, last + 1), inLine);
        var paper = new SquarePaper(columns, right, [.. shown], HasRowBelow);
        if (IsInLine)
        {
            paper.Given(inSigns, columns - inLine + 1, LineRow);
        }
        else
        {
            foreach (var print in layout.Prints) paper.Print(print);
            foreach (var line in layout.Lines.Where(l => !IsOfEmptyWork(l))) paper.Line(line);
        }

        foreach (var strip in layout.Strips)
        {
            if (strip.Given is { } given && !IsInLine) paper.Given(given, strip.GivenAt + squares.MovedBy(strip.Id), strip.Row);
            foreach (var (column, text) in squares.In(strip.Id))
            {
                var isInferred = IsInferred(strip, column, text);
                paper.Write(text, column, strip.Row, strip.IsSmall, isInferred);
                if (strip.Strikes is { } struck) paper.Strike(column, struck, layout.Strips.Any(s => s.Row == struck && s.IsSmall), isInferred);
            }
        }

        if (squares.IsUnreadable) paper.Write("?", layout.Answer.Ones, layout.Answer.Row, isSmall: false);
        foreach (var (column, text) in predicted.In(layout.Answer.Id)) paper.Predict(text, column);
        if (isForetold) paper.Tick(tick, layout.Answer.Row);
        if (circle is { } at) paper.Circle(at.Column, at.Row);
        var (sketch, shapes) = (paper.Finish(Label), new List<Shape>());
        var (wide, high) = (sketch.Width, sketch.Height);
        foreach (var part in noted)
        {
            part.Draw(shapes, wide + SquarePaper.Square, 0, null);
            (wide, high) = (wide + SquarePaper.Square + Math.Ceiling(part.Width / SquarePaper.Square) * SquarePaper.Square, Math.Max(high, part.Height));
        }

        return sketch with { Width = wide, Height = high, Shapes = [.. sketch.Shapes, .. shapes] };
    }

    // Before the answer, or behind it where a sign is printed before it.
    private int TickColumn(int last, int first) => layout.Prints.Any(p => p.Row == layout.Answer.Row && p.Column == first + 1) ? last - 1 : first + 1;

    /// <summary>
    /// Whether a line belongs to work of which nothing is written. On paper for the student it would tell how much there is to do.
    /// </summary>
    private bool IsOfEmptyWork(PaperLine line) =>
        line is { IsDown: false, Until: null } && layout.Strips.Where(s => s.Row == line.Row) is var strips && strips.Any() && strips.All(s => s.IsWork && squares.IsEmpty(s.Id));

    private void Show(SquaresPicture other) => shown.UnionWith(other.shown);
}
