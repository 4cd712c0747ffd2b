using System.Reflection;
using System.Text.Json.Serialization;

namespace YellowPencil.Core.Notation;

/// <summary>
/// The names under which values stand in files and in the database: literals at their declarations, so that renaming code changes none of them.
/// </summary>
public static class Spelling
{
    /// <summary>The name of a value, for example <c>not-told-apart</c>.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The value has no name.</exception>
    public static string Of<T>(T value)
        where T : struct, Enum =>
            Names<T>.ByValue.TryGetValue(value, out var name)
                ? name
                : throw new ArgumentOutOfRangeException(nameof(value), $"{typeof(T).Name}.{value} has no name");

    /// <summary>Reads a name; false when no value has it.</summary>
    public static bool TryParse<T>(string name, out T value)
        where T : struct, Enum => Names<T>.ByName.TryGetValue(name, out value);

    /// <summary>The names of all values, in their order.</summary>
    public static IReadOnlyList<string> All<T>()
        where T : struct, Enum => [.. Enum.GetValues<T>().Select(Of)];

    private static class Names<T>
        where T : struct, Enum
    {
        public static readonly Dictionary<T, string> ByValue = typeof(T).GetFields(BindingFlags.Public | BindingFlags.Static)
            .Select(f => (Value: (T)f.GetValue(null)!, f.GetCustomAttribute<JsonStringEnumMemberNameAttribute>()?.Name))
            .Where(n => n.Name is not null).ToDictionary(n => n.Value, n => n.Name!);

        public static readonly Dictionary<string, T> ByName = ByValue.ToDictionary(n => n.Value, n => n.Key);
    }
}
