using YellowPencil.Core.Engine;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Models;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Products;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Families.Multiplication;

/// <summary>Multiplication of whole numbers in rows.</summary>
public sealed class MultiplicationFamily() : TaughtFamily("multiplication", "multiplication")
{
    /// <summary>The family.</summary>
    public static readonly MultiplicationFamily Instance = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Bug> Bugs => MultiplicationBugs.All;

    /// <inheritdoc/>
    internal override TaskGrammar Grammar { get; } = new ProductGrammar();

    /// <inheritdoc/>
    internal override FamilyLayout Layout { get; } = new MultiplicationLayout();

    /// <inheritdoc/>
    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) => AreaModel.Of(task.Numbers[0], task.Numbers[1], marks, answer);

    /// <inheritdoc/>
    public override string Check => "Round both numbers and multiply: the answer must be near that. Then divide it by one of them: the other must come out.";

    /// <inheritdoc/>
    public override DigitOrder DigitsCome => DigitOrder.SmallestFirst;

    /// <inheritdoc/>
    public override IReadOnlyList<Part> Parts { get; } = [new("addition", "where the rows are added")];

    /// <inheritdoc/>
    protected override IReadOnlyList<Decision> OwnDecisions => MultiplicationDecisions.All;

    /// <inheritdoc/>
    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Cells, WorkFields.Carries, WorkFields.Rows];

    /// <inheritdoc/>
    public override IReadOnlyList<string> Instead { get; } = ["addition"];

    /// <inheritdoc/>
    public override Func<ItemTask> Items(int seed) => new ProductItems(seed).Next;

    /// <inheritdoc/>
    public override void Walk(ItemTask task, MethodRun run)
    {
        var product = (ColumnProduct)task;

        if (run.Ask(MultiplicationDecisions.Way, new FactorsContext(Math.Max(product.First.Length, product.Second.Length), Math.Min(product.First.Length, product.Second.Length))) == ProductWay.Add)
        {
            WrittenSum.InColumns(run, [product.First, product.Second]);
            return;
        }

        WrittenProduct.InRows(run, product.First, product.Second);
    }
}
