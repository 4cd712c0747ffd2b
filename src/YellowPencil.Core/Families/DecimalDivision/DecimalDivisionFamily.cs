using System.Numerics;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Columns;
using YellowPencil.Core.Parts.Differences;
using YellowPencil.Core.Parts.Divisions;
using YellowPencil.Core.Parts.Products;
using YellowPencil.Core.Parts.SignRules;

namespace YellowPencil.Core.Families.DecimalDivision;

/// <summary>Division of decimals: both points moved until the divisor is whole, then long division.</summary>
internal sealed class DecimalDivisionFamily() : TaughtFamily("decimal-division", "division of decimals")
{
    public static readonly DecimalDivisionFamily Instance = new();

    public override IReadOnlyList<Bug> Bugs => DecimalDivisionBugs.All;

    internal override TaskGrammar Grammar { get; } = new DecimalDivisionGrammar();

    internal override FamilyLayout Layout { get; } = new DecimalDivisionLayout();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) =>
        MultiplesLadder.OfDecimals(task.Numbers[0], task.Numbers[1], marks);

    public override string Check => "Multiply the answer by the divisor as it was set: the number that was divided must come out.";

    public override DigitOrder DigitsCome => DigitOrder.LargestFirst;

    /// <summary>Products and differences inside a division are only told where they go another way.</summary>
    public override IReadOnlyCollection<Decision> PassedOver { get; } = [.. SubtractionDecisions.InColumns, .. MultiplicationDecisions.InRows];

    public override IReadOnlyList<Part> Parts { get; } =
    [
        new("division", "in the cycles of the division"),
        new("subtraction", "in the subtractions inside the division"),
        new("multiplication", "in the products inside the division"),
        new("integers", "in the sign"),
    ];

    protected override IReadOnlyList<Decision> OwnDecisions => DecimalDivisionDecisions.All;

    public override IReadOnlyList<WorkField> Fields { get; } =
        [WorkFields.Cycles, WorkFields.Multiples, WorkFields.Sign, WorkFields.Scaled];

    public override IEnumerable<(SchoolQuestion Question, int Answer)> SchoolsShown(WorkedItem item) => WrittenQuotient.SchoolsShown(item.Work);

    public override Func<ItemTask> Items(int seed) => new DecimalDivisionItems(seed).Next;

    public override void Walk(ItemTask task, MethodRun run)
    {
        var quotient = (DecimalQuotient)task;
        var (dividend, divisor) = (quotient.Dividend, quotient.Divisor);
        var isSmaller = BigInteger.Abs(
            dividend.Unscaled * BigInteger.Pow(10, divisor.Places)) < BigInteger.Abs(divisor.Unscaled * BigInteger.Pow(10, dividend.Places));
        var context = ContextOf(dividend, divisor, isSmaller);
        var signs = new SignsContext(dividend.IsNegative, divisor.IsNegative, !isSmaller, IsQuotient: true);
        var signFirst = SignDecisions.ComesFirst(run);
        var isNegative = signFirst && SignDecisions.IsNegative(run, signs);
        if (dividend.Unscaled.IsZero)
        {
            run.Page.Append("0");
            return;
        }

        var order = run.Ask(DecimalDivisionDecisions.Order, context);
        if (
            (order == QuotientOrder.SecondByFirst || (order == QuotientOrder.LargerBySmaller && isSmaller))
                && dividend.Length <= DivisionWork.MostDivisorDigits)
        {
            (dividend, divisor) = (divisor, dividend);
            context = ContextOf(dividend, divisor, !isSmaller);
        }

        if (WithoutCycles(run.Ask(DecimalDivisionDecisions.Split, context), context, dividend, divisor) is { } size)
        {
            if (!signFirst) isNegative = SignDecisions.IsNegative(run, signs);
            run.Page.Append(DecimalNumber.Canonical($"{(isNegative ? "-" : "")}{size}"));
            return;
        }

        var places = PlacesAfterShift(run, context);
        var wholeDivisor = (long)BigInteger.Abs(divisor.Unscaled);
        var digits = DigitsOf(run, dividend, ref places);
        if (run.Page.KeepsMarks && context.IsShiftDue) WriteScaled(run, dividend, digits, places, wholeDivisor);
        var by = WrittenQuotient.DivisorFor(run, new DivisionContext(digits.Length, wholeDivisor.ToString().Length, QuotientForm.AsDecimal), wholeDivisor);
        var work = new DivisionWork(
            run, digits, digits.Length - places, by, asksDecimal: true, WrittenQuotient.MostAppended(quotient.RightAnswer) + divisor.Places);
        work.Work();
        if (!signFirst) isNegative = SignDecisions.IsNegative(run, signs);
        WriteAnswer(run, context, work, isNegative);
    }

    /// <summary>The size of an answer that is found without dividing all digits as one number; null where it is.</summary>
    private static string? WithoutCycles(QuotientSplit split, DecimalQuotientContext context, DecimalNumber dividend, DecimalNumber divisor)
    {
        if (split == QuotientSplit.OneNumber) return null;
        var (unscaled, by) = (BigInteger.Abs(dividend.Unscaled), BigInteger.Abs(divisor.Unscaled));
        var whole = BigInteger.DivRem(unscaled, BigInteger.Pow(10, dividend.Places), out var behind);
        return split switch
        {
            QuotientSplit.TwoNumbers => $"{Part(dividend, divisor, isWhole: true)}.{Part(dividend, divisor, isWhole: false)}",
            QuotientSplit.TwoNumbersByWhole when context is { DivisorPlaces: 0, DividendPlaces: > 0 } => $"{whole / by}.{behind / by}",
            QuotientSplit.PointToTheRight when context.ZerosOfDivisor > 0 => DecimalNumber.Exact(unscaled * BigInteger.Pow(10, context.ZerosOfDivisor), dividend.Places),
            QuotientSplit.PointOnePlace when context.ZerosOfDivisor > 0 => DecimalNumber.Exact(unscaled, dividend.Places + 1),
            _ => null,
        };
    }

    private static DecimalQuotientContext ContextOf(DecimalNumber dividend, DecimalNumber divisor, bool isSmaller)
    {
        var by = BigInteger.Abs(divisor.Unscaled);
        var text = by.ToString();
        return new DecimalQuotientContext(dividend.Places, divisor.Places, isSmaller)
        {
            ZerosOfDivisor = divisor.Places == 0 && text[0] == '1' && text.TrimEnd('0').Length == 1 ? text.Length - 1 : 0,
            IsShortWhole = divisor.Places == 0 && by < 10,
            GoesIntoWhole = divisor.Places == 0 && BigInteger.Abs(dividend.Unscaled) / BigInteger.Pow(10, dividend.Places) >= by,
        };
    }

    /// <summary>
    /// The parts of both numbers before their points, or behind them, divided as whole numbers beside the task; what is left is dropped, and by 0 a number
    /// stays.
    /// </summary>
    private static BigInteger Part(DecimalNumber dividend, DecimalNumber divisor, bool isWhole)
    {
        var (over, under) = (Of(dividend), Of(divisor));
        return under.IsZero ? over : over / under;

        BigInteger Of(DecimalNumber number)
        {
            var whole = BigInteger.DivRem(BigInteger.Abs(number.Unscaled), BigInteger.Pow(10, number.Places), out var behind);
            return isWhole ? whole : behind;
        }
    }

    /// <summary>How many digits of the dividend stand after its point once it was moved; less than 0 where zeros are appended.</summary>
    private static int PlacesAfterShift(MethodRun run, DecimalQuotientContext context)
    {
        var places = context.DividendPlaces;
        var due = context.DivisorPlaces;
        var moved = run.Ask(DecimalDivisionDecisions.Shift, context) switch
        {
            PointShift.DivisorOnly => 0,
            PointShift.EachToItsEnd => places,
            PointShift.DividendTheOtherWay => -due,
            PointShift.DividendOneMore => due + 1,
            PointShift.DividendOneFewer => Math.Max(0, due - 1),
            PointShift.DividendByItsOwn => places == 0 ? due : places,
            PointShift.BothByDividend => places,
            PointShift.NotAtAll => 0,
            PointShift.DividendTwice => 2 * due,
            _ => due,
        };
        moved = moved < 0 ? moved : run.Value(DecimalDivisionDecisions.Moved, context, moved, most: 30);
        if (moved <= places) return places - moved;
        return -run.Do(DecimalDivisionDecisions.Zeros, context with { Missing = moved - places });
    }

    /// <summary>The digits of the dividend from the left, with the zeros that are needed before the point or after the last digit.</summary>
    private static Span<int> DigitsOf(MethodRun run, DecimalNumber dividend, ref int places)
    {
        var appended = Math.Max(0, -places);
        places = Math.Max(0, places);
        var length = Math.Max(dividend.Length + appended, places + 1);
        var digits = run.Take(length, filledWith: 0);
        for (var i = 0; i < dividend.Length; i++) digits[length - appended - 1 - i] = dividend.Digit(i - dividend.Places);
        while (digits.Length > places + 1 && digits[0] == 0) digits = digits[1..];
        return digits;
    }

    private static void WriteScaled(MethodRun run, DecimalNumber dividend, ReadOnlySpan<int> digits, int places, long divisor)
    {
        var value = BigInteger.Zero;
        foreach (var digit in digits) value = value * 10 + digit;
        run.Page.Write(WorkFields.Scaled.Divisor, null, divisor.ToString());
        run.Page.Write(WorkFields.Scaled.Dividend, null, DecimalNumber.Exact(value, places));
    }

    private static void WriteAnswer(MethodRun run, DecimalQuotientContext context, DivisionWork work, bool isNegative)
    {
        if (work.Written == 0) return;
        var digits = WrittenQuotient.QuotientDigits(run, work, out var after);
        var places = run.Do(DecimalDivisionDecisions.Point, context with { Due = after });
        places = run.Value(DecimalDivisionDecisions.Places, context with { Digits = work.Written }, places, most: 60);
        var rest = work.Left == 0 || work.IsCutOff
            ? RestWritten.Drop
            : run.Ask(DivisionDecisions.Written, new RestContext(QuotientForm.AsDecimal, work.Left, 1));
        if (rest is RestWritten.AsNextDigit or RestWritten.AsDecimal)
        {
            var text = Digits.Text(digits);
            var point = Math.Max(0, text.Length - places);
            run.Page.Append(DecimalNumber.Canonical($"{(isNegative ? "-" : "")}{(point == 0 ? "0" : text[..point])}.{text[point..]}{work.Left}"));
            return;
        }

        run.Page.AppendDecimal(digits, places, isNegative);
        if (rest == RestWritten.AsRemainder) run.Page.AppendRemainder(work.Left);
    }
}
