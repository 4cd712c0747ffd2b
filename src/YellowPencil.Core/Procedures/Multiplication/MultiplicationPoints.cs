using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Multiplication;

/// <summary>The decisions of multiplication in rows.</summary>
public static class MultiplicationPoints
{
    private static readonly Kind<ProductContext>[] Kinds =
    [
        new("always", "in every product", _ => true),
        new("first", "at the first digit of a row", c => c.IsFirst),
        new("not-first", "after the first digit of a row", c => !c.IsFirst),
        new("last", "at the last digit of a row", c => c.IsLast),
        new("later-row", "in later rows", c => c.Row > 0),
        new("first-row", "in the first row", c => c.Row == 0 && c.Rows > 1),
        new("one-row", "when the multiplier has one digit", c => c.Rows == 1),
        new("top-zero", "where the top digit is 0", c => c.TopIsZero),
        new("multiplier-zero", "where the multiplier has 0", c => c.MultiplierIsZero),
        new("top-one", "where the top digit is 1", c => c.Top == 1),
        new("multiplier-one", "where the multiplier has 1", c => c.Multiplier == 1),
        new("equal", "where both digits are the same", c => c.Top == c.Multiplier && c.Top > 0),
        new("carry-due", "where something was carried", c => c.CarryIn > 0),
        new("carry-two", "where 2 or more was carried", c => c.CarryIn > 1),
        new("zero-carry-due", "where something was carried to a 0", c => c.TopIsZero && c.CarryIn > 0),
        new("carried-before", "when a carry was made before in the row", c => c.Carries > 0),
        new("tens", "when it comes to exactly ten, twenty and so on", c => c.Total > 0 && c.Total % 10 == 0),
        new("twenty", "when it comes to twenty or more", c => c.Total >= 20),
        new("large", "with digits from 6 on", c => c.Top >= 6 && c.Multiplier >= 6),
        new("nine", "with a 9", c => c.Top == 9 || c.Multiplier == 9),
    ];

    private static readonly Kind<RowContext>[] RowKinds =
    [
        new("always", "in every row", _ => true),
        new("later", "in later rows", c => !c.IsFirst),
        new("second", "in the second row", c => c.Row == 1),
        new("third", "from the third row on", c => c.Row > 1),
        new("zero", "where the multiplier has 0", c => c.IsZero),
        new("inner-zero", "where the multiplier has 0 in between", c => c.IsZero && !c.IsFirst),
        new("last", "in the last row", c => c.Row == c.Rows - 1 && c.Rows > 1),
    ];

    /// <summary>Multiply, or something else?</summary>
    public static readonly DecisionPoint<FactorsContext, ProductWay> Way = new("multiplication.way", "What is to be done with the two numbers?")
    {
        Does = Phrases.InOrder<ProductWay>("multiplies", "adds the two numbers"),
        Taught = (_, _) => ProductWay.Multiply,
        Kinds = [new("always", "always", _ => true)],
    };

    /// <summary>How is the row of a digit worked?</summary>
    public static readonly DecisionPoint<RowContext, RowWay> Row = new("multiplication.row", "What is multiplied with this digit of the multiplier?")
    {
        Does = Phrases.InOrder<RowWay>("multiplies every top digit", "leaves the row out", "copies the top number as the row", "multiplies only digits of the same place",
            "multiplies with the digit before once more", "multiplies with the next digit of the multiplier", "stops before this row", "writes a single 0 as the row",
            "takes the digits of the multiplier from the left"),
        Taught = (_, _) => RowWay.Work,
        Say = (c, choice) => choice == RowWay.Work ? $"Row {c.Row + 1}: times {c.Digit} {Place.Name(c.Row)}." : $"Row {c.Row + 1}: {Row!.Does(choice)}.",
        Kinds = RowKinds,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>How many placeholder zeros?</summary>
    public static readonly DecisionPoint<RowContext, Placeholders> Placeholder = new("multiplication.placeholder", "How many placeholder zeros does the row begin with?")
    {
        Does = Phrases.InOrder<Placeholders>("begins with one placeholder for each place", "begins without a placeholder", "begins with one placeholder", "begins with one placeholder too many",
            "begins with one placeholder for each row above", "begins with two placeholders for each place", "begins with one placeholder too few"),
        Taught = (_, _) => Placeholders.Due,
        Say = (c, choice) => choice == Placeholders.Due
            ? c.Row == 0 ? "The row of the ones has no placeholder." : $"Row {c.Row + 1} counts {Place.Name(c.Row)}: it begins with {c.Row} placeholder zero{(c.Row == 1 ? "" : "s")}."
            : $"Row {c.Row + 1}: {Placeholder!.Does(choice)}.",
        Kinds = RowKinds,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>Where does a row begin?</summary>
    public static readonly DecisionPoint<RowContext, RowDirection> Direction = new("multiplication.direction", "Which top digit comes first?")
    {
        Does = Phrases.InOrder<RowDirection>("starts with the ones", "starts at the left and carries to the right"),
        Taught = (_, _) => RowDirection.FromOnes,
        Kinds = [new("always", "always", _ => true)],
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>Is there another digit to multiply?</summary>
    public static readonly DecisionPoint<ProductContext, RowOnward> Onward = new("multiplication.onward", "Is there another top digit?")
    {
        Does = Phrases.InOrder<RowOnward>("goes on to the next top digit", "stops there"),
        Taught = (_, _) => RowOnward.NextDigit,
        Kinds = Kinds,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>What do the two digits give?</summary>
    public static readonly DecisionPoint<ProductContext, DigitProduct> Product = new("multiplication.product", "What do the two digits give?")
    {
        Does = Phrases.InOrder<DigitProduct>("multiplies", "takes the product with 0 to be the other digit", "adds the two digits", "copies the top digit", "leaves the digit out", "takes the product with 1 to be 1", "writes the digit of the multiplier",
            "leaves the product out, as if it were nothing"),
        Taught = (_, _) => DigitProduct.Multiply,
        Say = (c, choice) => choice == DigitProduct.Multiply ? $"{c.Multiplier} × {c.Top}." : $"{c.Multiplier} × {c.Top}: {Product!.Does(choice)}.",
        Kinds = Kinds,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>How is the product counted?</summary>
    public static readonly DecisionPoint<ProductContext, SkipCount> Count = new("multiplication.count", "How far is counted?")
    {
        Does = Phrases.InOrder<SkipCount>("counts right", "skip-counts one too few of the lower digit", "skip-counts one too many of the lower digit", "skip-counts one too few of the upper digit", "skip-counts one too many of the upper digit"),
        Taught = (_, _) => SkipCount.Exact,
        Say = (c, choice) => $"{c.Multiplier} × {c.Top}{(choice == SkipCount.Exact ? "" : ": " + Count!.Does(choice))}.",
        Kinds = Kinds,
        SlipWeight = 0,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>What becomes of the carry?</summary>
    public static readonly DecisionPoint<ProductContext, ProductCarry> Carry = new("multiplication.carry-added", "When is the carried digit added?")
    {
        Does = Phrases.InOrder<ProductCarry>("adds the carried digit after multiplying", "does not add the carried digit", "adds the carried digit before multiplying", "multiplies by the carried digit",
            "adds the carried digit twice", "takes the carried digit away", "adds the carry left over from an earlier row instead", "adds the carry left over from an earlier row too", "passes the carried digit on to the next digit", "writes the carried digit in place of the product"),
        Taught = (_, _) => ProductCarry.AddedAfter,
        Say = (c, choice) => choice == ProductCarry.AddedAfter
            ? c.CarryIn > 0 ? $"The carried {c.CarryIn} is added: {c.Total + c.CarryIn}." : "Nothing was carried here."
            : $"{Head(c)}: {Carry!.Does(choice)}.",
        Kinds = Kinds,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>What is written and carried at ten or more?</summary>
    public static readonly DecisionPoint<ProductContext, ProductTen> Ten = new("multiplication.ten-or-more", "What is written, and what is carried?")
    {
        Does = Phrases.InOrder<ProductTen>("writes the ones and carries the tens", "writes both digits", "writes the ones and carries nothing", "writes the tens and carries the ones", "writes the ones and carries 1", "writes the tens and carries nothing", "writes both digits and carries too"),
        Taught = (_, _) => ProductTen.WriteOnesCarryTens,
        Say = (c, choice) => choice == ProductTen.WriteOnesCarryTens ? $"{c.Total}: write {c.Total % 10}, carry {c.Total / 10}." : $"{c.Total}: {Ten!.Does(choice)}.",
        Kinds = Kinds,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>Where does the carry go?</summary>
    public static readonly DecisionPoint<ProductContext, ProductCarryInto> Into = new("multiplication.carry-into", "To which digit is it carried?")
    {
        Does = Phrases.InOrder<ProductCarryInto>("carries to the next digit", "carries to the digit after the next"),
        Taught = (_, _) => ProductCarryInto.NextDigit,
        Kinds = Kinds,
        ShowsIn = WorkFields.Rows.Carry,
    };

    /// <summary>How is the last product of a row written?</summary>
    public static readonly DecisionPoint<ProductContext, LastProduct> Last = new("multiplication.last-product", "How is the last product of a row written?")
    {
        Does = Phrases.InOrder<LastProduct>("writes it whole", "writes only the ones", "writes only the tens", "writes its digits the wrong way round"),
        Taught = (_, _) => LastProduct.WriteWhole,
        Say = (c, choice) => choice == LastProduct.WriteWhole ? $"The last one: write {c.Total}." : $"The last one, {c.Total}: {Last!.Does(choice)}.",
        Kinds = Kinds,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>What is done with the rows?</summary>
    public static readonly DecisionPoint<RowsContext, RowsTogether> Together = new("multiplication.rows", "What is done with the rows?")
    {
        Does = Phrases.InOrder<RowsTogether>("adds the rows", "takes the last row as the answer", "takes the first row as the answer", "takes the rows away from each other", "writes the rows side by side", "adds the rows lined up on the left"),
        Taught = (_, _) => RowsTogether.Add,
        Kinds = [new("always", "always", _ => true), new("three", "with three rows", c => c.Rows > 2)],
    };

    /// <summary>Those of single rows and their sum, without the first decision what to do.</summary>
    public static IReadOnlyList<DecisionPoint> InRows { get; } = [Row, Placeholder, Direction, Onward, Product, Count, Carry, Ten, Into, Last, Together];

    /// <summary>All of them, in the order in which they come up, and those of the columns in which the rows are added.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [Way, .. InRows, .. Addition.AdditionPoints.InColumns];

    private static string Head(ProductContext c) => $"{c.Multiplier} × {c.Top}";
}
