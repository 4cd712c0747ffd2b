using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Copying;

namespace YellowPencil.Core.Families;

/// <summary>Works items by the methods of their families.</summary>
public static class Method
{
    /// <summary>Runs an item from the beginning.</summary>
    public static void Run(ItemTask task, MethodRun run, DeviationSet set, ulong declined = 0, Slip? slip = null, ChanceWatch? watching = null)
    {
        run.Begin(set, declined, slip, watching);
        WalkThrough(task, run);
    }

    /// <summary>Runs an item at which somebody decides in the student's place.</summary>
    internal static void Run(ItemTask task, MethodRun run, DeviationSet set, Decider deciding)
    {
        run.Begin(set, 0, null, null, deciding);
        WalkThrough(task, run);
    }

    private static void WalkThrough(ItemTask task, MethodRun run)
    {
        TaughtFamily.Of(task.Family).Walk(CopyingDecisions.Read(task, run), run);
        CopyingDecisions.Write(task, run);
    }
}
