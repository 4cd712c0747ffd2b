namespace YellowPencil.Core.Families.Subtraction;

/// <summary>
/// Column differences of two to five digits: with and without renaming, zeros on top, zeros and blanks below, equal digits.
/// The top number is the larger, and what is taken away is never trivial.
/// </summary>
internal sealed class DifferenceItems(int seed)
{
    private static readonly (int Length, int Weight)[] Lengths = [(2, 3), (3, 10), (4, 6), (5, 1)];

    private readonly Random random = new(seed);

    public ColumnDifference Next()
    {
        while (true)
        {
            var length = Weighted(Lengths);
            var shorter = length > 2 && random.Next(10) < 3 ? random.Next(1, length - 1) : 0;
            if (length == 2 && random.Next(10) < 2) shorter = 1;
            var top = Digits(length, zeroInTen: random.Next(3) == 0 ? 6 : 1);
            var bottom = Digits(length - shorter, zeroInTen: random.Next(4) == 0 ? 4 : 1);
            if (random.Next(4) == 0)
            {
                var place = random.Next(bottom.Length);
                bottom[place] = top[place];
            }

            var task = ColumnDifference.Of(Value(top), Value(bottom));
            if (bottom[^1] != 0 && task.Top.Value > task.Bottom.Value && task.Bottom.Value > 2 && task.Top.Value - task.Bottom.Value > 2) return task;
        }
    }

    /// <summary>Digits, ones first; the leading digit is not zero.</summary>
    private int[] Digits(int length, int zeroInTen)
    {
        var digits = new int[length];
        for (var place = 0; place < length; place++)
            digits[place] = place < length - 1 && random.Next(10) < zeroInTen ? 0 : random.Next(1, 10);
        return digits;
    }

    private int Weighted((int Value, int Weight)[] choices)
    {
        var draw = random.Next(choices.Sum(c => c.Weight));
        foreach (var (value, weight) in choices)
            if ((draw -= weight) < 0) return value;
        return choices[^1].Value;
    }

    private static long Value(int[] digits) => digits.Reverse().Aggregate(0L, (value, digit) => 10 * value + digit);
}
