using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures.Addition;
using YellowPencil.Core.Procedures.DecimalDivision;
using YellowPencil.Core.Procedures.DecimalProducts;
using YellowPencil.Core.Procedures.DecimalSums;
using YellowPencil.Core.Procedures.Division;
using YellowPencil.Core.Procedures.Integers;
using YellowPencil.Core.Procedures.Multiplication;
using YellowPencil.Core.Procedures.Subtraction;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Procedures;

/// <summary>Which steps of a run somebody would say aloud who works it for others; what is done another way is always said.</summary>
public static class Telling
{
    private static readonly HashSet<DecisionPoint> InColumns =
    [
        AdditionPoints.Carry, AdditionPoints.Ten, AdditionPoints.Below, AdditionPoints.Last,
        SubtractionPoints.Column, SubtractionPoints.OpenColumn, SubtractionPoints.Lender, SubtractionPoints.LenderValue, SubtractionPoints.PassedZero, SubtractionPoints.Receiver, SubtractionPoints.Stuck,
        MultiplicationPoints.Row, MultiplicationPoints.Placeholder, MultiplicationPoints.Carry, MultiplicationPoints.Ten, MultiplicationPoints.Last, MultiplicationPoints.Together,
        DecimalSumPoints.Alignment, DecimalSumPoints.Lone, DecimalSumPoints.Whole, DecimalSumPoints.Point,
        DecimalProductPoints.Count, DecimalProductPoints.Zeros, DecimalProductPoints.TooFew,
        SignPoints.OfProduct, IntegerPoints.First, IntegerPoints.Meeting, IntegerPoints.Sizes, IntegerPoints.OfSum,
    ];

    private static readonly HashSet<DecisionPoint> InDivisions =
    [
        DivisionPoints.First, DivisionPoints.Fits, DivisionPoints.Digit, DivisionPoints.Taking, DivisionPoints.Bring, DivisionPoints.Extend, DivisionPoints.Point, DivisionPoints.Written,
        DecimalDivisionPoints.Shift, DecimalDivisionPoints.Zeros, DecimalDivisionPoints.Point, SignPoints.OfProduct,
    ];

    private static readonly HashSet<DecisionPoint> Beginning =
        [AdditionPoints.Column, SubtractionPoints.Column, SubtractionPoints.OpenColumn, MultiplicationPoints.Row, MultiplicationPoints.Product, DecimalProductPoints.Count];

    /// <summary>Whether a step is told aloud in an item of a family. Inside a division, products and differences are only told where they go another way.</summary>
    public static bool IsToldAloud(Step step, Family family)
    {
        if (step.Cause != StepCause.AsTaught) return true;
        if (IsDivision(family)) return step.Point is { } decided && InDivisions.Contains(decided);
        return step.Fact is not null || InColumns.Contains(step.Point!);
    }

    /// <summary>Whether a step begins a column, a digit of a product or a cycle, as far as these are told one by one.</summary>
    public static bool BeginsPart(Step step, Family family) =>
        step.Point is { } point && (IsDivision(family) ? point == DivisionPoints.Digit : Beginning.Contains(point));

    /// <summary>The steps that are told, in the order in which the school does them: the point of a sum first, where the classroom writes it first.</summary>
    public static IReadOnlyList<Step> InOrder(IReadOnlyList<Step> steps, Family family, School school)
    {
        var told = steps.Where(s => IsToldAloud(s, family)).ToList();
        var point = told.FindIndex(s => s.Point == DecimalSumPoints.Point && s.Cause == StepCause.AsTaught);
        if (family != Family.DecimalSums || point < 0 || school.Of(School.DecimalPoint) != DecimalPointSchool.PointFirst) return told;
        var set = told.FindLastIndex(s => s.Point == DecimalSumPoints.Alignment || s.Point == DecimalSumPoints.Whole) + 1;
        if (set > point) return told;
        var first = told[point] with { Number = set > 0 ? told[set - 1].Number : -1, MarksBefore = told[set].MarksBefore };
        return [.. told[..set], first, .. told[set..point], .. told[(point + 1)..]];
    }

    /// <summary>A step in a sentence, as the classroom says it.</summary>
    public static string TextOf(Step step, Classroom classroom) => (step.Fact is null ? step.MadeText : Signs.Printed(step.MadeText)).In(classroom);

    private static bool IsDivision(Family family) => family is Family.Division or Family.DecimalDivision;
}
