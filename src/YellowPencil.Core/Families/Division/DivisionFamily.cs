using System.Numerics;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Columns;
using YellowPencil.Core.Parts.Differences;
using YellowPencil.Core.Parts.Divisions;
using YellowPencil.Core.Parts.Products;

namespace YellowPencil.Core.Families.Division;

/// <summary>Long division of whole numbers.</summary>
internal sealed class DivisionFamily() : TaughtFamily("division", "long division")
{
    public static readonly DivisionFamily Instance = new();

    public override IReadOnlyList<Bug> Bugs => DivisionBugs.All;

    internal override TaskGrammar Grammar { get; } = new DivisionGrammar();

    internal override FamilyLayout Layout { get; } = new DivisionLayout();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) =>
        MultiplesLadder.Of(task.Numbers[0].Text, task.Numbers[1].Unscaled, marks);

    public override string Check => "Multiply the answer by the divisor and add what is left: the number that was shared must come out.";

    public override DigitOrder DigitsCome => DigitOrder.LargestFirst;

    /// <summary>Products and differences inside a division are only told where they go another way.</summary>
    public override IReadOnlyCollection<Decision> PassedOver { get; } = [.. SubtractionDecisions.InColumns, .. MultiplicationDecisions.InRows];

    public override IReadOnlyList<Part> Parts { get; } =
    [
        new("subtraction", "in the subtractions inside the division"),
        new("multiplication", "in the products inside the division"),
    ];

    protected override IReadOnlyList<Decision> OwnDecisions => DivisionDecisions.All;

    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Cycles, WorkFields.Multiples];

    public override IEnumerable<(SchoolQuestion Question, int Answer)> SchoolsShown(WorkedItem item) => WrittenQuotient.SchoolsShown(item.Work);

    public override IReadOnlyList<string> ConfusedWith { get; } = ["multiplication", "subtraction"];

    public override Func<ItemTask> Items(int seed) => new DivisionItems(seed).Next;

    public override void Walk(ItemTask task, MethodRun run)
    {
        var division = (LongDivision)task;
        var context = new DivisionContext(division.Dividend.Length, division.Divisor.Length, division.AnswerForm, IsSymmetric(division.Dividend));
        switch (run.Ask(DivisionDecisions.Procedure, context))
        {
            case DivisionChoice.Multiply:
                WrittenProduct.InRows(run, division.Dividend, division.Divisor);
                return;
            case DivisionChoice.DigitsApart when context.DivisorLength == 2 && context.DividendLength > 1:
                DigitsApart(run, division);
                return;
            case DivisionChoice.DigitsLargerBySmaller when context.DivisorLength == 1:
                DigitByDigit(run, division, isLargerBySmaller: true);
                return;
            case DivisionChoice.DigitsRestsAdded when context.DivisorLength == 1:
                DigitByDigit(run, division, isLargerBySmaller: false);
                return;
            case DivisionChoice.Subtract:
                WrittenDifference.InColumns(run, division.Dividend, division.Divisor);
                return;
            default:
                break;
        }

        var fromRight = context.DividendLength > 1 && run.Ask(DivisionDecisions.Direction, context) == DivisionDirection.FromRight;
        var divisor = WrittenQuotient.DivisorFor(run, context, (long)division.Divisor.Value);
        var digits = run.Take(context.DividendLength);
        for (var i = 0; i < digits.Length; i++) digits[i] = division.Dividend.Digit(fromRight ? i : digits.Length - 1 - i);
        var asksDecimal = division.AnswerForm == QuotientForm.AsDecimal;
        var work = new DivisionWork(
            run, digits, digits.Length, divisor, asksDecimal, asksDecimal ? WrittenQuotient.MostAppended(division.RightAnswer) : 3,
            takesFirstTogether: !fromRight);
        work.Work();
        if (fromRight) work.Quotient[..work.Written].Reverse();
        WriteAnswer(run, division, work);
    }

    /// <summary>
    /// The last digit divided by the last digit of the divisor, and what stands before it by the first; what is left of the last is the remainder.
    /// </summary>
    private static void DigitsApart(MethodRun run, LongDivision division)
    {
        var digits = run.Take(division.Dividend.Length);
        for (var i = 0; i < digits.Length; i++) digits[i] = division.Dividend.Digit(digits.Length - 1 - i);
        var front = new DivisionWork(run, digits[..^1], digits.Length - 1, Math.Max(1, division.Divisor.Digit(1)), asksDecimal: false, mostAppended: 0);
        front.Work();
        front.Quotient[..front.Written].Reverse();
        run.Page.AppendDecimal(front.Quotient[..front.Written], 0);
        var (last, by) = (division.Dividend.Digit(0), division.Divisor.Digit(0));
        run.Page.Append(SmallNumbers.Text(by == 0 ? 0 : last / by));
        var rest = by == 0 ? 0 : last % by;
        if (rest > 0 && division.AnswerForm == QuotientForm.WithRemainder) run.Page.AppendRemainder(rest);
    }

    /// <summary>Each digit divided alone: the larger by the smaller and nothing left, or the digit by the divisor and what is left of each added up.</summary>
    private static void DigitByDigit(MethodRun run, LongDivision division, bool isLargerBySmaller)
    {
        var (divisor, rests, part) = (division.Divisor.Digit(0), 0, 0);
        var quotient = run.Take(division.Dividend.Length);
        var written = 0;
        for (var place = division.Dividend.Length - 1; place >= 0; place--)
        {
            part = part * 10 + division.Dividend.Digit(place);
            if (isLargerBySmaller) quotient[written++] = part == 0 || divisor == 0 ? 0 : part < divisor ? divisor / part : part / divisor;
            else if (part < divisor && written == 0 && place > 0) continue;
            else
            {
                quotient[written++] = part / divisor;
                rests += part % divisor;
            }

            part = 0;
        }

        var digits = quotient[..written];
        digits.Reverse();
        if (rests > 0 && division.AnswerForm == QuotientForm.WithFraction)
        {
            var (whole, over) = (Digits.Value(digits) + rests / divisor, rests % divisor);
            var common = BigInteger.GreatestCommonDivisor(over, divisor);
            run.Page.Append(LongDivision.MixedAsWritten(whole, over / common, divisor / common));
            return;
        }

        run.Page.AppendDecimal(digits, 0);
        if (rests > 0) run.Page.AppendRemainder(rests);
    }

    private static bool IsSymmetric(WholeNumber number)
    {
        for (var place = 0; place < number.Length / 2; place++)
            if (number.Digit(place) != number.Digit(number.Length - 1 - place)) return false;
        return true;
    }

    private static void WriteAnswer(MethodRun run, LongDivision division, DivisionWork work)
    {
        var digits = WrittenQuotient.QuotientDigits(run, work, out var places);
        var context = new RestContext(division.AnswerForm, work.Left, (long)division.Divisor.Value) { LastDigit = division.Dividend.Digit(0) };
        var left = work.Left;
        if (left is > 0 and < 1_000_000 && division.AnswerForm == QuotientForm.WithRemainder)
        {
            left = run.Value(DivisionDecisions.Left, context, (int)left, most: 9_999);
            context = context with { Rest = left };
        }

        var written = left == 0 || work.IsCutOff ? RestWritten.Drop : run.Ask(DivisionDecisions.Written, context);
        if (written is not (RestWritten.Drop or RestWritten.AsRemainder))
        {
            run.Page.Append(WithRest(DecimalNumber.Exact(Digits.Value(digits), places), written, left, division));
            return;
        }

        run.Page.AppendDecimal(digits, places);
        if (written == RestWritten.AsRemainder) run.Page.AppendRemainder(left);
    }

    /// <summary>The quotient with what is left, where the rest is not written behind an r, or not as it is.</summary>
    private static string WithRest(string quotient, RestWritten written, BigInteger rest, LongDivision division)
    {
        var divisor = division.Divisor.Value;
        return written switch
        {
            RestWritten.OverDivisor => Fraction(rest, divisor, reduced: true),
            RestWritten.OverDivisorAsItStands => Fraction(rest, divisor, reduced: false),
            RestWritten.AsNextDigit => DecimalNumber.Canonical(quotient + rest),
            RestWritten.AsDecimal => DecimalNumber.Canonical(quotient.Contains('.') ? quotient + rest : $"{quotient}.{rest}"),
            RestWritten.RoundUp => (BigInteger.TryParse(quotient, out var whole) ? whole + 1 : 0).ToString(),
            RestWritten.ToNearest => (BigInteger.TryParse(quotient, out var cut) ? rest + rest < divisor ? cut : cut + 1 : 0).ToString(),
            RestWritten.OverTen => Fraction(rest, 10, reduced: false),
            RestWritten.OverTenReduced => Fraction(rest, 10, reduced: true),
            RestWritten.OverHundred => Fraction(rest, 100, reduced: false),
            RestWritten.DivisorOverRest => Fraction(divisor, rest, reduced: false),
            RestWritten.OverDividend => Fraction(rest, division.Dividend.Value, reduced: false),
            RestWritten.OverQuotient => BigInteger.TryParse(quotient, out var under) && under > 0 ? Fraction(rest, under, reduced: false) : quotient,
            RestWritten.WhatIsMissing => rest == divisor ? quotient : $"{quotient} r {BigInteger.Abs(divisor - rest)}",
            RestWritten.RemainderIsDivisor => $"{quotient} r {divisor}",
            RestWritten.AsExactDecimal => DecimalNumber.Quotient(division.Dividend.Value, divisor) ?? quotient,
            _ => quotient,
        };

        string Fraction(BigInteger over, BigInteger under, bool reduced)
        {
            var common = reduced ? BigInteger.GreatestCommonDivisor(over, under) : BigInteger.One;
            return LongDivision.MixedAsWritten(BigInteger.TryParse(quotient, out var q) ? q : 0, over / common, under / common);
        }
    }
}
