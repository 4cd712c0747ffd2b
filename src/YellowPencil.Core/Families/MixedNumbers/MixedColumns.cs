using YellowPencil.Core.Parts.Fractions;

namespace YellowPencil.Core.Families.MixedNumbers;

/// <summary>
/// Mixed numbers worked in columns: the fractions get one denominator, a whole is renamed where the first fraction is too small, wholes and fractions are put
/// together.
/// </summary>
/// <param name="run">The run.</param>
/// <param name="work">The work on fractions.</param>
/// <param name="context">What the student sees.</param>
/// <param name="isNegative">Whether the answer gets a minus sign.</param>
internal readonly struct MixedColumns(MethodRun run, FractionWork work, MixedContext context, bool isNegative)
{
    private bool IsDifference => context.IsDifference;

    /// <summary>Works two numbers.</summary>
    public void Walk(MixedNumber one, MixedNumber other, bool wereChanged)
    {
        var (whole, otherWhole) = (one.Whole, other.Whole);
        if (!one.HasFraction || !other.HasFraction)
        {
            WalkBesideWhole(one, other);
            return;
        }

        var (first, second) = (new Fraction(one.Numerator, one.Denominator), new Fraction(other.Numerator, other.Denominator));
        var pair = FractionWork.PairOf(first, second, IsDifference, hasWholes: true);
        var way = run.Ask(FractionDecisions.Procedure, pair);
        if (FractionWork.Otherwise(way, first, second) is { } otherwise)
        {
            Finish(run, work, Wholes(whole, otherWhole), otherwise, From(!pair.IsLike), isNegative);
            return;
        }

        if (!pair.IsLike)
        {
            var recipe = run.Ask(FractionDecisions.Recipe, pair);
            if (FractionWork.IsAcross(recipe))
            {
                Finish(run, work, Wholes(whole, otherWhole), work.Across(first, second, IsDifference, recipe), From(wereUnlike: true), isNegative);
                return;
            }

            if (recipe == FractionRecipe.ReducedAcrossFirst) (first, second) = FractionWork.Cancelled(first, second);
            var alike = work.Alike(FractionWork.PairOf(first, second, IsDifference, hasWholes: true), recipe);
            whole = Meanwhile(whole, first, alike.First, isFirst: true);
            otherWhole = Meanwhile(otherWhole, second, alike.Second, isFirst: false);
            (first, second) = alike;
            wereChanged = true;
            Pass(whole, first, otherWhole, second);
        }

        // Where wholes were changed on the way, the second number can have become the larger; where they were not, they are still in the first fraction.
        if (IsDifference && whole < otherWhole)
        {
            if (whole + first.Numerator / first.Denominator >= otherWhole)
                (whole, first) = (whole + first.Numerator / first.Denominator, first with { Numerator = first.Numerator % first.Denominator });
            else (whole, first, otherWhole, second) = (otherWhole, second, whole, first);
        }

        if (IsDifference)
        {
            var seen = context with { Fractions = FractionWork.PairOf(first, second, true, true) };
            if (first.Numerator < second.Numerator)
            {
                switch (run.Ask(MixedDecisions.Small, seen))
                {
                    case FractionTooSmall.Rename:
                        Rename(seen, ref whole, ref first, second, ref otherWhole);
                        Pass(whole, first, otherWhole, second);
                        break;
                    case FractionTooSmall.WholeLessAndSmallerFromLarger:
                        whole--;
                        break;
                    case FractionTooSmall.WriteZero:
                        (first, second) = (first with { Numerator = 0 }, second with { Numerator = 0 });
                        break;
                    case FractionTooSmall.CopySecond:
                        (first, second) = (second, second with { Numerator = 0 });
                        break;
                    case FractionTooSmall.CopyFirst:
                        second = second with { Numerator = 0 };
                        break;
                    case FractionTooSmall.AddInstead:
                        Finish(
                            run, work, Wholes(whole, otherWhole), new Fraction(
                                first.Numerator + second.Numerator, first.Denominator), From(wereChanged), isNegative);
                        return;
                    default:
                        break;
                }
            }
            else if (
                whole > 0 && first.Numerator < first.Denominator && run.Ask(MixedDecisions.Needless, seen) is var needless && needless != NeedlessRenaming.None)
            {
                if (needless == NeedlessRenaming.Always) Rename(seen, ref whole, ref first, second, ref otherWhole);
                else whole--;
                Pass(whole, first, otherWhole, second);
            }
        }

        var together = work.Together(first, second, IsDifference, hasWholes: true, wereChanged);
        Finish(run, work, Wholes(whole, otherWhole), together, From(wereChanged), isNegative);
    }

    private FractionOrigin From(bool wereUnlike) => new(IsDifference, HasWholes: true, wereUnlike);

    /// <summary>Finishes wholes with a fraction beside them.</summary>
    public static void Finish(MethodRun run, FractionWork work, long whole, Fraction parts, FractionOrigin from, bool isNegative)
    {
        var isOne = whole == 0 && parts.Numerator > 0;
        Pass(run, whole, parts);
        if (parts.Denominator > 0 && parts.Numerator > 0)
        {
            var seen = new FractionResult(
                Fraction.Clamped(parts.Numerator), Fraction.Clamped(parts.Denominator), from, IsAlone: isOne);
            var way = run.Ask(MixedDecisions.Over, seen);
            var (wholes, numerator) = MixedDecisions.Over.Result(way, seen, run.School);
            whole += wholes;
            switch (way)
            {
                case FractionOver.LeftAsItCame or FractionOver.CountedButLeft:
                    AppendOver(run, whole, parts, isNegative);
                    return;
                case FractionOver.Left or FractionOver.AtTen when numerator == parts.Numerator:
                    AppendOver(
                        run, whole, parts.Numerator % parts.Denominator == 0
                            ? parts
                            : work.InLowestTerms(parts, from, isAlone: false), isNegative);
                    return;
                default:
                    parts = parts with { Numerator = numerator };
                    break;
            }

            if (way != FractionOver.Carried || wholes > 0) Pass(run, whole, parts);
        }

        var lowest = work.InLowestTerms(parts, from, isAlone: false);
        if (lowest.Denominator == 1 || lowest.Numerator >= lowest.Denominator) AppendOver(run, whole, lowest, isNegative);
        else work.Append(whole, lowest, isNegative);
    }

    // A number without a fraction: in sums, and where it is the second, the fraction of the other stays; else a whole is renamed.
    private void WalkBesideWhole(MixedNumber one, MixedNumber other)
    {
        var fraction = one.HasFraction ? new Fraction(one.Numerator, one.Denominator) : new Fraction(other.Numerator, Math.Max(1, other.Denominator));
        var whole = one.Whole;
        if (!IsDifference || !other.HasFraction)
        {
            Finish(run, work, Wholes(whole, other.Whole), fraction, From(wereUnlike: false), isNegative);
            return;
        }

        var first = new Fraction(0, fraction.Denominator);
        var seen = context with { Fractions = FractionWork.PairOf(first, fraction, true, true) };
        switch (run.Ask(MixedDecisions.Missing, seen))
        {
            case NoFraction.CopyOther:
                // What is copied stays as it stands.
                var copied = Wholes(whole, other.Whole);
                Pass(run, copied, fraction);
                work.Append(copied, fraction, isNegative);
                return;
            case NoFraction.LeaveOut:
                Finish(run, work, Wholes(whole, other.Whole), fraction with { Numerator = 0 }, From(wereUnlike: false), isNegative);
                return;
            case NoFraction.WriteOneLess:
                Finish(run, work, Wholes(Math.Max(0, whole - 1), other.Whole), fraction, From(wereUnlike: false), isNegative);
                return;
            default:
                var otherWhole = other.Whole;
                Rename(seen, ref whole, ref first, fraction, ref otherWhole);
                Pass(whole, first, otherWhole, fraction);
                Finish(
                    run, work, Wholes(whole, otherWhole), work.Together(first, fraction, IsDifference, hasWholes: true, wereChanged: false),
                    From(wereUnlike: false), isNegative);
                return;
        }
    }

    private void Rename(MixedContext seen, ref long whole, ref Fraction first, Fraction second, ref long otherWhole)
    {
        seen = seen with { Wholes = (whole, otherWhole), Fractions = FractionWork.PairOf(first, second, true, true) };
        (whole, otherWhole) = run.Do(MixedDecisions.Left, seen);
        first = first with { Numerator = run.Do(MixedDecisions.Filled, seen) };
    }

    private long Meanwhile(long whole, Fraction before, Fraction after, bool isFirst)
    {
        if (whole == 0 || before.Denominator == after.Denominator || after.Denominator % before.Denominator != 0) return whole;
        var seen = new OneMixed(Fraction.Clamped(whole), Fraction.Clamped(before.Numerator), Fraction.Clamped(before.Denominator), isFirst, IsDifference);
        return run.Ask(MixedDecisions.Meanwhile, seen) == WholesMeanwhile.Multiplied ? whole * (after.Denominator / before.Denominator) : whole;
    }

    private long Wholes(long one, long other) => run.Do(MixedDecisions.Wholes, context with { Wholes = (one, other) });

    private void Pass(long whole, Fraction first, long otherWhole, Fraction second)
    {
        if (run.Page.KeepsMarks)
            run.Page.Pass(
                $"{new MixedNumber(whole, first.Numerator, first.Denominator).Text} {(IsDifference ? "-" : "+")} "
                    + $"{new MixedNumber(otherWhole, second.Numerator, second.Denominator).Text}",
                isWritten: true);
    }

    private static void Pass(MethodRun run, long whole, Fraction parts)
    {
        if (run.Page.KeepsMarks) run.Page.Pass(new MixedNumber(whole, parts.Numerator, parts.Denominator).Text, isWritten: true);
    }

    // A fraction of one or more beside wholes stands there as it is.
    private static void AppendOver(MethodRun run, long whole, Fraction parts, bool isNegative)
    {
        if (isNegative) run.Page.Append("-");
        run.Page.Append(
            parts.Numerator == 0 || parts.Denominator == 0
                ? new MixedNumber(whole, 0, 0).Text
                : new MixedNumber(whole, parts.Numerator, parts.Denominator).Text);
    }
}
