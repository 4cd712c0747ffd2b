using System.Numerics;

namespace YellowPencil.Core.Notation;

/// <summary>Whole roots, and numbers cut and rounded to places, without any loss.</summary>
public static class Exact
{
    /// <summary>The root of a number, where it is whole; null where it is not.</summary>
    public static Rational? Perfect(Rational number) =>
        number.IsWhole && Root(number.Numerator) is var root && root * root == number.Numerator ? Rational.Whole(root) : null;

    /// <summary>The largest whole number whose square is not above another.</summary>
    public static BigInteger Root(BigInteger number)
    {
        if (number.Sign <= 0) return BigInteger.Zero;
        var root = (BigInteger)Math.Sqrt((double)number);
        while (root * root > number) root--;
        while ((root + 1) * (root + 1) <= number) root++;
        return root;
    }

    /// <summary>A number cut to so many places.</summary>
    public static Rational CutOff(Rational number, int places) =>
        new(BigInteger.Divide(number.Numerator * BigInteger.Pow(10, places), number.Denominator), BigInteger.Pow(10, places));

    /// <summary>A number rounded to so many places, a half upwards.</summary>
    public static Rational Rounded(Rational number, int places) => CutOff(number + new Rational(1, 2 * BigInteger.Pow(10, places)), places);

    /// <summary>A number with so many places, as it is written; whole where it is asked for.</summary>
    public static string Written(Rational number, int places) =>
        DecimalNumber.Canonical(DecimalNumber.Written(number.Numerator * BigInteger.Pow(10, places) / number.Denominator, places));
}
