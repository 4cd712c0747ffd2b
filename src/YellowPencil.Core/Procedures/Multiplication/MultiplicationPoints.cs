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
        new("inner-top-zero", "where the top number has a 0 inside", c => c.TopIsZero && !c.IsFirst && !c.IsLast),
        new("first-later-row", "at the first digit of later rows", c => c.IsFirst && c.Row > 0),
        new("last-later-row", "at the last digit of later rows", c => c.IsLast && c.Row > 0),
        new("same-place", "where both digits stand in the same place", c => c.Row == c.Column),
        new("with-one", "with a 1", c => c.Top == 1 || c.Multiplier == 1),
        new("with-zero", "with a 0", c => c.Top == 0 || c.Multiplier == 0),
        new("with-five", "with a 5", c => c.Top == 5 || c.Multiplier == 5),
        new("nine", "with a 9", c => c.Top == 9 || c.Multiplier == 9),
    ];

    private static readonly Property<ProductContext>[] Properties =
    [
        new("top", "the top digit", c => c.Top, 2, 5, 6, 7, 8, 9), new("multiplier", "the digit of the multiplier", c => c.Multiplier, 2, 5, 6, 7, 8, 9), new("total", "the product", c => c.Total, 10, 20, 30, 50),
        new("worked", "the count of digits worked before", c => c.Worked, 1, 2), new("carry", "the carried digit", c => c.CarryIn, 1, 2, 3, 5), new("row", "the count of rows above", c => c.Row, 1, 2),
    ];

    private static readonly Property<ProductContext>[] Numbers =
    [
        new("product", "the product", c => c.Total), new("top", "the top digit", c => c.Top), new("multiplier", "the digit of the multiplier", c => c.Multiplier), new("carry", "the carried digit", c => c.CarryIn), new("standing", "the old carry above", c => c.Standing),
    ];

    private static readonly Kind<ProductContext>[] FewKinds = [.. Kinds.Where(k => k.Id is "always" or "first" or "last" or "later-row" or "top-zero" or "multiplier-zero" or "equal" or "carry-due" or "tens"), new("ten-or-more", "when it comes to ten or more", c => c.Total >= 10)];

    /// <summary>What does a product come to with what was carried?</summary>
    public static readonly ValuePoint<ProductContext> ComesTo = new("multiplication.comes-to", "What does it come to with the carry?") { Numbers = Numbers, Does = n => $"comes to {n}", Kinds = FewKinds, ShowsIn = WorkFields.Rows };

    /// <summary>What is written?</summary>
    public static readonly ValuePoint<ProductContext> Written = new("multiplication.written", "What is written?") { Numbers = Numbers, Does = n => $"writes {n}", Kinds = FewKinds, ShowsIn = WorkFields.Rows };

    /// <summary>How much is carried?</summary>
    public static readonly ValuePoint<ProductContext> Carried = new("multiplication.carried", "How much is carried?") { Numbers = [.. Numbers, new("tens", "the tens", c => c.Total / 10)], Does = n => $"carries {n}", Kinds = FewKinds, ShowsIn = WorkFields.Rows.Carry };

    private static readonly Kind<RowContext>[] RowKinds =
    [
        new("always", "in every row", _ => true),
        new("later", "in later rows", c => !c.IsFirst),
        new("second", "in the second row", c => c.Row == 1),
        new("third", "from the third row on", c => c.Row > 1),
        new("zero", "where the multiplier has 0", c => c.IsZero),
        new("inner-zero", "where the multiplier has 0 in between", c => c.IsZero && !c.IsFirst),
        new("last", "in the last row", c => c.Row == c.Rows - 1 && c.Rows > 1),
        new("first", "in the first row", c => c.IsFirst && c.Rows > 1),
        new("first-zero", "where the multiplier ends in 0", c => c.IsZero && c.IsFirst && c.Rows > 1),
        new("one", "where the multiplier has 1", c => c.Digit == 1),
    ];

    /// <summary>Multiply, or something else?</summary>
    public static readonly DecisionPoint<FactorsContext, ProductWay> Way = new("multiplication.way", "What is to be done with the two numbers?")
    {
        Does = Phrases.InOrder<ProductWay>("multiplies", "adds the two numbers"),
        Taught = (_, _) => ProductWay.Multiply,
        Slips = _ => [(ProductWay.Add, 0.4)],
        Kinds = [new("always", "always", _ => true)],
    };

    /// <summary>How is the row of a digit worked?</summary>
    public static readonly DecisionPoint<RowContext, RowWay> Row = new("multiplication.row", "What is multiplied with this digit of the multiplier?")
    {
        Does = Phrases.InOrder<RowWay>("multiplies every top digit", "leaves the row out", "copies the top number as the row", "multiplies only digits of the same place",
            "multiplies with the digit before once more", "multiplies with the next digit of the multiplier", "stops before this row", "writes a single 0 as the row",
            "takes the digits of the multiplier from the left", "multiplies digits of the same place and the other top digits by the leftmost one", "passes over as many top digits as the row has placeholders", "copies the top number as the row where the digit is not 0",
            "multiplies digits of the same place and the other top digits by the ones", "multiplies the leftmost top digit only", "multiplies the ones of the top number only", "adds the digit to the top number"),
        Taught = (_, _) => RowWay.Work,
        Slips = _ => [(RowWay.LeaveOut, 0.2)],
        Say = (c, choice) => choice == RowWay.Work ? $"Row {c.Row + 1}: times {Place.Counted(c.Digit, c.Row)}." : $"Row {c.Row + 1}: {Row!.Does(choice)}.",
        Kinds = RowKinds,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>How many placeholder zeros?</summary>
    public static readonly DecisionPoint<RowContext, Placeholders> Placeholder = new("multiplication.placeholder", "How many placeholder zeros does the row begin with?")
    {
        Does = Phrases.InOrder<Placeholders>("begins with one placeholder for each place", "begins without a placeholder", "begins with one placeholder", "begins with one placeholder too many",
            "begins with one placeholder for each row above", "begins with two placeholders for each place", "begins with one placeholder too few"),
        Taught = (_, _) => Placeholders.Due,
        Slips = c => c.Row > 0 ? [(Placeholders.None, 0.6)] : [],
        Say = (c, choice) => choice == Placeholders.Due
            ? c.Row == 0 ? "The row of the ones has no placeholder." : $"Row {c.Row + 1} counts {Place.Name(c.Row)}: it begins {{placeholder?with {c.Row} placeholder zero{(c.Row == 1 ? "" : "s")}|{c.Row} place{(c.Row == 1 ? "" : "s")} further left}}."
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
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>What do the two digits give?</summary>
    public static readonly DecisionPoint<ProductContext, DigitProduct> Product = new("multiplication.product", "What do the two digits give?")
    {
        Does = Phrases.InOrder<DigitProduct>("multiplies", "takes the product with 0 to be the other digit", "adds the two digits", "copies the top digit", "leaves the digit out", "takes the product with 1 to be 1", "writes the digit of the multiplier",
            "leaves the product out, as if it were nothing", "takes the smaller digit from the larger", "doubles the top digit", "writes the two digits side by side"),
        Taught = (_, _) => DigitProduct.Multiply,
        Slips = c => c.Top == 0 || c.Multiplier == 0 ? [(DigitProduct.OtherFactor, 1)] : [(DigitProduct.Add, 0.2)],
        Say = (c, choice) => choice == DigitProduct.Multiply ? $"{c.Multiplier} × {c.Top}." : $"{c.Multiplier} × {c.Top}: {Product!.Does(choice)}.",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>How is the product counted?</summary>
    public static readonly DecisionPoint<ProductContext, SkipCount> Count = new("multiplication.count", "How far is counted?")
    {
        Does = Phrases.InOrder<SkipCount>("counts right", "skip-counts one too few of the lower digit", "skip-counts one too many of the lower digit", "skip-counts one too few of the upper digit", "skip-counts one too many of the upper digit"),
        Taught = (_, _) => SkipCount.Exact,
        Say = (c, choice) => $"{c.Multiplier} × {c.Top}{(choice == SkipCount.Exact ? "" : ": " + Count!.Does(choice))}.",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>What becomes of the carry?</summary>
    public static readonly DecisionPoint<ProductContext, ProductCarry> Carry = new("multiplication.carry-added", "When is the carried digit added?")
    {
        Does = Phrases.InOrder<ProductCarry>("adds the carried digit after multiplying", "does not add the carried digit", "adds the carried digit before multiplying", "multiplies by the carried digit",
            "adds the carried digit twice", "takes the carried digit away", "adds the carry left over from an earlier row instead", "adds the carry left over from an earlier row too", "passes the carried digit on to the next digit", "writes the carried digit in place of the product", "adds all digits carried so far in the row", "adds the carried digit to the digit of the multiplier before multiplying", "adds 1 whatever was carried"),
        Taught = (_, _) => ProductCarry.AddedAfter,
        Can = (c, carry) => carry switch
        {
            ProductCarry.StandingInstead => c.Standing > 0 && c.Standing != c.CarryIn,
            ProductCarry.StandingToo => c.Standing > 0,
            ProductCarry.AsOne => c.CarryIn > 1,
            ProductCarry.AllSoFar => c.Carries > 1 || (c.Carries > 0 && c.CarryIn == 0),
            _ => c.CarryIn > 0,
        },
        Slips = c => c.CarryIn > 0 ? [(ProductCarry.NotAdded, 5), (ProductCarry.AddedBefore, 0.2), (ProductCarry.AddedTwice, 0.2)] : [],
        Say = (c, choice) => choice == ProductCarry.AddedAfter
            ? c.CarryIn > 0 ? $"The carried {c.CarryIn} is added: {c.Total + c.CarryIn}." : "Nothing was carried here."
            : $"{Head(c)}: {Carry!.Does(choice)}.",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>What is written and carried at ten or more?</summary>
    public static readonly DecisionPoint<ProductContext, ProductTen> Ten = new("multiplication.ten-or-more", "What is written, and what is carried?")
    {
        Does = Phrases.InOrder<ProductTen>("writes the ones and carries the tens", "writes both digits", "writes the ones and carries nothing", "writes the tens and carries the ones", "writes the ones and carries 1", "writes the tens and carries nothing", "writes both digits and carries too", "writes 0 and carries the tens", "writes all but ten and carries 1"),
        Taught = (_, _) => ProductTen.WriteOnesCarryTens,
        Can = (c, way) => way switch
        {
            ProductTen.WriteOnesCarryOne or ProductTen.WriteLessTenCarryOne => c.Total >= 20,
            ProductTen.WriteZeroCarryTens => c.Total % 10 != 0,
            _ => true,
        },
        Slips = _ => [(ProductTen.WriteTensCarryOnes, 0.3)],
        Say = (c, choice) => choice == ProductTen.WriteOnesCarryTens ? $"{c.Total}: write {c.Total % 10}, carry {c.Total / 10}." : $"{c.Total}: {Ten!.Does(choice)}.",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>Where does the carry go?</summary>
    public static readonly DecisionPoint<ProductContext, ProductCarryInto> Into = new("multiplication.carry-into", "To which digit is it carried?")
    {
        Does = Phrases.InOrder<ProductCarryInto>("carries to the next digit", "carries to the digit after the next"),
        Taught = (_, _) => ProductCarryInto.NextDigit,
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows.Carry,
    };

    /// <summary>How is the last product of a row written?</summary>
    public static readonly DecisionPoint<ProductContext, LastProduct> Last = new("multiplication.last-product", "How is the last product of a row written?")
    {
        Does = Phrases.InOrder<LastProduct>("writes it whole", "writes only the ones", "writes only the tens", "writes its digits the wrong way round"),
        Taught = (_, _) => LastProduct.WriteWhole,
        Can = (c, way) => way != LastProduct.TurnedRound || c.Total % 11 != 0,
        Slips = _ => [(LastProduct.WriteOnesOnly, 0.3)],
        Say = (c, choice) => choice == LastProduct.WriteWhole ? $"The last one: write {c.Total}." : $"The last one, {c.Total}: {Last!.Does(choice)}.",
        Kinds = Kinds,
        Properties = Properties,
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

    /// <summary>The numbers that come about in the rows.</summary>
    public static IReadOnlyList<DecisionPoint> Values { get; } = [ComesTo, Written, Carried];

    /// <summary>All of them, in the order in which they come up, and those of the columns in which the rows are added.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [Way, .. InRows, .. Values, .. Addition.AdditionPoints.InColumns];

    private static string Head(ProductContext c) => $"{c.Multiplier} × {c.Top}";
}
