using System.Globalization;

namespace YellowPencil.Web.Drawing;

/// <content>Paper for fractions, letters and roots.</content>
internal sealed partial class Aids
{
    private static readonly int[] Cuts = [1, 2, 3, 4, 5, 6, 8, 9, 10, 12];

    /// <summary>Strips of one length, each cut into other parts, to be folded, coloured and cut out.</summary>
    /// <param name="paper">The paper.</param>
    public static Sketch Strips(PaperSize paper)
    {
        const double High = 19, Row = 23;
        var aid = new Aids(paper);
        foreach (var (row, parts) in Cuts.Index())
        {
            var (top, wide) = (row * Row + 4, paper.Width / (double)parts);
            for (var part = 0; part < parts; part++)
            {
                aid.Rect(part * wide, top, wide, High);
                aid.Text(part * wide + wide / 2, top + 4, parts == 1 ? "1" : $"1/{parts}", 3.6);
            }
        }

        return aid.Close("strips cut into parts");
    }

    /// <summary>Mats with a field for wholes and one for parts.</summary>
    /// <param name="paper">The paper.</param>
    public static Sketch WholesAndParts(PaperSize paper)
    {
        var aid = new Aids(paper);
        var high = paper.Height / 2.0 - 8;
        for (var mat = 0; mat < 2; mat++)
        {
            var top = mat * (high + 10);
            foreach (var (field, name) in new[] { "wholes", "parts" }.Index())
            {
                aid.Rect(field * paper.Width / 2.0, top, paper.Width / 2.0, high);
                aid.Text((field + 0.5) * paper.Width / 2.0, top + 7, name, 5);
            }

            aid.Line(0, top + 11, paper.Width, top + 11);
            aid.Line(0, top + high - 20, paper.Width, top + high - 20);
        }

        return aid.Close("mats of wholes and parts");
    }

    /// <summary>A square of ten by ten squares.</summary>
    /// <param name="paper">The paper.</param>
    public static Sketch Hundreds(PaperSize paper)
    {
        const double Square = 11;
        var aid = new Aids(paper);
        foreach (var top in new[] { 4.0, 122.0 })
            if (top + 10 * Square <= paper.Height) aid.Grid((paper.Width - 10 * Square) / 2, top, 10, 10, Square, Square);
        return aid.Close("squares of ten by ten");
    }

    /// <summary>Lines from one root to the next in tenths: squares are written above, roots below.</summary>
    /// <param name="paper">The paper.</param>
    public static Sketch RootLines(PaperSize paper)
    {
        const double Left = 18;
        var aid = new Aids(paper);
        for (var y = 18.0; y < paper.Height - 10; y += 36)
        {
            aid.Line(Left - 4, y, paper.Width - 2, y);
            for (var tenth = 0; tenth <= 10; tenth++)
            {
                var (x, high) = (Left + 4 + tenth * (paper.Width - Left - 12) / 10, tenth % 5 == 0 ? 3.4 : 2);
                aid.Line(x, y - high, x, y + high);
                if (tenth % 10 != 0) continue;
                aid.Rect(x - 7, y - 13, 14, 8);
                aid.Rect(x - 7, y + 5, 14, 8);
            }

            aid.Text(5, y - 9, "squares", 3);
            aid.Text(5, y + 9, "roots", 3);
        }

        return aid.Close("number lines, squares above and roots below");
    }

    /// <summary>Tiles to be cut out: squares of the letter, long tiles as long as it, small ones.</summary>
    /// <param name="paper">The paper.</param>
    public static Sketch Tiles(PaperSize paper)
    {
        const double Long = 34, Short = 9;
        var aid = new Aids(paper);
        for (var square = 0; square < 4; square++) Tile(square * (Long + 4), 4, Long, Long, "+");
        for (var row = 0; row < 3; row++)
            for (var tile = 0; tile < 4; tile++) Tile(tile * (Long + 4), 46 + row * (Short + 4), Long, Short, "+");
        for (var row = 0; row < 3; row++)
            for (var tile = 0; tile < 12; tile++) Tile(tile * (Short + 4), 90 + row * (Short + 4), Short, Short, "+");
        aid.Text(paper.Width / 2.0, 138, "Cut them out and write − on the back of each.", 4.5);
        return aid.Close("tiles to be cut out");

        void Tile(double x, double y, double wide, double high, string sign)
        {
            aid.Rect(x, y, wide, high);
            aid.Text(x + wide / 2, y + high / 2, sign, 4);
        }
    }

    /// <summary>Tables of pairs with their products and sums.</summary>
    /// <param name="paper">The paper.</param>
    public static Sketch Pairs(PaperSize paper)
    {
        const double Row = 9;
        var aid = new Aids(paper);
        var wide = paper.Width / 2.0 - 8;
        for (var table = 0; table < 4; table++)
        {
            var (left, top) = (table % 2 * (wide + 16), 4 + table / 2 * (11 * Row + 14));
            foreach (var (column, name) in new[] { "pair", "product", "sum" }.Index()) aid.Text(left + (column + 0.5) * wide / 3, top + Row / 2, name, 4);
            aid.Grid(left, top, 3, 11, wide / 3, Row);
        }

        return aid.Close("tables of pairs, products and sums");
    }

    /// <summary>Crosses with room for the product above, the sum below and the two numbers beside.</summary>
    /// <param name="paper">The paper.</param>
    public static Sketch Crosses(PaperSize paper)
    {
        const double Size = 34;
        var aid = new Aids(paper);
        for (var y = 14.0; y + Size + 12 < paper.Height; y += Size + 26)
            for (var column = 0; column < 3; column++)
            {
                var x = (column + 0.5) * paper.Width / 3 - Size / 2;
                aid.Line(x, y, x + Size, y + Size);
                aid.Line(x, y + Size, x + Size, y);
            }

        return aid.Close("crosses");
    }

    /// <summary>Equations with a line down at the equals sign, and room for what is done under both sides.</summary>
    /// <param name="paper">The paper.</param>
    public static Sketch BothSides(PaperSize paper)
    {
        const double High = 52;
        var aid = new Aids(paper);
        for (var top = 4.0; top + High < paper.Height; top += High + 8)
            for (var column = 0; column < 2; column++)
            {
                var (left, wide) = (column * (paper.Width / 2.0 + 3), paper.Width / 2.0 - 3);
                aid.Rect(left, top, wide, High);
                for (var line = 1; line < 5; line++) aid.Line(left, top + line * High / 5, left + wide, top + line * High / 5);
                for (var line = 0; line < 5; line++) aid.Text(left + wide / 2, top + (line + 0.5) * High / 5, line % 2 == 0 ? "=" : "|", 4);
            }

        return aid.Close("equations, with what is done under both sides");
    }
}
