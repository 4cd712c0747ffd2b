using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Beside;
using YellowPencil.Core.Parts.Terms;

namespace YellowPencil.Core.Families.Polynomials;

/// <summary>Sums and differences of polynomials: brackets left off, like terms put together, the highest power first.</summary>
internal sealed class PolynomialFamily() : TaughtFamily("polynomials", "polynomials")
{
    public static readonly PolynomialFamily Instance = new();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) =>
        task is PolynomialTask { IsLine: false } set ? TermTiles.Of([.. set.Groups.Select(g => (g.IsTakenAway, g.Terms))], set.Letter, marks.Count > 0, answer) : null;

    public override string LineSigns => "+-*^()=";

    public override string Check => "Put 1 for the letter into the first line and into the answer, then 2: both must come to the same.";

    public override IReadOnlyList<Bug> Bugs => PolynomialBugs.All;

    internal override TaskGrammar Grammar { get; } = new PolynomialGrammar();

    protected override IReadOnlyList<Decision> OwnDecisions => PolynomialDecisions.All;

    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Lines];

    public override IReadOnlyList<string> WorkedBeside => WholeNumbers.WorkedBeside;

    public override Func<ItemTask> Items(int seed) => new PolynomialItems(seed).Next;

    public override ItemTask? Resume(ItemTask task, ItemTask from, string line) => PolynomialTask.TryReadLine(line, ((AlgebraTask)task).Letter);

    public override bool IsSameLine(string one, string other) => Collecting.SaysTheSame(one, other);

    public override void Walk(ItemTask task, MethodRun run)
    {
        var polynomials = (PolynomialTask)task;
        var terms = polynomials.IsLine ? [.. polynomials.Groups[0].Terms] : WithoutBrackets(polynomials, run);
        Collecting.Finish(run, terms, polynomials.Letter, polynomials.Groups.Any(g => g.IsTakenAway) ? TermsFrom.Difference : TermsFrom.Sum);
    }

    private static BracketTerm StartOf(TermGroup second) =>
        new(1, 0, second.IsTakenAway, second.Terms[0].Number.Sign < 0) { Power = second.Terms[0].Power, Terms = second.Terms.Count };

    private static List<PolyTerm> WithoutBrackets(PolynomialTask task, MethodRun run)
    {
        var groups = task.Groups;
        if (groups is [var one, { IsTakenAway: true } other] && run.Ask(PolynomialDecisions.Order, StartOf(other)) == BracketOrder.SecondFirst)
            groups = [other with { IsTakenAway = false }, one with { IsTakenAway = true }];
        var terms = new List<PolyTerm>();
        var powers = new HashSet<int>();
        for (var group = 0; group < groups.Count; group++)
        {
            var (isTakenAway, inside) = (groups[group].IsTakenAway, groups[group].Terms);
            for (var at = 0; at < inside.Count; at++)
            {
                var context = new BracketTerm(group, at, isTakenAway, inside[at].Number.Sign < 0)
                {
                    IsAfterMinus = groups.Take(group).Any(g => g.IsTakenAway),
                    IsBeforeMinus = groups.Skip(group + 1).Any(g => g.IsTakenAway),
                    HasLikeAbove = powers.Contains(inside[at].Power),
                    Power = inside[at].Power,
                    Terms = inside.Count,
                    IsLast = at == inside.Count - 1,
                    IsInLast = group == groups.Count - 1,
                };
                var sign = run.Ask(PolynomialDecisions.Sign, context);
                if (sign == BracketSign.LeftOut) continue;
                var isTurned = sign switch
                {
                    BracketSign.Kept => false,
                    BracketSign.Turned => true,
                    BracketSign.Plus => context.IsNegative,
                    BracketSign.Minus => !context.IsNegative,
                    _ => isTakenAway,
                };
                terms.Add(isTurned ? inside[at].Turned : inside[at]);
            }

            powers.UnionWith(inside.Select(t => t.Power));
        }

        if (run.Page.KeepsMarks) run.Page.Pass(PolynomialText.Write(terms, task.Letter), isWritten: true);
        return terms;
    }
}
