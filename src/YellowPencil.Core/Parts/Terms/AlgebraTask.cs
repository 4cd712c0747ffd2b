using System.Numerics;

namespace YellowPencil.Core.Parts.Terms;

/// <summary>A task whose answer is a polynomial in one letter.</summary>
internal abstract class AlgebraTask : ItemTask
{
    private protected AlgebraTask(string text, Family family, char letter)
        : base(text, family) => Letter = letter;

    public char Letter { get; }

    /// <summary>The terms of the answer.</summary>
    public IReadOnlyList<PolyTerm> RightTerms { get; private protected init; } = [];

    public override AnswerForm Answers => AnswerForm.Terms;

    public override IReadOnlyList<DecimalNumber> Numbers { get; } = [DecimalNumber.Of(BigInteger.One, 0)];

    /// <summary>Numbers before letters are not misread one by one: what goes wrong with them are decisions of the method.</summary>
    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) => null;

    /// <summary>The terms in one order, not put together; the letter's name does not matter.</summary>
    public override string Canonical(string answer)
    {
        char? letter = null;
        return PolynomialText.TryRead(Signs.Plain(answer), ref letter) is { } terms
            ? PolynomialText.Write(PolynomialText.InOrder(terms.Where(t => !t.Number.IsZero || terms.Count == 1)), Letter)
            : answer.Trim();
    }

    public override Verdict Judge(string? answer)
    {
        var verdict = base.Judge(answer);
        if (verdict != Verdict.Wrong) return verdict;
        char? letter = null;
        return PolynomialText.TryRead(Signs.Plain(answer!), ref letter) is { } terms
            && PolynomialText.Write(PolynomialText.Collected(terms), Letter) == RightAnswer
            ? Verdict.Unfinished
            : verdict;
    }
}
