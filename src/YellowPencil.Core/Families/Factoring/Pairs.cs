namespace YellowPencil.Core.Families.Factoring;

/// <summary>Two numbers that are looked for, in the right way and in others.</summary>
internal static class Pairs
{
    /// <summary>The two numbers with the right sum and product.</summary>
    public static NumberPair Of(long a, long b, long c) => Factors.Pair(a, b, c) is { } pair ? new(pair.One, pair.Other) : NumberPair.NotFound;

    /// <summary>Numbers that are put into the brackets as they stand.</summary>
    public static NumberPair AsTheyAre(Quadratic quadratic, NumberPair pair) => pair with { StayAsTheyAre = quadratic.A != 1 };

    /// <summary>The root of the last number twice, with the sign of the middle.</summary>
    public static NumberPair RootOfLast(int b, int c) =>
        Exact.Root(Math.Abs(c)) is var root && root * root == Math.Abs(c) ? new((long)root * Math.Sign(b), (long)root * Math.Sign(b)) : NumberPair.NotFound;

    /// <summary>Two numbers with a product and a difference; both get the sign of what they should add up to but for the smaller.</summary>
    public static NumberPair? Apart(int b, long product)
    {
        for (long one = 1; one * one <= product; one++)
            if (product % one == 0 && product / one - one == Math.Abs(b)) return new(-one * Math.Sign(b), product / one * Math.Sign(b));
        return null;
    }

    /// <summary>The two numbers with a product that are nearest to each other.</summary>
    public static NumberPair Nearest(long product, int b)
    {
        var one = (long)Exact.Root(Math.Abs(product));
        while (one > 1 && product % one != 0) one--;
        return First(product, b, Math.Max(1, one));
    }

    /// <summary>The pairs with a product that do not come to a sum: from 2 on, then with 1; where one number has a minus, both ways.</summary>
    public static IEnumerable<NumberPair> WithProductOnly(int b, long product)
    {
        var size = Math.Abs(product);
        for (long one = 2; one * one <= size; one++)
            if (size % one == 0)
                foreach (var pair in Signed(one, size / one)) yield return pair;
        foreach (var pair in Signed(1, size)) yield return pair;

        IEnumerable<NumberPair> Signed(long one, long other)
        {
            NumberPair[] pairs = product > 0 ? [b < 0 ? new(-one, -other) : new(one, other)] : [new(one, -other), new(-one, other)];
            return pairs.Where(p => p.One + p.Other != b);
        }
    }

    /// <summary>The first two numbers with a product, whatever their sum; the larger gets the sign of the middle.</summary>
    public static NumberPair First(long product, int b, long from)
    {
        var size = Math.Abs(product);
        for (var one = from; one * one <= size; one++)
            if (size % one == 0) return WithSigns(one, size / one);
        return WithSigns(1, size);

        NumberPair WithSigns(long one, long other) => product > 0
            ? b < 0 ? new(-one, -other) : new(one, other)
            : b < 0 ? new(one, -other) : new(-one, other);
    }
}
