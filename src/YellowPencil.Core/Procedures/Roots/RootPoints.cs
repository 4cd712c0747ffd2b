using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Roots;

/// <summary>How the number under the root is read.</summary>
public enum UnderRoot { AsSet, WholePartOnly, Halved, WithoutPoint }

/// <summary>How a square is known.</summary>
public enum SquareKnown { AsIs, PartByPart, Doubled }

/// <summary>How the root is estimated.</summary>
public enum RootWay { StraightLine, NumberLine, NearestWhole, HalfWay, LowerRoot, UpperRoot, HalfOfNumber, NearestRootAdded, GapAsTenths, GapAppended, QuarterOfNumber, TenthsBackFromUpper }

/// <summary>Between which whole roots the number is put.</summary>
public enum RootsAround { AsDue, OneTooLow, OneTooHigh }

/// <summary>What is counted from the lower square.</summary>
public enum GapTop { FromLower, BothEndsCounted, ToUpper, WholeNumber }

/// <summary>Over what the gap is written.</summary>
public enum GapBottom { BetweenSquares, LowerRoot, UpperRoot, UpperSquare, LowerSquare, Ten, Hundred, TwiceLowerRoot }

/// <summary>What becomes of the division.</summary>
public enum GapDivided { AsSet, UpsideDown, ZeroLeftOut }

/// <summary>From where the fraction is counted.</summary>
public enum CountedFrom { LowerRoot, UpperRoot, UpperRootBack }

/// <summary>How the division ends, one place further than is asked for.</summary>
public enum DivisionEnd { CutOff, RoundedThere }

/// <summary>How the estimate is rounded.</summary>
public enum RootRounded { HalfUp, CutOff, AlwaysUp, ToHalf, ToWhole, NotAtAll }

/// <summary>A root as the student sees it.</summary>
/// <param name="Number">The whole part of the number under the root.</param>
/// <param name="Lower">The lower root.</param>
/// <param name="Tail">The two digits of the estimate behind the place that is kept, where there is one; -1 before.</param>
/// <param name="IsDecimal">Whether the number under the root has a point.</param>
public readonly record struct RootContext(int Number, int Lower, int Tail, bool IsDecimal) : IDecisionContext
{
    /// <inheritdoc/>
    public int? Place => null;

    /// <summary>The lower square.</summary>
    public int LowerSquare => Lower * Lower;

    /// <summary>The upper square.</summary>
    public int UpperSquare => (Lower + 1) * (Lower + 1);

    /// <summary>Whether rounding the next place first makes the place that is kept round up.</summary>
    public bool RoundsTwice => Tail is >= 45 and < 50;

    /// <summary>Whether the upper square is nearer.</summary>
    public bool IsNearerUpper => UpperSquare - Number < Number - LowerSquare;
}

/// <summary>The decisions about square roots by hand.</summary>
public static class RootPoints
{
    private static readonly Property<RootContext>[] Numbers =
    [
        new("number", "the number", c => c.Number), new("lower", "the lower root", c => c.Lower), new("upper", "the upper root", c => c.Lower + 1),
        new("below", "the lower square", c => c.LowerSquare), new("above", "the upper square", c => c.UpperSquare),
        new("to-lower", "the distance to the lower square", c => c.Number - c.LowerSquare), new("to-upper", "the distance to the upper square", c => c.UpperSquare - c.Number),
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

    /// <summary>How is the number read?</summary>
    public static readonly DecisionPoint<RootContext, UnderRoot> Under = new("roots.number", "Which number stands under the root?")
    {
        Does = Phrases.InOrder<UnderRoot>("takes the number as it stands", "leaves out what stands behind the point", "takes half of the number", "reads the number without its point"),
        Taught = (_, _) => UnderRoot.AsSet,
        Can = (c, way) => way is not (UnderRoot.WholePartOnly or UnderRoot.WithoutPoint) || c.IsDecimal,
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>How is a square known?</summary>
    public static readonly DecisionPoint<RootContext, SquareKnown> Known = new("roots.squares", "What is the square of a number?")
    {
        Does = Phrases.InOrder<SquareKnown>("knows the squares", "squares tens and ones apart", "doubles instead of squaring"),
        Taught = (_, _) => SquareKnown.AsIs,
        Kinds = [new("always", "always", _ => true)],
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>Between which roots?</summary>
    public static readonly DecisionPoint<RootContext, RootsAround> Around = new("roots.around", "Between which two squares does the number lie?")
    {
        Does = Phrases.InOrder<RootsAround>("finds the squares on both sides", "takes a lower square that is one too low", "takes a lower square that is one too high"),
        Taught = (_, _) => RootsAround.AsDue,
        Can = (c, way) => way != RootsAround.OneTooLow || c.Lower > 1,
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>How is it estimated?</summary>
    public static readonly DecisionPoint<RootContext, RootWay> Way = new("roots.way", "How is the root between two squares found?")
    {
        Does = Phrases.InOrder<RootWay>("goes along a straight line between the squares", "tries on the number line", "writes the nearest whole root", "writes half-way between the roots", "writes the lower root", "writes the upper root", "takes half of the number", "adds the distance to the nearest root", "writes the distance as tenths", "writes the distance behind the point", "takes a quarter of the number", "takes the distance to the upper square as tenths from the upper root"),
        Taught = (_, school) => school.Of(School.Roots) == RootSchool.NumberLine ? RootWay.NumberLine : RootWay.StraightLine,
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What is counted?</summary>
    public static readonly DecisionPoint<RootContext, GapTop> Top = new("roots.gap", "How far is the number from the lower square?")
    {
        Does = Phrases.InOrder<GapTop>("counts from the lower square", "counts both ends", "counts to the upper square", "takes the number itself"),
        Taught = (_, _) => GapTop.FromLower,
        Slips = _ => [(GapTop.BothEndsCounted, 1)],
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>The distance from the lower square as a number.</summary>
    public static readonly ValuePoint<RootContext> GapIs = new("roots.gap-value", "How far is the number from the lower square?")
    {
        Numbers = Numbers,
        Does = n => $"writes {n} above",
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What stands below, as a number.</summary>
    public static readonly ValuePoint<RootContext> BottomIs = new("roots.over-value", "How far are the two squares apart?")
    {
        Numbers = Numbers,
        Does = n => $"writes {n} below",
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>Over what?</summary>
    public static readonly DecisionPoint<RootContext, GapBottom> Bottom = new("roots.over", "How far are the two squares apart?")
    {
        Does = Phrases.InOrder<GapBottom>("divides by the distance of the squares", "divides by the lower root", "divides by the upper root", "divides by the upper square", "divides by the lower square", "divides by ten", "divides by a hundred", "divides by twice the lower root"),
        Taught = (_, _) => GapBottom.BetweenSquares,
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>From where?</summary>
    public static readonly DecisionPoint<RootContext, CountedFrom> From = new("roots.from", "From which root is the fraction counted?")
    {
        Does = Phrases.InOrder<CountedFrom>("adds the fraction to the lower root", "adds the fraction to the upper root", "takes the fraction from the upper root"),
        Taught = (_, _) => CountedFrom.LowerRoot,
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>How is it divided?</summary>
    public static readonly DecisionPoint<RootContext, GapDivided> Divided = new("roots.division", "What does the fraction come to as a decimal?")
    {
        Does = Phrases.InOrder<GapDivided>("divides the fraction out", "divides upside down", "leaves out the zero behind the point"),
        Taught = (_, _) => GapDivided.AsSet,
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>How does the division end?</summary>
    public static readonly DecisionPoint<RootContext, DivisionEnd> End = new("roots.division-end", "How does the division end, one place behind the one that is kept?")
    {
        Does = Phrases.InOrder<DivisionEnd>("ends the division one place further", "rounds the next place first"),
        Taught = (_, _) => DivisionEnd.CutOff,
        Can = (c, way) => way == DivisionEnd.CutOff || c.RoundsTwice,
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>How is it rounded?</summary>
    public static readonly DecisionPoint<RootContext, RootRounded> Round = new("roots.rounding", "How is the estimate rounded?")
    {
        Does = Phrases.InOrder<RootRounded>("rounds to the place", "cuts off instead of rounding", "always rounds up", "rounds to the nearest half", "rounds to a whole number", "does not round"),
        Taught = (_, _) => RootRounded.HalfUp,
        Can = (c, way) => way switch { RootRounded.CutOff => c.Tail >= 50, RootRounded.AlwaysUp => c.Tail is >= 10 and < 50, _ => true },
        Slips = c => c.Tail >= 50 ? [(RootRounded.CutOff, 3)] : [],
        Kinds = Kinds,
    };

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [Under, Known, Around, Way, Top, GapIs, Bottom, BottomIs, From, Divided, End, Round];
}
