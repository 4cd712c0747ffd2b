using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Engine.Commonness;
using At = YellowPencil.Core.Families.Factoring.FactoringDecisions;
using Gaps = YellowPencil.Core.Families.Factoring.GapDecisions;

namespace YellowPencil.Core.Families.Factoring;

/// <summary>The bugs of factoring quadratics.</summary>
internal static class FactoringBugs
{
    private static readonly School ByGap = School.Usual.With(School.Factoring, (int)FactoringSchool.MiddleAndGap);

    /// <summary>All of them.</summary>
    public static IReadOnlyList<Bug> All { get; } = [.. TakenOut, .. Numbers, .. FirstNumbers, .. MiddleAndGap];

    /// <summary>What all terms have, and two squares.</summary>
    private static IEnumerable<Bug> TakenOut =>
    [
        Declare("common-left-in", "What all terms have is left in", Common, Ideas.CommonToAll,
            "Does not take out what all terms have.",
            "The routine of two numbers begins at once.",
            At.Common.Instead(CommonFactor.LeftIn)),
        Declare("common-not-from-last", "Not taken out of the last number", Common, Ideas.CommonToAll,
            "Takes a common factor out of the terms with the letter and leaves the last number as it is.",
            "What is common is looked for on the letters.",
            At.Common.Instead(CommonFactor.NotFromLast)),
        Declare("first-number-pulled", "The first number is pulled out of the first term", Uncommon, Ideas.CommonToAll,
            "Pulls the first number out of the first term only and leaves it in front.",
            "The square is to stand alone.",
            At.Common.Instead(CommonFactor.FirstNumberPulled)),
        Declare("half-taken-out", "Half of what all terms have", Uncommon, Ideas.CommonToAll,
            "Takes out only half of what all terms have.",
            "A common factor was found, and the search ends.",
            At.Common.Instead(CommonFactor.OfNumbersHalf)),
        Declare("letter-lost", "The letter is lost", Common, Ideas.CommonToAll,
            "Takes the letter out of both terms and forgets it.",
            "The letters cancel.",
            At.Letter.Instead(CommonLetter.Lost)),
        Declare("letter-kept", "The letter is taken out and kept", Uncommon, Ideas.CommonToAll,
            "Takes the letter out and leaves it in the second term as well.",
            "The second term is divided by the number only.",
            At.Letter.Instead(CommonLetter.LeftInSecond)),
        Declare("squares-prime", "Two squares are said to be prime", Common, Ideas.RootsOfBothSquares,
            "Says prime where there is no term in the middle.",
            "There is no sum to look for.",
            At.Squares.Instead(TwoSquares.SaysPrime)),
        Declare("squares-number-not-rooted", "The number before the letter is not rooted", Common, Ideas.RootsOfBothSquares,
            "Roots the last number of a difference of squares and not the one before the letter.",
            "The root is seen on the letter only.",
            At.Squares.Instead(TwoSquares.NumberNotRooted)),
        Declare("squares-halved", "Halved instead of rooted", Common, Ideas.RootsOfBothSquares,
            "Halves an even number of a difference of squares instead of rooting it.",
            "Root and half are mixed up.",
            At.Squares.Instead(TwoSquares.Halved)),
        Declare("squares-same-signs", "The same sign twice", Common, Ideas.RootsOfBothSquares,
            "Writes both brackets of a difference of squares with a minus.",
            "A minus in the task makes minus.",
            At.Squares.Instead(TwoSquares.SameSigns)),
    ];

    /// <summary>The two numbers and their signs.</summary>
    private static IEnumerable<Bug> Numbers =>
    [
        Declare("first-pair-of-product", "The first pair with the product", VeryCommon, Ideas.SumAndProduct,
            "Takes the first two numbers with the right product, from 2 on, and does not look at the sum.",
            "One condition holds, and the search ends.",
            At.Numbers.Instead(TwoNumbers.FirstPairOfProduct)),
        Declare("product-only", "Some pair with the product", Uncommon, Ideas.SumAndProduct,
            "Takes some pair of numbers with the right product and does not check the sum.",
            "First and last term come out right, and the middle is not worked out.",
            At.OtherPairs[0]).Or(At.OtherPairs.Skip(1)),
        Declare("one-and-last", "The first combination whose ends fit", VeryCommon, Ideas.SumAndProduct,
            "Takes the first combination whose ends fit, and does not work the middle out.",
            "First and last fit, so it looks right.",
            At.Numbers.Instead(TwoNumbers.OneAndLast)),
        Declare("product-of-last-only", "The product of the last number only", Common, Ideas.FirstNumberIsShared,
            "Looks for two numbers with the last number as their product although the first number is not 1, and does not root the first number of two "
                + "squares.",
            "The first number is not yet part of the routine.",
            At.Numbers.Instead(TwoNumbers.ProductOfLastOnly), At.Squares.Instead(TwoSquares.NumberNotRooted)),
        Declare("middle-read-positive", "The minus of the middle is passed over", Common, Ideas.SignsOfTheTwo,
            "Looks for two numbers with the middle as their sum, and passes over its minus.",
            "One looks for numbers, not for signs.",
            At.Numbers.Instead(TwoNumbers.MiddleReadPositive)),
        Declare("signs-exchanged", "The minus at the wrong number", VeryCommon, Ideas.SignsOfTheTwo,
            "Gives the minus to the other of the two numbers where the last number is negative.",
            "That one is minus is known; the sum is not checked.",
            At.Signs.When(q => q.C < 0).Instead(TwoSigns.Exchanged)),
        Declare("both-minus", "Minus at the end makes both minus", Common, Ideas.SignsOfTheTwo,
            "Makes both brackets minus where the last number is negative.",
            "A minus at the end, so minus.",
            At.Signs.When(q => q.C < 0).Instead(TwoSigns.BothMinus)),
        Declare("both-plus", "Plus at the end makes both plus", Common, Ideas.SignsOfTheTwo,
            "Makes both brackets plus where the last number is positive and the middle negative.",
            "The product is plus, so both are.",
            At.Signs.When(q => q is { B: < 0, C: > 0 }).Instead(TwoSigns.BothPlus)),
        Declare("all-plus", "All brackets plus", Uncommon, Ideas.SignsOfTheTwo,
            "Writes a plus in every bracket.",
            "Signs are left for later.",
            At.Signs.Instead(TwoSigns.BothPlus), At.Squares.Instead(TwoSquares.PlusTwice)),
        Declare("both-signs-of-middle", "Both get the sign of the middle", Common, Ideas.SignsOfTheTwo,
            "Gives both brackets the sign of the middle where the last number is negative.",
            "The rule for a plus at the end is used always.",
            At.Signs.When(q => q.C < 0).Instead(TwoSigns.BothOfMiddle)),
        Declare("signs-copied", "The signs of the task are copied", Common, Ideas.SignsOfTheTwo,
            "Gives the smaller number the sign of the middle and the larger that of the last number where it is negative.",
            "Signs are read off in order.",
            At.Signs.When(q => q.C < 0).Instead(TwoSigns.Copied)),
    ];

    private static IEnumerable<Bug> FirstNumbers =>
    [
        Declare("first-number-passed-over", "The first number is passed over", VeryCommon, Ideas.FirstNumberIsShared,
            "Puts the two numbers straight into the brackets although the first number is not 1.",
            "The routine for first number 1 is not left.",
            At.First.When(q => q.A != 1).Instead(FirstNumber.PassedOver)),
        Declare("first-number-in-one", "The first number in one bracket", Common, Ideas.FirstNumberIsShared,
            "Puts the first number into one bracket and leaves the two numbers as they are.",
            "The first terms make the first term, so it must be right.",
            At.First.When(q => q.A != 1).Instead(FirstNumber.InOneBracket)),
        Declare("first-number-in-both", "The first number in both brackets", Common, Ideas.FirstNumberIsShared,
            "Puts the first number into both brackets and divides nothing out.",
            "The step of dividing is forgotten.",
            At.First.When(q => q.A != 1).Instead(FirstNumber.InBothBrackets)),
        Declare("only-first-divided", "Only the first bracket is divided out", Uncommon, Ideas.FirstNumberIsShared,
            "Puts the first number into both brackets and divides out the first only.",
            "One division feels enough.",
            At.First.When(q => q.A != 1).Instead(FirstNumber.OnlyFirstDivided)),
        Declare("first-number-in-front", "The first number in front", Common, Ideas.FirstNumberIsShared,
            "Writes the first number in front of the brackets with the two numbers.",
            "It is treated like a common factor.",
            At.First.When(q => q.A != 1).Instead(FirstNumber.InFront)),
        Declare("goes-on-to-solve", "Goes on to solve", Common, Ideas.AnswerTheQuestion,
            "Answers with the solutions of an equation that was not asked for.",
            "Brackets have so far been a step towards a solution.",
            At.End.Instead(FactorsEnd.Solutions)),
        Declare("numbers-of-brackets", "The numbers of the brackets as solutions", Uncommon, Ideas.AnswerTheQuestion,
            "Goes on to solve, and answers with the numbers that stand in the brackets, with their signs.",
            "What stands in the brackets is taken for what was looked for.",
            At.End.Instead(FactorsEnd.NumbersOfBrackets)),
        Declare("denominators-dropped", "Denominators are dropped", Uncommon, Ideas.FirstNumberIsShared,
            "Divides the two numbers by the first number and drops the denominators.",
            "Brackets should hold whole numbers.",
            At.First.When(q => q.A != 1).Instead(FirstNumber.DenominatorsDropped)),
        Declare("second-side-plus", "The second side is plus", Common, Ideas.CellIsItsEdges,
            "Writes a plus in the second bracket, whatever number belongs there, where the first number is not 1.",
            "A common factor is felt to be positive.",
            At.First.When(q => q.A != 1).Instead(FirstNumber.SecondSidePlus)),
        Declare("split-said-prime", "Prime where the first number is split", Uncommon, Ideas.NoneIsAnAnswer,
            "Tries the first number in one bracket only, and says prime where it has to be split.",
            "The first term is split in one way only.",
            At.First.When(q => q.A != 1).Instead(FirstNumber.OnlyWholeFirst)),
    ];

    private static IEnumerable<Bug> MiddleAndGap =>
    [
        DeclareByGap("gap-not-rooted", "The square of the gap as the gap", Common, Ideas.HalfWayBetween,
            "Goes from the middle by the square of the gap, which is not rooted.",
            "The number is there, and it is used.",
            Gaps.Root.Instead(GapRoot.NotRooted)),
        DeclareByGap("gap-halved", "Half the square of the gap", Uncommon, Ideas.HalfWayBetween,
            "Halves the square of the gap instead of rooting it.",
            "Root and half are mixed up.",
            Gaps.Root.Instead(GapRoot.Halved)),
        DeclareByGap("middle-not-halved", "The sum as the middle", Uncommon, Ideas.HalfWayBetween,
            "Takes the whole number before the letter as the middle.",
            "The number before the letter is called the middle already.",
            Gaps.Middle.Instead(GapMiddle.WholeMiddle)),
        DeclareByGap("middle-turned", "The middle with the other sign", Uncommon, Ideas.HalfWayBetween,
            "Takes half of the number before the letter with the other sign.",
            "The middle of the roots and that of the numbers are mixed up.",
            Gaps.Middle.Instead(GapMiddle.SignTurned)),
        DeclareByGap("last-added-to-square", "The last number is added", Uncommon, Ideas.HalfWayBetween,
            "Adds the last number to the square of the middle instead of taking it away.",
            "The sign of the last number is kept as it stands.",
            Gaps.Squared.Instead(GapSquared.Together)),
        DeclareByGap("middle-not-squared", "The middle is not squared", Uncommon, Ideas.HalfWayBetween,
            "Takes the last number from the middle itself, which is not squared.",
            "The square stands on the other side only.",
            Gaps.Squared.Instead(GapSquared.MiddleNotSquared)),
        DeclareByGap("gap-on-one-side", "One side of the middle only", Uncommon, Ideas.HalfWayBetween,
            "Goes from the middle to one side only and writes one bracket.",
            "One number was looked for and found.",
            Gaps.Sides.Instead(GapSides.OneOnly)),
        DeclareByGap("gap-twice-on-one-side", "The same side twice", Uncommon, Ideas.HalfWayBetween,
            "Goes from the middle to the same side twice and writes two equal brackets.",
            "Two brackets are due.",
            Gaps.Sides.Instead(GapSides.PlusTwice)),
    ];

    private static Bug Declare(
        string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, params Deviation[] deviations) =>
        Bug.Declare(FactoringFamily.Instance, id, name, commonness, idea, text, reason, deviations);

    private static Bug DeclareByGap(
        string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, params Deviation[] deviations) =>
        Bug.Declare(FactoringFamily.Instance, id, name, commonness, idea, text, reason, deviations, ByGap);
}
