namespace YellowPencil.Core.Models;

/// <summary>A number line on which half of a sum is marked, with the two numbers of that sum equally far from it.</summary>
public sealed record HalfLine : ItemModel
{
    private const int LongestWay = 40;

    /// <summary>Half of the sum.</summary>
    public required Rational Half { get; init; }

    /// <summary>How far the two numbers lie from it.</summary>
    public required Rational Gap { get; init; }

    /// <inheritdoc/>
    public override string Name => "A number line with the half marked";

    /// <inheritdoc/>
    public override string Text =>
        $"Half of the sum {Said(Half + Half)} is {Said(Half)}; {Said(Half - Gap)} and {Said(Half + Gap)} lie {Said(Gap)} to its left and to its right, and their product is {Said((Half * Half) - (Gap * Gap))}.";

    /// <inheritdoc/>
    public override string Disagreement => "";

    /// <summary>The line of two numbers; null where they are the same, far apart, or no fractions.</summary>
    /// <param name="sum">Their sum.</param>
    /// <param name="product">Their product.</param>
    public static HalfLine? Of(Rational sum, Rational product)
    {
        var half = sum / Rational.Whole(2);
        return Exact.Perfect((half * half) - product) is { IsZero: false } gap && !(gap > Rational.Whole(LongestWay)) ? new HalfLine { Half = half, Gap = gap } : null;
    }

    private static string Said(Rational number) => Signs.Printed(number.Text);
}
