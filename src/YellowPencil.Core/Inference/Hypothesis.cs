using YellowPencil.Core.Bugs;
using YellowPencil.Core.Procedures;

namespace YellowPencil.Core.Inference;

/// <summary>An imagined student: at most three rules, listed or not, and wrong number facts. No rules at all is the student who only slips.</summary>
public sealed class Hypothesis
{
    /// <summary>The student without bugs and without wrong facts.</summary>
    public static readonly Hypothesis Sound = new([], null, []);

    /// <summary>Puts a student together. Narrow rules come before broad ones, and unlisted ones, found to mend the rest, before all.</summary>
    public Hypothesis(IReadOnlyList<Bug> bugs, UnlistedDeviation? unlisted, IReadOnlyList<FactDeviation> facts)
    {
        Bugs = bugs = [.. bugs.OrderBy(Catalogue.Breadth).ThenBy(b => b.Id, StringComparer.Ordinal)];
        Unlisted = unlisted;
        Facts = facts;
        var owners = bugs.Select(b => b.Deviations).ToList();
        if (unlisted is not null) owners.Insert(0, [unlisted.Deviation]);
        RuleCount = owners.Count;
        owners.AddRange(facts.Select(f => (IReadOnlyList<Deviation>)[f]));
        Deviations = new DeviationSet([.. owners]);
    }

    /// <summary>The listed bugs.</summary>
    public IReadOnlyList<Bug> Bugs { get; }

    /// <summary>A rule that is not in the catalogue, or null.</summary>
    public UnlistedDeviation? Unlisted { get; }

    /// <summary>Number facts held wrongly.</summary>
    public IReadOnlyList<FactDeviation> Facts { get; }

    /// <summary>How many rules there are, listed and unlisted; the owners of <see cref="Deviations"/> begin with them.</summary>
    public int RuleCount { get; }

    /// <summary>Ready for running.</summary>
    public DeviationSet Deviations { get; }

    /// <summary>The rules as a reading names them: bug ids, and <c>unlisted:…</c>.</summary>
    public IReadOnlyList<string> RuleIds => ruleIds ??= Unlisted is null ? [.. Bugs.Select(b => b.Id)] : [$"unlisted:{Unlisted.Id}", .. Bugs.Select(b => b.Id)];

    /// <summary>The student of rule ids joined by +; null when an id is not known to this catalogue.</summary>
    public static Hypothesis? Parse(string rules)
    {
        var bugs = new List<Bug>();
        UnlistedDeviation? unlisted = null;
        foreach (var id in rules.Split('+', StringSplitOptions.RemoveEmptyEntries))
        {
            if (Catalogue.Find(id) is { } bug) bugs.Add(bug);
            else if (id.StartsWith("unlisted:", StringComparison.Ordinal) && UnlistedRules.Find(id["unlisted:".Length..]) is { } found) unlisted = found;
            else return null;
        }

        return new Hypothesis(bugs, unlisted, []);
    }

    /// <summary>The same student with one more bug.</summary>
    public Hypothesis With(Bug bug) => new([.. Bugs, bug], Unlisted, Facts);

    /// <summary>The same student with an unlisted rule.</summary>
    public Hypothesis With(UnlistedDeviation unlisted) => new(Bugs, unlisted, Facts);

    /// <summary>The same student with a wrong fact.</summary>
    public Hypothesis With(FactDeviation fact) => new(Bugs, Unlisted, [.. Facts, fact]);

    /// <summary>A text that is the same for the same student.</summary>
    public string Key => key ??= string.Join("+", RuleIds.Concat(Facts.Select(f => $"{f.Fact}={f.Written}")));

    private IReadOnlyList<string>? ruleIds;

    private string? key;

    /// <inheritdoc/>
    public override string ToString() => Key.Length == 0 ? "sound" : Key;
}
