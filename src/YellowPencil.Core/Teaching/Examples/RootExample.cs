using System.Numerics;
using YellowPencil.Core.Families.Roots;
using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Teaching.Examples;

/// <summary>A root by hand, on a straight line between two squares or by trying.</summary>
internal sealed class RootExample(RootTask task, School school)
{
    private readonly Rational number = task.Radicand;

    /// <summary>The lines.</summary>
    public IEnumerable<ExampleLine> Lines()
    {
        if (Exact.Perfect(number) is { } root)
        {
            yield return new(
                $"{Plain(root)} * {Plain(root)} = {Plain(number)}", $"A square with the side {Plain(root)} has the area {Plain(number)}: {Plain(root)} is the root.", RootDecisions.Perfect,
                RootDecisions.Under);
            yield break;
        }

        var lower = BigInteger.Zero;
        while (!(Rational.Whole((lower + 1) * (lower + 1)) > number)) lower++;
        var upper = lower + 1;
        var (below, above) = (lower * lower, upper * upper);
        yield return new(
            "", $"{lower} × {lower} = {below} is the last square that is not more than {Plain(number)}, {upper} × {upper} = {above} comes next: the root lies between {lower} and {upper}.",
            RootDecisions.Around, RootDecisions.Known, RootDecisions.Under)
        {
            Teaches = Ideas.RootUndoesSquare,
        };
        foreach (var line in school.Of(School.Roots) == RootSchool.NumberLine ? Tried(lower) : Along(lower, below, above)) yield return line;
    }

    private IEnumerable<ExampleLine> Along(BigInteger lower, BigInteger below, BigInteger above)
    {
        var (on, steps) = (number - Rational.Whole(below), above - below);
        yield return new(
            "", $"From {below} to {above} are {above} − {below} = {steps} steps; {Plain(number)} is {Plain(number)} − {below} = {Plain(on)} on.", RootDecisions.Numerator, RootDecisions.GapIs,
            RootDecisions.Denominator, RootDecisions.DenominatorIs, RootDecisions.Procedure);
        var part = on / Rational.Whole(steps);
        yield return new(
            on.IsWhole ? $"{lower} + {Plain(on)}/{steps}" : "", $"So many of so many steps, counted from the lower root: {lower} and {Plain(on)} of {steps}.", RootDecisions.From, RootDecisions.Procedure);
        var estimate = Rational.Whole(lower) + part;
        var cut = Exact.CutOff(estimate, task.Places + 1);
        yield return new(
            Exact.Written(cut, task.Places + 1),
            $"{Plain(on)} ÷ {steps} = {Exact.Written(Exact.CutOff(part, task.Places + 1), task.Places + 1)}, one place more than is asked for.", RootDecisions.Divided, RootDecisions.End);
        var last = (int)(cut.Numerator * BigInteger.Pow(10, task.Places + 1) / cut.Denominator % 10);
        yield return new(task.RightAnswer, $"The next digit is {last}: {(last >= 5 ? "it goes up" : "it stays")}.", RootDecisions.Round);
        yield return new(
            "", task.TrueAnswer == task.RightAnswer
                ? $"Check: {Squared(task.RightAnswer)}, near {Plain(number)}."
                : $"Check: {Squared(task.RightAnswer)}. The straight line lies a little low: the true root is nearer to {task.TrueAnswer}, and {task.RightAnswer} is right in this way.");
    }

    private IEnumerable<ExampleLine> Tried(BigInteger lower)
    {
        var unit = new Rational(1, BigInteger.Pow(10, task.Places));
        var under = Exact.CutOff(
            new Rational(Exact.Root(number.Numerator * BigInteger.Pow(10, 2 * task.Places) / number.Denominator), BigInteger.Pow(10, task.Places)), task.Places);
        var over = under + unit;
        var (little, much) = (number - under * under, over * over - number);
        yield return new(
            $"{Shown(over)} * {Shown(over)} = {Plain(over * over)}", $"A guess is squared: {Plain(over * over)} is {Plain(much)} too much. So the number before it too.", RootDecisions.Procedure);
        yield return new($"{Shown(under)} * {Shown(under)} = {Plain(under * under)}", $"{Plain(under * under)} is {Plain(little)} too little.", RootDecisions.Procedure);
        var nearest = much > little ? under : over;
        yield return new(
            task.RightAnswer, $"{Plain(little > much ? much : little)} is less than {Plain(little > much ? little : much)}: {Shown(nearest)} is nearer and stays. It lies between {lower} and {lower + 1}.",
            RootDecisions.Procedure, RootDecisions.Round);
    }

    private static string Squared(string answer)
    {
        var value = DecimalNumber.TryParse(answer).Value!;
        return $"{answer} × {answer} = {DecimalNumber.Exact(value.Unscaled * value.Unscaled, 2 * value.Places)}";
    }

    private string Shown(Rational value) => Exact.Written(value, task.Places);

    private static string Plain(Rational value) => Exact.Written(value, 12);
}
