using System.Numerics;
using YellowPencil.Core.Parts.Beside;

namespace YellowPencil.Core.Parts.Fractions;

/// <summary>A fraction on the way: its parts as they stand there.</summary>
/// <param name="Numerator">The numerator.</param>
/// <param name="Denominator">The denominator.</param>
internal readonly record struct Fraction(long Numerator, long Denominator)
{
    /// <summary>As it is written.</summary>
    public string Text => $"{Numerator}/{Denominator}";

    /// <summary>The largest part that is still seen as a number.</summary>
    public const int Most = 1_000_000;

    /// <summary>A part, no larger than what is still seen as a number.</summary>
    public static int Clamped(long part) => (int)Math.Clamp(part, 0, Most);
}

/// <summary>The steps of putting two fractions together and of finishing what came out.</summary>
/// <param name="run">The run.</param>
internal readonly struct FractionWork(MethodRun run)
{
    private const int LargestDivisorTried = 100;

    /// <summary>Both fractions with one denominator; they stay as they are where a recipe needs none.</summary>
    /// <param name="pair">The fractions, with different denominators.</param>
    /// <param name="recipe">The recipe.</param>
    public (Fraction First, Fraction Second) Alike(FractionPair pair, FractionRecipe recipe)
    {
        var (first, second) = (new Fraction(pair.FirstNumerator, pair.FirstDenominator), new Fraction(pair.SecondNumerator, pair.SecondDenominator));
        switch (recipe)
        {
            case FractionRecipe.CrossedOverSum:
                var sum = first.Denominator + second.Denominator;
                return (new Fraction(first.Numerator * second.Denominator, sum), new Fraction(second.Numerator * first.Denominator, sum));
            case FractionRecipe.NumeratorsOverLarger
                or FractionRecipe.NumeratorsOverSmaller or FractionRecipe.NumeratorsOverFirst or FractionRecipe.NumeratorsOverSecond:
                var over = recipe switch
                {
                    FractionRecipe.NumeratorsOverLarger => Math.Max(first.Denominator, second.Denominator),
                    FractionRecipe.NumeratorsOverSmaller => Math.Min(first.Denominator, second.Denominator),
                    FractionRecipe.NumeratorsOverFirst => first.Denominator,
                    _ => second.Denominator,
                };
                return (first with { Denominator = over }, second with { Denominator = over });
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
        var way = run.Ask(FractionDecisions.Numerators, pair);
        var numerator = way != NumeratorsTogether.AsSet
            ? FractionDecisions.Numerators.Result(way, pair, run.School)
            : isDifference
            ? Minus(first.Numerator, second.Numerator)
            : Plus(first.Numerator, second.Numerator);
        if (numerator < Fraction.Most) numerator = run.Value(FractionDecisions.NumeratorsSize, pair, (int)numerator, Fraction.Most);
        var denominator = run.Do(FractionDecisions.Denominators, pair);
        return new Fraction(numerator, denominator);
    }

    /// <summary>A fraction in lowest terms, as the student brings it there.</summary>
    public Fraction InLowestTerms(Fraction parts, FractionOrigin from, bool isAlone)
    {
        if (parts.Numerator == 0 || parts.Denominator == 0) return parts;
        var result = ResultOf(parts, from, isAlone);
        return result.Common == 1 ? parts : run.Do(FractionDecisions.Lowest, result);
    }

    /// <summary>Writes a fraction that came out as the answer, the wholes taken out as the student does it.</summary>
    public void Finish(Fraction parts, FractionOrigin from, bool isNegative)
    {
        if (run.Page.KeepsMarks) run.Page.Pass(parts.Text, isWritten: true);
        var lowest = InLowestTerms(parts, from, isAlone: true);
        if (run.Page.KeepsMarks && lowest != parts)
        {
            PassOnTheWay(parts, lowest);
            run.Page.Pass(lowest.Denominator == 1 ? $"{lowest.Numerator}" : lowest.Text, isWritten: true);
        }

        var written = lowest.Numerator < lowest.Denominator || lowest.Denominator == 0 ? (Whole: 0, Left: lowest) : WholesOut(lowest, from);
        if (written.Left is { Numerator: > 0, Denominator: 1 })
            run.Page.Append($"{(isNegative ? "-" : "")}{new MixedNumber(written.Whole, written.Left.Numerator, 1).Text}");
        else Append(written.Whole, written.Left, isNegative);
        if (run.Page.KeepsMarks) PassMixed(parts, lowest);
    }

    // Who divides both parts by a number that is too small goes on from there: 12/20, 6/10, 3/5.
    private void PassOnTheWay(Fraction parts, Fraction lowest)
    {
        if (lowest.Numerator == 0 || lowest.Denominator == 0 || parts.Denominator % lowest.Denominator != 0) return;
        var by = parts.Denominator / lowest.Denominator;
        if (parts.Numerator != lowest.Numerator * by) return;
        for (long small = 2; small < Math.Min(by, LargestDivisorTried); small++)
            if (by % small == 0) run.Page.Pass(new Fraction(parts.Numerator / small, parts.Denominator / small).Text, isWritten: false);
    }

    // Who takes the wholes out first, and brings what is left to lowest terms then, writes lines that the method meets all the same.
    private void PassMixed(Fraction parts, Fraction lowest)
    {
        foreach (var one in new[] { parts, lowest }.Distinct().Where(one => one.Denominator > 0 && one.Numerator >= one.Denominator))
            run.Page.Pass(
                new MixedNumber(one.Numerator / one.Denominator, one.Numerator % one.Denominator, one.Numerator % one.Denominator == 0 ? 0 : one.Denominator)
                    .Text,
                isWritten: false);
    }

    /// <summary>Takes the wholes out of a fraction of one or more.</summary>
    public (long Whole, Fraction Left) WholesOut(Fraction parts, FractionOrigin from)
    {
        var result = ResultOf(parts, from, isAlone: true);
        var way = run.Ask(FractionDecisions.Over, result);
        var written = FractionDecisions.Over.Result(way, result, run.School);
        if (way == OverOne.Mixed && written.Whole < Fraction.Most)
            written = written with { Whole = run.Value(FractionDecisions.Taken, result, (int)written.Whole, Fraction.Most) };
        return (written.Whole, new Fraction(written.Numerator, written.Denominator));
    }

    /// <summary>Writes a number of a whole part and a fraction as the answer; parts of nothing are left out.</summary>
    public void Append(long whole, Fraction rest, bool isNegative)
    {
        if (isNegative && (whole > 0 || rest.Numerator > 0)) run.Page.Append("-");
        if (rest.Numerator == 0 || rest.Denominator == 0) run.Page.Append(new MixedNumber(whole, 0, 0).Text);
        else if (rest.Denominator == 1) run.Page.Append(new MixedNumber(whole + rest.Numerator, 0, 0).Text);
        else run.Page.Append(new MixedNumber(whole, rest.Numerator, rest.Denominator).Text);
    }

    /// <summary>Two fractions as they are seen.</summary>
    public static FractionPair PairOf(Fraction first, Fraction second, bool isDifference, bool hasWholes) =>
        new(
            Fraction.Clamped(first.Numerator), Fraction.Clamped(Math.Max(1, first.Denominator)), Fraction.Clamped(second.Numerator), Fraction.Clamped(
                Math.Max(1, second.Denominator)),
            isDifference, hasWholes);

    /// <summary>What two fractions come to by another operation than the one that is set; null where it is the one that is set.</summary>
    public static Fraction? Otherwise(FractionChoice way, Fraction first, Fraction second) => way switch
    {
        FractionChoice.Multiply => new Fraction(first.Numerator * second.Numerator, first.Denominator * second.Denominator),
        FractionChoice.TurnSecondAndMultiply when second.Numerator > 0 =>
            new Fraction(first.Numerator * second.Denominator, first.Denominator * second.Numerator),
        _ => null,
    };

    /// <summary>Whether a recipe makes the result at once, without one denominator for both.</summary>
    public static bool IsAcross(FractionRecipe recipe) =>
        recipe is FractionRecipe.NumeratorsAndDenominators
            or FractionRecipe.NumeratorsAndDenominatorsAdded or FractionRecipe.FirstNumeratorOverSum or FractionRecipe.LargerNumeratorOverLarger;

    /// <summary>Numerators together and denominators together.</summary>
    public Fraction Across(Fraction first, Fraction second, bool isDifference, FractionRecipe recipe)
    {
        if (recipe == FractionRecipe.FirstNumeratorOverSum) return new Fraction(first.Numerator, first.Denominator + second.Denominator);
        if (recipe == FractionRecipe.LargerNumeratorOverLarger)
            return new Fraction(Math.Max(first.Numerator, second.Numerator), Math.Max(first.Denominator, second.Denominator));
        var numerator = isDifference ? Minus(first.Numerator, second.Numerator) : Plus(first.Numerator, second.Numerator);
        var apart = isDifference && recipe == FractionRecipe.NumeratorsAndDenominators && first.Denominator != second.Denominator;
        return new Fraction(numerator, apart ? Math.Abs(first.Denominator - second.Denominator) : first.Denominator + second.Denominator);
    }

    /// <summary>Both fractions after a factor was cancelled from each numerator and the other's denominator.</summary>
    public static (Fraction First, Fraction Second) Cancelled(Fraction first, Fraction second)
    {
        var one = (long)BigInteger.GreatestCommonDivisor(first.Numerator, second.Denominator);
        var other = (long)BigInteger.GreatestCommonDivisor(second.Numerator, first.Denominator);
        return (
            new Fraction(one > 0 ? first.Numerator / one : first.Numerator, other > 0 ? first.Denominator / other : first.Denominator),
            new Fraction(other > 0 ? second.Numerator / other : second.Numerator, one > 0 ? second.Denominator / one : second.Denominator));
    }

    private static FractionResult ResultOf(Fraction parts, FractionOrigin from, bool isAlone) =>
        new(Fraction.Clamped(parts.Numerator), Fraction.Clamped(Math.Max(1, parts.Denominator)), from, isAlone);

    private Fraction Changed(FractionChange change)
    {
        var way = run.Ask(FractionDecisions.Change, change);
        var by = way == NumeratorChange.Multiplied ? Times(change.Numerator, change.By) : FractionDecisions.Change.Result(way, change, run.School);
        if (by < Fraction.Most && change.Changes) by = run.Value(FractionDecisions.NewNumerator, change, (int)by, Fraction.Most);
        return new Fraction(by, change.To);
    }

    private long Times(int one, int other) => (long)WholeNumbers.Product(run, one, other);

    private long Plus(long one, long other) => (long)WholeNumbers.Sum(run, one, other);

    private long Minus(long one, long other) => (long)WholeNumbers.Difference(run, Math.Max(one, other), Math.Min(one, other));
}
