using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.Differences;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Parts.DecimalColumns;

/// <summary>Whether the sign is followed.</summary>
internal enum SignRead { AsSet, TheOther }

/// <summary>Which digits stand under each other.</summary>
internal enum DecimalAlignment { Points, RightEnds, LeftEnds, DecimalsRight, PushedRight }

/// <summary>Where a whole number stands among decimals.</summary>
internal enum HiddenPoint { AfterOnes, UnderLastPlace, LeftOut }

/// <summary>Whether whole part and decimal part are one number.</summary>
internal enum DecimalSplit { OneNumber, TwoNumbers, TwoNumbersEvenedUp, SmallerBehindPoint }

/// <summary>What is done where the top number has no digit above one to take away.</summary>
internal enum TopGap { FillZero, WriteBottom, TenWithoutLending, WriteZero, LeaveBlank }

/// <summary>What is done with places that only one number has.</summary>
internal enum LonePlaces { Keep, Drop }

/// <summary>Where the point of the answer goes.</summary>
internal enum SumPoint
{
    StraightDown, Forgotten, AsFirst, AsLast, PlacesTogether, FewestPlaces, AfterFirstDigit, AsLongestWholeFromLeft, OfAllTogether, LastZerosFirst,
    AsFirstFromLeft,
}

/// <summary>The whole item as the student first sees it.</summary>
/// <param name="IsDifference">Whether something is taken away.</param>
/// <param name="Numbers">How many numbers there are.</param>
/// <param name="FirstPlaces">Decimal places of the first number.</param>
/// <param name="LastPlaces">Decimal places of the last number.</param>
/// <param name="MostPlaces">The most decimal places of a number.</param>
/// <param name="FewestPlaces">The fewest.</param>
internal readonly record struct DecimalSumContext(
    bool IsDifference, int Numbers, int FirstPlaces, int LastPlaces, int MostPlaces, int FewestPlaces) : IDecisionContext
{
    /// <summary>Whole digits of the first number.</summary>
    public int FirstWhole { get; init; }

    /// <summary>Whole digits of the number with most of them.</summary>
    public int MostWhole { get; init; }

    /// <summary>Places of all numbers together.</summary>
    public int AllPlaces { get; init; }

    /// <summary>The numbers as they are set.</summary>
    public required IReadOnlyList<DecimalNumber> Set { get; init; }

    /// <summary>The places that are due; 0 before the answer stands there.</summary>
    public int Due { get; init; }

    /// <summary>Zeros at the end of the answer before the point is put in.</summary>
    public int LastZeros { get; init; }

    /// <summary>Digits of the answer before the point is put in; 0 before that.</summary>
    public int Digits { get; init; }

    /// <summary>The column of the last digit of a number that is set out in a way, the rightmost being 0.</summary>
    public int LastColumn(int row, DecimalAlignment alignment) => alignment switch
    {
        DecimalAlignment.RightEnds => 0,
        DecimalAlignment.LeftEnds => Set.Max(n => n.Length) - Set[row].Length,
        DecimalAlignment.DecimalsRight when Set[row].Places > 0 => 0,
        _ => MostPlaces - Set[row].Places,
    };

    /// <summary>How many columns stand behind the point that comes straight down.</summary>
    public int ColumnsBehindPoint(DecimalAlignment alignment) => alignment == DecimalAlignment.LeftEnds ? Set.Max(n => n.Length) - FirstWhole : MostPlaces;

    /// <summary>Where all digits stand in a way of setting out, packed.</summary>
    public UInt128 SetOut(DecimalAlignment alignment)
    {
        var packed = (UInt128)ColumnsBehindPoint(alignment);
        for (var row = 0; row < Set.Count; row++)
        {
            var isPushed = alignment == DecimalAlignment.PushedRight && Set[row].Places > 0 && Set[row].Places < MostPlaces;
            packed = packed << 8 | (UInt128)(isPushed ? 255 : LastColumn(row, alignment));
        }

        return packed;
    }

    /// <summary>Whether the numbers have different counts of decimal places.</summary>
    public bool IsRagged => MostPlaces != FewestPlaces;
}

/// <summary>A whole number among decimals.</summary>
/// <param name="Row">Which of the numbers, from 0.</param>
/// <param name="IsDifference">Whether something is taken away.</param>
internal readonly record struct WholeAmongDecimals(int Row, bool IsDifference) : IDecisionContext;

/// <summary>A place of the bottom number with nothing above.</summary>
/// <param name="Column">The place.</param>
/// <param name="Bottom">The digit there.</param>
/// <param name="IsSmallest">Whether it is the smallest place.</param>
internal readonly record struct GapContext(int Column, int Bottom, bool IsSmallest) : IDecisionContext
{
    public int? Place => Column;
}

/// <summary>The decisions of sums and differences of decimals.</summary>
internal static class DecimalSumDecisions
{
    private static readonly Kind<DecimalSumContext>[] Kinds =
    [
        new("always", "always", _ => true),
        new("sum", "in sums", c => !c.IsDifference),
        new("difference", "in differences", c => c.IsDifference),
        new("ragged", "when the numbers have different counts of places", c => c.IsRagged),
        new("same", "when the numbers have the same number of places", c => !c.IsRagged),
        new("with-whole", "when one is a whole number", c => c.FewestPlaces == 0),
        new("first-fewer", "when the first number has fewer places than the last", c => c.FirstPlaces < c.LastPlaces),
        new("first-more", "when the first number has more places than the last", c => c.FirstPlaces > c.LastPlaces),
        new("three", "with three or more numbers", c => c.Numbers > 2),
    ];

    private static readonly Property<DecimalSumContext>[] Numbers =
    [
        new("most", "the largest number of places", c => c.MostPlaces), new("fewest", "the smallest number of places", c => c.FewestPlaces), new(
            "first", "the number of places of the first number", c => c.FirstPlaces), new("last", "the number of places of the last number", c => c.LastPlaces),
        new("digits", "the length of the answer", c => c.Digits), new(
            "whole", "the length before the point of the first number", c => c.FirstWhole), new("numbers", "the number of numbers", c => c.Numbers),
    ];

    public static readonly ValueDecision<DecimalSumContext> Places = new("decimal-sums.places", "How many places does the answer get?")
    {
        Numbers = Numbers,
        Does = n => $"gives the answer as many places as {n}",
        Kinds = Kinds,
        Idea = Ideas.PointComesDown,
    };


    public static readonly Decision<DecimalSumContext, SignRead> Procedure = new("decimal-sums.way", "What is to be done with the numbers?", SignRead.AsSet)
    {
        [SignRead.AsSet] = new("as-set", "does what the sign says"),
        [SignRead.TheOther] = new("the-other", "takes the other of plus and minus") { Slip = 0.7, Needs = c => c.Numbers == 2 },
        Kinds = Kinds,
        Idea = Ideas.ReadTheSign,
    };

    public static readonly Decision<DecimalSumContext, DecimalAlignment, UInt128> Alignment = new(
        "decimal-sums.alignment", "Which digits stand under each other?", DecimalAlignment.Points)
    {
        [DecimalAlignment.Points] = new("points", "lines the points up", c => c.SetOut(DecimalAlignment.Points)),
        [DecimalAlignment.RightEnds] = new("right-ends", "lines the numbers up on the right", c => c.SetOut(DecimalAlignment.RightEnds)) { Slip = 0.7 },
        [DecimalAlignment.LeftEnds] = new("left-ends", "lines the numbers up on the left", c => c.SetOut(DecimalAlignment.LeftEnds)),
        [DecimalAlignment.DecimalsRight] = new(
            "decimals-right", "lines decimals up on the right and whole numbers by their points", c => c.SetOut(DecimalAlignment.DecimalsRight)),
        [DecimalAlignment.PushedRight] = new(
            "pushed-right", "lines the points up but pushes the digits after them to the right", c => c.SetOut(DecimalAlignment.PushedRight)),
        Kinds = Kinds,
        ShowsIn = WorkFields.Operands,
        Idea = Ideas.SamePlaceUnderSamePlace,
        IsTold = true,
    };

    public static readonly Decision<WholeAmongDecimals, HiddenPoint> Whole = new(
        "decimal-sums.hidden-point", "Where is the point of a whole number?", HiddenPoint.AfterOnes)
    {
        [HiddenPoint.AfterOnes] = new("after-ones", "puts the hidden point after the ones"),
        [HiddenPoint.UnderLastPlace] = new("under-last-place", "puts a whole number under the last place") { Slip = 0.5 },
        [HiddenPoint.LeftOut] = new("left-out", "leaves a whole number out") { Needs = c => c.Row > 0 },
        Kinds = [
            new("always", "always", _ => true), new("below", "when it stands below", c => c.Row > 0), new("sum", "in sums", c => !c.IsDifference),
            new("difference", "in differences", c => c.IsDifference),
        ],
        ShowsIn = WorkFields.Operands,
        Idea = Ideas.HiddenPointOfWhole,
        IsTold = true,
    };

    public static readonly Decision<DecimalSumContext, DecimalSplit> Split = new(
        "decimal-sums.parts", "Is it one number on both sides of the point?", DecimalSplit.OneNumber)
    {
        [DecimalSplit.OneNumber] = new("one-number", "works across the point"),
        [DecimalSplit.TwoNumbers] = new("two-numbers", "works the parts before and after the point as two separate numbers"),
        [DecimalSplit.TwoNumbersEvenedUp] = new(
            "two-numbers-evened-up", "fills up the places and works the parts before and after the point as two separate numbers"),
        [DecimalSplit.SmallerBehindPoint] = new(
            "smaller-behind-point", "takes the smaller from the larger behind the point, and the wholes by themselves")
        { Needs = c => c.IsDifference },
        Kinds = Kinds,
        Idea = Ideas.PointIsNoWall,
    };

    public static readonly Decision<GapContext, TopGap> Gap = new("decimal-sums.gap", "What stands above where the top number has no digit?", TopGap.FillZero)
    {
        [TopGap.FillZero] = new("fill-zero", "fills the gap with a zero"),
        [TopGap.WriteBottom] = new("write-bottom", "copies the bottom digit") { Slip = 1 },
        [TopGap.TenWithoutLending] = new("ten-without-lending", "takes away from ten that nobody lends"),
        [TopGap.WriteZero] = new("write-zero", "writes 0"),
        [TopGap.LeaveBlank] = new("leave-blank", "leaves the place out"),
        Kinds =
        [
            new("always", "where there is a gap above", _ => true),
            new("smallest", "in the last place, where there is a gap above", c => c.IsSmallest),
            new("zero-below", "where there is a gap above a 0", c => c.Bottom == 0),
        ],
        Properties = [new("bottom", "the digit below the gap", c => c.Bottom, 2, 5)],
        Idea = Ideas.GapIsZero,
    };

    public static readonly Decision<DecimalSumContext, LonePlaces> Lone = new(
        "decimal-sums.lone-places", "What is done with places that only one number has?", LonePlaces.Keep)
    {
        [LonePlaces.Keep] = new("keep", "keeps places that only one number has"),
        [LonePlaces.Drop] = new("drop", "drops places that not every number has"),
        Kinds = Kinds,
        Idea = Ideas.GapIsZero,
        IsTold = true,
    };

    public static readonly Decision<DecimalSumContext, SumPoint, int> Point = new(
        "decimal-sums.point", "Where does the point of the answer go?", SumPoint.StraightDown)
    {
        [SumPoint.StraightDown] = new("straight-down", "brings the point straight down", c => c.Due),
        [SumPoint.Forgotten] = new("forgotten", "forgets the point", _ => 0) { Slip = 0.7 },
        [SumPoint.AsFirst] = new("as-first", "gives the answer the places of the first number", c => c.FirstPlaces),
        [SumPoint.AsLast] = new("as-last", "gives the answer the places of the last number", c => c.LastPlaces),
        [SumPoint.PlacesTogether] = new(
            "places-together", "gives the answer the places of the first and the last number together", c => c.FirstPlaces + c.LastPlaces),
        [SumPoint.FewestPlaces] = new("fewest-places", "gives the answer the fewest places", c => c.FewestPlaces),
        [SumPoint.AfterFirstDigit] = new("after-first-digit", "puts the point after the first digit", c => c.Digits - 1),
        [SumPoint.AsLongestWholeFromLeft] = new(
            "as-longest-whole-from-left", "puts the point behind as many digits as the longest whole part has", c => Math.Max(0, c.Digits - c.MostWhole)),
        [SumPoint.OfAllTogether] = new("of-all-together", "gives the answer the places of all numbers together", c => c.AllPlaces),
        [SumPoint.LastZerosFirst] = new("last-zeros-first", "drops last zeros before the point is put in") { Needs = c => c.LastZeros > 0 },
        [SumPoint.AsFirstFromLeft] = new(
            "as-first-from-left", "puts the point behind as many digits as the first number has before it", c => Math.Max(0, c.Digits - c.FirstWhole)),
        Kinds = Kinds,
        Idea = Ideas.PointComesDown,
        IsTold = true,
    };

    /// <summary>All of them, in the order in which they come up, and those of the columns.</summary>
    public static IReadOnlyList<Decision> All { get; } =
        [
            Procedure, Alignment, Whole, Split, Lone, Gap, Point, Places, .. AdditionDecisions.InColumns, .. AdditionDecisions.Values,
            .. SubtractionDecisions.InColumns, .. SubtractionDecisions.Values,
        ];
}
