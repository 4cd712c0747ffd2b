using System.Numerics;
using YellowPencil.Core.Parts.Beside;

namespace YellowPencil.Core.Parts.Fractions;

/// <summary>A fraction on the way: its parts as they stand there.</summary>
/// <param name="Top">The numerator.</param>
/// <param name="Bottom">The denominator.</param>
internal readonly record struct Fraction(long Top, long Bottom)
{
    /// <summary>As it is written.</summary>
    public string Text => $"{Top}/{Bottom}";

    /// <summary>The largest part that is still seen as a number.</summary>
    public const int Most = 1_000_000;

    /// <summary>A part, no larger than what is still seen as a number.</summary>
    public static int Seen(long part) => (int)Math.Clamp(part, 0, Most);
}

/// <summary>The steps of putting two fractions together and of finishing what came out.</summary>
/// <param name="run">The run.</param>
internal readonly struct FractionWork(MethodRun run)
{
    /// <summary>Both fractions with one denominator; they stay as they are where a recipe needs none.</summary>
    /// <param name="pair">The fractions, with different denominators.</param>
    /// <param name="recipe">The recipe.</param>
    public (Fraction First, Fraction Second) Alike(FractionPair pair, FractionRecipe recipe)
    {
        var (first, second) = (new Fraction(pair.FirstTop, pair.FirstBottom), new Fraction(pair.SecondTop, pair.SecondBottom));
        switch (recipe)
        {
            case FractionRecipe.CrossedOverSum:
                var sum = first.Bottom + second.Bottom;
                return (new Fraction(first.Top * second.Bottom, sum), new Fraction(second.Top * first.Bottom, sum));
            case FractionRecipe.TopsOverLarger or FractionRecipe.TopsOverSmaller or FractionRecipe.TopsOverFirst or FractionRecipe.TopsOverSecond:
                var over = recipe switch
                {
                    FractionRecipe.TopsOverLarger => Math.Max(first.Bottom, second.Bottom),
                    FractionRecipe.TopsOverSmaller => Math.Min(first.Bottom, second.Bottom),
                    FractionRecipe.TopsOverFirst => first.Bottom,
                    _ => second.Bottom,
                };
                return (first with { Bottom = over }, second with { Bottom = over });
            default:
                break;
        }

        var (common, made) = run.Do(FractionDecisions.Common, pair);
        var changed = Changed(new FractionChange(pair, IsFirst: true, common, made));
        return (changed, Changed(new FractionChange(pair, IsFirst: false, common, made)));
    }

    /// <summary>The numerators put together; less than nothing is turned round.</summary>
    public Fraction Together(Fraction first, Fraction second, bool isDifference, bool hasWholes, bool wereChanged)
    {
        var pair = PairOf(first, second, isDifference, hasWholes) with { WereChanged = wereChanged };
        var way = run.Ask(FractionDecisions.Tops, pair);
        var top = way != TopsTogether.AsSet
            ? FractionDecisions.Tops.Result(way, pair, run.School)
            : isDifference
            ? Minus(first.Top, second.Top)
            : Plus(first.Top, second.Top);
        if (top < Fraction.Most) top = run.Value(FractionDecisions.TopsSize, pair, (int)top, Fraction.Most);
        var bottom = run.Do(FractionDecisions.Bottoms, pair);
        return new Fraction(top, bottom);
    }

    /// <summary>A fraction in lowest terms, as the student brings it there.</summary>
    public Fraction InLowestTerms(Fraction parts, bool isDifference, bool hasWholes, bool isAlone)
    {
        if (parts.Top == 0 || parts.Bottom == 0) return parts;
        var result = ResultOf(parts, isDifference, hasWholes, isAlone);
        return result.Common == 1 ? parts : run.Do(FractionDecisions.Lowest, result);
    }

    /// <summary>Writes a fraction that came out as the answer, the wholes taken out as the student does it.</summary>
    public void Finish(Fraction parts, bool isDifference, bool isNegative, bool hasWholes)
    {
        if (run.Page.KeepsMarks) run.Page.Pass(parts.Text, isWritten: true);
        var lowest = InLowestTerms(parts, isDifference, hasWholes, isAlone: true);
        if (run.Page.KeepsMarks && lowest != parts) run.Page.Pass(lowest.Bottom == 1 ? $"{lowest.Top}" : lowest.Text, isWritten: true);
        var written = lowest.Top < lowest.Bottom || lowest.Bottom == 0 ? (Whole: 0, Left: lowest) : WholesOut(lowest, isDifference, hasWholes);
        if (written.Left is { Top: > 0, Bottom: 1 }) run.Page.Append($"{(isNegative ? "-" : "")}{new MixedNumber(written.Whole, written.Left.Top, 1).Text}");
        else Append(written.Whole, written.Left, isNegative);
        if (run.Page.KeepsMarks) PassMixed(parts, lowest);
    }

    // Who takes the wholes out first, and brings what is left to lowest terms then, writes lines that the method meets all the same.
    private void PassMixed(Fraction parts, Fraction lowest)
    {
        foreach (var one in new[] { parts, lowest }.Distinct().Where(one => one.Bottom > 0 && one.Top >= one.Bottom))
            run.Page.Pass(new MixedNumber(one.Top / one.Bottom, one.Top % one.Bottom, one.Top % one.Bottom == 0 ? 0 : one.Bottom).Text, isWritten: false);
    }

    /// <summary>Takes the wholes out of a fraction of one or more.</summary>
    public (long Whole, Fraction Left) WholesOut(Fraction parts, bool isDifference, bool hasWholes)
    {
        var result = ResultOf(parts, isDifference, hasWholes, isAlone: true);
        var way = run.Ask(FractionDecisions.Over, result);
        var written = FractionDecisions.Over.Result(way, result, run.School);
        if (way == OverOne.Mixed && written.Whole < Fraction.Most)
            written = written with { Whole = run.Value(FractionDecisions.Taken, result, (int)written.Whole, Fraction.Most) };
        return (written.Whole, new Fraction(written.Top, written.Bottom));
    }

    /// <summary>Writes a number of a whole part and a fraction as the answer; parts of nothing are left out.</summary>
    public void Append(long whole, Fraction rest, bool isNegative)
    {
        if (isNegative && (whole > 0 || rest.Top > 0)) run.Page.Append("-");
        if (rest.Top == 0 || rest.Bottom == 0) run.Page.Append(new MixedNumber(whole, 0, 0).Text);
        else if (rest.Bottom == 1) run.Page.Append(new MixedNumber(whole + rest.Top, 0, 0).Text);
        else run.Page.Append(new MixedNumber(whole, rest.Top, rest.Bottom).Text);
    }

    /// <summary>Two fractions as they are seen.</summary>
    public static FractionPair PairOf(Fraction first, Fraction second, bool isDifference, bool hasWholes) =>
        new(
            Fraction.Seen(first.Top), Fraction.Seen(Math.Max(1, first.Bottom)), Fraction.Seen(second.Top), Fraction.Seen(Math.Max(1, second.Bottom)),
            isDifference, hasWholes);

    /// <summary>What two fractions come to by another operation than the one that is set; null where it is the one that is set.</summary>
    public static Fraction? Otherwise(FractionWay way, Fraction first, Fraction second) => way switch
    {
        FractionWay.Multiply => new Fraction(first.Top * second.Top, first.Bottom * second.Bottom),
        FractionWay.TurnSecondAndMultiply when second.Top > 0 => new Fraction(first.Top * second.Bottom, first.Bottom * second.Top),
        _ => null,
    };

    /// <summary>Whether a recipe makes the result at once, without one denominator for both.</summary>
    public static bool IsAcross(FractionRecipe recipe) =>
        recipe is FractionRecipe.TopsAndBottoms or FractionRecipe.TopsAndBottomsAdded or FractionRecipe.FirstTopOverSum or FractionRecipe.LargerTopOverLarger;

    /// <summary>Numerators together and denominators together.</summary>
    public Fraction Across(Fraction first, Fraction second, bool isDifference, FractionRecipe recipe)
    {
        if (recipe == FractionRecipe.FirstTopOverSum) return new Fraction(first.Top, first.Bottom + second.Bottom);
        if (recipe == FractionRecipe.LargerTopOverLarger) return new Fraction(Math.Max(first.Top, second.Top), Math.Max(first.Bottom, second.Bottom));
        var top = isDifference ? Minus(first.Top, second.Top) : Plus(first.Top, second.Top);
        var apart = isDifference && recipe == FractionRecipe.TopsAndBottoms && first.Bottom != second.Bottom;
        return new Fraction(top, apart ? Math.Abs(first.Bottom - second.Bottom) : first.Bottom + second.Bottom);
    }

    /// <summary>Both fractions after a factor was cancelled from each numerator and the other's denominator.</summary>
    public static (Fraction First, Fraction Second) Cancelled(Fraction first, Fraction second)
    {
        var one = (long)BigInteger.GreatestCommonDivisor(first.Top, second.Bottom);
        var other = (long)BigInteger.GreatestCommonDivisor(second.Top, first.Bottom);
        return (
            new Fraction(one > 0 ? first.Top / one : first.Top, other > 0 ? first.Bottom / other : first.Bottom),
            new Fraction(other > 0 ? second.Top / other : second.Top, one > 0 ? second.Bottom / one : second.Bottom));
    }

    private static FractionResult ResultOf(Fraction parts, bool isDifference, bool hasWholes, bool isAlone) =>
        new(Fraction.Seen(parts.Top), Fraction.Seen(Math.Max(1, parts.Bottom)), isDifference, hasWholes, isAlone);

    private Fraction Changed(FractionChange change)
    {
        var way = run.Ask(FractionDecisions.Change, change);
        var by = way == TopChange.Multiplied ? Times(change.Top, change.By) : FractionDecisions.Change.Result(way, change, run.School);
        if (by < Fraction.Most && change.Changes) by = run.Value(FractionDecisions.NewTop, change, (int)by, Fraction.Most);
        return new Fraction(by, change.To);
    }

    private long Times(int one, int other) => (long)WholeNumbers.Product(run, one, other);

    private long Plus(long one, long other) => (long)WholeNumbers.Sum(run, one, other);

    private long Minus(long one, long other) => (long)WholeNumbers.Difference(run, Math.Max(one, other), Math.Min(one, other));
}
