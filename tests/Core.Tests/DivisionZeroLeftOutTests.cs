using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests;

public class DivisionZeroLeftOutTests
{
    // 856 / 8: 8 goes once; 5 comes down and is too small, nothing is written; 6 comes down; 56 is taken away under the 5 and the 6.
    [Fact]
    public void What_is_taken_away_after_a_cycle_without_a_digit_stands_under_what_was_brought_down()
    {
        var task = TaskText.TryParse("856 / 8").Value!;
        var run = new MethodRun { Recording = true };
        Method.Run(task, run, Catalogue.Find("division.zero-inside-left-out")!.Alone);
        run.Page.Marks.Where(m => m.Field == WorkFields.Cycles).Select(m => (m.At.Line, m.At.Part, m.Text))
            .ShouldBe([(0, 0, "1"), (0, 1, "8"), (0, 2, "0"), (0, 3, "5"), (1, 3, "6"), (2, 0, "7"), (2, 1, "56"), (2, 2, "0")], ignoreOrder: true);

        var layout = PageLayout.Of(task);
        var squares = layout.Put(run.Page.Marks);
        string Row(string strip) => string.Join(' ', squares.In(strip).OrderByDescending(s => s.Key).Select(s => $"{s.Key}:{s.Value}"));
        var ones = layout.Answer.Ones;
        Row("product-0").ShouldBe($"{ones + 2}:8");
        Row("difference-0").ShouldBe($"{ones + 2}:0 {ones + 1}:5 {ones}:6");
        Row("product-2").ShouldBe($"{ones + 1}:5 {ones}:6");
        Row("difference-2").ShouldBe($"{ones}:0");
    }
}
