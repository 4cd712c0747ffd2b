using YellowPencil.Core.Bugs;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Remediation;

/// <summary>Makes the plan for an explanation that the specialist accepts. The same input gives the same plan.</summary>
public static class PlanMaker
{
    private const int PoolSize = 900;
    private const int Share = 200;
    private const int ShowingNeeded = 16;

    private const string Check = "Add the answer to the number that was taken away: the top number must come out.";

    private static readonly string[] Cautions =
    [
        "This explanation is a hypothesis from written work. It is no diagnosis and decides no placement, label or grade.",
        "Rule out first: digits out of line, reversed or crowded can come from sight, motor control or paper; keep the student’s accommodations.",
        "Describe the procedure, never the child. Stop when the student is distressed; nothing here is timed.",
    ];

    /// <summary>Whether the explanation can be planned for: so far only rules of column subtraction can.</summary>
    public static bool CanPlan(Hypothesis hypothesis) => hypothesis.RuleCount > 0
        && hypothesis.Bugs.All(b => b.Family == Family.Subtraction)
        && hypothesis.Unlisted.All(u => Procedures.Subtraction.SubtractionPoints.All.Contains(u.Deviation.Point));

    /// <summary>Makes a plan.</summary>
    /// <param name="student">The student's code.</param>
    /// <param name="hypothesis">The accepted explanation.</param>
    /// <param name="wrongFacts">Number facts that the student does not have; no item of the plan needs them.</param>
    /// <param name="word">The classroom's word.</param>
    /// <param name="mostDigits">The longest top number that the items may have, as on the student's pages; at least 2.</param>
    /// <param name="seed">The seed of the items.</param>
    /// <param name="ownName">The specialist's own name for a rule, by its id; null, or null as an answer, for the catalogue's.</param>
    /// <exception cref="ArgumentException"><see cref="CanPlan"/> is false.</exception>
    public static RemediationPlan Make(
        string student, Hypothesis hypothesis, IReadOnlyCollection<NumberFact> wrongFacts, ClassroomWord word, int mostDigits = 3, int seed = 7,
        Func<string, string?>? ownName = null)
    {
        if (!CanPlan(hypothesis)) throw new ArgumentException("only explanations with rules of column subtraction can be planned for", nameof(hypothesis));
        var rules = Rules(hypothesis, ownName).OrderBy(r => SubtractionScripts.For(r.Idea).Order).ThenBy(r => r.Name, StringComparer.Ordinal).ToList();
        var first = rules[0];
        var script = SubtractionScripts.For(first.Idea);
        var items = Items(first.Deviations, wrongFacts, mostDigits, seed);
        var fails = items.TakeShowing(1, 0.3, 0.3)[0];
        var example = items.TakeShowing(1, 0.4, 0.4)[0];

        var taught = new MethodRun { Recording = true };
        Method.Run(example.Task, taught, DeviationSet.Taught);
        return new RemediationPlan
        {
            Student = student,
            Word = word,
            OldRule = (first.OwnName is null ? first.Text : $"“{first.OwnName}”: {first.Text}").In(word),
            Reason = first.Reason.In(word),
            Idea = first.Idea with { Name = first.Idea.Name.In(word), Statement = first.Idea.Statement.In(word) },
            WhyFirst = WhyFirst(rules, first).In(word),
            Waiting = [.. rules.Skip(1).Select(r => new WaitingRule(r.Name.In(word), r.Idea.Name.In(word)))],
            Script = new Lesson(script.Aim.In(word), script.First.In(word), script.Why.In(word), script.Material.In(word), script.Say.In(word), script.StopAt.In(word)),
            First = [.. script.FirstQuestions(new Random(seed))],
            Works = items.TakeLike(fails),
            Fails = fails,
            Example = example,
            ExampleSteps = [.. taught.Steps.Where(s => Telling.IsToldAloud(s, Family.Subtraction)).Select(s => s.MadeText.In(word))],
            ExampleWork = Work.Of(taught.Page.Marks, [.. Method.Of(example.Task.Family).Fields]),
            Together = items.TakeShowing(2, 0.1, 0.5),
            Alone = items.TakeShowing(3, 0.2, 0.7),
            Exit = items.TakeShowing(1, 0.6, 0.6)[0],
            PracticeFirst = items.TakeMixed(5, 1),
            PracticeMixed = items.TakeMixed(3, 3),
            Check = Check,
            Cautions = Cautions,
        };
    }

    /// <summary>The size of the numbers on a sheet: the digits of its longest top number, 2 to 5.</summary>
    public static int DigitsOf(WorkedSheet sheet) =>
        Math.Clamp(sheet.Items.Select(i => i.Task).OfType<ColumnDifference>().Select(t => t.Top.Length).DefaultIfEmpty(3).Max(), 2, 5);

    /// <summary>Items of the student's size; longer ones where the rule shows on too few of those.</summary>
    private static PlanItems Items(IReadOnlyList<Deviation> rule, IReadOnlyCollection<NumberFact> wrongFacts, int mostDigits, int seed)
    {
        var pool = ItemPool.Of(Family.Subtraction, PoolSize, seed).Cast<ColumnDifference>().ToList();
        for (var digits = Math.Max(2, mostDigits); ; digits++)
        {
            var items = new PlanItems(rule, wrongFacts, pool.Where(t => t.Top.Length <= digits));
            if (items.Showing >= ShowingNeeded || digits >= 5) return items;
        }
    }

    private static IEnumerable<Rule> Rules(Hypothesis hypothesis, Func<string, string?>? ownName)
    {
        foreach (var bug in hypothesis.Bugs) yield return new Rule(bug.Name, ownName?.Invoke(bug.Id), bug.Text, bug.Reason, bug.Idea, bug.Deviations);
        foreach (var unlisted in hypothesis.Unlisted)
            yield return new Rule("A rule that is not in the catalogue", ownName?.Invoke($"unlisted:{unlisted.Id}"), unlisted.Text + ".", "The rule was found by search, so the reason is best asked: “Tell me how you did this one.”", SubtractionScripts.IdeaOf(unlisted.Deviation.Point!), [unlisted.Deviation]);
    }

    private static string WhyFirst(List<Rule> rules, Rule first)
    {
        var wrong = $"{WrongIn(first)} of {Share} ordinary items come out wrong by it";
        return rules.Count == 1
            ? $"It is the only rule found; {wrong}."
            : $"“{first.Idea.Name}” comes earlier in the order of learning than “{rules[1].Idea.Name}”; {wrong}, {string.Join(", ", rules.Skip(1).Select(r => $"{WrongIn(r)} by “{r.Name}”"))}.";
    }

    private static int WrongIn(Rule rule)
    {
        var run = new MethodRun();
        var set = new DeviationSet([rule.Deviations]);
        return ItemPool.Of(Family.Subtraction, Share, seed: 2).Count(task =>
        {
            Method.Run(task, run, set);
            return !run.Page.Answer.SequenceEqual(task.RightAnswer);
        });
    }

    private sealed record Rule(string CatalogueName, string? OwnName, string Text, string Reason, MissingIdea Idea, IReadOnlyList<Deviation> Deviations)
    {
        public string Name => OwnName ?? CatalogueName;
    }
}
