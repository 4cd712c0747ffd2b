using System.Globalization;
using System.Numerics;
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

/// <summary>What is done with the number before the letter.</summary>
internal enum NumberBefore
{
    Divided, TakenAway, Added, Multiplied, LargerBySmaller, UpsideDown, WholePart, RestBehindPoint, LeftOut, SignLost, NotInLowestTerms, RoundedToWhole,
    OnePlace, RoundedDown, RoundedUp, WithRemainder, DenominatorOnly, NumeratorOnly, Halved,
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

/// <summary>Two numbers that come together in an equation.</summary>
/// <param name="First">The one.</param>
/// <param name="Second">The other.</param>
/// <param name="IsLeft">Whether they stand on the left.</param>
/// <param name="HaveLetter">Whether they are numbers of the letter.</param>
internal readonly record struct EquationPair(int First, int Second, bool IsLeft, bool HaveLetter) : IDecisionContext
{
    /// <summary>The one as it is.</summary>
    public Rational One { get; init; }

    /// <summary>The other as it is.</summary>
    public Rational Other { get; init; }

    /// <summary>The number before the letter, where a plain number is moved.</summary>
    public Rational BeforeLetter { get; init; }

    /// <summary>Whether a quotient of both gets a minus.</summary>
    public bool IsNegative { get; init; }

    /// <summary>The number behind an equals sign without its sign, divided by the one before the letter.</summary>
    public Rational Quotient => Rational.Abs(Other) / Rational.Abs(One);

    /// <summary>A size with the sign of the quotient.</summary>
    public Rational WithSign(Rational size) => IsNegative ? -size : size;

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
internal static class EquationDecisions
{
    private static readonly Property<InBracket>[] BracketSizes =
    [
        new("before", "the number before the bracket without its sign", c => Math.Abs(c.Before), 2, 5),
        new("number", "the number in the bracket without its sign", c => Math.Abs(c.Number), 1, 5, 10),
    ];

    private static readonly Property<EquationPair>[] PairSizes =
    [
        new("first", "the first number without its sign", c => Math.Abs(c.First), 1, 2, 5, 10),
        new("second", "the second number without its sign", c => Math.Abs(c.Second), 1, 2, 5, 10),
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
        new("times-positive", "where the number before the letter has no minus", c => c.BeforeLetter.Sign > 0),
        new("right-divides", "where the right can be divided by the number before the letter", c => !c.BeforeLetter.IsZero && (c.Other / c.BeforeLetter).IsWhole),
        new("both-divide", "where both numbers can be divided by the number before the letter",
            c => !c.BeforeLetter.IsZero && (c.Other / c.BeforeLetter).IsWhole && (c.One / c.BeforeLetter).IsWhole),
        new("fraction-before", "where a fraction stands before the letter", c => !c.One.IsWhole || !c.BeforeLetter.IsWhole),
        new("second-zero", "where the second is 0", c => c.Second == 0),
        new("both-sides", "where the letter stands on both sides", c => c.OnBothSides),
        new("one-side", "where the letter stands on one side only", c => !c.OnBothSides),
        new("brackets", "where there are brackets", c => c.HadBrackets),
        new("no-brackets", "where there are no brackets", c => !c.HadBrackets),
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
        Kinds = Pairs,
        Properties = PairSizes,
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
        Kinds = Pairs,
        Properties = PairSizes,
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
        Kinds = Pairs,
        Properties = PairSizes,
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
        Kinds = Pairs,
        Properties = PairSizes,
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
        Kinds = Pairs,
        Properties = PairSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.SameOnBothSides,
    };

    public static readonly Decision<EquationPair, NumberBefore, Rational> Divide = new(
        "equations.number-before", "How does the letter come to stand alone?", NumberBefore.Divided)
    {
        [NumberBefore.Divided] = new("divided", "divides by the number before the letter", c => c.WithSign(c.Quotient)),
        [NumberBefore.TakenAway] = new("taken-away", "takes the number before the letter away", c => c.Other - c.One) { Slip = 1, Needs = c => c.One.IsWhole },
        [NumberBefore.Added] = new("added", "adds the number before the letter", c => c.Other + c.One) { Needs = c => c.One.IsWhole },
        [NumberBefore.Multiplied] = new("multiplied", "multiplies by the number before the letter", c => c.WithSign(Rational.Abs(c.One * c.Other))),
        [NumberBefore.LargerBySmaller] = new(
            "larger-by-smaller", "divides the larger number by the smaller",
            c => c.Other.IsZero ? null : c.WithSign(Rational.Abs(c.One) > Rational.Abs(c.Other) ? Rational.Whole(1) / c.Quotient : c.Quotient)),
        [NumberBefore.UpsideDown] = new("upside-down", "divides upside down", c => c.Other.IsZero ? null : c.WithSign(Rational.Whole(1) / c.Quotient))
        { Slip = 1 },
        [NumberBefore.WholePart] = new(
            "whole-part", "writes the whole part only", c => c.WithSign(Rational.Whole(c.Quotient.Numerator / c.Quotient.Denominator))),
        [NumberBefore.RestBehindPoint] = new("rest-behind-point", "writes what is left behind a point", RestBehindPoint),
        [NumberBefore.LeftOut] = new("left-out", "leaves the number before the letter out", c => c.Other),
        [NumberBefore.SignLost] = new("sign-lost", "loses the minus before the letter", c => c.Other / Rational.Abs(c.One)),
        [NumberBefore.NotInLowestTerms] = new("not-in-lowest-terms", "leaves the fraction as it came")
        { Needs = c => c.One.IsWhole && c.Other.IsWhole && !c.Quotient.IsWhole && !BigInteger.GreatestCommonDivisor(c.One.Numerator, c.Other.Numerator).IsOne },
        [NumberBefore.RoundedToWhole] = new("rounded-to-whole", "rounds to a whole number", c => c.WithSign(Exact.Rounded(c.Quotient, 0))),
        [NumberBefore.OnePlace] = new("one-place", "divides to one place and stops", c => c.WithSign(Exact.CutOff(c.Quotient, 1))),
        [NumberBefore.RoundedDown] = new("rounded-down", "writes the next lower whole number", c => WholeNear(c, isAway: c.IsNegative)),
        [NumberBefore.RoundedUp] = new("rounded-up", "writes the next higher whole number", c => WholeNear(c, isAway: !c.IsNegative)),
        [NumberBefore.WithRemainder] = new("with-remainder", "writes what is left as a remainder") { Needs = c => WithRemainder(c) is not null },
        [NumberBefore.DenominatorOnly] = new(
            "denominator-only", "multiplies by the denominator before the letter and forgets the numerator",
            c => IsFraction(c) ? c.WithSign(Rational.Abs(c.Other) * Rational.Whole(c.One.Denominator)) : null)
        { SlipIn = c => IsFraction(c) ? 2 : 0 },
        [NumberBefore.NumeratorOnly] = new(
            "numerator-only", "divides by the numerator before the letter and forgets the denominator",
            c => IsFraction(c) ? c.WithSign(Rational.Abs(c.Other) / Rational.Whole(Rational.Abs(c.One).Numerator)) : null),
        [NumberBefore.Halved] = new("halved", "takes half of the other number", c => c.Other * new Rational(1, 2)),
        Kinds = Pairs,
        Properties = PairSizes,
        Idea = Ideas.DividingUndoesTimes,
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
        Kinds = Pairs,
        Properties = PairSizes,
        Idea = Ideas.FalseOrAlwaysTrue,
    };

    private static bool IsFraction(EquationPair c) => !c.One.IsWhole && !BigInteger.Abs(c.One.Numerator).IsOne;

    /// <summary>The quotient with what is left behind it; null where the division comes out, or is none of whole numbers.</summary>
    public static string? WithRemainder(EquationPair c)
    {
        if (!c.One.IsWhole || !c.Other.IsWhole || c.One.IsZero) return null;
        var whole = BigInteger.DivRem(BigInteger.Abs(c.Other.Numerator), BigInteger.Abs(c.One.Numerator), out var rest);
        return rest.IsZero ? null : $"{(c.IsNegative ? "-" : "")}{whole} r {rest}";
    }

    // None and all, as they are written where no letter is left.
    private const int NoneAtAll = 0;
    private const int Every = 1;

    // What is left of the division, behind a point.
    private static Rational? RestBehindPoint(EquationPair c)
    {
        if (c.Quotient.IsWhole) return null;
        var whole = c.Quotient.Numerator / c.Quotient.Denominator;
        var rest = (Rational.Abs(c.Other) - Rational.Abs(c.One) * Rational.Whole(whole)).Numerator;
        return c.WithSign(Rational.Whole(whole) + new Rational(rest, BigInteger.Pow(10, rest.ToString(CultureInfo.InvariantCulture).Length)));
    }

    // A whole number beside the quotient: away from zero where it is asked for and there is a rest.
    private static Rational? WholeNear(EquationPair c, bool isAway) =>
        c.WithSign(Rational.Whole(c.Quotient.Numerator / c.Quotient.Denominator + (isAway && !c.Quotient.IsWhole ? 1 : 0)));

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [Order, Before, Meets, SignDecisions.OfProduct, Sum, Join, Letters, Number, Divide, Gone];
}
