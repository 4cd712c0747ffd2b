using System.Collections.Concurrent;
using System.Globalization;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Beside;

namespace YellowPencil.Core.Families;

/// <summary>All bugs that the product knows by name.</summary>
public static class Catalogue
{
    /// <summary>Every bug, family by family.</summary>
    public static IReadOnlyList<Bug> All { get; } = [.. FamilyList.All.SelectMany(f => f.Bugs)];

    private static readonly Dictionary<string, Bug> ById = All.ToDictionary(b => b.Id);

    private static readonly Dictionary<Family, IReadOnlyList<Bug>> ByFamily =
        FamilyList.All.ToDictionary(
            f => (Family)f, f => (IReadOnlyList<Bug>)[.. DeclaredFor(f), .. TaughtFamily.Of(f).Parts.SelectMany(p => Inherited(f, p.Family))]);

    private static readonly ConcurrentDictionary<Family, IReadOnlyList<Bug>> WorkedBesideAny = new();

    private static readonly ConcurrentDictionary<Bug, int> Breadths = new();

    // Measured once and for all by the bench; a test measures them again.
    private static readonly Lazy<Dictionary<string, int>> Measured = new(ReadBreadths);

    private static readonly ConcurrentDictionary<Family, IReadOnlyList<ItemTask>> OrdinaryItems = new();

    /// <summary>
    /// How many chances a bug has over a fixed pool of 300 ordinary items of its family. Where two bugs of one student claim
    /// the same decision, the narrower one is the exception to the other and wins.
    /// </summary>
    public static int Breadth(Bug bug) => Breadths.GetOrAdd(bug, static b => Measured.Value.TryGetValue(b.Id, out var known) ? known : MeasureBreadth(b));

    /// <summary>The table of all breadths, a line a bug: its id and how many chances it has.</summary>
    public static string BreadthTable() => string.Concat(All.Select(b => $"{b.Id} {MeasureBreadth(b)}\n"));

    /// <summary>The bugs declared for a family, without those of its parts.</summary>
    public static IReadOnlyList<Bug> DeclaredFor(Family family) => TaughtFamily.Of(family).Bugs;

    /// <summary>The bugs that can show in a family: its own, then those of its parts whose decisions all come up in it.</summary>
    public static IReadOnlyList<Bug> Of(Family family) => ByFamily.GetValueOrDefault(family, []);

    /// <summary>The bugs that can show in a family only beside another operation than the one that is set.</summary>
    public static IReadOnlyList<Bug> ConfusedWith(Family family) => [.. TaughtFamily.Of(family).ConfusedWith.SelectMany(name => Of(FamilyList.Named(name)))];

    /// <summary>The bugs of the written methods by which numbers inside a working of the family are dealt with.</summary>
    public static IReadOnlyList<Bug> WorkedBeside(Family family) =>
        WorkedBesideAny.GetOrAdd(
            family,
            f =>
                TaughtFamily.Of(f).WorkedBeside is { Count: > 0 } inside
                    ? [.. All.Where(b => inside.Contains(b.Family.Name) && b.Deviations.All(d => WholeNumbers.Decisions.Contains(d.Decision!)))]
                    : []);

    /// <summary>The bug of an id; null where there is none.</summary>
    public static Bug? Find(string id) => ById.GetValueOrDefault(id);

    private static IEnumerable<Bug> Inherited(Family family, string part)
    {
        var points = TaughtFamily.Of(family).Decisions.ToHashSet();
        return FamilyList.Named(part).Bugs.Where(b => b.Deviations.All(d => points.Contains(d.Decision!)));
    }

    private static Dictionary<string, int> ReadBreadths()
    {
        using var table = new StreamReader(typeof(Catalogue).Assembly.GetManifestResourceStream("Breadths.txt")!);
        return table.ReadToEnd().Split('\n', StringSplitOptions.RemoveEmptyEntries).Select(line => line.Split(' '))
            .ToDictionary(entry => entry[0], entry => int.Parse(entry[1], CultureInfo.InvariantCulture));
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
