using YellowPencil.Core.Families;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Format;

/// <summary>
/// Where a task, its marks and its answer stand on squared paper, which lines are drawn, and in which squares something can be written. Drawing, typing,
/// replay and printed sheets all come from it.
/// </summary>
public sealed class PageLayout
{
    private readonly FamilyLayout family;
    private readonly ItemTask task;
    private readonly School school;

    private PageLayout(ItemTask task, School school)
    {
        this.task = task;
        this.school = school;
        family = TaughtFamily.Of(task.Family).Layout ?? throw new ArgumentOutOfRangeException(nameof(task), $"no layout for {task.Family.Name} yet");
        var paper = family.Lay(task, school);
        (Columns, Rows) = (paper.Columns, paper.Rows);
        (Prints, Lines, Strips) = (paper.Prints, paper.Lines, paper.Strips);
    }

    /// <summary>The families whose items can be laid out.</summary>
    public static IReadOnlyList<Family> Families { get; } = [.. FamilyList.All.Where(f => f.Layout is not null)];

    /// <summary>How many columns the item takes.</summary>
    public int Columns { get; }

    /// <summary>How many rows there are, those of work included.</summary>
    public int Rows { get; }

    /// <summary>What is printed.</summary>
    public IReadOnlyList<Printed> Prints { get; }

    /// <summary>The lines that are drawn.</summary>
    public IReadOnlyList<PaperLine> Lines { get; }

    /// <summary>Where something can be written.</summary>
    public IReadOnlyList<Strip> Strips { get; }

    /// <summary>The strip of the answer.</summary>
    public Strip Answer => Strips.First(s => s.Kind == StripKind.Answer);

    /// <summary>The layout of a task.</summary>
    /// <param name="task">The task.</param>
    /// <param name="school">What the classroom teaches; null for the usual.</param>
    /// <exception cref="ArgumentOutOfRangeException">The family has no layout yet.</exception>
    public static PageLayout Of(ItemTask task, School? school = null) => new(task, school ?? School.Usual);

    /// <summary>The squares that a student's page fills.</summary>
    public Squares Put(WorkedItem item)
    {
        var squares = Put(item.Work.Fields.Where(f => f != WorkFields.Cells).SelectMany(item.Work.MarksOf));
        squares.Clear(Answer.Id);
        if (item.Answer == "?") squares.IsUnreadable = true;
        else if (item.Work.Get(WorkFields.Cells) is { } cells && item.IsAnswered)
            foreach (var place in cells.Places) squares.Put(Answer.Id, Answer.ColumnOf(place), cells.At(place)[^1]);
        else if (item.IsAnswered) PutAnswer(squares, item.Answer!);
        return squares;
    }

    /// <summary>The squares that marks fill.</summary>
    public Squares Put(IEnumerable<Mark> marks)
    {
        var squares = new Squares();
        var levels = new Dictionary<(WorkField, Spot), int>();
        foreach (var mark in family.InPlace(task, marks))
        {
            if (mark.Field == WorkFields.Cells)
            {
                squares.Put(Answer.Id, Answer.ColumnOf(mark.At.Place ?? 0), mark.Text);
                continue;
            }

            var level = levels[(mark.Field, mark.At)] = levels.GetValueOrDefault((mark.Field, mark.At), -1) + 1;
            var strips = Strips.Where(s => s.Mark == mark.Kind && s.Line == mark.At.Line).OrderBy(s => s.Level).ToList();
            if (strips.Count == 0) continue;
            var strip = strips[Math.Min(level, strips.Count - 1)];
            if (strip.Kind == StripKind.Places) squares.Put(strip.Id, strip.ColumnOf(mark.At.Place ?? 0), mark.Text);
            else if (strip.Kind == StripKind.Operand) PutOperand(squares, strip, mark);
            else if (strip.Kind == StripKind.Note) PutNote(squares, strip, mark.Text);
            else squares.PutText(strip.Id, mark.Text, strip.ColumnOf(mark.At.Place ?? 0));
        }

        return squares;
    }

    /// <summary>
    /// The squares that marks of the taught method fill, as the classroom writes them: where it shifts a row, the zeros that only hold its place are not
    /// written; nor are carries that it keeps in the head.
    /// </summary>
    /// <param name="marks">The marks.</param>
    /// <param name="isHeld">Of which rows, counted from 0, the place is held as taught.</param>
    public Squares Put(IEnumerable<Mark> marks, Func<int, bool> isHeld)
    {
        if (school.Of(School.ProductCarry) == ProductCarrySchool.Remembered) marks = marks.Where(m => !family.IsProductCarry(task, m));
        if (school.Of(School.Placeholder) != PlaceholderSchool.RowShifted) return Put(marks);
        var placeholders = family.PlaceholdersOf(task);
        return Put(marks.Select(m => m.Field == WorkFields.Rows && m.At.Line < placeholders.Count && isHeld(m.At.Line) && placeholders[m.At.Line] is > 0 and var zeros && m.Text.Length > zeros
            ? m with { At = m.At with { Place = (m.At.Place ?? 0) + zeros }, Text = m.Text[..^zeros] }
            : m));
    }

    /// <summary>Writes an answer into its squares; where its digits stand there already, they stay where they are.</summary>
    public void PutAnswer(Squares squares, string answer)
    {
        var cells = squares.In(Answer.Id).OrderByDescending(c => c.Key).ToList();
        squares.Clear(Answer.Id);
        var text = Signs.Plain(answer).Trim().Replace(" r ", "r", StringComparison.OrdinalIgnoreCase);
        if (Answer is { FromLeft: true, IsByPoint: false }) PutNote(squares, Answer, text);
        else if (Squares.Spread(text, 0).ToList() is var signs && signs.Select(s => s.Sign.TrimEnd('.')).SequenceEqual(cells.Select(c => c.Value)))
            foreach (var (cell, sign) in cells.Zip(signs)) squares.Put(Answer.Id, cell.Key, sign.Sign);
        else squares.PutText(Answer.Id, text, Answer.IsByPoint ? LastByPoint(text) : Answer.Ones);
    }

    /// <summary>
    /// The item with what stands in the squares now. What was not changed stays as it was recorded, and so do fields of the work that have no square here.
    /// </summary>
    public WorkedItem Take(WorkedItem item, Squares squares)
    {
        var before = Put(item);
        var work = item.Work;
        foreach (var strips in Strips.Where(s => s.Mark is not null).GroupBy(s => s.Mark!.Value.Field))
        {
            if (strips.All(s => squares.IsSame(before, s.Id))) continue;
            var isSet = strips.Where(s => s.Kind == StripKind.Operand).ToList() is { Count: > 0 } operands && operands.TrueForAll(s => squares.IsEmpty(s.Id));
            work = work.With(strips.Key, isSet ? [] : family.Recorded(strips.Key, strips.SelectMany(s => MarksOf(s, squares)), squares, Answer));
        }

        if (squares.IsSame(before, Answer.Id) && squares.IsUnreadable == before.IsUnreadable) return item with { Work = work };
        var answer = squares.IsUnreadable ? "?" : squares.TextOf(Answer.Id, Answer.Signs.Contains('/') ? " " : "")?.Text;
        return item with { Answer = answer, Work = work.With(WorkFields.Cells, answer is null or "?" ? [] : CellsOf(squares)) };
    }

    // Where the answer alone does not tell which digit stands in which square, the squares are kept.
    private IEnumerable<Mark> CellsOf(Squares squares)
    {
        var cells = squares.In(Answer.Id);
        if (Answer.FromLeft || cells.Values.Any(text => !text.All(char.IsAsciiDigit))) return [];
        var isPlain = cells.Values.All(text => text.Length == 1) && cells.Count == cells.Keys.Max() - cells.Keys.Min() + 1;
        if (isPlain && (Answer.IsByPoint || cells.Keys.Min() == Answer.Ones)) return [];
        return cells.Select(c => new Mark(WorkFields.Cells, new Spot(0, c.Key - Answer.Ones), c.Value));
    }

    private static IEnumerable<Mark> MarksOf(Strip strip, Squares squares)
    {
        var (field, part) = strip.Mark!.Value;
        var written = squares.In(strip.Id);
        if (strip.Kind == StripKind.Places)
        {
            foreach (var (column, text) in written) yield return new Mark(field, new Spot(strip.Line, column - strip.Ones, part), text);
        }
        else if (strip.Kind == StripKind.Operand)
        {
            var all = new Squares();
            foreach (var (column, sign) in Squares.Spread(strip.Given!, strip.GivenAt + squares.MovedBy(strip.Id))) all.Put(strip.Id, column, sign);
            foreach (var (column, sign) in written)
                all.Put(strip.Id, column, all.In(strip.Id).TryGetValue(column, out var given) && sign == "." ? given.TrimEnd('.') + "." : sign);
            var (text, last) = all.TextOf(strip.Id)!.Value;
            yield return new Mark(field, new Spot(strip.Line, last - strip.Ones, part), text);
        }
        else if (squares.TextOf(strip.Id) is var (text, last))
        {
            yield return new Mark(field, new Spot(strip.Line, strip.Kind == StripKind.Note ? null : last - strip.Ones, part), text);
        }
    }

    // A number that is set stands where it was put; what was written beside it by hand are the signs that it has not got.
    private static void PutOperand(Squares squares, Strip strip, Mark mark)
    {
        var given = Squares.Spread(strip.Given!, 0).ToList();
        var written = Squares.Spread(Signs.Plain(mark.Text).Trim(), strip.ColumnOf(mark.At.Place ?? 0)).ToList();
        var at = Enumerable.Range(0, written.Count)
            .FirstOrDefault(i => i + given.Count <= written.Count && given.Select((g, j) => Digit(written[i + j].Sign) == Digit(g.Sign)).All(same => same), -1);
        if (at < 0)
        {
            foreach (var (column, sign) in written) squares.Put(strip.Id, column, sign);
            return;
        }

        squares.Move(strip.Id, written[at + given.Count - 1].Column - strip.GivenAt);
        for (var i = 0; i < written.Count; i++)
        {
            if (i < at || i >= at + given.Count) squares.Put(strip.Id, written[i].Column, written[i].Sign);
            else if (written[i].Sign != given[i - at].Sign && written[i].Sign.EndsWith('.')) squares.Put(strip.Id, written[i].Column, ".");
        }

        static string Digit(string sign) => sign.Length > 1 ? sign.TrimEnd('.') : sign;
    }

    private static void PutNote(Squares squares, Strip strip, string text) =>
        squares.PutText(strip.Id, text, strip.Left - Squares.Spread(text, 0).Select(s => s.Column).DefaultIfEmpty(0).Max());

    private int LastByPoint(string text)
    {
        var digits = text.TakeWhile(c => c is not ('r' or 'R' or ' ')).ToList();
        var whole = digits.IndexOf('.') is >= 0 and var point ? point : digits.Count;
        var wholeColumns = Squares.Spread(string.Concat(digits.Take(whole)), 0).Count();
        var all = Squares.Spread(text, 0).Select(s => s.Column).DefaultIfEmpty(0).Max() + 1;
        return Answer.Ones - (all - wholeColumns) + (whole == 0 ? 1 : 0);
    }
}
