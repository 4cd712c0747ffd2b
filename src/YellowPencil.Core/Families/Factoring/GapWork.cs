using System.Numerics;

namespace YellowPencil.Core.Families.Factoring;

/// <summary>
/// The steps of factoring by middle and gap: two numbers with a sum lie equally far from its half, and the square of that distance is the square of the half
/// less the product.
/// </summary>
/// <param name="run">The run.</param>
/// <param name="task">A quadratic whose factors have roots in them.</param>
internal readonly struct GapWork(MethodRun run, FactoringTask task)
{
    /// <summary>The factors as an answer.</summary>
    public string Factor()
    {
        var seen = new Quadratic(task.A, task.B, task.C, HadCommon: task.Stage is { Front: not 1 });
        var whole = new Rational(task.B, task.A);
        var (middle, squared) = new GapSteps(run, seen).MiddleAndSquared(whole, whole * new Rational(1, 2), new Rational(task.C, task.A), task.Stage);
        var takesRoot = true;
        if (squared.Sign < 0)
        {
            if (task.Over != FactorsOver.Complex) return FactoringTask.Prime;
            switch (run.Ask(GapDecisions.BelowZero, seen))
            {
                case GapBelowZero.WithoutI: squared = -squared; break;
                case GapBelowZero.IWithoutRoot: takesRoot = false; break;
                default: break;
            }
        }

        seen = seen with { Squared = squared };
        var root = task.Stage?.Gap is null ? run.Ask(GapDecisions.Root, seen) : GapRoot.Rooted;
        var ends = run.Ask(GapDecisions.Sides, seen) switch
        {
            GapSides.PlusTwice => [End(false), End(false)],
            GapSides.MinusTwice => [End(true), End(true)],
            GapSides.OneOnly => [End(false)],
            _ => new[] { End(false), End(true) },
        };
        var front = run.Ask(GapDecisions.Front, seen) == GapFront.Lost ? 1 : task.A * (task.Stage?.Front ?? 1);
        return new SurdFactors(front, ends).Text(task.Letter);

        SurdEnd End(bool isMinus)
        {
            if (root == GapRoot.Rooted && takesRoot) return SurdEnd.Of(middle, squared, isMinus);
            var size = root == GapRoot.Halved ? Rational.Abs(squared) * new Rational(1, 2) : Rational.Abs(squared);
            var gap = isMinus ? -size : size;
            return squared.Sign < 0 ? new SurdEnd(middle, gap, -1) : new SurdEnd(middle + gap, default, 1);
        }
    }
}

/// <summary>The first steps of middle and gap, whatever becomes of the gap.</summary>
/// <param name="run">The run.</param>
/// <param name="seen">The quadratic.</param>
internal readonly struct GapSteps(MethodRun run, Quadratic seen)
{
    private const int MostOfFacts = 100_000;

    /// <summary>The middle among the numbers that are noted.</summary>
    public const int MiddlePart = 0;

    /// <summary>The square of the gap among them.</summary>
    public const int SquaredPart = 1;

    /// <summary>The gap among them.</summary>
    public const int GapPart = 2;

    /// <summary>What lies half-way between two numbers, and the square of their distance from it, as far as they are not known.</summary>
    /// <param name="sum">The sum of the two numbers.</param>
    /// <param name="half">Half of it.</param>
    /// <param name="product">Their product.</param>
    /// <param name="known">What is known.</param>
    public (Rational Middle, Rational Squared) MiddleAndSquared(Rational sum, Rational half, Rational product, FactoringStage? known)
    {
        var wanted = seen with { Wanted = (sum, product) };
        var middle = known is { IsBegun: true } ? known.Middle ?? half
            : run.Ask(GapDecisions.Middle, wanted) is var way && way == GapMiddle.HalfOfMiddle
            ? Halved(sum, half)
            : GapDecisions.Middle.Result(way, wanted, run.School);
        if (known is not { IsBegun: true }) Write(run, MiddlePart, "m", middle);
        if (known?.Squared is { } given) return (middle, given);
        var squared = run.Ask(GapDecisions.Squared, wanted with { Middle = middle }) switch
        {
            GapSquared.LastLessMiddleSquared => Sum(product, -Square(middle)),
            GapSquared.Together => Sum(Square(middle), product),
            GapSquared.MiddleNotSquared => Sum(middle, -product),
            GapSquared.LastOnly => product,
            _ => Sum(Square(middle), -product),
        };
        Write(run, SquaredPart, "g^2", squared);
        return (middle, squared);
    }

    // Halves, squares, sums and differences are facts that somebody can hold, or work, wrongly.
    private Rational Halved(Rational sum, Rational half) => half.IsWhole && half + half is var whole && whole == sum && IsSmall(sum) && !sum.IsZero
        ? Signed(sum, run.Recall(new NumberFact(FactKind.DividedBy, (int)Rational.Abs(sum).Numerator, 2)))
        : half;

    private Rational Square(Rational number) =>
        IsSmall(number) && !number.IsZero
            ? Rational.Whole(run.Recall(new NumberFact(FactKind.Times, (int)Rational.Abs(number).Numerator, (int)Rational.Abs(number).Numerator)))
            : number * number;

    private Rational Sum(Rational one, Rational other)
    {
        if (!IsSmall(one) || !IsSmall(other) || one.IsZero || other.IsZero) return one + other;
        var (first, second) = ((int)Rational.Abs(one).Numerator, (int)Rational.Abs(other).Numerator);
        var fact = one.Sign == other.Sign
            ? new NumberFact(FactKind.Plus, first, second)
            : new NumberFact(FactKind.Minus, Math.Max(first, second), Math.Min(first, second));
        return Signed(one + other, run.Recall(fact));
    }

    private static Rational Signed(Rational like, int size) => Rational.Whole(like.Sign < 0 ? -size : size);

    private static bool IsSmall(Rational number) => number.IsWhole && BigInteger.Abs(number.Numerator) < MostOfFacts;

    /// <summary>Notes a number, in its field and as a line.</summary>
    public static void Write(MethodRun run, int part, string name, Rational number)
    {
        if (!run.Page.KeepsMarks) return;
        run.Page.Write(WorkFields.Gap.Part(part), null, number.Text);
        run.Page.Pass($"{name} = {number.Text}", isWritten: true);
    }
}
