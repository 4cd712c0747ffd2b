using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>A box of products: a bracket along the top, one down the side, and a cell for each two terms.</summary>
/// <param name="Top">Along the top, from the left.</param>
/// <param name="Side">Down the side.</param>
/// <param name="Cells">The cells, row by row; an empty text where a cell was left empty.</param>
public sealed record ProductBox(IReadOnlyList<string> Top, IReadOnlyList<string> Side, IReadOnlyList<IReadOnlyList<string>> Cells);

/// <summary>The box of a product, or of factoring.</summary>
public sealed class BoxField() : WorkField<ProductBox>("box")
{
    /// <summary>A box has at most so many rows, and so many columns.</summary>
    public const int MostTerms = 7;

    private const int Width = MostTerms + 1;

    /// <summary>What stands in a place of the box.</summary>
    /// <param name="row">The row; 0 for the top.</param>
    /// <param name="column">The column; 0 for the side.</param>
    public MarkKind At(int row, int column) => new(this, Width * row + column);

    /// <inheritdoc/>
    public override string Say(Spot at, string text) =>
        at.Part < Width ? $"{text} along the top of the box" : at.Part % Width == 0 ? $"{text} at the side of the box" : $"{text} in the box";

    private protected override ProductBox ReadValue(SheetField json)
    {
        json.MustHaveOnly(["top", "side", "cells"]);
        return new ProductBox(
            [.. json["top"].OptionalElements(MostTerms).Select(TermOf)],
            [.. json["side"].OptionalElements(MostTerms).Select(TermOf)],
            [.. json["cells"].OptionalElements(MostTerms).Select(row => (IReadOnlyList<string>)[.. row.Elements(MostTerms).Select(TermOf)])]);
    }

    private static string TermOf(SheetField term) => term.TextOrNull(Limits.Entry) ?? "";

    private protected override void WriteValue(Utf8JsonWriter json, ProductBox value)
    {
        json.WriteStartObject();
        Write("top", value.Top);
        Write("side", value.Side);
        json.WriteStartArray("cells");
        foreach (var row in value.Cells)
        {
            json.WriteStartArray();
            foreach (var cell in row) json.WriteStringValue(cell);
            json.WriteEndArray();
        }

        json.WriteEndArray();
        json.WriteEndObject();

        void Write(string name, IReadOnlyList<string> terms)
        {
            json.WriteStartArray(name);
            foreach (var term in terms) json.WriteStringValue(term);
            json.WriteEndArray();
        }
    }

    private protected override IEnumerable<Mark> Marks(ProductBox value) =>
        Row(0, value.Top, 1)
            .Concat(value.Side.SelectMany((side, row) => Row(row + 1, [side], 0))).Concat(value.Cells.SelectMany((cells, row) => Row(row + 1, cells, 1)))
            .Where(m => m.Text.Length > 0);

    private protected override ProductBox? Value(IReadOnlyList<Mark> marks)
    {
        if (marks.Count == 0) return null;
        var texts = marks.GroupBy(m => m.At.Part).ToDictionary(g => g.Key, g => g.Last().Text);
        var (rows, columns) = (texts.Keys.Max(part => part / Width), texts.Keys.Max(part => part % Width));
        return new ProductBox(
            [.. Enumerable.Range(1, columns).Select(c => Text(0, c))],
            [.. Enumerable.Range(1, rows).Select(r => Text(r, 0))],
            [.. Enumerable.Range(1, rows).Select(r => (IReadOnlyList<string>)[.. Enumerable.Range(1, columns).Select(c => Text(r, c))])]);

        string Text(int row, int column) => texts.GetValueOrDefault(Width * row + column, "");
    }

    private protected override bool Tells(ProductBox value, Spot at) => Marks(value).Any(m => m.At.Part == at.Part);

    /// <summary>The edges, either of which may stand along the top, and the cells in any order: how a box is turned says nothing.</summary>
    private protected override IEnumerable<FieldMatch> Match(ItemTask task, ProductBox seen, IReadOnlyList<Mark> due)
    {
        if (due.Count == 0 || Value(due) is not { } box) yield break;
        if (Written(seen.Top).Count > 0 && Written(seen.Side).Count > 0)
            yield return FieldMatch.Of(
                (IsSame(seen.Top, box.Top) && IsSame(seen.Side, box.Side)) || (IsSame(seen.Top, box.Side) && IsSame(seen.Side, box.Top)));
        var cells = seen.Cells.SelectMany(row => row).ToList();
        if (Written(cells).Count > 0) yield return FieldMatch.Of(IsSame(cells, [.. box.Cells.SelectMany(row => row)]));
    }

    private IEnumerable<Mark> Row(int row, IReadOnlyList<string> texts, int from) =>
        texts.Select((text, column) => new Mark(this, new Spot(Part: Width * row + column + from), text));

    private static bool IsSame(IReadOnlyList<string> seen, IReadOnlyList<string> due) => Written(seen).SequenceEqual(Written(due));

    // An order for what may stand in any.
    private static List<string> Written(IReadOnlyList<string> texts) => [.. texts.Select(Plain).Where(t => t.Length > 0).Order(StringComparer.Ordinal)];

    private static string Plain(string term) => string.Concat(Signs.Plain(term).Replace("²", "^2").Where(c => !char.IsWhiteSpace(c))).TrimStart('+');
}

public static partial class WorkFields
{
    /// <summary>The box of a product.</summary>
    public static BoxField Box { get; } = new();
}
