using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.SignRules;

namespace YellowPencil.Core.Families.Equations;

/// <summary>What a number before a bracket is.</summary>
internal enum BeforeBracket { AsSet, MinusLost, LeftOut }

/// <summary>Which terms of a bracket a number meets.</summary>
internal enum MeetsTerm { Multiplied, Copied, Added, LeftOut, MultipliedSignKept, CopiedWithSign, AddedToNumbers }

/// <summary>How a side is read that begins with a plain number.</summary>
internal enum SideOrder { AsSet, NumbersExchanged }

/// <summary>What becomes of a letter and a number on one side.</summary>
internal enum OneSide { Apart, Joined, JoinedAsNumber }

/// <summary>What becomes of like terms on one side.</summary>
internal enum SideSum { WithSigns, SizesAdded, SignOfFirstKept, SizesApart, Multiplied, FirstStays, SecondStays, LargerStays, SizesAddedMinus, SizesApartMinus, Turned }

/// <summary>What is done with the letters on the right.</summary>
internal enum LettersMoved { TakenFromLeft, AddedToLeft, CrossedOff, LargerLessSmaller, RightLessLeft, Divided, AsNumbersTaken, AsNumbersAdded }

/// <summary>What is done with the number on the left.</summary>
internal enum NumberMoved
{
    TakenFromRight, AddedToRight, Reversed, LargerLessSmaller, CrossedOff, RightStays, AfterDividing, DividesTheRight, TakenTwice, DividedOnItsSide,
}

/// <summary>What is written where no letter is left.</summary>
internal enum NoLetterLeft { NoneOrAll, Zero, TheNumber, None, All, Exchanged }

/// <summary>A term of a bracket with the number before it.</summary>
/// <param name="Before">The number before the bracket.</param>
/// <param name="Number">The number of the term.</param>
/// <param name="HasLetter">Whether the term has the letter.</param>
/// <param name="At">Which term it is, from 0.</param>
/// <param name="IsBehindOthers">Whether something stands before the bracket on its side.</param>
internal readonly record struct InBracket(int Before, int Number, bool HasLetter, int At, bool IsBehindOthers) : IDecisionContext
{
    /// <summary>The number before the bracket as it is.</summary>
    public Rational Factor { get; init; }

    /// <summary>The number of the term as it is.</summary>
    public Rational Term { get; init; }
}

/// <summary>The decisions about linear equations.</summary>
internal static class EquationDecisions
{
    private static readonly Property<InBracket>[] BracketSizes =
    [
        new("before", "the number before the bracket without its sign", c => Math.Abs(c.Before), 2, 5),
        new("number", "the number in the bracket without its sign", c => Math.Abs(c.Number), 1, 5, 10),
    ];

    private static readonly Kind<InBracket>[] InBrackets =
    [
        new("always", "always", _ => true),
        new("minus-before", "where a minus stands before the bracket", c => c.Before < 0),
        new("plus-before", "where no minus stands before the bracket", c => c.Before > 0),
        new("first-term", "in the first term", c => c.At == 0),
        new("later-terms", "in every term but the first", c => c.At > 0) { Otherwise = "in the first term" },
        new("letter", "in terms with the letter", c => c.HasLetter),
        new("number", "in plain numbers", c => !c.HasLetter),
        new("negative", "where the term has a minus", c => c.Number < 0),
        new("behind", "where something stands before the bracket", c => c.IsBehindOthers),
    ];

    public static readonly Decision<InBracket, BeforeBracket, Rational> Before = new(
        "equations.before-bracket", "What stands before the bracket?", BeforeBracket.AsSet)
    {
        [BeforeBracket.AsSet] = new("as-set", "takes the number before a bracket with its sign", c => c.Factor),
        [BeforeBracket.MinusLost] = new("minus-lost", "loses the minus before a bracket", c => Rational.Abs(c.Factor)) { SlipIn = c => c.Before < 0 ? 1 : 0 },
        [BeforeBracket.LeftOut] = new("left-out", "leaves out the number before a bracket", c => Rational.Whole(c.Factor.Sign)),
        Kinds = InBrackets,
        Properties = BracketSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.FactorReachesAll,
    };

    public static readonly Decision<InBracket, MeetsTerm, Rational> Meets = new(
        "equations.meets-term", "Which terms of the bracket are multiplied?", MeetsTerm.Multiplied)
    {
        [MeetsTerm.Multiplied] = new("multiplied", "multiplies each term of a bracket", c => c.Factor * c.Term),
        [MeetsTerm.Copied] = new("copied", "copies a term of the bracket", c => c.Term) { SlipIn = c => c.At > 0 ? 2 : 0 },
        [MeetsTerm.Added] = new("added", "adds the number before the bracket", c => c.Factor + c.Term),
        [MeetsTerm.LeftOut] = new("left-out", "leaves a term of the bracket out", _ => default(Rational)),
        [MeetsTerm.MultipliedSignKept] = new(
            "multiplied-sign-kept", "multiplies the size and keeps the sign of the term", c => Rational.Abs(c.Factor) * c.Term),
        [MeetsTerm.CopiedWithSign] = new("copied-with-sign", "copies a term of the bracket with the sign before it", c => c.Factor.Sign < 0 ? -c.Term : c.Term),
        [MeetsTerm.AddedToNumbers] = new(
            "added-to-numbers", "adds the number before the bracket to the plain number inside", c => c.HasLetter ? c.Term : c.Factor + c.Term),
        Kinds = InBrackets,
        Properties = BracketSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.FactorReachesAll,
    };

    public static readonly Decision<EquationPair, SideOrder> Order = new(
        "equations.side-order", "Where does the minus belong when the letter is to come first?", SideOrder.AsSet)
    {
        [SideOrder.AsSet] = new("as-set", "keeps each sign with its number"),
        [SideOrder.NumbersExchanged] = new("numbers-exchanged", "turns the side round and leaves the minus in the middle"),
        Kinds = EquationPair.Kinds,
        Properties = EquationPair.Sizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.TermBringsItsSign,
    };

    public static readonly Decision<EquationPair, SideSum, Rational> Sum = new(
        "equations.side-sum", "What do the like terms of one side come to?", SideSum.WithSigns)
    {
        [SideSum.WithSigns] = new("with-signs", "puts like terms together with their signs", c => c.One + c.Other),
        [SideSum.SizesAdded] = new("sizes-added", "adds like terms without their signs", c => Rational.Abs(c.One) + Rational.Abs(c.Other)),
        [SideSum.SignOfFirstKept] = new(
            "sign-of-first-kept", "adds the sizes and keeps the first sign",
            c => c.One.Sign < 0 ? -(Rational.Abs(c.One) + Rational.Abs(c.Other)) : Rational.Abs(c.One) + Rational.Abs(c.Other))
        { SlipIn = c => c.First < 0 != c.Second < 0 ? 1 : 0 },
        [SideSum.SizesApart] = new("sizes-apart", "takes the sizes from each other", c => Rational.Abs(Rational.Abs(c.One) - Rational.Abs(c.Other))),
        [SideSum.Multiplied] = new("multiplied", "multiplies like terms", c => c.One * c.Other),
        [SideSum.FirstStays] = new("first-stays", "keeps the first of like terms", c => c.One),
        [SideSum.SecondStays] = new("second-stays", "keeps the last of like terms", c => c.Other),
        [SideSum.LargerStays] = new("larger-stays", "keeps the larger of like terms", c => Rational.Abs(c.Other) > Rational.Abs(c.One) ? c.Other : c.One),
        [SideSum.SizesAddedMinus] = new("sizes-added-minus", "adds like terms without their signs and writes a minus", c => -(Rational.Abs(c.One) + Rational.Abs(c.Other))),
        [SideSum.SizesApartMinus] = new("sizes-apart-minus", "takes the sizes from each other and writes a minus", c => -Rational.Abs(Rational.Abs(c.One) - Rational.Abs(c.Other))),
        [SideSum.Turned] = new("turned", "takes the second of like terms from the first", c => c.One - c.Other),
        Kinds = EquationPair.Kinds,
        Properties = EquationPair.Sizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.OppositesCancel,
        OtherIdea = (c => c.One.Sign < 0 == c.Other.Sign < 0, Ideas.SameSignsGoOn),
    };

    public static readonly Decision<EquationPair, OneSide> Join = new(
        "equations.join", "Can the letter and the number on one side be put together?", OneSide.Apart)
    {
        [OneSide.Apart] = new("apart", "leaves letter and number apart"),
        [OneSide.Joined] = new("joined", "puts letter and number together as so many letters"),
        [OneSide.JoinedAsNumber] = new("joined-as-number", "puts letter and number together as a number"),
        Kinds = EquationPair.Kinds,
        Properties = EquationPair.Sizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.LettersAndNumbersApart,
    };

    public static readonly Decision<EquationPair, LettersMoved, (Rational Letters, Rational ToRight)> Letters = new(
        "equations.letters-moved", "How do the letters come to one side?", LettersMoved.TakenFromLeft)
    {
        [LettersMoved.TakenFromLeft] = new("taken-from-left", "takes the letters of the right from both sides", c => (c.One - c.Other, default)),
        [LettersMoved.AddedToLeft] = new("added-to-left", "adds the letters of the right to the left", c => (c.One + c.Other, default)) { Slip = 2 },
        [LettersMoved.CrossedOff] = new("crossed-off", "crosses the letters of the right off", c => (c.One, default)),
        [LettersMoved.LargerLessSmaller] = new("larger-less-smaller", "takes the fewer letters from the more", c => (Rational.Abs(c.One - c.Other), default)),
        [LettersMoved.RightLessLeft] = new("right-less-left", "takes the letters of the left from those of the right", c => (c.Other - c.One, default)),
        [LettersMoved.Divided] = new("divided", "divides the one number before the letter by the other") { Needs = c => c.AreAlone },
        [LettersMoved.AsNumbersTaken] = new("as-numbers-taken", "takes them from the plain number of the right", c => (c.One, -c.Other)),
        [LettersMoved.AsNumbersAdded] = new("as-numbers-added", "adds them to the plain number of the right", c => (c.One, c.Other)),
        Kinds = EquationPair.Kinds,
        Properties = EquationPair.Sizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.LettersFromBothSides,
    };

    public static readonly Decision<EquationPair, NumberMoved, Rational> Number = new(
        "equations.number-moved", "How does the number leave the side of the letter?", NumberMoved.TakenFromRight)
    {
        [NumberMoved.TakenFromRight] = new("taken-from-right", "takes the number of the left from both sides", c => c.Other - c.One),
        [NumberMoved.AddedToRight] = new("added-to-right", "brings the number of the left to the right with the same sign", c => c.Other + c.One) { Slip = 2 },
        [NumberMoved.Reversed] = new("reversed", "takes the number on the right from the one on the left", c => c.One - c.Other),
        [NumberMoved.LargerLessSmaller] = new("larger-less-smaller", "takes the smaller number from the larger", c => Rational.Abs(c.Other - c.One)),
        [NumberMoved.CrossedOff] = new("crossed-off", "crosses the number off on the left only", c => c.Other),
        [NumberMoved.RightStays] = new("right-stays", "writes the number of the left on the right", c => c.One),
        [NumberMoved.AfterDividing] = new("after-dividing", "takes the number away after dividing") { Needs = c => !c.BeforeLetter.IsOne },
        [NumberMoved.DividesTheRight] = new("divides-the-right", "divides the right by the number of the left", c => c.Other / c.One),
        [NumberMoved.TakenTwice] = new("taken-twice", "takes the number away twice", c => c.Other - c.One - c.One),
        [NumberMoved.DividedOnItsSide] = new("divided-on-its-side", "divides only the left by the number before the letter")
        { Needs = c => !c.BeforeLetter.IsOne },
        Kinds = EquationPair.Kinds,
        Properties = EquationPair.Sizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.SameOnBothSides,
    };

    public static readonly Decision<EquationPair, NoLetterLeft, int> Gone = new(
        "equations.no-letter", "What is the answer where no letter is left?", NoLetterLeft.NoneOrAll)
    {
        [NoLetterLeft.NoneOrAll] = new("none-or-all", "writes none where it is false, and all where it is true", c => c.One == c.Other ? Every : NoneAtAll),
        [NoLetterLeft.Zero] = new("zero", "writes 0", _ => 2),
        [NoLetterLeft.TheNumber] = new("the-number", "writes the number that is left", _ => 3),
        [NoLetterLeft.None] = new("none", "writes none", _ => NoneAtAll),
        [NoLetterLeft.All] = new("all", "writes all", _ => Every),
        [NoLetterLeft.Exchanged] = new("exchanged", "writes all where it is false, and none where it is true", c => c.One == c.Other ? NoneAtAll : Every),
        Kinds = EquationPair.Kinds,
        Properties = EquationPair.Sizes,
        Idea = Ideas.FalseOrAlwaysTrue,
    };

    // None and all, as they are written where no letter is left.
    private const int NoneAtAll = 0;
    private const int Every = 1;

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [Order, Before, Meets, SignDecisions.OfProduct, Sum, Join, Letters, Number, .. LastStepDecisions.All, Gone];
}
