using System.Numerics;
using YellowPencil.Core.Families.Expanding;
using YellowPencil.Core.Families.Polynomials;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.SignRules;
using YellowPencil.Core.Parts.Terms;
using static YellowPencil.Core.Teaching.Examples.WorkedExamples;

namespace YellowPencil.Core.Teaching.Examples;

/// <summary>A sum or difference of polynomials, worked.</summary>
internal static class PolynomialExample
{
    public static IEnumerable<ExampleLine> Lines(PolynomialTask task)
    {
        var letter = task.Letter;
        var opened = task.Groups.SelectMany(g => g.Terms.Select(t => g.IsTakenAway ? t.Turned : t)).ToList();
        var turned = task.Groups.Where(g => g.IsTakenAway).SelectMany(g => g.Terms).Select(t => $"{Signed(t, letter)} becomes {Signed(t.Turned, letter)}").ToList();
        yield return new(
            PolynomialText.Write(opened, letter),
            turned.Count == 0
                ? "No minus stands before a bracket: every sign stays."
                : $"Everything in a bracket behind a minus is taken away, so each of its signs turns: {string.Join(", ", turned)}.",
            PolynomialDecisions.Sign, PolynomialDecisions.Order);
        foreach (var line in Collected(opened, letter)) yield return line;
        var groups = string.Join(" ", task.Groups.Select((g, i) => $"{(i == 0 ? g.IsTakenAway ? "−" : "" : g.IsTakenAway ? "− " : "+ ")}({SumAtOne(g.Terms)})"));
        yield return new("", $"Check with 1 for {letter}: {groups} = {N(AtOne(opened))}, and {SumAtOne(task.RightTerms)} = {N(AtOne(task.RightTerms))}.");
    }

    /// <summary>Like terms side by side, and what they come to.</summary>
    public static IEnumerable<ExampleLine> Collected(IReadOnlyList<PolyTerm> terms, char letter)
    {
        var kinds = terms.GroupBy(t => t.Power).OrderByDescending(g => g.Key).ToList();
        if (kinds.TrueForAll(k => k.Count() == 1) && kinds.SelectMany(k => k).SequenceEqual(terms)) yield break;
        List<PolyTerm> side = [.. kinds.SelectMany(k => k)];
        if (!side.SequenceEqual(terms))
            yield return new(PolynomialText.Write(side, letter), "Like beside like: the same letter with the same power. A term takes its sign along.", PolynomialDecisions.Left, PolynomialDecisions.Power);
        List<PolyTerm> result = [.. kinds.Select(k => new PolyTerm(AtOne(k), k.Key)).Where(t => !t.Number.IsZero)];
        yield return new(
            PolynomialText.Write(result, letter), string.Join(" ", kinds.Select(k => Said([.. k], letter))), PolynomialDecisions.Like, PolynomialDecisions.PowerOfSum, PolynomialDecisions.Bare, PolynomialDecisions.Alone,
            PolynomialDecisions.Gone, PolynomialDecisions.One);
    }

    private static string Said(List<PolyTerm> like, char letter)
    {
        var of = like[0].Power switch { 0 => "", 1 => letter.ToString(), var power => Signs.Printed($"{letter}^{power}") };
        if (like.Count == 1) return $"{T(like[0], letter)} has no partner and is kept.";
        var sum = AtOne(like);
        var bare = like.Exists(t => t.Power > 0 && BigInteger.Abs(t.Number).IsOne) ? $"{of} alone is 1 of it: " : "";
        var left = sum.IsZero ? of.Length == 0 ? "nothing is left" : $"no {of} is left" : of.Length == 0 ? $"{N(sum)}" : $"{T(new PolyTerm(sum, like[0].Power), letter)}";
        return $"{bare}{SumAtOne(like)} = {N(sum)}{(of.Length == 0 && !sum.IsZero ? "." : $": {left}.")}";
    }

    private static string Signed(PolyTerm term, char letter) => term.Number.Sign < 0 ? T(term, letter) : $"+{T(term, letter)}";
}

/// <summary>A product of terms and brackets, worked.</summary>
internal static class ExpandingExample
{
    public static IEnumerable<ExampleLine> Lines(ExpandingTask task, School school)
    {
        var letter = task.Letter;
        var (one, other) = (task.Before is { } before ? [before] : task.First, task.Before is null ? task.Second! : task.First);
        if (task.IsSquare)
            yield return new(
                $"{Bracket(task.First, letter)}{Bracket(task.First, letter)}", "A square is the bracket times itself: it is written twice.", ExpandingDecisions.Square)
            { Teaches = Ideas.SquareIsAProduct };
        var pieces = one.SelectMany(a => other.Select(b => (One: a, Other: b, Product: new PolyTerm(a.Number * b.Number, a.Power + b.Power)))).ToList();
        var inBox = school.Of(School.Binomials) == BinomialSchool.Box && one.Count > 1;
        if (one.Count > 1)
            yield return new(
                "", $"{(inBox ? "Round the box stand" : "The terms are")} {Named(one, letter)} {(inBox ? "on one side and" : "and")} {Named(other, letter)}{(inBox ? " on the other" : "")}, each with its sign: {one.Count} × "
                    + $"{other.Count} = {pieces.Count} products.",
                ExpandingDecisions.Edge, ExpandingDecisions.Brackets);
        yield return new(
            PolynomialText.Write([.. pieces.Select(p => p.Product)], letter),
            $"{string.Join("; ", pieces.Select(p => $"{T(p.One, letter)} · {Behind(p.Other, letter)} = {T(p.Product, letter)}{WhySign(p.One, p.Other)}"))}.",
            ExpandingDecisions.Made, ExpandingDecisions.Numbers, ExpandingDecisions.Letters, ExpandingDecisions.Size, ExpandingDecisions.Sign, SignDecisions.OfProduct);
        foreach (var line in PolynomialExample.Collected([.. pieces.Select(p => p.Product)], letter)) yield return line;
        var (x, y) = (AtOne(one), AtOne(other));
        yield return new("", $"Check with 1 for {letter}: {P(x)} · {P(y)} = {N(x * y)}, and {SumAtOne(task.RightTerms)} = {N(AtOne(task.RightTerms))}.");
    }

    private static string Bracket(IReadOnlyList<PolyTerm> terms, char letter) => $"({PolynomialText.Write(terms, letter)})";

    private static string Named(IReadOnlyList<PolyTerm> terms, char letter) =>
        $"{string.Join(", ", terms.SkipLast(1).Select(t => T(t, letter)))} and {T(terms[^1], letter)}";

    private static string Behind(PolyTerm term, char letter) => term.Number.Sign < 0 ? $"({T(term, letter)})" : T(term, letter);

    private static string WhySign(PolyTerm one, PolyTerm other) =>
        one.Number.Sign < 0 && other.Number.Sign < 0 ? " (same signs: plus)" : one.Number.Sign < 0 || other.Number.Sign < 0 ? " (different signs: minus)" : "";
}
