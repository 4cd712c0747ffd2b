using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Models;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Telling;

namespace YellowPencil.Web.Drawing;

/// <summary>One frame of a replay: the page after a step, with a caption.</summary>
/// <param name="Caption">The step in a sentence.</param>
/// <param name="Picture">The page after it.</param>
/// <param name="IsDeviant">Whether the step departs from the taught method.</param>
/// <param name="Model">What the amounts do meanwhile; null where there is no model.</param>
public sealed record ReplayFrame(string Caption, PagePicture Picture, bool IsDeviant, ItemModel? Model = null)
{
    /// <summary>Whether the step is as taught and comes after one that was not: it follows rightly from what stands there.</summary>
    public bool IsCredited { get; init; }
}

/// <summary>The frames of one item, the taught method beside the student's.</summary>
/// <param name="Task">The task.</param>
/// <param name="Summary">What was written, what is right, and the first wrong step.</param>
/// <param name="Title">What the student's side shows: what was done, what would be done, or what is not known.</param>
/// <param name="Taught">The taught method.</param>
/// <param name="Students">The student's side.</param>
public sealed record ItemFrames(string Task, string Summary, string Title, IReadOnlyList<ReplayFrame> Taught, IReadOnlyList<ReplayFrame> Students)
{
    /// <summary>How many frames the longer side has.</summary>
    public int Length => Math.Max(Taught.Count, Students.Count);

    /// <summary>Whether the student's side shows something that does not stand on the page.</summary>
    public bool HasInferred => Students.Any(f => f.Picture.HasInferred);

    /// <summary>What the model beside the replay is called; null where there is none.</summary>
    public string? ModelName => Taught[0].Model?.Name;

    /// <summary>Makes the frames of an item.</summary>
    /// <param name="item">The item as it was read.</param>
    /// <param name="procedure">How the chosen explanation comes to what was written, if it does.</param>
    /// <param name="who">The student's name or code.</param>
    /// <param name="classroom">How the classroom speaks and works.</param>
    public static ItemFrames Of(ItemReading item, ItemReplay procedure, string who, Classroom classroom)
    {
        var task = item.Item.Task;
        var isWritten = item.Item.IsAnswered;
        var taught = Columns(task, new DeviationSet(classroom.School, []), 0, null, classroom);
        var students = isWritten && !procedure.IsExplained
            ? NotKnown(item, task, classroom.School)
            : Columns(task, procedure.Hypothesis.Deviations, procedure.Declined, procedure.Slip, classroom);
        if (isWritten && procedure.IsExplained)
            foreach (var frame in students.SelectMany(c => c)) frame.Picture.WithInferred(item.Item);
        KeepInStep(taught, students);
        PagePicture.LineUp([.. taught.Concat(students).SelectMany(c => c).Select(f => f.Picture)]);
        var title = !isWritten ? $"{who} would, by this explanation" : procedure.IsExplained ? who : $"{who}: how is not known";
        Credit(students);
        return new ItemFrames(Signs.Printed(task.Text), $"{Summarize(item, classroom.Word).TrimEnd('.')}. {Credited(students)}".TrimEnd(), title, [.. taught.SelectMany(c => c)], [.. students.SelectMany(c => c)]);
    }

    /// <summary>
    /// Marks the columns, rows or cycles that follow rightly after the first one in which something went another way; the answer, which only repeats them, is none.
    /// </summary>
    private static void Credit(List<List<ReplayFrame>> columns)
    {
        foreach (var column in columns.SkipLast(1).SkipWhile(c => !c.Exists(f => f.IsDeviant)).Where(c => !c.Exists(f => f.IsDeviant)))
            for (var i = 0; i < column.Count; i++) column[i] = column[i] with { IsCredited = true };
    }

    private static string Credited(List<List<ReplayFrame>> columns)
    {
        var after = columns.SkipLast(1).SkipWhile(c => !c.Exists(f => f.IsDeviant)).Skip(1).ToList();
        return after.Count > 0 && after.TrueForAll(c => c.TrueForAll(f => f.IsCredited)) ? "What follows from it is right." : "";
    }

    private static string Summarize(ItemReading item, ClassroomWord word) => item.Verdict switch
    {
        Verdict.Right => $"Written {Signs.Printed(item.Item.Answer!)}: right.",
        Verdict.Blank or Verdict.Unreadable when item.Item.IsBrokenOff && item.FirstWrongStep is not null =>
            $"The work breaks off; right is {item.Item.Task.RightAnswer}. {item.Told}".In(word),
        Verdict.Blank => $"Nothing is written; right is {item.Item.Task.RightAnswer}.",
        Verdict.Unreadable => $"What is written cannot be read; right is {item.Item.Task.RightAnswer}.",
        Verdict.Unfinished => $"Written {Signs.Printed(item.Item.Answer!)}: right in value, and not at its end; that is {Signs.Printed(item.Item.Task.RightAnswer)}. {item.Told}".In(word).TrimEnd(),
        _ => $"Written {Signs.Printed(item.Item.Answer!)}; right is {Signs.Printed(item.Item.Task.RightAnswer)}. {item.Told}".In(word).TrimEnd(),
    };

    /// <summary>What is known where no procedure was found: the item, and what stands under it.</summary>
    private static List<List<ReplayFrame>> NotKnown(ItemReading item, ItemTask task, School school) =>
    [
        [new("The item as it was set.", PagePicture.Blank(task, school), false)],
        [new($"What stands there is {item.Item.Answer}. How it came about is not known: this explanation does not give it, with one slip or without.", PagePicture.Of(item.Item, school), true)],
    ];

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

    /// <summary>
    /// The frames of a run, column by column; the item as it was set comes first, the finished answer last. A step that is told shows all that is
    /// written until the next one is told.
    /// </summary>
    private static List<List<ReplayFrame>> Columns(ItemTask task, DeviationSet student, ulong declined, Slip? slip, Classroom classroom)
    {
        var run = new MethodRun { Recording = true };
        Method.Run(task, run, student, declined, slip);
        if (LineLayout.Has(task.Family)) return InLines(task, run, classroom);
        var columns = new List<List<ReplayFrame>> { new() { new("The item as it was set.", PagePicture.Blank(task, classroom.School), false, TaughtFamily.Of(task.Family).ModelAt(task, [], null)) } };
        var told = ToldSteps.InOrder(run.Steps, task.Family, classroom.School);
        var early = run.Page.Answer.Contains('.') ? told.ToList().FindIndex(s => ToldSteps.ComesEarly(s, task.Family)) : -1;
        var pointFrom = early >= 0 && early < told.Count - 1 ? early : int.MaxValue;
        for (var i = 0; i < told.Count; i++)
        {
            var step = told[i];
            var marks = i + 1 < told.Count ? told[i + 1].MarksBefore : run.Page.Marks.Count;
            var from = i > 0 ? told[i - 1].Number + 1 : 0;
            if (run.Steps.Skip(from).Take(step.Number + 1 - from).Any(s => ToldSteps.BeginsPart(s, task.Family))) columns.Add([]);
            var picture = PagePicture.Of(task, run, marks, classroom.School);
            columns[^1].Add(new ReplayFrame(ToldSteps.TextOf(step, classroom), i >= pointFrom ? picture.WithPoint() : picture, step.Cause != StepCause.AsTaught, TaughtFamily.Of(task.Family).ModelAt(task, [.. run.Page.Marks.Take(marks)], null)));
        }

        var answer = run.Page.Answer.Length > 0 ? $"The answer: {run.Page.Answer}.{(PagePicture.ZerosInFront(run).Count > 0 ? " A zero in front is not written." : "")}" : "No answer is written.";
        columns.Add([new ReplayFrame(answer.Replace('-', '−'), PagePicture.Of(task, run, school: classroom.School), false, TaughtFamily.Of(task.Family).ModelAt(task, run.Page.Marks, run.Page.Answer.ToString()))]);
        return columns;
    }

    /// <summary>
    /// The frames of a run in lines: one for each line, and one for each part beside them, with what was done to come to it; the item as it was set comes
    /// first, the answer last.
    /// </summary>
    private static List<List<ReplayFrame>> InLines(ItemTask task, MethodRun run, Classroom classroom)
    {
        var columns = new List<List<ReplayFrame>> { new() { new("The item as it was set.", PagePicture.Blank(task, classroom.School), false, TaughtFamily.Of(task.Family).ModelAt(task, [], null)) } };
        var told = ToldSteps.InOrder(run.Steps, task.Family, classroom.School);
        var marks = run.Page.Marks;
        var taken = 0;
        for (var i = 0; i < marks.Count; i++)
        {
            var isLine = marks[i].Field == WorkFields.Lines;
            if (!isLine && i + 1 < marks.Count && marks[i + 1].Field == marks[i].Field) continue;
            var steps = told.Skip(taken).TakeWhile(s => s.MarksBefore <= i).ToList();
            taken += steps.Count;
            var written = marks.Take(i + 1).Reverse().TakeWhile(m => m.Field == marks[i].Field).Take(isLine ? 1 : int.MaxValue).Reverse().Select(m => m.Field.Say(m.At, Signs.Printed(m.Text)));
            columns.Add([Frame(steps, marks[i].Field == WorkFields.Box ? "Fills the box." : $"Writes {string.Join(", ", written)}.", i + 1)]);
        }

        var answer = run.Page.Answer.Length > 0 ? $"The answer: {Signs.Printed(run.Page.Answer.ToString())}." : "No answer is written.";
        columns.Add([Frame([.. told.Skip(taken)], answer, null)]);
        return columns;

        ReplayFrame Frame(IReadOnlyList<Step> steps, string writes, int? count) => new(
            string.Join(' ', steps.Select(s => ToldSteps.TextOf(s, classroom).TrimEnd('.') + ".").Append(writes)), PagePicture.Of(task, run, count, classroom.School), steps.Any(s => s.Cause != StepCause.AsTaught),
            TaughtFamily.Of(task.Family).ModelAt(task, [.. marks.Take(count ?? marks.Count)], count is null ? run.Page.Answer.ToString() : null));
    }
}
