using System.Numerics;

namespace YellowPencil.Core.Models;

/// <summary>An edge of a box, or a piece of it.</summary>
/// <param name="Text">The term, as it is written; empty where it is not known yet.</param>
/// <param name="AtTen">What it is with 10 for the letter; null where it is not known yet.</param>
public sealed record BoxTerm(string Text, BigInteger? AtTen)
{
    /// <summary>A term that is not known yet.</summary>
    public static readonly BoxTerm Open = new("", null);
}

/// <summary>A box whose pieces are the products of its edges: to scale with 10 for the letter, where no edge is below zero or too short to be written on.</summary>
public sealed record AreaBox : ItemModel
{
    private const int MostOnEdge = 4;

    // So many times a term the whole edge may be, for its piece to hold what is written in it.
    private const int LongestOfShortest = 10;

    /// <summary>The edge along the top.</summary>
    public required IReadOnlyList<BoxTerm> Top { get; init; }

    /// <summary>The edge down the side.</summary>
    public required IReadOnlyList<BoxTerm> Side { get; init; }

    /// <summary>The pieces, row by row.</summary>
    public required IReadOnlyList<IReadOnlyList<BoxTerm>> Pieces { get; init; }

    /// <summary>Whether it is drawn to scale.</summary>
    public bool IsToScale => Top.Concat(Side).All(t => t.AtTen is { Sign: > 0 }) && LongerEdge <= LongestOfShortest * Top.Concat(Side).Min(t => t.AtTen!.Value);

    /// <summary>How long the longer edge is with 10 for the letter; what is not known yet has no length.</summary>
    public BigInteger LongerEdge => BigInteger.Max(Length(Top), Length(Side));

    /// <inheritdoc/>
    public override string Name => "A box of products";

    /// <inheritdoc/>
    public override string Text =>
        $"{Said(Side)} down the side, {Said(Top)} along the top; the pieces are {string.Join("; ", Pieces.Select(Said))}.{(IsToScale ? " To scale with 10 for the letter." : "")}";

    /// <inheritdoc/>
    public override string Disagreement => Note;

    private string Note { get; init; } = "";

    /// <summary>The box of a product; null where an edge has too many terms.</summary>
    /// <param name="side">The terms down the side.</param>
    /// <param name="top">The terms along the top.</param>
    /// <param name="letter">The letter.</param>
    /// <param name="isBegun">Whether something is written yet: before, the pieces are open.</param>
    /// <param name="answer">The answer, once it stands there.</param>
    public static AreaBox? OfProduct(IReadOnlyList<PolyTerm> side, IReadOnlyList<PolyTerm> top, char letter, bool isBegun, string? answer)
    {
        if (side.Count > MostOnEdge || top.Count > MostOnEdge) return null;
        var product = PolynomialText.Collected(side.SelectMany(s => top.Select(t => Times(s, t))));
        char? known = letter;
        var isOff = answer is not null && PolynomialText.TryRead(Signs.Plain(answer), ref known) is { } written && !PolynomialText.Collected(written).SequenceEqual(product);
        return new AreaBox
        {
            Top = Edge(top, letter),
            Side = Edge(side, letter),
            Pieces = [.. side.Select(s => (IReadOnlyList<BoxTerm>)[.. top.Select(t => isBegun || answer is not null ? Term(Times(s, t), letter) : BoxTerm.Open)])],
            Note = isOff ? $"All pieces together are {Printed(product, letter)}, and {Signs.Printed(answer!)} is written." : "",
        };
    }

    /// <summary>The box of a quadratic that is taken apart: open edges with the two corners, or the edges that are written with what they fill.</summary>
    /// <param name="set">The quadratic.</param>
    /// <param name="letter">The letter.</param>
    /// <param name="front">What is written before the brackets.</param>
    /// <param name="brackets">The two brackets that are written; null before.</param>
    public static AreaBox OfFactors(IReadOnlyList<PolyTerm> set, char letter, PolyTerm front, (IReadOnlyList<PolyTerm> Side, IReadOnlyList<PolyTerm> Top)? brackets)
    {
        if (brackets is not { } edges || edges.Side.Count > MostOnEdge || edges.Top.Count > MostOnEdge)
        {
            var (first, last) = (set.FirstOrDefault(t => t.Power == 2), set.FirstOrDefault(t => t.Power == 0));
            return new AreaBox
            {
                Top = [BoxTerm.Open, BoxTerm.Open],
                Side = [BoxTerm.Open, BoxTerm.Open],
                Pieces = [[Term(first, letter), BoxTerm.Open], [BoxTerm.Open, Term(last, letter)]],
            };
        }

        var filled = PolynomialText.Collected(edges.Side.SelectMany(s => edges.Top.Select(t => Times(Times(s, t), front))));
        var isOff = !filled.SequenceEqual(PolynomialText.Collected(set));
        var box = OfProduct(edges.Side, edges.Top, letter, isBegun: true, null)!;
        var times = front is { Number.IsOne: true, Power: 0 } ? "" : $", {Printed([front], letter)} of it";
        return box with { Note = isOff ? $"These edges fill the box{times} with {Printed(filled, letter)}, and {Printed(set, letter)} was set." : "" };
    }

    private static BigInteger Length(IEnumerable<BoxTerm> edge) => edge.Aggregate(BigInteger.Zero, (sum, term) => sum + (term.AtTen ?? 0));

    private static PolyTerm Times(PolyTerm one, PolyTerm other) => new(one.Number * other.Number, one.Power + other.Power);

    private static List<BoxTerm> Edge(IEnumerable<PolyTerm> terms, char letter) => [.. terms.Select(t => Term(t, letter))];

    private static BoxTerm Term(PolyTerm term, char letter) => new(Printed([term], letter), term.Number * BigInteger.Pow(10, term.Power));

    private static string Printed(IReadOnlyList<PolyTerm> terms, char letter) => Signs.Printed(PolynomialText.Write(terms, letter));

    private static string Said(IReadOnlyList<BoxTerm> terms) => string.Join(" and ", terms.Select(t => t.Text.Length == 0 ? "an open place" : t.Text));
}
