using System.Numerics;

namespace YellowPencil.Core.Models;

/// <summary>One strip of an area: what the first number gives, times one digit of the second.</summary>
/// <param name="Side">The part of the second number.</param>
/// <param name="Cells">The parts of the product, one for each part of the first number.</param>
/// <param name="Written">The row that is written for it; empty before.</param>
/// <param name="IsFilled">Whether it has been worked.</param>
/// <param name="Disagrees">Whether the row that is written is another number than the strip holds.</param>
public sealed record AreaStrip(BigInteger Side, IReadOnlyList<BigInteger> Cells, string Written, bool IsFilled, bool Disagrees)
{
    /// <summary>What the strip holds.</summary>
    public BigInteger Sum => Cells.Aggregate(BigInteger.Zero, (a, b) => a + b);
}

/// <summary>A rectangle cut by the places of both factors; each piece is one product.</summary>
public sealed record AreaModel : ItemModel
{
    private const int MostDigits = 4;

    /// <summary>The parts of the first number, along the top.</summary>
    public required IReadOnlyList<BigInteger> Top { get; init; }

    /// <summary>The strips, that of the ones of the second number first.</summary>
    public required IReadOnlyList<AreaStrip> Strips { get; init; }

    /// <summary>In which unit the parts are counted where the factors are decimals; else empty.</summary>
    public string Unit { get; init; } = "";

    /// <inheritdoc/>
    public override string Name => "An area cut by places";

    /// <inheritdoc/>
    public override string Text =>
        string.Join(
            "; ",
            Strips.Select(
                s => $"{s.Side} times {string.Join(" and ", Top)}: {(s.IsFilled ? $"{string.Join(" and ", s.Cells)}, together {s.Sum}" : "not worked yet")}"))
            + (Unit.Length == 0 ? "." : $". {Unit}");

    /// <inheritdoc/>
    public override string Disagreement => Note;

    private string Note { get; init; } = "";

    /// <summary>The area of a product; null where it has too many pieces.</summary>
    public static AreaModel? Of(DecimalNumber first, DecimalNumber second, IReadOnlyList<Mark> marks, string? answer)
    {
        var (one, other) = (BigInteger.Abs(first.Unscaled), BigInteger.Abs(second.Unscaled));
        if (one.IsZero || other.IsZero || one.ToString().Length > MostDigits || other.ToString().Length > MostDigits) return null;
        var top = Parts(one);
        var sides = Parts(other).AsEnumerable().Reverse().ToList();
        var rows = marks.Where(m => m.Field == WorkFields.Rows && m.At.Part != WorkFields.Rows.Carry.Part)
            .GroupBy(m => m.At.Line).OrderBy(g => g.Key).Select(g => g.Last().Text).ToList();
        var isSum = first.Places + second.Places == 0 && answer is not null;
        var strips = new List<AreaStrip>();
        var notes = new List<string>();
        for (var at = 0; at < sides.Count; at++)
        {
            var cells = top.Select(part => part * sides[at]).ToList();
            var sum = cells.Aggregate(BigInteger.Zero, (a, b) => a + b);
            var written = rows.ElementAtOrDefault(rows.Count == sides.Count || rows.Count < other.ToString().Length ? at : IndexOf(sides[at])) ?? "";
            var disagrees = written.Length > 0 && Stripped(written) != Stripped(sum.ToString());
            if (disagrees) notes.Add($"The strip of {sides[at]} holds {sum}, and {written} is written.");
            strips.Add(new AreaStrip(sides[at], cells, written, written.Length > 0 || answer is not null, disagrees));
        }

        var total = one * other;
        if (isSum && answer != total.ToString()) notes.Add($"All pieces together are {total}, and {answer} is written.");
        return new AreaModel { Top = top, Strips = strips, Note = string.Join(" ", notes), Unit = Units(first, second) };
    }

    /// <summary>A number cut by its places, without those that are empty.</summary>
    private static List<BigInteger> Parts(BigInteger number)
    {
        var text = number.ToString();
        return [.. text.Select((digit, at) => (digit - '0') * BigInteger.Pow(10, text.Length - 1 - at)).Where(part => !part.IsZero)];
    }

    private static int IndexOf(BigInteger part) => part.ToString().Length - 1;

    // Some write the zeros of a row, some move it; which digits there are is the same.
    private static string Stripped(string row) => row.Trim().TrimEnd('0').TrimStart('0');

    private static string Units(DecimalNumber first, DecimalNumber second) => first.Places + second.Places == 0
        ? "" : $"The pieces are counted in {Place.Name(-first.Places - second.Places)}: {Place.Name(-first.Places)} times {Place.Name(-second.Places)}.";
}
