using System.Globalization;
using System.Numerics;
using YellowPencil.Core.Families;
using YellowPencil.Core.Families.Equations;
using YellowPencil.Core.Families.Expanding;
using YellowPencil.Core.Families.Factoring;
using YellowPencil.Core.Families.Polynomials;
using YellowPencil.Core.Families.Roots;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts.Fractions;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>
/// Rules that somebody could follow and that stand in no catalogue of ours, each in a line of plain arithmetic: what is answered to a task. Null where a rule
/// says nothing of it.
/// </summary>
internal static class OwnRules
{
    /// <summary>All of them by family and name.</summary>
    public static readonly IReadOnlyList<(Family Family, string Name, Func<ItemTask, string?> Answer)> All =
    [
        Rule(FamilyList.Fractions, "one whole and the numerator as it was", Fractions((n, d) => n > d && n % d != 0 ? $"1 {n}/{d}" : MixedNumber.Canonical(n, d))),
        Rule(FamilyList.Fractions, "one whole too many", Fractions((n, d) => n > d && n % d != 0 ? $"{n / d + 1} {n % d}/{d}" : MixedNumber.Canonical(n, d))),
        Rule(FamilyList.Fractions, "only what is left of a fraction over one", Fractions((n, d) => n > d && n % d != 0 ? $"{n % d}/{d}" : MixedNumber.Canonical(n, d))),
        Rule(FamilyList.Fractions, "numerators over the product where one denominator goes into the other", Pairs((a, b, sign, c, d) =>
            b != d && (b % d == 0 || d % b == 0) ? MixedNumber.Canonical(Math.Abs(a + sign * c), b * d) : MixedNumber.Canonical(a * d + sign * c * b, b * d))),
        Rule(FamilyList.Fractions, "unlike fractions are always added", Pairs((a, b, sign, c, d) => b == d ? MixedNumber.Canonical(a + sign * c, b) : MixedNumber.Canonical(a * d + c * b, b * d))),

        Rule(FamilyList.MixedNumbers, "fractions are always added", Mixed((w, x, v, y, d, sign) => Columns(w + sign * v, x + y, d))),
        Rule(FamilyList.MixedNumbers, "no fraction where the first is too small", Mixed((w, x, v, y, d, sign) => sign < 0 && x < y ? $"{w - v}" : Right(w, x, v, y, d, sign))),
        Rule(FamilyList.MixedNumbers, "a whole less in every difference", Mixed((w, x, v, y, d, sign) => sign < 0 && x >= y && w > v ? Columns(w - v - 1, x - y, d) : Right(w, x, v, y, d, sign))),
        Rule(FamilyList.MixedNumbers, "renamed from the second whole", Mixed((w, x, v, y, d, sign) => sign < 0 && x < y && v > 0 ? Columns(w - v + 1, x + d - y, d) : Right(w, x, v, y, d, sign))),

        Rule(FamilyList.Polynomials, "the third bracket is left out", Terms((groups, _) => Sum(groups.Take(2)))),
        Rule(FamilyList.Polynomials, "plain numbers are left out", Terms((groups, _) => Sum(groups).Where(t => t.Power > 0))),
        Rule(FamilyList.Polynomials, "the minus turns plus signs only", Terms((groups, _) => Sum(groups.Select(g => new TermGroup(false, [.. g.Terms.Select(t => g.IsTakenAway && t.Number.Sign > 0 ? t.Turned : t)]))))),
        Rule(FamilyList.Polynomials, "the minus turns the last term only", Terms((groups, _) => Sum(groups.Select(g => new TermGroup(false, [.. g.Terms.Select((t, i) => g.IsTakenAway && i == g.Terms.Count - 1 ? t.Turned : t)]))))),
        Rule(FamilyList.Polynomials, "every answer without a minus", Terms((groups, _) => Sum(groups).Select(t => t with { Number = BigInteger.Abs(t.Number) }))),

        Rule(FamilyList.Expanding, "the last number is always plus", Products((p, q) => Products(p, q).Select((t, i) => i == 3 ? t with { Number = BigInteger.Abs(t.Number) } : t))),
        Rule(FamilyList.Expanding, "inner taken from outer", Products((p, q) => Products(p, q).Select((t, i) => i == 2 ? t.Turned : t))),
        Rule(FamilyList.Expanding, "the letter twice is twice the letter", Products((p, q) => Products(p, q).Select(t => t.Power == 2 ? new PolyTerm(2 * t.Number, 1) : t))),
        Rule(FamilyList.Expanding, "sum and product change places", Products((p, q) => p.Count == 2 && q.Count == 2 && p[0].Number.IsOne && q[0].Number.IsOne && p[0].Power == 1 && q[0].Power == 1
            ? [new PolyTerm(1, 2), new PolyTerm(p[1].Number * q[1].Number, 1), new PolyTerm(p[1].Number + q[1].Number, 0)] : Products(p, q))),
        Rule(FamilyList.Expanding, "the square of the number stands in the middle too", Products((p, q) => p.SequenceEqual(q) && p[0].Power == 1 && p[1].Power == 0
            ? [new PolyTerm(p[0].Number * p[0].Number, 2), new PolyTerm(p[1].Number * BigInteger.Abs(p[1].Number), 1), new PolyTerm(p[1].Number * p[1].Number, 0)] : Products(p, q))),

        Rule(FamilyList.Factoring, "half of the middle twice", Quadratics((a, b, c, x) => a == 1 && b != 0 && b % 2 == 0 && c > 0 ? Brackets(x, (1, b / 2), (1, b / 2)) : null)),
        Rule(FamilyList.Factoring, "middle and last number as they stand", Quadratics((a, b, c, x) => a == 1 && b != 0 && c != 0 ? Brackets(x, (1, b), (1, c)) : null)),
        Rule(FamilyList.Factoring, "the letter out of two terms", Quadratics((a, b, c, x) => a == 1 && b != 0 && c != 0 ? $"{x}{Brackets(x, (1, b))} {(c < 0 ? "-" : "+")} {Math.Abs(c)}" : null)),

        Rule(FamilyList.Roots, "the distance over the number", Root((n, low) => low + (n - low * low) / n)),
        Rule(FamilyList.Roots, "over twice the lower root", Root((n, low) => low + (n - low * low) / (2 * low))),
        Rule(FamilyList.Roots, "half of the distance is added", Root((n, low) => low + (n - low * low) / 2)),
        Rule(FamilyList.Roots, "a tenth too much", Root((n, low) => low + (n - low * low) / (2 * low + 1) + 0.1m)),

        Rule(FamilyList.Equations, "the fraction is left as it came", Sides((a, b, c, d) => (d - b, a - c), inLowest: false)),
        Rule(FamilyList.Equations, "answers have no minus", Sides((a, b, c, d) => (Math.Abs(d - b), Math.Abs(a - c)))),
        Rule(FamilyList.Equations, "the right is divided by the number of the left", Sides((a, b, c, d) => c == 0 && b != 0 ? (d, a * b) : (d - b, a - c))),
        Rule(FamilyList.Equations, "letters of the right are taken for numbers", Sides((a, b, c, d) => (d - b - c, a))),

        Rule(FamilyList.Addition, "the first and the last number only", Numbers(n => n[0] + n[^1])),
        Rule(FamilyList.Addition, "the first two numbers only", Numbers(n => n[0] + n[1])),
        Rule(FamilyList.Subtraction, "nine where the digits are the same", Columns((top, bottom) => top == bottom ? 9 : null)),
        Rule(FamilyList.Subtraction, "nothing where the top digit is too small", Columns((top, bottom) => top < bottom ? 0 : null)),
        Rule(FamilyList.Multiplication, "both rows by the tens", Numbers(n => n[1] > 9 ? $"{n[1]}".Select((_, i) => n[0] * long.Parse($"{n[1]}"[..1]) * (long)Math.Pow(10, i)).Sum() : n[0] * n[1])),
        Rule(FamilyList.DecimalProducts, "places of the longer number", Places((a, b) => Math.Max(a, b))),
        Rule(FamilyList.DecimalProducts, "one place, whatever stands there", Places((a, b) => 1)),
        Rule(FamilyList.Integers, "sizes added where numbers are multiplied", Signed((a, sign, b) => sign == '*' ? Math.Sign(a) * Math.Sign(b) * (Math.Abs(a) + Math.Abs(b)) : null)),
        Rule(FamilyList.Integers, "the sign of the second in sums", Signed((a, sign, b) => sign == '+' && a * b < 0 ? Math.Sign(b) * Math.Abs(Math.Abs(a) - Math.Abs(b)) : null)),
    ];

    private static (Family, string, Func<ItemTask, string?>) Rule(Family family, string name, Func<ItemTask, string?> answer) => (family, name, answer);

    private static Func<ItemTask, string?> Pairs(Func<int, int, int, int, int, string> answer) => task =>
        task is FractionTask { Second: { } second, IsNegative: false } set ? answer((int)set.First.Numerator, (int)set.First.Denominator, set.IsDifference ? -1 : 1, (int)second.Numerator, (int)second.Denominator) : null;

    private static Func<ItemTask, string?> Fractions(Func<int, int, string> finish) => Pairs((a, b, sign, c, d) =>
    {
        var (top, bottom) = (a * d + sign * c * b, b * d);
        var common = (int)BigInteger.GreatestCommonDivisor(top, bottom);
        return finish(top / common, bottom / common);
    });

    private static Func<ItemTask, string?> Mixed(Func<int, int, int, int, int, int, string> answer) => task =>
    {
        if (task is not FractionTask { IsNegative: false, Second: { HasFraction: true, Whole: > 0 } other, First: { HasFraction: true, Whole: > 0 } one } set) return null;
        var bottom = (int)(one.Denominator / (long)BigInteger.GreatestCommonDivisor(one.Denominator, other.Denominator) * other.Denominator);
        return answer((int)one.Whole, (int)(one.Numerator * (bottom / one.Denominator)), (int)other.Whole, (int)(other.Numerator * (bottom / other.Denominator)), bottom, set.IsDifference ? -1 : 1);
    };

    private static string Columns(int whole, int top, int bottom) => MixedNumber.Canonical(whole * bottom + top, bottom);

    private static string Right(int w, int x, int v, int y, int d, int sign) => MixedNumber.Canonical(w * d + x + sign * (v * d + y), d);

    private static Func<ItemTask, string?> Terms(Func<IReadOnlyList<TermGroup>, char, IEnumerable<PolyTerm>> answer) => task =>
        task is PolynomialTask { IsLine: false } set ? PolynomialText.Write(PolynomialText.Collected(answer(set.Groups, set.Letter)), set.Letter) : null;

    private static List<PolyTerm> Sum(IEnumerable<TermGroup> groups) => PolynomialText.Collected(groups.SelectMany(g => g.IsTakenAway ? g.Terms.Select(t => t.Turned) : g.Terms));

    private static Func<ItemTask, string?> Products(Func<IReadOnlyList<PolyTerm>, IReadOnlyList<PolyTerm>, IEnumerable<PolyTerm>> answer) => task =>
        task is ExpandingTask { Second: { } second } set ? PolynomialText.Write(PolynomialText.Collected(answer(set.First, second)), set.Letter) : null;

    private static IEnumerable<PolyTerm> Products(IReadOnlyList<PolyTerm> first, IReadOnlyList<PolyTerm> second) => first.SelectMany(a => second.Select(b => new PolyTerm(a.Number * b.Number, a.Power + b.Power)));

    private static Func<ItemTask, string?> Quadratics(Func<int, int, int, char, string?> answer) => task => task is FactoringTask set ? answer(set.A, set.B, set.C, set.Letter) ?? set.RightAnswer : null;

    private static string Brackets(char letter, params (int Number, int Plain)[] brackets) =>
        string.Concat(brackets.Select(b => $"({PolynomialText.Write([.. new[] { new PolyTerm(b.Number, 1), new PolyTerm(b.Plain, 0) }.Where(t => !t.Number.IsZero)], letter)})"));

    private static Func<ItemTask, string?> Root(Func<decimal, int, decimal> answer) => task =>
    {
        if (task is not RootTask set) return null;
        if (set.IsPerfect) return set.RightAnswer;
        var number = (decimal)set.Number.Unscaled / (decimal)Math.Pow(10, set.Number.Places);
        return Math.Round(answer(number, (int)Math.Sqrt((double)number)), 1, MidpointRounding.AwayFromZero).ToString("0.0", CultureInfo.InvariantCulture);
    };

    private static Func<ItemTask, string?> Sides(Func<int, int, int, int, (int Top, int Bottom)> answer, bool inLowest = true) => task =>
    {
        if (task is not EquationTask { HasBrackets: false } set) return null;
        var (left, right) = (EquationTask.Sum(set.Left), EquationTask.Sum(set.Right));
        if (left.Letters.IsZero) return null;
        var (top, bottom) = answer((int)left.Letters.Numerator, (int)left.Numbers.Numerator, (int)right.Letters.Numerator, (int)right.Numbers.Numerator);
        if (bottom == 0) return null;
        var text = inLowest || top % bottom == 0 ? new Rational(top, bottom).Text : $"{Math.Sign(bottom) * top}/{Math.Abs(bottom)}";
        return $"{set.Letter} = {text}";
    };

    private static Func<ItemTask, string?> Numbers(Func<long[], long> answer) => task => answer([.. task.Numbers.Select(n => (long)n.Unscaled)]).ToString(CultureInfo.InvariantCulture);

    // The digit that is written in a column of a difference; null where the column is worked as it should be.
    private static Func<ItemTask, string?> Columns(Func<int, int, int?> written) => task =>
    {
        var (top, bottom) = ($"{task.Numbers[0].Unscaled}".Reverse().Select(c => c - '0').ToArray(), $"{task.Numbers[1].Unscaled}".Reverse().Select(c => c - '0').ToArray());
        var answer = "";
        for (var i = 0; i < top.Length; i++)
        {
            var below = i < bottom.Length ? bottom[i] : 0;
            if (i < bottom.Length && written(top[i], below) is { } digit)
            {
                answer = digit + answer;
                continue;
            }

            if (top[i] < below)
            {
                var lender = i + 1;
                while (lender < top.Length && top[lender] == 0) top[lender++] = 9;
                if (lender == top.Length) return null;
                top[lender]--;
                top[i] += 10;
            }

            answer = (top[i] - below) + answer;
        }

        return BigInteger.Parse(answer).ToString(CultureInfo.InvariantCulture);
    };

    private static Func<ItemTask, string?> Places(Func<int, int, int> places) => task =>
    {
        var digits = task.Numbers[0].Unscaled * task.Numbers[1].Unscaled;
        return task.Numbers.Any(n => n.IsNegative) ? null : DecimalNumber.Canonical(DecimalNumber.Written(digits, places(task.Numbers[0].Places, task.Numbers[1].Places)));
    };

    private static Func<ItemTask, string?> Signed(Func<int, char, int, int?> answer) => task =>
    {
        var parts = task.Text.Split(' ');
        return answer(int.Parse(parts[0], CultureInfo.InvariantCulture), parts[1][0], int.Parse(parts[2], CultureInfo.InvariantCulture))?.ToString(CultureInfo.InvariantCulture) ?? task.RightAnswer;
    };
}
