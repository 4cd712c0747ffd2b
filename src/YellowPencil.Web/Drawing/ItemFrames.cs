using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Procedures.Subtraction;

namespace YellowPencil.Web.Drawing;

/// <summary>One frame of a replay: the page after a step, with a caption.</summary>
/// <param name="Caption">The step in a sentence.</param>
/// <param name="Picture">The page after it.</param>
/// <param name="IsDeviant">Whether the step departs from the taught method.</param>
public sealed record ReplayFrame(string Caption, ColumnPicture Picture, bool IsDeviant);

/// <summary>The frames of one item, the taught method beside the student's.</summary>
public sealed record ItemFrames(
    string Task, string Summary, bool IsExplained, IReadOnlyList<ReplayFrame> Taught, IReadOnlyList<ReplayFrame> Students)
{
    /// <summary>How many frames the longer side has.</summary>
    public int Length => Math.Max(Taught.Count, Students.Count);

    /// <summary>Makes the frames of an item as it was read.</summary>
    public static ItemFrames Of(ItemReading item, ClassroomWord word)
    {
        var task = (ColumnDifference)item.Item.Task;
        var replay = item.Replay;
        var summary = item.FirstWrongStep is { } wrong
            ? $"Written {item.Item.Answer}; right is {task.RightAnswer}. {wrong.Text}".In(word)
            : item.Verdict == Verdict.Right ? $"Written {item.Item.Answer}: right." : $"Nothing that can be read is written; right is {task.RightAnswer}.";
        return new ItemFrames(
            task.Text.Replace('-', '−'), summary, replay.IsExplained || item.Verdict == Verdict.Right,
            Frames(task, DeviationSet.Taught, 0, null, word),
            Frames(task, replay.Hypothesis.Deviations, replay.Declined, replay.Slip, word));
    }

    private static List<ReplayFrame> Frames(ColumnDifference task, DeviationSet student, ulong declined, Slip? slip, ClassroomWord word)
    {
        var run = new MethodRun { Recording = true };
        Method.Run(task, run, student, declined, slip);
        var frames = new List<ReplayFrame> { new("The item as it was set.", ColumnPicture.Blank(task), false) };
        for (var i = 0; i < run.Steps.Count; i++)
        {
            var step = run.Steps[i];
            if (!SubtractionPoints.IsToldAloud(step)) continue;
            var marks = i + 1 < run.Steps.Count ? run.Steps[i + 1].MarksBefore : run.Marks.Count;
            frames.Add(new ReplayFrame(step.MadeText.In(word), ColumnPicture.Of(task, run.Marks.Take(marks)), step.Cause != StepCause.AsTaught));
        }

        return frames;
    }
}
