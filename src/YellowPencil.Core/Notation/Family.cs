namespace YellowPencil.Core.Notation;

/// <summary>A family of methods, as the worked-sheet format and the catalogue name it.</summary>
public enum Family
{
    /// <summary>Column addition of whole numbers.</summary>
    Addition,

    /// <summary>Column subtraction of whole numbers.</summary>
    Subtraction,

    /// <summary>Multiplication of whole numbers.</summary>
    Multiplication,

    /// <summary>Long division of whole numbers.</summary>
    Division,

    /// <summary>Sums and differences of decimals.</summary>
    DecimalSums,

    /// <summary>Products of decimals.</summary>
    DecimalProducts,

    /// <summary>Division of decimals.</summary>
    DecimalDivision,

    /// <summary>Sums and differences of fractions without whole parts.</summary>
    Fractions,

    /// <summary>Sums and differences with mixed numbers.</summary>
    MixedNumbers,

    /// <summary>Whole numbers with signs.</summary>
    Integers,

    /// <summary>Sums and differences of polynomials.</summary>
    Polynomials,

    /// <summary>Products of polynomials.</summary>
    Expanding,

    /// <summary>Factoring quadratics.</summary>
    Factoring,

    /// <summary>Square roots by hand.</summary>
    Roots,

    /// <summary>Linear equations in one letter.</summary>
    Equations,
}

/// <summary>The names of the families in the worked-sheet format.</summary>
public static class FamilyNames
{
    private static readonly Dictionary<string, Family> ByName = Enum.GetValues<Family>().ToDictionary(Name);

    /// <summary>The name in the format, for example <c>decimal-sums</c>.</summary>
    public static string Name(this Family family) => Kebab(family.ToString());

    /// <summary>A name of the code as the format spells it: <c>DecimalSums</c> is <c>decimal-sums</c>.</summary>
    public static string Kebab(string name) => string.Concat(name.Select((c, i) => char.IsUpper(c) ? (i == 0 ? "" : "-") + char.ToLowerInvariant(c) : c.ToString()));

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
    public static bool TryParse(string name, out Family family) => ByName.TryGetValue(name, out family);
}
