using System.Numerics;
using System.Text.RegularExpressions;

namespace YellowPencil.Core.Notation;

/// <summary>The numbers over which a quadratic is factored.</summary>
public enum FactorsOver
{
    /// <summary>The integers.</summary>
    Integers,

    /// <summary>The real numbers.</summary>
    Reals,

    /// <summary>The complex numbers.</summary>
    Complex,
}

/// <summary>What stands in a bracket behind the letter: a number, and a number times the root of a whole number, or of one below zero.</summary>
/// <param name="Plain">The number without a root.</param>
/// <param name="Times">What stands before the root, with its sign; 0 where there is no root.</param>
/// <param name="Under">The whole number under the root; below zero where i stands with it, -1 where i stands alone.</param>
public readonly partial record struct SurdEnd(Rational Plain, Rational Times, BigInteger Under)
{
    private const int MostUnder = 100_000_000;

    // Far above what the numbers of a quadratic come to; larger ones stay under the root as they are.
    private const long MostSplit = 1_000_000_000_000_000;

    /// <summary>Plain plus or minus the root of a number, squares taken out of the root.</summary>
    public static SurdEnd Of(Rational plain, Rational squared, bool isMinus)
    {
        if (squared.IsZero) return new SurdEnd(plain, default, BigInteger.One);

        // The root of s²d/(t²e) is s times the root of de, over te; above and below share no factor.
        var (above, below) = (WithoutSquares(BigInteger.Abs(squared.Numerator)), WithoutSquares(squared.Denominator));
        var inside = above.Inside * below.Inside;
        var times = new Rational(isMinus ? -above.Outside : above.Outside, below.Outside * below.Inside);
        if (inside.IsOne && squared.Sign > 0) return new SurdEnd(plain + times, default, BigInteger.One);
        return new SurdEnd(plain, times, squared.Sign < 0 ? -inside : inside);
    }

    /// <summary>The same with every square taken out of the root.</summary>
    public SurdEnd Simplest
    {
        get
        {
            if (Times.IsZero) return new SurdEnd(Plain, default, BigInteger.One);
            var (outside, inside) = WithoutSquares(BigInteger.Abs(Under));
            var times = Times * Rational.Whole(outside);
            return inside.IsOne && Under.Sign > 0 ? new SurdEnd(Plain + times, default, BigInteger.One) : new SurdEnd(Plain, times, Under.Sign * inside);
        }
    }

    /// <summary>The bracket with a letter: <c>(x + 4 + 2sqrt(3))</c>, <c>(x - 2 - i sqrt(6))</c>.</summary>
    public string Bracket(char letter) => $"({letter}{Signed(Plain, Rational.Abs(Plain).Text)}{Signed(Times, Root)})";

    private string Root
    {
        get
        {
            var numerator = BigInteger.Abs(Times.Numerator);
            var (under, isImaginary) = (BigInteger.Abs(Under), Under.Sign < 0);
            var root = under.IsOne && isImaginary ? "i" : isImaginary ? $"i sqrt({under})" : $"sqrt({under})";
            return $"{(numerator.IsOne ? "" : numerator)}{root}{(Times.Denominator.IsOne ? "" : $"/{Times.Denominator}")}";
        }
    }

    private static string Signed(Rational number, string size) => number.IsZero ? "" : number.Sign < 0 ? $" - {size}" : $" + {size}";

    /// <summary>Reads what stands between the brackets; null for anything else.</summary>
    public static SurdEnd? TryRead(string inside)
    {
        var text = string.Concat(inside.Replace("√", "sqrt").Where(c => !char.IsWhiteSpace(c)));
        if (text.Length == 0 || !char.IsAsciiLetterLower(text[0]) || text[0] is 'i' or 's') return null;
        var (plain, times, under, at) = (default(Rational), default(Rational), BigInteger.One, 1);
        while (at < text.Length)
        {
            if (Part().Match(text, at) is not { Success: true, Length: > 1 } part || part.Index != at) return null;
            var denominator = part.Groups["bottom"].Success ? BigInteger.Parse(part.Groups["bottom"].Value) : BigInteger.One;
            if (denominator.IsZero) return null;
            var size = new Rational(part.Groups["top"].Length > 0 ? BigInteger.Parse(part.Groups["top"].Value) : BigInteger.One, denominator);
            var signed = part.Groups["sign"].Value == "-" ? -size : size;
            var (hasRoot, isImaginary) = (part.Groups["root"].Success, part.Groups["i"].Success || part.Groups["j"].Success);
            if (!hasRoot && !isImaginary)
            {
                if (!plain.IsZero || part.Groups["top"].Length == 0) return null;
                plain = signed;
            }
            else
            {
                if (!times.IsZero) return null;
                under = hasRoot ? BigInteger.Parse(part.Groups["root"].Value) : BigInteger.One;
                if (under.IsZero || under > MostUnder) return null;
                if (isImaginary) under = -under;
                times = signed;
            }

            at += part.Length;
        }

        return new SurdEnd(plain, times, under);
    }

    private static (BigInteger Outside, BigInteger Inside) WithoutSquares(BigInteger number)
    {
        if (number > MostSplit) return (BigInteger.One, number);
        var (rest, outside, inside) = ((long)number, 1L, 1L);
        for (var factor = 2L; factor * factor * factor <= rest; factor++)
            while (rest % factor == 0)
            {
                rest /= factor;
                if (rest % factor != 0)
                {
                    inside *= factor;
                    continue;
                }

                (rest, outside) = (rest / factor, outside * factor);
            }

        // What is left has two prime factors at the most.
        var root = (long)Exact.Root(rest);
        return root * root == rest ? (outside * root, inside) : (outside, inside * rest);
    }

    [GeneratedRegex(@"\G(?<sign>[+-])(?<top>[0-9]{0,9})(?<i>i)?\*?(?:sqrt\(?(?<root>[0-9]{1,9})\)?)?(?<j>i)?(?:/(?<bottom>[0-9]{1,9}))?")]
    private static partial Regex Part();
}

/// <summary>A number before brackets with roots in them.</summary>
/// <param name="Front">The number before the brackets.</param>
/// <param name="Ends">What stands behind the letter in each bracket.</param>
internal sealed partial record SurdFactors(BigInteger Front, IReadOnlyList<SurdEnd> Ends)
{
    /// <summary>The factors of a quadratic over the reals or the complex numbers; null where it has none there.</summary>
    public static SurdFactors? Of(int a, int b, int c, FactorsOver over)
    {
        var middle = new Rational(b, 2 * (BigInteger)a);
        var squared = middle * middle - new Rational(c, a);
        if (squared.Sign < 0 && over != FactorsOver.Complex) return null;
        return new SurdFactors(a, [SurdEnd.Of(middle, squared, isMinus: false), SurdEnd.Of(middle, squared, isMinus: true)]);
    }

    /// <summary>As an answer, its brackets in one order.</summary>
    public string Text(char letter) =>
        $"{(Front.IsOne ? "" : Front == -1 ? "-" : Front)}{string.Concat(Ends.Select(e => e.Bracket(letter)).Order(StringComparer.Ordinal))}";

    /// <summary>The same with every square taken out of the roots.</summary>
    public SurdFactors Simplest => this with { Ends = [.. Ends.Select(e => e.Simplest)] };

    /// <summary>Reads a product of brackets with roots; null for anything else.</summary>
    public static SurdFactors? TryRead(string text)
    {
        if (Shape().Match(text) is not { Success: true } found) return null;
        var ends = new List<SurdEnd>();
        foreach (Capture bracket in found.Groups["bracket"].Captures)
        {
            if (SurdEnd.TryRead(bracket.Value) is not { } end) return null;
            ends.Add(end);
        }

        var front = found.Groups["front"].Value;
        return new SurdFactors(front.Length == 0 ? BigInteger.One : front == "-" ? -BigInteger.One : BigInteger.Parse(front), ends);
    }

    // Brackets may hold the brackets of a root.
    [GeneratedRegex(@"^\s*(?<front>-?[0-9]{0,9})\s*(?:\*?\s*\((?<bracket>[^()]*(?:\([0-9]+\)[^()]*)*)\)\s*)+$")]
    private static partial Regex Shape();
}
