using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.Divisions;
using static YellowPencil.Core.Engine.Commonness;
using At = YellowPencil.Core.Families.DecimalDivision.DecimalDivisionDecisions;

namespace YellowPencil.Core.Families.DecimalDivision;

/// <summary>The bugs of the division of decimals; those of the cycles and of signs are the bugs of these families.</summary>
internal static class DecimalDivisionBugs
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Bug> All { get; } = [.. Shifts, .. Quotients];

    /// <summary>How the points are moved.</summary>
    private static IEnumerable<Bug> Shifts =>
    [
        Declare("divisor-point-only", "Only the point of the divisor moves", VeryCommon, Ideas.BothPointsMove,
            "Makes the divisor whole and leaves the point of the dividend where it is.",
            "Dividing by a whole number is what is wanted; that the other number has to follow is not seen.",
            At.Shift.When(c => c.IsShiftDue).Instead(PointShift.DivisorOnly)),
        Declare("each-point-to-its-end", "Each point moves to the end of its number", VeryCommon, Ideas.BothPointsMove,
            "Makes both numbers whole, each by its own count of places.",
            "“Get rid of the points” is done for each number alone.",
            At.Shift.Instead(PointShift.EachToItsEnd)),
        Declare("each-point-to-its-end-when-due", "Each point moves to its end where the divisor has one", Uncommon, Ideas.BothPointsMove,
            "Where the divisor has a point, makes both numbers whole, each by its own count of places.",
            "“Get rid of the points” begins with the divisor and goes on with the dividend.",
            At.Shift.When(c => c.IsShiftDue).Instead(PointShift.EachToItsEnd)),
        Declare("dividend-point-to-end-only", "The dividend is made whole by a whole number", Uncommon, Ideas.BothPointsMove,
            "Where the divisor is a whole number, drops the point of the dividend.",
            "Points are thought to have to go before dividing.",
            At.Shift.When(c => !c.IsShiftDue).Instead(PointShift.EachToItsEnd)),
        Declare("dividend-point-moves-left", "The point of the dividend moves the other way", Common, Ideas.BothPointsMove,
            "Moves the point of the divisor to the right and that of the dividend as far to the left.",
            "What one number gains the other is thought to lose.",
            At.Shift.When(c => c.IsShiftDue).Instead(PointShift.DividendTheOtherWay)),
        Declare("dividend-point-one-too-far", "The point of the dividend moves one place too far", Uncommon, Ideas.BothPointsMove,
            "Moves the point of the dividend one place further than that of the divisor.",
            "The places are counted with the point.",
            At.Shift.When(c => c.IsShiftDue).Instead(PointShift.DividendOneMore)),
        Declare("dividend-point-one-too-few", "The point of the dividend moves one place too few", Uncommon, Ideas.BothPointsMove,
            "Moves the point of the dividend one place less than that of the divisor.",
            "The start is counted as the first place.",
            At.Shift.When(c => c.DivisorPlaces > 1).Instead(PointShift.DividendOneFewer)),
        Declare("dividend-point-by-own-places", "The dividend moves by its own places", Rare, Ideas.BothPointsMove,
            "Moves the point of the dividend to its end, but appends zeros where it is a whole number.",
            "A number with a point is made whole; one without gets as many zeros as the other moved.",
            At.Shift.When(c => c.IsShiftDue && c.DividendPlaces > 0).Instead(PointShift.DividendByItsOwn)),
        Declare("whole-dividend-stays", "A whole dividend stays as it is", Common, Ideas.HiddenPointOfWhole,
            "Makes the divisor whole and leaves a dividend without a point unchanged.",
            "A whole number has no point that could be moved.",
            At.Shift.When(c => c.IsShiftDue && c.DividendPlaces == 0).Instead(PointShift.DivisorOnly)),
        Declare("shift-without-zeros", "No zeros where the dividend runs out", Common, Ideas.ZerosBehind,
            "Moves the point of the dividend to its end and appends no zeros where it should move further.",
            "When the digits are used up the moving is thought to be done.",
            At.Zeros.Instead(ShiftZeros.LeaveOut)),
        Declare("one-shift-zero-too-many", "One zero too many where the dividend runs out", Rare, Ideas.ZerosBehind,
            "Appends one zero more than is due where the point of the dividend moves past its end.",
            "A zero is appended for every place moved, and the digits there are not counted.",
            At.Zeros.Instead(ShiftZeros.OneTooMany)),
        Declare("larger-by-smaller", "The larger by the smaller", Common, Ideas.DividendIsShared,
            "Divides the larger number by the smaller, whichever comes first.",
            "Dividing is thought to need the larger number inside.",
            At.Order.When(c => c.DividendIsSmaller).Instead(QuotientOrder.LargerBySmaller)),
        Declare("second-by-first", "The second number by the first", Rare, Ideas.DividendIsShared,
            "Divides the second number by the first.",
            "The item is read from left to right while the layout is written from the divisor.",
            At.Order.Instead(QuotientOrder.SecondByFirst)),
    ];

    /// <summary>The point and the zeros of the quotient.</summary>
    private static IEnumerable<Bug> Quotients =>
    [
        Declare("places-counted-as-in-products", "The places are counted as in products", Common, Ideas.PointStraightUp,
            "Gives the quotient as many places as both numbers had together.",
            "The rule of products is used for quotients.",
            At.Point.Instead(DecimalQuotientPoint.PlacesTogether)),
        Declare("places-of-dividend", "The places of the dividend", Common, Ideas.PointStraightUp,
            "Gives the quotient as many places as the dividend was set with.",
            "The point is brought up from where it stood before it was moved, or the dividend is thought to set the form.",
            At.Point.Instead(DecimalQuotientPoint.PlacesOfDividend)),
        Declare("places-of-divisor", "The places of the divisor", Rare, Ideas.PointStraightUp,
            "Gives the quotient as many places as the point of the divisor was moved.",
            "The point is moved back at the end.",
            At.Point.When(c => c.IsShiftDue).Instead(DecimalQuotientPoint.PlacesOfDivisor)),
        Declare("point-by-feel", "The point by feel", Rare, Ideas.PointStraightUp,
            "Gets the digits right and puts the point somewhere, without looking where it stood.",
            "Where a point belongs is a matter of how the number looks.",
            At.SomePlace[0]).Or(At.SomePlace.Skip(1)),
        Declare("zero-after-point-left-out", "A zero straight after the point is left out", VeryCommon, Ideas.EveryDigitBroughtDownCounts,
            "Writes nothing where the divisor does not go into the first places after the point: 0.06 becomes 0.6.",
            "As at the beginning of a number, more digits are taken until it goes.",
            DivisionDecisions.Fits.When(c => c.IsAfterPoint && !c.HasDigit).Instead(TooSmall.WriteNothing)),
        Declare("zero-among-decimals-left-out", "A zero among the decimals is left out", Common, Ideas.EveryDigitBroughtDownCounts,
            "Writes nothing where the divisor does not go in after the point.",
            "“It does not go” is taken to mean that nothing is written.",
            DivisionDecisions.Fits.When(c => c.IsAfterPoint).Instead(TooSmall.WriteNothing)),
        Declare("zero-before-point-left-out", "A zero just before the point is left out", Uncommon, Ideas.EveryDigitBroughtDownCounts,
            "Writes nothing where the divisor does not go in before the point, and zeros after it.",
            "The point is thought to stand in for the digit.",
            DivisionDecisions.Fits.When(c => !c.IsAfterPoint && c.HasDigit).Instead(TooSmall.WriteNothing)),
        Declare("zeros-not-appended-after-point", "No zeros where the dividend ends after the point", Common, Ideas.ZerosGoOn,
            "Stops where the digits of the dividend end, although something is left after the point.",
            "When the digits are used up the work is thought to be done.",
            DivisionDecisions.Extend.When(c => c.AsksDecimal && c.IsAfterPoint && c.Appended == 0).Instead(Extension.Finish)),
    ];

    private static Bug Declare(
        string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, params Deviation[] deviations) =>
        Bug.Declare(DecimalDivisionFamily.Instance, id, name, commonness, idea, text, reason, deviations);
}
