using YellowPencil.Core.Models;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Beside;
using YellowPencil.Core.Parts.Fractions;

namespace YellowPencil.Core.Families.MixedNumbers;

/// <summary>
/// Sums and differences with mixed numbers: as improper fractions, or wholes and fractions in columns with a whole renamed where it is needed.
/// </summary>
internal sealed class MixedNumberFamily() : TaughtFamily("mixed-numbers", "mixed numbers")
{
    public static readonly MixedNumberFamily Instance = new();

    public override ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) =>
        task is FractionTask { Second: { } second } set ? FractionBars.Of(set.First, second, set.IsDifference, marks.Count > 0, answer) : null;

    public override string LineSigns => "+-*/=";

    public override string Check => "Round both to wholes: is the answer near that? Then add back what was taken away: the first number must come out.";

    public override IReadOnlyList<Bug> Bugs => MixedNumberBugs.All;

    internal override TaskGrammar Grammar => grammar ??= new FractionGrammar(this, hasWholes: true);

    private FractionGrammar? grammar;

    public override IReadOnlyList<Part> Parts { get; } = [new("fractions", "in the fractions of mixed numbers")];

    protected override IReadOnlyList<Decision> OwnDecisions { get; } = [.. MixedDecisions.All, .. FractionDecisions.All];

    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Lines];

    public override IReadOnlyList<SchoolQuestion> SchoolQuestions { get; } = [School.MixedNumbers];

    public override IReadOnlyList<string> WorkedBeside => WholeNumbers.WorkedBeside;

    public override Func<ItemTask> Items(int seed) => new MixedItems(seed).Next;

    public override ItemTask? Resume(ItemTask task, ItemTask from, string line) =>
        FractionTask.TryRead(this, line) is { } read && !read.IsAsideOf((FractionTask)task) ? read.GoneOnFrom((FractionTask)task) : null;

    public override bool IsSameLine(string one, string other) => TwoFractions.SaysTheSame(this, one, other);

    public override void Walk(ItemTask task, MethodRun run)
    {
        var mixed = (FractionTask)task;
        var work = new FractionWork(run);
        if (mixed.Second is not { } second)
        {
            WalkOne(work, run, mixed.First, new FractionOrigin(mixed.IsOfDifference, HasWholes: true, mixed.WereChanged));
            return;
        }

        // More taken away than there is: the other way round, with a minus sign.
        var (one, other) = mixed.IsNegative ? (second, mixed.First) : (mixed.First, second);
        var context = new MixedContext((int)one.Whole, (int)other.Whole, mixed.IsDifference, one.HasFraction, other.HasFraction);
        if (run.Ask(MixedDecisions.Procedure, context) == MixedChoice.Improper || !(one.HasWhole || other.HasWhole))
            WalkImproper(work, run, one, other, mixed.IsDifference, mixed.IsNegative, mixed.WereChanged);
        else new MixedColumns(run, work, context, mixed.IsNegative).Walk(one, other, mixed.WereChanged);
    }

    // A line with one number on it is only to be finished: an improper fraction, or wholes with a fraction beside them.
    private static void WalkOne(FractionWork work, MethodRun run, MixedNumber number, FractionOrigin from)
    {
        if (number.Whole == 0 && number.HasFraction)
            work.Finish(new Fraction(number.Numerator, number.Denominator), from, isNegative: false);
        else if (!number.HasFraction) work.Append(number.Whole, new Fraction(0, 1), isNegative: false);
        else MixedColumns.Finish(run, work, number.Whole, new Fraction(number.Numerator, number.Denominator), from, isNegative: false);
    }

    private static void WalkImproper(FractionWork work, MethodRun run, MixedNumber one, MixedNumber other, bool isDifference, bool isNegative, bool wereChanged)
    {
        var first = Improper(run, one, other, isFirst: true, isDifference);
        var second = Improper(run, other, one, isFirst: false, isDifference);
        if (run.Page.KeepsMarks) run.Page.Pass($"{first.Text} {(isDifference ? "-" : "+")} {second.Text}", isWritten: true);
        var from = new FractionOrigin(isDifference, HasWholes: true, wereChanged || first.Denominator != second.Denominator);
        work.Finish(TwoFractions.Result(work, run, first, second, isDifference, hasWholes: true, wereChanged), from, isNegative);
    }

    private static Fraction Improper(MethodRun run, MixedNumber number, MixedNumber other, bool isFirst, bool isDifference)
    {
        var denominator = number.HasFraction ? number.Denominator : Math.Max(1, other.Denominator);
        var context = new OneMixed((int)number.Whole, (int)number.Numerator, (int)denominator, isFirst, isDifference);
        if (!number.HasFraction)
            return new Fraction(run.Do(MixedDecisions.Lone, context), denominator);
        if (number.Whole == 0) return new Fraction(number.Numerator, number.Denominator);
        var way = run.Ask(MixedDecisions.Improper, context);
        var made = way == MadeImproper.WholeTimesDenominatorPlusNumerator
            ? (long)WholeNumbers.Sum(run, WholeNumbers.Product(run, number.Whole, denominator), number.Numerator)
            : MixedDecisions.Improper.Result(way, context, run.School);
        if (made < Fraction.Most) made = run.Value(MixedDecisions.ImproperNumerator, context, (int)made, Fraction.Most);
        if (denominator < Fraction.Most) denominator = Math.Max(1, run.Value(MixedDecisions.ImproperDenominator, context, (int)denominator, Fraction.Most));
        return new Fraction(made, denominator);
    }
}
