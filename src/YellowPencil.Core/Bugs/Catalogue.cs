using System.Collections.Concurrent;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;

namespace YellowPencil.Core.Bugs;

/// <summary>All bugs that the product knows by name.</summary>
public static class Catalogue
{
    /// <summary>Every bug, family by family.</summary>
    public static IReadOnlyList<Bug> All { get; } =
    [
        .. AdditionBugs.All, .. SubtractionBugs.All, .. MultiplicationBugs.All, .. DivisionBugs.All,
        .. DecimalSumBugs.All, .. DecimalProductBugs.All, .. DecimalDivisionBugs.All, .. IntegerBugs.All,
        .. FractionBugs.All, .. MixedNumberBugs.All, .. PolynomialBugs.All, .. ExpandingBugs.All,
        .. EquationBugs.All, .. RootBugs.All, .. FactoringBugs.All,
    ];

    private static readonly Dictionary<string, Bug> ById = All.ToDictionary(b => b.Id);

    private static readonly Dictionary<Family, IReadOnlyList<Bug>> ByFamily =
        Method.Families.ToDictionary(f => f, f => (IReadOnlyList<Bug>)[.. DeclaredFor(f), .. Method.Of(f).Parts.SelectMany(p => Inherited(f, p.Family))]);

    private static readonly ConcurrentDictionary<Family, IReadOnlyList<Bug>> InsideAny = new();

    private static readonly ConcurrentDictionary<Bug, int> Breadths = new();

    private static readonly ConcurrentDictionary<Family, IReadOnlyList<ItemTask>> OrdinaryItems = new();

    /// <summary>
    /// How many chances a bug has over a fixed pool of 300 ordinary items of its family. Where two bugs of one student claim
    /// the same decision, the narrower one is the exception to the other and wins.
    /// </summary>
    public static int Breadth(Bug bug) => Breadths.GetOrAdd(bug, MeasureBreadth);

    /// <summary>The bugs declared for a family, without those of its parts.</summary>
    public static IReadOnlyList<Bug> DeclaredFor(Family family) => [.. All.Where(b => b.Family == family)];

    /// <summary>The bugs that can show in a family: its own, then those of its parts whose decisions all come up in it.</summary>
    public static IReadOnlyList<Bug> Of(Family family) => ByFamily.GetValueOrDefault(family, []);

    /// <summary>The bugs that can show in a family only beside another operation than the one that is set.</summary>
    public static IReadOnlyList<Bug> Instead(Family family) => [.. Method.Of(family).Instead.SelectMany(Of)];

    /// <summary>The bugs of the written methods by which numbers inside a working of the family are dealt with.</summary>
    public static IReadOnlyList<Bug> Inside(Family family) => InsideAny.GetOrAdd(family, f => Method.Of(f).Inside is { Count: > 0 } inside ? [.. All.Where(b => inside.Contains(b.Family) && b.Deviations.All(d => WholeNumbers.Decisions.Contains(d.Decision!)))] : []);

    /// <summary>The bug of an id; null where there is none.</summary>
    public static Bug? Find(string id) => ById.GetValueOrDefault(id);

    private static IEnumerable<Bug> Inherited(Family family, Family part)
    {
        var points = Method.Of(family).Decisions.ToHashSet();
        return All.Where(b => b.Family == part && b.Deviations.All(d => points.Contains(d.Decision!)));
    }

    private static int MeasureBreadth(Bug bug)
    {
        var run = new MethodRun();
        var set = bug.Alone;
        return OrdinaryItems.GetOrAdd(bug.Family, family => ItemPool.Of(family, 300, seed: 1)).Sum(task =>
        {
            Method.Run(task, run, set);
            return run.Chances;
        });
    }
}
