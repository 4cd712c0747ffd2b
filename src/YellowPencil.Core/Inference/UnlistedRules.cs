using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;

namespace YellowPencil.Core.Inference;

/// <summary>Rules that nobody listed: every choice at every decision point in every kind of context.</summary>
internal static class UnlistedRules
{
    private static readonly Dictionary<Family, IReadOnlyList<UnlistedDeviation>> ByFamily =
        Method.Families.ToDictionary(f => f, f => (IReadOnlyList<UnlistedDeviation>)[.. Method.Of(f).Points.SelectMany(p => p.AllDeviations())]);

    /// <summary>All of a family, points in the order of the method, kinds from broad to narrow.</summary>
    public static IReadOnlyList<UnlistedDeviation> Of(Family family) => ByFamily[family];

    /// <summary>The rule of an id; null where there is none.</summary>
    public static UnlistedDeviation? Find(string id) => ByFamily.Values.SelectMany(r => r).FirstOrDefault(r => r.Id == id);
}
