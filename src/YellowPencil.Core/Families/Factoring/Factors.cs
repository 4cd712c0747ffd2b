using System.Numerics;

namespace YellowPencil.Core.Families.Factoring;

/// <summary>A number, or a letter, before brackets.</summary>
/// <param name="Front">What stands before the brackets.</param>
/// <param name="Brackets">The brackets; empty where nothing was found.</param>
internal sealed record Factors(PolyTerm Front, IReadOnlyList<IReadOnlyList<PolyTerm>> Brackets)
{
    /// <summary>What was left standing behind the brackets; 0 where nothing was.</summary>
    public int Behind { get; init; }

    /// <summary>Brackets with numbers that are not whole; null where all are.</summary>
    public SurdFactors? Fractional { get; init; }

    /// <summary>The factors of a quadratic that has no common factor any more, with what was taken out before it.</summary>
    public static Factors Of(int front, int a, int b, int c)
    {
        if (c == 0) return new Factors(new PolyTerm(front, 1), [[new PolyTerm(a, 1), new PolyTerm(b, 0)]]);
        return Pair(a, b, c) is { } pair ? new Factors(new PolyTerm(front, 0), [Divided(a, pair.One), Divided(a, pair.Other)]) : Whole(front, a, b, c);
    }

    /// <summary>The quadratic as one bracket.</summary>
    public static Factors Whole(int front, int a, int b, int c) =>
        new(new PolyTerm(front, 0), [[.. new[] { new PolyTerm(a, 2), new PolyTerm(b, 1), new PolyTerm(c, 0) }.Where(t => !t.Number.IsZero)]]);

    /// <summary>The two numbers with the right sum and product, the smaller without its sign first; null where there are none.</summary>
    public static (long One, long Other)? Pair(long a, long b, long c)
    {
        var product = (BigInteger)a * c;
        var discriminant = (BigInteger)b * b - 4 * product;
        if (discriminant.Sign < 0) return null;
        var root = Exact.Root(discriminant);
        if (root * root != discriminant || !((b + root) % 2).IsZero) return null;
        var (one, other) = ((long)((b + root) / 2), (long)((b - root) / 2));
        return Math.Abs(one) <= Math.Abs(other) ? (one, other) : (other, one);
    }

    /// <summary>
    /// The product of two brackets ax + u and ax + v, divided by what divides them, as an answer; numbers that are not whole stand behind the letter as
    /// fractions.
    /// </summary>
    public static string Text(int front, int a, Rational one, Rational other, char letter) => one.IsWhole && other.IsWhole
        ? new Factors(new PolyTerm(front, 0), [Divided(a, one.Numerator), Divided(a, other.Numerator)]).Text(letter)
        : WithFractions(front, a, one, other).Text(letter);

    /// <summary>Brackets with nothing before the letter and the numbers divided by a first number behind it, as they stand before that is given back.</summary>
    public static SurdFactors Monic(BigInteger a, params Rational[] numbers) =>
        new(BigInteger.One, [.. numbers.Select(n => new SurdEnd(n / Rational.Whole(a), default, BigInteger.One))]);

    /// <summary>The same with the first number in front.</summary>
    public static Factors WithFractions(int front, int a, params Rational[] numbers) =>
        new(new PolyTerm(front, 0), []) { Fractional = Monic(a, numbers) with { Front = (BigInteger)front * a } };

    /// <summary>The same with another number in front.</summary>
    public Factors Times(int number) => number == 1 ? this : this with
    {
        Front = Front with { Number = Front.Number * number },
        Behind = Behind * number,
        Fractional = Fractional is { } fractional ? fractional with { Front = fractional.Front * number } : null,
    };

    /// <summary>ax + u, divided by what divides both.</summary>
    public static IReadOnlyList<PolyTerm> Divided(BigInteger a, BigInteger u)
    {
        var common = BigInteger.GreatestCommonDivisor(a, u);
        return Linear(a / common, u / common);
    }

    /// <summary>ax + u as a bracket.</summary>
    public static IReadOnlyList<PolyTerm> Linear(BigInteger a, BigInteger u) =>
        [.. new[] { new PolyTerm(a, 1), new PolyTerm(u, 0) }.Where(t => !t.Number.IsZero)];

    /// <summary>As an answer; "prime" where nothing stands before one bracket with a square.</summary>
    public string Text(char letter) => Fractional is { } fractional ? fractional.Text(letter)
        : Front is { Power: 0, Number.IsOne: true } && Brackets is [var only] && Behind == 0 && only[0].Power == 2
        ? FactoringTask.Prime
        : BracketText.Write(Front, Brackets, letter) + (Behind == 0 ? "" : Behind < 0 ? $" - {-Behind}" : $" + {Behind}");
}
