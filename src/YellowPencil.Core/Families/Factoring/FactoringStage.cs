using System.Numerics;

namespace YellowPencil.Core.Families.Factoring;

/// <summary>How far a factoring has come: what was taken out and what was left, and what is known of the two numbers.</summary>
internal sealed record FactoringStage
{
    /// <summary>What was taken out; 1 where nothing was.</summary>
    public int Front { get; init; } = 1;

    /// <summary>The number before the square in what was left; null where it is that of the task.</summary>
    public int? A { get; private init; }

    /// <summary>The number before the letter in what was left.</summary>
    public int? B { get; private init; }

    /// <summary>The plain number of what was left.</summary>
    public int? C { get; private init; }

    /// <summary>What lies half-way between the two numbers.</summary>
    public Rational? Middle { get; private init; }

    /// <summary>The square of their distance from it.</summary>
    public Rational? Squared { get; private init; }

    /// <summary>The distance.</summary>
    public Rational? Gap { get; private init; }

    /// <summary>The two numbers.</summary>
    public (Rational One, Rational Other)? Numbers { get; private init; }

    /// <summary>Whether the two numbers stand in brackets already, with their signs.</summary>
    public bool IsInBrackets { get; private init; }

    /// <summary>Brackets into which nothing is left to be put.</summary>
    public FactoringLine.Brackets? Finished { get; private init; }

    /// <summary>Whether anything is known of the two numbers.</summary>
    public bool IsBegun => Middle is not null || Squared is not null || Gap is not null || Numbers is not null;

    /// <summary>The stage behind a line; null where the line does not lead on.</summary>
    /// <param name="line">The line.</param>
    /// <param name="task">What was to be done before it.</param>
    public FactoringStage? Behind(FactoringLine line, FactoringTask task) => line switch
    {
        FactoringLine.TakenOut { Front: 1 } same when (same.A, same.B, same.C) == (task.A, task.B, task.C) => null,
        FactoringLine.TakenOut taken => new FactoringStage { Front = taken.Front, A = taken.A, B = taken.B, C = taken.C },
        FactoringLine.Middle middle when HasGap(task) => Left(task) with { Middle = middle.Value },
        FactoringLine.Squared squared when HasGap(task) => Left(task) with { Middle = Middle, Squared = squared.Value },
        FactoringLine.Gap gap when HasGap(task) => Left(task) with { Middle = Middle, Squared = gap.Value * gap.Value, Gap = gap.Value },
        _ when task.NeedsRoots => null,
        FactoringLine.Numbers numbers => Left(task) with { Numbers = (numbers.One, numbers.Other) },
        FactoringLine.Split split when (split.One + split.Other) is { IsWhole: true } sum => new FactoringStage
        {
            Front = split.Front == 1 ? Front : split.Front,
            A = split.A,
            B = (int)sum.Numerator,
            C = split.C,
            Numbers = (split.One, split.Other),
        },
        FactoringLine.Brackets brackets => Behind(brackets, task),
        _ => null,
    };

    /// <summary>The two numbers, as far as they follow from what is known; null where they are no fractions.</summary>
    public (Rational One, Rational Other)? NumbersIn(FactoringTask task)
    {
        if (Numbers is { } known) return known;
        var middle = Middle ?? new Rational(task.B, 2);
        return (Gap ?? NumberSentence.RootOf(Squared ?? middle * middle - Rational.Whole((BigInteger)task.A * task.C))) is { } gap
            ? (middle + gap, middle - gap)
            : null;
    }

    // Where the first number is left in, the gap with a root is that of the quadratic divided by it, and who writes lines for that writes them behind it.
    private static bool HasGap(FactoringTask task) => !task.NeedsRoots || task.A == 1;

    private FactoringStage Left(FactoringTask task) => new() { Front = Front, A = task.A, B = task.B, C = task.C };

    private FactoringStage Behind(FactoringLine.Brackets brackets, FactoringTask task)
    {
        var front = brackets.Front == 1 ? Front : brackets.Front;
        var a = Rational.Whole(task.A);
        if (brackets.One.First != brackets.Other.First || !(brackets.One.First.IsOne || brackets.One.First == a))
            return Left(task) with { Front = front, Finished = brackets with { Front = front } };
        var times = brackets.One.First.IsOne ? a : Rational.Whole(1);
        return Left(task) with { Front = front, Numbers = (brackets.One.Last * times, brackets.Other.Last * times), IsInBrackets = true };
    }
}
