using PdfSharp.Drawing;
using PdfSharp.Pdf;
using YellowPencil.Core.Notation;
using YellowPencil.Web.Drawing;

namespace YellowPencil.Web.Printing;

/// <summary>
/// Pages of a PDF file, filled from the top: headings, sentences, tables and items on squared paper. Nothing that belongs together is cut by a page's end.
/// </summary>
internal sealed class PdfPaper : IDisposable
{
    private const double Mm = 72 / 25.4;
    private const double Margin = 14 * Mm;
    private const double FootHeight = 6 * Mm;

    /// <summary>Pages are whole points wide: so much of a square can be missing.</summary>
    private const double Rounding = 0.05;
    private static readonly XPen Grid = new(XColor.FromArgb(0xd9, 0xde, 0xd6), 0.5);
    private static readonly XPen Dashed = new(XColors.Black, 1.2) { DashStyle = XDashStyle.Dash };

    // A space at which no line ends, and what stands between a line of working and the words beside it.
    private const char Kept = '\u00a0';
    private static readonly string Behind = new(Kept, 2);

    // By so much of its size the hand is lifted to stand on the line of the print.
    private const double HandAbove = 0.2;
    private readonly PdfDocument document = new();
    private readonly PaperSize size;
    private readonly List<(PdfPage Page, string Head)> pages = [];
    private XGraphics on = null!;
    private string head = "";
    private double y;

    /// <summary>Begins a file.</summary>
    /// <param name="title">What the file is called by a reader.</param>
    /// <param name="size">The paper.</param>
    /// <param name="isLarge">Whether it is in large print.</param>
    /// <param name="square">The side of a square in mm; null for that of a student's sheet.</param>
    public PdfPaper(string title, PaperSize size, bool isLarge = false, double? square = null)
    {
        document.Info.Title = title;
        this.size = size;
        TextSize = isLarge ? 16 : 10.5;
        Square = (square ?? (isLarge ? ItemBands.LargeSide : ItemBands.Sides[0])) * Mm;
    }

    /// <summary>Whether numbers have a decimal comma.</summary>
    public bool HasComma { get; init; }

    /// <summary>The size of the text, in points.</summary>
    public double TextSize { get; init; }

    /// <summary>The side of a square, in points.</summary>
    public double Square { get; private set; }

    private double Width => on.PageSize.Width - 2 * Margin;

    private double Bottom => on.PageSize.Height - Margin - FootHeight;

    /// <summary>Begins a page.</summary>
    /// <param name="headed">What stands at the top of it, and of the pages that follow from it.</param>
    public void Begin(string headed)
    {
        head = headed;
        NewPage();
    }

    /// <summary>A line with the code, and lines to write name and date on.</summary>
    public void Heads(string code, bool hasName)
    {
        Write(code, Bold(TextSize + 2), Margin, y);
        var from = Margin + Width * (hasName ? 0.3 : 0.65);
        foreach (var word in hasName ? new[] { "Name", "Date" } : ["Date"])
        {
            Write(word, Plain(TextSize), from, y);
            on.DrawLine(XPens.Black, from + 14 * Mm, y + TextSize + 3, from + Width * 0.33, y + TextSize + 3);
            from += Width * 0.36;
        }

        y += 2 * TextSize + 4;
    }

    /// <summary>A heading, kept with so much below it.</summary>
    public void Heading(string title, double with = 40)
    {
        Need(2.5 * TextSize + with);
        y += 0.5 * TextSize;
        Write(title, Bold(TextSize + 2), Margin, y);
        y += TextSize + 5;
        on.DrawLine(XPens.Black, Margin, y, Margin + Width, y);
        y += 5;
    }

    /// <summary>A sentence, its first words in bold.</summary>
    public void Say(string lead, string sentence, double indent = 0, double with = 0) => Say([(lead, true), (sentence, false)], indent, with);

    /// <summary>A sentence of parts, some of them in bold.</summary>
    public void Say(IEnumerable<(string Text, bool IsBold)> parts, double indent = 0, double with = 0) =>
        Say([.. parts.SelectMany(p => Words(p.Text, p.IsBold ? Bold(TextSize) : Plain(TextSize)))], indent, with);

    /// <summary>A step of an example: its number, the line that it writes, in the hand in which that stands on the paper, and what is said of it.</summary>
    public void Step(int number, string line, string sentence, bool decides)
    {
        var font = decides ? Bold(TextSize) : Plain(TextSize);
        Say([($"{number}.", Bold(TextSize)), .. line.Length > 0 ? [(line.Replace(' ', Kept), new XFont(PdfFonts.Hand, TextSize + 2)), (Behind, font)] : Words("", font), .. Words(sentence, font)], 10, 0);
    }

    private void Say(List<(string Word, XFont Font)> words, double indent, double with)
    {
        var lines = Lines(words, Width - indent);
        Need(lines.Count * 1.35 * TextSize + with);
        foreach (var line in lines)
        {
            Need(1.35 * TextSize);
            WriteLine(line, Margin + indent, y);
            y += 1.35 * TextSize;
        }

        y += 0.35 * TextSize;
    }

    /// <summary>A table whose columns have these shares of the width.</summary>
    public void Table(IReadOnlyList<double> shares, IReadOnlyList<string> heads, IEnumerable<IReadOnlyList<string>> rows)
    {
        Row(shares, heads, Bold(TextSize), isHead: true);
        foreach (var row in rows)
            if (Row(shares, row, Plain(TextSize), isHead: false) is false)
            {
                NewPage();
                Row(shares, heads, Bold(TextSize), isHead: true);
                Row(shares, row, Plain(TextSize), isHead: false);
            }

        y += 0.5 * TextSize;
    }

    /// <summary>Items on squared paper, as many beside each other as there is room for.</summary>
    public void Items(IReadOnlyList<(string Name, Sketch Sketch)> items)
    {
        var columns = (int)(Width / Square + Rounding);
        var widest = items.Max(i => ItemBands.Squares(i.Sketch.Width));
        if (widest + 1 > columns) columns = (int)(Width / (Square *= (columns - 1) / widest));
        foreach (var band in ItemBands.Of(items, i => i.Sketch, columns)) Band(band, columns);
        y += TextSize;
    }

    /// <summary>A picture as <see cref="Picture"/> draws it, where this page still has room for it.</summary>
    public void PictureWhereItFits(string name, Sketch sketch)
    {
        if (y + 2 * 1.35 * TextSize + sketch.Height * UnitOf(sketch) <= Bottom) Picture(name, sketch);
    }

    private double UnitOf(Sketch sketch) => Math.Min(0.6, Width / sketch.Width);

    /// <summary>A picture under its name, at most as wide as the page.</summary>
    public void Picture(string name, Sketch sketch)
    {
        var unit = UnitOf(sketch);
        Say(name, "", with: sketch.Height * unit);
        Place(sketch, Margin, y, unit);
        y += sketch.Height * unit + 0.5 * TextSize;
    }

    /// <summary>Something drawn in true millimetres.</summary>
    public void Draw(Sketch sketch)
    {
        Place(sketch, Margin, y, Mm);
        y += sketch.Height * Mm;
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        on?.Dispose();
        document.Dispose();
    }

    /// <summary>The finished file.</summary>
    public byte[] Finish()
    {
        on.Dispose();
        for (var i = 0; i < pages.Count; i++)
        {
            using var foot = XGraphics.FromPdfPage(pages[i].Page);
            var below = new XRect(Margin, foot.PageSize.Height - Margin - 10, foot.PageSize.Width - 2 * Margin, 10);
            foot.DrawString(Shown(pages[i].Head), Plain(9), XBrushes.DimGray, below, XStringFormats.TopLeft);
            foot.DrawString($"{i + 1} / {pages.Count}", Plain(9), XBrushes.DimGray, below, XStringFormats.TopRight);
        }

        using var file = new MemoryStream();
        document.Save(file);
        return file.ToArray();
    }

    private static XFont Plain(double size) => new(PdfFonts.Print, size);

    private static XFont Bold(double size) => new(PdfFonts.Print, size, XFontStyleEx.Bold);

    private string Shown(string text) => HasComma ? DecimalSign.WithComma(text) : text;

    private static IEnumerable<(string, XFont)> Words(string text, XFont font) => text.Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(word => (word, font));

    private void Band(IReadOnlyList<(string Name, Sketch Sketch)> band, int columns)
    {
        var high = ItemBands.Height(band.Select(i => i.Sketch));
        Need(high * Square);
        for (var line = 0; line <= high; line++) on.DrawLine(Grid, Margin, y + line * Square, Margin + columns * Square, y + line * Square);
        for (var column = 0; column <= columns; column++) on.DrawLine(Grid, Margin + column * Square, y, Margin + column * Square, y + high * Square);
        var left = Margin + Square;
        foreach (var (name, sketch) in band)
        {
            Write(name, Plain(0.8 * TextSize), left, y + 0.15 * Square);
            Place(sketch, left, y + Square, Square / SquarePaper.Square);
            left += (ItemBands.Squares(sketch.Width) + 1) * Square;
        }

        y += high * Square;
    }

    private void Place(Sketch sketch, double left, double top, double unit)
    {
        foreach (var shape in sketch.Shapes)
            switch (shape)
            {
                case LineShape line:
                    on.DrawLine(line.Style is "aim" or "phase" ? Dashed : new XPen(line.Style.Length > 0 ? XColors.Black : XColors.Gray, line.Style.Length > 0 ? 1.1 : 0.5), left + line.X1 * unit, top + line.Y1 * unit, left + line.X2 * unit, top + line.Y2 * unit);
                    break;
                case RectShape rect:
                    on.DrawRectangle(rect.Style == "against" ? Dashed : XPens.Gray, Fill(rect.Style), left + rect.X * unit, top + rect.Y * unit, rect.Width * unit, rect.Height * unit);
                    break;
                case OvalShape oval:
                    var place = new XRect(left + (oval.X - oval.RadiusX) * unit, top + (oval.Y - oval.RadiusY) * unit, 2 * oval.RadiusX * unit, 2 * oval.RadiusY * unit);
                    if (oval.Style.Length > 0) on.DrawEllipse(XPens.Black, Fill(oval.Style), place);
                    else on.DrawEllipse(XBrushes.Black, place);
                    break;
                case ArcShape arc:
                    var bent = new XPoint(left + arc.BentX * unit, top + arc.BentY * unit);
                    var (from, to) = (new XPoint(left + arc.X1 * unit, top + arc.Y * unit), new XPoint(left + arc.X2 * unit, top + arc.Y * unit));
                    on.DrawBezier(XPens.Black, from, new XPoint((from.X + 2 * bent.X) / 3, (from.Y + 2 * bent.Y) / 3), new XPoint((to.X + 2 * bent.X) / 3, (to.Y + 2 * bent.Y) / 3), to);
                    break;
                case TextShape shown:
                    Sign(shown, left + shown.X * unit, top + shown.Y * unit, unit);
                    break;
                default:
                    throw new InvalidOperationException($"no PDF of {shape.GetType().Name}");
            }
    }

    // What is filled on the screen is filled in greys that can be told apart.
    private static XSolidBrush Fill(string style) => style switch { "piece" => XBrushes.Gainsboro, "counter" => XBrushes.DarkGray, _ => XBrushes.Transparent };

    private void Sign(TextShape sign, double x, double middle, double unit)
    {
        var isHand = sign.Style.Contains("hand");
        var size = sign.Size > 0 ? sign.Size : sign.Style switch { "hand small" => 18, "hand tight" => 17, _ when sign.Style.Contains("word") => 15, _ => isHand ? 25 : 21 };
        var font = new XFont(isHand ? PdfFonts.Hand : PdfFonts.Print, size * unit);
        var at = sign.Style.Contains("word") ? XStringFormats.CenterLeft : XStringFormats.Center;
        on.DrawString(HasComma ? DecimalSign.Sign(sign.Text) : sign.Text, font, XBrushes.Black, x, middle, at);
    }

    private bool Row(IReadOnlyList<double> shares, IReadOnlyList<string> cells, XFont font, bool isHead)
    {
        const double Gap = 6;
        var lines = cells.Zip(shares, (cell, share) => Lines([.. Words(cell, font)], share * Width - Gap)).ToList();
        var high = lines.Max(l => l.Count) * 1.3 * TextSize + 4;
        if (y + high > Bottom && !isHead) return false;
        Need(isHead ? high + 3 * TextSize : high);
        var left = Margin;
        for (var column = 0; column < cells.Count; left += shares[column] * Width, column++)
            for (var line = 0; line < lines[column].Count; line++) WriteLine(lines[column][line], left, y + 2 + line * 1.3 * TextSize);
        y += high;
        on.DrawLine(isHead ? XPens.Black : Grid, Margin, y, Margin + Width, y);
        return true;
    }

    private List<List<(string Word, XFont Font)>> Lines(List<(string Word, XFont Font)> words, double width)
    {
        List<List<(string Word, XFont Font)>> lines = [[]];
        var taken = 0.0;
        foreach (var word in words)
        {
            var wide = on.MeasureString(word.Word + " ", word.Font).Width;
            if (taken + wide > width && lines[^1].Count > 0)
            {
                lines.Add([]);
                taken = 0;
            }

            lines[^1].Add(word);
            taken += wide;
        }

        return lines;
    }

    // Words of one kind are written together, so that they can be found in the file as they are read.
    private void WriteLine(List<(string Word, XFont Font)> line, double left, double top)
    {
        for (var at = 0; at < line.Count;)
        {
            var font = line[at].Font;
            var alike = line.Skip(at).TakeWhile(w => (w.Font.Bold, w.Font.Size) == (font.Bold, font.Size)).Select(w => w.Word).ToList();
            var run = string.Join(' ', alike) + " ";
            at += alike.Count;
            Write(run, font, left, font.FontFamily.Name == PdfFonts.Hand ? top - HandAbove * font.Size : top);
            left += on.MeasureString(run, font).Width;
        }
    }

    private void Write(string written, XFont font, double left, double top) => on.DrawString(PdfFonts.Readable(Shown(written)), font, XBrushes.Black, left, top, XStringFormats.TopLeft);

    private void Need(double height)
    {
        if (y + height > Bottom && y > Margin) NewPage();
    }

    private void NewPage()
    {
        on?.Dispose();
        var page = document.AddPage();
        page.Size = size == PaperSize.Letter ? PdfSharp.PageSize.Letter : PdfSharp.PageSize.A4;
        pages.Add((page, head));
        on = XGraphics.FromPdfPage(page);
        y = Margin;
    }
}
