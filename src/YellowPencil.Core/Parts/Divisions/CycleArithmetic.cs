using YellowPencil.Core.Parts.Columns;
using YellowPencil.Core.Parts.Differences;
using YellowPencil.Core.Parts.Products;

namespace YellowPencil.Core.Parts.Divisions;

/// <summary>What is worked out inside a cycle of a division: estimates of a digit, its product with the divisor, the difference.</summary>
internal static class CycleArithmetic
{
    /// <summary>A number at hand is never longer; a wrong way that leads further stops there.</summary>
    public const long Largest = 1_000_000_000_000_000;

    /// <summary>The digit that the first digits of both numbers give.</summary>
    public static long ByFirstDigits(long part, long divisor, long exact)
    {
        var (first, by) = (part, divisor);
        while (by >= 10)
        {
            first /= 10;
            by /= 10;
        }

        return divisor < 10 ? exact : Math.Min(9, first / by);
    }

    /// <summary>The digit that the ten next to the divisor gives.</summary>
    public static long ByNearestTen(long part, long divisor, long exact, int most = 9) =>
        divisor < 10 ? exact : Math.Min(most, part / ((divisor + 5) / 10 * 10));

    /// <summary>The product of a digit and the divisor: a fact, or a row of a multiplication.</summary>
    public static long Product(MethodRun run, long divisor, long digit, int place)
    {
        if (divisor < 10 && digit < 10) return run.Recall(new NumberFact(FactKind.Times, (int)digit, (int)divisor), place);
        var (wasAside, line) = (run.Page.IsAside, run.Page.Line);
        run.Page.IsAside = true;
        var product = digit < 10
            ? new ProductWork(run, DigitsOf(run, divisor), run.Take(1, (int)digit)).WorkRow()
            : ProductWork.Multiply(run, DigitsOf(run, divisor), DigitsOf(run, digit));
        (run.Page.IsAside, run.Page.Line) = (wasAside, line);
        return Value(product);
    }

    /// <summary>The difference in columns; a product that is too large stands on top.</summary>
    public static long Difference(MethodRun run, long part, long product, int place)
    {
        var top = DigitsOf(run, Math.Max(part, product));
        var bottom = run.Take(top.Length);
        DigitsOf(run, Math.Min(part, product)).CopyTo(bottom);
        var cells = run.Take(top.Length);
        var wasAside = run.Page.IsAside;
        run.Page.IsAside = true;
        new ColumnDifferenceWork(run, top, bottom, cells, place)
            .Work(run.Ask(SubtractionDecisions.Direction, new ItemContext(top.Length, top.Length, NeedsRenaming: false)));
        run.Page.IsAside = wasAside;
        var answer = run.Take(3 * top.Length);
        return Value(answer[..Digits.Flatten(cells, answer)]);
    }

    private static Span<int> DigitsOf(MethodRun run, long value)
    {
        var count = 1;
        for (var rest = value / 10; rest > 0; rest /= 10) count++;
        var found = run.Take(count);
        for (var i = 0; i < count; i++, value /= 10) found[i] = (int)(value % 10);
        return found;
    }

    private static long Value(ReadOnlySpan<int> digits)
    {
        var value = 0L;
        for (var i = digits.Length - 1; i >= 0; i--) value = Math.Min(Largest, value * 10 + digits[i]);
        return value;
    }
}
