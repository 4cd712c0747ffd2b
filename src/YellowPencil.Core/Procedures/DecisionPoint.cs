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

    /// <summary>The marks on which a wrong choice is seen first.</summary>
    public MarkKind ShowsIn { get; init; } = WorkFields.Cells;

    /// <summary>How many choices there are, the taught ones included.</summary>
    public abstract int ChoiceCount { get; }

    /// <summary>The unlisted deviations made of one named kind of context and one choice.</summary>
    public abstract IEnumerable<UnlistedDeviation> AllDeviations();

    /// <summary>The unlisted deviation of an id, whatever its kind of context; null where there is none.</summary>
    /// <param name="kind">The id of the kind.</param>
    /// <param name="made">What is done, as ids spell it.</param>
    public abstract UnlistedDeviation? FindDeviation(string kind, string made);

    /// <summary>How many unlisted deviations of a length the point has.</summary>
    internal abstract int CountOf(RuleLength length);

    /// <summary>Lets a visitor see the point with the type of its context.</summary>
    internal abstract void Accept(IPointVisitor visitor);

    internal int Ordinal { get; }

    /// <summary>How many decision points exist; their ordinals are all below this.</summary>
    internal static int Created => Volatile.Read(ref created);
}

/// <summary>Sees decision points with the type of their context.</summary>
internal interface IPointVisitor
{
    /// <summary>Sees one.</summary>
    void Visit<TContext>(DecisionPoint<TContext> point)
        where TContext : struct, IDecisionContext;
}

/// <summary>A decision point with its context; what is decided is a number, of a choice or a value.</summary>
/// <typeparam name="TContext">What the student can see there.</typeparam>
public abstract class DecisionPoint<TContext> : DecisionPoint
    where TContext : struct, IDecisionContext
{
    private protected DecisionPoint(string id, string question)
        : base(id, question)
    {
    }

    /// <summary>The named kinds of context among which an unlisted rule is searched.</summary>
    public IReadOnlyList<Kind<TContext>> Kinds { get; init; } = [];

    /// <summary>Numbers that a student can see here and make a difference by; kinds of context are learnt from them.</summary>
    public IReadOnlyList<Property<TContext>> Properties { get; init; } = [];

    /// <summary>What can be done here, by number or by value, the taught choices included.</summary>
    internal abstract IReadOnlyList<Doing<TContext>> Doings { get; }

    /// <summary>What somebody who knows the method does here once in a while by a slip, with relative weights; a number fact counts 3 in all.</summary>
    internal abstract IReadOnlyList<(int Made, double Weight)> SlipsIn(in TContext context);

    /// <summary>A caption for what was decided in a context.</summary>
    internal abstract string Tell(in TContext context, int made);

    /// <inheritdoc/>
    public override IEnumerable<UnlistedDeviation> AllDeviations()
    {
        foreach (var kind in Kinds)
            foreach (var doing in Doings)
                yield return Unlisted(kind, doing);
    }

    /// <inheritdoc/>
    public override UnlistedDeviation? FindDeviation(string kind, string made) =>
        AllKinds.Find(kind) is { } found && Doings.FirstOrDefault(d => d.Id == made) is { } doing ? Unlisted(found, doing) : null;

    /// <summary>The unlisted deviation of a kind of context and what is done there.</summary>
    internal UnlistedDeviation Unlisted(Kind<TContext> kind, Doing<TContext> doing) =>
        new($"{Id}/{kind.Id}/{doing.Id}", $"{Capitalised(doing.Text)} {kind.Text}", new ContextDeviation<TContext>(this, kind.Holds, doing.Make), (RuleLength)Math.Max((int)kind.Length, (int)doing.Length));

    /// <summary>The kinds of context, with and without names.</summary>
    internal LearntKinds<TContext> AllKinds => allKinds ??= new LearntKinds<TContext>(Kinds, Properties);

    private LearntKinds<TContext>? allKinds;

    /// <inheritdoc/>
    internal override int CountOf(RuleLength length) => AllKinds.Of(length).Length * Doings.Count;

    /// <inheritdoc/>
    internal override void Accept(IPointVisitor visitor) => visitor.Visit(this);

    // A word of the classroom's, such as {renames}, takes its capital inside the braces.
    private protected static string Capitalised(string text)
    {
        var first = text[0] == '{' ? 1 : 0;
        return text[..first] + char.ToUpperInvariant(text[first]) + text[(first + 1)..];
    }
}

/// <summary>A decision point at which one of several named choices is made.</summary>
/// <typeparam name="TContext">What the student can see there.</typeparam>
/// <typeparam name="TChoice">What can be done there: the right choices and every wrong one that a teacher would recognise.</typeparam>
public sealed class DecisionPoint<TContext, TChoice>(string id, string question) : DecisionPoint<TContext>(id, question)
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

    /// <summary>The slips that people make here; none where it is not given. A choice that makes no difference in a context is no slip.</summary>
    public Func<TContext, IReadOnlyList<(TChoice Made, double Weight)>>? Slips { get; init; }

    /// <inheritdoc/>
    internal override IReadOnlyList<(int Made, double Weight)> SlipsIn(in TContext context) => Slips is null ? [] : [.. Slips(context).Select(s => (Choice<TChoice>.Number(s.Made), s.Weight))];

    /// <summary>Whether a choice can be made in a context, and makes a difference; where it is not given, every choice can.</summary>
    public Func<TContext, TChoice, bool>? Can { get; init; }

    /// <inheritdoc/>
    public override int ChoiceCount => Choice<TChoice>.Count;

    /// <inheritdoc/>
    internal override IReadOnlyList<Doing<TContext>> Doings => doings ??=
    [
        .. Enumerable.Range(0, ChoiceCount).Select(number => new Doing<TContext>(Choice<TChoice>.Spelled(number), Does(Choice<TChoice>.At(number)), Making(number))),
    ];

    private IReadOnlyList<Doing<TContext>>? doings;

    /// <inheritdoc/>
    internal override string Tell(in TContext context, int made) => Say(context, Choice<TChoice>.At(made));

    /// <summary>The number of a choice in contexts in which it can be made.</summary>
    internal Func<TContext, int> Making(int number) => Can is { } can ? c => can(c, Choice<TChoice>.At(number)) ? number : -1 : _ => number;

    /// <summary>Begins the declaration of a deviation: in contexts of this kind.</summary>
    public DeviationStart<TContext, TChoice> When(Func<TContext, bool> when) => new(this, when);

    /// <summary>A deviation in every context.</summary>
    public Deviation Instead(TChoice instead) => When(static _ => true).Instead(instead);
}

/// <summary>The first half of a deviation: where and when.</summary>
public readonly struct DeviationStart<TContext, TChoice>(DecisionPoint<TContext, TChoice> point, Func<TContext, bool> when)
    where TContext : struct, IDecisionContext
    where TChoice : struct, Enum
{
    /// <summary>Completes the deviation: what is done instead of the taught choice.</summary>
    public Deviation Instead(TChoice instead) => new ContextDeviation<TContext>(point, when, point.Making(Choice<TChoice>.Number(instead)));
}
