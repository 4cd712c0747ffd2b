using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Pages.Sheets;
using YellowPencil.Web.Printing;

namespace YellowPencil.Web.Tests;

/// <summary>Items on squared paper: in their order, and with squares a little smaller where that saves a page.</summary>
public sealed class ItemBandsTests
{
    private static Sketch Item(int wide, int high) => new(wide * SquarePaper.Square, high * SquarePaper.Square, "", []);

    [Fact]
    public void A_band_takes_what_there_is_room_for_with_a_square_between()
    {
        // 1 + 4 + 1 + 4 + 1 + 4 and one on the right are 16 squares.
        var items = Enumerable.Range(0, 7).Select(_ => Item(4, 5)).ToList();
        ItemBands.Of(items, i => i, 16).Select(b => b.Count).ShouldBe([3, 3, 1]);
        ItemBands.Of(items, i => i, 15).Select(b => b.Count).ShouldBe([2, 2, 2, 1]);
        ItemBands.Of([Item(40, 5)], i => i, 15).Select(b => b.Count).ShouldBe([1]);
        ItemBands.Height([Item(4, 5), Item(3, 7)]).ShouldBe(9);
    }

    [Theory]
    [InlineData(25, 0)] // 5 bands of 6 squares of 7 mm: 210 mm of 249
    [InlineData(26, 1)] // the sixth makes 252 mm, and 237.6 of squares of 6.6 mm
    [InlineData(31, 0)] // seven are 252 mm even of squares of 6 mm: nothing saves the page
    public void Squares_are_smaller_only_where_that_saves_a_page(int count, int side) =>
        ItemBands.SideOf([(false, [.. Enumerable.Repeat(Item(4, 4), count)])], PaperSize.A4).ShouldBe(side);

    // Where something is renamed and where nothing is, the same room is left, and all stand in columns.
    [Fact]
    public void By_its_room_no_item_tells_what_is_to_be_done_in_it()
    {
        var tasks = new[] { "604 - 278", "52 - 10", "331 - 146", "70 - 50", "528 - 18" }.Select(t => new WorkedItem { Id = "1", Task = TaskText.TryParse(t).Value!, TaskAsWritten = t }).ToList();
        var view = PaperView.Of(new PaperWish(), "Ropes", ["K-06"], tasks);
        var sketches = view.Parts.Single().Items.Select(i => i.Picture.Sketch()).ToList();
        sketches.Select(s => s.Height).Distinct().Count().ShouldBe(1);
        sketches.Select(s => s.Width).Distinct().Count().ShouldBe(1);
        var first = sketches.Select(s => s.Shapes.OfType<TextShape>().Where(t => t.Style.StartsWith("print", StringComparison.Ordinal)).Min(t => t.Y));
        first.Distinct().Count().ShouldBe(1);
    }

    [Fact]
    public void The_sheet_of_the_demo_class_fits_on_one_page()
    {
        string[] tasks = ["604 - 278", "523 - 168", "456 + 378", "703 - 245", "47 * 38", "80 - 36", "856 / 8", "4.56 + 3.7", "500 - 123", "612 / 3", "12.5 + 0.34", "9.05 + 3.6", "640 - 58", "69 * 24", "735 / 7"];
        var sketches = tasks.Select(t => PagePicture.WithRoom(TaskText.TryParse(t).Value!).Sketch()).ToList();

        // Squares of 7 mm, 26 beside each other, come to 42 above each other: 294 mm of 249. Of 6.6 mm, 27 beside each other, to 35: 231 mm.
        ItemBands.Of(sketches, s => s, 26).Select(b => (b.Count, ItemBands.Height(b))).ShouldBe([(4, 7), (4, 9), (3, 8), (3, 10), (1, 8)]);
        ItemBands.Of(sketches, s => s, 27).Select(b => (b.Count, ItemBands.Height(b))).ShouldBe([(5, 9), (4, 8), (3, 8), (3, 10)]);
        ItemBands.SideOf([(false, sketches)], PaperSize.A4).ShouldBe(1);
    }
}
