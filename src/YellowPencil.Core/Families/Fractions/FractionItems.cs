using YellowPencil.Core.Notation;
using YellowPencil.Core.Parts.Fractions;

namespace YellowPencil.Core.Families.Fractions;

/// <summary>Sums and differences of fractions with small denominators, now and then over one: a third alike, a third where one denominator goes into the other, a third where neither does.</summary>
internal sealed class FractionItems(int seed)
{
    private static readonly int[] Bottoms = [2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 14, 15, 16, 18, 20, 21, 24];
    private readonly Random random = new(seed);

    public FractionTask Next()
    {
        while (true)
        {
            var (one, other) = Pair(random, Bottoms, 60);
            var (first, second) = (Fraction(one), Fraction(other));
            var isDifference = random.Next(2) == 0;
            if (isDifference && first.Top * second.Bottom <= second.Top * first.Bottom) continue;
            return new FractionTask(FractionFamily.Instance, isDifference, first, second);
        }
    }

    /// <summary>Two denominators whose least common one is not too large.</summary>
    internal static (int One, int Other) Pair(Random random, int[] bottoms, int most)
    {
        var like = random.Next(3) == 0;
        while (true)
        {
            var one = bottoms[random.Next(1, bottoms.Length)];
            var other = like ? one : bottoms[random.Next(bottoms.Length)];
            if (like != (one == other)) continue;
            var common = (int)System.Numerics.BigInteger.GreatestCommonDivisor(one, other);
            if (like ? one > 2 : one / common * other <= most) return (one, other);
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
