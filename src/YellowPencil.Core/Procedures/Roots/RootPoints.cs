using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Roots;

/// <summary>How the number under the root is read.</summary>
public enum UnderRoot { AsSet, WholePartOnly, Halved, WithoutPoint }

/// <summary>How a square is known.</summary>
public enum SquareKnown { AsIs, PartByPart, Doubled }

/// <summary>How the root is estimated.</summary>
public enum RootWay { StraightLine, NumberLine, NearestWhole, HalfWay, LowerRoot, UpperRoot, HalfOfNumber, NearestRootAdded, GapAsTenths }

/// <summary>What is counted from the lower square.</summary>
public enum GapTop { FromLower, BothEndsCounted, ToUpper, WholeNumber }

/// <summary>Over what the gap is written.</summary>
public enum GapBottom { BetweenSquares, LowerRoot, UpperRoot, UpperSquare, LowerSquare, Ten, Hundred, TwiceLowerRoot }

/// <summary>What becomes of the division.</summary>
public enum GapDivided { AsSet, UpsideDown, ZeroLeftOut }

/// <summary>From where the fraction is counted.</summary>
public enum CountedFrom { LowerRoot, UpperRoot, UpperRootBack }

/// <summary>How the estimate is rounded.</summary>
public enum RootRounded { HalfUp, CutOff, AlwaysUp, Twice, ToHalf, ToWhole, NotAtAll }

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

    /// <summary>Whether the upper square is nearer.</summary>
    public bool IsNearerUpper => UpperSquare - Number < Number - LowerSquare;
}

/// <summary>The decisions about square roots by hand.</summary>
public static class RootPoints
{
    private static readonly Kind<RootContext>[] Kinds =
    [
        new("always", "always", _ => true),
        new("decimal", "where the number has a point", c => c.IsDecimal),
        new("nearer-upper", "where the upper square is nearer", c => c.IsNearerUpper),
        new("nearer-lower", "where the lower square is nearer", c => !c.IsNearerUpper),
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

    /// <summary>How is it estimated?</summary>
    public static readonly DecisionPoint<RootContext, RootWay> Way = new("roots.way", "How is the root between two squares found?")
    {
        Does = Phrases.InOrder<RootWay>("goes along a straight line between the squares", "tries on the number line", "writes the nearest whole root", "writes half-way between the roots", "writes the lower root", "writes the upper root", "takes half of the number", "adds the distance to the nearest root", "writes the distance as tenths"),
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

    /// <summary>How is it rounded?</summary>
    public static readonly DecisionPoint<RootContext, RootRounded> Round = new("roots.rounding", "How is the estimate rounded?")
    {
        Does = Phrases.InOrder<RootRounded>("rounds to the place", "cuts off instead of rounding", "always rounds up", "rounds twice", "rounds to the nearest half", "rounds to a whole number", "does not round"),
        Taught = (_, _) => RootRounded.HalfUp,
        Can = (c, way) => way switch { RootRounded.CutOff => c.Tail >= 50, RootRounded.AlwaysUp => c.Tail is >= 10 and < 50, RootRounded.Twice => c.Tail is >= 45 and < 50, _ => true },
        Slips = c => c.Tail >= 50 ? [(RootRounded.CutOff, 3)] : [],
        Kinds = Kinds,
    };

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [Under, Known, Way, Top, Bottom, From, Divided, Round];
}
