namespace YellowPencil.Core.Inference;

/// <summary>What older pages say of a student before a page is read: how likely each set of rules is that was found on them.</summary>
public sealed class KnownBefore
{
    /// <summary>So much of what is expected of a page comes from older ones at the most: students change.</summary>
    private const double Most = 0.5;

    /// <summary>A page counts so much less than the one after it.</summary>
    private const double Older = 0.5;

    /// <summary>What was less likely on the older pages is not kept.</summary>
    private const double Least = 0.02;

    private readonly double rest;

    /// <summary>What is known, as it was kept.</summary>
    /// <param name="shares">By rules joined by +, none for "no systematic bug", how likely they are; together less than 1.</param>
    public KnownBefore(IReadOnlyDictionary<string, double> shares)
    {
        Shares = shares.GroupBy(s => UnlistedRules.Current(s.Key)).ToDictionary(g => g.Key, g => g.Sum(s => s.Value));
        rest = Math.Max(1 - Most, 1 - shares.Values.Sum());
    }

    /// <summary>Nothing is known.</summary>
    public static KnownBefore Nothing { get; } = new(new Dictionary<string, double>());

    /// <summary>How likely each set of rules is, by its rules joined by +.</summary>
    public IReadOnlyDictionary<string, double> Shares { get; }

    /// <summary>The students of these rules, as far as this catalogue knows them.</summary>
    internal IEnumerable<Hypothesis> Students => Shares.Keys.Order(StringComparer.Ordinal).Select(Hypothesis.Parse).OfType<Hypothesis>();

    /// <summary>What is known from pages, each with the probability of its explanations by their rules; the newest first.</summary>
    public static KnownBefore From(IReadOnlyList<IReadOnlyDictionary<string, double>> pages)
    {
        var shares = new Dictionary<string, double>();
        var (weight, sum) = (1.0, 0.0);
        foreach (var page in pages)
        {
            foreach (var (rules, probability) in page) shares[rules] = shares.GetValueOrDefault(rules) + weight * probability;
            sum += weight;
            weight *= Older;
        }

        return new KnownBefore(shares.Select(s => (s.Key, Value: Most * s.Value / sum)).Where(s => s.Value >= Least).ToDictionary(s => s.Key, s => Math.Round(s.Value, 4)));
    }

    /// <summary>
    /// The prior of a student, with what is known of this one. Beside what is known everything stands as ever, also what is not weighed: so the known part is
    /// added, in the measure of the rest.
    /// </summary>
    /// <param name="student">The student.</param>
    /// <param name="prior">The prior of such a student where nothing is known.</param>
    /// <param name="school">How likely the school of the student is.</param>
    internal double Prior(Hypothesis student, double prior, double school) =>
        Shares.Count == 0 || student.Facts.Count > 0 ? prior : prior + school * Shares.GetValueOrDefault(string.Join('+', student.RuleIds)) / rest;
}
