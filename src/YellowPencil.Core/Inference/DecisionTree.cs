using YellowPencil.Core.Families;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Copying;

namespace YellowPencil.Core.Inference;

/// <summary>Where one way through a stretch of a working ends.</summary>
/// <param name="IsMet">Whether it leads to what was written.</param>
/// <param name="Chances">Chances of the student's own rules on the way.</param>
/// <param name="Followed">How many of them were followed.</param>
/// <param name="Marks">How the marks agree, where it is met and there are any.</param>
internal readonly record struct PathEnd(bool IsMet, int Chances, int Followed, MarkEvidence? Marks);

/// <summary>The way of one more rule through a stretch.</summary>
/// <param name="End">Where it ends.</param>
/// <param name="Chances">Chances of the added rule on the way.</param>
/// <param name="Followed">How many of them were followed.</param>
internal readonly record struct RuleWay(PathEnd End, int Chances, int Followed);

/// <summary>The ways through one stretch of a working, told apart by what is decided at one decision point; other decisions are the student's.</summary>
internal interface IDecisionTree
{
    /// <summary>The way of one more rule.</summary>
    /// <param name="rule">A rule about the point.</param>
    /// <param name="declined">Bit i set: the i-th chance of the rule is not followed.</param>
    RuleWay Follow(Deviation rule, ulong declined = 0);
}

/// <summary>
/// The ways through one stretch of a working, told apart by what is decided at one decision point. Each way is run once, whichever rules lead along it:
/// a rule is followed through the contexts that were met before, and the work is only done where it turns off them.
/// </summary>
/// <param name="point">The point.</param>
/// <param name="work">Does the stretch with somebody deciding in the student's place, and says where it ends.</param>
/// <param name="shortcut">Where a way ends that turns off at its last context, if that is known without doing the stretch again.</param>
internal sealed class DecisionTree<TContext>(
    Decision<TContext> point, Func<Decider, PathEnd> work, Func<TContext, int, PathEnd?>? shortcut = null) : Decider<TContext>, IDecisionTree
    where TContext : struct, IDecisionContext
{
    private const int Open = int.MinValue;

    private readonly LearntKinds<TContext> kinds = point.AllKinds;
    private Node[] nodes = new Node[4];
    private Turn[] turns = new Turn[4];
    private PathEnd[] ends = new PathEnd[4];
    private int nodeCount;
    private int turnCount;
    private int endCount;
    private int root = Open;
    private int lastTurn = -1;
    private Rule rule;
    private int ownCount;
    private int[] shows = [];
    private int showCount;
    private ChoiceResult<TContext>? considered;
    private bool supplants;

    /// <summary>Whether the point comes up on the student's own way.</summary>
    public bool ComesUp => nodeCount > 0;

    public override Decider? At(int ordinal) => ordinal == point.Ordinal ? this : null;

    public override void Begin()
    {
        lastTurn = -1;
        (rule.Chances, rule.Followed) = (0, 0);
    }

    /// <summary>Ends the way that was begun; the first that ends is the student's own.</summary>
    public void EndAt(PathEnd end)
    {
        if (endCount == 0) ownCount = nodeCount;
        ref var target = ref TargetOf(lastTurn);
        if (target == Open) target = ~Add(ref ends, ref endCount, end);
    }

    public RuleWay Follow(Deviation deviation, ulong declined = 0)
    {
        var given = (ContextDeviation<TContext>)deviation;
        return Follow(new Rule { When = given.When, Result = given.Result, Declined = declined }, root);
    }

    /// <summary>
    /// Looks where on the student's own way something else would make a difference; the kinds that are followed next are of contexts in which it is done.
    /// </summary>
    /// <returns>Whether there is such a place.</returns>
    public bool Consider(ChoiceResult<TContext> option)
    {
        considered = option;
        showCount = 0;
        supplants = false;
        if (shows.Length < ownCount) shows = new int[ownCount];
        for (var i = 0; i < ownCount; i++)
        {
            var made = option(nodes[i].Context, nodes[i].Taught);
            if (made >= 0 && made != nodes[i].Taught) shows[showCount++] = i;
            supplants |= made == Nothing.Else && nodes[i].Chosen != nodes[i].Taught;
        }

        return showCount > 0;
    }

    /// <summary>The way of a rule that does what is considered in contexts of a kind; null where it has no chance.</summary>
    public RuleWay? Follow(in KindTest kind)
    {
        // Up to the first chance the way is the student's own, where no rule of the student's loses its say.
        for (var i = 0; i < showCount; i++)
            if (Fits(ref nodes[shows[i]], kind)) return Follow(new Rule { Kind = kind, Result = considered }, supplants ? root : shows[i]);
        return null;
    }

    public override int Decide(in TContext context, int taught, int made)
    {
        ref var position = ref TargetOf(lastTurn);
        if (position == Open) position = Add(ref nodes, ref nodeCount, new Node { Context = context, Taught = taught, Chosen = made, FirstTurn = -1 });
        var at = position;
        var choice = rule.Result is null ? made : Chosen(ref rule, ref nodes[at]);
        var turn = TurnOf(nodes[at], choice);
        if (turn < 0) turn = AddTurn(at, choice);
        lastTurn = turn;
        return choice;
    }

    private RuleWay Follow(Rule following, int from)
    {
        var position = from;
        while (position >= 0)
        {
            ref var node = ref nodes[position];
            var made = Chosen(ref following, ref node);
            var turn = TurnOf(node, made);
            if (turn < 0 && shortcut?.Invoke(node.Context, made) is { } known)
            {
                turn = AddTurn(position, made);
                turns[turn].Target = ~Add(ref ends, ref endCount, known);
            }

            position = turn < 0 ? Open : turns[turn].Target;
        }

        if (position != Open) return new RuleWay(ends[~position], following.Chances, following.Followed);
        rule = following;
        var end = work(this);
        EndAt(end);
        return new RuleWay(end, rule.Chances, rule.Followed);
    }

    private int Chosen(ref Rule by, ref Node node)
    {
        var instead = by.Result!(node.Context, node.Taught);
        if (instead == node.Taught || (instead < 0 && (instead != Nothing.Else || node.Chosen == node.Taught))) return node.Chosen;
        if (by.When is { } when ? !when(node.Context) : !Fits(ref node, by.Kind)) return node.Chosen;
        if (instead == Nothing.Else) return node.Taught;
        var index = by.Chances++;
        if (index < MethodRun.MaxChances && (by.Declined >> index & 1) == 1) return node.Chosen;
        by.Followed++;
        return instead;
    }

    // Of the named kinds only those are looked at that somebody asks for.
    private bool Fits(ref Node node, in KindTest kind)
    {
        var asked = kind.Holding | kind.Failing;
        if ((asked & ~node.Known) != 0)
        {
            node.Named |= kinds.NamedIn(node.Context, asked & ~node.Known);
            node.Known |= asked;
        }

        return kind.FitsNamed(node.Named) && (kind.Comparison < 0 || kinds.Compares(node.Context, kind.Comparison));
    }

    private int AddTurn(int node, int made)
    {
        var turn = Add(ref turns, ref turnCount, new Turn { Chosen = made, Target = Open, Next = nodes[node].FirstTurn });
        nodes[node].FirstTurn = turn;
        return turn;
    }

    private int TurnOf(in Node node, int made)
    {
        var turn = node.FirstTurn;
        while (turn >= 0 && turns[turn].Chosen != made) turn = turns[turn].Next;
        return turn;
    }

    private ref int TargetOf(int turn)
    {
        if (turn < 0) return ref root;
        return ref turns[turn].Target;
    }

    private static int Add<T>(ref T[] all, ref int count, in T one)
    {
        if (count == all.Length) Array.Resize(ref all, 2 * count);
        all[count] = one;
        return count++;
    }

    private struct Node
    {
        public TContext Context;
        public ulong Known;
        public ulong Named;
        public int Taught;
        public int Chosen;
        public int FirstTurn;
    }

    private struct Turn
    {
        public int Chosen;
        public int Target;
        public int Next;
    }

    private record struct Rule
    {
        public KindTest Kind;
        public Func<TContext, bool>? When;
        public ChoiceResult<TContext>? Result;
        public ulong Declined;
        public int Chances;
        public int Followed;
    }
}

/// <summary>The decision trees of a student on the stretches of a sheet, one for each decision point that comes up.</summary>
internal sealed class StudentTrees
{
    private readonly IReadOnlyList<ItemEvidence> items;
    private readonly DeviationSet student;
    private readonly MethodRun run;
    private readonly IDecisionTree?[]?[] trees;

    /// <summary>How many steps the ways took that were run.</summary>
    public long Steps { get; private set; }

    public StudentTrees(IReadOnlyList<ItemEvidence> items, DeviationSet student, MethodRun run)
    {
        this.items = items;
        this.student = student;
        this.run = run;
        trees = new IDecisionTree?[]?[items.Count];
    }

    /// <summary>The tree of a point on a stretch; null where the point does not come up.</summary>
    public DecisionTree<TContext>? Of<TContext>(Decision<TContext> point, ItemEvidence item)
        where TContext : struct, IDecisionContext => (DecisionTree<TContext>?)Of((Decision)point, item);

    /// <summary>The tree of a point on a stretch; null where the point does not come up.</summary>
    public IDecisionTree? Of(Decision point, ItemEvidence item) =>
        (trees[item.Index] ??= Look(item)) is var all && point.Ordinal < all.Length ? all[point.Ordinal] : null;

    /// <summary>The way of one more rule on a stretch; null where its point does not come up.</summary>
    public RuleWay? Follow(UnlistedDeviation rule, ItemEvidence item, ulong declined = 0) =>
        Of(rule.Deviation.Decision!, item)?.Follow(rule.Deviation, declined);

    private IDecisionTree?[] Look(ItemEvidence item)
    {
        var own = default(PathEnd);
        var looking = new Looking(
            decider => Work(item, decider),
            (context, way) => item.IsLast && !item.HasMarks ? own with { IsMet = item.IsWritten(context.Worked.Written((AnswerWritten)way)) } : null);
        foreach (var point in TaughtFamily.Of(item.Task.Family).Decisions) point.Accept(looking);
        looking.End(own = Work(item, looking));
        return looking.ThatComeUp;
    }

    // Marks are only worth a second run where the answer is met.
    private PathEnd Work(ItemEvidence item, Decider decider)
    {
        item.MakeReady(run);
        Method.Run(item.Task, run, student, decider);
        Steps += run.StepCount;
        var isMet = item.Matches(run);
        return new PathEnd(isMet, run.Chances, run.Followed, isMet && item.HasMarks && !item.IsBrokenOff ? MarksOf(item, decider) : null);
    }

    private MarkEvidence? MarksOf(ItemEvidence item, Decider decider)
    {
        item.MakeReady(run, withMarks: true);
        Method.Run(item.Task, run, student, decider);
        item.MakeReady(run);
        return item.MarksOf(run);
    }

    /// <summary>Has the trees of all points look on at the student's own way.</summary>
    private sealed class Looking(Func<Decider, PathEnd> work, Func<AnswerContext, int, PathEnd?> finish) : Decider, IDecisionVisitor
    {
        private readonly Decider?[] deciders = new Decider?[Decision.Created];
        private readonly List<Action<PathEnd>> end = [];

        public IDecisionTree?[] ThatComeUp { get; } = new IDecisionTree?[Decision.Created];

        public override Decider? At(int ordinal) => deciders[ordinal];

        public override void Begin()
        {
            foreach (var one in deciders) one?.Begin();
        }

        public void Visit<TContext>(Decision<TContext> point)
            where TContext : struct, IDecisionContext
        {
            var tree = new DecisionTree<TContext>(point, work, finish as Func<TContext, int, PathEnd?>);
            deciders[point.Ordinal] = tree;
            end.Add(reached =>
            {
                if (!tree.ComesUp) return;
                tree.EndAt(reached);
                ThatComeUp[point.Ordinal] = tree;
            });
        }

        public void End(PathEnd reached) => end.ForEach(one => one(reached));
    }
}
