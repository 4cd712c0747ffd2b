using YellowPencil.Core.Families;

namespace YellowPencil.Core.Inference;

/// <summary>Where the rules of a list would have a chance to show on the items of a sheet.</summary>
/// <typeparam name="TRule">A rule, listed or not.</typeparam>
internal sealed class ChanceTable<TRule>
    where TRule : class
{
    private readonly IReadOnlyList<ItemEvidence> items;
    private readonly MethodRun run;
    private readonly ChanceWatch watch;
    private readonly Dictionary<object, int> indexOf;
    private readonly int[][] taught;

    public ChanceTable(
        IReadOnlyList<ItemEvidence> items, IReadOnlyList<TRule> rules, Func<TRule, IReadOnlyList<Deviation>> deviationsOf, DeviationSet sound, MethodRun run)
    {
        this.items = items;
        this.run = run;
        Rules = rules;
        indexOf = rules.Select((rule, i) => (rule: (object)rule, i)).ToDictionary(r => r.rule, r => r.i, ReferenceEqualityComparer.Instance);
        watch = new ChanceWatch([.. rules.Select(deviationsOf)]);
        taught = Under(sound);
    }

    public IReadOnlyList<TRule> Rules { get; }

    /// <summary>The chances of a rule on the way of a student without rules; 0 for a rule that is not in the list.</summary>
    public int OnTaughtWay(TRule rule, ItemEvidence item) => indexOf.TryGetValue(rule, out var index) ? taught[item.Index][index] : 0;

    /// <summary>Whether a rule has a chance on any item.</summary>
    public bool HasAny(TRule rule) => items.Any(item => OnTaughtWay(rule, item) > 0);

    /// <summary>The chances that each rule has when it is added to a student, by item and by rule in the order of the list.</summary>
    public int[][] Under(DeviationSet student)
    {
        var chances = new int[items.Count][];
        for (var i = 0; i < items.Count; i++)
        {
            watch.Clear();
            items[i].MakeReady(run);
            Method.Run(items[i].Task, run, student, watching: watch);
            chances[i] = watch.Chances.ToArray();
        }

        return chances;
    }
}
