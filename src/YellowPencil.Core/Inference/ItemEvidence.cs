using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Inference;

/// <summary>What one answered item tells: the answer in its canonical spelling and the marks that were recorded.</summary>
internal sealed class ItemEvidence
{
    private readonly List<(WorkField Field, object Value)> seen;

    public ItemEvidence(int index, WorkedItem item)
    {
        Index = index;
        Item = item;
        Task = item.Task;
        Answer = Task.Canonical(item.Answer!);
        seen = [.. Method.Of(Task.Family).Fields.Where(item.Work.Has).Select(f => (f, item.Work.ValueOf(f)!))];
    }

    /// <summary>Which of the sheet's answered items this is, from 0.</summary>
    public int Index { get; }

    public WorkedItem Item { get; }

    public ItemTask Task { get; }

    public string Answer { get; }

    public bool IsRight => Answer == Task.RightAnswer;

    public bool HasMarks => seen.Count > 0;

    /// <summary>Whether a run came to the answer that was written.</summary>
    public bool Matches(MethodRun run) => run.Page.Answer.SequenceEqual(Answer);

    /// <summary>
    /// How probable the recorded marks are for a student who would leave those of the run: each recorded field agrees or differs
    /// in so many marks. Fields that were not recorded say nothing.
    /// </summary>
    public double MarkLikelihood(MethodRun run)
    {
        if (!HasMarks) return 1;
        var likelihood = 1.0;
        foreach (var match in Matches(run.Page.Marks))
            likelihood *= match.Off == 0 ? Priors.MarksAgree : Math.Pow(Priors.MarkDiffers, Math.Min(match.Off, Priors.MostDifferingMarks));
        return likelihood;
    }

    /// <summary>How the recorded fields agree with the marks that a student would leave: one match for each part that people note by itself.</summary>
    public IEnumerable<FieldMatch> Matches(IReadOnlyList<Mark> marks) =>
        seen.SelectMany(s => s.Field.Compare(Task, s.Value, [.. marks.Where(m => m.Field == s.Field)]));
}
