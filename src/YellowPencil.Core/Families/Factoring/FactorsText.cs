namespace YellowPencil.Core.Families.Factoring;

/// <summary>Factors that were found, as an answer.</summary>
/// <param name="factors">The factors.</param>
/// <param name="letter">The letter of the task.</param>
internal readonly struct FactorsText(Factors factors, char letter)
{
    /// <summary>The answer of somebody who does something with them in the end.</summary>
    public string After(FactorsEnd end)
    {
        var written = factors.Text(letter);
        if (end == FactorsEnd.AsFactors || written == FactoringTask.Prime || factors.Behind != 0) return written;
        var (front, brackets) = (factors.Front, factors.Brackets);
        var areLinear = brackets.Count > 0 && brackets.All(b => b[0].Power == 1);
        return end switch
        {
            FactorsEnd.Solutions when Roots() is { Count: > 0 } roots => Solved(roots.Distinct().Order(BySize)),
            FactorsEnd.NumbersOfBrackets when Roots() is { Count: > 0 } roots => Solved(roots.Distinct().Order(BySize).Select(r => -r)),
            FactorsEnd.NumbersOnly when Roots() is { Count: > 1 } roots => string.Join(", ", roots.Order(BySize).Select(r => (-r).Text)),
            FactorsEnd.FirstBracketOnly when brackets.Count == 2 => BracketText.Write(front, [brackets[0]], letter),
            FactorsEnd.LastBracketOnly when brackets.Count == 2 => BracketText.Write(front, [brackets[1]], letter),
            FactorsEnd.SignsTurned when areLinear => BracketText.Write(front, [.. brackets.Select(Turned)], letter),
            FactorsEnd.FrontLost when areLinear => BracketText.Write(new PolyTerm(front.Power == 0 ? 1 : front.Number, front.Power == 0 ? 0 : front.Power), brackets, letter),
            FactorsEnd.FrontLast when areLinear && front.Power == 0 =>
                BracketText.Write(new PolyTerm(1, 0), [.. brackets.SkipLast(1), [.. brackets[^1].Select(t => t with { Number = t.Number * front.Number })]], letter),
            FactorsEnd.MultipliedOut when brackets.Count == 2 && areLinear => PolynomialText.Write(Product(), letter),
            _ => written,
        };
    }

    private static readonly Comparer<Rational> BySize = Comparer<Rational>.Create((one, other) => (one - other).Sign);

    private static IReadOnlyList<PolyTerm> Turned(IReadOnlyList<PolyTerm> bracket) => [.. bracket.Select(t => t.Power == 0 ? t with { Number = -t.Number } : t)];

    private List<PolyTerm> Product()
    {
        var (front, brackets) = (factors.Front, factors.Brackets);
        return [.. PolynomialText.Collected(
            brackets[0].SelectMany(one => brackets[1].Select(other => new PolyTerm(one.Number * other.Number * front.Number, one.Power + other.Power + front.Power))))];
    }

    // For which numbers the factors are 0.
    private List<Rational> Roots()
    {
        var roots = new List<Rational>();
        if (factors.Front.Power > 0) roots.Add(default);
        if (factors.Fractional is { } fractional)
        {
            roots.AddRange(fractional.Ends.Where(e => e.Times.IsZero).Select(e => -e.Plain));
            return roots.Count == fractional.Ends.Count ? roots : [];
        }

        foreach (var bracket in factors.Brackets)
        {
            if (bracket[0] is not { Power: 1, Number.IsZero: false } first || bracket.Count > 2) return [];
            roots.Add(bracket.Count == 1 ? default : new Rational(-bracket[1].Number, first.Number));
        }

        return roots;
    }

    private string Solved(IEnumerable<Rational> numbers)
    {
        var name = letter;
        return string.Join(", ", numbers.Select(n => $"{name} = {n.Text}"));
    }
}
