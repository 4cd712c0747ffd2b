using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Web.Services;

/// <summary>The made-up students of the demo who work in lines: fractions, mixed numbers, algebra, roots.</summary>
internal static class DemoLines
{
    private static readonly string[] Fractions =
        ["1/2 + 1/3", "3/4 - 1/6", "2/5 + 1/5", "5/6 - 1/4", "2/3 + 3/4", "7/8 - 3/8", "1/6 + 3/8", "4/5 - 1/2", "2/9 + 1/3", "3/10 + 2/5"];

    private static readonly string[] MixedNumbers =
        ["7 1/4 - 2 5/6", "5 2/3 - 1 1/2", "6 1/5 - 3 4/5", "4 3/8 + 2 1/4", "8 1/6 - 4 1/2", "9 - 3 2/7", "5 1/2 + 3 2/3", "7 5/9 - 2 1/3", "6 1/8 - 1 3/4", "3 2/5 + 4 3/10"];

    private static readonly string[] Polynomials =
    [
        "simplify (4x^2 - 3x) - (x^2 - 5)", "simplify (5x + 7) - (2x - 3)", "simplify (3x^2 + 2x) + (x^2 - 6x)", "simplify (6x - 1) - (4x + 5)", "simplify (2x^2 - x + 4) - (x^2 + 3x - 2)",
        "simplify (x^2 + 5) + (2x - 8)", "simplify (7x + 2) - (3x - 9)", "simplify (x^2 - 4x + 1) - (3x^2 - 2x + 6)",
    ];

    private static readonly string[] Brackets =
        ["expand (x + 5)^2", "expand (x - 3)(x + 4)", "expand (2x + 1)(x - 6)", "expand 3x(2x - 7)", "expand (x - 8)(x - 2)", "expand (x + 9)(x - 9)", "expand (3x + 2)(2x + 5)", "expand -2(x - 4)"];

    private static readonly string[] Quadratics =
        ["factor x^2 + 2x - 15", "factor x^2 - 7x + 12", "factor x^2 - 4x - 21", "factor x^2 + 9x + 20", "factor x^2 + 3x - 28", "factor x^2 - 25", "factor x^2 - 6x - 16", "factor x^2 + x - 30"];

    private static readonly string[] Roots = ["sqrt(31)", "sqrt(53)", "sqrt(12)", "sqrt(70)", "sqrt(95)", "sqrt(19)", "sqrt(45)", "sqrt(110)"];

    private static readonly string[] Equations =
        ["solve 2x + 7 = 15", "solve 5x - 3 = 2x + 12", "solve 3x + 4 = 19", "solve 4x - 9 = 11", "solve 6x + 2 = 3x + 17", "solve x/3 + 2 = 5", "solve 7x - 5 = 4x + 10", "solve 2(x + 3) = 16"];

    public static IReadOnlyList<DemoStudent> All { get; } =
    [
        new("K-18", "Yestin", ClassroomWord.Regroup, [new("Sailcloth by the strip", 1, () => Written(Fractions, 31, "fractions.across"))]),
        new("K-19", "Demelza", ClassroomWord.Borrow, [new("Line left on the drum", 1, () => Written(MixedNumbers, 32, "mixed-numbers.whole-not-reduced"))], "mixed-numbers=rename-a-whole"),
        new("K-20", "Massen", ClassroomWord.Rename, [new("Long spars and short ones", 1, () => Written(Polynomials, 33, "polynomials.minus-first-term-only"))]),
        new("K-21", "Loveday", ClassroomWord.Exchange, [new("Cloth for wide kites", 1, () => Written(Brackets, 34, "expanding.first-and-last-only"))]),
        new("K-22", "Petrok", ClassroomWord.Regroup, [new("Sides of a kite", 1, () => Written(Quadratics, 35, "factoring.signs-exchanged"))]),
        new("K-23", "Eseld", ClassroomWord.Borrow, [new("How long is the keel?", 1, () => Written(Roots, 36, "roots.cut-off"))]),
        new("K-24", "Kitto", ClassroomWord.Rename, [new("Balanced on the beam", 1, () => Written(Equations, 37, "equations.number-added"))]),
        new("K-25", "Morwen", ClassroomWord.Exchange, [new("Balanced, second try", 1, () => Written(Equations, 38, "equations.number-taken-away", "equations.letters-added"))]),
        new("K-26", "Clemo", ClassroomWord.Regroup, [new("Three strips", 1, () => Written(Fractions.Skip(5).Take(3), 39))]),
        new("K-27", "Rosen", ClassroomWord.Borrow, [new("Strips and drums", 1, () => Written([.. Fractions.Take(6), .. MixedNumbers.Take(6)], 40))]),
    ];

    private static IReadOnlyList<WorkedItem> Written(IEnumerable<string> tasks, int seed, params string[] rules)
    {
        var student = new SimulatedStudent(new Hypothesis([.. rules.Select(r => Catalogue.Find(r)!)], [], []), 1, 0, seed);
        var items = ItemList.TryParse(string.Join('\n', tasks.Select(t => t.StartsWith("sqrt", StringComparison.Ordinal) ? $"{t} to 0.1" : t)), null, out _);
        return [.. items.Select(student.Write)];
    }
}
