using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Parts.Products;

/// <summary>The decisions of multiplication in rows.</summary>
internal static class MultiplicationDecisions
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
        new("top", "the top digit", c => c.Top, 2, 5, 6, 7, 8, 9), new(
            "multiplier", "the digit of the multiplier", c => c.Multiplier, 2, 5, 6, 7, 8, 9), new("total", "the product", c => c.Total, 10, 20, 30, 50),
        new(
            "worked", "the number of digits worked before", c =>
                c.Worked, 1, 2), new("carry", "the carried digit", c => c.CarryIn, 1, 2, 3, 5), new("row", "the number of rows above", c => c.Row, 1, 2),
    ];

    private static readonly Property<ProductContext>[] Numbers =
    [
        new("product", "the product", c => c.Total), new("top", "the top digit", c => c.Top), new(
            "multiplier", "the digit of the multiplier", c =>
                c.Multiplier), new("carry", "the carried digit", c => c.CarryIn), new("standing", "the old carry above", c => c.Standing),
    ];

    private static readonly Kind<ProductContext>[] FewKinds = [
        .. Kinds.Where(k => k.Id is "always" or "first" or "last" or "later-row" or "top-zero" or "multiplier-zero" or "equal" or "carry-due" or "tens"),
        new("ten-or-more", "when it comes to ten or more", c => c.Total >= 10),
    ];

    public static readonly ValueDecision<ProductContext> ComesTo = new("multiplication.comes-to", "What does it come to with the carry?")
    {
        Numbers = Numbers,
        Does = n => $"comes to {n}",
        Kinds = FewKinds,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.CarryAfterProduct,
    };

    public static readonly ValueDecision<ProductContext> Written = new("multiplication.written", "What is written?")
    {
        Numbers = Numbers,
        Does = n => $"writes {n}",
        Kinds = FewKinds,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.TenMovesOn,
    };

    public static readonly ValueDecision<ProductContext> Carried = new("multiplication.carried", "How much is carried?")
    {
        Numbers = [.. Numbers, new("tens", "the tens", c => c.Total / 10)],
        Does = n => $"carries {n}",
        Kinds = FewKinds,
        ShowsIn = WorkFields.Rows.Carry,
        Idea = Ideas.TenMovesOn,
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
        new("short-top", "when the first number has two digits", c => c.TopLength == 2) { Otherwise = "when the first number has more than two digits" },
        new("two-rows", "with a multiplier of two digits", c => c.Rows == 2) { Otherwise = "with a multiplier of three digits or more" },
    ];

    public static readonly Decision<FactorsContext, ProductChoice> Procedure = new(
        "multiplication.way", "What is to be done with the two numbers?", ProductChoice.Multiply)
    {
        [ProductChoice.Multiply] = new("multiply", "multiplies"),
        [ProductChoice.Add] = new("add", "adds the two numbers") { Slip = 0.4 },
        Kinds =
        [
            new("always", "always", _ => true),
            new("by-one-digit", "with a multiplier of one digit", c => c.Rows == 1) { Otherwise = "with a multiplier of two digits or more" },
            new("equally-long", "when both numbers are equally long", c => c.Rows == c.TopLength) { Otherwise = "when one number is longer" },
        ],
        Idea = Ideas.ReadTheSign,
    };

    public static readonly Decision<RowContext, RowChoice, UInt128> Row = new(
        "multiplication.row", "What is multiplied with this digit of the multiplier?", RowChoice.Work)
    {
        [RowChoice.Work] = new("work", "multiplies every top digit", row => row.Products((c, column) => c.Digit))
        { Says = c => $"Row {c.Row + 1}: times {Place.Counted(c.Digit, c.Row)}." },
        [RowChoice.LeaveOut] = new("leave-out", "leaves the row out", _ => 0) { Slip = 0.2 },
        [RowChoice.CopyTop] = new("copy-top", "copies the top number as the row", row => row.Products((_, _) => 1)),
        [RowChoice.SamePlaces] = new(
            "same-places", "multiplies only digits of the same place", row => row.Products((c, column) => column < c.Rows ? c.MultiplierDigit(column) : 1)),
        [RowChoice.DigitBefore] = new(
            "digit-before", "multiplies with the digit before once more", row => row.Products((c, column) => c.MultiplierDigit(c.Row - 1))),
        [RowChoice.DigitAfter] = new(
            "digit-after", "multiplies with the next digit of the multiplier", row => row.Products((c, column) => c.MultiplierDigit(c.Row + 1))),
        [RowChoice.Stop] = new("stop", "stops before this row"),
        [RowChoice.WriteZero] = new("write-zero", "writes a single 0 as the row", _ => 0),
        [RowChoice.FromOtherEnd] = new(
            "from-other-end", "takes the digits of the multiplier from the left", row => row.Products((c, column) => c.MultiplierDigit(c.Rows - 1 - c.Row))),
        [RowChoice.SamePlacesThenLeftmost] = new(
            "same-places-then-leftmost", "multiplies digits of the same place and the other top digits by the leftmost one",
            row => row.Products((c, column) => c.MultiplierDigit(column))),
        [RowChoice.StartsAfterPlaceholders] = new(
            "starts-after-placeholders", "passes over as many top digits as the row has placeholders",
            row => row.Products((c, column) => column < c.Row ? 0 : c.Digit)),
        [RowChoice.MultipliesByOne] = new(
            "multiplies-by-one", "copies the top number as the row where the digit is not 0", row => row.Products((c, column) => Math.Min(1, c.Digit))),
        [RowChoice.SamePlacesThenOnes] = new(
            "same-places-then-ones", "multiplies digits of the same place and the other top digits by the ones",
            row => row.Products((c, column) => column < c.Rows ? c.MultiplierDigit(column) : c.MultiplierDigit(0))),
        [RowChoice.LeftmostDigitOnly] = new(
            "leftmost-digit-only", "multiplies the leftmost top digit only", row => row.Products((c, column) => column == c.TopLength - 1 ? c.Digit : 0)),
        [RowChoice.OnesDigitOnly] = new(
            "ones-digit-only", "multiplies the ones of the top number only", row => row.Products((c, column) => column == 0 ? c.Digit : 0)),
        [RowChoice.AddsDigit] = new("adds-digit", "adds the digit to the top number"),
        Head = c => $"Row {c.Row + 1}",
        Kinds = RowKinds,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.EveryDigitTimesEvery,
        IsTold = true,
        BeginsPart = true,
    };

    public static readonly Decision<RowContext, Placeholders, int> Placeholder = new(
        "multiplication.placeholder", "How many placeholder zeros does the row begin with?", Placeholders.Due)
    {
        [Placeholders.Due] = new("due", "begins with one placeholder for each place", c => c.Row)
        {
            Says = c =>
                c.Row == 0
                    ? "The row of the ones has no placeholder."
                    : $"Row {c.Row + 1} counts {Place.Name(c.Row)}: it begins {{placeholder?with {c.Row} placeholder zero{(c.Row == 1 ? "" : "s")}|{c.Row} "
                        + $"place{(c.Row == 1 ? "" : "s")} further left}}."
        },
        [Placeholders.None] = new("none", "begins without a placeholder", c => Unless(c, 0)) { SlipIn = c => c.Row > 0 ? 0.6 : 0 },
        [Placeholders.One] = new("one", "begins with one placeholder", c => Unless(c, 1)),
        [Placeholders.OneMore] = new("one-more", "begins with one placeholder too many", c => Unless(c, c.Row + 1)),
        [Placeholders.ByRowsWritten] = new("by-rows-written", "begins with one placeholder for each row above", c => Unless(c, c.RowsWritten)),
        [Placeholders.TwoForEach] = new("two-for-each", "begins with two placeholders for each place", c => Unless(c, 2 * c.Row)),
        [Placeholders.OneFewer] = new("one-fewer", "begins with one placeholder too few", c => Unless(c, Math.Max(0, c.Row - 1))),
        Head = c => $"Row {c.Row + 1}",
        Kinds = RowKinds,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.RowIsTenTimes,
        IsTold = true,
    };

    public static readonly Decision<RowContext, RowDirection> Direction = new("multiplication.direction", "Which top digit comes first?", RowDirection.FromOnes)
    {
        [RowDirection.FromOnes] = new("from-ones", "starts with the ones"),
        [RowDirection.FromLeft] = new("from-left", "starts at the left and carries to the right") { Needs = c => c.HasCarry },
        Kinds = RowKinds,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.SmallestPlaceFirst,
    };

    public static readonly Decision<ProductContext, RowOnward> Onward = new("multiplication.onward", "Is there another top digit?", RowOnward.NextDigit)
    {
        [RowOnward.NextDigit] = new("next-digit", "goes on to the next top digit"),
        [RowOnward.Stop] = new("stop", "stops there") { Needs = c => c.Multiplier > 0 || c.Rows == 1 },
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.EveryDigitTimesEvery,
    };

    public static readonly Decision<ProductContext, DigitProduct, int> Product = new(
        "multiplication.product", "What do the two digits give?", DigitProduct.Multiply)
    {
        [DigitProduct.Multiply] = new("multiply", "multiplies", c => c.Top * c.Multiplier) { Says = c => $"{c.Multiplier} × {c.Top}." },
        [DigitProduct.OtherFactor] = new("other-factor", "takes the product with 0 to be the other digit", c => Math.Max(c.Top, c.Multiplier))
        { SlipIn = c => c.Top == 0 || c.Multiplier == 0 ? 1 : 0 },
        [DigitProduct.Add] = new("add", "adds the two digits", c => c.Top + c.Multiplier) { SlipIn = c => c.Top == 0 || c.Multiplier == 0 ? 0 : 0.2 },
        [DigitProduct.CopyTop] = new("copy-top", "copies the top digit", c => c.Top),
        [DigitProduct.LeaveOut] = new("leave-out", "leaves the digit out", c => c.Multiplier == 0 && c.Rows > 1 ? null : -1),
        [DigitProduct.One] = new("one", "takes the product with 1 to be 1", _ => 1),
        [DigitProduct.CopyMultiplier] = new("copy-multiplier", "writes the digit of the multiplier", c => c.Multiplier),
        [DigitProduct.Nothing] = new("nothing", "leaves the product out, as if it were nothing", _ => 0),
        [DigitProduct.Difference] = new("difference", "takes the smaller digit from the larger", c => Math.Abs(c.Top - c.Multiplier)),
        [DigitProduct.TopTwice] = new("top-twice", "doubles the top digit", c => 2 * c.Top),
        [DigitProduct.SideBySide] = new("side-by-side", "writes the two digits side by side", c => 10 * c.Multiplier + c.Top),
        Head = c => $"{c.Multiplier} × {c.Top}",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.ZeroTimes,
        BeginsPart = true,
    };

    public static readonly Decision<ProductContext, SkipCount, int> Count = new("multiplication.count", "How far is counted?", SkipCount.Exact)
    {
        [SkipCount.Exact] = new("exact", "counts right", c => c.Total) { Says = c => $"{c.Multiplier} × {c.Top}." },
        [SkipCount.OneMultiplierTooFew] = new("one-multiplier-too-few", "skip-counts one too few of the lower digit", c => Math.Max(0, c.Total - c.Multiplier)),
        [SkipCount.OneMultiplierTooMany] = new("one-multiplier-too-many", "skip-counts one too many of the lower digit", c => c.Total + c.Multiplier),
        [SkipCount.OneTopTooFew] = new("one-top-too-few", "skip-counts one too few of the upper digit", c => Math.Max(0, c.Total - c.Top)),
        [SkipCount.OneTopTooMany] = new("one-top-too-many", "skip-counts one too many of the upper digit", c => c.Total + c.Top),
        Head = c => $"{c.Multiplier} × {c.Top}",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.SkipCounting,
    };

    public static readonly Decision<ProductContext, ProductCarry, int> Carry = new(
        "multiplication.carry-added", "When is the carried digit added?", ProductCarry.AddedAfter)
    {
        [ProductCarry.AddedAfter] = new("added-after", "adds the carried digit after multiplying", c => c.Total + c.CarryIn)
        { Says = c => c.CarryIn > 0 ? $"The carried {c.CarryIn} is added: {c.Total + c.CarryIn}." : "Nothing was carried here." },
        [ProductCarry.NotAdded] = new("not-added", "does not add the carried digit", c => c.Total) { SlipIn = c => c.CarryIn > 0 ? 5 : 0 },
        [ProductCarry.AddedBefore] = new("added-before", "adds the carried digit before multiplying", c => (c.Top + c.CarryIn) * c.Multiplier)
        { SlipIn = c => c.CarryIn > 0 ? 0.2 : 0 },
        [ProductCarry.MultipliesProduct] = new("multiplies-product", "multiplies by the carried digit", c => c.Total * Math.Max(1, c.CarryIn)),
        [ProductCarry.AddedTwice] = new("added-twice", "adds the carried digit twice", c => c.Total + 2 * c.CarryIn) { SlipIn = c => c.CarryIn > 0 ? 0.2 : 0 },
        [ProductCarry.TakenAway] = new("taken-away", "takes the carried digit away", c => Math.Abs(c.Total - c.CarryIn)),
        [ProductCarry.StandingInstead] = new(
            "standing-instead", "adds the carry left over from an earlier row instead", c => c.Total + (c.Standing > 0 ? c.Standing : c.CarryIn)),
        [ProductCarry.StandingToo] = new("standing-too", "adds the carry left over from an earlier row too", c => c.Total + c.CarryIn + c.Standing),
        [ProductCarry.PassedOn] = new("passed-on", "passes the carried digit on to the next digit") { Needs = c => c.CarryIn > 0 },
        [ProductCarry.InsteadOfProduct] = new(
            "instead-of-product", "writes the carried digit in place of the product", c => c.CarryIn > 0 ? c.CarryIn : c.Total),
        [ProductCarry.AllSoFar] = new("all-so-far", "adds all digits carried so far in the row", c => c.Total + c.AllCarries),
        [ProductCarry.AddedToMultiplier] = new(
            "added-to-multiplier", "adds the carried digit to the digit of the multiplier before multiplying", c => c.Top * (c.Multiplier + c.CarryIn)),
        [ProductCarry.AsOne] = new("as-one", "adds 1 whatever was carried", c => c.Total + Math.Min(1, c.CarryIn)),
        Head = c => Head(c),
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.CarryBelongs,
        IsTold = true,
    };

    public static readonly Decision<ProductContext, ProductTen, (int Written, int Carry)> Ten = new(
        "multiplication.ten-or-more", "What is written, and what is carried?", ProductTen.WriteOnesCarryTens)
    {
        [ProductTen.WriteOnesCarryTens] = new("write-ones-carry-tens", "writes the ones and carries the tens", c => (c.Total % 10, c.Total / 10))
        { Says = c => $"{c.Total}: write {c.Total % 10}, carry {c.Total / 10}." },
        [ProductTen.WriteBoth] = new("write-both", "writes both digits", c => (c.Total, 0)),
        [ProductTen.WriteOnesCarryNothing] = new("write-ones-carry-nothing", "writes the ones and carries nothing", c => (c.Total % 10, 0)),
        [ProductTen.WriteTensCarryOnes] = new("write-tens-carry-ones", "writes the tens and carries the ones", c => (c.Total / 10, c.Total % 10))
        { Slip = 0.3 },
        [ProductTen.WriteOnesCarryOne] = new("write-ones-carry-one", "writes the ones and carries 1", c => (c.Total % 10, 1)),
        [ProductTen.WriteTensCarryNothing] = new("write-tens-carry-nothing", "writes the tens and carries nothing", c => (c.Total / 10, 0)),
        [ProductTen.WriteBothAndCarry] = new("write-both-and-carry", "writes both digits and carries too", c => (c.Total, c.Total / 10)),
        [ProductTen.WriteZeroCarryTens] = new("write-zero-carry-tens", "writes 0 and carries the tens", c => (0, c.Total / 10)),
        [ProductTen.WriteLessTenCarryOne] = new("write-less-ten-carry-one", "writes all but ten and carries 1", c => (c.Total - 10, 1)),
        Head = c => $"{c.Total}",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.TenMovesOn,
        IsTold = true,
    };

    public static readonly Decision<ProductContext, ProductCarryInto> Into = new(
        "multiplication.carry-into", "To which digit is it carried?", ProductCarryInto.NextDigit)
    {
        [ProductCarryInto.NextDigit] = new("next-digit", "carries to the next digit"),
        [ProductCarryInto.DigitAfterNext] = new("digit-after-next", "carries to the digit after the next"),
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows.Carry,
        Idea = Ideas.CarryBelongs,
    };

    public static readonly Decision<ProductContext, LastProduct, int> Last = new(
        "multiplication.last-product", "How is the last product of a row written?", LastProduct.WriteWhole)
    {
        [LastProduct.WriteWhole] = new("write-whole", "writes it whole", c => c.Total) { Says = c => $"The last one: write {c.Total}." },
        [LastProduct.WriteOnesOnly] = new("write-ones-only", "writes only the ones", c => c.Total % 10) { Slip = 0.3 },
        [LastProduct.WriteTensOnly] = new("write-tens-only", "writes only the tens", c => c.Total / 10),
        [LastProduct.TurnedRound] = new("turned-round", "writes its digits the wrong way round", c => c.Total % 10 * 10 + c.Total / 10),
        Head = c => $"The last one, {c.Total}",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Rows,
        Idea = Ideas.TenMovesOn,
        IsTold = true,
    };

    public static readonly Decision<RowsContext, RowsTogether> Together = new("multiplication.rows", "What is done with the rows?", RowsTogether.Add)
    {
        [RowsTogether.Add] = new("add", "adds the rows"),
        [RowsTogether.LastOnly] = new("last-only", "takes the last row as the answer"),
        [RowsTogether.FirstOnly] = new("first-only", "takes the first row as the answer"),
        [RowsTogether.Subtract] = new("subtract", "takes the rows away from each other"),
        [RowsTogether.SideBySide] = new("side-by-side", "writes the rows side by side"),
        [RowsTogether.LeftEnds] = new("left-ends", "adds the rows lined up on the left") { Needs = c => c.AreRagged },
        Kinds =
        [
            new("always", "always", _ => true),
            new("three", "with three rows or more", c => c.Rows > 2) { Otherwise = "with two rows" },
            new("ragged", "when one row is longer", c => c.AreRagged) { Otherwise = "when the rows are equally long" },
        ],
        Idea = Ideas.RowsAreParts,
        IsTold = true,
    };

    /// <summary>Those of single rows and their sum, without the first decision what to do.</summary>
    public static IReadOnlyList<Decision> InRows { get; } = [Row, Placeholder, Direction, Onward, Product, Count, Carry, Ten, Into, Last, Together];

    /// <summary>The numbers that come about in the rows.</summary>
    public static IReadOnlyList<Decision> Values { get; } = [ComesTo, Written, Carried];

    /// <summary>All of them, in the order in which they come up, and those of the columns in which the rows are added.</summary>
    public static IReadOnlyList<Decision> All { get; } = [Procedure, .. InRows, .. Values, .. AdditionDecisions.InColumns];

    // A row of zeros is not written, however far left it would begin.
    private static int? Unless(RowContext c, int placeholders) => c.IsZero ? null : placeholders;

    private static string Head(ProductContext c) => $"{c.Multiplier} × {c.Top}";
}
