
namespace YellowPencil.Core.Notation;

/// <summary>A sum that is worked in numbers, as somebody writes it beside a working: <c>4 + 21</c>, <c>-22/2</c>, <c>(-3)^2 - 8</c>, <c>sqrt(25)</c>.</summary>
public static class NumberSentence
{
    private const int LongestText = 200;
    private const int MostDigits = 9;
    private const long MostUnderRoot = 1_000_000_000_000;

    /// <summary>What it comes to, exactly; null for anything else, for a division by 0, and for the root of what is no square.</summary>
    /// <param name="text">The text.</param>
    public static Rational? Value(string text)
    {
        if (text.Length > LongestText) return null;
        var plain = string.Concat(Signs.Plain(text).Replace("√", "sqrt").Replace("²", "^2").Where(c => !char.IsWhiteSpace(c)));
        var at = 0;
        return Sum(plain, ref at) is { } value && at == plain.Length ? value : null;
    }

    /// <summary>
    /// The two numbers of a product or a sum of two, as they stand there: 9 and -8 of <c>9 * (-8)</c> and of <c>9 - 8</c>; null for anything else.
    /// </summary>
    public static (Rational One, Rational Other)? TwoNumbers(string text)
    {
        if (text.Length > LongestText) return null;
        var plain = string.Concat(Signs.Plain(text).Where(c => !char.IsWhiteSpace(c)));
        var at = 0;
        if (Signed(plain, ref at) is not { } one || at == plain.Length || plain[at] is not ('*' or '+' or '-')) return null;
        var sign = plain[at];
        if (sign != '-') at++;
        return Signed(plain, ref at) is { } other && at == plain.Length ? (one, other) : null;
    }

    private static Rational? Sum(string text, ref int at)
    {
        if (Product(text, ref at) is not { } sum) return null;
        while (at < text.Length && text[at] is '+' or '-')
        {
            var isNegative = text[at] == '-';
            at++;
            if (Product(text, ref at) is not { } next) return null;
            sum += isNegative ? -next : next;
        }

        return sum;
    }

    private static Rational? Product(string text, ref int at)
    {
        if (Power(text, ref at) is not { } product) return null;
        while (at < text.Length && text[at] is '*' or '/' or ':')
        {
            var isQuotient = text[at] != '*';
            at++;
            if (Power(text, ref at) is not { } next || (isQuotient && next.IsZero)) return null;
            product = isQuotient ? product / next : product * next;
        }

        return product;
    }

    // A minus before a square belongs to the square, unless it stands in its brackets.
    private static Rational? Power(string text, ref int at)
    {
        if (at < text.Length && text[at] == '-')
        {
            at++;
            return Power(text, ref at) is { } positive ? -positive : null;
        }

        if (One(text, ref at) is not { } value) return null;
        if (at + 1 >= text.Length || text[at] != '^' || text[at + 1] != '2') return value;
        at += 2;
        return value * value;
    }

    private static Rational? One(string text, ref int at)
    {
        const string Root = "sqrt";
        if (text.AsSpan(at).StartsWith(Root, StringComparison.Ordinal))
        {
            at += Root.Length;
            return One(text, ref at) is { } squared ? RootOf(squared) : null;
        }

        if (at < text.Length && text[at] == '(')
        {
            at++;
            return Sum(text, ref at) is { } inside && at < text.Length && text[at++] == ')' ? inside : null;
        }

        return Digits(text, ref at);
    }

    private static Rational? Signed(string text, ref int at)
    {
        if (at < text.Length && text[at] == '(')
        {
            at++;
            return Signed(text, ref at) is { } inside && at < text.Length && text[at++] == ')' ? inside : null;
        }

        if (at >= text.Length || text[at] != '-') return Digits(text, ref at);
        at++;
        return Digits(text, ref at) is { } positive ? -positive : null;
    }

    private static Rational? Digits(string text, ref int at)
    {
        var from = at;
        while (at < text.Length && (char.IsAsciiDigit(text[at]) || text[at] == '.')) at++;
        if (at == from || at - from > MostDigits || DecimalNumber.TryParse(text[from..at]) is not { Succeeded: true, Value: { } number }) return null;
        return number.Exactly;
    }

    /// <summary>The root of a number, where it is exact; null where it is not.</summary>
    public static Rational? RootOf(Rational squared)
    {
        if (squared.Sign < 0 || squared.Numerator > MostUnderRoot || squared.Denominator > MostUnderRoot) return null;
        var (above, below) = (Exact.Root(squared.Numerator), Exact.Root(squared.Denominator));
        return above * above == squared.Numerator && below * below == squared.Denominator ? new Rational(above, below) : null;
    }
}
