using System.Numerics;

namespace YellowPencil.Core.Families.DecimalSums;

/// <summary>
/// Sums and differences of decimals to hundredths, now and then thousandths, ragged for half of the items, with a whole number among them for some.
/// </summary>
internal sealed class DecimalSumItems(int seed)
{
    private readonly Random random = new(seed);

    public DecimalSum Next()
    {
        while (true)
        {
            var isDifference = random.Next(2) == 0;
            var places = random.Next(10) switch { < 4 => 1, < 9 => 2, _ => 3 };
            var numbers = new List<DecimalNumber> { Number(places) };
            for (var more = isDifference || random.Next(5) > 0 ? 1 : 2; more > 0; more--)
                numbers.Add(Number(random.Next(2) == 0 ? places : random.Next(0, 3)));
            if (random.Next(2) == 0) numbers.Reverse();
            if (isDifference && Scaled(numbers[0]) <= Scaled(numbers[1])) numbers.Reverse();
            if (numbers.Max(n => n.Places) == 0 || Scaled(numbers[0]) == Scaled(numbers[1])) continue;
            return new DecimalSum(numbers, isDifference);
        }
    }

    private DecimalNumber Number(int places)
    {
        var value = (BigInteger)random.Next(10) switch
        {
            var kind when kind == 0 && places > 0 => 0,
            var kind when kind < 6 => random.Next(1, 10),
            _ => random.Next(10, 100),
        };
        for (var i = 0; i < places; i++) value = 10 * value + (i < places - 1 && random.Next(4) == 0 ? 0 : random.Next(1, 10));
        if (places == 0) value = random.Next(1, 4) == 1 ? value / 10 * 10 + 10 : value;
        return DecimalNumber.Of(value, places);
    }

    private static BigInteger Scaled(DecimalNumber number) => number.Unscaled * BigInteger.Pow(10, 3 - number.Places);
}
