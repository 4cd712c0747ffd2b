using System.Collections.Concurrent;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Inference;

/// <summary>The students of a family who do one thing otherwise than taught, everywhere: by them it is seen whether a line can be followed at all.</summary>
internal static class SingleSteps
{
    private const string Everywhere = "/always/";

    private static readonly ConcurrentDictionary<(TaughtFamily Family, string School), DeviationSet[]> Known = new();

    /// <summary>Whether one of them comes by what a stretch leads to.</summary>
    public static bool CanFollow(ItemEvidence stretch, IReadOnlyList<School> schools)
    {
        var run = new MethodRun();
        var family = TaughtFamily.Of(stretch.Task.Family);
        foreach (var school in schools)
            foreach (var student in Known.GetOrAdd((family, school.Key), _ => Of(family, school)))
            {
                stretch.Run(run, student);
                if (stretch.Matches(run)) return true;
            }

        return false;
    }

    private static DeviationSet[] Of(TaughtFamily family, School school) =>
    [
        .. family.Bugs.Select(bug => bug.Deviations)
            .Concat(family.Decisions.SelectMany(d => d.AllDeviations()).Where(d => d.Id.Contains(Everywhere, StringComparison.Ordinal)).Select(d => (IReadOnlyList<Deviation>)[d.Deviation]))
            .Select(deviations => new DeviationSet(school, new[] { deviations })),
    ];
}
