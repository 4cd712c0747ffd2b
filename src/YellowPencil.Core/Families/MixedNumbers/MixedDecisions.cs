using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.Fractions;

namespace YellowPencil.Core.Families.MixedNumbers;

/// <summary>How mixed numbers are worked.</summary>
internal enum MixedChoice { Improper, InColumns }

/// <summary>What the numerator of an improper fraction becomes.</summary>
internal enum MadeImproper
{
    WholeTimesDenominatorPlusNumerator, MinusNumerator, WholeTimesNumerator, WholeTimesNumeratorPlusDenominator, WholePlusNumerator, WholeTimesDenominator,
    NumeratorOnly, WholePlusDenominatorPlusNumerator, SideBySide,
    WholePlusNumeratorTimesDenominator, WholeLessOne, WholeOneMore, WholePlusDenominator, WholeTimesDenominatorPlusWhole, NumeratorTimesDenominatorPlusWhole,
}

/// <summary>What a whole number without a fraction becomes beside a fraction.</summary>
internal enum LoneWhole { OverTheDenominator, AsNumerator, DenominatorOverDenominator, LeftOut }

/// <summary>What becomes of the wholes when the fractions change.</summary>
internal enum WholesMeanwhile { Stay, Multiplied }

/// <summary>What is done where the first fraction is too small.</summary>
internal enum FractionTooSmall { Rename, SmallerFromLarger, WriteZero, CopySecond, CopyFirst, AddInstead, WholeLessAndSmallerFromLarger }

/// <summary>What the whole becomes that was renamed.</summary>
internal enum WholeLeft { OneLess, Unchanged, TwoLess, SecondOneLess, OneMore }

/// <summary>What the numerator becomes that got a whole.</summary>
internal enum NumeratorFilled { DenominatorMore, TenMore, OneMore, DenominatorInstead, NumeratorOfSecondMore, TwiceDenominatorMore, DenominatorOfSecondLess }

/// <summary>What becomes of a fraction of one or more beside wholes.</summary>
internal enum FractionOver { Carried, Left, Lost, AtTen, CountedButLeft, LeftAsItCame, NumeratorToTheWholes, CarriedBelowOne, OneMore }

/// <summary>What is done with the wholes.</summary>
internal enum WholesTogether { AsSet, Add, Subtract, Multiply, LargerStays, LeftOutBesideLone, FirstStays }

/// <summary>What is done where a number has no fraction.</summary>
internal enum NoFraction { RenameAWhole, CopyOther, LeaveOut, WriteOneLess }

/// <summary>Two mixed numbers as the student sees them.</summary>
/// <param name="FirstWhole">The first whole part.</param>
/// <param name="SecondWhole">The second whole part.</param>
/// <param name="IsDifference">Whether the second is taken away.</param>
/// <param name="FirstHasFraction">Whether the first has a fraction.</param>
/// <param name="SecondHasFraction">Whether the second has a fraction.</param>
internal readonly record struct MixedContext(
    int FirstWhole, int SecondWhole, bool IsDifference, bool FirstHasFraction, bool SecondHasFraction) : IDecisionContext
{
    /// <summary>Whether a fraction stands without a whole.</summary>
    public bool HasLoneFraction => (FirstWhole == 0 && FirstHasFraction) || (SecondWhole == 0 && SecondHasFraction);

    /// <summary>Whether a whole number stands without a fraction.</summary>
    public bool HasLoneWhole => !FirstHasFraction || !SecondHasFraction;

    /// <summary>The wholes as they stand now, the first and the second.</summary>
    public (long First, long Second) Wholes { get; init; }

    /// <summary>The fractions, where they come together.</summary>
    public FractionPair Fractions { get; init; }

    /// <summary>How many wholes are renamed: one is enough, but for a second fraction that is itself over one.</summary>
    public int Needed =>
        Math.Max(1, (Fractions.SecondNumerator - Fractions.FirstNumerator + Fractions.FirstDenominator - 1) / Math.Max(1, Fractions.FirstDenominator));

    /// <summary>Whether the first fraction is too small to take the second away.</summary>
    public bool IsTooSmall => IsDifference && Fractions.FirstIsSmaller;
}

/// <summary>One of two mixed numbers.</summary>
/// <param name="Whole">Its whole part.</param>
/// <param name="Numerator">Its numerator.</param>
/// <param name="Denominator">Its denominator, or the one it is to get.</param>
/// <param name="IsFirst">Whether it is the first.</param>
/// <param name="IsDifference">Whether the second is taken away.</param>
internal readonly record struct OneMixed(int Whole, int Numerator, int Denominator, bool IsFirst, bool IsDifference) : IDecisionContext
{
    /// <summary>Whether it has no fraction of its own.</summary>
    public bool IsLoneWhole => Numerator == 0;
}

/// <summary>The decisions about mixed numbers.</summary>
internal static class MixedDecisions
{
    private static readonly Property<MixedContext>[] WholeSizes =
    [
        new("first", "the first whole", c => c.FirstWhole, 1, 2, 5, 10),
        new("second", "the second whole", c => c.SecondWhole, 1, 2, 5),
    ];

    private static readonly Property<OneMixed>[] OneSizes =
    [
        new("whole", "the whole", c => c.Whole, 1, 2, 5, 10),
        new("numerator", "the numerator", c => c.Numerator, 1, 2),
        new("denominator", "the denominator", c => c.Denominator, 2, 5, 10),
    ];

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

    public static readonly Decision<MixedContext, MixedChoice> Procedure = new(
        "mixed-numbers.way", "Are the numbers made improper first, or worked in columns?", MixedChoice.Improper)
    {
        [MixedChoice.Improper] = new("improper", "makes both improper fractions first"),
        [MixedChoice.InColumns] = new("in-columns", "works wholes and fractions in columns"),
        TaughtIn = (_, school) => school.Of(School.MixedNumbers) == MixedNumberSchool.RenameAWhole ? MixedChoice.InColumns : MixedChoice.Improper,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.WholesCountToo,
    };

    public static readonly Decision<OneMixed, MadeImproper, long> Improper = new(
        "mixed-numbers.improper", "How many parts are in the whole number and the fraction together?", MadeImproper.WholeTimesDenominatorPlusNumerator)
    {
        [MadeImproper.WholeTimesDenominatorPlusNumerator] = new(
            "whole-times-bottom-plus-top", "multiplies the whole by the denominator and adds the numerator", c => (long)c.Whole * c.Denominator + c.Numerator),
        [MadeImproper.MinusNumerator] = new(
            "minus-top", "multiplies the whole by the denominator and takes the numerator away", c => Math.Max(0, (long)c.Whole * c.Denominator - c.Numerator)),
        [MadeImproper.WholeTimesNumerator] = new("whole-times-top", "multiplies the whole by the numerator", c => (long)c.Whole * c.Numerator),
        [MadeImproper.WholeTimesNumeratorPlusDenominator] = new(
            "whole-times-top-plus-bottom", "multiplies the whole by the numerator and adds the denominator", c => (long)c.Whole * c.Numerator + c.Denominator),
        [MadeImproper.WholePlusNumerator] = new("whole-plus-top", "adds whole and numerator", c => c.Whole + c.Numerator) { Slip = 0.5 },
        [MadeImproper.WholeTimesDenominator] = new(
            "whole-times-bottom", "multiplies the whole by the denominator and leaves the numerator out", c => (long)c.Whole * c.Denominator)
        { Slip = 1 },
        [MadeImproper.NumeratorOnly] = new("top-only", "leaves the whole out", c => c.Numerator),
        [MadeImproper.WholePlusDenominatorPlusNumerator] = new(
            "whole-plus-bottom-plus-top", "adds whole, denominator and numerator", c => c.Whole + c.Denominator + c.Numerator),
        [MadeImproper.SideBySide] = new(
            "side-by-side", "writes whole and numerator side by side", c => c.Whole * (c.Numerator < 10 ? 10L : c.Numerator < 100 ? 100 : 1000) + c.Numerator),
        [MadeImproper.WholePlusNumeratorTimesDenominator] = new(
            "whole-plus-top-times-bottom", "adds whole and numerator and multiplies by the denominator", c => ((long)c.Whole + c.Numerator) * c.Denominator),
        [MadeImproper.WholeLessOne] = new("whole-less-one", "takes one whole too few", c => (c.Whole - 1L) * c.Denominator + c.Numerator),
        [MadeImproper.WholeOneMore] = new("whole-one-more", "takes one whole too many", c => (c.Whole + 1L) * c.Denominator + c.Numerator),
        [MadeImproper.WholePlusDenominator] = new("whole-plus-bottom", "adds whole and denominator", c => c.Whole + c.Denominator),
        [MadeImproper.WholeTimesDenominatorPlusWhole] = new(
            "whole-times-bottom-plus-whole", "multiplies the whole by the denominator and adds the whole", c => ((long)c.Whole * c.Denominator) + c.Whole),
        [MadeImproper.NumeratorTimesDenominatorPlusWhole] = new(
            "top-times-bottom-plus-whole", "multiplies numerator and denominator and adds the whole", c => ((long)c.Numerator * c.Denominator) + c.Whole),
        Kinds = Ones,
        Properties = OneSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.MixedIsASum,
    };

    /// <summary>The numerator of the improper fraction as a number.</summary>
    public static readonly ValueDecision<OneMixed> ImproperNumerator = new("mixed-numbers.improper-value", "What is the numerator of the improper fraction?")
    {
        Numbers = [
            new("whole", "the whole", c => c.Whole), new("top", "the numerator", c => c.Numerator), new("bottom", "the denominator", c => c.Denominator),
        ],
        Does = n => $"makes the numerator {n}",
        Kinds = Ones,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.MixedIsASum,
    };

    /// <summary>The denominator of the improper fraction as a number.</summary>
    public static readonly ValueDecision<OneMixed> ImproperDenominator = new(
        "mixed-numbers.improper-bottom", "What is the denominator of the improper fraction?")
    {
        Numbers = [
            new("whole", "the whole", c => c.Whole), new("top", "the numerator", c => c.Numerator), new("bottom", "the denominator", c => c.Denominator),
        ],
        Does = n => $"makes the denominator {n}",
        Kinds = Ones,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.MixedIsASum,
    };

    public static readonly Decision<OneMixed, LoneWhole, long> Lone = new(
        "mixed-numbers.lone-whole", "What does a whole number become beside a fraction?", LoneWhole.OverTheDenominator)
    {
        [LoneWhole.OverTheDenominator] = new(
            "over-the-bottom", "writes the whole number over the denominator of the other", c => (long)c.Whole * c.Denominator),
        [LoneWhole.AsNumerator] = new("as-top", "puts the whole number over that denominator unchanged", c => c.Whole),
        [LoneWhole.DenominatorOverDenominator] = new("bottom-over-bottom", "writes one whole only", c => c.Denominator),
        [LoneWhole.LeftOut] = new("left-out", "leaves the whole number out", _ => 0),
        Kinds = Ones,
        Properties = OneSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.NoPartsIsZeroParts,
    };

    public static readonly Decision<OneMixed, WholesMeanwhile> Meanwhile = new(
        "mixed-numbers.wholes-meanwhile", "What becomes of the whole when its fraction gets another denominator?", WholesMeanwhile.Stay)
    {
        [WholesMeanwhile.Stay] = new("stay", "leaves the whole as it is"),
        [WholesMeanwhile.Multiplied] = new("multiplied", "multiplies the whole as well"),
        Kinds = Ones,
        Properties = OneSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.WholesCountToo,
    };

    public static readonly Decision<MixedContext, FractionTooSmall> Small = new(
        "mixed-numbers.too-small", "Is the first fraction large enough to take the second away?", FractionTooSmall.Rename)
    {
        [FractionTooSmall.Rename] = new("rename", "{renames} a whole"),
        [FractionTooSmall.SmallerFromLarger] = new("smaller-from-larger", "takes the smaller fraction from the larger") { Slip = 2 },
        [FractionTooSmall.WriteZero] = new("write-zero", "writes no fraction"),
        [FractionTooSmall.CopySecond] = new("copy-second", "writes the second fraction"),
        [FractionTooSmall.CopyFirst] = new("copy-first", "writes the first fraction"),
        [FractionTooSmall.AddInstead] = new("add-instead", "adds the fractions"),
        [FractionTooSmall.WholeLessAndSmallerFromLarger] = new(
            "whole-less-and-smaller-from-larger", "makes the whole one less and takes the smaller fraction from the larger all the same"),
        Kinds = Kinds,
        Properties = WholeSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.FromTheFirstNumber,
    };

    public static readonly Decision<MixedContext, NeedlessRenaming> Needless = new(
        "mixed-numbers.needless", "Must a whole be {renamed} here?", NeedlessRenaming.None)
    {
        [NeedlessRenaming.None] = new("none", "{renames} nothing that need not be"),
        [NeedlessRenaming.Always] = new("always", "{renames} a whole all the same"),
        [NeedlessRenaming.OnlyWholeLess] = new("only-whole-less", "makes the whole one less all the same"),
        Kinds = Kinds,
        Properties = WholeSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.OpenedWholeIsGone,
    };

    public static readonly Decision<MixedContext, WholeLeft, (long First, long Second)> Left = new(
        "mixed-numbers.whole-left", "What is left of the wholes when one was {renamed}?", WholeLeft.OneLess)
    {
        [WholeLeft.OneLess] = new("one-less", "makes the whole one less", c => (Math.Max(0, c.Wholes.First - c.Needed), c.Wholes.Second)),
        [WholeLeft.Unchanged] = new("unchanged", "leaves the whole as it is", c => c.Wholes) { Slip = 3 },
        [WholeLeft.TwoLess] = new("two-less", "makes the whole two less", c => (Math.Max(0, c.Wholes.First - 2), c.Wholes.Second)),
        [WholeLeft.SecondOneLess] = new("second-one-less", "makes the second whole one less", c => (c.Wholes.First, Math.Max(0, c.Wholes.Second - 1))),
        [WholeLeft.OneMore] = new("one-more", "makes the whole one more", c => (c.Wholes.First + 1, c.Wholes.Second)),
        Kinds = Kinds,
        Properties = WholeSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.OpenedWholeIsGone,
    };

    public static readonly Decision<MixedContext, NumeratorFilled, long> Filled = new(
        "mixed-numbers.top-filled", "How many parts does the {renamed} whole give?", NumeratorFilled.DenominatorMore)
    {
        [NumeratorFilled.DenominatorMore] = new(
            "bottom-more", "adds the denominator to the numerator", c => c.Fractions.FirstNumerator + (long)c.Needed * c.Fractions.FirstDenominator),
        [NumeratorFilled.TenMore] = new("ten-more", "adds ten to the numerator", c => c.Fractions.FirstNumerator + 10) { Slip = 1 },
        [NumeratorFilled.OneMore] = new("one-more", "adds one to the numerator", c => c.Fractions.FirstNumerator + 1),
        [NumeratorFilled.DenominatorInstead] = new("bottom-instead", "writes the denominator as the numerator", c => c.Fractions.FirstDenominator),
        [NumeratorFilled.NumeratorOfSecondMore] = new(
            "top-of-second-more", "adds the second numerator", c => c.Fractions.FirstNumerator + c.Fractions.SecondNumerator),
        [NumeratorFilled.TwiceDenominatorMore] = new(
            "twice-bottom-more", "adds the denominator twice", c => c.Fractions.FirstNumerator + 2L * c.Fractions.FirstDenominator),
        [NumeratorFilled.DenominatorOfSecondLess] = new(
            "bottom-of-second-less", "takes the numerator from the denominator", c => Math.Max(0, c.Fractions.FirstDenominator - c.Fractions.FirstNumerator)),
        Kinds = Kinds,
        Properties = WholeSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.WholeIsAllParts,
    };

    public static readonly Decision<MixedContext, NoFraction> Missing = new(
        "mixed-numbers.no-fraction", "From what is the fraction taken away, where the first number has none?", NoFraction.RenameAWhole)
    {
        [NoFraction.RenameAWhole] = new("rename-a-whole", "{renames} a whole"),
        [NoFraction.CopyOther] = new("copy-other", "writes the other fraction") { Slip = 2 },
        [NoFraction.LeaveOut] = new("leave-out", "writes no fraction"),
        [NoFraction.WriteOneLess] = new("write-one-less", "makes the whole one less and writes the other fraction"),
        Kinds = Kinds,
        Properties = WholeSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.NoPartsIsZeroParts,
    };

    public static readonly Decision<FractionResult, FractionOver, (long Wholes, long Numerator)> Over = new(
        "mixed-numbers.fraction-over", "Is the fraction beside the wholes one or more?", FractionOver.Carried)
    {
        [FractionOver.Carried] = new("carried", "carries its wholes", r => (r.Quotient, r.Rest)),
        [FractionOver.Left] = new("left", "leaves a fraction over one beside the wholes", r => (0, r.Numerator))
        { SlipIn = r => r.IsImproper ? 2 : 0, Needs = r => r.IsImproper },
        [FractionOver.Lost] = new("lost", "takes the wholes out of the fraction and does not add them", r => (0, r.Rest))
        { SlipIn = r => r.IsImproper ? 2 : 0, Needs = r => r.IsImproper },
        [FractionOver.AtTen] = new(
            "at-ten", "carries when the numerator reaches ten, the tens", r =>
                r.IsDifference || r.Numerator < 10 ? (0, r.Numerator) : (r.Numerator / 10, r.Numerator % 10))
        { Needs = r => !r.IsDifference && (r.IsImproper || r.Numerator >= 10) },
        [FractionOver.CountedButLeft] = new("counted-but-left", "adds the wholes and leaves the fraction over one as well", r => (r.Quotient, r.Numerator))
        { Needs = r => r.IsImproper },
        [FractionOver.LeftAsItCame] = new("left-as-it-came", "writes the columns as they come", r => (0, r.Numerator)) { Needs = r => r.IsImproper },
        [FractionOver.NumeratorToTheWholes] = new("top-to-the-wholes", "adds the numerator to the wholes", r => (r.Numerator, 0)) { Needs = r => r.IsImproper },
        [FractionOver.CarriedBelowOne] = new("carried-below-one", "carries a whole though the fraction is below one", r => (1, r.Numerator))
        { Needs = r => !r.IsImproper },
        [FractionOver.OneMore] = new("one-more", "carries one whole and leaves the numerator", r => (1, r.Numerator)) { Needs = r => r.IsImproper },
        Kinds = [
            new("always", "always", _ => true), new("plus", "in sums", r => !r.IsDifference), new("minus", "in differences", r => r.IsDifference), new(
                "whole", "when it is a whole number", r => r.IsWhole), new(
                "not-whole", "when it is no whole number", r => !r.IsWhole),
            new("were-unlike", "where the denominators were different", r => r.From.WereUnlike),
            new("were-like", "where the denominators were the same", r => !r.From.WereUnlike),
        ],
        Idea = Ideas.FullPartsAreAWhole,
    };

    public static readonly Decision<MixedContext, WholesTogether, long> Wholes = new(
        "mixed-numbers.wholes", "What is done with the wholes?", WholesTogether.AsSet)
    {
        [WholesTogether.AsSet] = new(
            "as-set", "puts the wholes together as the sign says",
            c => c.IsDifference ? Math.Abs(c.Wholes.First - c.Wholes.Second) : c.Wholes.First + c.Wholes.Second),
        [WholesTogether.Add] = new("add", "adds the wholes", c => c.Wholes.First + c.Wholes.Second),
        [WholesTogether.Subtract] = new("subtract", "takes the smaller whole from the larger", c => Math.Abs(c.Wholes.First - c.Wholes.Second)),
        [WholesTogether.Multiply] = new("multiply", "multiplies the wholes", c => c.Wholes.First * c.Wholes.Second),
        [WholesTogether.LargerStays] = new("larger-stays", "keeps the larger whole", c => Math.Max(c.Wholes.First, c.Wholes.Second)),
        [WholesTogether.LeftOutBesideLone] = new("left-out-beside-lone", "leaves a whole out that has no partner", c => c.HasLoneFraction ? 0 : null),
        [WholesTogether.FirstStays] = new("first-stays", "keeps the first whole", c => c.Wholes.First),
        Kinds = Kinds,
        Properties = WholeSizes,
        Idea = Ideas.WholesCountToo,
    };

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [
        Procedure, Improper, ImproperNumerator, ImproperDenominator, Lone, Missing, Meanwhile, Small, Needless, Left, Filled, Wholes, Over,
    ];
}

/// <summary>Whether a whole is renamed without need.</summary>
internal enum NeedlessRenaming { None, Always, OnlyWholeLess }
