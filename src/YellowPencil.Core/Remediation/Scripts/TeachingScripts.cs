using YellowPencil.Core.Bugs;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Procedures.Outer;
using At = YellowPencil.Core.Procedures.Subtraction.SubtractionPoints;

namespace YellowPencil.Core.Remediation.Scripts;

/// <summary>How every idea behind the number families is taught.</summary>
public static class TeachingScripts
{
    /// <summary>All scripts, in the order of learning.</summary>
    public static IReadOnlyList<TeachingScript> All { get; } =
    [
        .. SumScripts.All.Concat(DifferenceScripts.All).Concat(ProductScripts.All).Concat(QuotientScripts.All).Concat(DecimalScripts.All).Concat(IntegerScripts.All)
            .OrderBy(s => IdeaMap.OrderOf(s.Idea)).ThenBy(s => s.OnlyIn),
    ];

    private static readonly Dictionary<(MissingIdea Idea, Family? Family), TeachingScript> ByIdea = All.ToDictionary(s => (s.Idea, s.OnlyIn));

    /// <summary>The script for an idea in a family: the family's own, or else that for all.</summary>
    public static TeachingScript For(MissingIdea idea, Family family) => ByIdea.GetValueOrDefault((idea, family)) ?? ByIdea[(idea, null)];

    /// <summary>The families that can be planned for: each has a check, and its bugs point to ideas that have a script.</summary>
    public static IReadOnlyList<Family> Families { get; } =
        [Family.Addition, Family.Subtraction, Family.Multiplication, Family.Division, Family.DecimalSums, Family.DecimalProducts, Family.DecimalDivision, Family.Integers];

    /// <summary>How an answer of a family is checked.</summary>
    public static string CheckOf(Family family) => family switch
    {
        Family.Addition => "Take one of the numbers away from the sum: the others must be left.",
        Family.Subtraction => "Add the answer to the number that was taken away: the top number must come out.",
        Family.Multiplication => "Round both numbers and multiply: the answer must be near that. Then divide it by one of them: the other must come out.",
        Family.Division => "Multiply the answer by the divisor and add what is left: the number that was shared must come out.",
        Family.DecimalSums => "Round to whole numbers first: the answer must be near that. Then work it back.",
        Family.DecimalProducts => "Round both numbers: the answer must be near their product; count the places of both.",
        Family.DecimalDivision => "Multiply the answer by the divisor as it was set: the number that was divided must come out.",
        Family.Integers => "Show it on the number line: the way must end at the answer.",
        _ => throw new ArgumentOutOfRangeException(nameof(family), $"no check for {family.Name()} yet"),
    };

    /// <summary>
    /// The idea to which a rule outside the catalogue points: that of most listed rules of the family at the same decision; null where none is listed there.
    /// </summary>
    public static MissingIdea? IdeaOf(Family family, DecisionPoint point)
    {
        if (point == At.PassedZero) return Ideas.AcrossZeros;
        if (point == OuterPoints.Reading || point == OuterPoints.Writing) return null; // sight, hand or paper may be behind it: that is asked, not taught
        var listed = Catalogue.DeclaredFor(family).Where(b => b.Deviations.Any(d => d.Point == point)).GroupBy(b => b.Idea).OrderByDescending(g => g.Count()).ThenBy(g => IdeaMap.OrderOf(g.Key)).FirstOrDefault();
        return listed?.Key ?? (family == Family.Subtraction && At.All.Contains(point) ? Ideas.TenForOne : null);
    }
}
