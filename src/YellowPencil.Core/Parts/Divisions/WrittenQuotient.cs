using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Core.Parts.Divisions;

/// <summary>What comes before the cycles of a division and after them.</summary>
internal static class WrittenQuotient
{
    public static long DivisorFor(MethodRun run, DivisionContext context, long divisor)
    {
        if (context.DivisorLength < 2) return divisor;
        var first = divisor;
        while (first >= 10) first /= 10;
        var chosen = run.Ask(DivisionDecisions.Divisor, context) switch
        {
            DivisorRead.FirstDigit => first,
            DivisorRead.LastDigit => divisor % 10,
            DivisorRead.NearestTen => (divisor + 5) / 10 * 10,
            DivisorRead.TensOnly => divisor / 10 * 10,
            DivisorRead.NextTen => (divisor + 9) / 10 * 10,
            _ => divisor,
        };
        return chosen == 0 ? divisor : chosen;
    }

    /// <summary>What the working of a division shows of the school: multiples listed, and what is written in a cycle whose digit is 0.</summary>
    public static IEnumerable<(SchoolQuestion Question, int Answer)> SchoolsShown(Work work)
    {
        if (work.Get(WorkFields.Multiples) is { Count: > 0 }) yield return (School.QuotientDigit, (int)QuotientDigitSchool.ListedMultiples);
        var cycles = work.Get(WorkFields.Cycles) ?? [];
        var zeros = cycles.Where(c => c.Quotient == "0").ToList();
        if (zeros.Count > 0 && cycles.Any(c => c.Product is not null))
            yield return (School.ZeroCycle, (int)(zeros.Exists(c => c.Product is not null) ? ZeroCycleSchool.Written : ZeroCycleSchool.PassedOver));
    }

    /// <summary>How many zeros a division to an exact decimal may need, with some to spare for those who are led astray.</summary>
    public static int MostAppended(string rightAnswer) => rightAnswer.IndexOf('.') is >= 0 and var point ? rightAnswer.Length - point + 1 : 3;

    /// <summary>The digits of the quotient, smallest place first; nothing written counts as 0.</summary>
    /// <param name="run">The run.</param>
    /// <param name="work">The division, done.</param>
    /// <param name="places">How many of the digits stand after the point.</param>
    public static Span<int> QuotientDigits(MethodRun run, DivisionWork work, out int places)
    {
        var cells = work.Quotient[..work.Written];
        var after = work.PointAt < 0 || work.PointAt > work.Written ? 0 : work.Written - work.PointAt;
        cells.Reverse();
        var digits = run.Take(7 * work.Written + 1, filledWith: 0);
        places = Digits.Flatten(cells[..after], digits);
        var count = places + Digits.Flatten(cells[after..], digits[places..]);
        return digits[..Math.Max(1, count)];
    }
}
