namespace YellowPencil.Core.Layouts;

/// <summary>What families lay out alike: the rows of a product, what is struck out, what is noted beside the work.</summary>
internal static class PartLayouts
{
    /// <summary>The zeros with which the rows of the digits of a multiplier begin; a digit 0 has no row.</summary>
    public static IReadOnlyList<int> PlaceholdersOf(string multiplier) =>
        [.. multiplier.Where(char.IsAsciiDigit).Reverse().Index().Where(d => d.Item != '0').Select(d => d.Index)];

    /// <summary>Lays out a product by the digits of its numbers.</summary>
    public static void Product(Paper paper, string first, int firstLength, string second, int secondLength, string signs)
    {
        var most = firstLength + secondLength;
        if (secondLength == 1)
        {
            paper.Marks("carries", "carry", WorkFields.Carries, paper.NextRow(), 0, firstLength);
        }
        else
        {
            for (var line = secondLength - 1; line >= 0; line--)
                paper.Marks($"row-carries-{line}", $"carry of row {line + 1}", WorkFields.Rows.Carry, paper.NextRow(), 0, firstLength, line);
        }

        paper.Print(first, paper.NextRow(), 0);
        var row = paper.NextRow();
        paper.Print(second, row, 0);
        paper.Print("×", row, Math.Max(firstLength, Squares.Spread(second, 0).Count()));
        var ruled = 0;
        if (secondLength > 1)
        {
            ruled = paper.NextRow();
            paper.Marks("carries", "carry of the row sum", WorkFields.Carries, ruled, 0, most);
            for (var line = 0; line < secondLength; line++) paper.Text($"rows-{line}", $"row {line + 1}", WorkFields.Rows, paper.NextRow(), 0, most, line);
        }

        var answer = paper.NextRow();
        if (secondLength > 1) paper.Line(ruled, 0, most, until: answer - 1);
        paper.Line(answer, 0, most);
        paper.Answer(answer, 0, most, signs);
    }

    /// <summary>New values over the digits of a number, each striking out what stands below it.</summary>
    /// <param name="paper">The paper.</param>
    /// <param name="rows">The rows of the values, the lowest first.</param>
    /// <param name="top">The row of the number.</param>
    /// <param name="right">The column of its last digit.</param>
    /// <param name="left">The last column in which one can be written.</param>
    public static void StruckOut(Paper paper, IReadOnlyList<int> rows, int top, int right, int left)
    {
        for (var level = 0; level < rows.Count; level++)
            paper.Marks($"above-{level}", NewValues[level], WorkFields.Rewritten, rows[level], right, left, level: level, strikes: level == 0 ? top : rows[level - 1]);
    }

    /// <summary>The rows over a number for values that are written over its digits, the first of them the lowest: a digit that lends three times has three.</summary>
    public static IReadOnlyList<int> RowsAbove(Paper paper) => [.. NewValues.Select(_ => paper.NextRow()).Reverse()];

    private static readonly string[] NewValues = ["new value", "second new value", "third new value"];

    /// <summary>Rows for what is noted beside the work.</summary>
    public static void Noted(Paper paper, bool isSigned, bool isCounted)
    {
        if (isCounted) Note(paper, "places", "count of places", WorkFields.Places, "");
        if (isSigned) Note(paper, "sign", "sign", WorkFields.Sign, "-+");
    }

    private static void Note(Paper paper, string word, string name, MarkKind kind, string signs)
    {
        var row = paper.NextRow();
        paper.Columns = Math.Max(paper.Columns, 4);
        paper.PrintWord(word, row, paper.Columns - 1);
        paper.Note(word, name, kind, row, 0, 1, signs);
    }
}
