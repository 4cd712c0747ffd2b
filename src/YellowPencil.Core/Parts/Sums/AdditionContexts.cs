namespace YellowPencil.Core.Parts.Sums;

/// <summary>The whole sum as the student first sees it.</summary>
/// <param name="Addends">How many addends there are.</param>
/// <param name="IsRagged">Whether the addends have different lengths.</param>
/// <param name="NeedsCarry">Whether some column of digits comes to ten or more.</param>
internal readonly record struct SumContext(int Addends, bool IsRagged, bool NeedsCarry) : IDecisionContext;

/// <summary>One column of a sum when its turn comes.</summary>
internal readonly record struct AddColumnContext : IDecisionContext
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

    /// <summary>The digits here from the top number down, four bits each, and 15 for a blank.</summary>
    public required ulong Packed { get; init; }

    /// <summary>The carry that stands above this column.</summary>
    public required int CarryIn { get; init; }

    /// <summary>The last carry that was made for some earlier column; 0 when none was made.</summary>
    public required int OlderCarry { get; init; }

    /// <summary>What was carried to any column so far.</summary>
    public required int AllCarries { get; init; }

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

    public int? Place => Column;

    /// <summary>The digit of one of the numbers that have one here, from 0.</summary>
    public int Digit(int index)
    {
        for (var packed = Packed; ; packed >>= 4)
            if ((packed & 15) != 15 && index-- == 0) return (int)(packed & 15);
    }

    /// <summary>The digits one after the other, put together by a step.</summary>
    public int Together(Func<int, int, int> step)
    {
        var result = Digits > 0 ? Digit(0) : 0;
        for (var i = 1; i < Digits; i++) result = step(result, Digit(i));
        return result;
    }

    /// <summary>What is left of the digits where those that make ten two by two are crossed out.</summary>
    public int WithoutPairsOfTen
    {
        get
        {
            var (sum, vanished) = (0, 0);
            for (var i = 0; i < Digits; i++)
            {
                for (var j = i + 1; j < Digits && (vanished >> i & 1) == 0; j++)
                    if ((vanished >> j & 1) == 0 && Digit(i) > 0 && Digit(i) + Digit(j) == 10) vanished |= 1 << i | 1 << j;
                if ((vanished >> i & 1) == 0) sum += Digit(i);
            }

            return sum;
        }
    }

    /// <summary>What the digits come to where one that stands twice in a row is counted once.</summary>
    public int WithoutRepeats
    {
        get
        {
            var (sum, last) = (0, -1);
            for (var i = 0; i < Digits; i++)
                if (Digit(i) is var digit && digit != last) sum += last = digit;
            return sum;
        }
    }

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
internal readonly record struct AddedDigitContext(int Column, int Before, int Digit, int Added, bool IsOnes) : IDecisionContext
{
    public int? Place => Column;
}
