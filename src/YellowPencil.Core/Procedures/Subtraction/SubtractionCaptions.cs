using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Procedures.Subtraction;

/// <summary>The captions of the steps, in the classroom's word where one is due.</summary>
internal static class SubtractionCaptions
{
    public static string Column(ColumnContext c, ColumnWay choice) => choice switch
    {
        ColumnWay.TakeAway => $"{Head(c)}: {c.Top} is enough to take {c.Bottom} away.",
        ColumnWay.Rename when c.TopIsShort => $"{Head(c)}: {c.Top} is less than {c.Bottom}, so {{rename}}.",
        ColumnWay.Rename => $"{Head(c)}: {{renames}} although {c.Top} is enough for {c.Bottom}.",
        ColumnWay.TurnRound => $"{Head(c)}: turns the column round, {Math.Max(c.Top, c.Bottom)} − {Math.Min(c.Top, c.Bottom)}.",
        ColumnWay.WriteZero => $"{Head(c)}: writes 0 for {c.Top} − {c.Bottom}.",
        ColumnWay.WriteTop => $"{Head(c)}: writes the top digit, {c.Top}.",
        ColumnWay.WriteBottom => $"{Head(c)}: writes the bottom digit, {c.Bottom}.",
        ColumnWay.LeaveBlank => $"{Head(c)}: leaves the column blank.",
        _ => $"{Head(c)}: adds, {c.Top} + {c.Bottom}.",
    };

    public static string OpenColumn(ColumnContext c, OpenColumn choice) => choice switch
    {
        Subtraction.OpenColumn.CopyTop => $"{Head(c)}: nothing to take away, {c.Top} stays.",
        Subtraction.OpenColumn.CopyAsSet => $"{Head(c)}: copies the old {c.TopAsSet}, though {c.Top} is left.",
        Subtraction.OpenColumn.LeaveBlank => $"{Head(c)}: writes nothing, as there is nothing below.",
        Subtraction.OpenColumn.WriteZero => $"{Head(c)}: writes 0, as there is nothing below.",
        Subtraction.OpenColumn.OneLess => $"{Head(c)}: writes one less than {c.Top}.",
        _ => $"{Head(c)}: takes the last bottom digit away once more.",
    };

    public static string Lender(ColumnContext c, Lender choice) => choice switch
    {
        Subtraction.Lender.NearestNotZero => c.ZerosNext switch
        {
            0 => $"The {Place.Name(c.Column + 1)} lend.",
            1 => $"The {Place.Name(c.Column + 1)} have 0, so the {Place.Name(c.Column + 2)} lend.",
            _ => $"Past the zeros, the {Place.Name(c.Column + 1 + c.ZerosNext)} lend.",
        },
        Subtraction.Lender.LeftmostDigit => "Takes one from the leftmost digit.",
        Subtraction.Lender.Nobody => "Takes a ten without anybody lending it.",
        Subtraction.Lender.OneBeyond => "Passes over the next digit and takes from the one after it.",
        Subtraction.Lender.ZeroBecomesNine => "Turns the zero next door into 9; nobody lends.",
        Subtraction.Lender.ZeroBecomesTen => "Turns the zero next door into 10; nobody lends.",
        Subtraction.Lender.ZeroStays => "Takes from the zero next door, which stays 0.",
        Subtraction.Lender.BottomDigit => "Makes the bottom digit next door one less.",
        Subtraction.Lender.RightNeighbour => "Takes one from the digit to the right.",
        _ => "Makes every digit to the left one less.",
    };

    public static string LenderValue(LendingContext c, LenderValue choice) => choice switch
    {
        Subtraction.LenderValue.OneLess => $"Strike {c.Digit} in the {Place.Name(c.Column)}: {c.Digit switch { 1 => "nothing is", 2 => "1 is", _ => $"{c.Digit - 1} are" }} left.",
        Subtraction.LenderValue.Unchanged => $"The {Place.Name(c.Column)} stay at {c.Digit}, though they lend.",
        Subtraction.LenderValue.TwoLess => $"Makes {c.Digit} in the {Place.Name(c.Column)} two less.",
        Subtraction.LenderValue.OneMore => $"Makes {c.Digit} in the {Place.Name(c.Column)} one more.",
        Subtraction.LenderValue.Ten => $"Turns {c.Digit} in the {Place.Name(c.Column)} into 10.",
        Subtraction.LenderValue.Nine => $"Turns {c.Digit} in the {Place.Name(c.Column)} into 9.",
        Subtraction.LenderValue.Zero => $"Turns {c.Digit} in the {Place.Name(c.Column)} into 0.",
        _ => $"Takes one from {c.Digit} in the {Place.Name(c.Column)} for each column passed.",
    };

    public static string PassedZero(LendingContext c, PassedZero choice) => choice switch
    {
        Subtraction.PassedZero.Nine => $"The 0 in the {Place.Name(c.Column)} becomes 10, lends one, and 9 are left.",
        Subtraction.PassedZero.Zero => $"The 0 in the {Place.Name(c.Column)} is left as it is.",
        Subtraction.PassedZero.Ten => $"The 0 in the {Place.Name(c.Column)} becomes 10 and stays so.",
        _ => $"The 0 in the {Place.Name(c.Column)} becomes 8.",
    };

    public static string Receiver(ColumnContext c, Receiver choice) => choice switch
    {
        Subtraction.Receiver.TenMore => $"One {Place.UnitName(c.Column + 1)} is ten {Place.Name(c.Column)}: {c.Top} becomes {c.Top + 10}.",
        Subtraction.Receiver.OneMore => $"Adds one instead of ten: {c.Top} becomes {c.Top + 1}.",
        Subtraction.Receiver.BecomesTen => $"Writes 10 in place of {c.Top}.",
        Subtraction.Receiver.Unchanged => $"Leaves {c.Top} as it is, though one was taken next door.",
        Subtraction.Receiver.NineMore => $"Adds nine instead of ten: {c.Top} becomes {c.Top + 9}.",
        _ => $"Adds eleven instead of ten: {c.Top} becomes {c.Top + 11}.",
    };

    private static string Head(ColumnContext c) => char.ToUpperInvariant(Place.Name(c.Column)[0]) + Place.Name(c.Column)[1..];
}
