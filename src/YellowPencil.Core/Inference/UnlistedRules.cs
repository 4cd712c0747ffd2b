using YellowPencil.Core.Families;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Inference;

/// <summary>Rules that nobody listed, by their ids.</summary>
internal static class UnlistedRules
{
    /// <summary>The rule of an id; null where there is none.</summary>
    public static UnlistedDeviation? Find(string id) => id.Split('/') is [var point, var kind, var made]
        ? FamilyList.All.SelectMany(f => TaughtFamily.Of(f).Decisions).FirstOrDefault(p => p.Id == point)?.FindDeviation(kind, made)
        : null;
}
