using System.Numerics;

namespace YellowPencil.Core.Models;

/// <summary>The multiples of a divisor as the rungs of a ladder, with what is divided now standing between two of them.</summary>
public sealed record MultiplesLadder : ItemModel
{
    /// <summary>The divisor.</summary>
    public required BigInteger Divisor { get; init; }

    /// <summary>What is divided now.</summary>
    public required BigInteger Amount { get; init; }

    /// <summary>The digit that is written for it; null before.</summary>
    public int? Chosen { get; init; }

    /// <summary>How often the divisor fits.</summary>
    public int Fits => (int)BigInteger.Min(9, Amount / Divisor);

    /// <inheritdoc/>
    public override string Name => $"A ladder of the multiples of {Divisor}";

    /// <inheritdoc/>
    public override string Text =>
        $"{Amount} stands "
            + $"{(Amount < Divisor ? $"below the first rung, {Divisor}" : Amount >= 10 * Divisor ? $"above the last rung, {9 * Divisor}" : $"from rung {Fits}, {Fits * Divisor}, on, below {(Fits + 1) * Divisor}")}."
        + (Chosen is { } chosen ? $" {chosen} is written." : "");

    /// <inheritdoc/>
    public override string Disagreement => Chosen is not { } chosen || chosen == Fits && Amount < 10 * Divisor ? ""
        : chosen * Divisor > Amount ? $"{chosen} × {Divisor} = {chosen * Divisor} is more than {Amount}."
        : $"{chosen} × {Divisor} = {chosen * Divisor} leaves {Amount - chosen * Divisor}: {Divisor} fits once more.";

    /// <summary>The ladder of a division of whole numbers.</summary>
    /// <param name="dividend">The dividend, as it is divided.</param>
    /// <param name="divisor">The divisor.</param>
    /// <param name="marks">The marks so far.</param>
    public static MultiplesLadder Of(string dividend, BigInteger divisor, IReadOnlyList<Mark> marks)
    {
        dividend = dividend.Replace(",", "", StringComparison.Ordinal);
        var whole = dividend.IndexOf('.') is >= 0 and var point ? point : dividend.Length;
        dividend = dividend.Replace(".", "", StringComparison.Ordinal);

        // The first digit of the quotient stands over the last digit of what is divided first.
        var over = marks.Where(m => m.Field == WorkFields.Cycles && m.At.Line == 0).Select(m => m.At.Place).FirstOrDefault();
        var first = over is { } place && whole - place >= 1 && whole - place <= dividend.Length
            ? whole - place
            : Enumerable.Range(1, dividend.Length).FirstOrDefault(length => BigInteger.Parse(dividend[..length]) >= divisor, dividend.Length);
        var amount = BigInteger.Parse(dividend[..first]);
        int? chosen = null;
        foreach (var cycle in marks.Where(m => m.Field == WorkFields.Cycles).GroupBy(m => m.At.Line).OrderBy(g => g.Key))
        {
            string? Written(MarkKind part) => cycle.Where(m => m.At.Part == part.Part).Select(m => m.Text).LastOrDefault();
            chosen = int.TryParse(Written(WorkFields.Cycles.Quotient), out var digit) ? digit : null;
            if (Written(WorkFields.Cycles.BroughtDown) is not { Length: > 0 } brought) continue;

            // What is left, or where nothing was taken away all of it, with the digit that comes down.
            var left = Written(WorkFields.Cycles.Difference) ?? amount.ToString();
            if (!BigInteger.TryParse(left + brought, out amount)) break;
            chosen = null;
        }

        return new MultiplesLadder { Divisor = divisor, Amount = amount, Chosen = chosen };
    }

    /// <summary>The ladder of a division of decimals, as both numbers are rewritten; null where the divisor is too long.</summary>
    public static MultiplesLadder? OfDecimals(DecimalNumber dividendAsSet, DecimalNumber divisorAsSet, IReadOnlyList<Mark> marks)
    {
        string? Scaled(MarkKind part) => marks.Where(m => m.Field == WorkFields.Scaled && m.At.Part == part.Part).Select(m => m.Text).LastOrDefault();
        var divisor = Digits(Scaled(WorkFields.Scaled.Divisor) ?? divisorAsSet.Text);
        var dividend = string.Concat((Scaled(WorkFields.Scaled.Dividend) ?? dividendAsSet.Text).Where(c => char.IsAsciiDigit(c) || c == '.'));
        return divisor.IsZero || !dividend.Any(char.IsAsciiDigit) ? null : Of(dividend, divisor, marks);
    }

    private static BigInteger Digits(string text) => BigInteger.TryParse(string.Concat(text.Where(char.IsAsciiDigit)), out var value) ? value : BigInteger.Zero;
}
