using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Bugs;

/// <summary>All bugs that the product knows by name.</summary>
public static class Catalogue
{
    /// <summary>Every bug, family by family.</summary>
    public static IReadOnlyList<Bug> All { get; } = [.. SubtractionBugs.All];

    private static readonly Dictionary<string, Bug> ById = All.ToDictionary(b => b.Id);

    private static readonly Dictionary<Family, IReadOnlyList<Bug>> ByFamily =
        All.GroupBy(b => b.Family).ToDictionary(g => g.Key, g => (IReadOnlyList<Bug>)[.. g]);

    /// <summary>The bugs that can show in a family.</summary>
    public static IReadOnlyList<Bug> Of(Family family) => ByFamily.GetValueOrDefault(family, []);

    /// <summary>The bug of an id; null where there is none.</summary>
    public static Bug? Find(string id) => ById.GetValueOrDefault(id);
}
