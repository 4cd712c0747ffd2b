using System.Globalization;
using System.Numerics;
using System.Text;

namespace YellowPencil.Core.Notation;

/// <summary>A term of a polynomial in one letter: a number times a power of the letter.</summary>
/// <param name="Number">The number, with its sign.</param>
/// <param name="Power">The power of the letter; 0 for a plain number.</param>
public readonly record struct PolyTerm(BigInteger Number, int Power)
{
    /// <summary>The same with the other sign.</summary>
    public PolyTerm Turned => this with { Number = -Number };
}

/// <summary>Reads and writes sums of terms in one letter, as they are written: neither in order nor collected.</summary>
public static class PolynomialText
{
    /// <summary>The highest power that is read.</summary>
    public const int MostPower = 99;

    private const int MostDigits = 9;

    /// <summary>The terms as they are written: <c>3x^2 - x + 5</c>; 0 where there are none.</summary>
    public static string Write(IReadOnlyList<PolyTerm> terms, char letter)
    {
        if (terms.Count == 0) return "0";
        var text = new StringBuilder();
        foreach (var term in terms)
        {
            if (text.Length > 0) text.Append(term.Number.Sign < 0 ? " - " : " + ");
            else if (term.Number.Sign < 0) text.Append('-');
            var size = BigInteger.Abs(term.Number);
            if (term.Power == 0 || !size.IsOne) text.Append(size.ToString(CultureInfo.InvariantCulture));
            if (term.Power > 0) text.Append(letter);
            if (term.Power > 1) text.Append(CultureInfo.InvariantCulture, $"^{term.Power}");
        }

        return text.ToString();
    }

    /// <summary>Reads a sum of terms up to its end: the end of the text or a sign that belongs to none.</summary>
    /// <param name="text">The text, signs in their plain spelling.</param>
    /// <param name="at">Where it begins, and then where it ends.</param>
    /// <param name="letter">The letter, which all terms must have in common; set by the first that has one.</param>
    /// <param name="fault">What is wrong where nothing is given back.</param>
    public static List<PolyTerm>? TryRead(string text, ref int at, ref char? letter, out TextFault fault)
    {
        var terms = new List<PolyTerm>();
        while (true)
        {
            Skip(text, ref at);
            var isNegative = false;
            if (at < text.Length && text[at] is '+' or '-' && at < text.Length)
            {
                isNegative = text[at] == '-';
                at++;
                Skip(text, ref at);
            }
            else if (terms.Count > 0)
            {
                fault = default;
                return terms;
            }

            if (Term(text, ref at, ref letter, out fault) is not { } term) return null;
            terms.Add(isNegative ? term.Turned : term);
            Skip(text, ref at);
            if (at >= text.Length || text[at] is not ('+' or '-'))
            {
                fault = default;
                return terms;
            }

            // A bracket behind the sign is not part of this sum.
            var behind = at + 1;
            Skip(text, ref behind);
            if (behind < text.Length && text[behind] == '(') return terms;
        }
    }

    /// <summary>Reads a text that is one sum of terms and nothing else; null for anything else.</summary>
    public static List<PolyTerm>? TryRead(string text, ref char? letter)
    {
        var at = 0;
        return TryRead(text, ref at, ref letter, out _) is { } terms && text[at..].Trim().Length == 0 ? terms : null;
    }

    /// <summary>The terms with like ones put together, the highest power first, without those that come to nothing.</summary>
    public static List<PolyTerm> Collected(IEnumerable<PolyTerm> terms) =>
        [
            .. terms.GroupBy(t => t.Power)
                .Select(g => new PolyTerm(g.Aggregate(BigInteger.Zero, (sum, t) => sum + t.Number), g.Key)).Where(t => !t.Number.IsZero)
                .OrderByDescending(t => t.Power)];

    /// <summary>The terms in one order: the highest power first, then by their numbers.</summary>
    public static List<PolyTerm> InOrder(IEnumerable<PolyTerm> terms) => [.. terms.OrderByDescending(t => t.Power).ThenByDescending(t => t.Number)];

    internal static void Skip(string text, ref int at)
    {
        while (at < text.Length && char.IsWhiteSpace(text[at])) at++;
    }

    internal static PolyTerm? Term(string text, ref int at, ref char? letter, out TextFault fault)
    {
        var from = at;
        while (at < text.Length && char.IsAsciiDigit(text[at])) at++;
        if (at - from > MostDigits) return Failed($"a number has at most {MostDigits} digits here", from, out fault);
        var number = at > from ? BigInteger.Parse(text.AsSpan(from, at - from), NumberStyles.None, CultureInfo.InvariantCulture) : BigInteger.One;
        if (at < text.Length && text[at] == '.') return Failed("numbers before letters are whole", at, out fault);
        var behind = at;
        Skip(text, ref behind);
        if (behind < text.Length && char.IsAsciiLetterLower(text[behind]))
        {
            at = behind;
            if (letter is { } known && known != text[at]) return Failed($"one letter a task: there is '{known}' already", at, out fault);
            letter = text[at++];
            var power = 1;
            if (at < text.Length && text[at] == '^')
            {
                var first = ++at;
                while (at < text.Length && char.IsAsciiDigit(text[at])) at++;
                if (at == first || at - first > 2) return Failed($"a power is a whole number up to {MostPower}", first, out fault);
                power = int.Parse(text.AsSpan(first, at - first), CultureInfo.InvariantCulture);
            }

            fault = default;
            return new PolyTerm(number, power);
        }

        if (at == from)
            return Failed(at < text.Length ? $"'{text[at]}' does not belong here: a number or a letter is due" : "a term is missing here", at, out fault);
        fault = default;
        return new PolyTerm(number, 0);
    }

    private static PolyTerm? Failed(string message, int at, out TextFault fault)
    {
        fault = new TextFault(message, at);
        return null;
    }
}
