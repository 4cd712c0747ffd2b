using System.Numerics;
using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Families.Roots;

/// <summary>How the number under the root is read.</summary>
internal enum UnderRoot { AsSet, WholePartOnly, Halved, WithoutPoint, PointPutBack, ZeroPutBack, ZeroLeftOff }

internal enum SquareKnown { AsIs, PartByPart, Doubled }

/// <summary>How the root is estimated.</summary>
internal enum RootChoice
{
    StraightLine, NumberLine, NearestWhole, HalfWay, LowerRoot, UpperRoot, HalfOfNumber, NearestRootAdded, GapAsTenths, GapAppended, QuarterOfNumber,
    TenthsBackFromUpper, BackOverUpperRoot, BackOverTwiceUpperRoot, BackOverUpperSquare, FirstGuess, SquaredInParts, Tenth1, Tenth2, Tenth3, Tenth4, Tenth5, Tenth6, Tenth7, Tenth8, Tenth9,
}

/// <summary>What the root of a square number is.</summary>
internal enum PerfectRoot { Known, Halved, OneHigher, Itself, Quartered }

/// <summary>Between which whole roots the number is put.</summary>
internal enum RootsAround { AsDue, OneTooLow, OneTooHigh, WholeTens, WiderBelow, WiderAbove, WiderOnBothSides }

/// <summary>What is counted from the lower square.</summary>
internal enum GapNumerator { FromLower, BothEndsCounted, ToUpper, WholeNumber }

/// <summary>Over what the gap is written.</summary>
internal enum GapDenominator { BetweenSquares, LowerRoot, UpperRoot, UpperSquare, LowerSquare, Ten, Hundred, TwiceLowerRoot }

/// <summary>What becomes of the division.</summary>
internal enum GapDivided { AsSet, UpsideDown, ZeroLeftOut }

/// <summary>From where the fraction is counted.</summary>
internal enum CountedFrom { LowerRoot, UpperRoot, UpperRootBack }

/// <summary>How the division ends, one place further than is asked for.</summary>
internal enum DivisionEnd { CutOff, RoundedThere }

/// <summary>How the estimate is rounded.</summary>
internal enum RootRounded { HalfUp, CutOff, AlwaysUp, ToHalf, ToWhole, NotAtAll }

/// <summary>A root as the student sees it.</summary>
/// <param name="Number">The whole part of the number under the root.</param>
/// <param name="Lower">The lower root.</param>
/// <param name="Tail">The two digits of the estimate behind the place that is kept, where there is one; -1 before.</param>
/// <param name="IsDecimal">Whether the number under the root has a point.</param>
internal readonly record struct RootContext(int Number, int Lower, int Tail, bool IsDecimal) : IDecisionContext
{
    /// <summary>The part of the way between the roots; 0 before it is known.</summary>
    public Rational Part { get; init; }

    /// <summary>The estimate before it is rounded; 0 before it is known.</summary>
    public Rational Estimate { get; init; }

    /// <summary>To how many places it is to be rounded.</summary>
    public int Places { get; init; }

    /// <summary>The number under the root, exactly.</summary>
    public Rational Exactly { get; init; }

    /// <summary>Whether the digits without the point, with one place behind it, are those of a square.</summary>
    public bool HasSquareDigits => IsDecimal && Exact.Perfect(Exactly * Rational.Whole(10)) is not null;

    /// <summary>Whether what stands before a zero at the end is a square.</summary>
    public bool IsSquareOfTens => !IsDecimal && Number > 0 && Number % 10 == 0 && Number % 100 != 0 && Exact.Perfect(Rational.Whole(Number / 10)) is not null;

    public int LowerSquare => Lower * Lower;

    public int UpperSquare => (Lower + 1) * (Lower + 1);

    /// <summary>Whether rounding the next place first makes the place that is kept round up.</summary>
    public bool RoundsTwice => Tail is >= 45 and < 50;

    /// <summary>Whether the upper square is nearer.</summary>
    public bool IsNearerUpper => UpperSquare - Number < Number - LowerSquare;
}

/// <summary>The decisions about square roots by hand.</summary>
internal static class RootDecisions
{
    private static readonly Property<RootContext>[] Numbers =
    [
        new("number", "the number", c => c.Number), new("lower", "the lower root", c => c.Lower), new("upper", "the upper root", c => c.Lower + 1),
        new("below", "the lower square", c => c.LowerSquare), new("above", "the upper square", c => c.UpperSquare),
        new(
            "to-lower", "the distance to the lower square", c =>
                c.Number - c.LowerSquare), new("to-upper", "the distance to the upper square", c => c.UpperSquare - c.Number),
        new("apart", "the distance of the squares", c => c.UpperSquare - c.LowerSquare),
    ];

    private static readonly Kind<RootContext>[] Kinds =
    [
        new("always", "always", _ => true),
        new("decimal", "where the number has a point", c => c.IsDecimal),
        new("nearer-upper", "where the upper square is nearer", c => c.IsNearerUpper),
        new("nearer-lower", "where the lower square is nearer", c => !c.IsNearerUpper),
        new("whole", "where the number has no point", c => !c.IsDecimal),
        new("one-digit", "where the lower root has one digit", c => c.Lower < 10),
        new("even", "where the number is even", c => c.Number % 2 == 0),
        new("two-digits", "where the lower root has two digits", c => c.Lower > 9),
        new("half-or-more", "where the next digit is five or more", c => c.Tail >= 50),
        new("below-half", "where the next digit is less than five", c => c.Tail is >= 0 and < 50),
    ];

    public static readonly Decision<RootContext, UnderRoot> Under = new("roots.number", "Which number stands under the root?", UnderRoot.AsSet)
    {
        [UnderRoot.AsSet] = new("as-set", "takes the number as it stands"),
        [UnderRoot.WholePartOnly] = new("whole-part-only", "leaves out what stands behind the point") { Needs = c => c.IsDecimal },
        [UnderRoot.Halved] = new("halved", "takes half of the number"),
        [UnderRoot.WithoutPoint] = new("without-point", "reads the number without its point") { Needs = c => c.IsDecimal },
        [UnderRoot.PointPutBack] = new("point-put-back", "roots the digits and puts the point back as it was") { Needs = c => c.HasSquareDigits },
        [UnderRoot.ZeroPutBack] = new("zero-put-back", "roots what stands before the zero and puts the zero back") { Needs = c => c.IsSquareOfTens },
        [UnderRoot.ZeroLeftOff] = new("zero-left-off", "roots what stands before the zero") { Needs = c => !c.IsDecimal && c.Number > 9 && c.Number % 10 == 0 },
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.RootUndoesSquare,
    };

    public static readonly Decision<RootContext, PerfectRoot> Perfect = new("roots.perfect", "What is the root of a square?", PerfectRoot.Known)
    {
        [PerfectRoot.Known] = new("known", "knows the root of a square"),
        [PerfectRoot.Halved] = new("halved", "takes half of a square") { Needs = c => c.Number != 4 },
        [PerfectRoot.Quartered] = new("quartered", "takes a quarter of a square") { Needs = c => c.Number != 16 },
        [PerfectRoot.Itself] = new("itself", "writes the square itself") { Needs = c => c.Number > 1 },
        [PerfectRoot.OneHigher] = new("one-higher", "writes the root of a square one higher") { Needs = c => c.Number > 0 },
        Kinds = Kinds,
        Idea = Ideas.RootUndoesSquare,
    };

    public static readonly Decision<RootContext, SquareKnown> Known = new("roots.squares", "What is the square of a number?", SquareKnown.AsIs)
    {
        [SquareKnown.AsIs] = new("as-is", "knows the squares"),
        [SquareKnown.PartByPart] = new("part-by-part", "squares tens and ones apart") { Needs = c => c.Lower > 9 },
        [SquareKnown.Doubled] = new("doubled", "doubles instead of squaring"),
        Kinds = [new("always", "always", _ => true)],
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.BetweenNeighbours,
    };

    public static readonly Decision<RootContext, RootsAround> Around = new("roots.around", "Between which two squares does the number lie?", RootsAround.AsDue)
    {
        [RootsAround.AsDue] = new("as-due", "finds the squares on both sides"),
        [RootsAround.OneTooLow] = new("one-too-low", "takes a lower square that is one too low") { Needs = c => c.Lower > 1 },
        [RootsAround.OneTooHigh] = new("one-too-high", "takes a lower square that is one too high"),
        [RootsAround.WholeTens] = new("whole-tens", "takes the squares of whole tens on both sides") { Needs = c => c.Lower > 9 },
        [RootsAround.WiderBelow] = new("wider-below", "takes a lower square that is not the nearest one below") { Needs = c => c.Lower > 1 },
        [RootsAround.WiderAbove] = new("wider-above", "takes an upper square that is not the nearest one above"),
        [RootsAround.WiderOnBothSides] = new("wider-on-both-sides", "takes squares on both sides that are not the nearest ones") { Needs = c => c.Lower > 1 },
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.BetweenNeighbours,
    };

    public static readonly Decision<RootContext, RootChoice> Procedure = new("roots.way", "How is the root between two squares found?", RootChoice.StraightLine)
    {
        [RootChoice.StraightLine] = new("straight-line", "goes along a straight line between the squares"),
        [RootChoice.NumberLine] = new("number-line", "tries on the number line"),
        [RootChoice.NearestWhole] = new("nearest-whole", "writes the nearest whole root"),
        [RootChoice.HalfWay] = new("half-way", "writes half-way between the roots"),
        [RootChoice.LowerRoot] = new("lower-root", "writes the lower root"),
        [RootChoice.UpperRoot] = new("upper-root", "writes the upper root"),
        [RootChoice.HalfOfNumber] = new("half-of-number", "takes half of the number"),
        [RootChoice.NearestRootAdded] = new("nearest-root-added", "adds the distance to the nearest root") { Needs = c => c.IsNearerUpper },
        [RootChoice.GapAsTenths] = new("gap-as-tenths", "writes the distance as tenths"),
        [RootChoice.GapAppended] = new("gap-appended", "writes the distance behind the point"),
        [RootChoice.QuarterOfNumber] = new("quarter-of-number", "takes a quarter of the number"),
        [RootChoice.TenthsBackFromUpper] = new("tenths-back-from-upper", "takes the distance to the upper square as tenths from the upper root"),
        [RootChoice.BackOverUpperRoot] = new("back-over-upper-root", "takes the distance to the upper square, over the upper root, from the upper root"),
        [RootChoice.BackOverTwiceUpperRoot] = new(
            "back-over-twice-upper-root", "takes the distance to the upper square, over twice the upper root, from the upper root"),
        [RootChoice.BackOverUpperSquare] = new("back-over-upper-square", "takes the distance to the upper square, over that square, from the upper root"),
        [RootChoice.FirstGuess] = new("first-guess", "names a tenth by eye and keeps it"),
        [RootChoice.SquaredInParts] = new("squared-in-parts", "squares the whole and the tenths apart when trying"),
        [RootChoice.Tenth1] = Tenth(1),
        [RootChoice.Tenth2] = Tenth(2),
        [RootChoice.Tenth3] = Tenth(3),
        [RootChoice.Tenth4] = Tenth(4),
        [RootChoice.Tenth5] = Tenth(5),
        [RootChoice.Tenth6] = Tenth(6),
        [RootChoice.Tenth7] = Tenth(7),
        [RootChoice.Tenth8] = Tenth(8),
        [RootChoice.Tenth9] = Tenth(9),
        TaughtIn = (_, school) => school.Of(School.Roots) == RootSchool.NumberLine ? RootChoice.NumberLine : RootChoice.StraightLine,
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.PartOfTheWay,
    };

    // Some tenth between the roots, as it comes to mind.
    private static Choice<RootContext> Tenth(int tenths) => new($"tenth-{tenths}", $"names the tenth {tenths} and keeps it") { IsOneOfMany = true, Says = c => $"Names {c.Lower}.{tenths} and keeps it." };

    /// <summary>Whatever tenth comes to mind: one, and the others.</summary>
    public static IReadOnlyList<Deviation> SomeTenth { get; } =
        [.. Enumerable.Range(ChoiceName<RootChoice>.Number(RootChoice.Tenth1), 9).Select(number => Procedure.Instead(ChoiceName<RootChoice>.At(number)))];

    public static readonly Decision<RootContext, GapNumerator> Numerator = new(
        "roots.gap", "How far is the number from the lower square?", GapNumerator.FromLower)
    {
        [GapNumerator.FromLower] = new("from-lower", "counts from the lower square"),
        [GapNumerator.BothEndsCounted] = new("both-ends-counted", "counts both ends") { Slip = 1 },
        [GapNumerator.ToUpper] = new("to-upper", "counts to the upper square"),
        [GapNumerator.WholeNumber] = new("whole-number", "takes the number itself"),
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.FromTheLowerRoot,
    };

    /// <summary>The distance from the lower square as a number.</summary>
    public static readonly ValueDecision<RootContext> GapIs = new("roots.gap-value", "How far is the number from the lower square?")
    {
        Numbers = Numbers,
        Does = n => $"writes {n} above",
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.PartOfTheWay,
    };

    /// <summary>What stands below, as a number.</summary>
    public static readonly ValueDecision<RootContext> DenominatorIs = new("roots.over-value", "How far are the two squares apart?")
    {
        Numbers = Numbers,
        Does = n => $"writes {n} below",
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.PartOfTheWay,
    };

    public static readonly Decision<RootContext, GapDenominator> Denominator = new(
        "roots.over", "How far are the two squares apart?", GapDenominator.BetweenSquares)
    {
        [GapDenominator.BetweenSquares] = new("between-squares", "divides by the distance of the squares"),
        [GapDenominator.LowerRoot] = new("lower-root", "divides by the lower root"),
        [GapDenominator.UpperRoot] = new("upper-root", "divides by the upper root"),
        [GapDenominator.UpperSquare] = new("upper-square", "divides by the upper square"),
        [GapDenominator.LowerSquare] = new("lower-square", "divides by the lower square"),
        [GapDenominator.Ten] = new("ten", "divides by ten"),
        [GapDenominator.Hundred] = new("hundred", "divides by a hundred"),
        [GapDenominator.TwiceLowerRoot] = new("twice-lower-root", "divides by twice the lower root"),
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.PartOfTheWay,
    };

    public static readonly Decision<RootContext, CountedFrom> From = new("roots.from", "From which root is the fraction counted?", CountedFrom.LowerRoot)
    {
        [CountedFrom.LowerRoot] = new("lower-root", "adds the fraction to the lower root"),
        [CountedFrom.UpperRoot] = new("upper-root", "adds the fraction to the upper root"),
        [CountedFrom.UpperRootBack] = new("upper-root-back", "takes the fraction from the upper root"),
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.FromTheLowerRoot,
    };

    public static readonly Decision<RootContext, GapDivided, Rational> Divided = new(
        "roots.division", "What does the fraction come to as a decimal?", GapDivided.AsSet)
    {
        [GapDivided.AsSet] = new("as-set", "divides the fraction out", c => c.Part),
        [GapDivided.UpsideDown] = new("upside-down", "divides upside down", c => c.Part.IsZero || c.Part > Rational.Whole(1) ? null : Rational.Whole(1) / c.Part),
        [GapDivided.ZeroLeftOut] = new(
            "zero-left-out", "leaves out the zero behind the point", c => c.Part < new Rational(1, 10) ? c.Part * Rational.Whole(10) : null),
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.PartOfTheWay,
    };

    public static readonly Decision<RootContext, DivisionEnd> End = new(
        "roots.division-end", "How does the division end, one place behind the one that is kept?", DivisionEnd.CutOff)
    {
        [DivisionEnd.CutOff] = new("cut-off", "ends the division one place further"),
        [DivisionEnd.RoundedThere] = new("rounded-there", "rounds the next place first") { Needs = c => c.RoundsTwice },
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.RoundedOnce,
    };

    public static readonly Decision<RootContext, RootRounded, Rational> Round = new("roots.rounding", "How is the estimate rounded?", RootRounded.HalfUp)
    {
        [RootRounded.HalfUp] = new("half-up", "rounds to the place", c => Exact.Rounded(c.Estimate, c.Places)),
        [RootRounded.CutOff] = new("cut-off", "cuts off instead of rounding", c => Exact.CutOff(c.Estimate, c.Places)) { SlipIn = c => c.Tail >= 50 ? 3 : 0 },
        [RootRounded.AlwaysUp] = new("always-up", "always rounds up", Up),
        [RootRounded.ToHalf] = new("to-half", "rounds to the nearest half", c => Exact.Rounded(c.Estimate * Rational.Whole(2), 0) / Rational.Whole(2)),
        [RootRounded.ToWhole] = new("to-whole", "rounds to a whole number", c => Exact.Rounded(c.Estimate, 0)),
        [RootRounded.NotAtAll] = new("not-at-all", "does not round", c => c.Estimate),
        Kinds = Kinds,
        Idea = Ideas.RoundedOnce,
    };

    private static Rational? Up(RootContext c)
    {
        var lower = Exact.CutOff(c.Estimate, c.Places);
        return lower == c.Estimate ? lower : lower + new Rational(1, BigInteger.Pow(10, c.Places));
    }

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [
        Under, Known, Perfect, Around, Procedure, Numerator, GapIs, Denominator, DenominatorIs, From, Divided, End, Round,
    ];
}
