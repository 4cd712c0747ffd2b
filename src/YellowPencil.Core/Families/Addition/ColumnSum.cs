using System.Numerics;

namespace YellowPencil.Core.Families.Addition;

/// <summary>A sum of two to five whole numbers, to be worked in columns.</summary>
internal sealed class ColumnSum : ItemTask
{
    /// <summary>The most addends that one sum has.</summary>
    public const int MaxAddends = 5;

    /// <summary>Makes the task from its addends, the top one first.</summary>
    /// <exception cref="ArgumentException">Fewer than two or more than <see cref="MaxAddends"/> addends.</exception>
    public ColumnSum(IReadOnlyList<WholeNumber> addends)
        : base(string.Join(" + ", addends.Select(a => a.Text)), AdditionFamily.Instance)
    {
        if (addends.Count is < 2 or > MaxAddends) throw new ArgumentException($"a sum has 2 to {MaxAddends} addends", nameof(addends));
        Addends = addends;
        RightAnswer = addends.Aggregate(BigInteger.Zero, (sum, a) => sum + a.Value).ToString();
    }

    /// <summary>The addends, the top one first.</summary>
    public IReadOnlyList<WholeNumber> Addends { get; }

    public override IReadOnlyList<DecimalNumber> Numbers => numbers ??= [.. Addends.Select(DecimalNumber.Of)];

    private IReadOnlyList<DecimalNumber>? numbers;

    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) =>
        numbers.Count is >= 2 and <= MaxAddends && WholeNumber.All(numbers) is { } wholes ? new ColumnSum(wholes) : null;

    public override PairOperation? SetOperation => PairOperation.Plus;

    public override int Steps => Addends.Count * (Addends.Max(a => a.Length) + 1);

    public override string RightAnswer { get; }

    /// <summary>The sum of values that are not negative.</summary>
    public static ColumnSum Of(params ReadOnlySpan<BigInteger> values)
    {
        var addends = new List<WholeNumber>();
        foreach (var value in values) addends.Add(WholeNumber.Of(value));
        return new ColumnSum(addends);
    }

    public override string Canonical(string answer) => DecimalNumber.Canonical(answer);
}
