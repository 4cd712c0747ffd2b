using System.Globalization;
using System.Numerics;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Factoring;

/// <summary>Factoring quadratics, over the integers: what all terms have first, then two numbers by sum and product, then the first number divided out. Where that needs roots: half of the middle, and the gap on both sides of it.</summary>
public sealed class FactoringMethod : Method
{
    /// <inheritdoc/>
    public override Family Family => Family.Factoring;

    /// <inheritdoc/>
    protected override IReadOnlyList<DecisionPoint> OwnPoints => FactoringPoints.All;

    /// <inheritdoc/>
    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Lines, WorkFields.Cross, WorkFields.Gap];

    /// <inheritdoc/>
    public override Func<ItemTask> Items(int seed) => new FactoringItems(seed).Next;

    /// <inheritdoc/>
    public override IEnumerable<string> StatementsOf(string line) => [line];

    /// <inheritdoc/>
    public override void Walk(ItemTask task, MethodRun run)
    {
        var quadratic = (FactoringTask)task;
        if (quadratic.NeedsRoots)
        {
            run.Page.Append(quadratic.Canonical(new GapWork(run, quadratic).Factor()));
            return;
        }

        var factors = new FactoringWork(run).Factor(quadratic.A, quadratic.B, quadratic.C);
        run.Page.Append(quadratic.Canonical(factors is null ? FactoringTask.Prime : factors.Text(quadratic.Letter)));
    }
}

/// <summary>The steps of factoring one quadratic; null is "prime".</summary>
/// <param name="run">The run.</param>
internal readonly struct FactoringWork(MethodRun run)
{
    /// <summary>Factors ax² + bx + c.</summary>
    public Factors? Factor(int a, int b, int c)
    {
        var common = (int)BigInteger.GreatestCommonDivisor(BigInteger.GreatestCommonDivisor(a, b), c) * Math.Sign(a);
        var ofLetters = (int)BigInteger.GreatestCommonDivisor(a, b == 0 ? a : b) * Math.Sign(a);
        var front = common;
        var isPulled = false;
        if (common != 1 || ofLetters != 1 || Math.Abs(a) != 1)
        {
            var way = run.Ask(FactoringPoints.Common, new Quadratic(a, b, c, HadCommon: false));
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
            if (way == CommonFactor.OfNumbersHalf && common % 2 == 0 && Math.Abs(common) > 2) front = common / 2;
            if (way == CommonFactor.NotFromLast && c != 0 && (b == 0 ? common : ofLetters) is var taken && taken != 1) return Rest(taken, a / taken, b / taken, c) ?? Factors.Whole(taken, a / taken, b / taken, c);
        }

        (a, b, c) = (a / front, b / front, c / front);
        if (c == 0) return WithoutNumber(front, a, b);
        return (isPulled ? Rest(front * a, 1, b, c) : Rest(front, a, b, c)) ?? (front == 1 ? null : Factors.Whole(front, a, b, c));
    }

    private Factors? Rest(int front, int a, int b, int c) => b == 0 ? Squares(front, a, c) : Numbers(front, a, b, c);

    private Factors WithoutNumber(int front, int a, int b)
    {
        IReadOnlyList<PolyTerm> bracket = [new PolyTerm(a, 1), new PolyTerm(b, 0)];
        return run.Ask(FactoringPoints.Letter, new Quadratic(a, b, 0, front != 1)) switch
        {
            CommonLetter.Lost => new Factors(new PolyTerm(front, 0), [bracket]),
            CommonLetter.SecondNotDivided => new Factors(new PolyTerm(front, 1), [[new PolyTerm(a, 1), new PolyTerm((BigInteger)b * front, 0)]]),
            CommonLetter.FirstNotDivided => new Factors(new PolyTerm(front, 1), [[new PolyTerm((BigInteger)a * front, 1), new PolyTerm(b, 0)]]),
            CommonLetter.NeitherDivided => new Factors(new PolyTerm(front, 1), [[new PolyTerm((BigInteger)a * front, 1), new PolyTerm((BigInteger)b * front, 0)]]),
            CommonLetter.NotTaken => Factors.Whole(front, a, b, 0),
            CommonLetter.SquareTaken => new Factors(new PolyTerm(front, 2), [bracket]),
            CommonLetter.LeftInFirst => new Factors(new PolyTerm(front, 1), [[new PolyTerm(a, 2), new PolyTerm(b, 0)]]),
            CommonLetter.LeftInSecond => new Factors(new PolyTerm(front, 1), [[new PolyTerm(a, 1), new PolyTerm(b, 1)]]),
            _ => new Factors(new PolyTerm(front, 1), [bracket]),
        };
    }

    // Null where they are no two squares.
    private Factors? Squares(int front, int a, int c)
    {
        var (one, other) = ((long)RootTask.Root(a), (long)RootTask.Root(-c));
        var isSquare = (one * one == a, other * other == -c);
        var way = run.Ask(FactoringPoints.Squares, new Quadratic(a, 0, c, front != 1));
        if (c > 0 || way == TwoSquares.SaysPrime) return null;
        switch (way)
        {
            case TwoSquares.NumberNotRooted when isSquare.Item2: return Of(front, Factors.Linear(a, other), Factors.Linear(a, -other));
            case TwoSquares.Halved when isSquare.Item1 && (c % 2 == 0 || isSquare.Item2):
                var half = c % 2 == 0 ? -c / 2 : other;
                return Of(front, Factors.Linear(one, half), Factors.Linear(one, -half));
            case TwoSquares.SameSigns when isSquare is (true, true): return Of(front, Factors.Linear(one, -other), Factors.Linear(one, -other));
            case TwoSquares.PlusTwice when isSquare is (true, true): return Of(front, Factors.Linear(one, other), Factors.Linear(one, other));
            default: return isSquare is (true, true) ? WithFirst(new Quadratic(a, 0, c, front != 1), front, one * other, -one * other) : null;
        }
    }

    // Null where no two numbers are found.
    private Factors? Numbers(int front, int a, int b, int c)
    {
        var seen = new Quadratic(a, b, c, front != 1);
        var way = run.Ask(FactoringPoints.Numbers, seen);
        if (way == TwoNumbers.SaysPrime) return null;
        if (way == TwoNumbers.LetterTakenOut) return new Factors(new PolyTerm(front, 1), [[new PolyTerm(a, 1), new PolyTerm(b, 0)]]) { Behind = c };
        var found = way switch
        {
            TwoNumbers.SumOnly => (1, b - 1),
            TwoNumbers.OneAndLastAsWritten => (1, c),
            TwoNumbers.LastAndOneAsWritten => (c, 1),
            TwoNumbers.MiddleAndOne => (b, 1),
            TwoNumbers.MiddleAndLast => (b, c),
            TwoNumbers.HalvesOfMiddle => b % 2 == 0 ? (b / 2, b / 2) : null,
            TwoNumbers.RootsOfLast => RootOfLast(b, c),
            TwoNumbers.DifferenceForSum => c > 0 ? Apart(b, a * (long)c) ?? Factors.Pair(a, b, c) : Factors.Pair(a, b, c),
            TwoNumbers.NearestPair => NearestPair(a * (long)c, b),
            TwoNumbers.FirstPairOfProduct => FirstPair(a * (long)c, b, from: 2),
            TwoNumbers.FirstWithOne => FirstPair(a * (long)c, b, from: 1),
            TwoNumbers.OneAndLast => FirstPair(c, b, from: 1),
            TwoNumbers.ProductOfLastOnly => Factors.Pair(1, b, c),
            TwoNumbers.MiddleReadPositive => Factors.Pair(a, Math.Abs(b), c),
            _ => Factors.Pair(a, b, c),
        };
        if (found is not { } pair) return null;
        var (one, other) = Signed(seen, pair);
        if (run.Page.KeepsMarks) WriteCross(way == TwoNumbers.MiddleReadPositive ? Math.Abs(b) : b, way == TwoNumbers.ProductOfLastOnly ? c : a * (long)c, one, other);
        return way is TwoNumbers.MiddleAndLast or TwoNumbers.OneAndLastAsWritten or TwoNumbers.LastAndOneAsWritten or TwoNumbers.OneAndLast or TwoNumbers.ProductOfLastOnly && a != 1 ? Of(front, Factors.Linear(a, one), Factors.Linear(1, other)) : WithFirst(seen, front, one, other);
    }

    private void WriteCross(long sum, long product, long one, long other)
    {
        foreach (var (number, part) in new[] { sum, product, one, other }.Select((n, i) => (n, i))) run.Page.Write(WorkFields.Cross.Part(part), null, number.ToString(CultureInfo.InvariantCulture));
    }

    // Both numbers with the signs that the student gives them.
    private (long One, long Other) Signed(Quadratic seen, (long One, long Other) pair)
    {
        var (one, other) = pair;
        var (b, c) = (seen.B, seen.C);
        var (small, large) = (Math.Abs(one), Math.Abs(other));
        return run.Ask(FactoringPoints.Signs, seen) switch
        {
            TwoSigns.Exchanged => (-one, -other),
            TwoSigns.BothMinus => (-small, -large),
            TwoSigns.BothPlus => (small, large),
            TwoSigns.BothOfMiddle => (small * Math.Sign(b), large * Math.Sign(b)),
            TwoSigns.LargerMinus => Math.Abs(one) > Math.Abs(other) ? (-large, small) : (small, -large),
            TwoSigns.SmallerMinus => (-small, large),
            TwoSigns.BothOfLast => (small * Math.Sign(c), large * Math.Sign(c)),
            TwoSigns.Copied => (small * Math.Sign(b), large * Math.Sign(c)),
            _ => (one, other),
        };
    }

    private Factors? WithFirst(Quadratic seen, int front, long one, long other)
    {
        long a = seen.A;
        var way = run.Ask(FactoringPoints.First, seen);
        if (a == 1) return Of(front, Factors.Linear(1, one), Factors.Linear(1, way == FirstNumber.SecondSidePlus ? Math.Abs(other) : other));
        switch (way)
        {
            case FirstNumber.SaysPrime: return null;
            case FirstNumber.EndsExchanged: return Of(front, Exchanged(Factors.Divided(a, one), Factors.Divided(a, other)), Exchanged(Factors.Divided(a, other), Factors.Divided(a, one)));
            case FirstNumber.FirstBracketTwice: return Of(front, Factors.Divided(a, one), Factors.Divided(a, one));
            case FirstNumber.PassedOver: return Of(front, Factors.Linear(1, one), Factors.Linear(1, other));
            case FirstNumber.InOneBracket: return Of(front, Factors.Linear(a, one), Factors.Linear(1, other));
            case FirstNumber.InBothBrackets: return Of(front, Factors.Linear(a, one), Factors.Linear(a, other));
            case FirstNumber.OnlyFirstDivided: return Of(front, Factors.Divided(a, one), Factors.Linear(a, other));
            case FirstNumber.InFront: return Of((int)Math.Clamp(front * a, -1_000_000, 1_000_000), Factors.Linear(1, one), Factors.Linear(1, other));
            case FirstNumber.DenominatorsDropped: return Of(front, Factors.Linear(1, (long)new Rational(one, a).Top), Factors.Linear(1, (long)new Rational(other, a).Top));
            case FirstNumber.SecondSidePlus: return Of(front, Factors.Divided(a, one), [.. Factors.Divided(a, other).Select(t => t.Power == 0 ? t with { Number = BigInteger.Abs(t.Number) } : t)]);
            case FirstNumber.OnlyWholeFirst when Factors.Divided(a, one)[0].Number != a && Factors.Divided(a, other)[0].Number != a: return null;
            default: return Of(front, Factors.Divided(a, one), Factors.Divided(a, other));
        }
    }

    private static IReadOnlyList<PolyTerm> Exchanged(IReadOnlyList<PolyTerm> first, IReadOnlyList<PolyTerm> second) => [first[0], second[^1]];

    private static (long One, long Other)? RootOfLast(int b, int c) => RootTask.Root(Math.Abs(c)) is var root && root * root == Math.Abs(c) ? ((long)root * Math.Sign(b), (long)root * Math.Sign(b)) : null;

    // Two numbers with a product and a difference; both get the sign of what they should add up to but for the smaller.
    private static (long One, long Other)? Apart(int b, long product)
    {
        for (long one = 1; one * one <= product; one++)
            if (product % one == 0 && product / one - one == Math.Abs(b)) return (-one * Math.Sign(b), product / one * Math.Sign(b));
        return null;
    }

    private static (long One, long Other)? NearestPair(long product, int b)
    {
        var one = (long)RootTask.Root(Math.Abs(product));
        while (one > 1 && product % one != 0) one--;
        return FirstPair(product, b, Math.Max(1, one));
    }

    private static Factors Of(int front, IReadOnlyList<PolyTerm> one, IReadOnlyList<PolyTerm> other) => new(new PolyTerm(front, 0), [one, other]);

    // The first two numbers with a product, whatever their sum; the larger gets the sign of the middle.
    private static (long One, long Other)? FirstPair(long product, int b, long from)
    {
        var size = Math.Abs(product);
        for (var one = from; one * one <= size; one++)
            if (size % one == 0) return Signed(one, size / one);
        return Signed(1, size);

        (long, long) Signed(long one, long other) => product > 0
            ? b < 0 ? (-one, -other) : (one, other)
            : b < 0 ? (one, -other) : (-one, other);
    }
}
