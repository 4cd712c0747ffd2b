namespace YellowPencil.Core.Parts.Divisions;

/// <summary>The whole division as the student first sees it.</summary>
/// <param name="DividendLength">Digits of the number divided.</param>
/// <param name="DivisorLength">Digits of the divisor.</param>
/// <param name="Form">What is asked for.</param>
/// <param name="IsSymmetric">Whether the number divided reads the same from both ends.</param>
internal readonly record struct DivisionContext(int DividendLength, int DivisorLength, QuotientForm Form, bool IsSymmetric = false) : IDecisionContext;

/// <summary>One cycle of a division: divide, multiply, subtract, bring down.</summary>
internal readonly record struct CycleContext : IDecisionContext
{
    /// <summary>The number of the cycle, from 0.</summary>
    public required int Cycle { get; init; }

    /// <summary>The number at hand, that is divided in this cycle.</summary>
    public required long Part { get; init; }

    public required long Divisor { get; init; }

    /// <summary>The digit brought down last.</summary>
    public required int Brought { get; init; }

    /// <summary>How many digits of the dividend are left.</summary>
    public required int DigitsLeft { get; init; }

    /// <summary>How many digits stand in the quotient.</summary>
    public required int Written { get; init; }

    /// <summary>Whether a digit other than 0 stands in the quotient.</summary>
    public required bool HasDigit { get; init; }

    /// <summary>Whether the digits used last stand after the point.</summary>
    public required bool IsAfterPoint { get; init; }

    /// <summary>How many zeros were appended to the dividend.</summary>
    public required int Appended { get; init; }

    /// <summary>Whether the form asked for is a decimal.</summary>
    public required bool AsksDecimal { get; init; }

    /// <summary>How many digits of the dividend were taken.</summary>
    public required int Taken { get; init; }

    /// <summary>The next digit of the dividend; -1 where there is none.</summary>
    public required int NextDigit { get; init; }

    /// <summary>The last digit of the dividend.</summary>
    public required int LastDigit { get; init; }

    /// <summary>The digit after the next; -1 where there is none.</summary>
    public required int DigitAfterNext { get; init; }

    /// <summary>The product that is taken away; 0 before that.</summary>
    public long Product { get; init; }

    /// <summary>What is left after subtracting; 0 before that.</summary>
    public long Rest { get; init; }

    public required int? Place { get; init; }

    /// <summary>Whether the divisor goes into the number at hand not once.</summary>
    public bool IsTooSmall => Part < Divisor;

    /// <summary>Whether no digit is left to bring down.</summary>
    public bool IsLast => DigitsLeft == 0;

    /// <summary>Whether the divisor has more than one digit.</summary>
    public bool HasLongDivisor => Divisor > 9;
}

/// <summary>What is left at the end of a division.</summary>
/// <param name="Form">What is asked for.</param>
/// <param name="Rest">What is left.</param>
/// <param name="Divisor">The divisor.</param>
internal readonly record struct RestContext(QuotientForm Form, long Rest, long Divisor) : IDecisionContext
{
    /// <summary>The last digit of the number divided; -1 where it is not known.</summary>
    public int LastDigit { get; init; } = -1;
}
