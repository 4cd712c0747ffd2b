using YellowPencil.Core.Families;

namespace YellowPencil.Core.Teaching;

/// <summary>
/// Habits that may come instead of an old rule: the taught choice of the step that the old rule gets wrong, or of one that leads to it, made every time; or a listed rule
/// about the same decision that is right on the items on which the old rule shows.
/// </summary>
internal sealed class NewHabits
{
    /// <summary>So many steps may lead to the one that is taught.</summary>
    private const int StepsBefore = 3;

    /// <summary>On so many items on which the old rule shows a listed rule has to come out right.</summary>
    private const int Tried = 60;

    private readonly MethodRun run = new();
    private readonly List<DeviationSet> habits;

    /// <summary>Finds the habits.</summary>
    /// <param name="showing">Items on which the old rule shows, those of the plan first.</param>
    /// <param name="school">What the classroom teaches.</param>
    /// <param name="points">The decisions at which the old rule goes another way.</param>
    public NewHabits(IReadOnlyList<ItemTask> showing, School school, IReadOnlySet<Decision> points)
    {
        habits = [];
        if (showing.Count == 0) return;
        var taught = new MethodRun { Recording = true };
        Method.Run(showing[0], taught, new DeviationSet(school, []));
        var leading = Leading(taught.Steps, points);
        var listed = Catalogue.Of(showing[0].Family).Where(bug => !bug.IsOpen && bug.Deviations.All(d => d.Decision is { } at && points.Contains(at)))
            .Select(bug => new DeviationSet(school, [bug.Deviations])).Where(rule => !showing.Take(Tried).Any(task => WrongAnswer(task, rule) is not null));
        habits = [.. leading.Select(s => s.Decision!.EveryTime(s.Taught)).OfType<Deviation>().Select(everyTime => new DeviationSet(school, [[everyTime]])), .. listed];
    }

    /// <summary>The wrong answer that a habit leads to, the habit nearest to what is taught first; null where none goes wrong.</summary>
    public string? AnswerOn(ItemTask task) => habits.Select(habit => WrongAnswer(task, habit)).FirstOrDefault(answer => answer is not null);

    // The step at which the old rule goes another way, and those that lead to it in the same part, backwards.
    private static List<Step> Leading(IEnumerable<Step> taught, IReadOnlySet<Decision> points)
    {
        var steps = taught.Where(s => s.Decision is not null).ToList();
        var leading = new List<Step>();
        for (var at = steps.FindIndex(s => points.Contains(s.Decision!)); at >= 0 && leading.Count <= StepsBefore; at--)
        {
            leading.Add(steps[at]);
            if (steps[at].Decision!.BeginsPart) break;
        }

        return leading;
    }

    private string? WrongAnswer(ItemTask task, DeviationSet habit)
    {
        Method.Run(task, run, habit);
        return run.Page.Answer.ToString() is { Length: > 0 } answer && task.Judge(answer) == Verdict.Wrong ? answer : null;
    }
}
