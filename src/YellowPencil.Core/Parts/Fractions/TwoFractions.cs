namespace YellowPencil.Core.Parts.Fractions;

/// <summary>What two fractions come to, and how they are set.</summary>
internal static class TwoFractions
{
    /// <summary>What two fractions come to, before it is finished.</summary>
    /// <param name="work">The work.</param>
    /// <param name="run">The run.</param>
    /// <param name="first">The first.</param>
    /// <param name="second">The second.</param>
    /// <param name="isDifference">Whether the second is taken away.</param>
    /// <param name="hasWholes">Whether there were whole parts.</param>
    /// <param name="wereChanged">Whether the denominators were different before and have been made the same.</param>
    public static Fraction Result(FractionWork work, MethodRun run, Fraction first, Fraction second, bool isDifference, bool hasWholes, bool wereChanged)
    {
        var pair = FractionWork.PairOf(first, second, isDifference, hasWholes);
        var way = run.Ask(FractionDecisions.Procedure, pair);
        if (FractionWork.Otherwise(way, first, second) is { } result) return result;
        if (way is FractionChoice.Add or FractionChoice.Subtract) isDifference = way == FractionChoice.Subtract;
        if (!pair.IsLike)
        {
            var recipe = run.Ask(FractionDecisions.Recipe, pair);
            if (FractionWork.IsAcross(recipe)) return work.Across(first, second, isDifference, recipe);
            if (recipe == FractionRecipe.ReducedAcrossFirst)
            {
                (first, second) = FractionWork.Cancelled(first, second);
                if (run.Page.KeepsMarks) run.Page.Pass($"{first.Text} {(isDifference ? "-" : "+")} {second.Text}", isWritten: true);
                pair = FractionWork.PairOf(first, second, isDifference, hasWholes);
            }

            if (!pair.IsLike)
            {
                (first, second) = work.Alike(pair with { IsDifference = isDifference }, recipe);
                wereChanged = true;
                if (run.Page.KeepsMarks) run.Page.Pass($"{first.Text} {(isDifference ? "-" : "+")} {second.Text}", isWritten: true);
            }
        }

        return work.Together(first, second, isDifference, hasWholes, wereChanged);
    }

    /// <summary>Whether two lines put the same numbers together; what is added may change places.</summary>
    public static bool SaysTheSame(Family family, string one, string other) =>
        FractionTask.TryRead(family, one) is { } first && FractionTask.TryRead(family, other) is { } second
        && (first.Text == second.Text || (!first.IsDifference && !second.IsDifference && first.First == second.Second && first.Second == second.First));

    /// <summary>Two denominators whose least common one is not too large.</summary>
    public static (int One, int Other) Pair(Random random, int[] denominators, int most)
    {
        var like = random.Next(3) == 0;
        while (true)
        {
            var one = denominators[random.Next(1, denominators.Length)];
            var other = like ? one : denominators[random.Next(denominators.Length)];
            if (like != (one == other)) continue;
            var common = (int)System.Numerics.BigInteger.GreatestCommonDivisor(one, other);
            if (like ? one > 2 : one / common * other <= most) return (one, other);
        }
    }
}
