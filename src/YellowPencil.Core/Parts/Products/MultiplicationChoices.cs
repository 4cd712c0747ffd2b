using YellowPencil.Core.Engine;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Parts.Products;

/// <summary>What is done with the factors.</summary>
public enum ProductWay { Multiply, Add }

/// <summary>How a row is worked.</summary>
public enum RowWay { Work, LeaveOut, CopyTop, SamePlaces, DigitBefore, DigitAfter, Stop, WriteZero, FromOtherEnd, SamePlacesThenLeftmost, StartsAfterPlaceholders, MultipliesByOne, SamePlacesThenOnes, LeftmostDigitOnly, OnesDigitOnly, AddsDigit }

/// <summary>How many placeholder zeros a row begins with.</summary>
public enum Placeholders { Due, None, One, OneMore, ByRowsWritten, TwoForEach, OneFewer }

/// <summary>Where a row begins.</summary>
public enum RowDirection { FromOnes, FromLeft }

/// <summary>Whether there is another digit to multiply.</summary>
public enum RowOnward { NextDigit, Stop }

/// <summary>What two digits give.</summary>
public enum DigitProduct { Multiply, OtherFactor, Add, CopyTop, LeaveOut, One, CopyMultiplier, Nothing, Difference, TopTwice, SideBySide }

/// <summary>How a product is counted.</summary>
public enum SkipCount { Exact, OneMultiplierTooFew, OneMultiplierTooMany, OneTopTooFew, OneTopTooMany }

/// <summary>What becomes of the carried digit.</summary>
public enum ProductCarry { AddedAfter, NotAdded, AddedBefore, MultipliesProduct, AddedTwice, TakenAway, StandingInstead, StandingToo, PassedOn, InsteadOfProduct, AllSoFar, AddedToMultiplier, AsOne }

/// <summary>What is written under a product of ten or more, and what is carried.</summary>
public enum ProductTen { WriteOnesCarryTens, WriteBoth, WriteOnesCarryNothing, WriteTensCarryOnes, WriteOnesCarryOne, WriteTensCarryNothing, WriteBothAndCarry, WriteZeroCarryTens, WriteLessTenCarryOne }

/// <summary>To which digit a carry goes.</summary>
public enum ProductCarryInto { NextDigit, DigitAfterNext }

/// <summary>How the last product of a row is written when it comes to ten or more.</summary>
public enum LastProduct { WriteWhole, WriteOnesOnly, WriteTensOnly, TurnedRound }

/// <summary>What is done with the rows.</summary>
public enum RowsTogether { Add, LastOnly, FirstOnly, Subtract, SideBySide, LeftEnds }
