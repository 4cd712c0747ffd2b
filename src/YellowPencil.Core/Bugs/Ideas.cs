namespace YellowPencil.Core.Bugs;

/// <summary>The ideas behind the methods, as far as bugs can show that one is missing.</summary>
public static class Ideas
{
    /// <summary>The number below is taken away as a whole.</summary>
    public static readonly MissingIdea TakeAwayInOrder = new("take-away-in-order", "which number is taken away",
        "The bottom number is taken away from the top number; the digits of a column cannot be turned round.");

    /// <summary>Ten for one.</summary>
    public static readonly MissingIdea TenForOne = new("ten-for-one", "one for ten",
        "One of a place can be {renamed} as ten of the next smaller place, and then there is enough.");

    /// <summary>The lender pays.</summary>
    public static readonly MissingIdea LenderPays = new("lender-pays", "the lender pays",
        "What one column is given is gone from the column it came from: exactly one is taken there.");

    /// <summary>Across zeros.</summary>
    public static readonly MissingIdea AcrossZeros = new("across-zeros", "{renaming} across zeros",
        "A zero has nothing to lend: the first digit that is not zero lends, and every zero passed becomes ten, lends one and keeps nine.");

    /// <summary>Zero as a number.</summary>
    public static readonly MissingIdea ZeroIsANumber = new("zero-is-a-number", "zero as a number",
        "Zero means that nothing is there: taking nothing away leaves everything, and from nothing nothing can be taken.");

    /// <summary>Nothing below.</summary>
    public static readonly MissingIdea NothingBelow = new("nothing-below", "columns with nothing below",
        "Where there is no digit below, nothing is taken away and what is left above belongs to the answer.");

    /// <summary>When renaming is due.</summary>
    public static readonly MissingIdea WhenToRename = new("when-to-rename", "when {renaming} is due",
        "One is {renamed} only where the top digit is too small, and only then does the next column change.");

    /// <summary>Equal digits.</summary>
    public static readonly MissingIdea SameLeavesNothing = new("same-leaves-nothing", "equal digits",
        "Taking away all there is leaves zero, and the zero is written because it holds the place.");

    /// <summary>One digit a place.</summary>
    public static readonly MissingIdea OneDigitAPlace = new("one-digit-a-place", "one digit a place",
        "A place holds one digit; ten or more means that something was {renamed} that was not needed.");

    /// <summary>Lining up.</summary>
    public static readonly MissingIdea SamePlaceUnderSamePlace = new("same-place-under-same-place", "lining up places",
        "Digits of the same place stand under each other, ones under ones.");

    /// <summary>Direction.</summary>
    public static readonly MissingIdea SmallestPlaceFirst = new("smallest-place-first", "starting with the smallest place",
        "The work starts with the smallest place, because {renaming} changes the places to the left.");

    /// <summary>Counting differences.</summary>
    public static readonly MissingIdea CountingBack = new("counting-back", "counting back",
        "Counting back, the first number said is one less than the number started from.");

    /// <summary>The sign.</summary>
    public static readonly MissingIdea ReadTheSign = new("read-the-sign", "what the sign asks",
        "The sign says what is asked; it is read before the work begins and holds for every column.");

    /// <summary>Carrying.</summary>
    public static readonly MissingIdea TenMovesOn = new("ten-moves-on", "ten moves on",
        "Ten of one place are one of the next: the ten is carried there, and only what is left is written.");

    /// <summary>Counting the carry.</summary>
    public static readonly MissingIdea CarryBelongs = new("carry-belongs", "the carry belongs to its column",
        "A carried one is part of the column it was carried to and is counted there, once.");

    /// <summary>When carrying is due.</summary>
    public static readonly MissingIdea CarryOnlyTens = new("carry-only-tens", "when carrying is due",
        "Something is carried only from ten on, and as many as there are tens.");

    /// <summary>Every number has its part.</summary>
    public static readonly MissingIdea EveryAddend = new("every-addend", "every number is added",
        "The sum holds all of every number: each digit of each column is added, and a place without a partner is kept.");

    /// <summary>Counting on.</summary>
    public static readonly MissingIdea CountingOn = new("counting-on", "counting on",
        "Counting on, the first number said is one more than the number started from.");
}
