using YellowPencil.Core.Notation;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures.Factoring;

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
        var seen = new Quadratic(task.A, task.B, task.C, HadCommon: false);
        var (first, whole, last) = (Rational.Whole(task.A), new Rational(task.B, task.A), new Rational(task.C, task.A));
        var half = whole * new Rational(1, 2);
        var middle = run.Ask(GapPoints.Middle, seen) switch
        {
            GapMiddle.WholeMiddle => whole,
            GapMiddle.LeftOut => default,
            GapMiddle.SignTurned => -half,
            GapMiddle.FirstNumberPassedOver => half * first,
            _ => half,
        };
        var squared = run.Ask(GapPoints.Squared, seen) switch
        {
            GapSquared.LastLessMiddleSquared => last - middle * middle,
            GapSquared.Together => middle * middle + last,
            GapSquared.MiddleNotSquared => middle - last,
            GapSquared.LastOnly => last,
            _ => middle * middle - last,
        };
        run.Page.Write(WorkFields.Gap.Part(0), null, middle.Text);
        run.Page.Write(WorkFields.Gap.Part(1), null, squared.Text);
        var takesRoot = true;
        if (squared.Sign < 0)
        {
            if (task.Over != FactorsOver.Complex) return FactoringTask.Prime;
            switch (run.Ask(GapPoints.BelowZero, seen))
            {
                case GapBelowZero.WithoutI: squared = -squared; break;
                case GapBelowZero.IWithoutRoot: takesRoot = false; break;
                default: break;
            }
        }

        var root = run.Ask(GapPoints.Root, seen);
        var ends = run.Ask(GapPoints.Sides, seen) switch
        {
            GapSides.PlusTwice => [End(false), End(false)],
            GapSides.MinusTwice => [End(true), End(true)],
            GapSides.OneOnly => [End(false)],
            _ => new[] { End(false), End(true) },
        };
        var front = run.Ask(GapPoints.Front, seen) == GapFront.Lost ? 1 : task.A;
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
