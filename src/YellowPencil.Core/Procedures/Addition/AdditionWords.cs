namespace YellowPencil.Core.Procedures.Addition;

/// <summary>What somebody does who makes a choice, as the beginning of a sentence that a kind of context ends.</summary>
internal static class AdditionWords
{
    public static string Of(SumWay choice) => choice switch
    {
        SumWay.TakeAway => "takes away",
        SumWay.AddAllDigits => "adds all digits, whatever their places",
        _ => "adds",
    };

    public static string Of(SumAlignment choice) => choice == SumAlignment.Ones ? "puts ones under ones" : "lines the numbers up on the left";

    public static string Of(SumDirection choice) => choice == SumDirection.FromOnes ? "starts with the ones" : "starts at the left";

    public static string Of(SumOnward choice) => choice == SumOnward.NextColumn ? "goes on" : "stops";

    public static string Of(AddColumnWay choice) => choice switch
    {
        AddColumnWay.FirstTwoOnly => "adds only the first two numbers",
        AddColumnWay.LargestOnly => "writes the largest digit",
        AddColumnWay.Difference => "takes the smaller digit from the larger",
        AddColumnWay.WriteZero => "writes 0",
        AddColumnWay.LeaveBlank => "leaves the column blank",
        AddColumnWay.Multiply => "multiplies the digits",
        AddColumnWay.PairsOfTenVanish => "crosses out two digits that make ten and does not count them",
        AddColumnWay.FirstOnly => "copies the digit of the first number",
        AddColumnWay.LastOnly => "copies the digit of the last number",
        AddColumnWay.SmallestOnly => "writes the smallest digit",
        AddColumnWay.CountAsZero => "takes the digits together to be 0",
        AddColumnWay.SkipRepeated => "counts a digit that comes twice only once",
        _ => "adds the digits",
    };

    public static string Of(DigitAdded choice) => choice switch
    {
        DigitAdded.OneMore => "comes out one too large in adding a digit",
        DigitAdded.OneFewer => "comes out one too small in adding a digit",
        DigitAdded.LeftOut => "leaves a digit out",
        DigitAdded.WithoutTen => "drops the ten in adding a digit",
        DigitAdded.OneDown => "goes one down in adding a digit",
        DigitAdded.TenMore => "comes out ten too large in adding a digit",
        _ => "adds the next digit",
    };

    public static string Of(CarryCounted choice) => choice switch
    {
        CarryCounted.Not => "does not count the carry",
        CarryCounted.Twice => "counts the carry twice",
        CarryCounted.OlderOne => "counts an earlier carry again",
        CarryCounted.TakenAway => "takes the carry away",
        CarryCounted.AsOne => "counts any carry as 1",
        CarryCounted.AllOlder => "counts all carries made so far",
        CarryCounted.AsTen => "counts the carry as ten",
        _ => "counts the carry",
    };

    public static string Of(SumCount choice) => choice switch
    {
        SumCount.OneTooFew => "comes out one too small",
        SumCount.OneTooMany => "comes out one too large",
        _ => "counts right",
    };

    public static string Of(TenOrMore choice) => choice switch
    {
        TenOrMore.WriteBoth => "writes both digits in one column",
        TenOrMore.WriteOnesCarryNothing => "writes the ones and carries nothing",
        TenOrMore.WriteTensCarryOnes => "writes the tens and carries the ones",
        TenOrMore.WriteOnesCarryOne => "writes the ones and carries 1",
        TenOrMore.WriteNine => "writes 9",
        TenOrMore.WriteTensCarryNothing => "writes the tens and carries nothing",
        TenOrMore.WriteLessTenCarryOne => "writes all but ten and carries 1",
        TenOrMore.WriteZeroCarryTens => "writes 0 and carries the tens",
        TenOrMore.WriteZeroCarryNothing => "writes 0 and carries nothing",
        TenOrMore.LeaveBlankCarryTens => "leaves the column blank and carries the tens",
        TenOrMore.LeaveBlankCarryNothing => "leaves the column blank and carries nothing",
        TenOrMore.WriteOnesCarryTwo => "writes the ones and carries one too many",
        TenOrMore.WriteBothAndCarry => "writes both digits and carries too",
        _ => "writes the ones and carries the tens",
    };

    public static string Of(BelowTen choice) => choice == BelowTen.CarryNothing ? "carries nothing" : "carries 1 though the sum is below ten";

    public static string Of(CarryInto choice) => choice switch
    {
        CarryInto.ColumnAfterNext => "puts the carry one column too far left",
        CarryInto.SameColumn => "adds the carry to the digit just written",
        CarryInto.LeftmostColumn => "puts the carry over the leftmost column",
        CarryInto.NextTwoColumns => "puts the carry over the next two columns",
        CarryInto.RightNeighbour => "puts the carry over the column to the right",
        _ => "puts the carry over the next column",
    };

    public static string Of(LastSum choice) => choice switch
    {
        LastSum.WriteOnesOnly => "writes only the ones of the last sum",
        LastSum.WriteTensOnly => "writes only the tens of the last sum",
        LastSum.LessTen => "writes all but ten of the last sum",
        LastSum.TurnedRound => "writes the last sum the wrong way round",
        _ => "writes the last sum whole",
    };
}
