using YellowPencil.Core.Parts.Divisions;

namespace YellowPencil.Core.Families.Division;

/// <summary>
/// Divisions by one digit, and by two for a third of the items, with and without remainder; the quotient often has a zero inside or at
/// the end. Most ask for the remainder, some for a fraction or a decimal that ends soon.
/// </summary>
internal sealed class DivisionItems(int seed)
{
    private readonly Random random = new(seed);

    public LongDivision Next()
    {
        while (true)
        {
            var divisor = random.Next(3) == 0 ? random.Next(11, 49) : random.Next(2, 10);
            var quotient = Quotient(divisor > 9 ? random.Next(1, 3) : random.Next(2, 4));
            var rest = random.Next(10) < 4 ? 0 : random.Next(1, divisor);
            var dividend = quotient * divisor + rest;
            if (divisor % 10 == 0 || dividend < 10 * Math.Min(divisor, 9) || dividend > 9999) continue;
            var form = rest == 0
                ? QuotientForm.WithRemainder
                : random.Next(10) switch { < 6 => QuotientForm.WithRemainder, < 8 => QuotientForm.WithFraction, _ => QuotientForm.AsDecimal };
            if (form == QuotientForm.AsDecimal && 1000 * rest % divisor != 0) continue;
            return LongDivision.Of(dividend, divisor, form);
        }
    }

    private int Quotient(int length)
    {
        var value = random.Next(1, 10);
        for (var i = 1; i < length; i++) value = 10 * value + (random.Next(10) < 3 ? 0 : random.Next(1, 10));
        return value;
    }
}
