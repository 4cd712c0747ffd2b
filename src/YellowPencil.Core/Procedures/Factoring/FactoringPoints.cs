using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Factoring;

/// <summary>What is taken out first.</summary>
public enum CommonFactor { Taken, LeftIn, NotFromLast, FirstNumberPulled, OfNumbersHalf, Lost, NothingElse, NumberOnly, OfFirstTwo }

/// <summary>What becomes of a letter that all terms have.</summary>
public enum CommonLetter { TakenFromBoth, Lost, LeftInSecond, NotTaken, SquareTaken, LeftInFirst, SecondNotDivided, FirstNotDivided, NeitherDivided }

/// <summary>What is done without a term in the middle.</summary>
public enum TwoSquares { RootsOfBoth, SaysPrime, NumberNotRooted, Halved, SameSigns, PlusTwice }

/// <summary>How the two numbers are found.</summary>
public enum TwoNumbers { SumAndProduct, FirstPairOfProduct, FirstWithOne, ProductOfLastOnly, MiddleReadPositive, OneAndLast, MiddleAndLast, HalvesOfMiddle, RootsOfLast, DifferenceForSum, NearestPair, LetterTakenOut, SaysPrime, SumOnly, OneAndLastAsWritten, LastAndOneAsWritten, MiddleAndOne }

/// <summary>Which signs the two numbers get.</summary>
public enum TwoSigns { AsFound, Exchanged, BothMinus, BothPlus, BothOfMiddle, Copied, LargerMinus, SmallerMinus, BothOfLast }

/// <summary>What becomes of the first number.</summary>
public enum FirstNumber { DividedOut, PassedOver, InOneBracket, InBothBrackets, OnlyFirstDivided, InFront, DenominatorsDropped, SecondSidePlus, OnlyWholeFirst, SaysPrime, EndsExchanged, FirstBracketTwice }

/// <summary>A quadratic as the student sees it.</summary>
/// <param name="A">The number before the square.</param>
/// <param name="B">The number before the letter.</param>
/// <param name="C">The plain number.</param>
/// <param name="HadCommon">Whether something was taken out before.</param>
public readonly record struct Quadratic(int A, int B, int C, bool HadCommon) : IDecisionContext
{
    /// <inheritdoc/>
    public int? Place => null;
}

/// <summary>The decisions about factoring.</summary>
public static class FactoringPoints
{
    private static readonly Kind<Quadratic>[] Kinds =
    [
        new("always", "always", _ => true),
        new("one-first", "where the first number is 1", q => q.A == 1),
        new("more-first", "where the first number is not 1", q => q.A != 1),
        new("last-negative", "where the last number has a minus", q => q.C < 0),
        new("last-positive", "where the last number has no minus", q => q.C > 0),
        new("middle-negative", "where the middle has a minus", q => q.B < 0),
        new("middle-positive", "where the middle has no minus", q => q.B > 0),
        new("plus-then-minus", "where the last number is positive and the middle negative", q => q is { B: < 0, C: > 0 }),
        new("had-common", "where something was taken out before", q => q.HadCommon),
        new("no-common", "where nothing was taken out before", q => !q.HadCommon),
        new("no-middle", "where there is no middle", q => q.B == 0),
        new("no-last", "where there is no plain number", q => q.C == 0),
        new("three-terms", "where there are three terms", q => q.B != 0 && q.C != 0),
        new("square", "where it is a square", q => q.C > 0 && (long)q.B * q.B == 4L * q.A * q.C),
        new("both-minus", "where middle and last number have a minus", q => q is { B: < 0, C: < 0 }),
        new("both-plus", "where there is no minus", q => q is { B: > 0, C: > 0 }),
        new("even-middle", "where the middle is even", q => q.B % 2 == 0 && q.B != 0),
    ];

    /// <summary>What is taken out first?</summary>
    public static readonly DecisionPoint<Quadratic, CommonFactor> Common = new("factoring.common", "Which factor do all terms have?")
    {
        Does = Phrases.InOrder<CommonFactor>("takes out what all terms have", "leaves in what all terms have", "takes it out of the terms with the letter only", "pulls the first number out of the first term only", "takes out half of what all terms have", "divides by what all terms have and does not write it", "takes out what all terms have and stops", "takes the number out and leaves the letter in", "takes out what the first two terms have and leaves the last behind it"),
        Taught = (_, _) => CommonFactor.Taken,
        Slips = _ => [(CommonFactor.LeftIn, 1)],
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What becomes of the letter?</summary>
    public static readonly DecisionPoint<Quadratic, CommonLetter> Letter = new("factoring.common-letter", "What becomes of a letter that both terms have?")
    {
        Does = Phrases.InOrder<CommonLetter>("takes the letter out of both terms", "loses the letter", "takes the letter out and leaves it in the second term", "does not take the letter out", "takes the square of the letter out", "takes the letter out and leaves it in the first term", "does not divide the second term by what was taken out", "does not divide the first term by what was taken out", "divides neither term by what was taken out"),
        Taught = (_, _) => CommonLetter.TakenFromBoth,
        Kinds = Kinds,
    };

    /// <summary>What is done with two squares?</summary>
    public static readonly DecisionPoint<Quadratic, TwoSquares> Squares = new("factoring.two-squares", "What are the factors without a term in the middle?")
    {
        Does = Phrases.InOrder<TwoSquares>("takes the roots of both, with plus and minus", "says prime", "does not root the number before the letter", "halves even numbers instead of rooting them", "writes a minus in both brackets", "writes a plus in both brackets"),
        Taught = (_, _) => TwoSquares.RootsOfBoth,
        Kinds = Kinds,
    };

    /// <summary>How are the two numbers found?</summary>
    public static readonly DecisionPoint<Quadratic, TwoNumbers> Numbers = new("factoring.two-numbers", "Which two numbers have the right sum and product?")
    {
        Does = Phrases.InOrder<TwoNumbers>("finds the two numbers by sum and product", "takes the first pair with the right product", "takes 1 and the product", "looks for the product of the last number only", "reads the middle without its minus", "takes 1 and the last number", "takes the middle and the last number as they stand", "takes half of the middle twice", "takes the root of the last number twice", "looks for the middle as a difference where it is a sum", "takes the two numbers with that product that are nearest to each other", "takes the letter out of the first two terms", "says prime", "takes 1 and what is missing to the sum", "takes 1 and the last number as it stands", "takes the last number as it stands and 1", "takes the middle and 1"),
        ShowsIn = WorkFields.Cross.Part(2),
        Taught = (_, _) => TwoNumbers.SumAndProduct,
        Slips = _ => [(TwoNumbers.FirstPairOfProduct, 1)],
        Kinds = Kinds,
    };

    /// <summary>Which signs do they get?</summary>
    public static readonly DecisionPoint<Quadratic, TwoSigns> Signs = new("factoring.signs", "Which signs do the two numbers get?")
    {
        Does = Phrases.InOrder<TwoSigns>("gives both numbers the signs that fit", "gives the minus to the other number", "makes both minus", "makes both plus", "gives both the sign of the middle", "copies the signs of the task, the smaller number first", "gives the larger a minus and the smaller a plus", "gives the smaller a minus and the larger a plus", "gives both the sign of the last number"),
        ShowsIn = WorkFields.Cross.Part(3),
        Taught = (_, _) => TwoSigns.AsFound,
        Slips = _ => [(TwoSigns.Exchanged, 3)],
        Kinds = Kinds,
    };

    /// <summary>What becomes of the first number?</summary>
    public static readonly DecisionPoint<Quadratic, FirstNumber> First = new("factoring.first-number", "How does the first number come into the brackets?")
    {
        Does = Phrases.InOrder<FirstNumber>("puts the first number into both brackets and divides it out", "passes over the first number", "puts the first number into one bracket", "puts the first number into both brackets", "divides only the first bracket", "writes the first number in front", "drops the denominators", "writes a plus in the second bracket", "says prime where the first number has to be split", "says prime where the first number is not 1", "exchanges the ends of the brackets", "writes the first bracket twice"),
        Taught = (_, _) => FirstNumber.DividedOut,
        Kinds = Kinds,
    };

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [Common, Letter, Squares, Numbers, Signs, First, .. GapPoints.All];
}
