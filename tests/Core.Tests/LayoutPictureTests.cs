using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests;

/// <summary>What stands where, square by square: a character to a square, rows in which nothing stands left out.</summary>
public class LayoutPictureTests
{
    private static string[] Draw(PageLayout layout, Squares squares)
    {
        var grid = new SortedDictionary<int, char[]>();
        foreach (var print in layout.Prints) Put(print.Row, print.Column, print.Text);
        foreach (var strip in layout.Strips)
        {
            foreach (var (column, sign) in strip.Given is { } given ? Squares.Spread(given, strip.GivenAt + squares.MovedBy(strip.Id)) : []) Put(strip.Row, column, sign);
            foreach (var (column, text) in squares.In(strip.Id)) Put(strip.Row, column, text);
        }

        return [.. grid.Values.Select(row => new string(row).TrimEnd())];

        void Put(int row, int column, string text)
        {
            if (!grid.TryGetValue(row, out var squares)) grid[row] = squares = [.. Enumerable.Repeat(' ', 2 * layout.Columns)];
            text.AsSpan(0, Math.Min(2, text.Length)).CopyTo(squares.AsSpan(2 * (layout.Columns - 1 - column)));
        }
    }

    private static string[] Worked(string task, string? form = null)
    {
        var read = TaskText.TryParse(task, form).Value!;
        var run = new MethodRun { Recording = true };
        Method.Run(read, run, DeviationSet.Taught);
        var layout = PageLayout.Of(read);
        var squares = layout.Put(run.Page.Marks);
        layout.PutAnswer(squares, run.Page.Answer.ToString());
        return Draw(layout, squares);
    }

    [Theory]
    [InlineData("456 + 78 + 9", null, "  1 2", "  4 5 6", "    7 8", "+     9", "  5 4 3")]
    [InlineData("503 - 267", null, "    9", "  4 1013", "  5 0 3", "− 2 6 7", "  2 3 6")]
    [InlineData("47 * 6", null, "    4", "    4 7", "  ×   6", "  2 8 2")]
    [InlineData("407 * 38", null, "        2", "        5", "      4 0 7", "    ×   3 8", "    3 2 5 6", "  1 2 2 1 0", "  1 5 4 6 6")]
    [InlineData("857 / 24", null, "      3 5 r 1 7", "2 4 8 5 7", "    7 2", "    1 3 7", "    1 2 0", "      1 7")]
    [InlineData("7 / 4", "decimal", "  1.7 5", "4 7", "  4", "  3 0", "  2 8", "    2 0", "    2 0", "      0")]
    [InlineData("856 / 8", null, "  1 0 7", "8 8 5 6", "  8", "  0 5 6", "    5 6", "      0")]
    [InlineData("4.56 + 3.7", null, "      1", "      4.5 6", "+     3.7", "      8.2 6")]
    [InlineData("5 - 3.72", null, "        9", "      4 1010", "      5", "−     3.7 2", "      1.2 8")]
    [InlineData("4.6 * 3.7", null, "      1", "      4", "      4.6", "    × 3.7", "    1", "    3 2 2", "  1 3 8 0", "  1 7.0 2", "pl    2")]
    [InlineData("8.4 / 0.6", null, "8.4 ÷ 0.6", "      1 4", "    6 8 4", "      6", "      2 4", "      2 4", "        0")]
    [InlineData("1.5 / 0.4", null, "1.5 ÷ 0.4", "        3.7 5", "    4 1 5", "      1 2", "        3 0", "        2 8", "          2 0", "          2 0", "            0")]
    [InlineData("-7 - -12", null, "− 7 − − 1 2 = 5", "- 7   +   1 2")]
    public void A_worked_item_stands_as_on_paper(string task, string? form, params string[] rows) => Worked(task, form).ShouldBe(rows);

    [Fact]
    public void Carries_stand_below_the_numbers_where_the_classroom_writes_them_there()
    {
        var task = TaskText.TryParse("456 + 78").Value!;
        var layout = PageLayout.Of(task, School.Usual.With(School.CarryMark, (int)CarryMarkSchool.Below));
        var squares = new Squares();
        squares.Put("carries", 1, "1");
        Draw(layout, squares).ShouldBe(["  4 5 6", "+   7 8", "    1"]);
    }

    [Fact]
    public void Numbers_lined_up_on_the_right_stand_so_and_are_recorded_by_the_columns_of_the_first()
    {
        var item = WorkedItem.Of("1", TaskText.TryParse("4.56 + 3.7").Value!);
        var layout = PageLayout.Of(item.Task);
        var squares = layout.Put(item);
        squares.Move("operands-1", -1);
        var taken = layout.Take(item, squares);
        taken.Work.Get(WorkFields.Operands)!.Select(o => (o.Text, o.LastPlace)).ShouldBe([("4.56", -2), ("3.7", -2)]);
        Draw(layout, layout.Put(taken)).ShouldBe(["      4.5 6", "+       3.7"]);
    }

    [Fact]
    public void A_zero_filled_in_behind_a_number_belongs_to_it()
    {
        var item = WorkedItem.Of("1", TaskText.TryParse("4.56 + 3.7").Value!);
        var layout = PageLayout.Of(item.Task);
        var squares = layout.Put(item);
        squares.Put("operands-1", 0, "0");
        layout.Take(item, squares).Work.Get(WorkFields.Operands)!.Select(o => o.Text).ShouldBe(["4.56", "3.70"]);
    }

    [Fact]
    public void What_is_brought_down_is_told_from_what_is_left_by_the_column_in_which_the_product_ends()
    {
        var item = WorkedItem.Of("1", TaskText.TryParse("857 / 24").Value!);
        var layout = PageLayout.Of(item.Task);
        var squares = new Squares();
        layout.PutAnswer(squares, "35 r 17");
        foreach (var (strip, column, text) in new[] { ("product-0", 5, "7"), ("product-0", 4, "2"), ("difference-0", 5, "1"), ("difference-0", 4, "3"), ("difference-0", 3, "7") }) squares.Put(strip, column, text);
        var cycle = layout.Take(item, squares).Work.Get(WorkFields.Cycles)!.Single();
        (cycle.Quotient, cycle.Product, cycle.Difference, cycle.BroughtDown).ShouldBe(("3", "72", "13", "7"));
    }

    [Fact]
    public void What_is_not_touched_stays_as_it_was_recorded()
    {
        var item = WorkedItem.Of("1", TaskText.TryParse("857 / 24").Value!) with { Answer = "35 r 17", Work = Work.Of([new Mark(WorkFields.Carries, new Spot(Place: 1), "2")], WorkFields.Carries) };
        var layout = PageLayout.Of(item.Task);
        var taken = layout.Take(item, layout.Put(item));
        (taken.Answer, taken.Work.Has(WorkFields.Carries)).ShouldBe(("35 r 17", true));
    }
}
