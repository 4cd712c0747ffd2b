using System.Runtime.CompilerServices;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Procedures;

/// <summary>One step of a run that goes another way once, by a slip.</summary>
/// <param name="Step">The number of the step, from 0.</param>
/// <param name="Choice">At a decision: the index of the choice made. At a number fact: the value written.</param>
public readonly record struct Slip(int Step, int Choice)
{
    /// <summary>No slip.</summary>
    public static readonly Slip None = new(-1, 0);
}

/// <summary>
/// A walk through one item with the deviations of one imagined student. Methods ask it at every decision point and for
/// every number fact, and write marks and the answer into it. It is used again for the next run, so that a run that only
/// wants the answer allocates next to nothing; not to be shared between threads.
/// </summary>
public sealed class MethodRun
{
    /// <summary>The most chances of one item that can be followed or not one by one; later ones are always followed.</summary>
    public const int MaxChances = 60;

    private readonly List<Mark> marks = [];
    private readonly List<Step> steps = [];
    private readonly int[] chances = new int[DeviationSet.MaxOwners];
    private readonly int[] followed = new int[DeviationSet.MaxOwners];
    private DeviationSet deviations = DeviationSet.Taught;
    private ulong declined;
    private Slip slip;
    private int stepNumber;
    private char[] answer = new char[64];
    private int answerLength;
    private ChanceWatch? watch;
    private int[] scratch = new int[1024];
    private int scratchTaken;

    /// <summary>Whether steps are kept, with captions; slower, for one run at a time.</summary>
    public bool Recording { get; init; }

    /// <summary>Whether marks are kept; always the case while recording.</summary>
    public bool KeepsMarks { get; set; }

    /// <summary>The answer that the run came to; empty when nothing was written.</summary>
    public ReadOnlySpan<char> Answer => answer.AsSpan(0, answerLength);

    /// <summary>The marks left on the page, in the order of writing.</summary>
    public IReadOnlyList<Mark> Marks => marks;

    /// <summary>The steps taken, where they are kept.</summary>
    public IReadOnlyList<Step> Steps => steps;

    /// <summary>How many decisions and number facts the run went through.</summary>
    public int StepCount => stepNumber;

    /// <summary>Decisions at which a deviation applies and differs from the taught choice, all owners together.</summary>
    public int Chances { get; private set; }

    /// <summary>How many of the chances were followed.</summary>
    public int Followed { get; private set; }

    /// <summary>Whether two deviations claimed the same decision in the same context for different choices.</summary>
    public bool InConflict { get; private set; }

    /// <summary>The chances of one owner.</summary>
    public int ChancesOf(int owner) => chances[owner];

    /// <summary>How many chances of one owner were followed.</summary>
    public int FollowedOf(int owner) => followed[owner];

    /// <summary>Makes the run ready for an item.</summary>
    /// <param name="set">The student.</param>
    /// <param name="declinedChances">Bit i set: the i-th chance is not followed.</param>
    /// <param name="once">A step that goes another way.</param>
    /// <param name="watching">Notes, for rules that are not followed, where they would have a chance.</param>
    public void Begin(DeviationSet set, ulong declinedChances = 0, Slip? once = null, ChanceWatch? watching = null)
    {
        watch = watching;
        deviations = set;
        declined = declinedChances;
        slip = once ?? Slip.None;
        stepNumber = 0;
        answerLength = 0;
        Chances = 0;
        Followed = 0;
        InConflict = false;
        scratchTaken = 0;
        Row = 0;
        IsAside = false;
        marks.Clear();
        steps.Clear();
        Array.Clear(chances);
        Array.Clear(followed);
    }

    /// <summary>Asks a decision point; the answer is what this student does there.</summary>
    public TChoice Ask<TContext, TChoice>(DecisionPoint<TContext, TChoice> point, in TContext context)
        where TContext : struct, IDecisionContext
        where TChoice : struct, Enum
    {
        var taught = point.Taught(context);
        var made = taught;
        var cause = StepCause.AsTaught;
        watch?.See(point, context, taught);
        if (deviations.At(point.Ordinal) is { } rules)
        {
            var chosen = false;
            foreach (var (deviation, owner) in rules)
            {
                var rule = Unsafe.As<ChoiceDeviation<TContext, TChoice>>(deviation);
                if (EqualityComparer<TChoice>.Default.Equals(rule.Instead, taught) || !rule.When(context)) continue;
                if (chosen)
                {
                    InConflict |= !EqualityComparer<TChoice>.Default.Equals(rule.Instead, made);
                    continue;
                }

                chosen = true;
                if (!Follows(owner)) continue;
                made = rule.Instead;
                cause = StepCause.Bug;
            }
        }

        if (slip.Step == stepNumber)
        {
            made = DecisionPoint<TContext, TChoice>.Choices[slip.Choice];
            cause = StepCause.Slip;
        }

        if (Recording)
            steps.Add(new Step(stepNumber, point, context.Place, ChoiceIndex(taught), ChoiceIndex(made), cause, point.Say(context, taught), point.Say(context, made), marks.Count, null));
        stepNumber++;
        return made;

        static int ChoiceIndex(TChoice choice) => Array.IndexOf(DecisionPoint<TContext, TChoice>.Choices, choice);
    }

    /// <summary>Recalls a number fact; the answer is what this student takes it to be.</summary>
    /// <param name="fact">The fact.</param>
    /// <param name="place">The place it is needed for.</param>
    public int Recall(NumberFact fact, int place)
    {
        var value = fact.Value;
        var cause = StepCause.AsTaught;
        foreach (var (deviation, owner) in deviations.Facts)
            if (deviation.Fact == fact && Follows(owner))
            {
                value = deviation.Written;
                cause = StepCause.Fact;
            }

        if (slip.Step == stepNumber)
        {
            value = slip.Choice;
            cause = StepCause.Slip;
        }

        if (Recording)
            steps.Add(new Step(stepNumber, null, place, fact.Value, value, cause, $"{fact} = {fact.Value}".Replace('-', '−'), $"{fact} = {value}".Replace('-', '−'), marks.Count, fact));
        stepNumber++;
        return value;
    }

    /// <summary>Whether marks are kept in this run at all: texts that only a mark needs are not made otherwise.</summary>
    public bool WritesMarks => KeepsMarks || Recording;

    /// <summary>The row, cycle or line in which marks stand from now on.</summary>
    public int Row { get; set; }

    /// <summary>Set while a part works whose columns do not stand on the page as such: its marks are not kept.</summary>
    public bool IsAside { get; set; }

    /// <summary>Leaves a mark on the page.</summary>
    public void Write(MarkField field, int place, int value)
    {
        if (WritesMarks && !IsAside) marks.Add(new Mark(field, place, SmallNumbers.Text(value), Row));
    }

    /// <summary>Leaves a mark on the page.</summary>
    public void Write(MarkField field, int place, string text)
    {
        if (WritesMarks && !IsAside) marks.Add(new Mark(field, place, text, Row));
    }

    /// <summary>Room for so many digits or cells, valid until the next run begins.</summary>
    /// <param name="length">How many.</param>
    /// <param name="filledWith">What stands there at first; -1 is blank.</param>
    public Span<int> Take(int length, int filledWith = -1)
    {
        if (scratchTaken + length > scratch.Length)
        {
            // Room that was given out before stays with those who hold it.
            scratch = new int[2 * (scratch.Length + length)];
            scratchTaken = 0;
        }

        var room = scratch.AsSpan(scratchTaken, length);
        scratchTaken += length;
        room.Fill(filledWith);
        return room;
    }

    /// <summary>Adds to the answer.</summary>
    public void Append(ReadOnlySpan<char> text)
    {
        if (answerLength + text.Length > answer.Length) Array.Resize(ref answer, 2 * (answerLength + text.Length));
        text.CopyTo(answer.AsSpan(answerLength));
        answerLength += text.Length;
    }

    /// <summary>Reads the answer off the cells of a column layout, ones first, -1 being blank: blanks close up, leading zeros are not written.</summary>
    public void AppendCells(ReadOnlySpan<int> cells)
    {
        var begun = false;
        var written = false;
        for (var place = cells.Length - 1; place >= 0; place--)
        {
            if (cells[place] < 0) continue;
            written = true;
            begun |= cells[place] > 0;
            if (begun) Append(SmallNumbers.Text(cells[place]));
        }

        if (written && !begun) Append("0");
    }

    /// <summary>
    /// Adds a decimal to the answer in its canonical spelling. What was cleared of its sign before is written without one.
    /// </summary>
    /// <param name="digits">The digits, smallest place first; none is a blank answer.</param>
    /// <param name="places">How many of them stand after the point; may be more than there are, then zeros are filled in, or less than none, then zeros follow.</param>
    /// <param name="isNegative">Whether a minus sign goes in front; not written before 0.</param>
    public void AppendDecimal(ReadOnlySpan<int> digits, int places, bool isNegative = false)
    {
        if (digits.IsEmpty) return;
        var first = 0;
        while (places > 0 && first < digits.Length && digits[first] == 0)
        {
            first++;
            places--;
        }

        digits = digits[first..];
        var length = digits.Length;
        while (length > Math.Max(places, 0) && digits[length - 1] == 0) length--;
        if (length == 0)
        {
            Append("0");
            return;
        }

        if (isNegative) Append("-");
        if (length <= places) Append("0.");
        for (var zeros = places - length; zeros > 0; zeros--) Append("0");
        for (var i = length - 1; i >= 0; i--)
        {
            Append(SmallNumbers.Text(digits[i]));
            if (i == places && i > 0) Append(".");
        }

        for (; places < 0; places++) Append("0");
    }

    /// <summary>Adds what is left over to the answer, behind an r.</summary>
    public void AppendRemainder(long rest)
    {
        Span<char> digits = stackalloc char[20];
        rest.TryFormat(digits, out var length);
        Append(" r ");
        Append(digits[..length]);
    }

    private bool Follows(int owner)
    {
        var index = Chances++;
        chances[owner]++;
        if (index < MaxChances && (declined >> index & 1) == 1) return false;
        Followed++;
        followed[owner]++;
        return true;
    }
}

/// <summary>The texts of small whole numbers, made once.</summary>
internal static class SmallNumbers
{
    private static readonly string[] Texts = [.. Enumerable.Range(0, 200).Select(n => n.ToString())];

    public static string Text(int value) => (uint)value < Texts.Length ? Texts[value] : value.ToString();
}
