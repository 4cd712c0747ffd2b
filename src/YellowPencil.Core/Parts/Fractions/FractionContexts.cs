using System.Numerics;

namespace YellowPencil.Core.Parts.Fractions;

/// <summary>Wholes with a fraction beside them, as they are written.</summary>
/// <param name="Whole">The wholes.</param>
/// <param name="Numerator">The numerator.</param>
/// <param name="Denominator">The denominator.</param>
internal readonly record struct MixedParts(long Whole, long Numerator, long Denominator)
{
    /// <summary>A fraction of nothing is not written, whatever its denominator.</summary>
    public bool Equals(MixedParts other) => Whole == other.Whole && Numerator == other.Numerator && (Numerator == 0 || Denominator == other.Denominator);

    public override int GetHashCode() => HashCode.Combine(Whole, Numerator);
}

/// <summary>Two fractions that are to be put together, as the student sees them.</summary>
/// <param name="FirstNumerator">The numerator of the first.</param>
/// <param name="FirstDenominator">The denominator of the first.</param>
/// <param name="SecondNumerator">The numerator of the second.</param>
/// <param name="SecondDenominator">The denominator of the second.</param>
/// <param name="IsDifference">Whether the second is taken away.</param>
/// <param name="HasWholes">Whether there are whole parts beside them.</param>
internal readonly record struct FractionPair(
    int FirstNumerator, int FirstDenominator, int SecondNumerator, int SecondDenominator, bool IsDifference, bool HasWholes) : IDecisionContext
{
    /// <summary>Whether the denominators were different before and have been made the same.</summary>
    public bool WereChanged { get; init; }

    /// <summary>Whether both have the same denominator.</summary>
    public bool IsLike => FirstDenominator == SecondDenominator;

    /// <summary>Whether one denominator goes into the other, and they are not the same.</summary>
    public bool IsNested => !IsLike && Math.Max(FirstDenominator, SecondDenominator) % Math.Min(FirstDenominator, SecondDenominator) == 0;

    /// <summary>The largest number that divides both denominators.</summary>
    public int Common => (int)BigInteger.GreatestCommonDivisor(FirstDenominator, SecondDenominator);

    /// <summary>The least denominator that both can get.</summary>
    public int Least => FirstDenominator / Common * SecondDenominator;

    /// <summary>Whether the first fraction is the smaller.</summary>
    public bool FirstIsSmaller => (long)FirstNumerator * SecondDenominator < (long)SecondNumerator * FirstDenominator;
}

/// <summary>One of two fractions that is brought to a denominator.</summary>
/// <param name="Pair">Both.</param>
/// <param name="IsFirst">Whether it is the first of them.</param>
/// <param name="To">The denominator that both get.</param>
/// <param name="As">The denominator for which the numerators are made: mostly the same.</param>
internal readonly record struct FractionChange(FractionPair Pair, bool IsFirst, int To, int As) : IDecisionContext
{
    /// <summary>Its numerator.</summary>
    public int Numerator => IsFirst ? Pair.FirstNumerator : Pair.SecondNumerator;

    /// <summary>Its denominator.</summary>
    public int Denominator => IsFirst ? Pair.FirstDenominator : Pair.SecondDenominator;

    /// <summary>The other's numerator.</summary>
    public int OtherNumerator => IsFirst ? Pair.SecondNumerator : Pair.FirstNumerator;

    /// <summary>The other's denominator.</summary>
    public int OtherDenominator => IsFirst ? Pair.SecondDenominator : Pair.FirstDenominator;

    /// <summary>By what its denominator is multiplied; 1 where it does not go into the new one.</summary>
    public int By => Multiplier(Denominator);

    /// <summary>By what the other's denominator is multiplied.</summary>
    public int OtherBy => Multiplier(OtherDenominator);

    /// <summary>Whether its denominator changes.</summary>
    public bool Changes => To != Denominator;

    /// <summary>Whether both denominators change.</summary>
    public bool BothChange => To != Denominator && To != OtherDenominator;

    /// <summary>Whether its denominator is the smaller of both.</summary>
    public bool HasSmallerDenominator => Denominator < OtherDenominator;

    private int Multiplier(int denominator) => As % denominator == 0 ? As / denominator : 1;
}

/// <summary>Out of what a fraction came that is to be finished.</summary>
/// <param name="IsDifference">Whether out of a difference.</param>
/// <param name="HasWholes">Whether there were whole parts.</param>
/// <param name="WereUnlike">Whether the denominators were different.</param>
internal readonly record struct FractionOrigin(bool IsDifference, bool HasWholes, bool WereUnlike);

/// <summary>A fraction that came out and is to be finished.</summary>
/// <param name="Numerator">Its numerator.</param>
/// <param name="Denominator">Its denominator.</param>
/// <param name="From">Out of what it came.</param>
/// <param name="IsAlone">Whether the whole parts are in it, or there are none.</param>
internal readonly record struct FractionResult(int Numerator, int Denominator, FractionOrigin From, bool IsAlone) : IDecisionContext
{
    /// <summary>Whether it came out of a difference.</summary>
    public bool IsDifference => From.IsDifference;

    /// <summary>The largest number that divides both parts.</summary>
    public int Common => (int)BigInteger.GreatestCommonDivisor(Numerator, Denominator);

    /// <summary>Whether it is one or more.</summary>
    public bool IsImproper => Numerator >= Denominator;

    /// <summary>Whether it is a whole number.</summary>
    public bool IsWhole => Numerator % Denominator == 0;

    /// <summary>Whether both parts are even.</summary>
    public bool AreEven => Numerator % 2 == 0 && Denominator % 2 == 0;

    /// <summary>How often the denominator goes into the numerator.</summary>
    public int Quotient => Numerator / Denominator;

    /// <summary>What is left then.</summary>
    public int Rest => Numerator % Denominator;

    /// <summary>The sizes of a fraction that came out.</summary>
    public static IReadOnlyList<Property<FractionResult>> Sizes { get; } =
    [
        new("numerator", "the numerator", c => c.Numerator, 1, 2, 10),
        new("denominator", "the denominator", c => c.Denominator, 5, 10, 20),
    ];

    /// <summary>The kinds of a fraction that came out.</summary>
    public static IReadOnlyList<Kind<FractionResult>> Kinds { get; } =
    [
        new("always", "always", _ => true),
        new("improper", "when it is one or more", r => r.IsImproper),
        new("proper", "when it is less than one", r => !r.IsImproper),
        new("whole", "when it is a whole number", r => r.IsWhole),
        new("even", "when both parts are even", r => r.AreEven),
        new("odd", "when a part is odd", r => !r.AreEven),
        new("common-2", "when 2 is all that divides both", r => r.Common == 2),
        new("common-is-top", "when the numerator goes into the denominator", r => r.Common == r.Numerator),
        new("plus", "in sums", r => !r.IsDifference),
        new("minus", "in differences", r => r.IsDifference),
        new("were-unlike", "where the denominators were different", r => r.From.WereUnlike),
        new("were-like", "where the denominators were the same", r => !r.From.WereUnlike),
        new("below-two", "when it is less than two", r => r.Numerator < 2 * r.Denominator),
    ];
}
