namespace YellowPencil.Core.Families.DecimalProducts;

/// <summary>A product of two decimals, with or without signs.</summary>
internal sealed class DecimalProduct : ItemTask
{
    /// <summary>Makes the task from its two factors.</summary>
    public DecimalProduct(DecimalNumber first, DecimalNumber second)
        : base($"{first.Text} * {second.Text}", DecimalProductFamily.Instance)
    {
        First = first;
        Second = second;
        RightAnswer = DecimalNumber.Exact(first.Unscaled * second.Unscaled, first.Places + second.Places);
    }

    /// <summary>The first factor.</summary>
    public DecimalNumber First { get; }

    /// <summary>The second factor.</summary>
    public DecimalNumber Second { get; }

    public override IReadOnlyList<DecimalNumber> Numbers => numbers ??= [First, Second];

    private IReadOnlyList<DecimalNumber>? numbers;

    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) => numbers.Count == 2 ? new DecimalProduct(numbers[0], numbers[1]) : null;

    public override PairOperation? SetOperation => PairOperation.Times;

    public override int Steps => 7 * First.Length * Second.Length + First.Length + Second.Length;

    public override string RightAnswer { get; }

    public override string Canonical(string answer) => DecimalNumber.Canonical(answer);
}
