using System.Numerics;
using YellowPencil.Core.Parts.Divisions;

namespace YellowPencil.Core.Families.DecimalDivision;

/// <summary>A division of decimals to an exact decimal, with or without signs.</summary>
internal sealed class DecimalQuotient : ItemTask
{
    private DecimalQuotient(DecimalNumber dividend, DecimalNumber divisor, string rightAnswer)
        : base($"{dividend.Text} / {divisor.Text}", DecimalDivisionFamily.Instance)
    {
        Dividend = dividend;
        Divisor = divisor;
        RightAnswer = rightAnswer;
    }

    public DecimalNumber Dividend { get; }

    public DecimalNumber Divisor { get; }

    public override IReadOnlyList<DecimalNumber> Numbers => numbers ??= [Dividend, Divisor];

    private IReadOnlyList<DecimalNumber>? numbers;

    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) =>
        numbers.Count == 2 && TryMake(numbers[0], numbers[1]) is { Succeeded: true } made ? made.Value : null;

    public override PairOperation? SetOperation => PairOperation.DividedBy;

    public override int Steps => (Dividend.Length + Divisor.Places + RightAnswer.Length) * (3 * Divisor.Length + 5);

    public override string RightAnswer { get; }

    /// <summary>Makes the task; fails where nothing can be divided or the quotient never ends. Positions are those in the divisor.</summary>
    public static Parsed<ItemTask> TryMake(DecimalNumber dividend, DecimalNumber divisor)
    {
        if (divisor.Unscaled.IsZero) return Parsed<ItemTask>.Failed("nothing can be divided by 0", 0);
        if (divisor.Length > DivisionWork.MostDivisorDigits)
            return Parsed<ItemTask>.Failed($"divisors of more than {DivisionWork.MostDivisorDigits} digits are not read", 0);
        var answer = DecimalNumber.Quotient(dividend.Unscaled * BigInteger.Pow(10, divisor.Places), divisor.Unscaled * BigInteger.Pow(10, dividend.Places));
        return answer is null
            ? Parsed<ItemTask>.Failed("this quotient never ends as a decimal", 0)
            : Parsed<ItemTask>.Of(new DecimalQuotient(dividend, divisor, answer));
    }

    public override string Canonical(string answer) => DecimalNumber.Canonical(answer);
}
