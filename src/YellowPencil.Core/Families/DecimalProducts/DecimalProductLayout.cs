using YellowPencil.Core.Layouts;

namespace YellowPencil.Core.Families.DecimalProducts;

/// <summary>Products of decimals: as products of whole numbers, with the count of places and the sign noted.</summary>
internal sealed class DecimalProductLayout : FamilyLayout
{
    public override Paper Lay(ItemTask task, School school)
    {
        var product = (DecimalProduct)task;
        var paper = new Paper();
        PartLayouts.Product(paper, product.First.Text, SignCount(product.First), product.Second.Text, SignCount(product.Second), "-.");
        PartLayouts.Noted(paper, product.First.IsNegative || product.Second.IsNegative, isCounted: true);
        return paper;
    }

    public override bool IsProductCarry(ItemTask task, Mark mark) =>
        base.IsProductCarry(task, mark) || (mark.Field == WorkFields.Carries && SignCount(((DecimalProduct)task).Second) == 1);

    public override IReadOnlyList<int> PlaceholdersOf(ItemTask task) => PartLayouts.PlaceholdersOf(((DecimalProduct)task).Second.Text);

    private static int SignCount(DecimalNumber number) => Squares.Spread(number.Magnitude, 0).Count();
}
