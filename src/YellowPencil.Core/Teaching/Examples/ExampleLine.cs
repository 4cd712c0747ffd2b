using System.Numerics;
using YellowPencil.Core.Families.Equations;
using YellowPencil.Core.Families.Expanding;
using YellowPencil.Core.Families.Factoring;
using YellowPencil.Core.Families.Polynomials;
using YellowPencil.Core.Families.Roots;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.Fractions;

namespace YellowPencil.Core.Teaching.Examples;

/// <summary>A line of a worked example with what is said beside it.</summary>
/// <param name="Line">The line, as it is typed; empty where only something is said.</param>
/// <param name="Words">What is said, with its numbers.</param>
/// <param name="About">The decisions that are made in it.</param>
internal sealed record ExampleLine(string Line, string Words, params Decision[] About)
{
    /// <summary>The idea that it teaches by itself, whichever way the old rule goes; null where the decisions say what it is for.</summary>
    public MissingIdea? Teaches { get; init; }
}

/// <summary>Items that are worked in lines, as the classroom works them, every line with its words, and the check at the end.</summary>
internal static class WorkedExamples
{
    /// <summary>The lines of an item; null for families whose steps are told place by place.</summary>
    public static IReadOnlyList<ExampleLine>? Of(ItemTask task, School school) => task switch
    {
        FractionTask { Second: not null } fractions => [.. new FractionExample(fractions, school).Lines()],
        PolynomialTask sums => [.. PolynomialExample.Lines(sums)],
        ExpandingTask { IsLine: false } products => [.. ExpandingExample.Lines(products, school)],
        FactoringTask quadratic => [.. new FactoringExample(quadratic, school).Lines()],
        RootTask root => [.. new RootExample(root, school).Lines()],
        EquationTask equation => [.. new EquationExample(equation, school).Lines()],
        _ => new NumberExample(task, school).Lines()?.ToList(),
    };

    /// <summary>What the sign of an item asks, with its numbers; null where it is not set by one sign between numbers.</summary>
    public static string? SaysWhatIsAsked(ItemTask task)
    {
        if (task.SetOperation is not { } operation) return null;
        var sign = operation switch { PairOperation.Plus => '+', PairOperation.Minus => '-', PairOperation.Times => '*', _ => '/' };
        var numbers = task.Text.Split($" {sign} ").Select(Signs.Printed).ToList();
        var (first, last) = (numbers[0], numbers[^1]);
        return operation switch
        {
            PairOperation.Plus => $"The sign is +: {string.Join(", ", numbers.Take(numbers.Count - 1))} and {last} are put together.",
            PairOperation.Minus => $"The sign is −: {last} is taken away from {first}.",
            PairOperation.Times => $"The sign is ×: {first} times {last}.",
            _ => $"The sign is ÷: {first} is divided by {last}.",
        };
    }

    /// <summary>A number with a printed minus.</summary>
    internal static string N(BigInteger number) => number.Sign < 0 ? $"−{-number}" : number.ToString();

    /// <summary>A number as it stands behind a sign.</summary>
    internal static string P(BigInteger number) => number.Sign < 0 ? $"(−{-number})" : number.ToString();

    /// <summary>A term as it is printed, with its sign.</summary>
    internal static string T(PolyTerm term, char letter) => Signs.Printed(PolynomialText.Write([term], letter));

    /// <summary>What terms come to with 1 for the letter.</summary>
    internal static BigInteger AtOne(IEnumerable<PolyTerm> terms) => terms.Aggregate(BigInteger.Zero, (sum, term) => sum + term.Number);

    /// <summary>The numbers of terms with 1 for the letter, as a sum.</summary>
    internal static string SumAtOne(IEnumerable<PolyTerm> terms) =>
        terms.Aggregate("", (text, term) => text.Length == 0 ? N(term.Number) : $"{text} {(term.Number.Sign < 0 ? "−" : "+")} {BigInteger.Abs(term.Number)}");
}
