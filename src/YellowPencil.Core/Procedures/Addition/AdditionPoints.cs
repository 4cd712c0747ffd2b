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
        new("carried-before", "when a carry was made before in the item", c => c.Carries > 0),
        new("equal", "where the digits are the same", c => c.Digits > 1 && c.Smallest == c.Largest),
        new("three", "with three or more numbers", c => c.Addends > 2),
        new("next-single", "when only one number has a digit in the next column", c => c.NextDigits == 1),
    ];

    /// <summary>Add, or something else?</summary>
    public static readonly DecisionPoint<SumContext, SumWay> Way = new("addition.way", "What is to be done with the numbers?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => SumWay.Add,
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
    };

    /// <summary>Is the carry counted?</summary>
    public static readonly DecisionPoint<AddColumnContext, CarryCounted> Carry = new("addition.carry-counted", "Is the carry counted?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => CarryCounted.Once,
        Say = (c, choice) => $"{Head(c)}: {choice switch
        {
            CarryCounted.Once => c.CarryIn > 0 ? $"the carried {c.CarryIn} is counted." : "no carry stands here.",
            CarryCounted.Not => $"the carried {c.CarryIn} is not counted.",
            CarryCounted.Twice => $"counts the carried {c.CarryIn} twice.",
            CarryCounted.OlderOne => $"counts the earlier carry of {c.OlderCarry} again.",
            _ => "counts the carry as ten.",
        }}",
        Kinds = Kinds,
    };

    /// <summary>What is done with the digits?</summary>
    public static readonly DecisionPoint<AddColumnContext, AddColumnWay> Column = new("addition.column", "What is done with the digits of a column?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => AddColumnWay.AddAll,
        Say = (c, choice) => $"{Head(c)}: {AdditionWords.Of(choice)}.",
        Kinds = Kinds,
    };

    /// <summary>How is the sum counted?</summary>
    public static readonly DecisionPoint<AddColumnContext, SumCount> Count = new("addition.count", "How many are there together?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => SumCount.Exact,
        Say = (c, choice) => $"{Head(c)}: {AdditionWords.Of(choice)}.",
        Kinds = Kinds,
        SlipWeight = 0,
    };

    /// <summary>What is written and carried at ten or more?</summary>
    public static readonly DecisionPoint<AddColumnContext, TenOrMore> Ten = new("addition.ten-or-more", "What is written, and what is carried?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => TenOrMore.WriteOnesCarryTens,
        Say = (c, choice) => choice switch
        {
            TenOrMore.WriteOnesCarryTens => $"{Head(c)}: {c.Total}. Write {c.Total % 10}, carry {c.Total / 10}.",
            TenOrMore.WriteBoth => $"{Head(c)}: writes both digits of {c.Total} in the column.",
            TenOrMore.WriteOnesCarryNothing => $"{Head(c)}: writes {c.Total % 10} and carries nothing.",
            TenOrMore.WriteTensCarryOnes => $"{Head(c)}: writes {c.Total / 10} and carries {c.Total % 10}.",
            TenOrMore.WriteOnesCarryOne => $"{Head(c)}: writes {c.Total % 10} and carries 1.",
            TenOrMore.WriteNine => $"{Head(c)}: writes 9, the largest digit.",
            TenOrMore.WriteTensCarryNothing => $"{Head(c)}: writes {c.Total / 10} and nothing else.",
            _ => $"{Head(c)}: writes {c.Total} in full and carries {c.Total / 10} too.",
        },
        Kinds = Kinds,
    };

    /// <summary>Is anything carried below ten?</summary>
    public static readonly DecisionPoint<AddColumnContext, BelowTen> Below = new("addition.below-ten", "Is anything carried?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => BelowTen.CarryNothing,
        Say = (c, choice) => choice == BelowTen.CarryNothing ? $"{Head(c)}: {c.Total}." : $"{Head(c)}: carries 1 although the sum is only {c.Total}.",
        Kinds = Kinds,
        ShowsIn = WorkFields.Carries,
        SlipWeight = 0.5,
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
            _ => "Puts the carry over the column to the right.",
        },
        Kinds = Kinds,
        ShowsIn = WorkFields.Carries,
    };

    /// <summary>How is the last sum written?</summary>
    public static readonly DecisionPoint<AddColumnContext, LastSum> Last = new("addition.last-column", "How is the last sum written?")
    {
        Does = AdditionWords.Of,
        Taught = (_, _) => LastSum.WriteWhole,
        Say = (c, choice) => choice switch
        {
            LastSum.WriteWhole => $"{Head(c)}: {c.Total}, written whole.",
            LastSum.WriteOnesOnly => $"{Head(c)}: writes only {c.Total % 10} of {c.Total}.",
            LastSum.WriteTensOnly => $"{Head(c)}: writes only {c.Total / 10} of {c.Total}.",
            _ => $"{Head(c)}: writes the digits of {c.Total} the wrong way round.",
        },
        Kinds = [new("always", "always", _ => true)],
    };

    /// <summary>Those that come up in the columns, also where the columns are part of another method.</summary>
    public static IReadOnlyList<DecisionPoint> InColumns { get; } = [Direction, Onward, Carry, Column, Count, Ten, Below, Into, Last];

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } = [Way, Alignment, Direction, Onward, Carry, Column, Count, Ten, Below, Into, Last];

    private static string Head(AddColumnContext c) => char.ToUpperInvariant(Place.Name(c.Column)[0]) + Place.Name(c.Column)[1..];
}
