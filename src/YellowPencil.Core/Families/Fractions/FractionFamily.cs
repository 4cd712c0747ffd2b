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
    public override bool IsSameLine(string one, string other) => SaysTheSame(this, one, other);

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
        work.Finish(Result(work, run, first, second, fractions.IsDifference, hasWholes: false, fractions.WereChanged), fractions.IsDifference, fractions.IsNegative, hasWholes: false);
    }

    /// <summary>What two fractions come to, before it is finished.</summary>
    /// <param name="work">The work.</param>
    /// <param name="run">The run.</param>
    /// <param name="first">The first.</param>
    /// <param name="second">The second.</param>
    /// <param name="isDifference">Whether the second is taken away.</param>
    /// <param name="hasWholes">Whether there were whole parts.</param>
    /// <param name="wereChanged">Whether the denominators were different before and have been made the same.</param>
    internal static Fraction Result(FractionWork work, MethodRun run, Fraction first, Fraction second, bool isDifference, bool hasWholes, bool wereChanged)
    {
        var pair = FractionWork.PairOf(first, second, isDifference, hasWholes);
        var way = run.Ask(FractionDecisions.Way, pair);
        if (FractionWork.Otherwise(way, first, second) is { } result) return result;
        if (way is FractionWay.Add or FractionWay.Subtract) isDifference = way == FractionWay.Subtract;
        if (!pair.IsLike)
        {
            var recipe = run.Ask(FractionDecisions.Recipe, pair);
            if (FractionWork.IsAcross(recipe)) return work.Across(first, second, isDifference, recipe);
            if (recipe == FractionRecipe.ReducedAcrossFirst)
            {
                (first, second) = FractionWork.Cancelled(first, second);
                if (run.Page.KeepsMarks) run.Page.Pass($"{first.Text} {(isDifference ? "-" : "+")} {second.Text}", isWritten: true);
                pair = FractionWork.PairOf(first, second, isDifference, hasWholes);
            }

            if (!pair.IsLike)
            {
                (first, second) = work.Alike(pair with { IsDifference = isDifference }, recipe);
                wereChanged = true;
                if (run.Page.KeepsMarks) run.Page.Pass($"{first.Text} {(isDifference ? "-" : "+")} {second.Text}", isWritten: true);
            }
        }

        return work.Together(first, second, isDifference, hasWholes, wereChanged);
    }

    /// <summary>Whether two lines put the same numbers together; what is added may change places.</summary>
    internal static bool SaysTheSame(Family family, string one, string other) =>
        FractionTask.TryRead(family, one) is { } first && FractionTask.TryRead(family, other) is { } second
        && (first.Text == second.Text || (!first.IsDifference && !second.IsDifference && first.First == second.Second && first.Second == second.First));

    private static Fraction PartsOf(MixedNumber number) => number.HasFraction ? new Fraction(number.Whole * number.Bottom + number.Top, number.Bottom) : new Fraction(number.Whole, 1);
}
