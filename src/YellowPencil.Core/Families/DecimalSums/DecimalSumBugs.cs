using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.Copying;
using YellowPencil.Core.Parts.DecimalColumns;
using YellowPencil.Core.Parts.Differences;
using YellowPencil.Core.Parts.Sums;
using static YellowPencil.Core.Engine.Commonness;
using At = YellowPencil.Core.Parts.DecimalColumns.DecimalSumDecisions;

namespace YellowPencil.Core.Families.DecimalSums;

/// <summary>The bugs of sums and differences of decimals; those of single columns are the bugs of column addition and subtraction.</summary>
internal static class DecimalSumBugs
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Bug> All { get; } = [.. SettingOut, .. Gaps, .. AcrossThePoint, .. Points];

    /// <summary>Which digits stand under each other.</summary>
    private static IEnumerable<Bug> SettingOut =>
    [
        Declare("right-ends-lined-up", "Lines the numbers up on the right", VeryCommon, Ideas.SamePlaceUnderSamePlace,
            "Writes the last digits under each other, as with whole numbers, and gives the answer the most places.",
            "With whole numbers lining up on the right is always right.",
            At.Alignment.Instead(DecimalAlignment.RightEnds)),
        Declare("right-ends-point-of-first", "Lines up on the right, point of the first number", Common, Ideas.SamePlaceUnderSamePlace,
            "Writes the last digits under each other and brings the point of the first number down.",
            "With whole numbers lining up on the right is always right, and the point that is met first is taken.",
            At.Alignment.Instead(DecimalAlignment.RightEnds), At.Point.Instead(SumPoint.AsFirst)),
        Declare("right-ends-point-of-last", "Lines up on the right, point of the last number", Uncommon, Ideas.SamePlaceUnderSamePlace,
            "Writes the last digits under each other and brings the point of the last number down.",
            "With whole numbers lining up on the right is always right, and the point just above the rule is taken.",
            At.Alignment.Instead(DecimalAlignment.RightEnds), At.Point.Instead(SumPoint.AsLast)),
        Declare("right-ends-without-point", "Lines up on the right and leaves the point away", Uncommon, Ideas.SamePlaceUnderSamePlace,
            "Works with the digits as whole numbers, lined up on the right, and writes no point.",
            "The points are passed over as if they were not there.",
            At.Alignment.Instead(DecimalAlignment.RightEnds), At.Point.Instead(SumPoint.Forgotten)),
        Declare("left-ends-lined-up", "Lines the numbers up on the left", Uncommon, Ideas.SamePlaceUnderSamePlace,
            "Writes the first digits under each other.",
            "Writing begins at the left, so the numbers do.",
            At.Alignment.Instead(DecimalAlignment.LeftEnds)),
        Declare("decimals-lined-up-right", "Decimals are lined up on the right", VeryCommon, Ideas.PlacesAfterPoint,
            "Writes the last digits of decimals under each other; a whole number keeps its place before the point.",
            "Numbers that look alike are lined up as whole numbers are.",
            At.Alignment.Instead(DecimalAlignment.DecimalsRight)),
        Declare("decimals-pushed-right", "The digits after the point are pushed to the right", Common, Ideas.PlacesAfterPoint,
            "Lines the points up, but pushes the digits after the point to the right edge: beside 4.75, 3.8 is worked as 3.08.",
            "The digits after the point are read as a whole number of their own.",
            At.Alignment.Instead(DecimalAlignment.PushedRight)),
        Declare("whole-under-last-place", "A whole number goes under the last place", VeryCommon, Ideas.HiddenPointOfWhole,
            "Puts a whole number under the last digits of the decimals, although decimals are lined up by their points.",
            "A number without a point is put where whole numbers are always put.",
            At.Whole.Instead(HiddenPoint.UnderLastPlace)),
        Declare("whole-read-as-decimals", "A whole number is read as decimals", Common, Ideas.HiddenPointOfWhole,
            "Reads a whole number as if the point stood before it, and puts the larger number on top.",
            "Where everything has a point, the whole number is given one in front.",
            CopyingDecisions.Reading.Instead(TaskRead.PointBeforeWhole), CopyingDecisions.Writing.Instead(AnswerWritten.SignOut)),
        Declare("whole-left-out", "A whole number is left out", Rare, Ideas.HiddenPointOfWhole,
            "Leaves a whole number out where the first number has a point.",
            "Without a point it does not seem to belong.",
            At.Whole.When(c => c.Row > 0 && !c.IsDifference).Instead(HiddenPoint.LeftOut)),
        Declare("takes-the-other-sign", "Takes plus for minus or minus for plus", Rare, Ideas.ReadTheSign,
            "Adds where something is to be taken away, and takes away where something is to be added.",
            "The sign is not read.",
            At.Procedure.Instead(SignRead.TheOther)),
        Declare("adds-differences", "Reads minus as plus", Uncommon, Ideas.ReadTheSign,
            "Adds decimals that are to be taken away.",
            "The sign is not read, or the page before was addition.",
            At.Procedure.When(c => c.IsDifference).Instead(SignRead.TheOther)),
        Declare("subtracts-sums", "Takes away instead of adding", Uncommon, Ideas.ReadTheSign,
            "Takes decimals away from each other that are to be added.",
            "The sign is not read, or the page before was subtraction.",
            At.Procedure.When(c => !c.IsDifference && c.Numbers == 2).Instead(SignRead.TheOther)),
    ];

    /// <summary>Places that one number does not have.</summary>
    private static IEnumerable<Bug> Gaps =>
    [
        Declare("gap-copies-bottom", "A gap above copies the bottom digit", VeryCommon, Ideas.GapIsZero,
            "Writes the bottom digit where the top number has none: 5.3 − 1.27 gives …7 in the last place.",
            "A digit without a partner is copied, as in additions.",
            At.Gap.Instead(TopGap.WriteBottom)),
        Declare("gap-taken-as-ten", "A gap above counts as ten", Common, Ideas.LenderPays,
            "Takes the bottom digit from ten where the top number has no digit; nobody lends the ten.",
            "The placeholder is made a ten at once, since a zero would not be enough.",
            At.Gap.Instead(TopGap.TenWithoutLending)),
        Declare("gap-gives-zero", "A gap above gives zero", Uncommon, Ideas.GapIsZero,
            "Writes 0 where the top number has no digit.",
            "“From nothing, nothing is left.”",
            At.Gap.Instead(TopGap.WriteZero)),
        Declare("lone-places-dropped", "Places without a partner are dropped", Common, Ideas.GapIsZero,
            "Works only with the places that all numbers have and drops the others.",
            "A column needs two digits.",
            At.Lone.Instead(LonePlaces.Drop)),
        Declare("lone-places-dropped-in-sums", "Places without a partner are dropped in sums", Uncommon, Ideas.EveryAddend,
            "In sums, works only with the places that all numbers have and drops the others.",
            "Adding needs two digits.",
            At.Lone.When(c => !c.IsDifference).Instead(LonePlaces.Drop)),
        Declare("lone-places-dropped-in-differences", "Places without a partner are dropped in differences", Uncommon, Ideas.GapIsZero,
            "In differences, works only with the places that both numbers have and drops the others.",
            "Where one number has ended, the work ends.",
            At.Lone.When(c => c.IsDifference).Instead(LonePlaces.Drop)),
    ];

    /// <summary>What happens where the work crosses the point.</summary>
    private static IEnumerable<Bug> AcrossThePoint =>
    [
        Declare("two-numbers", "Two numbers, one on each side of the point", VeryCommon, Ideas.PointIsNoWall,
            "Works the digits after the point as a whole number of their own, and those before it as another: 3.8 + 4.75 gives 7.83.",
            "The point is taken for a wall between two numbers.",
            At.Split.Instead(DecimalSplit.TwoNumbers)),
        Declare("two-numbers-in-sums", "Two numbers in sums", Common, Ideas.PointIsNoWall,
            "In sums, works the digits after the point as a whole number of their own.",
            "The point is taken for a wall between two numbers.",
            At.Split.When(c => !c.IsDifference).Instead(DecimalSplit.TwoNumbers)),
        Declare("two-numbers-in-differences", "Two numbers in differences", Uncommon, Ideas.PointIsNoWall,
            "In differences, works the digits after the point as a whole number of their own.",
            "The point is taken for a wall between two numbers.",
            At.Split.When(c => c.IsDifference).Instead(DecimalSplit.TwoNumbers)),
        Declare("tenths-written-whole", "Ten tenths and more stay tenths", VeryCommon, Ideas.PointIsNoWall,
            "Writes both digits under the tenths where they come to ten or more; nothing is carried past the point.",
            "The point is taken for a wall: nothing moves past it.",
            AdditionDecisions.Ten.When(c => c.Column == -1).Instead(TenOrMore.WriteBoth)),
        Declare("carry-lost-at-point", "The carry is lost at the point", Common, Ideas.PointIsNoWall,
            "Writes the ones of ten tenths and more and does not carry past the point.",
            "The point is taken for a wall: nothing moves past it.",
            AdditionDecisions.Ten.When(c => c.Column == -1).Instead(TenOrMore.WriteOnesCarryNothing)),
        Declare("carry-not-counted-past-point", "The carry is not counted past the point", Rare, Ideas.PointIsNoWall,
            "Adds the ones without the carry that comes from the tenths, and counts it among the tens.",
            "The mark is put down beyond the point and looked for one column further on.",
            AdditionDecisions.Into.When(c => c.Column == -1).Instead(CarryInto.ColumnAfterNext)),
        Declare("no-renaming-past-point", "Nothing is {renamed} past the point", VeryCommon, Ideas.PointIsNoWall,
            "Turns the tenths round where the top digit is too small; elsewhere {renames}.",
            "The point is taken for a wall: the ones cannot lend to the tenths.",
            SubtractionDecisions.Column.When(c => c.Column == -1 && c.TopIsShort).Instead(ColumnChoice.TurnRound)),
        Declare("ones-not-reduced", "The ones lend to the tenths and stay", Common, Ideas.LenderPays,
            "Gives the tenths ten, but does not make the ones one less.",
            "Past the point, what was taken is out of sight.",
            SubtractionDecisions.LenderValue.When(c => c.Column >= 0 && c.Receiver < 0).Instead(LenderLeft.Unchanged)),
        Declare("tenths-get-one", "The tenths get one, not ten", Uncommon, Ideas.TenForOne,
            "Makes the tenths one more where the ones lend to them.",
            "One is taken, so one is given.",
            SubtractionDecisions.Receiver.When(c => c.Column == -1).Instead(ReceiverGets.OneMore)),
        Declare("zero-tenths-when-short", "Zero tenths where there are too few", Uncommon, Ideas.PointIsNoWall,
            "Writes 0 in the tenths where the top digit is too small.",
            "The ones cannot lend past the point, so nothing is left.",
            SubtractionDecisions.Column.When(c => c.Column == -1 && c.TopIsShort).Instead(ColumnChoice.WriteZero)),
    ];

    /// <summary>Where the point of the answer goes.</summary>
    private static IEnumerable<Bug> Points =>
    [
        Declare("point-forgotten", "The point is forgotten", Common, Ideas.PointComesDown,
            "Works properly and writes no point in the answer.",
            "The point is put in at the end, and the end is forgotten.",
            At.Point.Instead(SumPoint.Forgotten)),
        Declare("point-forgotten-in-sums", "The point is forgotten in sums", Rare, Ideas.PointComesDown,
            "Writes no point in the answer of a sum.",
            "The point is put in at the end, and the end is forgotten.",
            At.Point.When(c => !c.IsDifference).Instead(SumPoint.Forgotten)),
        Declare("places-of-both-counted", "The places of both numbers are counted together", Common, Ideas.PointComesDown,
            "Gives the answer as many places as both numbers have together.",
            "The rule of products is used for sums.",
            At.Point.When(c => c.Numbers == 2).Instead(SumPoint.PlacesTogether)),
        Declare("point-of-first", "The point of the first number", Uncommon, Ideas.PointComesDown,
            "Lines the points up, but gives the answer the places of the first number.",
            "The first number is thought to set the form of the answer.",
            At.Point.Instead(SumPoint.AsFirst)),
        Declare("point-of-last", "The point of the last number", Uncommon, Ideas.PointComesDown,
            "Lines the points up, but gives the answer the places of the last number.",
            "The number just above the rule is looked at when the point is put in.",
            At.Point.Instead(SumPoint.AsLast)),
        Declare("fewest-places", "The fewest places", Rare, Ideas.PointComesDown,
            "Lines the points up, but gives the answer as few places as the number with the fewest.",
            "The shorter number is thought to limit the answer.",
            At.Point.Instead(SumPoint.FewestPlaces)),
        Declare("point-after-first-digit", "The point goes after the first digit", Rare, Ideas.PointComesDown,
            "Puts the point after the first digit of the answer.",
            "Most decimals met so far had one digit before the point.",
            At.Point.Instead(SumPoint.AfterFirstDigit)),
    ];

    private static Bug Declare(
        string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, params Deviation[] deviations) =>
        Bug.Declare(DecimalSumFamily.Instance, id, name, commonness, idea, text, reason, deviations);
}
