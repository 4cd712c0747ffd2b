using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Beside;

namespace YellowPencil.Core.Families.Equations;

/// <summary>Linear equations: brackets multiplied out, sides collected, letters to the left, numbers to the right, divided.</summary>
internal sealed class EquationFamily() : TaughtFamily("equations", "equations")
{
    public static readonly EquationFamily Instance = new();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer)
    {
        var set = (EquationTask)task;
        return TwoSides.Of(
            (Signs.Printed(EquationTask.Write(set.Left, set.Letter)), Signs.Printed(EquationTask.Write(set.Right, set.Letter))), set.HasBrackets ? null : (Pieces(set.Left), Pieces(set.Right)),
            set.Letter, EquationTask.NumberOf(set.RightAnswer), answer is null ? null : EquationTask.NumberOf(set.Canonical(answer)),
            number => (EquationTask.ValueOf(set.Left, number), EquationTask.ValueOf(set.Right, number)));

        static List<(Rational Number, bool HasLetter)> Pieces(IEnumerable<SideTerm> side) => [.. side.Select(t => (t.Number, t.HasLetter))];
    }

    public override string LineSigns => "+-*/.()=";

    public override string Check => "Put the answer in for the letter on both sides of the first line: both must come to the same number.";

    public override IReadOnlyList<Bug> Bugs => EquationBugs.All;

    internal override TaskGrammar Grammar { get; } = new EquationGrammar();

    public override IReadOnlyList<Part> Parts { get; } = [new("integers", "in the signs of products and quotients")];

    protected override IReadOnlyList<Decision> OwnDecisions => EquationDecisions.All;

    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Lines];

    public override IEnumerable<(SchoolQuestion Question, int Answer)> SchoolsShown(WorkedItem item) =>
        (item.Work.Get(WorkFields.Lines) ?? []).Select(line => EquationTask.TryReadLine(line, ((EquationTask)item.Task).Letter)).OfType<EquationTask>()
            .Select(line => line.MoveShown()).OfType<EquationMoveSchool>().Take(1).Select(shown => ((SchoolQuestion)School.EquationMoves, (int)shown));

    public override IReadOnlyList<string> WorkedBeside => WholeNumbers.WorkedBeside;

    public override Func<ItemTask> Items(int seed) => new EquationItems(seed).Next;

    public override IEnumerable<string> StatementsOf(string line) => [line];

    public override ItemTask? Resume(ItemTask task, ItemTask from, string line) => EquationTask.TryReadLine(line, ((EquationTask)task).Letter);

    public override bool IsSameLine(string one, string other)
    {
        if (one.Trim() == other.Trim()) return true;
        char? letter = null;
        var first = EquationGrammar.TryRead(Signs.Plain(one), 0, ref letter, out _);
        var second = EquationGrammar.TryRead(Signs.Plain(other), 0, ref letter, out _);
        return first is not null && second is not null && IsSame(first.Left, second.Left) && IsSame(first.Right, second.Right);

        static bool IsSame(IReadOnlyList<SideTerm> one, IReadOnlyList<SideTerm> other) => Terms(one).SequenceEqual(Terms(other));

        // A 0 beside other terms says nothing, and nothing stands for 0.
        static IEnumerable<string> Terms(IReadOnlyList<SideTerm> side) =>
            side.Where(t => !t.Number.IsZero).Select(t => EquationTask.Write([t], 'x')).Order(StringComparer.Ordinal);
    }

    public override void Walk(ItemTask task, MethodRun run) => new EquationWork(run, (EquationTask)task).Walk();
}
