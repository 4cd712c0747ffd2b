using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Teaching.Examples;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Teaching;

/// <summary>Makes the plan for an explanation that the specialist accepts. The same input gives the same plan.</summary>
public static class PlanMaker
{
    private const int Share = 200;

    private static readonly string[] Cautions =
    [
        "This explanation is a hypothesis from written work. It is no diagnosis and decides no placement, label or grade.",
        "Rule out first: digits out of line, reversed or crowded can come from sight, motor control or paper; keep the student’s accommodations.",
        "Describe the procedure, never the child. Stop when the student is distressed; nothing here is timed.",
    ];

    private static readonly string[] Afterwards =
    [
        "3 of 3 alone right, and the exit question without the old rule: the mixed practice on another day, then a check.",
        "2 of 3 right: “once more” together, and the exit question again.",
        "Fewer: back to the material with one thing smaller, and no new item today.",
        "The old rule twice after a right answer: stop. Another model next time, not more of the same.",
    ];

    /// <summary>Whether the explanation can be planned for: whether it has rules, each of them points to an idea, and none of them is to be asked about first.</summary>
    public static bool CanPlan(Hypothesis hypothesis) =>
        hypothesis.RuleCount > 0 && !PageNotes.HasTurnedDigits(hypothesis)
            && hypothesis.Bugs.All(b => TeachingScripts.Families.Contains(b.Family))
            && hypothesis.Unlisted.All(
                u => u.Deviation.Decision is { Idea: not null } decision && FamilyOf(decision) is { } family && TeachingScripts.Families.Contains(family));

    /// <summary>Makes a plan.</summary>
    /// <param name="student">The student's code.</param>
    /// <param name="hypothesis">The accepted explanation.</param>
    /// <param name="wrongFacts">Number facts that the student does not have; no item of the plan needs them.</param>
    /// <param name="classroom">How the classroom speaks and works.</param>
    /// <param name="size">How hard items are that the student meets; null for numbers of three digits.</param>
    /// <param name="seed">The seed of the items.</param>
    /// <param name="ownName">The specialist's own name for a rule, by its id; null, or null as an answer, for the catalogue's.</param>
    /// <param name="rivals">Names of rules that the page did not tell apart from these.</param>
    /// <exception cref="ArgumentException"><see cref="CanPlan"/> is false.</exception>
    /// <exception cref="TooFewItemsException">No session can be made of the items on which the rules show.</exception>
    public static RemediationPlan Make(
        string student, Hypothesis hypothesis, IReadOnlyCollection<NumberFact> wrongFacts, Classroom classroom, StudentSize? size = null, int seed = 7,
        Func<string, string?>? ownName = null, IReadOnlyList<string>? rivals = null)
    {
        if (!CanPlan(hypothesis)) throw new ArgumentException("only explanations whose rules point to an idea can be planned for", nameof(hypothesis));
        var rules = InOrder([.. Rules(hypothesis, ownName, size).SelectMany(r => ByIdea(r, size))]);
        var found = rules.Select(r => (Rule: r, Items: PlanItems.For(r.Family, r.SchoolIn(classroom.School), r.Deviations, r.OrElse, r.Taught, r.Idea, wrongFacts, size ?? StudentSize.UpTo(3), seed)))
            .FirstOrDefault(r => r.Items.AreEnough);
        if (found.Rule is not { } first) throw new TooFewItemsException();
        rules = [first, .. rules.Where(r => r != first)];
        var (script, school, items) = (TeachingScripts.For(first.Idea, first.Family), first.SchoolIn(classroom.School), found.Items);
        var (works, fails) = items.TakeContrast();
        var example = items.TakeExample(0.1);

        var taught = new MethodRun { Recording = true };
        Method.Run(example.Task, taught, new DeviationSet(school, []));
        var worked = WorkedExamples.Of(example.Task, school);
        if (first.Idea == Ideas.ReadTheSign && WorkedExamples.SaysWhatIsAsked(example.Task) is { } asked) worked = [new("", asked, [.. first.Deviations.Select(d => d.Decision!)]), .. worked ?? []];
        var told = ToldSteps.InOrder(taught.Steps, first.Family, school);
        return new RemediationPlan
        {
            Student = student,
            Word = classroom.Word,
            School = school.Key,
            Family = first.Family,
            OldRule = (first.OwnName is null ? first.Text : $"“{first.OwnName}”: {first.Text}").In(classroom),
            Reason = first.Reason.In(classroom),
            Idea = first.Idea with { Name = first.Idea.Name.In(classroom), Statement = first.Idea.Statement.In(classroom) },
            WhyFirst = WhyFirst(rules, rivals ?? []).In(classroom),
            Rivals = [.. (rivals ?? []).Select(r => r.In(classroom))],
            Waiting = [.. rules.Skip(1).Select(r => new WaitingRule(r.Name.In(classroom), r.Idea.Name.In(classroom)))],
            Script = new Lesson(
                script.Aim.In(classroom), script.First.In(classroom), script.Why.In(classroom), script.Material.In(classroom), script.Say.In(classroom),
                script.StopAt.In(classroom)),
            First = script.FirstQuestions(new Random(seed), Shown(first, size), wrongFacts),
            Gate = Gate(first.Idea).In(classroom),
            Works = works,
            Fails = fails,
            Differs = Differs(first, school, fails).In(classroom),
            Example = example,
            ExampleSteps = worked is null ? [.. told.Select(s => ToldSteps.TextOf(s, classroom))] : [.. worked.Select(l => l.Words.In(classroom))],
            ExampleLines = worked?.Any(l => l.Line.Length > 0) == true ? [.. worked.Select(l => l.Line)] : [],
            DecidingStep = worked?.Index().FirstOrDefault(l => l.Item.Teaches == first.Idea) is { Item: not null } teaching
                ? teaching.Index
                : Deciding(
                    first, school, example.Task, taught,
                    worked is null ? [.. told.Select(s => new[] { s.Decision! })] : [.. worked.Select(l => l.Words.StartsWith("Check", StringComparison.Ordinal) ? [] : l.About)]),
            ExampleWork = Work.Of(TaughtFamily.Of(example.Task.Family).Shown(example.Task, taught.Page.Marks), [.. TaughtFamily.Of(example.Task.Family).Fields]),
            Together = items.TakeShowing(2, 0.1, 0.5),
            Afterwards = Afterwards,
            Alone = items.TakeShowing(3, 0.2, 0.7),
            Exit = items.TakeShowing(1, 0.6, 0.6)[0],
            Guard = items.TakeGuard(),
            Facts = [.. wrongFacts.Select(FactPlan.Say)],
            PracticeFirst = items.TakeMixed(5, 1),
            PracticeMixed = items.TakeMixed(3, 3),
            OnceMore = items.TakeShowing(1, 0.2, 0.2) is [var more, ..] ? more : null,
            Check = TaughtFamily.Of(first.Family).Check!,
            Cautions = Cautions,
        };
    }

    /// <summary>The same plan as another classroom says it: its items stay, and so do sentences that were changed by hand.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="hypothesis">The rules that it was made for.</param>
    /// <param name="wrongFacts">Number facts that the student does not have.</param>
    /// <param name="classroom">How the classroom speaks and works now.</param>
    /// <param name="size">How hard items are that the student meets.</param>
    /// <param name="seed">The seed of the items.</param>
    /// <param name="ownName">The specialist's own name for a rule, by its id.</param>
    public static RemediationPlan Rewrite(
        RemediationPlan plan, Hypothesis hypothesis, IReadOnlyCollection<NumberFact> wrongFacts, Classroom classroom, StudentSize size, int seed,
        Func<string, string?>? ownName = null)
    {
        var made = Make(plan.Student, hypothesis, wrongFacts, classroom, size, seed, ownName, plan.Rivals);
        var rewritten = plan with
        {
            Word = made.Word,
            School = made.School,
            OldRule = made.OldRule,
            Reason = made.Reason,
            Idea = made.Idea,
            WhyFirst = made.WhyFirst,
            Waiting = made.Waiting,
            Gate = made.Gate,
            Script = made.Script,
            Differs = made.Differs,
            ExampleSteps = made.Example == plan.Example ? made.ExampleSteps : plan.ExampleSteps,
            ExampleLines = made.Example == plan.Example ? made.ExampleLines : plan.ExampleLines,
            DecidingStep = made.Example == plan.Example ? made.DecidingStep : plan.DecidingStep,
            Check = made.Check,
            Reworded = new Dictionary<string, string>(),
        };
        return plan.Reworded.Keys.Aggregate(rewritten, (changed, key) => changed.Reword(key, PlanSentences.Of(plan).First(s => s.Key == key).Text));
    }

    /// <summary>Puts another item with the same claim into the place of one; null where there is none, or the plan does not have it.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="written">The item, as it is written.</param>
    /// <param name="hypothesis">The rules that the plan was made for.</param>
    /// <param name="wrongFacts">Number facts that the student does not have.</param>
    /// <param name="size">How hard items are that the student meets.</param>
    /// <param name="seed">The seed by which items of like kind are chosen.</param>
    public static RemediationPlan? Swap(
        RemediationPlan plan, string written, Hypothesis hypothesis, IReadOnlyCollection<NumberFact> wrongFacts, StudentSize size, int seed)
    {
        if (plan.Changeable().FirstOrDefault(i => i.Written == written) is not { } old) return null;
        var used = plan.Changeable()
            .Concat(new[] { plan.Works, plan.Fails, plan.Example }.OfType<PlanItem>()).Select(i => i.Written).Append(written).ToHashSet();
        var other = ItemsOf(plan, hypothesis, wrongFacts, size, seed)?.Instead(old, used);
        return other is null ? null : plan.With(old, other);
    }

    /// <summary>The items from which a plan chooses, sorted anew; null where its rules are not known to this version.</summary>
    internal static PlanItems? ItemsOf(RemediationPlan plan, Hypothesis hypothesis, IReadOnlyCollection<NumberFact> wrongFacts, StudentSize size, int seed) =>
        CanPlan(hypothesis) && Rules(hypothesis, null, size).SelectMany(r => ByIdea(r, size)).FirstOrDefault(r => r.Idea.Id == plan.Idea.Id) is { } rule
            ? PlanItems.For(rule.Family, rule.SchoolIn(School.Parse(plan.School)), rule.Deviations, rule.OrElse, rule.Taught, rule.Idea, wrongFacts, size, seed)
            : null;

    /// <summary>What comes first: a rule whose idea another one needs; of those that do not need each other, the one that makes more items wrong.</summary>
    private static List<Rule> InOrder(List<Rule> rules)
    {
        var ordered = new List<Rule>();
        while (rules.Count > 0)
        {
            var first = rules.Where(r => !rules.Exists(o => IdeaMap.ComesBefore(o.Idea, r.Idea)))
                .OrderByDescending(r => WrongIn(r)).ThenBy(r => IdeaMap.OrderOf(r.Idea)).ThenBy(r => r.Name, StringComparer.Ordinal).First();
            rules.Remove(first);
            ordered.Add(first);
        }

        return ordered;
    }

    private static IEnumerable<Rule> Rules(Hypothesis hypothesis, Func<string, string?>? ownName, StudentSize? size)
    {
        foreach (var bug in hypothesis.Bugs)
            yield return new Rule(PractisedIn(bug.Family, size), bug.Name, ownName?.Invoke(bug.Id), bug.Text, bug.Reason, bug.Idea, bug.Deviations, bug);
        foreach (var unlisted in hypothesis.Unlisted)
        {
            var family = FamilyOf(unlisted.Deviation.Decision!, size)!;
            yield return new Rule(
                family, "A rule that is not in the catalogue", ownName?.Invoke($"unlisted:{unlisted.Id}"), unlisted.Text
                    + ".", "The rule was found by search, so the reason is best asked: “Tell me how you did this one.”",
                unlisted.Deviation.Decision!.Idea!, [unlisted.Deviation]);
        }
    }

    // A rule of columns that shows in the columns of decimals is practised where it shows; one that shows inside a longer way, by itself.
    private static Family PractisedIn(Family family, StudentSize? size) =>
        size?.Knows(family) == false && FamilyList.All.FirstOrDefault(f => size.Knows(f) && f.Parts.Any(p => p.IsAll && p.Family == family.Name)) is { } around ? around : family;

    // One idea, one plan: a rule behind which two are missing is taught by each of them that shows on the page, or on ordinary items.
    private static List<Rule> ByIdea(Rule rule, StudentSize? size)
    {
        var ideas = rule.Deviations.Where(d => d.Decision is not null).SelectMany(d => d.Decision!.ByIdea(d)).Select(p => p.Idea).Distinct().ToList();
        if (!ideas.Contains(rule.Idea)) return [rule];
        var parts = ideas.ConvertAll(idea => rule with
        {
            Idea = idea,
            Part = [.. rule.Deviations.Select(d => d.Decision?.ByIdea(d).FirstOrDefault(p => p.Idea == idea).Part ?? d)],
        });
        var page = size?.Page(rule.Family).ToList() ?? [];
        return parts.FindAll(p => WrongIn(p, page) > 0) is { Count: > 0 } shown ? shown : parts.FindAll(p => WrongIn(p) > 0) is { Count: > 0 } ordinary ? ordinary : [rule];
    }

    // What to do before it is taught: the idea that comes just before it, where there is one.
    private static string Gate(MissingIdea idea)
    {
        var before = IdeaMap.Needs(idea).OrderByDescending(IdeaMap.OrderOf).FirstOrDefault();
        return before is null
            ? "3 of 3 right: begin. With fewer, do these with the material first, and begin another day."
            : $"3 of 3 right: begin. With 2, ask the missed one once more with the material. With fewer, begin with “{before.Name}” instead: {before.Statement}";
    }

    /// <summary>The family whose method a decision point belongs to; of points that several have, one that is on the page, or the first.</summary>
    private static TaughtFamily? FamilyOf(Decision point, StudentSize? size = null) =>
        FamilyList.All.FirstOrDefault(f => size?.Knows(f) == true && f.Decisions.Contains(point))
            ?? FamilyList.All.FirstOrDefault(f => point.Id.StartsWith(f.Name + ".", StringComparison.Ordinal))
            ?? FamilyList.All.FirstOrDefault(f => f.Decisions.Contains(point));

    /// <summary>
    /// The line in which the old rule goes another way first: where a decision comes up again and again, that of the time at which it does; where no line is about it,
    /// that of the next decision which one is about.
    /// </summary>
    private static int? Deciding(Rule rule, School school, ItemTask task, MethodRun taught, IReadOnlyList<Decision[]> about)
    {
        var run = new MethodRun { Recording = true };
        Method.Run(task, run, new DeviationSet(school, [rule.Deviations]));
        List<Decision?> followed = [.. run.Steps.Select(s => s.Decision)], right = [.. taught.Steps.Select(s => s.Decision)];
        var at = Math.Max(0, run.Steps.ToList().FindIndex(s => s.Cause == StepCause.Bug));
        var (decision, before) = (followed[at], followed.Take(at).Count(d => d == followed[at]));
        if (!about.Any(l => l.Contains(decision)))
        {
            // Up to here both runs are the same.
            var next = right.FindIndex(Math.Min(at, right.Count), d => about.Any(l => l.Contains(d)));
            if (next < 0) next = right.FindLastIndex(d => about.Any(l => l.Contains(d)));
            if (next < 0) return null;
            (decision, before) = (right[next], right.Take(next).Count(d => d == right[next]));
        }

        List<int> lines = [.. about.Index().Where(l => l.Item.Contains(decision)).Select(l => l.Index)];
        var all = Math.Max(1, right.Count(d => d == decision));
        return lines[Math.Min(lines.Count == all ? before : (int)((before + 0.5) * lines.Count / all), lines.Count - 1)];
    }

    /// <summary>The question at which the old rule goes another way, with the taught answer.</summary>
    private static string Differs(Rule rule, School school, PlanItem fails)
    {
        var run = new MethodRun { Recording = true };
        Method.Run(fails.Task, run, new DeviationSet(school, [rule.Deviations]));
        return run.Steps.FirstOrDefault(s => s.Cause == StepCause.Bug) is { } step
            ? $"It is decided by one question: {step.Decision!.Question} Here: {step.TaughtText}"
            : "";
    }

    private static string WhyFirst(List<Rule> rules, IReadOnlyList<string> rivals)
    {
        var wrong = $"{WrongIn(rules[0])} of {Share} ordinary items come out wrong by it";
        if (rules.Count > 1)
        {
            var others = string.Join(", ", rules.Skip(1).Select(r => r.Name == rules[0].Name ? $"{WrongIn(r)} where “{r.Idea.Name}” is missing" : $"{WrongIn(r)} by “{r.Name}”"));
            if (rules.TrueForAll(r => r.Name == rules[0].Name))
                return $"One rule, and two ideas behind it, each with a plan of its own. “{rules[0].Idea.Name}” comes first: {wrong}, {others}.";
            return IdeaMap.ComesBefore(rules[0].Idea, rules[1].Idea)
                ? $"“{rules[0].Idea.Name}” is needed for “{rules[1].Idea.Name}”; {wrong}, {others}."
                : $"Neither idea is needed for the other, and this rule does more damage: {wrong}, {others}.";
        }

        return rivals.Count == 0
            ? $"It is the only rule found; {wrong}."
            : $"It is the likeliest rule; the page does not tell it apart from {string.Join(" or ", rivals.Select(r => $"“{r}”"))}. Ask the items that do "
                + $"before teaching. {char.ToUpperInvariant(wrong[0])}{wrong[1..]}.";
    }

    private static IEnumerable<ItemTask> Shown(Rule rule, StudentSize? size) => (size?.Page(rule.Family) ?? []).Where(task => WrongIn(rule, [task]) > 0);

    private static int WrongIn(Rule rule) => WrongIn(rule, ItemPool.Of(rule.Family, Share, seed: 2));

    private static int WrongIn(Rule rule, IReadOnlyList<ItemTask> tasks)
    {
        var run = new MethodRun();
        var set = new DeviationSet(rule.SchoolIn(Pages.School.Usual), [rule.Taught]);
        return tasks.Count(task =>
        {
            Method.Run(task, run, set);
            return !run.Page.Answer.SequenceEqual(task.RightAnswer);
        });
    }

    private sealed record Rule(
        Family Family, string CatalogueName, string? OwnName, string Text, string Reason, MissingIdea Idea, IReadOnlyList<Deviation> Deviations, Bug? Bug = null)
    {
        public string Name => OwnName ?? CatalogueName;

        /// <summary>What of it belongs to another idea is left out; null where all of it belongs to one.</summary>
        public IReadOnlyList<Deviation>? Part { get; init; }

        /// <summary>What is taught against: the part that belongs to the idea.</summary>
        public IReadOnlyList<Deviation> Taught => Part ?? Deviations;

        /// <summary>What may be done another time instead, where it leaves open what comes of it.</summary>
        public IReadOnlyList<Deviation> OrElse => Bug?.OrElse ?? [];

        /// <summary>What the classroom teaches; where the rule cannot show in it, what is taught where it can.</summary>
        public School SchoolIn(School classroom) => Bug is { School: { } own } && !Bug.CanShowIn(classroom) ? Pages.School.All.Aggregate(classroom, (all, q) => own.AnswerTo(q) > 0 ? all.With(q, own.AnswerTo(q)) : all) : classroom;
    }
}

/// <summary>A rule shows on so few items that no session can be made of them.</summary>
public sealed class TooFewItemsException() : Exception("this rule shows on too few items to plan a session: talk it through on the items of the page");
