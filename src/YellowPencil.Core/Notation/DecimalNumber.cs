using System.Numerics;

namespace YellowPencil.Core.Notation;

/// <summary>A decimal number as somebody wrote it, with or without a sign and a point: the text is kept, <c>0.50</c> and <c>.5</c> included.</summary>
public sealed class DecimalNumber
{
    // Answers can be longer than the numbers of a task.
    private const int MostAnswerDigits = 200;

    private readonly sbyte[] digits;

    private DecimalNumber(string text, bool isNegative, bool hasPoint, sbyte[] digits, int places)
    {
        Text = text;
        IsNegative = isNegative;
        HasPoint = hasPoint;
        this.digits = digits;
        Places = places;
        var magnitude = BigInteger.Parse(string.Concat(digits.Reverse()));
        Unscaled = isNegative ? -magnitude : magnitude;
    }

    /// <summary>The number as written, outer spaces removed, a minus sign being "-".</summary>
    public string Text { get; }

    /// <summary>Whether a minus sign stands in front.</summary>
    public bool IsNegative { get; }

    /// <summary>Whether a point was written.</summary>
    public bool HasPoint { get; }

    /// <summary>How many digits stand after the point.</summary>
    public int Places { get; }

    /// <summary>How many digits were written.</summary>
    public int Length => digits.Length;

    /// <summary>The value times ten to the power of <see cref="Places"/>, with its sign.</summary>
    public BigInteger Unscaled { get; }

    /// <summary>The same number, exactly.</summary>
    public Rational Exactly => new(Unscaled, BigInteger.Pow(10, Places));

    /// <summary>The digit at a place, by its power of ten; -1 where the number has no digit.</summary>
    public int Digit(int place) => place + Places is var index && index >= 0 && index < digits.Length ? digits[index] : -1;

    /// <summary>The number without its sign, as a whole number if it has no point.</summary>
    public string Magnitude => Text.TrimStart('-').Trim();

    /// <summary>A whole number, as it is written.</summary>
    public static DecimalNumber Of(WholeNumber whole) => TryParse(whole.Text).Value!;

    /// <summary>The number of a value times ten to a power.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The count of places is negative.</exception>
    public static DecimalNumber Of(BigInteger unscaled, int places)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(places);
        return TryParse(Written(unscaled, places)).Value!;
    }

    /// <summary>A value with exactly so many digits after the point, last zeros included.</summary>
    public static string Written(BigInteger unscaled, int places)
    {
        var digits = BigInteger.Abs(unscaled).ToString().PadLeft(places + 1, '0');
        var text = places == 0 ? digits : $"{digits[..^places]}.{digits[^places..]}";
        return unscaled.Sign < 0 ? "-" + text : text;
    }

    /// <summary>A value in its canonical spelling: no last zeros after the point, a zero before a bare point.</summary>
    public static string Exact(BigInteger unscaled, int places)
    {
        while (places > 0 && unscaled % 10 == 0)
        {
            unscaled /= 10;
            places--;
        }

        return Written(unscaled, places);
    }

    /// <summary>The exact decimal of a quotient; null where it never ends.</summary>
    public static string? Quotient(BigInteger dividend, BigInteger divisor)
    {
        var rest = BigInteger.Abs(divisor) / BigInteger.GreatestCommonDivisor(dividend, divisor);
        var places = 0;
        foreach (var prime in new[] { 2, 5 })
        {
            var count = 0;
            for (; rest % prime == 0; rest /= prime) count++;
            places = Math.Max(places, count);
        }

        return rest.IsOne ? Exact(dividend * BigInteger.Pow(10, places) / divisor, places) : null;
    }

    /// <summary>
    /// One spelling for all answers of the same value: commas, spaces, a plus sign, leading zeros and last zeros after the point go. What is no
    /// number stays as it was written, outer spaces and the spelling of a dash apart.
    /// </summary>
    public static string Canonical(string answer)
    {
        var text = Signs.Plain(answer).Trim();
        var number = TryParse(NumberText.WithoutSpaces(text.StartsWith('+') ? text[1..] : text), MostAnswerDigits);
        return number.Succeeded ? Exact(number.Value.Unscaled, number.Value.Places) : text;
    }

    /// <summary>Reads an optional minus sign and digits with optional thousands commas and at most one point. Spaces round the number are allowed.</summary>
    public static Parsed<DecimalNumber> TryParse(string text) => TryParse(text, WholeNumber.MaxDigits);

    private static Parsed<DecimalNumber> TryParse(string text, int mostDigits)
    {
        var start = 0;
        var end = text.Length;
        while (start < end && char.IsWhiteSpace(text[start])) start++;
        while (end > start && char.IsWhiteSpace(text[end - 1])) end--;
        var isNegative = start < end && Signs.Plain(text[start]) == '-';
        var first = isNegative ? start + 1 : start;
        if (first == end) return Parsed<DecimalNumber>.Failed("a number is missing here", first);

        if (NumberText.Scan(text, first, end, allowsPoint: true, out var found, out var point) is { } fault)
            return Parsed<DecimalNumber>.Failed(fault.Message, fault.Position);
        if (found.Length == 0) return Parsed<DecimalNumber>.Failed("a number has at least one digit", first);
        if (found.Length > mostDigits) return Parsed<DecimalNumber>.Failed($"numbers of more than {mostDigits} digits are not read", first + mostDigits);
        var digits = new sbyte[found.Length];
        for (var i = 0; i < digits.Length; i++) digits[i] = (sbyte)(found[digits.Length - 1 - i] - '0');
        return Parsed<DecimalNumber>.Of(new DecimalNumber(
            (isNegative ? "-" : "") + text[first..end], isNegative, point >= 0, digits, point < 0 ? 0 : found.Length - point));
    }

    /// <inheritdoc/>
    public override string ToString() => Text;
}
