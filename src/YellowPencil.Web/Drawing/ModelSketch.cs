using System.Globalization;
using Microsoft.AspNetCore.Html;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Models;
using YellowPencil.Core.Notation;

namespace YellowPencil.Web.Drawing;

/// <summary>Draws models. What disagrees with the writing has a dashed frame in the reader's ink, so that it is seen without colours too.</summary>
internal sealed partial class ModelSketch
{
    private readonly List<Shape> shapes = [];
    private double width;
    private double height;

    /// <summary>A model as a picture.</summary>
    public static IHtmlContent Draw(ItemModel model)
    {
        var sketch = Of(model);
        return sketch.Svg("model", sketch.Width.ToString(CultureInfo.InvariantCulture), sketch.Height.ToString(CultureInfo.InvariantCulture));
    }

    /// <summary>A model as a sketch.</summary>
    public static Sketch Of(ItemModel model)
    {
        var picture = new ModelSketch();
        switch (model)
        {
            case PlaceValueMat mat: picture.Mat(mat); break;
            case AreaModel area: picture.Area(area); break;
            case MultiplesLadder ladder: picture.Ladder(ladder); break;
            case NumberLine line: picture.Line(line); break;
            case FractionBars bars: picture.Fractions(bars); break;
            case TermTiles tiles: picture.Tiles(tiles); break;
            case AreaBox box: picture.Box(box); break;
            case SquareArea square: picture.Square(square); break;
            case RootLine roots: picture.Roots(roots); break;
            case HalfLine half: picture.Half(half); break;
            case CurveAndChord curve: picture.Curve(curve); break;
            case TwoSides { AreBars: true } sides: picture.Bars(sides); break;
            case TwoSides sides: picture.Balance(sides); break;
            default: throw new ArgumentOutOfRangeException(nameof(model), $"no picture of {model.GetType().Name}");
        }

        return new Sketch(Math.Round(picture.width, 1), Math.Round(picture.height, 1), $"{model.Name}: {model.Text} {model.Disagreement}".Trim(), picture.shapes);
    }

    private void Mat(PlaceValueMat mat)
    {
        const int Column = 96, Radius = 7, Step = 17, InRow = 5, MostDrawn = 20;
        for (var at = 0; at < mat.Columns.Count; at++)
        {
            var column = mat.Columns[at];
            var (left, middle) = (at * Column, at * Column + Column / 2.0);
            Rect("edge", left, 0, Column, 118);
            Text("small", middle, 12, Place.Name(column.Place));
            if (column.Counters > MostDrawn) Text("plain", middle, 55, column.Counters.ToString(CultureInfo.InvariantCulture));
            for (var i = 0; i < Math.Min(MostDrawn, column.Counters); i++)
            {
                var (x, y) = (left + 14 + i % InRow * Step, 32 + i / InRow * Step);
                var isTaken = i >= column.Counters - column.Taken;
                Circle(isTaken ? "taken" : i < 10 * column.Tens ? "bundled" : "counter", x, y, Radius);
                if (isTaken) Stroke("cross", x - 6, y + 6, x + 6, y - 6);
            }

            if (column.Tens > 0 && column.Counters <= MostDrawn)
            {
                Rect("ring", left + 4, 22, Column - 10, 2 * Step + 2);
                Text("small", left - 2, 40, "←");
            }

            if (column.Taken > 0) Text("small", middle, 106, $"{column.Taken} taken");
            if (column.Tens > 0) Text("small", middle, 106, $"{10 * column.Tens} exchanged");
            if (column.Written.Length > 0) Text("hand", middle, 136, column.Written);
            if (column.Disagrees) Rect("against", middle - 20, 121, 40, 29);
        }

        Grow(mat.Columns.Count * Column, 152);
    }

    private void Area(AreaModel area)
    {
        const int Head = 64, Row = 38, UnitWidth = 330;
        var widths = area.Top.Select(part => 44.0 + 14 * part.ToString(CultureInfo.InvariantCulture).Length).ToList();
        var right = Head + widths.Sum();
        for (var (at, x) = (0, (double)Head); at < widths.Count; x += widths[at++]) Text("plain", x + widths[at] / 2, 12, area.Top[at].ToString(CultureInfo.InvariantCulture));
        for (var at = 0; at < area.Strips.Count; at++)
        {
            var strip = area.Strips[at];
            var y = 24 + at * Row;
            Text("plain", Head / 2.0, y + Row / 2.0, $"× {strip.Side}");
            for (var (piece, x) = (0, (double)Head); piece < widths.Count; x += widths[piece++])
            {
                Rect(strip.IsFilled ? "piece" : "edge", x, y, widths[piece], Row);
                if (strip.IsFilled) Text("plain", x + widths[piece] / 2, y + Row / 2.0, strip.Cells[piece].ToString(CultureInfo.InvariantCulture));
            }

            if (!strip.IsFilled) continue;
            Text("plain", right + 50, y + Row / 2.0, $"= {strip.Sum}");
            if (strip.Written.Length == 0) continue;
            Text("hand", right + 140, y + Row / 2.0, strip.Written);
            if (strip.Disagrees) Rect("against", right + 100, y + 4, 80, Row - 8);
        }

        if (area.Unit.Length > 0) Text("small", Head + UnitWidth / 2.0, 36 + area.Strips.Count * Row, area.Unit);
        Grow(Math.Max(right + 190, area.Unit.Length > 0 ? Head + UnitWidth : 0), (area.Unit.Length > 0 ? 44 : 28) + area.Strips.Count * Row);
    }

    private void Ladder(MultiplesLadder ladder)
    {
        const int Rung = 22, Left = 24, Wide = 170;
        var standing = ladder.Fits;
        for (var times = 9; times >= 1; times--)
        {
            var y = 14 + (9 - times) * Rung;
            Stroke("rail", Left, y, Left + 16, y);
            Stroke("rail", Left + Wide - 16, y, Left + Wide, y);
            Text(times == standing ? "bold" : "plain", Left + Wide / 2.0, y - 1, $"{times} × {ladder.Divisor} = {times * ladder.Divisor}");
            if (times == ladder.Chosen) Rect(times == standing ? "chosen" : "against", Left + 6, y - 11, Wide - 12, 21);
        }

        Stroke("rail", Left, 4, Left, 14 + 9 * Rung);
        Stroke("rail", Left + Wide, 4, Left + Wide, 14 + 9 * Rung);
        var at = 14 + (9 - standing) * Rung - (standing < 9 ? Rung / 2.0 : 0);
        Stroke("rail", Left + Wide + 8, at, Left + Wide + 36, at);
        Stroke("rail", Left + Wide + 8, at, Left + Wide + 15, at - 5);
        Stroke("rail", Left + Wide + 8, at, Left + Wide + 15, at + 5);
        Text("hand", Left + Wide + 72, at, ladder.Amount.ToString(CultureInfo.InvariantCulture));
        if (ladder.Chosen is { } chosen) Text("hand", Left + Wide + 72, at + 26, $"{chosen} written");
        Grow(Left + Wide + 140, Math.Max(20 + 9 * Rung, at + 44));
    }

    private void Line(NumberLine line)
    {
        const int Left = 26, Long = 540, Base = 92;
        var ends = line.Jumps.SelectMany(j => new[] { j.From, j.To }).Append(0).Append(line.Right).Append(line.Written ?? 0).ToList();
        var (first, last) = (ends.Min() - 1, ends.Max() + 1);
        double X(int number) => Left + (double)Long * (number - first) / (last - first);
        var step = (last - first) switch { <= 24 => 1, <= 60 => 5, <= 130 => 10, _ => 50 };
        Stroke("rail", Left - 12, Base, Left + Long + 12, Base);
        for (var number = first; number <= last; number++)
        {
            if (number % step != 0) continue;
            Stroke("rail", X(number), Base - 4, X(number), Base + 4);
            Text(number == 0 ? "bold" : "small", X(number), Base + 16, Signs.Printed(number.ToString(CultureInfo.InvariantCulture)));
        }

        foreach (var jump in line.Jumps) Jump("jump", X(jump.From), X(jump.To), Base, lower: 0);
        if (line.WrittenWay is { } way) Jump("against", X(way.From), X(way.To), Base, lower: 10);

        Circle("counter", X(line.Start), Base, 5);
        Circle("counter", X(line.End), Base, 5);
        if (line.Written is { } written)
        {
            Text("hand", X(written), Base + 40, Signs.Printed(written.ToString(CultureInfo.InvariantCulture)));
            if (line.Disagreement.Length > 0) Rect("against", X(written) - 22, Base + 26, 44, 28);
        }

        Grow(Left + Long + 30, Base + 58);
    }

    // An arc with the head of an arrow at its end.
    private void Jump(string css, double from, double to, double ground, double lower)
    {
        var up = Math.Min(60, 14 + Math.Abs(to - from) / 3) - lower;
        shapes.Add(new ArcShape(css, from, ground, (from + to) / 2, ground - 2 * up, to));
        if (from == to) return;
        var back = to > from ? -7 : 7;
        Stroke(css, to + back, ground - 11, to, ground - 1);
        Stroke(css, to, ground - 1, to + back / 7.0, ground - 13);
    }

    private void Grow(double toWidth, double toHeight) => (width, height) = (Math.Max(width, toWidth), Math.Max(height, toHeight));

    private void Text(string css, double x, double y, string text) => shapes.Add(new TextShape(css, x, y, text, css switch { "small" or "label" => 12, "hand" => 23, _ => 15 }));

    private void Rect(string css, double x, double y, double wide, double high) => shapes.Add(new RectShape(css, x, y, wide, high));

    private void Circle(string css, double x, double y, double radius) => shapes.Add(new OvalShape(css, x, y, radius, radius));

    private void Stroke(string css, double x1, double y1, double x2, double y2) => shapes.Add(new LineShape(css, x1, y1, x2, y2));
}
