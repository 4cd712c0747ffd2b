using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>One field of a sheet with its path, so that every message can say which field it is about.</summary>
internal readonly struct SheetField(JsonElement? element, string path)
{
    public JsonValueKind Kind => element?.ValueKind ?? JsonValueKind.Undefined;

    public JsonElement Json => element!.Value;

    public bool IsAbsent => Kind is JsonValueKind.Undefined or JsonValueKind.Null;

    public SheetField this[string name] => new(
        Kind == JsonValueKind.Object && element!.Value.TryGetProperty(name, out var found) ? found : null,
        path.Length == 0 ? name : $"{path}.{name}");

    public Unreadable Wrong(string message) => new(new SheetFault(path, message));

    /// <summary>Refuses an object with a field that the format does not have there, or has twice: it would be lost.</summary>
    public void MustHaveOnly(params IReadOnlyList<string> known)
    {
        foreach (var (name, value) in Properties())
            if (!known.Contains(name)) throw value.Wrong($"is not known here; there are {string.Join(", ", known)}");
    }

    public string Text(int longest)
    {
        MustBe(JsonValueKind.String, "text");
        string text;
        try
        {
            text = element!.Value.GetString()!;
        }
        catch (InvalidOperationException)
        {
            throw Wrong("holds characters that are not valid Unicode");
        }

        return text.Length <= longest ? text : throw Wrong($"has more than {longest} characters");
    }

    public string? TextOrNull(int longest) => Kind == JsonValueKind.Null ? null : Text(longest);

    public string? OptionalText(int longest) => IsAbsent ? null : Text(longest);

    public double Number()
    {
        MustBe(JsonValueKind.Number, "a number");
        return element!.Value.TryGetDouble(out var number) && double.IsFinite(number) ? number : throw Wrong("is not a usable number");
    }

    public int WholeNumber()
    {
        MustBe(JsonValueKind.Number, "a whole number");
        return element!.Value.TryGetInt32(out var number) ? number : throw Wrong("must be a whole number");
    }

    public List<SheetField> Elements(int most)
    {
        MustBe(JsonValueKind.Array, "a list");
        var here = path;
        var count = element!.Value.GetArrayLength();
        return count <= most
            ? [.. element.Value.EnumerateArray().Select((e, i) => new SheetField(e, $"{here}[{i}]"))]
            : throw Wrong($"has {count} entries, more than {most}");
    }

    public List<SheetField> OptionalElements(int most) => IsAbsent ? [] : Elements(most);

    /// <summary>The entries of a list of objects that have the given fields only.</summary>
    public List<SheetField> Objects(int most, params IReadOnlyList<string> known)
    {
        var entries = Elements(most);
        foreach (var entry in entries) entry.MustHaveOnly(known);
        return entries;
    }

    /// <summary>The fields of an object, none of which may stand there twice.</summary>
    public List<(string Name, SheetField Value)> Properties()
    {
        MustBe(JsonValueKind.Object, "an object");
        var found = new List<(string Name, SheetField Value)>();
        var names = new HashSet<string>();
        foreach (var property in element!.Value.EnumerateObject())
        {
            string name;
            try
            {
                name = property.Name;
            }
            catch (InvalidOperationException)
            {
                throw Wrong("has a field name that is not valid Unicode");
            }

            var value = new SheetField(property.Value, path.Length == 0 ? name : $"{path}.{name}");
            if (!names.Add(name)) throw value.Wrong("stands here twice");
            found.Add((name, value));
        }

        return found;
    }

    public List<(string Name, SheetField Value)> OptionalProperties() => IsAbsent ? [] : Properties();

    private void MustBe(JsonValueKind kind, string what)
    {
        if (Kind == JsonValueKind.Undefined) throw Wrong("is missing");
        if (Kind != kind) throw Wrong($"must be {what}");
    }

    /// <summary>Leaves the reading of a sheet; caught where the reading began.</summary>
    internal sealed class Unreadable(SheetFault fault) : Exception(fault.ToString())
    {
        public SheetFault Fault { get; } = fault;
    }
}
