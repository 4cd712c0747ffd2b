using System.Numerics;

namespace YellowPencil.Core.Models;

/// <summary>A square on squared paper whose area is the number under the root.</summary>
public sealed record SquareArea : ItemModel
{
    private const int LongestSide = 20;

    /// <summary>The side.</summary>
    public required int Side { get; init; }

    /// <summary>The side that is written, where it is another.</summary>
    public string Written { get; private init; } = "";

    /// <inheritdoc/>
    public override string Name => "A square on squared paper";

    /// <inheritdoc/>
    public override string Text => $"A square of {Side * Side} small squares, {(Written.Length == 0 ? "its side is asked for" : $"its side is {Side}")}.";

    /// <inheritdoc/>
    public override string Disagreement => Note;

    private string Note { get; init; } = "";

    /// <summary>The square of a root that is a whole number; null where it is none, or too large to be counted.</summary>
    /// <param name="radicand">The number under the root.</param>
    /// <param name="answer">The answer, once it stands there.</param>
    public static SquareArea? Of(Rational radicand, string? answer)
    {
        if (Exact.Perfect(radicand) is not { IsWhole: true } side || side.Numerator > LongestSide || side.IsZero) return null;
        var square = new SquareArea { Side = (int)side.Numerator };
        if (answer is null || DecimalNumber.TryParse(answer) is not { Succeeded: true, Value: { } number }) return square;
        var written = number.Exactly;
        square = square with { Written = answer };
        return written == side ? square : square with { Note = $"A square with the side {answer} has the area {RootLine.InPlaces(written * written)}, and {radicand.Text} was set." };
    }
}

/// <summary>A number line between two roots that are whole numbers, the squares written above and the roots below.</summary>
public sealed record RootLine : ItemModel
{
    /// <summary>The lower root.</summary>
    public required int Lower { get; init; }

    /// <summary>How far the number lies from the lower square to the upper one, from 0 to 1.</summary>
    public required double Part { get; init; }

    /// <summary>The number under the root, as it is written.</summary>
    public required string Number { get; init; }

    /// <summary>Where the answer that is written lies, in roots; null before, or where it lies far off.</summary>
    public double? Written { get; private init; }

    /// <summary>The answer as it is written.</summary>
    public string WrittenText { get; private init; } = "";

    /// <inheritdoc/>
    public override string Name => "A number line, squares above and roots below";

    /// <inheritdoc/>
    public override string Text => Way + (WrittenText.Length > 0 ? $" {WrittenText} is written: its square is {Square}." : "");

    /// <inheritdoc/>
    public override string Disagreement => Note;

    private string Way { get; init; } = "";

    private string Square { get; init; } = "";

    private string Note { get; init; } = "";

    /// <summary>The line of a root that is no whole number; null where it is one.</summary>
    /// <param name="radicand">The number under the root.</param>
    /// <param name="number">The same, as it is written.</param>
    /// <param name="isRight">Whether the answer is right, as it was asked for.</param>
    /// <param name="answer">The answer, once it stands there.</param>
    public static RootLine? Of(Rational radicand, string number, bool isRight, string? answer)
    {
        if (Exact.Perfect(radicand) is not null || radicand.Sign <= 0) return null;
        var lower = Exact.Root(radicand.Numerator / radicand.Denominator);
        var (below, above) = (lower * lower, (lower + 1) * (lower + 1));
        var on = radicand - Rational.Whole(below);
        var line = new RootLine
        {
            Lower = (int)lower,
            Part = (double)on.Numerator / (double)(on.Denominator * (above - below)),
            Number = number,
            Way = $"{number} lies between {below} and {above}, {InPlaces(on)} of {above - below} steps on; its root lies between {lower} and {lower + 1}.",
        };
        if (answer is null || DecimalNumber.TryParse(answer) is not { Succeeded: true, Value: { } read }) return line;
        var written = read.Exactly;
        var square = InPlaces(written * written);
        var at = (double)written.Numerator / (double)written.Denominator;
        return line with
        {
            Written = at > (double)lower - 1 && at < (double)lower + 2 ? at : null,
            WrittenText = answer,
            Square = square,
            Note = isRight ? "" : $"The square of {answer} is {square}, and {number} was set.",
        };
    }

    /// <summary>A number with all its places, at most four.</summary>
    public static string InPlaces(Rational number)
    {
        for (var places = 0; places < 4; places++)
            if ((number * Rational.Whole(BigInteger.Pow(10, places))).IsWhole) return Exact.Written(number, places);
        return Exact.Written(Exact.Rounded(number, 4), 4);
    }
}

/// <summary>The curve of the roots between two squares that follow each other, and the straight line that is gone along when a root is worked by parts of the way.</summary>
public sealed record CurveAndChord : ItemModel
{
    private const int MostLower = 12;

    /// <summary>The lower root.</summary>
    public required int Lower { get; init; }

    /// <summary>The number under the root.</summary>
    public required Rational Number { get; init; }

    /// <summary>Where the straight line lies over the number, to two places.</summary>
    public string OnChord => Rounded(Rational.Whole(Lower) + ((Number - Rational.Whole(Lower * Lower)) / Rational.Whole((2 * Lower) + 1)));

    /// <summary>Where the curve lies over it, to two places: the root.</summary>
    public string OnCurve => Rounded(new Rational(Exact.Root(Number.Numerator * Number.Denominator * 100_000_000), Number.Denominator * 10_000));

    /// <inheritdoc/>
    public override string Name => "Curve and straight line";

    /// <inheritdoc/>
    public override string Text =>
        $"Over {RootLine.InPlaces(Number)}, the straight line from {Lower} to {Lower + 1} is at {OnChord}, and the curve of the roots at {OnCurve}: the line lies a little low, and most in the middle.";

    /// <inheritdoc/>
    public override string Disagreement => "";

    /// <summary>The curve over a number; null where its root is whole, or so large that curve and line cannot be told apart.</summary>
    public static CurveAndChord? Of(Rational number) =>
        number.Sign > 0 && Exact.Perfect(number) is null && Exact.Root(number.Numerator / number.Denominator) is var lower && lower > 0 && lower <= MostLower
            ? new CurveAndChord { Lower = (int)lower, Number = number }
            : null;

    private static string Rounded(Rational value) => Exact.Written(Exact.Rounded(value, 2), 2);
}
