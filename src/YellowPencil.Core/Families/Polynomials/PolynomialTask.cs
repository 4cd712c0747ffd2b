using YellowPencil.Core.Parts.Terms;

namespace YellowPencil.Core.Families.Polynomials;

/// <summary>Terms in brackets, or without, that are added or taken away as a whole.</summary>
/// <param name="IsTakenAway">Whether a minus stands before the bracket.</param>
/// <param name="Terms">The terms.</param>
internal sealed record TermGroup(bool IsTakenAway, IReadOnlyList<PolyTerm> Terms);

/// <summary>A sum or difference of polynomials in one letter that is to be collected; on the way to its answer the terms without their brackets.</summary>
internal sealed class PolynomialTask : AlgebraTask
{
    /// <summary>The most brackets of a task.</summary>
    public const int MostGroups = 6;

    /// <summary>The most terms of a task.</summary>
    public const int MostTerms = 24;

    internal PolynomialTask(IReadOnlyList<TermGroup> groups, char letter, bool isLine = false)
        : base($"simplify {string.Concat(groups.Select((g, i) => Written(g, i, letter)))}", PolynomialFamily.Instance, letter)
    {
        Groups = groups;
        IsLine = isLine;
        RightTerms = PolynomialText.Collected(groups.SelectMany(g => g.IsTakenAway ? g.Terms.Select(t => t.Turned) : g.Terms));
        RightAnswer = PolynomialText.Write(RightTerms, letter);
    }

    /// <summary>The brackets in their order.</summary>
    public IReadOnlyList<TermGroup> Groups { get; }

    /// <summary>Whether it is a line of a working.</summary>
    public bool IsLine { get; }

    public override PairOperation? SetOperation => Groups.Any(g => g.IsTakenAway) ? PairOperation.Minus : PairOperation.Plus;

    public override int Steps => 2 * Groups.Sum(g => g.Terms.Count) + 4;

    public override string RightAnswer { get; }

    /// <summary>The line of a working, without brackets; null where it is none.</summary>
    public static PolynomialTask? TryReadLine(string line, char letter)
    {
        char? known = letter;
        return PolynomialText.TryRead(Signs.Plain(line), ref known) is { Count: <= MostTerms } terms
            ? new PolynomialTask([new TermGroup(false, terms)], letter, isLine: true)
            : null;
    }

    private static string Written(TermGroup group, int at, char letter) =>
        $"{(at > 0 ? group.IsTakenAway ? " - " : " + " : group.IsTakenAway ? "-" : "")}({PolynomialText.Write(group.Terms, letter)})";
}
