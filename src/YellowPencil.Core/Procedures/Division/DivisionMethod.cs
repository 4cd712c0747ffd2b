using System.Numerics;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Procedures.Division;

/// <summary>Long division of whole numbers.</summary>
public sealed class DivisionMethod : Method
{
    /// <summary>What every method that divides uses, and where in it.</summary>
    internal static readonly IReadOnlyList<Part> InnerParts =
    [
        new(Family.Subtraction, "in the subtractions inside the division"),
        new(Family.Multiplication, "in the products inside the division"),
    ];

    /// <inheritdoc/>
    public override Family Family => Family.Division;

    /// <inheritdoc/>
    public override IReadOnlyList<Part> Parts => InnerParts;

    /// <inheritdoc/>
    public override IReadOnlyList<DecisionPoint> Points => DivisionPoints.All;

    /// <inheritdoc/>
    public override IReadOnlyList<MarkField> Fields { get; } = [MarkField.StepQuotient, MarkField.StepProduct, MarkField.StepDifference, MarkField.StepBroughtDown];

    /// <inheritdoc/>
    public override Func<ItemTask> Items(int seed) => new DivisionItems(seed).Next;

    /// <inheritdoc/>
    public override void Walk(ItemTask task, MethodRun run)
    {
        var division = (LongDivision)task;
        var context = new DivisionContext(division.Dividend.Length, division.Divisor.Length, division.AnswerForm);
        switch (run.Ask(DivisionPoints.Way, context))
        {
            case DivisionWay.Multiply:
                run.Append((division.Dividend.Value * division.Divisor.Value).ToString());
                return;
            case DivisionWay.Subtract:
                run.Append((division.Dividend.Value - division.Divisor.Value).ToString());
                return;
            default:
                break;
        }

        var fromRight = context.DividendLength > 1 && run.Ask(DivisionPoints.Direction, context) == DivisionDirection.FromRight;
        var divisor = DivisorFor(run, context, (long)division.Divisor.Value);
        var digits = run.Take(context.DividendLength);
        for (var i = 0; i < digits.Length; i++) digits[i] = division.Dividend.Digit(fromRight ? i : digits.Length - 1 - i);
        var asksDecimal = division.AnswerForm == QuotientForm.AsDecimal;
        var work = new DivisionWork(run, digits, digits.Length, divisor, asksDecimal, asksDecimal ? MostAppended(division.RightAnswer) : 3);
        work.Work();
        if (fromRight) work.Quotient[..work.Written].Reverse();
        WriteAnswer(run, division, work);
    }

    /// <summary>The divisor that is divided by.</summary>
    internal static long DivisorFor(MethodRun run, DivisionContext context, long divisor)
    {
        if (context.DivisorLength < 2) return divisor;
        var first = divisor;
        while (first >= 10) first /= 10;
        var chosen = run.Ask(DivisionPoints.Divisor, context) switch
        {
            DivisorRead.FirstDigit => first,
            DivisorRead.LastDigit => divisor % 10,
            DivisorRead.NearestTen => (divisor + 5) / 10 * 10,
            _ => divisor,
        };
        return chosen == 0 ? divisor : chosen;
    }

    /// <summary>How many zeros a division to an exact decimal may need, with some to spare for those who are led astray.</summary>
    internal static int MostAppended(string rightAnswer) => rightAnswer.IndexOf('.') is >= 0 and var point ? rightAnswer.Length - point + 1 : 3;

    private static void WriteAnswer(MethodRun run, LongDivision division, DivisionWork work)
    {
        var quotient = QuotientText(work);
        if (work.Left == 0 || work.IsCutOff)
        {
            run.Append(quotient);
            return;
        }

        var (rest, divisor) = (new BigInteger(work.Left), division.Divisor.Value);
        run.Append(run.Ask(DivisionPoints.Written, new RestContext(division.AnswerForm, work.Left, (long)divisor)) switch
        {
            RestWritten.AsRemainder => $"{quotient} r {rest}",
            RestWritten.OverDivisor => Fraction(rest, divisor, reduced: true),
            RestWritten.OverDivisorAsItStands => Fraction(rest, divisor, reduced: false),
            RestWritten.AsNextDigit => quotient + rest,
            RestWritten.AsDecimal => quotient.Contains('.') ? quotient + rest : DecimalNumber.Canonical($"{quotient}.{rest}"),
            RestWritten.RoundUp => (BigInteger.TryParse(quotient, out var whole) ? whole + 1 : 0).ToString(),
            RestWritten.OverTen => Fraction(rest, 10, reduced: false),
            RestWritten.DivisorOverRest => Fraction(divisor, rest, reduced: false),
            RestWritten.OverDividend => Fraction(rest, division.Dividend.Value, reduced: false),
            RestWritten.OverQuotient => BigInteger.TryParse(quotient, out var under) && under > 0 ? Fraction(rest, under, reduced: false) : quotient,
            RestWritten.WhatIsMissing => $"{quotient} r {BigInteger.Abs(divisor - rest)}",
            RestWritten.RemainderIsDivisor => $"{quotient} r {divisor}",
            RestWritten.AsExactDecimal => DecimalNumber.Quotient(division.Dividend.Value, divisor) ?? quotient,
            _ => quotient,
        });

        string Fraction(BigInteger over, BigInteger under, bool reduced)
        {
            var common = reduced ? BigInteger.GreatestCommonDivisor(over, under) : BigInteger.One;
            return LongDivision.MixedAsWritten(BigInteger.TryParse(quotient, out var q) ? q : 0, over / common, under / common);
        }
    }

    /// <summary>The quotient as written, in its canonical spelling.</summary>
    internal static string QuotientText(DivisionWork work)
    {
        var text = new System.Text.StringBuilder();
        for (var i = 0; i < work.Written; i++)
        {
            if (i == work.PointAt) text.Append(i == 0 ? "0." : ".");
            text.Append(work.Quotient[i]);
        }

        if (text.Length == 0) return "0";
        return DecimalNumber.Canonical(text.ToString());
    }
}
