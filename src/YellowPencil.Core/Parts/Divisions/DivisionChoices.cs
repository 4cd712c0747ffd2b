namespace YellowPencil.Core.Parts.Divisions;

/// <summary>What is done with the numbers.</summary>
internal enum DivisionChoice { Divide, Multiply, Subtract, DigitsApart, DigitsLargerBySmaller, DigitsRestsAdded }

/// <summary>At which end the work begins.</summary>
internal enum DivisionDirection { FromLeft, FromRight }

/// <summary>Which number is divided by.</summary>
internal enum DivisorRead { Whole, FirstDigit, LastDigit, NearestTen, TensOnly, NextTen }

/// <summary>What is done where the first digits are less than the divisor.</summary>
internal enum FirstPart { TakeMore, Swap, LeaveDigitOut, WriteOne, RoundUpToDivisor }

/// <summary>What is written where the number at hand is less than the divisor.</summary>
internal enum TooSmall
{
    WriteZero, WriteNothing, Swap, Stop, WriteOne, WriteNumberItself, WriteZeroForgetNumber, WriteDigitItself, WriteOneAndMissing, ZeroAfterNext, WriteTwoZeros,
    WriteNine,
}

/// <summary>Which digit is written in the quotient.</summary>
internal enum QuotientDigit
{
    Exact, OneTooSmall, OneTooLarge, Nearest, ByFirstDigits, One, TwoTooSmall, CountedOneMore, CountedOneFewer, ByNearestTen, ByNearestTenUncapped,
}

/// <summary>What is done with the product.</summary>
internal enum TakingProduct { Subtract, ThrowRestAway, Add, KeepProduct, ThrowRestAwayIfLast, TensOfDivisorOnly }

/// <summary>What is done with a rest that is not less than the divisor.</summary>
internal enum LargeRest { GoOn, DivideAgain }

/// <summary>What is brought down.</summary>
internal enum BringDown { One, Stop, InFront, LastDigit, DigitOnly, OneAndSkip, AddedToRest, OnesOfRestOnly, SkipLast, Two, LastIsRest }

/// <summary>What is done with a rest when all digits are used.</summary>
internal enum Extension { AppendZero, Finish, AppendZeroWriteZero, OneZeroOnly }

/// <summary>Whether the point goes into the quotient.</summary>
internal enum QuotientPoint { Put, Forget, AfterFirstDigit }

internal enum RestWritten
{
    AsRemainder, OverDivisor, OverDivisorAsItStands, Drop, AsNextDigit, AsDecimal, RoundUp, ToNearest, OverTen, DivisorOverRest, OverDividend, OverQuotient, WhatIsMissing,
    AsExactDecimal, RemainderIsDivisor, OverTenReduced, OverHundred,
}
