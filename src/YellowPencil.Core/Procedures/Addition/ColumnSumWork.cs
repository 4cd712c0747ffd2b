using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Addition;

/// <summary>
/// The columns of a sum being worked. A part for every method that adds in columns: it is given the digits of all addends, row
/// by row and by place (smallest first; -1 is blank), and fills the cells of the answer (-1 is blank), which are two more than the columns.
/// </summary>
internal ref struct ColumnSumWork
{
    private readonly MethodRun run;
    private readonly ReadOnlySpan<int> digits;
    private readonly int addends;
    private readonly int width;
    private readonly int smallestPlace;
    private readonly Span<int> cells;
    private readonly Span<int> carries;
    private int olderCarry;
    private int carriesMade;
    private int worked;

    public ColumnSumWork(MethodRun run, ReadOnlySpan<int> digits, int addends, Span<int> cells, int smallestPlace = 0)
    {
        this.run = run;
        this.digits = digits;
        this.addends = addends;
        this.cells = cells;
        carries = run.Take(cells.Length, filledWith: 0);
        this.smallestPlace = smallestPlace;
        width = digits.Length / addends;
        cells.Fill(-1);
    }

    /// <summary>Works all columns, and writes a carry that is left beyond the last one.</summary>
    public void Work(SumDirection direction)
    {
        run.Page.Write(WorkFields.Order, null, direction == SumDirection.FromOnes ? OrderField.RightToLeft : OrderField.LeftToRight);
        for (var i = 0; i < width; i++)
        {
            var column = direction == SumDirection.FromOnes ? i : width - 1 - i;
            if (i > 0 && run.Ask(AdditionPoints.Onward, Context(column)) == SumOnward.Stop) return;
            WorkColumn(column);
            worked++;
        }

        for (var column = width; column < cells.Length; column++)
            if (carries[column] > 0) WriteCell(column, carries[column]);
    }

    private void WorkColumn(int column)
    {
        var way = run.Ask(AdditionPoints.Column, Context(column));
        if (way == AddColumnWay.LeaveBlank) return;
        var total = way == AddColumnWay.WriteZero ? 0 : Total(column, way);
        if (way != AddColumnWay.WriteZero && (carries[column] > 0 || olderCarry > 0))
        {
            total += run.Ask(AdditionPoints.Carry, Context(column)) switch
            {
                CarryCounted.Not => 0,
                CarryCounted.Twice => 2 * carries[column],
                CarryCounted.OlderOne => olderCarry,
                CarryCounted.AsTen => 10 * carries[column],
                _ => carries[column],
            };
        }

        var context = Context(column) with { Total = total };
        if (total < 10)
        {
            WriteCell(column, total);
            if (context.ColumnsLeft > 0 && run.Ask(AdditionPoints.Below, context) == BelowTen.CarryOne) Carry(context, 1);
        }
        else if (context.IsLast)
        {
            WriteLast(context);
        }
        else
        {
            WriteTen(context);
        }
    }

    private readonly int Total(int column, AddColumnWay way)
    {
        var total = -1;
        var taken = 0;
        var last = -1;
        for (var row = 0; row < addends; row++)
        {
            var digit = digits[row * width + column];
            if (digit < 0 || (way == AddColumnWay.FirstTwoOnly && taken == 2) || (way == AddColumnWay.SkipRepeated && digit == last)) continue;
            taken++;
            last = digit;
            total = total < 0 ? digit : way switch
            {
                AddColumnWay.LargestOnly => Math.Max(total, digit),
                AddColumnWay.Difference => Math.Abs(total - digit),
                AddColumnWay.Multiply => run.Recall(new NumberFact(FactKind.Times, total, digit), smallestPlace + column),
                _ => run.Recall(new NumberFact(FactKind.Plus, total, digit), smallestPlace + column),
            };
        }

        total = Math.Max(0, total);
        if (taken < 2 || way is AddColumnWay.LargestOnly or AddColumnWay.Difference or AddColumnWay.Multiply) return total;
        return run.Ask(AdditionPoints.Count, Context(column) with { Total = total }) switch
        {
            SumCount.OneTooFew when total > 0 => total - 1,
            SumCount.OneTooMany => total + 1,
            _ => total,
        };
    }

    private void WriteTen(AddColumnContext context)
    {
        var (column, total) = (context.Column - smallestPlace, context.Total);
        switch (run.Ask(AdditionPoints.Ten, context))
        {
            case TenOrMore.WriteBoth:
                WriteCell(column, total);
                break;
            case TenOrMore.WriteOnesCarryNothing:
                WriteCell(column, total % 10);
                break;
            case TenOrMore.WriteTensCarryOnes:
                WriteCell(column, total / 10);
                Carry(context, total % 10);
                break;
            case TenOrMore.WriteOnesCarryOne:
                WriteCell(column, total % 10);
                Carry(context, 1);
                break;
            case TenOrMore.WriteNine:
                WriteCell(column, 9);
                break;
            case TenOrMore.WriteTensCarryNothing:
                WriteCell(column, total / 10);
                break;
            case TenOrMore.WriteBothAndCarry:
                WriteCell(column, total);
                Carry(context, total / 10);
                break;
            default:
                WriteCell(column, total % 10);
                Carry(context, total / 10);
                break;
        }
    }

    private void Carry(AddColumnContext context, int carry)
    {
        if (carry == 0) return;
        var column = context.Column - smallestPlace;
        var target = run.Ask(AdditionPoints.Into, context) switch
        {
            CarryInto.ColumnAfterNext => column + 2,
            CarryInto.RightNeighbour => column - 1,
            CarryInto.SameColumn => column,
            _ => column + 1,
        };
        if (target == column)
        {
            WriteCell(column, cells[column] + carry);
        }
        else if (target >= 0)
        {
            carries[target] += carry;
            run.Page.Write(WorkFields.Carries, smallestPlace + target, carry);
            olderCarry = carry;
        }
        else
        {
            // Without a column to go to, the carried digit stands before the one just written.
            WriteCell(column, carry * 10 + cells[column]);
        }

        carriesMade++;
    }

    private readonly void WriteLast(AddColumnContext context)
    {
        var total = context.Total;
        WriteCell(context.Column - smallestPlace, run.Ask(AdditionPoints.Last, context) switch
        {
            LastSum.WriteOnesOnly => total % 10,
            LastSum.WriteTensOnly => total / 10,
            LastSum.TurnedRound => total % 10 * 10 + total / 10,
            _ => total,
        });
    }

    private readonly void WriteCell(int column, int value)
    {
        cells[column] = value;
        run.Page.Write(WorkFields.Cells, smallestPlace + column, value);
    }

    private readonly AddColumnContext Context(int column)
    {
        var (count, smallest, largest) = Digits(column);
        return new AddColumnContext
        {
            Column = smallestPlace + column,
            IsFirst = column == 0,
            Digits = count,
            Addends = addends,
            Smallest = smallest,
            Largest = largest,
            CarryIn = carries[column],
            OlderCarry = olderCarry,
            Total = 0,
            Carries = carriesMade,
            Worked = worked,
            ColumnsLeft = width - 1 - column,
            NextDigits = column + 1 < width ? Digits(column + 1).Count : 0,
        };
    }

    private readonly (int Count, int Smallest, int Largest) Digits(int column)
    {
        var (count, smallest, largest) = (0, 9, 0);
        for (var row = 0; row < addends; row++)
        {
            var digit = digits[row * width + column];
            if (digit < 0) continue;
            count++;
            smallest = Math.Min(smallest, digit);
            largest = Math.Max(largest, digit);
        }

        return (count, count == 0 ? 0 : smallest, largest);
    }
}
