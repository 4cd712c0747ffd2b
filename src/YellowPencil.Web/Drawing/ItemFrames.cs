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
        var taught = Columns(task, DeviationSet.Taught, 0, null, word);
        var students = Columns(task, replay.Hypothesis.Deviations, replay.Declined, replay.Slip, word);
        KeepInStep(taught, students);
        var frames = taught.Concat(students).SelectMany(c => c).Select(f => f.Picture).ToList();
        var rows = frames.Max(f => f.RowsAbove);
        foreach (var frame in frames) frame.WithRowsAbove(rows);
        return new ItemFrames(
            task.Text.Replace('-', '−'), summary, replay.IsExplained || item.Verdict == Verdict.Right, [.. taught.SelectMany(c => c)], [.. students.SelectMany(c => c)]);
    }

    /// <summary>Lets both sides begin each column at the same frame: the side with fewer steps in a column waits.</summary>
    private static void KeepInStep(List<List<ReplayFrame>> one, List<List<ReplayFrame>> other)
    {
        for (var column = 0; column < Math.Max(one.Count, other.Count); column++)
        {
            foreach (var side in new[] { one, other })
                if (column == side.Count) side.Add([side[^1][^1]]);
            var length = Math.Max(one[column].Count, other[column].Count);
            foreach (var side in new[] { one, other })
                while (side[column].Count < length) side[column].Add(side[column][^1]);
        }
    }

    /// <summary>The frames of a run, column by column; the item as it was set comes first.</summary>
    private static List<List<ReplayFrame>> Columns(ColumnDifference task, DeviationSet student, ulong declined, Slip? slip, ClassroomWord word)
    {
        var run = new MethodRun { Recording = true };
        Method.Run(task, run, student, declined, slip);
        var columns = new List<List<ReplayFrame>> { new() { new("The item as it was set.", ColumnPicture.Blank(task), false) } };
        for (var i = 0; i < run.Steps.Count; i++)
        {
            var step = run.Steps[i];
            if (!SubtractionPoints.IsToldAloud(step)) continue;
            var marks = i + 1 < run.Steps.Count ? run.Steps[i + 1].MarksBefore : run.Marks.Count;
            if (step.Point == SubtractionPoints.Column || step.Point == SubtractionPoints.OpenColumn) columns.Add([]);
            columns[^1].Add(new ReplayFrame(step.MadeText.In(word), ColumnPicture.Of(task, run.Marks.Take(marks)), step.Cause != StepCause.AsTaught));
        }

        return columns;
    }
}
