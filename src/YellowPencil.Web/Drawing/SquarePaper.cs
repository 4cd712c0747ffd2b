using System.Globalization;
using Microsoft.AspNetCore.Html;
using YellowPencil.Core.Layouts;

namespace YellowPencil.Web.Drawing;

/// <summary>Squared paper. One sign to a square; a square is 28 units of the sketch and one square of the paper, on the screen and in print.</summary>
/// <param name="columns">How many columns there are, counted from the right.</param>
/// <param name="right">So many of them are left out on the right.</param>
/// <param name="rows">The rows that are shown, from the top.</param>
/// <param name="hasRowBelow">Whether there is a row more for what is foretold.</param>
internal sealed class SquarePaper(int columns, int right, IReadOnlyList<int> rows, bool hasRowBelow)
{
    /// <summary>The side of a square, in units of the sketch.</summary>
    public const int Square = 28;

    /// <summary>What the style of a sign or stroke has behind it that does not stand on the page.</summary>
    public const string Inferred = " inferred";

    private const double SquareInRem = 1.75;
    private readonly List<Shape> shapes = [];

    private int Height => rows.Count + (hasRowBelow ? 1 : 0);

    /// <summary>Prints a sign, or a word from its square on.</summary>
    public void Print(Printed print)
    {
        if (!IsShown(print.Row)) return;
        if (print.Text.Length > 2) Text("print word", X(print.Column) - Square / 2 + 2, Y(print.Row), print.Text);
        else Sign("print", print.Text.Replace('-', '−'), print.Column, print.Row, 0);
    }

    /// <summary>Prints a number that ends in a column.</summary>
    public void Given(string number, int lastColumn, int row)
    {
        foreach (var (column, sign) in Squares.Spread(number, lastColumn)) Sign("print", sign.Replace('-', '−'), column, row, 0);
    }

    /// <summary>Writes by hand; in the reader's ink what is inferred.</summary>
    public void Write(string text, int column, int row, bool isSmall, bool isInferred = false)
    {
        var css = isSmall ? "hand small" : text.TrimEnd('.').Length > 1 ? "hand tight" : "hand";
        Sign(isInferred ? css + Inferred : css, text.Replace('-', '−').Replace('*', '×').Replace('/', '÷'), column, row, isSmall ? 4 : 0);
    }

    /// <summary>Strikes out what stands in a square.</summary>
    public void Strike(int column, int row, bool isSmall, bool isInferred = false)
    {
        if (!IsShown(row)) return;
        var (x, y) = (X(column), Y(row) + (isSmall ? 4 : 0));
        Line(isInferred ? "strike" + Inferred : "strike", x - 9, y + 10, x + 9, y - 10);
    }

    /// <summary>Draws a line along the edges of squares.</summary>
    public void Line(PaperLine line)
    {
        if (rows.Where(r => r >= line.Row && r <= (line.Until ?? line.Row)).Select(r => (int?)r).FirstOrDefault() is not { } row) return;
        if (line.IsDown)
        {
            var x = (columns - line.To) * Square;
            Line("rule", x, Top(row), x, Top(line.From) + Square);
        }
        else
        {
            Line("rule", (columns - 1 - line.To) * Square + 4, Top(row), (columns - Math.Max(right, line.From)) * Square - 4, Top(row));
        }
    }

    /// <summary>Writes a sign of an answer that is foretold into the row below.</summary>
    public void Predict(string text, int column) => Text("inkmark", X(column), (rows.Count + 0.5) * Square, text.Replace('-', '−'));

    /// <summary>Ticks an answer that came as foretold.</summary>
    public void Tick(int column, int row) => Text("inkmark", X(column), Y(row), "✓");

    /// <summary>Circles a square.</summary>
    public void Circle(int column, int row)
    {
        shapes.Add(new OvalShape("circle", X(column), Y(row), 14, 15, Turned: -8));
    }

    /// <summary>The finished sketch.</summary>
    public Sketch Finish(string label) => new((columns - right) * Square, Height * Square, label, shapes);

    /// <summary>A finished sketch on the screen.</summary>
    /// <param name="sketch">The sketch.</param>
    /// <param name="isHidden">Whether what it says is said beside it.</param>
    public static IHtmlContent Svg(Sketch sketch, bool isHidden = false) => sketch.Svg("working", Rem(sketch.Width), Rem(sketch.Height), isHidden);

    private static string Rem(double units) => string.Create(CultureInfo.InvariantCulture, $"{units / Square * SquareInRem}rem");

    private void Sign(string css, string text, int column, int row, double lower)
    {
        if (!IsShown(row)) return;
        var isBeside = text.Length > 1 && text.EndsWith('.');
        var y = Y(row) + lower;
        if (text != ".") Text(css, X(column), y, isBeside ? text[..^1] : text);
        if (text == "." || isBeside) Text(css + " point", X(column) + Square / 2, y, ".");
    }

    private bool IsShown(int row) => rows.Contains(row);

    private int IndexOf(int row)
    {
        var index = 0;
        while (rows[index] != row) index++;
        return index;
    }

    private double X(int column) => (columns - 1 - column + 0.5) * Square;

    private double Y(int row) => (IndexOf(row) + 0.5) * Square;

    private double Top(int row) => IndexOf(row) * Square;

    private void Line(string style, double x1, double y1, double x2, double y2) => shapes.Add(new LineShape(style, x1, y1, x2, y2));

    private void Text(string style, double x, double y, string text) => shapes.Add(new TextShape(style, x, y, text));
}
