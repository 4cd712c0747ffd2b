namespace YellowPencil.Core.Parts.Terms;

/// <summary>The box of two brackets as it stands on a page: one along the top, one down the side, and a product in each cell.</summary>
internal static class GridMarks
{
    /// <summary>Leaves the marks of a box.</summary>
    /// <param name="page">The page, which keeps marks.</param>
    /// <param name="top">The bracket along the top.</param>
    /// <param name="side">The bracket down the side.</param>
    /// <param name="cells">The cells by row; one that is null stays empty.</param>
    /// <param name="letter">The letter.</param>
    public static void Write(
        WrittenPage page, IReadOnlyList<PolyTerm> top, IReadOnlyList<PolyTerm> side, IReadOnlyList<IReadOnlyList<PolyTerm?>> cells, char letter)
    {
        for (var column = 0; column < top.Count; column++) Put(0, column + 1, top[column]);
        for (var row = 0; row < side.Count; row++)
        {
            Put(row + 1, 0, side[row]);
            for (var column = 0; column < top.Count; column++)
                if (cells[row][column] is { } cell) Put(row + 1, column + 1, cell);
        }

        void Put(int row, int column, PolyTerm term) => page.Write(WorkFields.Box.At(row, column), null, PolynomialText.Write([term], letter));
    }
}
