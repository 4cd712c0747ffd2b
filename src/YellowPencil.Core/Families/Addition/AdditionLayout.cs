using YellowPencil.Core.Layouts;

namespace YellowPencil.Core.Families.Addition;

/// <summary>Sums in columns: carries where the classroom puts them, the numbers one below the other, the answer below the line.</summary>
internal sealed class AdditionLayout : FamilyLayout
{
    public override Paper Lay(ItemTask task, School school)
    {
        var sum = (ColumnSum)task;
        var digits = sum.Addends.Max(a => a.Length);
        var paper = new Paper();
        var noted = school.Of(School.CarryMark);
        if (noted == CarryMarkSchool.Above) paper.Marks("carries", "carry", WorkFields.Carries, paper.NextRow(), 0, digits);
        var row = 0;
        foreach (var addend in sum.Addends) paper.Print(addend.Text, row = paper.NextRow(), 0);
        paper.Print("+", row, digits);
        var below = noted == CarryMarkSchool.Above ? row : paper.NextRow();
        if (noted != CarryMarkSchool.Above) paper.Marks("carries", "carry", WorkFields.Carries, below, 0, digits);
        var answer = paper.NextRow();
        paper.Line(noted == CarryMarkSchool.Above ? answer : below, 0, digits);
        paper.Answer(answer, 0, digits);
        return paper;
    }
}
