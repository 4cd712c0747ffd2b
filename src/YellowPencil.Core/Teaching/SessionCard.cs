using YellowPencil.Core.Families;
using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Teaching.Examples;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Teaching;

/// <summary>The parts of a session, in their order.</summary>
public enum SessionPart
{
    /// <summary>What must come first is asked.</summary>
    First,

    /// <summary>Two items that differ in one thing.</summary>
    Contrast,

    /// <summary>The worked example.</summary>
    Example,

    /// <summary>Items done together.</summary>
    Together,

    /// <summary>Items done alone.</summary>
    Alone,

    /// <summary>The question at the end.</summary>
    Exit,
}

/// <summary>One thing that the student answers in a session.</summary>
/// <param name="Part">Where it comes.</param>
/// <param name="Name">How it is named on the card.</param>
/// <param name="Written">What is asked.</param>
/// <param name="Right">The right answer.</param>
/// <param name="Old">What the old rule gives; empty where it gives the right answer, or has nothing to say.</param>
/// <param name="NewHabit">Of one that guards against a new habit, what that habit gives; empty where none is known.</param>
/// <param name="IsSpare">Whether it is only asked where it is needed.</param>
public sealed record SessionItem(SessionPart Part, string Name, string Written, string Right, string Old, string NewHabit = "", bool IsSpare = false);

/// <summary>A plan as it is held in the hand while it is taught: parts with their minutes, what is answered, what to do when it goes wrong, what to bring.</summary>
public sealed class SessionCard(RemediationPlan plan)
{
    private const int MostOfExample = 700;

    /// <summary>The old rule's answer has come.</summary>
    public const string IfOldRule = "The old rule’s answer: no word on it. Go back to the marked step, ask its question once more, and do the same item together.";

    /// <summary>Another wrong answer has come.</summary>
    public const string IfOther = "Another answer: have it said aloud. A slip or a fact is put right and written down; it is not the rule.";

    /// <summary>The session goes wrong as a whole.</summary>
    public const string IfStuck = "Stuck, tired or upset: stop with one item that is right, and write down where it broke.";

    /// <summary>The plan.</summary>
    public RemediationPlan Plan => plan;

    /// <summary>What a session usually has; a plan that takes longer says where to stop.</summary>
    public const int UsualMinutes = 20;

    /// <summary>How long a part takes: by how many steps its items have, said and written together, or written alone, and a while for each item to be looked at.</summary>
    public int Minutes(SessionPart part) => part switch
    {
        SessionPart.First or SessionPart.Contrast or SessionPart.Exit => 2,
        SessionPart.Example => MinutesOf(SecondsDrawn + plan.ExampleSteps.Count(s => s.Length > 0) * SecondsShown),
        SessionPart.Together => MinutesOf(plan.Together.Sum(item => SecondsLooked + StepsOf(item) * SecondsTogether)),
        _ => MinutesOf(plan.Alone.Sum(item => SecondsLooked + StepsOf(item) * SecondsAlone)),
    };

    /// <summary>How long all of it takes.</summary>
    public int AllMinutes => Enum.GetValues<SessionPart>().Sum(Minutes);

    /// <summary>Where to stop in a session of the usual length, and where to go on; empty where all of it fits.</summary>
    public string Split => AllMinutes <= UsualMinutes ? "" : $"With {UsualMinutes} minutes: stop after “together”, and begin the next session with “alone”.";

    // To draw the model on the board, and to look at an item before it is begun.
    private const int SecondsDrawn = 60;

    private const int SecondsLooked = 20;

    // Saying and writing a step takes so long; thinking it over is in it.
    private const int SecondsShown = 20;

    private const int SecondsTogether = 15;

    private const int SecondsAlone = 8;

    private static int MinutesOf(int seconds) => Math.Clamp((seconds + 59) / 60, 2, 8);

    private int StepsOf(PlanItem item)
    {
        var school = School.Parse(plan.School);
        if (WorkedExamples.Of(item.Task, school) is { Count: > 0 } lines) return lines.Count;
        var run = new MethodRun { Recording = true };
        Method.Run(item.Task, run, new DeviationSet(school, []));
        return ToldSteps.InOrder(run.Steps, item.Task.Family, school).Count;
    }

    /// <summary>Whether its example takes so much room that it is set smaller, so that the card stays one page.</summary>
    public bool IsDense { get; } = plan.ExampleSteps.Sum(s => s.Length) + 80 * plan.ExampleLines.Count(l => l.Length > 0) > MostOfExample;

    /// <summary>What has to lie on the table.</summary>
    public IReadOnlyList<Material> Bring { get; } = Materials.In(plan.Script.Material);

    /// <summary>What the student answers, in order.</summary>
    public IReadOnlyList<SessionItem> Items { get; } =
    [
        .. plan.First.Select((q, i) => new SessionItem(SessionPart.First, $"First {i + 1}", q.Question, q.Answer, "")),
        .. plan.Together.Select((item, i) => Of(SessionPart.Together, $"Together {i + 1}", item)),
        .. plan.OnceMore is { } more ? new[] { Of(SessionPart.Together, "Once more", more) with { IsSpare = true } } : [],
        .. plan.Alone.Select((item, i) => Of(SessionPart.Alone, $"Alone {i + 1}", item)),
        Of(SessionPart.Exit, "Exit", plan.Exit),
        .. plan.Guard is { } guard ? new[] { Of(SessionPart.Exit, "New habit", guard) } : [],
    ];

    /// <summary>What is drawn beside the example; null where its family has no model, or its numbers are too long for one.</summary>
    public static ItemModel? Drawing(RemediationPlan plan)
    {
        if (TaughtFamily.Of(plan.Family).ModelFor(plan.Idea, plan.Example.Task) is { } ofIdea) return ofIdea;
        var run = new MethodRun { Recording = true };
        Method.Run(plan.Example.Task, run, new DeviationSet(School.Parse(plan.School), []));
        var model = TaughtFamily.Of(plan.Family).ModelAt(plan.Example.Task, run.Page.Marks, plan.Example.Right);
        return model is MultiplesLadder { Chosen: 0 }
            ? TaughtFamily.Of(plan.Family).ModelAt(plan.Example.Task, [.. UpToLastDigit(run.Page.Marks)], plan.Example.Right)
            : model;
    }

    // A ladder shows something where a multiple is taken from what stands there: up to the last digit of the quotient that is no 0.
    private static IEnumerable<Mark> UpToLastDigit(IReadOnlyList<Mark> marks) =>
        marks.Take(1 + marks.Index().Where(m => IsDigitOfQuotient(m.Item)).Select(m => m.Index).DefaultIfEmpty(marks.Count).Max());

    private static bool IsDigitOfQuotient(Mark mark) => mark.Field == WorkFields.Cycles && mark.At.Part == WorkFields.Cycles.Quotient.Part && mark.Text != "0";

    private static SessionItem Of(SessionPart part, string name, PlanItem item) => new(part, name, item.Written, item.RightWritten, item.Shows ? item.OldWritten : "", Signs.Printed(item.NewHabit ?? ""));
}
