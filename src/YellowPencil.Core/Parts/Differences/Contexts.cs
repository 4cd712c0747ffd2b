namespace YellowPencil.Core.Parts.Differences;

/// <summary>The whole item as the student first sees it.</summary>
/// <param name="TopLength">Digits of the top number.</param>
/// <param name="BottomLength">Digits of the bottom number.</param>
/// <param name="NeedsRenaming">Whether some column has the smaller digit on top.</param>
internal readonly record struct ItemContext(int TopLength, int BottomLength, bool NeedsRenaming) : IDecisionContext;

/// <summary>One column when its turn comes.</summary>
internal readonly record struct ColumnContext : IDecisionContext
{
    /// <summary>The column, as a power of ten.</summary>
    public required int Column { get; init; }

    /// <summary>Whether this is the column of the smallest place.</summary>
    public required bool IsFirst { get; init; }

    /// <summary>The top value now standing, after anything written over it.</summary>
    public required int Top { get; init; }

    /// <summary>The top digit as it was set.</summary>
    public required int TopAsSet { get; init; }

    /// <summary>The bottom digit; -1 where there is none.</summary>
    public required int Bottom { get; init; }

    /// <summary>How many columns were worked before this one.</summary>
    public required int Worked { get; init; }

    /// <summary>How many times a ten was made before.</summary>
    public required int Renames { get; init; }

    /// <summary>How many columns stand to the left.</summary>
    public required int ColumnsLeft { get; init; }

    /// <summary>The top value in the next column to the left; -1 where there is none.</summary>
    public required int NextTop { get; init; }

    /// <summary>The bottom digit in the next column to the left; -1 where there is none.</summary>
    public required int NextBottom { get; init; }

    /// <summary>The zeros standing in the top number from the next column on to the left.</summary>
    public required int ZerosNext { get; init; }

    /// <summary>How many top digits beyond the nearest that is not zero are not zero either.</summary>
    public required int MoreThatCanLend { get; init; }

    /// <summary>The leftmost bottom digit.</summary>
    public required int LastBelow { get; init; }

    /// <summary>Whether some top digit to the left is not zero.</summary>
    public required bool SomebodyCanLend { get; init; }

    /// <summary>Whether the ten that the column gets was not taken from the next column: nobody paid it, or somebody paid another amount.</summary>
    public bool IsTenUnpaid { get; init; }

    public int? Place => Column;

    /// <summary>Whether there is no digit below.</summary>
    public bool BelowIsBlank => Bottom < 0;

    /// <summary>Whether the top value is too small.</summary>
    public bool TopIsShort => Bottom > Top;

    /// <summary>Whether both are the same.</summary>
    public bool Equal => Bottom == Top;

    /// <summary>Whether the top value was made smaller by lending.</summary>
    public bool HasLent => Top < TopAsSet;

    /// <summary>Whether nothing stands to the left.</summary>
    public bool IsLast => ColumnsLeft == 0;

    /// <summary>Whether the digit next to the left is a zero.</summary>
    public bool NextIsZero => ZerosNext > 0;
}

/// <summary>A digit of the top number that is to be written over because a column to its right is short.</summary>
/// <param name="Column">The column of the digit.</param>
/// <param name="Digit">The value now standing there.</param>
/// <param name="Below">The bottom digit in that column; -1 where there is none.</param>
/// <param name="Receiver">The column that is short.</param>
/// <param name="Passed">How many zeros stand between the lender and the receiver.</param>
/// <param name="FromReceiver">How many columns lie between this digit and the receiver.</param>
/// <param name="Renames">How many times a ten was made before, in this item.</param>
/// <param name="IsLeftmost">Whether nothing stands to the left of the digit.</param>
internal readonly record struct LendingContext(
    int Column, int Digit, int Below, int Receiver, int Passed, int FromReceiver, int Renames, bool IsLeftmost) : IDecisionContext
{
    public int? Place => Column;

    /// <summary>The digit that is too small.</summary>
    public int Short { get; init; }

    /// <summary>The digit that is to be taken from it.</summary>
    public int Taken { get; init; }

    /// <summary>Whether there is no digit below.</summary>
    public bool BelowIsBlank => Below < 0;
}

/// <summary>A column whose difference is being found.</summary>
/// <param name="Column">The column.</param>
/// <param name="Top">The larger value.</param>
/// <param name="Bottom">The smaller value.</param>
/// <param name="WasRaised">Whether the top value is ten and more because it was given ten.</param>
internal readonly record struct DifferenceContext(int Column, int Top, int Bottom, bool WasRaised) : IDecisionContext
{
    public int? Place => Column;
}
