using System.Globalization;
using System.Numerics;

namespace YellowPencil.Core.Notation;

/// <summary>A whole number or a fraction in lowest terms, with its sign above.</summary>
public readonly record struct Rational
{
    /// <summary>Makes the number from two whole ones.</summary>
    /// <exception cref="DivideByZeroException">The bottom is 0.</exception>
    public Rational(BigInteger numerator, BigInteger denominator)
    {
        if (denominator.IsZero) throw new DivideByZeroException();
        var common = BigInteger.GreatestCommonDivisor(numerator, denominator) * denominator.Sign;
        (Numerator, Under) = (numerator / common, denominator / common - 1);
    }

    /// <summary>What stands above.</summary>
    public BigInteger Numerator { get; }

    /// <summary>What stands below, more than 0.</summary>
    public BigInteger Denominator => Under + 1;

    /// <summary>Whether it is 0.</summary>
    public bool IsZero => Numerator.IsZero;

    /// <summary>Whether it is 1.</summary>
    public bool IsOne => Numerator.IsOne && Denominator.IsOne;

    /// <summary>Whether it is a whole number.</summary>
    public bool IsWhole => Under.IsZero;

    /// <summary>-1, 0 or 1.</summary>
    public int Sign => Numerator.Sign;

    /// <summary>As it is written: <c>-7/3</c>, <c>5</c>.</summary>
    public string Text => IsWhole ? Numerator.ToString(CultureInfo.InvariantCulture) : $"{Numerator}/{Denominator}";

    // One less than what stands below, so that the number that nobody made is 0.
    private BigInteger Under { get; }

    /// <summary>A whole number.</summary>
    public static Rational Whole(BigInteger number) => new(number, 1);

    /// <summary>The larger without signs.</summary>
    public static Rational Abs(Rational number) => number.Sign < 0 ? -number : number;

    /// <summary>The sum.</summary>
    public static Rational operator +(Rational a, Rational b) => new(a.Numerator * b.Denominator + b.Numerator * a.Denominator, a.Denominator * b.Denominator);

    /// <summary>The difference.</summary>
    public static Rational operator -(Rational a, Rational b) => a + -b;

    /// <summary>The opposite.</summary>
    public static Rational operator -(Rational a) => new(-a.Numerator, a.Denominator);

    /// <summary>The product.</summary>
    public static Rational operator *(Rational a, Rational b) => new(a.Numerator * b.Numerator, a.Denominator * b.Denominator);

    /// <summary>The quotient.</summary>
    public static Rational operator /(Rational a, Rational b) => new(a.Numerator * b.Denominator, a.Denominator * b.Numerator);

    /// <summary>Whether the first is the smaller.</summary>
    public static bool operator <(Rational a, Rational b) => (a - b).Sign < 0;

    /// <summary>Whether the first is the larger.</summary>
    public static bool operator >(Rational a, Rational b) => (a - b).Sign > 0;
}
