using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>A field that holds one short note beside the work.</summary>
public abstract class NotedField : WorkField<string>
{
    private protected NotedField(string name)
        : base(name)
    {
    }

    private protected override void WriteValue(Utf8JsonWriter json, string value) => json.WriteStringValue(value);

    private protected override IEnumerable<Mark> Marks(string value) => [new Mark(this, default, value)];

    private protected override string? Value(IReadOnlyList<Mark> marks) => marks.Count == 0 ? null : marks[^1].Text;

    private protected override IEnumerable<FieldMatch> Match(ItemTask task, string seen, IReadOnlyList<Mark> due) =>
        due.Count == 0 ? [] : [FieldMatch.Of(Plain(seen) == due[^1].Text)];

    private protected virtual string Plain(string note) => note.Trim();
}
