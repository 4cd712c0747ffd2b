namespace YellowPencil.Core.Engine;

/// <summary>
/// One imagined student, made ready for running: the school, and the deviations from what it teaches. Each deviation belongs to an owner (a bug, or a wrong
/// fact), counted from 0.
/// </summary>
public sealed class DeviationSet
{
    /// <summary>The most owners that one set holds.</summary>
    public const int MaxOwners = 6;

    /// <summary>The student who works exactly as taught.</summary>
    public static readonly DeviationSet Taught = new();

    private readonly List<(int Ordinal, Rule[] Rules)> byPoint = [];
    private readonly ulong[] points = new ulong[(Decision.Created + 63) / 64];

    /// <summary>Makes a student of the usual school from the deviations of each owner.</summary>
    /// <exception cref="ArgumentException">More than <see cref="MaxOwners"/> owners.</exception>
    public DeviationSet(params IReadOnlyList<IReadOnlyList<Deviation>> owners)
        : this(School.Usual, owners)
    {
    }

    /// <summary>Makes a student of a school from the deviations of each owner.</summary>
    /// <exception cref="ArgumentException">More than <see cref="MaxOwners"/> owners.</exception>
    public DeviationSet(School school, IReadOnlyList<IReadOnlyList<Deviation>> owners)
    {
        School = school;
        if (owners.Count > MaxOwners) throw new ArgumentException($"at most {MaxOwners} owners", nameof(owners));
        OwnerCount = owners.Count;
        Facts = [];
        for (var owner = 0; owner < owners.Count; owner++)
            foreach (var deviation in owners[owner])
            {
                if (deviation is FactDeviation fact) Facts = [.. Facts, new FactRule(fact, owner)];
                else Add(deviation.Decision!.Ordinal, new Rule(deviation, owner));
            }
    }

    /// <summary>What the student was taught where schools differ.</summary>
    public School School { get; }

    /// <summary>How many owners the set has.</summary>
    public int OwnerCount { get; }

    internal FactRule[] Facts { get; }

    /// <summary>The rules about a point, in the order of their owners; null where there are none.</summary>
    internal Rule[]? At(int ordinal)
    {
        if (ordinal >> 6 >= points.Length || (points[ordinal >> 6] >> (ordinal & 63) & 1) == 0) return null;
        foreach (var (known, rules) in byPoint)
            if (known == ordinal) return rules;
        return null;
    }

    private void Add(int ordinal, Rule rule)
    {
        points[ordinal >> 6] |= 1UL << (ordinal & 63);
        for (var i = 0; i < byPoint.Count; i++)
            if (byPoint[i].Ordinal == ordinal)
            {
                byPoint[i] = (ordinal, [.. byPoint[i].Rules, rule]);
                return;
            }

        byPoint.Add((ordinal, [rule]));
    }

    internal readonly record struct Rule(Deviation Deviation, int Owner);

    internal readonly record struct FactRule(FactDeviation Deviation, int Owner);
}
