using YellowPencil.Core.Families;
using YellowPencil.Core.Families.MixedNumbers;
using YellowPencil.Core.Parts.Fractions;

namespace YellowPencil.Core.Teaching.Examples;

/// <summary>A sum or difference of fractions or mixed numbers, worked as the classroom works it.</summary>
internal sealed class FractionExample(FractionTask task, School school)
{
    private static readonly string[] Names =
        ["wholes", "wholes", "halves", "thirds", "quarters", "fifths", "sixths", "sevenths", "eighths", "ninths", "tenths", "elevenths", "twelfths"];

    private readonly string sign = task.IsDifference ? "-" : "+";

    private string PrintedSign => task.IsDifference ? "−" : "+";

    /// <summary>The lines.</summary>
    public IEnumerable<ExampleLine> Lines()
    {
        var (first, second) = (task.First, task.Second!.Value);
        var isMixed = task.Family == FamilyList.MixedNumbers;
        return isMixed && school.Of(School.MixedNumbers) == MixedNumberSchool.RenameAWhole ? InColumns(first, second) : AsFractions(first, second, isMixed);
    }

    private IEnumerable<ExampleLine> AsFractions(MixedNumber first, MixedNumber second, bool isMixed)
    {
        foreach (var number in isMixed ? [first, second] : Array.Empty<MixedNumber>())
        {
            if (!number.HasFraction || number.Whole == 0) continue;
            yield return new(
                $"{number.Text} = {number.Whole * number.Denominator + number.Numerator}/{number.Denominator}",
                $"{number.Whole} {Wholes(number.Whole)} are {number.Whole} × {number.Denominator} = {number.Whole * number.Denominator} {Parts(number.Denominator)}, "
                    + $"and the {number.Numerator} that {Are(number.Numerator)} there: {number.Whole * number.Denominator + number.Numerator}.",
                MixedDecisions.Improper, MixedDecisions.Procedure);
        }

        var (one, other) = (Value(first), Value(second));
        foreach (var whole in new[] { (first, other.Denominator), (second, one.Denominator) }.Where(w => !w.Item1.HasFraction))
            yield return new(
                $"{whole.Item1.Text} = {whole.Item1.Whole * whole.Item2}/{whole.Item2}",
                $"{whole.Item1.Text} has no parts yet: each whole is {whole.Item2} {Parts(whole.Item2)}, {whole.Item1.Whole} × {whole.Item2} = {whole.Item1.Whole * whole.Item2}.",
                MixedDecisions.Lone);
        if (!first.HasFraction) one = (one.Numerator * other.Denominator, other.Denominator);
        if (!second.HasFraction) other = (other.Numerator * one.Denominator, one.Denominator);
        var denominator = Common(one.Denominator, other.Denominator);
        foreach (var line in OneDenominator(one, other, denominator)) yield return line;
        var (top, bottom) = (one.Numerator * (denominator / one.Denominator), other.Numerator * (denominator / other.Denominator));
        var result = task.IsDifference ? top - bottom : top + bottom;
        yield return new(
            $"{top}/{denominator} {sign} {bottom}/{denominator} = {result}/{denominator}",
            $"All are {Parts(denominator)} now: {top} {PrintedSign} {bottom} = {result}, and the {denominator} stays, for it only names them.",
            FractionDecisions.Numerators, FractionDecisions.Denominators, FractionDecisions.Procedure, FractionDecisions.NumeratorsSize);
        foreach (var line in Ended(result, denominator)) yield return line;
        yield return Check(first, second);
    }

    private IEnumerable<ExampleLine> InColumns(MixedNumber first, MixedNumber second)
    {
        var (one, other) = (first.HasFraction ? first.Denominator : second.Denominator, second.HasFraction ? second.Denominator : first.Denominator);
        var denominator = Common(one, other);
        var (top, bottom) = (first.Numerator * (denominator / one), second.Numerator * (denominator / other));
        var (wholes, others) = (first.Whole, second.Whole);
        if (one != other)
        {
            foreach (var line in OneDenominator((first.Numerator, one), (second.Numerator, other), denominator)) yield return line;
            yield return new(
                $"{Mixed(wholes, top, denominator)} {sign} {Mixed(others, bottom, denominator)}", "Only the parts were cut; the wholes stay as they are.", MixedDecisions.Meanwhile);
        }

        if (task.IsDifference && top < bottom)
        {
            var there = first.HasFraction ? $"Of {Parts(denominator)} there {Are(top)} {top}, and {bottom} {Are(bottom)} to go" : $"{wholes} has 0 {Parts(denominator)}, and {bottom} {Are(bottom)} to go";
            var with = first.HasFraction ? $", with the {top} that {Are(top)} there {top + denominator}" : "";
            yield return new(
                $"{Mixed(wholes - 1, top + denominator, denominator)} {sign} {Mixed(others, bottom, denominator)}",
                $"{there}. {(wholes == 1 ? "The whole" : $"One of the {wholes} wholes")} is opened: it is {denominator} {Parts(denominator)}{with}. {wholes - 1} {Wholes(wholes - 1)} {Are(wholes - 1)} left.",
                MixedDecisions.Small, MixedDecisions.Left, MixedDecisions.Filled, MixedDecisions.Missing);
            (wholes, top) = (wholes - 1, top + denominator);
        }
        else if (task.IsDifference && bottom > 0)
        {
            yield return new("", $"{Counted(top, denominator)} {Are(top)} enough for {bottom}: no whole is opened.", MixedDecisions.Needless);
        }

        var (parts, together) = task.IsDifference ? (top - bottom, wholes - others) : (top + bottom, wholes + others);
        yield return new(
            Mixed(together, parts, denominator),
            $"Parts: {top} {PrintedSign} {bottom} = {Counted(parts, denominator)}. Wholes: {wholes} {PrintedSign} {others} = {together}.",
            MixedDecisions.Wholes, FractionDecisions.Numerators, FractionDecisions.Denominators);
        if (parts >= denominator)
        {
            var full = parts / denominator;
            yield return new(
                Mixed(together + full, parts % denominator, denominator),
                $"{denominator} {Parts(denominator)} fill a whole: {full} {(full == 1 ? "goes" : "go")} to the wholes, {together} + {full} = {together + full}, and {parts % denominator} {Are(parts % denominator)} left.",
                MixedDecisions.Over);
            (together, parts) = (together + full, parts % denominator);
        }

        if (Lowest(parts, denominator) is { } by && parts > 0)
            yield return new(
                Mixed(together, parts / by, denominator / by), $"{by} goes into both: {parts} ÷ {by} = {parts / by}, {denominator} ÷ {by} = {denominator / by}.", FractionDecisions.Lowest);
        yield return Check(first, second);
    }

    private IEnumerable<ExampleLine> OneDenominator((long Numerator, long Denominator) one, (long Numerator, long Denominator) other, long common)
    {
        if (one.Denominator == other.Denominator)
        {
            yield return new("", $"Both are {Parts(common)}: parts of one size, they can be counted together.", FractionDecisions.Recipe, FractionDecisions.Common);
            yield break;
        }

        yield return new(
            "", school.Of(School.Fractions) == FractionSchool.ProductOfDenominators
                ? $"{Capital(Parts(one.Denominator))} and {Parts(other.Denominator)} are not of one size. {one.Denominator} × {other.Denominator} = {common}: both go into it."
                : $"{Capital(Parts(one.Denominator))} and {Parts(other.Denominator)} are not of one size. Multiples of {one.Denominator}: {Multiples(one.Denominator, common)}; of {other.Denominator}: "
                    + $"{Multiples(other.Denominator, common)}. Both go into {common}.",
            FractionDecisions.Recipe, FractionDecisions.Common);
        foreach (var (numerator, denominator) in new[] { one, other })
        {
            var by = common / denominator;
            if (by == 1)
                yield return new("", $"{numerator}/{denominator} is in {Parts(common)} already.", FractionDecisions.Change);
            else
                yield return new(
                    $"{numerator}/{denominator} = {numerator * by}/{common}",
                    $"{denominator} × {by} = {common}: every part is cut into {by}, so there are {by} times as many, {numerator} × {by} = {numerator * by}.",
                    FractionDecisions.Change, FractionDecisions.NewNumerator);
        }
    }

    private static IEnumerable<ExampleLine> Ended(long numerator, long denominator)
    {
        if (numerator == 0)
        {
            yield return new($"0/{denominator} = 0", "Nothing is left.", FractionDecisions.Lowest);
            yield break;
        }

        if (Lowest(numerator, denominator) is { } by)
        {
            yield return new(
                $"{numerator}/{denominator} = {new Rational(numerator, denominator).Text}",
                $"{by} goes into both: {numerator} ÷ {by} = {numerator / by}, {denominator} ÷ {by} = {denominator / by}.", FractionDecisions.Lowest);
            (numerator, denominator) = (numerator / by, denominator / by);
        }

        if (numerator < denominator || denominator == 1) yield break;
        var (wholes, left) = (numerator / denominator, numerator % denominator);
        yield return new(
            $"{numerator}/{denominator} = {Mixed(wholes, left, denominator)}",
            $"{denominator} {Parts(denominator)} are a whole. {wholes} × {denominator} = {wholes * denominator}: {wholes} {Wholes(wholes)}, and {numerator} − {wholes * denominator} = {left} {Are(left)} left.",
            FractionDecisions.Over, FractionDecisions.Taken);
    }

    // A difference is added back; a sum is compared with what was there before.
    private ExampleLine Check(MixedNumber first, MixedNumber second)
    {
        var answer = task.RightAnswer;
        return task.IsDifference
            ? new("", $"Check: {answer} and {second.Text}, which went, are {first.Text} again.")
            : new("", $"Check: {answer} is more than {first.Text} and more than {second.Text}, as a sum must be.");
    }

    private long Common(long one, long other)
    {
        if (one == other) return one;
        var (a, b) = (one, other);
        while (b > 0) (a, b) = (b, a % b);
        return school.Of(School.Fractions) == FractionSchool.ProductOfDenominators ? one * other : one / a * other;
    }

    private static long? Lowest(long numerator, long denominator)
    {
        var (a, b) = (numerator, denominator);
        while (b > 0) (a, b) = (b, a % b);
        return a > 1 ? a : null;
    }

    private static (long Numerator, long Denominator) Value(MixedNumber number) =>
        number.HasFraction ? (number.Whole * number.Denominator + number.Numerator, number.Denominator) : (number.Whole, 1);

    private static string Mixed(long wholes, long numerator, long denominator) =>
        numerator == 0 ? $"{wholes}" : wholes == 0 ? $"{numerator}/{denominator}" : $"{wholes} {numerator}/{denominator}";

    private static string Multiples(long of, long upTo) => string.Join(", ", Enumerable.Range(1, (int)(upTo / of)).Select(i => i * of));

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];

    private static string Wholes(long count) => count == 1 ? "whole" : "wholes";

    private static string Are(long count) => count == 1 ? "is" : "are";

    private static string Counted(long count, long denominator) =>
        $"{count} {(count != 1 ? Parts(denominator) : denominator == 2 ? "half" : Parts(denominator)[..^1])}";

    private static string Parts(long denominator) => denominator < Names.Length
        ? Names[denominator]
        : $"{denominator}{(denominator % 100 is 11 or 12 or 13 ? "th" : (denominator % 10) switch { 1 => "st", 2 => "nd", 3 => "rd", _ => "th" })}s";
}
