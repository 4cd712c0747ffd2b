using Microsoft.AspNetCore.Html;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Notation;
using YellowPencil.Data;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Drawing;

/// <content>What stands beside the lines of a working and is not read: struck out, or worked on the side.</content>
internal sealed partial class LinesPicture
{
    private IReadOnlyList<NotReadText> notRead = [];

    /// <summary>What is not read, by itself; null where it cannot be built up.</summary>
    public static IHtmlContent? Line(NotReadText text)
    {
        if (text.Text.Length == 0 || TextsOf(text).Any(t => t.Fault is not null)) return null;
        List<Shape> shapes = [];
        var (width, height) = PutNotRead(shapes, text, 0, 0);
        return SquarePaper.Svg(new Sketch(Math.Max(Square, width), height, Signs.Printed(text.Text), shapes));
    }

    public override PagePicture WithNotRead(IReadOnlyList<NotReadText> notRead)
    {
        this.notRead = notRead;
        return this;
    }

    // What is not read behind so many lines: what is struck out below them, and what is worked on the side to the right of the last.
    private void PutBehind(List<Shape> shapes, int behind, (double End, double Top) last, ref double top, ref double wide)
    {
        var beside = last.Top;
        foreach (var one in TypedLines.At(notRead, behind, lines.Count))
        {
            var left = one.IsSideWork ? (Math.Ceiling(last.End / Square) + 1) * Square : 0;
            var (width, height) = PutNotRead(shapes, one, left, one.IsSideWork ? beside : top);
            wide = Math.Max(wide, left + width);
            if (one.IsSideWork) beside += height;
            else top += height;
        }

        top = Math.Max(top, beside);
    }

    private static IEnumerable<WrittenLine> TextsOf(NotReadText text) => (text.IsSideWork ? TypedLines.ColumnsOf(text.Text) : [text.Text]).Select(WrittenLine.Read);

    // What is struck out, with a stroke across it that is not taken for the line of a fraction; or columns of work on the side, each with a stroke in front.
    private static (double Width, double Height) PutNotRead(List<Shape> shapes, NotReadText text, double left, double top)
    {
        var boxes = TextsOf(text).Select(ExpressionBox.Of).ToList();
        var height = boxes.Max(b => b.Squares) * Square;
        var (x, middle) = (left, top + height / 2);
        foreach (var box in boxes)
        {
            if (text.IsSideWork) shapes.Add(new LineShape("rule thin", x, top + 4, x, top + height - 4));
            Put(shapes, box, x + (text.IsSideWork ? Square / 4 : 0), middle, "handline");
            if (!text.IsSideWork) shapes.Add(new LineShape("strike", x, middle + height / 5, x + Math.Max(Square, box.Width), middle - height / 5));
            x += box.Width + Square;
        }

        return (x - left - Square / 2, height);
    }
}
