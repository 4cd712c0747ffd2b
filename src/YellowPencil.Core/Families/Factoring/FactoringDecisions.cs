using System.Numerics;
using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Families.Factoring;

/// <summary>What is taken out first.</summary>
internal enum CommonFactor { Taken, LeftIn, NotFromLast, FirstNumberPulled, OfNumbersHalf, Lost, NothingElse, NumberOnly, OfFirstTwo }

/// <summary>What becomes of a letter that all terms have.</summary>
internal enum CommonLetter { TakenFromBoth, Lost, LeftInSecond, NotTaken, SquareTaken, LeftInFirst, SecondNotDivided, FirstNotDivided, NeitherDivided, NothingForOne }

/// <summary>What is done without a term in the middle.</summary>
internal enum TwoSquares
{
    RootsOfBoth, SaysPrime, NumberNotRooted, Halved, SameSigns, PlusTwice, SumAsSquare, SumAsDifference, FirstNotRooted, LastNotRooted, NeitherRooted,
    DifferenceAsSquare,
}

/// <summary>What is written when the factors are known.</summary>
internal enum FactorsEnd { AsFactors, Solutions, NumbersOfBrackets, FirstBracketOnly, LastBracketOnly, SignsTurned, FrontLost, FrontLast, NumbersOnly, MultipliedOut }

/// <summary>How the two numbers are found.</summary>
internal enum TwoNumbers
{
    SumAndProduct, FirstPairOfProduct, FirstWithOne, ProductOfLastOnly, MiddleReadPositive, OneAndLast, MiddleAndLast, HalvesOfMiddle, RootsOfLast,
    DifferenceForSum, NearestPair, LetterTakenOut, SaysPrime, SumOnly, OneAndLastAsWritten, LastAndOneAsWritten, MiddleAndOne, RootsOfEnds, LastTwice, MiddleTwice,
    OtherPair1, OtherPair2, OtherPair3, OtherPair4, OtherPair5, OtherPair6, OtherPair7, OtherPair8,
}

/// <summary>Which signs the two numbers get.</summary>
internal enum TwoSigns { AsFound, Exchanged, BothMinus, BothPlus, BothOfMiddle, Copied, LargerMinus, SmallerMinus, BothOfLast }

/// <summary>What becomes of the first number.</summary>
internal enum FirstNumber
{
    DividedOut, PassedOver, InOneBracket, InBothBrackets, OnlyFirstDivided, InFront, DenominatorsDropped, SecondSidePlus, OnlyWholeFirst, SaysPrime,
    EndsExchanged, FirstBracketTwice, FractionsLeft, DividedFromOneOnly,
}

/// <summary>A quadratic as the student sees it.</summary>
/// <param name="A">The number before the square.</param>
/// <param name="B">The number before the letter.</param>
/// <param name="C">The plain number.</param>
/// <param name="HadCommon">Whether something was taken out before.</param>
internal readonly record struct Quadratic(int A, int B, int C, bool HadCommon) : IDecisionContext
{
    /// <summary>What divides all three numbers, with the sign of the first.</summary>
    public int Common => (int)BigInteger.GreatestCommonDivisor(CommonOfLetters, C) * Math.Sign(A);

    /// <summary>What divides the numbers of the terms with the letter, with the sign of the first.</summary>
    public int CommonOfLetters => (int)BigInteger.GreatestCommonDivisor(A, B == 0 ? A : B) * Math.Sign(A);

    /// <summary>The two numbers, once they are found.</summary>
    public NumberPair Pair { get; init; }

    /// <summary>What the two numbers come to together, and multiplied, as far as middle and gap are looked for.</summary>
    public (Rational Sum, Rational Product) Wanted { get; init; }

    /// <summary>What lies half-way between them, once it is known.</summary>
    public Rational Middle { get; init; }

    /// <summary>The square of the gap, once it is known.</summary>
    public Rational Squared { get; init; }

    public static bool IsSquare(long number) => number >= 0 && (long)Exact.Root(number) is var root && root * root == number;
}

/// <summary>Two numbers, whichever comes first.</summary>
/// <param name="One">The one.</param>
/// <param name="Other">The other.</param>
internal readonly record struct NumberPair(long One, long Other)
{
    /// <summary>Whether they are put into the brackets as they stand, though the first number is not 1.</summary>
    public bool StayAsTheyAre { get; init; }

    /// <summary>No two numbers: what is left when none are found.</summary>
    public static NumberPair NotFound => default;

    /// <summary>Whether there are any.</summary>
    public bool IsFound => One != 0 || Other != 0;

    /// <summary>Two numbers are the same in either order.</summary>
    public bool Equals(NumberPair other) =>
        StayAsTheyAre == other.StayAsTheyAre && ((One == other.One && Other == other.Other) || (One == other.Other && Other == other.One));

    public override int GetHashCode() => (One + Other).GetHashCode();
}

/// <summary>The decisions about factoring.</summary>
internal static class FactoringDecisions
{
    private static readonly Property<Quadratic>[] Sizes =
    [
        new("middle", "the number of the middle term without its sign", c => Math.Abs(c.B), 1, 5, 10),
        new("last", "the last number without its sign", c => Math.Abs(c.C), 10, 20),
        new("first", "the number before the square", c => Math.Abs(c.A), 2, 5),
    ];

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

    public static readonly Decision<Quadratic, CommonFactor> Common = new("factoring.common", "Which factor do all terms have?", CommonFactor.Taken)
    {
        [CommonFactor.Taken] = new("taken", "takes out what all terms have"),
        [CommonFactor.LeftIn] = new("left-in", "leaves in what all terms have") { Slip = 1, Needs = q => q.Common != 1 },
        [CommonFactor.NotFromLast] = new("not-from-last", "takes it out of the terms with the letter only")
        { Needs = q => q.C != 0 && (q.B == 0 ? q.Common : q.CommonOfLetters) != 1 },
        [CommonFactor.FirstNumberPulled] = new("first-number-pulled", "pulls the first number out of the first term only")
        { Needs = q => q.C != 0 && Math.Abs(q.A / q.Common) != 1 },
        [CommonFactor.OfNumbersHalf] = new("of-numbers-half", "takes out half of what all terms have")
        { Needs = q => q.Common != 1 && (q.HadCommon || (q.Common % 2 == 0 && Math.Abs(q.Common) > 2)) },
        [CommonFactor.Lost] = new("lost", "divides by what all terms have and does not write it") { Needs = q => q.Common != 1 },
        [CommonFactor.NothingElse] = new("nothing-else", "takes out what all terms have and stops") { Needs = q => q.C != 0 && q.Common != 1 },
        [CommonFactor.NumberOnly] = new("number-only", "takes the number out and leaves the letter in") { Needs = q => q.C == 0 },
        [CommonFactor.OfFirstTwo] = new("of-first-two", "takes out what the first two terms have and leaves the last behind it")
        { Needs = q => q.B != 0 && q.C != 0 && q.Common == 1 },
        Kinds = Kinds,
        Properties = Sizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.CommonToAll,
    };

    public static readonly Decision<Quadratic, CommonLetter> Letter = new(
        "factoring.common-letter", "What becomes of a letter that both terms have?", CommonLetter.TakenFromBoth)
    {
        [CommonLetter.TakenFromBoth] = new("taken-from-both", "takes the letter out of both terms"),
        [CommonLetter.Lost] = new("lost", "loses the letter"),
        [CommonLetter.LeftInSecond] = new("left-in-second", "takes the letter out and leaves it in the second term"),
        [CommonLetter.NotTaken] = new("not-taken", "does not take the letter out"),
        [CommonLetter.SquareTaken] = new("square-taken", "takes the square of the letter out"),
        [CommonLetter.LeftInFirst] = new("left-in-first", "takes the letter out and leaves it in the first term"),
        [CommonLetter.SecondNotDivided] = new("second-not-divided", "does not divide the second term by what was taken out"),
        [CommonLetter.FirstNotDivided] = new("first-not-divided", "does not divide the first term by what was taken out"),
        [CommonLetter.NeitherDivided] = new("neither-divided", "divides neither term by what was taken out"),
        [CommonLetter.NothingForOne] = new("nothing-for-one", "leaves nothing where a term is taken out whole") { Needs = q => Math.Abs(q.B) == 1 },
        Kinds = Kinds,
        Properties = Sizes,
        Idea = Ideas.CommonToAll,
    };

    public static readonly Decision<Quadratic, TwoSquares> Squares = new(
        "factoring.two-squares", "What are the factors without a term in the middle?", TwoSquares.RootsOfBoth)
    {
        [TwoSquares.RootsOfBoth] = new("roots-of-both", "takes the roots of both, with plus and minus"),
        [TwoSquares.SaysPrime] = new("says-prime", "says prime") { Needs = AreSquares },
        [TwoSquares.NumberNotRooted] = new("number-not-rooted", "does not root the number before the letter")
        { Needs = q => q.C < 0 && q.A != 1 && Quadratic.IsSquare(-q.C) },
        [TwoSquares.Halved] = new("halved", "halves even numbers instead of rooting them")
        { Needs = q => q.C < 0 && Quadratic.IsSquare(q.A) && q.C % 2 == 0 && q.C != -4 },
        [TwoSquares.SameSigns] = new("same-signs", "writes a minus in both brackets") { Needs = AreSquares },
        [TwoSquares.PlusTwice] = new("plus-twice", "writes a plus in both brackets") { Needs = AreSquares },
        [TwoSquares.SumAsSquare] = new("sum-as-square", "writes a sum of squares as the square of a sum") { Needs = IsSumOfSquares },
        [TwoSquares.SumAsDifference] = new("sum-as-difference", "factors a sum of squares like a difference") { Needs = IsSumOfSquares },
        [TwoSquares.FirstNotRooted] = new("first-not-rooted", "does not root the number before the letter, and roots the last") { Needs = q => AreSquares(q) && q.A != 1 },
        [TwoSquares.LastNotRooted] = new("last-not-rooted", "does not root the last number") { Needs = q => q.C < -1 && Quadratic.IsSquare(q.A) },
        [TwoSquares.NeitherRooted] = new("neither-rooted", "roots neither number") { Needs = q => q.C < -1 && q.A != 1 },
        [TwoSquares.DifferenceAsSquare] = new("difference-as-square", "writes a difference of squares as the square of a difference") { Needs = AreSquares },
        Kinds = Kinds,
        Properties = Sizes,
        Idea = Ideas.RootsOfBothSquares,
    };

    public static readonly Decision<Quadratic, TwoNumbers, NumberPair> Numbers = new(
        "factoring.two-numbers", "Which two numbers have the right sum and product?", TwoNumbers.SumAndProduct)
    {
        [TwoNumbers.SumAndProduct] = new("sum-and-product", "finds the two numbers by sum and product", q => Pairs.Of(q.A, q.B, q.C)),
        [TwoNumbers.FirstPairOfProduct] = new(
            "first-pair-of-product", "takes the first pair with the right product", q => Pairs.First((long)q.A * q.C, q.B, from: 2))
        { Slip = 1 },
        [TwoNumbers.FirstWithOne] = new("first-with-one", "takes 1 and the product", q => Pairs.First((long)q.A * q.C, q.B, from: 1)),
        [TwoNumbers.ProductOfLastOnly] = new(
            "product-of-last-only", "looks for the product of the last number only", q => Pairs.AsTheyAre(q, Pairs.Of(1, q.B, q.C))),
        [TwoNumbers.MiddleReadPositive] = new("middle-read-positive", "reads the middle without its minus", q => Pairs.Of(q.A, Math.Abs(q.B), q.C)),
        [TwoNumbers.OneAndLast] = new("one-and-last", "takes 1 and the last number", q => Pairs.AsTheyAre(q, Pairs.First(q.C, q.B, from: 1))),
        [TwoNumbers.MiddleAndLast] = new("middle-and-last", "takes the middle and the last number as they stand", q => Pairs.AsTheyAre(q, new(q.B, q.C))),
        [TwoNumbers.HalvesOfMiddle] = new(
            "halves-of-middle", "takes half of the middle twice", q => q.B % 2 == 0 ? new(q.B / 2, q.B / 2) : NumberPair.NotFound),
        [TwoNumbers.RootsOfLast] = new("roots-of-last", "takes the root of the last number twice", q => Pairs.RootOfLast(q.B, q.C)),
        [TwoNumbers.DifferenceForSum] = new(
            "difference-for-sum", "looks for the middle as a difference where it is a sum",
            q => q.C > 0 ? Pairs.Apart(q.B, (long)q.A * q.C) ?? Pairs.Of(q.A, q.B, q.C) : Pairs.Of(q.A, q.B, q.C)),
        [TwoNumbers.NearestPair] = new(
            "nearest-pair", "takes the two numbers with that product that are nearest to each other", q => Pairs.Nearest((long)q.A * q.C, q.B)),
        [TwoNumbers.LetterTakenOut] = new("letter-taken-out", "takes the letter out of the first two terms"),
        [TwoNumbers.SaysPrime] = new("says-prime", "says prime", _ => NumberPair.NotFound),
        [TwoNumbers.SumOnly] = new("sum-only", "takes 1 and what is missing to the sum", q => q.B < 0 ? new(-1, q.B + 1) : new(1, q.B - 1)),
        [TwoNumbers.OneAndLastAsWritten] = new("one-and-last-as-written", "takes 1 and the last number as it stands", q => Pairs.AsTheyAre(q, new(1, q.C))),
        [TwoNumbers.LastAndOneAsWritten] = new("last-and-one-as-written", "takes the last number as it stands and 1", q => Pairs.AsTheyAre(q, new(q.C, 1))),
        [TwoNumbers.RootsOfEnds] = new(
            "roots-of-ends", "writes the square of a sum where both ends are squares, whatever the middle",
            q => Quadratic.IsSquare(q.A) && Quadratic.IsSquare(q.C) ? Pairs.RootOfLast(q.B, q.A * q.C) : Pairs.Of(q.A, q.B, q.C)),
        [TwoNumbers.LastTwice] = new("last-twice", "takes the last number twice", q => Pairs.AsTheyAre(q, new(q.C, q.C))),
        [TwoNumbers.MiddleTwice] = new("middle-twice", "takes the middle twice", q => Pairs.AsTheyAre(q, new(q.B, q.B))),
        [TwoNumbers.MiddleAndOne] = new("middle-and-one", "takes the middle and 1", q => new(q.B, 1)),
        [TwoNumbers.OtherPair1] = OtherPair(1),
        [TwoNumbers.OtherPair2] = OtherPair(2),
        [TwoNumbers.OtherPair3] = OtherPair(3),
        [TwoNumbers.OtherPair4] = OtherPair(4),
        [TwoNumbers.OtherPair5] = OtherPair(5),
        [TwoNumbers.OtherPair6] = OtherPair(6),
        [TwoNumbers.OtherPair7] = OtherPair(7),
        [TwoNumbers.OtherPair8] = OtherPair(8),
        ShowsIn = WorkFields.Cross.Part(2),
        Kinds = Kinds,
        Properties = Sizes,
        Idea = Ideas.SumAndProduct,
    };

    /// <summary>Some pair with the right product that has not the right sum, of those that come to mind.</summary>
    private static Choice<Quadratic, NumberPair> OtherPair(int number) => new(
        $"other-pair-{number}", $"takes pair {number} of those with the right product only", q => Pairs.WithProductOnly(q.B, (long)q.A * q.C).ElementAtOrDefault(number - 1))
    {
        IsOneOfMany = true,
        Needs = q => Pairs.WithProductOnly(q.B, (long)q.A * q.C).Skip(number - 1).Any(),
        Says = q => Pairs.WithProductOnly(q.B, (long)q.A * q.C).ElementAtOrDefault(number - 1) is { IsFound: true } pair
            ? $"Takes {pair.One} and {pair.Other}: the product is right, and together they are {pair.One + pair.Other}, not {q.B}.".Replace('-', '−')
            : $"Takes pair {number} of those with the right product only.",
    };

    /// <summary>Whatever pair with the right product comes to mind: the first such, and the others.</summary>
    public static IReadOnlyList<Deviation> OtherPairs { get; } =
        [.. Enumerable.Range(ChoiceName<TwoNumbers>.Number(TwoNumbers.OtherPair1), 8).Select(number => Numbers.Instead(ChoiceName<TwoNumbers>.At(number)))];

    public static readonly Decision<Quadratic, TwoSigns, NumberPair> Signs = new("factoring.signs", "Which signs do the two numbers get?", TwoSigns.AsFound)
    {
        [TwoSigns.AsFound] = new("as-found", "gives both numbers the signs that fit", q => q.Pair),
        [TwoSigns.Exchanged] = new("exchanged", "gives the minus to the other number", q => new(-q.Pair.One, -q.Pair.Other)) { Slip = 3 },
        [TwoSigns.BothMinus] = new("both-minus", "makes both minus", q => new(-Math.Abs(q.Pair.One), -Math.Abs(q.Pair.Other))),
        [TwoSigns.BothPlus] = new("both-plus", "makes both plus", q => new(Math.Abs(q.Pair.One), Math.Abs(q.Pair.Other))),
        [TwoSigns.BothOfMiddle] = new(
            "both-of-middle", "gives both the sign of the middle", q => new(Math.Abs(q.Pair.One) * Math.Sign(q.B), Math.Abs(q.Pair.Other) * Math.Sign(q.B))),
        [TwoSigns.Copied] = new(
            "copied", "copies the signs of the task, the smaller number first",
            q => new(Math.Abs(q.Pair.One) * Math.Sign(q.B), Math.Abs(q.Pair.Other) * Math.Sign(q.C))),
        [TwoSigns.LargerMinus] = new(
            "larger-minus", "gives the larger a minus and the smaller a plus",
            q =>
                Math.Abs(q.Pair.One) > Math.Abs(q.Pair.Other)
                    ? new(-Math.Abs(q.Pair.Other), Math.Abs(q.Pair.One))
                    : new(Math.Abs(q.Pair.One), -Math.Abs(q.Pair.Other))),
        [TwoSigns.SmallerMinus] = new(
            "smaller-minus", "gives the smaller a minus and the larger a plus", q => new(-Math.Abs(q.Pair.One), Math.Abs(q.Pair.Other))),
        [TwoSigns.BothOfLast] = new(
            "both-of-last", "gives both the sign of the last number", q => new(Math.Abs(q.Pair.One) * Math.Sign(q.C), Math.Abs(q.Pair.Other) * Math.Sign(q.C))),
        ShowsIn = WorkFields.Cross.Part(3),
        Kinds = Kinds,
        Properties = Sizes,
        Idea = Ideas.SignsOfTheTwo,
    };

    public static readonly Decision<Quadratic, FirstNumber> First = new(
        "factoring.first-number", "How does the first number come into the brackets?", FirstNumber.DividedOut)
    {
        [FirstNumber.DividedOut] = new("divided-out", "puts the first number into both brackets and divides it out"),
        [FirstNumber.PassedOver] = new("passed-over", "passes over the first number") { Needs = q => q.A != 1 },
        [FirstNumber.InOneBracket] = new("in-one-bracket", "puts the first number into one bracket") { Needs = q => q.A != 1 },
        [FirstNumber.InBothBrackets] = new("in-both-brackets", "puts the first number into both brackets") { Needs = q => q.A != 1 },
        [FirstNumber.OnlyFirstDivided] = new("only-first-divided", "divides only the first bracket")
        { Needs = q => q.A != 1 && Math.Abs(q.A) != 1 && Divisor(q.A, q.Pair.Other) > 1 },
        [FirstNumber.InFront] = new("in-front", "writes the first number in front") { Needs = q => q.A != 1 },
        [FirstNumber.DenominatorsDropped] = new("denominators-dropped", "drops the denominators") { Needs = q => q.A != 1 },
        [FirstNumber.SecondSidePlus] = new("second-side-plus", "writes a plus in the second bracket") { Needs = q => q.Pair.Other < 0 },
        [FirstNumber.OnlyWholeFirst] = new("only-whole-first", "says prime where the first number has to be split")
        { Needs = q => q.A != 1 && Divisor(q.A, q.Pair.One) > 1 && Divisor(q.A, q.Pair.Other) > 1 },
        [FirstNumber.SaysPrime] = new("says-prime", "says prime where the first number is not 1") { Needs = q => q.A != 1 },
        [FirstNumber.EndsExchanged] = new("ends-exchanged", "exchanges the ends of the brackets") { Needs = q => q.A != 1 },
        [FirstNumber.FractionsLeft] = new("fractions-left", "leaves the fractions in the brackets and does not give the first number back")
        { Needs = q => q.A != 1 && (q.Pair.One % q.A != 0 || q.Pair.Other % q.A != 0) },
        [FirstNumber.DividedFromOneOnly] = new("divided-from-one-only", "divides the plain numbers and puts the first number into the first bracket")
        { Needs = q => q.A != 1 && q.Pair.One % q.A == 0 && q.Pair.Other % q.A == 0 },
        [FirstNumber.FirstBracketTwice] = new("first-bracket-twice", "writes the first bracket twice") { Needs = q => q.A != 1 },
        Kinds = Kinds,
        Properties = Sizes,
        Idea = Ideas.FirstNumberIsShared,
    };

    public static readonly Decision<Quadratic, FactorsEnd> End = new("factoring.end", "What is written when the factors are known?", FactorsEnd.AsFactors)
    {
        [FactorsEnd.AsFactors] = new("as-factors", "writes the factors"),
        [FactorsEnd.Solutions] = new("solutions", "goes on to solve, and answers with the solutions"),
        [FactorsEnd.NumbersOfBrackets] = new("numbers-of-brackets", "goes on to solve, and writes the numbers with the signs they have in the brackets"),
        [FactorsEnd.FirstBracketOnly] = new("first-bracket-only", "writes one bracket only"),
        [FactorsEnd.LastBracketOnly] = new("last-bracket-only", "writes the last bracket only"),
        [FactorsEnd.SignsTurned] = new("signs-turned", "writes the numbers into the brackets with their signs turned round"),
        [FactorsEnd.FrontLost] = new("front-lost", "leaves off what was taken out, in the end") { Needs = q => q.HadCommon },
        [FactorsEnd.FrontLast] = new("front-last", "multiplies the last bracket by what was taken out") { Needs = q => q.HadCommon },
        [FactorsEnd.NumbersOnly] = new("numbers-only", "writes the two numbers only"),
        [FactorsEnd.MultipliedOut] = new("multiplied-out", "multiplies the factors out again"),
        Kinds = Kinds,
        Properties = Sizes,
        Idea = Ideas.AnswerTheQuestion,
    };

    private static bool IsSumOfSquares(Quadratic q) => q.C > 0 && Quadratic.IsSquare(q.A) && Quadratic.IsSquare(q.C);

    private static bool AreSquares(Quadratic q) => Quadratic.IsSquare(q.A) && Quadratic.IsSquare(-q.C);

    private static BigInteger Divisor(long one, long other) => BigInteger.GreatestCommonDivisor(one, other);

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [Common, Letter, Squares, Numbers, Signs, First, .. GapDecisions.All, End];
}
