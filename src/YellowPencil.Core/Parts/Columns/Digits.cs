namespace YellowPencil.Core.Parts.Columns;

/// <summary>Digits by place, smallest first, as parts of methods hand them on.</summary>
internal static class Digits
{
    /// <summary>
    /// Puts the cells of a column layout (-1 is blank, a cell may hold several digits) one digit to a place: blanks close up. Rules that come together can write more
    /// digits than there is room for; the rest is left off, as no page holds it either.
    /// </summary>
    /// <returns>How many digits there are.</returns>
    public static int Flatten(ReadOnlySpan<int> cells, Span<int> digits)
    {
        var count = 0;
        foreach (var cell in cells)
        {
            if (cell < 0) continue;
            var rest = cell;
            do
            {
                if (count == digits.Length) return count;
                digits[count++] = rest % 10;
                rest /= 10;
            }
            while (rest > 0);
        }

        return count;
    }

    /// <summary>The digits as text, largest place first.</summary>
    public static string Text(ReadOnlySpan<int> digits)
    {
        Span<char> text = stackalloc char[digits.Length];
        for (var i = 0; i < digits.Length; i++) text[i] = (char)('0' + digits[digits.Length - 1 - i]);
        return text.ToString();
    }

    /// <summary>The number that the digits make.</summary>
    public static System.Numerics.BigInteger Value(ReadOnlySpan<int> digits)
    {
        var value = System.Numerics.BigInteger.Zero;
        for (var i = digits.Length - 1; i >= 0; i--) value = value * 10 + digits[i];
        return value;
    }

    /// <summary>Which of two equally long numbers is the larger; blanks count as 0.</summary>
    public static int Compare(ReadOnlySpan<int> one, ReadOnlySpan<int> other)
    {
        for (var i = one.Length - 1; i >= 0; i--)
            if (Math.Max(0, one[i]) != Math.Max(0, other[i])) return Math.Max(0, one[i]).CompareTo(Math.Max(0, other[i]));
        return 0;
    }

    /// <summary>Whether all digits are zeros; so for none at all.</summary>
    public static bool AreZero(ReadOnlySpan<int> digits) => digits.IndexOfAnyExcept(0) < 0;

    /// <summary>How many digits are left without the zeros in front; at least one where there is a digit.</summary>
    public static int LengthWithoutZeros(ReadOnlySpan<int> digits)
    {
        var length = digits.Length;
        while (length > 1 && digits[length - 1] == 0) length--;
        return length;
    }
}
