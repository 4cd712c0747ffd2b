using System.Globalization;
using System.Numerics;
using YellowPencil.Core.Parts.Terms;

namespace YellowPencil.Core.Families.Factoring;

/// <summary>The steps of factoring one quadratic from where the working stands; null is "prime".</summary>
/// <param name="run">The run.</param>
/// <param name="task">A quadratic whose factors, if it has any, are without roots.</param>
internal readonly struct FactoringWork(MethodRun run, FactoringTask task)
{
    private readonly int before = task.Stage?.Front ?? 1;
    private readonly FactoringSchool school = run.School.Of(School.Factoring);

    public string Factor()
    {
        if (task.Stage?.Finished is { } finished) return Ended(finished.Factors);
        var factors = task.Stage is { IsBegun: true } stage ? GoOn(stage) : FromStart(task.A, task.B, task.C);
        if (factors is null && before != 1) factors = Factors.Whole(1, task.A, task.B, task.C);
        return factors is null ? FactoringTask.Prime : Ended(factors.Times(before));
    }

    private string Ended(Factors factors)
    {
        var end = run.Ask(FactoringDecisions.End, Seen(factors));
        if (run.Page.KeepsMarks && end != FactorsEnd.AsFactors) run.Page.Pass(factors.Text(task.Letter), isWritten: true);
        return new FactorsText(factors, task.Letter).After(end);
    }

    private Quadratic Seen(Factors factors) => ContextOf(task.A, task.B, task.C, factors.Front is { Power: 0, Number.IsOne: true } ? 1 : 2);

    private Factors? GoOn(FactoringStage stage) => stage.Numbers is { } numbers
        ? IntoBrackets(ContextOf(task.A, task.B, task.C, 1), 1, numbers, stage.IsInBrackets)
        : Numbers(1, task.A, task.B, task.C);

    private Quadratic ContextOf(int a, int b, int c, int front) => new(a, b, c, HadCommon: front != 1 || before != 1);

    private Factors? FromStart(int a, int b, int c)
    {
        var common = (int)BigInteger.GreatestCommonDivisor(BigInteger.GreatestCommonDivisor(a, b), c) * Math.Sign(a);
        var ofLetters = (int)BigInteger.GreatestCommonDivisor(a, b == 0 ? a : b) * Math.Sign(a);
        var front = common;
        var isPulled = false;
        if (common != 1 || ofLetters != 1 || Math.Abs(a) != 1)
        {
            var way = run.Ask(FactoringDecisions.Common, ContextOf(a, b, c, 1));
            isPulled = way == CommonFactor.FirstNumberPulled && c != 0 && Math.Abs(a / common) != 1;
            if (way == CommonFactor.LeftIn) front = 1;
            if (way == CommonFactor.OfFirstTwo && b != 0 && c != 0 && common == 1)
            {
                var two = (int)BigInteger.GreatestCommonDivisor(a, b) * Math.Sign(a);
                return new Factors(new PolyTerm(two, 1), [[new PolyTerm(a / two, 1), new PolyTerm(b / two, 0)]]) { Behind = c };
            }

            if (way == CommonFactor.NothingElse && c != 0 && common != 1) return Factors.Whole(common, a / common, b / common, c / common);
            if (way == CommonFactor.Lost && common != 1) (front, a, b, c) = (1, a / common, b / common, c / common);
            if (way == CommonFactor.NumberOnly && c == 0) return common == 1 ? null : Factors.Whole(common, a / common, b / common, 0);
            if (way == CommonFactor.OfNumbersHalf && before != 1) front = 1;
            else if (way == CommonFactor.OfNumbersHalf && common % 2 == 0 && Math.Abs(common) > 2) front = common / 2;
            if (way == CommonFactor.NotFromLast && c != 0 && (b == 0 ? common : ofLetters) is var taken && taken != 1)
                return Rest(taken, a / taken, b / taken, c) ?? Factors.Whole(taken, a / taken, b / taken, c);
        }

        (a, b, c) = (a / front, b / front, c / front);
        if (run.Page.KeepsMarks && front != 1) run.Page.Pass(Factors.Whole(front, a, b, c).Text(task.Letter), isWritten: c != 0);
        if (c == 0) return WithoutNumber(front, a, b);
        return (isPulled ? Rest(front * a, 1, b, c) : Rest(front, a, b, c)) ?? (front == 1 ? null : Factors.Whole(front, a, b, c));
    }

    private Factors? Rest(int front, int a, int b, int c) => b == 0 ? Squares(front, a, c) : Numbers(front, a, b, c);

    private Factors WithoutNumber(int front, int a, int b)
    {
        IReadOnlyList<PolyTerm> bracket = [new PolyTerm(a, 1), new PolyTerm(b, 0)];
        return run.Ask(FactoringDecisions.Letter, ContextOf(a, b, 0, front)) switch
        {
            CommonLetter.Lost => new Factors(new PolyTerm(front, 0), [bracket]),
            CommonLetter.SecondNotDivided => new Factors(new PolyTerm(front, 1), [[new PolyTerm(a, 1), new PolyTerm((BigInteger)b * front, 0)]]),
            CommonLetter.FirstNotDivided => new Factors(new PolyTerm(front, 1), [[new PolyTerm((BigInteger)a * front, 1), new PolyTerm(b, 0)]]),
            CommonLetter.NeitherDivided =>
                new Factors(new PolyTerm(front, 1), [[new PolyTerm((BigInteger)a * front, 1), new PolyTerm((BigInteger)b * front, 0)]]),
            CommonLetter.NotTaken => Factors.Whole(front, a, b, 0),
            CommonLetter.NothingForOne when Math.Abs(b) == 1 => new Factors(new PolyTerm(front, 1), [[new PolyTerm(a, 1)]]),
            CommonLetter.SquareTaken => new Factors(new PolyTerm(front, 2), [bracket]),
            CommonLetter.LeftInFirst => new Factors(new PolyTerm(front, 1), [[new PolyTerm(a, 2), new PolyTerm(b, 0)]]),
            CommonLetter.LeftInSecond => new Factors(new PolyTerm(front, 1), [[new PolyTerm(a, 1), new PolyTerm(b, 1)]]),
            _ => new Factors(new PolyTerm(front, 1), [bracket]),
        };
    }

    // Null where they are no two squares.
    private Factors? Squares(int front, int a, int c)
    {
        var (one, other) = ((long)Exact.Root(a), (long)Exact.Root(-c));
        var isSquare = (one * one == a, other * other == -c);
        var way = run.Ask(FactoringDecisions.Squares, ContextOf(a, 0, c, front));
        var (sum, square) = ((long)Exact.Root(Math.Abs(c)), isSquare.Item1 && Quadratic.IsSquare(Math.Abs(c)));
        if (way == TwoSquares.SumAsSquare && c > 0 && square) return Of(front, Factors.Linear(one, sum), Factors.Linear(one, sum));
        if (way == TwoSquares.SumAsDifference && c > 0 && square) return Of(front, Factors.Linear(one, sum), Factors.Linear(one, -sum));
        if (c > 0 || way == TwoSquares.SaysPrime) return null;
        switch (way)
        {
            case TwoSquares.NumberNotRooted when isSquare.Item2: return Of(front, Factors.Linear(a, other), Factors.Linear(a, -other));
            case TwoSquares.Halved when isSquare.Item1 && (c % 2 == 0 || isSquare.Item2):
                var half = c % 2 == 0 ? -c / 2 : other;
                return Of(front, Factors.Linear(one, half), Factors.Linear(one, -half));
            case TwoSquares.SameSigns when isSquare is (true, true): return Of(front, Factors.Linear(one, -other), Factors.Linear(one, -other));
            case TwoSquares.DifferenceAsSquare when isSquare is (true, true): return Of(front, Factors.Linear(one, -other), Factors.Linear(one, -other));
            case TwoSquares.FirstNotRooted when isSquare is (true, true): return Of(front, Factors.Linear(a, other), Factors.Linear(a, -other));
            case TwoSquares.LastNotRooted when isSquare.Item1: return Of(front, Factors.Linear(one, -c), Factors.Linear(one, c));
            case TwoSquares.NeitherRooted: return Of(front, Factors.Linear(a, -c), Factors.Linear(a, c));
            case TwoSquares.PlusTwice when isSquare is (true, true): return Of(front, Factors.Linear(one, other), Factors.Linear(one, other));
            default:
                var seen = ContextOf(a, 0, c, front);
                return isSquare is not (true, true)
                    ? null
                    : school == FactoringSchool.MiddleAndGap
                    ? ByGap(seen, front, 0, (long)a * c)
                    : !Divisor(a, c).IsOne
                    ? Of(front, Factors.Linear(one, other), Factors.Linear(one, -other))
                    : WithFirst(seen, front, one * other, -one * other);
        }
    }

    // Null where no two numbers are found.
    private Factors? Numbers(int front, int a, int b, int c)
    {
        var seen = ContextOf(a, b, c, front);
        var way = run.Ask(FactoringDecisions.Numbers, seen);
        if (way == TwoNumbers.SaysPrime) return null;
        if (way == TwoNumbers.LetterTakenOut) return new Factors(new PolyTerm(front, 1), [[new PolyTerm(a, 1), new PolyTerm(b, 0)]]) { Behind = c };
        var sum = way == TwoNumbers.MiddleReadPositive ? Math.Abs(b) : b;
        var product = way == TwoNumbers.ProductOfLastOnly ? c : a * (long)c;
        if (school == FactoringSchool.MiddleAndGap && way is TwoNumbers.SumAndProduct or TwoNumbers.ProductOfLastOnly or TwoNumbers.MiddleReadPositive)
            return ByGap(seen, front, sum, product, isPutAsTheyAre: way == TwoNumbers.ProductOfLastOnly);
        NumberPair? found = FactoringDecisions.Numbers.Result(way, seen, run.School) is { IsFound: true } numbers ? numbers : null;
        if (run.Recording) run.Trials += school == FactoringSchool.CrossAndBox ? PairsTried(product, found) : 0;
        if (found is not { } pair)
        {
            if (run.Page.KeepsMarks && school == FactoringSchool.TrialPairs) WriteTrials(seen, null);
            return null;
        }

        var (one, other) = run.Do(FactoringDecisions.Signs, seen with { Pair = pair });
        if (run.Page.KeepsMarks && school == FactoringSchool.CrossAndBox) WriteCross(sum, product, one, other);
        return pair.StayAsTheyAre
            ? AsTheyAre(seen, front, one, other)
            : WithFirst(seen, front, one, other);
    }

    // The first number in one bracket, and the two numbers where they stand.
    private Factors? AsTheyAre(Quadratic seen, int front, long one, long other) =>
        seen.A == 1 ? WithFirst(seen, front, one, other) : Marked(seen, one, other, Of(front, Factors.Linear(seen.A, one), Factors.Linear(1, other)));

    private Factors? IntoBrackets(Quadratic seen, int front, (Rational One, Rational Other) numbers, bool isInBrackets = false, bool isPutAsTheyAre = false)
    {
        if (!numbers.One.IsWhole || !numbers.Other.IsWhole) return Factors.WithFractions(front, seen.A, numbers.One, numbers.Other);
        var pair = new NumberPair((long)numbers.One.Numerator, (long)numbers.Other.Numerator);
        var (one, other) = isInBrackets || seen.B == 0 ? pair : run.Do(FactoringDecisions.Signs, seen with { Pair = pair });
        return isPutAsTheyAre ? AsTheyAre(seen, front, one, other) : WithFirst(seen, front, one, other);
    }

    // Two numbers lie equally far from half of their sum. Null where the gap has no exact root.
    private Factors? ByGap(Quadratic seen, int front, int sum, long product, bool isPutAsTheyAre = false)
    {
        var stage = task.Stage;
        var (middle, squared) = new GapSteps(run, seen).MiddleAndSquared(Rational.Whole(sum), new Rational(sum, 2), Rational.Whole(product), stage);
        if (squared.Sign < 0) return null;
        seen = seen with { Squared = squared };
        var way = stage?.Gap is null ? run.Ask(GapDecisions.Root, seen) : GapRoot.Rooted;
        var gap = stage?.Gap ?? (way == GapRoot.Rooted ? NumberSentence.RootOf(squared) : GapDecisions.Root.Result(way, seen, run.School));
        if (gap is not { } found) return null;
        if (stage?.Gap is null) GapSteps.Write(run, GapSteps.GapPart, "g", found);
        var sides = run.Ask(GapDecisions.Sides, seen);
        var (about, off) = sides switch
        {
            GapSides.AroundWhole => (middle + middle, found),
            GapSides.AroundZero => (default, found),
            GapSides.GapHalved => (middle, found * new Rational(1, 2)),
            _ => (middle, found),
        };
        var (plus, minus) = (about + off, about - off);
        return sides switch
        {
            GapSides.PlusTwice => IntoBrackets(seen, front, (plus, plus)),
            GapSides.MinusTwice => IntoBrackets(seen, front, (minus, minus)),
            GapSides.OneOnly => Factors.WithFractions(front, seen.A, plus),
            _ => IntoBrackets(seen, front, Rational.Abs(plus) > Rational.Abs(minus) ? (minus, plus) : (plus, minus), isPutAsTheyAre: isPutAsTheyAre),
        };
    }

    private static int PairsTried(long product, NumberPair? found)
    {
        var (tried, size) = (0, Math.Abs(product));
        for (long one = 1; one * one <= size; one++)
        {
            if (size % one == 0) tried++;
            if (found is { } pair && (Math.Abs(pair.One) == one || Math.Abs(pair.Other) == one)) break;
        }

        return tried;
    }

    // What stands beside the brackets once they are there: what was tried, or the box; and lines that somebody may write on the way.
    private Factors? Marked(Quadratic seen, long one, long other, Factors? factors)
    {
        if (!run.Page.KeepsMarks) return factors;
        if (school == FactoringSchool.TrialPairs && seen.B != 0) WriteTrials(seen, factors);
        if (factors is null || factors.Brackets.Count != 2) return factors;
        if (factors.Front is not { Power: 0, Number.IsOne: true } || before != 1)
            run.Page.Pass(BracketText.Write(new PolyTerm(1, 0), factors.Brackets, task.Letter), isWritten: false);
        if (school != FactoringSchool.CrossAndBox || seen.B == 0) return factors;
        var cells = new[] { new PolyTerm(seen.A, 2), new PolyTerm(one, 1), new PolyTerm(other, 1), new PolyTerm(seen.C, 0) };
        GridMarks.Write(run.Page, factors.Brackets[0], factors.Brackets[1], [[cells[0], cells[1]], [cells[2], cells[3]]], task.Letter);
        return factors;
    }

    private void WriteTrials(Quadratic seen, Factors? factors)
    {
        var (row, letter) = (0, task.Letter);
        var found = factors is { Brackets.Count: 2 } ? BracketText.Write(new PolyTerm(1, 0), factors.Brackets, letter) : null;
        var tried = TrialPairs.Of(seen.A, seen.C).Select(pair => BracketText.Write(new PolyTerm(1, 0), [pair.One, pair.Other], letter)).ToList();
        var at = found is null ? tried.Count - 1 : tried.IndexOf(found);
        if (found is not null && at < 0) (tried, at) = ([found], 0);
        if (run.Recording) run.Trials += at + 1;
        foreach (var pair in tried.Take(at + 1).TakeLast(TrialPairs.MostWritten)) run.Page.Write(WorkFields.Tried.Value(row++), null, pair);
    }

    private void WriteCross(long sum, long product, long one, long other)
    {
        foreach (var (number, part) in new[] { sum, product, one, other }.Select((n, i) => (n, i)))
            run.Page.Write(WorkFields.Cross.Part(part), null, number.ToString(CultureInfo.InvariantCulture));
    }

    private Factors? WithFirst(Quadratic seen, int front, long one, long other)
    {
        if (run.Page.KeepsMarks) PassNumbers(seen, one, other);
        return Marked(seen, one, other, FirstShared(seen, front, one, other));
    }

    private void PassNumbers(Quadratic seen, long one, long other)
    {
        var letter = task.Letter;
        run.Page.Pass($"{one} * {other} = {one * other}", isWritten: false);
        run.Page.Pass(
            PolynomialText.Write([new PolyTerm(seen.A, 2), new PolyTerm(one, 1), new PolyTerm(other, 1), new PolyTerm(seen.C, 0)], letter), isWritten: false);
        if (seen.A == 1) return;
        run.Page.Pass(BracketText.Write(new PolyTerm(1, 0), [Factors.Linear(seen.A, one), Factors.Linear(seen.A, other)], letter), isWritten: false);
        run.Page.Pass(Factors.Monic(seen.A, Rational.Whole(one), Rational.Whole(other)).Text(letter), isWritten: school == FactoringSchool.MiddleAndGap);
    }

    private Factors? FirstShared(Quadratic seen, int front, long one, long other)
    {
        long a = seen.A;
        var way = run.Ask(FactoringDecisions.First, seen with { Pair = new(one, other) });
        if (a == 1) return Of(front, Factors.Linear(1, one), Factors.Linear(1, way == FirstNumber.SecondSidePlus ? Math.Abs(other) : other));
        switch (way)
        {
            case FirstNumber.SaysPrime: return null;
            case FirstNumber.FractionsLeft: return new Factors(new PolyTerm(front, 0), []) { Fractional = Monic(a, front, one, other) };
            case FirstNumber.DividedFromOneOnly when one % a == 0 && other % a == 0: return Of(front, Factors.Linear(a, one / a), Factors.Linear(1, other / a));
            case FirstNumber.EndsExchanged:
                return Of(
                front, Exchanged(Factors.Divided(a, one), Factors.Divided(a, other)), Exchanged(Factors.Divided(a, other), Factors.Divided(a, one)));
            case FirstNumber.FirstBracketTwice: return Of(front, Factors.Divided(a, one), Factors.Divided(a, one));
            case FirstNumber.PassedOver: return Of(front, Factors.Linear(1, one), Factors.Linear(1, other));
            case FirstNumber.InOneBracket: return Of(front, Factors.Linear(a, one), Factors.Linear(1, other));
            case FirstNumber.InBothBrackets: return Of(front, Factors.Linear(a, one), Factors.Linear(a, other));
            case FirstNumber.OnlyFirstDivided: return Of(front, Factors.Divided(a, one), Factors.Linear(a, other));
            case FirstNumber.InFront: return Of((int)Math.Clamp(front * a, -1_000_000, 1_000_000), Factors.Linear(1, one), Factors.Linear(1, other));
            case FirstNumber.DenominatorsDropped:
                return Of(
                front, Factors.Linear(1, (long)new Rational(one, a).Numerator), Factors.Linear(1, (long)new Rational(other, a).Numerator));
            case FirstNumber.SecondSidePlus:
                return Of(
                front, Factors.Divided(a, one), [.. Factors.Divided(a, other).Select(t => t.Power == 0 ? t with { Number = BigInteger.Abs(t.Number) } : t)]);
            case FirstNumber.OnlyWholeFirst when Factors.Divided(a, one)[0].Number != a && Factors.Divided(a, other)[0].Number != a: return null;
            default: return school == FactoringSchool.MiddleAndGap || seen.B == 0 ? Of(front, Factors.Divided(a, one), Factors.Divided(a, other)) : Shared(front, seen, one, other);
        }
    }

    // What all terms have and was left in stays in one bracket.
    private static Factors Shared(int front, Quadratic seen, long one, long other)
    {
        long a = seen.A;
        var (first, second) = (Factors.Divided(a, one), Factors.Divided(a, other));
        if (BigInteger.Abs(first[0].Number * second[0].Number) == Math.Abs(a) || seen.C == 0) return Of(front, first, second);
        var (large, small) = Math.Abs(one) > Math.Abs(other) ? (one, other) : (other, one);
        var taken = (long)Divisor(a, large);
        return (small * taken % a == 0) ? Of(front, Factors.Divided(a, large), Factors.Linear(taken, small * taken / a)) : Of(front, first, second);
    }

    private static BigInteger Divisor(long one, long other) => BigInteger.GreatestCommonDivisor(one, other);

    private static SurdFactors Monic(long a, int front, long one, long other) =>
        Factors.Monic(a, Rational.Whole(one), Rational.Whole(other)) with { Front = front };

    private static IReadOnlyList<PolyTerm> Exchanged(IReadOnlyList<PolyTerm> first, IReadOnlyList<PolyTerm> second) => [first[0], second[^1]];

    private static Factors Of(int front, IReadOnlyList<PolyTerm> one, IReadOnlyList<PolyTerm> other) => new(new PolyTerm(front, 0), [one, other]);
}
