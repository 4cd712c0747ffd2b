using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures.Addition;
using YellowPencil.Core.Procedures.DecimalDivision;
using YellowPencil.Core.Procedures.DecimalProducts;
using YellowPencil.Core.Procedures.DecimalSums;
using YellowPencil.Core.Procedures.Division;
using YellowPencil.Core.Procedures.Equations;
using YellowPencil.Core.Procedures.Expanding;
using YellowPencil.Core.Procedures.Factoring;
using YellowPencil.Core.Procedures.Fractions;
using YellowPencil.Core.Procedures.Integers;
using YellowPencil.Core.Procedures.MixedNumbers;
using YellowPencil.Core.Procedures.Multiplication;
using YellowPencil.Core.Procedures.Outer;
using YellowPencil.Core.Procedures.Polynomials;
using YellowPencil.Core.Procedures.Roots;
using YellowPencil.Core.Procedures.Subtraction;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

namespace YellowPencil.Core.Procedures;

/// <summary>A method of another family that a method uses.</summary>
/// <param name="Family">The family.</param>
/// <param name="Where">Where in the whole it comes up, after "shows here".</param>
public sealed record Part(Family Family, string Where);

/// <summary>A family of taught methods, as a run over decision points.</summary>
public abstract class Method
{
    private static readonly IReadOnlyList<Method> All =
    [
        new AdditionMethod(), new SubtractionMethod(), new MultiplicationMethod(), new DivisionMethod(),
        new DecimalSumMethod(), new DecimalProductMethod(), new DecimalDivisionMethod(), new IntegerMethod(),
        new FractionMethod(), new MixedMethod(), new PolynomialMethod(), new ExpandingMethod(), new EquationMethod(), new RootMethod(), new FactoringMethod(),
    ];

    private static readonly Method?[] ByFamily = [.. Enum.GetValues<Family>().Select(f => All.FirstOrDefault(m => m.Family == f))];

    /// <summary>The families whose methods are in the product.</summary>
    public static IReadOnlyList<Family> Families { get; } = [.. All.Select(m => m.Family)];

    /// <summary>The family.</summary>
    public abstract Family Family { get; }

    /// <summary>The methods of other families that this one uses as parts.</summary>
    public virtual IReadOnlyList<Part> Parts => [];

    /// <summary>Every decision point of the method, those of its parts included: how the task is read, what is done, and how the answer is written.</summary>
    public IReadOnlyList<Decision> Decisions => decisions ??= [OuterDecisions.Reading, .. OwnDecisions, OuterDecisions.Writing];

    private IReadOnlyList<Decision>? decisions;

    /// <summary>The decision points between the reading of the task and the writing of the answer.</summary>
    protected abstract IReadOnlyList<Decision> OwnDecisions { get; }

    /// <summary>The fields of a page that this method can fill, beside the answer.</summary>
    public abstract IReadOnlyList<WorkField> Fields { get; }

    /// <summary>The families whose methods come up where a student does another operation than the one that is set.</summary>
    public virtual IReadOnlyList<Family> Instead => [];

    /// <summary>The families by whose methods numbers inside a working are dealt with beside it: their bugs show there, and nobody looks for new rules.</summary>
    public virtual IReadOnlyList<Family> Inside => [];

    /// <summary>The fields of a page that this method, or another operation in its place, can fill.</summary>
    public IReadOnlyList<WorkField> AllFields => allFields ??= [.. Fields.Concat(Instead.SelectMany(f => Of(f).Fields)).Distinct()];

    private IReadOnlyList<WorkField>? allFields;

    /// <summary>The questions on which schools differ and on which what this method writes depends.</summary>
    public virtual IReadOnlyList<SchoolQuestion> SchoolQuestions => [];

    /// <summary>A source of items as a teacher would set them; the same seed gives the same items.</summary>
    public abstract Func<ItemTask> Items(int seed);

    /// <summary>Walks through an item. The answer is left in the run.</summary>
    /// <param name="task">A task of this family.</param>
    /// <param name="run">A run that was made ready with <see cref="MethodRun.Begin"/>.</param>
    public abstract void Walk(ItemTask task, MethodRun run);

    /// <summary>What a line of a working says one by one: of sums and products what stands on each side of an equals sign, of equations the whole line.</summary>
    public virtual IEnumerable<string> StatementsOf(string line) => line.Split('=', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);

    /// <summary>What is to be done from a line that a student wrote; null for a line that the method cannot begin from.</summary>
    /// <param name="task">The task of the item.</param>
    /// <param name="from">What was to be done before the line: the task, or from the line before.</param>
    /// <param name="line">The line, without what stands before an equals sign.</param>
    public virtual ItemTask? Resume(ItemTask task, ItemTask from, string line) => null;

    /// <summary>Which answer to a question on schools the working of an item shows; null where it shows none.</summary>
    public virtual (SchoolQuestion Question, int Answer)? SchoolShown(WorkedItem item) => null;

    /// <summary>Whether two lines of a working say the same, in whatever order and spelling.</summary>
    public virtual bool IsSameLine(string one, string other) => one == other;

    /// <summary>The method of a family.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The family is not in the product yet; see <see cref="Families"/>.</exception>
    public static Method Of(Family family) =>
        ByFamily[(int)family] ?? throw new ArgumentOutOfRangeException(nameof(family), $"no method for {family.Name()} yet");

    /// <summary>Runs an item from the beginning.</summary>
    public static void Run(ItemTask task, MethodRun run, DeviationSet set, ulong declined = 0, Slip? slip = null, ChanceWatch? watching = null)
    {
        run.Begin(set, declined, slip, watching);
        WalkThrough(task, run);
    }

    /// <summary>Runs an item at which somebody decides in the student's place.</summary>
    internal static void Run(ItemTask task, MethodRun run, DeviationSet set, Decider deciding)
    {
        run.Begin(set, 0, null, null, deciding);
        WalkThrough(task, run);
    }

    private static void WalkThrough(ItemTask task, MethodRun run)
    {
        Of(task.Family).Walk(OuterDecisions.Read(task, run), run);
        OuterDecisions.Write(task, run);
    }
}
