using System.Globalization;
using System.Numerics;
using System.Text.RegularExpressions;

namespace YellowPencil.Core.Notation;

/// <summary>A whole number, a fraction, or both, as written: neither in lowest terms nor with the fraction below one unless it was written so.</summary>
/// <param name="Whole">The whole part; 0 where there is none.</param>
/// <param name="Numerator">The numerator.</param>
/// <param name="Denominator">The denominator; 0 where there is no fraction.</param>
public readonly partial record struct MixedNumber(long Whole, long Numerator, long Denominator)
{
    /// <summary>Whether there is a whole part.</summary>
    public bool HasWhole => Whole != 0 || Denominator == 0;

    /// <summary>Whether there is a fraction.</summary>
    public bool HasFraction => Denominator != 0;

    /// <summary>The number over one denominator; the denominator is 1 for whole numbers.</summary>
    public (BigInteger Numerator, BigInteger Denominator) Value => HasFraction ? ((BigInteger)Whole * Denominator + Numerator, Denominator) : (Whole, 1);

    /// <summary>As it is written: <c>3 5/8</c>, <c>5/8</c>, <c>3</c>.</summary>
    public string Text =>
        !HasFraction ? Whole.ToString(CultureInfo.InvariantCulture) : Whole == 0 ? $"{Numerator}/{Denominator}" : $"{Whole} {Numerator}/{Denominator}";

    /// <summary>The number of a value in lowest terms, mixed where it is over one, with a minus sign where it is below zero.</summary>
    public static string Canonical(BigInteger numerator, BigInteger denominator)
    {
        var sign = numerator.Sign < 0 ? "-" : "";
        numerator = BigInteger.Abs(numerator);
        var common = BigInteger.GreatestCommonDivisor(numerator, denominator);
        (numerator, denominator) = (numerator / common, denominator / common);
        var whole = BigInteger.DivRem(numerator, denominator, out var rest);
        return rest.IsZero ? $"{sign}{whole}" : whole.IsZero ? $"{sign}{rest}/{denominator}" : $"{sign}{whole} {rest}/{denominator}";
    }

    /// <summary>Reads a number that begins at a position; null, with nothing read, where none does.</summary>
    public static MixedNumber? TryRead(string text, ref int at)
    {
        if (
            Shape().Match(text, at) is not { Success: true } found
                || (found.Groups["bottom"].Success && found.Groups["bottom"].Value.TrimStart('0').Length == 0))
            return null;
        at += found.Length;
        return Number(found);
    }

    /// <summary>Reads a text that is one number and nothing else, as an answer is written; null for anything else.</summary>
    public static (bool IsNegative, MixedNumber Number)? TryRead(string text)
    {
        text = text.Trim();
        var isNegative = text.StartsWith('-');
        var at = isNegative ? 1 : 0;
        return TryRead(text, ref at) is { } number && text[at..].Trim().Length == 0 ? (isNegative, number) : null;
    }

    private static MixedNumber Number(Match found)
    {
        long Part(string name) => found.Groups[name].Success ? long.Parse(found.Groups[name].Value, CultureInfo.InvariantCulture) : 0;
        return found.Groups["bottom"].Success ? new MixedNumber(Part("whole"), Part("top"), Part("bottom")) : new MixedNumber(Part("top"), 0, 0);
    }

    [GeneratedRegex(@"\G\s*(?:(?<whole>[0-9]{1,9})\s+(?=[0-9]+/))?(?<top>[0-9]{1,9})(?:/(?<bottom>[0-9]{1,9}))?")]
    private static partial Regex Shape();
}
