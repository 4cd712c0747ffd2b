using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Fractions;

/// <summary>What is done with two fractions.</summary>
public enum FractionWay { AsSet, Add, Subtract, Multiply, TurnSecondAndMultiply }

/// <summary>How two fractions with different denominators are put together.</summary>
public enum FractionRecipe { OneDenominator, TopsAndBottoms, TopsAndBottomsAdded, CrossedOverSum, TopsOverLarger, TopsOverSmaller, TopsOverFirst, TopsOverSecond, ReducedAcrossFirst, FirstTopOverSum, LargerTopOverLarger }

/// <summary>Which denominator both get.</summary>
public enum CommonBottom { Least, Product, Sum, Larger, Smaller, LargestDivisor, TwiceLarger, ProductBelowOnly }

/// <summary>What the numerator becomes when the denominator changes.</summary>
public enum TopChange { Multiplied, Left, MultiplierAdded, DifferenceAdded, MultiplierAlone, OthersMultiplier, OwnBottom, NewBottom, OthersTop, OthersBottom }

/// <summary>What is done with the numerators.</summary>
public enum TopsTogether { AsSet, Add, Subtract, Multiply, LargerStays }

/// <summary>What becomes of two equal denominators.</summary>
public enum EqualBottoms { Kept, Added, Multiplied, Apart }

/// <summary>How a fraction is brought to lowest terms.</summary>
public enum LowestTerms { ByCommon, NotAtAll, TopOnly, BottomOnly, HalvedOnce, HalvedOnly, ByOnePrimeOnce, ByTakingAway, DigitsCancelled }

/// <summary>What becomes of a fraction of one or more.</summary>
public enum OverOne { Mixed, Stays, TurnedOver, RestAlone, WholeAlone, Exchanged, RestOverTop, RestOverWhole, DigitsSplit, OneTakenOut, BottomOverRest, OneBesideAll, WholesBesideAll, OneMore }

/// <summary>The decisions about sums and differences of fractions.</summary>
public static class FractionPoints
{
    private static readonly Kind<FractionPair>[] Pairs =
    [
        new("always", "always", _ => true),
        new("like", "when the denominators are the same", p => p.IsLike),
        new("unlike", "when the denominators are different", p => !p.IsLike),
        new("plus", "when fractions are added", p => !p.IsDifference),
        new("minus", "when fractions are taken away", p => p.IsDifference),
        new("changed", "when the denominators were made the same", p => p.WereChanged),
        new("nested", "when one denominator goes into the other", p => p.IsNested),
        new("shared", "when the denominators share a factor", p => !p.IsLike && p.Common > 1),
        new("coprime", "when the denominators share no factor", p => p.Common == 1),
        new("first-larger-bottom", "when the first denominator is the larger", p => p.FirstBottom > p.SecondBottom),
        new("second-larger-bottom", "when the second denominator is the larger", p => p.FirstBottom < p.SecondBottom),
        new("same-tops", "when the numerators are the same", p => p.FirstTop == p.SecondTop),
        new("first-smaller", "when the first fraction is the smaller", p => p.FirstIsSmaller),
        new("wholes", "when there are whole numbers beside them", p => p.HasWholes),
    ];

    private static readonly Kind<FractionChange>[] Changes =
    [
        new("always", "always", _ => true),
        new("changes", "where the denominator changes", c => c.Changes),
        new("first", "in the first fraction", c => c.IsFirst),
        new("second", "in the second fraction", c => !c.IsFirst),
        new("smaller-bottom", "in the fraction with the smaller denominator", c => c.HasSmallerBottom),
        new("larger-bottom", "in the fraction with the larger denominator", c => !c.HasSmallerBottom),
        new("both-change", "when both denominators change", c => c.BothChange),
        new("one-changes", "when only one denominator changes", c => !c.BothChange),
        new("plus", "when fractions are added", c => !c.Pair.IsDifference),
        new("minus", "when fractions are taken away", c => c.Pair.IsDifference),
        new("top-is-1", "when the numerator is 1", c => c.Top == 1),
        new("wholes", "when there are whole numbers beside them", c => c.Pair.HasWholes),
    ];

    private static readonly Kind<FractionResult>[] Results =
    [
        new("always", "always", _ => true),
        new("improper", "when it is one or more", r => r.IsImproper),
        new("proper", "when it is less than one", r => !r.IsImproper),
        new("whole", "when it is a whole number", r => r.IsWhole),
        new("even", "when both parts are even", r => r.AreEven),
        new("odd", "when a part is odd", r => !r.AreEven),
        new("common-2", "when 2 is all that divides both", r => r.Common == 2),
        new("common-is-top", "when the numerator goes into the denominator", r => r.Common == r.Top),
        new("plus", "in sums", r => !r.IsDifference),
        new("minus", "in differences", r => r.IsDifference),
        new("below-two", "when it is less than two", r => r.Top < 2 * r.Bottom),
    ];

    /// <summary>Which operation?</summary>
    public static readonly DecisionPoint<FractionPair, FractionWay> Way = new("fractions.way", "What is to be done with the two fractions?")
    {
        Does = Phrases.InOrder<FractionWay>("does what the sign says", "adds", "takes away", "multiplies numerators and denominators", "turns the second fraction over and multiplies"),
        Taught = (_, _) => FractionWay.AsSet,
        Can = (p, way) => way != (p.IsDifference ? FractionWay.Subtract : FractionWay.Add),
        Slips = p => [(p.IsDifference ? FractionWay.Add : FractionWay.Subtract, 1)],
        Kinds = Pairs,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>By which recipe?</summary>
    public static readonly DecisionPoint<FractionPair, FractionRecipe> Recipe = new("fractions.recipe", "How do fractions with different denominators come together?")
    {
        Does = Phrases.InOrder<FractionRecipe>("brings both to one denominator", "puts numerators together and denominators together", "puts numerators together and adds the denominators", "multiplies crosswise and writes it over the sum of the denominators",
            "puts numerators together over the larger denominator", "puts numerators together over the smaller denominator", "puts numerators together over the first denominator", "puts numerators together over the second denominator", "cancels across the sign first", "keeps the first numerator and adds the denominators", "keeps the larger numerator and the larger denominator"),
        Taught = (_, _) => FractionRecipe.OneDenominator,
        Kinds = Pairs,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>Which common denominator?</summary>
    public static readonly DecisionPoint<FractionPair, CommonBottom> Common = new("fractions.common", "Which denominator do both get?")
    {
        Does = Phrases.InOrder<CommonBottom>("takes the least common denominator", "takes the product of the denominators", "takes the sum of the denominators", "takes the larger denominator", "takes the smaller denominator", "takes the largest number that divides both denominators", "takes twice the larger denominator", "writes the product of the denominators and multiplies the numerators as for the least common one"),
        Taught = (_, school) => school.Of(School.Fractions) == FractionSchool.ProductOfDenominators ? CommonBottom.Product : CommonBottom.Least,
        Can = (p, way) => way is not (CommonBottom.LargestDivisor or CommonBottom.ProductBelowOnly) || p.Common > 1,
        Kinds = Pairs,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What becomes of the numerator?</summary>
    public static readonly DecisionPoint<FractionChange, TopChange> Change = new("fractions.new-top", "What becomes of the numerator when the denominator changes?")
    {
        Does = Phrases.InOrder<TopChange>("multiplies the numerator by what the denominator was multiplied by", "leaves the numerator as it is", "adds to the numerator what the denominator was multiplied by", "adds to the numerator what was added to the denominator",
            "writes what the denominator was multiplied by as the numerator", "multiplies the numerator by the other fraction’s multiplier", "multiplies the numerator by its own denominator", "multiplies the numerator by the new denominator", "multiplies by the other numerator", "multiplies the numerator by the other denominator"),
        Taught = (_, _) => TopChange.Multiplied,
        Can = (c, way) => way switch { TopChange.Left => c.By != 1, TopChange.OthersMultiplier => c.By != c.OtherBy, TopChange.OthersBottom => c.By != c.OtherBottom, _ => true },
        Slips = c => c.By == 1 ? [] : [(TopChange.Left, 2), (TopChange.MultiplierAdded, 0.3)],
        Kinds = Changes,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>The new numerator as a number.</summary>
    public static readonly ValuePoint<FractionChange> NewTop = new("fractions.top-value", "What is the new numerator?")
    {
        Numbers = [new("top", "the numerator", c => c.Top), new("bottom", "the denominator", c => c.Bottom), new("to", "the new denominator", c => c.To), new("by", "the multiplier", c => c.By), new("apart", "the distance to the new denominator", c => Math.Abs(c.To - c.Bottom)), new("other-top", "the other numerator", c => c.OtherTop), new("other-bottom", "the other denominator", c => c.OtherBottom)],
        Does = n => $"writes {n} as the numerator",
        Kinds = Changes,
        ShowsIn = WorkFields.Lines,
    };

    /// <summary>What is done with the numerators?</summary>
    public static readonly DecisionPoint<FractionPair, TopsTogether> Tops = new("fractions.tops", "What is done with the numerators?")
    {
        Does = Phrases.InOrder<TopsTogether>("puts the numerators together as the sign says", "adds the numerators", "takes the smaller numerator from the larger", "multiplies the numerators", "keeps the larger numerator"),
        Taught = (_, _) => TopsTogether.AsSet,
        Can = (p, way) => way != (p.IsDifference ? TopsTogether.Subtract : TopsTogether.Add),
        Slips = p => [(p.IsDifference ? TopsTogether.Add : TopsTogether.Subtract, 0.7)],
        Kinds = Pairs,
    };

    /// <summary>The numerator of the result as a number.</summary>
    public static readonly ValuePoint<FractionPair> TopsSize = new("fractions.tops-value", "What do the numerators come to?")
    {
        Numbers = [new("first-top", "the first numerator", p => p.FirstTop), new("second-top", "the second numerator", p => p.SecondTop), new("first-bottom", "the first denominator", p => p.FirstBottom), new("second-bottom", "the second denominator", p => p.SecondBottom)],
        Does = n => $"comes to {n} in the numerators",
        Kinds = Pairs,
    };

    /// <summary>What becomes of two equal denominators?</summary>
    public static readonly DecisionPoint<FractionPair, EqualBottoms> Bottoms = new("fractions.bottoms", "What becomes of the denominator when the numerators are put together?")
    {
        Does = Phrases.InOrder<EqualBottoms>("keeps the denominator", "adds the denominators", "multiplies the denominators", "takes the denominators from each other"),
        Taught = (_, _) => EqualBottoms.Kept,
        Slips = _ => [(EqualBottoms.Added, 1)],
        Kinds = Pairs,
    };

    /// <summary>How is it brought to lowest terms?</summary>
    public static readonly DecisionPoint<FractionResult, LowestTerms> Lowest = new("fractions.lowest", "Does a number divide both parts?")
    {
        Does = Phrases.InOrder<LowestTerms>("brings it to lowest terms", "leaves it as it is", "divides only the numerator", "divides only the denominator", "halves both parts once", "halves both parts as long as they are even, and no more", "divides both parts once, by one prime number", "takes the number that divides both away from both", "strikes out a digit that stands in both"),
        Taught = (_, _) => LowestTerms.ByCommon,
        Slips = _ => [(LowestTerms.NotAtAll, 3)],
        Kinds = Results,
    };

    /// <summary>What becomes of a fraction over one?</summary>
    public static readonly DecisionPoint<FractionResult, OverOne> Over = new("fractions.over-one", "Is it one or more?")
    {
        Does = Phrases.InOrder<OverOne>("takes the wholes out", "leaves it as a fraction over one", "turns it over", "writes only what is left over", "writes only the wholes", "exchanges the wholes and what is left", "writes what is left over the old numerator", "writes what is left over the wholes", "splits the digits of the numerator", "takes one whole out, whatever there is", "writes the denominator over what is left", "writes 1 before the fraction and leaves it", "writes the wholes before the fraction and leaves it", "takes one whole too many out"),
        Taught = (_, _) => OverOne.Mixed,
        Slips = _ => [(OverOne.Stays, 3)],
        Kinds = Results,
    };

    /// <summary>The wholes that are taken out, as a number.</summary>
    public static readonly ValuePoint<FractionResult> Taken = new("fractions.wholes-value", "How many wholes are there?")
    {
        Numbers = [new("top", "the numerator", r => r.Top), new("bottom", "the denominator", r => r.Bottom), new("quotient", "the wholes", r => r.Quotient), new("rest", "what is left", r => r.Rest)],
        Does = n => $"takes {n} wholes out",
        Kinds = Results,
    };

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [Way, Recipe, Common, Change, NewTop, Tops, TopsSize, Bottoms, Lowest, Over, Taken];

    /// <summary>Those of putting two fractions together, for methods that finish the result in their own way.</summary>
    public static IReadOnlyList<DecisionPoint> OfPairs { get; } = All;
}
