using System.Globalization;
using System.Net;
using System.Text;
using Microsoft.AspNetCore.Html;

namespace YellowPencil.Web.Drawing;

/// <summary>A part of a sketch. How it looks is said by its style, a word of the style sheet; how large it is, in units of the sketch.</summary>
public abstract record Shape(string Style);

/// <summary>A line from one point to another.</summary>
public sealed record LineShape(string Style, double X1, double Y1, double X2, double Y2) : Shape(Style);

/// <summary>A text, centred on a point but for words, which begin there.</summary>
/// <param name="Style">The style.</param>
/// <param name="X">The point.</param>
/// <param name="Y">The point.</param>
/// <param name="Text">The text.</param>
/// <param name="Size">The size of its letters; 0 where the style says it.</param>
public sealed record TextShape(string Style, double X, double Y, string Text, double Size = 0) : Shape(Style)
{
    /// <summary>How it is shown to come to its place; null where it stands still.</summary>
    public Arrival? Arrival { get; init; }
}

/// <summary>How a sign comes to its place: from that far to the side and down, or new.</summary>
public sealed record Arrival(double X, double Y, bool IsNew = false);

/// <summary>A rectangle.</summary>
public sealed record RectShape(string Style, double X, double Y, double Width, double Height) : Shape(Style);

/// <summary>An oval round a point, a little turned where it was drawn by hand.</summary>
public sealed record OvalShape(string Style, double X, double Y, double RadiusX, double RadiusY, double Turned = 0) : Shape(Style);

/// <summary>An arc between two points of one height, bent towards a third.</summary>
public sealed record ArcShape(string Style, double X1, double Y, double BentX, double BentY, double X2) : Shape(Style);

/// <summary>A sketch that can be drawn on a screen or on paper.</summary>
/// <param name="Width">Its width, in its own units.</param>
/// <param name="Height">Its height.</param>
/// <param name="Label">What a screen reader says.</param>
/// <param name="Shapes">What is drawn, in this order.</param>
public sealed record Sketch(double Width, double Height, string Label, IReadOnlyList<Shape> Shapes)
{
    /// <summary>The sketch as SVG.</summary>
    /// <param name="style">The style of the whole.</param>
    /// <param name="width">How wide it is shown, with its unit.</param>
    /// <param name="height">How high it is shown, with its unit.</param>
    /// <param name="isHidden">Whether screen readers pass it over, as it is said beside it.</param>
    public IHtmlContent Svg(string style, string width, string height, bool isHidden = false)
    {
        var svg = new StringBuilder();
        svg.Append(CultureInfo.InvariantCulture, $"<svg class=\"{style}\" viewBox=\"0 0 {Width} {Height}\" width=\"{width}\" height=\"{height}\" {Said(isHidden)}>");
        foreach (var shape in Shapes)
        {
            var css = shape.Style.Length > 0 ? $" class=\"{shape.Style}\"" : "";
            _ = shape switch
            {
                LineShape s => svg.Append(CultureInfo.InvariantCulture, $"<line{css} x1=\"{s.X1:0.##}\" y1=\"{s.Y1:0.##}\" x2=\"{s.X2:0.##}\" y2=\"{s.Y2:0.##}\"/>"),
                RectShape s => svg.Append(CultureInfo.InvariantCulture, $"<rect{css} x=\"{s.X:0.##}\" y=\"{s.Y:0.##}\" width=\"{s.Width:0.##}\" height=\"{s.Height:0.##}\"/>"),
                OvalShape { Turned: 0 } s => svg.Append(CultureInfo.InvariantCulture, $"<ellipse{css} cx=\"{s.X:0.##}\" cy=\"{s.Y:0.##}\" rx=\"{s.RadiusX:0.##}\" ry=\"{s.RadiusY:0.##}\"/>"),
                OvalShape s => svg.Append(CultureInfo.InvariantCulture, $"<ellipse{css} cx=\"{s.X:0.##}\" cy=\"{s.Y:0.##}\" rx=\"{s.RadiusX:0.##}\" ry=\"{s.RadiusY:0.##}\" transform=\"rotate({s.Turned} {s.X:0.##} {s.Y:0.##})\"/>"),
                ArcShape s => svg.Append(CultureInfo.InvariantCulture, $"<path{css} d=\"M{s.X1:0.#} {s.Y:0.#} Q{s.BentX:0.#} {s.BentY:0.#} {s.X2:0.#} {s.Y:0.#}\"/>"),
                TextShape s => svg.Append(CultureInfo.InvariantCulture, $"<text{css} x=\"{s.X:0.##}\" y=\"{s.Y:0.##}\"{(s.Size > 0 ? string.Create(CultureInfo.InvariantCulture, $" font-size=\"{s.Size:0.##}\"") : "")}{Coming(s.Arrival)}>{WebUtility.HtmlEncode(s.Text)}</text>"),
                _ => throw new InvalidOperationException($"no SVG of {shape.GetType().Name}"),
            };
        }

        return new HtmlString(svg.Append("</svg>").ToString());
    }

    private static string Coming(Arrival? arrival) => arrival is null ? "" : arrival.IsNew ? " data-new" : string.Create(CultureInfo.InvariantCulture, $" data-from=\"{arrival.X:0.##} {arrival.Y:0.##}\"");

    private string Said(bool isHidden) => isHidden ? "aria-hidden=\"true\"" : $"role=\"img\" aria-label=\"{WebUtility.HtmlEncode(Label)}\"";
}
