using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures.Subtraction;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Addition;

/// <summary>Column addition of whole numbers.</summary>
public sealed class AdditionMethod : Method
{
    /// <inheritdoc/>
    public override Family Family => Family.Addition;

    /// <inheritdoc/>
    protected override IReadOnlyList<Decision> OwnDecisions => AdditionDecisions.All;

    /// <inheritdoc/>
    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Cells, WorkFields.Carries, WorkFields.Operands, WorkFields.Order];

    /// <inheritdoc/>
    public override IReadOnlyList<Family> Instead { get; } = [Family.Subtraction];

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
            SubtractionMethod.InColumns(run, top, bottom);
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
