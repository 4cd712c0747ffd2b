using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Multiplication;

/// <summary>The decisions of multiplication in rows.</summary>
public static class MultiplicationDecisions
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
    public static readonly ValueDecision<ProductContext> ComesTo = new("multiplication.comes-to", "What does it come to with the carry?")
    {
        Numbers = Numbers,
        Does = n => $"comes to {n}",
        Kinds = FewKinds,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>What is written?</summary>
    public static readonly ValueDecision<ProductContext> Written = new("multiplication.written", "What is written?")
    {
        Numbers = Numbers,
        Does = n => $"writes {n}",
        Kinds = FewKinds,
        ShowsIn = WorkFields.Rows,
    };

    /// <summary>How much is carried?</summary>
    public static readonly ValueDecision<ProductContext> Carried = new("multiplication.carried", "How much is carried?")
    {
        Numbers = [.. Numbers, new("tens", "the tens", c => c.Total / 10)],
        Does = n => $"carries {n}",
        Kinds = FewKinds,
        ShowsIn = WorkFields.Rows.Carry,
    };

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
    public static readonly Decision<FactorsContext, ProductWay> Way = new("multiplication.way", "What is to be done with the two numbers?", ProductWay.Multiply)
    {
        [ProductWay.Multiply] = new("multiply", "multiplies"),
        [ProductWay.Add] = new("add", "adds the two numbers") { Slip = 0.4 },
        Kinds = [new("always", "always", _ => true)],
        Idea = Ideas.ReadTheSign,
    };

    /// <summary>How is the row of a digit worked?</summary>
    public static readonly Decision<RowContext, RowWay> Row = new("multiplication.row", "What is multiplied with this digit of the multiplier?", RowWay.Work)
    {
        [RowWay.Work] = new("work", "multiplies every top digit") { Says = c => $"Row {c.Row + 1}: times {Place.Counted(c.Digit, c.Row)}." },
        [RowWay.LeaveOut] = new("leave-out", "leaves the row out") { Slip = 0.2 },
        [RowWay.CopyTop] = new("copy-top", "copies the top number as the row"),
        [RowWay.SamePlaces] = new("same-places", "multiplies only digits of the same place"),
        [RowWay.DigitBefore] = new("digit-before", "multiplies with the digit before once more"),
        [RowWay.DigitAfter] = new("digit-after", "multiplies with the next digit of the multiplier"),
        [RowWay.Stop] = new("stop", "stops before this row"),
        [RowWay.WriteZero] = new("write-zero", "writes a single 0 as the row"),
        [RowWay.FromOtherEnd] = new("from-other-end", "takes the digits of the multiplier from the left"),
        [RowWay.SamePlacesThenLeftmost] = new("same-places-then-leftmost", "multiplies digits of the same place and the other top digits by the leftmost one"),
        [RowWay.StartsAfterPlaceholders] = new("starts-after-placeholders", "passes over as many top digits as the row has placeholders"),
        [RowWay.MultipliesByOne] = new("multiplies-by-one", "copies the top number as the row where the digit is not 0"),
        [RowWay.SamePlacesThenOnes] = new("same-places-then-ones", "multiplies digits of the same place and the other top digits by the ones"),
        [RowWay.LeftmostDigitOnly] = new("leftmost-digit-only", "multiplies the leftmost top digit only"),
        [RowWay.OnesDigitOnly] = new("ones-digit-only", "multiplies the ones of the top number only"),
        [RowWay.AddsDigit] = new("adds-digit", "adds the digit to the top number"),
        Head = c => $"Row {c.Row + 1}",
        Kinds = RowKinds,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.EveryDigitTimesEvery,
        IsTold = true,
        BeginsPart = true,
    };

    /// <summary>How many placeholder zeros?</summary>
    public static readonly Decision<RowContext, Placeholders> Placeholder = new("multiplication.placeholder", "How many placeholder zeros does the row begin with?", Placeholders.Due)
    {
        [Placeholders.Due] = new("due", "begins with one placeholder for each place") { Says = c => c.Row == 0 ? "The row of the ones has no placeholder." : $"Row {c.Row + 1} counts {Place.Name(c.Row)}: it begins {{placeholder?with {c.Row} placeholder zero{(c.Row == 1 ? "" : "s")}|{c.Row} place{(c.Row == 1 ? "" : "s")} further left}}." },
        [Placeholders.None] = new("none", "begins without a placeholder") { SlipIn = c => c.Row > 0 ? 0.6 : 0 },
        [Placeholders.One] = new("one", "begins with one placeholder"),
        [Placeholders.OneMore] = new("one-more", "begins with one placeholder too many"),
        [Placeholders.ByRowsWritten] = new("by-rows-written", "begins with one placeholder for each row above"),
        [Placeholders.TwoForEach] = new("two-for-each", "begins with two placeholders for each place"),
        [Placeholders.OneFewer] = new("one-fewer", "begins with one placeholder too few"),
        Head = c => $"Row {c.Row + 1}",
        Kinds = RowKinds,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.RowIsTenTimes,
        IsTold = true,
    };

    /// <summary>Where does a row begin?</summary>
    public static readonly Decision<RowContext, RowDirection> Direction = new("multiplication.direction", "Which top digit comes first?", RowDirection.FromOnes)
    {
        [RowDirection.FromOnes] = new("from-ones", "starts with the ones"),
        [RowDirection.FromLeft] = new("from-left", "starts at the left and carries to the right"),
        Kinds = [new("always", "always", _ => true)],
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.SmallestPlaceFirst,
    };

    /// <summary>Is there another digit to multiply?</summary>
    public static readonly Decision<ProductContext, RowOnward> Onward = new("multiplication.onward", "Is there another top digit?", RowOnward.NextDigit)
    {
        [RowOnward.NextDigit] = new("next-digit", "goes on to the next top digit"),
        [RowOnward.Stop] = new("stop", "stops there"),
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.EveryDigitTimesEvery,
    };

    /// <summary>What do the two digits give?</summary>
    public static readonly Decision<ProductContext, DigitProduct> Product = new("multiplication.product", "What do the two digits give?", DigitProduct.Multiply)
    {
        [DigitProduct.Multiply] = new("multiply", "multiplies") { Says = c => $"{c.Multiplier} × {c.Top}." },
        [DigitProduct.OtherFactor] = new("other-factor", "takes the product with 0 to be the other digit") { SlipIn = c => c.Top == 0 || c.Multiplier == 0 ? 1 : 0 },
        [DigitProduct.Add] = new("add", "adds the two digits") { SlipIn = c => c.Top == 0 || c.Multiplier == 0 ? 0 : 0.2 },
        [DigitProduct.CopyTop] = new("copy-top", "copies the top digit"),
        [DigitProduct.LeaveOut] = new("leave-out", "leaves the digit out"),
        [DigitProduct.One] = new("one", "takes the product with 1 to be 1"),
        [DigitProduct.CopyMultiplier] = new("copy-multiplier", "writes the digit of the multiplier"),
        [DigitProduct.Nothing] = new("nothing", "leaves the product out, as if it were nothing"),
        [DigitProduct.Difference] = new("difference", "takes the smaller digit from the larger"),
        [DigitProduct.TopTwice] = new("top-twice", "doubles the top digit"),
        [DigitProduct.SideBySide] = new("side-by-side", "writes the two digits side by side"),
        Head = c => $"{c.Multiplier} × {c.Top}",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.ZeroTimes,
        BeginsPart = true,
    };

    /// <summary>How is the product counted?</summary>
    public static readonly Decision<ProductContext, SkipCount> Count = new("multiplication.count", "How far is counted?", SkipCount.Exact)
    {
        [SkipCount.Exact] = new("exact", "counts right") { Says = c => $"{c.Multiplier} × {c.Top}." },
        [SkipCount.OneMultiplierTooFew] = new("one-multiplier-too-few", "skip-counts one too few of the lower digit"),
        [SkipCount.OneMultiplierTooMany] = new("one-multiplier-too-many", "skip-counts one too many of the lower digit"),
        [SkipCount.OneTopTooFew] = new("one-top-too-few", "skip-counts one too few of the upper digit"),
        [SkipCount.OneTopTooMany] = new("one-top-too-many", "skip-counts one too many of the upper digit"),
        Head = c => $"{c.Multiplier} × {c.Top}",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.SkipCounting,
    };

    /// <summary>What becomes of the carry?</summary>
    public static readonly Decision<ProductContext, ProductCarry> Carry = new("multiplication.carry-added", "When is the carried digit added?", ProductCarry.AddedAfter)
    {
        [ProductCarry.AddedAfter] = new("added-after", "adds the carried digit after multiplying") { Says = c => c.CarryIn > 0 ? $"The carried {c.CarryIn} is added: {c.Total + c.CarryIn}." : "Nothing was carried here." },
        [ProductCarry.NotAdded] = new("not-added", "does not add the carried digit") { Needs = c => c.CarryIn > 0, SlipIn = c => c.CarryIn > 0 ? 5 : 0 },
        [ProductCarry.AddedBefore] = new("added-before", "adds the carried digit before multiplying") { Needs = c => c.CarryIn > 0, SlipIn = c => c.CarryIn > 0 ? 0.2 : 0 },
        [ProductCarry.MultipliesProduct] = new("multiplies-product", "multiplies by the carried digit") { Needs = c => c.CarryIn > 0 },
        [ProductCarry.AddedTwice] = new("added-twice", "adds the carried digit twice") { Needs = c => c.CarryIn > 0, SlipIn = c => c.CarryIn > 0 ? 0.2 : 0 },
        [ProductCarry.TakenAway] = new("taken-away", "takes the carried digit away") { Needs = c => c.CarryIn > 0 },
        [ProductCarry.StandingInstead] = new("standing-instead", "adds the carry left over from an earlier row instead") { Needs = c => c.Standing > 0 && c.Standing != c.CarryIn },
        [ProductCarry.StandingToo] = new("standing-too", "adds the carry left over from an earlier row too") { Needs = c => c.Standing > 0 },
        [ProductCarry.PassedOn] = new("passed-on", "passes the carried digit on to the next digit") { Needs = c => c.CarryIn > 0 },
        [ProductCarry.InsteadOfProduct] = new("instead-of-product", "writes the carried digit in place of the product") { Needs = c => c.CarryIn > 0 },
        [ProductCarry.AllSoFar] = new("all-so-far", "adds all digits carried so far in the row") { Needs = c => c.Carries > 1 || (c.Carries > 0 && c.CarryIn == 0) },
        [ProductCarry.AddedToMultiplier] = new("added-to-multiplier", "adds the carried digit to the digit of the multiplier before multiplying") { Needs = c => c.CarryIn > 0 },
        [ProductCarry.AsOne] = new("as-one", "adds 1 whatever was carried") { Needs = c => c.CarryIn > 1 },
        Head = c => Head(c),
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.CarryBelongs,
        IsTold = true,
    };

    /// <summary>What is written and carried at ten or more?</summary>
    public static readonly Decision<ProductContext, ProductTen> Ten = new("multiplication.ten-or-more", "What is written, and what is carried?", ProductTen.WriteOnesCarryTens)
    {
        [ProductTen.WriteOnesCarryTens] = new("write-ones-carry-tens", "writes the ones and carries the tens") { Says = c => $"{c.Total}: write {c.Total % 10}, carry {c.Total / 10}." },
        [ProductTen.WriteBoth] = new("write-both", "writes both digits"),
        [ProductTen.WriteOnesCarryNothing] = new("write-ones-carry-nothing", "writes the ones and carries nothing"),
        [ProductTen.WriteTensCarryOnes] = new("write-tens-carry-ones", "writes the tens and carries the ones") { Slip = 0.3 },
        [ProductTen.WriteOnesCarryOne] = new("write-ones-carry-one", "writes the ones and carries 1") { Needs = c => c.Total >= 20 },
        [ProductTen.WriteTensCarryNothing] = new("write-tens-carry-nothing", "writes the tens and carries nothing"),
        [ProductTen.WriteBothAndCarry] = new("write-both-and-carry", "writes both digits and carries too"),
        [ProductTen.WriteZeroCarryTens] = new("write-zero-carry-tens", "writes 0 and carries the tens") { Needs = c => c.Total % 10 != 0 },
        [ProductTen.WriteLessTenCarryOne] = new("write-less-ten-carry-one", "writes all but ten and carries 1") { Needs = c => c.Total >= 20 },
        Head = c => $"{c.Total}",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.TenMovesOn,
        IsTold = true,
    };

    /// <summary>Where does the carry go?</summary>
    public static readonly Decision<ProductContext, ProductCarryInto> Into = new("multiplication.carry-into", "To which digit is it carried?", ProductCarryInto.NextDigit)
    {
        [ProductCarryInto.NextDigit] = new("next-digit", "carries to the next digit"),
        [ProductCarryInto.DigitAfterNext] = new("digit-after-next", "carries to the digit after the next"),
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows.Carry,
        Idea = Ideas.CarryBelongs,
    };

    /// <summary>How is the last product of a row written?</summary>
    public static readonly Decision<ProductContext, LastProduct> Last = new("multiplication.last-product", "How is the last product of a row written?", LastProduct.WriteWhole)
    {
        [LastProduct.WriteWhole] = new("write-whole", "writes it whole") { Says = c => $"The last one: write {c.Total}." },
        [LastProduct.WriteOnesOnly] = new("write-ones-only", "writes only the ones") { Slip = 0.3 },
        [LastProduct.WriteTensOnly] = new("write-tens-only", "writes only the tens"),
        [LastProduct.TurnedRound] = new("turned-round", "writes its digits the wrong way round") { Needs = c => c.Total % 11 != 0 },
        Head = c => $"The last one, {c.Total}",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.TenMovesOn,
        IsTold = true,
    };

    /// <summary>What is done with the rows?</summary>
    public static readonly Decision<RowsContext, RowsTogether> Together = new("multiplication.rows", "What is done with the rows?", RowsTogether.Add)
    {
        [RowsTogether.Add] = new("add", "adds the rows"),
        [RowsTogether.LastOnly] = new("last-only", "takes the last row as the answer"),
        [RowsTogether.FirstOnly] = new("first-only", "takes the first row as the answer"),
        [RowsTogether.Subtract] = new("subtract", "takes the rows away from each other"),
        [RowsTogether.SideBySide] = new("side-by-side", "writes the rows side by side"),
        [RowsTogether.LeftEnds] = new("left-ends", "adds the rows lined up on the left"),
        Kinds = [new("always", "always", _ => true), new("three", "with three rows", c => c.Rows > 2)],
        Idea = Ideas.RowsAreParts,
        IsTold = true,
    };

    /// <summary>Those of single rows and their sum, without the first decision what to do.</summary>
    public static IReadOnlyList<Decision> InRows { get; } = [Row, Placeholder, Direction, Onward, Product, Count, Carry, Ten, Into, Last, Together];

    /// <summary>The numbers that come about in the rows.</summary>
    public static IReadOnlyList<Decision> Values { get; } = [ComesTo, Written, Carried];

    /// <summary>All of them, in the order in which they come up, and those of the columns in which the rows are added.</summary>
    public static IReadOnlyList<Decision> All { get; } = [Way, .. InRows, .. Values, .. Addition.AdditionDecisions.InColumns];

    private static string Head(ProductContext c) => $"{c.Multiplier} × {c.Top}";
}
