using Microsoft.AspNetCore.Html;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;
using YellowPencil.Data;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Drawing;

/// <summary>An item whose working stands in lines one under the other: fractions, mixed numbers, algebra and roots.</summary>
internal sealed partial class LinesPicture : PagePicture
{
    // So many lines there are to write in on a sheet for the student, whatever the item needs: the room tells nothing.
    private const int Room = 6;
    private const int RoomAcross = 8;
    private const double Square = ExpressionBox.Square;

    // An item with what stands beside its lines is not wider than this, so that two stand beside each other.
    private const double Widest = 12 * Square;
    private readonly ItemTask task;
    private readonly WrittenLine set;
    private readonly IReadOnlyList<WrittenLine> lines;
    private readonly IReadOnlyList<NotedPart> noted;
    private WrongStep? circled;
    private (int Line, int From, int To)? circle;
    private MarkKind? circledBeside;
    private IReadOnlyList<int> following = [];
    private (IReadOnlyList<string> Lines, IReadOnlyList<NotedPart> Noted)? onPage;
    private bool isRightSoFar;
    private string? predicted;
    private bool isForetold;
    private int room;
    private double width;

    private LinesPicture(ItemTask task, IEnumerable<string> lines, IReadOnlyList<NotedPart>? noted = null)
    {
        this.task = task;
        this.noted = noted ?? [];
        this.lines = [.. lines.Select(WrittenLine.Read)];
        (Verb, var expression) = Parts(task);
        set = WrittenLine.Read(expression);
    }

    /// <summary>Whether it is said of the signs of the last line from where in the line before they come.</summary>
    private bool ShowsChange { get; init; }

    // What is to be done, as the format says it before the expression; nothing for what is said by a sign.
    private string Verb { get; }

    public override string Label => string.Join("; ", ((string[])[Spoken.Task(task), Written, Circled, Following, Foretold, Inferred]).Where(t => t.Length > 0));

    private string Inferred => HasInferred ? "some of it does not stand on the page" : "";

    private string Written => lines.Count == 0 ? "nothing written" : $"written {string.Join(", then ", lines.Select(l => Signs.Printed(l.Text)))}";

    private string Circled => circled is null ? "" : circle is { } at ? $"first wrong step in line {at.Line + 1}" : "first wrong step marked";

    private string Following => isRightSoFar ? "right so far, not finished" : following.Count == 0 ? "" : $"{(following.Count == 1 ? "line" : "lines")} {string.Join(", ", following.Select(l => l + 1))} follow{(following.Count == 1 ? "s" : "")} rightly";

    private string Foretold => isForetold ? "as predicted" : predicted is null ? "" : $"predicted {Signs.Printed(predicted)}";

    /// <summary>What is to be done, where a word says it, and with what.</summary>
    public static (string Verb, string Expression) Parts(ItemTask task) =>
        task.Text.IndexOf(' ') is > 0 and var space && task.Text[..space].All(char.IsAsciiLetter) ? (task.Text[..space], task.Text[(space + 1)..]) : ("", task.Text);

    public static LinesPicture Blank(ItemTask task) => new(task, []);

    public static LinesPicture WithRoom(ItemTask task) => new(task, []) { room = Room, width = RoomAcross * Square };

    public static new LinesPicture WithStepsOpen(ItemTask task, int open, School? school)
    {
        var run = new MethodRun { Recording = true };
        Method.Run(task, run, new DeviationSet(school ?? School.Usual, []));
        if (open == 0) return Of(task, run, null);
        var told = ToldSteps.InOrder(run.Steps, task.Family, school ?? School.Usual);
        var picture = Of(task, run, told.Count <= open ? 0 : told[^open].MarksBefore);
        (picture.room, picture.width) = (Room, RoomAcross * Square);
        return picture;
    }

    public static LinesPicture Of(WorkedItem item) => new(item.Task, LineLayout.Lines(item), NotedPart.Of(item.Task, item.Work));

    public static LinesPicture Of(ItemTask task, MethodRun run, int? count)
    {
        var marks = run.Page.Marks.Take(count ?? run.Page.Marks.Count).ToList();
        List<string> lines = [.. marks.Where(m => m.Field == WorkFields.Lines).Select(m => m.Text)];
        var answer = run.Page.Answer.ToString();
        if (count is null && answer.Length > 0 && (lines.Count == 0 || task.Canonical(lines[^1]) != task.Canonical(answer))) lines.Add(answer);
        return new LinesPicture(task, lines, Beside(task, lines, Work.Of(marks, WorkFields.Cross, WorkFields.Box, WorkFields.Gap, WorkFields.Between, WorkFields.Tried))) { ShowsChange = true };
    }

    // Middle and gap that stand in lines of their own are not drawn once more.
    private static IReadOnlyList<NotedPart> Beside(ItemTask task, List<string> lines, Work work) =>
        NotedPart.Of(task, lines.Exists(l => l.StartsWith("m =", StringComparison.Ordinal)) ? work.Without(WorkFields.Gap) : work);

    /// <summary>An item with the lines of its worked example, and beside them what the taught method fills in.</summary>
    public static LinesPicture Worked(ItemTask task, IEnumerable<string> lines, Work work)
    {
        var written = lines.Where(l => l.Length > 0).ToList();
        if (written.Count == 0 || task.Canonical(written[^1]) != task.Canonical(task.RightAnswer)) written.Add(task.RightAnswer);
        return new LinesPicture(task, written, Beside(task, written, work));
    }

    public override PagePicture WithReading(ItemReading item)
    {
        following = item.FollowingLines;
        isRightSoFar = item.IsRightSoFar;
        return isRightSoFar ? this : WithCircle(item.FirstWrongStep);
    }

    public override PagePicture WithCircle(WrongStep? step)
    {
        if (step is null) return this;
        circled = step;
        if (step.Part is { } part && NotedPart.Together(new MarkKind(step.Field, part)) is var kind && noted.Any(n => n.Holds(kind)))
        {
            circledBeside = kind;
            return this;
        }

        var line = step.Field == WorkFields.Lines && step.Row is { } row ? row - 1 : lines.Count - 1;
        if (line < 0 || line >= lines.Count) return this;
        var written = lines[line];
        circle = step.Due is { } due && written.DifferenceFrom(WrittenLine.Read(due)) is var (from, to) ? (line, from, to) : (line, 0, written.Text.Length);
        return this;
    }

    public override PagePicture WithInferred(WorkedItem page)
    {
        onPage = ([.. LineLayout.Lines(page).Select(Plain)], NotedPart.Of(task, page.Work));
        return this;
    }

    public override bool HasInferred => onPage is { } page && (lines.Any(IsInferred) || noted.Any(n => n.IsInferred(page.Noted)));

    private bool IsInferred(WrittenLine line) =>
        onPage is { } page && !page.Lines.Contains(Plain(line.Text)) && (page.Lines.Count == 0 || line != lines[^1] || task.Canonical(page.Lines[^1]) != task.Canonical(line.Text));

    private static string Plain(string line) => line.Replace(" ", "", StringComparison.Ordinal);

    public override PagePicture WithPrediction(string answer)
    {
        if (lines.Count > 0 && task.Canonical(lines[^1].Text) == task.Canonical(answer)) isForetold = true;
        else predicted = answer;
        HasRowBelow = !isForetold;
        return this;
    }

    /// <summary>A line of a working by itself, as it stands on the page.</summary>
    public static IHtmlContent Line(WrittenLine line) => Line(line, "handline");

    private static IHtmlContent Line(WrittenLine line, string style)
    {
        var box = ExpressionBox.Of(line);
        List<Shape> shapes = [];
        Put(shapes, box, 0, box.Squares * Square / 2, style);
        return SquarePaper.Svg(new Sketch(Math.Max(Square, box.Width), box.Squares * Square, Signs.Printed(line.Text), shapes));
    }

    /// <summary>A task as it stands over a column: its words, and built up what it is done with.</summary>
    public static IHtmlContent Head(ItemTask task)
    {
        var (verb, expression) = Parts(task);
        return new HtmlContentBuilder().Append(verb.Length > 0 ? verb + " " : "").AppendHtml(Line(WrittenLine.Read(expression), "printline")).Append(" " + task.AskedInPrint);
    }

    /// <summary>The answer of an item that stands in lines, as it is built up; null where it is no such item, or nothing is built up of it.</summary>
    public static IHtmlContent? Small(WorkedItem item) =>
        LineLayout.Has(item.Task.Family) && item.Answer is { } answer && answer != LineLayout.Unreadable && WrittenLine.Read(answer) is { Fault: null } line ? Line(line) : null;

    /// <summary>The drawing, and what it says as MathML for who hears it.</summary>
    public override IHtmlContent Draw()
    {
        var html = new HtmlContentBuilder();
        html.AppendHtml(SquarePaper.Svg(Sketch(), isHidden: true));
        html.AppendHtml("<span class=\"visuallyhidden\">");
        html.Append(Verb.Length > 0 ? Verb + " " : "");
        html.AppendHtml(MathMarkup.Of(set));
        html.Append(" " + task.AskedInPrint);
        for (var i = 0; i <= lines.Count; i++)
        {
            foreach (var one in TypedLines.At(notRead, i, lines.Count))
                foreach (var text in TextsOf(one)) html.Append(one.IsSideWork ? "; on the side: " : "; struck out: ").AppendHtml(MathMarkup.Of(text));
            if (i < lines.Count) html.Append("; ").AppendHtml(MathMarkup.Of(lines[i]));
        }

        html.Append(string.Join("", ((string[])[lines.Count == 0 ? "nothing written" : "", Circled, Following, Foretold, Inferred]).Where(t => t.Length > 0).Select(t => $"; {t}")));
        html.AppendHtml("</span>");
        return html;
    }

    private protected override Sketch Lay()
    {
        List<Shape> shapes = [];
        var (task, top, wide) = (ExpressionBox.Of(set), Square, 0.0);
        var left = 0.0;
        if (Verb.Length > 0)
        {
            shapes.Add(new TextShape("print word", 2, top + task.Squares * Square / 2, Verb));
            left = 8 + Verb.Length * 8.5;
        }

        var before = (Line: set, Box: task, Left: left, Middle: top + task.Squares * Square / 2);
        Put(shapes, task, left, before.Middle, "printline");
        var end = left + task.Width;
        if (this.task.AskedInPrint.Length > 0)
        {
            shapes.Add(new TextShape("print word", end + 8, top + task.Squares * Square / 2, this.task.AskedInPrint));
            end += 12 + this.task.AskedInPrint.Length * 8.5;
        }

        wide = Math.Max(wide, end);
        top += task.Squares * Square;
        PutBehind(shapes, 0, (end, Square), ref top, ref wide);
        for (var i = 0; i < lines.Count; i++)
        {
            var box = ExpressionBox.Of(lines[i]);
            var middle = top + box.Squares * Square / 2;
            Put(shapes, box, 0, middle, IsInferred(lines[i]) ? "handline" + SquarePaper.Inferred : "handline", ShowsChange && i == lines.Count - 1 ? Arrivals(before, (lines[i], box, 0, middle)) : null);
            before = (lines[i], box, 0, middle);
            end = box.Width;
            if (circle is { } at && at.Line == i)
            {
                var (x1, y1, x2, y2) = box.Around(at.From, at.To);
                shapes.Add(new OvalShape("circle", (x1 + x2) / 2, middle + (y1 + y2) / 2, (x2 - x1) / 2 + 6, (y2 - y1) / 2 + 3, Turned: -3));
            }

            // An answer that came as foretold is ticked for that, and not once more.
            var isLast = i == lines.Count - 1;
            var ink = (isRightSoFar && isLast ? "→ … " : "") + ((isForetold && isLast) || following.Contains(i) ? "✓" : "");
            if (ink.Length > 0)
            {
                shapes.Add(new TextShape("inkmark", box.Width + 12 + 6 * ink.Length, middle, ink));
                end += Square * (ink.Length + 1) / 2;
            }

            wide = Math.Max(wide, end);
            var lineTop = top;
            top += box.Squares * Square;
            PutBehind(shapes, i + 1, (end, lineTop), ref top, ref wide);
        }

        if (predicted is not null)
        {
            var box = ExpressionBox.Of(WrittenLine.Read(predicted));
            Put(shapes, box, 0, top + box.Squares * Square / 2, "inkline-text");
            wide = Math.Max(wide, box.Width);
            top += box.Squares * Square;
        }
        else if (HasRowBelow)
        {
            top += Square;
        }

        var (right, above) = (Math.Ceiling(wide / Square) * Square, Square);
        foreach (var part in noted)
        {
            // Beside the lines where there is room, else in a row of its own below.
            if (right + Square + part.Width > Widest && right > 0) (right, above) = (-Square, top + Square);
            part.Draw(shapes, right + Square, above, circledBeside, onPage?.Noted);
            right += Square + Math.Ceiling(part.Width / Square) * Square;
            (wide, top) = (Math.Max(wide, right), Math.Max(top, above + part.Height));
        }

        (wide, top) = (Math.Max(wide, width), Math.Max(top, (room + 2) * Square));
        return new Sketch(Math.Max(3, Math.Ceiling((wide + 4) / Square)) * Square, Math.Ceiling(top / Square) * Square, Label, shapes);
    }

    private protected override void MakeRoomFor(IReadOnlyList<PagePicture> others)
    {
        foreach (var other in others.Cast<LinesPicture>())
        {
            var (wide, high) = (other.Sketch().Width, other.Sketch().Height);
            width = Math.Max(width, wide - 4);
            room = Math.Max(room, (int)(high / Square) - 2);
        }
    }

    // How each sign of a line comes to its place, in the order of its box.
    private static Func<int, Arrival> Arrivals((WrittenLine Line, ExpressionBox Box, double Left, double Middle) before, (WrittenLine Line, ExpressionBox Box, double Left, double Middle) now)
    {
        var (theirs, mine) = (before.Line.Leaves.ToList(), now.Line.Leaves.ToList());
        var arrivals = new Dictionary<int, Arrival>();
        foreach (var (to, from) in LineChange.Origins(before.Line, now.Line))
            foreach (var (sign, was) in Signs(now.Box, mine[to]).Zip(Signs(before.Box, theirs[from])))
                arrivals[sign] = new Arrival(before.Left + before.Box.Placed[was].X - now.Left - now.Box.Placed[sign].X, before.Middle + before.Box.Placed[was].Y - now.Middle - now.Box.Placed[sign].Y);
        return sign => arrivals.GetValueOrDefault(sign) ?? new Arrival(0, 0, IsNew: true);

        static IEnumerable<int> Signs(ExpressionBox box, SignPart leaf) => box.Placed.Index().Where(s => s.Item.From >= leaf.From && s.Item.From < leaf.To).Select(s => s.Index);
    }

    private static void Put(List<Shape> shapes, ExpressionBox box, double left, double middle, string style, Func<int, Arrival>? arrivals = null)
    {
        var isHand = style.StartsWith("handline", StringComparison.Ordinal);
        var size = isHand ? 25 : 21;
        foreach (var (at, sign) in box.Placed.Index())
            shapes.Add(new TextShape(style, left + sign.X, middle + sign.Y, sign.Text, size * sign.Size) { Arrival = arrivals?.Invoke(at) });
        foreach (var stroke in box.Strokes) shapes.Add(new LineShape(style == "inkline-text" ? "inkstroke" : isHand ? style.Replace("handline", "rule thin", StringComparison.Ordinal) : "rule thin", left + stroke.X1, middle + stroke.Y1, left + stroke.X2, middle + stroke.Y2));
    }
}
