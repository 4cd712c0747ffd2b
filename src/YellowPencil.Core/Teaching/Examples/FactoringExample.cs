using System.Numerics;
using YellowPencil.Core.Families.Factoring;
using static YellowPencil.Core.Teaching.Examples.WorkedExamples;

namespace YellowPencil.Core.Teaching.Examples;

/// <summary>A quadratic in factors, in the classroom's way.</summary>
internal sealed class FactoringExample(FactoringTask task, School school)
{
    private const int MostPairs = 8;

    private readonly char letter = task.Letter;

    /// <summary>The lines.</summary>
    public IEnumerable<ExampleLine> Lines()
    {
        var (a, b, c) = (task.A, task.B, task.C);
        var front = (int)BigInteger.GreatestCommonDivisor(BigInteger.GreatestCommonDivisor(a, b), c);
        if (a < 0) front = -front;
        if (front != 1 || c == 0)
        {
            (a, b, c) = (a / front, b / front, c / front);
            List<PolyTerm> terms = [.. new PolyTerm[] { new(a, 2), new(b, 1), new(c, 0) }.Where(t => !t.Number.IsZero)];
            var (before, inside) = c == 0 ? (new PolyTerm(front, 1), [.. terms.Select(t => t with { Power = t.Power - 1 })]) : (new PolyTerm(front, 0), terms);
            yield return new(
                BracketText.Write(before, [inside], letter),
                $"All terms have {T(before, letter)}: {string.Join("; ", inside.Select(t => $"{T(before, letter)} · {Paren(t)} = {T(new PolyTerm(t.Number * before.Number, t.Power + before.Power), letter)}"))}. It "
                    + $"stands in front and stays there.",
                FactoringDecisions.Common, FactoringDecisions.Letter);
        }

        if (c != 0)
        {
            var found = b == 0 ? Squares(a, c) : Factors.Pair(a, b, c) is null ? None(a, b, c) : school.Of(School.Factoring) switch
            {
                FactoringSchool.MiddleAndGap => MiddleAndGap(a, b, c),
                FactoringSchool.TrialPairs => Trying(a, b, c),
                _ => Cross(a, b, c),
            };
            foreach (var line in found) yield return line;
        }

        if (task.RightAnswer == FactoringTask.Prime || task.Over != FactorsOver.Integers) yield break;
        yield return new("", $"Check: {Signs.Printed(task.RightAnswer)} multiplied out is {Signs.Printed(task.Text["factor ".Length..])}, the first line.", FactoringDecisions.End);
    }

    private IEnumerable<ExampleLine> Squares(int a, int c)
    {
        var (one, other) = ((int)Exact.Root(a), (int)Exact.Root(Math.Abs(c)));
        if (c > 0 || one * one != a || other * other != -c)
        {
            yield return new("", "It is no square less a square: over whole numbers it cannot be done.", FactoringDecisions.Squares);
            yield break;
        }

        var root = T(new PolyTerm(one, 1), letter);
        yield return new(
            task.RightAnswer, $"{T(new PolyTerm(a, 2), letter)} is the square of {root}, {-c} is the square of {other}, and one is taken from the other: root and root, once plus, once minus.",
            FactoringDecisions.Squares);
    }

    private static IEnumerable<ExampleLine> None(int a, int b, int c)
    {
        yield return new("", $"{Listed(a * c, b)} No pair has the sum {N(b)}, and these are all: it cannot be done with whole numbers.", FactoringDecisions.Numbers);
    }

    private IEnumerable<ExampleLine> Cross(int a, int b, int c)
    {
        var (one, other) = Factors.Pair(a, b, c)!.Value;
        yield return new(
            "", $"In the X the product stands above, {(a == 1 ? N(c) : $"{N(a)} · {P(c)} = {N(a * c)}")}, and the sum below, {N(b)}. {Listed(a * c, b)} {N(one)} and {N(other)}: {N(one)} · {P(other)} = {N(a * c)} and {N(one)} + {P(other)} = {N(b)}.",
            FactoringDecisions.Numbers, FactoringDecisions.Signs);
        if (a == 1)
        {
            yield return new(task.RightAnswer, $"With nothing before {letter}², the two numbers stand in the brackets.", FactoringDecisions.First);
            yield break;
        }

        var row = (int)BigInteger.GreatestCommonDivisor(a, one);
        var (top, side) = (new PolyTerm(a / row, 1), new PolyTerm(one / row, 0));
        yield return new(
            PolynomialText.Write([new PolyTerm(a, 2), new PolyTerm(one, 1), new PolyTerm(other, 1), new PolyTerm(c, 0)], letter),
            $"{T(new PolyTerm(b, 1), letter)} is parted into {T(new PolyTerm(one, 1), letter)} and {T(new PolyTerm(other, 1), letter)}: these four fill the box.", FactoringDecisions.Numbers);
        yield return new(
            task.RightAnswer,
            $"The first row, {T(new PolyTerm(a, 2), letter)} and {T(new PolyTerm(one, 1), letter)}, has {T(new PolyTerm(row, 1), letter)}: its edge. Above it stand {T(top, letter)} and {T(side, letter)}. The second row, "
                + $"{T(new PolyTerm(other, 1), letter)} and {T(new PolyTerm(c, 0), letter)}, has {N(other / top.Number)} before the same edges.",
            FactoringDecisions.First);
    }

    private IEnumerable<ExampleLine> Trying(int a, int b, int c)
    {
        var lines = 0;
        foreach (var (one, other) in TrialPairs.Of(a, c))
        {
            // Where both have one sign, nobody tries the sign that the middle does not have.
            if (a > 0 && c > 0 && one[1].Number.Sign != Math.Sign(b)) continue;
            var middle = one[0].Number * other[1].Number + one[1].Number * other[0].Number;
            var fits = middle == b;
            if (!fits && ++lines > MostPairs) continue;
            yield return new(
                BracketText.Write(new PolyTerm(1, 0), [one, other], letter),
                $"Middle: {T(one[0] with { Number = one[0].Number * other[1].Number }, letter)} and {T(one[0] with { Number = one[1].Number * other[0].Number }, letter)} are "
                    + $"{T(new PolyTerm(middle, 1), letter)}. {(fits ? "That is the one: these are the brackets." : $"It must be {T(new PolyTerm(b, 1), letter)}: on to the next.")}",
                FactoringDecisions.Numbers, FactoringDecisions.Signs, FactoringDecisions.First);
            if (fits) yield break;
        }
    }

    private IEnumerable<ExampleLine> MiddleAndGap(int a, int b, int c)
    {
        var (sum, product) = (new Rational(b, a), new Rational(c, a));
        if (a != 1)
            yield return new("", $"{N(a)} is taken out first: the two numbers have the sum {Text(sum)} and the product {Text(product)}.", FactoringDecisions.First);
        var middle = sum / Rational.Whole(2);
        yield return new($"m = {middle.Text}", $"Half of the sum: {Text(sum)} ÷ 2 = {Text(middle)}. Both numbers lie equally far from it.", GapDecisions.Middle);
        var square = middle * middle - product;
        yield return new(
            $"g^2 = {square.Text}", $"The square of the half less the product: {Text(middle * middle)} − {Paren(product)} = {Text(square)}.", GapDecisions.Squared);
        var gap = new Rational(Exact.Root(square.Numerator), Exact.Root(square.Denominator));
        yield return new($"g = {gap.Text}", $"The gap is the root of {Text(square)}: {Text(gap)} × {Text(gap)} = {Text(square)}.", GapDecisions.Root);
        yield return new(
            task.RightAnswer,
            $"One on each side: {Text(middle)} + {Text(gap)} = {Text(middle + gap)} and {Text(middle)} − {Text(gap)} = {Text(middle - gap)}."
                + (a == 1 ? "" : $" The {N(a)} goes to the bracket with the fraction, or is shared by both."),
            GapDecisions.Sides, FactoringDecisions.Signs, GapDecisions.Front);
    }

    // The pairs of a product with their sums, in order.
    private static string Listed(int product, int sum)
    {
        var pairs = new List<(int One, int Other)>();
        for (var one = 1; one * one <= Math.Abs(product); one++)
        {
            if (product % one != 0) continue;
            pairs.Add((one, product / one));
            pairs.Add((-one, -(product / one)));
        }

        if (product > 0) pairs.RemoveAll(p => p.One > 0 == sum < 0);
        var shown = pairs.Take(pairs.FindIndex(p => p.One + p.Other == sum) is >= 0 and var at ? at + 1 : pairs.Count).ToList();
        var left = shown.Count > MostPairs ? "… " : "";
        return $"Pairs of {N(product)}: {left}{string.Join("; ", shown.TakeLast(MostPairs).Select(p => $"{N(p.One)} · {P(p.Other)}, sum {N(p.One + p.Other)}"))}.";
    }

    private string Paren(PolyTerm term) => term.Number.Sign < 0 ? $"({T(term, letter)})" : T(term, letter);

    private static string Paren(Rational number) => number.Sign < 0 ? $"({Text(number)})" : Text(number);

    private static string Text(Rational number) => Signs.Printed(number.Text);
}
