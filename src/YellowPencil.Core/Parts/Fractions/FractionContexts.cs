using System.Numerics;

namespace YellowPencil.Core.Parts.Fractions;

/// <summary>Wholes with a fraction beside them, as they are written.</summary>
/// <param name="Whole">The wholes.</param>
/// <param name="Top">The numerator.</param>
/// <param name="Bottom">The denominator.</param>
internal readonly record struct MixedParts(long Whole, long Top, long Bottom)
{
    /// <summary>A fraction of nothing is not written, whatever its denominator.</summary>
    public bool Equals(MixedParts other) => Whole == other.Whole && Top == other.Top && (Top == 0 || Bottom == other.Bottom);

    public override int GetHashCode() => HashCode.Combine(Whole, Top);
}

/// <summary>Two fractions that are to be put together, as the student sees them.</summary>
/// <param name="FirstTop">The numerator of the first.</param>
/// <param name="FirstBottom">The denominator of the first.</param>
/// <param name="SecondTop">The numerator of the second.</param>
/// <param name="SecondBottom">The denominator of the second.</param>
/// <param name="IsDifference">Whether the second is taken away.</param>
/// <param name="HasWholes">Whether there are whole parts beside them.</param>
internal readonly record struct FractionPair(
    int FirstTop, int FirstBottom, int SecondTop, int SecondBottom, bool IsDifference, bool HasWholes) : IDecisionContext
{
    /// <summary>Whether the denominators were different before and have been made the same.</summary>
    public bool WereChanged { get; init; }

    /// <summary>Whether both have the same denominator.</summary>
    public bool IsLike => FirstBottom == SecondBottom;

    /// <summary>Whether one denominator goes into the other, and they are not the same.</summary>
    public bool IsNested => !IsLike && Math.Max(FirstBottom, SecondBottom) % Math.Min(FirstBottom, SecondBottom) == 0;

    /// <summary>The largest number that divides both denominators.</summary>
    public int Common => (int)BigInteger.GreatestCommonDivisor(FirstBottom, SecondBottom);

    /// <summary>The least denominator that both can get.</summary>
    public int Least => FirstBottom / Common * SecondBottom;

    /// <summary>Whether the first fraction is the smaller.</summary>
    public bool FirstIsSmaller => (long)FirstTop * SecondBottom < (long)SecondTop * FirstBottom;
}

/// <summary>One of two fractions that is brought to a denominator.</summary>
/// <param name="Pair">Both.</param>
/// <param name="IsFirst">Whether it is the first of them.</param>
/// <param name="To">The denominator that both get.</param>
/// <param name="As">The denominator for which the numerators are made: mostly the same.</param>
internal readonly record struct FractionChange(FractionPair Pair, bool IsFirst, int To, int As) : IDecisionContext
{
    /// <summary>Its numerator.</summary>
    public int Top => IsFirst ? Pair.FirstTop : Pair.SecondTop;

    /// <summary>Its denominator.</summary>
    public int Bottom => IsFirst ? Pair.FirstBottom : Pair.SecondBottom;

    /// <summary>The other's numerator.</summary>
    public int OtherTop => IsFirst ? Pair.SecondTop : Pair.FirstTop;

    /// <summary>The other's denominator.</summary>
    public int OtherBottom => IsFirst ? Pair.SecondBottom : Pair.FirstBottom;

    /// <summary>By what its denominator is multiplied; 1 where it does not go into the new one.</summary>
    public int By => Multiplier(Bottom);

    /// <summary>By what the other's denominator is multiplied.</summary>
    public int OtherBy => Multiplier(OtherBottom);

    /// <summary>Whether its denominator changes.</summary>
    public bool Changes => To != Bottom;

    /// <summary>Whether both denominators change.</summary>
    public bool BothChange => To != Bottom && To != OtherBottom;

    /// <summary>Whether its denominator is the smaller of both.</summary>
    public bool HasSmallerBottom => Bottom < OtherBottom;

    private int Multiplier(int bottom) => As % bottom == 0 ? As / bottom : 1;
}

/// <summary>A fraction that came out and is to be finished.</summary>
/// <param name="Top">Its numerator.</param>
/// <param name="Bottom">Its denominator.</param>
/// <param name="IsDifference">Whether it came out of a difference.</param>
/// <param name="HasWholes">Whether there were whole parts.</param>
/// <param name="IsAlone">Whether the whole parts are in it, or there are none.</param>
internal readonly record struct FractionResult(int Top, int Bottom, bool IsDifference, bool HasWholes, bool IsAlone) : IDecisionContext
{
    /// <summary>The largest number that divides both parts.</summary>
    public int Common => (int)BigInteger.GreatestCommonDivisor(Top, Bottom);

    /// <summary>Whether it is one or more.</summary>
    public bool IsImproper => Top >= Bottom;

    /// <summary>Whether it is a whole number.</summary>
    public bool IsWhole => Top % Bottom == 0;

    /// <summary>Whether both parts are even.</summary>
    public bool AreEven => Top % 2 == 0 && Bottom % 2 == 0;

    /// <summary>How often the denominator goes into the numerator.</summary>
    public int Quotient => Top / Bottom;

    /// <summary>What is left then.</summary>
    public int Rest => Top % Bottom;
}
