using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Web.Drawing;
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

    [Fact]
    public void Items_stand_in_columns_where_that_takes_no_more_bands()
    {
        // Of 26 squares four of 4 and 5 wide take 1 + 5 + 6 + 5 + 6; each 5 wide, 1 + 4 × 6 are 25, so they stand in columns.
        ItemBands.EvenWidth([Item(4, 5), Item(5, 5), Item(4, 5), Item(5, 5)], PaperSize.A4, isLarge: false).ShouldBe(5 * SquarePaper.Square);

        // One of 20 would leave each of the others a band of its own.
        ItemBands.EvenWidth([Item(4, 5), Item(20, 5), Item(4, 5), Item(4, 5)], PaperSize.A4, isLarge: false).ShouldBeNull();

        // Large print has 17 squares in a row: 6 and 8 go into it, 8 and 8 do not.
        ItemBands.EvenWidth([Item(6, 5), Item(8, 5)], PaperSize.A4, isLarge: true).ShouldBeNull();
        ItemBands.EvenWidth([Item(6, 5), Item(7, 5)], PaperSize.A4, isLarge: true).ShouldBe(7 * SquarePaper.Square);
        ItemBands.EvenWidth([], PaperSize.A4, isLarge: false).ShouldBeNull();
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
