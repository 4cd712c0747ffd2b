using System.Text.Json;

namespace YellowPencil.Core.Working;

/// <summary>Where one number of a column layout was put.</summary>
/// <param name="Text">The number as written.</param>
/// <param name="LastPlace">The column, by the first number's places, in which its last digit stands.</param>
public sealed record Operand(string Text, int LastPlace);

/// <summary>
/// What stands on the page beside one answer. A field that is null, or a key that is absent, was not recorded and says
/// nothing; one that is there but empty says that no such mark was made.
/// </summary>
public sealed record Work
{
    /// <summary>The orders in which columns can be seen to have been worked.</summary>
    public static readonly IReadOnlyList<string> Orders = ["right-to-left", "left-to-right", "both"];

    /// <summary>Nothing was recorded.</summary>
    public static Work None { get; } = new();

    /// <summary>Where each number was put, or null.</summary>
    public IReadOnlyList<Operand>? Operands { get; init; }

    /// <summary>The order of the columns, one of <see cref="Orders"/>, or null.</summary>
    public string? Order { get; init; }

    /// <summary>The recorded marks by field.</summary>
    public IReadOnlyDictionary<MarkField, PlaceMarks> Marks { get; init; } = new Dictionary<MarkField, PlaceMarks>();

    /// <summary>Fields of the format that no family in the product reads yet, kept as they came, by name.</summary>
    public IReadOnlyDictionary<string, JsonElement> Kept { get; init; } = new Dictionary<string, JsonElement>();

    /// <summary>Whether nothing was recorded.</summary>
    public bool IsEmpty => Operands is null && Order is null && Marks.Count == 0 && Kept.Count == 0;

    /// <summary>The page that a list of marks leaves, with every one of the given fields recorded.</summary>
    public static Work Of(IEnumerable<Mark> marks, params ReadOnlySpan<MarkField> recorded)
    {
        var fields = new Dictionary<MarkField, PlaceMarks>();
        foreach (var field in recorded) fields[field] = new PlaceMarks();
        foreach (var mark in marks)
            if (fields.TryGetValue(mark.Field, out var places)) places.Add(mark.Place, mark.Text, mark.Row);
        return new Work { Marks = fields };
    }
}
