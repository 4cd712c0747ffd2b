using System.Globalization;
using YellowPencil.Core.Notation;

namespace YellowPencil.Web.Drawing;

/// <summary>A sheet of paper in millimetres, without its margins.</summary>
/// <param name="Name">The name, as the style sheet has it.</param>
/// <param name="Width">The width that can be printed on.</param>
/// <param name="Height">The height that can be printed on.</param>
public sealed record PaperSize(string Name, int Width, int Height)
{
    /// <summary>A4 with margins of 14 mm, and a line for the code.</summary>
    public static readonly PaperSize A4 = new("a4", 182, 240);

    /// <summary>Letter with the same margins.</summary>
    public static readonly PaperSize Letter = new("letter", 187, 222);

    /// <summary>The height of a page of a student's sheet between the margins, above its foot.</summary>
    public int SheetHeight => Height + 23;
}

/// <summary>Draws what is laid on the table beside the writing, in true millimetres.</summary>
internal sealed partial class Aids
{
    private readonly List<Shape> shapes = [];
    private readonly PaperSize paper;

    private Aids(PaperSize paper) => this.paper = paper;

    /// <summary>Squared paper.</summary>
    /// <param name="paper">The paper.</param>
    /// <param name="square">The side of a square in mm.</param>
    public static Sketch Squared(PaperSize paper, int square)
    {
        var aid = new Aids(paper);
        var (columns, rows) = (paper.Width / square, paper.Height / square);
        aid.Grid(0, 0, columns, rows, square, square);
        return aid.Close($"squared paper of {square} mm");
    }

    /// <summary>A place-value mat with columns to lay counters on, and a line for the digits below.</summary>
    /// <param name="paper">The paper.</param>
    /// <param name="first">The highest place, as a power of ten.</param>
    /// <param name="last">The lowest place.</param>
    public static Sketch Mat(PaperSize paper, int first, int last)
    {
        var aid = new Aids(paper);
        var columns = first - last + 1;
        var (wide, high) = (paper.Width / (double)columns, paper.Height / 2.0 - 8);
        for (var mat = 0; mat < 2; mat++)
        {
            var top = mat * (high + 10);
            for (var column = 0; column < columns; column++)
            {
                var place = first - column;
                aid.Rect(column * wide, top, wide, high);
                aid.Text(column * wide + wide / 2, top + 7, Place.Name(place), 5);
                if (place == 0 && last < 0) aid.Circle((column + 1) * wide, top + high - 10, 1.6);
            }

            aid.Line(0, top + 11, paper.Width, top + 11);
            aid.Line(0, top + high - 20, paper.Width, top + high - 20);
        }

        return aid.Close("place-value mat");
    }

    /// <summary>Number lines, one below the other.</summary>
    /// <param name="paper">The paper.</param>
    /// <param name="from">The first number.</param>
    /// <param name="to">The last number.</param>
    public static Sketch Lines(PaperSize paper, int from, int to)
    {
        var aid = new Aids(paper);
        const double Left = 6;
        var step = (paper.Width - 2 * Left) / Math.Max(1, to - from);
        for (var y = 14.0; y < paper.Height - 8; y += 32)
        {
            aid.Line(0, y, paper.Width, y);
            for (var number = from; number <= to; number++)
            {
                aid.Line(Left + (number - from) * step, y - (number % 5 == 0 ? 3 : 1.8), Left + (number - from) * step, y + (number % 5 == 0 ? 3 : 1.8));
                if (step >= 7 || number % 5 == 0) aid.Text(Left + (number - from) * step, y + 7, Signs.Printed(number.ToString(CultureInfo.InvariantCulture)), 3.6);
            }
        }

        return aid.Close($"number lines from {from} to {to}");
    }

    /// <summary>Rectangles to be cut by places: two by two, with room for the parts above and beside.</summary>
    /// <param name="paper">The paper.</param>
    /// <param name="parts">Into how many parts each side is cut.</param>
    public static Sketch Areas(PaperSize paper, int parts)
    {
        var aid = new Aids(paper);
        var (wide, high) = ((paper.Width - 34.0) / parts, 62.0 / parts);
        for (var top = 12.0; top + 62 < paper.Height; top += 80)
            for (var column = 0; column < parts; column++)
                for (var row = 0; row < parts; row++)
                    aid.Rect(24 + column * wide, top + row * high, wide, high);
        return aid.Close("areas cut by places");
    }

    /// <summary>The multiples of numbers as lists to be filled in beside a division, or filled in already.</summary>
    /// <param name="paper">The paper.</param>
    /// <param name="of">The number.</param>
    /// <param name="filled">Whether the multiples stand there.</param>
    public static Sketch Multiples(PaperSize paper, int of, bool filled)
    {
        var aid = new Aids(paper);
        for (var list = 0; list < 3; list++)
            for (var times = 1; times <= 10; times++)
            {
                var (x, y) = (list * paper.Width / 3.0 + 4, 10 + (times - 1) * 11.0);
                aid.Text(x + 12, y, $"{times} × {of} =", 5);
                if (filled) aid.Text(x + 38, y, (times * of).ToString(CultureInfo.InvariantCulture), 5);
                else aid.Line(x + 27, y + 3, x + 50, y + 3);
            }

        return aid.Close($"multiples of {of}");
    }

    private void Grid(double left, double top, int columns, int rows, double wide, double high)
    {
        for (var column = 0; column <= columns; column++) Line(left + column * wide, top, left + column * wide, top + rows * high);
        for (var row = 0; row <= rows; row++) Line(left, top + row * high, left + columns * wide, top + row * high);
    }

    private void Line(double x1, double y1, double x2, double y2) => shapes.Add(new LineShape("", x1, y1, x2, y2));

    private void Rect(double x, double y, double wide, double high) => shapes.Add(new RectShape("", x, y, wide, high));

    private void Circle(double x, double y, double radius) => shapes.Add(new OvalShape("", x, y, radius, radius));

    private void Text(double x, double y, string text, double size) => shapes.Add(new TextShape("", x, y, text, size));

    private Sketch Close(string label) => new(paper.Width, paper.Height, label, shapes);
}
