namespace YellowPencil.Core.Families.Equations;

/// <summary>Two numbers that come together in an equation.</summary>
/// <param name="First">The one.</param>
/// <param name="Second">The other.</param>
/// <param name="IsLeft">Whether they stand on the left.</param>
/// <param name="HaveLetter">Whether they are numbers of the letter.</param>
internal readonly record struct EquationPair(int First, int Second, bool IsLeft, bool HaveLetter) : IDecisionContext
{
    /// <summary>The one as it is.</summary>
    public Rational One { get; init; }

    /// <summary>The other as it is.</summary>
    public Rational Other { get; init; }

    /// <summary>The number before the letter, where a plain number is moved.</summary>
    public Rational BeforeLetter { get; init; }

    /// <summary>Whether a quotient of both gets a minus.</summary>
    public bool IsNegative { get; init; }

    /// <summary>The number behind an equals sign without its sign, divided by the one before the letter.</summary>
    public Rational Quotient => Rational.Abs(Other) / Rational.Abs(One);

    /// <summary>A size with the sign of the quotient.</summary>
    public Rational WithSign(Rational size) => IsNegative ? -size : size;

    /// <summary>Whether no plain number stands beside them.</summary>
    public bool AreAlone { get; init; }

    /// <summary>Whether the equation was set with the letter on both sides.</summary>
    public bool OnBothSides { get; init; }

    /// <summary>Whether it was set with brackets.</summary>
    public bool HadBrackets { get; init; }

    /// <summary>Whether the division of the second by the first does not come out.</summary>
    public bool LeavesRest => First != 0 && Second % First != 0;

    /// <summary>The sizes of two numbers that come together.</summary>
    public static IReadOnlyList<Property<EquationPair>> Sizes { get; } =
    [
        new("first", "the first number without its sign", c => Math.Abs(c.First), 1, 2, 5, 10),
        new("second", "the second number without its sign", c => Math.Abs(c.Second), 1, 2, 5, 10),
    ];

    /// <summary>The kinds of two numbers that come together.</summary>
    public static IReadOnlyList<Kind<EquationPair>> Kinds { get; } =
    [
        new("always", "always", _ => true),
        new("both-positive", "where both are positive", c => c is { First: > 0, Second: > 0 }),
        new("both-negative", "where both are negative", c => c is { First: < 0, Second: < 0 }),
        new("different-signs", "where the signs are different", c => c.First < 0 != c.Second < 0),
        new("first-negative", "where the first is negative", c => c.First < 0),
        new("first-positive", "where the first is positive", c => c.First > 0),
        new("second-negative", "where the second is negative", c => c.Second < 0),
        new("first-larger", "where the first is the larger without its sign", c => Math.Abs(c.First) > Math.Abs(c.Second)),
        new("second-larger", "where the second is the larger without its sign", c => Math.Abs(c.First) < Math.Abs(c.Second)),
        new("left", "on the left", c => c.IsLeft),
        new("right", "on the right", c => !c.IsLeft),
        new("letters", "in numbers of the letter", c => c.HaveLetter),
        new("numbers", "in plain numbers", c => !c.HaveLetter),
        new("alone", "where no plain number is left", c => c.AreAlone),
        new("leaves-rest", "where the division does not come out", c => c.LeavesRest),
        new("comes-out", "where the division comes out", c => !c.LeavesRest),
        new("one-first", "where the letter has no number but a minus", c => c.First == -1),
        new("bare", "where the letter has no number to be seen", c => c.HaveLetter && (Math.Abs(c.First) == 1 || Math.Abs(c.Second) == 1)),
        new("times-positive", "where the number before the letter has no minus", c => c.BeforeLetter.Sign > 0),
        new("right-divides", "where the right can be divided by the number before the letter", c => !c.BeforeLetter.IsZero && (c.Other / c.BeforeLetter).IsWhole),
        new("both-divide", "where both numbers can be divided by the number before the letter",
            c => !c.BeforeLetter.IsZero && (c.Other / c.BeforeLetter).IsWhole && (c.One / c.BeforeLetter).IsWhole),
        new("fraction-before", "where a fraction stands before the letter", c => !c.One.IsWhole || !c.BeforeLetter.IsWhole),
        new("second-zero", "where the second is 0", c => c.Second == 0),
        new("both-sides", "where the letter stands on both sides", c => c.OnBothSides),
        new("one-side", "where the letter stands on one side only", c => !c.OnBothSides),
        new("brackets", "where there are brackets", c => c.HadBrackets),
        new("no-brackets", "where there are no brackets", c => !c.HadBrackets),
    ];
}
