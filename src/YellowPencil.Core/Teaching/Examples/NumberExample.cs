using System.Numerics;
using YellowPencil.Core.Families;
using YellowPencil.Core.Families.DecimalDivision;
using YellowPencil.Core.Families.DecimalProducts;
using YellowPencil.Core.Families.Division;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Parts.DecimalColumns;
using YellowPencil.Core.Parts.Divisions;
using YellowPencil.Core.Parts.Products;
using YellowPencil.Core.Parts.SignRules;
using YellowPencil.Core.Parts.Sums;
using static YellowPencil.Core.Teaching.Examples.WorkedExamples;

namespace YellowPencil.Core.Teaching.Examples;

/// <summary>Whole numbers, decimals and numbers with signs, every step with its numbers, in the classroom's order.</summary>
internal sealed class NumberExample(ItemTask task, School school)
{
    private readonly IReadOnlyList<DecimalNumber> numbers = task.Numbers;

    /// <summary>The lines; null where the numbers are worked in a way that is told step by step.</summary>
    public IEnumerable<ExampleLine>? Lines() => task.Family.Name switch
    {
        "subtraction" => [.. Difference(), new("", $"Check: {task.RightAnswer} + {numbers[1].Text} = {numbers[0].Text}.")],
        "addition" => [.. Set(), .. Sum([.. numbers.Select(n => n.Unscaled)], 0), Checked()],
        "multiplication" => [.. Product(numbers[0].Unscaled, numbers[1].Unscaled), About()],
        "division" => [.. Division(numbers[0].Unscaled, numbers[1].Unscaled, ((LongDivision)task).AnswerForm), Back()],
        "decimal-sums" => DecimalColumns(),
        "decimal-products" => DecimalProduct(),
        "decimal-division" => DecimalDivision(),
        "integers" => Signed(),
        _ => null,
    };

    private IEnumerable<ExampleLine> Set()
    {
        if (numbers.Select(n => n.Length).Distinct().Count() > 1)
            yield return new("", "Ones stand under ones: the right ends stand under each other.", AdditionDecisions.Alignment, AdditionDecisions.Direction);
    }

    // Column by column; the places are counted from the point.
    private static IEnumerable<ExampleLine> Sum(IReadOnlyList<BigInteger> addends, int places)
    {
        var carry = BigInteger.Zero;
        var columns = addends.Max(a => a.ToString().Length);
        for (var at = 0; at < columns; at++)
        {
            var digits = addends.Where(a => a.ToString().Length > at).Select(a => Digit(a, at)).ToList();
            var (sum, isLast) = (digits.Aggregate(carry, (all, d) => all + d), at == columns - 1);
            var waited = carry.IsZero ? "" : digits.Count > 1 ? $" = {sum - carry}, and the {carry} that waited" : $" and the {carry} that waited";
            var written = isLast || sum < 10 ? $"write {sum}" : $"write {sum % 10}, {sum / 10} {(sum / 10 == 1 ? "goes" : "go")} on to the {Place.Name(at + 1 - places)}";
            var said = digits.Count == 1 && carry.IsZero ? $"{digits[0]} stands alone" : $"{string.Join(" + ", digits)}{(carry.IsZero ? $" = {sum}" : $"{waited}: {sum}")}";
            yield return new(
                "", $"{Capital(Place.Name(at - places))}: {said}: {written}.",
                [
                    AdditionDecisions.Column, AdditionDecisions.Digit, AdditionDecisions.Count, AdditionDecisions.Written, AdditionDecisions.Last,
                    .. sum >= 10 ? new Decision[] { AdditionDecisions.Ten, AdditionDecisions.Carried, AdditionDecisions.Into } : [AdditionDecisions.Below],
                    .. carry.IsZero ? Array.Empty<Decision>() : [AdditionDecisions.Carry],
                ]);
            carry = isLast ? BigInteger.Zero : sum / 10;
        }
    }

    private ExampleLine Checked() => new("", $"Check: added from the bottom up, {string.Join(" + ", numbers.Reverse().Select(n => n.Text))} is {task.RightAnswer} too.");

    // One row for each digit of the second number.
    private IEnumerable<ExampleLine> Product(BigInteger one, BigInteger other)
    {
        if (other.ToString().Length > one.ToString().Length) (one, other) = (other, one);
        var rows = new List<BigInteger>();
        for (var row = 0; row < other.ToString().Length; row++)
        {
            var by = Digit(other, row);
            if (other.ToString().Length > 1)
            {
                var name = row == 0 ? "First row" : $"Row of the {Place.Name(row)}";
                if (by.IsZero)
                {
                    yield return new("", $"{name}: a 0. All of it would be zeros, so it is left out; the next row keeps its place.", MultiplicationDecisions.Row);
                    continue;
                }

                var start = school.Of(School.Placeholder) == PlaceholderSchool.ZeroWritten ? $"with {row} {(row == 1 ? "zero" : "zeros")}" : $"{row} {(row == 1 ? "place" : "places")} further left";
                yield return new("", $"{name}: {Place.Counted((int)by, row)}, {(row == 0 ? $"times {one}" : $"so it begins {start}")}.", MultiplicationDecisions.Row, MultiplicationDecisions.Placeholder);
            }

            var carry = BigInteger.Zero;
            for (var at = 0; at < one.ToString().Length; at++)
            {
                var (digit, isLast) = (Digit(one, at), at == one.ToString().Length - 1);
                var (product, sum) = (digit * by, digit * by + carry);
                var waited = carry.IsZero ? "" : $", and the {carry} that waited: {sum}";
                yield return new(
                    "", $"{by} × {digit} = {product}{waited}: {(isLast || sum < 10 ? $"write {sum}" : $"write {sum % 10}, {sum / 10} {(sum / 10 == 1 ? "waits" : "wait")}")}.",
                    [
                        MultiplicationDecisions.Product, MultiplicationDecisions.Count, MultiplicationDecisions.ComesTo, MultiplicationDecisions.Written, MultiplicationDecisions.Last,
                        MultiplicationDecisions.Onward, MultiplicationDecisions.Direction,
                        .. sum >= 10 ? new Decision[] { MultiplicationDecisions.Ten, MultiplicationDecisions.Carried, MultiplicationDecisions.Into } : [],
                        .. carry.IsZero ? Array.Empty<Decision>() : [MultiplicationDecisions.Carry],
                    ]);
                carry = isLast ? BigInteger.Zero : sum / 10;
            }

            rows.Add(one * by * BigInteger.Pow(10, row));
        }

        if (rows.Count > 1) yield return new("", $"The rows are parts: {string.Join(" + ", rows)} = {one * other}.", MultiplicationDecisions.Together);
    }

    private ExampleLine About()
    {
        var rounded = numbers.Select(Rounded).ToList();
        return new("", $"Check: about {rounded[0]} × {rounded[1]} = {BigInteger.Parse(rounded[0]) * BigInteger.Parse(rounded[1])}, and it is {task.RightAnswer}.");
    }

    // Cycle by cycle: how often, times, take away, bring down.
    private IEnumerable<ExampleLine> Division(BigInteger dividend, BigInteger divisor, QuotientForm form, int places = 0)
    {
        var (digits, part, hasBegun) = (dividend.ToString(), BigInteger.Zero, false);
        var listed = school.Of(School.QuotientDigit);
        for (var at = 0; at < digits.Length || (form == QuotientForm.AsDecimal && !part.IsZero); at++)
        {
            var digit = at < digits.Length ? digits[at] - '0' : 0;
            part = part * 10 + digit;
            var isLastWhole = at == digits.Length - 1 - places;
            if (!hasBegun && part < divisor && at < digits.Length - 1)
            {
                if (places == 0 || at < digits.Length - 1 - places)
                {
                    yield return new("", $"{divisor} does not go into {part}: the next digit is taken too.", DivisionDecisions.First, DivisionDecisions.Direction);
                    continue;
                }
            }

            var down = !hasBegun ? $"{divisor} into {part}: " : at < digits.Length ? $"The {digit} comes down: {part}. " : $"A 0 is written behind the point and comes down: {part}. ";
            var about = hasBegun ? new Decision[] { at < digits.Length ? DivisionDecisions.Bring : DivisionDecisions.Extend, DivisionDecisions.NextIs } : [];
            hasBegun = true;
            var times = part / divisor;
            if (times.IsZero)
            {
                var written = school.Of(School.ZeroCycle) == ZeroCycleSchool.Written ? $" 0 × {divisor} = 0, {part} − 0 = {part}." : "";
                yield return new("", $"{down}{divisor} does not go into {part}: 0 on top.{written}", [.. about, DivisionDecisions.Fits]);
            }
            else
            {
                var found = listed switch
                {
                    QuotientDigitSchool.SkipCounting => $"Counted up by {divisor} to {times * divisor}, not to {(times + 1) * divisor}: {times} on top",
                    QuotientDigitSchool.ListedMultiples => $"In the list of {divisor} the last that fits is {times * divisor}: {times} on top",
                    _ when times == 9 => $"9 × {divisor} = {9 * divisor}: 9 on top",
                    _ => $"{times} × {divisor} = {times * divisor}, and {times + 1} × {divisor} = {(times + 1) * divisor} is too much: {times} on top",
                };
                yield return new(
                    "", $"{down}{found}. {part} − {times * divisor} = {part % divisor}.",
                    [.. about, DivisionDecisions.Digit, DivisionDecisions.DigitIs, DivisionDecisions.Taking, DivisionDecisions.RestIs, DivisionDecisions.Rest, DivisionDecisions.Divisor]);
            }

            part %= divisor;
            if (isLastWhole && (places > 0 || (form == QuotientForm.AsDecimal && !part.IsZero)))
                yield return new("", "The ones are done: the point goes into the answer, straight above.", DivisionDecisions.Point, DecimalDivisionDecisions.Point);
        }

        if (form == QuotientForm.AsDecimal || places > 0) yield break;
        yield return new(
            "", part.IsZero ? "Nothing is left." : form == QuotientForm.WithFraction
                ? $"{part} {(part.IsOne ? "is" : "are")} left, to be shared by {divisor}: {part}/{divisor}{(BigInteger.GreatestCommonDivisor(part, divisor) > 1 ? $", in lowest terms {new Rational(part, divisor).Text}" : "")}."
                : $"{part} {(part.IsOne ? "is" : "are")} left, less than {divisor}: r {part}.",
            DivisionDecisions.Written, DivisionDecisions.Left);
    }

    private ExampleLine Back()
    {
        var (dividend, divisor) = (numbers[0].Unscaled, numbers[1].Unscaled);
        var (quotient, rest) = (dividend / divisor, dividend % divisor);
        return new("", ((LongDivision)task).AnswerForm == QuotientForm.WithRemainder && !rest.IsZero
            ? $"Check: {quotient} × {divisor} = {quotient * divisor}, and {rest}: {dividend}." : $"Check: {task.RightAnswer} × {divisor} = {dividend}.");
    }

    private List<ExampleLine> DecimalColumns()
    {
        var places = numbers.Max(n => n.Places);
        var (lines, isFirst) = (new List<ExampleLine>(), school.Of(School.DecimalPoint) == DecimalPointSchool.PointFirst);
        var filled = numbers.Where(n => n.Places < places).Select(n => $"{n.Text} is {DecimalNumber.Written(n.Unscaled * BigInteger.Pow(10, places - n.Places), places)}").ToList();
        lines.Add(new("", "Point under point, so that tenths stand under tenths.", DecimalSumDecisions.Alignment, DecimalSumDecisions.Whole) { Teaches = Ideas.SamePlaceUnderSamePlace });
        if (filled.Count > 0) lines.Add(new("", $"The gaps are filled with zeros: {string.Join(", ", filled)}.", DecimalSumDecisions.Gap, DecimalSumDecisions.Lone, DecimalSumDecisions.Whole));
        var point = new ExampleLine("", "The point of the answer stands straight below.", DecimalSumDecisions.Point, DecimalSumDecisions.Places);
        if (isFirst) lines.Add(point);
        List<BigInteger> whole = [.. numbers.Select(n => n.Unscaled * BigInteger.Pow(10, places - n.Places))];
        if (task.SetOperation == PairOperation.Minus)
        {
            lines.AddRange(Difference());
            if (!isFirst) lines.Add(point);
            lines.Add(new("", $"Check: {task.RightAnswer} + {numbers[1].Text} = {numbers[0].Text}."));
            return lines;
        }

        lines.AddRange(Sum(whole, places));
        if (!isFirst) lines.Add(point);
        lines.Add(new("", $"Check: about {string.Join(" + ", numbers.Select(Whole))} = {numbers.Aggregate(BigInteger.Zero, (all, n) => all + Whole(n))}, and it is {task.RightAnswer}."));
        return lines;
    }

    // The steps of the taught difference, as its captions tell them, with the places of a decimal.
    private IEnumerable<ExampleLine> Difference()
    {
        var run = new MethodRun { Recording = true };
        Method.Run(task, run, new DeviationSet(school, []));
        var told = Telling.ToldSteps.InOrder(run.Steps, task.Family, school);
        return told.Where(s => s.Decision?.Id.StartsWith("decimal-sums.", StringComparison.Ordinal) != true)
            .Select(s => new ExampleLine("", s.Fact is null ? s.ChosenText : Signs.Printed(s.ChosenText), s.Decision is { } decision ? [decision] : []));
    }

    private List<ExampleLine> DecimalProduct()
    {
        var (one, other) = (numbers[0], numbers[1]);
        var lines = new List<ExampleLine>();
        var sign = SignLine();
        var isSignFirst = school.Of(School.ProductSign) == ProductSignSchool.SignFirst;
        if (sign is not null && isSignFirst) lines.Add(sign);
        lines.Add(new("", $"Without points first: {BigInteger.Abs(one.Unscaled)} × {BigInteger.Abs(other.Unscaled)}.", DecimalProductDecisions.Split, DecimalProductDecisions.Zeros));
        lines.AddRange(Product(BigInteger.Abs(one.Unscaled), BigInteger.Abs(other.Unscaled)));
        var (product, places) = (BigInteger.Abs(one.Unscaled * other.Unscaled), one.Places + other.Places);
        lines.Add(new(
            "", $"{one.Magnitude} has {Counted(one.Places)} and {other.Magnitude} has {Counted(other.Places)}: together {places}, counted from the right of {product}.", DecimalProductDecisions.Count,
            DecimalProductDecisions.Places));
        if (product.ToString().Length <= places)
            lines.Add(new("", $"{product} has only {product.ToString().Length} {(product.ToString().Length == 1 ? "digit" : "digits")}: zeros in front hold the places, {DecimalNumber.Written(product, places)}.", DecimalProductDecisions.TooFew));
        if (sign is not null && !isSignFirst) lines.Add(sign);
        var small = new[] { one, other }.FirstOrDefault(n => BigInteger.Abs(n.Unscaled) < BigInteger.Pow(10, n.Places));
        lines.Add(new("", small is null
            ? $"Check without signs: about {Rounded(one)} × {Rounded(other)}, and it is {task.RightAnswer.TrimStart('-')}."
            : $"Check without signs: {small.Magnitude} is less than 1, so it must be less than {(small == one ? other : one).Magnitude}, and it is {task.RightAnswer.TrimStart('-')}."));
        return lines;

        static string Counted(int count) => count switch { 0 => "no place", 1 => "1 place", _ => $"{count} places" };
    }

    private List<ExampleLine> DecimalDivision()
    {
        var (one, other) = (numbers[0], numbers[1]);
        var lines = new List<ExampleLine>();
        var sign = SignLine();
        var isSignFirst = school.Of(School.ProductSign) == ProductSignSchool.SignFirst;
        if (sign is not null && isSignFirst) lines.Add(sign);
        var (divisor, places) = (BigInteger.Abs(other.Unscaled), one.Places - other.Places);
        var dividend = BigInteger.Abs(one.Unscaled) * BigInteger.Pow(10, Math.Max(0, -places));
        places = Math.Max(0, places);
        lines.Add(other.Places == 0
            ? new("", $"{other.Magnitude} is whole: no point moves.", DecimalDivisionDecisions.Shift)
            : new(
                "", $"{other.Magnitude} becomes whole when its point moves {other.Places} to the right, and the other point moves as far: {DecimalNumber.Written(dividend, places)} ÷ {divisor}.",
                DecimalDivisionDecisions.Shift, DecimalDivisionDecisions.Moved, DecimalDivisionDecisions.Zeros, DecimalDivisionDecisions.Order));
        lines.AddRange(Division(dividend, divisor, QuotientForm.AsDecimal, places));
        if (sign is not null && !isSignFirst) lines.Add(sign);
        lines.Add(new("", $"Check: {Signs.Printed(task.RightAnswer)} × {Signs.Printed(other.Text)} = {Signs.Printed(one.Text)}."));
        return lines;
    }

    private IEnumerable<ExampleLine> Signed()
    {
        var (one, other) = (numbers[0].Unscaled, numbers[1].Unscaled);
        if (task.SetOperation is PairOperation.Times or PairOperation.DividedBy)
        {
            var (sign, times) = (SignLine()!, task.SetOperation == PairOperation.Times);
            var sizes = new ExampleLine(
                "", $"{BigInteger.Abs(one)} {(times ? "×" : "÷")} {BigInteger.Abs(other)} = {task.RightAnswer.TrimStart('-')}.", IntegerDecisions.Procedure, IntegerDecisions.Size);
            var isFirst = school.Of(School.ProductSign) == ProductSignSchool.SignFirst;
            yield return isFirst ? sign : sizes;
            yield return isFirst ? sizes : sign;
            yield return new(
                "", times ? $"Check: the answer divided by {N(other)} is {N(one)} again." : $"Check: {Signs.Printed(task.RightAnswer)} × {P(other)} = {N(one)}.");
            yield break;
        }

        var isMinus = task.SetOperation == PairOperation.Minus;
        var added = isMinus ? -other : other;
        if (other.Sign < 0)
            yield return new(
                $"{one} {(added.Sign < 0 ? "-" : "+")} {BigInteger.Abs(added)}",
                isMinus ? $"Taking {N(other)} away is adding its opposite, {N(added)}." : $"Adding {N(other)} goes {BigInteger.Abs(other)} down: it is taken away.",
                IntegerDecisions.Meeting, IntegerDecisions.First);
        var sum = one + added;
        if (one.Sign == added.Sign || one.IsZero || added.IsZero)
            yield return new(
                "", $"From {N(one)} it goes {BigInteger.Abs(added)} {(added.Sign < 0 ? "down" : "up")}, the same way on: {BigInteger.Abs(one)} + {BigInteger.Abs(added)} = {BigInteger.Abs(sum)}, {(sum.Sign < 0 ? "below" : "above")} zero: {N(sum)}.",
                IntegerDecisions.Sizes, IntegerDecisions.OfSum, IntegerDecisions.Size);
        else
            yield return new(
                "", $"From {N(one)} it goes {BigInteger.Abs(added)} {(added.Sign < 0 ? "down" : "up")}, back towards zero. {BigInteger.Min(BigInteger.Abs(one), BigInteger.Abs(added))} of each cancel, and "
                    + (sum.IsZero ? "nothing is left: 0." : $"{BigInteger.Max(BigInteger.Abs(one), BigInteger.Abs(added))} − {BigInteger.Min(BigInteger.Abs(one), BigInteger.Abs(added))} = {BigInteger.Abs(sum)} {(BigInteger.Abs(sum).IsOne ? "is" : "are")} left, {(sum.Sign < 0 ? "below" : "above")} zero, of which there was more: {N(sum)}."),
                IntegerDecisions.Sizes, IntegerDecisions.OfSum, IntegerDecisions.Size);
        yield return new("", isMinus ? $"Check: {N(sum)} + {P(other)} = {N(one)}." : $"Check on the number line: from {N(one)}, {BigInteger.Abs(added)} {(added.Sign < 0 ? "down" : "up")}, is {N(sum)}.");
    }

    private ExampleLine? SignLine()
    {
        if (!numbers.Any(n => n.IsNegative)) return null;
        var isSame = numbers[0].IsNegative == numbers[1].IsNegative;
        return new(
            "", $"The signs are {(isSame ? "the same, so the answer is positive" : "different, so the answer is negative: −")}{(isSame ? "." : ".")}", SignDecisions.OfProduct);
    }

    private static BigInteger Digit(BigInteger number, int at) => number / BigInteger.Pow(10, at) % 10;

    // To one digit in front.
    private static string Rounded(DecimalNumber number)
    {
        var whole = Whole(number);
        var unit = BigInteger.Pow(10, whole.ToString().Length - 1);
        return ((whole + unit / 2) / unit * unit).ToString();
    }

    private static BigInteger Whole(DecimalNumber number) => Exact.Rounded(new Rational(BigInteger.Abs(number.Unscaled), BigInteger.Pow(10, number.Places)), 0).Numerator;

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
