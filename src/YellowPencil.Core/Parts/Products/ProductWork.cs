using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Core.Parts.Products;

/// <summary>
/// A product of two whole numbers being worked: a row for each digit of the multiplier, then the sum of the rows. A part for every
/// method that multiplies: it is given the digits of both numbers, smallest place first, the longer number on top.
/// </summary>
internal ref struct ProductWork
{
    private readonly MethodRun run;
    private readonly ReadOnlySpan<int> top;
    private readonly ReadOnlySpan<int> multiplier;

    /// <summary>The carries above the top digits that stand there from an earlier row.</summary>
    private readonly Span<int> standing;

    private readonly Span<int> carries;
    private readonly Span<int> cells;
    private int carriesMade;
    private int allCarries;
    private int rowsWritten;
    private int rowsOfZeros;

    public ProductWork(MethodRun run, ReadOnlySpan<int> top, ReadOnlySpan<int> multiplier)
    {
        this.run = run;
        this.top = top;
        this.multiplier = multiplier;
        standing = run.Take(top.Length + 2, filledWith: 0);
        carries = run.Take(top.Length + 2, filledWith: 0);
        cells = run.Take(top.Length);
    }

    /// <summary>
    /// Multiplies two numbers by their digits, the one with more digits on top, of equally long ones the first. Gives the digits of the answer.
    /// </summary>
    public static Span<int> Multiply(MethodRun run, Span<int> first, Span<int> second)
    {
        var swapped = second.Length > first.Length;
        var top = swapped ? second : first;
        var multiplier = swapped ? first : second;
        var answer = run.Take(MostDigits(top.Length, multiplier.Length));
        return answer[..new ProductWork(run, top, multiplier).Work(answer)];
    }

    /// <summary>How many digits the answer of a product can have at the most, whatever is done wrongly.</summary>
    private static int MostDigits(int top, int multiplier) => 2 * multiplier * (3 * top + 2 * multiplier + 3);

    /// <summary>Works the whole product.</summary>
    /// <param name="answer">Takes the digits of the answer, smallest place first; with room for all that can be written.</param>
    /// <returns>How many digits were written.</returns>
    private int Work(Span<int> answer)
    {
        var width = 3 * top.Length + 2 * multiplier.Length + 3;
        var rows = run.Take(multiplier.Length * width);
        for (var row = 0; row < multiplier.Length; row++)
        {
            var context = Row(row);
            var way = run.Ask(MultiplicationDecisions.Row, context);
            if (way == RowChoice.Stop) break;
            if (way != RowChoice.LeaveOut) WriteRow(context, way, rows.Slice(rowsWritten * width, width));
        }

        run.Page.Line = 0;
        if (rowsWritten > 0) return new PartialProductsWork(run, rows[..(rowsWritten * width)], rowsWritten).PutTogether(answer);
        if (rowsOfZeros == 0 && multiplier.IndexOfAnyExcept(0) >= 0) return 0;
        answer[0] = 0;
        return 1;
    }

    /// <summary>Works one row only, by a single digit, and gives the digits of the answer.</summary>
    public Span<int> WorkRow()
    {
        var answer = run.Take(3 * top.Length);
        WorkRow(Row(0), RowChoice.Work);
        return answer[..Digits.Flatten(cells, answer)];
    }

    private void WriteRow(RowContext context, RowChoice way, Span<int> row)
    {
        run.Page.Line = rowsWritten;
        var zeros = multiplier.Length == 1 ? 0 : run.Do(MultiplicationDecisions.Placeholder, context);
        row[..zeros].Clear();
        cells.Fill(-1);
        switch (way)
        {
            case RowChoice.CopyTop:
                top.CopyTo(cells);
                break;
            case RowChoice.WriteZero:
                cells[0] = 0;
                break;
            case RowChoice.AddsDigit:
                AddToTop(context.Digit);
                break;
            default:
                WorkRow(context, way);
                break;
        }

        var length = zeros + Digits.Flatten(cells, row[zeros..]);

        // A row of zeros is as good as none: it adds nothing, and mostly is not written.
        if (Digits.AreZero(row[..length]) && multiplier.Length > 1)
        {
            row.Fill(-1);
            rowsOfZeros++;
            return;
        }

        if (multiplier.Length > 1 && run.Page.KeepsMarks) run.Page.Write(WorkFields.Rows, 0, Digits.Text(row[..length]));
        else if (multiplier.Length == 1) WriteCells();
        rowsWritten++;
    }

    private readonly void AddToTop(int digit)
    {
        for (var column = 0; column < top.Length; column++)
        {
            var total = top[column] + digit;
            (cells[column], digit) = column == top.Length - 1 ? (total, 0) : (total % 10, total / 10);
        }
    }

    private readonly void WriteCells()
    {
        for (var column = 0; column < cells.Length; column++)
            if (cells[column] >= 0) run.Page.Write(WorkFields.Cells, column, cells[column]);
    }

    private void WorkRow(RowContext context, RowChoice way)
    {
        carries.Clear();
        carriesMade = 0;
        allCarries = 0;
        var fromLeft = top.Length > 1 && run.Ask(MultiplicationDecisions.Direction, context) == RowDirection.FromLeft;
        var passedOver = way == RowChoice.StartsAfterPlaceholders ? Math.Min(context.Row, top.Length) : 0;
        for (var worked = passedOver; worked < top.Length; worked++)
        {
            var column = fromLeft ? top.Length - 1 - worked : worked;
            var product = Context(context.Row, column, worked, way);
            if (way == RowChoice.LeftmostDigitOnly && column < top.Length - 1) continue;
            if (way == RowChoice.OnesDigitOnly && column > 0)
            {
                if (carries[column] > 0) cells[column] = carries[column];
                break;
            }

            if (worked > passedOver && run.Ask(MultiplicationDecisions.Onward, product) == RowOnward.Stop) break;
            WorkColumn(product, fromLeft ? -1 : 1);
        }

        for (var column = 0; column < top.Length; column++)
            if (carries[column] > 0) standing[column] = carries[column];
    }

    private void WorkColumn(ProductContext context, int step)
    {
        var column = context.Column;
        var way = run.Ask(MultiplicationDecisions.Product, context);
        if (way == DigitProduct.LeaveOut)
        {
            if (column + step >= 0) carries[column + step] += carries[column];
            return;
        }

        var total = context.CarryIn > 0 || context.Standing > 0 || context.Carries > 0 ? WithCarry(context, way, step) : Product(context, way);
        total = run.Value(MultiplicationDecisions.ComesTo, context with { Total = total }, total);
        context = context with { Total = total };
        var (written, carry) = total < 10
            ? (total, 0)
            : context.IsLast
            ? (run.Do(MultiplicationDecisions.Last, context), 0)
            : run.Do(MultiplicationDecisions.Ten, context);
        cells[column] = run.Value(MultiplicationDecisions.Written, context, written);
        if (!context.IsLast) CarryOn(context, run.Value(MultiplicationDecisions.Carried, context, carry, most: 99), step);
    }

    private int WithCarry(ProductContext context, DigitProduct way, int step)
    {
        // What is decided about the carry is known before multiplying; the product is shown in the context all the same.
        var carry = context.CarryIn;
        switch (run.Ask(MultiplicationDecisions.Carry, context with { Total = context.Top * context.Multiplier }))
        {
            case ProductCarry.NotAdded:
                return Product(context, way);
            case ProductCarry.AddedBefore:
                return Product(context with { Top = context.Top + carry }, way);
            case ProductCarry.MultipliesProduct:
                return Product(context, way) * Math.Max(1, carry);
            case ProductCarry.AddedTwice:
                return Product(context, way) + 2 * carry;
            case ProductCarry.TakenAway:
                return Math.Abs(Product(context, way) - carry);
            case ProductCarry.StandingInstead:
                return Plus(Product(context, way), context.Standing > 0 ? context.Standing : carry, context.Column);
            case ProductCarry.StandingToo:
                return Plus(Product(context, way), carry + context.Standing, context.Column);
            case ProductCarry.AllSoFar:
                return Product(context, way) + allCarries;
            case ProductCarry.AddedToMultiplier:
                return Product(context with { Multiplier = context.Multiplier + carry }, way);
            case ProductCarry.AsOne:
                return Product(context, way) + Math.Min(1, carry);
            case ProductCarry.PassedOn:
                if (context.Column + step >= 0) carries[context.Column + step] += carry;
                return Product(context, way);
            case ProductCarry.InsteadOfProduct:
                return carry > 0 ? carry : Product(context, way);
            default:
                return Plus(Product(context, way), carry, context.Column);
        }
    }

    private readonly int Plus(int product, int carry, int column) =>
        carry == 0 ? product : run.Recall(new NumberFact(FactKind.Plus, product, carry), column);

    private readonly int Product(ProductContext context, DigitProduct way)
    {
        var (digit, by) = (context.Top, context.Multiplier);
        if (way == DigitProduct.Add) return run.Recall(new NumberFact(FactKind.Plus, by, digit), context.Column);
        if (way != DigitProduct.Multiply) return MultiplicationDecisions.Product.Result(way, context, run.School);
        var product = run.Recall(new NumberFact(FactKind.Times, by, digit), context.Column);
        if (digit < 2 || by < 2) return product;
        return run.Do(MultiplicationDecisions.Count, context with { Total = product });
    }

    private void CarryOn(ProductContext context, int carry, int step)
    {
        if (carry == 0) return;
        var into = context.Column + step;
        if (context.DigitsLeft > 1 && run.Ask(MultiplicationDecisions.Into, context) == ProductCarryInto.DigitAfterNext) into += step;
        carries[into] += carry;
        allCarries += carry;
        carriesMade++;
        run.Page.Write(multiplier.Length == 1 ? (MarkKind)WorkFields.Carries : WorkFields.Rows.Carry, into, carry);
    }

    private readonly RowContext Row(int row) =>
        new(row, multiplier.Length, multiplier[row], rowsWritten)
        { Top = RowContext.Pack(top), TopLength = top.Length, Multiplier = RowContext.Pack(multiplier) };

    private readonly ProductContext Context(int row, int column, int worked, RowChoice way) => new()
    {
        Row = row,
        Rows = multiplier.Length,
        Column = column,
        Top = top[column],
        Multiplier = way switch
        {
            // Where the multiplier has no digit, the top digit is kept.
            RowChoice.SamePlaces => column < multiplier.Length ? multiplier[column] : 1,
            RowChoice.SamePlacesThenLeftmost => multiplier[Math.Min(column, multiplier.Length - 1)],
            RowChoice.SamePlacesThenOnes => column < multiplier.Length ? multiplier[column] : multiplier[0],
            RowChoice.MultipliesByOne => Math.Min(1, multiplier[row]),
            RowChoice.DigitBefore => multiplier[Math.Max(0, row - 1)],
            RowChoice.DigitAfter => multiplier[Math.Min(multiplier.Length - 1, row + 1)],
            RowChoice.FromOtherEnd => multiplier[multiplier.Length - 1 - row],
            _ => multiplier[row],
        },
        CarryIn = carries[column],
        Standing = standing[column],
        Total = 0,
        Carries = carriesMade,
        AllCarries = allCarries,
        Worked = worked,
        DigitsLeft = top.Length - 1 - worked,
    };
}
