using System.Collections.Concurrent;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;

namespace YellowPencil.Core.Inference;

/// <summary>Rules that nobody listed: every choice at every decision point in every kind of context.</summary>
internal static class UnlistedRules
{
    private static readonly ConcurrentDictionary<(Family Family, RuleLength Length), int> Counts = new();

    /// <summary>How many rules of a length a family has.</summary>
    public static int Count(Family family, RuleLength length) => Counts.GetOrAdd((family, length), key => Method.Of(key.Family).Points.Sum(p => p.CountOf(key.Length)));

    /// <summary>The rule of an id; null where there is none.</summary>
    public static UnlistedDeviation? Find(string id) => id.Split('/') is [var point, var kind, var made]
        ? Method.Families.SelectMany(f => Method.Of(f).Points).FirstOrDefault(p => p.Id == point)?.FindDeviation(kind, made)
        : null;
}
