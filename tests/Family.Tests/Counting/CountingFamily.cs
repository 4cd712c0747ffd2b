using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Families.Counting;

/// <summary>Counting on by tens from any number.</summary>
public sealed class CountingFamily() : TaughtFamily("counting", "counting on by tens")
{
    public static readonly CountingFamily Instance = new();

    public override IReadOnlyList<Bug> Bugs => CountingBugs.All;

    internal override TaskGrammar Grammar { get; } = new CountingGrammar();

    protected override IReadOnlyList<Decision> OwnDecisions { get; } = [CountingDecisions.Steps, CountingDecisions.Next];

    public override IReadOnlyList<WorkField> Fields { get; } = [];

    public override Func<ItemTask> Items(int seed)
    {
        var random = new Random(seed);
        return () => new CountingTask(random.Next(11, 290), random.Next(2, 7));
    }

    public override void Walk(ItemTask task, MethodRun run)
    {
        var counting = (CountingTask)task;
        var (now, left) = (counting.From, counting.Steps);
        if (run.Ask(CountingDecisions.Steps, new CountingContext(now, left)) == CountedFirst.Start) left--;
        for (; left > 0; left--) now = run.Do(CountingDecisions.Next, new CountingContext(now, left));
        run.Page.Append(now.ToString());
    }
}
