using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Families.Factoring;

/// <summary>
/// Factoring quadratics, over the integers: what all terms have first, then two numbers by sum and product, then the first number divided out. Where that needs
/// roots: half of the middle, and the gap on both sides of it.
/// </summary>
internal sealed class FactoringFamily() : TaughtFamily("factoring", "factoring")
{
    public static readonly FactoringFamily Instance = new();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer)
    {
        var set = (FactoringTask)task;
        if (set.C == 0 || set.NeedsRoots) return null;
        var written = answer is null ? null : BracketText.TryRead(Signs.Plain(answer));
        return AreaBox.OfFactors(
            [new PolyTerm(set.A, 2), new PolyTerm(set.B, 1), new PolyTerm(set.C, 0)], set.Letter, written?.Before ?? new PolyTerm(1, 0),
            written is { Brackets: [var side, var top] } ? (side, top) : null);
    }

    public override ItemModel? ModelFor(MissingIdea idea, ItemTask task) =>
        idea == Ideas.HalfWayBetween && task is FactoringTask { A: not 0 } set ? HalfLine.Of(new Rational(set.B, set.A), new Rational(set.C, set.A)) : null;

    public override string LineSigns => "+-*/^()=√";

    public override string Check => "Multiply the brackets out: the first line must stand there again, with its middle and its signs.";

    public override IReadOnlyList<Bug> Bugs => FactoringBugs.All;

    internal override TaskGrammar Grammar { get; } = new FactoringGrammar();

    protected override IReadOnlyList<Decision> OwnDecisions => FactoringDecisions.All;

    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Lines, WorkFields.Cross, WorkFields.Box, WorkFields.Tried, WorkFields.Gap];

    public override IReadOnlyList<SchoolQuestion> SchoolQuestions { get; } = [School.Factoring];

    public override Func<ItemTask> Items(int seed) => new FactoringItems(seed).Next;

    public override IEnumerable<string> StatementsOf(string line) => [line];

    public override ItemTask? Resume(ItemTask task, ItemTask from, string line) => ((FactoringTask)from).Behind(line);

    public override bool IsSameLine(string one, string other) =>
        FactoringLine.TryRead(one) is { } line ? line.Equals(FactoringLine.TryRead(other)) : Plain(one) == Plain(other);

    public override IEnumerable<(SchoolQuestion Question, int Answer)> SchoolsShown(WorkedItem item)
    {
        var work = item.Work;
        if (work.Has(WorkFields.Cross) || work.Has(WorkFields.Box)) return [(School.Factoring, (int)FactoringSchool.CrossAndBox)];
        if (work.Has(WorkFields.Tried)) return [(School.Factoring, (int)FactoringSchool.TrialPairs)];
        var lines = work.Get(WorkFields.Lines) ?? [];
        var letter = ((FactoringTask)item.Task).Letter;
        return work.Has(WorkFields.Gap)
            || lines.Any(l => FactoringLine.TryRead(l, letter) is FactoringLine.Middle or FactoringLine.Squared or FactoringLine.Gap)
            ? [(School.Factoring, (int)FactoringSchool.MiddleAndGap)]
            : lines.Any(l => FactoringLine.TryRead(l, letter) is FactoringLine.Split or FactoringLine.Numbers)
            ? [(School.Factoring, (int)FactoringSchool.CrossAndBox)]
            : [];
    }

    public override void Walk(ItemTask task, MethodRun run)
    {
        var quadratic = (FactoringTask)task;
        run.Page.Append(
            quadratic.Canonical(
                quadratic.NeedsRoots && quadratic.Stage?.Finished is null ? new GapWork(run, quadratic).Factor() : new FactoringWork(run, quadratic).Factor()));
    }

    private static string Plain(string line) => string.Concat(Signs.Plain(line).Where(c => !char.IsWhiteSpace(c)));
}
