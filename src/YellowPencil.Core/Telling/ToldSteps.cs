using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Products;

namespace YellowPencil.Core.Telling;

/// <summary>Which steps of a run somebody would say aloud who works it for others; what is done another way is always said.</summary>
public static class ToldSteps
{
    /// <summary>Whether a step is told aloud in an item of a family. What a family passes over is only told where it goes another way.</summary>
    public static bool IsToldAloud(Step step, Family family)
    {
        if (step.Cause != StepCause.AsTaught) return true;
        var passedOver = TaughtFamily.Of(family).PassedOver;
        return step.Decision is { } decision ? decision.IsTold && !passedOver.Contains(decision) : passedOver.Count == 0;
    }

    /// <summary>Whether a step begins a column, a digit of a product or a cycle, as far as these are told one by one.</summary>
    public static bool BeginsPart(Step step, Family family) =>
        step.Decision is { BeginsPart: true } decision && !TaughtFamily.Of(family).PassedOver.Contains(decision);

    /// <summary>The steps that are told, in the order in which the school does them: the point of a sum first, where the classroom writes it first.</summary>
    public static IReadOnlyList<Step> InOrder(IReadOnlyList<Step> steps, Family family, School school)
    {
        var told = steps.Where(s => IsToldAloud(s, family)).ToList();
        if (TaughtFamily.Of(family).ComesFirst is not { } early || school.AnswerTo(early.Question) != early.Answer) return told;
        var at = told.FindIndex(s => s.Decision == early.Decision && s.Cause == StepCause.AsTaught);
        var set = told.FindLastIndex(s => s.Decision is { } decision && early.Behind.Contains(decision)) + 1;
        if (at < 0 || set > at) return told;
        var first = told[at] with { Number = set > 0 ? told[set - 1].Number : -1, MarksBefore = told[set].MarksBefore };
        return [.. told[..set], first, .. told[set..at], .. told[(at + 1)..]];
    }

    /// <summary>Whether a step is the one that some classrooms do first and others last: in sums of decimals, the point.</summary>
    public static bool ComesEarly(Step step, Family family) => TaughtFamily.Of(family).ComesFirst is { } early && step.Decision == early.Decision;

    /// <summary>Whether the room of a row that is not its own, at its end, is held as taught.</summary>
    public static bool IsRowHeldAsTaught(IReadOnlyList<Step> steps, int line) =>
        !steps.Any(s => s.Decision == MultiplicationDecisions.Placeholder && s.Line == line && s.Cause != StepCause.AsTaught);

    /// <summary>A step in a sentence, as the classroom says it.</summary>
    public static string TextOf(Step step, Classroom classroom) => (step.Fact is null ? step.ChosenText : Signs.Printed(step.ChosenText)).In(classroom);
}
