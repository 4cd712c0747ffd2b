using System.Numerics;

namespace YellowPencil.Core.Notation;

/// <summary>A sum of two to five decimals, or a difference of two, to be worked in columns.</summary>
public sealed class DecimalSum : ItemTask
{
    /// <summary>Makes the task from its numbers, none of them negative, the top one first.</summary>
    /// <exception cref="ArgumentException">The count of numbers does not fit.</exception>
    public DecimalSum(IReadOnlyList<DecimalNumber> numbers, bool isDifference)
        : base(string.Join(isDifference ? " - " : " + ", numbers.Select(n => n.Text)), Family.DecimalSums)
    {
        if (numbers.Count < 2 || numbers.Count > (isDifference ? 2 : ColumnSum.MaxAddends)) throw new ArgumentException("a sum has 2 to 5 numbers, a difference 2", nameof(numbers));
        Numbers = numbers;
        IsDifference = isDifference;
        var places = numbers.Max(n => n.Places);
        var values = numbers.Select(n => n.Unscaled * BigInteger.Pow(10, places - n.Places)).ToList();
        IsNegative = isDifference && values[0] < values[1];
        RightAnswer = DecimalNumber.Exact(isDifference ? values[0] - values[1] : values.Aggregate((a, b) => a + b), places);
    }

    /// <summary>The numbers, the top one first.</summary>
    public override IReadOnlyList<DecimalNumber> Numbers { get; }

    /// <inheritdoc/>
    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) =>
        numbers.Count >= 2 && numbers.Count <= (IsDifference ? 2 : ColumnSum.MaxAddends) && numbers.All(n => !n.IsNegative) ? new DecimalSum(numbers, IsDifference) : null;

    /// <summary>Whether the second is taken away from the first.</summary>
    public bool IsDifference { get; }

    /// <summary>Whether more is taken away than there is.</summary>
    public bool IsNegative { get; }

    /// <inheritdoc/>
    public override int Steps => 3 * Numbers.Count * (Numbers.Max(n => n.Length - n.Places) + Numbers.Max(n => n.Places) + 1) / 2;

    /// <inheritdoc/>
    public override string RightAnswer { get; }

    /// <inheritdoc/>
    public override string Canonical(string answer) => DecimalNumber.Canonical(answer);
}

/// <summary>A product of two decimals, with or without signs.</summary>
public sealed class DecimalProduct : ItemTask
{
    /// <summary>Makes the task from its two factors.</summary>
    public DecimalProduct(DecimalNumber first, DecimalNumber second)
        : base($"{first.Text} * {second.Text}", Family.DecimalProducts)
    {
        First = first;
        Second = second;
        RightAnswer = DecimalNumber.Exact(first.Unscaled * second.Unscaled, first.Places + second.Places);
    }

    /// <summary>The first factor.</summary>
    public DecimalNumber First { get; }

    /// <summary>The second factor.</summary>
    public DecimalNumber Second { get; }

    /// <inheritdoc/>
    public override IReadOnlyList<DecimalNumber> Numbers => numbers ??= [First, Second];

    private IReadOnlyList<DecimalNumber>? numbers;

    /// <inheritdoc/>
    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) => numbers.Count == 2 ? new DecimalProduct(numbers[0], numbers[1]) : null;

    /// <inheritdoc/>
    public override int Steps => 7 * First.Length * Second.Length + First.Length + Second.Length;

    /// <inheritdoc/>
    public override string RightAnswer { get; }

    /// <inheritdoc/>
    public override string Canonical(string answer) => DecimalNumber.Canonical(answer);
}

/// <summary>A division of decimals to an exact decimal, with or without signs.</summary>
public sealed class DecimalQuotient : ItemTask
{
    private DecimalQuotient(DecimalNumber dividend, DecimalNumber divisor, string rightAnswer)
        : base($"{dividend.Text} / {divisor.Text}", Family.DecimalDivision)
    {
        Dividend = dividend;
        Divisor = divisor;
        RightAnswer = rightAnswer;
    }

    /// <summary>The number divided.</summary>
    public DecimalNumber Dividend { get; }

    /// <summary>The number divided by.</summary>
    public DecimalNumber Divisor { get; }

    /// <inheritdoc/>
    public override IReadOnlyList<DecimalNumber> Numbers => numbers ??= [Dividend, Divisor];

    private IReadOnlyList<DecimalNumber>? numbers;

    /// <inheritdoc/>
    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) => numbers.Count == 2 && TryMake(numbers[0], numbers[1]) is { Succeeded: true } made ? made.Value : null;

    /// <inheritdoc/>
    public override int Steps => (Dividend.Length + Divisor.Places + RightAnswer.Length) * (3 * Divisor.Length + 5);

    /// <inheritdoc/>
    public override string RightAnswer { get; }

    /// <summary>Makes the task; fails where nothing can be divided or the quotient never ends. Positions are those in the divisor.</summary>
    public static Parsed<ItemTask> TryMake(DecimalNumber dividend, DecimalNumber divisor)
    {
        if (divisor.Unscaled.IsZero) return Parsed<ItemTask>.Failed("nothing can be divided by 0", 0);
        if (divisor.Length > LongDivision.MostDivisorDigits) return Parsed<ItemTask>.Failed($"divisors of more than {LongDivision.MostDivisorDigits} digits are not read", 0);
        var answer = DecimalNumber.Quotient(dividend.Unscaled * BigInteger.Pow(10, divisor.Places), divisor.Unscaled * BigInteger.Pow(10, dividend.Places));
        return answer is null
            ? Parsed<ItemTask>.Failed("this quotient never ends as a decimal", 0)
            : Parsed<ItemTask>.Of(new DecimalQuotient(dividend, divisor, answer));
    }

    /// <inheritdoc/>
    public override string Canonical(string answer) => DecimalNumber.Canonical(answer);
}
