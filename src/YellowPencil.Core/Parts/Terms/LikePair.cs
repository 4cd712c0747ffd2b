namespace YellowPencil.Core.Parts.Terms;

/// <summary>Two like terms as the student sees them.</summary>
/// <param name="First">The number of the first.</param>
/// <param name="Second">The number of the second.</param>
/// <param name="Power">Their power.</param>
internal readonly record struct LikePair(long First, long Second, int Power) : IDecisionContext
{
    /// <summary>Out of what the terms came.</summary>
    public TermsFrom From { get; init; }

    /// <summary>The power of the first, which can have come to another one on the way.</summary>
    public int FirstPower { get; init; }

    /// <summary>Both without their signs added, and the smaller taken from the larger.</summary>
    public (long Sum, long Apart) Sizes => (Math.Abs(First) + Math.Abs(Second), Math.Abs(Math.Abs(First) - Math.Abs(Second)));

    /// <summary>Whether both have the same sign.</summary>
    public bool HaveSameSign => First < 0 == Second < 0;

    /// <summary>Whether something positive is to lose more than it has.</summary>
    public bool TakesMoreAway => First >= 0 && Second < -First;

    /// <summary>Whether the first is the larger without its sign.</summary>
    public bool FirstIsLarger => Math.Abs(First) > Math.Abs(Second);

    /// <summary>The kinds of two like terms.</summary>
    public static IReadOnlyList<Kind<LikePair>> Kinds { get; } =
    [
        new("always", "always", _ => true),
        new("bare-taken-away", "where a letter without a number is taken away", c => c.Power > 0 && c.Second == -1),
        new("equal-sizes", "where both are the same without their signs", c => Math.Abs(c.First) == Math.Abs(c.Second)),
        new("same-sign", "where both have the same sign", c => c.HaveSameSign),
        new("different-signs", "where the signs are different", c => !c.HaveSameSign),
        new("both-negative", "where both have a minus", c => c is { First: < 0, Second: < 0 }),
        new("first-negative", "where the first has a minus", c => c.First < 0),
        new("second-negative", "where the second has a minus", c => c.Second < 0),
        new("first-larger", "where the first is the larger", c => c.FirstIsLarger),
        new("letter", "in terms with the letter", c => c.Power > 0),
        new("number", "in plain numbers", c => c.Power == 0),
        new("bare", "where a letter has no number", c => c.Power > 0 && (Math.Abs(c.First) == 1 || Math.Abs(c.Second) == 1)),
        new("power", "in powers of the letter", c => c.Power > 1),
        new("plain-letter", "in terms with the plain letter", c => c.Power == 1),
        new("square-of-letter", "in squares of the letter", c => c.Power == 2),
        new("cube-of-letter", "in cubes of the letter", c => c.Power == 3),
        new("taken-away", "where a bracket was taken away", c => c.From == TermsFrom.Difference),
        new("square", "in the square of a bracket", c => c.From == TermsFrom.Square),
        new("two-brackets", "where two different brackets were multiplied", c => c.From is TermsFrom.Brackets or TermsFrom.Conjugate),
        new("conjugate", "in a sum times a difference", c => c.From == TermsFrom.Conjugate),
        new("both-positive", "where neither has a minus", c => c is { First: >= 0, Second: >= 0 }),
        new("second-larger", "where the second is the larger", c => Math.Abs(c.Second) > Math.Abs(c.First)),
        new("first-negative-only", "where only the first has a minus", c => c is { First: < 0, Second: >= 0 }),
        new("second-negative-only", "where only the second has a minus", c => c is { First: >= 0, Second: < 0 }),
        new("more-taken-away", "where more is taken away than there is", c => c.TakesMoreAway),
    ];

    /// <summary>The sizes of their numbers.</summary>
    public static IReadOnlyList<Property<LikePair>> Properties { get; } =
    [
        new("first", "the first number without its sign", c => (int)Math.Min(99, Math.Abs(c.First)), 1, 2, 5, 10),
        new("second", "the second number without its sign", c => (int)Math.Min(99, Math.Abs(c.Second)), 1, 2, 5, 10),
    ];
}
