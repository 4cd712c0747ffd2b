using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures;

/// <summary>What a student can see where a decision is made.</summary>
public interface IDecisionContext
{
    /// <summary>The place on the page that the decision is about, as a power of ten; null where it is about the whole item.</summary>
    int? Place { get; }
}

/// <summary>A place in a taught method at which a student has to decide something.</summary>
public abstract class DecisionPoint
{
    private static int created;

    private protected DecisionPoint(string id, string question)
    {
        Id = id;
        Question = question;
        Ordinal = Interlocked.Increment(ref created) - 1;
    }

    /// <summary>The stable name, for example <c>subtraction.lender-value</c>.</summary>
    public string Id { get; }

    /// <summary>What the student has to decide, as a question.</summary>
    public string Question { get; }

    /// <summary>
    /// How likely a momentary slip is here, relative to one at an ordinary decision; 0 where a slip cannot be told from one
    /// that another point or a number fact already gives.
    /// </summary>
    public double SlipWeight { get; init; } = 1;

    /// <summary>The marks on which a wrong choice is seen first.</summary>
    public MarkKind ShowsIn { get; init; } = WorkFields.Cells;

    /// <summary>How many choices there are, the taught ones included.</summary>
    public abstract int ChoiceCount { get; }

    /// <summary>Every deviation made of one kind of context and one choice: what is searched when no listed bug fits.</summary>
    public abstract IEnumerable<UnlistedDeviation> AllDeviations();

    internal int Ordinal { get; }

    /// <summary>How many decision points exist; their ordinals are all below this.</summary>
    internal static int Created => Volatile.Read(ref created);
}

/// <summary>A deviation put together from a kind of context and a choice, without a catalogue entry.</summary>
/// <param name="Id">For example <c>subtraction.lender-value/lender-is-1/unchanged</c>.</param>
/// <param name="Text">In words: what is done, and when.</param>
/// <param name="Deviation">The deviation itself.</param>
public sealed record UnlistedDeviation(string Id, string Text, Deviation Deviation);

/// <summary>A kind of context that a student could tell apart from others.</summary>
/// <param name="Id">A short name, for example <c>top-is-zero</c>.</param>
/// <param name="Text">In words, after "when".</param>
/// <param name="Holds">Whether a context is of this kind.</param>
public sealed record Kind<TContext>(string Id, string Text, Func<TContext, bool> Holds);

/// <summary>A decision point with its context and its choices.</summary>
/// <typeparam name="TContext">What the student can see there.</typeparam>
/// <typeparam name="TChoice">What can be done there: the right choices and every wrong one that a teacher would recognise.</typeparam>
public sealed class DecisionPoint<TContext, TChoice>(string id, string question) : DecisionPoint(id, question)
    where TContext : struct, IDecisionContext
    where TChoice : struct, Enum
{
    /// <summary>The choice that the taught method makes, in the student's school.</summary>
    public required Func<TContext, School, TChoice> Taught { get; init; }

    /// <summary>What somebody does who makes a choice, without its context: for example "writes the top digit".</summary>
    public required Func<TChoice, string> Does { get; init; }

    /// <summary>
    /// A caption for a choice made in a context; may hold the classroom's word as <c>{rename}</c>. Where none is given, it is the
    /// name of the place and what is done.
    /// </summary>
    public Func<TContext, TChoice, string> Say
    {
        get => say ?? ((context, choice) => context.Place is { } place
            ? $"{Capitalised(Place.Name(place))}: {Does(choice)}."
            : Capitalised(Does(choice)) + ".");
        init => say = value;
    }

    private readonly Func<TContext, TChoice, string>? say;

    /// <summary>The kinds of context among which an unlisted rule is searched.</summary>
    public IReadOnlyList<Kind<TContext>> Kinds { get; init; } = [];

    /// <inheritdoc/>
    public override int ChoiceCount => Choice<TChoice>.Count;

    /// <summary>Begins the declaration of a deviation: in contexts of this kind.</summary>
    public DeviationStart<TContext, TChoice> When(Func<TContext, bool> when) => new(this, when);

    /// <summary>A deviation in every context.</summary>
    public Deviation Instead(TChoice instead) => When(static _ => true).Instead(instead);

    /// <inheritdoc/>
    public override IEnumerable<UnlistedDeviation> AllDeviations()
    {
        foreach (var kind in Kinds)
            for (var number = 0; number < ChoiceCount; number++)
            {
                var choice = Choice<TChoice>.At(number);
                yield return new UnlistedDeviation(
                    $"{Id}/{kind.Id}/{Choice<TChoice>.Spelled(number)}", $"{Capitalised(Does(choice))} {kind.Text}", When(kind.Holds).Instead(choice));
            }
    }

    // A word of the classroom's, such as {renames}, takes its capital inside the braces.
    private static string Capitalised(string text)
    {
        var first = text[0] == '{' ? 1 : 0;
        return text[..first] + char.ToUpperInvariant(text[first]) + text[(first + 1)..];
    }
}

/// <summary>The first half of a deviation: where and when.</summary>
public readonly struct DeviationStart<TContext, TChoice>(DecisionPoint<TContext, TChoice> point, Func<TContext, bool> when)
    where TContext : struct, IDecisionContext
    where TChoice : struct, Enum
{
    /// <summary>Completes the deviation: what is done instead of the taught choice.</summary>
    public Deviation Instead(TChoice instead) => new ChoiceDeviation<TContext, TChoice>(point, when, instead);
}
