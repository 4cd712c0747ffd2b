using YellowPencil.Core.Layouts;
using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Differences;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Families.Subtraction;

/// <summary>Column subtraction of whole numbers with renaming.</summary>
internal sealed class SubtractionFamily() : TaughtFamily("subtraction", "column subtraction")
{
    public static readonly SubtractionFamily Instance = new();

    public override IReadOnlyList<Bug> Bugs => SubtractionBugs.All;

    internal override TaskGrammar Grammar { get; } = new DifferenceGrammar();

    internal override FamilyLayout Layout { get; } = new SubtractionLayout();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) =>
        PlaceValueMat.OfDifference(task.Numbers[0], task.Numbers[1], marks);

    public override string Check => "Add the answer to the number that was taken away: the top number must come out.";

    public override DigitOrder DigitsCome => DigitOrder.SmallestFirst;

    protected override IReadOnlyList<Decision> OwnDecisions => SubtractionDecisions.All;

    public override IReadOnlyList<WorkField> Fields { get; } = [
        WorkFields.Cells, WorkFields.Rewritten, WorkFields.RewrittenBelow, WorkFields.Operands, WorkFields.Order,
    ];

    public override IReadOnlyList<string> ConfusedWith { get; } = ["addition"];

    public override Func<ItemTask> Items(int seed) => new DifferenceItems(seed).Next;

    public override void Walk(ItemTask task, MethodRun run)
    {
        var difference = (ColumnDifference)task;
        var context = new ItemContext(difference.Top.Length, difference.Bottom.Length, NeedsRenaming(difference));
        if (run.Ask(SubtractionDecisions.Operation, context) == DifferenceChoice.Add)
        {
            WrittenSum.InColumns(run, [difference.Top, difference.Bottom]);
            return;
        }

        WrittenDifference.InColumns(run, difference.Top, difference.Bottom, context);
    }

    private static bool NeedsRenaming(ColumnDifference task)
    {
        for (var place = 0; place < task.Bottom.Length; place++)
            if (task.Bottom.Digit(place) > task.Top.Digit(place)) return true;
        return false;
    }
}
