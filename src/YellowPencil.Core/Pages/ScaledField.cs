using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>Both numbers of a division of decimals after their points were moved.</summary>
public sealed record ScaledPair(string? Divisor, string? Dividend);

/// <summary>The numbers of a division of decimals as they were rewritten.</summary>
public sealed class ScaledField() : WorkField<ScaledPair>("scaled")
{
    /// <summary>The divisor.</summary>
    public MarkKind Divisor => new(this, 0);

    /// <summary>The dividend.</summary>
    public MarkKind Dividend => new(this, 1);

    /// <inheritdoc/>
    public override string Say(Spot at, string text) => at.Part == 0 ? $"divisor {text}" : $"dividend {text}";

    private protected override ScaledPair ReadValue(SheetField json)
    {
        json.MustHaveOnly("divisor", "dividend");
        return new ScaledPair(json["divisor"].OptionalText(Limits.Entry), json["dividend"].OptionalText(Limits.Entry));
    }

    private protected override void WriteValue(Utf8JsonWriter json, ScaledPair value)
    {
        json.WriteStartObject();
        if (value.Divisor is not null) json.WriteString("divisor", value.Divisor);
        if (value.Dividend is not null) json.WriteString("dividend", value.Dividend);
        json.WriteEndObject();
    }

    private protected override IEnumerable<Mark> Marks(ScaledPair value)
    {
        if (value.Divisor is { } divisor) yield return new Mark(this, default, divisor);
        if (value.Dividend is { } dividend) yield return new Mark(this, new Spot(Part: 1), dividend);
    }

    private protected override ScaledPair? Value(IReadOnlyList<Mark> marks) => marks.Count == 0 ? null : new ScaledPair(Last(marks, 0), Last(marks, 1));

    private protected override bool Tells(ScaledPair value, Spot at) => (at.Part == 0 ? value.Divisor : value.Dividend) is not null;

    private protected override IEnumerable<FieldMatch> Match(ItemTask task, ScaledPair seen, IReadOnlyList<Mark> due) =>
        due.Count == 0 ? [] : [Number(seen.Divisor, Last(due, 0)) + Number(seen.Dividend, Last(due, 1))];

    private static FieldMatch Number(string? seen, string? due) =>
        seen is null || due is null ? default : FieldMatch.Of(DecimalNumber.Canonical(seen) == DecimalNumber.Canonical(due));

    private static string? Last(IReadOnlyList<Mark> marks, int part) => marks.LastOrDefault(m => m.At.Part == part).Text;
}

public static partial class WorkFields
{
    /// <summary>The numbers after their points were moved.</summary>
    public static ScaledField Scaled { get; } = new();
}
