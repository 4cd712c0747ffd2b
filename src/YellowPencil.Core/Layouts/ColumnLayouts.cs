using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Layouts;

/// <summary>Sums in columns: carries where the classroom puts them, the numbers one below the other, the answer below the line.</summary>
internal sealed class AdditionLayout : FamilyLayout
{
    public override Family Family => Family.Addition;

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

/// <summary>Differences in columns: what stands over a digit that was struck out, and the answer.</summary>
internal sealed class SubtractionLayout : FamilyLayout
{
    public override Family Family => Family.Subtraction;

    public override Paper Lay(ItemTask task, School school)
    {
        var difference = (ColumnDifference)task;
        var digits = Math.Max(difference.Top.Length, difference.Bottom.Length);
        var paper = new Paper();
        var (second, first, top) = (paper.NextRow(), paper.NextRow(), paper.NextRow());
        paper.Print(difference.Top.Text, top, 0);
        StruckOut(paper, first, second, top, 0, difference.Top.Length - 1);
        var below = paper.NextRow();
        var bottom = paper.NextRow();
        paper.Marks("below-0", "new value of the lower number", WorkFields.RewrittenBelow, below, 0, difference.Bottom.Length - 1, strikes: bottom, isRare: true);
        paper.Print(difference.Bottom.Text, bottom, 0);
        paper.Print("−", bottom, digits);
        var answer = paper.NextRow();
        paper.Line(answer, 0, digits);
        paper.Answer(answer, 0, digits);
        return paper;
    }

    /// <summary>Two levels of new values over the digits of a number, each striking out what stands below it.</summary>
    internal static void StruckOut(Paper paper, int first, int second, int top, int right, int left)
    {
        paper.Marks("above-0", "new value", WorkFields.Rewritten, first, right, left, level: 0, strikes: top);
        paper.Marks("above-1", "second new value", WorkFields.Rewritten, second, right, left, level: 1, strikes: first);
    }
}

/// <summary>Products in columns: carries over the first number, a row for each digit of the second, the carries of the row sum.</summary>
internal sealed class MultiplicationLayout : FamilyLayout
{
    public override Family Family => Family.Multiplication;

    public override Paper Lay(ItemTask task, School school)
    {
        var product = (ColumnProduct)task;
        var paper = new Paper();
        Lay(paper, product.First.Text, product.First.Length, product.Second.Text, product.Second.Length, "");
        return paper;
    }

    public override IReadOnlyList<int> PlaceholdersOf(ItemTask task) => PlaceholdersOf(((ColumnProduct)task).Second.Text);

    public override bool IsProductCarry(ItemTask task, Mark mark) => base.IsProductCarry(task, mark) || (mark.Field == WorkFields.Carries && ((ColumnProduct)task).Second.Length == 1);

    /// <summary>The zeros with which the rows of the digits of a multiplier begin; a digit 0 has no row.</summary>
    internal static IReadOnlyList<int> PlaceholdersOf(string multiplier) =>
        [.. multiplier.Where(char.IsAsciiDigit).Reverse().Index().Where(d => d.Item != '0').Select(d => d.Index)];

    /// <summary>Lays out a product by the digits of its numbers.</summary>
    internal static void Lay(Paper paper, string first, int firstLength, string second, int secondLength, string signs)
    {
        var most = firstLength + secondLength;
        if (secondLength == 1)
        {
            paper.Marks("carries", "carry", WorkFields.Carries, paper.NextRow(), 0, firstLength);
        }
        else
        {
            for (var line = secondLength - 1; line >= 0; line--)
                paper.Marks($"row-carries-{line}", $"carry of row {line + 1}", WorkFields.Rows.Carry, paper.NextRow(), 0, firstLength, line);
        }

        paper.Print(first, paper.NextRow(), 0);
        var row = paper.NextRow();
        paper.Print(second, row, 0);
        paper.Print("×", row, Math.Max(firstLength, secondLength));
        var ruled = 0;
        if (secondLength > 1)
        {
            ruled = paper.NextRow();
            paper.Marks("carries", "carry of the row sum", WorkFields.Carries, ruled, 0, most);
            for (var line = 0; line < secondLength; line++) paper.Text($"rows-{line}", $"row {line + 1}", WorkFields.Rows, paper.NextRow(), 0, most, line);
        }

        var answer = paper.NextRow();
        if (secondLength > 1) paper.Line(ruled, 0, most, until: answer - 1);
        paper.Line(answer, 0, most);
        paper.Answer(answer, 0, most, signs);
    }
}
