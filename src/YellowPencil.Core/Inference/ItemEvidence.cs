using YellowPencil.Core.Families;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Inference;

/// <summary>
/// What one stretch of a working tells: from where the student stood, the task or a line that was written, to what was written next, a line or the
/// answer. An item without lines is one stretch. After a wrong line the reading goes on from what was written.
/// </summary>
internal sealed class ItemEvidence
{
    private const int PartsOfField = 8;

    private readonly List<(WorkField Field, object Value)> seen;
    private readonly TaughtFamily method;
    private readonly string? line;
    private readonly int closedFrom;
    private readonly string? otherSpelling;
    private readonly Dictionary<string, bool> says = [];

    private ItemEvidence(int index, WorkedItem item, ItemTask from, int row, string? line, IReadOnlyList<School> schools)
    {
        Index = index;
        Item = item;
        Task = row == 0 && CopiedTask(item) is { } copied ? copied : from;
        IsCopied = Task != from;
        Row = row;
        this.line = line;
        method = TaughtFamily.Of(Task.Family);
        IsBrokenOff = line is null && !item.IsAnswered;
        otherSpelling = line is null && !IsBrokenOff ? Task.OtherSpelling(Task.Canonical(item.Answer!)) : null;
        Answer = line ?? (IsBrokenOff ? "" : Task.IsMoreThanAsked(item.Answer!) ? Task.RightAnswer : Task.Canonical(item.Answer!));

        // Marks stand beside the whole item: they are compared once, where the answer is.
        seen = line is not null
            ? []
            : [.. FamilyList.FieldsOf(item.Task.Family).Where(f => f != WorkFields.Lines && item.Work.Has(f)).Select(f => (f, item.Work.ValueOf(f)!))];
        closedFrom = IsBrokenOff
            ? seen.Where(s => s.Field.StandsInLines).SelectMany(s => s.Field.MarksOf(s.Value)).Select(m => m.At.Line + 1).DefaultIfEmpty(int.MaxValue).Max()
            : int.MaxValue;
        if (line is null && !IsBrokenOff)
        {
            Taught = Task.RightAnswer;
            IsRight = Answer == Taught;
        }
        else
        {
            // A line is right where any school that the student can come from leads to it.
            var taught = new MethodRun();
            Taught = "";
            for (var i = schools.Count - 1; i >= 0; i--)
            {
                Run(taught, new DeviationSet(schools[i], []));
                Taught = Says(taught);
                IsRight |= Matches(taught);
            }
        }
    }

    /// <summary>Which of the sheet's stretches this is, from 0.</summary>
    public int Index { get; }

    public WorkedItem Item { get; }

    /// <summary>What is to be done from where the stretch begins.</summary>
    public ItemTask Task { get; }

    /// <summary>Whether other numbers were set out than those of the task: then those are worked.</summary>
    public bool IsCopied { get; }

    /// <summary>The task that was set out where its numbers were copied wrongly; null where they were not, or nothing shows it.</summary>
    public static ItemTask? CopiedTask(WorkedItem item)
    {
        var numbers = item.Task.Numbers;
        if (item.Work.Get(WorkFields.Operands) is not { } operands || operands.Count != numbers.Count) return null;
        var copied = new DecimalNumber[numbers.Count];
        for (var i = 0; i < copied.Length; i++)
        {
            if (
                DecimalNumber.TryParse(operands[i].Text) is not { Succeeded: true } read
                    || read.Value.Length != numbers[i].Length || read.Value.Places != numbers[i].Places)
                return null;
            copied[i] = read.Value;
        }

        return copied.Zip(numbers).All(n => n.First.Unscaled == n.Second.Unscaled && n.First.Places == n.Second.Places) ? null : item.Task.With(copied);
    }

    /// <summary>Which line of the working the stretch leads to, from 0; the answer counts behind the last.</summary>
    public int Row { get; }

    /// <summary>The last line of the working, where it is the answer; null where it is not.</summary>
    public int? RowOfAnswer => Item.Work.Get(WorkFields.Lines) is { Count: > 0 } lines && IsTheAnswer(Item, lines[^1]) ? lines.Count - 1 : null;

    /// <summary>Whether the stretch leads to the answer, and not to a line before it.</summary>
    public bool IsLast => line is null;

    /// <summary>Whether the work beside the item came to no answer: then it is by what stands there that a way is told from another.</summary>
    public bool IsBrokenOff { get; }

    /// <summary>What was written at its end: the line, or the answer in its canonical spelling.</summary>
    public string Answer { get; }

    /// <summary>What the taught method says on this stretch, as <see cref="Says"/> tells it.</summary>
    public string Taught { get; }

    public bool IsRight { get; }

    public bool HasMarks => seen.Count > 0;

    /// <summary>
    /// The stretches of an answered item. Lines that the method cannot go on from are passed over; so are those that nobody who does one thing otherwise
    /// comes by, where they are sound, or where the answer can be followed without them: then they are merged or skipped steps.
    /// </summary>
    /// <param name="item">The item.</param>
    /// <param name="index">The number of the first.</param>
    /// <param name="schools">The schools that the student can come from.</param>
    public static IEnumerable<ItemEvidence> Of(WorkedItem item, int index, IReadOnlyList<School> schools)
    {
        var from = item.Task;
        var method = TaughtFamily.Of(from.Family);
        var lines = item.Work.Get(WorkFields.Lines) ?? [];
        var stops = new List<(int Row, string Part, ItemTask Task)>();
        var reached = from;
        for (var row = 0; row < lines.Count; row++)
            foreach (var written in method.StatementsOf(lines[row]))
            {
                var part = method.Resume(item.Task, reached, written) is null && MissingBracket.PutBack(written) is { } whole ? whole : written;

                // A last line that is the answer is no stretch of its own: nothing is done between the two.
                if (row == lines.Count - 1 && item.IsAnswered && method.IsSameLine(part, item.Answer!)) break;
                if (method.Resume(item.Task, reached, part) is not { } resumed) continue;
                stops.Add((row, part, resumed));
                reached = resumed;
            }

        var canDoWithout = new Lazy<bool>(() => item.IsAnswered && Whole(item) is var all && (all.IsRight || SingleSteps.CanFollow(all, schools)));
        for (var i = 0; i < stops.Count; i++)
        {
            var (row, part, resumed) = stops[i];
            if (resumed.StandsThere == from.StandsThere || IsMended(from, resumed, i + 1 < stops.Count ? stops[i + 1].Task : null, item)) continue;
            var stretch = new ItemEvidence(index, item, from, row, part, schools);
            if (!stretch.IsRight && IsPassedOver(stretch, resumed, canDoWithout, schools)) continue;
            yield return stretch;
            index++;
            from = resumed;
        }

        if (item.IsAnswered || new ItemEvidence(index, item, from, lines.Count, null, schools).HasMarks) yield return new ItemEvidence(index, item, from, lines.Count, null, schools);
    }

    private static bool IsPassedOver(ItemEvidence stretch, ItemTask line, Lazy<bool> canDoWithout, IReadOnlyList<School> schools) =>
        !SingleSteps.CanFollow(stretch, schools)
            && (line.RightAnswer == stretch.Task.RightAnswer || (!SingleSteps.IsOneDigitOff(stretch.line!, stretch.Taught) && canDoWithout.Value));

    private static bool IsTheAnswer(WorkedItem item, string line)
    {
        var method = TaughtFamily.Of(item.Task.Family);
        return item.IsAnswered && method.StatementsOf(line).LastOrDefault() is { } last && method.IsSameLine(last, item.Answer!);
    }

    // A line that leads elsewhere, with a line or the answer behind it that leads where the line before it did, was crossed out and written once more.
    private static bool IsMended(ItemTask from, ItemTask line, ItemTask? next, WorkedItem item) =>
        line.RightAnswer != from.RightAnswer
            && (next is null ? item.IsAnswered && from.Judge(item.Answer) == Verdict.Right : next.RightAnswer == from.RightAnswer && next.StandsThere != from.StandsThere);

    /// <summary>An answered item as one stretch, whatever lines stand there.</summary>
    public static ItemEvidence Whole(WorkedItem item) => new(0, item, item.Task, 0, null, []);

    /// <summary>Lets a run go along this stretch.</summary>
    public void Run(MethodRun run, DeviationSet set, ulong declined = 0, Slip? slip = null)
    {
        MakeReady(run);
        Method.Run(Task, run, set, declined, slip);
    }

    /// <summary>Has a run keep of its page what is needed to see where it leads; the caller runs it.</summary>
    /// <param name="run">The run.</param>
    /// <param name="withMarks">Whether the marks are wanted too.</param>
    public void MakeReady(MethodRun run, bool withMarks = false)
    {
        run.ClosedFrom = closedFrom;
        run.Page.KeepsMarks = run.Recording || line is not null || IsBrokenOff || (withMarks && HasMarks);
    }

    /// <summary>Whether a run came by what was written: to the answer, or through the line at any point.</summary>
    public bool Matches(MethodRun run) => IsBrokenOff ? WentBy(run.Page.Marks)
        : line is null ? IsWritten(run.Page.Answer)
        : ComesBy(run.Page.Passed);

    // What stands there is as the way leaves it, as far as it goes.
    private bool WentBy(IReadOnlyList<Mark> marks)
    {
        var together = Matches(marks, asFarAsItGoes: true).SelectMany(m => m.Matches).Aggregate(default(FieldMatch), (sum, match) => sum + match);
        return together is { Same: > 0, Differ: 0, Extra: 0 };
    }

    /// <summary>Whether an answer is the one that was written.</summary>
    public bool IsWritten(ReadOnlySpan<char> answer) => answer.SequenceEqual(Answer) || (otherSpelling is not null && answer.SequenceEqual(otherSpelling));

    /// <summary>The probability that one digit of an answer was written as another one, so that it reads as what stands there.</summary>
    public double SlipOfThePen(ReadOnlySpan<char> answer) => OneDigitOff(answer) is { } off ? Priors.SlipOfThePen(off) / DigitsIn(answer) : 0;

    /// <summary>By how much the one digit is off in which an answer is not what stands there; null where it is not one digit.</summary>
    public int? OneDigitOff(ReadOnlySpan<char> answer)
    {
        if (IsBrokenOff || line is not null || answer.Length != Answer.Length) return null;
        var at = answer.CommonPrefixLength(Answer);
        return at < answer.Length && char.IsAsciiDigit(answer[at]) && char.IsAsciiDigit(Answer[at]) && answer[(at + 1)..].SequenceEqual(Answer.AsSpan(at + 1)) ? Math.Abs(answer[at] - Answer[at]) : null;
    }

    private static int DigitsIn(ReadOnlySpan<char> answer)
    {
        var digits = 0;
        foreach (var c in answer)
            if (char.IsAsciiDigit(c)) digits++;
        return digits;
    }

    // The same lines are passed again and again: whether one says what was written is read once.
    private bool ComesBy(IReadOnlyList<string> passed)
    {
        foreach (var text in passed)
        {
            if (!says.TryGetValue(text, out var isSame)) says[text] = isSame = method.IsSameLine(line!, text);
            if (isSame) return true;
        }

        return false;
    }

    /// <summary>What a run says on this stretch, so that runs which say the same have the same text.</summary>
    public string Says(MethodRun run) => IsBrokenOff ? string.Join(" ", run.Page.Marks.Where(m => seen.Exists(s => s.Field == m.Field)))
        : line is null ? run.Page.Answer.ToString() : $"{string.Join(" → ", run.Page.Passed)} → {run.Page.Answer}";

    /// <summary>How the recorded marks agree with those that a run left; null where none were recorded.</summary>
    public MarkEvidence? MarksOf(MethodRun run) => HasMarks && !IsBrokenOff ? new MarkEvidence([.. MatchesByPart(run.Page.Marks)]) : null;

    private IEnumerable<(int Part, FieldMatch Match)> MatchesByPart(IReadOnlyList<Mark> marks)
    {
        foreach (var (field, matches) in Matches(marks))
        {
            var part = PartsOfField * IndexOf(field);
            foreach (var match in matches) yield return (part++, match);
        }
    }

    /// <summary>How the recorded fields agree with the marks that a student would leave: one match for each part that people note by itself.</summary>
    public IEnumerable<FieldMatch> MarkMatches(IReadOnlyList<Mark> marks) => Matches(marks).SelectMany(m => m.Matches);

    private IEnumerable<(WorkField Field, IEnumerable<FieldMatch> Matches)> Matches(IReadOnlyList<Mark> marks, bool asFarAsItGoes = false)
    {
        foreach (var (field, value) in seen)
        {
            List<Mark> due = [.. marks.Where(m => m.Field == field)];

            // What only another operation would write is no sign against a student who does the one that is set.
            if (due.Count == 0 && !method.Fields.Contains(field)) continue;
            if (asFarAsItGoes && LeavesOutOnTheWay(field, value, due)) yield return (field, [FieldMatch.Of(false)]);
            yield return (field, field.Compare(Item.Task, value, due));
        }
    }

    // Marks in columns are made from one end: of two that stand, none is left out that is due between them.
    private static bool LeavesOutOnTheWay(WorkField field, object value, List<Mark> due)
    {
        if (field.StandsInLines || !field.StandsInColumns) return false;
        var places = field.MarksOf(value).Where(m => m.Text.Length > 0).Select(m => m.At.Place).OfType<int>().ToHashSet();
        return places.Count > 1 && due.Exists(m => m.At.Place is { } at && at > places.Min() && at < places.Max() && !places.Contains(at));
    }

    private static int IndexOf(WorkField field)
    {
        for (var i = 0; i < WorkFields.All.Count; i++)
            if (WorkFields.All[i] == field) return i;
        return -1;
    }

    /// <summary>How the item stands to a student with rules.</summary>
    public Stand StandOf(ItemLikelihood likelihood)
    {
        if (likelihood.IsOpen && IsRight) return Stand.Silent;
        if (likelihood.Prediction == Taught) return IsRight ? Stand.Silent : Stand.Against;
        var partly = likelihood.Ways.Any(w => w.IsMet && w.Followed > 0);
        return likelihood.IsForetold || (partly && !IsRight) ? Stand.Agrees : Stand.Against;
    }

    /// <summary>How the item stands to a student without rules.</summary>
    public Stand StandOfSound => IsRight ? Stand.Agrees : Stand.Against;
}
