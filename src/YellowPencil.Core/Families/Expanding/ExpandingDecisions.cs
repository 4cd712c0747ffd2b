using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.SignRules;
using YellowPencil.Core.Parts.Terms;

namespace YellowPencil.Core.Families.Expanding;

/// <summary>How a bracket is squared.</summary>
internal enum SquareChoice
{
    AsProduct, TermsSquaredPlus, TermsSquaredSignKept, Doubled, MiddlePlus, MiddleOnce, MiddleHalf, TermsSquaredMinus, MiddleIsLast, LastDoubled,
    LastNotSquared, LastDoubledPlus, LastHalved,
}

/// <summary>How two brackets are multiplied.</summary>
internal enum BracketsChoice
{
    EveryPair, FirstAndLast, FirstDistributedSecondCopied, SumOfSquares, BracketsAdded, SumAndProductExchanged, OuterTwice, InnerTwice,
    ProductInMiddle, ProductTwiceInMiddle, SumAtEnd,
}

/// <summary>With which sign a term stands at the edge of a box.</summary>
internal enum BoxEdge { WithSign, SignLeftOff }

internal enum ProductMade { Made, LeftOut, OtherCopied, OtherCopiedWithSign, AddedWhereLike }

/// <summary>What becomes of the numbers of two terms.</summary>
internal enum NumbersChoice { Multiplied, Added, SizesAdded, FirstOnly, SecondOnly, LetterCountsAsOne, FirstTimesItself, SecondTimesItself }

/// <summary>What becomes of the letters of two terms.</summary>
internal enum LettersChoice { PowersAdded, LetterLost, PowerStays, PowersMultiplied, TwoOfTheLetter }

/// <summary>Which sign a product of two terms gets, whatever their signs come to.</summary>
internal enum TermSign { AsDue, Plus, Minus, AsFirst, AsSecond, Turned }

/// <summary>A product of two terms as the student sees it.</summary>
/// <param name="First">The number of the first.</param>
/// <param name="FirstPower">Its power.</param>
/// <param name="Second">The number of the second.</param>
/// <param name="SecondPower">Its power.</param>
/// <param name="I">Which term of the first bracket, from 0.</param>
/// <param name="J">Which term of the second bracket, from 0.</param>
internal readonly record struct TermProduct(int First, int FirstPower, int Second, int SecondPower, int I, int J) : IDecisionContext
{
    /// <summary>Whether a term stands before one bracket.</summary>
    public bool IsBefore { get; init; }

    /// <summary>Whether a bracket is squared.</summary>
    public bool IsSquare { get; init; }

    /// <summary>Whether both brackets differ in a sign only.</summary>
    public bool IsConjugate { get; init; }

    /// <summary>Whether the product has a minus, as it was worked out.</summary>
    public bool IsNegative { get; init; }

    /// <summary>A size with the sign that is due.</summary>
    public long WithSign(long size) => First < 0 == Second < 0 ? size : -size;

    /// <summary>Whether both terms have the letter.</summary>
    public bool HaveLetters => FirstPower > 0 && SecondPower > 0;

    /// <summary>Whether both are plain numbers.</summary>
    public bool AreNumbers => FirstPower == 0 && SecondPower == 0;

    /// <summary>Whether one of them only has the letter.</summary>
    public bool AreMixed => !HaveLetters && !AreNumbers;

    /// <summary>Whether a letter without a number meets one with a number.</summary>
    public bool HasOneBare => HaveLetters && Math.Abs(First) == 1 != (Math.Abs(Second) == 1);

    /// <summary>Whether a letter without a number meets another one.</summary>
    public bool AreBare => HaveLetters && Math.Abs(First) == 1 && Math.Abs(Second) == 1;

    /// <summary>Whether both have a number that can be seen.</summary>
    public bool HaveNumbers => Math.Abs(First) != 1 && Math.Abs(Second) != 1;
}

/// <summary>The decisions about multiplying out.</summary>
internal static class ExpandingDecisions
{
    private static readonly Property<TermProduct>[] Sizes =
    [
        new("first", "the first number without its sign", c => Math.Abs(c.First), 1, 2, 5, 10),
        new("second", "the second number without its sign", c => Math.Abs(c.Second), 1, 2, 5, 10),
    ];

    private static readonly Kind<TermProduct>[] Kinds =
    [
        new("always", "always", _ => true),
        new("before", "where a term stands before one bracket", c => c.IsBefore),
        new("brackets", "where two brackets are multiplied", c => !c.IsBefore),
        new("square", "in squares", c => c.IsSquare),
        new("no-square", "where different brackets are multiplied", c => !c.IsBefore && !c.IsSquare),
        new("conjugate", "in a sum times a difference", c => c.IsConjugate),
        new("both-letters", "where both terms have the letter", c => c.HaveLetters),
        new("both-numbers", "where both are plain numbers", c => c.AreNumbers),
        new("mixed", "where one of them only has the letter", c => c.AreMixed),
        new("letter-before-number", "where a letter meets a plain number", c => c.FirstPower > 0 && c.SecondPower == 0),
        new("first-of-first", "in the first term of the bracket", c => c.J == 0),
        new("later-terms", "in every term but the first", c => c.J > 0) { Otherwise = "in the first term" },
        new("from-second", "in products of the second term", c => c.I > 0),
        new("outer", "in the product of the outer terms", c => c is { I: 0, J: > 0 }),
        new("inner", "in the product of the inner terms", c => c is { I: > 0, J: 0 }),
        new("numbers-seen", "where both have a number that can be seen", c => c.HaveNumbers),
        new("one-bare", "where a letter without a number meets one with a number", c => c.HasOneBare),
        new("both-bare", "where letters without numbers meet", c => c.AreBare),
        new("third-term", "in the third term and on", c => c.J > 1),
        new("second-term", "in the second term", c => c.J == 1),
        new("second-negative", "where the second has a minus", c => c.Second < 0),
        new("both-negative", "where both have a minus", c => c is { First: < 0, Second: < 0 }),
        new("first-negative", "where the first has a minus", c => c.First < 0),
        new("different-signs", "where one of them has a minus", c => c.First < 0 != c.Second < 0),
        new("last-of-last", "in the product of the last terms", c => c is { I: > 0, J: > 0 }),
        new("middle", "in the products of outer and inner terms", c => !c.IsBefore && c.I != c.J),
        new("after-minus", "in every term but the first, behind a minus", c => c is { J: > 0, First: < 0 }),
    ];

    public static readonly Decision<TermProduct, SquareChoice> Square = new("expanding.square", "What is the square of a bracket?", SquareChoice.AsProduct)
    {
        [SquareChoice.AsProduct] = new("as-product", "multiplies the bracket by itself"),
        [SquareChoice.TermsSquaredPlus] = new("terms-squared-plus", "adds the squares of the terms") { Slip = 2 },
        [SquareChoice.TermsSquaredSignKept] = new("terms-squared-sign-kept", "squares the terms and keeps the sign between them"),
        [SquareChoice.Doubled] = new("doubled", "doubles the bracket"),
        [SquareChoice.MiddlePlus] = new("middle-plus", "writes a plus in the middle") { Needs = c => c.First < 0 != c.Second < 0 },
        [SquareChoice.MiddleOnce] = new("middle-once", "writes the middle product once"),
        [SquareChoice.MiddleHalf] = new("middle-half", "writes half of the middle"),
        [SquareChoice.TermsSquaredMinus] = new("terms-squared-minus", "takes the squares of the terms from each other"),
        [SquareChoice.MiddleIsLast] = new("middle-is-last", "writes the square of the number in the middle as well")
        { Needs = c => 2 * Math.Abs(c.First) != Math.Abs(c.Second) },
        [SquareChoice.LastDoubled] = new("last-doubled", "doubles the number instead of squaring it") { Needs = c => c.Second != 2 },
        [SquareChoice.LastDoubledPlus] = new("last-doubled-plus", "doubles the number without its sign instead of squaring it")
        { Needs = c => Math.Abs(c.Second) != 2 },
        [SquareChoice.LastHalved] = new("last-halved", "writes half of the middle number as the last") { Needs = c => Math.Abs(c.Second) != 1 },
        [SquareChoice.LastNotSquared] = new("last-not-squared", "does not square the number") { Needs = c => c.Second != 1 },
        Kinds = [
            new("always", "always", _ => true), new("difference", "in the square of a difference", c => c.First < 0 != c.Second < 0),
            new("sum", "in the square of a sum", c => c.First < 0 == c.Second < 0),
        ],
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.SquareIsAProduct,
    };

    public static readonly Decision<TermProduct, BracketsChoice> Brackets = new(
        "expanding.brackets", "Which products do two brackets make?", BracketsChoice.EveryPair)
    {
        [BracketsChoice.EveryPair] = new("every-pair", "multiplies each term by each"),
        [BracketsChoice.FirstAndLast] = new("first-and-last", "multiplies first by first and last by last only"),
        [BracketsChoice.FirstDistributedSecondCopied] = new(
            "first-distributed-second-copied", "multiplies the second bracket by the first term and copies the second"),
        [BracketsChoice.SumOfSquares] = new("sum-of-squares", "writes the sum of the squares"),
        [BracketsChoice.BracketsAdded] = new("brackets-added", "adds the brackets"),
        [BracketsChoice.SumAndProductExchanged] = new("sum-and-product-exchanged", "writes the product of the numbers in the middle and their sum at the end"),
        [BracketsChoice.ProductInMiddle] = new("product-in-middle", "writes the product of the numbers in the middle and at the end"),
        [BracketsChoice.ProductTwiceInMiddle] = new("product-twice-in-middle", "writes twice the product of the numbers in the middle"),
        [BracketsChoice.SumAtEnd] = new("sum-at-end", "writes the sum of the numbers in the middle and at the end"),
        [BracketsChoice.OuterTwice] = new("outer-twice", "doubles the product of the outer terms and leaves the inner one out"),
        [BracketsChoice.InnerTwice] = new("inner-twice", "doubles the product of the inner terms and leaves the outer one out"),
        Kinds = Kinds,
        Properties = Sizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.EachTermByEach,
    };

    public static readonly Decision<TermProduct, BoxEdge> Edge = new("expanding.edge", "With which sign does a term stand at the edge of the box?", BoxEdge.WithSign)
    {
        [BoxEdge.WithSign] = new("with-sign", "writes each term with its sign at the edge of the box"),
        [BoxEdge.SignLeftOff] = new("sign-left-off", "leaves the minus off a term at the edge of the box") { Needs = c => c.First < 0, Slip = 0.3 },
        Kinds = [new("always", "always", _ => true), new("top", "on top", c => c.J == 0), new("side", "at the side", c => c.J == 1)],
        ShowsIn = WorkFields.Box.At(0, 1),
        Idea = Ideas.TermBringsItsSign,
    };

    public static readonly Decision<TermProduct, ProductMade, (long Number, int Power)> Made = new(
        "expanding.product-made", "Is this product made?", ProductMade.Made)
    {
        [ProductMade.Made] = new("made", "makes every product", c => ((long)c.First * c.Second, c.FirstPower + c.SecondPower)),
        [ProductMade.LeftOut] = new("left-out", "leaves a product out", _ => (0, 0)) { SlipIn = c => c.J > 0 || c.I > 0 ? 1 : 0 },
        [ProductMade.OtherCopied] = new("other-copied", "copies the term of the bracket", c => (c.Second, c.SecondPower)),
        [ProductMade.OtherCopiedWithSign] = new(
            "other-copied-with-sign", "copies the term of the bracket with the sign before it", c => (c.First < 0 ? -c.Second : c.Second, c.SecondPower)),
        [ProductMade.AddedWhereLike] = new(
            "added-where-like", "adds to a like term and copies the others", c =>
                (c.FirstPower == c.SecondPower ? c.First + c.Second : c.Second, c.SecondPower)),
        Kinds = Kinds,
        Properties = Sizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.EachTermByEach,
    };

    public static readonly Decision<TermProduct, NumbersChoice, long> Numbers = new(
        "expanding.numbers", "What becomes of the numbers of two terms?", NumbersChoice.Multiplied)
    {
        [NumbersChoice.Multiplied] = new("multiplied", "multiplies the numbers", c => (long)c.First * c.Second),
        [NumbersChoice.Added] = new("added", "adds the numbers with their signs", c => c.First + c.Second),
        [NumbersChoice.SizesAdded] = new("sizes-added", "adds the sizes of the numbers", c => c.WithSign((long)Math.Abs(c.First) + Math.Abs(c.Second)))
        { Slip = 0.7 },
        [NumbersChoice.FirstOnly] = new("first-only", "writes the size of the first number only", c => c.WithSign(Math.Abs(c.First))),
        [NumbersChoice.SecondOnly] = new("second-only", "writes the size of the second number only", c => c.WithSign(Math.Abs(c.Second))),
        [NumbersChoice.LetterCountsAsOne] = new(
            "letter-counts-as-one", "writes the plain number and passes over the one before the letter",
            c => c.AreMixed ? c.WithSign(Math.Abs(c.FirstPower == 0 ? c.First : c.Second)) : null),
        [NumbersChoice.FirstTimesItself] = new("first-times-itself", "multiplies the first number by itself", c => (long)c.First * c.First),
        [NumbersChoice.SecondTimesItself] = new("second-times-itself", "multiplies the second number by itself", c => (long)c.Second * c.Second),
        Kinds = Kinds,
        Properties = Sizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.NumbersTimesPowersPlus,
    };

    /// <summary>The size of the number as a number.</summary>
    public static readonly ValueDecision<TermProduct> Size = new("expanding.size", "What do the numbers of two terms come to?")
    {
        Numbers = [new("first", "the first number", c => Math.Abs(c.First)), new("second", "the second number", c => Math.Abs(c.Second))],
        Does = n => $"comes to {n} in the numbers",
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.NumbersTimesPowersPlus,
    };

    public static readonly Decision<TermProduct, TermSign, bool> Sign = new("expanding.sign", "Which sign does this product get?", TermSign.AsDue)
    {
        [TermSign.AsDue] = new("as-due", "gives each product the sign of its terms", c => c.IsNegative),
        [TermSign.Plus] = new("plus", "writes a plus", _ => false),
        [TermSign.Minus] = new("minus", "writes a minus", _ => true),
        [TermSign.AsFirst] = new("as-first", "keeps the sign of the first term", c => c.First < 0),
        [TermSign.AsSecond] = new("as-second", "keeps the sign of the second term", c => c.Second < 0),
        [TermSign.Turned] = new("turned", "turns the sign", c => !c.IsNegative),
        Kinds = Kinds,
        Properties = Sizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.TermBringsItsSign,
    };

    public static readonly Decision<TermProduct, LettersChoice, (int Power, int Times)> Letters = new(
        "expanding.letters", "What becomes of the letters of two terms?", LettersChoice.PowersAdded)
    {
        [LettersChoice.PowersAdded] = new("powers-added", "adds the powers of the letter", c => (c.FirstPower + c.SecondPower, 1)),
        [LettersChoice.LetterLost] = new("letter-lost", "loses the letter", c => (Math.Min(c.FirstPower, c.SecondPower), 1)),
        [LettersChoice.PowerStays] = new("power-stays", "keeps one letter without raising its power", c => (Math.Max(c.FirstPower, c.SecondPower), 1))
        { SlipIn = c => c.HaveLetters ? 1 : 0 },
        [LettersChoice.PowersMultiplied] = new("powers-multiplied", "multiplies the powers", c => c.HaveLetters ? (c.FirstPower * c.SecondPower, 1) : null),
        [LettersChoice.TwoOfTheLetter] = new(
            "two-of-the-letter", "makes two of a letter times itself", c => c.HaveLetters ? (Math.Max(c.FirstPower, c.SecondPower), 2) : null),
        Kinds = Kinds,
        Properties = Sizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.NumbersTimesPowersPlus,
    };

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [
        Square, Brackets, Edge, Made, Numbers, Size, SignDecisions.OfProduct, Sign, Letters, .. PolynomialDecisions.Collecting,
    ];
}
