using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Beside;
using YellowPencil.Core.Parts.Fractions;

namespace YellowPencil.Core.Families.Fractions;

/// <summary>Sums and differences of fractions: one denominator, the numerators put together, lowest terms, the wholes taken out.</summary>
internal sealed class FractionFamily() : TaughtFamily("fractions", "fractions")
{
    public static readonly FractionFamily Instance = new();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) =>
        task is FractionTask { Second: { } second } set ? FractionBars.Of(set.First, second, set.IsDifference, marks.Count > 0, answer) : null;

    public override string LineSigns => "+-*/=";

    public override string Check => "Before and after: is it more than each of the two, or less than the first? Is it nearer to 0, to a half or to 1? What was taken away, added back, gives the first number.";

    public override IReadOnlyList<Bug> Bugs => FractionBugs.All;

    internal override TaskGrammar Grammar => grammar ??= new FractionGrammar(this, hasWholes: false);

    private FractionGrammar? grammar;

    protected override IReadOnlyList<Decision> OwnDecisions => FractionDecisions.All;

    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Lines];

    public override IReadOnlyList<SchoolQuestion> SchoolQuestions { get; } = [School.Fractions];

    public override IReadOnlyList<string> WorkedBeside => WholeNumbers.WorkedBeside;

    public override Func<ItemTask> Items(int seed) => new FractionItems(seed).Next;

    public override ItemTask? Resume(ItemTask task, ItemTask from, string line) =>
        FractionTask.TryRead(this, line) is { } read && !read.IsAsideOf((FractionTask)task) ? read.GoneOnFrom((FractionTask)task) : null;

    public override bool IsSameLine(string one, string other) => TwoFractions.SaysTheSame(this, one, other);

    public override void Walk(ItemTask task, MethodRun run)
    {
        var fractions = (FractionTask)task;
        var work = new FractionWork(run);
        var first = PartsOf(fractions.First);
        if (fractions.Second is not { } other)
        {
            work.Finish(first, new FractionOrigin(fractions.IsOfDifference, HasWholes: false, fractions.WereChanged), isNegative: false);
            return;
        }

        // More taken away than there is: the other way round, with a minus sign.
        var second = PartsOf(other);
        if (fractions.IsNegative) (first, second) = (second, first);
        var from = new FractionOrigin(fractions.IsDifference, HasWholes: false, fractions.WereChanged || first.Denominator != second.Denominator);
        work.Finish(TwoFractions.Result(work, run, first, second, fractions.IsDifference, hasWholes: false, fractions.WereChanged), from, fractions.IsNegative);
    }

    private static Fraction PartsOf(MixedNumber number) =>
        number.HasFraction ? new Fraction(number.Whole * number.Denominator + number.Numerator, number.Denominator) : new Fraction(number.Whole, 1);
}
