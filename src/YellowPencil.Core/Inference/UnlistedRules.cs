using YellowPencil.Core.Procedures;

namespace YellowPencil.Core.Inference;

/// <summary>Rules that nobody listed, by their ids.</summary>
internal static class UnlistedRules
{
    /// <summary>The rule of an id; null where there is none.</summary>
    public static UnlistedDeviation? Find(string id) => id.Split('/') is [var point, var kind, var made]
        ? Method.Families.SelectMany(f => Method.Of(f).Decisions).FirstOrDefault(p => p.Id == point)?.FindDeviation(kind, made)
        : null;
}
