using System.Numerics;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.DecimalColumns;

namespace YellowPencil.Core.Families.DecimalSums;

/// <summary>Sums and differences of decimals in columns, the point coming straight down.</summary>
internal sealed class DecimalSumFamily() : TaughtFamily("decimal-sums", "sums and differences of decimals")
{
    public static readonly DecimalSumFamily Instance = new();

    public override IReadOnlyList<Bug> Bugs => DecimalSumBugs.All;

    internal override TaskGrammar Grammar { get; } = new DecimalSumGrammar();

    internal override FamilyLayout Layout { get; } = new DecimalSumLayout();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) => task is DecimalSum { IsDifference: true } difference
        ? difference.IsNegative ? null : PlaceValueMat.OfDifference(task.Numbers[0], task.Numbers[1], marks)
        : PlaceValueMat.OfSum(task.Numbers, marks);

    public override string Check => "Round to whole numbers first: the answer must be near that. Then work it back.";

    /// <summary>The gaps at the ends are filled with zeros, so that every number has the same places.</summary>
    public override IReadOnlyList<Mark> ShownIn(ItemTask task)
    {
        var places = task.Numbers.Max(n => n.Places);
        if (task.Numbers.All(n => n.Places == places)) return [];
        return [.. task.Numbers.Select((n, line) => new Mark(WorkFields.Operands, new Spot(line, -places), DecimalNumber.Written(n.Unscaled * BigInteger.Pow(10, places - n.Places), places)))];
    }

    public override DigitOrder DigitsCome => DigitOrder.SmallestFirst;

    /// <summary>The point of the answer, where the classroom writes it first.</summary>
    public override (Decision Decision, SchoolQuestion Question, int Answer, IReadOnlyList<Decision> Behind)? ComesFirst =>
        (DecimalSumDecisions.Point, School.DecimalPoint, (int)DecimalPointSchool.PointFirst, [DecimalSumDecisions.Alignment, DecimalSumDecisions.Whole]);

    public override IReadOnlyList<Part> Parts { get; } = [new("addition", "in the columns of decimals", IsAll: true), new("subtraction", "in the columns of decimals", IsAll: true)];

    protected override IReadOnlyList<Decision> OwnDecisions => DecimalSumDecisions.All;

    public override IReadOnlyList<WorkField> Fields { get; } = [
        WorkFields.Cells, WorkFields.Carries, WorkFields.Rewritten, WorkFields.RewrittenBelow, WorkFields.Operands, WorkFields.Order,
    ];

    public override Func<ItemTask> Items(int seed) => new DecimalSumItems(seed).Next;

    public override void Walk(ItemTask task, MethodRun run)
    {
        var sum = (DecimalSum)task;
        DecimalColumns.Walk(run, new DecimalsSet(sum.Numbers, sum.IsDifference));
    }
}
