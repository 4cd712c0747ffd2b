using System.Numerics;

namespace YellowPencil.Core.Families.DecimalProducts;

/// <summary>Products of decimals of one to three digits, one of them whole now and then, with signs for a third of the items.</summary>
internal sealed class DecimalProductItems(int seed)
{
    private readonly Random random = new(seed);

    public DecimalProduct Next()
    {
        while (true)
        {
            var firstPlaces = random.Next(10) switch { < 2 => 0, < 6 => 1, < 9 => 2, _ => 3 };
            var secondPlaces = random.Next(10) switch { < 2 => 0, < 7 => 1, _ => 2 };
            if (firstPlaces + secondPlaces is 0 or > 4) continue;
            var first = Number(random.Next(1, 4), firstPlaces);
            var second = Number(random.Next(1, 3), secondPlaces);
            if (BigInteger.Abs(first.Unscaled) < 2 || BigInteger.Abs(second.Unscaled) < 2) continue;
            return new DecimalProduct(first, second);
        }
    }

    private DecimalNumber Number(int digits, int places)
    {
        var value = random.Next(1, 10);
        for (var i = 1; i < digits; i++) value = 10 * value + (i < digits - 1 && random.Next(3) == 0 ? 0 : random.Next(1, 10));
        return DecimalNumber.Of(random.Next(5) == 0 ? -value : value, places);
    }
}
