using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Parts.Divisions;

/// <summary>What is done with the numbers.</summary>
public enum DivisionWay { Divide, Multiply, Subtract, DigitsApart }

/// <summary>At which end the work begins.</summary>
public enum DivisionDirection { FromLeft, FromRight }

/// <summary>Which number is divided by.</summary>
public enum DivisorRead { Whole, FirstDigit, LastDigit, NearestTen }

/// <summary>What is done where the first digits are less than the divisor.</summary>
public enum FirstPart { TakeMore, Swap, LeaveDigitOut, WriteOne, RoundUpToDivisor }

/// <summary>What is written where the number at hand is less than the divisor.</summary>
public enum TooSmall { WriteZero, WriteNothing, Swap, Stop, WriteOne, WriteNumberItself, WriteZeroForgetNumber, WriteDigitItself, WriteOneAndMissing, ZeroAfterNext, WriteTwoZeros, WriteNine }

/// <summary>Which digit is written in the quotient.</summary>
public enum QuotientDigit { Exact, OneTooSmall, OneTooLarge, Nearest, ByFirstDigits, One, TwoTooSmall, CountedOneMore, CountedOneFewer, ByNearestTen, ByNearestTenUncapped }

/// <summary>What is done with the product.</summary>
public enum TakingProduct { Subtract, ThrowRestAway, Add, KeepProduct, ThrowRestAwayIfLast, TensOfDivisorOnly }

/// <summary>What is done with a rest that is not less than the divisor.</summary>
public enum LargeRest { GoOn, DivideAgain }

/// <summary>What is brought down.</summary>
public enum BringDown { One, Stop, InFront, LastDigit, DigitOnly, OneAndSkip, AddedToRest, OnesOfRestOnly, SkipLast, Two }

/// <summary>What is done with a rest when all digits are used.</summary>
public enum Extension { AppendZero, Finish, AppendZeroWriteZero, OneZeroOnly }

/// <summary>Whether the point goes into the quotient.</summary>
public enum QuotientPoint { Put, Forget, AfterFirstDigit }

/// <summary>How a rest is written.</summary>
public enum RestWritten { AsRemainder, OverDivisor, OverDivisorAsItStands, Drop, AsNextDigit, AsDecimal, RoundUp, OverTen, DivisorOverRest, OverDividend, OverQuotient, WhatIsMissing, AsExactDecimal, RemainderIsDivisor }
