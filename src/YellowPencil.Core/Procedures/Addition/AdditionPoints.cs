using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Addition;

/// <summary>The decisions of column addition.</summary>
public static class AdditionPoints
{
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
        new("place", "the count of columns to the right", c => c.Column, 1, 2, 3, 4),
        new("total", "the sum", c => c.Total, 5, 6, 9, 11, 12, 15, 18),
        new("largest", "the largest digit", c => c.Largest, 5, 6, 8, 9),
        new("smallest", "the smallest digit", c => c.Smallest, 1, 5),
        new("digits", "the count of digits in the column", c => c.Digits, 2, 3),
        new("left", "the count of columns to the left", c => c.ColumnsLeft, 1, 2),
        new("carries", "the count of carries before", c => c.Carries, 1, 2),
    ];

    /// <summary>Add, or something else?</summary>
    public static readonly DecisionPoint<SumContext, SumWay> Way = new("addition.way", "What is to be done with the numbers?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => SumWay.Add,
        Slips = _ => [(SumWay.TakeAway, 0.4)],
        Say = (_, choice) => choice switch { SumWay.Add => "The sign says add.", SumWay.TakeAway => "Takes the numbers away from each other.", _ => "Adds all digits together, whatever their places." },
        Kinds = [new("always", "always", _ => true), new("carry", "when a column comes to ten or more", c => c.NeedsCarry)],
    };

    /// <summary>How are the numbers set out?</summary>
    public static readonly DecisionPoint<SumContext, SumAlignment> Alignment = new("addition.alignment", "Which digits stand under each other?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => SumAlignment.Ones,
        Say = (_, choice) => choice == SumAlignment.Ones ? "Ones stand under ones." : "Lines the numbers up on the left.",
        Kinds = [new("always", "always", _ => true)],
    };

    /// <summary>Where does the work begin?</summary>
    public static readonly DecisionPoint<SumContext, SumDirection> Direction = new("addition.direction", "Which column comes first?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => SumDirection.FromOnes,
        Say = (_, choice) => choice == SumDirection.FromOnes ? "Starts with the smallest place." : "Starts at the left.",
        Kinds = [new("always", "always", _ => true)],
    };

    /// <summary>Is there another column?</summary>
    public static readonly DecisionPoint<AddColumnContext, SumOnward> Onward = new("addition.onward", "Is there another column to work?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => SumOnward.NextColumn,
        Say = (_, choice) => choice == SumOnward.NextColumn ? "On to the next column." : "Stops here.",
        Kinds = Kinds,
        Properties = Properties,
    };

    /// <summary>Is the carry counted?</summary>
    public static readonly DecisionPoint<AddColumnContext, CarryCounted> Carry = new("addition.carry-counted", "Is the carry counted?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => CarryCounted.Once,
        Can = (c, choice) => choice switch
        {
            CarryCounted.Not or CarryCounted.Twice or CarryCounted.AsTen or CarryCounted.TakenAway => c.CarryIn > 0,
            CarryCounted.AsOne => c.CarryIn > 1,
            CarryCounted.OlderOne => c.OlderCarry != c.CarryIn,
            _ => true,
        },
        Slips = c => c.CarryIn > 0 ? [(CarryCounted.Not, 6), (CarryCounted.Twice, 0.3)] : [],
        Say = (c, choice) => $"{Head(c)}: {choice switch
        {
            CarryCounted.Once => c.CarryIn > 0 ? $"the carried {c.CarryIn} is counted." : "no carry stands here.",
            CarryCounted.Not => $"the carried {c.CarryIn} is not counted.",
            CarryCounted.Twice => $"counts the carried {c.CarryIn} twice.",
            CarryCounted.OlderOne => $"counts the earlier carry of {c.OlderCarry} again.",
            _ => $"{AdditionWords.Of(choice)}.",
        }}",
        Kinds = Kinds,
        Properties = Properties,
    };

    /// <summary>What is done with the digits?</summary>
    public static readonly DecisionPoint<AddColumnContext, AddColumnWay> Column = new("addition.column", "What is done with the digits of a column?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => AddColumnWay.AddAll,
        Can = (c, way) => way switch
        {
            AddColumnWay.FirstTwoOnly => c.Digits > 2,
            AddColumnWay.LargestOnly or AddColumnWay.SmallestOnly or AddColumnWay.Difference or AddColumnWay.Multiply or AddColumnWay.SkipRepeated => c.Digits > 1,
            _ => true,
        },
        Say = (c, choice) => $"{Head(c)}: {AdditionWords.Of(choice)}.",
        Kinds = Kinds,
        Properties = Properties,
    };

    /// <summary>What comes of one more digit?</summary>
    public static readonly DecisionPoint<AddedDigitContext, DigitAdded> Digit = new("addition.digit", "What do the digits come to with this one?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => DigitAdded.Exact,
        Kinds =
        [
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
        Properties = [new("digit", "the digit", c => c.Digit, 2, 5, 6, 7, 8), new("before", "what is there already", c => c.Before, 2, 5, 6, 7, 8, 9, 10), new("place", "the count of columns to the right", c => c.Column, 1, 2, 3)],
    };

    /// <summary>How is the sum counted?</summary>
    public static readonly DecisionPoint<AddColumnContext, SumCount> Count = new("addition.count", "How many are there together?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => SumCount.Exact,
        Say = (c, choice) => $"{Head(c)}: {AdditionWords.Of(choice)}.",
        Kinds = Kinds,
        Properties = Properties,
    };

    /// <summary>What is written and carried at ten or more?</summary>
    public static readonly DecisionPoint<AddColumnContext, TenOrMore> Ten = new("addition.ten-or-more", "What is written, and what is carried?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => TenOrMore.WriteOnesCarryTens,
        Can = (c, way) => way switch
        {
            TenOrMore.WriteOnesCarryOne or TenOrMore.WriteLessTenCarryOne => c.Total >= 20,
            TenOrMore.WriteZeroCarryTens => c.Total % 10 != 0,
            _ => true,
        },
        Slips = _ => [(TenOrMore.WriteOnesCarryNothing, 2), (TenOrMore.WriteTensCarryOnes, 0.3), (TenOrMore.WriteBoth, 0.2)],
        Say = (c, choice) => choice switch
        {
            TenOrMore.WriteOnesCarryTens => $"{Head(c)}: {c.Total}. Write {c.Total % 10}, carry {c.Total / 10}.",
            TenOrMore.WriteBoth => $"{Head(c)}: writes both digits of {c.Total} in the column.",
            TenOrMore.WriteOnesCarryNothing => $"{Head(c)}: writes {c.Total % 10} and carries nothing.",
            TenOrMore.WriteTensCarryOnes => $"{Head(c)}: writes {c.Total / 10} and carries {c.Total % 10}.",
            TenOrMore.WriteOnesCarryOne => $"{Head(c)}: writes {c.Total % 10} and carries 1.",
            TenOrMore.WriteNine => $"{Head(c)}: writes 9, the largest digit.",
            TenOrMore.WriteTensCarryNothing => $"{Head(c)}: writes {c.Total / 10} and nothing else.",
            >= TenOrMore.WriteLessTenCarryOne => $"{Head(c)}: {c.Total}; {AdditionWords.Of(choice)}.",
            _ => $"{Head(c)}: writes {c.Total} in full and carries {c.Total / 10} too.",
        },
        Kinds = Kinds,
        Properties = Properties,
    };

    /// <summary>Is anything carried below ten?</summary>
    public static readonly DecisionPoint<AddColumnContext, BelowTen> Below = new("addition.below-ten", "Is anything carried?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => BelowTen.CarryNothing,
        Slips = c => c.Total >= 6 ? [(BelowTen.CarryOne, 0.4)] : [],
        Say = (c, choice) => choice == BelowTen.CarryNothing ? $"{Head(c)}: {c.Total}." : $"{Head(c)}: carries 1 although the sum is only {c.Total}.",
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Carries,
    };

    /// <summary>Where does the carry go?</summary>
    public static readonly DecisionPoint<AddColumnContext, CarryInto> Into = new("addition.carry-into", "Where does the carry go?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => CarryInto.NextColumn,
        Say = (c, choice) => choice switch
        {
            CarryInto.NextColumn => $"The carry goes to the {Place.Name(c.Column + 1)}.",
            CarryInto.SameColumn => "Adds the carry to the digit just written.",
            CarryInto.ColumnAfterNext => $"Puts the carry over the {Place.Name(c.Column + 2)}.",
            _ => $"{Head(c)}: {AdditionWords.Of(choice)}.",
        },
        Kinds = Kinds,
        Properties = Properties,
        ShowsIn = WorkFields.Carries,
    };

    /// <summary>How is the last sum written?</summary>
    public static readonly DecisionPoint<AddColumnContext, LastSum> Last = new("addition.last-column", "How is the last sum written?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => LastSum.WriteWhole,
        Can = (c, way) => way != LastSum.TurnedRound || c.Total % 11 != 0,
        Slips = _ => [(LastSum.WriteOnesOnly, 0.4)],
        Say = (c, choice) => choice switch
        {
            LastSum.WriteWhole => $"{Head(c)}: {c.Total}, written whole.",
            LastSum.WriteOnesOnly => $"{Head(c)}: writes only {c.Total % 10} of {c.Total}.",
            LastSum.WriteTensOnly => $"{Head(c)}: writes only {c.Total / 10} of {c.Total}.",
            LastSum.LessTen => $"{Head(c)}: writes {c.Total - 10}, all but ten of {c.Total}.",
            _ => $"{Head(c)}: writes the digits of {c.Total} the wrong way round.",
        },
        Kinds = Kinds,
        Properties = Properties,
    };

    private static readonly Property<AddColumnContext>[] Numbers =
    [
        new("sum", "the sum", c => c.Total), new("digit-sum", "the sum of the digits", c => c.DigitSum), new("carry", "the carry", c => c.CarryIn), new("largest", "the largest digit", c => c.Largest),
        new("smallest", "the smallest digit", c => c.Smallest), new("older-carry", "the carry before", c => c.OlderCarry),
    ];

    private static readonly Kind<AddColumnContext>[] FewKinds = [.. Kinds.Where(k => k.Id is "always" or "ten" or "zero" or "single" or "carry-due" or "first" or "nine" or "last"), new("ten-or-more", "when it comes to ten or more", c => c.Total >= 10)];

    /// <summary>What is written under a column?</summary>
    public static readonly ValuePoint<AddColumnContext> Written = new("addition.written", "What is written?") { Numbers = Numbers, Does = n => $"writes {n}", Kinds = FewKinds };

    /// <summary>How much is carried?</summary>
    public static readonly ValuePoint<AddColumnContext> Carried = new("addition.carried", "How much is carried?") { Numbers = [.. Numbers, new("tens", "the tens", c => c.Total / 10)], Does = n => $"carries {n}", Kinds = FewKinds, ShowsIn = WorkFields.Carries };

    /// <summary>Those that come up in the columns, also where the columns are part of another method.</summary>
    public static IReadOnlyList<DecisionPoint> InColumns { get; } = [Direction, Onward, Carry, Column, Digit, Count, Ten, Below, Into, Last];

    /// <summary>The numbers that come about in the columns.</summary>
    public static IReadOnlyList<DecisionPoint> Values { get; } = [Written, Carried];

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [Way, Alignment, Direction, Onward, Carry, Column, Digit, Count, Ten, Below, Into, Last, .. Values];

    private static string Head(AddColumnContext c) => char.ToUpperInvariant(Place.Name(c.Column)[0]) + Place.Name(c.Column)[1..];
}
