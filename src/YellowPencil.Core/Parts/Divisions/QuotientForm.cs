namespace YellowPencil.Core.Parts.Divisions;

/// <summary>How what is left of a division is to be given.</summary>
internal enum QuotientForm
{
    /// <summary>As a remainder: <c>239 r 2</c>.</summary>
    WithRemainder,

    /// <summary>As a fraction of the divisor in lowest terms: <c>239 1/2</c>.</summary>
    WithFraction,

    /// <summary>As an exact decimal: <c>239.5</c>.</summary>
    AsDecimal,
}
