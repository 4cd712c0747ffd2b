using System.Numerics;

namespace YellowPencil.Core.Notation;

/// <summary>A whole number as somebody wrote it: the text is kept, commas and leading zeros included.</summary>
public sealed class WholeNumber
{
    /// <summary>The longest number that is read, in digits.</summary>
    public const int MaxDigits = 30;

    private readonly sbyte[] digits;

    private WholeNumber(string text, sbyte[] digits)
    {
        Text = text;
        this.digits = digits;
        Value = BigInteger.Parse(string.Concat(digits.Reverse()));
    }

    /// <summary>The number as written, outer spaces removed.</summary>
    public string Text { get; }

    /// <summary>The exact value.</summary>
    public BigInteger Value { get; }

    /// <summary>How many digits were written, leading zeros included.</summary>
    public int Length => digits.Length;

    /// <summary>The digit in a place, 0 being the ones; -1 where the number has no digit.</summary>
    public int Digit(int place) => place < digits.Length && place >= 0 ? digits[place] : -1;

    /// <summary>The number that a value is written as.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The value is negative.</exception>
    public static WholeNumber Of(BigInteger value)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(value);
        return TryParse(value.ToString()).Value!;
    }

    /// <summary>Numbers as whole numbers; null where one is none.</summary>
    public static IReadOnlyList<WholeNumber>? All(IReadOnlyList<DecimalNumber> numbers)
    {
        var wholes = new WholeNumber[numbers.Count];
        for (var i = 0; i < wholes.Length; i++)
        {
            if (numbers[i].HasPoint || numbers[i].IsNegative || !TryParse(numbers[i].Text).Succeeded) return null;
            wholes[i] = TryParse(numbers[i].Text).Value!;
        }

        return wholes;
    }

    /// <summary>Reads digits with optional thousands commas. Spaces round the number are allowed.</summary>
    public static Parsed<WholeNumber> TryParse(string text)
    {
        var start = 0;
        var end = text.Length;
        while (start < end && char.IsWhiteSpace(text[start])) start++;
        while (end > start && char.IsWhiteSpace(text[end - 1])) end--;
        if (start == end) return Parsed<WholeNumber>.Failed("a whole number is missing here", start);

        if (NumberText.Scan(text, start, end, allowsPoint: false, out var found, out _) is { } fault)
            return Parsed<WholeNumber>.Failed(fault.Message, fault.Position);
        if (found.Length > MaxDigits)
            return Parsed<WholeNumber>.Failed($"numbers of more than {MaxDigits} digits are not read", start + MaxDigits);
        var digits = new sbyte[found.Length];
        for (var i = 0; i < digits.Length; i++) digits[i] = (sbyte)(found[digits.Length - 1 - i] - '0');
        return Parsed<WholeNumber>.Of(new WholeNumber(text[start..end], digits));
    }

    /// <inheritdoc/>
    public override string ToString() => Text;
}
