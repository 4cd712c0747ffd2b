using YellowPencil.Core.Working;

namespace YellowPencil.Core.Procedures;

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

    private readonly Rule[]?[] byPoint;

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
        byPoint = new Rule[]?[DecisionPoint.Created];
        Facts = [];
        for (var owner = 0; owner < owners.Count; owner++)
            foreach (var deviation in owners[owner])
            {
                if (deviation is FactDeviation fact) Facts = [.. Facts, new FactRule(fact, owner)];
                else Add(deviation.Point!.Ordinal, new Rule(deviation, owner));
            }
    }

    /// <summary>What the student was taught where schools differ.</summary>
    public School School { get; }

    /// <summary>How many owners the set has.</summary>
    public int OwnerCount { get; }

    internal FactRule[] Facts { get; }

    internal Rule[]? At(int ordinal) => ordinal < byPoint.Length ? byPoint[ordinal] : null;

    private void Add(int ordinal, Rule rule) => byPoint[ordinal] = byPoint[ordinal] is { } before ? [.. before, rule] : [rule];

    internal readonly record struct Rule(Deviation Deviation, int Owner);

    internal readonly record struct FactRule(FactDeviation Deviation, int Owner);
}
