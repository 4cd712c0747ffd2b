using System.Numerics;

namespace YellowPencil.Core.Models;

/// <summary>A step on a number line.</summary>
/// <param name="From">Where it begins.</param>
/// <param name="To">Where it ends.</param>
public readonly record struct LineJump(int From, int To);

/// <summary>A number line for numbers with signs: the way of a sum or a difference, the equal jumps of a product or a quotient.</summary>
public sealed record NumberLine : ItemModel
{
    private const int Farthest = 200;
    private const int MostJumps = 12;

    /// <summary>Where the way begins.</summary>
    public required int Start { get; init; }

    /// <summary>The jumps.</summary>
    public required IReadOnlyList<LineJump> Jumps { get; init; }

    /// <summary>Where the way ends.</summary>
    public required int End { get; init; }

    /// <summary>The answer that is written, once it stands there; null before, or where it is no whole number.</summary>
    public int? Written { get; init; }

    /// <inheritdoc/>
    public override string Name => "A number line";

    /// <inheritdoc/>
    public override string Text => Way;

    /// <inheritdoc/>
    public override string Disagreement =>
        Written is not { } written || written == Right ? ""
        : WrittenWay is { } way ? $"The way leads to {Signed(Right)}; {Signed(written)} is written, from {Signed(way.From)} that is {Steps(way.To - way.From)}."
        : $"The way leads to {Signed(Right)}, and {Signed(written)} is written.";

    /// <summary>Of a sum or a difference: the jump to the answer that is written, where it leads elsewhere; else null.</summary>
    public LineJump? WrittenWay => IsOneJump && Written is { } written && written != Right ? new LineJump(Start, written) : null;

    private bool IsOneJump { get; init; }

    /// <summary>What the answer should be.</summary>
    public required int Right { get; init; }

    private string Way { get; init; } = "";

    /// <summary>The line of an item; null where the numbers lie too far out.</summary>
    public static NumberLine? Of(BigInteger one, PairOperation operation, BigInteger other, BigInteger result, string? answer)
    {
        if (new[] { one, other, result }.Any(n => BigInteger.Abs(n) > Farthest)) return null;
        var (first, second, right) = ((int)one, (int)other, (int)result);
        int? written = int.TryParse(Signs.Plain(answer ?? "").Replace(" ", ""), out var value) && Math.Abs(value) <= Farthest ? value : null;
        return operation switch
        {
            PairOperation.Plus => Line(first, [new(first, right)], $"From {Signed(first)}, {Steps(second)}.", right),
            PairOperation.Minus => Line(first, [new(first, right)], $"From {Signed(first)}, taking {Signed(second)} away goes {Steps(-second)}.", right),
            PairOperation.Times when Math.Abs(first) <= MostJumps =>
                Line(
                    0, Equal(Math.Abs(first), second),
                    $"{Math.Abs(first)} jumps of {Signed(second)} lead to "
                        + $"{Signed(Math.Abs(first) * second)}{(first < 0 ? $"; {Signed(first)} of them is the opposite, {Signed(right)}" : "")}.",
                    Math.Abs(first) * second),
            PairOperation.DividedBy when Math.Abs(right) <= MostJumps =>
                Line(
                    0, Equal(Math.Abs(right), Math.Sign(right) * second),
                    $"{Math.Abs(right)} jumps of {Signed(Math.Sign(right) * second)} lead to "
                        + $"{Signed(first)}{(right < 0 ? $"; of {Signed(second)} it is {Signed(right)}" : "")}.",
                    first),
            _ => null,
        };

        NumberLine Line(int start, IReadOnlyList<LineJump> jumps, string way, int end) =>
            new() { Start = start, Jumps = jumps, End = end, Right = right, Written = written, Way = way, IsOneJump = operation is PairOperation.Plus or PairOperation.Minus };
    }

    private static List<LineJump> Equal(int count, int size) => [.. Enumerable.Range(0, count).Select(i => new LineJump(i * size, (i + 1) * size))];

    private static string Steps(int by) => by == 0 ? "no step" : $"{Math.Abs(by)} {(Math.Abs(by) == 1 ? "step" : "steps")} {(by > 0 ? "up" : "down")}";

    private static string Signed(int number) => Signs.Printed(number.ToString());
}
