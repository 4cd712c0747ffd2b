using System.Runtime.CompilerServices;

namespace YellowPencil.Core.Engine;

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
    private Decider? decider;

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

    /// <summary>How many numbers or brackets were tried until some fitted, where steps are kept and the method tries any.</summary>
    public int Trials { get; internal set; }

    /// <summary>Decisions at which a deviation applies and differs from the taught choice, all owners together.</summary>
    public int Chances { get; private set; }

    /// <summary>How many of the chances were followed.</summary>
    public int Followed { get; private set; }

    /// <summary>Whether a deviation applied at a decision and came to the same as what is taught, as 2 + 2 does for 2 · 2.</summary>
    public bool CameToTheSame { get; private set; }

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
    public void Begin(DeviationSet set, ulong declinedChances = 0, Slip? once = null, ChanceWatch? watching = null) =>
        Begin(set, declinedChances, once, watching, null);

    /// <summary>Makes the run ready for an item at which somebody decides in the student's place.</summary>
    internal void Begin(DeviationSet set, ulong declinedChances, Slip? once, ChanceWatch? watching, Decider? deciding)
    {
        watch = watching;
        decider = deciding;
        decider?.Begin();
        deviations = set;
        declined = declinedChances;
        slip = once ?? Slip.None;
        stepNumber = 0;
        Chances = 0;
        Followed = 0;
        CameToTheSame = false;
        Trials = 0;
        InConflict = false;
        Page.Clear();
        foreach (var room in scratch) room.Clear();
        steps.Clear();
        Array.Clear(chances);
        Array.Clear(followed);
    }

    /// <summary>Asks a decision; the answer is the choice that this student makes there.</summary>
    public TName Ask<TContext, TName>(Decision<TContext, TName> decision, in TContext context)
        where TContext : struct, IDecisionContext
        where TName : struct, Enum =>
        decision.Taught(context, School) is var taught && IsOpen(decision)
            ? ChoiceName<TName>.At(Decide(decision, context, ChoiceName<TName>.Number(taught)))
            : PassOver(taught);

    /// <summary>Asks a decision; the answer is what the choice that this student makes there gives.</summary>
    public TResult Do<TContext, TName, TResult>(Decision<TContext, TName, TResult> decision, in TContext context)
        where TContext : struct, IDecisionContext
        where TName : struct, Enum
        where TResult : struct => decision.Result(Ask(decision, context), context, School);

    /// <summary>Asks a decision point; the answer is the number of the choice, or the value, that this student comes to.</summary>
    /// <param name="point">The point.</param>
    /// <param name="context">What can be seen there.</param>
    /// <param name="taught">What the taught method comes to.</param>
    internal int Decide<TContext>(Decision<TContext> point, in TContext context, int taught)
        where TContext : struct, IDecisionContext
    {
        var made = taught;
        var cause = StepCause.AsTaught;
        watch?.See(point, context, taught);
        if (deviations.At(point.Ordinal) is { } rules)
        {
            var chosen = false;
            foreach (var (deviation, owner) in rules)
            {
                if (!Unsafe.As<ContextDeviation<TContext>>(deviation).Applies(context, taught, out var instead))
                {
                    chosen |= instead == Nothing.Else;
                    CameToTheSame |= instead == Nothing.Else;
                    continue;
                }

                if (chosen)
                {
                    InConflict |= instead != made;
                    continue;
                }

                chosen = true;
                if (!Follows(owner)) continue;
                made = instead;
                cause = StepCause.Bug;
            }
        }

        if (decider?.At(point.Ordinal) is { } inPlace) made = Unsafe.As<Decider<TContext>>(inPlace).Decide(context, taught, made);
        if (slip.Step == stepNumber)
        {
            made = slip.Choice;
            cause = StepCause.Slip;
        }

        if (Recording)
            steps.Add(
                new Step(
                    stepNumber, point, Page.Line, context.Place, taught, made, cause, point.Tell(context, taught), point.Tell(context, made), Page.Marks.Count,
                    null)
                { Slips = point.SlipsIn(context) });
        stepNumber++;
        return made;
    }

    /// <summary>Comes to a number; the answer is the one that this student comes to.</summary>
    /// <param name="point">The point.</param>
    /// <param name="context">What can be seen there.</param>
    /// <param name="taught">The number that comes out of what was done before.</param>
    /// <param name="most">The largest number that there is room for; taught ones never come near it.</param>
    internal int Value<TContext>(ValueDecision<TContext> point, in TContext context, int taught, int most = 999)
        where TContext : struct, IDecisionContext
    {
        if (IsOpen(point)) return Decide(point, context, taught) is var made && made == taught ? taught : Math.Min(most, made);
        return PassOver(taught);
    }

    /// <summary>From this row or cycle on nobody decides: the work that is compared breaks off there.</summary>
    internal int ClosedFrom { get; set; } = int.MaxValue;

    /// <summary>Whether anybody decides at a point or looks on: where nobody does, the taught choice is made, and <see cref="PassOver"/> says so.</summary>
    internal bool IsOpen(Decision point) => Page.Line < ClosedFrom && (
        Recording
            || slip.Step == stepNumber || deviations.At(point.Ordinal) is not null || decider?.At(point.Ordinal) is not null || watch?.Watches(point) == true);

    /// <summary>Makes the taught choice at a point that is not open.</summary>
    internal void PassOver() => stepNumber++;

    private TMade PassOver<TMade>(TMade taught)
    {
        stepNumber++;
        return taught;
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
            steps.Add(
                new Step(
                    stepNumber, null, Page.Line, place, fact.Value, value, cause, $"{fact} = {fact.Value}".Replace('-', '−'),
                    $"{fact} = {value}".Replace('-', '−'), Page.Marks.Count, fact));
        stepNumber++;
        return value;
    }

    /// <summary>Whether the student holds any number fact wrongly.</summary>
    internal bool HoldsWrongFacts => deviations.Facts.Length > 0;

    /// <summary>What the student takes a fact to be, without using it.</summary>
    internal int Recalled(NumberFact fact)
    {
        foreach (var (deviation, _) in deviations.Facts)
            if (deviation.IsAbout(fact)) return deviation.Written;
        return fact.Value;
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
