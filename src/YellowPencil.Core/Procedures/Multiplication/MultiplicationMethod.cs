using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures.Addition;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Multiplication;

/// <summary>Multiplication of whole numbers in rows.</summary>
public sealed class MultiplicationMethod : Method
{
    /// <inheritdoc/>
    public override Family Family => Family.Multiplication;

    /// <inheritdoc/>
    public override IReadOnlyList<Part> Parts { get; } = [new(Family.Addition, "where the rows are added")];

    /// <inheritdoc/>
    protected override IReadOnlyList<Decision> OwnDecisions => MultiplicationDecisions.All;

    /// <inheritdoc/>
    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Cells, WorkFields.Carries, WorkFields.Rows];

    /// <inheritdoc/>
    public override IReadOnlyList<Family> Instead { get; } = [Family.Addition];

    /// <inheritdoc/>
    public override Func<ItemTask> Items(int seed) => new ProductItems(seed).Next;

    /// <inheritdoc/>
    public override void Walk(ItemTask task, MethodRun run)
    {
        var product = (ColumnProduct)task;

        if (run.Ask(MultiplicationDecisions.Way, new FactorsContext(Math.Max(product.First.Length, product.Second.Length), Math.Min(product.First.Length, product.Second.Length))) == ProductWay.Add)
        {
            AdditionMethod.InColumns(run, [product.First, product.Second]);
            return;
        }

        InRows(run, product.First, product.Second);
    }

    /// <summary>The rows of a product, for other methods that come to one.</summary>
    internal static void InRows(MethodRun run, WholeNumber first, WholeNumber second) =>
        run.Page.AppendCells(ProductWork.Multiply(run, DigitsOf(run, first), DigitsOf(run, second)));

    private static Span<int> DigitsOf(MethodRun run, WholeNumber number)
    {
        var digits = run.Take(number.Length);
        for (var place = 0; place < digits.Length; place++) digits[place] = number.Digit(place);
        return digits;
    }
}
