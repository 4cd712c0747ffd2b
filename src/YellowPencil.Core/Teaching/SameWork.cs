using YellowPencil.Core.Families;

namespace YellowPencil.Core.Teaching;

/// <summary>Whether what a rule writes on an item is what is taught, digit by digit, though it goes another way: 0.2 + 7.7 as two numbers is 7.9.</summary>
/// <param name="rule">The rule.</param>
internal sealed class SameWork(DeviationSet rule)
{
    private readonly DeviationSet worked = new(rule.School, []);
    private readonly MethodRun run = new() { Recording = true };
    private readonly MethodRun taught = new() { Recording = true };

    /// <summary>Whether it is on an item.</summary>
    public bool On(ItemTask task)
    {
        Method.Run(task, run, rule);
        Method.Run(task, taught, worked);
        return Written(run).SequenceEqual(Written(taught));
    }

    // How the numbers are set down, and from which side, is no work of its own.
    private static IEnumerable<Mark> Written(MethodRun run) => run.Page.Marks.Where(m => m.Field != WorkFields.Operands && m.Field != WorkFields.Order);
}
