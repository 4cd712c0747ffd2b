using YellowPencil.Core.Layouts;

namespace YellowPencil.Core.Families.Multiplication;

/// <summary>Products in columns: carries over the first number, a row for each digit of the second, the carries of the row sum.</summary>
internal sealed class MultiplicationLayout : FamilyLayout
{
    public override Paper Lay(ItemTask task, School school)
    {
        var product = (ColumnProduct)task;
        var paper = new Paper();
        PartLayouts.Product(paper, product.First.Text, product.First.Length, product.Second.Text, product.Second.Length, "");
        return paper;
    }

    public override IReadOnlyList<int> PlaceholdersOf(ItemTask task) => PartLayouts.PlaceholdersOf(((ColumnProduct)task).Second.Text);

    public override bool IsProductCarry(ItemTask task, Mark mark) =>
        base.IsProductCarry(task, mark) || (mark.Field == WorkFields.Carries && ((ColumnProduct)task).Second.Length == 1);
}
