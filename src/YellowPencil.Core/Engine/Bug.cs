using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Engine;

/// <summary>How often specialists meet a bug.</summary>
public enum Commonness
{
    /// <summary>In most classes.</summary>
    VeryCommon,

    /// <summary>Several times a year.</summary>
    Common,

    /// <summary>Now and then.</summary>
    Uncommon,

    /// <summary>Once in a while, or only beside another.</summary>
    Rare,
}

/// <summary>A wrong rule that a student may follow wherever it applies.</summary>
public sealed class Bug
{
    /// <summary>The stable name, for example <c>subtraction.turns-column-round</c>.</summary>
    public required string Id { get; init; }

    /// <summary>The family in which it is declared.</summary>
    public required Family Family { get; init; }

    /// <summary>A plain name.</summary>
    public required string Name { get; init; }

    /// <summary>One sentence that a class teacher understands; describes the procedure, in the classroom's word.</summary>
    public required string Text { get; init; }

    /// <summary>Why a student would do this.</summary>
    public required string Reason { get; init; }

    /// <summary>The idea that is missing.</summary>
    public required MissingIdea Idea { get; init; }

    /// <summary>How often it is met.</summary>
    public required Commonness Commonness { get; init; }

    /// <summary>What is done instead of the taught choices; usually one deviation.</summary>
    public required IReadOnlyList<Deviation> Deviations { get; init; }

    /// <summary>
    /// Of a rule that leaves open what comes of it, as "some pair with the right product": what is done another time instead of <see cref="Deviations"/>, which
    /// show wherever one of these does. Empty where it is always the same.
    /// </summary>
    public IReadOnlyList<Deviation> OrElse { get; init; } = [];

    /// <summary>Whether it leaves open what comes of it.</summary>
    public bool IsOpen => OrElse.Count > 0;

    /// <summary>The rule with one outcome each; only itself where it leaves nothing open.</summary>
    internal IReadOnlyList<Bug> Outcomes => outcomes ??= IsOpen ? [With(Deviations, [], this), .. OrElse.Select(other => With([other], [], this))] : [this];

    private IReadOnlyList<Bug>? outcomes;

    /// <summary>The rule of which it is one outcome; itself where it is none.</summary>
    internal Bug Whole => whole ?? this;

    private Bug? whole;

    /// <summary>The same leaving open what comes of it: another time one of these.</summary>
    internal Bug Or(IEnumerable<Deviation> orElse) => With(Deviations, [.. orElse], whole: null);

    private Bug With(IReadOnlyList<Deviation> deviations, IReadOnlyList<Deviation> orElse, Bug? whole) => new()
    {
        Id = Id,
        Family = Family,
        Name = Name,
        Text = Text,
        Reason = Reason,
        Idea = Idea,
        Commonness = Commonness,
        Deviations = deviations,
        School = School,
        OrElse = orElse,
        whole = whole,
    };

    /// <summary>The school in which it shows, where it does not show in the usual one.</summary>
    public School School { get; init; } = School.Usual;

    /// <summary>A student of that school who follows it and nothing else, ready for running.</summary>
    public DeviationSet Alone => alone ??= new DeviationSet(School, [Deviations]);

    private DeviationSet? alone;

    /// <summary>Whether it can show with a student of a school.</summary>
    public bool CanShowIn(School school) => Pages.School.All.All(q => School.AnswerTo(q) == 0 || School.AnswerTo(q) == school.AnswerTo(q));

    /// <summary>The decision point of the first deviation.</summary>
    public Decision Decision => Deviations[0].Decision!;

    /// <inheritdoc/>
    public override string ToString() => Id;

    /// <summary>Declares a bug; its id begins with the name of the family.</summary>
    internal static Bug Declare(
        Family family, string id, string name, Commonness commonness, MissingIdea idea, string text, string reason, Deviation[] deviations, School? school =
            null) => new()
            {
                School = school ?? School.Usual,
                Id = $"{family.Name}.{id}",
                Family = family,
                Name = name,
                Text = text,
                Reason = reason,
                Idea = idea,
                Commonness = commonness,
                Deviations = deviations,
            };
}
