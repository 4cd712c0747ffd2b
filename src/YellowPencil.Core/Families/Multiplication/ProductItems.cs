namespace YellowPencil.Core.Families.Multiplication;

/// <summary>Products by one digit, by two and now and then by three; with zeros inside and at the end, and digits that come twice.</summary>
internal sealed class ProductItems(int seed)
{
    private readonly Random random = new(seed);

    public ColumnProduct Next()
    {
        var (top, bottom) = random.Next(20) switch { < 3 => (2, 1), < 8 => (3, 1), < 10 => (4, 1), < 14 => (2, 2), < 18 => (3, 2), _ => (3, 3) };
        var zeros = random.Next(3) == 0 ? 5 : 1;
        var multiplier = Number(bottom, zeros, least: bottom == 1 ? 3 : 1);
        var number = Number(top, zeros, least: 1);
        if (random.Next(6) == 0) number = number / 10 * 10 + multiplier % 10;
        return ColumnProduct.Of(number, multiplier);
    }

    private int Number(int length, int zerosInTen, int least)
    {
        var value = random.Next(least, 10);
        for (var i = 1; i < length; i++) value = 10 * value + (random.Next(10) < zerosInTen ? 0 : random.Next(1, 10));
        return value;
    }
}
