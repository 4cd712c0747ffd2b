using YellowPencil.Core.Engine;
using YellowPencil.Core.Families.Addition;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Models;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Columns;
using YellowPencil.Core.Parts.Differences;

namespace YellowPencil.Core.Families.Subtraction;

/// <summary>Column subtraction of whole numbers with renaming.</summary>
public sealed class SubtractionFamily() : TaughtFamily("subtraction", "column subtraction")
{
    /// <summary>The family.</summary>
    public static readonly SubtractionFamily Instance = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Bug> Bugs => SubtractionBugs.All;

    /// <inheritdoc/>
    internal override TaskGrammar Grammar { get; } = new DifferenceGrammar();

    /// <inheritdoc/>
    internal override FamilyLayout Layout { get; } = new SubtractionLayout();

    /// <inheritdoc/>
    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) => PlaceValueMat.OfDifference(task.Numbers[0], task.Numbers[1], marks);

    /// <inheritdoc/>
    public override string Check => "Add the answer to the number that was taken away: the top number must come out.";

    /// <inheritdoc/>
    public override DigitOrder DigitsCome => DigitOrder.SmallestFirst;

    /// <inheritdoc/>
    protected override IReadOnlyList<Decision> OwnDecisions => SubtractionDecisions.All;

    /// <inheritdoc/>
    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Cells, WorkFields.Rewritten, WorkFields.RewrittenBelow, WorkFields.Operands, WorkFields.Order];

    /// <inheritdoc/>
    public override IReadOnlyList<string> Instead { get; } = ["addition"];

    /// <inheritdoc/>
    public override Func<ItemTask> Items(int seed) => new DifferenceItems(seed).Next;

    /// <inheritdoc/>
    public override void Walk(ItemTask task, MethodRun run)
    {
        var difference = (ColumnDifference)task;
        var context = new ItemContext(difference.Top.Length, difference.Bottom.Length, NeedsRenaming(difference));
        if (run.Ask(SubtractionDecisions.Operation, context) == DifferenceWay.Add)
        {
            AdditionFamily.InColumns(run, [difference.Top, difference.Bottom]);
            return;
        }

        InColumns(run, difference.Top, difference.Bottom, context);
    }

    /// <summary>The columns of a difference, for other methods that come to one.</summary>
    internal static void InColumns(MethodRun run, WholeNumber top, WholeNumber bottom) => InColumns(run, top, bottom, new ItemContext(top.Length, bottom.Length, NeedsRenaming: false));

    private static void InColumns(MethodRun run, WholeNumber first, WholeNumber second, ItemContext context)
    {
        // A smaller first number is taken from the larger one and the answer gets a minus sign.
        var swapped = first.Value < second.Value;
        var (upper, lower) = swapped ? (second, first) : (first, second);
        var width = Math.Max(upper.Length, lower.Length);
        var cells = run.Take(width);
        var top = run.Take(width);
        var bottom = run.Take(width);
        var shift = 0;
        if (upper.Length != lower.Length && run.Ask(SubtractionDecisions.Alignment, context) == DifferenceAlignment.LeftEnds)
            shift = upper.Length - lower.Length;
        run.Page.Write(WorkFields.Operands, 0, upper.Text);
        run.Page.Line = 1;
        run.Page.Write(WorkFields.Operands, shift, lower.Text);
        run.Page.Line = 0;
        for (var place = 0; place < width; place++)
        {
            top[place] = Math.Max(0, upper.Digit(place - Math.Max(0, -shift)));
            bottom[place] = lower.Digit(place - Math.Max(0, shift));
        }

        var direction = run.Ask(SubtractionDecisions.Direction, context);
        new ColumnDifferenceWork(run, top, bottom, cells).Work(direction);
        if (swapped && cells.ContainsAnyInRange(1, int.MaxValue)) run.Page.Append("-");
        run.Page.AppendCells(cells);
    }

    private static bool NeedsRenaming(ColumnDifference task)
    {
        for (var place = 0; place < task.Bottom.Length; place++)
            if (task.Bottom.Digit(place) > task.Top.Digit(place)) return true;
        return false;
    }
}
