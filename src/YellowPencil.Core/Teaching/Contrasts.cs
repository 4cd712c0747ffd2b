using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;

namespace YellowPencil.Core.Teaching;

/// <summary>Why an old rule is right beside an item on which it is not, the clearest last.</summary>
internal enum Contrast
{
    /// <summary>It is followed, and comes to the same.</summary>
    TheSame,

    /// <summary>Its question does not come up.</summary>
    NotAsked,

    /// <summary>Its question has the other answer.</summary>
    OtherAnswer,
}

/// <summary>Items that differ in one thing from one on which an old rule is wrong, and on which it is right.</summary>
/// <param name="rule">The rule.</param>
/// <param name="points">The decisions at which it goes another way.</param>
/// <param name="size">How hard items are that the student meets.</param>
internal sealed class Contrasts(DeviationSet rule, IReadOnlySet<Decision> points, StudentSize size)
{
    private readonly DeviationSet worked = new(rule.School, []);
    private readonly SameWork sameWork = new(rule);
    private readonly MethodRun run = new();
    private readonly MethodRun taught = new() { Recording = true };

    /// <summary>The clearest of the neighbours of an item; null where it has none.</summary>
    public (PlanItem Item, Contrast Kind)? Beside(ItemTask task)
    {
        (PlanItem Item, Contrast Kind)? best = null;
        foreach (var other in NeighbourItems.Of(task))
        {
            if (KindOf(other) is not { } kind || best?.Kind >= kind) continue;
            best = (new PlanItem(other, other.RightAnswer), kind);
            if (kind == Contrast.OtherAnswer) break;
        }

        return best;
    }

    private Contrast? KindOf(ItemTask task)
    {
        Method.Run(task, run, rule);
        if (!run.Page.Answer.SequenceEqual(task.RightAnswer)) return null;
        if (size.Knows(task.Family) && !size.FitsWithAnswer(task)) return null;
        if (run.Chances > 0) return sameWork.On(task) ? Contrast.TheSame : null;
        if (run.CameToTheSame) return Contrast.TheSame;
        Method.Run(task, taught, worked);
        return taught.Steps.Any(s => s.Decision is { } decision && points.Contains(decision)) ? Contrast.OtherAnswer : Contrast.NotAsked;
    }
}
