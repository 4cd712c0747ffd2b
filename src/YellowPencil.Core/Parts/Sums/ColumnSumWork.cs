using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Core.Parts.Sums;

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
    private int allCarries;
    private int carriesMade;
    private int worked;
    private bool carriesThroughout;

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
        var isFromLeft = direction != SumDirection.FromOnes;
        carriesThroughout = direction == SumDirection.FromLeftThroughout;
        run.Page.Write(WorkFields.Order, null, isFromLeft ? OrderField.LeftToRight : OrderField.RightToLeft);
        for (var i = 0; i < width; i++)
        {
            var column = isFromLeft ? width - 1 - i : i;
            if (i > 0 && run.Ask(AdditionDecisions.Onward, Context(column)) == SumOnward.Stop) return;
            WorkColumn(column);
            worked++;
        }

        for (var column = width; column < cells.Length; column++)
            if (carries[column] > 0) WriteCell(column, carries[column]);
    }

    private void WorkColumn(int column)
    {
        var way = run.Ask(AdditionDecisions.Column, Context(column));
        if (way == AddColumnChoice.LeaveBlank) return;
        var total = way == AddColumnChoice.WriteZero ? 0 : Total(column, way);
        if (way is not (AddColumnChoice.WriteZero or AddColumnChoice.FirstOnly or AddColumnChoice.LastOnly) && (carries[column] > 0 || olderCarry > 0))
            total = Math.Max(0, total + run.Do(AdditionDecisions.Carry, Context(column)));

        var context = Context(column) with { Total = total };
        var (written, carry) = total < 10
            ? BelowTenOf(context)
            : IsWrittenWhole(context)
            ? (run.Do(AdditionDecisions.Last, context), 0)
            : run.Do(AdditionDecisions.Ten, context);
        written = run.Value(AdditionDecisions.Written, context, written);
        if (written >= 0) WriteCell(column, written);
        if (!IsWrittenWhole(context)) Carry(context, run.Value(AdditionDecisions.Carried, context, carry, most: 99));
    }

    // Whoever begins at the left has columns to go, and may carry the ten of the leftmost one like any other.
    private readonly bool IsWrittenWhole(in AddColumnContext context) => context.IsLast && !(carriesThroughout && width > 1);

    private readonly (int Written, int Carry) BelowTenOf(AddColumnContext context) =>
        (context.Total, context.ColumnsLeft > 0 && run.Ask(AdditionDecisions.Below, context) == BelowTen.CarryOne ? 1 : 0);

    private readonly int Total(int column, AddColumnChoice way)
    {
        var total = -1;
        var taken = 0;
        var last = -1;
        var vanished = way == AddColumnChoice.PairsOfTenVanish ? PairsOfTen(column) : 0;
        for (var row = 0; row < addends; row++)
        {
            var digit = digits[row * width + column];
            if (
                digit < 0
                    || (vanished >> row & 1) == 1
                        || (way == AddColumnChoice.FirstTwoOnly && taken == 2) || (way == AddColumnChoice.SkipRepeated && digit == last))
                continue;
            taken++;
            last = digit;
            total = total < 0 ? digit : way switch
            {
                AddColumnChoice.FirstOnly => total,
                AddColumnChoice.LastOnly => digit,
                AddColumnChoice.SmallestOnly => Math.Min(total, digit),
                AddColumnChoice.LargestOnly => Math.Max(total, digit),
                AddColumnChoice.Difference => Math.Abs(total - digit),
                AddColumnChoice.Multiply => run.Recall(new NumberFact(FactKind.Times, total, digit), smallestPlace + column),
                _ => Added(column, total, digit, taken - 1),
            };
        }

        total = way == AddColumnChoice.CountAsZero ? 0 : Math.Max(0, total);
        if (taken < 2 || way is not (AddColumnChoice.AddAll or AddColumnChoice.FirstTwoOnly or AddColumnChoice.SkipRepeated)) return total;
        return run.Do(AdditionDecisions.Count, Context(column) with { Total = total });
    }

    private readonly int Added(int column, int total, int digit, int added)
    {
        var sum = run.Recall(new NumberFact(FactKind.Plus, total, digit), smallestPlace + column);
        if (!run.IsOpen(AdditionDecisions.Digit))
        {
            run.PassOver();
            return sum;
        }

        var context = new AddedDigitContext(smallestPlace + column, total, digit, added, column == 0);
        return run.Ask(AdditionDecisions.Digit, context) is var made && made == DigitAdded.Exact
            ? sum
            : AdditionDecisions.Digit.Result(made, context, run.School);
    }

    /// <summary>The rows whose digits in a column make ten two by two, as bits.</summary>
    private readonly int PairsOfTen(int column)
    {
        var vanished = 0;
        for (var row = 0; row < addends; row++)
            for (var other = row + 1; other < addends; other++)
            {
                if (
                    ((vanished >> row | vanished >> other) & 1) == 1
                        || digits[row * width + column] <= 0 || digits[row * width + column] + digits[other * width + column] != 10)
                    continue;
                vanished |= 1 << row | 1 << other;
            }

        return vanished;
    }

    private void Carry(AddColumnContext context, int carry)
    {
        if (carry == 0) return;
        var column = context.Column - smallestPlace;
        var into = run.Ask(AdditionDecisions.Into, context);
        var target = into switch
        {
            CarryInto.ColumnAfterNext => column + 2,
            CarryInto.RightNeighbour => column - 1,
            CarryInto.SameColumn => column,
            CarryInto.LeftmostColumn => width - 1,
            CarryInto.NextTwoColumns => column + 2,
            _ => column + 1,
        };
        if (into == CarryInto.NextTwoColumns) PutCarry(column + 1, carry);
        if (target == column)
        {
            WriteCell(column, cells[column] + carry);
        }
        else if (target >= 0)
        {
            PutCarry(target, carry);
        }
        else
        {
            // Without a column to go to, the carried digit stands before the one just written.
            WriteCell(column, carry * 10 + cells[column]);
        }

        carriesMade++;
    }

    private void PutCarry(int column, int carry)
    {
        carries[column] += carry;
        run.Page.Write(WorkFields.Carries, smallestPlace + column, carry);
        olderCarry = carry;
        allCarries += carry;
    }

    private readonly void WriteCell(int column, int value)
    {
        cells[column] = value;
        run.Page.Write(WorkFields.Cells, smallestPlace + column, value);
    }

    private readonly AddColumnContext Context(int column)
    {
        var (count, smallest, largest, sum) = Digits(column);
        var packed = 0UL;
        for (var row = addends - 1; row >= 0; row--) packed = packed << 4 | (uint)digits[row * width + column] & 15;
        return new AddColumnContext
        {
            Column = smallestPlace + column,
            IsFirst = column == 0,
            Digits = count,
            Addends = addends,
            Smallest = smallest,
            Largest = largest,
            DigitSum = sum,
            Packed = packed,
            CarryIn = carries[column],
            OlderCarry = olderCarry,
            AllCarries = allCarries,
            Total = 0,
            Carries = carriesMade,
            Worked = worked,
            ColumnsLeft = width - 1 - column,
            NextDigits = column + 1 < width ? Digits(column + 1).Count : 0,
            NextSum = column + 1 < width ? Digits(column + 1).Sum : -1,
        };
    }

    private readonly (int Count, int Smallest, int Largest, int Sum) Digits(int column)
    {
        var (count, smallest, largest, sum) = (0, 9, 0, 0);
        for (var row = 0; row < addends; row++)
        {
            var digit = digits[row * width + column];
            if (digit < 0) continue;
            count++;
            sum += digit;
            smallest = Math.Min(smallest, digit);
            largest = Math.Max(largest, digit);
        }

        return (count, count == 0 ? 0 : smallest, largest, sum);
    }
}
