using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Notation;

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
}
