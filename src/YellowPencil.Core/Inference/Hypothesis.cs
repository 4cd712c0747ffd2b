using YellowPencil.Core.Families;

namespace YellowPencil.Core.Inference;

/// <summary>An imagined student: at most three rules, listed or not, and wrong number facts. No rules at all is the student who only slips.</summary>
public sealed class Hypothesis
{
    /// <summary>The student without bugs and without wrong facts.</summary>
    public static readonly Hypothesis Sound = SoundIn(School.Usual);

    /// <summary>The most rules of one student, listed and unlisted.</summary>
    public const int MostRules = 3;

    /// <summary>Puts a student together. Narrow rules come before broad ones, and unlisted ones, found to mend the rest, before all.</summary>
    /// <param name="bugs">The listed bugs.</param>
    /// <param name="unlisted">Rules that are not in the catalogue; the one found last comes first.</param>
    /// <param name="facts">Number facts held wrongly.</param>
    /// <param name="school">What the student was taught; null for the usual school.</param>
    public Hypothesis(IReadOnlyList<Bug> bugs, IReadOnlyList<UnlistedDeviation> unlisted, IReadOnlyList<FactDeviation> facts, School? school = null)
    {
        School = school ?? bugs.Select(b => b.School).FirstOrDefault(s => s != School.Usual) ?? School.Usual;
        Bugs = bugs = bugs.Count < 2 ? bugs : [.. bugs.OrderBy(Catalogue.Breadth).ThenBy(b => b.Id, StringComparer.Ordinal)];
        Unlisted = unlisted;
        Facts = facts;
        RuleCount = unlisted.Count + bugs.Count;
        var owners = new IReadOnlyList<Deviation>[RuleCount + facts.Count];
        for (var i = 0; i < owners.Length; i++)
            owners[i] = i < unlisted.Count ? [unlisted[i].Deviation] : i < RuleCount ? bugs[i - unlisted.Count].Deviations : [facts[i - RuleCount]];
        Deviations = new DeviationSet(School, owners);
    }

    /// <summary>What the student was taught where schools differ.</summary>
    public School School { get; }

    /// <summary>Whether one of the rules leaves open what comes of it.</summary>
    public bool IsOpen => Bugs.Any(b => b.IsOpen);

    /// <summary>The students who do one thing each where a rule leaves open what comes of it; only this one where none does.</summary>
    internal IReadOnlyList<Hypothesis> Outcomes => outcomes ??= Bugs.FirstOrDefault(b => b.IsOpen) is { } open
        ? [.. open.Outcomes.SelectMany(outcome => new Hypothesis([.. Bugs.Where(b => b != open), outcome], Unlisted, Facts, School).Outcomes)]
        : [this];

    private IReadOnlyList<Hypothesis>? outcomes;

    /// <summary>The student of some bugs and nothing else, in the school in which they show.</summary>
    public static Hypothesis Of(params IReadOnlyList<Bug> bugs) => new(bugs, [], []);

    /// <summary>The student of a school without bugs and without wrong facts.</summary>
    public static Hypothesis SoundIn(School school) => new([], [], [], school);

    /// <summary>The listed bugs.</summary>
    public IReadOnlyList<Bug> Bugs { get; }

    /// <summary>Rules that are not in the catalogue.</summary>
    public IReadOnlyList<UnlistedDeviation> Unlisted { get; }

    /// <summary>Number facts held wrongly.</summary>
    public IReadOnlyList<FactDeviation> Facts { get; }

    /// <summary>How many rules there are, listed and unlisted; the owners of <see cref="Deviations"/> begin with them.</summary>
    public int RuleCount { get; }

    /// <summary>Ready for running.</summary>
    public DeviationSet Deviations { get; }

    /// <summary>The rules as a reading names them: bug ids, and <c>unlisted:…</c>.</summary>
    public IReadOnlyList<string> RuleIds => ruleIds ??= [.. Unlisted.Select(u => $"unlisted:{u.Id}"), .. Bugs.Select(b => b.Id)];

    /// <summary>The student of rule ids joined by +; null when an id is not known to this catalogue.</summary>
    public static Hypothesis? Parse(string rules)
    {
        var bugs = new List<Bug>();
        var unlisted = new List<UnlistedDeviation>();
        foreach (var id in rules.Split('+', StringSplitOptions.RemoveEmptyEntries))
        {
            if (Catalogue.Find(id) is { } bug) bugs.Add(bug);
            else if (id.StartsWith("unlisted:", StringComparison.Ordinal) && UnlistedRules.Find(id["unlisted:".Length..]) is { } found) unlisted.Add(found);
            else return null;
        }

        return new Hypothesis(bugs, unlisted, []);
    }

    /// <summary>The same student with one more bug.</summary>
    public Hypothesis With(Bug bug) => new([.. Bugs, bug], Unlisted, Facts, School);

    /// <summary>The same student with one bug less.</summary>
    public Hypothesis Without(Bug bug) => new([.. Bugs.Where(b => b != bug)], Unlisted, Facts, School);

    /// <summary>The same student with some of the rules only, by their order in <see cref="RuleIds"/>.</summary>
    internal Hypothesis Only(Func<int, bool> isKept) =>
        new([.. Bugs.Where((_, i) => isKept(Unlisted.Count + i))], [.. Unlisted.Where((_, i) => isKept(i))], Facts, School);

    /// <summary>The same student with an unlisted rule.</summary>
    public Hypothesis With(UnlistedDeviation unlisted) => new(Bugs, [unlisted, .. Unlisted], Facts, School);

    /// <summary>The same student with a wrong fact.</summary>
    public Hypothesis With(FactDeviation fact) => new(Bugs, Unlisted, [.. Facts, fact], School);

    /// <summary>A text that is the same for the same student.</summary>
    public string Key => key ??= KeyOf(static _ => true);

    /// <summary>The <see cref="Key"/> of the student with some of the rules only, by their order in <see cref="RuleIds"/>.</summary>
    internal string KeyOf(Func<int, bool> isKept) => string.Join("+", RuleIds.Where((_, i) => isKept(i)).Concat(Facts.Select(f => $"{f.Fact}={f.Written}")));

    private IReadOnlyList<string>? ruleIds;

    private string? key;

    /// <inheritdoc/>
    public override string ToString() => Key.Length == 0 ? "sound" : Key;
}
