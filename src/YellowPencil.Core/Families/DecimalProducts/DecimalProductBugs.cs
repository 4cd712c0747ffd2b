using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.Products;
using static YellowPencil.Core.Engine.Commonness;
using At = YellowPencil.Core.Families.DecimalProducts.DecimalProductDecisions;

namespace YellowPencil.Core.Families.DecimalProducts;

/// <summary>The bugs of products of decimals; those of multiplying and of signs are the bugs of these families.</summary>
internal static class DecimalProductBugs
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Bug> All { get; } = [.. Counts, .. FewDigits, .. WholeItems];

    /// <summary>How many places the answer gets.</summary>
    private static IEnumerable<Bug> Counts =>
    [
        Declare("places-of-first-only", "The places of the first factor only", Common, Ideas.PlacesOfProduct,
            "Gives the answer as many places as the first factor has.",
            "The first number is thought to set the form of the answer.",
            At.Count.Instead(PlaceCount.OfFirst)),
        Declare("places-of-second-only", "The places of the second factor only", Uncommon, Ideas.PlacesOfProduct,
            "Gives the answer as many places as the second factor has.",
            "The number just above the rule is looked at when the point is put in.",
            At.Count.Instead(PlaceCount.OfSecond)),
        Declare("point-as-in-sums", "The point comes straight down", VeryCommon, Ideas.PlacesOfProduct,
            "Gives the answer as many places as the factor with more of them, as in a sum.",
            "In sums the points are lined up and the point comes down.",
            At.Count.Instead(PlaceCount.Larger)),
        Declare("point-as-in-sums-with-two-decimals", "The point comes straight down where the counts are the same", Uncommon, Ideas.PlacesOfProduct,
            "Counts properly where the factors have different counts of places; where both have the same count, gives the answer that count.",
            "Two points above seem to become one below.",
            At.Count.When(c => c.FirstPlaces == c.SecondPlaces).Instead(PlaceCount.Larger)),
        Declare("point-as-in-sums-with-uneven-counts", "The point comes straight down where the counts differ", Rare, Ideas.PlacesOfProduct,
            "Counts properly where both factors have the same count of places; where the counts differ, takes the larger one.",
            "With uneven counts the points cannot be lined up both, and that of the longer one is followed.",
            At.Count.When(c => c.FirstPlaces != c.SecondPlaces && !c.HasWhole).Instead(PlaceCount.Larger)),
        Declare("counts-subtracted", "One count is taken from the other", Rare, Ideas.PlacesOfProduct,
            "Gives the answer as many places as one factor has more than the other.",
            "The counts are compared instead of put together.",
            At.Count.Instead(PlaceCount.Difference)),
        Declare("smaller-count", "The smaller count of places", Rare, Ideas.PlacesOfProduct,
            "Gives the answer as many places as the factor with fewer of them.",
            "The less exact factor is thought to decide.",
            At.Count.Instead(PlaceCount.Smaller)),
        Declare("counts-from-left", "The places are counted from the left", Common, Ideas.PlacesOfProduct,
            "Counts the places of both factors together, but from the left end of the answer.",
            "Reading and counting begin at the left.",
            At.Count.Instead(PlaceCount.FromLeft)),
        Declare("point-forgotten", "The point is forgotten", VeryCommon, Ideas.PlacesOfProduct,
            "Multiplies as whole numbers and writes no point.",
            "The points are dropped at the beginning, and putting one in at the end is forgotten.",
            At.Count.Instead(PlaceCount.None)),
        Declare("one-place-too-few", "One place too few", Uncommon, Ideas.PlacesOfProduct,
            "Gives the answer one place less than both factors have together.",
            "Counting moves between the digits, and the start is counted as the first.",
            At.Count.Instead(PlaceCount.OneTooFew)),
        Declare("point-by-feel", "The point by feel", Rare, Ideas.PlacesOfProduct,
            "Gets the digits right and puts the point somewhere, without counting places.",
            "Where a point belongs is a matter of how the number looks.",
            At.SomePlace[0]).Or(At.SomePlace.Skip(1)),
        Declare("one-place-too-many", "One place too many", Uncommon, Ideas.PlacesOfProduct,
            "Gives the answer one place more than both factors have together.",
            "The point itself is counted.",
            At.Count.Instead(PlaceCount.OneTooMany)),
        Declare("zero-in-front-counted", "A zero in front is counted as a place", Common, Ideas.PlacesOfProduct,
            "Counts every 0 in front of a point as a place.",
            "All digits near the point are counted.",
            At.Count.Instead(PlaceCount.ZerosInFrontToo)),
        Declare("whole-factor-counted", "A whole number is counted as a place", Uncommon, Ideas.HiddenPointOfWhole,
            "Counts one place too many where one factor is a whole number.",
            "Each factor is thought to give at least one place.",
            At.Count.When(c => c.HasWhole).Instead(PlaceCount.OneTooMany)),
        Declare("whole-factor-hides-point", "No point where one factor is whole", Uncommon, Ideas.HiddenPointOfWhole,
            "Writes no point where one factor is a whole number.",
            "A whole number is thought to make the answer whole.",
            At.Count.When(c => c.HasWhole).Instead(PlaceCount.None)),
        Declare("counts-multiplied", "The counts are multiplied", Rare, Ideas.PlacesOfProduct,
            "Multiplies the two counts of places.",
            "Everything in a multiplication is thought to be multiplied.",
            At.Count.Instead(PlaceCount.Multiplied)),
        Declare("always-one-place", "Always one place", Uncommon, Ideas.PlacesOfProduct,
            "Gives every answer one place.",
            "The first decimals met had one place.",
            At.Count.Instead(PlaceCount.OneAlways)),
        Declare("two-places-at-most", "Two places at the most", Uncommon, Ideas.PlacesOfProduct,
            "Gives no answer more than two places.",
            "Amounts of money have two places.",
            At.Count.Instead(PlaceCount.AtMostTwo)),
        Declare("last-zeros-dropped-first", "Last zeros go before counting", VeryCommon, Ideas.PlacesOfProduct,
            "Drops last zeros of the product and counts the places then.",
            "Last zeros after a point may go, so they are dropped at once.",
            At.Zeros.Instead(EndZeros.BeforeCounting)),
    ];

    /// <summary>A product with fewer digits than places.</summary>
    private static IEnumerable<Bug> FewDigits =>
    [
        Declare("no-zeros-in-front", "No zeros between point and digits", VeryCommon, Ideas.ZerosKeepThePoint,
            "Puts the point straight in front of the digits where there are fewer digits than places: 0.2 × 0.3 gives 0.6.",
            "When the digits are used up the count is thought to be done.",
            At.TooFew.Instead(TooFewDigits.PointInFront)),
        Declare("no-point-with-few-digits", "No point where there are too few digits", Uncommon, Ideas.ZerosKeepThePoint,
            "Writes no point where the product has fewer digits than places.",
            "The point would have to stand where there is no digit, so it is left away.",
            At.TooFew.Instead(TooFewDigits.NoPoint)),
        Declare("one-zero-in-front", "One zero, however many are due", Uncommon, Ideas.ZerosKeepThePoint,
            "Fills in one zero after the point, also where two or more are due.",
            "“Put a zero there” was learnt with one zero.",
            At.TooFew.When(c => c.Digits < c.Together - 1).Instead(TooFewDigits.OneZeroInFront)),
        Declare("one-zero-too-many-in-front", "One zero too many", Rare, Ideas.ZerosKeepThePoint,
            "Fills in one zero more than is due after the point.",
            "The zero in front of the point is not counted among those that were filled in.",
            At.TooFew.Instead(TooFewDigits.OneZeroTooMany)),
        Declare("point-after-first-digit", "The point goes after the first digit", Rare, Ideas.ZerosKeepThePoint,
            "Puts the point after the first digit where there are fewer digits than places.",
            "A number is thought to have a digit other than 0 before its point.",
            At.TooFew.Instead(TooFewDigits.PointAfterFirst)),
    ];

    /// <summary>What concerns the whole item.</summary>
    private static IEnumerable<Bug> WholeItems =>
    [
        Declare("parts-multiplied-apart", "The parts are multiplied separately", VeryCommon, Ideas.EveryDigitTimesEvery,
            "Multiplies the parts before the point with each other and those after the point with each other: 2.4 × 3.5 gives 6.20.",
            "The point is taken for a wall between two numbers.",
            At.Split.Instead(FactorSplit.TwoNumbers)),
        Declare("adds-decimals", "Adds the two numbers", Uncommon, Ideas.ReadTheSign,
            "Adds the two decimals instead of multiplying them.",
            "The sign is not read, or the page before was addition.",
            At.Procedure.Instead(ProductChoice.Add)),
    ];

    private static Bug Declare(
        string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, params Deviation[] deviations) =>
        Bug.Declare(DecimalProductFamily.Instance, id, name, commonness, idea, text, reason, deviations);
}
