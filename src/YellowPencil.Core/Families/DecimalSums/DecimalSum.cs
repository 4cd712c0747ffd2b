using System.Numerics;
using YellowPencil.Core.Families.Addition;

namespace YellowPencil.Core.Families.DecimalSums;

/// <summary>A sum of two to five decimals, or a difference of two, to be worked in columns.</summary>
internal sealed class DecimalSum : ItemTask
{
    /// <summary>Makes the task from its numbers, none of them negative, the top one first.</summary>
    /// <exception cref="ArgumentException">The count of numbers does not fit.</exception>
    public DecimalSum(IReadOnlyList<DecimalNumber> numbers, bool isDifference)
        : base(string.Join(isDifference ? " - " : " + ", numbers.Select(n => n.Text)), DecimalSumFamily.Instance)
    {
        if (numbers.Count < 2 || numbers.Count > (isDifference ? 2 : ColumnSum.MaxAddends))
            throw new ArgumentException("a sum has 2 to 5 numbers, a difference 2", nameof(numbers));
        Numbers = numbers;
        IsDifference = isDifference;
        var places = numbers.Max(n => n.Places);
        var values = numbers.Select(n => n.Unscaled * BigInteger.Pow(10, places - n.Places)).ToList();
        IsNegative = isDifference && values[0] < values[1];
        RightAnswer = DecimalNumber.Exact(isDifference ? values[0] - values[1] : values.Aggregate((a, b) => a + b), places);
    }

    /// <summary>The numbers, the top one first.</summary>
    public override IReadOnlyList<DecimalNumber> Numbers { get; }

    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) =>
        numbers.Count >= 2 && numbers.Count <= (IsDifference ? 2 : ColumnSum.MaxAddends) && numbers.All(n => !n.IsNegative)
            ? new DecimalSum(numbers, IsDifference)
            : null;

    /// <summary>Whether the second is taken away from the first.</summary>
    public bool IsDifference { get; }

    /// <summary>Whether more is taken away than there is.</summary>
    public bool IsNegative { get; }

    public override PairOperation? SetOperation => IsDifference ? PairOperation.Minus : PairOperation.Plus;

    public override int Steps => 3 * Numbers.Count * (Numbers.Max(n => n.Length - n.Places) + Numbers.Max(n => n.Places) + 1) / 2;

    public override string RightAnswer { get; }

    public override string Canonical(string answer) => DecimalNumber.Canonical(answer);
}
