using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Engine.Commonness;
using At = YellowPencil.Core.Families.Roots.RootDecisions;

namespace YellowPencil.Core.Families.Roots;

/// <summary>The bugs of square roots by hand.</summary>
internal static class RootBugs
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Bug> All { get; } = [.. Squares, .. Between, .. Rounding];

    /// <summary>The number, and the squares beside it.</summary>
    private static IEnumerable<Bug> Squares =>
    [
        Declare("half-of-the-number", "Half of the number", VeryCommon, Ideas.RootUndoesSquare,
            "Takes half of the number as its root, where it is no square.",
            "Square and double are mixed up.",
            At.Procedure.Instead(RootChoice.HalfOfNumber)),
        Declare("number-halved-first", "The number is halved first", Rare, Ideas.RootUndoesSquare,
            "Takes half of the number and estimates the root of that.",
            "Root and half are both done.",
            At.Under.Instead(UnderRoot.Halved)),
        Declare("point-cut-off", "What stands behind the point is left out", Common, Ideas.RootUndoesSquare,
            "Leaves out what stands behind the point of the number under the root.",
            "Roots are known of whole numbers.",
            At.Under.Instead(UnderRoot.WholePartOnly)),
        Declare("squared-part-by-part", "Tens and ones are squared apart", Uncommon, Ideas.BetweenNeighbours,
            "Squares tens and ones apart: 18 times 18 is taken for 100 and 64.",
            "Squaring is shared out like a factor.",
            At.Known.Instead(SquareKnown.PartByPart)),
        Declare("doubled-for-squared", "Doubled for squared", Uncommon, Ideas.RootUndoesSquare,
            "Doubles numbers instead of squaring them when the two squares are looked for.",
            "Power two is taken as times two.",
            At.Known.Instead(SquareKnown.Doubled)),
    ];

    /// <summary>Between two squares.</summary>
    private static IEnumerable<Bug> Between =>
    [
        Declare("nearest-whole-root", "The nearest whole root", VeryCommon, Ideas.PartOfTheWay,
            "Writes the root of the nearer square.",
            "Roots are whole numbers.",
            At.Procedure.Instead(RootChoice.NearestWhole)),
        Declare("lower-root-only", "The lower root", Common, Ideas.PartOfTheWay,
            "Writes the lower root.",
            "The number is past it, and the next is not reached.",
            At.Procedure.Instead(RootChoice.LowerRoot)),
        Declare("always-half-way", "Always half-way", Common, Ideas.PartOfTheWay,
            "Writes the number half-way between the two roots.",
            "Between is read as in the middle.",
            At.Procedure.Instead(RootChoice.HalfWay)),
        Declare("first-guess-kept", "The first guess is kept", Common, Ideas.SquareTheGuess,
            "Names a tenth by eye, near the lower root, in the middle or near the upper one, and keeps it whatever its square comes to.",
            "Squaring the guess is one more thing to do, not the way to mend it.",
            At.Procedure.Instead(RootChoice.FirstGuess)),
        Declare("some-tenth-kept", "Some tenth is kept", Rare, Ideas.SquareTheGuess,
            "Names some tenth between the two roots and keeps it whatever its square comes to.",
            "That it lies between the roots is thought to be all that is asked.",
            At.SomeTenth[0]).Or(At.SomeTenth.Skip(1)),
        Declare("nearest-root-added", "The distance is added to the nearest root", Uncommon, Ideas.PartOfTheWay,
            "Adds the distance to the nearest square to its root, also where the number lies below it.",
            "One begins at the nearer end and counts on.",
            At.Procedure.Instead(RootChoice.NearestRootAdded)),
        Declare("gap-as-tenths", "The distance read as tenths", Common, Ideas.PartOfTheWay,
            "Writes the distance from the lower square as tenths behind the lower root.",
            "The distance is a number, and it belongs behind the point.",
            At.Procedure.Instead(RootChoice.GapAsTenths)),
        Declare("both-ends-counted", "Both ends are counted", Common, Ideas.PartOfTheWay,
            "Counts the lower square as the first step of the distance.",
            "Counting begins with the number where one stands.",
            At.Numerator.Instead(GapNumerator.BothEndsCounted)),
        Declare("distance-to-upper", "The distance to the upper square", Common, Ideas.FromTheLowerRoot,
            "Takes the distance to the upper square and adds the fraction to the lower root.",
            "It is the distance that is left.",
            At.Numerator.Instead(GapNumerator.ToUpper)),
        Declare("over-lower-root", "Divided by the lower root", Uncommon, Ideas.PartOfTheWay,
            "Divides the distance by the lower root.",
            "The root is the number at hand.",
            At.Denominator.Instead(GapDenominator.LowerRoot)),
        Declare("over-upper-square", "Divided by the upper square", Uncommon, Ideas.PartOfTheWay,
            "Divides the distance by the upper square.",
            "The upper square is taken for the whole.",
            At.Denominator.Instead(GapDenominator.UpperSquare)),
        Declare("over-hundred", "Divided by a hundred", Rare, Ideas.PartOfTheWay,
            "Divides the distance by a hundred, by habit.",
            "Behind a point are hundredths.",
            At.Denominator.Instead(GapDenominator.Hundred)),
        Declare("from-upper-root", "The fraction is added to the upper root", Uncommon, Ideas.FromTheLowerRoot,
            "Adds the fraction to the upper root.",
            "The upper root is written last, and one goes on from it.",
            At.From.Instead(CountedFrom.UpperRoot)),
        Declare("divided-upside-down", "Divided upside down", Uncommon, Ideas.FromTheLowerRoot,
            "Divides the distance of the squares by that of the number.",
            "The larger number is divided by the smaller.",
            At.Divided.Instead(GapDivided.UpsideDown)),
        Declare("zero-behind-point-left-out", "The zero behind the point is left out", Common, Ideas.PartOfTheWay,
            "Leaves out the zero behind the point when the fraction is divided out.",
            "Nothing goes in, so nothing is written.",
            At.Divided.Instead(GapDivided.ZeroLeftOut)),
    ];

    private static IEnumerable<Bug> Rounding =>
    [
        Declare("cut-off", "Cut off instead of rounded", VeryCommon, Ideas.RoundedOnce,
            "Cuts the estimate off behind the place.",
            "The place is reached, and the rest goes.",
            At.Round.Instead(RootRounded.CutOff)),
        Declare("always-up", "Always rounded up", Uncommon, Ideas.RoundedOnce,
            "Rounds the estimate up whatever the next digit is.",
            "Something is left, so it is more.",
            At.Round.Instead(RootRounded.AlwaysUp)),
        Declare("rounded-twice", "Rounded twice", Uncommon, Ideas.RoundedOnce,
            "Rounds to the next place first and then once more.",
            "Each place is rounded by the one behind it.",
            At.End.Instead(DivisionEnd.RoundedThere)),
        Declare("to-nearest-half", "Rounded to the nearest half", Uncommon, Ideas.RoundedOnce,
            "Rounds the estimate to the nearest half.",
            "Halves are what lies between.",
            At.Round.Instead(RootRounded.ToHalf)),
    ];

    private static Bug Declare(
        string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, params Deviation[] deviations) =>
        Bug.Declare(RootFamily.Instance, id, name, commonness, idea, text, reason, deviations);
}
