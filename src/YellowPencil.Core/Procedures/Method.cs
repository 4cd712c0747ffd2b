using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures.Addition;
using YellowPencil.Core.Procedures.Subtraction;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Procedures;

/// <summary>A family of taught methods, as a run over decision points.</summary>
public abstract class Method
{
    private static readonly IReadOnlyList<Method> All = [new AdditionMethod(), new SubtractionMethod()];

    private static readonly Method?[] ByFamily = [.. Enum.GetValues<Family>().Select(f => All.FirstOrDefault(m => m.Family == f))];

    /// <summary>The families whose methods are in the product.</summary>
    public static IReadOnlyList<Family> Families { get; } = [.. All.Select(m => m.Family)];

    /// <summary>The family.</summary>
    public abstract Family Family { get; }

    /// <summary>Every decision point of the method.</summary>
    public abstract IReadOnlyList<DecisionPoint> Points { get; }

    /// <summary>The fields of a page that this method can fill, beside the answer.</summary>
    public abstract IReadOnlyList<MarkField> Fields { get; }

    /// <summary>A source of items as a teacher would set them; the same seed gives the same items.</summary>
    public abstract Func<ItemTask> Items(int seed);

    /// <summary>Walks through an item. The answer is left in the run.</summary>
    /// <param name="task">A task of this family.</param>
    /// <param name="run">A run that was made ready with <see cref="MethodRun.Begin"/>.</param>
    public abstract void Walk(ItemTask task, MethodRun run);

    /// <summary>The method of a family.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The family is not in the product yet; see <see cref="Families"/>.</exception>
    public static Method Of(Family family) =>
        ByFamily[(int)family] ?? throw new ArgumentOutOfRangeException(nameof(family), $"no method for {family.Name()} yet");

    /// <summary>Runs an item from the beginning.</summary>
    public static void Run(ItemTask task, MethodRun run, DeviationSet set, ulong declined = 0, Slip? slip = null)
    {
        run.Begin(set, declined, slip);
        Of(task.Family).Walk(task, run);
    }
}
