using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>One cycle of a long division; what was not written is null.</summary>
/// <param name="Quotient">The digit of the quotient.</param>
/// <param name="Product">What is taken away.</param>
/// <param name="Difference">What is left.</param>
/// <param name="BroughtDown">The digit brought down after it.</param>
/// <param name="Place">Over which digit of the dividend the digit of the quotient stands, by its place, or null where that was not seen.</param>
public sealed record DivisionCycle(string? Quotient, string? Product, string? Difference, string? BroughtDown, int? Place = null);

/// <summary>The cycles of a long division in the order in which they were done.</summary>
public sealed class CyclesField() : WorkField<IReadOnlyList<DivisionCycle>>("steps")
{
    private static readonly string[] PartNames = ["quotient", "product", "difference", "broughtDown"];

    /// <summary>A digit of the quotient.</summary>
    public MarkKind Quotient => new(this, 0);

    /// <summary>What is taken away.</summary>
    public MarkKind Product => new(this, 1);

    /// <summary>What is left.</summary>
    public MarkKind Difference => new(this, 2);

    /// <summary>What is brought down at the end of the cycle.</summary>
    public MarkKind BroughtDown => new(this, 3);

    /// <inheritdoc/>
    public override bool StandsInLines => true;

    /// <inheritdoc/>
    public override bool StandsInColumns => true;

    /// <inheritdoc/>
    public override string Say(Spot at, string text) => at.Part switch
    {
        0 => $"{text} in the quotient in cycle {at.Line + 1}",
        1 => $"{text} taken away in cycle {at.Line + 1}",
        2 => $"{text} left in cycle {at.Line + 1}",
        _ => $"{text} brought down in cycle {at.Line + 1}",
    };

    internal override bool IsWorthRecording(IReadOnlyList<Mark> marks) => true;

    private protected override IReadOnlyList<DivisionCycle> ReadValue(SheetField json) =>
    [
        .. json.Objects(Limits.Entries, [.. PartNames, "place"]).Select(cycle => new DivisionCycle(
            cycle[PartNames[0]].OptionalText(Limits.Entry), cycle[PartNames[1]].OptionalText(Limits.Entry), cycle[PartNames[2]].OptionalText(Limits.Entry),
            cycle[PartNames[3]].OptionalText(Limits.Entry), SheetPlace.ReadOptional(cycle["place"]))),
    ];

    private protected override void WriteValue(Utf8JsonWriter json, IReadOnlyList<DivisionCycle> value)
    {
        json.WriteStartArray();
        foreach (var cycle in value)
        {
            json.WriteStartObject();
            for (var part = 0; part < PartNames.Length; part++)
                if (TextOf(cycle, part) is { } text) json.WriteString(PartNames[part], text);
            if (cycle.Place is { } place) json.WriteString("place", SheetPlace.Name(place));
            json.WriteEndObject();
        }

        json.WriteEndArray();
    }

    private protected override IEnumerable<Mark> Marks(IReadOnlyList<DivisionCycle> value) =>
        from cycle in value.Index()
        from part in Enumerable.Range(0, PartNames.Length)
        let text = TextOf(cycle.Item, part)
        where text is not null
        select new Mark(this, new Spot(cycle.Index, cycle.Item.Place, part), text);

    // Over which digit a digit of the quotient stands is noted only where somebody looked for it.
    private protected override IReadOnlyList<DivisionCycle> Value(IReadOnlyList<Mark> marks) =>
    [
        .. marks.GroupBy(m => m.At.Line).OrderBy(g => g.Key).Select(cycle =>
        {
            var texts = cycle.ToLookup(m => m.At.Part, m => m.Text);
            return new DivisionCycle(texts[0].LastOrDefault(), texts[1].LastOrDefault(), texts[2].LastOrDefault(), texts[3].LastOrDefault());
        }),
    ];

    private protected override bool Tells(IReadOnlyList<DivisionCycle> value, Spot at) => at.Line < value.Count && TextOf(value[at.Line], at.Part) is not null;

    /// <summary>
    /// Cycles that differ; those that give 0 are written by some and passed over by others. Cycles that were not recorded at the end count once.
    /// </summary>
    private protected override IEnumerable<FieldMatch> Match(ItemTask task, IReadOnlyList<DivisionCycle> seen, IReadOnlyList<Mark> due)
    {
        var written = seen.Where(IsWorked).ToList();
        var cycles = Value(due).Where(IsWorked).ToList();
        var match = new FieldMatch(0, 0, written.Count < cycles.Count ? 1 : 0, Math.Max(0, written.Count - cycles.Count));
        foreach (var (one, other) in written.Zip(cycles)) match += FieldMatch.Of(IsSame(one, other));
        return [match];

        static bool IsWorked(DivisionCycle cycle) => WrittenDigits.Of(cycle.Quotient ?? cycle.Product ?? "").Length > 0;
    }

    private static bool IsSame(DivisionCycle seen, DivisionCycle due)
    {
        return Agree(seen.Quotient, due.Quotient) && Agree(seen.Product, due.Product) && Agree(seen.Difference, due.Difference)
            && (Agree(seen.BroughtDown, due.BroughtDown) || Agree(seen.BroughtDown, due.Difference + due.BroughtDown));

        static bool Agree(string? one, string? other) => one is null || other is null || WrittenDigits.Of(one) == WrittenDigits.Of(other);
    }

    private static string? TextOf(DivisionCycle cycle, int part) =>
        part switch { 0 => cycle.Quotient, 1 => cycle.Product, 2 => cycle.Difference, _ => cycle.BroughtDown };
}

public static partial class WorkFields
{
    /// <summary>The cycles of a division.</summary>
    public static CyclesField Cycles { get; } = new();
}
