using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Inference;

/// <summary>What one answered item tells: the answer in its canonical spelling and the marks that were recorded.</summary>
internal sealed class ItemEvidence
{
    private readonly Work work;
    private readonly IReadOnlyList<MarkField> fields;

    public ItemEvidence(int index, WorkedItem item)
    {
        Index = index;
        Item = item;
        Task = item.Task;
        Answer = Task.Canonical(item.Answer!);
        work = item.Work;
        fields = Method.Of(Task.Family).Fields;
        HasMarks = fields.Any(work.Has);
    }

    /// <summary>Which of the sheet's answered items this is, from 0.</summary>
    public int Index { get; }

    public WorkedItem Item { get; }

    public ItemTask Task { get; }

    public string Answer { get; }

    public bool IsRight => Answer == Task.RightAnswer;

    public bool HasMarks { get; }

    /// <summary>Whether a run came to the answer that was written.</summary>
    public bool Matches(MethodRun run) => run.Answer.SequenceEqual(Answer);

    /// <summary>
    /// How probable the recorded marks are for a student who would leave those of the run: each recorded field agrees or differs
    /// in so many marks. Fields that were not recorded say nothing.
    /// </summary>
    public double MarkLikelihood(MethodRun run)
    {
        if (!HasMarks) return 1;
        var likelihood = 1.0;
        foreach (var differing in MarkComparison.Differing(Task, work, fields, run.Marks))
            likelihood *= differing == 0 ? Priors.MarksAgree : Math.Pow(Priors.MarkDiffers, Math.Min(differing, Priors.MostDifferingMarks));
        return likelihood;
    }
}
