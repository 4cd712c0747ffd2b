using YellowPencil.Core.Engine;
using YellowPencil.Core.Families.Subtraction;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Models;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Columns;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Families.Addition;

/// <summary>Column addition of whole numbers.</summary>
public sealed class AdditionFamily() : TaughtFamily("addition", "column addition")
{
    /// <summary>The family.</summary>
    public static readonly AdditionFamily Instance = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Bug> Bugs => AdditionBugs.All;

    /// <inheritdoc/>
    internal override TaskGrammar Grammar { get; } = new SumGrammar();

    /// <inheritdoc/>
    internal override FamilyLayout Layout { get; } = new AdditionLayout();

    /// <inheritdoc/>
    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) => PlaceValueMat.OfSum(task.Numbers, marks);

    /// <inheritdoc/>
    public override string Check => "Take one of the numbers away from the sum: the others must be left.";

    /// <inheritdoc/>
    public override DigitOrder DigitsCome => DigitOrder.SmallestFirst;

    /// <inheritdoc/>
    protected override IReadOnlyList<Decision> OwnDecisions => AdditionDecisions.All;

    /// <inheritdoc/>
    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Cells, WorkFields.Carries, WorkFields.Operands, WorkFields.Order];

    /// <inheritdoc/>
    public override IReadOnlyList<string> Instead { get; } = ["subtraction"];

    /// <inheritdoc/>
    public override Func<ItemTask> Items(int seed) => new SumItems(seed).Next;

    /// <inheritdoc/>
    public override void Walk(ItemTask task, MethodRun run)
    {
        var addends = ((ColumnSum)task).Addends;
        var context = ContextOf(addends, out var width);
        switch (run.Ask(AdditionDecisions.Way, context))
        {
            case SumWay.TakeAway:
                TakeAway(run, addends);
                return;
            case SumWay.AddAllDigits:
                run.Page.Append(addends.Sum(a => Enumerable.Range(0, a.Length).Sum(a.Digit)).ToString());
                return;
            default:
                break;
        }

        InColumns(run, addends, context, width);
    }

    /// <summary>The columns of a sum, for other methods that come to one.</summary>
    internal static void InColumns(MethodRun run, IReadOnlyList<WholeNumber> addends) => InColumns(run, addends, ContextOf(addends, out var width), width);

    private static void InColumns(MethodRun run, IReadOnlyList<WholeNumber> addends, SumContext context, int width)
    {
        var toLeft = context.IsRagged && run.Ask(AdditionDecisions.Alignment, context) == SumAlignment.LeftEnds;
        var digits = run.Take(addends.Count * width);
        for (var row = 0; row < addends.Count; row++)
        {
            var shift = toLeft ? width - addends[row].Length : 0;
            run.Page.Line = row;
            run.Page.Write(WorkFields.Operands, shift - (toLeft ? width - addends[0].Length : 0), addends[row].Text);
            for (var place = 0; place < width; place++) digits[row * width + place] = addends[row].Digit(place - shift);
        }

        run.Page.Line = 0;

        // Two more cells than columns: a carry can go one column too far beyond the last one.
        var cells = run.Take(width + 2);
        new ColumnSumWork(run, digits, addends.Count, cells).Work(run.Ask(AdditionDecisions.Direction, context));
        run.Page.AppendCells(cells);
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
            SubtractionFamily.InColumns(run, top, bottom);
            if (isLast) return;
            left = WholeNumber.TryParse(run.Page.Answer[before..].ToString()).Value ?? WholeNumber.Of(0);
            run.Page.ShortenAnswer(before);
        }
    }

    private static SumContext ContextOf(IReadOnlyList<WholeNumber> addends, out int width)
    {
        width = 0;
        var shortest = int.MaxValue;
        for (var row = 0; row < addends.Count; row++)
        {
            width = Math.Max(width, addends[row].Length);
            shortest = Math.Min(shortest, addends[row].Length);
        }

        return new SumContext(addends.Count, shortest < width, NeedsCarry(addends, width));
    }

    private static bool NeedsCarry(IReadOnlyList<WholeNumber> addends, int width)
    {
        for (var place = 0; place < width; place++)
        {
            var sum = 0;
            for (var row = 0; row < addends.Count; row++) sum += Math.Max(0, addends[row].Digit(place));
            if (sum >= 10) return true;
        }

        return false;
    }
}
