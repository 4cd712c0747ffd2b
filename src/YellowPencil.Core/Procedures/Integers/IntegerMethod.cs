using System.Numerics;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures.Addition;
using YellowPencil.Core.Procedures.Division;
using YellowPencil.Core.Procedures.Multiplication;
using YellowPencil.Core.Procedures.Subtraction;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Integers;

/// <summary>
/// The four operations on whole numbers with signs. The numbers without their signs are dealt with as facts, or by the written methods where
/// they are large.
/// </summary>
public sealed class IntegerMethod : Method
{
    /// <summary>Numbers up to here are added in the head, and taken from numbers below twice as much; larger ones digit by digit.</summary>
    private const int LargestInHead = 10;

    /// <inheritdoc/>
    public override Family Family => Family.Integers;

    /// <inheritdoc/>
    public override IReadOnlyList<Part> Parts { get; } =
    [
        new(Family.Addition, "in the numbers without their signs"),
        new(Family.Subtraction, "in the numbers without their signs"),
        new(Family.Multiplication, "in the numbers without their signs"),
        new(Family.Division, "in the numbers without their signs"),
    ];

    /// <inheritdoc/>
    protected override IReadOnlyList<DecisionPoint> OwnPoints { get; } =
        [.. IntegerPoints.All, .. AdditionPoints.InColumns.Concat(SubtractionPoints.InColumns).Concat(MultiplicationPoints.InRows).Concat(DivisionPoints.InCycles).Distinct()];

    /// <inheritdoc/>
    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Lines, WorkFields.Sign];

    /// <inheritdoc/>
    public override Func<ItemTask> Items(int seed) => new IntegerItems(seed).Next;

    /// <inheritdoc/>
    public override ItemTask? Resume(ItemTask task, ItemTask from, string line) => SignedPair.TryRead(line) is { } pair && !pair.IsAsideOf((SignedPair)task) ? pair : null;

    /// <inheritdoc/>
    public override bool IsSameLine(string one, string other) =>
        SignedPair.TryRead(one) is { } first && SignedPair.TryRead(other) is { } second && first.SaysTheSameAs(second);

    /// <inheritdoc/>
    public override void Walk(ItemTask task, MethodRun run)
    {
        var pair = (SignedPair)task;
        var context = ContextOf(pair);
        var way = run.Ask(IntegerPoints.Way, context);
        if (pair.Operation is PairOperation.Plus or PairOperation.Minus && way is SignedWay.AsSet)
        {
            Sum(run, pair, context);
            return;
        }

        switch (way)
        {
            case SignedWay.Add:
                Sum(run, pair, context with { Operation = PairOperation.Plus });
                return;
            case SignedWay.Subtract:
                Sum(run, pair, context with { Operation = PairOperation.Minus });
                return;
            default:
                break;
        }

        if (run.Page.KeepsMarks) run.Page.Pass(pair.Text, isWritten: false);
        var divides = pair.Operation == PairOperation.DividedBy && way != SignedWay.Multiply;
        var signs = new SignsContext(context.FirstIsNegative, context.SecondIsNegative, context.FirstIsLarger, divides);
        var signFirst = SignPoints.ComesFirst(run);
        var isNegative = signFirst && SignPoints.IsNegative(run, signs);
        var (first, second) = (BigInteger.Abs(pair.First), BigInteger.Abs(pair.Second));
        var digits = way switch
        {
            SignedWay.SizesAdded => Plus(run, first, second),
            SignedWay.SizesApart => Minus(run, BigInteger.Max(first, second), BigInteger.Min(first, second)),
            _ => divides ? Quotient(run, first, second) : Times(run, first, second),
        };
        if (!signFirst) isNegative = SignPoints.IsNegative(run, signs);
        run.Page.AppendDecimal(digits, 0, isNegative);
    }

    private static SignedContext ContextOf(SignedPair pair) => new()
    {
        FirstSize = (int)BigInteger.Min(BigInteger.Abs(pair.First), 9_999),
        SecondSize = (int)BigInteger.Min(BigInteger.Abs(pair.Second), 9_999),
        Operation = pair.Operation,
        FirstIsNegative = pair.First.Sign < 0,
        SecondIsNegative = pair.Second.Sign < 0,
        FirstIsLarger = BigInteger.Abs(pair.First) > BigInteger.Abs(pair.Second),
    };

    private static void Sum(MethodRun run, SignedPair pair, SignedContext context) => run.Page.AppendDecimal(Sum(run, pair, context, out var isNegative), 0, isNegative);

    /// <summary>The digits of a sum of two numbers with signs, for other methods that come to one.</summary>
    internal static Span<int> Sum(MethodRun run, BigInteger first, BigInteger second, out bool isNegative)
    {
        var pair = SignedPair.Of(first, PairOperation.Plus, second);
        return Sum(run, pair, ContextOf(pair), out isNegative);
    }

    private static Span<int> Sum(MethodRun run, SignedPair pair, SignedContext context, out bool isNegative)
    {
        var firstIsNegative = context.FirstIsNegative && run.Ask(IntegerPoints.First, context) == FirstSign.Kept;
        var takesAway = context.IsMinus;
        if (context.SecondIsNegative)
        {
            if (run.Ask(IntegerPoints.Meeting, context) == MeetingSigns.Joined) takesAway = !takesAway;
        }

        if (run.Page.KeepsMarks)
            run.Page.Pass($"{(firstIsNegative ? "-" : "")}{BigInteger.Abs(pair.First)} {(takesAway ? "-" : "+")} {BigInteger.Abs(pair.Second)}", isWritten: context.SecondIsNegative);

        context = context with { FirstCountsNegative = firstIsNegative, SecondCountsNegative = takesAway, HaveSameSign = firstIsNegative == takesAway };
        var adds = run.Ask(IntegerPoints.Sizes, context) switch
        {
            Magnitudes.Add => true,
            Magnitudes.Subtract => false,
            _ => context.HaveSameSign,
        };
        var ofLeft = context.HaveSameSign || context.FirstIsLarger ? firstIsNegative : takesAway;
        isNegative = run.Ask(IntegerPoints.OfSum, context) switch
        {
            SumSign.Positive => false,
            SumSign.Negative => true,
            SumSign.AsFirst => firstIsNegative,
            SumSign.AsSecond => takesAway,
            SumSign.OfSmaller => context.HaveSameSign || !context.FirstIsLarger ? firstIsNegative : takesAway,
            SumSign.ByProductRule => !context.HaveSameSign,
            SumSign.NegativeIfAny => firstIsNegative || takesAway,
            SumSign.Opposite => !ofLeft,
            _ => ofLeft,
        };
        var (first, second) = (BigInteger.Abs(pair.First), BigInteger.Abs(pair.Second));
        var digits = adds ? Plus(run, first, second) : Minus(run, BigInteger.Max(first, second), BigInteger.Min(first, second));
        if (first > 999 || second > 999) return digits;
        if (!run.IsOpen(IntegerPoints.Size))
        {
            run.PassOver();
            return digits;
        }

        var size = (int)BigInteger.Min(Digits.Value(digits), 99_999_999);
        return run.Decide(IntegerPoints.Size, context, size) is var decided && decided == size ? digits : DigitsOf(run, decided);
    }

    private static Span<int> Plus(MethodRun run, BigInteger first, BigInteger second)
    {
        if (first <= LargestInHead && second <= LargestInHead) return Digit(run, run.Recall(new NumberFact(FactKind.Plus, (int)first, (int)second), 0));
        var top = DigitsOf(run, first);
        var bottom = DigitsOf(run, second);
        var width = Math.Max(top.Length, bottom.Length);
        var rows = run.Take(2 * width);
        top.CopyTo(rows);
        bottom.CopyTo(rows[width..]);
        var cells = run.Take(width + 2);
        run.Page.IsAside = true;
        new ColumnSumWork(run, rows, 2, cells).Work(SumDirection.FromOnes);
        run.Page.IsAside = false;
        return Flat(run, cells);
    }

    private static Span<int> Minus(MethodRun run, BigInteger larger, BigInteger smaller)
    {
        if (larger < 2 * LargestInHead && smaller <= LargestInHead) return Digit(run, run.Recall(new NumberFact(FactKind.Minus, (int)larger, (int)smaller), 0));
        var top = DigitsOf(run, larger);
        var bottom = run.Take(top.Length);
        DigitsOf(run, smaller).CopyTo(bottom);
        var cells = run.Take(top.Length);
        run.Page.IsAside = true;
        new ColumnDifferenceWork(run, top, bottom, cells).Work(Direction.FromOnes);
        run.Page.IsAside = false;
        return Flat(run, cells);
    }

    private static Span<int> Times(MethodRun run, BigInteger first, BigInteger second)
    {
        if (first <= 12 && second <= 12) return Digit(run, run.Recall(new NumberFact(FactKind.Times, (int)first, (int)second), 0));
        run.Page.IsAside = true;
        var answer = ProductWork.Multiply(run, DigitsOf(run, first), DigitsOf(run, second));
        run.Page.IsAside = false;
        return answer;
    }

    private static Span<int> Quotient(MethodRun run, BigInteger dividend, BigInteger divisor)
    {
        var quotient = dividend / divisor;
        if (quotient <= 12 && divisor <= 12) return Digit(run, run.Recall(new NumberFact(FactKind.DividedBy, (int)dividend, (int)divisor), 0));
        if (divisor >= BigInteger.Pow(10, LongDivision.MostDivisorDigits)) return DigitsOf(run, quotient);
        var digits = DigitsOf(run, dividend);
        digits.Reverse();
        run.Page.IsAside = true;
        var work = new DivisionWork(run, digits, digits.Length, (long)divisor, asksDecimal: false, mostAppended: 0);
        work.Work();
        run.Page.IsAside = false;
        work.Quotient[..work.Written].Reverse();
        return Flat(run, work.Quotient[..work.Written]);
    }

    private static Span<int> Flat(MethodRun run, ReadOnlySpan<int> cells)
    {
        var digits = run.Take(7 * cells.Length);
        return digits[..Digits.Flatten(cells, digits)];
    }

    private static Span<int> Digit(MethodRun run, int value) => Flat(run, run.Take(1, Math.Max(0, value)));

    private static Span<int> DigitsOf(MethodRun run, BigInteger value)
    {
        var text = value.ToString();
        var digits = run.Take(text.Length);
        for (var i = 0; i < digits.Length; i++) digits[i] = text[digits.Length - 1 - i] - '0';
        return digits;
    }
}
