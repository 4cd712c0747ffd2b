using YellowPencil.Core.Knowledge;
using static YellowPencil.Core.Engine.Commonness;

namespace YellowPencil.Core.Families.Counting;

/// <summary>Where somebody stands who counts on.</summary>
/// <param name="Now">The number that was said last.</param>
/// <param name="Left">The tens that are left.</param>
public readonly record struct CountingContext(int Now, int Left) : IDecisionContext;

/// <summary>Which number is counted first.</summary>
public enum CountedFirst { Next, Start }

/// <summary>Which number comes next.</summary>
public enum NextNumber { TenMore, OneMore, ElevenMore, HundredKept }

/// <summary>The decisions of counting on by tens.</summary>
public static class CountingDecisions
{
    public static readonly Decision<CountingContext, CountedFirst> Steps = new("counting.steps", "Which number is counted first?", CountedFirst.Next)
    {
        [CountedFirst.Next] = new("next", "counts from the next number on"),
        [CountedFirst.Start] = new("start", "counts the number itself as the first") { Slip = 1 },
        Kinds = [new("all", "always", static _ => true)],
    };

    public static readonly Decision<CountingContext, NextNumber, int> Next = new("counting.next", "Which number comes next?", NextNumber.TenMore)
    {
        [NextNumber.TenMore] = new("ten-more", "goes on by ten", c => c.Now + 10),
        [NextNumber.OneMore] = new("one-more", "goes on by one", c => c.Now + 1) { Slip = 1 },
        [NextNumber.ElevenMore] = new("eleven-more", "makes both digits one more", c => c.Now + 11),
        [NextNumber.HundredKept] = new("hundred-kept", "keeps the hundred when the tens begin again", c => c.Now / 100 * 100 + (c.Now + 10) % 100),
        Kinds = [new("all", "always", static _ => true)],
    };
}

/// <summary>The bugs of counting on by tens.</summary>
internal static class CountingBugs
{
    public static IReadOnlyList<Bug> All { get; } =
    [
        Declare("ones-for-tens", "Counts on by ones", Common, "Goes on by one where ten are counted.", "Counting is known by ones.", CountingDecisions.Next.Instead(NextNumber.OneMore)),
        Declare("both-digits", "Both digits go on", Uncommon, "Makes the tens and the ones one more.", "Each digit is counted on.", CountingDecisions.Next.Instead(NextNumber.ElevenMore)),
        Declare("hundred-kept", "The hundred stays", Common, "Begins the tens again at 100 and keeps the hundred.", "The tens run from 0 to 9.", CountingDecisions.Next.Instead(NextNumber.HundredKept)),
        Declare("start-counted", "The start is counted", Common, "Counts the number from which it goes on as the first.", "A count begins with what is there.", CountingDecisions.Steps.Instead(CountedFirst.Start)),
    ];

    private static Bug Declare(string id, string name, Commonness commonness, string text, string reason, params Deviation[] deviations) =>
        Bug.Declare(CountingFamily.Instance, id, name, commonness, Ideas.TenMovesOn, text, reason, deviations);
}
