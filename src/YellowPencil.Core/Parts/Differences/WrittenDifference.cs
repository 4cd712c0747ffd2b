using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Core.Parts.Differences;

/// <summary>A difference of whole numbers set out and worked in columns.</summary>
internal static class WrittenDifference
{
    /// <summary>The columns of a difference, for other methods that come to one.</summary>
    public static void InColumns(MethodRun run, WholeNumber top, WholeNumber bottom) =>
        InColumns(run, top, bottom, new ItemContext(top.Length, bottom.Length, NeedsRenaming: false));

    /// <summary>The columns of a difference as it was seen.</summary>
    public static void InColumns(MethodRun run, WholeNumber first, WholeNumber second, ItemContext context)
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
}
