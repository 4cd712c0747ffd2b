using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>A field that the format writes as a list of texts.</summary>
public abstract class TextsField : WorkField<IReadOnlyList<string>>
{
    private readonly int longest;

    private protected TextsField(string name, int longest)
        : base(name) => this.longest = longest;

    private protected sealed override IReadOnlyList<string> ReadValue(SheetField json) => [.. json.Elements(Limits.Entries).Select(text => text.Text(longest))];

    private protected sealed override void WriteValue(Utf8JsonWriter json, IReadOnlyList<string> value)
    {
        json.WriteStartArray();
        foreach (var text in value) json.WriteStringValue(text);
        json.WriteEndArray();
    }
}
