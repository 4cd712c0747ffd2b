namespace YellowPencil.Core.Families;

/// <summary>What one school takes to work an item, so that schools can be laid side by side.</summary>
/// <param name="School">The school, as the worked-sheet format names it.</param>
/// <param name="Answer">What comes out.</param>
/// <param name="Trials">How many numbers or brackets are tried until some fit.</param>
/// <param name="Steps">How many decisions and number facts there are.</param>
/// <param name="Lines">How many lines are written.</param>
public sealed record SchoolEffort(string School, string Answer, int Trials, int Steps, int Lines)
{
    /// <summary>The questions on which a classroom's working of an item depends: by at least two of the answers something else stands on the page.</summary>
    /// <param name="task">The item.</param>
    public static IEnumerable<SchoolQuestion> Questions(ItemTask task)
    {
        var run = new MethodRun { Recording = true };
        return Pages.School.All.Where(question => question.Values.Select((_, answer) =>
        {
            Method.Run(task, run, new DeviationSet(Pages.School.Usual.With(question, answer), []));
            return string.Join('\n', run.Page.Marks.Select(m => $"{m.Field} {m.At} {m.Text}"));
        }).Distinct().Count() > 1);
    }

    /// <summary>The effort of each answer to a question on schools.</summary>
    /// <param name="task">The item.</param>
    /// <param name="question">The question.</param>
    public static IReadOnlyList<SchoolEffort> Of(ItemTask task, SchoolQuestion question)
    {
        var run = new MethodRun { Recording = true };
        return
        [
            .. question.Values.Select((name, answer) =>
            {
                Method.Run(task, run, new DeviationSet(Pages.School.Usual.With(question, answer), []));
                return new SchoolEffort(name, run.Page.Answer.ToString(), run.Trials, run.StepCount, run.Page.Marks.Count(m => m.Field == WorkFields.Lines));
            }),
        ];
    }
}
