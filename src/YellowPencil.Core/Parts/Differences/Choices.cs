namespace YellowPencil.Core.Parts.Differences;

/// <summary>What is done with the two numbers.</summary>
internal enum DifferenceChoice { Subtract, Add }

/// <summary>Which ends of the two numbers stand under each other.</summary>
internal enum DifferenceAlignment { Ones, LeftEnds }

/// <summary>Where the work begins.</summary>
internal enum DifferenceDirection { FromOnes, FromLeft }

/// <summary>Which top value is used where a digit was written over, or is a zero.</summary>
internal enum TopDigit { NewValue, AsSet, ZeroAsTen, ZeroAsNine }

/// <summary>What is done with a column of two digits.</summary>
internal enum ColumnChoice
{
    TakeAway, Rename, TurnRound, WriteZero, WriteTop, LeaveBlank, Add, WriteBottom, WriteLarger, WriteSmaller, WriteOne, WriteNine, WriteMissingToTen,
}

/// <summary>What is done with a column without a bottom digit.</summary>
internal enum OpenColumnChoice { CopyTop, CopyAsSet, LeaveBlank, WriteZero, OneLess, TakeBottomDigitAgain, OneMore, WriteNine }

/// <summary>Who lends.</summary>
internal enum LenderChosen
{
    NearestNotZero, LeftmostDigit, Nobody, OneBeyond, ZeroBecomesNine, ZeroBecomesTen, ZeroStays, BottomDigit, EveryDigitLeft,
    RightNeighbour, NearestZerosBeyondNine, EveryDigitLeftZerosNine, NearestLargerThanBelow, OneBeyondOrNearest, NearestAndNext, NextHoweverSmall,
}

/// <summary>What the lender becomes.</summary>
internal enum LenderLeft { OneLess, Unchanged, TwoLess, OneMore, Ten, Nine, OneLessForEachColumn, Zero }

/// <summary>What a zero between lender and receiver becomes.</summary>
internal enum PassedZeroLeft { Nine, Zero, Ten, Eight, One }

internal enum ReceiverGets { TenMore, OneMore, BecomesTen, Unchanged, NineMore, ElevenMore }

/// <summary>What is done when nobody to the left has anything to lend.</summary>
internal enum NobodyLends { TurnRound, WriteZero, LeaveBlank, TenFromNowhere }

/// <summary>What is done next door after a column that needed nothing.</summary>
internal enum NextColumn { LeftAlone, OneLess }

/// <summary>How the difference of two digits is counted.</summary>
internal enum DifferenceCount { Exact, OneTooMany, OneTooFew }

/// <summary>How a difference of two digits is written into one column.</summary>
internal enum TwoDigitsWritten { Both, OnesOnly, Nine }

/// <summary>Whether there is another column to work.</summary>
internal enum DifferenceOnward { NextColumn, Stop }
