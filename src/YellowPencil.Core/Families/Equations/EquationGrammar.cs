using System.Globalization;
using System.Numerics;

namespace YellowPencil.Core.Families.Equations;

/// <summary><c>solve 5x - 3 = 2x + 12</c>, <c>solve x/3 + 2 = 5</c>, <c>solve 2(x - 4) = 3x</c></summary>
internal sealed class EquationGrammar : TaskGrammar
{
    public override string Word => "solve";

    private const int MostTerms = 12;
    private const int MostDigits = 7;

    public override Parsed<ItemTask> Read(string text, int from, Asked asked)
    {
        char? letter = null;
        if (TryRead(text, from, ref letter, out var fault) is not { } equation) return Parsed<ItemTask>.Failed(fault.Message, fault.Position);
        return letter is null ? Parsed<ItemTask>.Failed("an equation needs a letter to solve for", from) : Parsed<ItemTask>.Of(equation);
    }

    public static EquationTask? TryRead(string text, int from, ref char? letter, out TextFault fault)
    {
        var at = from;
        if (Side(text, ref at, ref letter, isInside: false, out fault) is not { } left) return null;
        if (at == text.Length || text[at] != '=')
        {
            fault = new TextFault(at == text.Length ? "an equals sign is missing" : $"'{text[at]}' does not belong in an equation", at);
            return null;
        }

        at++;
        if (Side(text, ref at, ref letter, isInside: false, out fault) is not { } right) return null;
        if (at < text.Length)
        {
            fault = new TextFault(text[at] == '=' ? "one equals sign an equation" : $"'{text[at]}' does not belong in an equation", at);
            return null;
        }

        return new EquationTask(left, right, letter ?? 'x');
    }

    private static List<SideTerm>? Side(string text, ref int at, ref char? letter, bool isInside, out TextFault fault)
    {
        var terms = new List<SideTerm>();
        while (true)
        {
            PolynomialText.Skip(text, ref at);
            if (terms.Count > 0 && (at == text.Length || text[at] is not ('+' or '-')))
            {
                fault = default;
                return terms;
            }

            var isNegative = false;
            if (at < text.Length && text[at] is '+' or '-' && at < text.Length)
            {
                isNegative = text[at++] == '-';
                PolynomialText.Skip(text, ref at);
            }

            if (Term(text, ref at, ref letter, isInside, out fault) is not { } term) return null;
            terms.Add(isNegative ? term with { Number = -term.Number } : term);
            if (terms.Count <= MostTerms) continue;
            fault = new TextFault($"at most {MostTerms} terms a side", at);
            return null;
        }
    }

    private static SideTerm? Term(string text, ref int at, ref char? letter, bool isInside, out TextFault fault)
    {
        var from = at;
        if (Number(text, ref at, out fault) is not { } number) return null;
        var hasNumber = at > from;
        if (at < text.Length && text[at] == '*') at++;
        var isBracket = at < text.Length && text[at] == '(';
        if (isBracket && isInside) return Failed("a bracket inside a bracket is not read", at, out fault);
        if (isBracket)
        {
            at++;
            if (Side(text, ref at, ref letter, isInside: true, out fault) is not { } inside) return null;
            if (at == text.Length || text[at] != ')')
                return Failed(at == text.Length ? "a bracket is not closed" : $"'{text[at]}' does not belong in a bracket", at, out fault);
            at++;
            return Over(text, ref at, out fault) is { } under ? new SideTerm(number / under, false, inside) : null;
        }

        if (at < text.Length && char.IsAsciiLetterLower(text[at]))
        {
            if (letter is { } known && known != text[at]) return Failed($"one letter an equation: there is '{known}' already", at, out fault);
            letter = text[at++];
            if (at < text.Length && text[at] == '^') return Failed("only linear equations are read: no powers of the letter", at, out fault);
            return Over(text, ref at, out fault) is { } under ? new SideTerm(number / under, true) : null;
        }

        fault = default;
        return hasNumber
            ? new SideTerm(number, false)
            : Failed(at < text.Length ? $"'{text[at]}' does not belong here: a number or a letter is due" : "a term is missing here", at, out fault);
    }

    // "7", "2/3"; 1 where there is none.
    private static Rational? Number(string text, ref int at, out TextFault fault)
    {
        fault = default;
        var from = at;
        while (at < text.Length && char.IsAsciiDigit(text[at])) at++;
        if (at < text.Length && text[at] == '.') return NoNumber("numbers of an equation are whole or fractions", at, out fault);
        if (at - from > MostDigits) return NoNumber($"a number has at most {MostDigits} digits here", from, out fault);
        if (at == from) return Rational.Whole(1);
        var numerator = BigInteger.Parse(text.AsSpan(from, at - from), NumberStyles.None, CultureInfo.InvariantCulture);
        return Over(text, ref at, out fault) is { } under ? Rational.Whole(numerator) / under : null;
    }

    // "/3" behind a number, a letter or a bracket; 1 where there is none.
    private static Rational? Over(string text, ref int at, out TextFault fault)
    {
        fault = default;
        if (at + 1 >= text.Length || text[at] != '/' || !char.IsAsciiDigit(text[at + 1])) return Rational.Whole(1);
        var from = ++at;
        while (at < text.Length && char.IsAsciiDigit(text[at])) at++;
        if (at - from > MostDigits) return NoNumber($"a number has at most {MostDigits} digits here", from, out fault);
        var under = BigInteger.Parse(text.AsSpan(from, at - from), NumberStyles.None, CultureInfo.InvariantCulture);
        return under.IsZero ? NoNumber("nothing can be divided by 0", from, out fault) : Rational.Whole(under);
    }

    private static Rational? NoNumber(string message, int at, out TextFault fault)
    {
        fault = new TextFault(message, at);
        return null;
    }

    private static SideTerm? Failed(string message, int at, out TextFault fault)
    {
        fault = new TextFault(message, at);
        return null;
    }
}
