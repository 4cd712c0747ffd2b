using YellowPencil.Core.Families.Polynomials;
using YellowPencil.Core.Parts.Terms;

namespace YellowPencil.Core.Families.Expanding;

/// <summary>
/// A product that is to be multiplied out: a term and a bracket, two brackets, or a bracket squared; on the way to its answer the terms that came out.
/// </summary>
internal sealed class ExpandingTask : AlgebraTask
{
    internal ExpandingTask(PolyTerm? before, IReadOnlyList<PolyTerm> first, IReadOnlyList<PolyTerm>? second, bool isSquare, char letter)
        : base($"expand {Written(before, first, second, isSquare, letter)}", ExpandingFamily.Instance, letter)
    {
        (Before, First, Second, IsSquare) = (before, first, isSquare ? first : second, isSquare);
        var factor = before is { } one ? [one] : Second ?? [new PolyTerm(1, 0)];
        RightTerms = PolynomialText.Collected(first.SelectMany(a => factor.Select(b => new PolyTerm(a.Number * b.Number, a.Power + b.Power))));
        RightAnswer = PolynomialText.Write(RightTerms, letter);
    }

    /// <summary>The term before the bracket; null where there is none.</summary>
    public PolyTerm? Before { get; }

    /// <summary>The first bracket.</summary>
    public IReadOnlyList<PolyTerm> First { get; }

    /// <summary>The second bracket, the first once more where it is squared; null where there is none.</summary>
    public IReadOnlyList<PolyTerm>? Second { get; }

    /// <summary>Whether a bracket is squared.</summary>
    public bool IsSquare { get; }

    /// <summary>Whether it is a line of a working: terms that are still to be collected.</summary>
    public bool IsLine => Before is null && Second is null;

    public override PairOperation? SetOperation => PairOperation.Times;

    public override TaskTraits Traits =>
        IsSquare
            ? TaskTraits.SquareOfBracket
            : Second is not null
            ? TaskTraits.TwoBrackets
            : Before is not null
            ? TaskTraits.TermBeforeBracket
            : TaskTraits.None;

    public override int Steps => 4 * (First.Count * (Second?.Count ?? 1)) + 6;

    public override string RightAnswer { get; }

    /// <summary>A line of a working, without brackets; null where it is none.</summary>
    public static ExpandingTask? TryReadLine(string line, char letter)
    {
        char? known = letter;
        return PolynomialText.TryRead(Signs.Plain(line), ref known) is { Count: <= PolynomialTask.MostTerms } terms
            ? new ExpandingTask(null, terms, null, false, letter)
            : null;
    }

    private static string Written(PolyTerm? before, IReadOnlyList<PolyTerm> first, IReadOnlyList<PolyTerm>? second, bool isSquare, char letter)
    {
        var one = $"({PolynomialText.Write(first, letter)})";
        if (before is { } term)
            return (term is { Power: 0, Number.IsOne: true } ? "" : term.Power == 0 && term.Number == -1 ? "-" : PolynomialText.Write([term], letter)) + one;
        return isSquare ? $"{one}^2" : second is null ? PolynomialText.Write(first, letter) : $"{one}({PolynomialText.Write(second, letter)})";
    }
}
