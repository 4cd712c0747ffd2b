using YellowPencil.Core.Families;
using YellowPencil.Core.Families.DecimalDivision;

namespace YellowPencil.Core.Asking;

/// <summary>How hard the items of a designed sheet may be.</summary>
/// <param name="Digits">The most digits of a number.</param>
/// <param name="Zeros">Whether a number may have a zero that stands for an empty place.</param>
/// <param name="Regroups">Whether a column may be carried from or renamed.</param>
public sealed record SheetWish(int Digits = SheetWish.MostDigits, bool Zeros = true, bool Regroups = true)
{
    /// <summary>Longer numbers tell no more and tire.</summary>
    public const int MostDigits = 4;

    /// <summary>Anything that is not too long.</summary>
    public static SheetWish Any { get; } = new();

    /// <summary>Whether a task is as wished.</summary>
    public bool Allows(ItemTask task) =>
        task.Numbers.All(n => DigitsOf(n).Length <= Digits)
        && (Zeros || task.Numbers.All(n => !DigitsOf(n).TrimStart('0').Contains('0')))
        && (Regroups || !IsRegrouped(task));

    /// <summary>Whether the taught method writes a carry or a strike-out for the task.</summary>
    public static bool IsRegrouped(ItemTask task)
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(task, run, DeviationSet.Taught);
        return run.Page.Marks.Any(
            m => m.Field == WorkFields.Carries || m.Field == WorkFields.RewrittenBelow || (m.Field == WorkFields.Rewritten && task is not DecimalQuotient));
    }

    private static string DigitsOf(DecimalNumber number) => string.Concat(number.ToString().Where(char.IsAsciiDigit));
}
