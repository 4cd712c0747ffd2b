using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Inference;

/// <summary>What one answered item tells: the answer in its canonical spelling and the marks that were recorded.</summary>
internal sealed class ItemEvidence
{
    private readonly Work work;

    public ItemEvidence(int index, WorkedItem item)
    {
        Index = index;
        Item = item;
        Task = item.Task;
        Answer = Task.Canonical(item.Answer!);
        work = item.Work;
        var fields = Method.Of(Task.Family).Fields;
        HasMarks = work.Marks.Keys.Any(fields.Contains);
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
    /// How probable the recorded marks are for a student who would leave those of the run: for each recorded field, the
    /// places where the last mark is the same agree. Fields that were not recorded say nothing.
    /// </summary>
    public double MarkLikelihood(MethodRun run)
    {
        if (!HasMarks) return 1;
        var likelihood = 1.0;
        foreach (var (field, marks) in work.Marks)
        {
            var differing = Differing(field, marks, run.Marks);
            likelihood *= differing == 0 ? Priors.MarksAgree : Math.Pow(Priors.MarkDiffers, Math.Min(differing, Priors.MostDifferingMarks));
        }

        return likelihood;
    }

    private static int Differing(MarkField field, PlaceMarks observed, IReadOnlyList<Mark> predicted)
    {
        var differing = 0;
        foreach (var place in observed.Places)
            if (Last(field, place, predicted) != observed.At(place)[^1].Trim()) differing++;
        if (field == MarkField.Cells) return differing;
        for (var i = 0; i < predicted.Count; i++)
            if (predicted[i].Field == field && observed.At(predicted[i].Place).Count == 0 && IsLast(predicted, i)) differing++;
        return differing;
    }

    private static string? Last(MarkField field, int place, IReadOnlyList<Mark> marks)
    {
        for (var i = marks.Count - 1; i >= 0; i--)
            if (marks[i].Field == field && marks[i].Place == place) return marks[i].Text;
        return null;
    }

    private static bool IsLast(IReadOnlyList<Mark> marks, int index)
    {
        for (var i = index + 1; i < marks.Count; i++)
            if (marks[i].Field == marks[index].Field && marks[i].Place == marks[index].Place) return false;
        return true;
    }
}
