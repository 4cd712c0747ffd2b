using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>
/// What stands on the page beside one answer, field by field. A field that is absent was not recorded and says nothing; one that is there but empty says
/// that no such mark was made.
/// </summary>
public sealed class Work
{
    private readonly SortedList<string, object> values;

    private Work(SortedList<string, object> values) => this.values = values;

    /// <summary>Nothing was recorded.</summary>
    public static Work None { get; } = new([]);

    /// <summary>The fields that were recorded, by name.</summary>
    public IEnumerable<WorkField> Fields => values.Keys.Select(name => WorkFields.Find(name)!);

    /// <summary>Whether nothing was recorded.</summary>
    public bool IsEmpty => values.Count == 0;

    /// <summary>Whether a field was recorded.</summary>
    public bool Has(WorkField field) => values.ContainsKey(field.Name);

    /// <summary>What was recorded in a field; null where it was not.</summary>
    public T? Get<T>(WorkField<T> field)
        where T : class => (T?)ValueOf(field);

    /// <summary>The same page with another value in a field.</summary>
    public Work With<T>(WorkField<T> field, T value)
        where T : class => With(field, (object)value);

    /// <summary>The same page without what was recorded in a field: it says nothing any more.</summary>
    public Work Without(WorkField field) => With(field, (object?)null);

    /// <summary>The page that a list of marks leaves, with every one of the given fields recorded.</summary>
    public static Work Of(IEnumerable<Mark> marks, params ReadOnlySpan<WorkField> recorded)
    {
        var byField = marks.ToLookup(m => m.Field);
        var values = new SortedList<string, object>(StringComparer.Ordinal);
        foreach (var field in recorded)
            if (field.ValueOf([.. byField[field]]) is { } value) values[field.Name] = value;
        return new Work(values);
    }

    /// <summary>The marks that were recorded in a field, in the order of writing; none where it was not recorded.</summary>
    public IEnumerable<Mark> MarksOf(WorkField field) => ValueOf(field) is { } value ? field.MarksOf(value) : [];

    /// <summary>Whether it is known what stands, or does not stand, at a spot.</summary>
    public bool Records(WorkField field, Spot at) => ValueOf(field) is { } value && field.Records(value, at);

    /// <summary>Reads the <c>work</c> of an item from JSON.</summary>
    /// <returns>What was recorded, or null with the fault.</returns>
    public static Work? TryRead(JsonElement json, out SheetFault? fault)
    {
        fault = null;
        try
        {
            return Read(new SheetField(json.Clone(), "work"));
        }
        catch (SheetField.Unreadable e)
        {
            fault = e.Fault;
            return null;
        }
    }

    /// <summary>The same page with other marks in a field. Without marks, it says nothing any more, unless it said before that there were none.</summary>
    internal Work With(WorkField field, IEnumerable<Mark> marks)
    {
        List<Mark> all = [.. marks];
        return all.Count > 0 ? With(field, field.ValueOfTyped(all)) : Has(field) && !MarksOf(field).Any() ? this : Without(field);
    }

    internal object? ValueOf(WorkField field) => values.GetValueOrDefault(field.Name);

    internal static Work Read(SheetField json)
    {
        var work = None;
        foreach (var (name, value) in json.OptionalProperties())
            if (!value.IsAbsent) work = work.With(FieldOf(name, value), FieldOf(name, value).Read(value));
        return work;
    }

    /// <summary>
    /// The same page after a change: a field that is there takes the place of the one before, one that is null is erased, one that is absent stays.
    /// </summary>
    internal Work Changed(SheetField json)
    {
        var work = this;
        foreach (var (name, value) in json.OptionalProperties())
            work = work.With(FieldOf(name, value), value.IsAbsent ? null : FieldOf(name, value).Read(value));
        return work;
    }

    internal void Write(Utf8JsonWriter json)
    {
        json.WriteStartObject();
        foreach (var (name, value) in values)
        {
            json.WritePropertyName(name);
            WorkFields.Find(name)!.Write(json, value);
        }

        json.WriteEndObject();
    }

    private static WorkField FieldOf(string name, SheetField at) =>
        WorkFields.Find(name) ?? throw at.Wrong($"is not known here; there are {string.Join(", ", WorkFields.All)}");

    private Work With(WorkField field, object? value)
    {
        var changed = new SortedList<string, object>(values, StringComparer.Ordinal);
        if (value is null) changed.Remove(field.Name);
        else changed[field.Name] = value;
        return changed.Count == 0 ? None : new Work(changed);
    }
}
