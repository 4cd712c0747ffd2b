using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>
/// Lines as they are typed, where a sign in front says that one is struck out or stands on the side, and the same lines apart: those that are read, and those
/// that are not.
/// </summary>
internal static class TypedLines
{
    private const char Struck = '~';
    private const char Side = '|';

    /// <summary>The most columns of work on the side of a line.</summary>
    private const int MostColumns = 2;

    /// <summary>What is not read in a typed line; null for a line of the working.</summary>
    public static NotReadText? NotReadIn(string line, int behind = 0) => line.TrimStart() is not [var sign and (Struck or Side), ..] ? null
        : sign == Struck ? new NotReadText(line.Trim(' ', Struck), behind) : new NotReadText(string.Join($" {Side} ", ColumnsOf(line)), behind, IsSideWork: true);

    /// <summary>The columns of work on the side.</summary>
    public static IReadOnlyList<string> ColumnsOf(string side) =>
        side.Trim(' ', Side).Split(Side, MostColumns, StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);

    /// <summary>Parts typed lines into those of the working and those that are not read.</summary>
    public static (List<string> Read, List<NotReadText> NotRead) Part(IEnumerable<string> typed)
    {
        List<string> read = [];
        List<NotReadText> notRead = [];
        foreach (var line in typed)
        {
            if (NotReadIn(line, read.Count(l => l.Trim().Length > 0)) is not { } other) read.Add(line);
            else if (other.Text.Length > 0) notRead.Add(other);
        }

        return (read, notRead);
    }

    /// <summary>Puts lines that are not read back between those of the working.</summary>
    public static IEnumerable<string> Together(IReadOnlyList<string> read, IReadOnlyList<NotReadText> notRead) =>
        Enumerable.Range(0, read.Count + 1).SelectMany(at => At(notRead, at, read.Count).Select(s => $"{(s.IsSideWork ? Side : Struck)} {s.Text}").Concat(read.Skip(at).Take(1)));

    /// <summary>What is not read behind so many lines of the working; behind the last also what stood behind lines that are gone.</summary>
    public static IEnumerable<NotReadText> At(IReadOnlyList<NotReadText> notRead, int line, int last) => notRead.Where(s => Math.Min(s.Line, last) == line);
}
