namespace YellowPencil.Core.Families.Integers;

/// <summary>The four operations with small numbers, at least one of them negative: sums and differences for two thirds of the items.</summary>
internal sealed class IntegerItems(int seed)
{
    private readonly Random random = new(seed);

    public SignedPair Next()
    {
        while (true)
        {
            var operation = random.Next(10) switch
            {
                < 3 => PairOperation.Plus,
                < 7 => PairOperation.Minus,
                < 9 => PairOperation.Times,
                _ => PairOperation.DividedBy,
            };
            var isSum = operation is PairOperation.Plus or PairOperation.Minus;
            var most = isSum && random.Next(4) == 0 ? 60 : isSum ? 16 : 13;
            var (first, second) = (random.Next(2, most), random.Next(2, most));
            if (first == second) continue;
            if (operation == PairOperation.DividedBy) first *= second;
            var signs = random.Next(3);
            if (signs != 1) first = -first;
            if (signs != 0) second = -second;
            return (SignedPair)SignedPair.TryMake(first, operation, second).Value!;
        }
    }
}
