using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Core.Parts.Sums;

/// <summary>A sum of whole numbers set out and worked in columns.</summary>
internal static class WrittenSum
{
    /// <summary>The columns of a sum, for other methods that come to one.</summary>
    public static void InColumns(MethodRun run, IReadOnlyList<WholeNumber> addends) => InColumns(run, addends, ContextOf(addends, out var width), width);

    /// <summary>The columns of a sum as it was seen.</summary>
    public static void InColumns(MethodRun run, IReadOnlyList<WholeNumber> addends, SumContext context, int width)
    {
        var toLeft = context.IsRagged && run.Ask(AdditionDecisions.Alignment, context) == SumAlignment.LeftEnds;
        var digits = run.Take(addends.Count * width);
        for (var row = 0; row < addends.Count; row++)
        {
            var shift = toLeft ? width - addends[row].Length : 0;
            run.Page.Line = row;
            run.Page.Write(WorkFields.Operands, shift - (toLeft ? width - addends[0].Length : 0), addends[row].Text);
            for (var place = 0; place < width; place++) digits[row * width + place] = addends[row].Digit(place - shift);
        }

        run.Page.Line = 0;

        // Two more cells than columns: a carry can go one column too far beyond the last one.
        var cells = run.Take(width + 2);
        new ColumnSumWork(run, digits, addends.Count, cells).Work(run.Ask(AdditionDecisions.Direction, context));
        run.Page.AppendCells(cells);
    }

    /// <summary>The whole sum as the student first sees it.</summary>
    public static SumContext ContextOf(IReadOnlyList<WholeNumber> addends, out int width)
    {
        width = 0;
        var shortest = int.MaxValue;
        for (var row = 0; row < addends.Count; row++)
        {
            width = Math.Max(width, addends[row].Length);
            shortest = Math.Min(shortest, addends[row].Length);
        }

        return new SumContext(addends.Count, shortest < width, NeedsCarry(addends, width));
    }

    private static bool NeedsCarry(IReadOnlyList<WholeNumber> addends, int width)
    {
        for (var place = 0; place < width; place++)
        {
            var sum = 0;
            for (var row = 0; row < addends.Count; row++) sum += Math.Max(0, addends[row].Digit(place));
            if (sum >= 10) return true;
        }

        return false;
    }
}
