using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>A field of a few numbers with names, any of which can be missing: the ends of a cross, middle and gap, two squares.</summary>
/// <param name="name">The name in the format.</param>
/// <param name="isList">Whether the format writes it as a list, without the names.</param>
/// <param name="parts">The names of the numbers, in order.</param>
public sealed class PartsField(string name, bool isList, params string[] parts) : WorkField<IReadOnlyList<string?>>(name)
{
    /// <summary>One of the numbers.</summary>
    public MarkKind Part(int at) => new(this, at);

    /// <summary>Numbers that may change places with each other: none, or the last two.</summary>
    public bool LastTwoMayChange { get; init; }

    /// <inheritdoc/>
    public override string Say(Spot at, string text) => $"{parts[at.Part]} {text}";

    private protected override IReadOnlyList<string?> ReadValue(SheetField json)
    {
        if (isList)
        {
            List<string?> listed = [.. json.Elements(Limits.Entries).Select(part => part.Text(Limits.Entry))];
            return listed.Count == parts.Length ? listed : throw json.Wrong($"has {parts.Length} numbers");
        }

        json.MustHaveOnly(parts);
        return [.. parts.Select(part => json[part].OptionalText(Limits.Entry))];
    }

    private protected override void WriteValue(Utf8JsonWriter json, IReadOnlyList<string?> value)
    {
        if (isList)
        {
            json.WriteStartArray();
            foreach (var part in value) json.WriteStringValue(part);
            json.WriteEndArray();
            return;
        }

        json.WriteStartObject();
        for (var i = 0; i < parts.Length; i++)
            if (value[i] is { } part) json.WriteString(parts[i], part);
        json.WriteEndObject();
    }

    private protected override IEnumerable<Mark> Marks(IReadOnlyList<string?> value)
    {
        for (var i = 0; i < parts.Length; i++)
            if (value[i] is { Length: > 0 } part) yield return new Mark(this, new Spot(Part: i), part);
    }

    private protected override IReadOnlyList<string?>? Value(IReadOnlyList<Mark> marks) =>
        marks.Count < (isList ? parts.Length : 1) ? null : [.. parts.Select((_, i) => Due(marks, i))];

    /// <summary>Of a list of which not all was typed the rest stands empty.</summary>
    internal override object? ValueOfTyped(IReadOnlyList<Mark> marks) =>
        isList && marks.Count > 0 ? (string?[])[.. parts.Select((_, i) => Due(marks, i) ?? "")] : base.ValueOfTyped(marks);

    private protected override bool Tells(IReadOnlyList<string?> value, Spot at) => value[at.Part] is { Length: > 0 };

    private protected override IEnumerable<FieldMatch> Match(ItemTask task, IReadOnlyList<string?> seen, IReadOnlyList<Mark> due)
    {
        if (due.Count == 0) yield break;
        due = InOrderOf(seen, due);
        var expected = parts.Select((_, i) => Due(due, i)).ToArray();
        for (var i = 0; i < parts.Length; i++)
            if (seen[i] is { Length: > 0 } part && expected[i] is { } one) yield return FieldMatch.Of(IsSame(part, one));
    }

    /// <summary>The marks as they stand on a page on which the last two may have changed places.</summary>
    /// <param name="seen">What stands there.</param>
    /// <param name="due">Marks, those of other fields among them.</param>
    internal IReadOnlyList<Mark> InOrderOf(IReadOnlyList<string?> seen, IReadOnlyList<Mark> due)
    {
        var (before, last) = (parts.Length - 2, parts.Length - 1);
        List<Mark> mine = [.. due.Where(m => m.Field == this)];
        if (!LastTwoMayChange || !((seen[last] is { } end && IsSame(end, Due(mine, before))) || (seen[before] is { } one && IsSame(one, Due(mine, last))))) return due;
        return [.. due.Select(m => m.Field == this && m.At.Part >= before ? m with { At = m.At with { Part = before + last - m.At.Part } } : m)];
    }

    private static bool IsSame(string seen, string? due) => due is not null && Plain(seen) == Plain(due);

    private static string Plain(string number) => DecimalNumber.Canonical(string.Concat(Signs.Plain(number).Where(c => !char.IsWhiteSpace(c))));

    private static string? Due(IReadOnlyList<Mark> marks, int part) => marks.LastOrDefault(m => m.At.Part == part).Text;
}

public static partial class WorkFields
{
    /// <summary>The ends of the cross of factoring by product and sum.</summary>
    public static PartsField Cross { get; } = new("cross", isList: false, "sum", "product", "left", "right") { LastTwoMayChange = true };

    /// <summary>Middle and gap of factoring.</summary>
    public static PartsField Gap { get; } = new("gap", isList: false, "middle", "squared", "gap");

    /// <summary>The two perfect squares round a root.</summary>
    public static PartsField Between { get; } = new("between", isList: true, "lower square", "upper square");
}
