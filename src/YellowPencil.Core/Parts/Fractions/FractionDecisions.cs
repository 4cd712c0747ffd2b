using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Parts.Fractions;

/// <summary>What is done with two fractions.</summary>
internal enum FractionWay { AsSet, Add, Subtract, Multiply, TurnSecondAndMultiply }

/// <summary>How two fractions with different denominators are put together.</summary>
internal enum FractionRecipe
{
    OneDenominator, TopsAndBottoms, TopsAndBottomsAdded, CrossedOverSum, TopsOverLarger, TopsOverSmaller, TopsOverFirst, TopsOverSecond, ReducedAcrossFirst,
    FirstTopOverSum, LargerTopOverLarger,
}

/// <summary>Which denominator both get.</summary>
internal enum CommonBottom { Least, Product, Sum, Larger, Smaller, LargestDivisor, TwiceLarger, ProductBelowOnly }

/// <summary>What the numerator becomes when the denominator changes.</summary>
internal enum TopChange { Multiplied, Left, MultiplierAdded, DifferenceAdded, MultiplierAlone, OthersMultiplier, OwnBottom, NewBottom, OthersTop, OthersBottom }

/// <summary>What is done with the numerators.</summary>
internal enum TopsTogether { AsSet, Add, Subtract, Multiply, LargerStays }

/// <summary>What becomes of two equal denominators.</summary>
internal enum EqualBottoms { Kept, Added, Multiplied, Apart }

/// <summary>How a fraction is brought to lowest terms.</summary>
internal enum LowestTerms { ByCommon, NotAtAll, TopOnly, BottomOnly, HalvedOnce, HalvedOnly, ByOnePrimeOnce, ByTakingAway, DigitsCancelled }

/// <summary>What becomes of a fraction of one or more.</summary>
internal enum OverOne
{
    Mixed, Stays, TurnedOver, RestAlone, WholeAlone, Exchanged, RestOverTop, RestOverWhole, DigitsSplit, OneTakenOut, BottomOverRest, OneBesideAll,
    WholesBesideAll, OneMore,
}

/// <summary>The decisions about sums and differences of fractions.</summary>
internal static class FractionDecisions
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

    public static readonly Decision<FractionPair, FractionWay> Way = new("fractions.way", "What is to be done with the two fractions?", FractionWay.AsSet)
    {
        [FractionWay.AsSet] = new("as-set", "does what the sign says"),
        [FractionWay.Add] = new("add", "adds") { Needs = p => p.IsDifference, SlipIn = p => p.IsDifference ? 1 : 0 },
        [FractionWay.Subtract] = new("subtract", "takes away") { Needs = p => !p.IsDifference, SlipIn = p => p.IsDifference ? 0 : 1 },
        [FractionWay.Multiply] = new("multiply", "multiplies numerators and denominators"),
        [FractionWay.TurnSecondAndMultiply] = new("turn-second-and-multiply", "turns the second fraction over and multiplies"),
        Kinds = Pairs,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.ReadTheSign,
    };

    public static readonly Decision<FractionPair, FractionRecipe> Recipe = new(
        "fractions.recipe", "How do fractions with different denominators come together?", FractionRecipe.OneDenominator)
    {
        [FractionRecipe.OneDenominator] = new("one-denominator", "brings both to one denominator"),
        [FractionRecipe.TopsAndBottoms] = new("tops-and-bottoms", "puts numerators together and denominators together"),
        [FractionRecipe.TopsAndBottomsAdded] = new("tops-and-bottoms-added", "puts numerators together and adds the denominators"),
        [FractionRecipe.CrossedOverSum] = new("crossed-over-sum", "multiplies crosswise and writes it over the sum of the denominators"),
        [FractionRecipe.TopsOverLarger] = new("tops-over-larger", "puts numerators together over the larger denominator"),
        [FractionRecipe.TopsOverSmaller] = new("tops-over-smaller", "puts numerators together over the smaller denominator"),
        [FractionRecipe.TopsOverFirst] = new("tops-over-first", "puts numerators together over the first denominator"),
        [FractionRecipe.TopsOverSecond] = new("tops-over-second", "puts numerators together over the second denominator"),
        [FractionRecipe.ReducedAcrossFirst] = new("reduced-across-first", "cancels across the sign first"),
        [FractionRecipe.FirstTopOverSum] = new("first-top-over-sum", "keeps the first numerator and adds the denominators"),
        [FractionRecipe.LargerTopOverLarger] = new("larger-top-over-larger", "keeps the larger numerator and the larger denominator"),
        Kinds = Pairs,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.PartsOfOneSize,
    };

    public static readonly Decision<FractionPair, CommonBottom, (int Bottom, int For)> Common = new(
        "fractions.common", "Which denominator do both get?", CommonBottom.Least)
    {
        [CommonBottom.Least] = new("least", "takes the least common denominator", p => Both(p.Least)),
        [CommonBottom.Product] = new("product", "takes the product of the denominators", p => Both(p.FirstBottom * p.SecondBottom)),
        [CommonBottom.Sum] = new("sum", "takes the sum of the denominators", p => Both(p.FirstBottom + p.SecondBottom)),
        [CommonBottom.Larger] = new("larger", "takes the larger denominator", p => Both(Math.Max(p.FirstBottom, p.SecondBottom))),
        [CommonBottom.Smaller] = new("smaller", "takes the smaller denominator", p => Both(Math.Min(p.FirstBottom, p.SecondBottom))),
        [CommonBottom.LargestDivisor] = new(
            "largest-divisor", "takes the largest number that divides both denominators", p => p.Common > 1 ? Both(p.Common) : null),
        [CommonBottom.TwiceLarger] = new("twice-larger", "takes twice the larger denominator", p => Both(2 * Math.Max(p.FirstBottom, p.SecondBottom))),
        [CommonBottom.ProductBelowOnly] = new(
            "product-below-only", "writes the product of the denominators and multiplies the numerators as for the least common one",
            p => (p.FirstBottom * p.SecondBottom, p.Least)),
        TaughtIn = (_, school) => school.Of(School.Fractions) == FractionSchool.ProductOfDenominators ? CommonBottom.Product : CommonBottom.Least,
        Kinds = Pairs,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.PartsOfOneSize,
    };

    public static readonly Decision<FractionChange, TopChange, long> Change = new(
        "fractions.new-top", "What becomes of the numerator when the denominator changes?", TopChange.Multiplied)
    {
        [TopChange.Multiplied] = new("multiplied", "multiplies the numerator by what the denominator was multiplied by", c => (long)c.Top * c.By),
        [TopChange.Left] = new("left", "leaves the numerator as it is", c => c.Top) { SlipIn = c => c.By == 1 ? 0 : 2 },
        [TopChange.MultiplierAdded] = new(
            "multiplier-added", "adds to the numerator what the denominator was multiplied by", c => c.Changes ? c.Top + c.By : c.Top)
        { SlipIn = c => c.By == 1 ? 0 : 0.3 },
        [TopChange.DifferenceAdded] = new(
            "difference-added", "adds to the numerator what was added to the denominator", c => Math.Max(0, c.Top + c.To - c.Bottom)),
        [TopChange.MultiplierAlone] = new("multiplier-alone", "writes what the denominator was multiplied by as the numerator", c => c.Changes ? c.By : c.Top),
        [TopChange.OthersMultiplier] = new("others-multiplier", "multiplies the numerator by the other fraction’s multiplier", c => (long)c.Top * c.OtherBy),
        [TopChange.OwnBottom] = new("own-bottom", "multiplies the numerator by its own denominator", c => c.Changes ? (long)c.Top * c.Bottom : c.Top),
        [TopChange.NewBottom] = new("new-bottom", "multiplies the numerator by the new denominator", c => c.Changes ? (long)c.Top * c.To : c.Top),
        [TopChange.OthersTop] = new("others-top", "multiplies by the other numerator", c => (long)c.Top * c.OtherTop),
        [TopChange.OthersBottom] = new("others-bottom", "multiplies the numerator by the other denominator", c => (long)c.Top * c.OtherBottom),
        Kinds = Changes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.BothPartsAlike,
    };

    /// <summary>The new numerator as a number.</summary>
    public static readonly ValueDecision<FractionChange> NewTop = new("fractions.top-value", "What is the new numerator?")
    {
        Numbers = [
            new("top", "the numerator", c => c.Top), new("bottom", "the denominator", c => c.Bottom), new("to", "the new denominator", c => c.To),
            new("by", "the multiplier", c => c.By), new("apart", "the distance to the new denominator", c => Math.Abs(c.To - c.Bottom)),
            new("other-top", "the other numerator", c => c.OtherTop), new("other-bottom", "the other denominator", c => c.OtherBottom),
        ],
        Does = n => $"writes {n} as the numerator",
        Kinds = Changes,
        ShowsIn = WorkFields.Lines,
    };

    public static readonly Decision<FractionPair, TopsTogether, long> Tops = new("fractions.tops", "What is done with the numerators?", TopsTogether.AsSet)
    {
        [TopsTogether.AsSet] = new(
            "as-set", "puts the numerators together as the sign says", p => p.IsDifference ? Math.Abs(p.FirstTop - p.SecondTop) : p.FirstTop + p.SecondTop),
        [TopsTogether.Add] = new("add", "adds the numerators", p => p.FirstTop + p.SecondTop) { SlipIn = p => p.IsDifference ? 0.7 : 0 },
        [TopsTogether.Subtract] = new("subtract", "takes the smaller numerator from the larger", p => Math.Abs(p.FirstTop - p.SecondTop))
        { SlipIn = p => p.IsDifference ? 0 : 0.7 },
        [TopsTogether.Multiply] = new("multiply", "multiplies the numerators", p => (long)p.FirstTop * p.SecondTop),
        [TopsTogether.LargerStays] = new("larger-stays", "keeps the larger numerator", p => Math.Max(p.FirstTop, p.SecondTop)),
        Kinds = Pairs,
        Idea = Ideas.PartsOfOneSize,
    };

    /// <summary>The numerator of the result as a number.</summary>
    public static readonly ValueDecision<FractionPair> TopsSize = new("fractions.tops-value", "What do the numerators come to?")
    {
        Numbers = [
            new("first-top", "the first numerator", p => p.FirstTop), new("second-top", "the second numerator", p => p.SecondTop),
            new("first-bottom", "the first denominator", p => p.FirstBottom), new("second-bottom", "the second denominator", p => p.SecondBottom),
        ],
        Does = n => $"comes to {n} in the numerators",
        Kinds = Pairs,
    };

    public static readonly Decision<FractionPair, EqualBottoms, long> Bottoms = new(
        "fractions.bottoms", "What becomes of the denominator when the numerators are put together?", EqualBottoms.Kept)
    {
        [EqualBottoms.Kept] = new("kept", "keeps the denominator", p => p.FirstBottom),
        [EqualBottoms.Added] = new("added", "adds the denominators", p => p.FirstBottom + p.SecondBottom) { Slip = 1 },
        [EqualBottoms.Multiplied] = new("multiplied", "multiplies the denominators", p => (long)p.FirstBottom * p.SecondBottom),
        [EqualBottoms.Apart] = new("apart", "takes the denominators from each other", p => p.IsLike ? null : Math.Abs(p.FirstBottom - p.SecondBottom)),
        Kinds = Pairs,
        Idea = Ideas.BottomNamesThePart,
    };

    public static readonly Decision<FractionResult, LowestTerms, Fraction> Lowest = new(
        "fractions.lowest", "Does a number divide both parts?", LowestTerms.ByCommon)
    {
        [LowestTerms.ByCommon] = new("by-common", "brings it to lowest terms", r => new(r.Top / r.Common, r.Bottom / r.Common)),
        [LowestTerms.NotAtAll] = new("not-at-all", "leaves it as it is", r => new(r.Top, r.Bottom)) { Slip = 3 },
        [LowestTerms.TopOnly] = new("top-only", "divides only the numerator", r => new(r.Top / r.Common, r.Bottom)),
        [LowestTerms.BottomOnly] = new("bottom-only", "divides only the denominator", r => new(r.Top, r.Bottom / r.Common)),
        [LowestTerms.HalvedOnce] = new("halved-once", "halves both parts once", r => r.AreEven ? new(r.Top / 2, r.Bottom / 2) : new(r.Top, r.Bottom)),
        [LowestTerms.HalvedOnly] = new("halved-only", "halves both parts as long as they are even, and no more", Halved),
        [LowestTerms.ByOnePrimeOnce] = new("by-one-prime-once", "divides both parts once, by one prime number", ByOnePrime),
        [LowestTerms.ByTakingAway] = new(
            "by-taking-away", "takes the number that divides both away from both",
            r => r.Top > r.Common && r.Bottom > r.Common ? new(r.Top - r.Common, r.Bottom - r.Common) : new(r.Top, r.Bottom)),
        [LowestTerms.DigitsCancelled] = new(
            "digits-cancelled", "strikes out a digit that stands in both",
            r => r.Top >= 10 && r.Bottom >= 10 && r.Top % 10 == r.Bottom % 10 ? new(r.Top / 10, r.Bottom / 10) : new(r.Top, r.Bottom)),
        Kinds = Results,
        Idea = Ideas.DividingBothParts,
    };

    public static readonly Decision<FractionResult, OverOne, MixedParts> Over = new("fractions.over-one", "Is it one or more?", OverOne.Mixed)
    {
        [OverOne.Mixed] = new("mixed", "takes the wholes out", r => new(r.Quotient, r.Rest, r.Bottom)),
        [OverOne.Stays] = new("stays", "leaves it as a fraction over one", r => r.Bottom > 1 ? new(0, r.Top, r.Bottom) : null) { Slip = 3 },
        [OverOne.TurnedOver] = new("turned-over", "turns it over", r => r.Bottom > 1 && r.Top != r.Bottom ? new(0, r.Bottom, r.Top) : null),
        [OverOne.RestAlone] = new("rest-alone", "writes only what is left over", r => r.Rest > 0 ? new(0, r.Rest, r.Bottom) : null),
        [OverOne.WholeAlone] = new("whole-alone", "writes only the wholes", r => new(r.Quotient, 0, r.Bottom)),
        [OverOne.Exchanged] = new("exchanged", "exchanges the wholes and what is left", r => r.Rest > 0 ? new(r.Rest, r.Quotient, r.Bottom) : null),
        [OverOne.RestOverTop] = new("rest-over-top", "writes what is left over the old numerator", r => new(r.Quotient, r.Rest, r.Top)),
        [OverOne.RestOverWhole] = new("rest-over-whole", "writes what is left over the wholes", r => new(r.Quotient, r.Rest, r.Quotient)),
        [OverOne.DigitsSplit] = new(
            "digits-split", "splits the digits of the numerator", r => r.Top >= 10 && r.Bottom > 1 ? new(r.Top / 10, r.Top % 10, r.Bottom) : null),
        [OverOne.OneTakenOut] = new("one-taken-out", "takes one whole out, whatever there is", r => r.Bottom > 1 ? new(1, r.Top - r.Bottom, r.Bottom) : null),
        [OverOne.BottomOverRest] = new(
            "bottom-over-rest", "writes the denominator over what is left", r => r.Rest > 0 ? new(r.Quotient, r.Bottom, r.Rest) : null),
        [OverOne.OneBesideAll] = new("one-beside-all", "writes 1 before the fraction and leaves it", r => r.Rest > 0 ? new(1, r.Top, r.Bottom) : null),
        [OverOne.WholesBesideAll] = new(
            "wholes-beside-all", "writes the wholes before the fraction and leaves it", r => r.Rest > 0 ? new(r.Quotient, r.Top, r.Bottom) : null),
        [OverOne.OneMore] = new("one-more", "takes one whole too many out", r => new(r.Quotient + 1, r.Rest, r.Bottom)),
        Kinds = Results,
        Idea = Ideas.WholesInAFraction,
    };

    /// <summary>The wholes that are taken out, as a number.</summary>
    public static readonly ValueDecision<FractionResult> Taken = new("fractions.wholes-value", "How many wholes are there?")
    {
        Numbers = [
            new("top", "the numerator", r => r.Top), new("bottom", "the denominator", r => r.Bottom), new("quotient", "the wholes", r => r.Quotient),
            new("rest", "what is left", r => r.Rest),
        ],
        Does = n => $"takes {n} wholes out",
        Kinds = Results,
    };

    private static (int Bottom, int For)? Both(int bottom) => (bottom, bottom);

    private static Fraction? Halved(FractionResult r)
    {
        var (top, bottom) = (r.Top, r.Bottom);
        while (top % 2 == 0 && bottom % 2 == 0) (top, bottom) = (top / 2, bottom / 2);
        return new Fraction(top, bottom);
    }

    private static Fraction? ByOnePrime(FractionResult r)
    {
        var prime = 2;
        while (r.Common % prime != 0) prime++;
        return new Fraction(r.Top / prime, r.Bottom / prime);
    }

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [Way, Recipe, Common, Change, NewTop, Tops, TopsSize, Bottoms, Lowest, Over, Taken];

    /// <summary>Those of putting two fractions together, for methods that finish the result in their own way.</summary>
    public static IReadOnlyList<Decision> OfPairs { get; } = All;
}
