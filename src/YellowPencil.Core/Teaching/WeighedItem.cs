namespace YellowPencil.Core.Teaching;

/// <summary>An item with what a rule does there; what is costly to know of it is found once.</summary>
/// <param name="pooled">The item, looked at.</param>
/// <param name="item">What is right, and what the old rule gives.</param>
/// <param name="chances">How many chances the rule has on it.</param>
/// <param name="asks">Whether the decision comes up at which the rule goes another way.</param>
internal sealed class WeighedItem(PooledItem pooled, PlanItem item, int chances, bool asks)
{
    private string? shape;

    public PooledItem Pooled => pooled;

    public PlanItem Item => item;

    public int Chances => chances;

    public bool Asks => asks;

    /// <summary>Whether the old rule gives a wrong answer here.</summary>
    public bool Shows { get; } = item.Shows;

    /// <summary>Which decisions come up, and where the answer has zeros: what makes an item wrong in the way of those on the page.</summary>
    public string Shape => shape ??= FindShape();

    private string FindShape()
    {
        var (answer, isWhole) = (pooled.Task.RightAnswer, pooled.Task.RightAnswer.All(char.IsAsciiDigit));
        var (inside, behind) = (isWhole && answer.TrimEnd('0').Contains('0'), isWhole ? Math.Min(2, answer.Length - answer.TrimEnd('0').Length) : 0);
        return $"{string.Join(' ', pooled.Points.Select(p => p.Id).Order(StringComparer.Ordinal))} {inside} {behind}";
    }
}
