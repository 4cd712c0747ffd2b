using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>Something that was tried.</summary>
/// <param name="Value">What was tried: a number, or two brackets.</param>
/// <param name="Result">What it came to; null where that was not written.</param>
public sealed record Trial(string Value, string? Result);

/// <summary>What was tried, in order.</summary>
public sealed class TriedField() : WorkField<IReadOnlyList<Trial>>("tried")
{
    /// <summary>What was tried in a row.</summary>
    public MarkKind Value(int row) => new(this, 2 * row);

    /// <summary>What it came to.</summary>
    public MarkKind Result(int row) => new(this, 2 * row + 1);

    /// <inheritdoc/>
    public override string Say(Spot at, string text) => at.Part % 2 == 0 ? $"{text} tried" : $"{text} as what it comes to";

    private protected override IReadOnlyList<Trial> ReadValue(SheetField json) =>
        [
            .. json.Objects(Limits.Entries, ["value", "result"])
                .Select(trial => new Trial(trial["value"].Text(Limits.Entry), trial["result"].OptionalText(Limits.Entry)))];

    private protected override void WriteValue(Utf8JsonWriter json, IReadOnlyList<Trial> value)
    {
        json.WriteStartArray();
        foreach (var trial in value)
        {
            json.WriteStartObject();
            json.WriteString("value", trial.Value);
            if (trial.Result is { } result) json.WriteString("result", result);
            json.WriteEndObject();
        }

        json.WriteEndArray();
    }

    private protected override IEnumerable<Mark> Marks(IReadOnlyList<Trial> value)
    {
        for (var row = 0; row < value.Count; row++)
        {
            yield return new Mark(this, new Spot(Part: 2 * row), value[row].Value);
            if (value[row].Result is { } result) yield return new Mark(this, new Spot(Part: 2 * row + 1), result);
        }
    }

    private protected override IReadOnlyList<Trial>? Value(IReadOnlyList<Mark> marks) => marks.Count == 0 ? null
        : [.. marks.GroupBy(m => m.At.Part / 2).OrderBy(g => g.Key).Select(g => new Trial(Text(g, 0) ?? "", Text(g, 1)))];

    private protected override bool Tells(IReadOnlyList<Trial> value, Spot at) =>
        at.Part / 2 < value.Count && (at.Part % 2 == 0 || value[at.Part / 2].Result is not null);

    /// <summary>
    /// Of brackets, with what the trying ended, and whether what came before it is among what would be tried; of numbers, which are kept by what they come to,
    /// whether the one that is kept was tried, and whether it is mended, so that there are several. In which order somebody tries says nothing.
    /// </summary>
    private protected override IEnumerable<FieldMatch> Match(ItemTask task, IReadOnlyList<Trial> seen, IReadOnlyList<Mark> due)
    {
        if (seen.Count == 0 || Value(due) is not { Count: > 0 } trials) yield break;
        var (expected, tried) = (trials.Select(t => task.Canonical(t.Value)).ToList(), seen.Select(t => task.Canonical(t.Value)).ToList());
        var isOfNumbers = trials[^1].Result is not null;
        yield return FieldMatch.Of(isOfNumbers ? tried.Contains(expected[^1]) : tried[^1] == expected[^1]);
        if (isOfNumbers) yield return FieldMatch.Of(tried.Count > 1 == expected.Count > 1);
        else if (tried.Count > 1) yield return FieldMatch.Of(tried.SkipLast(1).All(expected.Contains));
    }

    private static string? Text(IEnumerable<Mark> marks, int part) => marks.Where(m => m.At.Part % 2 == part).Select(m => m.Text).LastOrDefault();
}

public static partial class WorkFields
{
    /// <summary>What was tried, in order.</summary>
    public static TriedField Tried { get; } = new();
}
