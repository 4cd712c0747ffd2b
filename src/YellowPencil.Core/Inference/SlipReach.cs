using System.Buffers;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Core.Inference;

/// <summary>
/// Which steps of a run could lead to an answer by a slip, told from what stood on the page before them: what is written stays. In a
/// quotient, the digits come from the left; in column layouts, from the right, and a fact that is off by one changes the answer from the place
/// of the fact on. Only where the run goes another way, as when it puts a digit into a column that was worked before, can this leave a slip out.
/// </summary>
internal sealed class SlipReach
{
    private static readonly SearchValues<char> InNumbers = SearchValues.Create("0123456789.-");

    private readonly string target;
    private readonly MethodRun trace;
    private readonly string reached;
    private readonly bool isFromRight;
    private readonly bool isQuotient;
    private readonly int? lowestDue;

    public SlipReach(ItemEvidence item, MethodRun trace)
    {
        target = item.Answer;
        this.trace = trace;
        reached = trace.Page.Answer.ToString();
        var order = TaughtFamily.Of(item.Task.Family).DigitsCome;
        isQuotient = order == DigitOrder.LargestFirst && IsNumber(target) && Digits(reached).StartsWith(QuotientBefore(int.MaxValue), StringComparison.Ordinal);
        isFromRight = IsNumber(target) && IsNumber(reached) && !trace.InConflict
            && order == DigitOrder.SmallestFirst;
        lowestDue = isFromRight ? LowestDifference(reached, target) : null;
    }

    /// <summary>Whether anything that was written before a step stands in the way of the answer.</summary>
    public bool Allows(Step step) => !isQuotient || Digits(target).StartsWith(QuotientBefore(step.MarksBefore), StringComparison.Ordinal);

    /// <summary>The smallest place in which another answer differs from that of the run; null where that says nothing.</summary>
    public int? LowestChange(ReadOnlySpan<char> answer) => lowestDue is not null && IsNumber(answer) ? LowestDifference(reached, answer) : null;

    /// <summary>Whether a fact that is off by so much can lead to the answer, where being off by one changes it from a place on.</summary>
    public bool AllowsValue(int off, int place) => lowestDue is not { } due || (off % 10 == 0 ? due == place + 1 : due == place);

    private string QuotientBefore(int marks) => string.Concat(
        trace.Page.Marks.Take(marks).Where(m => m.Kind == WorkFields.Cycles.Quotient).Select(m => m.Text)).TrimStart('0');

    private static string Digits(string answer) => answer.Replace("-", "", StringComparison.Ordinal).Replace(".", "", StringComparison.Ordinal).TrimStart('0');

    private static bool IsNumber(ReadOnlySpan<char> answer) => !answer.IsEmpty && answer.IndexOfAnyExcept(InNumbers) < 0;

    private static int? LowestDifference(ReadOnlySpan<char> first, ReadOnlySpan<char> second)
    {
        var (before, after) = (Math.Max(Whole(first), Whole(second)), Math.Max(Places(first), Places(second)));
        for (var place = -after; place < before; place++)
            if (DigitAt(first, place) != DigitAt(second, place)) return place;
        return null;
    }

    private static int Places(ReadOnlySpan<char> number) => number.IndexOf('.') is >= 0 and var point ? number.Length - point - 1 : 0;

    private static int Whole(ReadOnlySpan<char> number) => number.IndexOf('.') is >= 0 and var point ? point : number.Length;

    private static int DigitAt(ReadOnlySpan<char> number, int place)
    {
        var index = place >= 0 ? Whole(number) - 1 - place : Whole(number) - place;
        return index >= 0 && index < number.Length && number[index] != '-' ? number[index] - '0' : 0;
    }
}
