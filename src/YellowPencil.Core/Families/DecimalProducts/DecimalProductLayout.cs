using YellowPencil.Core.Families.Multiplication;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Families.DecimalProducts;

/// <summary>Products of decimals: as products of whole numbers, with the count of places and the sign noted.</summary>
internal sealed class DecimalProductLayout : FamilyLayout
{
    public override Paper Lay(ItemTask task, School school)
    {
        var product = (DecimalProduct)task;
        var paper = new Paper();
        MultiplicationLayout.Lay(paper, product.First.Text, SignCount(product.First), product.Second.Text, SignCount(product.Second), "-.");
        Noted(paper, product.First.IsNegative || product.Second.IsNegative, isCounted: true);
        return paper;
    }

    public override bool IsProductCarry(ItemTask task, Mark mark) => base.IsProductCarry(task, mark) || (mark.Field == WorkFields.Carries && SignCount(((DecimalProduct)task).Second) == 1);

    public override IReadOnlyList<int> PlaceholdersOf(ItemTask task) => MultiplicationLayout.PlaceholdersOf(((DecimalProduct)task).Second.Text);

    /// <summary>Rows for what is noted beside the work.</summary>
    internal static void Noted(Paper paper, bool isSigned, bool isCounted)
    {
        if (isCounted) Note(paper, "places", "count of places", WorkFields.Places, "");
        if (isSigned) Note(paper, "sign", "sign", WorkFields.Sign, "-+");
    }

    private static void Note(Paper paper, string word, string name, MarkKind kind, string signs)
    {
        var row = paper.NextRow();
        paper.Columns = Math.Max(paper.Columns, 4);
        paper.PrintWord(word, row, paper.Columns - 1);
        paper.Note(word, name, kind, row, 0, 1, signs);
    }

    private static int SignCount(DecimalNumber number) => Squares.Spread(number.Magnitude, 0).Count();
}
