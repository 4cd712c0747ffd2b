using System.Numerics;

namespace YellowPencil.Core.Families.Subtraction;

/// <summary>A difference of two whole numbers, to be worked in columns.</summary>
internal sealed class ColumnDifference : ItemTask
{
    /// <summary>Makes the task from its two numbers.</summary>
    public ColumnDifference(WholeNumber top, WholeNumber bottom)
        : base($"{top.Text} - {bottom.Text}", SubtractionFamily.Instance)
    {
        Top = top;
        Bottom = bottom;
        RightAnswer = (top.Value - bottom.Value).ToString();
    }

    /// <summary>The number taken away from.</summary>
    public WholeNumber Top { get; }

    /// <summary>The number taken away.</summary>
    public WholeNumber Bottom { get; }

    public override IReadOnlyList<DecimalNumber> Numbers => numbers ??= [DecimalNumber.Of(Top), DecimalNumber.Of(Bottom)];

    private IReadOnlyList<DecimalNumber>? numbers;

    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) =>
        numbers.Count == 2 && WholeNumber.All(numbers) is { } wholes ? new ColumnDifference(wholes[0], wholes[1]) : null;

    public override PairOperation? SetOperation => PairOperation.Minus;

    public override int Steps => 3 * Math.Max(Top.Length, Bottom.Length);

    public override string RightAnswer { get; }

    /// <summary>The task "top - bottom" for two values that are not negative.</summary>
    public static ColumnDifference Of(BigInteger top, BigInteger bottom) => new(WholeNumber.Of(top), WholeNumber.Of(bottom));

    public override string Canonical(string answer) => DecimalNumber.Canonical(answer);
}
