namespace YellowPencil.Core.Procedures.Addition;

/// <summary>The whole sum as the student first sees it.</summary>
/// <param name="Addends">How many addends there are.</param>
/// <param name="IsRagged">Whether the addends have different lengths.</param>
/// <param name="NeedsCarry">Whether some column of digits comes to ten or more.</param>
public readonly record struct SumContext(int Addends, bool IsRagged, bool NeedsCarry) : IDecisionContext
{
    /// <inheritdoc/>
    public int? Place => null;
}

/// <summary>One column of a sum when its turn comes.</summary>
public readonly record struct AddColumnContext : IDecisionContext
{
    /// <summary>The column, as a power of ten.</summary>
    public required int Column { get; init; }

    /// <summary>Whether this is the column of the smallest place.</summary>
    public required bool IsFirst { get; init; }

    /// <summary>How many addends have a digit here.</summary>
    public required int Digits { get; init; }

    /// <summary>How many addends there are.</summary>
    public required int Addends { get; init; }

    /// <summary>The smallest digit here; 0 where there is none.</summary>
    public required int Smallest { get; init; }

    /// <summary>The largest digit here; 0 where there is none.</summary>
    public required int Largest { get; init; }

    /// <summary>What the digits come to without any carry.</summary>
    public required int DigitSum { get; init; }

    /// <summary>The carry that stands above this column.</summary>
    public required int CarryIn { get; init; }

    /// <summary>The last carry that was made for some earlier column; 0 when none was made.</summary>
    public required int OlderCarry { get; init; }

    /// <summary>What the column comes to, the carry counted or not as was decided; 0 before that.</summary>
    public required int Total { get; init; }

    /// <summary>How many carries were made before.</summary>
    public required int Carries { get; init; }

    /// <summary>How many columns were worked before this one.</summary>
    public required int Worked { get; init; }

    /// <summary>How many columns of digits stand to the left.</summary>
    public required int ColumnsLeft { get; init; }

    /// <summary>What the digits of the next column to the left come to; -1 where there is none.</summary>
    public required int NextSum { get; init; }

    /// <summary>How many addends have a digit in the next column to the left.</summary>
    public required int NextDigits { get; init; }

    /// <inheritdoc/>
    public int? Place => Column;

    /// <summary>Whether some addend has no digit here.</summary>
    public bool HasBlank => Digits < Addends;

    /// <summary>Whether only one addend has a digit here.</summary>
    public bool IsSingle => Digits == 1;

    /// <summary>Whether no column of digits stands to the left.</summary>
    public bool IsLast => ColumnsLeft == 0;

    /// <summary>Whether the column comes to ten or more.</summary>
    public bool IsTenOrMore => Total >= 10;
}

/// <summary>One more digit of a column when it is added.</summary>
/// <param name="Column">The column, as a power of ten.</param>
/// <param name="Before">What the digits before it come to.</param>
/// <param name="Digit">The digit.</param>
/// <param name="Added">How many digits were added before it.</param>
/// <param name="IsOnes">Whether it is the column of the smallest place.</param>
public readonly record struct AddedDigitContext(int Column, int Before, int Digit, int Added, bool IsOnes) : IDecisionContext
{
    /// <inheritdoc/>
    public int? Place => Column;
}
