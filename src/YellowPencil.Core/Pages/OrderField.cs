using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>The order in which the columns were worked, where it was seen.</summary>
public sealed class OrderField() : WorkField<string>("order")
{
    /// <summary>Works from the ones to the left.</summary>
    public const string RightToLeft = "right-to-left";

    /// <summary>Works from the left to the ones.</summary>
    public const string LeftToRight = "left-to-right";

    /// <summary>The values that the format has.</summary>
    public static readonly IReadOnlyList<string> Values = [RightToLeft, LeftToRight, "both"];

    /// <inheritdoc/>
    public override string Say(Spot at, string text) => text switch
    {
        RightToLeft => "worked from the right",
        LeftToRight => "worked from the left",
        _ => "worked from both ends",
    };

    /// <summary>The usual order is seldom noted.</summary>
    internal override bool IsWorthRecording(IReadOnlyList<Mark> marks) => marks.Any(m => m.Text == LeftToRight);

    private protected override string ReadValue(SheetField json)
    {
        var order = json.Text(40);
        return Values.Contains(order) ? order : throw json.Wrong($"must be one of {string.Join(", ", Values)}");
    }

    private protected override void WriteValue(Utf8JsonWriter json, string value) => json.WriteStringValue(value);

    private protected override IEnumerable<Mark> Marks(string value) => [new Mark(this, default, value)];

    private protected override string? Value(IReadOnlyList<Mark> marks) => marks.Count == 0 ? null : marks[^1].Text;

    private protected override IEnumerable<FieldMatch> Match(ItemTask task, string seen, IReadOnlyList<Mark> due) =>
        due.Count == 0 ? [] : [FieldMatch.Of(seen == due[^1].Text)];
}

public static partial class WorkFields
{
    /// <summary>The order of the columns.</summary>
    public static OrderField Order { get; } = new();
}
