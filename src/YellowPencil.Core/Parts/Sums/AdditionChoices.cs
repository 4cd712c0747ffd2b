namespace YellowPencil.Core.Parts.Sums;

/// <summary>What is done with the numbers.</summary>
internal enum SumChoice { Add, TakeAway, AddAllDigits }

/// <summary>Which ends of the addends stand under each other.</summary>
internal enum SumAlignment { Ones, LeftEnds }

/// <summary>Where the work begins.</summary>
internal enum SumDirection { FromOnes, FromLeft, FromLeftThroughout }

/// <summary>Whether there is another column to work.</summary>
internal enum SumOnward { NextColumn, Stop }

/// <summary>What is done with the digits of a column.</summary>
internal enum AddColumnChoice
{
    AddAll, FirstTwoOnly, LargestOnly, Difference, WriteZero, LeaveBlank, Multiply, SkipRepeated, PairsOfTenVanish, FirstOnly, LastOnly, SmallestOnly,
    CountAsZero,
}

/// <summary>What comes of one more digit of a column.</summary>
internal enum DigitAdded { Exact, OneMore, OneFewer, LeftOut, WithoutTen, OneDown, TenMore }

/// <summary>What is done with the carry that stands above a column.</summary>
internal enum CarryCounted { Once, Not, Twice, OlderOne, AsTen, TakenAway, AsOne, AllOlder }

/// <summary>How the sum of a column is counted.</summary>
internal enum SumCount { Exact, OneTooFew, OneTooMany }

/// <summary>What is written under a column that comes to ten or more, and what is carried.</summary>
internal enum TenOrMore
{
    WriteOnesCarryTens, WriteBoth, WriteOnesCarryNothing, WriteTensCarryOnes, WriteOnesCarryOne, WriteNine, WriteTensCarryNothing, WriteBothAndCarry,
    WriteLessTenCarryOne, WriteZeroCarryTens, WriteZeroCarryNothing, LeaveBlankCarryTens, LeaveBlankCarryNothing, WriteOnesCarryTwo,
}

/// <summary>What is carried from a column that comes to less than ten.</summary>
internal enum BelowTen { CarryNothing, CarryOne }

/// <summary>Into which column a carry goes.</summary>
internal enum CarryInto { NextColumn, ColumnAfterNext, RightNeighbour, SameColumn, LeftmostColumn, NextTwoColumns }

/// <summary>What is written for the last column when it comes to ten or more.</summary>
internal enum LastSum { WriteWhole, WriteOnesOnly, WriteTensOnly, TurnedRound, LessTen }
