namespace YellowPencil.Core.Layouts;

/// <summary>What stands in the squares of an item, by strip and column.</summary>
public sealed class Squares
{
    private readonly SortedDictionary<string, SortedDictionary<int, string>> byStrip = new(StringComparer.Ordinal);
    private readonly Dictionary<string, int> moved = [];

    /// <summary>Whether something is written as the answer that cannot be read.</summary>
    public bool IsUnreadable { get; set; }

    /// <summary>What stands in a strip, by column from the right; empty where nothing does.</summary>
    public IReadOnlyDictionary<int, string> In(string strip) => byStrip.TryGetValue(strip, out var squares) ? squares : NoSquares;

    /// <summary>The strips in which something stands, with the number of columns to the left by which what is given was moved.</summary>
    public IEnumerable<string> Strips => byStrip.Keys.Union(moved.Keys);

    /// <summary>By how many columns to the left a given number was moved.</summary>
    public int MovedBy(string strip) => moved.GetValueOrDefault(strip);

    /// <summary>Whether nothing is written in a strip, and what is given there was not moved.</summary>
    public bool IsEmpty(string strip) => MovedBy(strip) == 0 && In(strip).Count == 0;

    /// <summary>Whether the same stands in a strip as in others.</summary>
    public bool IsSame(Squares others, string strip) => MovedBy(strip) == others.MovedBy(strip) && In(strip).SequenceEqual(others.In(strip));

    /// <summary>Writes into a square.</summary>
    public void Put(string strip, int column, string text)
    {
        if (!byStrip.TryGetValue(strip, out var squares)) byStrip[strip] = squares = [];
        squares[column] = text;
    }

    /// <summary>Empties a strip.</summary>
    internal void Clear(string strip) => byStrip.Remove(strip);

    /// <summary>Moves a given number.</summary>
    public void Move(string strip, int columns)
    {
        if (columns != 0) moved[strip] = columns;
    }

    /// <summary>Writes a text, a sign to a square, that ends in a column.</summary>
    internal void PutText(string strip, string text, int lastColumn)
    {
        foreach (var (column, sign) in Spread(text, lastColumn)) Put(strip, column, sign);
    }

    /// <summary>The text of a strip from the left to the right, and the column of its last sign; null where nothing stands there.</summary>
    public (string Text, int LastColumn)? TextOf(string strip, string gap = "")
    {
        var squares = In(strip);
        if (squares.Count == 0) return null;
        var (last, first) = (squares.Keys.Min(), squares.Keys.Max());
        var text = string.Concat(Enumerable.Range(0, first - last + 1).Select(i => squares.TryGetValue(first - i, out var sign) ? sign : gap));
        return (text, last);
    }

    /// <summary>A text a sign to a square, from the left: a point stands beside the digit before it. Spaces stay empty.</summary>
    public static IEnumerable<(int Column, string Sign)> Spread(string text, int lastColumn)
    {
        var signs = new List<string>();
        foreach (var sign in text)
        {
            if (sign == '.' && signs.Count > 0 && char.IsAsciiDigit(signs[^1][0]) && signs[^1].Length == 1) signs[^1] += ".";
            else if (sign != ',') signs.Add(sign.ToString());
        }

        for (var i = 0; i < signs.Count; i++)
            if (signs[i] != " ") yield return (lastColumn + signs.Count - 1 - i, signs[i]);
    }

    private static readonly IReadOnlyDictionary<int, string> NoSquares = new Dictionary<int, string>();
}
