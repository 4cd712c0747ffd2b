using System.Numerics;

namespace YellowPencil.Core.Parts.Copying;

/// <summary>How the answer that was worked out is written down.</summary>
internal enum AnswerWritten
{
    AsWorked, Reversed, LastTwoExchanged, InnerZerosOut, EndZerosOut, OneEndZeroFewer, OneEndZeroMore, FilledToFirst, FilledToLongest, ZerosBehindPointOut,
    PointOut, PointOneFurtherLeft, PointOneFurtherRight, PointUntilLarger, PointUntilSmaller, PointBeforeAll, PointAfterFirstDigit, PointBeforeLastDigit,
    CutToFewestPlaces, CutToFirstPlaces, CutToSecondPlaces, CutToOnePlace, WholePartOnly, RoundedToWhole, RoundedToTens,
    FirstDigitOff, LastDigitOff, FirstDigitTwice, SignOut, SignAdded, SignTurned,
    OneMore, OneLess, OneStepFewer, OneStepMore, OneStepMoreAcrossZero, OneStepFewerAcrossZero, TenMore, TenLess, Doubled, FirstAddedAgain,
    LastPlaceOneMore, LastPlaceOneLess,
    NumberOut, FirstTermOut, FirstTermOnly, FirstSignTurned, MiddleSignTurned, LastSignTurned, PowersOut, LettersOut, FrontOut,
    FractionOut, WholeOut, TurnedOver, WholeAndNumeratorExchanged, NumeratorOneMore, NumeratorOneLess, NumeratorOnly,
    RestOut, RestAdded, RestAppended, RestBehindPoint, RestFirst, RestOnly, RestOneMore, QuotientOneMore, RestOneFewer, QuotientOneLess, RestWithZero,
    RestMissing,
}

/// <summary>What an answer becomes when it is written down in another way.</summary>
internal static class AnswerWriting
{
    private const string RestMark = " r ";

    /// <summary>What is written instead; null where the way makes no difference or cannot be gone.</summary>
    public static string? Write(ItemTask task, string answer, AnswerWritten way)
    {
        var written = task.Answers != AnswerForm.Number
            ? ExpressionWriting.Write(task, answer, way)
            : answer.Split(RestMark) is [var quotient, var rest]
            ? WithRest(task, quotient, rest, way)
            : Number(task, answer, way);
        return written is null || written == answer || written.Length == 0 ? null : written;
    }

    private static string? WithRest(ItemTask task, string quotient, string rest, AnswerWritten way) => way switch
    {
        AnswerWritten.RestOut => quotient,
        AnswerWritten.RestAdded when BigInteger.TryParse(quotient, out var whole) && BigInteger.TryParse(rest, out var left) => (whole + left).ToString(),
        AnswerWritten.RestAppended => DecimalNumber.Canonical(quotient + rest),
        AnswerWritten.RestBehindPoint when !quotient.Contains('.') => DecimalNumber.Canonical($"{quotient}.{rest}"),
        AnswerWritten.RestFirst => Joined(rest, quotient),
        AnswerWritten.RestOnly => rest,
        AnswerWritten.RestOneMore => Joined(quotient, (BigInteger.Parse(rest) + 1).ToString()),
        AnswerWritten.RestOneFewer => Joined(quotient, (BigInteger.Parse(rest) - 1).ToString()),
        AnswerWritten.RestWithZero => Joined(quotient, rest + "0"),
        AnswerWritten.RestMissing when task.SetOperation == PairOperation.DividedBy && task.Numbers[1].Unscaled > BigInteger.Parse(rest) =>
            Joined(quotient, (task.Numbers[1].Unscaled - BigInteger.Parse(rest)).ToString()),
        AnswerWritten.QuotientOneMore when BigInteger.TryParse(quotient, out var whole) => Joined((whole + 1).ToString(), rest),
        AnswerWritten.QuotientOneLess when BigInteger.TryParse(quotient, out var whole) && whole > 0 => Joined((whole - 1).ToString(), rest),
        AnswerWritten.Reversed
            or AnswerWritten.InnerZerosOut or AnswerWritten.EndZerosOut or AnswerWritten.OneEndZeroFewer or AnswerWritten.OneEndZeroMore
            or AnswerWritten.FirstDigitOff or AnswerWritten.LastDigitOff
            or AnswerWritten.OneMore or AnswerWritten.OneLess or AnswerWritten.FilledToFirst or AnswerWritten.LastTwoExchanged =>
                Number(task, quotient, way) is { } changed ? Joined(changed, rest) : null,
        _ => null,
    };

    private static string Joined(string quotient, string rest) => rest == "0" ? quotient : quotient + RestMark + rest;

    private static string? Number(ItemTask task, string answer, AnswerWritten way)
    {
        if (DigitText.Of(answer) is not { } digits) return null;
        var first = task.Numbers[0];
        var changed = way switch
        {
            AnswerWritten.Reversed => digits with { Digits = new string([.. Enumerable.Reverse(digits.Digits)]) },
            AnswerWritten.LastTwoExchanged when digits.Digits.Length > 1 =>
                digits with { Digits = digits.Digits[..^2] + digits.Digits[^1] + digits.Digits[^2] },
            AnswerWritten.InnerZerosOut when digits.Digits.Length > 2 => WithoutInnerZeros(digits),
            AnswerWritten.EndZerosOut when digits.Places == 0 && digits.Digits.TrimEnd('0').Length > 0 => digits with { Digits = digits.Digits.TrimEnd('0') },
            AnswerWritten.OneEndZeroFewer when digits.Places == 0 && digits.Digits.Length > 1 && digits.Digits[^1] == '0' =>
                digits with { Digits = digits.Digits[..^1] },
            AnswerWritten.OneEndZeroMore when digits is { Places: 0, Digits: not "0" } => digits with { Digits = digits.Digits + "0" },
            AnswerWritten.FilledToFirst when digits.Places == 0 => digits with { Digits = digits.Digits.PadRight(first.Length - first.Places, '0') },
            AnswerWritten.FilledToLongest when digits.Places == 0 =>
                digits with { Digits = digits.Digits.PadRight(task.Numbers.Max(n => n.Length - n.Places), '0') },
            AnswerWritten.ZerosBehindPointOut when digits.Places > 0 => digits.With(digits.Whole, digits.Behind.TrimStart('0')),
            AnswerWritten.PointOut => digits with { Places = 0, HasPoint = false },
            AnswerWritten.PointOneFurtherLeft => digits.PointMovedLeft(1),
            AnswerWritten.PointOneFurtherRight => digits.PointMovedLeft(-1),
            AnswerWritten.PointUntilLarger => PointMovedUntil(digits, first, larger: true),
            AnswerWritten.PointUntilSmaller => PointMovedUntil(digits, first, larger: false),
            AnswerWritten.PointBeforeAll =>
                digits with { Places = digits.Digits.TrimStart('0').Length, Digits = digits.Digits.TrimStart('0'), HasPoint = true },
            AnswerWritten.PointAfterFirstDigit when digits.Digits.TrimStart('0') is { Length: > 1 } kept =>
                digits with { Places = kept.Length - 1, Digits = kept, HasPoint = true },
            AnswerWritten.PointBeforeLastDigit when digits.Digits.TrimStart('0') is { Length: > 1 } kept =>
                digits with { Places = 1, Digits = kept, HasPoint = true },
            AnswerWritten.CutToFewestPlaces when task.Numbers.Count > 1 && task.Numbers.Min(n => n.Places) is var fewest && digits.Places > fewest =>
                Cut(digits, fewest),
            AnswerWritten.CutToFirstPlaces when task.Numbers.Count > 1 && digits.Places > task.Numbers[0].Places => Cut(digits, task.Numbers[0].Places),
            AnswerWritten.CutToSecondPlaces when task.Numbers.Count > 1 && digits.Places > task.Numbers[1].Places => Cut(digits, task.Numbers[1].Places),
            AnswerWritten.CutToOnePlace when digits.Places > 1 => Cut(digits, 1),
            AnswerWritten.WholePartOnly when digits.Places > 0 => digits.With(digits.Whole, ""),
            AnswerWritten.RoundedToWhole when digits.Places > 0 => Rounded(digits, digits.Places),
            AnswerWritten.RoundedToTens when digits.Places == 0 => Rounded(digits, 1),
            AnswerWritten.FirstDigitOff when digits.Whole.Length > 1 => digits.With(digits.Whole[1..], digits.Behind),
            AnswerWritten.LastDigitOff when digits.Digits.Length > 1 => digits with { Digits = digits.Digits[..^1], Places = Math.Max(0, digits.Places - 1) },
            AnswerWritten.FirstDigitTwice => digits with { Digits = digits.Digits[0] + digits.Digits },
            AnswerWritten.SignOut => digits with { IsNegative = false },
            AnswerWritten.SignAdded => digits with { IsNegative = true },
            AnswerWritten.SignTurned => digits with { IsNegative = !digits.IsNegative },
            _ => (DigitText?)null,
        };
        if (changed is not { } text) return Calculated(task, digits, way) is { } value ? DecimalNumber.Exact(value, digits.Places) : null;
        return text.Digits.Length == 0 ? null : DecimalNumber.Canonical(text.ToString());
    }

    private static BigInteger? Calculated(ItemTask task, DigitText digits, AnswerWritten way)
    {
        var value = BigInteger.Parse(digits.Digits) * (digits.IsNegative ? -1 : 1);
        var unit = BigInteger.Pow(10, digits.Places);
        switch (way)
        {
            case AnswerWritten.LastPlaceOneMore when digits.Places > 0:
                return value + 1;
            case AnswerWritten.LastPlaceOneLess when digits.Places > 0:
                return value - 1;
            case AnswerWritten.OneMore:
                return value + unit;
            case AnswerWritten.OneLess:
                return value - unit;
            case AnswerWritten.TenMore:
                return value + 10 * unit;
            case AnswerWritten.TenLess:
                return value - 10 * unit;
            case AnswerWritten.Doubled:
                return 2 * value;
            default:
                break;
        }

        if (digits.Places > 0 || task.Numbers[0].Places > 0) return null;
        var first = task.Numbers[0].Unscaled;
        if (way == AnswerWritten.FirstAddedAgain) return value + first;
        var direction = (value - first).Sign;
        if (direction == 0) return null;
        var passesZero = first.Sign * value.Sign < 0;
        return way switch
        {
            AnswerWritten.OneStepFewer => value - direction,
            AnswerWritten.OneStepMore => value + direction,
            AnswerWritten.OneStepMoreAcrossZero when passesZero => value + direction,
            AnswerWritten.OneStepFewerAcrossZero when passesZero => value - direction,
            _ => null,
        };
    }

    private static DigitText WithoutInnerZeros(DigitText n)
    {
        var whole = new string([.. n.Whole.Where((d, i) => d != '0' || i == 0 || (n.Places == 0 && i == n.Whole.Length - 1))]);
        return n.With(whole, new string([.. n.Behind.Where((d, i) => d != '0' || i == n.Behind.Length - 1)]));
    }

    private static DigitText? PointMovedUntil(DigitText digits, DecimalNumber first, bool larger)
    {
        if (digits.Digits.Trim('0').Length == 0 || first.Unscaled.IsZero) return null;
        var moved = digits;
        for (var tries = 0; tries < 12 && Compare(moved, first) != (larger ? 1 : -1); tries++) moved = moved.PointMovedLeft(larger ? -1 : 1);
        return moved == digits ? null : moved;
    }

    private static int Compare(DigitText one, DecimalNumber other) => Math.Sign(
        (BigInteger.Parse(one.Digits) * BigInteger.Pow(10, other.Places)).CompareTo(BigInteger.Abs(other.Unscaled) * BigInteger.Pow(10, one.Places)));

    private static DigitText Cut(DigitText digits, int places) => digits.With(digits.Whole, digits.Behind[..places]);

    private static DigitText Rounded(DigitText digits, int off)
    {
        var unit = BigInteger.Pow(10, off);
        var value = (BigInteger.Parse(digits.Digits) + unit / 2) / unit * (off == digits.Places ? 1 : unit);
        return new DigitText(digits.IsNegative, value.ToString(), 0, false);
    }
}
