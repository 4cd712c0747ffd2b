using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Teaching;

/// <summary>An item with what a rule does there; what is costly to know of it is found once.</summary>
/// <param name="pooled">The item, looked at.</param>
/// <param name="item">What is right, and what the old rule gives.</param>
/// <param name="chances">How many chances the rule has on it.</param>
/// <param name="asks">Whether the decision comes up at which the rule goes another way.</param>
/// <param name="isByLuck">Whether the rule is followed and comes to the same as what is taught.</param>
internal sealed class WeighedItem(PooledItem pooled, PlanItem item, int chances, bool asks, bool isByLuck)
{
    private string? shape;

    public PooledItem Pooled => pooled;

    public PlanItem Item => item;

    public int Chances => chances;

    public bool Asks => asks;

    public bool IsByLuck => isByLuck;

    /// <summary>Whether the old rule gives a wrong answer here.</summary>
    public bool Shows { get; } = item.Shows;

    /// <summary>
    /// What makes an item wrong in the way of those on the page: in columns how long its numbers are, their signs and points, and where zeros stand in them; in lines
    /// which decisions come up; and where the answer has zeros.
    /// </summary>
    public string Shape => shape ??= FindShape();

    private string FindShape()
    {
        var (task, answer) = (pooled.Task, pooled.Task.RightAnswer);
        var look = TaughtFamily.Of(task.Family).Layout is null
            ? string.Join(' ', pooled.Points.Select(p => p.Id).Order(StringComparer.Ordinal))
            : string.Concat(task.Text.Select(c => c is >= '1' and <= '9' ? '9' : c));
        return answer.All(char.IsAsciiDigit) ? $"{look} {ZerosIn(answer)}" : look;
    }

    // Inside, and at the end as none, one, or more.
    private static string ZerosIn(string number) => $"{(number.TrimEnd('0').Contains('0') ? "i" : "")}{Math.Min(2, number.Length - number.TrimEnd('0').Length)}";
}
