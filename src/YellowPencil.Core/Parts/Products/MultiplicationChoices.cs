namespace YellowPencil.Core.Parts.Products;

/// <summary>What is done with the factors.</summary>
internal enum ProductChoice { Multiply, Add }

/// <summary>How a row is worked.</summary>
internal enum RowChoice
{
    Work, LeaveOut, CopyTop, SamePlaces, DigitBefore, DigitAfter, Stop, WriteZero, FromOtherEnd, SamePlacesThenLeftmost, StartsAfterPlaceholders,
    MultipliesByOne, SamePlacesThenOnes, LeftmostDigitOnly, OnesDigitOnly, AddsDigit,
}

/// <summary>How many placeholder zeros a row begins with.</summary>
internal enum Placeholders { Due, None, One, OneMore, ByRowsWritten, TwoForEach, OneFewer }

/// <summary>Where a row begins.</summary>
internal enum RowDirection { FromOnes, FromLeft }

/// <summary>Whether there is another digit to multiply.</summary>
internal enum RowOnward { NextDigit, Stop }

/// <summary>What two digits give.</summary>
internal enum DigitProduct { Multiply, OtherFactor, Add, CopyTop, LeaveOut, One, CopyMultiplier, Nothing, Difference, TopTwice, SideBySide }

/// <summary>How a product is counted.</summary>
internal enum SkipCount { Exact, OneMultiplierTooFew, OneMultiplierTooMany, OneTopTooFew, OneTopTooMany }

/// <summary>What becomes of the carried digit.</summary>
internal enum ProductCarry
{
    AddedAfter, NotAdded, AddedBefore, MultipliesProduct, AddedTwice, TakenAway, StandingInstead, StandingToo, PassedOn, InsteadOfProduct, AllSoFar,
    AddedToMultiplier, AsOne,
}

/// <summary>What is written under a product of ten or more, and what is carried.</summary>
internal enum ProductTen
{
    WriteOnesCarryTens, WriteBoth, WriteOnesCarryNothing, WriteTensCarryOnes, WriteOnesCarryOne, WriteTensCarryNothing, WriteBothAndCarry, WriteZeroCarryTens,
    WriteLessTenCarryOne,
}

/// <summary>To which digit a carry goes.</summary>
internal enum ProductCarryInto { NextDigit, DigitAfterNext }

/// <summary>How the last product of a row is written when it comes to ten or more.</summary>
internal enum LastProduct { WriteWhole, WriteOnesOnly, WriteTensOnly, TurnedRound }

/// <summary>What is done with the rows.</summary>
internal enum RowsTogether { Add, LastOnly, FirstOnly, Subtract, SideBySide, LeftEnds }
