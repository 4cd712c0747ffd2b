using System.Numerics;
using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Core.Parts.Copying;

/// <summary>How the numbers of a task are read.</summary>
internal enum TaskRead
{
    AsSet, Exchanged, LargerFirst, SmallerFirst, TwoLargestOnly, FirstTwoOnly, LastTwoOnly, FirstAndLastOnly, FurtherLeftEach, FrontDigitRepeated,
    FirstDigitOffFirst, FirstDigitOffSecond, FirstDigitOffLongest, LastDigitOffFirst, LastDigitOffSecond, LastDigitOffEach,
    InnerZerosOut, EndZerosOffFirst, EndZerosOffSecond, EndZerosOffEach, ZerosBehindPointOut,
    PointBeforeWhole, PointAfterFirstDigit, PointsOut, PointOfFirstOut, PointOfSecondOut, EvenedUp, CutToFewestPlaces, CutToWhole, LaterCutToWhole,
    RoundedToTens, SecondRoundedToTens, RoundedToWhole, SignsOut, FirstSignOut, SecondSignOut,
    LastDigitsOnly, FirstDigitsOnly, ReversedFirst, ReversedSecond, ReversedEach, SixAsNine, NineAsSix, OneAsSeven, SevenAsOne, TwoAsFive, FiveAsTwo,
    ThreeAsEight, EightAsThree, EndZeroPutBack,
}

/// <summary>What a task becomes when its numbers are read in another way.</summary>
internal static class TaskReading
{
    /// <summary>The task that is worked instead; null where the way of reading makes no difference or leads to no task of the family.</summary>
    public static ItemTask? Read(ItemTask task, TaskRead way)
    {
        if (way == TaskRead.EndZeroPutBack && task.SetOperation == PairOperation.DividedBy) return null;
        var numbers = task.Numbers.Select(DigitText.Of).ToList();
        if (Numbers(numbers, task.Numbers, way) is not { } read || (read.Count == numbers.Count && read.SequenceEqual(numbers))) return null;
        var made = new List<DecimalNumber>();
        foreach (var digits in read)
        {
            if (digits.Number is not { } number) return null;
            made.Add(number);
        }

        return task.With(made) is { } worked && worked.Text != task.Text ? worked : null;
    }

    private static List<DigitText>? Numbers(List<DigitText> all, IReadOnlyList<DecimalNumber> numbers, TaskRead way)
    {
        switch (way)
        {
            case TaskRead.Exchanged:
                return [.. Enumerable.Reverse(all)];
            case TaskRead.LargerFirst:
                return [.. Ordered(all, numbers, descending: true)];
            case TaskRead.SmallerFirst:
                return [.. Ordered(all, numbers, descending: false)];
            case TaskRead.TwoLargestOnly:
                return all.Count > 2 ? [.. Ordered(all, numbers, descending: true).Take(2)] : null;
            case TaskRead.FirstTwoOnly:
                return all.Count > 2 ? all[..2] : null;
            case TaskRead.LastTwoOnly:
                return all.Count > 2 ? all[^2..] : null;
            case TaskRead.FirstAndLastOnly:
                return all.Count > 2 ? [all[0], all[^1]] : null;
            case TaskRead.FurtherLeftEach:
                return [.. all.Select((n, i) => n.PointMovedLeft(-i))];
            case TaskRead.FrontDigitRepeated:
                var longest = all.Max(n => n.Whole.Length);
                return [.. all.Select(n => n.Whole.Length > 0 ? n.With(n.Whole.PadLeft(longest, n.Whole[0]), n.Behind) : n)];
            case TaskRead.FirstDigitOffLongest:
                return [.. all.Select(n => n.Digits.Length == all.Max(o => o.Digits.Length) ? WithoutFirst(n) : n)];
            case TaskRead.EvenedUp:
                return [.. all.Select(n => n.With(n.Whole, n.Behind.PadRight(all.Max(o => o.Places), '0')) with { HasPoint = all.Exists(o => o.Places > 0) })];
            case TaskRead.CutToFewestPlaces:
                return [.. all.Select(n => n.With(n.Whole, n.Behind[..all.Min(o => o.Places)]))];
            case TaskRead.LastDigitsOnly:
                return [.. all.Select(n => n.With(n.Digits[^1..], ""))];
            case TaskRead.FirstDigitsOnly:
                return [.. all.Select(n => n.With(n.Digits[..1], ""))];
            default:
                return [.. all.Select((n, i) => Number(n, i, way))];
        }
    }

    private static DigitText Number(DigitText number, int index, TaskRead way) => way switch
    {
        TaskRead.FirstDigitOffFirst when index == 0 => WithoutFirst(number),
        TaskRead.FirstDigitOffSecond when index == 1 => WithoutFirst(number),
        TaskRead.LastDigitOffFirst when index == 0 => WithoutLast(number),
        TaskRead.LastDigitOffSecond when index == 1 => WithoutLast(number),
        TaskRead.LastDigitOffEach => WithoutLast(number),
        TaskRead.InnerZerosOut => WithoutInnerZeros(number),
        TaskRead.EndZerosOffFirst when index == 0 => WithoutEndZeros(number),
        TaskRead.EndZerosOffSecond when index == 1 => WithoutEndZeros(number),
        TaskRead.EndZerosOffEach => WithoutEndZeros(number),
        TaskRead.EndZeroPutBack => number.Places == 0 && number.Digits.Length > 1 && number.Digits[^1] == '0' ? WithoutLast(number) : number,
        TaskRead.ZerosBehindPointOut => number.With(number.Whole, number.Behind.TrimStart('0')),
        TaskRead.PointBeforeWhole when number.Places == 0 => number.PointMovedLeft(number.Digits.Length),
        TaskRead.PointAfterFirstDigit when number.Places == 0 => number.PointMovedLeft(number.Digits.Length - 1),
        TaskRead.PointsOut => WithoutPoint(number),
        TaskRead.PointOfFirstOut when index == 0 => WithoutPoint(number),
        TaskRead.PointOfSecondOut when index == 1 => WithoutPoint(number),
        TaskRead.CutToWhole => number.With(number.Whole, ""),
        TaskRead.LaterCutToWhole when index > 0 => number.With(number.Whole, ""),
        TaskRead.RoundedToTens => Rounded(number, number.Places + 1),
        TaskRead.SecondRoundedToTens when index == 1 => Rounded(number, number.Places + 1),
        TaskRead.RoundedToWhole => Rounded(number, number.Places),
        TaskRead.SignsOut => number with { IsNegative = false },
        TaskRead.FirstSignOut when index == 0 => number with { IsNegative = false },
        TaskRead.SecondSignOut when index == 1 => number with { IsNegative = false },
        TaskRead.ReversedFirst when index == 0 => Reversed(number),
        TaskRead.ReversedSecond when index == 1 => Reversed(number),
        TaskRead.ReversedEach => Reversed(number),
        TaskRead.SixAsNine => Mistaken(number, '6', '9'),
        TaskRead.NineAsSix => Mistaken(number, '9', '6'),
        TaskRead.OneAsSeven => Mistaken(number, '1', '7'),
        TaskRead.SevenAsOne => Mistaken(number, '7', '1'),
        TaskRead.TwoAsFive => Mistaken(number, '2', '5'),
        TaskRead.FiveAsTwo => Mistaken(number, '5', '2'),
        TaskRead.ThreeAsEight => Mistaken(number, '3', '8'),
        TaskRead.EightAsThree => Mistaken(number, '8', '3'),
        _ => number,
    };

    private static IEnumerable<DigitText> Ordered(List<DigitText> all, IReadOnlyList<DecimalNumber> numbers, bool descending)
    {
        var places = numbers.Max(n => n.Places);
        var values = all.Select((n, i) => (Number: n, Size: BigInteger.Abs(numbers[i].Unscaled) * BigInteger.Pow(10, places - numbers[i].Places)));
        return (descending ? values.OrderByDescending(v => v.Size) : values.OrderBy(v => v.Size)).Select(v => v.Number);
    }

    private static DigitText WithoutFirst(DigitText n) => n.Whole.Length > 1 ? n.With(n.Whole[1..], n.Behind) : n;

    private static DigitText WithoutLast(DigitText n) => n.Digits.Length < 2 ? n : n.Places > 0 ? n.With(n.Whole, n.Behind[..^1]) : n.With(n.Whole[..^1], "");

    private static DigitText WithoutInnerZeros(DigitText n) => n.Digits.Length < 3
        ? n
        : n.With(Kept(n.Whole, 0, n.Places == 0), Kept(n.Behind, n.Whole.Length, true));

    private static string Kept(string digits, int before, bool endsNumber) =>
        new([.. digits.Where((d, i) => d != '0' || (before == 0 && i == 0) || (endsNumber && i == digits.Length - 1))]);

    private static DigitText WithoutEndZeros(DigitText n) =>
        n.Places > 0 ? n.With(n.Whole, n.Behind.TrimEnd('0')) : n.With(n.Whole.TrimEnd('0') is { Length: > 0 } kept ? kept : "0", "");

    private static DigitText WithoutPoint(DigitText n) => n with { Places = 0, HasPoint = false };

    private static DigitText Mistaken(DigitText n, char digit, char other) => n with { Digits = n.Digits.Replace(digit, other) };

    private static DigitText Reversed(DigitText n) => n with { Digits = new string([.. Enumerable.Reverse(n.Digits)]) };

    private static DigitText Rounded(DigitText n, int digits)
    {
        if (digits < 1 || digits > n.Digits.Length) return n;
        var unit = BigInteger.Pow(10, digits);
        var value = (BigInteger.Parse(n.Digits) + unit / 2) / unit * unit;
        return new DigitText(n.IsNegative, value.ToString().PadLeft(n.Places + 1, '0')[..^n.Places], 0, false);
    }
}
