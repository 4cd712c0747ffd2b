using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>One partial product of a long multiplication.</summary>
/// <param name="Text">The row as written, placeholder zeros included.</param>
/// <param name="Carries">Its carry marks, or null where they were not recorded.</param>
/// <param name="LastPlace">The column of its last digit, where the row was shifted instead of filled with zeros.</param>
public sealed record PartialProduct(string Text, PlaceMarks? Carries = null, int? LastPlace = null);

/// <summary>The partial products of a long multiplication from the top, each with its carry marks.</summary>
public sealed class RowsField() : WorkField<IReadOnlyList<PartialProduct>>("rows")
{
    private const int CarryPart = 1;

    /// <summary>A carry mark of a row, in the column that it was carried to.</summary>
    public MarkKind Carry => new(this, CarryPart);

    /// <inheritdoc/>
    public override bool StandsInLines => true;

    /// <inheritdoc/>
    public override bool StandsInColumns => true;

    /// <inheritdoc/>
    public override string Say(Spot at, string text) => at switch
    {
        { Part: CarryPart } => $"{text} carried to the {Place.Name(at.Place ?? 0)} in row {at.Line + 1}",
        { Place: null or 0 } => $"{text} in row {at.Line + 1}",
        _ => $"{text} in row {at.Line + 1}, ending in the {Place.Name(at.Place.Value)}",
    };

    /// <inheritdoc/>
    public override bool IsSame(Mark one, Mark other) =>
        one.At.Part == CarryPart ? one.Text == other.Text : InPlace(one.Text, one.At.Place ?? 0) == InPlace(other.Text, other.At.Place ?? 0);

    /// <summary>In a row, the column of the first digit from the right that differs.</summary>
    public override int? FirstDifference(Spot at, string due, string written)
    {
        if (at.Part == CarryPart) return at.Place;
        for (var place = 0; place < Math.Max(due.Length, written.Length); place++)
            if (DigitAt(due, place) != DigitAt(written, place)) return (at.Place ?? 0) + place;
        return at.Place ?? 0;

        static char DigitAt(string text, int place) => place < text.Length ? text[^(place + 1)] : ' ';
    }

    private protected override IReadOnlyList<PartialProduct> ReadValue(SheetField json) =>
    [
        .. json.Objects(Limits.Entries, "text", "carries", "lastPlace").Select(row => new PartialProduct(
            row["text"].Text(Limits.Entry), row["carries"].IsAbsent ? null : PlaceMarks.Read(row["carries"]), SheetPlace.ReadOptional(row["lastPlace"]))),
    ];

    private protected override void WriteValue(Utf8JsonWriter json, IReadOnlyList<PartialProduct> value)
    {
        json.WriteStartArray();
        foreach (var row in value)
        {
            json.WriteStartObject();
            json.WriteString("text", row.Text);
            if (row.Carries is not null)
            {
                json.WritePropertyName("carries");
                row.Carries.Write(json);
            }

            if (row.LastPlace is { } place) json.WriteNumber("lastPlace", place);
            json.WriteEndObject();
        }

        json.WriteEndArray();
    }

    private protected override IEnumerable<Mark> Marks(IReadOnlyList<PartialProduct> value)
    {
        for (var i = 0; i < value.Count; i++)
        {
            foreach (var carry in value[i].Carries?.Marks(this, i, CarryPart) ?? []) yield return carry;
            yield return new Mark(this, new Spot(i, value[i].LastPlace ?? 0), value[i].Text);
        }
    }

    private protected override IReadOnlyList<PartialProduct> Value(IReadOnlyList<Mark> marks)
    {
        var carries = marks.Where(m => m.At.Part == CarryPart).ToLookup(m => m.At.Line);
        return [.. marks.Where(m => m.At.Part == 0).Select(row => new PartialProduct(
            row.Text, PlaceMarks.Of(carries[row.At.Line]), row.At.Place is null or 0 ? null : row.At.Place))];
    }

    internal override object ValueOfTyped(IReadOnlyList<Mark> marks) =>
        Value(marks).Select(row => row.Carries?.Places.Any() == true ? row : row with { Carries = null }).ToList();

    private protected override bool Tells(IReadOnlyList<PartialProduct> value, Spot at) =>
        at.Part != CarryPart || (at.Line < value.Count && value[at.Line].Carries is not null);

    /// <summary>
    /// Rows that are not where and what they are due to be, those of zeros left out; and the carries of the rows in which they were recorded.
    /// </summary>
    private protected override IEnumerable<FieldMatch> Match(ItemTask task, IReadOnlyList<PartialProduct> seen, IReadOnlyList<Mark> due)
    {
        var written = seen.Where(row => WrittenDigits.Of(row.Text).Length > 0).ToList();
        var rows = due.Where(m => m.At.Part == 0).ToList();
        var match = new FieldMatch(0, 0, Math.Max(0, rows.Count - written.Count), Math.Max(0, written.Count - rows.Count));
        foreach (var (row, mark) in written.Zip(rows)) match += FieldMatch.Of(InPlace(row.Text, row.LastPlace ?? 0) == InPlace(mark.Text, mark.At.Place ?? 0));
        yield return match;
        if (seen.Any(row => row.Carries is not null)) yield return CarriesMatch(written, due);
    }

    // Carries may be named by the column of the top digit, or by that of their row, which is shifted.
    private static FieldMatch CarriesMatch(List<PartialProduct> rows, IReadOnlyList<Mark> due)
    {
        var match = default(FieldMatch);
        for (var i = 0; i < rows.Count; i++)
            if (rows[i].Carries is { } carries)
                match += new[]
                    { 0, i }.Distinct()
                        .Select(shift => carries.Compare(due.Where(m => m.At.Part == CarryPart && m.At.Line == i), shift, isComplete: true)).MinBy(m => m.Off);
        return match;
    }

    private static string InPlace(string text, int lastPlace) => WrittenDigits.Of(text) + new string('0', Math.Max(0, lastPlace));
}

public static partial class WorkFields
{
    /// <summary>The partial products.</summary>
    public static RowsField Rows { get; } = new();
}
