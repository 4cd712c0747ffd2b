using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.Products;
using YellowPencil.Core.Parts.SignRules;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Families.DecimalProducts;

internal enum FactorSplit { OneNumber, TwoNumbers, DecimalPartOnly }

/// <summary>How many decimal places the answer gets.</summary>
internal enum PlaceCount
{
    Together, OfFirst, OfSecond, Larger, Smaller, FromLeft, None, OneTooFew, OneTooMany, Multiplied, OneAlways, AtMostTwo, Difference, WholeOfFirstFromLeft,
    WholeOfSecondFromLeft, ZerosInFrontToo, WholeTogetherFromLeft, OfFirstTwice, OneForEachPoint,
}

/// <summary>When last zeros of the product go.</summary>
internal enum EndZeros { AfterCounting, BeforeCounting }

/// <summary>What is done where the product has fewer digits than places.</summary>
internal enum TooFewDigits { ZerosInFront, PointInFront, OneZeroInFront, PointAfterFirst, OneZeroTooMany, NoPoint }

/// <summary>The two factors as the student sees them.</summary>
/// <param name="FirstPlaces">Decimal places of the first factor.</param>
/// <param name="SecondPlaces">Decimal places of the second.</param>
/// <param name="HasBareZero">Whether a factor is less than one, written with a zero before the point.</param>
/// <param name="Digits">Digits of the product before the point is put in; 0 before it is known.</param>
/// <param name="EndsInZero">Whether the product ends in a zero.</param>
internal readonly record struct PlacesContext(int FirstPlaces, int SecondPlaces, bool HasBareZero, int Digits, bool EndsInZero) : IDecisionContext
{
    /// <summary>Whole digits of the first factor.</summary>
    public int FirstWhole { get; init; }

    /// <summary>Whole digits of the second factor.</summary>
    public int SecondWhole { get; init; }

    /// <summary>Factors less than one that are written with a zero before the point.</summary>
    public int BareZeros { get; init; }

    /// <summary>The count that is due.</summary>
    public int Together => FirstPlaces + SecondPlaces;

    /// <summary>Whether one factor is a whole number.</summary>
    public bool HasWhole => FirstPlaces == 0 || SecondPlaces == 0;
}

internal static class DecimalProductDecisions
{
    private static readonly Kind<PlacesContext>[] Kinds =
    [
        new("always", "always", _ => true),
        new("whole", "when one factor is a whole number", c => c.HasWhole),
        new("both", "when both factors are decimals", c => !c.HasWhole),
        new("different", "when the counts are different", c => c.FirstPlaces != c.SecondPlaces),
        new("same", "when the counts are the same", c => c.FirstPlaces == c.SecondPlaces),
        new("bare-zero", "when a factor is less than one", c => c.HasBareZero),
        new("ends-in-zero", "when the product ends in a zero", c => c.EndsInZero),
        new("first-whole", "when the first factor is a whole number", c => c.FirstPlaces == 0),
        new("second-whole", "when the second factor is a whole number", c => c.SecondPlaces == 0),
        new("first-more", "when the first factor has more places", c => c.FirstPlaces > c.SecondPlaces),
        new("second-more", "when the second factor has more places", c => c.FirstPlaces < c.SecondPlaces),
        new("three-places", "when there are three places or more", c => c.Together > 2),
        new("few-digits", "when the product has fewer digits than places", c => c.Digits > 0 && c.Digits < c.Together),
    ];

    private static readonly Property<PlacesContext>[] Numbers =
    [
        new("first", "the number of places of the first factor", c => c.FirstPlaces), new(
            "second", "the number of places of the second factor", c => c.SecondPlaces), new("digits", "the length of the answer", c => c.Digits),
        new("whole-first", "the length before the point of the first factor", c => c.FirstWhole), new(
            "whole-second", "the length before the point of the second factor", c => c.SecondWhole),
    ];

    public static readonly ValueDecision<PlacesContext> Places = new("decimal-products.places", "How many places does the answer get?")
    {
        Numbers = Numbers,
        Does = n => $"gives the answer as many places as {n}",
        Kinds = Kinds,
        ShowsIn = WorkFields.Places,
        Idea = Ideas.PlacesOfProduct,
    };

    public static readonly Decision<PlacesContext, ProductChoice> Procedure = new(
        "decimal-products.way", "What is to be done with the numbers?", ProductChoice.Multiply)
    {
        [ProductChoice.Multiply] = new("multiply", "multiplies"),
        [ProductChoice.Add] = new("add", "adds the two numbers") { Slip = 0.4 },
        Kinds = Kinds,
        Idea = Ideas.ReadTheSign,
    };

    public static readonly Decision<PlacesContext, FactorSplit> Split = new(
        "decimal-products.parts", "Is a decimal one number on both sides of its point?", FactorSplit.OneNumber)
    {
        [FactorSplit.OneNumber] = new("one-number", "multiplies all digits as one number"),
        [FactorSplit.TwoNumbers] = new("two-numbers", "multiplies the parts before and after the point separately"),
        [FactorSplit.DecimalPartOnly] = new("decimal-part-only", "multiplies what stands behind the point only and keeps what stands before it"),
        Kinds = Kinds,
        Idea = Ideas.EveryDigitTimesEvery,
    };

    public static readonly Decision<PlacesContext, EndZeros> Zeros = new("decimal-products.last-zeros", "When do last zeros go?", EndZeros.AfterCounting)
    {
        [EndZeros.AfterCounting] = new("after-counting", "counts the places before last zeros go"),
        [EndZeros.BeforeCounting] = new("before-counting", "drops last zeros before counting the places"),
        Kinds = [Kinds[0]],
        Idea = Ideas.PlacesOfProduct,
        IsTold = true,
    };

    public static readonly Decision<PlacesContext, PlaceCount, int> Count = new(
        "decimal-products.count", "How many decimal places has the answer?", PlaceCount.Together)
    {
        [PlaceCount.Together] = new("together", "counts the places of both factors together", c => c.Together),
        [PlaceCount.OfFirst] = new("of-first", "counts the places of the first factor only", c => c.FirstPlaces),
        [PlaceCount.OfSecond] = new("of-second", "counts the places of the second factor only", c => c.SecondPlaces),
        [PlaceCount.Larger] = new("larger", "takes the larger count", c => Math.Max(c.FirstPlaces, c.SecondPlaces)),
        [PlaceCount.Smaller] = new("smaller", "takes the smaller count", c => Math.Min(c.FirstPlaces, c.SecondPlaces)),
        [PlaceCount.FromLeft] = new("from-left", "counts the places from the left", c => Math.Max(0, c.Digits - c.Together)),
        [PlaceCount.None] = new("none", "writes no point", _ => 0) { Slip = 0.5 },
        [PlaceCount.OneTooFew] = new("one-too-few", "counts one place too few", c => c.Together - 1) { Slip = 1 },
        [PlaceCount.OneTooMany] = new("one-too-many", "counts one place too many", c => c.Together + 1) { Slip = 1 },
        [PlaceCount.Multiplied] = new("multiplied", "multiplies the counts", c => c.FirstPlaces * c.SecondPlaces),
        [PlaceCount.OneAlways] = new("one-always", "always takes one place", _ => 1),
        [PlaceCount.AtMostTwo] = new("at-most-two", "takes two places at the most", c => Math.Min(2, c.Together)),
        [PlaceCount.Difference] = new("difference", "takes one count from the other", c => Math.Abs(c.FirstPlaces - c.SecondPlaces)),
        [PlaceCount.WholeOfFirstFromLeft] = new(
            "whole-of-first-from-left", "puts the point behind as many digits as the first factor has before it", c => Math.Max(0, c.Digits - c.FirstWhole)),
        [PlaceCount.WholeOfSecondFromLeft] = new(
            "whole-of-second-from-left", "puts the point behind as many digits as the second factor has before it", c => Math.Max(0, c.Digits - c.SecondWhole)),
        [PlaceCount.ZerosInFrontToo] = new("zeros-in-front-too", "counts zeros in front as places too", c => c.Together + c.BareZeros),
        [PlaceCount.WholeTogetherFromLeft] = new(
            "whole-together-from-left", "puts the point behind as many digits as both factors have before it",
            c => Math.Max(0, c.Digits - c.FirstWhole - c.SecondWhole)),
        [PlaceCount.OfFirstTwice] = new("of-first-twice", "counts the places of the first factor twice", c => 2 * c.FirstPlaces),
        [PlaceCount.OneForEachPoint] = new("one-for-each-point", "counts one place for each factor with a point", c => Math.Min(1, c.FirstPlaces) + Math.Min(1, c.SecondPlaces)),
        Kinds = Kinds,
        ShowsIn = WorkFields.Places,
        Idea = Ideas.PlacesOfProduct,
        IsTold = true,
        BeginsPart = true,
    };

    /// <summary>The point wherever it looks right: the first that is never right, and others.</summary>
    public static IReadOnlyList<Deviation> SomePlace { get; } =
        [Count.Instead(PlaceCount.OneTooMany), Count.Instead(PlaceCount.OneTooFew), Count.Instead(PlaceCount.None), Count.Instead(PlaceCount.FromLeft)];

    public static readonly Decision<PlacesContext, TooFewDigits> TooFew = new(
        "decimal-products.too-few-digits", "What if the product has fewer digits than places?", TooFewDigits.ZerosInFront)
    {
        [TooFewDigits.ZerosInFront] = new("zeros-in-front", "fills in zeros in front"),
        [TooFewDigits.PointInFront] = new("point-in-front", "puts the point straight in front of the digits"),
        [TooFewDigits.OneZeroInFront] = new("one-zero-in-front", "fills in one zero in front"),
        [TooFewDigits.PointAfterFirst] = new("point-after-first", "puts the point after the first digit"),
        [TooFewDigits.OneZeroTooMany] = new("one-zero-too-many", "fills in one zero too many in front"),
        [TooFewDigits.NoPoint] = new("no-point", "writes no point"),
        Kinds = Kinds,
        Idea = Ideas.ZerosKeepThePoint,
        IsTold = true,
    };

    /// <summary>All of them, in the order in which they come up, and those of signs, rows and columns.</summary>
    public static IReadOnlyList<Decision> All { get; } =
        [
            SignDecisions.OfProduct, Procedure, Split, Zeros, Count, Places, TooFew, .. MultiplicationDecisions.InRows, .. MultiplicationDecisions.Values,
            .. AdditionDecisions.InColumns,
        ];
}
