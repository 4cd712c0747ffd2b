namespace YellowPencil.Core.Procedures.Subtraction;

/// <summary>What somebody does who makes a choice, as the beginning of a sentence that a kind of context ends.</summary>
internal static class SubtractionWords
{
    public static string Of(Operation choice) => choice switch
    {
        Operation.Add => "adds",
        _ => "subtracts",
    };

    public static string Of(Alignment choice) => choice switch
    {
        Alignment.LeftEnds => "lines the numbers up on the left",
        _ => "puts ones under ones",
    };

    public static string Of(Direction choice) => choice switch
    {
        Direction.FromLeft => "starts at the left",
        _ => "starts with the ones",
    };

    public static string Of(TopRead choice) => choice switch
    {
        TopRead.AsSet => "uses the struck-out top digit",
        TopRead.ZeroAsTen => "counts a 0 on top as 10",
        TopRead.ZeroAsNine => "counts a 0 on top as 9",
        _ => "uses the new top value",
    };

    public static string Of(ColumnWay choice) => choice switch
    {
        ColumnWay.Rename => "{renames}",
        ColumnWay.TurnRound => "turns the column round",
        ColumnWay.WriteZero => "writes 0",
        ColumnWay.WriteTop => "writes the top digit",
        ColumnWay.LeaveBlank => "leaves the column blank",
        ColumnWay.Add => "adds the two digits",
        ColumnWay.WriteLarger => "writes the larger digit",
        ColumnWay.WriteSmaller => "writes the smaller digit",
        ColumnWay.WriteOne => "writes 1",
        ColumnWay.WriteNine => "writes 9",
        ColumnWay.WriteMissingToTen => "writes what is missing from the bottom digit to ten",
        ColumnWay.WriteBottom => "writes the bottom digit",
        _ => "takes away without {renaming}",
    };

    public static string Of(OpenColumn choice) => choice switch
    {
        OpenColumn.CopyAsSet => "copies the struck-out digit",
        OpenColumn.LeaveBlank => "leaves the column blank",
        OpenColumn.WriteZero => "writes 0",
        OpenColumn.OneLess => "writes one less than the top value",
        OpenColumn.OneMore => "writes one more than the top value",
        OpenColumn.WriteNine => "writes 9",
        OpenColumn.TakeBottomDigitAgain => "takes the last bottom digit away again",
        _ => "copies the top value",
    };

    public static string Of(Lender choice) => choice switch
    {
        Lender.LeftmostDigit => "takes one from the leftmost digit",
        Lender.Nobody => "gives ten that nobody lends",
        Lender.OneBeyond => "takes one from the digit after the next",
        Lender.ZeroBecomesNine => "turns a zero next door into 9 though nobody lends",
        Lender.ZeroBecomesTen => "turns a zero next door into 10 though nobody lends",
        Lender.ZeroStays => "takes from a zero next door, which stays",
        Lender.BottomDigit => "makes the bottom digit next door one less",
        Lender.EveryDigitLeft => "makes every digit to the left one less",
        Lender.NearestZerosBeyondNine => "takes one from the nearest digit and turns every zero further left into 9",
        Lender.EveryDigitLeftZerosNine => "makes every digit to the left one less and every zero there 9",
        Lender.NearestLargerThanBelow => "takes one from the nearest digit that is larger than the one below it",
        Lender.OneBeyondOrNearest => "takes one from the digit after the next, or next door where that has nothing",
        Lender.NearestAndNext => "takes one from the nearest digit and from the one beyond it",
        Lender.NextHoweverSmall => "takes one from the digit next door, which stays 0 where it is 0",
        Lender.RightNeighbour => "takes one from the digit to the right",
        _ => "takes one from the nearest digit that is not zero",
    };

    public static string Of(LenderValue choice) => choice switch
    {
        LenderValue.Unchanged => "leaves the lender as it was",
        LenderValue.TwoLess => "makes the lender two less",
        LenderValue.OneMore => "makes the lender one more",
        LenderValue.Ten => "turns the lender into 10",
        LenderValue.Nine => "turns the lender into 9",
        LenderValue.OneLessForEachColumn => "takes one from the lender for each column passed",
        LenderValue.Zero => "turns the lender into 0",
        _ => "makes the lender one less",
    };

    public static string Of(PassedZero choice) => choice switch
    {
        PassedZero.Zero => "leaves a passed zero as it is",
        PassedZero.Ten => "turns a passed zero into 10",
        PassedZero.One => "turns a passed zero into 1",
        PassedZero.Eight => "turns a passed zero into 8",
        _ => "turns a passed zero into 9",
    };

    public static string Of(Receiver choice) => choice switch
    {
        Receiver.OneMore => "gives one to the short digit",
        Receiver.BecomesTen => "writes 10 in place of the short digit",
        Receiver.Unchanged => "gives nothing to the short digit",
        Receiver.NineMore => "gives nine to the short digit",
        Receiver.ElevenMore => "gives eleven to the short digit",
        _ => "gives ten to the short digit",
    };

    public static string Of(Stuck choice) => choice switch
    {
        Stuck.WriteZero => "writes 0",
        Stuck.LeaveBlank => "leaves the column blank",
        Stuck.TenFromNowhere => "takes a ten from nowhere",
        _ => "turns the column round",
    };

    public static string Of(Neighbour choice) => choice switch
    {
        Neighbour.OneLess => "makes the next column one less though nothing was {renamed}",
        _ => "leaves the next column alone",
    };

    public static string Of(Count choice) => choice switch
    {
        Count.OneTooMany => "comes out one too large",
        Count.OneTooFew => "comes out one too small",
        _ => "counts right",
    };

    public static string Of(TwoDigits choice) => choice switch
    {
        TwoDigits.OnesOnly => "writes only the last digit",
        TwoDigits.Nine => "writes 9",
        _ => "writes both digits",
    };

    public static string Of(Onward choice) => choice switch
    {
        Onward.Stop => "stops",
        _ => "goes on",
    };
}
