namespace YellowPencil.Core.Procedures.Subtraction;

/// <summary>What is done with the two numbers.</summary>
public enum Operation { Subtract, Add }

/// <summary>Which ends of the two numbers stand under each other.</summary>
public enum Alignment { Ones, LeftEnds }

/// <summary>Where the work begins.</summary>
public enum Direction { FromOnes, FromLeft }

/// <summary>Which top value is used where a digit was written over, or is a zero.</summary>
public enum TopRead { NewValue, AsSet, ZeroAsTen, ZeroAsNine }

/// <summary>What is done with a column of two digits.</summary>
public enum ColumnWay { TakeAway, Rename, TurnRound, WriteZero, WriteTop, LeaveBlank, Add, WriteBottom, WriteLarger, WriteSmaller, WriteOne, WriteNine, WriteMissingToTen }

/// <summary>What is done with a column without a bottom digit.</summary>
public enum OpenColumn { CopyTop, CopyAsSet, LeaveBlank, WriteZero, OneLess, TakeBottomDigitAgain, OneMore, WriteNine }

/// <summary>Who lends.</summary>
public enum Lender
{
    NearestNotZero, LeftmostDigit, Nobody, OneBeyond, ZeroBecomesNine, ZeroBecomesTen, ZeroStays, BottomDigit, EveryDigitLeft,
    RightNeighbour, NearestZerosBeyondNine, EveryDigitLeftZerosNine, NearestLargerThanBelow, OneBeyondOrNearest, NearestAndNext, NextHoweverSmall,
}

/// <summary>What the lender becomes.</summary>
public enum LenderValue { OneLess, Unchanged, TwoLess, OneMore, Ten, Nine, OneLessForEachColumn, Zero }

/// <summary>What a zero between lender and receiver becomes.</summary>
public enum PassedZero { Nine, Zero, Ten, Eight, One }

/// <summary>What the receiver becomes.</summary>
public enum Receiver { TenMore, OneMore, BecomesTen, Unchanged, NineMore, ElevenMore }

/// <summary>What is done when nobody to the left has anything to lend.</summary>
public enum Stuck { TurnRound, WriteZero, LeaveBlank, TenFromNowhere }

/// <summary>What is done next door after a column that needed nothing.</summary>
public enum Neighbour { LeftAlone, OneLess }

/// <summary>How the difference of two digits is counted.</summary>
public enum Count { Exact, OneTooMany, OneTooFew }

/// <summary>How a difference of two digits is written into one column.</summary>
public enum TwoDigits { Both, OnesOnly, Nine }

/// <summary>Whether there is another column to work.</summary>
public enum Onward { NextColumn, Stop }
