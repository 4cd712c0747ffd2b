using System.Globalization;
using System.Numerics;
using YellowPencil.Core.Parts.Divisions;

namespace YellowPencil.Core.Families.Division;

/// <summary>A long division of whole numbers.</summary>
internal sealed class LongDivision : ItemTask
{
    /// <summary>The longest divisor that is read, in digits.</summary>
    public const int MostDivisorDigits = DivisionWork.MostDivisorDigits;

    private LongDivision(WholeNumber dividend, WholeNumber divisor, QuotientForm form, string rightAnswer)
        : base(
            $"{dividend.Text} / {divisor.Text}", DivisionFamily.Instance,
            new Asked(Form: form switch { QuotientForm.WithFraction => "fraction", QuotientForm.AsDecimal => "decimal", _ => null }))
    {
        Dividend = dividend;
        Divisor = divisor;
        AnswerForm = form;
        RightAnswer = rightAnswer;
    }

    public WholeNumber Dividend { get; }

    public WholeNumber Divisor { get; }

    /// <summary>What is asked for.</summary>
    public QuotientForm AnswerForm { get; }

    public override IReadOnlyList<DecimalNumber> Numbers => numbers ??= [DecimalNumber.Of(Dividend), DecimalNumber.Of(Divisor)];

    private IReadOnlyList<DecimalNumber>? numbers;

    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) =>
        numbers.Count == 2 && WholeNumber.All(numbers) is { } wholes && TryMake(wholes[0], wholes[1], AnswerForm) is { Succeeded: true } made
            ? made.Value
            : null;

    public override PairOperation? SetOperation => PairOperation.DividedBy;

    public override int Steps => (Dividend.Length + (AnswerForm == QuotientForm.AsDecimal ? RightAnswer.Length : 0)) * (4 * Divisor.Length + 8);

    public override string RightAnswer { get; }

    /// <summary>
    /// Makes the task; fails where nothing can be divided, or where a decimal is asked for that never ends. Positions are those in the divisor.
    /// </summary>
    public static Parsed<ItemTask> TryMake(WholeNumber dividend, WholeNumber divisor, QuotientForm form)
    {
        if (divisor.Value.IsZero) return Parsed<ItemTask>.Failed("nothing can be divided by 0", 0);
        if (divisor.Length > MostDivisorDigits) return Parsed<ItemTask>.Failed($"divisors of more than {MostDivisorDigits} digits are not read", 0);
        var quotient = BigInteger.DivRem(dividend.Value, divisor.Value, out var rest);
        var answer = form switch
        {
            QuotientForm.AsDecimal => DecimalNumber.Quotient(dividend.Value, divisor.Value),
            QuotientForm.WithFraction => Mixed(quotient, rest, divisor.Value),
            _ => WithRemainder(quotient, rest),
        };
        return answer is null
            ? Parsed<ItemTask>.Failed("this quotient never ends as a decimal: ask for the remainder or the fraction", 0)
            : Parsed<ItemTask>.Of(new LongDivision(dividend, divisor, form, answer));
    }

    /// <summary>The division of two values that are not negative.</summary>
    /// <exception cref="ArgumentException">The division cannot be set in this form.</exception>
    public static LongDivision Of(BigInteger dividend, BigInteger divisor, QuotientForm form = QuotientForm.WithRemainder)
    {
        var made = TryMake(WholeNumber.Of(dividend), WholeNumber.Of(divisor), form);
        return made.Succeeded ? (LongDivision)made.Value : throw new ArgumentException(made.Fault.Message, nameof(divisor));
    }

    public override string Canonical(string answer)
    {
        var text = Signs.Plain(answer).Trim();
        var mark = text.IndexOfAny(['r', 'R']);
        if (mark > 0)
        {
            var word = text[mark..].TrimEnd(' ', '0', '1', '2', '3', '4', '5', '6', '7', '8', '9', ',').ToLower(CultureInfo.InvariantCulture);
            if (word is not ("r" or "r." or "rem" or "rem." or "remainder")) return text;
            var (quotient, rest) = (WholeNumber.TryParse(text[..mark]), WholeNumber.TryParse(text[(mark + word.Length)..]));
            return quotient.Succeeded && rest.Succeeded ? WithRemainder(quotient.Value.Value, rest.Value.Value) : text;
        }

        if (text.IndexOf('/') is > 0 and var slash)
        {
            var space = text[..slash].TrimEnd().LastIndexOf(' ');
            var whole = space < 0 ? WholeNumber.TryParse("0") : WholeNumber.TryParse(text[..space]);
            var (over, under) = (WholeNumber.TryParse(text[(space + 1)..slash]), WholeNumber.TryParse(text[(slash + 1)..]));
            return whole.Succeeded && over.Succeeded && under.Succeeded ? MixedAsWritten(whole.Value.Value, over.Value.Value, under.Value.Value) : text;
        }

        return DecimalNumber.Canonical(text);
    }

    public override Verdict Judge(string? answer)
    {
        var verdict = base.Judge(answer);
        return verdict == Verdict.Wrong && HasRightValue(Canonical(answer!)) ? Verdict.Unfinished : verdict;
    }

    /// <summary>Whether the exact decimal or the fraction is given where a remainder would do.</summary>
    public override bool IsMoreThanAsked(string answer) =>
        AnswerForm == QuotientForm.WithRemainder
            && Canonical(answer) is var written && !written.Contains('r') && written != RightAnswer && HasRightValue(written);

    /// <summary>A mixed number as it stands, not reduced; a part that is nothing is not written.</summary>
    internal static string MixedAsWritten(BigInteger whole, BigInteger over, BigInteger under) =>
        over.IsZero ? whole.ToString() : whole.IsZero ? $"{over}/{under}" : $"{whole} {over}/{under}";

    internal static string WithRemainder(BigInteger quotient, BigInteger rest) => rest.IsZero ? quotient.ToString() : $"{quotient} r {rest}";

    private static string Mixed(BigInteger whole, BigInteger over, BigInteger under)
    {
        var common = BigInteger.GreatestCommonDivisor(over, under);
        return MixedAsWritten(whole, over / common, under / common);
    }

    // A remainder as large as the divisor is no other form of the right answer: the division was left off too early.
    private bool HasRightValue(string answer)
    {
        var parts = answer.Split(' ', '/');
        if (answer.Contains('r'))
            return parts.Length == 3
                && BigInteger.TryParse(parts[0], out var q) && BigInteger.TryParse(parts[2], out var r) && r < Divisor.Value
                && q * Divisor.Value + r == Dividend.Value;
        if (!answer.Contains('/'))
            return DecimalNumber.TryParse(answer) is { Succeeded: true } number
                && number.Value.Unscaled * Divisor.Value == Dividend.Value * BigInteger.Pow(10, number.Value.Places);
        var numbers = parts.Select(p => BigInteger.TryParse(p, out var n) ? n : BigInteger.MinusOne).ToList();
        if (numbers.Contains(BigInteger.MinusOne) || numbers[^1].IsZero) return false;
        var whole = numbers.Count == 3 ? numbers[0] : BigInteger.Zero;
        return (whole * numbers[^1] + numbers[^2]) * Divisor.Value == Dividend.Value * numbers[^1];
    }
}
