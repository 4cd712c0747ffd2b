using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Parts.Differences.DifferenceKinds;

namespace YellowPencil.Core.Parts.Differences;

/// <summary>The decisions of column subtraction.</summary>
internal static class SubtractionDecisions
{
    public static readonly ValueDecision<ColumnContext> Written = new("subtraction.written", "What is written?")
    {
        Numbers = Numbers,
        Does = n => $"writes {n}",
        Kinds = FewKinds,
        Idea = Ideas.TenForOne,
    };

    public static readonly ValueDecision<LendingContext> LenderBecomes = new("subtraction.lender-becomes", "What stands over the lender?")
    {
        Numbers = LendingNumbers,
        Does = n => $"turns the lender into {n}",
        Kinds = [.. LendingKinds.Where(k => k.Id is "always" or "past-zeros" or "next-door" or "below-blank" or "below-larger")],
        ShowsIn = WorkFields.Rewritten,
        Idea = Ideas.TenForOne,
    };

    public static readonly ValueDecision<ColumnContext> ReceiverBecomes = new("subtraction.receiver-becomes", "What stands over the short digit?")
    {
        Numbers = Numbers,
        Does = n => $"turns the short digit into {n}",
        Kinds = [.. ColumnKinds.Where(k => k.Id is "always" or "top-is-0" or "next-is-0" or "has-lent")],
        ShowsIn = WorkFields.Rewritten,
        Idea = Ideas.TenForOne,
    };

    public static readonly Decision<ItemContext, DifferenceChoice> Operation = new(
        "subtraction.operation", "What is to be done with the two numbers?", DifferenceChoice.Subtract)
    {
        [DifferenceChoice.Subtract] = new("subtract", "subtracts") { Says = _ => "The sign says take away." },
        [DifferenceChoice.Add] = new("add", "adds") { Slip = 0.7, Says = _ => "Adds the two numbers." },
        Kinds = ItemKinds,
        Idea = Ideas.ReadTheSign,
    };

    public static readonly Decision<ItemContext, DifferenceAlignment> Alignment = new(
        "subtraction.alignment", "Which digits stand under each other?", DifferenceAlignment.Ones)
    {
        [DifferenceAlignment.Ones] = new("ones", "puts ones under ones") { Says = _ => "Ones stand under ones." },
        [DifferenceAlignment.LeftEnds] = new("left-ends", "lines the numbers up on the left"),
        Kinds = [.. ItemKinds.Where(k => k.Id is "always" or "one-digit")],
        Idea = Ideas.SamePlaceUnderSamePlace,
    };

    public static readonly Decision<ItemContext, DifferenceDirection> Direction = new(
        "subtraction.direction", "Which column comes first?", DifferenceDirection.FromOnes)
    {
        [DifferenceDirection.FromOnes] = new("from-ones", "starts with the ones") { Says = _ => "Starts with the ones." },
        [DifferenceDirection.FromLeft] = new("from-left", "starts at the left"),
        Kinds = [.. ItemKinds.Where(k => k.Id != "needs-renaming")],
        Idea = Ideas.SmallestPlaceFirst,
    };

    public static readonly Decision<ColumnContext, TopDigit, int> TopRead = new("subtraction.top-read", "Which top value counts?", TopDigit.NewValue)
    {
        [TopDigit.NewValue] = new("new-value", "uses the new top value", c => c.Top) { Says = c => $"The {Place.Name(c.Column)} now have {c.Top}." },
        [TopDigit.AsSet] = new("as-set", "uses the struck-out top digit", c => c.TopAsSet)
        { SlipIn = c => c.HasLent ? 1 : 0, Says = c => $"Uses the old {c.TopAsSet} again." },
        [TopDigit.ZeroAsTen] = new("zero-as-ten", "counts a 0 on top as 10", c => c.Top == 0 ? 10 : null) { Says = _ => "Counts the 0 on top as 10." },
        [TopDigit.ZeroAsNine] = new("zero-as-nine", "counts a 0 on top as 9", c => c.Top == 0 ? 9 : null) { Says = _ => "Counts the 0 on top as 9." },
        Kinds = ColumnKinds,
        Properties = Properties,
        Idea = Ideas.ZeroIsANumber,
    };

    public static readonly Decision<ColumnContext, ColumnChoice> Column = new("subtraction.column", "Is the top digit enough?", ColumnChoice.TakeAway)
    {
        [ColumnChoice.TakeAway] = new("take-away", "takes away without {renaming}") { Says = c => $"{Head(c)}: {c.Top} is enough to take {c.Bottom} away." },
        [ColumnChoice.Rename] = new("rename", "{renames}")
        {
            Says = c =>
                c.TopIsShort
                    ? $"{Head(c)}: {c.Top} is less than {c.Bottom}, so {{rename}}."
                    : $"{Head(c)}: {{renames}} although {c.Top} is enough for {c.Bottom}.",
            SlipIn = c => !c.TopIsShort && c.ColumnsLeft > 0 && !c.Equal ? 0.2 : 0,
        },
        [ColumnChoice.TurnRound] = new("turn-round", "turns the column round")
        {
            Says = c => $"{Head(c)}: turns the column round, {Math.Max(c.Top, c.Bottom)} − {Math.Min(c.Top, c.Bottom)}.",
            Needs = c => c.TopIsShort,
            SlipIn = c => c.TopIsShort ? 2 : 0,
        },
        [ColumnChoice.WriteZero] = new("write-zero", "writes 0")
        { Says = c => $"{Head(c)}: writes 0 for {c.Top} − {c.Bottom}.", Needs = c => c.TopIsShort || !c.Equal },
        [ColumnChoice.WriteTop] = new("write-top", "writes the top digit")
        { Says = c => $"{Head(c)}: writes the top digit, {c.Top}.", Needs = c => c.TopIsShort || c.Bottom > 0 },
        [ColumnChoice.LeaveBlank] = new("leave-blank", "leaves the column blank"),
        [ColumnChoice.Add] = new("add", "adds the two digits")
        { Says = c => $"{Head(c)}: adds, {c.Top} + {c.Bottom}.", Needs = c => c.TopIsShort || c.Bottom > 0, SlipIn = c => c.TopIsShort ? 0 : 0.2 },
        [ColumnChoice.WriteBottom] = new("write-bottom", "writes the bottom digit")
        { Says = c => $"{Head(c)}: writes the bottom digit, {c.Bottom}.", Needs = c => c.TopIsShort || c.Top != 2 * c.Bottom },
        [ColumnChoice.WriteLarger] = new("write-larger", "writes the larger digit")
        { Says = c => $"{Head(c)}: writes the larger digit, {Math.Max(c.Top, c.Bottom)}.", Needs = c => c.TopIsShort || c.Bottom > 0 },
        [ColumnChoice.WriteSmaller] = new("write-smaller", "writes the smaller digit")
        { Says = c => $"{Head(c)}: writes the smaller digit, {Math.Min(c.Top, c.Bottom)}.", Needs = c => c.TopIsShort || c.Top != 2 * c.Bottom },
        [ColumnChoice.WriteOne] = new("write-one", "writes 1") { Needs = c => c.TopIsShort || c.Top - c.Bottom != 1 },
        [ColumnChoice.WriteNine] = new("write-nine", "writes 9") { Needs = c => c.TopIsShort || c.Top - c.Bottom != 9 },
        [ColumnChoice.WriteMissingToTen] = new("write-missing-to-ten", "writes what is missing from the bottom digit to ten")
        { Says = c => $"{Head(c)}: writes {(10 - c.Bottom) % 10}, what is missing from {c.Bottom} to ten." },
        TaughtIn = (c, _) => c.TopIsShort ? ColumnChoice.Rename : ColumnChoice.TakeAway,
        Head = c => Head(c),
        Kinds = ColumnKinds,
        Properties = Properties,
        Idea = Ideas.TenForOne,
        IsTold = true,
        BeginsPart = true,
    };

    public static readonly Decision<ColumnContext, OpenColumnChoice, int> OpenColumn = new(
        "subtraction.open-column", "What is left where there is nothing below?", OpenColumnChoice.CopyTop)
    {
        [OpenColumnChoice.CopyTop] = new("copy-top", "copies the top value", c => c.Top) { Says = c => $"{Head(c)}: nothing to take away, {c.Top} stays." },
        [OpenColumnChoice.CopyAsSet] = new("copy-as-set", "copies the struck-out digit", c => c.TopAsSet)
        { SlipIn = c => c.HasLent ? 0.5 : 0, Says = c => $"{Head(c)}: copies the old {c.TopAsSet}, though {c.Top} is left." },
        [OpenColumnChoice.LeaveBlank] = new("leave-blank", "leaves the column blank", _ => -1)
        { Slip = 0.5, Says = c => $"{Head(c)}: writes nothing, as there is nothing below." },
        [OpenColumnChoice.WriteZero] = new("write-zero", "writes 0", _ => 0) { Says = c => $"{Head(c)}: writes 0, as there is nothing below." },
        [OpenColumnChoice.OneLess] = new("one-less", "writes one less than the top value", c => Math.Max(0, c.Top - 1))
        { Says = c => $"{Head(c)}: writes one less than {c.Top}." },
        [OpenColumnChoice.TakeBottomDigitAgain] = new("take-bottom-digit-again", "takes the last bottom digit away again", c => Math.Abs(c.Top - c.LastBelow))
        { Says = c => $"{Head(c)}: takes the last bottom digit away once more." },
        [OpenColumnChoice.OneMore] = new("one-more", "writes one more than the top value", c => c.Top + 1)
        { Says = c => $"{Head(c)}: writes one more than {c.Top}." },
        [OpenColumnChoice.WriteNine] = new("write-nine", "writes 9", _ => 9),
        Head = c => Head(c),
        Kinds = ColumnKinds,
        Properties = Properties,
        Idea = Ideas.NothingBelow,
        IsTold = true,
        BeginsPart = true,
    };

    public static readonly Decision<ColumnContext, LenderChosen> Lender = new("subtraction.lender", "Who lends?", LenderChosen.NearestNotZero)
    {
        [LenderChosen.NearestNotZero] = new("nearest-not-zero", "takes one from the nearest digit that is not zero") { Says = NearestLends },
        [LenderChosen.LeftmostDigit] = new("leftmost-digit", "takes one from the leftmost digit")
        { Says = _ => "Takes one from the leftmost digit.", Needs = c => c.MoreThatCanLend > 0 },
        [LenderChosen.Nobody] = new("nobody", "gives ten that nobody lends") { Says = _ => "Takes a ten without anybody lending it." },
        [LenderChosen.OneBeyond] = new("one-beyond", "takes one from the digit after the next")
        { Says = _ => "Passes over the next digit and takes from the one after it." },
        [LenderChosen.ZeroBecomesNine] = new("zero-becomes-nine", "turns a zero next door into 9 though nobody lends")
        { Needs = c => c.NextIsZero, Says = _ => "Turns the zero next door into 9; nobody lends." },
        [LenderChosen.ZeroBecomesTen] = new("zero-becomes-ten", "turns a zero next door into 10 though nobody lends")
        { Needs = c => c.NextIsZero, Says = _ => "Turns the zero next door into 10; nobody lends." },
        [LenderChosen.ZeroStays] = new("zero-stays", "takes from a zero next door, which stays")
        { Needs = c => c.NextIsZero, Says = _ => "Takes from the zero next door, which stays 0." },
        [LenderChosen.BottomDigit] = new("bottom-digit", "makes the bottom digit next door one less"),
        [LenderChosen.EveryDigitLeft] = new("every-digit-left", "makes every digit to the left one less")
        { Needs = c => c.NextIsZero || c.MoreThatCanLend > 0 },
        [LenderChosen.RightNeighbour] = new("right-neighbour", "takes one from the digit to the right"),
        [LenderChosen.NearestZerosBeyondNine] = new("nearest-zeros-beyond-nine", "takes one from the nearest digit and turns every zero further left into 9")
        { Needs = c => c.ColumnsLeft > 1 + c.ZerosNext },
        [LenderChosen.EveryDigitLeftZerosNine] = new("every-digit-left-zeros-nine", "makes every digit to the left one less and every zero there 9")
        { Needs = c => c.ColumnsLeft > 1 + c.ZerosNext },
        [LenderChosen.NearestLargerThanBelow] = new("nearest-larger-than-below", "takes one from the nearest digit that is larger than the one below it"),
        [LenderChosen.OneBeyondOrNearest] = new("one-beyond-or-nearest", "takes one from the digit after the next, or next door where that has nothing"),
        [LenderChosen.NearestAndNext] = new("nearest-and-next", "takes one from the nearest digit and from the one beyond it"),
        [LenderChosen.NextHoweverSmall] = new("next-however-small", "takes one from the digit next door, which stays 0 where it is 0")
        { Needs = c => c.NextIsZero },
        ShowsIn = WorkFields.Rewritten,
        Head = _ => null,
        Kinds = ColumnKinds,
        Properties = Properties,
        Idea = Ideas.LenderPays,
        IsTold = true,
    };

    public static readonly Decision<LendingContext, LenderLeft, int> LenderValue = new(
        "subtraction.lender-value", "What does the lender become?", LenderLeft.OneLess)
    {
        [LenderLeft.OneLess] = new("one-less", "makes the lender one less", c => c.Digit - 1)
        {
            Says = c =>
                $"Strike {c.Digit} in the {Place.Name(c.Column)}: {c.Digit switch { 1 => "nothing is", 2 => "1 is", _ => $"{c.Digit - 1} are" }} left."
        },
        [LenderLeft.Unchanged] = new("unchanged", "leaves the lender as it was", c => c.Digit)
        { Slip = 6, Says = c => $"The {Place.Name(c.Column)} stay at {c.Digit}, though they lend." },
        [LenderLeft.TwoLess] = new("two-less", "makes the lender two less", c => c.Digit > 1 ? c.Digit - 2 : null)
        { Slip = 0.2, Says = c => $"Makes {c.Digit} in the {Place.Name(c.Column)} two less." },
        [LenderLeft.OneMore] = new("one-more", "makes the lender one more", c => c.Digit + 1)
        { Says = c => $"Makes {c.Digit} in the {Place.Name(c.Column)} one more." },
        [LenderLeft.Ten] = new("ten", "turns the lender into 10", _ => 10) { Says = c => $"Turns {c.Digit} in the {Place.Name(c.Column)} into 10." },
        [LenderLeft.Nine] = new("nine", "turns the lender into 9", _ => 9) { Says = c => $"Turns {c.Digit} in the {Place.Name(c.Column)} into 9." },
        [LenderLeft.OneLessForEachColumn] = new(
            "one-less-for-each-column", "takes one from the lender for each column passed", c => Math.Max(0, c.Digit - c.FromReceiver - 1))
        { Says = c => $"Takes one from {c.Digit} in the {Place.Name(c.Column)} for each column passed." },
        [LenderLeft.Zero] = new("zero", "turns the lender into 0", _ => 0) { Says = c => $"Turns {c.Digit} in the {Place.Name(c.Column)} into 0." },
        ShowsIn = WorkFields.Rewritten,
        Kinds = LendingKinds,
        Properties = LendingProperties,
        Idea = Ideas.LenderPays,
        IsTold = true,
    };

    public static readonly Decision<LendingContext, PassedZeroLeft, int> PassedZero = new(
        "subtraction.passed-zero", "What does a zero in between become?", PassedZeroLeft.Nine)
    {
        [PassedZeroLeft.Nine] = new("nine", "turns a passed zero into 9", _ => 9)
        { Says = c => $"The 0 in the {Place.Name(c.Column)} becomes 10, lends one, and 9 are left." },
        [PassedZeroLeft.Zero] = new("zero", "leaves a passed zero as it is", _ => 0)
        { Slip = 0.7, Says = c => $"The 0 in the {Place.Name(c.Column)} is left as it is." },
        [PassedZeroLeft.Ten] = new("ten", "turns a passed zero into 10", _ => 10)
        { Slip = 0.7, Says = c => $"The 0 in the {Place.Name(c.Column)} becomes 10 and stays so." },
        [PassedZeroLeft.Eight] = new("eight", "turns a passed zero into 8", _ => 8) { Says = c => $"The 0 in the {Place.Name(c.Column)} becomes 8." },
        [PassedZeroLeft.One] = new("one", "turns a passed zero into 1", _ => 1) { Says = c => $"The 0 in the {Place.Name(c.Column)} becomes 1." },
        ShowsIn = WorkFields.Rewritten,
        Kinds = [
            .. LendingKinds,
            new("beside-receiver", "when it stands next to the column that is short", c => c.FromReceiver == 0),
            new("further", "when it does not stand next to the column that is short", c => c.FromReceiver > 0),
        ],
        Idea = Ideas.AcrossZeros,
        IsTold = true,
    };

    public static readonly Decision<ColumnContext, ReceiverGets, int> Receiver = new(
        "subtraction.receiver", "What does the short column become?", ReceiverGets.TenMore)
    {
        [ReceiverGets.TenMore] = new("ten-more", "gives ten to the short digit", c => c.Top + 10)
        {
            Says = c => c.IsTenUnpaid
                ? $"Puts ten to the {c.Top} in the {Place.Name(c.Column)}: {c.Top + 10}."
                : $"One {Place.UnitName(c.Column + 1)} is ten {Place.Name(c.Column)}: {c.Top} becomes {c.Top + 10}.",
        },
        [ReceiverGets.OneMore] = new("one-more", "gives one to the short digit", c => c.Top + 1)
        { Says = c => $"Adds one instead of ten: {c.Top} becomes {c.Top + 1}." },
        [ReceiverGets.BecomesTen] = new("becomes-ten", "writes 10 in place of the short digit", _ => 10) { Says = c => $"Writes 10 in place of {c.Top}." },
        [ReceiverGets.Unchanged] = new("unchanged", "gives nothing to the short digit", c => c.Top)
        { Says = c => $"Leaves {c.Top} as it is, though one was taken next door." },
        [ReceiverGets.NineMore] = new("nine-more", "gives nine to the short digit", c => c.Top + 9)
        { Says = c => $"Adds nine instead of ten: {c.Top} becomes {c.Top + 9}." },
        [ReceiverGets.ElevenMore] = new("eleven-more", "gives eleven to the short digit", c => c.Top + 11)
        { Says = c => $"Adds eleven instead of ten: {c.Top} becomes {c.Top + 11}." },
        ShowsIn = WorkFields.Rewritten,
        Kinds = ColumnKinds,
        Properties = Properties,
        Idea = Ideas.TenForOne,
        IsTold = true,
    };

    public static readonly Decision<ColumnContext, NobodyLends> Stuck = new("subtraction.stuck", "What if nobody can lend?", NobodyLends.TurnRound)
    {
        [NobodyLends.TurnRound] = new("turn-round", "turns the column round"),
        [NobodyLends.WriteZero] = new("write-zero", "writes 0"),
        [NobodyLends.LeaveBlank] = new("leave-blank", "leaves the column blank"),
        [NobodyLends.TenFromNowhere] = new("ten-from-nowhere", "takes a ten from nowhere"),
        Head = _ => "Nobody can lend",
        Idea = Ideas.TenForOne,
        IsTold = true,
    };

    public static readonly Decision<ColumnContext, NextColumn> Neighbour = new("subtraction.neighbour", "Does the next column change?", NextColumn.LeftAlone)
    {
        [NextColumn.LeftAlone] = new("left-alone", "leaves the next column alone") { Says = _ => "Nothing was {renamed}: the next column stays." },
        [NextColumn.OneLess] = new("one-less", "makes the next column one less though nothing was {renamed}")
        { Slip = 0.15, Says = _ => "Makes the next column one less, though nothing was {renamed}." },
        ShowsIn = WorkFields.Rewritten,
        Kinds = ColumnKinds,
        Properties = Properties,
        Idea = Ideas.WhenToRename,
    };

    public static readonly Decision<DifferenceContext, DifferenceCount, int> Count = new("subtraction.count", "How many are left?", DifferenceCount.Exact)
    {
        [DifferenceCount.Exact] = new("exact", "counts right", _ => 0) { Says = c => $"{c.Top} − {c.Bottom}." },
        [DifferenceCount.OneTooMany] = new("one-too-many", "comes out one too large", _ => 1) { Says = c => $"{c.Top} − {c.Bottom}, counted one too many." },
        [DifferenceCount.OneTooFew] = new("one-too-few", "comes out one too small", c => c.Top > c.Bottom ? -1 : null)
        { Says = c => $"{c.Top} − {c.Bottom}, counted one too few." },
        Kinds = [
            new("always", "in every column", c => c.Bottom > 0),
            new("raised", "when ten was given", c => c.WasRaised),
            new("not-raised", "when no ten was given", c => !c.WasRaised && c.Bottom > 0),
            new("zero", "when 0 is taken away", c => c.Bottom == 0),
            new("from-nine", "when something is taken from 9", c => c.Top == 9 && c.Bottom > 0),
            new("from-ten", "when something is taken from 10", c => c.Top == 10 && c.Bottom > 0),
            new("nine", "when 9 is taken away", c => c.Bottom == 9),
            new("equal", "when both are the same", c => c.Top == c.Bottom && c.Top > 0),
            new("large-bottom", "when 6 or more is taken away", c => c.Bottom >= 6),
        ],
        Idea = Ideas.CountingBack,
    };

    public static readonly Decision<DifferenceContext, TwoDigitsWritten> TwoDigits = new(
        "subtraction.two-digits", "How is ten or more written in one column?", TwoDigitsWritten.Both)
    {
        [TwoDigitsWritten.Both] = new("both", "writes both digits") { Says = _ => "Writes both digits in the column." },
        [TwoDigitsWritten.OnesOnly] = new("ones-only", "writes only the last digit") { Says = _ => "Writes only the last digit." },
        [TwoDigitsWritten.Nine] = new("nine", "writes 9") { Says = _ => "Writes 9, the largest digit." },
        Kinds = [new("always", "always", _ => true)],
        Idea = Ideas.WhenToRename,
    };

    public static readonly Decision<ColumnContext, DifferenceOnward> Onward = new(
        "subtraction.onward", "Is there another column to work?", DifferenceOnward.NextColumn)
    {
        [DifferenceOnward.NextColumn] = new("next-column", "goes on") { Says = _ => "On to the next column." },
        [DifferenceOnward.Stop] = new("stop", "stops") { Says = _ => "Stops here." },
        Kinds = [
            new("below-blank", "when the bottom number has ended", c => c.BelowIsBlank),
            new("below-blank-lent", "when the bottom number has ended and the top digit has lent", c => c.BelowIsBlank && c.HasLent),
            new("short", "at the first top digit that is too small", c => c.TopIsShort),
            new("two-worked", "after two columns", c => c.Worked == 2),
        ],
        Properties = Properties,
        Idea = Ideas.NothingBelow,
    };

    private static string NearestLends(ColumnContext c) => c.ZerosNext switch
    {
        0 => $"The {Place.Name(c.Column + 1)} lend.",
        1 => $"The {Place.Name(c.Column + 1)} have 0, so the {Place.Name(c.Column + 2)} lend.",
        _ => $"Past the zeros, the {Place.Name(c.Column + 1 + c.ZerosNext)} lend.",
    };

    private static string Head(ColumnContext c) => char.ToUpperInvariant(Place.Name(c.Column)[0]) + Place.Name(c.Column)[1..];

    /// <summary>Those that come up in the columns, also where the columns are part of another method.</summary>
    public static IReadOnlyList<Decision> InColumns { get; } =
    [
        Direction, Onward, TopRead, Column, OpenColumn, Lender, LenderValue, PassedZero, Receiver, Stuck, Count, TwoDigits, Neighbour,
    ];

    /// <summary>The numbers that come about in the columns.</summary>
    public static IReadOnlyList<Decision> Values { get; } = [Written, LenderBecomes, ReceiverBecomes];

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } =
    [
        Operation, Alignment, Direction, Onward, TopRead, Column, OpenColumn, Lender, LenderValue, PassedZero, Receiver, Stuck,
        Count, TwoDigits, Neighbour, .. Values,
    ];
}
