namespace YellowPencil.Core.Families.Polynomials;

/// <summary>Two or three brackets of two to four terms, small numbers before the letter; half of them with a minus before a bracket.</summary>
internal sealed class PolynomialItems(int seed)
{
    private readonly Random random = new(seed);

    public PolynomialTask Next()
    {
        while (true)
        {
            var letter = "xxyat"[random.Next(5)];
            var highest = random.Next(4) switch { 0 => 1, 3 => 3, _ => 2 };
            var groups = Enumerable.Range(0, random.Next(3) == 0 ? 3 : 2).Select(i => new TermGroup(i > 0 && random.Next(2) == 0, Terms(highest))).ToList();
            var task = new PolynomialTask(groups, letter);
            if (task.RightTerms.Count > 0) return task;
        }
    }

    private List<PolyTerm> Terms(int highest)
    {
        while (true)
        {
            var terms = Enumerable.Range(0, highest + 1).Reverse().Where(_ => random.Next(4) > 0).Select(power => new PolyTerm(Number(), power)).ToList();
            if (terms.Count >= 2) return terms;
        }
    }

    private int Number() => random.Next(1, random.Next(3) == 0 ? 13 : 10) * (random.Next(3) == 0 ? -1 : 1);
}
