using System.Numerics;

namespace YellowPencil.Core.Families.Integers;

/// <summary>One operation on two whole numbers with signs.</summary>
internal sealed class SignedPair : ItemTask
{
    private static readonly string[] OperationSigns = ["+", "-", "*", "/"];

    internal static readonly Dictionary<char, PairOperation> Operations =
        new() { ['+'] = PairOperation.Plus, ['-'] = PairOperation.Minus, ['*'] = PairOperation.Times, ['/'] = PairOperation.DividedBy };

    private SignedPair(BigInteger first, PairOperation operation, BigInteger second, BigInteger right)
        : base($"{first} {OperationSigns[(int)operation]} {second}", IntegerFamily.Instance)
    {
        First = first;
        Operation = operation;
        Second = second;
        RightAnswer = right.ToString();
    }

    /// <summary>The first number.</summary>
    public BigInteger First { get; }

    /// <summary>What is done.</summary>
    public PairOperation Operation { get; }

    /// <summary>The second number.</summary>
    public BigInteger Second { get; }

    public override IReadOnlyList<DecimalNumber> Numbers => numbers ??= [DecimalNumber.Of(First, 0), DecimalNumber.Of(Second, 0)];

    private IReadOnlyList<DecimalNumber>? numbers;

    public override ItemTask? With(IReadOnlyList<DecimalNumber> numbers) =>
        numbers.Count == 2 && numbers.All(n => n.Places == 0) && TryMake(numbers[0].Unscaled, Operation, numbers[1].Unscaled) is { Succeeded: true } made
            ? made.Value
            : null;

    public override PairOperation? SetOperation => Operation;

    public override int Steps
    {
        get
        {
            var (first, second) = (First.ToString().Length, Second.ToString().Length);
            return 3 * (first + second) * (Operation is PairOperation.Times or PairOperation.DividedBy ? Math.Min(first, second) : 1);
        }
    }

    public override string RightAnswer { get; }

    /// <summary>Makes the task; fails where a division cannot be done or leaves a remainder. Positions are those in the second number.</summary>
    public static Parsed<ItemTask> TryMake(BigInteger first, PairOperation operation, BigInteger second)
    {
        if (operation == PairOperation.DividedBy && second.IsZero) return Parsed<ItemTask>.Failed("nothing can be divided by 0", 0);
        if (operation == PairOperation.DividedBy && !(first % second).IsZero)
            return Parsed<ItemTask>.Failed(
                "a division of numbers with signs has to come out even, for schools differ about remainders of negative numbers; with a point, as in -24.0 "
                    + "/ 5, it is a division of decimals",
                0);
        return Parsed<ItemTask>.Of(new SignedPair(first, operation, second, operation switch
        {
            PairOperation.Plus => first + second,
            PairOperation.Minus => first - second,
            PairOperation.Times => first * second,
            _ => first / second,
        }));
    }

    /// <summary>A sum, difference or product of two numbers.</summary>
    /// <exception cref="ArgumentException">It is a division that does not come out.</exception>
    public static SignedPair Of(BigInteger first, PairOperation operation, BigInteger second) =>
        TryMake(first, operation, second).Value as SignedPair ?? throw new ArgumentException("the division does not come out", nameof(operation));

    /// <summary>Reads a line of a working: one operation on two whole numbers, with or without signs; null for anything else.</summary>
    public static SignedPair? TryRead(string line)
    {
        var read = Calculation.TryParse(Notation.Signs.Plain(line));
        if (!read.Succeeded || read.Value.Terms.Count != 2 || read.Value.HasPoint) return null;
        return TryMake(read.Value.First.Unscaled, Operations[read.Value.Sign], read.Value.Second.Unscaled).Value as SignedPair;
    }

    /// <summary>
    /// Whether another line puts the same numbers together: taking away a number is adding its opposite, and what is added or multiplied may change places.
    /// </summary>
    public bool SaysTheSameAs(SignedPair other)
    {
        var (one, two) = (Summands(), other.Summands());
        return one.Operation == two.Operation && ((one.First == two.First && one.Second == two.Second)
            || (one.Operation != PairOperation.DividedBy && one.First == two.Second && one.Second == two.First));
    }

    /// <summary>Whether this is no more than what is worked out beside a task with signs: the same numbers without any.</summary>
    public bool IsAsideOf(SignedPair task)
    {
        return First.Sign >= 0 && Second.Sign >= 0 && !SaysTheSameAs(task) && Sizes(this) == Sizes(task);

        static (BigInteger, BigInteger) Sizes(SignedPair pair)
        {
            var (one, two) = (BigInteger.Abs(pair.First), BigInteger.Abs(pair.Second));
            return one < two ? (one, two) : (two, one);
        }
    }

    private (PairOperation Operation, BigInteger First, BigInteger Second) Summands() =>
        Operation == PairOperation.Minus ? (PairOperation.Plus, First, -Second) : (Operation, First, Second);

    public override string Canonical(string answer) => DecimalNumber.Canonical(answer);
}
