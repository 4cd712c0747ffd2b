using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.Divisions;
using YellowPencil.Core.Parts.SignRules;

namespace YellowPencil.Core.Families.DecimalDivision;

/// <summary>Which number is divided by which.</summary>
internal enum QuotientOrder { AsSet, LargerBySmaller, SecondByFirst }

/// <summary>How the points are moved.</summary>
internal enum PointShift
{
    BothAlike, DivisorOnly, EachToItsEnd, DividendTheOtherWay, DividendOneMore, DividendOneFewer, DividendByItsOwn, BothByDividend, NotAtAll, DividendTwice,
}

/// <summary>What is done where the dividend has fewer places than its point is moved.</summary>
internal enum ShiftZeros { Append, LeaveOut, OneTooMany, OneOnly }

/// <summary>Where the point of the quotient goes.</summary>
internal enum DecimalQuotientPoint { StraightUp, PlacesTogether, PlacesOfDividend, PlacesOfDivisor, PlacesApart, NoPoint, OneTooMany, OneTooFew }

/// <summary>Whether a decimal is one number.</summary>
internal enum QuotientSplit { OneNumber, TwoNumbers, TwoNumbersByWhole, PointToTheRight, PointOnePlace }

/// <summary>The two numbers as the student sees them.</summary>
/// <param name="DividendPlaces">Decimal places of the dividend.</param>
/// <param name="DivisorPlaces">Decimal places of the divisor.</param>
/// <param name="DividendIsSmaller">Whether the dividend is the smaller number.</param>
internal readonly record struct DecimalQuotientContext(int DividendPlaces, int DivisorPlaces, bool DividendIsSmaller) : IDecisionContext
{
    /// <summary>Digits of the quotient; 0 before they are known.</summary>
    public int Digits { get; init; }

    /// <summary>How many places the point of the dividend is moved beyond its last digit; 0 before it is known.</summary>
    public int Missing { get; init; }

    /// <summary>The places of the quotient where its point stands straight above; 0 before they are known.</summary>
    public int Due { get; init; }

    /// <summary>How many zeros the divisor has, where it is 10, 100 or the like; 0 where it is not.</summary>
    public int ZerosOfDivisor { get; init; }

    /// <summary>Whether the divisor is a whole number of one digit.</summary>
    public bool IsShortWhole { get; init; }

    /// <summary>Whether the divisor goes into what stands before the point.</summary>
    public bool GoesIntoWhole { get; init; }

    /// <summary>Whether the divisor has places after its point.</summary>
    public bool IsShiftDue => DivisorPlaces > 0;

    /// <summary>Whether the dividend has fewer places than the divisor.</summary>
    public bool NeedsZeros => DividendPlaces < DivisorPlaces;
}

internal static class DecimalDivisionDecisions
{
    private static readonly Kind<DecimalQuotientContext>[] Kinds =
    [
        new("always", "always", _ => true),
        new("due", "when the divisor has a point", c => c.IsShiftDue),
        new("not-due", "when the divisor is a whole number", c => !c.IsShiftDue),
        new("whole-dividend", "when the dividend is a whole number", c => c.DividendPlaces == 0),
        new("by-tens", "when the divisor is 10, 100 or the like", c => c.ZerosOfDivisor > 0),
        new("short-whole", "when the divisor is a whole number of one digit", c => c.IsShortWhole),
        new("goes-into-whole", "when the divisor goes into what stands before the point", c => c.GoesIntoWhole),
        new("zeros", "when the dividend has fewer places", c => c.NeedsZeros),
        new("more-places", "when the dividend has more places", c => c.DividendPlaces > c.DivisorPlaces),
        new("same", "when both have the same number of places", c => c.DividendPlaces == c.DivisorPlaces),
    ];

    public static readonly Decision<DecimalQuotientContext, QuotientSplit> Split = new(
        "decimal-division.parts", "Is a decimal one number on both sides of its point?", QuotientSplit.OneNumber)
    {
        [QuotientSplit.OneNumber] = new("one-number", "divides all digits as one number"),
        [QuotientSplit.TwoNumbers] = new("two-numbers", "divides the parts before and after the point separately"),
        [QuotientSplit.TwoNumbersByWhole] = new("two-numbers-by-whole", "divides what stands before and behind the point apart, and drops what is left")
        { Needs = c => c.DivisorPlaces == 0 && c.DividendPlaces > 0 },
        [QuotientSplit.PointToTheRight] = new("point-to-the-right", "moves the point to the right by the zeros of the divisor") { Needs = c => c.ZerosOfDivisor > 0 },
        [QuotientSplit.PointOnePlace] = new("point-one-place", "moves the point one place to the left, however many zeros the divisor has")
        { Needs = c => c.ZerosOfDivisor > 1 },
        Kinds = Kinds,
        Idea = Ideas.PointIsNoWall,
    };

    private static readonly Property<DecimalQuotientContext>[] Numbers = [
        new("dividend", "the number of places of the dividend", c => c.DividendPlaces),
        new("divisor", "the number of places of the divisor", c => c.DivisorPlaces), new("digits", "the length of the answer", c => c.Digits),
    ];

    public static readonly ValueDecision<DecimalQuotientContext> Places = new("decimal-division.places", "How many places does the quotient get?")
    {
        Numbers = Numbers,
        Does = n => $"gives the quotient as many places as {n}",
        Kinds = Kinds,
        Idea = Ideas.PointStraightUp,
    };

    public static readonly ValueDecision<DecimalQuotientContext> Moved = new("decimal-division.moved", "How far does the point of the dividend move?")
    {
        Numbers = Numbers,
        Does = n => $"moves the point of the dividend so many places: {n}",
        Kinds = Kinds,
        ShowsIn = WorkFields.Scaled.Dividend,
        Idea = Ideas.BothPointsMove,
    };

    public static readonly Decision<DecimalQuotientContext, QuotientOrder> Order = new(
        "decimal-division.order", "Which number is divided by which?", QuotientOrder.AsSet)
    {
        [QuotientOrder.AsSet] = new("as-set", "divides the first number by the second"),
        [QuotientOrder.LargerBySmaller] = new("larger-by-smaller", "divides the larger number by the smaller"),
        [QuotientOrder.SecondByFirst] = new("second-by-first", "divides the second number by the first"),
        Kinds = Kinds,
        Idea = Ideas.DividendIsShared,
    };

    public static readonly Decision<DecimalQuotientContext, PointShift> Shift = new(
        "decimal-division.shift", "How far is each point moved?", PointShift.BothAlike)
    {
        [PointShift.BothAlike] = new("both-alike", "moves both points alike until the divisor is whole"),
        [PointShift.DivisorOnly] = new("divisor-only", "moves the point of the divisor only") { Needs = c => c.IsShiftDue, Slip = 0.7 },
        [PointShift.EachToItsEnd] = new("each-to-its-end", "moves each point to the end of its number") { Needs = c => c.DividendPlaces != c.DivisorPlaces },
        [PointShift.DividendTheOtherWay] = new("dividend-the-other-way", "moves the point of the dividend the other way") { Needs = c => c.IsShiftDue },
        [PointShift.DividendOneMore] = new("dividend-one-more", "moves the point of the dividend one place too far") { Slip = 0.7 },
        [PointShift.DividendOneFewer] = new("dividend-one-fewer", "moves the point of the dividend one place too few")
        { Needs = c => c.IsShiftDue, Slip = 0.7 },
        [PointShift.DividendByItsOwn] = new("dividend-by-its-own", "moves the point of the dividend by its own places")
        { Needs = c => c.DividendPlaces > 0 && c.DividendPlaces != c.DivisorPlaces },
        [PointShift.BothByDividend] = new("both-by-dividend", "moves both points by the places of the dividend")
        { Needs = c => c.DividendPlaces < c.DivisorPlaces },
        [PointShift.NotAtAll] = new("not-at-all", "moves no point of the dividend") { Needs = c => c.IsShiftDue },
        [PointShift.DividendTwice] = new("dividend-twice", "moves the point of the dividend twice as far") { Needs = c => c.IsShiftDue },
        Kinds = Kinds,
        ShowsIn = WorkFields.Scaled.Dividend,
        Idea = Ideas.BothPointsMove,
        IsTold = true,
    };

    public static readonly Decision<DecimalQuotientContext, ShiftZeros, int> Zeros = new(
        "decimal-division.shift-zeros", "What if the dividend has too few places to move its point?", ShiftZeros.Append)
    {
        [ShiftZeros.Append] = new("append", "appends zeros", c => c.Missing),
        [ShiftZeros.LeaveOut] = new("leave-out", "appends no zeros", _ => 0),
        [ShiftZeros.OneTooMany] = new("one-too-many", "appends one zero too many", c => c.Missing + 1),
        [ShiftZeros.OneOnly] = new("one-only", "appends one zero only", _ => 1),
        Kinds = [Kinds[0]],
        ShowsIn = WorkFields.Scaled.Dividend,
        Idea = Ideas.ZerosBehind,
        IsTold = true,
    };

    public static readonly Decision<DecimalQuotientContext, DecimalQuotientPoint, int> Point = new(
        "decimal-division.point", "Where does the point of the quotient go?", DecimalQuotientPoint.StraightUp)
    {
        [DecimalQuotientPoint.StraightUp] = new("straight-up", "puts the point straight above", c => c.Due),
        [DecimalQuotientPoint.PlacesTogether] = new("places-together", "counts the places of both numbers together", c => c.DividendPlaces + c.DivisorPlaces),
        [DecimalQuotientPoint.PlacesOfDividend] = new("places-of-dividend", "gives the quotient the places of the dividend", c => c.DividendPlaces),
        [DecimalQuotientPoint.PlacesOfDivisor] = new("places-of-divisor", "gives the quotient the places of the divisor", c => c.DivisorPlaces),
        [DecimalQuotientPoint.PlacesApart] = new("places-apart", "takes one count of places from the other", c => Math.Abs(c.DividendPlaces - c.DivisorPlaces)),
        [DecimalQuotientPoint.NoPoint] = new("no-point", "writes no point", _ => 0),
        [DecimalQuotientPoint.OneTooMany] = new("one-too-many", "puts the point one place too far left", c => c.Due + 1) { IsOneOfMany = true },
        [DecimalQuotientPoint.OneTooFew] = new("one-too-few", "puts the point one place too far right", c => c.Due > 0 ? c.Due - 1 : null) { IsOneOfMany = true },
        Kinds = Kinds,
        Idea = Ideas.PointStraightUp,
        IsTold = true,
    };

    /// <summary>The point wherever it looks right: the first that is never right, and others.</summary>
    public static IReadOnlyList<Deviation> SomePlace { get; } =
    [
        Point.Instead(DecimalQuotientPoint.OneTooMany), Point.Instead(DecimalQuotientPoint.OneTooFew), Point.Instead(DecimalQuotientPoint.NoPoint),
        Point.Instead(DecimalQuotientPoint.PlacesOfDividend), Point.Instead(DecimalQuotientPoint.PlacesTogether),
    ];

    /// <summary>All of them, in the order in which they come up, and those of signs and cycles.</summary>
    public static IReadOnlyList<Decision> All { get; } = [
        SignDecisions.OfProduct, Order, Split, Shift, Moved, Zeros, .. DivisionDecisions.InCycles, DivisionDecisions.Written, Point, Places,
    ];
}
