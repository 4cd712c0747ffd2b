using System.Globalization;
using System.Numerics;
using YellowPencil.Core.Families.Equations;
using YellowPencil.Core.Families.Expanding;
using YellowPencil.Core.Families.Roots;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts.Columns;
using YellowPencil.Core.Parts.Fractions;

namespace YellowPencil.Core.Tests.Bugs;

/// <summary>
/// Rules once more, each in a few lines of plain arithmetic written from its sentence, without decision points, contexts or methods: what the engine
/// does is held against them. Null where an item is not one of those for which the plain version was written.
/// </summary>
internal static class PlainRules
{
    /// <summary>All of them by the id of the bug.</summary>
    public static readonly IReadOnlyDictionary<string, Func<ItemTask, string?>> All = new Dictionary<string, Func<ItemTask, string?>>
    {
        ["addition.carry-dropped"] = Sum((sum, carry, last) => (last ? sum : sum % 10, 0)),
        ["addition.tens-written-ones-carried"] = Sum((sum, carry, last) => last || sum + carry < 10 ? (sum + carry, 0) : ((sum + carry) / 10, (sum + carry) % 10)),
        ["addition.carries-one-only"] = Sum((sum, carry, last) => last ? (sum + carry, 0) : ((sum + carry) % 10, Math.Min(1, (sum + carry) / 10))),
        ["addition.exactly-ten-not-carried"] = Sum((sum, carry, last) => last ? (sum + carry, 0) : ((sum + carry) % 10, sum + carry == 10 ? 0 : (sum + carry) / 10)),
        ["addition.carries-from-nine"] = Sum((sum, carry, last) => last ? (sum + carry, 0) : ((sum + carry) % 10, sum + carry == 9 ? 1 : (sum + carry) / 10)),
        ["addition.carry-counted-twice"] = Sum((sum, carry, last) => last ? (sum + 2 * carry, 0) : ((sum + 2 * carry) % 10, (sum + 2 * carry) / 10)),
        ["addition.nine-is-the-most"] = Sum((sum, carry, last) => last ? (sum, 0) : (Math.Min(9, sum), 0)),
        ["addition.last-carry-dropped"] = Sum((sum, carry, last) => ((sum + carry) % 10, (sum + carry) / 10)),
        ["addition.writes-both-digits"] = Sum((sum, carry, last) => (sum, 0)),
        ["addition.largest-digit"] = task => Digitwise(task, digits => digits.Max()),
        ["addition.adds-all-digits"] = task => Wholes(task).Sum(n => n.ToString(CultureInfo.InvariantCulture).Sum(c => c - '0')).ToString(CultureInfo.InvariantCulture),

        ["subtraction.turns-column-round"] = task => Digitwise(task, d => d.Length == 2 ? Math.Abs(d[0] - d[1]) : d[0]),
        ["subtraction.zero-when-short"] = task => Digitwise(task, d => d.Length == 2 ? Math.Max(0, d[0] - d[1]) : d[0]),
        ["subtraction.top-when-short"] = task => Digitwise(task, d => d.Length == 2 && d[0] >= d[1] ? d[0] - d[1] : d[0]),
        ["subtraction.bottom-when-short"] = task => Digitwise(task, d => d.Length == 2 ? d[0] < d[1] ? d[1] : d[0] - d[1] : d[0]),
        ["subtraction.nobody-lends"] = task => Digitwise(task, d => d.Length == 2 ? (d[0] - d[1] + 10) % 10 : d[0]),
        ["subtraction.adds-when-short"] = task => Digitwise(task, d => d.Length == 2 && d[0] < d[1] ? -1 : d.Length == 2 ? d[0] - d[1] : d[0]),
        ["subtraction.zero-top-counts-as-ten"] = Difference((top, bottom, at, below) => below && top[at] == 0 && bottom > 0 ? 10 - bottom : Renamed(top, bottom, at)),
        ["subtraction.zero-below-gives-zero"] = Difference((top, bottom, at, below) => below && bottom == 0 ? 0 : Renamed(top, bottom, at)),
        ["subtraction.equal-gives-digit"] = Difference((top, bottom, at, below) => below && top[at] == bottom ? bottom : Renamed(top, bottom, at)),
        ["subtraction.zeros-skipped"] = Difference((top, bottom, at, below) => Renamed(top, bottom, at, passed: 0)),
        ["subtraction.zeros-become-ten"] = Difference((top, bottom, at, below) => Renamed(top, bottom, at, passed: 10)),
        ["subtraction.lender-unchanged"] = Difference((top, bottom, at, below) => Renamed(top, bottom, at, lends: 0)),

        ["multiplication.adds-factors"] = task => (Wholes(task)[0] + Wholes(task)[1]).ToString(CultureInfo.InvariantCulture),
        ["multiplication.first-row-only"] = task => (Wholes(task)[0] * (Wholes(task)[1] % 10)).ToString(CultureInfo.InvariantCulture),
        ["multiplication.carry-dropped"] = Rows((top, digit) => Number(top.Select((t, i) => i == top.Length - 1 ? t * digit : t * digit % 10))),
        ["multiplication.equal-digits-doubled"] = Rows((top, digit) => Carried(top.Select(t => t == digit && t != 1 ? 2 * t : t * digit))),
        ["multiplication.zero-below-gives-other"] = Rows((top, digit) => digit == 0 ? Number(top) : Carried(top.Select(t => t * digit))),
        ["multiplication.last-row-is-answer"] = task => Each(task, (a, digits) => a * digits[^1] * BigInteger.Pow(10, digits.Length - 1)),
        ["multiplication.placeholder-missing"] = task => Each(task, (a, digits) => digits.Aggregate(BigInteger.Zero, (sum, d) => sum + a * d)),
        ["multiplication.multiplier-from-left"] = task => Each(task, (a, digits) => digits.Reverse().Select((d, i) => a * d * BigInteger.Pow(10, i)).Aggregate((x, y) => x + y)),

        ["division.remainder-dropped"] = Quotient((a, b) => $"{a / b}"),
        ["division.remainder-rounds-up"] = Quotient((a, b) => a % b == 0 ? $"{a / b}" : $"{a / b + 1}"),
        ["division.what-is-missing"] = Quotient((a, b) => a % b == 0 ? $"{a / b}" : $"{a / b} r {b - a % b}"),
        ["division.divisor-as-remainder"] = Quotient((a, b) => a % b == 0 ? $"{a / b}" : $"{a / b} r {b}"),
        ["division.remainder-as-next-digit"] = Quotient((a, b) => a % b == 0 ? $"{a / b}" : $"{a / b}{a % b}"),
        ["division.multiplies-instead"] = Quotient((a, b) => $"{a * b}"),
        ["division.subtracts-once"] = Quotient((a, b) => $"{a - b}"),
        ["division.zero-left-out"] = Quotient(WithoutZeros),

        ["decimal-products.places-of-first-only"] = Places((a, b) => a),
        ["decimal-products.places-of-second-only"] = Places((a, b) => b),
        ["decimal-products.point-as-in-sums"] = Places(Math.Max),
        ["decimal-products.counts-subtracted"] = Places((a, b) => Math.Abs(a - b)),
        ["decimal-products.smaller-count"] = Places(Math.Min),
        ["decimal-products.counts-multiplied"] = Places((a, b) => a * b),
        ["decimal-products.always-one-place"] = Places((a, b) => 1),
        ["decimal-products.point-forgotten"] = Places((a, b) => 0),
        ["decimal-products.one-place-too-few"] = Places((a, b) => Math.Max(0, a + b - 1)),
        ["decimal-products.one-place-too-many"] = Places((a, b) => a + b == 0 ? 0 : a + b + 1),

        ["integers.all-signs-passed-over"] = Signed((a, sign, b) => Apply(Math.Abs(a), sign, Math.Abs(b))),
        ["integers.second-sign-passed-over"] = Signed((a, sign, b) => sign is '+' or '-' ? Apply(a, sign, Math.Abs(b)) : Apply(a, sign, b)),
        ["integers.minus-minus-stays-minus"] = Signed((a, sign, b) => sign == '-' && b < 0 ? a + b : Apply(a, sign, b)),
        ["integers.plus-minus-read-as-plus"] = Signed((a, sign, b) => sign == '+' && b < 0 ? a - b : Apply(a, sign, b)),
        ["integers.product-sign-dropped"] = Signed((a, sign, b) => sign is '*' or '/' ? Math.Abs(Apply(a, sign, b)) : Apply(a, sign, b)),
        ["integers.product-keeps-first-sign"] = Signed((a, sign, b) => sign is '*' or '/' ? (a < 0 ? -1 : 1) * Math.Abs(Apply(a, sign, b)) : Apply(a, sign, b)),
        ["integers.product-takes-second-sign"] = Signed((a, sign, b) => sign is '*' or '/' ? (b < 0 ? -1 : 1) * Math.Abs(Apply(a, sign, b)) : Apply(a, sign, b)),
        ["integers.product-sign-turned-round"] = Signed((a, sign, b) => sign is '*' or '/' && (a < 0 || b < 0) ? -Apply(a, sign, b) : Apply(a, sign, b)),
        ["integers.any-minus-makes-product-negative"] = Signed((a, sign, b) => sign is '*' or '/' && (a < 0 || b < 0) ? -Math.Abs(Apply(a, sign, b)) : Apply(a, sign, b)),
        ["integers.adds-products"] = Signed((a, sign, b) => sign == '*' ? a + b : Apply(a, sign, b)),

        ["fractions.across"] = Fractions((a, b, sign, c, d) => Lowest(Math.Abs(a + sign * c), sign > 0 ? b + d : b == d ? b : Math.Abs(b - d))),
        ["fractions.larger-bottom-taken"] = Fractions((a, b, sign, c, d) => b == d ? Lowest(a + sign * c, b) : Lowest(Math.Abs(a + sign * c), Math.Max(b, d))),
        ["fractions.smaller-bottom-taken"] = Fractions((a, b, sign, c, d) => b == d ? Lowest(a + sign * c, b) : Lowest(Math.Abs(a + sign * c), Math.Min(b, d))),
        ["fractions.like-bottoms-added-always"] = Fractions((a, b, sign, c, d) => b == d ? Lowest(a + sign * c, 2 * b) : Lowest(a * d + sign * c * b, b * d)),

        ["expanding.square-of-terms"] = Brackets((a, b, c, d, isSquare) => isSquare ? (a * a, 0, b * b) : (a * c, a * d + b * c, b * d)),
        ["expanding.square-doubled"] = Brackets((a, b, c, d, isSquare) => isSquare ? (0, 2 * a, 2 * b) : (a * c, a * d + b * c, b * d)),
        ["expanding.middle-once"] = Brackets((a, b, c, d, isSquare) => isSquare ? (a * a, a * b, b * b) : (a * c, a * d + b * c, b * d)),
        ["expanding.outer-left-out"] = Brackets((a, b, c, d, isSquare) => (a * c, b * c, b * d)),
        ["expanding.inner-left-out"] = Brackets((a, b, c, d, isSquare) => (a * c, a * d, b * d)),
        ["expanding.last-left-out"] = Brackets((a, b, c, d, isSquare) => (a * c, a * d + b * c, 0)),
        ["expanding.brackets-added"] = Brackets((a, b, c, d, isSquare) => (0, a + c, b + d)),

        ["equations.number-added"] = Sides((a, b, c, d) => (a - c, d + b)),
        ["equations.letters-added"] = Sides((a, b, c, d) => (a + c, d - b)),
        ["equations.letters-crossed-off"] = Sides((a, b, c, d) => c == 0 || a == 0 ? null : (a, d - b)),
        ["equations.number-crossed-off"] = Sides((a, b, c, d) => b == 0 ? null : (a - c, d)),

        ["roots.lower-root-only"] = Root((n, low) => $"{low}"),
        ["roots.gap-as-tenths"] = Root((n, low) => Tenths(low + (n - low * low) / 10)),
        ["roots.half-of-the-number"] = Root((n, low) => Tenths(n / 2)),
    };

    private static long[] Wholes(ItemTask task) => [.. task.Numbers.Select(n => (long)n.Unscaled)];

    private static int[] Digits(BigInteger n) => [.. n.ToString(CultureInfo.InvariantCulture).Reverse().Select(c => c - '0')];

    private static string Number(IEnumerable<int> columns) => BigInteger.Parse(string.Concat(columns.Reverse())).ToString(CultureInfo.InvariantCulture);

    private static string Carried(IEnumerable<int> columns)
    {
        var value = BigInteger.Zero;
        foreach (var (column, at) in columns.Select((c, i) => (c, i))) value += column * BigInteger.Pow(10, at);
        return value.ToString(CultureInfo.InvariantCulture);
    }

    private static string? Digitwise(ItemTask task, Func<int[], int> column)
    {
        var rows = Wholes(task).Select(n => Digits(n)).ToList();
        var columns = Enumerable.Range(0, rows.Max(r => r.Length)).Select(i => column([.. rows.Where(r => i < r.Length).Select(r => r[i])])).ToList();
        return columns.Contains(-1) ? null : Number(columns);
    }

    private static Func<ItemTask, string?> Sum(Func<int, int, bool, (int Written, int Carry)> column) => task =>
    {
        var rows = Wholes(task).Select(n => Digits(n)).ToList();
        var written = new List<int>();
        var carry = 0;
        var width = rows.Max(r => r.Length);
        for (var i = 0; i < width; i++)
        {
            (var digit, carry) = column(rows.Where(r => i < r.Length).Sum(r => r[i]), carry, i == width - 1);
            written.Add(digit);
        }

        return Number(written);
    };

    private static Func<ItemTask, string?> Difference(Func<int[], int, int, bool, int> column) => task =>
    {
        var (top, bottom) = (Digits(Wholes(task)[0]), Digits(Wholes(task)[1]));
        return Number(Enumerable.Range(0, top.Length).Select(i => column(top, i < bottom.Length ? bottom[i] : 0, i, i < bottom.Length)).ToList());
    };

    // The top digit less the bottom one, renamed from the next digit that is not 0 where it is too small.
    private static int Renamed(int[] top, int bottom, int at, int passed = 9, int lends = 1)
    {
        if (top[at] >= bottom) return top[at] - bottom;
        var lender = at + 1;
        while (lender < top.Length && top[lender] == 0) top[lender++] = passed;
        if (lender == top.Length) return Math.Abs(top[at] - bottom);
        top[lender] -= lends;
        return top[at] + 10 - bottom;
    }

    private static Func<ItemTask, string?> Rows(Func<int[], int, string> row) => task => Each(task, (a, digits) =>
        digits.Select((d, i) => BigInteger.Parse(row(Digits(a), d)) * BigInteger.Pow(10, i)).Aggregate((x, y) => x + y));

    private static string? Each(ItemTask task, Func<BigInteger, int[], BigInteger> answer)
    {
        // End zeros are taken off by some classes; those items are left to the tests of the method.
        var (a, b) = (Wholes(task)[0], Wholes(task)[1]);
        return a % 10 == 0 || b % 10 == 0 ? null : answer(a, Digits(b)).ToString(CultureInfo.InvariantCulture);
    }

    private static Func<ItemTask, string?> Quotient(Func<long, long, string?> answer) => task => task.Asked == default ? answer(Wholes(task)[0], Wholes(task)[1]) : null;

    private static string WithoutZeros(long a, long b)
    {
        var (rest, quotient) = (0L, "");
        foreach (var digit in a.ToString(CultureInfo.InvariantCulture))
        {
            rest = 10 * rest + digit - '0';
            if (rest >= b) quotient += rest / b;
            rest %= b;
        }

        return rest == 0 ? quotient : $"{quotient} r {rest}";
    }

    private static Func<ItemTask, string?> Places(Func<int, int, int> places) => task =>
    {
        var (a, b) = (task.Numbers[0], task.Numbers[1]);
        if (a.IsNegative || b.IsNegative) return null;
        return DecimalNumber.Canonical(Written(a.Unscaled * b.Unscaled, places(a.Places, b.Places)));
    };

    private static string Written(BigInteger digits, int places)
    {
        var text = digits.ToString(CultureInfo.InvariantCulture).PadLeft(places + 1, '0');
        return places == 0 ? text : $"{text[..^places]}.{text[^places..]}";
    }

    private static Func<ItemTask, string?> Signed(Func<int, char, int, int> answer) => task =>
    {
        var parts = task.Text.Split(' ');
        return answer(int.Parse(parts[0], CultureInfo.InvariantCulture), parts[1][0], int.Parse(parts[2], CultureInfo.InvariantCulture)).ToString(CultureInfo.InvariantCulture);
    };

    private static int Apply(int a, char sign, int b) => sign switch { '+' => a + b, '-' => a - b, '*' => a * b, _ => a / b };

    private static Func<ItemTask, string?> Fractions(Func<int, int, int, int, int, string?> answer) => task =>
    {
        var fractions = (FractionTask)task;
        if (fractions.IsNegative || fractions.Second is not { } second) return null;
        return answer((int)fractions.First.Numerator, (int)fractions.First.Denominator, fractions.IsDifference ? -1 : 1, (int)second.Numerator, (int)second.Denominator);
    };

    private static string Lowest(int top, int bottom) => MixedNumber.Canonical(top, bottom);

    private static Func<ItemTask, string?> Brackets(Func<int, int, int, int, bool, (int, int, int)> answer) => task =>
    {
        // Two brackets with the letter first in both.
        var product = (ExpandingTask)task;
        if (product.Second is not [{ Power: 1 } c, { Power: 0 } d] || product.First is not [{ Power: 1 } a, { Power: 0 } b]) return null;
        var (square, letter, number) = answer((int)a.Number, (int)b.Number, (int)c.Number, (int)d.Number, product.IsSquare);
        return PolynomialText.Write(PolynomialText.Collected([new PolyTerm(square, 2), new PolyTerm(letter, 1), new PolyTerm(number, 0)]), product.Letter);
    };

    private static Func<ItemTask, string?> Sides(Func<int, int, int, int, (int Letters, int Numbers)?> answer) => task =>
    {
        // ax + b = cx + d without brackets and without a number of the letter that vanishes.
        var equation = (EquationTask)task;
        if (equation.HasBrackets) return null;
        var (left, right) = (EquationTask.Sum(equation.Left), EquationTask.Sum(equation.Right));
        if (left.Letters.IsZero || left.Numbers.IsZero) return null;
        if (answer((int)left.Letters.Numerator, (int)left.Numbers.Numerator, (int)right.Letters.Numerator, (int)right.Numbers.Numerator) is not { Letters: not 0 } solved) return null;
        return $"{equation.Letter} = {new Rational(solved.Numbers, solved.Letters).Text}";
    };

    private static Func<ItemTask, string?> Root(Func<decimal, int, string> answer) => task =>
    {
        var root = (RootTask)task;
        if (root.IsPerfect) return root.RightAnswer;
        var number = (decimal)root.Number.Unscaled / (decimal)Math.Pow(10, root.Number.Places);
        return DecimalNumber.Canonical(answer(number, (int)Math.Sqrt((double)number)));
    };

    private static string Tenths(decimal value) => Math.Round(value, 1, MidpointRounding.AwayFromZero).ToString("0.0", CultureInfo.InvariantCulture);
}
