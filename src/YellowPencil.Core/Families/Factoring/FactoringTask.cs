using System.Numerics;

namespace YellowPencil.Core.Families.Factoring;

/// <summary>
/// A quadratic that is to be written as a product of linear factors: with whole numbers, or with roots of them over the reals, and with i over the complex
/// numbers.
/// </summary>
internal sealed class FactoringTask : ItemTask
{
    /// <summary>The answer where it has no such factors.</summary>
    public const string Prime = "prime";

    /// <summary>The largest number before a power of the letter.</summary>
    public const int Most = 9_999;

    internal FactoringTask(int a, int b, int c, char letter, FactorsOver over = FactorsOver.Integers)
        : base(
            $"factor {PolynomialText.Write([.. new[] { new PolyTerm(a, 2), new PolyTerm(b, 1), new PolyTerm(c, 0) }.Where(t => !t.Number.IsZero)], letter)}",
            FactoringFamily.Instance, new Asked(Over: over switch { FactorsOver.Reals => "reals", FactorsOver.Complex => "complex", _ => null }))
    {
        (A, B, C, Letter, Over, StandsThere) = (a, b, c, letter, over, Text);
        RightAnswer = RightFrom(new FactoringStage());
    }

    private FactoringTask(FactoringTask task, FactoringStage stage, string line)
        : base(task.Text, FactoringFamily.Instance, task.Asked)
    {
        (A, B, C, Letter, Over, Stage, StandsThere) = (stage.A ?? task.A, stage.B ?? task.B, stage.C ?? task.C, task.Letter, task.Over, stage, line);
        RightAnswer = RightFrom(stage);
    }

    /// <summary>How far a working has come by the lines that were followed; null at the beginning.</summary>
    internal FactoringStage? Stage { get; }

    public override string StandsThere { get; }

    /// <summary>The number before the square, of what is left to be factored.</summary>
    public int A { get; }

    /// <summary>The number before the letter.</summary>
    public int B { get; }

    /// <summary>The plain number.</summary>
    public int C { get; }

    public char Letter { get; }

    /// <summary>The numbers over which it is factored.</summary>
    public FactorsOver Over { get; }

    /// <summary>What is to be done behind a line; null where it does not say how to go on.</summary>
    internal FactoringTask? Behind(string line) =>
        FactoringLine.TryRead(line, Letter) is { } read && (Stage ?? new FactoringStage()).Behind(read, this) is { } stage
            ? new FactoringTask(this, stage, line)
            : null;

    // What the method comes to from where the working stands.
    private string RightFrom(FactoringStage stage)
    {
        if (stage.Finished is { } finished) return Canonical(finished.Text(Letter));
        if (NeedsRoots)
        {
            var middle = stage.Middle ?? new Rational(B, 2 * A);
            var squared = stage.Squared ?? middle * middle - new Rational(C, A);
            return squared.Sign < 0 && Over != FactorsOver.Complex ? Prime
                : new SurdFactors(stage.Front * A, [SurdEnd.Of(middle, squared, isMinus: false), SurdEnd.Of(middle, squared, isMinus: true)]).Text(Letter);
        }

        if (stage.IsBegun) return stage.NumbersIn(this) is { } numbers ? Canonical(Factors.Text(stage.Front, A, numbers.One, numbers.Other, Letter)) : Prime;
        var common = (int)BigInteger.GreatestCommonDivisor(BigInteger.GreatestCommonDivisor(A, B), C) * Math.Sign(A);
        return Canonical(Factors.Of(stage.Front * common, A / common, B / common, C / common).Text(Letter));
    }

    /// <summary>Whether its factors, if it has any over its numbers, have roots in them.</summary>
    public bool NeedsRoots => Over != FactorsOver.Integers && C != 0 && Factors.Pair(A, B, C) is null;

    public override PairOperation? SetOperation => null;

    public override AnswerForm Answers => AnswerForm.Brackets;

    public override TaskTraits Traits =>
        (B == 0 ? TaskTraits.NoMiddle : TaskTraits.None) | (C > 0 && (long)B * B == 4L * A * C ? TaskTraits.SameFactors : TaskTraits.None);

    public override int Steps => 16;

    public override IReadOnlyList<DecimalNumber> Numbers { get; } = [DecimalNumber.Of(BigInteger.One, 0)];

    /// <summary>Numbers of a quadratic are not misread one by one: what goes wrong with them are decisions of the method.</summary>
    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) => null;

    public override string RightAnswer { get; }

    /// <summary>The factors in one order, with the letter of the task; squares are written out.</summary>
    public override string Canonical(string answer)
    {
        var text = Signs.Plain(answer).Trim();
        if (text.Equals(Prime, StringComparison.OrdinalIgnoreCase)) return Prime;
        if (text.Contains('=')) return string.Join(", ", text.Split([",", ";", " or ", " and "], StringSplitOptions.TrimEntries).Select(s => string.Join(" = ", s.Split('=', StringSplitOptions.TrimEntries))));

        // Where roots are due, the half and the gap stand side by side in a bracket: without a root they come to one number.
        if (BracketText.TryRead(text) is { } read)
        {
            // A bracket with one term only stands before the others.
            var alone = read.Brackets.Where(b => b.Count == 1 && read.Brackets.Count > 1).Select(b => b[0]).ToList();
            read = (alone.Aggregate(read.Before, (all, term) => new PolyTerm(all.Number * term.Number, all.Power + term.Power)), [.. read.Brackets.Where(b => b.Count != 1 || read.Brackets.Count == 1)]);
            return BracketText.Write(
                read.Before, NeedsRoots ? read.Brackets.Select(b => (IReadOnlyList<PolyTerm>)PolynomialText.Collected(b)) : read.Brackets, Letter);
        }

        if (SurdFactors.TryRead(text) is { } roots) return roots.Text(Letter);
        return MissingBracket.PutBack(text) is { } whole ? Canonical(whole) : text;
    }

    /// <summary>A product that comes to the quadratic and is not in linear factors as far as it could be is not finished.</summary>
    public override Verdict Judge(string? answer)
    {
        var verdict = base.Judge(answer);
        if (verdict == Verdict.Wrong && SurdFactors.TryRead(Signs.Plain(answer!)) is { } roots && roots.Simplest.Text(Letter) == RightAnswer)
            return Verdict.Unfinished;
        if (verdict != Verdict.Wrong || BracketText.TryRead(Signs.Plain(answer!)) is not { } read || read.Brackets.Count == 0) return verdict;
        var product = read.Brackets.Aggregate(
            (IReadOnlyList<PolyTerm>)[read.Before],
            (sum, bracket) => PolynomialText.Collected(sum.SelectMany(s => bracket.Select(t => new PolyTerm(s.Number * t.Number, s.Power + t.Power)))));
        return product.SequenceEqual(PolynomialText.Collected([new PolyTerm(A, 2), new PolyTerm(B, 1), new PolyTerm(C, 0)])) ? Verdict.Unfinished : verdict;
    }
}
