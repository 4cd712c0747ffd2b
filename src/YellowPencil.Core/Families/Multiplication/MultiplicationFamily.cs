using YellowPencil.Core.Layouts;
using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Products;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Families.Multiplication;

/// <summary>Multiplication of whole numbers in rows.</summary>
internal sealed class MultiplicationFamily() : TaughtFamily("multiplication", "multiplication")
{
    public static readonly MultiplicationFamily Instance = new();

    public override IReadOnlyList<Bug> Bugs => MultiplicationBugs.All;

    internal override TaskGrammar Grammar { get; } = new ProductGrammar();

    internal override FamilyLayout Layout { get; } = new MultiplicationLayout();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) =>
        AreaModel.Of(task.Numbers[0], task.Numbers[1], marks, answer);

    public override string Check => "Round both numbers and multiply: the answer must be near that. Then divide it by one of them: the other must come out.";

    public override DigitOrder DigitsCome => DigitOrder.SmallestFirst;

    public override IReadOnlyList<Part> Parts { get; } = [new("addition", "where the rows are added")];

    protected override IReadOnlyList<Decision> OwnDecisions => MultiplicationDecisions.All;

    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Cells, WorkFields.Carries, WorkFields.Rows];

    public override IReadOnlyList<string> ConfusedWith { get; } = ["addition"];

    public override Func<ItemTask> Items(int seed) => new ProductItems(seed).Next;

    public override void Walk(ItemTask task, MethodRun run)
    {
        var product = (ColumnProduct)task;

        if (
            run.Ask(
                MultiplicationDecisions.Procedure,
                new FactorsContext(
                    Math.Max(product.First.Length, product.Second.Length), Math.Min(product.First.Length, product.Second.Length))) == ProductChoice.Add)
        {
            WrittenSum.InColumns(run, [product.First, product.Second]);
            return;
        }

        WrittenProduct.InRows(run, product.First, product.Second);
    }
}
