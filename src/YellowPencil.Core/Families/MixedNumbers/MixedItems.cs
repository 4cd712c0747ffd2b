using System.Numerics;
using YellowPencil.Core.Parts.Fractions;

namespace YellowPencil.Core.Families.MixedNumbers;

/// <summary>Sums and differences of mixed numbers with small denominators; now and then one of the two is a whole number or a fraction alone.</summary>
internal sealed class MixedItems(int seed)
{
    private static readonly int[] Denominators = [2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 15, 16];
    private readonly Random random = new(seed);

    public FractionTask Next()
    {
        while (true)
        {
            var isDifference = random.Next(2) == 0;
            var (one, other) = TwoFractions.Pair(random, Denominators, 60);
            var (first, second) = (Number(one), Number(other));
            switch (random.Next(8))
            {
                case 0: first = new MixedNumber(random.Next(2, 13), 0, 0); break;
                case 1: second = new MixedNumber(random.Next(1, 8), 0, 0); break;
                case 2: second = second with { Whole = 0 }; break;
                default: break;
            }

            var task = new FractionTask(MixedNumberFamily.Instance, isDifference, first, second);
            if (!task.IsNegative && task.RightAnswer != "0") return task;
        }
    }

    private MixedNumber Number(int denominator)
    {
        while (true)
        {
            var numerator = random.Next(1, denominator);
            if (BigInteger.GreatestCommonDivisor(numerator, denominator).IsOne || random.Next(8) == 0)
                return new MixedNumber(random.Next(1, 13), numerator, denominator);
        }
    }
}
