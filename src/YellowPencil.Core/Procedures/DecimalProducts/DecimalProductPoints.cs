using YellowPencil.Core.Procedures.Addition;
using YellowPencil.Core.Procedures.Integers;
using YellowPencil.Core.Procedures.Multiplication;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.DecimalProducts;

/// <summary>Whether a decimal is one number.</summary>
public enum FactorSplit { OneNumber, TwoNumbers, DecimalPartOnly }

/// <summary>How many decimal places the answer gets.</summary>
public enum PlaceCount { Together, OfFirst, OfSecond, Larger, Smaller, FromLeft, None, OneTooFew, OneTooMany, Multiplied, OneAlways, AtMostTwo, Difference, WholeOfFirstFromLeft, WholeOfSecondFromLeft, ZerosInFrontToo, WholeTogetherFromLeft, OfFirstTwice }

/// <summary>When last zeros of the product go.</summary>
public enum EndZeros { AfterCounting, BeforeCounting }

/// <summary>What is done where the product has fewer digits than places.</summary>
public enum TooFewDigits { ZerosInFront, PointInFront, OneZeroInFront, PointAfterFirst, OneZeroTooMany, NoPoint }

/// <summary>The two factors as the student sees them.</summary>
/// <param name="FirstPlaces">Decimal places of the first factor.</param>
/// <param name="SecondPlaces">Decimal places of the second.</param>
/// <param name="HasBareZero">Whether a factor is less than one, written with a zero before the point.</param>
/// <param name="Digits">Digits of the product before the point is put in; 0 before it is known.</param>
/// <param name="EndsInZero">Whether the product ends in a zero.</param>
public readonly record struct PlacesContext(int FirstPlaces, int SecondPlaces, bool HasBareZero, int Digits, bool EndsInZero) : IDecisionContext
{
    /// <summary>Whole digits of the first factor.</summary>
    public int FirstWhole { get; init; }

    /// <summary>Whole digits of the second factor.</summary>
    public int SecondWhole { get; init; }

    /// <summary>Factors less than one that are written with a zero before the point.</summary>
    public int BareZeros { get; init; }

    /// <inheritdoc/>
    public int? Place => null;

    /// <summary>The count that is due.</summary>
    public int Together => FirstPlaces + SecondPlaces;

    /// <summary>Whether one factor is a whole number.</summary>
    public bool HasWhole => FirstPlaces == 0 || SecondPlaces == 0;
}

/// <summary>The decisions of products of decimals.</summary>
public static class DecimalProductPoints
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
        new("first", "the count of places of the first factor", c => c.FirstPlaces), new("second", "the count of places of the second factor", c => c.SecondPlaces), new("digits", "the count of digits of the answer", c => c.Digits),
        new("whole-first", "the count of whole digits of the first factor", c => c.FirstWhole), new("whole-second", "the count of whole digits of the second factor", c => c.SecondWhole),
    ];

    /// <summary>How many places does the answer get?</summary>
    public static readonly ValuePoint<PlacesContext> Places = new("decimal-products.places", "How many places does the answer get?") { Numbers = Numbers, Does = n => $"takes as the count of places of the answer {n}", Kinds = Kinds, ShowsIn = WorkFields.Places };

    /// <summary>Multiply, or something else?</summary>
    public static readonly DecisionPoint<PlacesContext, ProductWay> Way = new("decimal-products.way", "What is to be done with the numbers?")
    {
        Does = Phrases.InOrder<ProductWay>("multiplies", "adds the two numbers"),
        Taught = (_, _) => ProductWay.Multiply,
        Slips = _ => [(ProductWay.Add, 0.4)],
        Kinds = Kinds,
    };

    /// <summary>One number or two?</summary>
    public static readonly DecisionPoint<PlacesContext, FactorSplit> Split = new("decimal-products.parts", "Is a decimal one number on both sides of its point?")
    {
        Does = Phrases.InOrder<FactorSplit>("multiplies all digits as one number", "multiplies the parts before and after the point separately", "multiplies what stands behind the point only and keeps what stands before it"),
        Taught = (_, _) => FactorSplit.OneNumber,
        Kinds = Kinds,
    };

    /// <summary>When do last zeros go?</summary>
    public static readonly DecisionPoint<PlacesContext, EndZeros> Zeros = new("decimal-products.last-zeros", "When do last zeros go?")
    {
        Does = Phrases.InOrder<EndZeros>("counts the places before last zeros go", "drops last zeros before counting the places"),
        Taught = (_, _) => EndZeros.AfterCounting,
        Kinds = [Kinds[0]],
    };

    /// <summary>How many places?</summary>
    public static readonly DecisionPoint<PlacesContext, PlaceCount> Count = new("decimal-products.count", "How many decimal places has the answer?")
    {
        Does = Phrases.InOrder<PlaceCount>("counts the places of both factors together", "counts the places of the first factor only", "counts the places of the second factor only", "takes the larger count", "takes the smaller count", "counts the places from the left", "writes no point",
            "counts one place too few", "counts one place too many", "multiplies the counts", "always takes one place", "takes two places at the most", "takes one count from the other", "puts the point behind as many digits as the first factor has before it", "puts the point behind as many digits as the second factor has before it", "counts zeros in front as places too", "puts the point behind as many digits as both factors have before it", "counts the places of the first factor twice"),
        Taught = (_, _) => PlaceCount.Together,
        Can = (c, count) => count switch
        {
            PlaceCount.OfFirst => c.SecondPlaces > 0,
            PlaceCount.OfSecond => c.FirstPlaces > 0,
            PlaceCount.Larger or PlaceCount.Difference => !c.HasWhole,
            PlaceCount.Smaller or PlaceCount.None => c.Together > 0,
            PlaceCount.Multiplied => c.FirstPlaces * c.SecondPlaces != c.Together,
            PlaceCount.OneAlways => c.Together != 1,
            PlaceCount.AtMostTwo => c.Together > 2,
            PlaceCount.ZerosInFrontToo => c.BareZeros > 0,
            PlaceCount.OfFirstTwice => c.FirstPlaces != c.SecondPlaces,
            _ => true,
        },
        Slips = _ => [(PlaceCount.OneTooFew, 1), (PlaceCount.OneTooMany, 1), (PlaceCount.None, 0.5)],
        Kinds = Kinds,
        ShowsIn = WorkFields.Places,
    };

    /// <summary>What if there are too few digits?</summary>
    public static readonly DecisionPoint<PlacesContext, TooFewDigits> TooFew = new("decimal-products.too-few-digits", "What if the product has fewer digits than places?")
    {
        Does = Phrases.InOrder<TooFewDigits>("fills in zeros in front", "puts the point straight in front of the digits", "fills in one zero in front", "puts the point after the first digit", "fills in one zero too many in front", "writes no point"),
        Taught = (_, _) => TooFewDigits.ZerosInFront,
        Kinds = Kinds,
    };

    /// <summary>All of them, in the order in which they come up, and those of signs, rows and columns.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } =
        [SignPoints.OfProduct, Way, Split, Zeros, Count, Places, TooFew, .. MultiplicationPoints.InRows, .. MultiplicationPoints.Values, .. AdditionPoints.InColumns];
}
