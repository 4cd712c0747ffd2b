using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>Where one number of a column layout was put.</summary>
/// <param name="Text">The number as written.</param>
/// <param name="LastPlace">The column, by the first number's places, in which its last digit stands.</param>
public sealed record Operand(string Text, int LastPlace);

/// <summary>Where the numbers of a column layout were put, from the top.</summary>
public sealed class OperandsField() : WorkField<IReadOnlyList<Operand>>("operands")
{
    /// <inheritdoc/>
    public override bool StandsInLines => true;

    /// <inheritdoc/>
    public override bool StandsInColumns => true;

    /// <inheritdoc/>
    public override string Say(Spot at, string text) => $"{text} with its last digit in the {Place.Name(at.Place ?? 0)}";

    /// <inheritdoc/>
    public override bool IsSame(Mark one, Mark other) => Ones(one.Text, one.At.Place ?? 0) == Ones(other.Text, other.At.Place ?? 0);

    /// <summary>Numbers whose ones stand under the ones of the first tell nothing.</summary>
    internal override bool IsWorthRecording(IReadOnlyList<Mark> marks) => marks.Any(m => Ones(m.Text, m.At.Place ?? 0) != 0);

    private protected override IReadOnlyList<Operand> ReadValue(SheetField json) =>
        [.. json.Objects(Limits.Entries, "text", "lastPlace").Select(o => new Operand(o["text"].Text(Limits.Entry), SheetPlace.Read(o["lastPlace"])))];

    private protected override void WriteValue(Utf8JsonWriter json, IReadOnlyList<Operand> value)
    {
        json.WriteStartArray();
        foreach (var operand in value)
        {
            json.WriteStartObject();
            json.WriteString("text", operand.Text);
            json.WriteNumber("lastPlace", operand.LastPlace);
            json.WriteEndObject();
        }

        json.WriteEndArray();
    }

    private protected override IEnumerable<Mark> Marks(IReadOnlyList<Operand> value) =>
        value.Select((o, row) => new Mark(this, new Spot(row, o.LastPlace), o.Text));

    private protected override IReadOnlyList<Operand> Value(IReadOnlyList<Mark> marks) => [.. marks.Select(m => new Operand(m.Text, m.At.Place ?? 0))];

    /// <summary>Numbers whose ones do not stand where they are due, seen from the first number.</summary>
    private protected override IEnumerable<FieldMatch> Match(ItemTask task, IReadOnlyList<Operand> seen, IReadOnlyList<Mark> due)
    {
        if (seen.Count == 0 || due.Count == 0) return [FieldMatch.Of(seen.Count == due.Count)];
        var match = new FieldMatch(0, 0, Math.Max(0, due.Count - seen.Count), Math.Max(0, seen.Count - due.Count));
        for (var i = 0; i < Math.Min(seen.Count, due.Count); i++)
        {
            var stands = Ones(seen[i].Text, seen[i].LastPlace) - Ones(seen[0].Text, seen[0].LastPlace);
            match += FieldMatch.Of(stands == Ones(due[i].Text, due[i].At.Place ?? 0) - Ones(due[0].Text, due[0].At.Place ?? 0));
        }

        return [match];
    }

    private static int Ones(string text, int lastPlace) => lastPlace + (text.IndexOf('.') is >= 0 and var point ? text.Trim().Length - point - 1 : 0);
}

public static partial class WorkFields
{
    /// <summary>Where the numbers were put.</summary>
    public static OperandsField Operands { get; } = new();
}
