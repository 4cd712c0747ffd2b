namespace YellowPencil.Core.Families.Expanding;

/// <summary>A term and a bracket for a third of the items, two brackets for another, squares and a sum times a difference for the rest.</summary>
internal sealed class ExpandingItems(int seed)
{
    private readonly Random random = new(seed);

    public ExpandingTask Next()
    {
        var letter = "xxyan"[random.Next(5)];
        switch (random.Next(6))
        {
            case 0 or 1:
                var before = new PolyTerm(random.Next(2, 10) * (random.Next(4) == 0 ? -1 : 1), random.Next(3) == 0 ? 1 : 0);
                return new ExpandingTask(before, Bracket(random.Next(2) == 0 ? 1 : 9), null, false, letter);
            case 2 or 3:
                return new ExpandingTask(null, Bracket(random.Next(2) == 0 ? 1 : 5), Bracket(random.Next(2) == 0 ? 1 : 5), false, letter);
            case 4:
                return new ExpandingTask(null, Bracket(random.Next(2) == 0 ? 1 : 6), null, true, letter);
            default:
                var bracket = Bracket(random.Next(2) == 0 ? 1 : 5);
                return new ExpandingTask(null, bracket, [bracket[0], bracket[1].Turned], false, letter);
        }
    }

    private List<PolyTerm> Bracket(int most)
    {
        List<PolyTerm> bracket = [new PolyTerm(random.Next(1, most + 1), 1), new PolyTerm(random.Next(1, 13) * (random.Next(2) == 0 ? -1 : 1), 0)];
        return random.Next(12) == 0 ? [bracket[1], bracket[0]] : bracket;
    }
}
