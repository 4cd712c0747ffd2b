using YellowPencil.Core.Procedures.Fractions;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.MixedNumbers;

/// <summary>How mixed numbers are worked.</summary>
public enum MixedWay { Improper, InColumns }

/// <summary>What the numerator of an improper fraction becomes.</summary>
public enum MadeImproper { WholeTimesBottomPlusTop, MinusTop, WholeTimesTop, WholeTimesTopPlusBottom, WholePlusTop, WholeTimesBottom, TopOnly, WholePlusBottomPlusTop, SideBySide, WholePlusTopTimesBottom, WholeLessOne }

/// <summary>What a whole number without a fraction becomes beside a fraction.</summary>
public enum LoneWhole { OverTheBottom, AsTop, BottomOverBottom, LeftOut }

/// <summary>What becomes of the wholes when the fractions change.</summary>
public enum WholesMeanwhile { Stay, Multiplied }

/// <summary>What is done where the first fraction is too small.</summary>
public enum TooSmall { Rename, SmallerFromLarger, WriteZero, CopySecond, CopyFirst, AddInstead }

/// <summary>What the whole becomes that was renamed.</summary>
public enum WholeLeft { OneLess, Unchanged, TwoLess, SecondOneLess, OneMore }

/// <summary>What the numerator becomes that got a whole.</summary>
public enum TopFilled { BottomMore, TenMore, OneMore, BottomInstead, TopOfSecondMore, TwiceBottomMore, BottomOfSecondLess }

/// <summary>What becomes of a fraction of one or more beside wholes.</summary>
public enum FractionOver { Carried, Left, Lost, AtTen, CountedButLeft, LeftAsItCame, TopToTheWholes, CarriedBelowOne, OneMore }

/// <summary>What is done with the wholes.</summary>
public enum WholesTogether { AsSet, Add, Subtract, Multiply, LargerStays, LeftOutBesideLone, FirstStays }

/// <summary>What is done where a number has no fraction.</summary>
public enum NoFraction { RenameAWhole, CopyOther, LeaveOut, WriteOneLess }

/// <summary>Two mixed numbers as the student sees them.</summary>
/// <param name="FirstWhole">The first whole part.</param>
/// <param name="SecondWhole">The second whole part.</param>
/// <param name="IsDifference">Whether the second is taken away.</param>
/// <param name="FirstHasFraction">Whether the first has a fraction.</param>
/// <param name="SecondHasFraction">Whether the second has a fraction.</param>
public readonly record struct MixedContext(int FirstWhole, int SecondWhole, bool IsDifference, bool FirstHasFraction, bool SecondHasFraction) : IDecisionContext
{
    /// <inheritdoc/>
    public int? Place => null;

    /// <summary>Whether a fraction stands without a whole.</summary>
    public bool HasLoneFraction => (FirstWhole == 0 && FirstHasFraction) || (SecondWhole == 0 && SecondHasFraction);

    /// <summary>Whether a whole number stands without a fraction.</summary>
    public bool HasLoneWhole => !FirstHasFraction || !SecondHasFraction;

    /// <summary>The fractions, where they come together.</summary>
    public FractionPair Fractions { get; init; }

    /// <summary>Whether the first fraction is too small to take the second away.</summary>
    public bool IsTooSmall => IsDifference && Fractions.FirstIsSmaller;
}

/// <summary>One of two mixed numbers.</summary>
/// <param name="Whole">Its whole part.</param>
/// <param name="Top">Its numerator.</param>
/// <param name="Bottom">Its denominator, or the one it is to get.</param>
/// <param name="IsFirst">Whether it is the first.</param>
/// <param name="IsDifference">Whether the second is taken away.</param>
public readonly record struct OneMixed(int Whole, int Top, int Bottom, bool IsFirst, bool IsDifference) : IDecisionContext
{
    /// <inheritdoc/>
    public int? Place => null;

    /// <summary>Whether it has no fraction of its own.</summary>
    public bool IsLoneWhole => Top == 0;
}

/// <summary>The decisions about mixed numbers.</summary>
public static class MixedPoints
{
    private static readonly Kind<MixedContext>[] Kinds =
    [
        new("always", "always", _ => true),
        new("plus", "in sums", c => !c.IsDifference),
        new("minus", "in differences", c => c.IsDifference),
        new("lone-fraction", "when a fraction stands without a whole", c => c.HasLoneFraction),
        new("lone-whole", "when a whole number stands without a fraction", c => c.HasLoneWhole),
        new("too-small", "when the first fraction is too small", c => c.IsTooSmall),
        new("both-mixed", "when both are mixed numbers", c => !c.HasLoneFraction && !c.HasLoneWhole),
        new("unlike", "when the denominators are different", c => !c.Fractions.IsLike),
        new("like", "when the denominators are the same", c => c.Fractions.IsLike),
        new("first-whole-larger", "when the first whole is more than one larger", c => c.FirstWhole > c.SecondWhole + 1),
    ];

    private static readonly Kind<OneMixed>[] Ones =
    [
        new("always", "always", _ => true),
        new("first", "in the first number", c => c.IsFirst),
        new("second", "in the second number", c => !c.IsFirst),
        new("minus", "in differences", c => c.IsDifference),
        new("plus", "in sums", c => !c.IsDifference),
        new("whole-is-1", "when the whole is 1", c => c.Whole == 1),
    ];

    /// <summary>How are they worked?</summary>
    public static readonly DecisionPoint<MixedContext, MixedWay> Way = new("mixed-numbers.way", "Are the numbers made improper first, or worked in columns?")
    {
        Does = Phrases.InOrder<MixedWay>("makes both improper fractions first", "works wholes and fractions in columns"),
        Taught = (_, school) => school.Of(School.MixedNumbers) == MixedNumberSchool.RenameAWhole ? MixedWay.InColumns : MixedWay.Improper,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What does the numerator become?</summary>
    public static readonly DecisionPoint<OneMixed, MadeImproper> Improper = new("mixed-numbers.improper", "How many parts are in the whole number and the fraction together?")
    {
        Does = Phrases.InOrder<MadeImproper>("multiplies the whole by the denominator and adds the numerator", "multiplies the whole by the denominator and takes the numerator away", "multiplies the whole by the numerator", "multiplies the whole by the numerator and adds the denominator",
            "adds whole and numerator", "multiplies the whole by the denominator and leaves the numerator out", "leaves the whole out", "adds whole, denominator and numerator", "writes whole and numerator side by side", "adds whole and numerator and multiplies by the denominator", "takes one whole too few"),
        Taught = (_, _) => MadeImproper.WholeTimesBottomPlusTop,
        Slips = _ => [(MadeImproper.WholeTimesBottom, 1), (MadeImproper.WholePlusTop, 0.5)],
        Kinds = Ones,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>The numerator of the improper fraction as a number.</summary>
    public static readonly ValuePoint<OneMixed> ImproperTop = new("mixed-numbers.improper-value", "What is the numerator of the improper fraction?")
    {
        Numbers = [new("whole", "the whole", c => c.Whole), new("top", "the numerator", c => c.Top), new("bottom", "the denominator", c => c.Bottom)],
        Does = n => $"makes the numerator {n}",
        Kinds = Ones,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>The denominator of the improper fraction as a number.</summary>
    public static readonly ValuePoint<OneMixed> ImproperBottom = new("mixed-numbers.improper-bottom", "What is the denominator of the improper fraction?")
    {
        Numbers = [new("whole", "the whole", c => c.Whole), new("top", "the numerator", c => c.Top), new("bottom", "the denominator", c => c.Bottom)],
        Does = n => $"makes the denominator {n}",
        Kinds = Ones,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What does a whole number without a fraction become?</summary>
    public static readonly DecisionPoint<OneMixed, LoneWhole> Lone = new("mixed-numbers.lone-whole", "What does a whole number become beside a fraction?")
    {
        Does = Phrases.InOrder<LoneWhole>("writes the whole number over the denominator of the other", "puts the whole number over that denominator unchanged", "writes one whole only", "leaves the whole number out"),
        Taught = (_, _) => LoneWhole.OverTheBottom,
        Kinds = Ones,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What becomes of the wholes meanwhile?</summary>
    public static readonly DecisionPoint<OneMixed, WholesMeanwhile> Meanwhile = new("mixed-numbers.wholes-meanwhile", "What becomes of the whole when its fraction gets another denominator?")
    {
        Does = Phrases.InOrder<WholesMeanwhile>("leaves the whole as it is", "multiplies the whole as well"),
        Taught = (_, _) => WholesMeanwhile.Stay,
        Kinds = Ones,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>Is the first fraction large enough?</summary>
    public static readonly DecisionPoint<MixedContext, TooSmall> Small = new("mixed-numbers.too-small", "Is the first fraction large enough to take the second away?")
    {
        Does = Phrases.InOrder<TooSmall>("{renames} a whole", "takes the smaller fraction from the larger", "writes no fraction", "writes the second fraction", "writes the first fraction", "adds the fractions"),
        Taught = (_, _) => TooSmall.Rename,
        Slips = _ => [(TooSmall.SmallerFromLarger, 2)],
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>Is a whole renamed where it need not be?</summary>
    public static readonly DecisionPoint<MixedContext, NeedlessRenaming> Needless = new("mixed-numbers.needless", "Must a whole be {renamed} here?")
    {
        Does = Phrases.InOrder<NeedlessRenaming>("{renames} nothing that need not be", "{renames} a whole all the same", "makes the whole one less all the same"),
        Taught = (_, _) => NeedlessRenaming.None,
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What is left of the whole?</summary>
    public static readonly DecisionPoint<MixedContext, WholeLeft> Left = new("mixed-numbers.whole-left", "What is left of the wholes when one was {renamed}?")
    {
        Does = Phrases.InOrder<WholeLeft>("makes the whole one less", "leaves the whole as it is", "makes the whole two less", "makes the second whole one less", "makes the whole one more"),
        Taught = (_, _) => WholeLeft.OneLess,
        Slips = _ => [(WholeLeft.Unchanged, 3)],
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What does the numerator become?</summary>
    public static readonly DecisionPoint<MixedContext, TopFilled> Filled = new("mixed-numbers.top-filled", "How many parts does the {renamed} whole give?")
    {
        Does = Phrases.InOrder<TopFilled>("adds the denominator to the numerator", "adds ten to the numerator", "adds one to the numerator", "writes the denominator as the numerator", "adds the second numerator", "adds the denominator twice", "takes the numerator from the denominator"),
        Taught = (_, _) => TopFilled.BottomMore,
        Slips = _ => [(TopFilled.TenMore, 1)],
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What is done where a number has no fraction?</summary>
    public static readonly DecisionPoint<MixedContext, NoFraction> Missing = new("mixed-numbers.no-fraction", "From what is the fraction taken away, where the first number has none?")
    {
        Does = Phrases.InOrder<NoFraction>("{renames} a whole", "writes the other fraction", "writes no fraction", "makes the whole one less and writes the other fraction"),
        Taught = (_, _) => NoFraction.RenameAWhole,
        Slips = _ => [(NoFraction.CopyOther, 2)],
        Kinds = Kinds,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What becomes of a fraction over one?</summary>
    public static readonly DecisionPoint<FractionResult, FractionOver> Over = new("mixed-numbers.fraction-over", "Is the fraction beside the wholes one or more?")
    {
        Does = Phrases.InOrder<FractionOver>("carries its wholes", "leaves a fraction over one beside the wholes", "takes the wholes out of the fraction and does not add them", "carries when the numerator reaches ten, the tens", "adds the wholes and leaves the fraction over one as well", "writes the columns as they come", "adds the numerator to the wholes", "carries a whole though the fraction is below one", "carries one whole and leaves the numerator"),
        Taught = (_, _) => FractionOver.Carried,
        Can = (r, way) => r.IsImproper ? way != FractionOver.CarriedBelowOne && (way != FractionOver.AtTen || !r.IsDifference) : way == FractionOver.CarriedBelowOne || (way == FractionOver.AtTen && r is { IsDifference: false, Top: >= 10 }),
        Slips = r => r.IsImproper ? [(FractionOver.Left, 2), (FractionOver.Lost, 2)] : [],
        Kinds =
        [
            new("always", "always", _ => true), new("plus", "in sums", r => !r.IsDifference), new("minus", "in differences", r => r.IsDifference), new("whole", "when it is a whole number", r => r.IsWhole), new("not-whole", "when it is no whole number", r => !r.IsWhole),
        ],
    };

    /// <summary>What is done with the wholes?</summary>
    public static readonly DecisionPoint<MixedContext, WholesTogether> Wholes = new("mixed-numbers.wholes", "What is done with the wholes?")
    {
        Does = Phrases.InOrder<WholesTogether>("puts the wholes together as the sign says", "adds the wholes", "takes the smaller whole from the larger", "multiplies the wholes", "keeps the larger whole", "leaves a whole out that has no partner", "keeps the first whole"),
        Taught = (_, _) => WholesTogether.AsSet,
        Can = (c, way) => way switch { WholesTogether.Add => c.IsDifference, WholesTogether.Subtract => !c.IsDifference, WholesTogether.LeftOutBesideLone => c.HasLoneFraction, _ => true },
        Kinds = Kinds,
    };

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [Way, Improper, ImproperTop, ImproperBottom, Lone, Missing, Meanwhile, Small, Needless, Left, Filled, Wholes, Over];
}

/// <summary>Whether a whole is renamed without need.</summary>
public enum NeedlessRenaming { None, Always, OnlyWholeLess }
