using System.Buffers;
using System.Numerics;
using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Procedures.Outer;

/// <summary>A task before anything is done.</summary>
/// <param name="Task">The task.</param>
public readonly record struct TaskContext(ItemTask Task) : IDecisionContext
{
    /// <inheritdoc/>
    public int? Place => null;

    /// <summary>The first number.</summary>
    public DecimalNumber First => Task.Numbers[0];

    /// <summary>The last number.</summary>
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
public sealed class WorkedAnswer(ItemTask task, string answer)
{
    private static readonly int Ways = Choice<AnswerWritten>.Count;

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
public readonly record struct AnswerContext(WorkedAnswer Worked) : IDecisionContext
{
    private static readonly SearchValues<char> InNumbers = SearchValues.Create("0123456789.-");

    /// <inheritdoc/>
    public int? Place => null;

    /// <summary>The task as set.</summary>
    public ItemTask Task => Worked.Task;

    /// <summary>The answer in its canonical spelling.</summary>
    public string Answer => Worked.Answer;

    /// <summary>The task.</summary>
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
public static class OuterPoints
{
    /// <summary>How is the task read?</summary>
    public static readonly DecisionPoint<TaskContext, TaskRead> Reading = new("task.reading", "How are the numbers of the task read?")
    {
        Does = TaskReading.Does,
        Taught = (_, _) => TaskRead.AsSet,
        Can = (c, way) => ReadAs(c.Task, way) is not null,
        Kinds =
        [
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
            new("plus", "in sums", c => Has(c.Task, PairOperation.Plus)),
            new("minus", "in differences", c => Has(c.Task, PairOperation.Minus)),
            new("times", "in products", c => Has(c.Task, PairOperation.Times)),
            new("divided", "in divisions", c => Has(c.Task, PairOperation.DividedBy)),
            new("three", "with three or more numbers", c => c.Task.Numbers.Count > 2),
        ],
        Properties =
        [
            new("first-length", "the count of digits of the first number", c => c.First.Length, 2, 3, 4),
            new("second-length", "the count of digits of the second number", c => c.Last.Length, 2, 3),
            new("numbers", "the count of numbers", c => c.Task.Numbers.Count, 3, 4),
        ],
    };

    /// <summary>How is the answer written?</summary>
    public static readonly DecisionPoint<AnswerContext, AnswerWritten> Writing = new("answer.writing", "How is the answer written down?")
    {
        Does = AnswerWriting.Does,
        Taught = (_, _) => AnswerWritten.AsWorked,
        Slips = _ => [(AnswerWritten.LastTwoExchanged, 0.3), (AnswerWritten.LastDigitOff, 0.1), (AnswerWritten.OneEndZeroFewer, 0.2), (AnswerWritten.OneEndZeroMore, 0.1)],
        Can = (c, way) => c.Worked.Written(way) is not null,
        Kinds =
        [
            new("always", "always", _ => true),
            new("zero-inside", "when the answer has a 0 inside", c => c.Magnitude.Length > 2 && c.Magnitude[1..^1].Contains('0')),
            new("ends-in-zero", "when the answer ends in 0", c => c.IsNumber && c.Answer[^1] == '0'),
            new("more-end-zeros", "when the answer has more zeros at the end than the numbers together", c => EndZeros(c.Answer) > c.Task.Numbers.Sum(n => EndZeros(n.Text))),
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
            new("plus", "in sums", c => Has(c.Task, PairOperation.Plus)),
            new("minus", "in differences", c => Has(c.Task, PairOperation.Minus)),
            new("times", "in products", c => Has(c.Task, PairOperation.Times)),
            new("divided", "in divisions", c => Has(c.Task, PairOperation.DividedBy)),
            new("square", "in squares of a bracket", c => c.Task is ExpandingTask { IsSquare: true }),
            new("two-brackets", "in products of two different brackets", c => c.Task is ExpandingTask { IsSquare: false, Second: not null }),
            new("one-bracket", "where one term stands before a bracket", c => c.Task is ExpandingTask { Before: not null }),
            new("fraction", "when the answer has a fraction", c => c.Answer.Contains('/')),
            new("mixed", "when the answer has wholes and a fraction", c => c.Answer.Contains('/') && c.Answer.Contains(' ') && c.Task is FractionTask),
            new("has-minus", "when the answer has a minus", c => c.Answer.Contains('-')),
            new("no-minus", "when the answer has no minus", c => !c.Answer.Contains('-')),
            new("has-power", "when the answer has a power", c => c.Answer.Contains('^')),
            new("same-brackets", "when both brackets are the same", c => c.Task is FactoringTask { C: > 0 } q && (long)q.B * q.B == 4L * q.A * q.C),
            new("no-middle", "where there is no middle", c => c.Task is FactoringTask { B: 0 }),
            new("three-terms", "when three terms are left", c => c.Task is AlgebraTask && c.Answer.Count(char.IsWhiteSpace) == 4),
            new("with-front", "when something stands before the brackets", c => c.Task is FactoringTask && c.Answer[0] != '('),
        ],
        Properties =
        [
            new("digits", "the count of whole digits of the answer", c => c.WholeDigits, 2, 3, 4),
            new("places", "the count of places of the answer", c => c.Places, 1, 2, 3),
        ],
    };

    /// <summary>The task that is worked by a student who is given a task.</summary>
    internal static ItemTask Read(ItemTask task, MethodRun run)
    {
        if (!run.IsOpen(Reading))
        {
            run.PassOver();
            return task;
        }

        return run.Ask(Reading, new TaskContext(task)) is var way && way == TaskRead.AsSet ? task : ReadAs(task, way) ?? task;
    }

    /// <summary>Writes down the answer that stands on the page, as the student does.</summary>
    internal static void Write(ItemTask task, MethodRun run)
    {
        if (run.Page.Answer.IsEmpty) return;
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

    private static bool Has(ItemTask task, PairOperation operation) => task switch
    {
        SignedPair pair => pair.Operation == operation,
        DecimalSum sum => operation == (sum.IsDifference ? PairOperation.Minus : PairOperation.Plus),
        ColumnSum => operation == PairOperation.Plus,
        ColumnDifference => operation == PairOperation.Minus,
        ColumnProduct or DecimalProduct or ExpandingTask => operation == PairOperation.Times,
        FractionTask fractions => operation == (fractions.IsDifference ? PairOperation.Minus : PairOperation.Plus),
        PolynomialTask polynomials => operation == (polynomials.Groups.Any(g => g.IsTakenAway) ? PairOperation.Minus : PairOperation.Plus),
        FactoringTask or EquationTask or RootTask => false,
        _ => operation == PairOperation.DividedBy,
    };

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
