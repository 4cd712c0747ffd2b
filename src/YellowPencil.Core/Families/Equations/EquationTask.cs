using System.Globalization;
using System.Numerics;
using System.Text;
using System.Text.RegularExpressions;

namespace YellowPencil.Core.Families.Equations;

/// <summary>A term of one side of an equation: a number, a number of the letter, or a number before a bracket.</summary>
/// <param name="Number">The number, with its sign.</param>
/// <param name="HasLetter">Whether the letter stands with it.</param>
/// <param name="Bracket">What stands in the bracket behind it; null where there is none.</param>
internal sealed record SideTerm(Rational Number, bool HasLetter, IReadOnlyList<SideTerm>? Bracket = null);

/// <summary>A linear equation in one letter; on the way to its answer any line of the working.</summary>
internal sealed partial class EquationTask : ItemTask
{
    /// <summary>The answer where no number solves it.</summary>
    public const string NoNumber = "none";

    /// <summary>The answer where every number does.</summary>
    public const string EveryNumber = "all";

    internal EquationTask(IReadOnlyList<SideTerm> left, IReadOnlyList<SideTerm> right, char letter)
        : base($"solve {Write(left, letter)} = {Write(right, letter)}", EquationFamily.Instance)
    {
        (Left, Right, Letter) = (left, right, letter);
        OnBothSides = left.Any(HasLetter) && right.Any(HasLetter);
        HasBrackets = left.Concat(right).Any(t => t.Bracket is not null);
        var (leftLetter, leftNumber) = Sum(left);
        var (rightLetter, rightNumber) = Sum(right);
        var (letters, numbers) = (leftLetter - rightLetter, rightNumber - leftNumber);
        RightAnswer = letters.IsZero ? numbers.IsZero ? EveryNumber : NoNumber : $"{letter} = {(numbers / letters).Text}";
    }

    public IReadOnlyList<SideTerm> Left { get; }

    public IReadOnlyList<SideTerm> Right { get; }

    public char Letter { get; }

    /// <summary>Whether the letter stands on both sides.</summary>
    public bool OnBothSides { get; }

    /// <summary>Whether there are brackets.</summary>
    public bool HasBrackets { get; }

    public override PairOperation? SetOperation => null;

    public override AnswerForm Answers => AnswerForm.Solution;

    public override int Steps => 10 + 2 * (Left.Count + Right.Count);

    public override IReadOnlyList<DecimalNumber> Numbers { get; } = [DecimalNumber.Of(BigInteger.One, 0)];

    /// <summary>Numbers of an equation are not misread one by one: what goes wrong with them are decisions of the method.</summary>
    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) => null;

    public override string RightAnswer { get; }

    private static bool HasLetter(SideTerm term) => term.HasLetter || term.Bracket?.Any(HasLetter) == true;

    /// <summary>How many letters and how many plain numbers a side comes to.</summary>
    public static (Rational Letters, Rational Numbers) Sum(IEnumerable<SideTerm> side)
    {
        var (letters, numbers) = (default(Rational), default(Rational));
        foreach (var term in side)
        {
            if (term.Bracket is { } bracket)
            {
                var (inside, plain) = Sum(bracket);
                (letters, numbers) = (letters + term.Number * inside, numbers + term.Number * plain);
            }
            else if (term.HasLetter)
            {
                letters += term.Number;
            }
            else
            {
                numbers += term.Number;
            }
        }

        return (letters, numbers);
    }

    /// <summary>What a side comes to with a number for the letter.</summary>
    public static Rational ValueOf(IReadOnlyList<SideTerm> side, Rational number)
    {
        var (letters, numbers) = Sum(side);
        return letters * number + numbers;
    }

    /// <summary>The number of an answer in its canonical spelling; null where it names none.</summary>
    public static Rational? NumberOf(string canonical)
    {
        var parts = canonical.Split('=')[^1].Trim().Split('/');
        if (parts.Length > 2 || DecimalNumber.TryParse(parts[0]) is not { Succeeded: true, Value: { } over }) return null;
        var number = over.Exactly;
        if (parts.Length == 1) return number;
        return BigInteger.TryParse(parts[1], NumberStyles.None, CultureInfo.InvariantCulture, out var under) && !under.IsZero ? number / Rational.Whole(under) : null;
    }

    /// <summary>How somebody who writes this line takes a number to the other side; null where the line does not show it.</summary>
    public EquationMoveSchool? MoveShown()
    {
        if (HasBrackets || !Left.Any(HasLetter)) return null;
        var (left, right) = (Left.Where(t => !HasLetter(t)).ToList(), Right.Where(t => !HasLetter(t)).ToList());
        if (left.Count == 0 && right.Count > 1) return EquationMoveSchool.Across;
        return left.Count > 1 && Sum(left).Numbers.IsZero && right.Exists(t => t.Number == left[^1].Number) ? EquationMoveSchool.BothSides : null;
    }

    /// <summary>A side as it is written.</summary>
    public static string Write(IReadOnlyList<SideTerm> side, char letter)
    {
        if (side.Count == 0) return "0";
        var text = new StringBuilder();
        foreach (var term in side)
        {
            if (text.Length > 0) text.Append(term.Number.Sign < 0 ? " - " : " + ");
            else if (term.Number.Sign < 0) text.Append('-');
            var size = Rational.Abs(term.Number);
            if (term.Bracket is { } bracket) text.Append(CultureInfo.InvariantCulture, $"{(size.IsOne ? "" : size.Text)}({Write(bracket, letter)})");
            else if (!term.HasLetter) text.Append(size.Text);
            else if (size.IsWhole) text.Append(CultureInfo.InvariantCulture, $"{(size.IsOne ? "" : size.Text)}{letter}");
            else text.Append(CultureInfo.InvariantCulture, $"{(size.Numerator.IsOne ? "" : size.Numerator)}{letter}/{size.Denominator}");
        }

        return text.ToString();
    }

    /// <summary>Any answer of the kind "x = 5" in one spelling, with the letter of the task; a decimal that is the right number counts as that.</summary>
    public override string Canonical(string answer)
    {
        var text = string.Concat(Signs.Plain(answer).Where(c => !char.IsWhiteSpace(c))).ToLowerInvariant();
        if (text is NoNumber or EveryNumber) return text;
        if (MixedNumber.TryRead(Signs.Plain(answer).Split('=')[^1]) is { Number: { HasFraction: true, Whole: not 0 } mixed } wholes)
            return $"{Letter} = {(wholes.IsNegative ? "-" : "")}{mixed.Whole * mixed.Denominator + mixed.Numerator}/{mixed.Denominator}";
        if (Remainder().Match(text) is { Success: true } rest) return $"{Letter} = {rest.Groups["whole"].Value} r {rest.Groups["rest"].Value}";
        var number = text.Length > 2 && char.IsAsciiLetterLower(text[0]) && text[1] == '=' ? text[2..] : text;
        var isNegative = number.StartsWith('-');
        var parts = (isNegative ? number[1..] : number).Split('/');
        if (parts.Length > 2 || !Array.TrueForAll(parts, p => p.Length is > 0 and < 20 && p.All(c => char.IsAsciiDigit(c) || c == '.'))) return answer.Trim();
        if (parts.Length == 1 && DecimalNumber.TryParse(parts[0]) is { Succeeded: true } read)
        {
            var value = new Rational(read.Value.Unscaled * (isNegative ? -1 : 1), BigInteger.Pow(10, read.Value.Places));
            return RightAnswer == $"{Letter} = {value.Text}"
                ? RightAnswer
                : $"{Letter} = {(isNegative && !value.IsZero ? "-" : "")}{DecimalNumber.Canonical(parts[0])}";
        }

        return parts.Length == 2
            && BigInteger.TryParse(parts[0], NumberStyles.None, CultureInfo.InvariantCulture, out var numerator)
            && BigInteger.TryParse(parts[1], NumberStyles.None, CultureInfo.InvariantCulture, out var denominator)
            ? $"{Letter} = {(isNegative ? "-" : "")}{numerator}/{denominator}" : answer.Trim();
    }

    public override string? OtherSpelling(string canonical) =>
        canonical.Split(" = ")[^1] is var number && number.Contains('.') && DecimalNumber.TryParse(number.TrimStart('-')) is { Succeeded: true } read
        ? $"{Letter} = {new Rational(read.Value.Unscaled * (number[0] == '-' ? -1 : 1), BigInteger.Pow(10, read.Value.Places)).Text}" : null;

    public override Verdict Judge(string? answer)
    {
        var verdict = base.Judge(answer);
        if (verdict != Verdict.Wrong || !RightAnswer.Contains('=')) return verdict;
        var parts = Canonical(answer!).Split(" = ")[^1].Split('/');
        return parts.Length == 2
            && BigInteger.TryParse(parts[0], out var numerator) && BigInteger.TryParse(parts[1], out var denominator) && !denominator.IsZero
            && $"{Letter} = {new Rational(numerator, denominator).Text}" == RightAnswer
            ? Verdict.Unfinished : verdict;
    }

    [GeneratedRegex("^([a-z]=)?(?<whole>-?[0-9]{1,12})r(?<rest>[0-9]{1,12})$")]
    private static partial Regex Remainder();

    /// <summary>Reads a line of a working; null for anything that is no equation in the letter.</summary>
    public static EquationTask? TryReadLine(string line, char letter)
    {
        char? known = letter;
        return EquationGrammar.TryRead(Signs.Plain(line), 0, ref known, out _);
    }
}
