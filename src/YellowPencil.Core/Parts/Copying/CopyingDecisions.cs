using System.Buffers;
using System.Numerics;
using YellowPencil.Core.Knowledge;

namespace YellowPencil.Core.Parts.Copying;

/// <summary>A task before anything is done.</summary>
/// <param name="Task">The task.</param>
internal readonly record struct TaskContext(ItemTask Task) : IDecisionContext
{
    public DecimalNumber First => Task.Numbers[0];

    public DecimalNumber Last => Task.Numbers[^1];

    /// <summary>Which of the first and the last number is the larger without signs: 1 the first, -1 the last, 0 neither.</summary>
    public int Larger
    {
        get
        {
            var places = Math.Max(First.Places, Last.Places);
            return Size(First, places).CompareTo(Size(Last, places));
        }
    }

    private static BigInteger Size(DecimalNumber number, int places) => BigInteger.Abs(number.Unscaled) * BigInteger.Pow(10, places - number.Places);
}

/// <summary>An answer that was worked out, with what it becomes when it is written down in other ways.</summary>
/// <param name="task">The task as set.</param>
/// <param name="answer">The answer in its canonical spelling.</param>
internal sealed class WorkedAnswer(ItemTask task, string answer)
{
    private static readonly int Ways = ChoiceName<AnswerWritten>.Count;

    private readonly string?[] written = new string?[Ways];
    private readonly bool[] isKnown = new bool[Ways];

    /// <summary>The task as set.</summary>
    public ItemTask Task => task;

    /// <summary>The answer in its canonical spelling.</summary>
    public string Answer => answer;

    /// <summary>What is written down in a way; null where the way makes no difference or cannot be gone.</summary>
    public string? Written(AnswerWritten way)
    {
        if (isKnown[(int)way]) return written[(int)way];
        isKnown[(int)way] = true;
        return written[(int)way] = AnswerWriting.Write(task, answer, way);
    }
}

/// <summary>An answer that was worked out, before it is written down.</summary>
/// <param name="Worked">The answer.</param>
internal readonly record struct AnswerContext(WorkedAnswer Worked) : IDecisionContext
{
    private static readonly SearchValues<char> InNumbers = SearchValues.Create("0123456789.-");

    /// <summary>The task as set.</summary>
    public ItemTask Task => Worked.Task;

    /// <summary>The answer in its canonical spelling.</summary>
    public string Answer => Worked.Answer;

    public TaskContext Before => new(Task);

    /// <summary>Whether the answer is a number without anything behind it.</summary>
    public bool IsNumber => Answer.Length > 0 && !Answer.AsSpan().ContainsAnyExcept(InNumbers);

    /// <summary>Its digits before the point.</summary>
    public int WholeDigits => Magnitude.IndexOfAny('.', ' ') is >= 0 and var end ? end : Magnitude.Length;

    /// <summary>Its digits behind the point.</summary>
    public int Places => Answer.IndexOf('.') is >= 0 and var point ? Answer.Length - point - 1 : 0;

    /// <summary>The answer without its sign.</summary>
    public ReadOnlySpan<char> Magnitude => Answer.AsSpan().TrimStart('-');
}

/// <summary>The two decisions that stand round every method: how the task is read, and how the answer is written down.</summary>
internal static class CopyingDecisions
{
    public static readonly Decision<TaskContext, TaskRead> Reading = new("task.reading", "How are the numbers of the task read?", TaskRead.AsSet)
    {
        [TaskRead.AsSet] = new("as-set", "reads the numbers as they are set"),
        [TaskRead.Exchanged] = new("exchanged", "reads the numbers in exchanged order"),
        [TaskRead.LargerFirst] = new("larger-first", "puts the larger number first"),
        [TaskRead.SmallerFirst] = new("smaller-first", "puts the smaller number first"),
        [TaskRead.TwoLargestOnly] = new("two-largest-only", "takes the two largest numbers only"),
        [TaskRead.FirstTwoOnly] = new("first-two-only", "takes the first two numbers only"),
        [TaskRead.LastTwoOnly] = new("last-two-only", "takes the last two numbers only"),
        [TaskRead.FirstAndLastOnly] = new("first-and-last-only", "takes the first and the last number only"),
        [TaskRead.FurtherLeftEach] = new("further-left-each", "sets each further number one place more to the left"),
        [TaskRead.FrontDigitRepeated] = new("front-digit-repeated", "repeats the first digit of a shorter number in front of it"),
        [TaskRead.FirstDigitOffFirst] = new("first-digit-off-first", "leaves out the first digit of the first number"),
        [TaskRead.FirstDigitOffSecond] = new("first-digit-off-second", "leaves out the first digit of the second number"),
        [TaskRead.FirstDigitOffLongest] = new("first-digit-off-longest", "leaves out the first digit of the longest number"),
        [TaskRead.LastDigitOffFirst] = new("last-digit-off-first", "leaves out the last digit of the first number"),
        [TaskRead.LastDigitOffSecond] = new("last-digit-off-second", "leaves out the last digit of the second number"),
        [TaskRead.LastDigitOffEach] = new("last-digit-off-each", "leaves out the last digit of each number"),
        [TaskRead.InnerZerosOut] = new("inner-zeros-out", "leaves out zeros inside the numbers"),
        [TaskRead.EndZerosOffFirst] = new("end-zeros-off-first", "leaves out zeros at the end of the first number"),
        [TaskRead.EndZerosOffSecond] = new("end-zeros-off-second", "leaves out zeros at the end of the second number"),
        [TaskRead.EndZerosOffEach] = new("end-zeros-off-each", "leaves out zeros at the end of the numbers"),
        [TaskRead.ZerosBehindPointOut] = new("zeros-behind-point-out", "leaves out zeros right behind the point of the numbers"),
        [TaskRead.PointBeforeWhole] = new("point-before-whole", "reads a whole number as if the point stood before it"),
        [TaskRead.PointAfterFirstDigit] = new("point-after-first-digit", "reads a whole number as if the point stood behind its first digit"),
        [TaskRead.PointsOut] = new("points-out", "reads the numbers without their points"),
        [TaskRead.PointOfFirstOut] = new("point-of-first-out", "reads the first number without its point"),
        [TaskRead.PointOfSecondOut] = new("point-of-second-out", "reads the second number without its point"),
        [TaskRead.EvenedUp] = new("evened-up", "fills all numbers up to equally many places"),
        [TaskRead.CutToFewestPlaces] = new("cut-to-fewest-places", "cuts all numbers to the fewest places"),
        [TaskRead.CutToWhole] = new("cut-to-whole", "leaves out what stands behind the points"),
        [TaskRead.LaterCutToWhole] = new("later-cut-to-whole", "leaves out what stands behind the points of all numbers but the first"),
        [TaskRead.RoundedToTens] = new("rounded-to-tens", "rounds the numbers to tens"),
        [TaskRead.SecondRoundedToTens] = new("second-rounded-to-tens", "rounds the second number to tens"),
        [TaskRead.RoundedToWhole] = new("rounded-to-whole", "rounds the numbers to wholes"),
        [TaskRead.SignsOut] = new("signs-out", "reads the numbers without their minus signs"),
        [TaskRead.FirstSignOut] = new("first-sign-out", "reads the first number without its minus sign"),
        [TaskRead.SecondSignOut] = new("second-sign-out", "reads the second number without its minus sign"),
        [TaskRead.LastDigitsOnly] = new("last-digits-only", "works with the last digits of the numbers only"),
        [TaskRead.FirstDigitsOnly] = new("first-digits-only", "works with the first digits of the numbers only"),
        [TaskRead.ReversedFirst] = new("reversed-first", "reads the first number backwards"),
        [TaskRead.ReversedSecond] = new("reversed-second", "reads the second number backwards"),
        [TaskRead.ReversedEach] = new("reversed-each", "reads the numbers backwards"),
        [TaskRead.SixAsNine] = new("six-as-nine", "reads 6 as 9"),
        [TaskRead.NineAsSix] = new("nine-as-six", "reads 9 as 6"),
        [TaskRead.OneAsSeven] = new("one-as-seven", "reads 1 as 7"),
        [TaskRead.SevenAsOne] = new("seven-as-one", "reads 7 as 1"),
        [TaskRead.TwoAsFive] = new("two-as-five", "reads 2 as 5"),
        [TaskRead.FiveAsTwo] = new("five-as-two", "reads 5 as 2"),
        [TaskRead.ThreeAsEight] = new("three-as-eight", "reads 3 as 8"),
        [TaskRead.EightAsThree] = new("eight-as-three", "reads 8 as 3"),
        [TaskRead.EndZeroPutBack] = new("end-zero-put-back", "takes a 0 off the end of the numbers and puts it back at the end of the answer"),
        Needs = (c, way) => ReadAs(c.Task, way) is not null,
        Kinds = [
            new("always", "always", _ => true),
            new("different-lengths", "when the numbers have different lengths", c => c.Task.Numbers.Any(n => n.Length != c.First.Length)),
            new("equal-lengths", "when the numbers have the same length", c => c.Task.Numbers.All(n => n.Length == c.First.Length)),
            new("second-longer", "when the second number is the longer", c => c.Last.Length > c.First.Length),
            new("second-larger", "when the second number is the larger", c => c.Larger < 0),
            new("first-larger", "when the first number is the larger", c => c.Larger > 0),
            new("one-digit", "when a number has one digit", c => c.Task.Numbers.Any(n => n.Length == 1)),
            new("two-digits", "when the second number has two digits or more", c => c.Last.Length > 1),
            new("with-whole", "when a number is whole", c => c.Task.Numbers.Any(n => n.Places == 0)),
            new("first-whole", "when the first number is whole", c => c.First.Places == 0),
            new("second-whole", "when the second number is whole", c => c.Last.Places == 0),
            new("both-decimal", "when the numbers are decimals", c => c.Task.Numbers.All(n => n.Places > 0)),
            new("below-one", "when a number is less than one", c => c.Task.Numbers.Any(IsBelowOne)),
            new("zero-inside", "when a number has a 0 inside", c => c.Task.Numbers.Any(HasInnerZero)),
            new("first-has-zero", "when the first number has a 0", c => c.First.Text.Contains('0')),
            new("second-has-zero", "when the second number has a 0", c => c.Last.Text.Contains('0')),
            new("zero-at-end", "when a number ends in 0", c => c.Task.Numbers.Any(EndsInZero)),
            new("first-ends-in-zero", "when the first number ends in 0", c => EndsInZero(c.First)),
            new("second-ends-in-zero", "when the second number ends in 0", c => EndsInZero(c.Last)),
            new("both-end-in-zero", "when both numbers end in 0", c => EndsInZero(c.First) && EndsInZero(c.Last)),
            new("first-negative", "when the first number is negative", c => c.First.IsNegative),
            new("second-negative", "when the second number is negative", c => c.Last.IsNegative),
            new("both-negative", "when both numbers are negative", c => c.First.IsNegative && c.Last.IsNegative),
            new("plus", "in sums", c => c.Task.SetOperation == PairOperation.Plus),
            new("minus", "in differences", c => c.Task.SetOperation == PairOperation.Minus),
            new("times", "in products", c => c.Task.SetOperation == PairOperation.Times),
            new("divided", "in divisions", c => c.Task.SetOperation == PairOperation.DividedBy),
            new("three", "with three or more numbers", c => c.Task.Numbers.Count > 2),
        ],
        Properties = [
            new("first-length", "the length of the first number", c => c.First.Length, 2, 3, 4),
            new("second-length", "the length of the second number", c => c.Last.Length, 2, 3),
            new("numbers", "the number of numbers", c => c.Task.Numbers.Count, 3, 4),
        ],
        Idea = Ideas.WorkWhatIsSet,
    };

    public static readonly Decision<AnswerContext, AnswerWritten> Writing = new("answer.writing", "How is the answer written down?", AnswerWritten.AsWorked)
    {
        [AnswerWritten.AsWorked] = new("as-worked", "writes the answer as it came out"),
        [AnswerWritten.Reversed] = new("reversed", "writes the digits of the answer in reverse"),
        [AnswerWritten.LastTwoExchanged] = new("last-two-exchanged", "exchanges the last two digits of the answer") { Slip = 0.3 },
        [AnswerWritten.InnerZerosOut] = new("inner-zeros-out", "leaves out zeros inside the answer"),
        [AnswerWritten.EndZerosOut] = new("end-zeros-out", "leaves out the zeros at the end of the answer"),
        [AnswerWritten.OneEndZeroFewer] = new("one-end-zero-fewer", "writes one zero too few at the end of the answer") { Slip = 0.2 },
        [AnswerWritten.OneEndZeroMore] = new("one-end-zero-more", "writes one zero too many at the end of the answer") { Slip = 0.1 },
        [AnswerWritten.FilledToFirst] = new("filled-to-first", "fills the answer with zeros to the length of the first number"),
        [AnswerWritten.FilledToLongest] = new("filled-to-longest", "fills the answer with zeros to the length of the longest number"),
        [AnswerWritten.ZerosBehindPointOut] = new("zeros-behind-point-out", "leaves out zeros right behind the point of the answer"),
        [AnswerWritten.PointOut] = new("point-out", "writes the answer without its point"),
        [AnswerWritten.PointOneFurtherLeft] = new("point-one-further-left", "puts the point of the answer one place too far left"),
        [AnswerWritten.PointOneFurtherRight] = new("point-one-further-right", "puts the point of the answer one place too far right"),
        [AnswerWritten.PointUntilLarger] = new("point-until-larger", "moves the point until the answer is larger than the first number"),
        [AnswerWritten.PointUntilSmaller] = new("point-until-smaller", "moves the point until the answer is smaller than the first number"),
        [AnswerWritten.PointBeforeAll] = new("point-before-all", "puts the point before all digits of the answer"),
        [AnswerWritten.PointAfterFirstDigit] = new("point-after-first-digit", "puts the point behind the first digit of the answer"),
        [AnswerWritten.PointBeforeLastDigit] = new("point-before-last-digit", "puts the point before the last digit of the answer"),
        [AnswerWritten.CutToFewestPlaces] = new("cut-to-fewest-places", "cuts the answer to as few places as the number with the fewest"),
        [AnswerWritten.CutToFirstPlaces] = new("cut-to-first-places", "cuts the answer to as many places as the first number has"),
        [AnswerWritten.CutToSecondPlaces] = new("cut-to-second-places", "cuts the answer to as many places as the second number has"),
        [AnswerWritten.CutToOnePlace] = new("cut-to-one-place", "cuts the answer to one place"),
        [AnswerWritten.WholePartOnly] = new("whole-part-only", "writes only what stands before the point of the answer"),
        [AnswerWritten.RoundedToWhole] = new("rounded-to-whole", "rounds the answer to a whole number"),
        [AnswerWritten.RoundedToTens] = new("rounded-to-tens", "rounds the answer to tens"),
        [AnswerWritten.FirstDigitOff] = new("first-digit-off", "leaves out the first digit of the answer"),
        [AnswerWritten.LastDigitOff] = new("last-digit-off", "leaves out the last digit of the answer") { Slip = 0.1 },
        [AnswerWritten.FirstDigitTwice] = new("first-digit-twice", "writes the first digit of the answer twice"),
        [AnswerWritten.SignOut] = new("sign-out", "writes the answer without its minus sign"),
        [AnswerWritten.SignAdded] = new("sign-added", "writes a minus sign before the answer"),
        [AnswerWritten.SignTurned] = new("sign-turned", "turns the sign of the answer round"),
        [AnswerWritten.OneMore] = new("one-more", "comes out one too large"),
        [AnswerWritten.OneLess] = new("one-less", "comes out one too small"),
        [AnswerWritten.OneStepFewer] = new("one-step-fewer", "goes one step too few from the first number"),
        [AnswerWritten.OneStepMore] = new("one-step-more", "goes one step too many from the first number"),
        [AnswerWritten.OneStepMoreAcrossZero] = new("one-step-more-across-zero", "goes one step too many where zero is passed"),
        [AnswerWritten.OneStepFewerAcrossZero] = new("one-step-fewer-across-zero", "goes one step too few where zero is passed"),
        [AnswerWritten.TenMore] = new("ten-more", "comes out ten too large"),
        [AnswerWritten.TenLess] = new("ten-less", "comes out ten too small"),
        [AnswerWritten.Doubled] = new("doubled", "doubles the answer"),
        [AnswerWritten.FirstAddedAgain] = new("first-added-again", "adds the first number once more"),
        [AnswerWritten.LastPlaceOneMore] = new("last-place-one-more", "comes out one too large in the last place"),
        [AnswerWritten.LastPlaceOneLess] = new("last-place-one-less", "comes out one too small in the last place"),
        [AnswerWritten.NumberOut] = new("number-out", "leaves out the plain number"),
        [AnswerWritten.FirstTermOut] = new("first-term-out", "leaves out the first term of the answer"),
        [AnswerWritten.FirstTermOnly] = new("first-term-only", "writes only the first part of the answer"),
        [AnswerWritten.FirstSignTurned] = new("first-sign-turned", "turns the first sign of the answer round"),
        [AnswerWritten.MiddleSignTurned] = new("middle-sign-turned", "turns the sign in the middle of the answer round"),
        [AnswerWritten.LastSignTurned] = new("last-sign-turned", "turns the last sign of the answer round"),
        [AnswerWritten.PowersOut] = new("powers-out", "writes the letter without its power"),
        [AnswerWritten.LettersOut] = new("letters-out", "leaves out the letters of the answer"),
        [AnswerWritten.FrontOut] = new("front-out", "leaves out what stands before the brackets"),
        [AnswerWritten.FractionOut] = new("fraction-out", "writes only the wholes"),
        [AnswerWritten.WholeOut] = new("whole-out", "leaves out the wholes"),
        [AnswerWritten.TurnedOver] = new("turned-over", "turns the fraction of the answer over"),
        [AnswerWritten.WholeAndNumeratorExchanged] = new("whole-and-top-exchanged", "exchanges the wholes and the numerator"),
        [AnswerWritten.NumeratorOneMore] = new("top-one-more", "comes out with one too many in the numerator"),
        [AnswerWritten.NumeratorOneLess] = new("top-one-less", "comes out with one too few in the numerator"),
        [AnswerWritten.NumeratorOnly] = new("top-only", "writes only the numerator"),
        [AnswerWritten.RestOut] = new("rest-out", "leaves out the remainder"),
        [AnswerWritten.RestAdded] = new("rest-added", "adds the remainder to the quotient"),
        [AnswerWritten.RestAppended] = new("rest-appended", "writes the remainder as further digits"),
        [AnswerWritten.RestBehindPoint] = new("rest-behind-point", "writes the remainder behind a point"),
        [AnswerWritten.RestFirst] = new("rest-first", "exchanges quotient and remainder"),
        [AnswerWritten.RestOnly] = new("rest-only", "writes only the remainder"),
        [AnswerWritten.RestOneMore] = new("rest-one-more", "makes the remainder one too large"),
        [AnswerWritten.QuotientOneMore] = new("quotient-one-more", "makes the quotient one too large"),
        [AnswerWritten.RestOneFewer] = new("rest-one-fewer", "makes the remainder one too small"),
        [AnswerWritten.QuotientOneLess] = new("quotient-one-less", "makes the quotient one too small"),
        [AnswerWritten.RestWithZero] = new("rest-with-zero", "writes a zero behind the remainder"),
        [AnswerWritten.RestMissing] = new("rest-missing", "writes what the remainder lacks to the divisor"),
        Needs = (c, way) => c.Worked.Written(way) is not null,
        Kinds = [
            new("always", "always", _ => true),
            new("zero-inside", "when the answer has a 0 inside", c => c.Magnitude.Length > 2 && c.Magnitude[1..^1].Contains('0')),
            new("ends-in-zero", "when the answer ends in 0", c => c.IsNumber && c.Answer[^1] == '0'),
            new(
                "more-end-zeros", "when the answer has more zeros at the end than the numbers together",
                c => EndZeros(c.Answer) > c.Task.Numbers.Sum(n => EndZeros(n.Text))),
            new("ends-otherwise", "when the answer does not end in 0", c => c.IsNumber && c.Answer[^1] != '0'),
            new("shorter-than-first", "when the answer is shorter than the first number", c => c.WholeDigits < c.Before.First.Length - c.Before.First.Places),
            new("longer-than-first", "when the answer is longer than the first number", c => c.WholeDigits > c.Before.First.Length - c.Before.First.Places),
            new("two-digits", "when the answer has two digits", c => c.WholeDigits == 2),
            new("negative", "when the answer is negative", c => c.Answer.StartsWith('-')),
            new("positive", "when the answer is positive", c => c.IsNumber && c.Answer[0] != '-'),
            new("with-point", "when the answer has a point", c => c.Places > 0),
            new("whole", "when the answer is a whole number", c => c.IsNumber && c.Places == 0),
            new("below-one", "when the answer is less than one", c => c.Magnitude.StartsWith("0.")),
            new("with-rest", "when something is left over", c => c.Answer.Contains('r')),
            new("second-larger", "when the second number is the larger", c => c.Before.Larger < 0),
            new("first-larger", "when the first number is the larger", c => c.Before.Larger > 0),
            new("first-negative", "when the first number is negative", c => c.Before.First.IsNegative),
            new("first-positive", "when the first number is positive", c => !c.Before.First.IsNegative),
            new("second-negative", "when the second number is negative", c => c.Before.Last.IsNegative),
            new("both-negative", "when both numbers are negative", c => c.Before.First.IsNegative && c.Before.Last.IsNegative),
            new("unlike-signs", "when one number is negative", c => c.Before.First.IsNegative != c.Before.Last.IsNegative),
            new("with-whole", "when a number is whole", c => c.Task.Numbers.Any(n => n.Places == 0)),
            new("number-below-one", "when a number is less than one", c => c.Task.Numbers.Any(IsBelowOne)),
            new("both-end-in-zero", "when both numbers end in 0", c => EndsInZero(c.Before.First) && EndsInZero(c.Before.Last)),
            new("first-ends-in-zero", "when the first number ends in 0", c => EndsInZero(c.Before.First)),
            new("second-ends-in-zero", "when the second number ends in 0", c => EndsInZero(c.Before.Last)),
            new("plus", "in sums", c => c.Task.SetOperation == PairOperation.Plus),
            new("minus", "in differences", c => c.Task.SetOperation == PairOperation.Minus),
            new("times", "in products", c => c.Task.SetOperation == PairOperation.Times),
            new("divided", "in divisions", c => c.Task.SetOperation == PairOperation.DividedBy),
            new("square", "in squares of a bracket", c => c.Task.Traits.HasFlag(TaskTraits.SquareOfBracket)),
            new("two-brackets", "in products of two different brackets", c => c.Task.Traits.HasFlag(TaskTraits.TwoBrackets)),
            new("one-bracket", "where one term stands before a bracket", c => c.Task.Traits.HasFlag(TaskTraits.TermBeforeBracket)),
            new("fraction", "when the answer has a fraction", c => c.Answer.Contains('/')),
            new(
                "mixed", "when the answer has wholes and a fraction",
                c => c.Answer.Contains('/') && c.Answer.Contains(' ') && c.Task.Answers == AnswerForm.Mixed),
            new("has-minus", "when the answer has a minus", c => c.Answer.Contains('-')),
            new("no-minus", "when the answer has no minus", c => !c.Answer.Contains('-')),
            new("has-power", "when the answer has a power", c => c.Answer.Contains('^')),
            new("same-brackets", "when both brackets are the same", c => c.Task.Traits.HasFlag(TaskTraits.SameFactors)),
            new("no-middle", "where there is no middle", c => c.Task.Traits.HasFlag(TaskTraits.NoMiddle)),
            new("three-terms", "when three terms are left", c => c.Task.Answers == AnswerForm.Terms && c.Answer.Count(char.IsWhiteSpace) == 4),
            new("with-front", "when something stands before the brackets", c => c.Task.Answers == AnswerForm.Brackets && c.Answer[0] != '('),
        ],
        Properties = [
            new("digits", "the length before the point of the answer", c => c.WholeDigits, 2, 3, 4),
            new("places", "the number of places of the answer", c => c.Places, 1, 2, 3),
        ],
        Idea = Ideas.WriteWhatWasFound,
    };

    /// <summary>The task that is worked by a student who is given a task.</summary>
    internal static ItemTask Read(ItemTask task, MethodRun run)
    {
        if (!run.IsOpen(Reading))
        {
            run.PassOver();
            return task;
        }

        var way = run.Ask(Reading, new TaskContext(task));
        if (way == TaskRead.AsSet || ReadAs(task, way) is not { } read) return task;
        if (way == TaskRead.EndZeroPutBack) run.Page.ZerosDue = 1;
        return read;
    }

    /// <summary>Writes down the answer that stands on the page, as the student does.</summary>
    internal static void Write(ItemTask task, MethodRun run)
    {
        if (run.Page.Answer.IsEmpty) return;
        if (run.Page.ZerosDue > 0 && run.Page.Answer is not "0" && !run.Page.Answer.ContainsAnyExceptInRange('0', '9')) run.Page.Append("0");
        if (!run.IsOpen(Writing))
        {
            run.PassOver();
            return;
        }

        var worked = new WorkedAnswer(task, run.Page.Answer.ToString());
        if (run.Ask(Writing, new AnswerContext(worked)) is var way && way == AnswerWritten.AsWorked) return;
        if (worked.Written(way) is not { } written) return;
        run.Page.ShortenAnswer(0);
        run.Page.Append(written);
    }

    private static ItemTask? ReadAs(ItemTask task, TaskRead way)
    {
        var known = task.OtherReadings;
        if (known[(int)way] is null) known[(int)way] = new OtherReading(TaskReading.Read(task, way));
        return known[(int)way]!.Task;
    }

    private static int EndZeros(string number) => number.Length - number.TrimEnd('0').Length;

    private static bool EndsInZero(DecimalNumber number) => number.Digit(-number.Places) == 0;

    private static bool IsBelowOne(DecimalNumber number) => number.Places > 0 && BigInteger.Abs(number.Unscaled) < BigInteger.Pow(10, number.Places);

    private static bool HasInnerZero(DecimalNumber number)
    {
        for (var i = 1; i < number.Length - 1; i++)
            if (number.Digit(i - number.Places) == 0) return true;
        return false;
    }
}
