namespace YellowPencil.Core.Inference;

/// <summary>
/// Looks for one more rule, that nobody listed, which gives what a student's rules leave open: every choice at every decision point in every kind of
/// context. Kinds that have no name of their own are tried for choices that give the answers of several open items in some named kind.
/// </summary>
/// <param name="sheet">The sheet.</param>
/// <param name="student">The student.</param>
/// <param name="leastMet">How many open items a rule has to give.</param>
/// <param name="isLast">
/// Whether all else left something open: then a choice is tried by the numbers that can be seen, whether it gives two items in a named kind or not, and has to
/// give every open item.
/// </param>
internal sealed class UnlistedSearch(SheetLikelihood sheet, Candidate student, int leastMet = UnlistedSearch.LeastMet, bool isLast = false) : IDecisionVisitor
{
    /// <summary>A rule is not looked for behind a single item.</summary>
    public const int LeastMet = 2;

    /// <summary>A rule gives at least one in so many of the open items in which it could show.</summary>
    private const int LeastShare = 3;

    /// <summary>So many of the rules that give most are weighed.</summary>
    private const int MostWeighed = 48;

    /// <summary>A rule that gives none of so many open items in which it could show is given up;</summary>
    private const int MostInVain = 4;

    /// <summary>one that takes long to say sooner.</summary>
    private const int MostInVainOfLong = 2;

    /// <summary>After so many steps of work, as on a page of very long numbers, no more rules are tried.</summary>
    private const int MostSteps = 500_000;

    private static readonly RuleLength[] Learnt = [RuleLength.Opposite, RuleLength.Comparison, RuleLength.Pair];

    private readonly StudentTrees trees = sheet.TreesOf(student.Hypothesis);
    private readonly List<ItemEvidence> open = [.. sheet.Items.Where(i => !student.Items[i.Index].IsForetold)];
    private readonly List<ItemEvidence> met = [.. sheet.Items.Where(i => student.Items[i.Index].IsForetold)];
    private readonly List<Found> found = [];

    // A rule that gives every answer need not be the one that writes what stands there.
    private readonly bool showsWork = sheet.Items.Any(i => !i.Item.Work.IsEmpty);
    private bool leavesNothing;

    /// <summary>How many rules were tried.</summary>
    public int Tried { get; private set; }

    /// <summary>The student with each of the rules that were found, the best first; of rules that do the same on the sheet, each with its own prior.</summary>
    public List<Candidate> Search(IEnumerable<Decision> points)
    {
        if (open.Count < leastMet || student.Hypothesis.RuleCount == Hypothesis.MostRules) return [];
        foreach (var point in points.OrderBy(p => p.ChoiceCount == 0))
        {
            // Where a rule leaves nothing open, numbers that are put together from others are not looked through.
            if (point.ChoiceCount == 0 && leavesNothing) break;
            point.Accept(this);
        }

        return
        [
            .. found.OrderByDescending(f => f.Gain)
                .ThenByDescending(f => f.Prior).Take(sheet.Affordable(MostWeighed, least: 8)).Select(f => sheet.Rough(student, f.Rule(), trees))
                .OrderByDescending(c => c.LogScore).ThenBy(c => c.Hypothesis.Key, StringComparer.Ordinal),
        ];
    }

    void IDecisionVisitor.Visit<TContext>(Decision<TContext> point)
    {
        var shown = TreesOf(point, open);
        if (shown.Count < leastMet) return;
        var kept = TreesOf(point, met);
        var some = new bool[shown.Count];
        foreach (var option in point.Options)
        {
            sheet.ThrowIfCancelled();
            if (trees.Steps > MostSteps) return;
            Array.Clear(some);
            if (shown.Count(tree => tree.Consider(option.Result)) < leastMet) continue;
            foreach (var tree in kept) tree.Consider(option.Result);
            if (isLast)
            {
                if (option.Length != RuleLength.Expression) TryAll(point, RuleLength.Comparison, option, shown, kept, some);
                continue;
            }

            TryAll(point, RuleLength.Named, option, shown, kept, some);
            if ((leavesNothing && !showsWork && !sheet.Unlisted.IsKnown(option.Result)) || option.Length == RuleLength.Expression || some.Count(s => s) < leastMet) continue;
            foreach (var length in Learnt) TryAll(point, length, option, shown, kept, some);
        }
    }

    private List<DecisionTree<TContext>> TreesOf<TContext>(Decision<TContext> point, List<ItemEvidence> items)
        where TContext : struct, IDecisionContext
    {
        var all = new List<DecisionTree<TContext>>();
        foreach (var item in items)
            if (trees.Of(point, item) is { } tree) all.Add(tree);
        return all;
    }

    private void TryAll<TContext>(
        Decision<TContext> point, RuleLength length, ChoiceOrValue<TContext> option, List<DecisionTree<TContext>> shown, List<DecisionTree<TContext>> kept,
        bool[] some)
        where TContext : struct, IDecisionContext
    {
        var kinds = point.AllKinds.Of(length);
        Tried += kinds.Length;
        foreach (ref readonly var kind in kinds.AsSpan())
            if (GainOf(kind, option.Length == RuleLength.Expression ? MostInVainOfLong : MostInVain, shown, kept, some) is { } gain)
            {
                var (test, whole) = (kind, (RuleLength)Math.Max((int)length, (int)option.Length));
                if (isLast && gain < open.Count) continue;
                leavesNothing |= gain == open.Count;
                found.Add(new Found(gain, sheet.Unlisted.Of(point, option.Result, whole), () => point.Unlisted(point.AllKinds.KindOf(test), option)));
            }
    }

    /// <summary>How many more of the open items a rule gives than it loses of the others; null where it gives too few.</summary>
    private int? GainOf<TContext>(
        in KindTest kind, int mostInVain, List<DecisionTree<TContext>> shown, List<DecisionTree<TContext>> kept, bool[] some)
        where TContext : struct, IDecisionContext
    {
        var (chances, gained) = (0, 0);
        for (var i = 0; i < shown.Count; i++)
        {
            if (gained + shown.Count - i < leastMet || (gained == 0 && chances == mostInVain)) return null;
            if (shown[i].Follow(kind) is not { } way) continue;
            chances++;
            if (!way.End.IsMet) continue;
            gained++;
            some[i] = true;
        }

        if (gained < leastMet || (leastMet > 1 && gained * LeastShare < chances)) return null;
        var lost = 0;
        foreach (var tree in kept)
        {
            if (tree.Follow(kind) is { End.IsMet: false } && ++lost > gained) return null;
        }

        return gained - lost;
    }

    private sealed record Found(int Gain, double Prior, Func<UnlistedDeviation> Rule);
}
