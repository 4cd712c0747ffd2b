using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Families.Factoring;

/// <summary>What lies half-way between the two numbers.</summary>
internal enum GapMiddle { HalfOfMiddle, WholeMiddle, LeftOut, SignTurned, FirstNumberPassedOver }

internal enum GapSquared { MiddleSquaredLessLast, LastLessMiddleSquared, Together, MiddleNotSquared, LastOnly }

internal enum GapRoot { Rooted, NotRooted, Halved }

/// <summary>What is done where the square of the gap is below zero.</summary>
internal enum GapBelowZero { WithI, WithoutI, IWithoutRoot }

/// <summary>On which sides of the middle the gap is taken.</summary>
internal enum GapSides { Both, PlusTwice, MinusTwice, OneOnly, AroundWhole, AroundZero, GapHalved }

/// <summary>What becomes of a first number that is not 1.</summary>
internal enum GapFront { InFront, Lost }

/// <summary>The decisions about factoring by middle and gap.</summary>
internal static class GapDecisions
{
    private static readonly Kind<Quadratic>[] Kinds =
    [
        new("always", "always", _ => true),
        new("one-first", "where the first number is 1", q => q.A == 1),
        new("more-first", "where the first number is not 1", q => q.A != 1),
        new("no-middle", "where there is no middle", q => q.B == 0),
        new("odd-middle", "where the middle is odd", q => q.B % 2 != 0),
        new("middle-negative", "where the middle has a minus", q => q.B < 0),
        new("last-negative", "where the last number has a minus", q => q.C < 0),
        new("imaginary", "where no real number solves it", q => (long)q.B * q.B < 4L * q.A * q.C),
    ];

    public static readonly Decision<Quadratic, GapMiddle, Rational> Middle = new(
        "factoring.gap-middle", "What lies half-way between the two numbers?", GapMiddle.HalfOfMiddle)
    {
        [GapMiddle.HalfOfMiddle] = new("half-of-middle", "takes half of the middle", q => q.Wanted.Sum * new Rational(1, 2)),
        [GapMiddle.WholeMiddle] = new("whole-middle", "takes the whole middle", q => q.Wanted.Sum),
        [GapMiddle.LeftOut] = new("left-out", "leaves the middle out", _ => default(Rational)),
        [GapMiddle.SignTurned] = new("sign-turned", "turns the sign of the middle round", q => -(q.Wanted.Sum * new Rational(1, 2))),
        [GapMiddle.FirstNumberPassedOver] = new(
            "first-number-passed-over", "passes over the first number when halving the middle", q => q.Wanted.Sum * new Rational(q.A, 2)),
        ShowsIn = WorkFields.Gap.Part(0),
        Kinds = Kinds,
        Idea = Ideas.HalfWayBetween,
    };

    public static readonly Decision<Quadratic, GapSquared, Rational> Squared = new(
        "factoring.gap-squared", "What is the square of the gap?", GapSquared.MiddleSquaredLessLast)
    {
        [GapSquared.MiddleSquaredLessLast] = new(
            "middle-squared-less-last", "takes the last number from the square of the half", q => q.Middle * q.Middle - q.Wanted.Product),
        [GapSquared.LastLessMiddleSquared] = new(
            "last-less-middle-squared", "takes the square of the half from the last number", q => q.Wanted.Product - q.Middle * q.Middle),
        [GapSquared.Together] = new("together", "adds the square of the half and the last number", q => q.Middle * q.Middle + q.Wanted.Product) { Slip = 1 },
        [GapSquared.MiddleNotSquared] = new("middle-not-squared", "does not square the half", q => q.Middle - q.Wanted.Product),
        [GapSquared.LastOnly] = new("last-only", "takes the last number alone", q => q.Wanted.Product),
        ShowsIn = WorkFields.Gap.Part(1),
        Kinds = Kinds,
        Idea = Ideas.HalfWayBetween,
    };

    public static readonly Decision<Quadratic, GapRoot, Rational> Root = new("factoring.gap-root", "What is the gap, when its square is known?", GapRoot.Rooted)
    {
        [GapRoot.Rooted] = new("rooted", "roots the square of the gap", q => NumberSentence.RootOf(q.Squared) ?? Rational.Whole(-1)),
        [GapRoot.NotRooted] = new("not-rooted", "writes the square of the gap without rooting it", q => q.Squared) { Slip = 1 },
        [GapRoot.Halved] = new("halved", "halves the square of the gap", q => q.Squared * new Rational(1, 2)),
        Kinds = Kinds,
        Idea = Ideas.HalfWayBetween,
    };

    public static readonly Decision<Quadratic, GapBelowZero> BelowZero = new(
        "factoring.gap-below-zero", "What is the root of a number below zero?", GapBelowZero.WithI)
    {
        [GapBelowZero.WithI] = new("with-i", "writes i before the root"),
        [GapBelowZero.WithoutI] = new("without-i", "leaves the i out") { Slip = 2 },
        [GapBelowZero.IWithoutRoot] = new("i-without-root", "writes i and does not root the number"),
        Kinds = Kinds,
        Idea = Ideas.HalfWayBetween,
    };

    public static readonly Decision<Quadratic, GapSides> Sides = new("factoring.gap-sides", "On which sides of the middle is the gap taken?", GapSides.Both)
    {
        [GapSides.Both] = new("both", "takes the gap on both sides"),
        [GapSides.PlusTwice] = new("plus-twice", "writes plus in both brackets") { Slip = 1, Needs = q => !q.Squared.IsZero },
        [GapSides.MinusTwice] = new("minus-twice", "writes minus in both brackets") { Needs = q => !q.Squared.IsZero },
        [GapSides.OneOnly] = new("one-only", "writes one bracket only"),
        [GapSides.AroundWhole] = new("around-whole", "writes the whole middle number into the brackets instead of half of it") { Needs = q => q.B != 0 },
        [GapSides.AroundZero] = new("around-zero", "writes the gap into the brackets and leaves the middle out") { Needs = q => q.B != 0 },
        [GapSides.GapHalved] = new("gap-halved", "takes half of the gap on both sides") { Needs = q => !q.Squared.IsZero },
        Kinds = Kinds,
        Idea = Ideas.HalfWayBetween,
    };

    public static readonly Decision<Quadratic, GapFront> Front = new("factoring.gap-front", "Where does the first number stand in the end?", GapFront.InFront)
    {
        [GapFront.InFront] = new("in-front", "writes the first number in front"),
        [GapFront.Lost] = new("lost", "divides by the first number and does not write it") { Needs = q => q.A != 1, SlipIn = q => q.A == 1 ? 0 : 2 },
        Kinds = Kinds,
        Idea = Ideas.FirstNumberIsShared,
    };

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [Middle, Squared, BelowZero, Root, Sides, Front];
}
