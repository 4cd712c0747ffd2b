using System.Text;
using YellowPencil.Core.Families;
using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Teaching;

/// <summary>Which students may be taught together: those who miss the same idea in the same family and were taught the same method for it.</summary>
public static class SittingTogether
{
    /// <summary>What must be the same for two plans to be taught together.</summary>
    /// <param name="plan">A plan.</param>
    /// <returns>The family, the idea, and the answers of its school that make a difference to its script or on its items; never anything about scores.</returns>
    public static string KeyOf(RemediationPlan plan)
    {
        var school = School.Parse(plan.School);
        var script = TeachingScripts.For(IdeaMap.All.First(i => i.Id == plan.Idea.Id), plan.Family);
        var tasks = new[] { plan.Example, plan.Exit }.Concat(plan.Together).Select(i => i.Task).ToList();
        string Taught(School taught) => Said(script, new Classroom(plan.Word, taught)) + Written(tasks, taught);
        var usual = Taught(school);
        var telling = School.All.Where(q => Enumerable.Range(0, q.Values.Count).Any(answer => answer != school.AnswerTo(q) && Taught(school.With(q, answer)) != usual))
            .Select(q => $"{q.Name}={q.Values[school.AnswerTo(q)]}");
        return string.Join('|', telling.Prepend(plan.Idea.Id).Prepend(plan.Family.Name));
    }

    private static string Said(TeachingScript script, Classroom classroom) => string.Concat(new[] { script.Material, script.Say, script.StopAt, script.Why }.Select(s => s.In(classroom)));

    // What the taught method says and leaves on the page.
    private static string Written(List<ItemTask> tasks, School school)
    {
        var run = new MethodRun { Recording = true };
        var text = new StringBuilder();
        foreach (var task in tasks)
        {
            Method.Run(task, run, new DeviationSet(school, []));
            text.Append(run.Page.Answer).Append('|').AppendJoin(';', run.Steps.Select(s => s.TaughtText)).Append('|').AppendJoin(';', run.Page.Marks).Append('\n');
        }

        return text.ToString();
    }
}
