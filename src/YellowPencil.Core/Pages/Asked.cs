using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>What a task asks for, in the words of the worked-sheet format; null where nothing is said. Part of what the task is.</summary>
/// <param name="Form">The form of a quotient: <c>remainder</c>, <c>fraction</c> or <c>decimal</c>.</param>
/// <param name="Over">The numbers to factor over: <c>integers</c>, <c>reals</c> or <c>complex</c>.</param>
/// <param name="To">The place to estimate to, for example <c>0.1</c>.</param>
public readonly record struct Asked(string? Form = null, string? Over = null, string? To = null)
{
    /// <summary>As it is said behind a task; empty where nothing is.</summary>
    public string Words => string.Concat(Form is null ? "" : $"as a {Form}", Over is null ? "" : $"over the {Over}", To is null ? "" : $"to {To}");

    /// <summary>Reads what <see cref="Words"/> says; null for anything else.</summary>
    public static Asked? TryRead(string words) => words.Split(' ', StringSplitOptions.RemoveEmptyEntries) switch
    {
        ["as", "a", var form] => new Asked(Form: form),
        ["over", "the", var over] => new Asked(Over: over),
        ["to", var place] => new Asked(To: place),
        _ => null,
    };

    /// <summary>Writes what is said as properties of an object.</summary>
    public void Write(Utf8JsonWriter json)
    {
        if (Form is not null) json.WriteString("form", Form);
        if (Over is not null) json.WriteString("over", Over);
        if (To is not null) json.WriteString("to", To);
    }

    /// <summary>Reads the properties of an object.</summary>
    public static Asked Read(JsonElement json)
    {
        return new Asked(Of("form"), Of("over"), Of("to"));

        string? Of(string name) => json.TryGetProperty(name, out var value) ? value.GetString() : null;
    }
}
