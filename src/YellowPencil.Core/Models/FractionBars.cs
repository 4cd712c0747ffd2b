using System.Numerics;

namespace YellowPencil.Core.Models;

/// <summary>Bars of one length a whole, cut into parts of one size.</summary>
/// <param name="Label">What it shows.</param>
/// <param name="Parts">Into how many parts a whole is cut.</param>
/// <param name="Filled">How many parts are filled, of all wholes together.</param>
/// <param name="Second">How many of them are the second number's: added to a sum, taken from a difference.</param>
public sealed record FractionBar(string Label, int Parts, int Filled, int Second = 0)
{
    /// <summary>How many wholes are drawn.</summary>
    public int Wholes => Math.Max(1, (Filled + Parts - 1) / Parts);
}

/// <summary>Two fractions as bars, cut into parts of one size, and what is written as a bar beside what they come to.</summary>
public sealed record FractionBars : ItemModel
{
    private const int FinestCut = 48;
    private const int MostWholes = 9;

    /// <summary>The bars, from the top.</summary>
    public required IReadOnlyList<FractionBar> Bars { get; init; }

    /// <summary>Whether the second number is taken away.</summary>
    public required bool IsTakenAway { get; init; }

    /// <summary>Whether the last bar is what is written, and another length than it should be.</summary>
    public bool IsOff { get; private init; }

    /// <inheritdoc/>
    public override string Name => "Bars cut into parts";

    /// <inheritdoc/>
    public override string Text => string.Join("; ", Bars.Select(b => $"{b.Label}: {b.Filled} of parts of which {b.Parts} are a whole")) + ".";

    /// <inheritdoc/>
    public override string Disagreement => Note;

    private string Note { get; init; } = "";

    /// <summary>The bars of a sum or a difference; null where it goes below zero, has too many wholes, or its parts are too fine to be seen.</summary>
    /// <param name="first">The first number.</param>
    /// <param name="second">The second number.</param>
    /// <param name="isDifference">Whether the second is taken away.</param>
    /// <param name="isBegun">Whether something is written yet: before, nothing is cut for both.</param>
    /// <param name="answer">The answer, once it stands there.</param>
    public static FractionBars? Of(MixedNumber first, MixedNumber second, bool isDifference, bool isBegun, string? answer)
    {
        var (one, other) = (first.Value, second.Value);
        var common = one.Denominator * other.Denominator / BigInteger.GreatestCommonDivisor(one.Denominator, other.Denominator);
        if (common > FinestCut) return null;
        var (a, b) = ((int)(one.Numerator * (common / one.Denominator)), (int)(other.Numerator * (common / other.Denominator)));
        var result = isDifference ? a - b : a + b;
        if (result < 0 || Math.Max(Math.Max(a, b), result) > MostWholes * common) return null;
        var bars = new List<FractionBar> { Bar(first), Bar(second) };
        if (isBegun || answer is not null) bars.Add(new FractionBar(isDifference ? "what is left" : "together", (int)common, isDifference ? a : result, b));
        var model = new FractionBars { Bars = bars, IsTakenAway = isDifference };
        if (answer is null || MixedNumber.TryRead(answer) is not { IsNegative: false, Number: { } written } || written.Value.Denominator.IsZero || written.Value.Denominator > FinestCut) return model;
        var (numerator, denominator) = written.Value;
        if (numerator > MostWholes * denominator) return model;
        var isOff = numerator * common != result * denominator;
        bars.Add(new FractionBar(Signs.Printed(answer), (int)denominator, (int)numerator));
        return model with { IsOff = isOff, Note = isOff ? $"The bars do not match: they come to {MixedNumber.Canonical(result, common)}, and {Signs.Printed(answer)} is written." : "" };

        static FractionBar Bar(MixedNumber number) => new(number.Text, (int)number.Value.Denominator, (int)number.Value.Numerator);
    }
}
