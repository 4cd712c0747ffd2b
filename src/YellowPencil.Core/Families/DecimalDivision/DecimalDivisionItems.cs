using System.Numerics;

namespace YellowPencil.Core.Families.DecimalDivision;

/// <summary>
/// Divisions of decimals that end: by tenths, by hundredths, by whole numbers, with zeros to append and zeros in the quotient, now and then with signs.
/// </summary>
internal sealed class DecimalDivisionItems(int seed)
{
    private readonly Random random = new(seed);

    public DecimalQuotient Next()
    {
        while (true)
        {
            var divisor = random.Next(3) == 0 ? random.Next(11, 49) : random.Next(2, 10);
            var divisorPlaces = random.Next(10) switch { < 3 => 0, < 7 => 1, _ => 2 };
            var quotient = (BigInteger)Quotient(random.Next(2, 4));
            var quotientPlaces = random.Next(0, 4);
            if (divisor % 10 == 0) continue;
            var (dividend, places) = (quotient * divisor, quotientPlaces + divisorPlaces);
            while (places > 0 && dividend % 10 == 0)
            {
                dividend /= 10;
                places--;
            }

            if ((places == 0 && divisorPlaces == 0) || places > 3 || dividend < 10 || dividend > 99_999) continue;
            var task = DecimalQuotient.TryMake(Number(dividend, places), Number(divisor, divisorPlaces));
            if (task.Succeeded) return (DecimalQuotient)task.Value;
        }
    }

    private DecimalNumber Number(BigInteger value, int places) => DecimalNumber.Of(random.Next(9) == 0 ? -value : value, places);

    private int Quotient(int length)
    {
        var value = random.Next(1, 10);
        for (var i = 1; i < length; i++) value = 10 * value + (random.Next(10) < 3 ? 0 : random.Next(1, 10));
        return value;
    }
}
