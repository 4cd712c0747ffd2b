using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Factoring;

/// <summary>What lies half-way between the two numbers.</summary>
public enum GapMiddle { HalfOfMiddle, WholeMiddle, LeftOut, SignTurned, FirstNumberPassedOver }

/// <summary>What the square of the gap is.</summary>
public enum GapSquared { MiddleSquaredLessLast, LastLessMiddleSquared, Together, MiddleNotSquared, LastOnly }

/// <summary>What the gap is.</summary>
public enum GapRoot { Rooted, NotRooted, Halved }

/// <summary>What is done where the square of the gap is below zero.</summary>
public enum GapBelowZero { WithI, WithoutI, IWithoutRoot }

/// <summary>On which sides of the middle the gap is taken.</summary>
public enum GapSides { Both, PlusTwice, MinusTwice, OneOnly }

/// <summary>What becomes of a first number that is not 1.</summary>
public enum GapFront { InFront, Lost }

/// <summary>The decisions about factoring by middle and gap.</summary>
public static class GapPoints
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

    /// <summary>Where is the middle?</summary>
    public static readonly DecisionPoint<Quadratic, GapMiddle> Middle = new("factoring.gap-middle", "What lies half-way between the two numbers?")
    {
        Does = Phrases.InOrder<GapMiddle>("takes half of the middle", "takes the whole middle", "leaves the middle out", "turns the sign of the middle round", "passes over the first number when halving the middle"),
        ShowsIn = WorkFields.Gap.Part(0),
        Taught = (_, _) => GapMiddle.HalfOfMiddle,
        Can = (q, way) => way == GapMiddle.HalfOfMiddle || (q.B != 0 && (way != GapMiddle.FirstNumberPassedOver || q.A != 1)),
        Kinds = Kinds,
    };

    /// <summary>What is the square of the gap?</summary>
    public static readonly DecisionPoint<Quadratic, GapSquared> Squared = new("factoring.gap-squared", "What is the square of the gap?")
    {
        Does = Phrases.InOrder<GapSquared>("takes the last number from the square of the half", "takes the square of the half from the last number", "adds the square of the half and the last number", "does not square the half", "takes the last number alone"),
        ShowsIn = WorkFields.Gap.Part(1),
        Taught = (_, _) => GapSquared.MiddleSquaredLessLast,
        Slips = _ => [(GapSquared.Together, 1)],
        Kinds = Kinds,
    };

    /// <summary>What is the gap?</summary>
    public static readonly DecisionPoint<Quadratic, GapRoot> Root = new("factoring.gap-root", "What is the gap, when its square is known?")
    {
        Does = Phrases.InOrder<GapRoot>("roots the square of the gap", "writes the square of the gap without rooting it", "halves the square of the gap"),
        Taught = (_, _) => GapRoot.Rooted,
        Slips = _ => [(GapRoot.NotRooted, 1)],
        Kinds = Kinds,
    };

    /// <summary>What is done below zero?</summary>
    public static readonly DecisionPoint<Quadratic, GapBelowZero> BelowZero = new("factoring.gap-below-zero", "What is the root of a number below zero?")
    {
        Does = Phrases.InOrder<GapBelowZero>("writes i before the root", "leaves the i out", "writes i and does not root the number"),
        Taught = (_, _) => GapBelowZero.WithI,
        Slips = _ => [(GapBelowZero.WithoutI, 2)],
        Kinds = Kinds,
    };

    /// <summary>On which sides?</summary>
    public static readonly DecisionPoint<Quadratic, GapSides> Sides = new("factoring.gap-sides", "On which sides of the middle is the gap taken?")
    {
        Does = Phrases.InOrder<GapSides>("takes the gap on both sides", "writes plus in both brackets", "writes minus in both brackets", "writes one bracket only"),
        Taught = (_, _) => GapSides.Both,
        Slips = _ => [(GapSides.PlusTwice, 1)],
        Kinds = Kinds,
    };

    /// <summary>What becomes of the first number?</summary>
    public static readonly DecisionPoint<Quadratic, GapFront> Front = new("factoring.gap-front", "Where does the first number stand in the end?")
    {
        Does = Phrases.InOrder<GapFront>("writes the first number in front", "divides by the first number and does not write it"),
        Taught = (_, _) => GapFront.InFront,
        Can = (q, way) => way == GapFront.InFront || q.A != 1,
        Slips = q => q.A == 1 ? [] : [(GapFront.Lost, 2)],
        Kinds = Kinds,
    };

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [Middle, Squared, BelowZero, Root, Sides, Front];
}
