using YellowPencil.Core.Parts.Fractions;

namespace YellowPencil.Core.Families.Fractions;

/// <summary>
/// Sums and differences of fractions with small denominators, now and then over one: a third alike, a third where one denominator goes into the other, a third
/// where neither does.
/// </summary>
internal sealed class FractionItems(int seed)
{
    private static readonly int[] Denominators = [2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 14, 15, 16, 18, 20, 21, 24];
    private readonly Random random = new(seed);

    public FractionTask Next()
    {
        while (true)
        {
            var (one, other) = TwoFractions.Pair(random, Denominators, 60);
            var (first, second) = (Fraction(one), Fraction(other));
            var isDifference = random.Next(2) == 0;
            if (isDifference && first.Numerator * second.Denominator <= second.Numerator * first.Denominator) continue;
            return new FractionTask(FractionFamily.Instance, isDifference, first, second);
        }
    }

    private MixedNumber Fraction(int denominator)
    {
        while (true)
        {
            var numerator = random.Next(10) == 0 ? random.Next(denominator + 1, 2 * denominator) : random.Next(1, denominator);
            if (System.Numerics.BigInteger.GreatestCommonDivisor(numerator, denominator).IsOne || random.Next(8) == 0)
                return new MixedNumber(0, numerator, denominator);
        }
    }
}
