namespace YellowPencil.Core.Parts.Products;

/// <summary>The whole product as the student first sees it.</summary>
/// <param name="TopLength">Digits of the top number, the longer one.</param>
/// <param name="Rows">Digits of the multiplier.</param>
internal readonly record struct FactorsContext(int TopLength, int Rows) : IDecisionContext;

/// <summary>One digit of the multiplier when its turn comes.</summary>
/// <param name="Row">Which digit of the multiplier, 0 being the ones.</param>
/// <param name="Rows">Digits of the multiplier.</param>
/// <param name="Digit">The digit.</param>
/// <param name="RowsWritten">How many rows stand on the page.</param>
internal readonly record struct RowContext(int Row, int Rows, int Digit, int RowsWritten) : IDecisionContext
{
    private const int MostColumns = 16;

    /// <summary>The digits of the top number, the ones first, four bits each.</summary>
    public ulong Top { get; init; }

    /// <summary>How many there are.</summary>
    public int TopLength { get; init; }

    /// <summary>The digits of the multiplier, the ones first, four bits each.</summary>
    public ulong Multiplier { get; init; }

    /// <summary>Packs digits for a context; of very long numbers the first sixteen.</summary>
    public static ulong Pack(ReadOnlySpan<int> digits)
    {
        var packed = 0UL;
        for (var i = Math.Min(digits.Length, MostColumns) - 1; i >= 0; i--) packed = packed << 4 | (uint)digits[i] & 15;
        return packed;
    }

    /// <summary>The products of a row before anything is carried, a byte for each column, where the columns are multiplied with these digits.</summary>
    public UInt128 Products(Func<RowContext, int, int> multiplier)
    {
        UInt128 products = 0;
        for (var column = Math.Min(TopLength, MostColumns) - 1; column >= 0; column--)
            products = products << 8 | (UInt128)(TopDigit(column) * multiplier(this, column));
        return products;
    }

    /// <summary>A digit of the top number.</summary>
    public int TopDigit(int column) => (int)(Top >> 4 * column & 15);

    /// <summary>A digit of the multiplier, the nearest that there is.</summary>
    public int MultiplierDigit(int place) => (int)(Multiplier >> 4 * Math.Clamp(place, 0, Rows - 1) & 15);

    /// <summary>Whether something is carried in the row.</summary>
    public bool HasCarry
    {
        get
        {
            for (var column = 0; column < Math.Min(TopLength, MostColumns); column++)
                if (TopDigit(column) * Digit >= 10) return true;
            return false;
        }
    }

    public int? Place => Row;

    /// <summary>Whether the digit is a zero.</summary>
    public bool IsZero => Digit == 0;

    /// <summary>Whether this is the first row.</summary>
    public bool IsFirst => Row == 0;
}

/// <summary>One digit of the top number when it is multiplied.</summary>
internal readonly record struct ProductContext : IDecisionContext
{
    /// <summary>The row, 0 being that of the ones of the multiplier.</summary>
    public required int Row { get; init; }

    /// <summary>Digits of the multiplier.</summary>
    public required int Rows { get; init; }

    /// <summary>The column of the top digit.</summary>
    public required int Column { get; init; }

    /// <summary>The top digit.</summary>
    public required int Top { get; init; }

    /// <summary>The digit it is multiplied with.</summary>
    public required int Multiplier { get; init; }

    /// <summary>The carry made for this digit.</summary>
    public required int CarryIn { get; init; }

    /// <summary>The carry that stands above the digit from an earlier row; 0 where none does.</summary>
    public required int Standing { get; init; }

    /// <summary>What was carried so far in the row.</summary>
    public required int AllCarries { get; init; }

    /// <summary>What the column comes to, the carry counted or not as was decided; 0 before that.</summary>
    public required int Total { get; init; }

    /// <summary>How many carries were made before in the row.</summary>
    public required int Carries { get; init; }

    /// <summary>How many digits of the row were worked before.</summary>
    public required int Worked { get; init; }

    /// <summary>How many digits are left in the row after this one.</summary>
    public required int DigitsLeft { get; init; }

    public int? Place => Column;

    /// <summary>Whether this is the first digit of the row.</summary>
    public bool IsFirst => Worked == 0;

    /// <summary>Whether this is the last digit of the row.</summary>
    public bool IsLast => DigitsLeft == 0;

    /// <summary>Whether the top digit is a zero.</summary>
    public bool TopIsZero => Top == 0;

    /// <summary>Whether the multiplier digit is a zero.</summary>
    public bool MultiplierIsZero => Multiplier == 0;
}

/// <summary>The rows when all of them stand on the page.</summary>
/// <param name="Rows">How many there are.</param>
/// <param name="AreRagged">Whether they have different lengths.</param>
internal readonly record struct RowsContext(int Rows, bool AreRagged) : IDecisionContext;
