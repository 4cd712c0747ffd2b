using Microsoft.AspNetCore.Html;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Data;

namespace YellowPencil.Web.Drawing;

/// <summary>
/// An item as it stands on paper, in squares or in lines: the task in print, what the student wrote in the pencil hand, what the reading adds in the
/// reader's ink.
/// </summary>
public abstract class PagePicture
{
    private const int FewItems = 8;
    private double leastWidth;

    private protected PagePicture()
    {
    }

    /// <summary>What a screen reader says.</summary>
    public abstract string Label { get; }

    /// <summary>Whether there is a row below for a predicted answer.</summary>
    public bool HasRowBelow { get; private protected set; }

    /// <summary>Whether the squares of a page are drawn large: where it has few items, and none whose lines take the room.</summary>
    public static bool IsLarge(WorkedSheet sheet) => sheet.Items.Count <= FewItems && sheet.Items.All(i => !LineLayout.Has(i.Task.Family));

    /// <summary>The task alone, with room for an answer.</summary>
    public static PagePicture Blank(ItemTask task, School? school = null) => LineLayout.Has(task.Family) ? LinesPicture.Blank(task) : SquaresPicture.Blank(task, school);

    /// <summary>The task alone, with the rows that the taught method needs for its work.</summary>
    public static PagePicture WithRoom(ItemTask task, School? school = null) => LineLayout.Has(task.Family) ? LinesPicture.WithRoom(task) : SquaresPicture.WithRoom(task, school);

    /// <summary>The task worked as taught but for its last steps, which are left to the student, with the rows that they need.</summary>
    /// <param name="task">The task.</param>
    /// <param name="open">How many of the steps that are told are left open; all of them where there are fewer.</param>
    /// <param name="school">What the classroom teaches; null for the usual.</param>
    public static PagePicture WithStepsOpen(ItemTask task, int open, School? school = null) =>
        LineLayout.Has(task.Family) ? LinesPicture.WithStepsOpen(task, open, school) : SquaresPicture.WithStepsOpen(task, open, school);

    /// <summary>What a student wrote.</summary>
    public static PagePicture Of(WorkedItem item, School? school = null) => LineLayout.Has(item.Task.Family) ? LinesPicture.Of(item) : SquaresPicture.Of(item, school);

    /// <summary>The page as a run has left it after so many marks. A zero that stands in front of the finished answer is not written.</summary>
    /// <param name="task">The task.</param>
    /// <param name="run">The whole run.</param>
    /// <param name="count">How many of its marks are there; null for all, and the answer as it is written at the end.</param>
    /// <param name="school">What the classroom teaches; null for the usual.</param>
    public static PagePicture Of(ItemTask task, MethodRun run, int? count = null, School? school = null) =>
        LineLayout.Has(task.Family) ? LinesPicture.Of(task, run, count) : SquaresPicture.Of(task, run, count, school);

    /// <summary>The places in which a run comes to a zero in front of its answer.</summary>
    public static IReadOnlySet<int> ZerosInFront(MethodRun run) => run.Page.Marks.Where(m => m.Field == WorkFields.Cells && m.At.Place > 0).OrderByDescending(m => m.At.Place)
        .TakeWhile(m => m.Text == "0").Select(m => m.At.Place!.Value).ToHashSet();

    /// <summary>Adds what stands there and is not read: struck out, or worked on the side.</summary>
    public abstract PagePicture WithNotRead(IReadOnlyList<NotReadText> notRead);

    /// <summary>The point of the answer, where the classroom writes it before the digits.</summary>
    public virtual PagePicture WithPoint() => this;

    /// <summary>Adds what the reader's ink says of an item: the circle round the first wrong step, ticks behind lines that follow rightly from it, or that more is to come.</summary>
    public virtual PagePicture WithReading(ItemReading item) => WithCircle(item.FirstWrongStep);

    /// <summary>Adds the circle round the first step that went wrong.</summary>
    public abstract PagePicture WithCircle(WrongStep? step);

    /// <summary>Draws in the reader's ink what does not stand on a student's page: an explanation has it so, and the student need not have written it.</summary>
    public abstract PagePicture WithInferred(WorkedItem page);

    /// <summary>Whether some of it is drawn in the reader's ink because it does not stand on the page.</summary>
    public abstract bool HasInferred { get; }

    /// <summary>Adds an answer that an explanation predicts: a tick where it is what was written, else the answer below.</summary>
    public abstract PagePicture WithPrediction(string answer);

    /// <summary>Leaves room below for a predicted answer, so that pictures in a row stand on one line.</summary>
    public PagePicture WithRowBelow(bool needed)
    {
        HasRowBelow |= needed;
        return this;
    }

    /// <summary>Shows the rows that pictures of one item need together, so that nothing moves between them.</summary>
    public static void LineUp(IReadOnlyList<PagePicture> pictures)
    {
        pictures[0].MakeRoomFor(pictures);
        foreach (var picture in pictures) picture.MakeRoomFor([pictures[0]]);
    }

    /// <summary>Shows in pictures of one frame the rows that any of them needs: by its room no item tells what is to be done in it.</summary>
    public static void LineUpAlike(IEnumerable<PagePicture> pictures)
    {
        foreach (var alike in pictures.Where(p => p.Frame is not null).GroupBy(p => p.Frame)) LineUp([.. alike]);
    }

    /// <summary>Draws it on the screen.</summary>
    public abstract IHtmlContent Draw();

    /// <summary>Draws it, a square being <see cref="SquarePaper.Square"/> units.</summary>
    public Sketch Sketch()
    {
        var sketch = Lay();
        return sketch with { Width = Math.Max(sketch.Width, leastWidth) };
    }

    /// <summary>Leaves room on its right, so that pictures on a sheet stand in columns.</summary>
    /// <param name="width">The width that it takes at least.</param>
    public void Widen(double width) => leastWidth = width;

    private protected abstract Sketch Lay();

    /// <summary>What pictures share whose rows are the same; null where rows come as they are needed.</summary>
    private protected virtual object? Frame => null;

    /// <summary>Leaves the room that other pictures of the same item take.</summary>
    private protected abstract void MakeRoomFor(IReadOnlyList<PagePicture> others);
}
