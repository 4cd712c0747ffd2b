using YellowPencil.Core.Engine;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Beside;
using YellowPencil.Core.Parts.Fractions;

namespace YellowPencil.Core.Families.Fractions;

/// <summary>Sums and differences of fractions: one denominator, the numerators put together, lowest terms, the wholes taken out.</summary>
public sealed class FractionFamily() : TaughtFamily("fractions", "fractions")
{
    /// <summary>The family.</summary>
    public static readonly FractionFamily Instance = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Bug> Bugs => FractionBugs.All;

    /// <inheritdoc/>
    internal override TaskGrammar Grammar => grammar ??= new FractionGrammar(this, hasWholes: false);

    private FractionGrammar? grammar;

    /// <inheritdoc/>
    protected override IReadOnlyList<Decision> OwnDecisions => FractionDecisions.All;

    /// <inheritdoc/>
    public override IReadOnlyList<WorkField> Fields { get; } = [WorkFields.Lines];

    /// <inheritdoc/>
    public override IReadOnlyList<SchoolQuestion> SchoolQuestions { get; } = [School.Fractions];

    /// <inheritdoc/>
    public override IReadOnlyList<string> Inside => WholeNumbers.Inside;

    /// <inheritdoc/>
    public override Func<ItemTask> Items(int seed) => new FractionItems(seed).Next;

    /// <inheritdoc/>
    public override ItemTask? Resume(ItemTask task, ItemTask from, string line) => FractionTask.TryRead(this, line) is { } read && !read.IsAsideOf((FractionTask)task) ? read.GoneOnFrom((FractionTask)task) : null;

    /// <inheritdoc/>
    public override bool IsSameLine(string one, string other) => TwoFractions.SaysTheSame(this, one, other);

    /// <inheritdoc/>
    public override void Walk(ItemTask task, MethodRun run)
    {
        var fractions = (FractionTask)task;
        var work = new FractionWork(run);
        var first = PartsOf(fractions.First);
        if (fractions.Second is not { } other)
        {
            work.Finish(first, isDifference: false, isNegative: false, hasWholes: false);
            return;
        }

        // More taken away than there is: the other way round, with a minus sign.
        var second = PartsOf(other);
        if (fractions.IsNegative) (first, second) = (second, first);
        work.Finish(TwoFractions.Result(work, run, first, second, fractions.IsDifference, hasWholes: false, fractions.WereChanged), fractions.IsDifference, fractions.IsNegative, hasWholes: false);
    }

    private static Fraction PartsOf(MixedNumber number) => number.HasFraction ? new Fraction(number.Whole * number.Bottom + number.Top, number.Bottom) : new Fraction(number.Whole, 1);
}
