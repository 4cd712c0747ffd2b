using System.Numerics;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Factoring;

/// <summary>Factoring quadratics over the integers: what all terms have first, then two numbers by sum and product, then the first number divided out.</summary>
public sealed class FactoringMethod : Method
{
    /// <inheritdoc/>
    public override Family Family => Family.Factoring;

    /// <inheritdoc/>
    protected override IReadOnlyList<DecisionPoint> OwnPoints => FactoringPoints.All;

    /// <inheritdoc/>
    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Lines];

    /// <inheritdoc/>
    public override Func<ItemTask> Items(int seed) => new FactoringItems(seed).Next;

    /// <inheritdoc/>
    public override IEnumerable<string> StatementsOf(string line) => [line];

    /// <inheritdoc/>
    public override void Walk(ItemTask task, MethodRun run)
    {
        var quadratic = (FactoringTask)task;
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
        if (common != 1 || ofLetters != 1 || Math.Abs(a) != 1)
        {
            var way = run.Ask(FactoringPoints.Common, new Quadratic(a, b, c, HadCommon: false));
            switch (way)
            {
                case CommonFactor.LeftIn: front = 1; break;
                case CommonFactor.OfNumbersHalf when common % 2 == 0 && Math.Abs(common) > 2: front = common / 2; break;
                case CommonFactor.NotFromLast when ofLetters != 1 && c != 0 && b != 0 || (way == CommonFactor.NotFromLast && common != 1 && c != 0):
                    var taken = b == 0 ? common : ofLetters;
                    return Numbers(taken, a / taken, b / taken, c) ?? Factors.Whole(taken, a / taken, b / taken, c);
                case CommonFactor.FirstNumberPulled when Math.Abs(a) != 1 && common == 1 && c != 0 && b != 0:
                    return Numbers(a, 1, b, c);
                default: break;
            }
        }

        (a, b, c) = (a / front, b / front, c / front);
        if (c == 0) return WithoutNumber(front, a, b);
        return b == 0 ? Squares(front, a, c) : Numbers(front, a, b, c) ?? (front == 1 ? null : Factors.Whole(front, a, b, c));
    }

    private Factors WithoutNumber(int front, int a, int b)
    {
        IReadOnlyList<PolyTerm> bracket = [new PolyTerm(a, 1), new PolyTerm(b, 0)];
        return run.Ask(FactoringPoints.Letter, new Quadratic(a, b, 0, front != 1)) switch
        {
            CommonLetter.Lost => new Factors(new PolyTerm(front, 0), [bracket]),
            CommonLetter.LeftInSecond => new Factors(new PolyTerm(front, 1), [[new PolyTerm(a, 1), new PolyTerm(b, 1)]]),
            _ => new Factors(new PolyTerm(front, 1), [bracket]),
        };
    }

    private Factors? Squares(int front, int a, int c)
    {
        var (one, other) = (RootTask.Root(a), RootTask.Root(-c));
        var isDifference = one * one == a && other * other == -c && c < 0;
        var way = run.Ask(FactoringPoints.Squares, new Quadratic(a, 0, c, front != 1));
        if (way == TwoSquares.SaysPrime || (!isDifference && way is not TwoSquares.Halved)) return front == 1 ? null : Factors.Whole(front, a, 0, c);
        var (first, second) = way switch
        {
            TwoSquares.NumberNotRooted => (a, other),
            TwoSquares.Halved => (a % 2 == 0 && isDifference ? a / 2 : one, c % 2 == 0 ? -c / 2 : other),
            _ => (one, other),
        };
        if (way == TwoSquares.Halved && (!isDifference && (one * one != a || c % 2 != 0 || c > 0))) return front == 1 ? null : Factors.Whole(front, a, 0, c);
        return new Factors(new PolyTerm(front, 0), [Factors.Linear((long)first, (long)second), Factors.Linear((long)first, (long)(way == TwoSquares.SameSigns ? second : -second))]);
    }

    // Null where no two numbers are found.
    private Factors? Numbers(int front, int a, int b, int c)
    {
        var seen = new Quadratic(a, b, c, front != 1);
        var way = run.Ask(FactoringPoints.Numbers, seen);
        var found = way switch
        {
            TwoNumbers.FirstPairOfProduct => FirstPair(a * (long)c, b, from: 2),
            TwoNumbers.FirstWithOne => FirstPair(a * (long)c, b, from: 1),
            TwoNumbers.OneAndLast => FirstPair(c, b, from: 1),
            TwoNumbers.ProductOfLastOnly => Factors.Pair(1, b, c),
            TwoNumbers.MiddleReadPositive => Factors.Pair(a, Math.Abs(b), c),
            _ => Factors.Pair(a, b, c),
        };
        if (found is not { } pair) return null;
        var (one, other) = pair;
        var (small, large) = (Math.Abs(one), Math.Abs(other));
        (one, other) = run.Ask(FactoringPoints.Signs, seen) switch
        {
            TwoSigns.Exchanged => (-one, -other),
            TwoSigns.BothMinus => (-small, -large),
            TwoSigns.BothPlus => (small, large),
            TwoSigns.BothOfMiddle => (small * Math.Sign(b), large * Math.Sign(b)),
            TwoSigns.Copied => (small * Math.Sign(b), large * Math.Sign(c)),
            _ => (one, other),
        };
        if (way == TwoNumbers.OneAndLast && a != 1) return Of(front, Factors.Linear(a, one), Factors.Linear(1, other));
        if (a == 1) return Of(front, Factors.Linear(1, one), run.Ask(FactoringPoints.First, seen) == FirstNumber.SecondSidePlus ? Factors.Linear(1, Math.Abs(other)) : Factors.Linear(1, other));
        switch (run.Ask(FactoringPoints.First, seen))
        {
            case FirstNumber.PassedOver: return Of(front, Factors.Linear(1, one), Factors.Linear(1, other));
            case FirstNumber.InOneBracket: return Of(front, Factors.Linear(a, one), Factors.Linear(1, other));
            case FirstNumber.InBothBrackets: return Of(front, Factors.Linear(a, one), Factors.Linear(a, other));
            case FirstNumber.OnlyFirstDivided: return Of(front, Factors.Divided(a, one), Factors.Linear(a, other));
            case FirstNumber.InFront: return Of(front * a, Factors.Linear(1, one), Factors.Linear(1, other));
            case FirstNumber.DenominatorsDropped: return Of(front, Factors.Linear(1, (long)new Rational(one, a).Top), Factors.Linear(1, (long)new Rational(other, a).Top));
            case FirstNumber.SecondSidePlus: return Of(front, Factors.Divided(a, one), [.. Factors.Divided(a, other).Select(t => t.Power == 0 ? t with { Number = BigInteger.Abs(t.Number) } : t)]);
            case FirstNumber.OnlyWholeFirst when Factors.Divided(a, one)[0].Number != a && Factors.Divided(a, other)[0].Number != a: return null;
            default: return Of(front, Factors.Divided(a, one), Factors.Divided(a, other));
        }
    }

    private static Factors Of(int front, IReadOnlyList<PolyTerm> one, IReadOnlyList<PolyTerm> other) => new(new PolyTerm(front, 0), [one, other]);

    // The first two numbers with a product, whatever their sum; the larger gets the sign of the middle.
    private static (long One, long Other)? FirstPair(long product, int b, int from)
    {
        var size = Math.Abs(product);
        for (long one = from; one * one <= size; one++)
            if (size % one == 0) return Signed(one, size / one);
        return Signed(1, size);

        (long, long) Signed(long one, long other) => product > 0
            ? b < 0 ? (-one, -other) : (one, other)
            : b < 0 ? (one, -other) : (-one, other);
    }
}
