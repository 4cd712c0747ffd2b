using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.SignRules;
using static YellowPencil.Core.Engine.Commonness;
using At = YellowPencil.Core.Families.Expanding.ExpandingDecisions;

namespace YellowPencil.Core.Families.Expanding;

/// <summary>The bugs of multiplying out.</summary>
internal static class ExpandingBugs
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Bug> All { get; } = [.. Products, .. Terms, .. Squares, .. Signs];

    /// <summary>Which products are made.</summary>
    private static IEnumerable<Bug> Products =>
    [
        Declare("first-term-only", "The term before a bracket meets the first term only", VeryCommon, Ideas.FactorReachesAll,
            "Multiplies only the first term of the bracket by the term before it; the others are copied.",
            "It stands next to the first term.",
            At.Made.When(c => c.IsBefore && c.J > 0).Instead(ProductMade.OtherCopied)),
        Declare("last-term-only", "The first term of a bracket is copied", Uncommon, Ideas.FactorReachesAll,
            "Copies the first term of the bracket; the others are multiplied by the term before it.",
            "Plain numbers are what is multiplied, as in 3 times 4; a letter stays what it is.",
            At.Made.When(c => c.IsBefore && c.J == 0).Instead(ProductMade.OtherCopied)),
        Declare("later-terms-left-out", "Only the first product is made", Uncommon, Ideas.FactorReachesAll,
            "Multiplies the first term of the bracket by the term before it and leaves the others out.",
            "One product is made, and the step seems to be done.",
            At.Made.When(c => c.IsBefore && c.J > 0).Instead(ProductMade.LeftOut)),
        Declare("first-and-last-only", "First by first, last by last", VeryCommon, Ideas.EachTermByEach,
            "Multiplies of two brackets only first by first and last by last.",
            "Each bracket’s partners are matched once.",
            At.Brackets.Instead(BracketsChoice.FirstAndLast)),
        Declare("second-copied", "The second term is only copied", Common, Ideas.EachTermByEach,
            "Multiplies the second bracket by the first term, and copies the second term.",
            "After the first term it is carried on.",
            At.Brackets.Instead(BracketsChoice.FirstDistributedSecondCopied)),
        Declare("outer-left-out", "The outer product is left out", Common, Ideas.EachTermByEach,
            "Leaves the product of the two outer terms out.",
            "Only neighbours are multiplied.",
            At.Made.When(c => !c.IsBefore && c is { I: 0, J: > 0 }).Instead(ProductMade.LeftOut)),
        Declare("inner-left-out", "The inner product is left out", Common, Ideas.EachTermByEach,
            "Leaves the product of the two inner terms out.",
            "The first term is multiplied by both, and then the ends.",
            At.Made.When(c => !c.IsBefore && c is { I: > 0, J: 0 }).Instead(ProductMade.LeftOut)),
        Declare("last-left-out", "The last product is left out", Uncommon, Ideas.EachTermByEach,
            "Leaves the product of the last terms out.",
            "Three products are made, and the last is forgotten.",
            At.Made.When(c => !c.IsBefore && c is { I: > 0, J: > 0 }).Instead(ProductMade.LeftOut)),
        Declare("brackets-added", "Brackets are added", Rare, Ideas.NoSignMeansTimes,
            "Adds two brackets that are to be multiplied.",
            "No sign stands between them.",
            At.Brackets.Instead(BracketsChoice.BracketsAdded)),
        Declare("conjugate-plus", "Sum times difference makes a plus", Uncommon, Ideas.OppositesVanish,
            "Writes the sum of the squares for a sum times a difference.",
            "The middle cancels, and the minus with it.",
            At.Brackets.When(c => c.IsConjugate).Instead(BracketsChoice.SumOfSquares)),
    ];

    /// <summary>What two terms come to.</summary>
    private static IEnumerable<Bug> Terms =>
    [
        Declare("middle-of-plain-numbers", "The middle is the plain numbers only", Common, Ideas.NumbersTimesPowersPlus,
            "Passes over the number before the letter where a letter meets a plain number of the other bracket.",
            "With x and x that was the short way.",
            At.Numbers.When(c => c.AreMixed && !c.IsBefore).Instead(NumbersChoice.LetterCountsAsOne)),
        Declare("last-added", "Plain numbers are added", Common, Ideas.NumbersTimesPowersPlus,
            "Adds the plain numbers of two brackets instead of multiplying them.",
            "The sum for the middle is written at the end.",
            At.Numbers.When(c => c.AreNumbers && !c.IsBefore).Instead(NumbersChoice.Added)),
        Declare("numbers-added", "Numbers before letters are added", Common, Ideas.NumbersTimesPowersPlus,
            "Adds the numbers where both terms have the letter and a number.",
            "The powers are added, so the numbers are too.",
            At.Numbers.When(c => c.HaveLetters && c.HaveNumbers).Instead(NumbersChoice.SizesAdded)),
        Declare("all-numbers-added", "Numbers are added instead of multiplied", Uncommon, Ideas.NumbersTimesPowersPlus,
            "Adds the numbers of two terms instead of multiplying them.",
            "Side by side is read as and.",
            At.Numbers.When(c => c.HaveNumbers).Instead(NumbersChoice.SizesAdded)),
        Declare("letter-lost", "The letter does not reach the second term", Common, Ideas.FactorReachesAll,
            "Multiplies the later terms of a bracket by the number before it only; the letter before the bracket does not reach them.",
            "Number meets number; the letter meets only a letter.",
            At.Letters.When(c => c.IsBefore && c.FirstPower > 0 && c.J > 0).Instead(LettersChoice.LetterLost)),
        Declare("power-not-raised", "x times x stays x", Common, Ideas.NumbersTimesPowersPlus,
            "Keeps one letter where two are multiplied: x times x is written x.",
            "The letter is taken for a name that need not be written twice.",
            At.Letters.When(c => c.HaveLetters).Instead(LettersChoice.PowerStays)),
        Declare("letter-doubled", "x times x is 2x", Common, Ideas.NumbersTimesPowersPlus,
            "Makes two of a letter where it is multiplied by itself.",
            "Two of the letter stand there, and so they are counted.",
            At.Letters.When(c => c.HaveLetters).Instead(LettersChoice.TwoOfTheLetter)),
    ];

    /// <summary>The square of a bracket.</summary>
    private static IEnumerable<Bug> Squares =>
    [
        Declare("square-of-terms", "The square of each term", VeryCommon, Ideas.SquareIsAProduct,
            "Squares each term of a bracket and adds them.",
            "Squaring is shared out like a factor.",
            At.Square.Instead(SquareChoice.TermsSquaredPlus)),
        Declare("square-of-terms-sign-kept", "The square of each term, the sign kept", Common, Ideas.SquareIsAProduct,
            "Squares each term of a bracket and keeps the sign between them.",
            "The square is put on each term, the minus stays where it is.",
            At.Square.Instead(SquareChoice.TermsSquaredSignKept)),
        Declare("square-doubled", "The square doubles", Common, Ideas.SquareIsAProduct,
            "Doubles a bracket that is to be squared.",
            "Power two is taken as times two.",
            At.Square.Instead(SquareChoice.Doubled)),
        Declare("middle-plus", "The middle of a square is plus", Uncommon, Ideas.SquareIsAProduct,
            "Writes a plus in the middle of the square of a difference.",
            "A square is positive.",
            At.Square.When(c => c.First < 0 != c.Second < 0).Instead(SquareChoice.MiddlePlus)),
        Declare("middle-once", "The middle of a square is written once", Common, Ideas.SquareIsAProduct,
            "Writes the product in the middle of a square once instead of twice.",
            "One product of the two terms is made.",
            At.Square.Instead(SquareChoice.MiddleOnce)),
        Declare("square-number-left", "The number before the letter is not squared", Common, Ideas.SquareIsAProduct,
            "Squares the letter of a bracket and not the number before it.",
            "The square is seen on the letter only.",
            At.Numbers.When(c => c.IsSquare && c.HaveLetters).Instead(NumbersChoice.FirstOnly)),
    ];

    /// <summary>The signs of products.</summary>
    private static IEnumerable<Bug> Signs =>
    [
        Declare("sign-off-the-edge", "The minus is left off the edge of the box", Common, Ideas.TermBringsItsSign,
            "Writes terms at the edge of the box without their minus.",
            "At the edge stands what is multiplied, and the sign seems to belong between the terms.",
            InBox, At.Edge.Instead(BoxEdge.SignLeftOff)),
        Declare("both-minus-minus", "Minus times minus is minus", Common, Ideas.SameSignsPositive,
            "Writes a minus where two terms with a minus are multiplied.",
            "Minus in, minus out.",
            SignDecisions.OfProduct.When(c => c.FirstIsNegative && c.SecondIsNegative).Instead(ProductSign.Negative)),
        Declare("larger-sign", "Different signs take the larger’s", Uncommon, Ideas.SameSignsPositive,
            "Gives a product of terms with different signs the sign of the larger number.",
            "The rule of sums is used in products.",
            SignDecisions.OfProduct.When(c => c.FirstIsNegative != c.SecondIsNegative).Instead(ProductSign.OfLarger)),
        Declare("minus-passed-over", "Minus signs in products are passed over", Uncommon, Ideas.TermBringsItsSign,
            "Writes every product without a minus.",
            "Signs are dealt with later, and then they are not.",
            SignDecisions.OfProduct.Instead(ProductSign.Positive)),
        Declare("minus-of-second-lost", "The minus of the second term is lost", Common, Ideas.TermBringsItsSign,
            "Passes over the minus of the term that is multiplied where the first is positive.",
            "The minus belongs to the line, not to the term.",
            SignDecisions.OfProduct.When(c => c.SecondIsNegative && !c.FirstIsNegative).Instead(ProductSign.Positive)),
    ];

    private static readonly School InBox = School.Usual.With(School.Binomials, (int)BinomialSchool.Box);

    private static Bug Declare(
        string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, School school, params Deviation[] deviations) =>
        Bug.Declare(ExpandingFamily.Instance, id, name, commonness, idea, text, reason, deviations, school);

    private static Bug Declare(
        string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, params Deviation[] deviations) =>
        Bug.Declare(ExpandingFamily.Instance, id, name, commonness, idea, text, reason, deviations);
}
