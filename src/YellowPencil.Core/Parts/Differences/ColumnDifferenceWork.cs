using System.Numerics;
using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Core.Parts.Differences;

/// <summary>
/// The columns of a difference being worked. A part for every method that subtracts in columns: it is given the digits of
/// both numbers by place (smallest first; a bottom digit of -1 is blank), and fills the cells of the answer (-1 is blank).
/// </summary>
internal ref partial struct ColumnDifferenceWork
{
    private readonly MethodRun run;
    private readonly Span<int> top;
    private readonly Span<int> topAsSet;
    private readonly Span<int> bottom;
    private readonly Span<int> cells;
    private readonly int highestBottom;
    private readonly int smallestPlace;
    private int worked;
    private int renames;

    public ColumnDifferenceWork(MethodRun run, Span<int> top, Span<int> bottom, Span<int> cells, int smallestPlace = 0)
    {
        this.run = run;
        this.top = top;
        this.bottom = bottom;
        this.cells = cells;
        topAsSet = run.Take(top.Length);
        this.smallestPlace = smallestPlace;
        top.CopyTo(topAsSet);
        cells.Fill(-1);
        for (var place = 0; place < bottom.Length; place++)
            if (bottom[place] >= 0) highestBottom = place;
    }

    /// <summary>Works all columns.</summary>
    public void Work(DifferenceDirection direction)
    {
        run.Page.Write(WorkFields.Order, null, direction == DifferenceDirection.FromOnes ? OrderField.RightToLeft : OrderField.LeftToRight);
        for (var i = 0; i < top.Length; i++)
        {
            var column = direction == DifferenceDirection.FromOnes ? i : top.Length - 1 - i;
            if (i > 0 && run.Ask(SubtractionDecisions.Onward, Context(column)) == DifferenceOnward.Stop) return;
            WorkColumn(column);
            worked++;
        }
    }

    private void WorkColumn(int column)
    {
        if (top[column] != topAsSet[column] || top[column] == 0)
            top[column] = run.Do(SubtractionDecisions.TopRead, Context(column));

        var context = Context(column);
        if (context.BelowIsBlank)
        {
            WorkOpenColumn(context);
            return;
        }

        switch (run.Ask(SubtractionDecisions.Column, context))
        {
            case ColumnChoice.Rename:
                Rename(context);
                break;
            case ColumnChoice.TakeAway or ColumnChoice.TurnRound:
                WriteDifference(column, wasRaised: false);
                if (!context.TopIsShort && context.ColumnsLeft > 0 && run.Ask(SubtractionDecisions.Neighbour, context) == NextColumn.OneLess)
                    Rewrite(column + 1, Math.Max(0, top[column + 1] - 1));
                break;
            case ColumnChoice.WriteZero:
                WriteCell(column, 0);
                break;
            case ColumnChoice.WriteTop:
                WriteCell(column, top[column]);
                break;
            case ColumnChoice.WriteBottom:
                WriteCell(column, bottom[column]);
                break;
            case ColumnChoice.WriteLarger:
                WriteCell(column, Math.Max(top[column], bottom[column]));
                break;
            case ColumnChoice.WriteSmaller:
                WriteCell(column, Math.Min(top[column], bottom[column]));
                break;
            case ColumnChoice.WriteOne:
                WriteCell(column, 1);
                break;
            case ColumnChoice.WriteNine:
                WriteCell(column, 9);
                break;
            case ColumnChoice.WriteMissingToTen:
                WriteCell(column, (10 - bottom[column]) % 10);
                break;
            case ColumnChoice.Add:
                WriteCell(column, run.Recall(new NumberFact(FactKind.Plus, top[column], bottom[column]), smallestPlace + column));
                break;
            default:
                break;
        }
    }

    private readonly void WorkOpenColumn(ColumnContext context)
    {
        var column = context.Column - smallestPlace;
        var made = run.Ask(SubtractionDecisions.OpenColumn, context);
        var written = made switch
        {
            OpenColumnChoice.CopyTop => run.Value(SubtractionDecisions.Written, context, top[column]),
            OpenColumnChoice.TakeBottomDigitAgain => Math.Abs(run.Recall(Difference(top[column], context.LastBelow), smallestPlace + column)),
            _ => SubtractionDecisions.OpenColumn.Result(made, context, run.School),
        };
        if (written >= 0) WriteCell(column, written);
    }

    private void Rename(ColumnContext context)
    {
        var column = context.Column - smallestPlace;
        var before = run.Recording ? AmountLeftOf(column) : 0;
        if (!context.SomebodyCanLend)
        {
            switch (run.Ask(SubtractionDecisions.Stuck, context))
            {
                case NobodyLends.WriteZero:
                    WriteCell(column, 0);
                    return;
                case NobodyLends.LeaveBlank:
                    return;
                case NobodyLends.TenFromNowhere:
                    break;
                default:
                    WriteDifference(column, wasRaised: false);
                    return;
            }
        }
        else
        {
            Lend(context);
        }

        // Only a replay says where the ten comes from.
        if (run.Recording) context = context with { IsTenUnpaid = before - AmountLeftOf(column) != 1 };
        var raised = run.Value(SubtractionDecisions.ReceiverBecomes, context, run.Do(SubtractionDecisions.Receiver, context), most: 99);
        if (raised != top[column]) Rewrite(column, raised);
        renames++;
        WriteDifference(column, wasRaised: raised >= 10);
    }

    private readonly BigInteger AmountLeftOf(int column)
    {
        BigInteger amount = 0;
        for (var place = top.Length - 1; place > column; place--) amount = 10 * amount + top[place];
        return amount;
    }

    /// <summary>Finds the difference of what stands in the column, the larger less the smaller, and writes it.</summary>
    private readonly void WriteDifference(int column, bool wasRaised)
    {
        var larger = Math.Max(top[column], bottom[column]);
        var smaller = Math.Min(top[column], bottom[column]);
        var value = run.Recall(Difference(larger, smaller), smallestPlace + column);
        var context = new DifferenceContext(smallestPlace + column, larger, smaller, wasRaised);
        value = Math.Max(0, value + run.Do(SubtractionDecisions.Count, context));
        if (run.IsOpen(SubtractionDecisions.Written)) value = run.Value(SubtractionDecisions.Written, Context(column), value);
        else run.PassOver();
        if (value > 9)
        {
            value = run.Ask(SubtractionDecisions.TwoDigits, context) switch
            {
                TwoDigitsWritten.OnesOnly => value % 10,
                TwoDigitsWritten.Nine => 9,
                _ => value,
            };
        }

        WriteCell(column, value);
    }

    private static NumberFact Difference(int larger, int smaller) =>
        new(FactKind.Minus, Math.Max(larger, smaller), Math.Min(larger, smaller));

    private readonly void WriteCell(int column, int value)
    {
        cells[column] = value;
        run.Page.Write(WorkFields.Cells, smallestPlace + column, value);
    }

    private readonly void Rewrite(int column, int value, int? by = null)
    {
        top[column] = value;
        if (by is { } first) run.Page.Write(WorkFields.Rewritten, smallestPlace + column, first);
        run.Page.Write(WorkFields.Rewritten, smallestPlace + column, value);
    }

    private readonly void RewriteBelow(int column, int value)
    {
        bottom[column] = value;
        run.Page.Write(WorkFields.RewrittenBelow, smallestPlace + column, value);
    }

    private readonly ColumnContext Context(int column)
    {
        var zeros = 0;
        while (column + 1 + zeros < top.Length && top[column + 1 + zeros] == 0) zeros++;
        var hasNext = column + 1 < top.Length;
        var more = 0;
        for (var beyond = column + 2 + zeros; beyond < top.Length; beyond++)
            if (top[beyond] > 0) more++;
        return new ColumnContext
        {
            Column = smallestPlace + column,
            IsFirst = column == 0,
            Top = top[column],
            TopAsSet = topAsSet[column],
            Bottom = bottom[column],
            Worked = worked,
            Renames = renames,
            ColumnsLeft = top.Length - 1 - column,
            NextTop = hasNext ? top[column + 1] : -1,
            NextBottom = hasNext ? bottom[column + 1] : -1,
            ZerosNext = zeros,
            MoreThatCanLend = more,
            LastBelow = bottom[highestBottom],
            SomebodyCanLend = column + 1 + zeros < top.Length,
        };
    }
}
