using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Subtraction;

/// <summary>The decisions of column subtraction.</summary>
public static class SubtractionPoints
{
    private static readonly Kind<ColumnContext>[] ColumnKinds =
    [
        new("always", "in every column", _ => true),
        new("short", "when the top digit is the smaller", c => c.TopIsShort),
        new("enough", "when the top digit is large enough", c => !c.BelowIsBlank && !c.TopIsShort),
        new("top-is-0", "when the top digit is 0", c => c.Top == 0 && c.Bottom > 0),
        new("top-is-1", "when the top digit is 1", c => c.Top == 1),
        new("top-is-9", "when the top digit is 9", c => c.Top == 9),
        new("below-is-0", "when the bottom digit is 0", c => c.Bottom == 0),
        new("below-is-9", "when the bottom digit is 9", c => c.Bottom == 9),
        new("equal", "when both digits are the same", c => c.Equal),
        new("next-is-0", "when the next top digit is 0 and the top digit is too small", c => c.TopIsShort && c.NextIsZero),
        new("next-is-1", "when the next top digit is 1 and the top digit is too small", c => c.TopIsShort && c.NextTop == 1),
        new("has-lent", "when the top digit has lent before", c => c.HasLent),
        new("has-lent-short", "when the top digit has lent before and is too small", c => c.HasLent && c.TopIsShort),
        new("after-renaming", "when the item was {renamed} before and the top digit is too small", c => c.Renames > 0 && c.TopIsShort),
        new("first", "in the ones column", c => c.IsFirst),
        new("not-first-short", "left of the ones column, when the top digit is too small", c => !c.IsFirst && c.TopIsShort),
        new("last", "in the leftmost column", c => c.IsLast),
        new("short-by-one", "when the top digit is too small by one", c => c.Bottom == c.Top + 1),
        new("bottom-has-digit", "where there is a digit below", c => !c.BelowIsBlank),
        new("blank", "where there is no digit below", c => c.BelowIsBlank),
        new("inner", "in a column that is neither the first nor the last", c => !c.IsFirst && !c.IsLast),
        new("not-lent", "where the top digit stands as it was set", c => c.Top == c.TopAsSet),
        new("top-as-set-0", "where the top digit was set as 0", c => c.TopAsSet == 0),
        new("next-equal", "when the next column has the same digit twice", c => c.NextTop == c.NextBottom && c.NextTop >= 0),
        new("next-short", "when the top digit of the next column is too small as well", c => c.NextBottom > c.NextTop && c.NextTop >= 0),
        new("next-below-blank", "when there is no digit below in the next column", c => c.ColumnsLeft > 0 && c.NextBottom < 0),
    ];

    private static readonly Property<ColumnContext>[] Properties =
    [
        new("top", "the top digit", c => c.Top, 1, 2, 5, 8, 9),
        new("bottom", "the bottom digit", c => c.Bottom, 1, 2, 5, 8, 9),
        new("place", "the count of columns to the right", c => c.Column, 1, 2, 3),
        new("left", "the count of columns to the left", c => c.ColumnsLeft, 1, 2),
        new("missing", "what is missing from the top digit", c => c.Bottom < 0 ? -1 : Math.Max(0, c.Bottom - c.Top), 2, 3, 5),
        new("next-top", "the next top digit", c => c.NextTop, 1, 2, 5, 9),
        new("renames", "the count of renamings before", c => c.Renames, 1, 2),
    ];

    private static readonly Property<ColumnContext>[] Numbers =
    [
        new("top", "the top digit", c => c.Top), new("top-as-set", "the top digit as it was set", c => c.TopAsSet), new("bottom", "the bottom digit", c => c.Bottom),
        new("next-top", "the next top digit", c => c.NextTop), new("next-bottom", "the next bottom digit", c => c.NextBottom),
    ];

    private static readonly Property<LendingContext>[] LendingNumbers = [new("digit", "the digit that lends", c => c.Digit), new("below", "the digit below it", c => c.Below), new("passed", "the count of zeros in between", c => c.Passed)];

    private static readonly Kind<LendingContext>[] LendingKinds =
    [
        new("always", "whenever it lends", _ => true),
        new("digit-is-1", "when it is 1", c => c.Digit == 1),
        new("past-zeros", "when zeros stand in between", c => c.Passed > 0),
        new("next-door", "when it stands next to the column that is short", c => c.Passed == 0),
        new("below-blank", "when there is no digit below it", c => c.BelowIsBlank),
        new("again", "when it is not the first time in the item", c => c.Renames > 0),
        new("leftmost", "when it is the leftmost digit", c => c.IsLeftmost),
        new("below-larger", "when it would then be smaller than the digit below", c => c.Below >= c.Digit),
        new("below-smaller", "when it stays large enough for the digit below", c => !c.BelowIsBlank && c.Below < c.Digit),
    ];

    private static readonly Kind<ColumnContext>[] FewKinds = [.. ColumnKinds.Where(k => k.Id is "always" or "short" or "enough" or "top-is-0" or "below-is-0" or "equal" or "blank" or "has-lent" or "last" or "first")];

    /// <summary>What is written under a column?</summary>
    public static readonly ValuePoint<ColumnContext> Written = new("subtraction.written", "What is written?") { Numbers = Numbers, Does = n => $"writes {n}", Kinds = FewKinds };

    /// <summary>What number stands over the lender?</summary>
    public static readonly ValuePoint<LendingContext> LenderBecomes = new("subtraction.lender-becomes", "What stands over the lender?")
    {
        Numbers = LendingNumbers,
        Does = n => $"turns the lender into {n}",
        Kinds = [.. LendingKinds.Where(k => k.Id is "always" or "past-zeros" or "next-door" or "below-blank" or "below-larger")],
        ShowsIn = WorkFields.Rewritten,
    };

    /// <summary>What number stands over the receiver?</summary>
    public static readonly ValuePoint<ColumnContext> ReceiverBecomes = new("subtraction.receiver-becomes", "What stands over the short digit?")
    {
        Numbers = Numbers,
        Does = n => $"turns the short digit into {n}",
        Kinds = [.. ColumnKinds.Where(k => k.Id is "always" or "top-is-0" or "next-is-0" or "has-lent")],
        ShowsIn = WorkFields.Rewritten,
    };

    /// <summary>Take away, or something else?</summary>
    public static readonly DecisionPoint<ItemContext, Operation> Operation = new("subtraction.operation", "What is to be done with the two numbers?")
    {
        Does = SubtractionWords.Of,
        Taught = (_, _) => Subtraction.Operation.Subtract,
        Slips = _ => [(Subtraction.Operation.Add, 0.7)],
        Say = (_, choice) => choice == Subtraction.Operation.Subtract ? "The sign says take away." : "Adds the two numbers.",
        Kinds = [new("always", "always", _ => true), new("needs-renaming", "when a column has the smaller digit on top", c => c.NeedsRenaming)],
    };

    /// <summary>How are the numbers set out?</summary>
    public static readonly DecisionPoint<ItemContext, Alignment> Alignment = new("subtraction.alignment", "Which digits stand under each other?")
    {
        Does = SubtractionWords.Of,
        Taught = (_, _) => Subtraction.Alignment.Ones,
        Say = (_, choice) => choice == Subtraction.Alignment.Ones ? "Ones stand under ones." : "Lines the numbers up on the left.",
        Kinds = [new("always", "always", _ => true)],
    };

    /// <summary>Where does the work begin?</summary>
    public static readonly DecisionPoint<ItemContext, Direction> Direction = new("subtraction.direction", "Which column comes first?")
    {
        Does = SubtractionWords.Of,
        Taught = (_, _) => Subtraction.Direction.FromOnes,
        Say = (_, choice) => choice == Subtraction.Direction.FromOnes ? "Starts with the ones." : "Starts at the left.",
        Kinds = [new("always", "always", _ => true)],
    };

    /// <summary>Which value of the top digit is used?</summary>
    public static readonly DecisionPoint<ColumnContext, TopRead> TopRead = new("subtraction.top-read", "Which top value counts?")
    {
        Does = SubtractionWords.Of,
        Taught = (_, _) => Subtraction.TopRead.NewValue,
        Can = (c, read) => read == Subtraction.TopRead.AsSet ? c.Top != c.TopAsSet : c.Top == 0,
        Slips = c => c.HasLent ? [(Subtraction.TopRead.AsSet, 1)] : [],
        Say = (c, choice) => choice switch
        {
            Subtraction.TopRead.NewValue => $"The {Place.Name(c.Column)} now have {c.Top}.",
            Subtraction.TopRead.AsSet => $"Uses the old {c.TopAsSet} again.",
            Subtraction.TopRead.ZeroAsTen => "Counts the 0 on top as 10.",
            _ => "Counts the 0 on top as 9.",
        },
        Kinds = ColumnKinds,
        Properties = Properties,
    };

    /// <summary>Is the top digit enough, and if not, what then?</summary>
    public static readonly DecisionPoint<ColumnContext, ColumnWay> Column = new("subtraction.column", "Is the top digit enough?")
    {
        Does = SubtractionWords.Of,
        Taught = (c, _) => c.TopIsShort ? ColumnWay.Rename : ColumnWay.TakeAway,
        Can = (c, way) => c.TopIsShort || way switch
        {
            ColumnWay.TurnRound => false,
            ColumnWay.WriteZero => !c.Equal,
            ColumnWay.WriteTop or ColumnWay.WriteLarger or ColumnWay.Add => c.Bottom > 0,
            ColumnWay.WriteBottom or ColumnWay.WriteSmaller => c.Top != 2 * c.Bottom,
            ColumnWay.WriteOne => c.Top - c.Bottom != 1,
            ColumnWay.WriteNine => c.Top - c.Bottom != 9,
            _ => true,
        },
        Slips = c => c.TopIsShort ? [(ColumnWay.TurnRound, 2)] : c.ColumnsLeft > 0 && !c.Equal ? [(ColumnWay.Rename, 0.2), (ColumnWay.Add, 0.2)] : [(ColumnWay.Add, 0.2)],
        Say = SubtractionCaptions.Column,
        Kinds = ColumnKinds,
        Properties = Properties,
    };

    /// <summary>What is left where there is nothing below?</summary>
    public static readonly DecisionPoint<ColumnContext, OpenColumn> OpenColumn = new("subtraction.open-column", "What is left where there is nothing below?")
    {
        Does = SubtractionWords.Of,
        Taught = (_, _) => Subtraction.OpenColumn.CopyTop,
        Can = (c, way) => way switch
        {
            Subtraction.OpenColumn.CopyAsSet => c.Top != c.TopAsSet,
            Subtraction.OpenColumn.WriteZero or Subtraction.OpenColumn.OneLess => c.Top > 0,
            Subtraction.OpenColumn.WriteNine => c.Top != 9,
            _ => true,
        },
        Slips = c => c.HasLent ? [(Subtraction.OpenColumn.CopyAsSet, 0.5), (Subtraction.OpenColumn.LeaveBlank, 0.5)] : [(Subtraction.OpenColumn.LeaveBlank, 0.5)],
        Say = SubtractionCaptions.OpenColumn,
        Kinds = ColumnKinds,
        Properties = Properties,
    };

    /// <summary>Who lends?</summary>
    public static readonly DecisionPoint<ColumnContext, Lender> Lender = new("subtraction.lender", "Who lends?")
    {
        Does = SubtractionWords.Of,
        ShowsIn = WorkFields.Rewritten,
        Taught = (_, _) => Subtraction.Lender.NearestNotZero,
        Can = (c, lender) => lender switch
        {
            Subtraction.Lender.LeftmostDigit or Subtraction.Lender.NearestZerosBeyondNine => c.ColumnsLeft > 1 + c.ZerosNext,
            Subtraction.Lender.ZeroBecomesNine or Subtraction.Lender.ZeroBecomesTen or Subtraction.Lender.ZeroStays or Subtraction.Lender.NextHoweverSmall => c.NextIsZero,
            _ => true,
        },
        Say = SubtractionCaptions.Lender,
        Kinds = ColumnKinds,
        Properties = Properties,
    };

    /// <summary>What does the lender become?</summary>
    public static readonly DecisionPoint<LendingContext, LenderValue> LenderValue = new("subtraction.lender-value", "What does the lender become?")
    {
        Does = SubtractionWords.Of,
        ShowsIn = WorkFields.Rewritten,
        Taught = (_, _) => Subtraction.LenderValue.OneLess,
        Can = (c, value) => value switch
        {
            Subtraction.LenderValue.TwoLess => c.Digit > 1,
            Subtraction.LenderValue.Zero => c.Digit != 1,
            Subtraction.LenderValue.Nine => c.Digit != 10,
            Subtraction.LenderValue.OneLessForEachColumn => c.FromReceiver > 0,
            _ => true,
        },
        Slips = _ => [(Subtraction.LenderValue.Unchanged, 6), (Subtraction.LenderValue.TwoLess, 0.2)],
        Say = SubtractionCaptions.LenderValue,
        Kinds = LendingKinds,
    };

    /// <summary>What does a zero between lender and receiver become?</summary>
    public static readonly DecisionPoint<LendingContext, PassedZero> PassedZero = new("subtraction.passed-zero", "What does a zero in between become?")
    {
        Does = SubtractionWords.Of,
        ShowsIn = WorkFields.Rewritten,
        Taught = (_, _) => Subtraction.PassedZero.Nine,
        Slips = _ => [(Subtraction.PassedZero.Zero, 0.7), (Subtraction.PassedZero.Ten, 0.7)],
        Say = SubtractionCaptions.PassedZero,
        Kinds =
        [
            .. LendingKinds,
            new("beside-receiver", "when it stands next to the column that is short", c => c.FromReceiver == 0),
            new("further", "when it does not stand next to the column that is short", c => c.FromReceiver > 0),
        ],
    };

    /// <summary>What does the short column become?</summary>
    public static readonly DecisionPoint<ColumnContext, Receiver> Receiver = new("subtraction.receiver", "What does the short column become?")
    {
        Does = SubtractionWords.Of,
        ShowsIn = WorkFields.Rewritten,
        Taught = (_, _) => Subtraction.Receiver.TenMore,
        Say = SubtractionCaptions.Receiver,
        Kinds = ColumnKinds,
        Properties = Properties,
    };

    /// <summary>What is done when nobody can lend?</summary>
    public static readonly DecisionPoint<ColumnContext, Stuck> Stuck = new("subtraction.stuck", "What if nobody can lend?")
    {
        Does = SubtractionWords.Of,
        Taught = (_, _) => Subtraction.Stuck.TurnRound,
        Say = (_, choice) => $"Nobody can lend: {choice switch { Subtraction.Stuck.WriteZero => "writes 0", Subtraction.Stuck.LeaveBlank => "leaves the column blank", Subtraction.Stuck.TenFromNowhere => "takes a ten from nowhere", _ => "turns the column round" }}.",
    };

    /// <summary>What happens next door after a column that needed no renaming?</summary>
    public static readonly DecisionPoint<ColumnContext, Neighbour> Neighbour = new("subtraction.neighbour", "Does the next column change?")
    {
        Does = SubtractionWords.Of,
        ShowsIn = WorkFields.Rewritten,
        Taught = (_, _) => Subtraction.Neighbour.LeftAlone,
        Slips = _ => [(Subtraction.Neighbour.OneLess, 0.15)],
        Say = (_, choice) => choice == Subtraction.Neighbour.LeftAlone ? "Nothing was {renamed}: the next column stays." : "Makes the next column one less, though nothing was {renamed}.",
        Kinds = ColumnKinds,
        Properties = Properties,
    };

    /// <summary>How is the difference counted?</summary>
    public static readonly DecisionPoint<DifferenceContext, Count> Count = new("subtraction.count", "How many are left?")
    {
        Does = SubtractionWords.Of,
        Taught = (_, _) => Subtraction.Count.Exact,
        Say = (c, choice) => $"{c.Top} − {c.Bottom}{choice switch { Subtraction.Count.Exact => "", Subtraction.Count.OneTooMany => ", counted one too many", _ => ", counted one too few" }}.",
        Kinds =
        [
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
    };

    /// <summary>How is a difference of ten or more written?</summary>
    public static readonly DecisionPoint<DifferenceContext, TwoDigits> TwoDigits = new("subtraction.two-digits", "How is ten or more written in one column?")
    {
        Does = SubtractionWords.Of,
        Taught = (_, _) => Subtraction.TwoDigits.Both,
        Say = (c, choice) => choice switch
        {
            Subtraction.TwoDigits.Both => "Writes both digits in the column.",
            Subtraction.TwoDigits.OnesOnly => "Writes only the last digit.",
            _ => "Writes 9, the largest digit.",
        },
        Kinds = [new("always", "always", _ => true)],
    };

    /// <summary>Is there another column?</summary>
    public static readonly DecisionPoint<ColumnContext, Onward> Onward = new("subtraction.onward", "Is there another column to work?")
    {
        Does = SubtractionWords.Of,
        Taught = (_, _) => Subtraction.Onward.NextColumn,
        Say = (_, choice) => choice == Subtraction.Onward.NextColumn ? "On to the next column." : "Stops here.",
        Kinds =
        [
            new("below-blank", "when the bottom number has ended", c => c.BelowIsBlank),
            new("below-blank-lent", "when the bottom number has ended and the top digit has lent", c => c.BelowIsBlank && c.HasLent),
            new("short", "at the first top digit that is too small", c => c.TopIsShort),
            new("two-worked", "after two columns", c => c.Worked == 2),
        ],
        Properties = Properties,
    };

    /// <summary>Those that come up in the columns, also where the columns are part of another method.</summary>
    public static IReadOnlyList<DecisionPoint> InColumns { get; } =
    [
        Direction, Onward, TopRead, Column, OpenColumn, Lender, LenderValue, PassedZero, Receiver, Stuck, Count, TwoDigits, Neighbour,
    ];

    /// <summary>The numbers that come about in the columns.</summary>
    public static IReadOnlyList<DecisionPoint> Values { get; } = [Written, LenderBecomes, ReceiverBecomes];

    /// <summary>All of them, in the order in which they come up.</summary>
    public static IReadOnlyList<DecisionPoint> All { get; } =
    [
        Operation, Alignment, Direction, Onward, TopRead, Column, OpenColumn, Lender, LenderValue, PassedZero, Receiver, Stuck,
        Count, TwoDigits, Neighbour, .. Values,
    ];
}
