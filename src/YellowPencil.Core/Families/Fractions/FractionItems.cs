using YellowPencil.Core.Parts.Fractions;

namespace YellowPencil.Core.Families.Fractions;

/// <summary>
/// Sums and differences of fractions with small denominators, now and then over one: a third alike, a third where one denominator goes into the other, a third
/// where neither does.
/// </summary>
internal sealed class FractionItems(int seed)
{
    private static readonly int[] Bottoms = [2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 14, 15, 16, 18, 20, 21, 24];
    private readonly Random random = new(seed);

    public FractionTask Next()
    {
        while (true)
        {
            var (one, other) = TwoFractions.Pair(random, Bottoms, 60);
            var (first, second) = (Fraction(one), Fraction(other));
            var isDifference = random.Next(2) == 0;
            if (isDifference && first.Top * second.Bottom <= second.Top * first.Bottom) continue;
            return new FractionTask(FractionFamily.Instance, isDifference, first, second);
        }
    }

    private MixedNumber Fraction(int bottom)
    {
        while (true)
        {
            var top = random.Next(10) == 0 ? random.Next(bottom + 1, 2 * bottom) : random.Next(1, bottom);
            if (System.Numerics.BigInteger.GreatestCommonDivisor(top, bottom).IsOne || random.Next(8) == 0) return new MixedNumber(0, top, bottom);
        }
    }
}
