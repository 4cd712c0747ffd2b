using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>Lines as they are typed, where a sign in front says that one is struck out, and the same lines apart: those that stand, and those that do not.</summary>
internal static class StruckLines
{
    /// <summary>What stands in front of a line that is struck out.</summary>
    private const char Sign = '~';

    /// <summary>What stands in a line that is struck out; null for a line that stands.</summary>
    public static string? TextOf(string line) => line.TrimStart().StartsWith(Sign) ? line.Trim(' ', Sign) : null;

    /// <summary>Parts typed lines into those that stand and those that are struck out.</summary>
    public static (List<string> Standing, List<StruckText> Struck) Part(IEnumerable<string> typed)
    {
        List<string> standing = [];
        List<StruckText> struck = [];
        foreach (var line in typed)
        {
            if (TextOf(line) is not { } text) standing.Add(line);
            else if (text.Length > 0) struck.Add(new StruckText(text, standing.Count(l => l.Trim().Length > 0)));
        }

        return (standing, struck);
    }

    /// <summary>Puts lines that are struck out back between those that stand.</summary>
    public static IEnumerable<string> Together(IReadOnlyList<string> standing, IReadOnlyList<StruckText> struck) =>
        Enumerable.Range(0, standing.Count + 1).SelectMany(at => At(struck, at, standing.Count).Select(s => $"{Sign} {s.Text}").Concat(standing.Skip(at).Take(1)));

    /// <summary>What is struck out behind so many of the lines that stand; behind the last also what stood behind lines that are gone.</summary>
    public static IEnumerable<StruckText> At(IReadOnlyList<StruckText> struck, int line, int last) => struck.Where(s => Math.Min(s.Line, last) == line);
}
