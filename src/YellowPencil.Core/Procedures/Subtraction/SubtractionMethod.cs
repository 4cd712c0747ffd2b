using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Procedures.Subtraction;

/// <summary>Column subtraction of whole numbers with renaming.</summary>
public sealed class SubtractionMethod : Method
{
    /// <inheritdoc/>
    public override Family Family => Family.Subtraction;

    /// <inheritdoc/>
    public override IReadOnlyList<DecisionPoint> Points => SubtractionPoints.All;

    /// <inheritdoc/>
    public override IReadOnlyList<MarkField> Fields { get; } = [MarkField.Cells, MarkField.Rewritten, MarkField.RewrittenBelow, MarkField.Operands, MarkField.Order];

    /// <inheritdoc/>
    public override Func<ItemTask> Items(int seed) => new DifferenceItems(seed).Next;

    /// <inheritdoc/>
    public override void Walk(ItemTask task, MethodRun run)
    {
        var difference = (ColumnDifference)task;
        var context = new ItemContext(difference.Top.Length, difference.Bottom.Length, NeedsRenaming(difference));
        if (run.Ask(SubtractionPoints.Operation, context) == Operation.Add)
        {
            run.Append((difference.Top.Value + difference.Bottom.Value).ToString());
            return;
        }

        // A smaller first number is taken from the larger one and the answer gets a minus sign.
        var swapped = difference.Top.Value < difference.Bottom.Value;
        var (upper, lower) = swapped ? (difference.Bottom, difference.Top) : (difference.Top, difference.Bottom);
        var width = Math.Max(upper.Length, lower.Length);
        var cells = run.Take(width);
        var top = run.Take(width);
        var bottom = run.Take(width);
        var shift = 0;
        if (upper.Length != lower.Length && run.Ask(SubtractionPoints.Alignment, context) == Alignment.LeftEnds)
            shift = upper.Length - lower.Length;
        run.Write(MarkField.Operands, 0, upper.Text);
        run.Row = 1;
        run.Write(MarkField.Operands, shift, lower.Text);
        run.Row = 0;
        for (var place = 0; place < width; place++)
        {
            top[place] = Math.Max(0, upper.Digit(place - Math.Max(0, -shift)));
            bottom[place] = lower.Digit(place - Math.Max(0, shift));
        }

        var direction = run.Ask(SubtractionPoints.Direction, context);
        new ColumnDifferenceWork(run, top, bottom, cells).Work(direction);
        if (swapped) run.Append("-");
        run.AppendCells(cells);
    }

    private static bool NeedsRenaming(ColumnDifference task)
    {
        for (var place = 0; place < task.Bottom.Length; place++)
            if (task.Bottom.Digit(place) > task.Top.Digit(place)) return true;
        return false;
    }
}
