using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Teaching;

/// <summary>An item with its right answer and the one that the old rule would give.</summary>
/// <param name="Task">The task.</param>
/// <param name="OldAnswer">
/// The answer of the old rule; the right one where the rule happens to work; all of them, with "or" between, where the rule leaves open what comes of it.
/// </param>
public sealed record PlanItem(ItemTask Task, string OldAnswer)
{
    private const string Or = " or ";

    /// <summary>
    /// Of an item on which the old rule is right, the answer of a new habit; null where it was not looked for, or none goes wrong.
    /// </summary>
    public string? NewHabit { get; init; }

    /// <summary>The item of what may come of the old rule; the right answer is left out where something else may.</summary>
    public static PlanItem Of(ItemTask task, IEnumerable<string> oldAnswers)
    {
        var all = oldAnswers.Distinct().ToList();
        return new(task, all.FindAll(a => a != task.RightAnswer) is { Count: > 0 } wrong ? string.Join(Or, wrong) : all[0]);
    }

    /// <summary>The answers of the old rule, one by one.</summary>
    public IReadOnlyList<string> OldAnswers => OldAnswer.Split(Or);

    /// <summary>Whether an answer is one that the old rule gives.</summary>
    public bool IsOld(string answer) => OldAnswers.Any(old => Task.Canonical(old) == Task.Canonical(answer));

    /// <summary>The right answer.</summary>
    public string Right => Task.RightAnswer;

    /// <summary>The task as it is printed, with the form that is asked for.</summary>
    public string Written => Signs.Printed(ItemList.Written(Task));

    /// <summary>The right answer as it is printed.</summary>
    public string RightWritten => Signs.Printed(Right);

    /// <summary>What the old rule gives, as it is printed.</summary>
    public string OldWritten => OldAnswer.Length == 0 ? "a blank"
        : OldAnswers is [var first, var second, _, _, ..] ? Signs.Printed($"{first}, {second} or another like it")
        : Signs.Printed(OldAnswer);

    /// <summary>What an item that guards against a new habit is for, in a clause.</summary>
    public string GuardsAgainst => NewHabit is null ? "here the old way is right, and nothing changes" : $"here the old way is right, and a new habit would give {Signs.Printed(NewHabit)}";

    /// <summary>Whether the old rule gives a wrong answer here.</summary>
    public bool Shows => OldAnswers.Any(old => Task.Judge(old) != Verdict.Right);
}

/// <summary>How one missing idea is taught, in the classroom's word.</summary>
/// <param name="Aim">The aim, as the student can say it.</param>
/// <param name="First">What must come first, in a phrase.</param>
/// <param name="Why">Why the taught way works.</param>
/// <param name="Material">The material and what is done with it.</param>
/// <param name="Say">What the specialist says while doing an item together.</param>
/// <param name="StopAt">The question to stop at before an answer is shown.</param>
public sealed record Lesson(string Aim, string First, string Why, string Material, string Say, string StopAt);

/// <summary>A rule that waits until the first one is mended.</summary>
public sealed record WaitingRule(string Name, string Idea);

/// <summary>A plan for one missing idea of one student. All sentences are in the classroom's word.</summary>
public sealed record RemediationPlan
{
    /// <summary>The student's code.</summary>
    public required string Student { get; init; }

    /// <summary>The classroom's word.</summary>
    public required ClassroomWord Word { get; init; }

    /// <summary>What the classroom teaches where schools differ, as <see cref="Pages.School.Key"/> spells it.</summary>
    public string School { get; init; } = "";

    /// <summary>The old rule, in a sentence.</summary>
    public required string OldRule { get; init; }

    /// <summary>Why a student would follow it.</summary>
    public required string Reason { get; init; }

    /// <summary>The family that is practised.</summary>
    public Family Family { get; init; } = FamilyList.Subtraction;

    /// <summary>The idea that is missing.</summary>
    public required MissingIdea Idea { get; init; }

    /// <summary>Why this rule comes first, with its numbers.</summary>
    public required string WhyFirst { get; init; }

    /// <summary>Rules that the page did not tell apart from this one, by their names.</summary>
    public IReadOnlyList<string> Rivals { get; init; } = [];

    /// <summary>Other rules that were found and wait.</summary>
    public required IReadOnlyList<WaitingRule> Waiting { get; init; }

    /// <summary>How the idea is taught.</summary>
    public required Lesson Script { get; init; }

    /// <summary>Quick questions on what must come first.</summary>
    public required IReadOnlyList<CheckQuestion> First { get; init; }

    /// <summary>With how many of them right the session goes on, and where to go if it is fewer; empty in plans of before it was said.</summary>
    public string Gate { get; init; } = "";

    /// <summary>An item where the old rule happens to work; null where it never does.</summary>
    public required PlanItem? Works { get; init; }

    /// <summary>An item like it where the old rule does not work.</summary>
    public required PlanItem Fails { get; init; }

    /// <summary>What is said where the old rule works beside no item.</summary>
    public string WithoutContrast() => Guard is { Shows: false }
        ? "No item that differs from this one in one thing comes out right by the old rule."
        : "There is no item like this on which the old rule is right.";

    /// <summary>In which question the two items of the contrast differ, with the taught answer to it; empty in plans of before it was said.</summary>
    public string Differs { get; init; } = "";

    /// <summary>The worked example.</summary>
    public required PlanItem Example { get; init; }

    /// <summary>Its steps, each in a sentence.</summary>
    public required IReadOnlyList<string> ExampleSteps { get; init; }

    /// <summary>The line that each step writes, as it is typed; empty where a step writes none, and no lines where the example stands in columns.</summary>
    public IReadOnlyList<string> ExampleLines { get; init; } = [];

    /// <summary>The step in which the old rule goes another way, counted from 0; null where it is not known.</summary>
    public int? DecidingStep { get; init; }

    /// <summary>The marks that stand on it when it is done.</summary>
    public required Work ExampleWork { get; init; }

    /// <summary>Two items done together.</summary>
    public required IReadOnlyList<PlanItem> Together { get; init; }

    /// <summary>One more, for once more together; null in plans of before there was one.</summary>
    public PlanItem? OnceMore { get; init; }

    /// <summary>What comes next, by what happened in the session.</summary>
    public IReadOnlyList<string> Afterwards { get; init; } = [];

    /// <summary>Three items done alone.</summary>
    public required IReadOnlyList<PlanItem> Alone { get; init; }

    /// <summary>The question at the end, which the old rule gets wrong.</summary>
    public required PlanItem Exit { get; init; }

    /// <summary>One more at the end, on which the old rule is right and, where there is such an item, a new habit is not; null where the old rule shows everywhere.</summary>
    public PlanItem? Guard { get; init; }

    /// <summary>Number facts that came out wrong beside the rule, as they are: they are learnt by themselves, two minutes a session.</summary>
    public IReadOnlyList<string> Facts { get; init; } = [];

    /// <summary>Practice, first phase: mostly items on which the old rule shows.</summary>
    public required IReadOnlyList<PlanItem> PracticeFirst { get; init; }

    /// <summary>Practice, second phase: mixed with items that look alike and need the other choice.</summary>
    public required IReadOnlyList<PlanItem> PracticeMixed { get; init; }

    /// <summary>Items that were put in by the specialist's wish in the place of others, as they are written.</summary>
    public IReadOnlyList<string> Changed { get; init; } = [];

    /// <summary>Sentences that the specialist said in another way: what they were before, by their keys.</summary>
    public IReadOnlyDictionary<string, string> Reworded { get; init; } = new Dictionary<string, string>();

    /// <summary>Every item that can be changed for another one.</summary>
    public IEnumerable<PlanItem> Changeable() => [.. Together, .. OnceMore is null ? [] : new[] { OnceMore }, .. Alone, Exit, .. Guard is null ? [] : new[] { Guard }, .. PracticeFirst, .. PracticeMixed];

    /// <summary>The plan with another item in the place of one.</summary>
    public RemediationPlan With(PlanItem old, PlanItem other)
    {
        IReadOnlyList<PlanItem> Put(IReadOnlyList<PlanItem> items) => [.. items.Select(i => i == old ? other : i)];
        return this with
        {
            Together = Put(Together),
            OnceMore = OnceMore == old ? other : OnceMore,
            Alone = Put(Alone),
            Exit = Exit == old ? other : Exit,
            Guard = Guard == old ? other : Guard,
            PracticeFirst = Put(PracticeFirst),
            PracticeMixed = Put(PracticeMixed),
            Changed = [.. Changed.Where(c => c != old.Written), other.Written],
        };
    }

    /// <summary>How an answer is checked.</summary>
    public required string Check { get; init; }

    /// <summary>What the plan must not be taken for, and what to rule out first.</summary>
    public required IReadOnlyList<string> Cautions { get; init; }
}
