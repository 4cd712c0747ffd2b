using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Tests;

public class LayoutTests
{
    public static TheoryData<Family> Families => [.. PageLayout.Families];

    [Theory]
    [MemberData(nameof(Families))]
    public void What_a_page_holds_goes_into_squares_and_comes_back(Family family)
    {
        var next = TaughtFamily.Of(family).Items(seed: 3);
        var run = new MethodRun { Recording = true };
        for (var i = 0; i < 300; i++)
        {
            var task = next();
            var layout = PageLayout.Of(task);
            Method.Run(task, run, DeviationSet.Taught);
            var fields = layout.Strips.Where(s => s.Mark is not null && s.Kind != StripKind.Operand).Select(s => s.Mark!.Value.Field).Distinct().ToArray();
            var marks = run.Page.Marks.Where(m => fields.Contains(m.Field)).ToList();
            var set = WorkedItem.Of("1", task);
            var written = set with { Answer = run.Page.Answer.ToString(), Work = Work.Of(marks, [.. marks.Select(m => m.Field).Distinct()]) };

            var taken = layout.Take(set, layout.Put(written));

            Assert.Equal(task.Canonical(written.Answer), task.Canonical(taken.Answer!));
            Assert.Equal(Text(written with { Answer = null }), Text(taken with { Answer = null, Work = taken.Work.Without(WorkFields.Cells) }));
        }
    }

    [Theory]
    [MemberData(nameof(Families))]
    public void No_two_things_stand_in_one_square(Family family)
    {
        var next = TaughtFamily.Of(family).Items(seed: 5);
        for (var i = 0; i < 100; i++)
        {
            var layout = PageLayout.Of(next());
            var taken = layout.Strips.Where(s => s.Kind != StripKind.Operand).SelectMany(s => Enumerable.Range(s.Right, s.Left - s.Right + 1).Select(c => (c, s.Row))).ToList();

            Assert.Equal(taken.Count, taken.Distinct().Count());
            Assert.DoesNotContain(layout.Prints, p => taken.Contains((p.Column, p.Row)));
            Assert.All(taken, t => Assert.True(t.c < layout.Columns && t.Row < layout.Rows));
        }
    }

    // Spaces in a line, rows without a carry, and cycles of which nothing stands but the digit of the quotient, take no squares of their own.
    private static string Text(WorkedItem item) => SheetWriter.Write(new WorkedSheet { Student = "-", Items = [item] })
        .Replace(" ", "", StringComparison.Ordinal).Replace(",\"carries\":{}", "", StringComparison.Ordinal).Replace("{\"quotient\":\"0\"},", "", StringComparison.Ordinal).Replace(",{\"quotient\":\"0\"}", "", StringComparison.Ordinal);
}
