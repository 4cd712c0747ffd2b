using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures.DecimalSums;
using YellowPencil.Core.Procedures.Multiplication;
using YellowPencil.Core.Procedures.Subtraction;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Procedures;

/// <summary>Which steps of a run somebody would say aloud who works it for others; what is done another way is always said.</summary>
public static class Telling
{
    // Inside a division, products and differences are only told where they go another way.
    private static readonly HashSet<Decision> InsideDivision = [.. SubtractionDecisions.InColumns, .. MultiplicationDecisions.InRows];

    /// <summary>Whether a step is told aloud in an item of a family. Inside a division, products and differences are only told where they go another way.</summary>
    public static bool IsToldAloud(Step step, Family family)
    {
        if (step.Cause != StepCause.AsTaught) return true;
        return step.Decision is { } decision ? decision.IsTold && !IsPassedOver(decision, family) : !IsDivision(family);
    }

    /// <summary>Whether a step begins a column, a digit of a product or a cycle, as far as these are told one by one.</summary>
    public static bool BeginsPart(Step step, Family family) => step.Decision is { BeginsPart: true } decision && !IsPassedOver(decision, family);

    private static bool IsPassedOver(Decision decision, Family family) => IsDivision(family) && InsideDivision.Contains(decision);

    /// <summary>The steps that are told, in the order in which the school does them: the point of a sum first, where the classroom writes it first.</summary>
    public static IReadOnlyList<Step> InOrder(IReadOnlyList<Step> steps, Family family, School school)
    {
        var told = steps.Where(s => IsToldAloud(s, family)).ToList();
        var point = told.FindIndex(s => s.Decision == DecimalSumDecisions.Point && s.Cause == StepCause.AsTaught);
        if (family != Family.DecimalSums || point < 0 || school.Of(School.DecimalPoint) != DecimalPointSchool.PointFirst) return told;
        var set = told.FindLastIndex(s => s.Decision == DecimalSumDecisions.Alignment || s.Decision == DecimalSumDecisions.Whole) + 1;
        if (set > point) return told;
        var first = told[point] with { Number = set > 0 ? told[set - 1].Number : -1, MarksBefore = told[set].MarksBefore };
        return [.. told[..set], first, .. told[set..point], .. told[(point + 1)..]];
    }

    /// <summary>A step in a sentence, as the classroom says it.</summary>
    public static string TextOf(Step step, Classroom classroom) => (step.Fact is null ? step.MadeText : Signs.Printed(step.MadeText)).In(classroom);

    private static bool IsDivision(Family family) => family is Family.Division or Family.DecimalDivision;
}
