using System.Numerics;
using YellowPencil.Core.Parts.Columns;
using YellowPencil.Core.Parts.Differences;
using YellowPencil.Core.Parts.Divisions;
using YellowPencil.Core.Parts.Products;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Parts.Beside;

/// <summary>
/// Whole numbers that come up inside another working and are worked beside it: small ones as facts, larger ones by the written methods, whose marks do not
/// stand on the page. Digits are given smallest place first.
/// </summary>
internal static class WholeNumbers
{
    /// <summary>Numbers up to here, of a sum or a difference inside a fraction or a polynomial, are dealt with in the head.</summary>
    private const int LargestInside = 19;

    private const int LargestWorked = 999_999;

    private const long LargestWritten = 999_999_999_999;

    /// <summary>The families whose written methods come up.</summary>
    public static IReadOnlyList<string> WorkedBeside { get; } = ["addition", "subtraction", "multiplication"];

    /// <summary>The decisions of these methods.</summary>
    public static IReadOnlyList<Decision> Decisions { get; } = [
        .. AdditionDecisions.InColumns.Concat(SubtractionDecisions.InColumns).Concat(MultiplicationDecisions.InRows).Distinct()];

    /// <summary>A sum, as a number with which another working goes on.</summary>
    public static BigInteger Sum(MethodRun run, BigInteger first, BigInteger second) =>
        first > LargestWorked || second > LargestWorked ? first + second : Value(Plus(run, first, second, LargestInside));

    /// <summary>A difference, as a number with which another working goes on.</summary>
    public static BigInteger Difference(MethodRun run, BigInteger larger, BigInteger smaller) =>
        larger > LargestWorked ? larger - smaller : Value(Minus(run, larger, smaller, LargestInside));

    /// <summary>A product, as a number with which another working goes on; nothing is looked up for 0 and 1.</summary>
    public static BigInteger Product(MethodRun run, BigInteger first, BigInteger second) =>
        first <= 1 || second <= 1 || first > LargestWorked || second > LargestWorked ? first * second : Value(Times(run, first, second));

    // A rule can write many digits in one column; nobody goes on with such a number.
    private static BigInteger Value(ReadOnlySpan<int> digits) => BigInteger.Min(Digits.Value(digits), LargestWritten);

    /// <summary>The digits of a sum.</summary>
    public static Span<int> Plus(MethodRun run, BigInteger first, BigInteger second, int largestInHead)
    {
        if (first <= largestInHead && second <= largestInHead) return Digit(run, run.Recall(new NumberFact(FactKind.Plus, (int)first, (int)second), 0));
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

    /// <summary>The digits of a difference.</summary>
    public static Span<int> Minus(MethodRun run, BigInteger larger, BigInteger smaller, int largestInHead)
    {
        if (larger < 2 * largestInHead && smaller <= largestInHead) return Digit(run, run.Recall(new NumberFact(FactKind.Minus, (int)larger, (int)smaller), 0));
        var top = DigitsOf(run, larger);
        var bottom = run.Take(top.Length);
        DigitsOf(run, smaller).CopyTo(bottom);
        var cells = run.Take(top.Length);
        run.Page.IsAside = true;
        new ColumnDifferenceWork(run, top, bottom, cells).Work(DifferenceDirection.FromOnes);
        run.Page.IsAside = false;
        return Flat(run, cells);
    }

    /// <summary>The digits of a product.</summary>
    public static Span<int> Times(MethodRun run, BigInteger first, BigInteger second)
    {
        if (first <= 12 && second <= 12) return Digit(run, run.Recall(new NumberFact(FactKind.Times, (int)first, (int)second), 0));
        run.Page.IsAside = true;
        var answer = ProductWork.Multiply(run, DigitsOf(run, first), DigitsOf(run, second));
        run.Page.IsAside = false;
        return answer;
    }

    /// <summary>The digits of the whole part of a quotient.</summary>
    public static Span<int> Quotient(MethodRun run, BigInteger dividend, BigInteger divisor)
    {
        var quotient = dividend / divisor;
        if (quotient <= 12 && divisor <= 12) return Digit(run, run.Recall(new NumberFact(FactKind.DividedBy, (int)dividend, (int)divisor), 0));
        if (divisor >= BigInteger.Pow(10, DivisionWork.MostDivisorDigits)) return DigitsOf(run, quotient);
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

    /// <summary>The digits of a number.</summary>
    public static Span<int> DigitsOf(MethodRun run, BigInteger value)
    {
        var text = value.ToString();
        var digits = run.Take(text.Length);
        for (var i = 0; i < digits.Length; i++) digits[i] = text[digits.Length - 1 - i] - '0';
        return digits;
    }
}
