using YellowPencil.Core.Layouts;

namespace YellowPencil.Core.Families.Subtraction;

/// <summary>Differences in columns: what stands over a digit that was struck out, and the answer.</summary>
internal sealed class SubtractionLayout : FamilyLayout
{
    public override Paper Lay(ItemTask task, School school)
    {
        var difference = (ColumnDifference)task;
        var digits = Math.Max(difference.Top.Length, difference.Bottom.Length);
        var paper = new Paper();
        var (above, top) = (PartLayouts.RowsAbove(paper), paper.NextRow());
        paper.Print(difference.Top.Text, top, 0);
        PartLayouts.StruckOut(paper, above, top, 0, difference.Top.Length - 1);
        var below = paper.NextRow();
        var bottom = paper.NextRow();
        paper.Marks(
            "below-0", "new value of the lower number", WorkFields.RewrittenBelow, below, 0, difference.Bottom.Length - 1, strikes: bottom, isRare: true);
        paper.Print(difference.Bottom.Text, bottom, 0);
        paper.Print("−", bottom, digits);
        var answer = paper.NextRow();
        paper.Line(answer, 0, digits);
        paper.Answer(answer, 0, digits);
        return paper;
    }
}
