using System.Collections.Concurrent;
using System.Diagnostics.CodeAnalysis;
using YellowPencil.Core.Families.Addition;
using YellowPencil.Core.Families.DecimalDivision;
using YellowPencil.Core.Families.DecimalProducts;
using YellowPencil.Core.Families.DecimalSums;
using YellowPencil.Core.Families.Division;
using YellowPencil.Core.Families.Equations;
using YellowPencil.Core.Families.Expanding;
using YellowPencil.Core.Families.Factoring;
using YellowPencil.Core.Families.Fractions;
using YellowPencil.Core.Families.Integers;
using YellowPencil.Core.Families.MixedNumbers;
using YellowPencil.Core.Families.Multiplication;
using YellowPencil.Core.Families.Polynomials;
using YellowPencil.Core.Families.Roots;
using YellowPencil.Core.Families.Subtraction;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Families;

/// <summary>The families of the product: the one list.</summary>
public static class FamilyList
{
    /// <summary>Column addition.</summary>
    public static TaughtFamily Addition => AdditionFamily.Instance;

    /// <summary>Column subtraction.</summary>
    public static TaughtFamily Subtraction => SubtractionFamily.Instance;

    /// <summary>Multiplication.</summary>
    public static TaughtFamily Multiplication => MultiplicationFamily.Instance;

    /// <summary>Long division.</summary>
    public static TaughtFamily Division => DivisionFamily.Instance;

    /// <summary>Sums and differences of decimals.</summary>
    public static TaughtFamily DecimalSums => DecimalSumFamily.Instance;

    /// <summary>Products of decimals.</summary>
    public static TaughtFamily DecimalProducts => DecimalProductFamily.Instance;

    /// <summary>Division of decimals.</summary>
    public static TaughtFamily DecimalDivision => DecimalDivisionFamily.Instance;

    /// <summary>Numbers with signs.</summary>
    public static TaughtFamily Integers => IntegerFamily.Instance;

    /// <summary>Fractions.</summary>
    public static TaughtFamily Fractions => FractionFamily.Instance;

    /// <summary>Mixed numbers.</summary>
    public static TaughtFamily MixedNumbers => MixedNumberFamily.Instance;

    /// <summary>Polynomials.</summary>
    public static TaughtFamily Polynomials => PolynomialFamily.Instance;

    /// <summary>Expanding.</summary>
    public static TaughtFamily Expanding => ExpandingFamily.Instance;

    /// <summary>Equations.</summary>
    public static TaughtFamily Equations => EquationFamily.Instance;

    /// <summary>Roots.</summary>
    public static TaughtFamily Roots => RootFamily.Instance;

    /// <summary>Factoring.</summary>
    public static TaughtFamily Factoring => FactoringFamily.Instance;

    /// <summary>All of them, in the order in which they are told.</summary>
    public static IReadOnlyList<TaughtFamily> All { get; } =
    [
        Addition, Subtraction, Multiplication, Division, DecimalSums, DecimalProducts, DecimalDivision, Integers,
        Fractions, MixedNumbers, Polynomials, Expanding, Equations, Roots, Factoring,
    ];

    /// <summary>The families of some tasks, in the order of the list.</summary>
    public static IReadOnlyList<Family> Of(IEnumerable<ItemTask> tasks) => [.. All.Intersect(tasks.Select(t => t.Family))];

    /// <summary>The fields of a page that the method of a family, or another operation in its place, can fill.</summary>
    public static IReadOnlyList<WorkField> FieldsOf(Family family) =>
        Fields.GetOrAdd(family, f => [.. TaughtFamily.Of(f).Fields.Concat(TaughtFamily.Of(f).ConfusedWith.SelectMany(name => Named(name).Fields)).Distinct()]);

    private static readonly ConcurrentDictionary<Family, IReadOnlyList<WorkField>> Fields = new();

    private static readonly Dictionary<string, TaughtFamily> ByName = All.ToDictionary(f => f.Name);

    /// <summary>The family of a name of the format.</summary>
    /// <exception cref="KeyNotFoundException">There is no such family.</exception>
    public static TaughtFamily Named(string name) => ByName[name];

    /// <summary>Reads a name of the format; false when there is no such family.</summary>
    public static bool TryParse(string name, [NotNullWhen(true)] out TaughtFamily? family) => ByName.TryGetValue(name, out family);
}
