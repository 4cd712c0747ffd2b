namespace YellowPencil.Core.Progress;

/// <summary>What an answer of a check is.</summary>
public enum CheckOutcome
{
    /// <summary>Right.</summary>
    Right,

    /// <summary>What the old rule gives.</summary>
    OldRule,

    /// <summary>Another wrong answer.</summary>
    Other,

    /// <summary>Blank or unreadable: it says nothing.</summary>
    Open,
}

/// <summary>An item of a check with what was written.</summary>
/// <param name="Item">The item.</param>
/// <param name="Answer">The answer; null where it was left blank.</param>
/// <param name="Outcome">What it is.</param>
public sealed record CheckedItem(CheckItem Item, string? Answer, CheckOutcome Outcome);

/// <summary>What a check came to. A page on which the rule was found counts as one too: where it began.</summary>
/// <param name="On">When it was written.</param>
/// <param name="Items">The items with their answers; none where only the counts are known.</param>
/// <param name="OtherRule">The name of another rule that was found in it; empty for none.</param>
public sealed record CheckResult(DateOnly On, IReadOnlyList<CheckedItem> Items, string OtherRule = "")
{
    /// <summary>How often the old rule could show: answered items on which it gives another answer.</summary>
    public int Chances { get; init; } = Items.Count(i => i.Item.Part == CheckPart.Shows && i.Outcome != CheckOutcome.Open);

    /// <summary>How often it did.</summary>
    public int Followed { get; init; } = Items.Count(i => i.Outcome == CheckOutcome.OldRule);

    /// <summary>How many items were answered.</summary>
    public int Answered { get; init; } = Items.Count(i => i.Outcome != CheckOutcome.Open);

    /// <summary>How many of them are right.</summary>
    public int Right { get; init; } = Items.Count(i => i.Outcome == CheckOutcome.Right);

    /// <summary>Signs of the right answers: digits, points, letters, signs; without spaces.</summary>
    public int Signs { get; init; } = Items.Where(i => i.Outcome != CheckOutcome.Open).Sum(i => Plain(i.Item.Item.Right).Length);

    /// <summary>How many of them stand in the answers, in their order.</summary>
    public int SignsRight { get; init; } = Items.Where(i => i.Outcome != CheckOutcome.Open).Sum(i => Common(Plain(i.Item.Item.Right), Plain(i.Answer!)));

    /// <summary>Whether an answer is that of a new habit.</summary>
    public bool ShowsNewHabit { get; init; } = Items.Any(i => i.Outcome == CheckOutcome.Other && i.Item.Item is { NewHabit: { } habit, Task: var task } && task.Canonical(i.Answer!) == task.Canonical(habit));

    /// <summary>The share of the chances at which the old rule was not followed, 0 to 1; null where there was none.</summary>
    public double? Level => Chances == 0 ? null : 1 - (double)Followed / Chances;

    /// <summary>Whether there were chances and the old rule was followed at none of them; once in five or more can be a slip that looks like it.</summary>
    public bool IsWithoutRule => Chances > 0 && 5 * Followed <= Chances;

    private static string Plain(string text) => string.Concat(text.Where(c => c != ' '));

    // The longest common subsequence: signs of one that stand in the other in the same order.
    private static int Common(string one, string other)
    {
        var best = new int[other.Length + 1];
        foreach (var sign in one)
            for (var (at, above) = (1, 0); at <= other.Length; at++)
            {
                var old = best[at];
                best[at] = sign == other[at - 1] ? above + 1 : Math.Max(best[at], best[at - 1]);
                above = old;
            }

        return best[^1];
    }
}
