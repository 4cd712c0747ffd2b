using System.Numerics;

namespace YellowPencil.Core.Notation;

/// <summary>A quadratic that is to be written as a product of linear factors: with whole numbers, or with roots of them over the reals, and with i over the complex numbers.</summary>
public sealed class FactoringTask : ItemTask
{
    /// <summary>The answer where it has no such factors.</summary>
    public const string Prime = "prime";

    /// <summary>The largest number before a power of the letter.</summary>
    public const int Most = 9_999;

    internal FactoringTask(int a, int b, int c, char letter, FactorsOver over = FactorsOver.Integers)
        : base($"factor {PolynomialText.Write([.. new[] { new PolyTerm(a, 2), new PolyTerm(b, 1), new PolyTerm(c, 0) }.Where(t => !t.Number.IsZero)], letter)}", Family.Factoring, new Asked(Over: over switch { FactorsOver.Reals => "reals", FactorsOver.Complex => "complex", _ => null }))
    {
        (A, B, C, Letter, Over, StandsThere) = (a, b, c, letter, over, Text);
        RightAnswer = RightFrom(new FactoringStage());
    }

    private FactoringTask(FactoringTask task, FactoringStage stage, string line)
        : base(task.Text, Family.Factoring, task.Asked)
    {
        (A, B, C, Letter, Over, Stage, StandsThere) = (stage.A ?? task.A, stage.B ?? task.B, stage.C ?? task.C, task.Letter, task.Over, stage, line);
        RightAnswer = RightFrom(stage);
    }

    /// <summary>How far a working has come by the lines that were followed; null at the beginning.</summary>
    internal FactoringStage? Stage { get; }

    /// <inheritdoc/>
    public override string StandsThere { get; }

    /// <summary>The number before the square, of what is left to be factored.</summary>
    public int A { get; }

    /// <summary>The number before the letter.</summary>
    public int B { get; }

    /// <summary>The plain number.</summary>
    public int C { get; }

    /// <summary>The letter.</summary>
    public char Letter { get; }

    /// <summary>The numbers over which it is factored.</summary>
    public FactorsOver Over { get; }

    /// <summary>What is to be done behind a line; null where it does not say how to go on.</summary>
    internal FactoringTask? Behind(string line) => FactoringLine.TryRead(line, Letter) is { } read && (Stage ?? new FactoringStage()).Behind(read, this) is { } stage ? new FactoringTask(this, stage, line) : null;

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

    /// <inheritdoc/>
    public override int Steps => 16;

    /// <inheritdoc/>
    public override IReadOnlyList<DecimalNumber> Numbers { get; } = [DecimalNumber.Of(BigInteger.One, 0)];

    /// <summary>Numbers of a quadratic are not misread one by one: what goes wrong with them are decisions of the method.</summary>
    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) => null;

    /// <inheritdoc/>
    public override string RightAnswer { get; }

    /// <summary>The factors in one order, with the letter of the task; squares are written out.</summary>
    public override string Canonical(string answer)
    {
        var text = Signs.Plain(answer).Trim();
        if (text.Equals(Prime, StringComparison.OrdinalIgnoreCase)) return Prime;

        // Where roots are due, the half and the gap stand side by side in a bracket: without a root they come to one number.
        if (TryRead(text) is { } read) return Write(read.Before, NeedsRoots ? read.Brackets.Select(b => (IReadOnlyList<PolyTerm>)PolynomialText.Collected(b)) : read.Brackets, Letter);
        if (SurdFactors.TryRead(text) is { } roots) return roots.Text(Letter);
        return MissingBracket.PutBack(text) is { } whole ? Canonical(whole) : text;
    }

    /// <summary>A product that comes to the quadratic and is not in linear factors as far as it could be is not finished.</summary>
    public override Verdict Judge(string? answer)
    {
        var verdict = base.Judge(answer);
        if (verdict == Verdict.Wrong && SurdFactors.TryRead(Signs.Plain(answer!)) is { } roots && roots.Simplest.Text(Letter) == RightAnswer) return Verdict.Unfinished;
        if (verdict != Verdict.Wrong || TryRead(Signs.Plain(answer!)) is not { } read || read.Brackets.Count == 0) return verdict;
        var product = read.Brackets.Aggregate((IReadOnlyList<PolyTerm>)[read.Before], (sum, bracket) => PolynomialText.Collected(sum.SelectMany(s => bracket.Select(t => new PolyTerm(s.Number * t.Number, s.Power + t.Power)))));
        return product.SequenceEqual(PolynomialText.Collected([new PolyTerm(A, 2), new PolyTerm(B, 1), new PolyTerm(C, 0)])) ? Verdict.Unfinished : verdict;
    }

    /// <summary>A product as it is written, its brackets in one order.</summary>
    public static string Write(PolyTerm before, IEnumerable<IReadOnlyList<PolyTerm>> brackets, char letter)
    {
        var front = before is { Power: 0, Number.IsOne: true } ? "" : before.Power == 0 && before.Number == -1 ? "-" : PolynomialText.Write([before], letter);
        return front + string.Concat(brackets.Select(b => $"({PolynomialText.Write(PolynomialText.InOrder(b), letter)})").Order(StringComparer.Ordinal));
    }

    internal static (PolyTerm Before, List<IReadOnlyList<PolyTerm>> Brackets)? TryRead(string text)
    {
        char? letter = null;
        var at = 0;
        var before = new PolyTerm(1, 0);
        PolynomialText.Skip(text, ref at);
        if (at < text.Length && text[at] != '(')
        {
            var isNegative = text[at] == '-';
            if (isNegative) at++;
            PolynomialText.Skip(text, ref at);
            if (at < text.Length && text[at] != '(')
            {
                if (PolynomialText.Term(text, ref at, ref letter, out _) is not { } term) return null;
                before = term;
            }

            if (isNegative) before = before.Turned;
        }

        var brackets = new List<IReadOnlyList<PolyTerm>>();
        while (true)
        {
            PolynomialText.Skip(text, ref at);
            if (at == text.Length) return brackets.Count > 0 ? (before, brackets) : null;
            if (text[at] == '*') at++;
            if (at == text.Length || text[at++] != '(') return null;
            if (PolynomialText.TryRead(text, ref at, ref letter, out _) is not { } terms || at == text.Length || text[at++] != ')') return null;
            brackets.Add(terms);
            if (at + 1 >= text.Length || text[at] != '^' || text[at + 1] != '2') continue;
            brackets.Add(terms);
            at += 2;
        }
    }
}

/// <summary>A number, or a letter, before brackets.</summary>
/// <param name="Front">What stands before the brackets.</param>
/// <param name="Brackets">The brackets; empty where nothing was found.</param>
internal sealed record Factors(PolyTerm Front, IReadOnlyList<IReadOnlyList<PolyTerm>> Brackets)
{
    /// <summary>What was left standing behind the brackets; 0 where nothing was.</summary>
    public int Behind { get; init; }

    /// <summary>Brackets with numbers that are not whole; null where all are.</summary>
    public SurdFactors? Fractional { get; init; }

    /// <summary>The factors of a quadratic that has no common factor any more, with what was taken out before it.</summary>
    public static Factors Of(int front, int a, int b, int c)
    {
        if (c == 0) return new Factors(new PolyTerm(front, 1), [[new PolyTerm(a, 1), new PolyTerm(b, 0)]]);
        return Pair(a, b, c) is { } pair ? new Factors(new PolyTerm(front, 0), [Divided(a, pair.One), Divided(a, pair.Other)]) : Whole(front, a, b, c);
    }

    /// <summary>The quadratic as one bracket.</summary>
    public static Factors Whole(int front, int a, int b, int c) => new(new PolyTerm(front, 0), [[.. new[] { new PolyTerm(a, 2), new PolyTerm(b, 1), new PolyTerm(c, 0) }.Where(t => !t.Number.IsZero)]]);

    /// <summary>The two numbers with the right sum and product, the smaller without its sign first; null where there are none.</summary>
    public static (long One, long Other)? Pair(long a, long b, long c)
    {
        var product = (BigInteger)a * c;
        var discriminant = (BigInteger)b * b - 4 * product;
        if (discriminant.Sign < 0) return null;
        var root = RootTask.Root(discriminant);
        if (root * root != discriminant || !((b + root) % 2).IsZero) return null;
        var (one, other) = ((long)((b + root) / 2), (long)((b - root) / 2));
        return Math.Abs(one) <= Math.Abs(other) ? (one, other) : (other, one);
    }

    /// <summary>The product of two brackets ax + u and ax + v, divided by what divides them, as an answer; numbers that are not whole stand behind the letter as fractions.</summary>
    public static string Text(int front, int a, Rational one, Rational other, char letter) => one.IsWhole && other.IsWhole
        ? new Factors(new PolyTerm(front, 0), [Divided(a, one.Top), Divided(a, other.Top)]).Text(letter)
        : WithFractions(front, a, one, other).Text(letter);

    /// <summary>Brackets with nothing before the letter and the numbers divided by a first number behind it, as they stand before that is given back.</summary>
    public static SurdFactors Monic(BigInteger a, params Rational[] numbers) => new(BigInteger.One, [.. numbers.Select(n => new SurdEnd(n / Rational.Whole(a), default, BigInteger.One))]);

    /// <summary>The same with the first number in front.</summary>
    public static Factors WithFractions(int front, int a, params Rational[] numbers) => new(new PolyTerm(front, 0), []) { Fractional = Monic(a, numbers) with { Front = (BigInteger)front * a } };

    /// <summary>The same with another number in front.</summary>
    public Factors Times(int number) => number == 1 ? this : this with
    {
        Front = Front with { Number = Front.Number * number },
        Behind = Behind * number,
        Fractional = Fractional is { } fractional ? fractional with { Front = fractional.Front * number } : null,
    };

    /// <summary>ax + u, divided by what divides both.</summary>
    public static IReadOnlyList<PolyTerm> Divided(BigInteger a, BigInteger u)
    {
        var common = BigInteger.GreatestCommonDivisor(a, u);
        return Linear(a / common, u / common);
    }

    /// <summary>ax + u as a bracket.</summary>
    public static IReadOnlyList<PolyTerm> Linear(BigInteger a, BigInteger u) => [.. new[] { new PolyTerm(a, 1), new PolyTerm(u, 0) }.Where(t => !t.Number.IsZero)];

    /// <summary>As an answer; "prime" where nothing stands before one bracket with a square.</summary>
    public string Text(char letter) => Fractional is { } fractional ? fractional.Text(letter)
        : Front is { Power: 0, Number.IsOne: true } && Brackets is [var only] && Behind == 0 && only[0].Power == 2 ? FactoringTask.Prime : FactoringTask.Write(Front, Brackets, letter) + (Behind == 0 ? "" : Behind < 0 ? $" - {-Behind}" : $" + {Behind}");
}
