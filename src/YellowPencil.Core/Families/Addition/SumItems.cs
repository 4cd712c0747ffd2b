using System.Numerics;

namespace YellowPencil.Core.Families.Addition;

/// <summary>Column sums of two, sometimes three or four numbers of two to four digits: with and without carrying, ragged, with zeros.</summary>
internal sealed class SumItems(int seed)
{
    private readonly Random random = new(seed);

    public ColumnSum Next()
    {
        var length = random.Next(10) switch { < 3 => 2, < 8 => 3, _ => 4 };
        var addends = new BigInteger[random.Next(10) switch { < 6 => 2, < 9 => 3, _ => 4 }];
        var ragged = random.Next(10) < 4;
        var zeros = random.Next(4) == 0 ? 4 : 1;
        var small = random.Next(4) == 0;
        for (var i = 0; i < addends.Length; i++)
            addends[i] = Number(ragged && i != 0 ? random.Next(1, length + 1) : length, zeros, small ? 10 / addends.Length : 10);
        if (addends.Length == 2 && random.Next(5) == 0) addends[1] = MakeTen(addends[0], addends[1]);
        if (ragged && random.Next(2) == 0) (addends[0], addends[1]) = (addends[1], addends[0]);
        return ColumnSum.Of(addends);
    }

    private BigInteger Number(int length, int zeroInTen, int below)
    {
        BigInteger value = 0;
        for (var i = 0; i < length; i++) value = 10 * value + (i > 0 && random.Next(10) < zeroInTen ? 0 : random.Next(1, Math.Max(3, below)));
        return value;
    }

    // The ones are made to come to exactly ten, a sum that is easily treated as a case of its own.
    private static BigInteger MakeTen(BigInteger first, BigInteger second) =>
        first % 10 == 0 ? second : second - second % 10 + (10 - first % 10);
}
