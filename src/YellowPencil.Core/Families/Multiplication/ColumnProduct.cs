using System.Numerics;

namespace YellowPencil.Core.Families.Multiplication;

/// <summary>A product of two whole numbers, to be worked in rows.</summary>
internal sealed class ColumnProduct : ItemTask
{
    /// <summary>Makes the task from its two factors.</summary>
    public ColumnProduct(WholeNumber first, WholeNumber second)
        : base($"{first.Text} * {second.Text}", MultiplicationFamily.Instance)
    {
        First = first;
        Second = second;
        RightAnswer = (first.Value * second.Value).ToString();
    }

    /// <summary>The first factor.</summary>
    public WholeNumber First { get; }

    /// <summary>The second factor.</summary>
    public WholeNumber Second { get; }

    public override IReadOnlyList<DecimalNumber> Numbers => numbers ??= [DecimalNumber.Of(First), DecimalNumber.Of(Second)];

    private IReadOnlyList<DecimalNumber>? numbers;

    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) =>
        numbers.Count == 2 && WholeNumber.All(numbers) is { } wholes ? new ColumnProduct(wholes[0], wholes[1]) : null;

    public override PairOperation? SetOperation => PairOperation.Times;

    public override int Steps => 5 * First.Length * Second.Length + First.Length + Second.Length;

    public override string RightAnswer { get; }

    /// <summary>The product of two values that are not negative.</summary>
    public static ColumnProduct Of(BigInteger first, BigInteger second) => new(WholeNumber.Of(first), WholeNumber.Of(second));

    public override string Canonical(string answer) => DecimalNumber.Canonical(answer);
}
