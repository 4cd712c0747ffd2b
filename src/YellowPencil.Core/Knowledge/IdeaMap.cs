namespace YellowPencil.Core.Knowledge;

/// <summary>Which ideas come before which: the order of learning.</summary>
public static class IdeaMap
{
    /// <summary>Every idea with those that it needs, each behind all that it needs.</summary>
    private static readonly (string Strand, (MissingIdea Idea, MissingIdea[] Needs)[] Ideas)[] Learning =
    [
        ("numbers, places and signs",
        [
            (Ideas.ReadTheSign, []),
            (Ideas.WorkWhatIsSet, []),
            (Ideas.WriteWhatWasFound, []),
            (Ideas.AnswerTheQuestion, []),
            (Ideas.CountingOn, []),
            (Ideas.CountingBack, [Ideas.CountingOn]),
            (Ideas.AddingNothing, [Ideas.CountingOn]),
            (Ideas.TakingNothing, [Ideas.CountingBack]),
            (Ideas.SamePlaceUnderSamePlace, []),
            (Ideas.OneDigitAPlace, [Ideas.SamePlaceUnderSamePlace]),
            (Ideas.ZeroHoldsThePlace, [Ideas.OneDigitAPlace]),
            (Ideas.SmallestPlaceFirst, [Ideas.SamePlaceUnderSamePlace]),
        ]),
        ("sums",
        [
            (Ideas.EveryAddend, [Ideas.ReadTheSign, Ideas.SamePlaceUnderSamePlace]),
            (Ideas.TenMovesOn, [Ideas.OneDigitAPlace, Ideas.SmallestPlaceFirst]),
            (Ideas.CarryBelongs, [Ideas.TenMovesOn]),
            (Ideas.CarryOnlyTens, [Ideas.TenMovesOn]),
        ]),
        ("differences",
        [
            (Ideas.TakeAwayInOrder, [Ideas.ReadTheSign]),
            (Ideas.SameLeavesNothing, [Ideas.TakingNothing, Ideas.ZeroHoldsThePlace]),
            (Ideas.NothingBelow, [Ideas.TakingNothing, Ideas.SamePlaceUnderSamePlace]),
            (Ideas.TenForOne, [Ideas.TakeAwayInOrder, Ideas.SmallestPlaceFirst, Ideas.OneDigitAPlace]),
            (Ideas.LenderPays, [Ideas.TenForOne]),
            (Ideas.WhenToRename, [Ideas.TenForOne]),
            (Ideas.ZeroIsANumber, [Ideas.TenForOne, Ideas.TakingNothing]),
            (Ideas.AcrossZeros, [Ideas.LenderPays, Ideas.ZeroIsANumber]),
        ]),
        ("products",
        [
            (Ideas.SkipCounting, [Ideas.CountingOn]),
            (Ideas.ProductIsGroups, [Ideas.ReadTheSign, Ideas.SkipCounting]),
            (Ideas.OneTimes, [Ideas.ProductIsGroups]),
            (Ideas.ZeroTimes, [Ideas.ProductIsGroups]),
            (Ideas.CarryAfterProduct, [Ideas.ProductIsGroups, Ideas.TenMovesOn]),
            (Ideas.EveryDigitTimesEvery, [Ideas.ProductIsGroups, Ideas.OneDigitAPlace]),
            (Ideas.RowIsTenTimes, [Ideas.EveryDigitTimesEvery, Ideas.ZeroHoldsThePlace]),
            (Ideas.RowsAreParts, [Ideas.RowIsTenTimes, Ideas.CarryBelongs]),
        ]),
        ("quotients",
        [
            (Ideas.HowOften, [Ideas.ReadTheSign, Ideas.TakeAwayInOrder]),
            (Ideas.DividendIsShared, [Ideas.HowOften]),
            (Ideas.LargestPlaceFirst, [Ideas.DividendIsShared, Ideas.SamePlaceUnderSamePlace]),
            (Ideas.ProductFits, [Ideas.HowOften, Ideas.SkipCounting]),
            (Ideas.WholeDivisor, [Ideas.ProductFits]),
            (Ideas.RestLessThanDivisor, [Ideas.ProductFits]),
            (Ideas.RestStays, [Ideas.LargestPlaceFirst, Ideas.RestLessThanDivisor]),
            (Ideas.EveryDigitBroughtDownCounts, [Ideas.RestStays, Ideas.ZeroHoldsThePlace]),
            (Ideas.RemainderBelongs, [Ideas.RestLessThanDivisor]),
            (Ideas.RemainderIsOfDivisor, [Ideas.RemainderBelongs]),
            (Ideas.LowestTerms, [Ideas.RemainderIsOfDivisor]),
        ]),
        ("decimals",
        [
            (Ideas.PlacesAfterPoint, [Ideas.SamePlaceUnderSamePlace, Ideas.ZeroHoldsThePlace]),
            (Ideas.HiddenPointOfWhole, [Ideas.PlacesAfterPoint]),
            (Ideas.GapIsZero, [Ideas.PlacesAfterPoint]),
            (Ideas.PointComesDown, [Ideas.PlacesAfterPoint]),
            (Ideas.PointIsNoWall, [Ideas.PlacesAfterPoint, Ideas.TenMovesOn]),
            (Ideas.ZerosGoOn, [Ideas.RestStays, Ideas.PlacesAfterPoint]),
            (Ideas.PointStraightUp, [Ideas.ZerosGoOn]),
            (Ideas.ZerosBehind, [Ideas.PlacesAfterPoint]),
            (Ideas.PlacesOfProduct, [Ideas.PlacesAfterPoint, Ideas.EveryDigitTimesEvery]),
            (Ideas.ZerosKeepThePoint, [Ideas.PlacesOfProduct]),
            (Ideas.BothPointsMove, [Ideas.HiddenPointOfWhole, Ideas.ZerosBehind, Ideas.DividendIsShared]),
        ]),
        ("numbers with signs",
        [
            (Ideas.SignBelongsToNumber, [Ideas.ReadTheSign]),
            (Ideas.SameSignsGoOn, [Ideas.SignBelongsToNumber]),
            (Ideas.OppositesCancel, [Ideas.SignBelongsToNumber, Ideas.TakeAwayInOrder]),
            (Ideas.TakingAwayDebt, [Ideas.OppositesCancel]),
            (Ideas.SameSignsPositive, [Ideas.SignBelongsToNumber, Ideas.ProductIsGroups]),
        ]),
        ("fractions and mixed numbers",
        [
            (Ideas.DenominatorNamesThePart, []),
            (Ideas.PartsOfOneSize, [Ideas.DenominatorNamesThePart]),
            (Ideas.BothPartsAlike, [Ideas.DenominatorNamesThePart, Ideas.ProductIsGroups]),
            (Ideas.CommonDenominator, [Ideas.PartsOfOneSize, Ideas.BothPartsAlike]),
            (Ideas.DividingBothParts, [Ideas.BothPartsAlike]),
            (Ideas.WholesInAFraction, [Ideas.DenominatorNamesThePart]),
            (Ideas.NoPartsIsZeroParts, [Ideas.DenominatorNamesThePart]),
            (Ideas.MixedIsASum, [Ideas.WholesInAFraction]),
            (Ideas.WholesCountToo, [Ideas.PartsOfOneSize]),
            (Ideas.SecondFromFirst, [Ideas.ReadTheSign]),
            (Ideas.FromTheFirstNumber, [Ideas.SecondFromFirst, Ideas.DenominatorNamesThePart]),
            (Ideas.WholeIsAllParts, [Ideas.FromTheFirstNumber, Ideas.WholesInAFraction]),
            (Ideas.OpenedWholeIsGone, [Ideas.WholeIsAllParts]),
            (Ideas.FullPartsAreAWhole, [Ideas.WholesInAFraction]),
        ]),
        ("terms",
        [
            (Ideas.LetterIsOne, []),
            (Ideas.OnlyLikeTerms, [Ideas.LetterIsOne]),
            (Ideas.CountingKeepsThePower, [Ideas.OnlyLikeTerms]),
            (Ideas.EveryTermIsKept, [Ideas.OnlyLikeTerms]),
            (Ideas.MinusTurnsAll, [Ideas.OnlyLikeTerms, Ideas.SignBelongsToNumber]),
            (Ideas.NoSignMeansTimes, [Ideas.ReadTheSign]),
            (Ideas.FactorReachesAll, [Ideas.LetterIsOne, Ideas.ProductIsGroups]),
            (Ideas.TermBringsItsSign, [Ideas.SignBelongsToNumber]),
            (Ideas.NumbersTimesPowersPlus, [Ideas.LetterIsOne, Ideas.ProductIsGroups]),
            (Ideas.EachTermByEach, [Ideas.FactorReachesAll, Ideas.NumbersTimesPowersPlus]),
            (Ideas.SquareIsAProduct, [Ideas.EachTermByEach]),
            (Ideas.OppositesVanish, [Ideas.EachTermByEach, Ideas.OppositesCancel]),
        ]),
        ("factors",
        [
            (Ideas.CommonToAll, [Ideas.FactorReachesAll]),
            (Ideas.SumAndProduct, [Ideas.EachTermByEach]),
            (Ideas.SignsOfTheTwo, [Ideas.SumAndProduct, Ideas.SameSignsPositive]),
            (Ideas.FirstNumberIsShared, [Ideas.SumAndProduct]),
            (Ideas.CellIsItsEdges, [Ideas.FirstNumberIsShared, Ideas.TermBringsItsSign]),
            (Ideas.RootsOfBothSquares, [Ideas.OppositesVanish]),
            (Ideas.HalfWayBetween, [Ideas.SumAndProduct]),
            (Ideas.NoneIsAnAnswer, [Ideas.SumAndProduct]),
        ]),
        ("roots",
        [
            (Ideas.RootUndoesSquare, [Ideas.ProductIsGroups]),
            (Ideas.BetweenNeighbours, [Ideas.RootUndoesSquare]),
            (Ideas.PartOfTheWay, [Ideas.BetweenNeighbours, Ideas.PlacesAfterPoint]),
            (Ideas.FromTheLowerRoot, [Ideas.PartOfTheWay]),
            (Ideas.SquareTheGuess, [Ideas.BetweenNeighbours]),
            (Ideas.RoundedOnce, [Ideas.PlacesAfterPoint]),
        ]),
        ("equations",
        [
            (Ideas.LettersAndNumbersApart, [Ideas.LetterIsOne]),
            (Ideas.SameOnBothSides, [Ideas.LettersAndNumbersApart]),
            (Ideas.LastDoneFirstUndone, [Ideas.SameOnBothSides]),
            (Ideas.DividingUndoesTimes, [Ideas.SameOnBothSides, Ideas.HowOften]),
            (Ideas.LettersFromBothSides, [Ideas.SameOnBothSides]),
            (Ideas.FalseOrAlwaysTrue, [Ideas.LettersFromBothSides]),
        ]),
    ];

    private static readonly (MissingIdea Idea, MissingIdea[] Needs)[] Learnt = [.. Learning.SelectMany(strand => strand.Ideas)];

    private static readonly Dictionary<MissingIdea, int> Places = Learnt.Index().ToDictionary(l => l.Item.Idea, l => l.Index);

    private static readonly Dictionary<MissingIdea, HashSet<MissingIdea>> AllBefore = Closure();

    /// <summary>The ideas in the order of learning.</summary>
    public static IReadOnlyList<MissingIdea> All { get; } = [.. Learnt.Select(l => l.Idea)];

    /// <summary>The ideas by what they are about, each strand in the order of learning.</summary>
    public static IReadOnlyList<(string Name, IReadOnlyList<MissingIdea> Ideas)> Strands { get; } =
        [.. Learning.Select(strand => (strand.Strand, (IReadOnlyList<MissingIdea>)[.. strand.Ideas.Select(i => i.Idea)]))];

    /// <summary>The place of an idea in the order of learning, from 0.</summary>
    public static int OrderOf(MissingIdea idea) => Places[idea];

    /// <summary>The ideas that an idea needs first.</summary>
    public static IReadOnlyList<MissingIdea> Needs(MissingIdea idea) => Learnt[Places[idea]].Needs;

    /// <summary>Whether one idea is needed for another, at once or by way of others.</summary>
    public static bool ComesBefore(MissingIdea one, MissingIdea other) => AllBefore[other].Contains(one);

    /// <summary>How many steps an idea is away from the first ones.</summary>
    public static int Depth(MissingIdea idea) => Needs(idea).Count == 0 ? 0 : 1 + Needs(idea).Max(Depth);

    private static Dictionary<MissingIdea, HashSet<MissingIdea>> Closure()
    {
        var before = new Dictionary<MissingIdea, HashSet<MissingIdea>>();
        foreach (var (idea, needs) in Learnt) before[idea] = [.. needs, .. needs.SelectMany(n => before[n])];
        return before;
    }
}
