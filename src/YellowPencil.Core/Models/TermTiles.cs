using System.Numerics;

namespace YellowPencil.Core.Models;

/// <summary>Tiles of one shape that lie together.</summary>
/// <param name="Power">0 for small tiles, 1 for long ones as long as the letter, 2 for its squares.</param>
/// <param name="Count">How many.</param>
/// <param name="IsMinus">Whether their minus side is up.</param>
public sealed record TileGroup(int Power, int Count, bool IsMinus);

/// <summary>A row of tiles.</summary>
/// <param name="Label">What it shows.</param>
/// <param name="Groups">The tiles.</param>
public sealed record TileRow(string Label, IReadOnlyList<TileGroup> Groups);

/// <summary>Terms as tiles with two sides: a bracket that is taken away has all of its tiles turned over.</summary>
public sealed record TermTiles : ItemModel
{
    private const int MostTiles = 14;

    /// <summary>The rows, from the top.</summary>
    public required IReadOnlyList<TileRow> Rows { get; init; }

    /// <summary>Whether the last row is what is written, and not what lies there.</summary>
    public bool IsOff { get; private init; }

    /// <inheritdoc/>
    public override string Name => "Tiles with two sides";

    /// <inheritdoc/>
    public override string Text => string.Join("; ", Rows.Select(r => $"{r.Label}: {(r.Groups.Count == 0 ? "nothing" : string.Join(", ", r.Groups.Select(Said)))}")) + ".";

    /// <inheritdoc/>
    public override string Disagreement => Note;

    private string Note { get; init; } = "";

    /// <summary>The tiles of brackets that are put together; null where there are too many, or a power above the second.</summary>
    /// <param name="groups">The brackets, each with whether it is taken away.</param>
    /// <param name="letter">The letter.</param>
    /// <param name="isBegun">Whether something is written yet: before, nothing is turned over.</param>
    /// <param name="answer">The answer, once it stands there.</param>
    public static TermTiles? Of(IReadOnlyList<(bool IsTakenAway, IReadOnlyList<PolyTerm> Terms)> groups, char letter, bool isBegun, string? answer)
    {
        if (!groups.All(g => CanBeLaid(g.Terms))) return null;
        var rows = new List<TileRow>();
        foreach (var (isTakenAway, terms) in groups)
        {
            rows.Add(Row((isTakenAway ? "taken away: " : "") + Written(terms), terms));
            if (isTakenAway && (isBegun || answer is not null)) rows.Add(Row("all turned over", terms.Select(t => t.Turned)));
        }

        var together = PolynomialText.Collected(groups.SelectMany(g => g.Terms.Select(t => g.IsTakenAway ? t.Turned : t)));
        if (!CanBeLaid(together)) return null;
        char? known = letter;
        if (answer is null) return new TermTiles { Rows = rows };
        rows.Add(Row("what lies there", together));
        if (PolynomialText.TryRead(Signs.Plain(answer), ref known) is not { } written || !CanBeLaid(written)) return new TermTiles { Rows = rows };
        var isOff = !PolynomialText.Collected(written).SequenceEqual(together);
        if (isOff) rows.Add(Row($"{Signs.Printed(answer)} is written", written));
        return new TermTiles { Rows = rows, IsOff = isOff, Note = isOff ? $"What lies there is {Written(together)}, and {Signs.Printed(answer)} is written." : "" };

        string Written(IReadOnlyList<PolyTerm> terms) => terms.Count == 0 ? "0" : Signs.Printed(PolynomialText.Write(terms, letter));
    }

    private static bool CanBeLaid(IReadOnlyList<PolyTerm> terms) =>
        terms.All(t => t.Power is >= 0 and <= 2 && BigInteger.Abs(t.Number) <= MostTiles) && terms.Sum(t => (int)BigInteger.Abs(t.Number)) <= 2 * MostTiles;

    private static TileRow Row(string label, IEnumerable<PolyTerm> terms) =>
        new(label, [.. terms.Where(t => !t.Number.IsZero).Select(t => new TileGroup(t.Power, (int)BigInteger.Abs(t.Number), t.Number.Sign < 0))]);

    private static string Said(TileGroup group) =>
        $"{group.Count} {(group.Power switch { 0 => "small", 1 => "long", _ => "square" })}{(group.IsMinus ? ", minus side up" : "")}";
}
