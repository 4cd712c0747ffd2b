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

    /// <summary>Whether a line is one of those that the taught method goes through but for one digit: a slip that was made there.</summary>
    /// <param name="line">The line.</param>
    /// <param name="taught">What the taught method says, as <see cref="ItemEvidence.Taught"/> has it.</param>
    public static bool IsOneDigitOff(string line, string taught)
    {
        var written = Plain(line);
        return taught.Split(" → ").Select(Plain).Any(due =>
            due.Length == written.Length && due.Zip(written).Count(c => c.First != c.Second) == 1
                && due.Zip(written).All(c => c.First == c.Second || (char.IsAsciiDigit(c.First) && char.IsAsciiDigit(c.Second))));

        static string Plain(string text) => string.Concat(text.Where(c => !char.IsWhiteSpace(c)));
    }

    private static DeviationSet[] Of(TaughtFamily family, School school) =>
    [
        .. family.Bugs.Select(bug => bug.Deviations)
            .Concat(family.Decisions.SelectMany(d => d.AllDeviations()).Where(d => d.Id.Contains(Everywhere, StringComparison.Ordinal)).Select(d => (IReadOnlyList<Deviation>)[d.Deviation]))
            .Select(deviations => new DeviationSet(school, new[] { deviations })),
    ];
}
