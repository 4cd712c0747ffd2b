using YellowPencil.Core.Families;
using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Teaching;

/// <summary>How every idea is taught.</summary>
public static class TeachingScripts
{
    /// <summary>All scripts, in the order of learning.</summary>
    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        .. SumScripts.All.Concat(DifferenceScripts.All)
            .Concat(ProductScripts.All).Concat(QuotientScripts.All).Concat(DecimalScripts.All).Concat(IntegerScripts.All)
            .Concat(FractionScripts.All).Concat(TermScripts.All).Concat(FactoringScripts.All).Concat(RootScripts.All).Concat(EquationScripts.All)
            .OrderBy(s => IdeaMap.OrderOf(s.Idea)).ThenBy(s => s.OnlyIn?.Name, StringComparer.Ordinal),
    ];

    private static readonly Dictionary<(MissingIdea Idea, Family? Family), TeachingScript> ByIdea = All.ToDictionary(s => (s.Idea, s.OnlyIn));

    /// <summary>The script for an idea in a family: the family's own, or else that for all.</summary>
    public static TeachingScript For(MissingIdea idea, Family family) => ByIdea.GetValueOrDefault((idea, family)) ?? ByIdea[(idea, null)];

    /// <summary>The families that can be planned for: each has a check, and its bugs point to ideas that have a script.</summary>
    public static IReadOnlyList<Family> Families { get; } = [.. FamilyList.All.Where(f => f.Check is not null)];
}
