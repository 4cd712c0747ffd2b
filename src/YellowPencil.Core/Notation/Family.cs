using System.Text.Json.Serialization;

namespace YellowPencil.Core.Notation;

/// <summary>A family of methods, as the worked-sheet format and the catalogue name it.</summary>
public enum Family
{
    /// <summary>Column addition of whole numbers.</summary>
    [JsonStringEnumMemberName("addition")]
    Addition,

    /// <summary>Column subtraction of whole numbers.</summary>
    [JsonStringEnumMemberName("subtraction")]
    Subtraction,

    /// <summary>Multiplication of whole numbers.</summary>
    [JsonStringEnumMemberName("multiplication")]
    Multiplication,

    /// <summary>Long division of whole numbers.</summary>
    [JsonStringEnumMemberName("division")]
    Division,

    /// <summary>Sums and differences of decimals.</summary>
    [JsonStringEnumMemberName("decimal-sums")]
    DecimalSums,

    /// <summary>Products of decimals.</summary>
    [JsonStringEnumMemberName("decimal-products")]
    DecimalProducts,

    /// <summary>Division of decimals.</summary>
    [JsonStringEnumMemberName("decimal-division")]
    DecimalDivision,

    /// <summary>Sums and differences of fractions without whole parts.</summary>
    [JsonStringEnumMemberName("fractions")]
    Fractions,

    /// <summary>Sums and differences with mixed numbers.</summary>
    [JsonStringEnumMemberName("mixed-numbers")]
    MixedNumbers,

    /// <summary>Whole numbers with signs.</summary>
    [JsonStringEnumMemberName("integers")]
    Integers,

    /// <summary>Sums and differences of polynomials.</summary>
    [JsonStringEnumMemberName("polynomials")]
    Polynomials,

    /// <summary>Products of polynomials.</summary>
    [JsonStringEnumMemberName("expanding")]
    Expanding,

    /// <summary>Factoring quadratics.</summary>
    [JsonStringEnumMemberName("factoring")]
    Factoring,

    /// <summary>Square roots by hand.</summary>
    [JsonStringEnumMemberName("roots")]
    Roots,

    /// <summary>Linear equations in one letter.</summary>
    [JsonStringEnumMemberName("equations")]
    Equations,
}

/// <summary>The names of the families in the worked-sheet format.</summary>
public static class FamilyNames
{
    /// <summary>The name in the format, for example <c>decimal-sums</c>.</summary>
    public static string Name(this Family family) => Spelling.Of(family);

    /// <summary>The name in a sentence, for example "sums and differences of decimals".</summary>
    public static string Title(this Family family) => family switch
    {
        Family.Addition => "column addition",
        Family.Subtraction => "column subtraction",
        Family.Multiplication => "multiplication",
        Family.Division => "long division",
        Family.DecimalSums => "sums and differences of decimals",
        Family.DecimalProducts => "products of decimals",
        Family.DecimalDivision => "division of decimals",
        Family.MixedNumbers => "mixed numbers",
        Family.Integers => "numbers with signs",
        _ => family.Name(),
    };

    /// <summary>Reads a name of the format; false when there is no such family.</summary>
    public static bool TryParse(string name, out Family family) => Spelling.TryParse(name, out family);
}
