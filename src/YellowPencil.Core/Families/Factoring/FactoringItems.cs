namespace YellowPencil.Core.Families.Factoring;

/// <summary>
/// Quadratics made from their factors: with first number 1, with another, with a common factor, differences of squares, without a plain number, and a few that
/// have no factors.
/// </summary>
internal sealed class FactoringItems(int seed)
{
    private readonly Random random = new(seed);

    public FactoringTask Next()
    {
        while (true)
        {
            var letter = "xxxyatn"[random.Next(7)];
            var (p, q, r, s) = (1, Number(), 1, Number());
            switch (random.Next(8))
            {
                case 0 or 1 or 2: break;
                case 3 or 4 or 5: (p, r) = (random.Next(1, 6), random.Next(2, 6)); break;
                case 6: (p, q, r, s) = random.Next(2) == 0 ? (random.Next(1, 6), q, p, -q) : (random.Next(1, 7), q, 1, 0); break;
                default: return new FactoringTask(1, random.Next(1, 8), random.Next(3, 12), letter);
            }

            if (s == -q) r = p;
            var common = random.Next(4) == 0 ? random.Next(2, 6) : 1;
            var (a, b, c) = (common * p * r, common * (p * s + q * r), common * q * s);
            if ((b != 0 || c < 0) && (b != 0 || c != 0) && Math.Abs(b) < 200 && Math.Abs(c) < 400) return new FactoringTask(a, b, c, letter);
        }
    }

    private int Number() => random.Next(1, 13) * (random.Next(2) == 0 ? -1 : 1);
}
