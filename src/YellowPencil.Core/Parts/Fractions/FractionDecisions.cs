using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Parts.Fractions;

/// <summary>What is done with two fractions.</summary>
internal enum FractionChoice { AsSet, Add, Subtract, Multiply, TurnSecondAndMultiply }

/// <summary>How two fractions with different denominators are put together.</summary>
internal enum FractionRecipe
{
    OneDenominator, NumeratorsAndDenominators, NumeratorsAndDenominatorsAdded, CrossedOverSum, NumeratorsOverLarger, NumeratorsOverSmaller, NumeratorsOverFirst,
    NumeratorsOverSecond, ReducedAcrossFirst,
    FirstNumeratorOverSum, LargerNumeratorOverLarger,
}

/// <summary>Which denominator both get.</summary>
internal enum CommonDenominator
{
    Least, Product, Sum, Larger, Smaller, LargestDivisor, TwiceLarger, ProductBelowOnly, SumBelowOnly, ApartBelowOnly, LargerBelowOnly,
}

/// <summary>What the numerator becomes when the denominator changes.</summary>
internal enum NumeratorChange
{
    Multiplied, Left, MultiplierAdded, DifferenceAdded, MultiplierAlone, OthersMultiplier, OwnDenominator, NewDenominator, OthersNumerator, OthersDenominator,
}

/// <summary>What is done with the numerators.</summary>
internal enum NumeratorsTogether { AsSet, Add, Subtract, Multiply, LargerStays }

/// <summary>What becomes of two equal denominators.</summary>
internal enum EqualDenominators { Kept, Added, Multiplied, Apart }

/// <summary>How a fraction is brought to lowest terms.</summary>
internal enum LowestTerms { ByCommon, NotAtAll, NumeratorOnly, DenominatorOnly, HalvedOnce, HalvedOnly, ByOnePrimeOnce, ByTakingAway, DigitsCancelled }

/// <summary>What becomes of a fraction of one or more.</summary>
internal enum OverOne
{
    Mixed, Stays, TurnedOver, RestAlone, WholeAlone, Exchanged, RestOverNumerator, RestOverWhole, DigitsSplit, OneTakenOut, DenominatorOverRest, OneBesideAll,
    WholesBesideAll, OneMore, TakenFromNumerator,
}

/// <summary>The decisions about sums and differences of fractions.</summary>
internal static class FractionDecisions
{
    private static readonly Property<FractionChange>[] ChangeSizes =
    [
        new("numerator", "the numerator", c => c.Numerator, 1, 2, 5),
        new("denominator", "the denominator", c => c.Denominator, 2, 5, 10),
    ];

    private static readonly Property<FractionPair>[] PairSizes =
    [
        new("first-numerator", "the first numerator", c => c.FirstNumerator, 1, 2, 5),
        new("second-numerator", "the second numerator", c => c.SecondNumerator, 1, 2, 5),
        new("first-denominator", "the first denominator", c => c.FirstDenominator, 2, 5, 10),
        new("second-denominator", "the second denominator", c => c.SecondDenominator, 2, 5, 10),
    ];

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
        new("first-larger-bottom", "when the first denominator is the larger", p => p.FirstDenominator > p.SecondDenominator),
        new("second-larger-bottom", "when the second denominator is the larger", p => p.FirstDenominator < p.SecondDenominator),
        new("same-tops", "when the numerators are the same", p => p.FirstNumerator == p.SecondNumerator),
        new("first-smaller", "when the first fraction is the smaller", p => p.FirstIsSmaller),
        new("wholes", "when there are whole numbers beside them", p => p.HasWholes),
    ];

    private static readonly Kind<FractionChange>[] Changes =
    [
        new("always", "always", _ => true),
        new("changes", "where the denominator changes", c => c.Changes),
        new("first", "in the first fraction", c => c.IsFirst),
        new("second", "in the second fraction", c => !c.IsFirst),
        new("smaller-bottom", "in the fraction with the smaller denominator", c => c.HasSmallerDenominator),
        new("larger-bottom", "in the fraction with the larger denominator", c => !c.HasSmallerDenominator),
        new("both-change", "when both denominators change", c => c.BothChange),
        new("one-changes", "when only one denominator changes", c => !c.BothChange),
        new("plus", "when fractions are added", c => !c.Pair.IsDifference),
        new("minus", "when fractions are taken away", c => c.Pair.IsDifference),
        new("top-is-1", "when the numerator is 1", c => c.Numerator == 1),
        new("wholes", "when there are whole numbers beside them", c => c.Pair.HasWholes),
    ];

    public static readonly Decision<FractionPair, FractionChoice> Procedure = new(
        "fractions.way", "What is to be done with the two fractions?", FractionChoice.AsSet)
    {
        [FractionChoice.AsSet] = new("as-set", "does what the sign says"),
        [FractionChoice.Add] = new("add", "adds") { Needs = p => p.IsDifference, SlipIn = p => p.IsDifference ? 1 : 0 },
        [FractionChoice.Subtract] = new("subtract", "takes away") { Needs = p => !p.IsDifference, SlipIn = p => p.IsDifference ? 0 : 1 },
        [FractionChoice.Multiply] = new("multiply", "multiplies numerators and denominators"),
        [FractionChoice.TurnSecondAndMultiply] = new("turn-second-and-multiply", "turns the second fraction over and multiplies"),
        Kinds = Pairs,
        Properties = PairSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.ReadTheSign,
    };

    public static readonly Decision<FractionPair, FractionRecipe> Recipe = new(
        "fractions.recipe", "How do fractions with different denominators come together?", FractionRecipe.OneDenominator)
    {
        [FractionRecipe.OneDenominator] = new("one-denominator", "brings both to one denominator"),
        [FractionRecipe.NumeratorsAndDenominators] = new("tops-and-bottoms", "puts numerators together and denominators together"),
        [FractionRecipe.NumeratorsAndDenominatorsAdded] = new("tops-and-bottoms-added", "puts numerators together and adds the denominators"),
        [FractionRecipe.CrossedOverSum] = new("crossed-over-sum", "multiplies crosswise and writes it over the sum of the denominators"),
        [FractionRecipe.NumeratorsOverLarger] = new("tops-over-larger", "puts numerators together over the larger denominator"),
        [FractionRecipe.NumeratorsOverSmaller] = new("tops-over-smaller", "puts numerators together over the smaller denominator"),
        [FractionRecipe.NumeratorsOverFirst] = new("tops-over-first", "puts numerators together over the first denominator"),
        [FractionRecipe.NumeratorsOverSecond] = new("tops-over-second", "puts numerators together over the second denominator"),
        [FractionRecipe.ReducedAcrossFirst] = new("reduced-across-first", "cancels across the sign first"),
        [FractionRecipe.FirstNumeratorOverSum] = new("first-top-over-sum", "keeps the first numerator and adds the denominators"),
        [FractionRecipe.LargerNumeratorOverLarger] = new("larger-top-over-larger", "keeps the larger numerator and the larger denominator"),
        Kinds = Pairs,
        Properties = PairSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.PartsOfOneSize,
    };

    public static readonly Decision<FractionPair, CommonDenominator, (int Denominator, int For)> Common = new(
        "fractions.common", "Which denominator do both get?", CommonDenominator.Least)
    {
        [CommonDenominator.Least] = new("least", "takes the least common denominator", p => Both(p.Least)),
        [CommonDenominator.Product] = new("product", "takes the product of the denominators", p => Both(p.FirstDenominator * p.SecondDenominator)),
        [CommonDenominator.Sum] = new("sum", "takes the sum of the denominators", p => Both(p.FirstDenominator + p.SecondDenominator)),
        [CommonDenominator.Larger] = new("larger", "takes the larger denominator", p => Both(Math.Max(p.FirstDenominator, p.SecondDenominator))),
        [CommonDenominator.Smaller] = new("smaller", "takes the smaller denominator", p => Both(Math.Min(p.FirstDenominator, p.SecondDenominator))),
        [CommonDenominator.LargestDivisor] = new(
            "largest-divisor", "takes the largest number that divides both denominators", p => p.Common > 1 ? Both(p.Common) : null),
        [CommonDenominator.TwiceLarger] = new(
            "twice-larger", "takes twice the larger denominator", p => Both(2 * Math.Max(p.FirstDenominator, p.SecondDenominator))),
        [CommonDenominator.ProductBelowOnly] = new(
            "product-below-only", "writes the product of the denominators and multiplies the numerators as for the least common one",
            p => (p.FirstDenominator * p.SecondDenominator, p.Least)),
        [CommonDenominator.SumBelowOnly] = new(
            "sum-below-only", "puts the right numerators over the sum of the denominators", p => (p.FirstDenominator + p.SecondDenominator, p.Least)),
        [CommonDenominator.ApartBelowOnly] = new(
            "apart-below-only", "puts the right numerators over the difference of the denominators",
            p => (Math.Abs(p.FirstDenominator - p.SecondDenominator), p.Least)),
        [CommonDenominator.LargerBelowOnly] = new(
            "larger-below-only", "puts the right numerators over the larger denominator",
            p => p.IsNested ? null : (Math.Max(p.FirstDenominator, p.SecondDenominator), p.Least)),
        TaughtIn = (_, school) => school.Of(School.Fractions) == FractionSchool.ProductOfDenominators ? CommonDenominator.Product : CommonDenominator.Least,
        Kinds = Pairs,
        Properties = PairSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.CommonDenominator,
    };

    public static readonly Decision<FractionChange, NumeratorChange, long> Change = new(
        "fractions.new-top", "What becomes of the numerator when the denominator changes?", NumeratorChange.Multiplied)
    {
        [NumeratorChange.Multiplied] = new("multiplied", "multiplies the numerator by what the denominator was multiplied by", c => (long)c.Numerator * c.By),
        [NumeratorChange.Left] = new("left", "leaves the numerator as it is", c => c.Numerator) { SlipIn = c => c.By == 1 ? 0 : 2 },
        [NumeratorChange.MultiplierAdded] = new(
            "multiplier-added", "adds to the numerator what the denominator was multiplied by", c => c.Changes ? c.Numerator + c.By : c.Numerator)
        { SlipIn = c => c.By == 1 ? 0 : 0.3 },
        [NumeratorChange.DifferenceAdded] = new(
            "difference-added", "adds to the numerator what was added to the denominator", c => Math.Max(0, c.Numerator + c.To - c.Denominator)),
        [NumeratorChange.MultiplierAlone] = new(
            "multiplier-alone", "writes what the denominator was multiplied by as the numerator", c => c.Changes ? c.By : c.Numerator),
        [NumeratorChange.OthersMultiplier] = new(
            "others-multiplier", "multiplies the numerator by the other fraction’s multiplier", c => (long)c.Numerator * c.OtherBy),
        [NumeratorChange.OwnDenominator] = new(
            "own-bottom", "multiplies the numerator by its own denominator", c => (long)c.Numerator * c.Denominator),
        [NumeratorChange.NewDenominator] = new(
            "new-bottom", "multiplies the numerator by the new denominator", c => (long)c.Numerator * c.To),
        [NumeratorChange.OthersNumerator] = new("others-top", "multiplies by the other numerator", c => (long)c.Numerator * c.OtherNumerator),
        [NumeratorChange.OthersDenominator] = new(
            "others-bottom", "multiplies the numerator by the other denominator", c => (long)c.Numerator * c.OtherDenominator),
        Kinds = Changes,
        Properties = ChangeSizes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.BothPartsAlike,
    };

    /// <summary>The new numerator as a number.</summary>
    public static readonly ValueDecision<FractionChange> NewNumerator = new("fractions.top-value", "What is the new numerator?")
    {
        Numbers = [
            new("top", "the numerator", c => c.Numerator), new("bottom", "the denominator", c => c.Denominator), new("to", "the new denominator", c => c.To),
            new("by", "the multiplier", c => c.By), new("apart", "the distance to the new denominator", c => Math.Abs(c.To - c.Denominator)),
            new("other-top", "the other numerator", c => c.OtherNumerator), new("other-bottom", "the other denominator", c => c.OtherDenominator),
        ],
        Does = n => $"writes {n} as the numerator",
        Kinds = Changes,
        ShowsIn = WorkFields.Lines,
        Idea = Ideas.BothPartsAlike,
    };

    public static readonly Decision<FractionPair, NumeratorsTogether, long> Numerators = new(
        "fractions.tops", "What is done with the numerators?", NumeratorsTogether.AsSet)
    {
        [NumeratorsTogether.AsSet] = new(
            "as-set", "puts the numerators together as the sign says", p =>
                p.IsDifference ? Math.Abs(p.FirstNumerator - p.SecondNumerator) : p.FirstNumerator + p.SecondNumerator),
        [NumeratorsTogether.Add] = new("add", "adds the numerators", p => p.FirstNumerator + p.SecondNumerator) { SlipIn = p => p.IsDifference ? 0.7 : 0 },
        [NumeratorsTogether.Subtract] = new("subtract", "takes the smaller numerator from the larger", p => Math.Abs(p.FirstNumerator - p.SecondNumerator))
        { SlipIn = p => p.IsDifference ? 0 : 0.7 },
        [NumeratorsTogether.Multiply] = new("multiply", "multiplies the numerators", p => (long)p.FirstNumerator * p.SecondNumerator),
        [NumeratorsTogether.LargerStays] = new("larger-stays", "keeps the larger numerator", p => Math.Max(p.FirstNumerator, p.SecondNumerator)),
        Kinds = Pairs,
        Properties = PairSizes,
        Idea = Ideas.DenominatorNamesThePart,
    };

    /// <summary>The numerator of the result as a number.</summary>
    public static readonly ValueDecision<FractionPair> NumeratorsSize = new("fractions.tops-value", "What do the numerators come to?")
    {
        Numbers = [
            new("first-top", "the first numerator", p => p.FirstNumerator), new("second-top", "the second numerator", p => p.SecondNumerator),
            new("first-bottom", "the first denominator", p => p.FirstDenominator), new("second-bottom", "the second denominator", p => p.SecondDenominator),
        ],
        Does = n => $"comes to {n} in the numerators",
        Kinds = Pairs,
        Idea = Ideas.PartsOfOneSize,
    };

    public static readonly Decision<FractionPair, EqualDenominators, long> Denominators = new(
        "fractions.bottoms", "What becomes of the denominator when the numerators are put together?", EqualDenominators.Kept)
    {
        [EqualDenominators.Kept] = new("kept", "keeps the denominator", p => p.FirstDenominator),
        [EqualDenominators.Added] = new("added", "adds the denominators", p => p.FirstDenominator + p.SecondDenominator) { Slip = 1 },
        [EqualDenominators.Multiplied] = new("multiplied", "multiplies the denominators", p => (long)p.FirstDenominator * p.SecondDenominator),
        [EqualDenominators.Apart] = new(
            "apart", "takes the denominators from each other", p => p.IsLike ? null : Math.Abs(p.FirstDenominator - p.SecondDenominator)),
        Kinds = Pairs,
        Properties = PairSizes,
        Idea = Ideas.DenominatorNamesThePart,
    };

    public static readonly Decision<FractionResult, LowestTerms, Fraction> Lowest = new(
        "fractions.lowest", "Does a number divide both parts?", LowestTerms.ByCommon)
    {
        [LowestTerms.ByCommon] = new("by-common", "brings it to lowest terms", r => new(r.Numerator / r.Common, r.Denominator / r.Common)),
        [LowestTerms.NotAtAll] = new("not-at-all", "leaves it as it is", r => new(r.Numerator, r.Denominator)) { Slip = 3 },
        [LowestTerms.NumeratorOnly] = new("top-only", "divides only the numerator", r => new(r.Numerator / r.Common, r.Denominator)),
        [LowestTerms.DenominatorOnly] = new("bottom-only", "divides only the denominator", r => new(r.Numerator, r.Denominator / r.Common)),
        [LowestTerms.HalvedOnce] = new(
            "halved-once", "halves both parts once", r => r.AreEven ? new(r.Numerator / 2, r.Denominator / 2) : new(r.Numerator, r.Denominator)),
        [LowestTerms.HalvedOnly] = new("halved-only", "halves both parts as long as they are even, and no more", Halved),
        [LowestTerms.ByOnePrimeOnce] = new("by-one-prime-once", "divides both parts once, by one prime number", ByOnePrime),
        [LowestTerms.ByTakingAway] = new(
            "by-taking-away", "takes the number that divides both away from both",
            r => r.Numerator > r.Common && r.Denominator > r.Common ? new(r.Numerator - r.Common, r.Denominator - r.Common) : new(r.Numerator, r.Denominator)),
        [LowestTerms.DigitsCancelled] = new(
            "digits-cancelled", "strikes out a digit that stands in both",
            r =>
                r.Numerator >= 10 && r.Denominator >= 10 && r.Numerator % 10 == r.Denominator % 10
                    ? new(r.Numerator / 10, r.Denominator / 10)
                    : new(r.Numerator, r.Denominator)),
        Kinds = FractionResult.Kinds,
        Properties = FractionResult.Sizes,
        Idea = Ideas.DividingBothParts,
    };

    public static readonly Decision<FractionResult, OverOne, MixedParts> Over = new("fractions.over-one", "Is it one or more?", OverOne.Mixed)
    {
        [OverOne.Mixed] = new("mixed", "takes the wholes out", r => new(r.Quotient, r.Rest, r.Denominator)),
        [OverOne.Stays] = new("stays", "leaves it as a fraction over one", r => r.Denominator > 1 ? new(0, r.Numerator, r.Denominator) : null) { Slip = 3 },
        [OverOne.TurnedOver] = new(
            "turned-over", "turns it over", r => r.Denominator > 1 && r.Numerator != r.Denominator ? new(0, r.Denominator, r.Numerator) : null),
        [OverOne.RestAlone] = new("rest-alone", "writes only what is left over", r => r.Rest > 0 ? new(0, r.Rest, r.Denominator) : null),
        [OverOne.WholeAlone] = new("whole-alone", "writes only the wholes", r => new(r.Quotient, 0, r.Denominator)),
        [OverOne.Exchanged] = new("exchanged", "exchanges the wholes and what is left", r => r.Rest > 0 ? new(r.Rest, r.Quotient, r.Denominator) : null),
        [OverOne.RestOverNumerator] = new("rest-over-top", "writes what is left over the old numerator", r => new(r.Quotient, r.Rest, r.Numerator)),
        [OverOne.RestOverWhole] = new("rest-over-whole", "writes what is left over the wholes", r => new(r.Quotient, r.Rest, r.Quotient)),
        [OverOne.DigitsSplit] = new(
            "digits-split", "splits the digits of the numerator", r =>
                r.Numerator >= 10 && r.Denominator > 1 ? new(r.Numerator / 10, r.Numerator % 10, r.Denominator) : null),
        [OverOne.OneTakenOut] = new(
            "one-taken-out", "takes one whole out, whatever there is", r => r.Denominator > 1 ? new(1, r.Numerator - r.Denominator, r.Denominator) : null),
        [OverOne.DenominatorOverRest] = new(
            "bottom-over-rest", "writes the denominator over what is left", r => r.Rest > 0 ? new(r.Quotient, r.Denominator, r.Rest) : null),
        [OverOne.OneBesideAll] = new(
            "one-beside-all", "writes 1 before the fraction and leaves it", r => r.Rest > 0 ? new(1, r.Numerator, r.Denominator) : null),
        [OverOne.WholesBesideAll] = new(
            "wholes-beside-all", "writes the wholes before the fraction and leaves it", r => r.Rest > 0 ? new(r.Quotient, r.Numerator, r.Denominator) : null),
        [OverOne.OneMore] = new("one-more", "takes one whole too many out", r => new(r.Quotient + 1, r.Rest, r.Denominator)),
        [OverOne.TakenFromNumerator] = new(
            "taken-from-top", "takes the wholes out and one for each from the numerator", r =>
                r.Denominator > 1 ? new(r.Quotient, r.Numerator - r.Quotient, r.Denominator) : null),
        Kinds = FractionResult.Kinds,
        Properties = FractionResult.Sizes,
        Idea = Ideas.WholesInAFraction,
    };

    /// <summary>The wholes that are taken out, as a number.</summary>
    public static readonly ValueDecision<FractionResult> Taken = new("fractions.wholes-value", "How many wholes are there?")
    {
        Numbers = [
            new("top", "the numerator", r => r.Numerator), new("bottom", "the denominator", r => r.Denominator), new("quotient", "the wholes", r => r.Quotient),
            new("rest", "what is left", r => r.Rest),
        ],
        Does = n => $"takes {n} wholes out",
        Kinds = FractionResult.Kinds,
        Idea = Ideas.WholesInAFraction,
    };

    private static (int Denominator, int For)? Both(int denominator) => (denominator, denominator);

    private static Fraction? Halved(FractionResult r)
    {
        var (numerator, denominator) = (r.Numerator, r.Denominator);
        while (numerator % 2 == 0 && denominator % 2 == 0) (numerator, denominator) = (numerator / 2, denominator / 2);
        return new Fraction(numerator, denominator);
    }

    private static Fraction? ByOnePrime(FractionResult r)
    {
        var prime = 2;
        while (r.Common % prime != 0) prime++;
        return new Fraction(r.Numerator / prime, r.Denominator / prime);
    }

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [
        Procedure, Recipe, Common, Change, NewNumerator, Numerators, NumeratorsSize, Denominators, Lowest, Over, Taken,
    ];

    /// <summary>Those of putting two fractions together, for methods that finish the result in their own way.</summary>
    public static IReadOnlyList<Decision> OfPairs { get; } = All;
}
