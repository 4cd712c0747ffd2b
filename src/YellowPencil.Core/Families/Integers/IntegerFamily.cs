using System.Numerics;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Beside;
using YellowPencil.Core.Parts.Columns;
using YellowPencil.Core.Parts.Differences;
using YellowPencil.Core.Parts.Divisions;
using YellowPencil.Core.Parts.Products;
using YellowPencil.Core.Parts.SignRules;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Families.Integers;

/// <summary>
/// The four operations on whole numbers with signs. The numbers without their signs are dealt with as facts, or by the written methods where
/// they are large.
/// </summary>
internal sealed class IntegerFamily() : TaughtFamily("integers", "numbers with signs")
{
    public static readonly IntegerFamily Instance = new();

    public override IReadOnlyList<Bug> Bugs => IntegerBugs.All;

    internal override TaskGrammar Grammar { get; } = new IntegerGrammar();

    internal override FamilyLayout Layout { get; } = new IntegerLayout();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) =>
        task is SignedPair pair ? NumberLine.Of(pair.First, pair.Operation, pair.Second, BigInteger.Parse(pair.RightAnswer), answer) : null;

    public override string Check => "Show it on the number line: the way must end at the answer.";

    public override IReadOnlyList<Part> Parts { get; } =
    [
        new("addition", "in the numbers without their signs"),
        new("subtraction", "in the numbers without their signs"),
        new("multiplication", "in the numbers without their signs"),
        new("division", "in the numbers without their signs"),
    ];

    protected override IReadOnlyList<Decision> OwnDecisions { get; } =
        [
            .. IntegerDecisions.All,
            .. AdditionDecisions.InColumns.Concat(SubtractionDecisions.InColumns)
                .Concat(MultiplicationDecisions.InRows).Concat(DivisionDecisions.InCycles).Distinct(),
        ];

    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Lines, WorkFields.Sign];

    public override Func<ItemTask> Items(int seed) => new IntegerItems(seed).Next;

    public override ItemTask? Resume(ItemTask task, ItemTask from, string line) =>
        SignedPair.TryRead(line) is { } pair && !pair.IsAsideOf((SignedPair)task) ? pair : null;

    public override bool IsSameLine(string one, string other) =>
        SignedPair.TryRead(one) is { } first && SignedPair.TryRead(other) is { } second && first.SaysTheSameAs(second);

    public override void Walk(ItemTask task, MethodRun run)
    {
        var pair = (SignedPair)task;
        var context = SignedSum.ContextOf(pair.First, pair.Operation, pair.Second);
        var way = run.Ask(IntegerDecisions.Procedure, context);
        if (pair.Operation is PairOperation.Plus or PairOperation.Minus && way is SignedChoice.AsSet)
        {
            Sum(run, pair, context);
            return;
        }

        switch (way)
        {
            case SignedChoice.Add:
                Sum(run, pair, context with { Operation = PairOperation.Plus });
                return;
            case SignedChoice.ZeroChangesNothing when pair.Operation == PairOperation.Times:
                run.Page.Append((pair.First + pair.Second).ToString());
                return;
            case SignedChoice.Subtract:
                Sum(run, pair, context with { Operation = PairOperation.Minus });
                return;
            default:
                break;
        }

        if (run.Page.KeepsMarks) run.Page.Pass(pair.Text, isWritten: false);
        var divides = pair.Operation == PairOperation.DividedBy && way != SignedChoice.Multiply;
        var signs = new SignsContext(context.FirstIsNegative, context.SecondIsNegative, context.FirstIsLarger, divides);
        var signFirst = SignDecisions.ComesFirst(run);
        var isNegative = signFirst && SignDecisions.IsNegative(run, signs);
        var (first, second) = (BigInteger.Abs(pair.First), BigInteger.Abs(pair.Second));
        var digits = way switch
        {
            SignedChoice.SizesAdded => WholeNumbers.Plus(run, first, second, SignedSum.LargestInHead),
            SignedChoice.SizesApart => WholeNumbers.Minus(run, BigInteger.Max(first, second), BigInteger.Min(first, second), SignedSum.LargestInHead),
            _ => divides ? WholeNumbers.Quotient(run, first, second) : WholeNumbers.Times(run, first, second),
        };
        if (!signFirst) isNegative = SignDecisions.IsNegative(run, signs);
        run.Page.AppendDecimal(digits, 0, isNegative);
    }

    private static void Sum(MethodRun run, SignedPair pair, SignedContext context) =>
        run.Page.AppendDecimal(SignedSum.Of(run, pair.First, pair.Second, context, out var isNegative), 0, isNegative);
}
