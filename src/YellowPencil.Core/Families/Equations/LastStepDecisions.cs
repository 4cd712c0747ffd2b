using System.Globalization;
using System.Numerics;
using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Families.Equations;

/// <summary>What is done with the number before the letter.</summary>
internal enum NumberBefore { Divided, TakenAway, Added, Multiplied, LargerBySmaller, UpsideDown, LeftOut, DenominatorOnly, NumeratorOnly, Halved }

/// <summary>What becomes of a minus before the letter.</summary>
internal enum MinusBefore { Kept, Lost }

/// <summary>How a solution is written that is no whole number.</summary>
internal enum SolutionWritten { AsFraction, WholePart, RestBehindPoint, NotInLowestTerms, RoundedToWhole, OnePlace, RoundedDown, RoundedUp, WithRemainder }

/// <summary>The decisions of the last step, in which the letter comes to stand alone.</summary>
internal static class LastStepDecisions
{
    public static readonly Decision<EquationPair, MinusBefore> Minus = new(
        "equations.minus-before", "What becomes of a minus before the letter?", MinusBefore.Kept)
    {
        [MinusBefore.Kept] = new("kept", "divides by the number before the letter with its minus"),
        [MinusBefore.Lost] = new("lost", "loses the minus before the letter"),
        Kinds = EquationPair.Kinds,
        Properties = EquationPair.Sizes,
        Idea = Ideas.DividingUndoesTimes,
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
        [NumberBefore.LeftOut] = new("left-out", "leaves the number before the letter out", c => c.Other),
        [NumberBefore.DenominatorOnly] = new(
            "denominator-only", "multiplies by the denominator before the letter and forgets the numerator",
            c => IsFraction(c) ? c.WithSign(Rational.Abs(c.Other) * Rational.Whole(c.One.Denominator)) : null)
        { SlipIn = c => IsFraction(c) ? 2 : 0 },
        [NumberBefore.NumeratorOnly] = new(
            "numerator-only", "divides by the numerator before the letter and forgets the denominator",
            c => IsFraction(c) ? c.WithSign(Rational.Abs(c.Other) / Rational.Whole(Rational.Abs(c.One).Numerator)) : null),
        [NumberBefore.Halved] = new("halved", "takes half of the other number", c => c.Other * new Rational(1, 2)),
        Kinds = EquationPair.Kinds,
        Properties = EquationPair.Sizes,
        Idea = Ideas.DividingUndoesTimes,
    };

    public static readonly Decision<EquationPair, SolutionWritten, Rational> Written = new(
        "equations.solution-written", "How is a solution written that is no whole number?", SolutionWritten.AsFraction)
    {
        [SolutionWritten.AsFraction] = new("as-fraction", "writes the solution as a fraction in lowest terms", c => c.WithSign(c.Quotient)),
        [SolutionWritten.WholePart] = new(
            "whole-part", "writes the whole part only", c => c.WithSign(Rational.Whole(c.Quotient.Numerator / c.Quotient.Denominator))),
        [SolutionWritten.RestBehindPoint] = new("rest-behind-point", "writes what is left behind a point", RestBehindPoint),
        [SolutionWritten.NotInLowestTerms] = new("not-in-lowest-terms", "leaves the fraction as it came")
        { Needs = c => c.One.IsWhole && c.Other.IsWhole && !BigInteger.GreatestCommonDivisor(c.One.Numerator, c.Other.Numerator).IsOne },
        [SolutionWritten.RoundedToWhole] = new("rounded-to-whole", "rounds to a whole number", c => c.WithSign(Exact.Rounded(c.Quotient, 0))),
        [SolutionWritten.OnePlace] = new("one-place", "divides to one place and stops", c => c.WithSign(Exact.CutOff(c.Quotient, 1))),
        [SolutionWritten.RoundedDown] = new("rounded-down", "writes the next lower whole number", c => WholeNear(c, isAway: c.IsNegative)),
        [SolutionWritten.RoundedUp] = new("rounded-up", "writes the next higher whole number", c => WholeNear(c, isAway: !c.IsNegative)),
        [SolutionWritten.WithRemainder] = new("with-remainder", "writes what is left as a remainder") { Needs = c => WithRemainder(c) is not null },
        Kinds = EquationPair.Kinds,
        Properties = EquationPair.Sizes,
        Idea = Ideas.DividingUndoesTimes,
    };

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [Minus, Divide, Written];

    /// <summary>Which number is divided by which where a choice divides at all, the divisor first; null where it does not.</summary>
    public static EquationPair? Division(NumberBefore way, EquationPair c)
    {
        var reversed = c with { First = c.Second, Second = c.First, One = c.Other, Other = c.One };
        return way switch
        {
            NumberBefore.Divided => c,
            NumberBefore.UpsideDown => reversed,
            NumberBefore.LargerBySmaller => Rational.Abs(c.One) > Rational.Abs(c.Other) ? reversed : c,
            NumberBefore.NumeratorOnly => c with { One = Rational.Whole(c.One.Numerator) },
            NumberBefore.Halved => c with { First = 2, One = Rational.Whole(2), IsNegative = c.Other.Sign < 0 },
            _ => null,
        };
    }

    /// <summary>The quotient with what is left behind it; null where the division comes out, or is none of whole numbers.</summary>
    public static string? WithRemainder(EquationPair c)
    {
        if (!c.One.IsWhole || !c.Other.IsWhole || c.One.IsZero) return null;
        var whole = BigInteger.DivRem(BigInteger.Abs(c.Other.Numerator), BigInteger.Abs(c.One.Numerator), out var rest);
        return rest.IsZero ? null : $"{(c.IsNegative ? "-" : "")}{whole} r {rest}";
    }

    private static bool IsFraction(EquationPair c) => !c.One.IsWhole && !BigInteger.Abs(c.One.Numerator).IsOne;

    // What is left of the division, behind a point.
    private static Rational? RestBehindPoint(EquationPair c)
    {
        var whole = c.Quotient.Numerator / c.Quotient.Denominator;
        var rest = (Rational.Abs(c.Other) - Rational.Abs(c.One) * Rational.Whole(whole)).Numerator;
        return c.WithSign(Rational.Whole(whole) + new Rational(rest, BigInteger.Pow(10, rest.ToString(CultureInfo.InvariantCulture).Length)));
    }

    // A whole number beside the quotient: away from zero where it is asked for.
    private static Rational? WholeNear(EquationPair c, bool isAway) =>
        c.WithSign(Rational.Whole(c.Quotient.Numerator / c.Quotient.Denominator + (isAway ? 1 : 0)));
}
