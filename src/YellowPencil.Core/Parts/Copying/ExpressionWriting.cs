using System.Numerics;

namespace YellowPencil.Core.Parts.Copying;

/// <summary>
/// What an answer that is more than a number becomes when it is written down in another way: a polynomial, a product of brackets, a mixed number, the solution
/// of an equation.
/// </summary>
internal static class ExpressionWriting
{
    /// <summary>What is written instead; null where the way makes no difference or cannot be gone.</summary>
    public static string? Write(ItemTask task, string answer, AnswerWritten way)
    {
        char? letter = null;
        switch (task.Answers)
        {
            case AnswerForm.Terms:
                return PolynomialText.TryRead(answer, ref letter) is { Count: > 0 } terms && Polynomial(terms, way) is { } changed
                    ? PolynomialText.Write(PolynomialText.InOrder(changed), letter ?? 'x')
                    : null;
            case AnswerForm.Brackets:
                return BracketText.TryRead(answer) is { } read && Product(read.Before, read.Brackets, way) is { } product
                    ? task.Canonical(BracketText.Write(product.Before, product.Brackets, answer.First(char.IsAsciiLetter)))
                    : null;
            case AnswerForm.Mixed:
                return MixedNumber.TryRead(answer) is { } number ? Mixed(number.IsNegative, number.Number, way) : null;
            default:
                return Solution(answer) is { } solution && Number(solution, way) is { } other ? task.Canonical($"{answer[0]} = {other.Text}") : null;
        }
    }

    private static List<PolyTerm>? Polynomial(List<PolyTerm> terms, AnswerWritten way) => way switch
    {
        AnswerWritten.NumberOut when terms.Count > 1 => [.. terms.Where(t => t.Power > 0)],
        AnswerWritten.FirstTermOut when terms.Count > 1 => terms[1..],
        AnswerWritten.FirstTermOnly when terms.Count > 1 => terms[..1],
        AnswerWritten.SignOut => [.. terms.Select(t => t with { Number = BigInteger.Abs(t.Number) })],
        AnswerWritten.SignTurned => [.. terms.Select(t => t.Turned)],
        AnswerWritten.FirstSignTurned when terms.Count > 1 => [terms[0].Turned, .. terms[1..]],
        AnswerWritten.LastSignTurned when terms.Count > 1 => [.. terms[..^1], terms[^1].Turned],
        AnswerWritten.MiddleSignTurned when terms.Count > 2 => [terms[0], .. terms[1..^1].Select(t => t.Turned), terms[^1]],
        AnswerWritten.PowersOut => [.. terms.Select(t => t with { Power = Math.Min(1, t.Power) })],
        AnswerWritten.LettersOut => [.. terms.Select(t => t with { Power = 0 })],
        AnswerWritten.Doubled => [.. terms.Select(t => t with { Number = 2 * t.Number })],
        _ => null,
    };

    private static (PolyTerm Before, IReadOnlyList<IReadOnlyList<PolyTerm>> Brackets)? Product(
        PolyTerm before, List<IReadOnlyList<PolyTerm>> brackets, AnswerWritten way) =>
        way switch
        {
            AnswerWritten.FrontOut when before is not { Power: 0, Number.IsOne: true } => (new PolyTerm(1, 0), brackets),
            AnswerWritten.FirstTermOnly when brackets.Count > 1 => (before, [brackets[0]]),
            AnswerWritten.SignOut =>
                (before, [.. brackets.Select(b => (IReadOnlyList<PolyTerm>)[.. b.Select(t => t with { Number = BigInteger.Abs(t.Number) })])]),
            AnswerWritten.SignTurned => (before, [.. brackets.Select(WithLastTurned)]),
            AnswerWritten.FirstSignTurned when brackets.Count > 1 => (before, [WithLastTurned(brackets[0]), .. brackets.Skip(1)]),
            AnswerWritten.LastSignTurned when brackets.Count > 1 => (before, [.. brackets.SkipLast(1), WithLastTurned(brackets[^1])]),
            _ => null,
        };

    private static IReadOnlyList<PolyTerm> WithLastTurned(IReadOnlyList<PolyTerm> bracket) =>
        bracket.Count > 1 ? [.. bracket.SkipLast(1), bracket[^1].Turned] : bracket;

    private static string? Mixed(bool isNegative, MixedNumber number, AnswerWritten way)
    {
        MixedNumber? changed = way switch
        {
            AnswerWritten.FractionOut when number.HasFraction && number.Whole > 0 => new MixedNumber(number.Whole, 0, 0),
            AnswerWritten.WholeOut when number.HasFraction && number.Whole > 0 => number with { Whole = 0 },
            AnswerWritten.TurnedOver when number.HasFraction && number.Numerator > 0 => new MixedNumber(number.Whole, number.Denominator, number.Numerator),
            AnswerWritten.WholeAndNumeratorExchanged when number.HasFraction && number.Whole > 0 =>
                new MixedNumber(number.Numerator, number.Whole, number.Denominator),
            AnswerWritten.OneMore => number with { Whole = number.Whole + 1 },
            AnswerWritten.OneLess when number.Whole > 0 => number with { Whole = number.Whole - 1 },
            AnswerWritten.RoundedToWhole when number.HasFraction => new MixedNumber(number.Whole + (2 * number.Numerator >= number.Denominator ? 1 : 0), 0, 0),
            AnswerWritten.NumeratorOneMore when number.HasFraction => number with { Numerator = number.Numerator + 1 },
            AnswerWritten.NumeratorOneLess when number.HasFraction && number.Numerator > 1 => number with { Numerator = number.Numerator - 1 },
            AnswerWritten.SignOut => number,
            _ => null,
        };
        return changed is { } written ? (isNegative && way != AnswerWritten.SignOut ? "-" : "") + written.Text : null;
    }

    private static Rational? Solution(string answer)
    {
        if (answer.Split(" = ") is not [_, var text]) return null;
        var parts = text.Split('/');
        return BigInteger.TryParse(parts[0], out var numerator)
            && BigInteger.TryParse(parts.Length > 1 ? parts[1] : "1", out var denominator) && !denominator.IsZero
            ? new Rational(numerator, denominator)
            : null;
    }

    private static Rational? Number(Rational number, AnswerWritten way)
    {
        var size = Rational.Abs(number);
        var sign = Rational.Whole(number.Sign);
        return way switch
        {
            AnswerWritten.SignOut => size,
            AnswerWritten.SignAdded => -size,
            AnswerWritten.SignTurned => -number,
            AnswerWritten.TurnedOver when !number.IsZero => Rational.Whole(1) / number,
            AnswerWritten.RoundedToWhole => sign * Exact.Rounded(size, 0),
            AnswerWritten.WholePartOnly => sign * Exact.CutOff(size, 0),
            AnswerWritten.NumeratorOnly => Rational.Whole(number.Numerator),
            AnswerWritten.OneMore => number + Rational.Whole(1),
            AnswerWritten.OneLess => number - Rational.Whole(1),
            AnswerWritten.Doubled => number + number,
            _ => null,
        };
    }
}
