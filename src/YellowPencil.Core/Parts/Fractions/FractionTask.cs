using System.Numerics;

namespace YellowPencil.Core.Parts.Fractions;

/// <summary>A sum or difference of two fractions or mixed numbers; on the way to its answer also one number, which is still to be finished.</summary>
internal sealed class FractionTask : ItemTask
{
    /// <summary>The largest part of a fraction, and the largest whole number.</summary>
    public const int Most = 999;

    private readonly MixedNumber[] numbers;

    internal FractionTask(Family family, bool isDifference, params MixedNumber[] numbers)
        : base(string.Join(isDifference ? " - " : " + ", numbers.Select(n => n.Text)), family)
    {
        this.numbers = numbers;
        IsDifference = isDifference;
        var (numerator, denominator) = First.Value;
        if (Second is { } second)
        {
            var (otherNumerator, otherDenominator) = second.Value;
            numerator = isDifference
                ? numerator * otherDenominator - otherNumerator * denominator
                : numerator * otherDenominator + otherNumerator * denominator;
            denominator *= otherDenominator;
        }

        IsNegative = numerator.Sign < 0;
        RightAnswer = MixedNumber.Canonical(numerator, denominator);
    }

    public MixedNumber First => numbers[0];

    /// <summary>The second number; null where only one is left.</summary>
    public MixedNumber? Second => numbers.Length > 1 ? numbers[1] : null;

    /// <summary>Whether the second is taken away.</summary>
    public bool IsDifference { get; }

    /// <summary>Whether more is taken away than there is.</summary>
    public bool IsNegative { get; private init; }

    /// <summary>Whether it is a line of a working in which the denominators were different before.</summary>
    public bool WereChanged { get; private init; }

    /// <summary>Whether it is a difference, or a line of the working of one.</summary>
    public bool IsOfDifference => IsDifference || IsLineOfDifference;

    private bool IsLineOfDifference { get; init; }

    /// <summary>
    /// The same as a line of a working of a task. Where nothing negative was set, what comes out the wrong way round is taken the other way round.
    /// </summary>
    public FractionTask GoneOnFrom(FractionTask task) => new(Family, IsDifference, numbers)
    {
        WereChanged = task.Second is { } second && task.First.Denominator != second.Denominator,
        IsLineOfDifference = task.IsDifference,
        IsNegative = IsNegative && task.IsNegative,
    };

    /// <summary>Whether it is one of the two numbers of a task with another denominator, written beside the work: not what the work has come to.</summary>
    public bool IsAsideOf(FractionTask task) =>
        Second is null
            && First.HasFraction && task.Second is { } second && RightAnswer != task.RightAnswer && (IsSame(First, task.First) || IsSame(First, second));

    private static bool IsSame(MixedNumber one, MixedNumber other)
    {
        var ((numerator, denominator), (otherNumerator, otherDenominator)) = (one.Value, other.Value);
        return numerator * otherDenominator == otherNumerator * denominator && !denominator.IsZero && !otherDenominator.IsZero;
    }

    public override PairOperation? SetOperation => IsDifference ? PairOperation.Minus : PairOperation.Plus;

    public override AnswerForm Answers => AnswerForm.Mixed;

    public override int Steps => 12;

    public override string RightAnswer { get; }

    public override IReadOnlyList<DecimalNumber> Numbers =>
        parts ??= [
            .. numbers.SelectMany(n => n.HasFraction ? n.Whole > 0 ? new[] { n.Whole, n.Numerator, n.Denominator } : [n.Numerator, n.Denominator] : [n.Whole])
                .Select(part => DecimalNumber.Of(part, 0))];

    private IReadOnlyList<DecimalNumber>? parts;

    /// <summary>Parts of fractions are not misread one by one: what goes wrong with them are decisions of the method.</summary>
    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) => null;

    public override string Canonical(string answer) =>
        MixedNumber.TryRead(Signs.Plain(answer)) is { } read ? (read.IsNegative ? "-" : "") + read.Number.Text : answer.Trim();

    public override Verdict Judge(string? answer)
    {
        var verdict = base.Judge(answer);
        return verdict == Verdict.Wrong
            && (IsSameDecimal(answer!) || (MixedNumber.TryRead(Signs.Plain(answer!)) is { } read && IsSameValue(read.IsNegative, read.Number)))
            ? Verdict.Unfinished
            : verdict;
    }

    public override bool IsMoreThanAsked(string answer) => IsSameDecimal(answer);

    private bool IsSameDecimal(string answer) => DecimalNumber.TryParse(Signs.Plain(answer).Trim()) is { Succeeded: true, Value: { Places: > 0 } read }
        && MixedNumber.Canonical(read.Unscaled, BigInteger.Pow(10, read.Places)) == RightAnswer;

    /// <summary>Reads a line of a working of a family: one or two numbers; null for anything else.</summary>
    public static FractionTask? TryRead(Family family, string line)
    {
        var text = Signs.Plain(line);
        var at = 0;
        if (MixedNumber.TryRead(text, ref at) is not { } first) return null;
        while (at < text.Length && char.IsWhiteSpace(text[at])) at++;
        if (at == text.Length) return new FractionTask(family, false, first);
        var isDifference = text[at] == '-';
        if (text[at++] is not ('+' or '-')) return null;
        return MixedNumber.TryRead(text, ref at) is { } second && text[at..].Trim().Length == 0 ? new FractionTask(family, isDifference, first, second) : null;
    }

    private bool IsSameValue(bool isNegative, MixedNumber number)
    {
        if (number.HasFraction && number.Denominator == 0) return false;
        var (numerator, denominator) = number.Value;
        return !denominator.IsZero && MixedNumber.Canonical(isNegative ? -numerator : numerator, BigInteger.Abs(denominator)) == RightAnswer;
    }
}
