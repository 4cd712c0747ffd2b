using YellowPencil.Core.Procedures.Division;
using YellowPencil.Core.Procedures.Integers;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.DecimalDivision;

/// <summary>Which number is divided by which.</summary>
public enum QuotientOrder { AsSet, LargerBySmaller, SecondByFirst }

/// <summary>How the points are moved.</summary>
public enum PointShift { BothAlike, DivisorOnly, EachToItsEnd, DividendTheOtherWay, DividendOneMore, DividendOneFewer, DividendByItsOwn, BothByDividend, NotAtAll, DividendTwice }

/// <summary>What is done where the dividend has fewer places than its point is moved.</summary>
public enum ShiftZeros { Append, LeaveOut, OneTooMany, OneOnly }

/// <summary>Where the point of the quotient goes.</summary>
public enum DecimalQuotientPoint { StraightUp, PlacesTogether, PlacesOfDividend, PlacesOfDivisor, PlacesApart, NoPoint }

/// <summary>Whether a decimal is one number.</summary>
public enum QuotientSplit { OneNumber, TwoNumbers }

/// <summary>The two numbers as the student sees them.</summary>
/// <param name="DividendPlaces">Decimal places of the dividend.</param>
/// <param name="DivisorPlaces">Decimal places of the divisor.</param>
/// <param name="DividendIsSmaller">Whether the dividend is the smaller number.</param>
public readonly record struct DecimalQuotientContext(int DividendPlaces, int DivisorPlaces, bool DividendIsSmaller) : IDecisionContext
{
    /// <summary>Digits of the quotient; 0 before they are known.</summary>
    public int Digits { get; init; }

    /// <inheritdoc/>
    public int? Place => null;

    /// <summary>Whether the divisor has places after its point.</summary>
    public bool IsShiftDue => DivisorPlaces > 0;

    /// <summary>Whether the dividend has fewer places than the divisor.</summary>
    public bool NeedsZeros => DividendPlaces < DivisorPlaces;
}

/// <summary>The decisions of the division of decimals.</summary>
public static class DecimalDivisionPoints
{
    private static readonly Kind<DecimalQuotientContext>[] Kinds =
    [
        new("always", "always", _ => true),
        new("due", "when the divisor has a point", c => c.IsShiftDue),
        new("not-due", "when the divisor is a whole number", c => !c.IsShiftDue),
        new("whole-dividend", "when the dividend is a whole number", c => c.DividendPlaces == 0),
        new("zeros", "when the dividend has fewer places", c => c.NeedsZeros),
        new("more-places", "when the dividend has more places", c => c.DividendPlaces > c.DivisorPlaces),
        new("same", "when both have the same count of places", c => c.DividendPlaces == c.DivisorPlaces),
    ];

    /// <summary>One number or two?</summary>
    public static readonly DecisionPoint<DecimalQuotientContext, QuotientSplit> Split = new("decimal-division.parts", "Is a decimal one number on both sides of its point?")
    {
        Does = Phrases.InOrder<QuotientSplit>("divides all digits as one number", "divides the parts before and after the point separately"),
        Taught = (_, _) => QuotientSplit.OneNumber,
        Kinds = Kinds,
    };

    private static readonly Property<DecimalQuotientContext>[] Numbers = [new("dividend", "the count of places of the dividend", c => c.DividendPlaces), new("divisor", "the count of places of the divisor", c => c.DivisorPlaces), new("digits", "the count of digits of the answer", c => c.Digits)];

    /// <summary>How many places does the quotient get?</summary>
    public static readonly ValuePoint<DecimalQuotientContext> Places = new("decimal-division.places", "How many places does the quotient get?") { Numbers = Numbers, Does = n => $"takes as the count of places of the quotient {n}", Kinds = Kinds };

    /// <summary>How far does the point of the dividend move?</summary>
    public static readonly ValuePoint<DecimalQuotientContext> Moved = new("decimal-division.moved", "How far does the point of the dividend move?") { Numbers = Numbers, Does = n => $"moves the point of the dividend so many places: {n}", Kinds = Kinds, ShowsIn = WorkFields.Scaled.Dividend };

    /// <summary>Which by which?</summary>
    public static readonly DecisionPoint<DecimalQuotientContext, QuotientOrder> Order = new("decimal-division.order", "Which number is divided by which?")
    {
        Does = Phrases.InOrder<QuotientOrder>("divides the first number by the second", "divides the larger number by the smaller", "divides the second number by the first"),
        Taught = (_, _) => QuotientOrder.AsSet,
        Kinds = Kinds,
    };

    /// <summary>How far does each point move?</summary>
    public static readonly DecisionPoint<DecimalQuotientContext, PointShift> Shift = new("decimal-division.shift", "How far is each point moved?")
    {
        Does = Phrases.InOrder<PointShift>("moves both points alike until the divisor is whole", "moves the point of the divisor only", "moves each point to the end of its number", "moves the point of the dividend the other way", "moves the point of the dividend one place too far",
            "moves the point of the dividend one place too few", "moves the point of the dividend by its own places", "moves both points by the places of the dividend", "moves no point of the dividend", "moves the point of the dividend twice as far"),
        Taught = (_, _) => PointShift.BothAlike,
        Can = (c, shift) => shift switch
        {
            PointShift.EachToItsEnd => c.DividendPlaces != c.DivisorPlaces,

            // Where the dividend has more places, both points move far enough.
            PointShift.BothByDividend => c.DividendPlaces < c.DivisorPlaces,
            PointShift.DividendByItsOwn => c.DividendPlaces > 0 && c.DividendPlaces != c.DivisorPlaces,
            PointShift.DividendOneMore => true,
            _ => c.IsShiftDue,
        },
        Slips = _ => [(PointShift.DividendOneFewer, 0.7), (PointShift.DividendOneMore, 0.7), (PointShift.DivisorOnly, 0.7)],
        Kinds = Kinds,
        ShowsIn = WorkFields.Scaled.Dividend,
    };

    /// <summary>Are zeros appended where the dividend runs out?</summary>
    public static readonly DecisionPoint<DecimalQuotientContext, ShiftZeros> Zeros = new("decimal-division.shift-zeros", "What if the dividend has too few places to move its point?")
    {
        Does = Phrases.InOrder<ShiftZeros>("appends zeros", "appends no zeros", "appends one zero too many", "appends one zero only"),
        Taught = (_, _) => ShiftZeros.Append,
        Kinds = [Kinds[0]],
        ShowsIn = WorkFields.Scaled.Dividend,
    };

    /// <summary>Where does the point go?</summary>
    public static readonly DecisionPoint<DecimalQuotientContext, DecimalQuotientPoint> Point = new("decimal-division.point", "Where does the point of the quotient go?")
    {
        Does = Phrases.InOrder<DecimalQuotientPoint>("puts the point straight above", "counts the places of both numbers together", "gives the quotient the places of the dividend", "gives the quotient the places of the divisor", "takes one count of places from the other", "writes no point"),
        Taught = (_, _) => DecimalQuotientPoint.StraightUp,
        Kinds = Kinds,
    };

    /// <summary>All of them, in the order in which they come up, and those of signs and cycles.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [SignPoints.OfProduct, Order, Split, Shift, Moved, Zeros, .. DivisionPoints.InCycles, DivisionPoints.Written, Point, Places];
}
