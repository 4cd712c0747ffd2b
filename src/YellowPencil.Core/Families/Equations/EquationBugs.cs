using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.SignRules;
using static YellowPencil.Core.Engine.Commonness;
using At = YellowPencil.Core.Families.Equations.EquationDecisions;
using Last = YellowPencil.Core.Families.Equations.LastStepDecisions;

namespace YellowPencil.Core.Families.Equations;

/// <summary>The bugs of linear equations.</summary>
internal static class EquationBugs
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Bug> All { get; } = [.. Sides, .. Moving, .. Alone];

    /// <summary>Brackets, and what stands on one side.</summary>
    private static IEnumerable<Bug> Sides =>
    [
        Declare("first-term-only", "The number before a bracket meets the first term only", VeryCommon, Ideas.FactorReachesAll,
            "Multiplies only the first term of a bracket by the number before it.",
            "It stands next to the first term.",
            At.Meets.When(c => c.At > 0).Instead(MeetsTerm.Copied)),
        Declare("last-term-only", "The first term of a bracket is copied", Uncommon, Ideas.FactorReachesAll,
            "Copies the first term of a bracket; the others are multiplied by the number before it.",
            "Plain numbers are what is multiplied, as in 3 times 4; a letter stays what it is.",
            At.Meets.When(c => c.At == 0).Instead(MeetsTerm.Copied)),
        Declare("number-before-bracket-added", "The number before a bracket is added", Rare, Ideas.FactorReachesAll,
            "Adds the number before a bracket to each term of it.",
            "No sign stands between them.",
            At.Meets.Instead(MeetsTerm.Added)),
        Declare("bracket-left-off", "Brackets are left off", Uncommon, Ideas.FactorReachesAll,
            "Leaves off a bracket with the number before it, and keeps its sign.",
            "Brackets are taken for decoration.",
            At.Before.Instead(BeforeBracket.LeftOut)),
        Declare("minus-before-bracket-lost", "The minus before a bracket is lost", Common, Ideas.MinusTurnsAll,
            "Multiplies a bracket by the number before it without its minus.",
            "The minus is taken as the end of the term before.",
            At.Before.Instead(BeforeBracket.MinusLost)),
        Declare("minus-meets-first-term-only", "The minus before a bracket meets the first term only", VeryCommon, Ideas.MinusTurnsAll,
            "Multiplies each term of a bracket, and gives later terms the sign that stands in it where a minus stands before the bracket.",
            "The minus stands next to the first term.",
            At.Meets.When(c => c.Before < 0 && c.At > 0).Instead(MeetsTerm.MultipliedSignKept)),
        Declare("both-minus-minus", "Minus times minus is minus", Common, Ideas.SameSignsPositive,
            "Writes a minus where a negative term is multiplied by a negative number.",
            "Minus in, minus out.",
            SignDecisions.OfProduct.When(c => c.FirstIsNegative && c.SecondIsNegative && !c.IsQuotient).Instead(ProductSign.Negative)),
        Declare("turned-round", "A side is turned round without its signs", Uncommon, Ideas.TermBringsItsSign,
            "Turns 7 − 3x round to 3x − 7.",
            "The letter is to come first; the minus stays in the middle.",
            At.Order.Instead(SideOrder.NumbersExchanged)),
        Declare("sizes-added-on-a-side", "Sizes added on one side", Uncommon, Ideas.OppositesCancel,
            "Adds like terms of one side without their signs.",
            "Collecting is read as adding.",
            At.Sum.When(c => c.First < 0 != c.Second < 0).Instead(SideSum.SizesAdded)),
        Declare("joined", "Letter and number are put together", VeryCommon, Ideas.LettersAndNumbersApart,
            "Puts a letter and a number on one side together, and then divides one number by the other.",
            "A plus asks to be done.",
            At.Join.Instead(OneSide.Joined), At.Letters.When(c => c.AreAlone).Instead(LettersMoved.Divided)),
        Declare("joined-as-number", "Letter and number become a number", Uncommon, Ideas.LettersAndNumbersApart,
            "Puts a letter and a number together as a plain number.",
            "The letter is passed over.",
            At.Join.Instead(OneSide.JoinedAsNumber)),
    ];

    /// <summary>Letters to one side, numbers to the other.</summary>
    private static IEnumerable<Bug> Moving =>
    [
        Declare("letters-added", "Letters are added when they are moved", Common, Ideas.LettersFromBothSides,
            "Adds the letters of the right to those of the left.",
            "What is moved keeps its sign.",
            At.Letters.Instead(LettersMoved.AddedToLeft)),
        Declare("letters-crossed-off", "Letters are crossed off", Common, Ideas.LettersFromBothSides,
            "Crosses the letters of the right off without changing the left.",
            "The letter has to be on one side only.",
            At.Letters.Instead(LettersMoved.CrossedOff)),
        Declare("fewer-letters-from-more", "Fewer letters from more", Uncommon, Ideas.LettersFromBothSides,
            "Takes the fewer letters from the more, on whichever side they stand, and leaves the numbers where they are.",
            "Taking the smaller from the larger always works.",
            At.Letters.Instead(LettersMoved.LargerLessSmaller)),
        Declare("number-added", "The number is added when it is moved", VeryCommon, Ideas.SameOnBothSides,
            "Adds the number of the left to the right instead of taking it from both sides.",
            "What is moved keeps its sign.",
            At.Number.Instead(NumberMoved.AddedToRight)),
        Declare("number-added-when-positive", "A positive number is added when it is moved", Common, Ideas.SameOnBothSides,
            "Adds a positive number of the left to the right.",
            "Plus is done where plus is seen.",
            At.Number.When(c => c.First > 0).Instead(NumberMoved.AddedToRight)),
        Declare("negative-number-taken-away", "A negative number is taken away when it is moved", Common, Ideas.SameOnBothSides,
            "Takes a number with a minus away from the right as well.",
            "Minus is done where minus is seen.",
            At.Number.When(c => c.First < 0).Instead(NumberMoved.AddedToRight)),
        Declare("number-reversed", "The right is taken from the number", Uncommon, Ideas.SecondFromFirst,
            "Takes the right side from a positive number that is moved.",
            "The number that is moved is written first.",
            At.Number.When(c => c.First > 0).Instead(NumberMoved.Reversed)),
        Declare("larger-less-smaller", "The larger number less the smaller", Common, Ideas.SecondFromFirst,
            "Takes the smaller of two positive numbers from the larger when a number is moved.",
            "Taking the smaller from the larger always works.",
            At.Number.When(c => c is { First: > 0, Second: > 0 }).Instead(NumberMoved.LargerLessSmaller),
            At.Sum.When(c => c is { First: > 0, Second: < 0, IsLeft: false, HaveLetter: false }).Instead(SideSum.SizesApart)),
        Declare("number-crossed-off", "The number is crossed off", Common, Ideas.SameOnBothSides,
            "Crosses the number off on the left and leaves the right as it is.",
            "It only has to go.",
            At.Number.Instead(NumberMoved.CrossedOff)),
    ];

    /// <summary>The last step.</summary>
    private static IEnumerable<Bug> Alone =>
    [
        Declare("number-taken-away", "The number before the letter is taken away", VeryCommon, Ideas.LastDoneFirstUndone,
            "Takes the number before the letter away instead of dividing by it.",
            "Everything is undone by the opposite sign.",
            Last.Divide.Instead(NumberBefore.TakenAway)),
        Declare("divided-upside-down", "Divided upside down", Common, Ideas.DividingUndoesTimes,
            "Divides the number before the letter by the other.",
            "The number in front is read first.",
            Last.Divide.Instead(NumberBefore.UpsideDown)),
        Declare("larger-by-smaller", "The larger by the smaller", Common, Ideas.DividingUndoesTimes,
            "Divides the larger number by the smaller, whichever stands before the letter.",
            "One divides a large number by a small one.",
            Last.Divide.Instead(NumberBefore.LargerBySmaller)),
        Declare("multiplied", "Multiplied instead of divided", Uncommon, Ideas.DividingUndoesTimes,
            "Multiplies by the number before the letter.",
            "The number means times, and times is done.",
            Last.Divide.Instead(NumberBefore.Multiplied)),
        Declare("whole-part-only", "Only the whole part", Common, Ideas.DividingUndoesTimes,
            "Writes only the whole part where the division does not come out.",
            "Answers are whole numbers.",
            Last.Written.When(c => c.LeavesRest).Instead(SolutionWritten.WholePart)),
        Declare("rest-behind-point", "What is left behind a point", Uncommon, Ideas.DividingUndoesTimes,
            "Writes what is left behind a point where the division does not come out.",
            "Remainder and decimals are mixed up.",
            Last.Written.When(c => c.LeavesRest).Instead(SolutionWritten.RestBehindPoint)),
        Declare("minus-of-letter-lost", "The minus before the letter is lost", Common, Ideas.DividingUndoesTimes,
            "Divides by the number before the letter without its minus.",
            "The minus belongs to the line, not to the number.",
            Last.Minus.Instead(MinusBefore.Lost)),
        Declare("bare-minus-lost", "−x is read as x", Common, Ideas.DividingUndoesTimes,
            "Loses the minus before a letter that has no number.",
            "No number stands before the letter, so there seems to be nothing to divide by.",
            Last.Minus.When(c => c.First == -1).Instead(MinusBefore.Lost)),
        Declare("solution-not-in-lowest-terms", "The solution is not in lowest terms", Uncommon, Ideas.LowestTerms,
            "Leaves the fraction as it came from the division.",
            "The letter stands alone, so the work is done.",
            Last.Written.Instead(SolutionWritten.NotInLowestTerms)),
        Declare("minus-by-minus-minus", "Minus divided by minus is minus", Common, Ideas.SameSignsPositive,
            "Writes a minus where a negative number is divided by a negative one.",
            "Minus stays minus.",
            SignDecisions.OfProduct.When(c => c.FirstIsNegative && c.SecondIsNegative && c.IsQuotient).Instead(ProductSign.Negative)),
        Declare("no-letter-zero", "0 where no letter is left", Common, Ideas.FalseOrAlwaysTrue,
            "Writes 0 where no letter is left.",
            "The letters are gone, so nothing is there.",
            At.Gone.Instead(NoLetterLeft.Zero)),
        Declare("none-and-all-exchanged", "None and all exchanged", Rare, Ideas.FalseOrAlwaysTrue,
            "Writes all where the equation is false, and none where it is true.",
            "Two words are known, and which is which is not.",
            At.Gone.Instead(NoLetterLeft.Exchanged)),
    ];

    private static Bug Declare(
        string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, params Deviation[] deviations) =>
        Bug.Declare(EquationFamily.Instance, id, name, commonness, idea, text, reason, deviations);
}
