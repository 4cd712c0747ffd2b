using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Engine;

/// <summary>What a student can see where a decision is made.</summary>
public interface IDecisionContext
{
    /// <summary>The place on the page that the decision is about, as a power of ten; null where it is about the whole item.</summary>
    int? Place => null;
}

/// <summary>A place in a taught method at which a student has to decide something.</summary>
public abstract class Decision
{
    private static int created;

    private protected Decision(string id, string question)
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

    /// <summary>
    /// The idea that is missing where it goes wrong in a way that nobody listed; null where sight, hand or paper may be behind it, or several ideas.
    /// </summary>
    public MissingIdea? Idea { get; init; }

    /// <summary>The same deviation in contexts of each idea by itself, where two ideas stand behind one decision; empty where it has one.</summary>
    public virtual IReadOnlyList<(MissingIdea Idea, Deviation Part)> ByIdea(Deviation deviation) => [];

    /// <summary>Whether somebody who works an item for others says it aloud, also where it goes as taught.</summary>
    public bool IsTold { get; init; }

    /// <summary>Whether a column, a digit of a product or a cycle begins with it.</summary>
    public bool BeginsPart { get; init; }

    /// <summary>How many choices there are, the taught ones included.</summary>
    public abstract int ChoiceCount { get; }

    /// <summary>Making one choice in every context, as a habit; null where numbers come about, which are no choices.</summary>
    /// <param name="choice">The number of the choice.</param>
    internal virtual Deviation? EveryTime(int choice) => null;

    /// <summary>The unlisted deviations made of one named kind of context and one choice.</summary>
    public abstract IEnumerable<UnlistedDeviation> AllDeviations();

    /// <summary>The unlisted deviation of an id, whatever its kind of context; null where there is none.</summary>
    /// <param name="kind">The id of the kind.</param>
    /// <param name="made">What is done, as ids spell it.</param>
    public abstract UnlistedDeviation? FindDeviation(string kind, string made);

    /// <summary>What somebody who knows the method does here once in a while by a slip, as <see cref="Deviation.Done"/> has it; none where numbers come about.</summary>
    internal virtual IEnumerable<object> DoneBySlip => [];

    /// <summary>How many kinds of context of a length a choice can be held to.</summary>
    internal abstract int KindsOf(RuleLength length);

    /// <summary>How many unlisted deviations of a length the decision has.</summary>
    internal abstract int CountOf(RuleLength length);

    /// <summary>Lets a visitor see the decision with the type of its context.</summary>
    internal abstract void Accept(IDecisionVisitor visitor);

    internal int Ordinal { get; }

    /// <summary>How many decisions exist; their ordinals are all below this.</summary>
    internal static int Created => Volatile.Read(ref created);
}

/// <summary>Sees decisions with the type of their context.</summary>
internal interface IDecisionVisitor
{
    /// <summary>Sees one.</summary>
    void Visit<TContext>(Decision<TContext> decision)
        where TContext : struct, IDecisionContext;
}

/// <summary>A decision with its context; what is decided is a number, of a choice or a value.</summary>
/// <typeparam name="TContext">What the student can see there.</typeparam>
public abstract class Decision<TContext> : Decision
    where TContext : struct, IDecisionContext
{
    private protected Decision(string id, string question)
        : base(id, question)
    {
    }

    /// <summary>The named kinds of context among which an unlisted rule is searched.</summary>
    public IReadOnlyList<Kind<TContext>> Kinds { get; init; } = [];

    /// <summary>Numbers that a student can see here and make a difference by; kinds of context are learnt from them.</summary>
    public IReadOnlyList<Property<TContext>> Properties { get; init; } = [];

    /// <summary>Where another idea than <see cref="Decision.Idea"/> is missing, and which; null where it is one idea everywhere.</summary>
    public (Func<TContext, bool> Where, MissingIdea Idea)? OtherIdea { get; init; }

    /// <inheritdoc/>
    public override IReadOnlyList<(MissingIdea Idea, Deviation Part)> ByIdea(Deviation deviation)
    {
        if (OtherIdea is not { } other || deviation is not ContextDeviation<TContext> whole) return [];
        return [(other.Idea, whole.Where(other.Where)), (Idea!, whole.Where(c => !other.Where(c)))];
    }

    /// <summary>What can be done here, by number or by value, the taught choices included.</summary>
    internal abstract IReadOnlyList<ChoiceOrValue<TContext>> Options { get; }

    /// <summary>What somebody who knows the method does here once in a while by a slip, with relative weights; a number fact counts 3 in all.</summary>
    internal abstract IReadOnlyList<(int Chosen, double Weight)> SlipsIn(in TContext context);

    /// <summary>A caption for what was decided in a context.</summary>
    internal abstract string Tell(in TContext context, int made);

    /// <inheritdoc/>
    public override IEnumerable<UnlistedDeviation> AllDeviations()
    {
        foreach (var kind in Kinds)
            foreach (var option in Options)
                yield return Unlisted(kind, option);
    }

    /// <inheritdoc/>
    public override UnlistedDeviation? FindDeviation(string kind, string made) =>
        AllKinds.Find(kind) is { } found && Options.FirstOrDefault(d => d.Id == made) is { } option ? Unlisted(found, option) : null;

    /// <summary>The unlisted deviation of a kind of context and what is done there.</summary>
    internal UnlistedDeviation Unlisted(Kind<TContext> kind, ChoiceOrValue<TContext> option) => new(
        $"{Id}/{kind.Id}/{option.Id}", kind.Text == Always && option.Text.Contains(' ') ? Capitalised(option.Text) : $"{Capitalised(option.Text)} {kind.Text}", new ContextDeviation<TContext>(this, kind.Holds, option.Result),
        (RuleLength)Math.Max((int)kind.Length, (int)option.Length));

    // What holds everywhere is not worth a word, but where there would be only one.
    private const string Always = "always";

    /// <summary>The kinds of context, with and without names.</summary>
    internal LearntKinds<TContext> AllKinds => allKinds ??= new LearntKinds<TContext>(Kinds, Properties);

    private LearntKinds<TContext>? allKinds;

    internal override int KindsOf(RuleLength length) => AllKinds.Of(length).Length;

    internal override int CountOf(RuleLength length) => KindsOf(length) * Options.Count;

    internal override void Accept(IDecisionVisitor visitor) => visitor.Visit(this);

    // A word of the classroom's, such as {renames}, takes its capital inside the braces.
    private protected static string Capitalised(string text)
    {
        var first = text[0] == '{' ? 1 : 0;
        return text[..first] + char.ToUpperInvariant(text[first]) + text[(first + 1)..];
    }
}

/// <summary>
/// A decision between named choices, as a table with one entry a choice. What a choice leads to stands in the walk where it steers it; where it only gives
/// something, see <see cref="Decision{TContext, TName, TResult}"/>.
/// </summary>
/// <typeparam name="TContext">What the student can see there.</typeparam>
/// <typeparam name="TName">The names of the choices: the right ones and every wrong one that a teacher would recognise.</typeparam>
/// <param name="id">The stable name.</param>
/// <param name="question">What the student has to decide.</param>
/// <param name="taught">What the taught method does.</param>
public class Decision<TContext, TName>(string id, string question, TName taught) : Decision<TContext>(id, question)
    where TContext : struct, IDecisionContext
    where TName : struct, Enum
{
    private readonly Choice<TContext>?[] table = new Choice<TContext>?[ChoiceName<TName>.Count];
    private readonly ChoiceResult<TContext>?[] results = new ChoiceResult<TContext>?[ChoiceName<TName>.Count];

    /// <summary>The entry of a choice.</summary>
    /// <exception cref="InvalidOperationException">The table has no entry for it, or two.</exception>
    public Choice<TContext> this[TName name]
    {
        get => Entry(ChoiceName<TName>.Number(name));
        init => Enter(name, value);
    }

    private protected void Enter(TName name, Choice<TContext> entry)
    {
        ref var room = ref table[ChoiceName<TName>.Number(name)];
        room = room is null ? entry : throw new InvalidOperationException($"{Id} has two entries for {name}");
    }

    private protected Choice<TContext> Entry(int number) =>
        table[number] ?? throw new InvalidOperationException($"{Id} has no entry for {ChoiceName<TName>.At(number)}");

    /// <summary>What the taught method does, where it depends on the student's school or on what can be seen.</summary>
    public Func<TContext, School, TName>? TaughtIn { get; init; }

    /// <summary>What the taught method does in a context.</summary>
    internal TName Taught(in TContext context, School school) => TaughtIn is { } depends ? depends(context, school) : taught;

    /// <summary>What stands in front of captions, before what is done; where it is not given, the name of the place, if there is one.</summary>
    public Func<TContext, string?>? Head { get; init; }

    /// <summary>What <see cref="Choice{TContext}.Needs"/> says, where one rule holds for every choice.</summary>
    public Func<TContext, TName, bool>? Needs { get; init; }

    internal override IEnumerable<object> DoneBySlip =>
        Enumerable.Range(0, table.Length).Where(number => Entry(number) is { Slip: > 0 } or { SlipIn: not null }).Select(ResultOf);

    internal override IReadOnlyList<(int Chosen, double Weight)> SlipsIn(in TContext context)
    {
        var slips = new List<(int, double)>();
        for (var i = 0; i < table.Length; i++)
            if ((Entry(i).SlipIn is { } depends ? depends(context) : table[i]!.Slip) is > 0 and var weight) slips.Add((i, weight));
        return slips;
    }

    /// <inheritdoc/>
    public override int ChoiceCount => table.Length;

    internal override IReadOnlyList<ChoiceOrValue<TContext>> Options =>
        options ??= [
            .. Enumerable.Range(0, table.Length).Where(number => !Entry(number).IsOneOfMany).Select(number => new ChoiceOrValue<TContext>(Entry(number).Id, Entry(number).Does, ResultOf(number)))];

    private IReadOnlyList<ChoiceOrValue<TContext>>? options;

    internal override string Tell(in TContext context, int made)
    {
        if (Entry(made).Says is { } says) return says(context);
        var head = Head is { } own ? own(context) : context.Place is { } place ? Capitalised(Place.Name(place)) : null;
        return head is null ? Capitalised(Entry(made).Does) + "." : $"{head}: {Entry(made).Does}.";
    }

    /// <summary>
    /// The number of a choice in contexts in which something else comes of it than of the taught one; less than 0 in others. It is one object for one choice.
    /// </summary>
    internal ChoiceResult<TContext> ResultOf(int number) =>
        results[number] ?? Interlocked.CompareExchange(ref results[number], NewResultOf(number), null) ?? results[number]!;

    private protected virtual ChoiceResult<TContext> NewResultOf(int number)
    {
        var (needs, all, name) = (Entry(number).Needs, Needs, ChoiceName<TName>.At(number));
        if (all is not null) return (in TContext context, int taught) => number == taught || all(context, name) ? number : Nothing.Done;
        if (needs is null) return (in TContext _, int _) => number;
        return (in TContext context, int taught) => number == taught || needs(context) ? number : Nothing.Done;
    }

    /// <summary>Begins the declaration of a deviation: in contexts of this kind.</summary>
    public DeviationStart<TContext, TName> When(Func<TContext, bool> when) => new(this, when);

    /// <summary>A deviation in every context.</summary>
    public Deviation Instead(TName instead) => When(static _ => true).Instead(instead);

    /// <inheritdoc/>
    internal override Deviation? EveryTime(int choice) => Instead(ChoiceName<TName>.At(choice));
}

/// <summary>
/// A decision between choices that give something: a number, a fraction, a term. A chance is where something else is given, as it would be written.
/// </summary>
/// <typeparam name="TContext">What the student can see there.</typeparam>
/// <typeparam name="TName">The names of the choices.</typeparam>
/// <typeparam name="TResult">What they give.</typeparam>
/// <param name="id">The stable name.</param>
/// <param name="question">What the student has to decide.</param>
/// <param name="taught">What the taught method does.</param>
public sealed class Decision<TContext, TName, TResult>(string id, string question, TName taught) : Decision<TContext, TName>(id, question, taught)
    where TContext : struct, IDecisionContext
    where TName : struct, Enum
    where TResult : struct
{
    /// <summary>The entry of a choice.</summary>
    public new Choice<TContext, TResult> this[TName name]
    {
        get => Gives(ChoiceName<TName>.Number(name));
        init => Enter(name, value);
    }

    private Choice<TContext, TResult> Gives(int number) => (Choice<TContext, TResult>)Entry(number);

    /// <summary>What a choice gives in a context in which it was made.</summary>
    internal TResult Result(TName made, in TContext context, School school) =>
        Gives(ChoiceName<TName>.Number(made)).Gives!(context) ?? this[Taught(context, school)].Gives!(context)!.Value;

    private protected override ChoiceResult<TContext> NewResultOf(int number)
    {
        var (gives, needs) = (Gives(number).Gives, Gives(number).Needs);
        if (gives is null) return base.NewResultOf(number);
        return (in TContext context, int taught) =>
        {
            if (number == taught) return number;
            if (needs?.Invoke(context) == false || gives(context) is not { } result) return Nothing.Done;
            return EqualityComparer<TResult>.Default.Equals(result, Gives(taught).Gives!(context).GetValueOrDefault()) ? Nothing.Else : number;
        };
    }
}

/// <summary>The first half of a deviation: where and when.</summary>
public readonly struct DeviationStart<TContext, TName>(Decision<TContext, TName> decision, Func<TContext, bool> when)
    where TContext : struct, IDecisionContext
    where TName : struct, Enum
{
    /// <summary>Completes the deviation: what is done instead of the taught choice.</summary>
    public Deviation Instead(TName instead) => new ContextDeviation<TContext>(decision, when, decision.ResultOf(ChoiceName<TName>.Number(instead)));
}
