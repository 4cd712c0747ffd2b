namespace YellowPencil.Core.Families.Factoring;

/// <summary>
/// The pairs of brackets that are tried: factors of the first term, the larger first; factors of the last term, each way round; and both ways to place a minus.
/// </summary>
internal static class TrialPairs
{
    /// <summary>Of a long list the last are written.</summary>
    public const int MostWritten = 12;

    private const int MostTried = 400;

    /// <summary>All of them whose ends fit, in the order in which they are tried.</summary>
    /// <param name="a">The number before the square.</param>
    /// <param name="c">The plain number.</param>
    public static IEnumerable<(IReadOnlyList<PolyTerm> One, IReadOnlyList<PolyTerm> Other)> Of(int a, int c) => All(a, c).Take(MostTried);

    private static IEnumerable<(IReadOnlyList<PolyTerm> One, IReadOnlyList<PolyTerm> Other)> All(int a, int c)
    {
        var (first, last) = (Math.Abs(a), Math.Abs(c));
        for (var one = first; one * one >= first; one--)
        {
            if (first % one != 0) continue;
            var other = a / one;
            for (var end = 1; end <= last; end++)
            {
                if (last % end != 0 || (one == other && end > last / end)) continue;
                foreach (var (sign, otherSign) in c < 0 ? [(1, -1), (-1, 1)] : new[] { (1, 1), (-1, -1) })
                    yield return (Factors.Linear(one, sign * end), Factors.Linear(other, otherSign * (last / end)));
            }
        }
    }
}
