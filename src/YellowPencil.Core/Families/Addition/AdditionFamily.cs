using YellowPencil.Core.Layouts;
using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Differences;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Families.Addition;

/// <summary>Column addition of whole numbers.</summary>
internal sealed class AdditionFamily() : TaughtFamily("addition", "column addition")
{
    public static readonly AdditionFamily Instance = new();

    public override IReadOnlyList<Bug> Bugs => AdditionBugs.All;

    internal override TaskGrammar Grammar { get; } = new SumGrammar();

    internal override FamilyLayout Layout { get; } = new AdditionLayout();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) => PlaceValueMat.OfSum(task.Numbers, marks);

    public override string Check => "Take one of the numbers away from the sum: the others must be left.";

    public override DigitOrder DigitsCome => DigitOrder.SmallestFirst;

    protected override IReadOnlyList<Decision> OwnDecisions => AdditionDecisions.All;

    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Cells, WorkFields.Carries, WorkFields.Operands, WorkFields.Order];

    public override IReadOnlyList<string> ConfusedWith { get; } = ["subtraction"];

    public override Func<ItemTask> Items(int seed) => new SumItems(seed).Next;

    public override void Walk(ItemTask task, MethodRun run)
    {
        var addends = ((ColumnSum)task).Addends;
        var context = WrittenSum.ContextOf(addends, out var width);
        switch (run.Ask(AdditionDecisions.Procedure, context))
        {
            case SumChoice.TakeAway:
                TakeAway(run, addends);
                return;
            case SumChoice.AddAllDigits:
                run.Page.Append(addends.Sum(a => Enumerable.Range(0, a.Length).Sum(a.Digit)).ToString());
                return;
            default:
                break;
        }

        WrittenSum.InColumns(run, addends, context, width);
    }

    /// <summary>Each addend taken from what is left, the larger on top; no sign is written. What comes before the last difference is done beside it.</summary>
    private static void TakeAway(MethodRun run, IReadOnlyList<WholeNumber> addends)
    {
        var left = addends[0];
        for (var i = 1; i < addends.Count; i++)
        {
            var (top, bottom) = left.Value >= addends[i].Value ? (left, addends[i]) : (addends[i], left);
            var isLast = i == addends.Count - 1;
            run.Page.IsAside = !isLast;
            var before = run.Page.Answer.Length;
            WrittenDifference.InColumns(run, top, bottom);
            if (isLast) return;
            left = WholeNumber.TryParse(run.Page.Answer[before..].ToString()).Value ?? WholeNumber.Of(0);
            run.Page.ShortenAnswer(before);
        }
    }
}
