using YellowPencil.Core.Procedures.Integers;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Equations;

/// <summary>What a number before a bracket is.</summary>
public enum BeforeBracket { AsSet, MinusLost, LeftOut }

/// <summary>Which terms of a bracket a number meets.</summary>
public enum MeetsTerm { Multiplied, Copied, Added, LeftOut, MultipliedSignKept, CopiedWithSign, AddedToNumbers }

/// <summary>How a side is read that begins with a plain number.</summary>
public enum SideOrder { AsSet, NumbersExchanged }

/// <summary>What becomes of a letter and a number on one side.</summary>
public enum OneSide { Apart, Joined, JoinedAsNumber }

/// <summary>What becomes of like terms on one side.</summary>
public enum SideSum { WithSigns, SizesAdded, SignOfFirstKept, SizesApart }

/// <summary>What is done with the letters on the right.</summary>
public enum LettersMoved { TakenFromLeft, AddedToLeft, CrossedOff, LargerLessSmaller, RightLessLeft, Divided, AsNumbersTaken, AsNumbersAdded }

/// <summary>What is done with the number on the left.</summary>
public enum NumberMoved { TakenFromRight, AddedToRight, Reversed, LargerLessSmaller, CrossedOff, RightStays, AfterDividing, DividesTheRight, TakenTwice, DividedOnItsSide }

/// <summary>What is done with the number before the letter.</summary>
public enum NumberBefore { Divided, TakenAway, Added, Multiplied, LargerBySmaller, UpsideDown, WholePart, RestBehindPoint, LeftOut, SignLost, NotInLowestTerms, RoundedToWhole, OnePlace, RoundedDown, RoundedUp }

/// <summary>What is written where no letter is left.</summary>
public enum NoLetterLeft { NoneOrAll, Zero, TheNumber, None, All, Exchanged }

/// <summary>A term of a bracket with the number before it.</summary>
/// <param name="Before">The number before the bracket.</param>
/// <param name="Number">The number of the term.</param>
/// <param name="HasLetter">Whether the term has the letter.</param>
/// <param name="At">Which term it is, from 0.</param>
/// <param name="IsBehindOthers">Whether something stands before the bracket on its side.</param>
public readonly record struct InBracket(int Before, int Number, bool HasLetter, int At, bool IsBehindOthers) : IDecisionContext
{
    /// <inheritdoc/>
    public int? Place => null;
}

/// <summary>Two numbers that come together in an equation.</summary>
/// <param name="First">The one.</param>
/// <param name="Second">The other.</param>
/// <param name="IsLeft">Whether they stand on the left.</param>
/// <param name="HaveLetter">Whether they are numbers of the letter.</param>
public readonly record struct EquationPair(int First, int Second, bool IsLeft, bool HaveLetter) : IDecisionContext
{
    /// <inheritdoc/>
    public int? Place => null;

    /// <summary>Whether no plain number stands beside them.</summary>
    public bool AreAlone { get; init; }

    /// <summary>Whether the equation was set with the letter on both sides.</summary>
    public bool OnBothSides { get; init; }

    /// <summary>Whether it was set with brackets.</summary>
    public bool HadBrackets { get; init; }

    /// <summary>Whether the division of the second by the first does not come out.</summary>
    public bool LeavesRest => First != 0 && Second % First != 0;
}

/// <summary>The decisions about linear equations.</summary>
public static class EquationPoints
{
    private static readonly Kind<InBracket>[] InBrackets =
    [
        new("always", "always", _ => true),
        new("minus-before", "where a minus stands before the bracket", c => c.Before < 0),
        new("plus-before", "where no minus stands before the bracket", c => c.Before > 0),
        new("first-term", "in the first term", c => c.At == 0),
        new("later-terms", "in every term but the first", c => c.At > 0),
        new("letter", "in terms with the letter", c => c.HasLetter),
        new("number", "in plain numbers", c => !c.HasLetter),
        new("negative", "where the term has a minus", c => c.Number < 0),
        new("behind", "where something stands before the bracket", c => c.IsBehindOthers),
    ];

    private static readonly Kind<EquationPair>[] Pairs =
    [
        new("always", "always", _ => true),
        new("both-positive", "where both are positive", c => c is { First: > 0, Second: > 0 }),
        new("both-negative", "where both are negative", c => c is { First: < 0, Second: < 0 }),
        new("different-signs", "where the signs are different", c => c.First < 0 != c.Second < 0),
        new("first-negative", "where the first is negative", c => c.First < 0),
        new("first-positive", "where the first is positive", c => c.First > 0),
        new("second-negative", "where the second is negative", c => c.Second < 0),
        new("first-larger", "where the first is the larger without its sign", c => Math.Abs(c.First) > Math.Abs(c.Second)),
        new("second-larger", "where the second is the larger without its sign", c => Math.Abs(c.First) < Math.Abs(c.Second)),
        new("left", "on the left", c => c.IsLeft),
        new("right", "on the right", c => !c.IsLeft),
        new("letters", "in numbers of the letter", c => c.HaveLetter),
        new("numbers", "in plain numbers", c => !c.HaveLetter),
        new("alone", "where no plain number is left", c => c.AreAlone),
        new("leaves-rest", "where the division does not come out", c => c.LeavesRest),
        new("comes-out", "where the division comes out", c => !c.LeavesRest),
        new("one-first", "where the letter has no number but a minus", c => c.First == -1),
        new("bare", "where the letter has no number to be seen", c => c.HaveLetter && (Math.Abs(c.First) == 1 || Math.Abs(c.Second) == 1)),
        new("second-zero", "where the second is 0", c => c.Second == 0),
        new("both-sides", "where the letter stands on both sides", c => c.OnBothSides),
        new("one-side", "where the letter stands on one side only", c => !c.OnBothSides),
        new("brackets", "where there are brackets", c => c.HadBrackets),
        new("no-brackets", "where there are no brackets", c => !c.HadBrackets),
    ];

    /// <summary>What stands before a bracket?</summary>
    public static readonly DecisionPoint<InBracket, BeforeBracket> Before = new("equations.before-bracket", "What stands before the bracket?")
    {
        Does = Phrases.InOrder<BeforeBracket>("takes the number before a bracket with its sign", "loses the minus before a bracket", "leaves out the number before a bracket"),
        Taught = (_, _) => BeforeBracket.AsSet,
        Can = (c, way) => way != BeforeBracket.MinusLost || c.Before < 0,
        Slips = c => c.Before < 0 ? [(BeforeBracket.MinusLost, 1)] : [],
        Kinds = InBrackets,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>Which terms does it meet?</summary>
    public static readonly DecisionPoint<InBracket, MeetsTerm> Meets = new("equations.meets-term", "Which terms of the bracket are multiplied?")
    {
        Does = Phrases.InOrder<MeetsTerm>("multiplies each term of a bracket", "copies a term of the bracket", "adds the number before the bracket", "leaves a term of the bracket out", "multiplies the size and keeps the sign of the term", "copies a term of the bracket with the sign before it", "adds the number before the bracket to the plain number inside"),
        Taught = (_, _) => MeetsTerm.Multiplied,
        Slips = c => c.At > 0 ? [(MeetsTerm.Copied, 2)] : [],
        Kinds = InBrackets,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>Is a side that begins with a number turned round?</summary>
    public static readonly DecisionPoint<EquationPair, SideOrder> Order = new("equations.side-order", "Where does the minus belong when the letter is to come first?")
    {
        Does = Phrases.InOrder<SideOrder>("keeps each sign with its number", "turns the side round and leaves the minus in the middle"),
        Taught = (_, _) => SideOrder.AsSet,
        Kinds = Pairs,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What do like terms of one side come to?</summary>
    public static readonly DecisionPoint<EquationPair, SideSum> Sum = new("equations.side-sum", "What do the like terms of one side come to?")
    {
        Does = Phrases.InOrder<SideSum>("puts like terms together with their signs", "adds like terms without their signs", "adds the sizes and keeps the first sign", "takes the sizes from each other"),
        Taught = (_, _) => SideSum.WithSigns,
        Slips = c => c.First < 0 != c.Second < 0 ? [(SideSum.SignOfFirstKept, 1)] : [],
        Kinds = Pairs,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>Can a letter and a number be put together?</summary>
    public static readonly DecisionPoint<EquationPair, OneSide> Join = new("equations.join", "Can the letter and the number on one side be put together?")
    {
        Does = Phrases.InOrder<OneSide>("leaves letter and number apart", "puts letter and number together as so many letters", "puts letter and number together as a number"),
        Taught = (_, _) => OneSide.Apart,
        Kinds = Pairs,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What is done with the letters on the right?</summary>
    public static readonly DecisionPoint<EquationPair, LettersMoved> Letters = new("equations.letters-moved", "How do the letters come to one side?")
    {
        Does = Phrases.InOrder<LettersMoved>("takes the letters of the right from both sides", "adds the letters of the right to the left", "crosses the letters of the right off", "takes the fewer letters from the more", "takes the letters of the left from those of the right", "divides the one number before the letter by the other", "takes them from the plain number of the right", "adds them to the plain number of the right"),
        Can = (c, way) => way != LettersMoved.Divided || c.AreAlone,
        Taught = (_, _) => LettersMoved.TakenFromLeft,
        Slips = _ => [(LettersMoved.AddedToLeft, 2)],
        Kinds = Pairs,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What is done with the number on the left?</summary>
    public static readonly DecisionPoint<EquationPair, NumberMoved> Number = new("equations.number-moved", "How does the number leave the side of the letter?")
    {
        Does = Phrases.InOrder<NumberMoved>("takes the number of the left from both sides", "brings the number of the left to the right with the same sign", "takes the right from the number of the left", "takes the smaller number from the larger", "crosses the number off on the left only", "writes the number of the left on the right", "takes the number away after dividing", "divides the right by the number of the left", "takes the number away twice", "divides only the left by the number before the letter"),
        Taught = (_, _) => NumberMoved.TakenFromRight,
        Slips = _ => [(NumberMoved.AddedToRight, 2)],
        Kinds = Pairs,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What is done with the number before the letter?</summary>
    public static readonly DecisionPoint<EquationPair, NumberBefore> Divide = new("equations.number-before", "How does the letter come to stand alone?")
    {
        Does = Phrases.InOrder<NumberBefore>("divides by the number before the letter", "takes the number before the letter away", "adds the number before the letter", "multiplies by the number before the letter", "divides the larger number by the smaller", "divides upside down", "writes the whole part only", "writes what is left behind a point", "leaves the number before the letter out", "loses the minus before the letter", "leaves the fraction as it came", "rounds to a whole number", "divides to one place and stops", "writes the next lower whole number", "writes the next higher whole number"),
        Taught = (_, _) => NumberBefore.Divided,
        Slips = _ => [(NumberBefore.TakenAway, 1), (NumberBefore.UpsideDown, 1)],
        Kinds = Pairs,
    };

    /// <summary>What is written where no letter is left?</summary>
    public static readonly DecisionPoint<EquationPair, NoLetterLeft> Gone = new("equations.no-letter", "What is the answer where no letter is left?")
    {
        Does = Phrases.InOrder<NoLetterLeft>("writes none where it is false, and all where it is true", "writes 0", "writes the number that is left", "writes none", "writes all", "writes all where it is false, and none where it is true"),
        Taught = (_, _) => NoLetterLeft.NoneOrAll,
        Kinds = Pairs,
    };

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [Order, Before, Meets, SignPoints.OfProduct, Sum, Join, Letters, Number, Divide, Gone];
}
