namespace YellowPencil.Core.Pages;

/// <summary>How sums of fractions get one denominator.</summary>
public enum FractionSchool
{
    /// <summary>The least common denominator.</summary>
    LeastDenominator,

    /// <summary>The product of both denominators.</summary>
    ProductOfDenominators,
}

/// <summary>How mixed numbers are added and taken away.</summary>
public enum MixedNumberSchool
{
    /// <summary>Improper fractions first.</summary>
    ImproperFirst,

    /// <summary>In columns; a whole is renamed where the fraction is too small.</summary>
    RenameAWhole,
}

/// <summary>How binomials are multiplied.</summary>
public enum BinomialSchool
{
    /// <summary>A box with a square for each product.</summary>
    Box,

    /// <summary>Four products one after the other.</summary>
    FourProducts,
}

/// <summary>Where a carry mark stands.</summary>
public enum CarryMarkSchool
{
    /// <summary>Over the next column.</summary>
    Above,

    /// <summary>Under the line.</summary>
    Below,

    /// <summary>Beside the next digit.</summary>
    Beside,
}

/// <summary>How a quadratic is factored.</summary>
public enum FactoringSchool
{
    /// <summary>A cross for the numbers and a box for the factors.</summary>
    CrossAndBox,

    /// <summary>Pairs of numbers tried in turn.</summary>
    TrialPairs,

    /// <summary>The middle of both roots and the gap to them.</summary>
    MiddleAndGap,
}

/// <summary>How a square root is estimated.</summary>
public enum RootSchool
{
    /// <summary>Along a straight line between two squares.</summary>
    StraightLine,

    /// <summary>By trying, on the number line.</summary>
    NumberLine,
}

/// <summary>When the sign of a product or quotient is decided.</summary>
public enum ProductSignSchool
{
    /// <summary>The sign before the digits.</summary>
    SignFirst,

    /// <summary>The sign after the digits.</summary>
    SignLast,
}

/// <summary>When the point is put into an answer.</summary>
public enum DecimalPointSchool
{
    /// <summary>The point before the digits.</summary>
    PointFirst,

    /// <summary>The point after the digits.</summary>
    PointLast,
}

/// <summary>How the place is held with which a row of a product begins.</summary>
public enum PlaceholderSchool
{
    /// <summary>A zero is written.</summary>
    ZeroWritten,

    /// <summary>The row is shifted.</summary>
    RowShifted,
}

/// <summary>How the next digit of a quotient is found.</summary>
public enum QuotientDigitSchool
{
    /// <summary>By facts.</summary>
    Facts,

    /// <summary>By counting in steps.</summary>
    SkipCounting,

    /// <summary>From a list of multiples.</summary>
    ListedMultiples,
}

/// <summary>How what stands behind a point is said.</summary>
public enum DecimalReadingSchool
{
    /// <summary>By the names of the places.</summary>
    ByPlace,

    /// <summary>Digit by digit.</summary>
    DigitByDigit,
}

/// <summary>Where the carries of a product are.</summary>
public enum ProductCarrySchool
{
    /// <summary>Over the next column.</summary>
    Above,

    /// <summary>Beside the next digit.</summary>
    Beside,

    /// <summary>It is remembered.</summary>
    Remembered,
}

/// <summary>How number facts are found.</summary>
public enum FactSchool
{
    /// <summary>Recalled.</summary>
    Recalled,

    /// <summary>Counted.</summary>
    Counted,
}

/// <summary>What is written in a cycle whose digit is 0.</summary>
public enum ZeroCycleSchool
{
    /// <summary>Nothing but the 0.</summary>
    PassedOver,

    /// <summary>Its product and difference too.</summary>
    Written,
}

/// <summary>How something goes from one side of an equation to the other.</summary>
public enum EquationMoveSchool
{
    /// <summary>The operation is written on both sides.</summary>
    BothSides,

    /// <summary>The term goes across and turns its sign.</summary>
    Across,
}
