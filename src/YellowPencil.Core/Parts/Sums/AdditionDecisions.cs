using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Parts.Sums;

/// <summary>The decisions of column addition.</summary>
internal static class AdditionDecisions
{
    private static readonly Kind<SumContext>[] SumKinds =
    [
        new("always", "always", _ => true),
        new("carry", "when a column comes to ten or more", c => c.NeedsCarry) { Otherwise = "when no column comes to ten" },
        new("ragged", "when one number is longer than another", c => c.IsRagged) { Otherwise = "when the numbers are equally long" },
        new("three", "with three numbers or more", c => c.Addends > 2) { Otherwise = "with two numbers" },
    ];

    private static readonly Kind<AddColumnContext>[] Kinds =
    [
        new("always", "in every column", _ => true),
        new("first", "in the ones column", c => c.IsFirst),
        new("not-first", "left of the ones column", c => !c.IsFirst),
        new("last", "in the leftmost column", c => c.IsLast),
        new("single", "where only one number has a digit", c => c.IsSingle),
        new("blank", "where a number has no digit", c => c.HasBlank),
        new("zero", "where a digit is 0", c => c.Digits > 0 && c.Smallest == 0),
        new("nine", "where a digit is 9", c => c.Largest == 9),
        new("carry-due", "where a carry stands", c => c.CarryIn > 0),
        new("carry-two", "where a carry of 2 or more stands", c => c.CarryIn > 1),
        new("ten", "when it comes to exactly ten", c => c.Total == 10),
        new("above-ten", "when it comes to more than ten", c => c.Total > 10),
        new("twenty", "when it comes to twenty or more", c => c.Total >= 20),
        new("digits-ten", "when the digits alone come to ten or more", c => c.DigitSum >= 10),
        new("only-carry-ten", "when only the carry brings it to ten", c => c.DigitSum < 10 && c.DigitSum + c.CarryIn >= 10),
        new("full", "where every number has a digit", c => !c.HasBlank),
        new("inner", "in a column that is neither the first nor the last", c => !c.IsFirst && !c.IsLast),
        new("next-nine", "when the digits of the next column come to nine or more", c => c.NextSum >= 9),
        new("next-zero", "when the next column has nothing but 0", c => c.NextSum == 0),
        new("carried-before", "when a carry was made before in the item", c => c.Carries > 0),
        new("equal", "where the digits are the same", c => c.Digits > 1 && c.Smallest == c.Largest),
        new("three", "with three or more numbers", c => c.Addends > 2),
        new("next-single", "when only one number has a digit in the next column", c => c.NextDigits == 1),
    ];

    private static readonly Property<AddColumnContext>[] Properties =
    [
        new("place", "the number of columns to the right", c => c.Column, 1, 2, 3, 4),
        new("total", "the sum", c => c.Total, 5, 6, 9, 11, 12, 15, 18),
        new("largest", "the largest digit", c => c.Largest, 5, 6, 8, 9),
        new("smallest", "the smallest digit", c => c.Smallest, 1, 5),
        new("digits", "the number of digits in the column", c => c.Digits, 2, 3),
        new("left", "the number of columns to the left", c => c.ColumnsLeft, 1, 2),
        new("carries", "the number of carries before", c => c.Carries, 1, 2),
    ];

    public static readonly Decision<SumContext, SumChoice> Procedure = new("addition.way", "What is to be done with the numbers?", SumChoice.Add)
    {
        [SumChoice.Add] = new("add", "adds") { Says = _ => "The sign says add." },
        [SumChoice.TakeAway] = new("take-away", "takes away") { Slip = 0.4, Says = _ => "Takes the numbers away from each other." },
        [SumChoice.AddAllDigits] = new("add-all-digits", "adds all digits, whatever their places")
        { Says = _ => "Adds all digits together, whatever their places." },
        Kinds = SumKinds,
        Idea = Ideas.ReadTheSign,
    };

    public static readonly Decision<SumContext, SumAlignment> Alignment = new("addition.alignment", "Which digits stand under each other?", SumAlignment.Ones)
    {
        [SumAlignment.Ones] = new("ones", "puts ones under ones") { Says = _ => "Ones stand under ones." },
        [SumAlignment.LeftEnds] = new("left-ends", "lines the numbers up on the left"),
        Kinds = [.. SumKinds.Where(k => k.Id != "ragged")],
        Idea = Ideas.SamePlaceUnderSamePlace,
    };

    public static readonly Decision<SumContext, SumDirection> Direction = new("addition.direction", "Which column comes first?", SumDirection.FromOnes)
    {
        [SumDirection.FromOnes] = new("from-ones", "starts with the ones") { Says = _ => "Starts with the smallest place." },
        [SumDirection.FromLeft] = new("from-left", "starts at the left"),
        [SumDirection.FromLeftThroughout] = new("from-left-throughout", "starts at the left and carries from the leftmost column too"),
        Kinds = [.. SumKinds.Where(k => k.Id != "carry")],
        Idea = Ideas.SmallestPlaceFirst,
    };

    public static readonly Decision<AddColumnContext, SumOnward> Onward = new("addition.onward", "Is there another column to work?", SumOnward.NextColumn)
    {
        [SumOnward.NextColumn] = new("next-column", "goes on") { Says = _ => "On to the next column." },
        [SumOnward.Stop] = new("stop", "stops") { Says = _ => "Stops here." },
        Kinds = Kinds,
        Properties = Properties,
        Idea = Ideas.EveryAddend,
    };

    public static readonly Decision<AddColumnContext, CarryCounted, int> Carry = new("addition.carry-counted", "Is the carry counted?", CarryCounted.Once)
    {
        [CarryCounted.Once] = new("once", "counts the carry", c => c.CarryIn)
        { Says = c => c.CarryIn > 0 ? $"{Head(c)}: the carried {c.CarryIn} is counted." : $"{Head(c)}: no carry stands here." },
        [CarryCounted.Not] = new("not", "does not count the carry", _ => 0)
        { SlipIn = c => c.CarryIn > 0 ? 6 : 0, Says = c => $"{Head(c)}: the carried {c.CarryIn} is not counted." },
        [CarryCounted.Twice] = new("twice", "counts the carry twice", c => 2 * c.CarryIn)
        { SlipIn = c => c.CarryIn > 0 ? 0.3 : 0, Says = c => $"{Head(c)}: counts the carried {c.CarryIn} twice." },
        [CarryCounted.OlderOne] = new("older-one", "counts an earlier carry again", c => c.OlderCarry)
        { Says = c => $"{Head(c)}: counts the earlier carry of {c.OlderCarry} again." },
        [CarryCounted.AsTen] = new("as-ten", "counts the carry as ten", c => 10 * c.CarryIn)
        { Says = c => $"{Head(c)}: counts the carried {c.CarryIn} as ten." },
        [CarryCounted.TakenAway] = new("taken-away", "takes the carry away", c => -c.CarryIn),
        [CarryCounted.AsOne] = new("as-one", "counts any carry as 1", c => Math.Min(1, c.CarryIn)),
        [CarryCounted.AllOlder] = new("all-older", "counts all carries made so far", c => c.AllCarries),
        Kinds = Kinds,
        Properties = Properties,
        Idea = Ideas.CarryBelongs,
        IsTold = true,
    };

    public static readonly Decision<AddColumnContext, AddColumnChoice, int> Column = new(
        "addition.column", "What is done with the digits of a column?", AddColumnChoice.AddAll)
    {
        [AddColumnChoice.AddAll] = new("add-all", "adds the digits", c => c.DigitSum + c.CarryIn),
        [AddColumnChoice.FirstTwoOnly] = new(
            "first-two-only", "adds only the first two numbers", c => c.Digits > 2 ? c.Digit(0) + c.Digit(1) + c.CarryIn : null),
        [AddColumnChoice.LargestOnly] = new("largest-only", "writes the largest digit", c => c.Largest + c.CarryIn),
        [AddColumnChoice.Difference] = new("difference", "takes the smaller digit from the larger", c => c.Together((a, b) => Math.Abs(a - b)) + c.CarryIn),
        [AddColumnChoice.WriteZero] = new("write-zero", "writes 0", _ => 0),
        [AddColumnChoice.LeaveBlank] = new("leave-blank", "leaves the column blank", _ => -1),
        [AddColumnChoice.Multiply] = new("multiply", "multiplies the digits", c => c.Together((a, b) => a * b) + c.CarryIn),
        [AddColumnChoice.SkipRepeated] = new("skip-repeated", "counts a digit that comes twice only once", c => c.WithoutRepeats + c.CarryIn),
        [AddColumnChoice.PairsOfTenVanish] = new(
            "pairs-of-ten-vanish", "crosses out two digits that make ten and does not count them", c => c.WithoutPairsOfTen + c.CarryIn),
        [AddColumnChoice.FirstOnly] = new("first-only", "copies the digit of the first number", c => c.Digits > 0 ? c.Digit(0) : 0),
        [AddColumnChoice.LastOnly] = new("last-only", "copies the digit of the last number", c => c.Digits > 0 ? c.Digit(c.Digits - 1) : 0),
        [AddColumnChoice.SmallestOnly] = new("smallest-only", "writes the smallest digit", c => c.Smallest + c.CarryIn),
        [AddColumnChoice.CountAsZero] = new("count-as-zero", "counts the digits together as 0", c => c.CarryIn),
        Kinds = Kinds,
        Properties = Properties,
        Idea = Ideas.ReadTheSign,
        BeginsPart = true,
    };

    public static readonly Decision<AddedDigitContext, DigitAdded, int> Digit = new(
        "addition.digit", "What do the digits come to with this one?", DigitAdded.Exact)
    {
        [DigitAdded.Exact] = new("exact", "adds the next digit", c => c.Before + c.Digit),
        [DigitAdded.OneMore] = new("one-more", "comes out one too large in adding a digit", c => c.Before + c.Digit + 1),
        [DigitAdded.OneFewer] = new("one-fewer", "comes out one too small in adding a digit", c => Math.Max(0, c.Before + c.Digit - 1)),
        [DigitAdded.LeftOut] = new("left-out", "leaves a digit out", c => c.Before),
        [DigitAdded.WithoutTen] = new("without-ten", "drops the ten in adding a digit", c => c.Before / 10 * 10 + (c.Before + c.Digit) % 10),
        [DigitAdded.OneDown] = new(
            "one-down", "goes one down in adding a digit",
            c => Math.Max(0, Math.Max(c.Before, c.Digit) == 9 && c.Before < 10 ? Math.Min(c.Before, c.Digit) - 1 : c.Before - 1)),
        [DigitAdded.TenMore] = new("ten-more", "comes out ten too large in adding a digit", c => c.Before + c.Digit + 10),
        Kinds = [
            new("always", "always", _ => true),
            new("zero", "where a 0 is added", c => c.Digit == 0),
            new("to-zero", "where something is added to 0", c => c.Before == 0),
            new("with-zero", "where 0 is one of the two", c => c.Digit == 0 || c.Before == 0),
            new("nine", "where a 9 is added", c => c.Digit == 9),
            new("with-nine", "where 9 is one of the two", c => c.Digit == 9 || c.Before == 9),
            new("with-one", "where 1 is one of the two", c => c.Digit == 1 || c.Before == 1),
            new("equal", "where both are the same", c => c.Digit == c.Before),
            new("makes-ten", "where they come to exactly ten", c => c.Before + c.Digit == 10),
            new("passes-ten", "where they pass ten", c => c.Before < 10 && c.Before + c.Digit > 10),
            new("ten-or-more", "where they come to ten or more", c => c.Before % 10 + c.Digit >= 10),
            new("third", "from the third digit on", c => c.Added > 1),
            new("smaller-first", "where the larger one comes second", c => c.Before < c.Digit),
            new("ones", "in the ones column", c => c.IsOnes),
            new("not-ones", "left of the ones column", c => !c.IsOnes),
        ],
        Properties = [
            new("digit", "the digit", c => c.Digit, 2, 5, 6, 7, 8), new("before", "what is there already", c => c.Before, 2, 5, 6, 7, 8, 9, 10),
            new("place", "the number of columns to the right", c => c.Column, 1, 2, 3),
        ],
        Idea = Ideas.EveryAddend,
    };

    public static readonly Decision<AddColumnContext, SumCount, int> Count = new("addition.count", "How many are there together?", SumCount.Exact)
    {
        [SumCount.Exact] = new("exact", "counts right", c => c.Total),
        [SumCount.OneTooFew] = new("one-too-few", "comes out one too small", c => c.Total > 0 ? c.Total - 1 : null),
        [SumCount.OneTooMany] = new("one-too-many", "comes out one too large", c => c.Total + 1),
        Kinds = Kinds,
        Properties = Properties,
        Idea = Ideas.CountingOn,
    };

    public static readonly Decision<AddColumnContext, TenOrMore, (int Written, int Carry)> Ten = new(
        "addition.ten-or-more", "What is written, and what is carried?", TenOrMore.WriteOnesCarryTens)
    {
        [TenOrMore.WriteOnesCarryTens] = new("write-ones-carry-tens", "writes the ones and carries the tens", c => (c.Total % 10, c.Total / 10))
        { Says = c => $"{Head(c)}: {c.Total}. Write {c.Total % 10}, carry {c.Total / 10}." },
        [TenOrMore.WriteBoth] = new("write-both", "writes both digits in one column", c => (c.Total, 0))
        { Slip = 0.2, Says = c => $"{Head(c)}: writes both digits of {c.Total} in the column." },
        [TenOrMore.WriteOnesCarryNothing] = new("write-ones-carry-nothing", "writes the ones and carries nothing", c => (c.Total % 10, 0))
        { Slip = 2, Says = c => $"{Head(c)}: writes {c.Total % 10} and carries nothing." },
        [TenOrMore.WriteTensCarryOnes] = new("write-tens-carry-ones", "writes the tens and carries the ones", c => (c.Total / 10, c.Total % 10))
        { Slip = 0.3, Says = c => $"{Head(c)}: writes the tens, {c.Total / 10}, and carries the ones, {c.Total % 10}." },
        [TenOrMore.WriteOnesCarryOne] = new("write-ones-carry-one", "writes the ones and carries 1", c => (c.Total % 10, 1))
        { Says = c => $"{Head(c)}: writes the ones, {c.Total % 10}, and carries 1, whatever is due." },
        [TenOrMore.WriteNine] = new("write-nine", "writes 9", _ => (9, 0)) { Says = c => $"{Head(c)}: writes 9, the largest digit." },
        [TenOrMore.WriteTensCarryNothing] = new("write-tens-carry-nothing", "writes the tens and carries nothing", c => (c.Total / 10, 0))
        { Says = c => $"{Head(c)}: writes {c.Total / 10} and nothing else." },
        [TenOrMore.WriteBothAndCarry] = new("write-both-and-carry", "writes both digits and carries too", c => (c.Total, c.Total / 10))
        { Says = c => $"{Head(c)}: writes {c.Total} in full and carries {c.Total / 10} too." },
        [TenOrMore.WriteLessTenCarryOne] = new("write-less-ten-carry-one", "writes all but ten and carries 1", c => (c.Total - 10, 1)),
        [TenOrMore.WriteZeroCarryTens] = new("write-zero-carry-tens", "writes 0 and carries the tens", c => (0, c.Total / 10)),
        [TenOrMore.WriteZeroCarryNothing] = new("write-zero-carry-nothing", "writes 0 and carries nothing", _ => (0, 0)),
        [TenOrMore.LeaveBlankCarryTens] = new("leave-blank-carry-tens", "leaves the column blank and carries the tens", c => (-1, c.Total / 10)),
        [TenOrMore.LeaveBlankCarryNothing] = new("leave-blank-carry-nothing", "leaves the column blank and carries nothing", _ => (-1, 0)),
        [TenOrMore.WriteOnesCarryTwo] = new("write-ones-carry-two", "writes the ones and carries one too many", c => (c.Total % 10, c.Total / 10 + 1)),
        Head = c => $"{Head(c)}, {c.Total}",
        Kinds = Kinds,
        Properties = Properties,
        Idea = Ideas.TenMovesOn,
        IsTold = true,
    };

    public static readonly Decision<AddColumnContext, BelowTen> Below = new("addition.below-ten", "Is anything carried?", BelowTen.CarryNothing)
    {
        [BelowTen.CarryNothing] = new("carry-nothing", "carries nothing") { Says = c => $"{Head(c)}: {c.Total}." },
        [BelowTen.CarryOne] = new("carry-one", "carries 1 though the sum is below ten")
        { SlipIn = c => c.Total >= 6 ? 0.4 : 0, Says = c => $"{Head(c)}: carries 1 although the sum is only {c.Total}." },
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Carries,
        Idea = Ideas.CarryOnlyTens,
        IsTold = true,
    };

    public static readonly Decision<AddColumnContext, CarryInto> Into = new("addition.carry-into", "Where does the carry go?", CarryInto.NextColumn)
    {
        [CarryInto.NextColumn] = new("next-column", "puts the carry over the next column") { Says = c => $"The carry goes to the {Place.Name(c.Column + 1)}." },
        [CarryInto.ColumnAfterNext] = new("column-after-next", "puts the carry one column too far left")
        { Says = c => $"Puts the carry over the {Place.Name(c.Column + 2)}." },
        [CarryInto.RightNeighbour] = new("right-neighbour", "puts the carry over the column to the right"),
        [CarryInto.SameColumn] = new("same-column", "adds the carry to the digit just written") { Says = _ => "Adds the carry to the digit just written." },
        [CarryInto.LeftmostColumn] = new("leftmost-column", "puts the carry over the leftmost column") { Needs = c => c.ColumnsLeft > 1 },
        [CarryInto.NextTwoColumns] = new("next-two-columns", "puts the carry over the next two columns"),
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Carries,
        Idea = Ideas.CarryBelongs,
    };

    public static readonly Decision<AddColumnContext, LastSum, int> Last = new("addition.last-column", "How is the last sum written?", LastSum.WriteWhole)
    {
        [LastSum.WriteWhole] = new("write-whole", "writes the last sum whole", c => c.Total) { Says = c => $"{Head(c)}: {c.Total}, written whole." },
        [LastSum.WriteOnesOnly] = new("write-ones-only", "writes only the ones of the last sum", c => c.Total % 10)
        { Slip = 0.4, Says = c => $"{Head(c)}: writes only the ones of {c.Total}." },
        [LastSum.WriteTensOnly] = new("write-tens-only", "writes only the tens of the last sum", c => c.Total / 10)
        { Says = c => $"{Head(c)}: writes only the tens of {c.Total}." },
        [LastSum.TurnedRound] = new("turned-round", "writes the last sum the wrong way round", c => c.Total % 10 * 10 + c.Total / 10)
        { Says = c => $"{Head(c)}: writes the digits of {c.Total} the wrong way round." },
        [LastSum.LessTen] = new("less-ten", "writes all but ten of the last sum", c => c.Total - 10)
        { Says = c => $"{Head(c)}: writes {c.Total - 10}, all but ten of {c.Total}." },
        Kinds = Kinds,
        Properties = Properties,
        Idea = Ideas.TenMovesOn,
        IsTold = true,
    };

    private static readonly Property<AddColumnContext>[] Numbers =
    [
        new("sum", "the sum", c => c.Total), new(
            "digit-sum", "the sum of the digits", c =>
                c.DigitSum), new("carry", "the carry", c => c.CarryIn), new("largest", "the largest digit", c => c.Largest),
        new("smallest", "the smallest digit", c => c.Smallest), new("older-carry", "the carry before", c => c.OlderCarry),
    ];

    private static readonly Kind<AddColumnContext>[] FewKinds = [
        .. Kinds.Where(k => k.Id is "always" or "ten" or "zero" or "single" or "carry-due" or "first" or "nine" or "last"),
        new("ten-or-more", "when it comes to ten or more", c => c.Total >= 10),
    ];

    public static readonly ValueDecision<AddColumnContext> Written = new("addition.written", "What is written?")
    {
        Numbers = Numbers,
        Does = n => $"writes {n}",
        Kinds = FewKinds,
        Idea = Ideas.TenMovesOn,
    };

    public static readonly ValueDecision<AddColumnContext> Carried = new("addition.carried", "How much is carried?")
    {
        Numbers = [.. Numbers, new("tens", "the tens", c => c.Total / 10)],
        Does = n => $"carries {n}",
        Kinds = FewKinds,
        ShowsIn = WorkFields.Carries,
        Idea = Ideas.CarryOnlyTens,
    };

    /// <summary>Those that come up in the columns, also where the columns are part of another method.</summary>
    public static IReadOnlyList<Decision> InColumns { get; } = [Direction, Onward, Carry, Column, Digit, Count, Ten, Below, Into, Last];

    /// <summary>The numbers that come about in the columns.</summary>
    public static IReadOnlyList<Decision> Values { get; } = [Written, Carried];

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<Decision> All { get; } = [
        Procedure, Alignment, Direction, Onward, Carry, Column, Digit, Count, Ten, Below, Into, Last, .. Values,
    ];

    private static string Head(AddColumnContext c) => char.ToUpperInvariant(Place.Name(c.Column)[0]) + Place.Name(c.Column)[1..];
}
