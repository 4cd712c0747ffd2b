using System.Runtime.CompilerServices;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Procedures;

/// <summary>One step of a run that goes another way once, by a slip.</summary>
/// <param name="Step">The number of the step, from 0.</param>
/// <param name="Choice">At a decision: the index of the choice made. At a number fact: the value written.</param>
public readonly record struct Slip(int Step, int Choice)
{
    /// <summary>No slip.</summary>
    public static readonly Slip None = new(-1, 0);
}

/// <summary>
/// A walk through one item with the deviations of one imagined student: methods ask it at every decision point and for every number
/// fact, and it keeps account of chances and slips. What is written goes on its <see cref="Page"/>. It is used again for the next run, so that a run
/// that only wants the answer allocates next to nothing; not to be shared between threads.
/// </summary>
public sealed class MethodRun
{
    /// <summary>The most chances of one item that can be followed or not one by one; later ones are always followed.</summary>
    public const int MaxChances = 60;

    private readonly List<Step> steps = [];
    private readonly List<IScratch> scratch = [];
    private readonly int[] chances = new int[DeviationSet.MaxOwners];
    private readonly int[] followed = new int[DeviationSet.MaxOwners];
    private DeviationSet deviations = DeviationSet.Taught;
    private ulong declined;
    private Slip slip;
    private int stepNumber;
    private ChanceWatch? watch;

    /// <summary>Whether steps are kept, with captions, and the marks of the page; slower, for one run at a time.</summary>
    public bool Recording
    {
        get;
        init
        {
            field = value;
            Page.KeepsMarks |= value;
        }
    }

    /// <summary>The school of the student.</summary>
    public School School => deviations.School;

    /// <summary>The page that the run leaves.</summary>
    public WrittenPage Page { get; } = new();

    /// <summary>The steps taken, where they are kept.</summary>
    public IReadOnlyList<Step> Steps => steps;

    /// <summary>How many decisions and number facts the run went through.</summary>
    public int StepCount => stepNumber;

    /// <summary>Decisions at which a deviation applies and differs from the taught choice, all owners together.</summary>
    public int Chances { get; private set; }

    /// <summary>How many of the chances were followed.</summary>
    public int Followed { get; private set; }

    /// <summary>Whether two deviations claimed the same decision in the same context for different choices.</summary>
    public bool InConflict { get; private set; }

    /// <summary>The chances of one owner.</summary>
    public int ChancesOf(int owner) => chances[owner];

    /// <summary>How many chances of one owner were followed.</summary>
    public int FollowedOf(int owner) => followed[owner];

    /// <summary>Makes the run ready for an item.</summary>
    /// <param name="set">The student.</param>
    /// <param name="declinedChances">Bit i set: the i-th chance is not followed.</param>
    /// <param name="once">A step that goes another way.</param>
    /// <param name="watching">Notes, for rules that are not followed, where they would have a chance.</param>
    public void Begin(DeviationSet set, ulong declinedChances = 0, Slip? once = null, ChanceWatch? watching = null)
    {
        watch = watching;
        deviations = set;
        declined = declinedChances;
        slip = once ?? Slip.None;
        stepNumber = 0;
        Chances = 0;
        Followed = 0;
        InConflict = false;
        Page.Clear();
        foreach (var room in scratch) room.Clear();
        steps.Clear();
        Array.Clear(chances);
        Array.Clear(followed);
    }

    /// <summary>Asks a decision point; the answer is what this student does there.</summary>
    public TChoice Ask<TContext, TChoice>(DecisionPoint<TContext, TChoice> point, in TContext context)
        where TContext : struct, IDecisionContext
        where TChoice : struct, Enum
    {
        var taught = point.Taught(context, School);
        var made = taught;
        var cause = StepCause.AsTaught;
        watch?.See(point, context, taught);
        if (deviations.At(point.Ordinal) is { } rules)
        {
            var chosen = false;
            foreach (var (deviation, owner) in rules)
            {
                var rule = Unsafe.As<ChoiceDeviation<TContext, TChoice>>(deviation);
                if (Choice<TChoice>.AreSame(rule.Instead, taught) || !rule.When(context)) continue;
                if (chosen)
                {
                    InConflict |= !Choice<TChoice>.AreSame(rule.Instead, made);
                    continue;
                }

                chosen = true;
                if (!Follows(owner)) continue;
                made = rule.Instead;
                cause = StepCause.Bug;
            }
        }

        if (slip.Step == stepNumber)
        {
            made = Choice<TChoice>.At(slip.Choice);
            cause = StepCause.Slip;
        }

        if (Recording)
            steps.Add(new Step(stepNumber, point, Page.Line, context.Place, Choice<TChoice>.Number(taught), Choice<TChoice>.Number(made), cause, point.Say(context, taught), point.Say(context, made), Page.Marks.Count, null));
        stepNumber++;
        return made;
    }

    /// <summary>Recalls a number fact; the answer is what this student takes it to be.</summary>
    /// <param name="fact">The fact.</param>
    /// <param name="place">The place it is needed for; null where there are no columns.</param>
    public int Recall(NumberFact fact, int? place = null)
    {
        var value = fact.Value;
        var cause = StepCause.AsTaught;
        foreach (var (deviation, owner) in deviations.Facts)
            if (deviation.IsAbout(fact) && Follows(owner))
            {
                value = deviation.Written;
                cause = StepCause.Fact;
            }

        if (slip.Step == stepNumber)
        {
            value = slip.Choice;
            cause = StepCause.Slip;
        }

        if (Recording)
            steps.Add(new Step(stepNumber, null, Page.Line, place, fact.Value, value, cause, $"{fact} = {fact.Value}".Replace('-', '−'), $"{fact} = {value}".Replace('-', '−'), Page.Marks.Count, fact));
        stepNumber++;
        return value;
    }

    /// <summary>Working room of a kind that some methods need, made once and cleared for every run.</summary>
    public T Scratch<T>()
        where T : class, IScratch, new()
    {
        foreach (var one in scratch)
            if (one is T known) return known;
        var made = new T();
        scratch.Add(made);
        return made;
    }

    private bool Follows(int owner)
    {
        var index = Chances++;
        chances[owner]++;
        if (index < MaxChances && (declined >> index & 1) == 1) return false;
        Followed++;
        followed[owner]++;
        return true;
    }
}

/// <summary>Working room of a run, for methods of one kind.</summary>
public interface IScratch
{
    /// <summary>Takes back what was given out.</summary>
    void Clear();
}
