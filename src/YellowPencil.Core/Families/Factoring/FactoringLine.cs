using System.Numerics;
using System.Text.RegularExpressions;

namespace YellowPencil.Core.Families.Factoring;

/// <summary>A line of a factoring, as far as it says something about the way to the factors. Lines that say the same, in whatever order, are equal.</summary>
internal abstract partial record FactoringLine
{
    private const long MostSeen = 1_000_000_000;

    /// <summary>What all terms have, before a bracket with the rest: <c>2(9n^2 - 25)</c>.</summary>
    public sealed record TakenOut(int Front, int A, int B, int C) : FactoringLine;

    /// <summary>The middle split in two: <c>6x^2 + 9x - 8x - 12</c>.</summary>
    public sealed record Split(int Front, int A, Rational One, Rational Other, int C) : FactoringLine;

    /// <summary>The two numbers that were found, with their sum or product: <c>9 * -8 = -72</c>.</summary>
    public sealed record Numbers(Rational One, Rational Other) : FactoringLine;

    /// <summary>What lies half-way between the two numbers: <c>m = 4 / 2 = 2</c>.</summary>
    public sealed record Middle(Rational Value) : FactoringLine;

    /// <summary>The square of the gap: <c>g^2 = 4 + 21 = 25</c>.</summary>
    public sealed record Squared(Rational Value) : FactoringLine;

    /// <summary>The gap: <c>g = 5</c>.</summary>
    public sealed record Gap(Rational Value) : FactoringLine;

    /// <summary>Two brackets, each with a number before the letter and a plain one: <c>(n + 5/3)(n - 5/3)</c>.</summary>
    public sealed record Brackets(int Front, Ends One, Ends Other) : FactoringLine
    {
        /// <summary>As an answer.</summary>
        public string Text(char letter) => Factors.Text(letter);

        /// <summary>As factors.</summary>
        public Factors Factors => new(new PolyTerm(Front, 0), [Of(One), Of(Other)]);

        private static IReadOnlyList<PolyTerm> Of(Ends ends) => Factors.Linear(ends.First.Numerator, ends.Last.Numerator);
    }

    /// <summary>What stands in a bracket.</summary>
    /// <param name="First">The number before the letter.</param>
    /// <param name="Last">The plain number.</param>
    public readonly record struct Ends(Rational First, Rational Last);

    /// <summary>Reads a line; null for one that says nothing about the way.</summary>
    /// <param name="line">The line as written.</param>
    /// <param name="letter">The letter of the task, which names neither middle nor gap; null where it is not known.</param>
    public static FactoringLine? TryRead(string line, char? letter = null)
    {
        var parts = Signs.Plain(line).Replace("²", "^2").Split('=', StringSplitOptions.TrimEntries);
        if (parts.Length == 1) return Algebra(parts[0]);
        if (Name().Match(parts[0]) is { Success: true } name) return name.Groups["word"].Value == letter?.ToString() ? null : Named(name, parts[^1]);
        if (NumberSentence.TwoNumbers(parts[0]) is { } two && NumberSentence.Value(parts[^1]) is not null)
        {
            var (one, other) = InOrder(two.One, two.Other);
            return new Numbers(one, other);
        }

        return Algebra(parts[^1]);
    }

    private static FactoringLine? Named(Match name, string value)
    {
        if (NumberSentence.Value(value) is not { } number || BigInteger.Abs(number.Numerator) > MostSeen || number.Denominator > MostSeen) return null;
        if (name.Groups["square"].Success) return new Squared(number);
        return name.Groups["word"].Value[0] is 'm' or 'h' or 'c' ? new Middle(number) : new Gap(number);
    }

    private static FactoringLine? Algebra(string text)
    {
        if (BracketText.TryRead(text) is { Before: { Power: 0 } before } read)
        {
            if (FrontOf(before.Number) is not { } front) return null;
            if (read.Brackets is [var only]) return Quadratic(only) is { } left ? new TakenOut(front, left.A, left.B, left.C) : SplitOf(front, only);
            return read.Brackets is [var one, var other] && EndsOf(one) is { } first && EndsOf(other) is { } second ? InOrder(front, first, second) : null;
        }

        char? letter = null;
        if (PolynomialText.TryRead(text, ref letter) is { } terms) return SplitOf(1, terms);
        if (
            SurdFactors.TryRead(text) is { Ends: [var first1, var second1] } monic
                && first1.Times.IsZero && second1.Times.IsZero && FrontOf(monic.Front) is { } number)
            return InOrder(number, new Ends(Rational.Whole(1), first1.Plain), new Ends(Rational.Whole(1), second1.Plain));
        return Grouped(text);
    }

    // ax(px + q) + b(px + q), which is (ax + b)(px + q).
    private static Brackets? Grouped(string text)
    {
        if (GroupedText().Match(text) is not { Success: true } groups) return null;
        char? letter = null;
        if (
            PolynomialText.TryRead(groups.Groups["one"].Value, ref letter) is not { } one
                || PolynomialText.TryRead(groups.Groups["other"].Value, ref letter) is not { } other)
            return null;
        if (!PolynomialText.InOrder(one).SequenceEqual(PolynomialText.InOrder(other))) return null;
        var before = new[] { "first", "second" }.Select(g => groups.Groups[g].Value.Replace(" ", "")).Select(t => t is "" or "+" or "-" ? t + "1" : t);
        var front = new List<PolyTerm>();
        foreach (var term in before)
        {
            if (PolynomialText.TryRead(term, ref letter) is not [var single]) return null;
            front.Add(single);
        }

        return EndsOf(front) is { } first && EndsOf(one) is { } second ? InOrder(1, first, second) : null;
    }

    private static Split? SplitOf(int front, IReadOnlyList<PolyTerm> terms)
    {
        var letters = terms.Where(t => t.Power == 1).ToList();
        if (terms.Count != 4 || letters.Count != 2 || Number(terms, 2) is not ({ } a and not 0) || Number(terms, 0) is not { } c) return null;
        var (one, other) = InOrder(Rational.Whole(letters[0].Number), Rational.Whole(letters[1].Number));
        return new Split(front, a, one, other, c);
    }

    private static (int A, int B, int C)? Quadratic(IReadOnlyList<PolyTerm> terms)
    {
        if (terms.Count > 3 || terms.Select(t => t.Power).Distinct().Count() < terms.Count || terms.Any(t => t.Power > 2)) return null;
        return Number(terms, 2) is { } a and not 0 && (Number(terms, 1) ?? 0) is var b && (Number(terms, 0) ?? 0) is var c && (b != 0 || c != 0)
            ? (a, b, c)
            : null;
    }

    private static int? FrontOf(BigInteger number) => !number.IsZero && BigInteger.Abs(number) <= FactoringTask.Most ? (int)number : null;

    // The one term of a power, as a number that a quadratic can have; null where there is none.
    private static int? Number(IReadOnlyList<PolyTerm> terms, int power) =>
        terms.Where(t => t.Power == power).ToList() is [var only] && BigInteger.Abs(only.Number) <= FactoringTask.Most ? (int)only.Number : null;

    private static Ends? EndsOf(IReadOnlyList<PolyTerm> terms) =>
        terms.Count is 1 or 2 && Number(terms, 1) is { } first && terms.All(t => t.Power < 2) && (terms.Count == 1 || Number(terms, 0) is not null)
        ? new Ends(Rational.Whole(first), Rational.Whole(Number(terms, 0) ?? 0))
        : null;

    private static (Rational, Rational) InOrder(Rational one, Rational other) => one > other ? (other, one) : (one, other);

    private static Brackets InOrder(int front, Ends one, Ends other) =>
        one.First > other.First || (one.First == other.First && one.Last > other.Last) ? new Brackets(front, other, one) : new Brackets(front, one, other);

    [GeneratedRegex(@"^(?<word>[a-z]{1,8})\s*(?<square>\^\s*2)?$")]
    private static partial Regex Name();

    [GeneratedRegex(@"^(?<first>[^()]*)\((?<one>[^()]*)\)\s*(?<second>[+-][^()]*)\((?<other>[^()]*)\)$")]
    private static partial Regex GroupedText();
}
