using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Addition;

/// <summary>Column addition of whole numbers.</summary>
public sealed class AdditionMethod : Method
{
    /// <inheritdoc/>
    public override Family Family => Family.Addition;

    /// <inheritdoc/>
    public override IReadOnlyList<DecisionPoint> Points => AdditionPoints.All;

    /// <inheritdoc/>
    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Cells, WorkFields.Carries, WorkFields.Operands, WorkFields.Order];

    /// <inheritdoc/>
    public override Func<ItemTask> Items(int seed) => new SumItems(seed).Next;

    /// <inheritdoc/>
    public override void Walk(ItemTask task, MethodRun run)
    {
        var addends = ((ColumnSum)task).Addends;
        var width = 0;
        var shortest = int.MaxValue;
        for (var row = 0; row < addends.Count; row++)
        {
            width = Math.Max(width, addends[row].Length);
            shortest = Math.Min(shortest, addends[row].Length);
        }

        var context = new SumContext(addends.Count, shortest < width, NeedsCarry(addends, width));
        switch (run.Ask(AdditionPoints.Way, context))
        {
            case SumWay.TakeAway:
                run.Page.Append(System.Numerics.BigInteger.Abs(addends.Skip(1).Aggregate(addends[0].Value, (left, a) => left - a.Value)).ToString());
                return;
            case SumWay.AddAllDigits:
                run.Page.Append(addends.Sum(a => Enumerable.Range(0, a.Length).Sum(a.Digit)).ToString());
                return;
            default:
                break;
        }

        var toLeft = context.IsRagged && run.Ask(AdditionPoints.Alignment, context) == SumAlignment.LeftEnds;
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
        new ColumnSumWork(run, digits, addends.Count, cells).Work(run.Ask(AdditionPoints.Direction, context));
        run.Page.AppendCells(cells);
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
