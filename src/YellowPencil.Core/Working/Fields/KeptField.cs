using System.Text.Json;
using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Working.Fields;

/// <summary>A field of the format that no family in the product reads yet: it is kept as it came.</summary>
public sealed class KeptField : WorkField
{
    private const int LongestJson = 4000;

    internal KeptField(string name)
        : base(name)
    {
    }

    /// <inheritdoc/>
    public override string Say(Spot at, string text) => text;

    internal override object Read(SheetField json)
    {
        if (json.Kind is not (JsonValueKind.Object or JsonValueKind.Array)) throw json.Wrong("must be an object or a list");
        return json.Json.GetRawText().Length <= LongestJson ? json.Json : throw json.Wrong($"has more than {LongestJson} characters");
    }

    internal override void Write(Utf8JsonWriter json, object value) => ((JsonElement)value).WriteTo(json);

    internal override IEnumerable<Mark> MarksOf(object value) => [];

    internal override object? ValueOf(IReadOnlyList<Mark> marks) => null;

    internal override IEnumerable<FieldMatch> Compare(ItemTask task, object seen, IReadOnlyList<Mark> due) => [];
}

public static partial class WorkFields
{
    /// <summary>The grid of a product.</summary>
    public static KeptField Box { get; } = new("box");

    /// <summary>What was tried, in order.</summary>
    public static KeptField Tried { get; } = new("tried");
}
