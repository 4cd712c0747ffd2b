using YellowPencil.Core.Layouts;
using YellowPencil.Web.Drawing;

namespace YellowPencil.Web.Printing;

/// <summary>
/// Items on squared paper in bands: in their order, as many beside each other as there is room for, under a line of squares for their names. Squares are
/// made a little smaller where that saves a page.
/// </summary>
internal static class ItemBands
{
    /// <summary>The sides of a square, in mm, from the usual to the smallest in which a child still writes with ease.</summary>
    public static readonly IReadOnlyList<double> Sides = [7, 6.6, 6.3, 6];

    /// <summary>The side of a square in large print, in mm: it stays as it is.</summary>
    public const double LargeSide = 10.5;

    /// <summary>What the line with the code and the date takes, in mm,</summary>
    private const double Head = 14;

    /// <summary>and what a title does.</summary>
    private const double Title = 14;

    /// <summary>What a sentence of one or two lines takes.</summary>
    private const double Sentence = 12;

    private const double Below = 4;

    /// <summary>The bands of some items.</summary>
    /// <param name="items">The items.</param>
    /// <param name="sketchOf">Their sketches.</param>
    /// <param name="columns">How many squares lie beside each other.</param>
    public static IEnumerable<IReadOnlyList<T>> Of<T>(IReadOnlyList<T> items, Func<T, Sketch> sketchOf, int columns)
    {
        for (var at = 0; at < items.Count;)
        {
            var band = new List<T>();
            for (var taken = 1.0; at < items.Count && (band.Count == 0 || taken + Squares(sketchOf(items[at]).Width) < columns); at++)
            {
                taken += Squares(sketchOf(items[at]).Width) + 1;
                band.Add(items[at]);
            }

            yield return band;
        }
    }

    /// <summary>How many squares a band is high: its highest item, a line for names and one between.</summary>
    public static double Height(IEnumerable<Sketch> band) => band.Max(s => Squares(s.Height)) + 2;

    /// <summary>So many squares something takes.</summary>
    public static double Squares(double units) => Math.Ceiling(units / SquarePaper.Square);

    /// <summary>Which of the <see cref="Sides"/> a sheet for one student has: the largest with which it takes fewest pages.</summary>
    /// <param name="parts">Its items, part by part; whether a part has a title.</param>
    /// <param name="size">The paper.</param>
    /// <param name="hasSentence">Whether a sentence stands above the items.</param>
    public static int SideOf(IReadOnlyList<(bool HasTitle, IReadOnlyList<Sketch> Items)> parts, PaperSize size, bool hasSentence = false)
    {
        var first = size.SheetHeight - Head - (hasSentence ? Sentence : 0);
        var pages = Sides.Select(side => Pages(parts, size, first, side)).ToList();
        return pages.IndexOf(pages.Min());
    }

    /// <summary>How many pages a sheet for one student takes.</summary>
    /// <param name="parts">Its items, part by part; whether a part has a title.</param>
    /// <param name="size">The paper.</param>
    /// <param name="isLarge">Whether it is large print.</param>
    /// <param name="hasSentence">Whether a sentence stands above the items.</param>
    public static int PagesOf(IReadOnlyList<(bool HasTitle, IReadOnlyList<Sketch> Items)> parts, PaperSize size, bool isLarge, bool hasSentence) =>
        (isLarge ? [LargeSide] : Sides).Min(side => Pages(parts, size, size.SheetHeight - Head - (hasSentence ? Sentence : 0), side));

    private static int Pages(IReadOnlyList<(bool HasTitle, IReadOnlyList<Sketch> Items)> parts, PaperSize size, double first, double side)
    {
        var (pages, free) = (1, first);
        foreach (var (hasTitle, items) in parts)
        {
            if (hasTitle) Take(Title);
            foreach (var band in Of(items, s => s, (int)(size.Width / side))) Take(Height(band) * side);
            free -= Below;
        }

        return pages;

        void Take(double height)
        {
            if (height > free) (pages, free) = (pages + 1, size.SheetHeight);
            free -= height;
        }
    }
}
