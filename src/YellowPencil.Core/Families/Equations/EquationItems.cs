namespace YellowPencil.Core.Families.Equations;

/// <summary>Letter and number on the left, letters on both sides, brackets; mostly with a whole answer.</summary>
internal sealed class EquationItems(int seed)
{
    private readonly Random random = new(seed);

    public EquationTask Next()
    {
        while (true)
        {
            var letter = "xxxyatn"[random.Next(7)];
            var answer = random.Next(-9, 13);
            var (a, c) = (Number(9), Number(9));
            var b = random.Next(-15, 16);
            List<SideTerm> left = [new(Rational.Whole(a), true), new(Rational.Whole(b), false)];
            List<SideTerm> right = [];
            switch (random.Next(6))
            {
                case 0 or 1: break;
                case 2 or 3: right = [new(Rational.Whole(c), true)]; break;
                case 4: left = [new(Rational.Whole(random.Next(2, 8)), false, [new(Rational.Whole(Math.Abs(a)), true), new(Rational.Whole(b), false)])]; break;
                default:
                    left = [
                    new(Rational.Whole(random.Next(2, 10)), random.Next(2) == 0),
                    new(Rational.Whole(-random.Next(2, 6)), false, [new(Rational.Whole(random.Next(1, 4)), true), new(Rational.Whole(b), false)]),
                ]; break;
            }

            if (b == 0) continue;
            if (random.Next(6) == 0 && left.Count == 2 && left[1].Bracket is null) left = [left[1], left[0]];

            // The plain number on the right is what makes the answer come out; now and then it does not.
            var (letters, numbers) = EquationTask.Sum(left);
            var (rightLetters, _) = EquationTask.Sum(right);
            var rest = (letters - rightLetters) * Rational.Whole(answer) + numbers + Rational.Whole(random.Next(5) == 0 ? random.Next(1, 4) : 0);
            if (letters == rightLetters && random.Next(3) > 0) continue;
            if (!rest.IsZero || right.Count == 0) right.Add(new SideTerm(rest, false));
            if (right.Count == 1 && rest.IsZero && right[0].HasLetter is false) continue;
            return new EquationTask(left, right, letter);
        }
    }

    private int Number(int most) => random.Next(1, most + 1) * (random.Next(4) == 0 ? -1 : 1);
}
