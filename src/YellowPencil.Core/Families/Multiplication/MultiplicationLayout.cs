using YellowPencil.Core.Layouts;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Families.Multiplication;

/// <summary>Products in columns: carries over the first number, a row for each digit of the second, the carries of the row sum.</summary>
internal sealed class MultiplicationLayout : FamilyLayout
{
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
