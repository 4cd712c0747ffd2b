using YellowPencil.Core.Layouts;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Models;
using YellowPencil.Core.Parts.Copying;

namespace YellowPencil.Core.Parts;

/// <summary>A method of another family that a method uses.</summary>
/// <param name="Family">The name of the family.</param>
/// <param name="Where">Where in the whole it comes up, after "shows here".</param>
/// <param name="IsAll">Whether all of the work is that method's, so that its rules are practised here.</param>
public sealed record Part(string Family, string Where, bool IsAll = false);

/// <summary>In which order the digits of an answer come about.</summary>
public enum DigitOrder
{
    /// <summary>Not digit by digit, or not always the same way.</summary>
    None,

    /// <summary>From the smallest place on.</summary>
    SmallestFirst,

    /// <summary>From the largest place on.</summary>
    LargestFirst,
}

/// <summary>A family of taught methods: everything that is known about it, and its method as a run over decisions.</summary>
/// <param name="name">The name in the format.</param>
/// <param name="title">The name in a sentence.</param>
public abstract class TaughtFamily(string name, string title) : Family(name, title)
{
    /// <summary>The methods of other families that this one uses as parts.</summary>
    public virtual IReadOnlyList<Part> Parts => [];

    /// <summary>Every decision point of the method, those of its parts included: how the task is read, what is done, and how the answer is written.</summary>
    public IReadOnlyList<Decision> Decisions => decisions ??= [CopyingDecisions.Reading, .. OwnDecisions, CopyingDecisions.Writing];

    private IReadOnlyList<Decision>? decisions;

    /// <summary>The decision points between the reading of the task and the writing of the answer.</summary>
    protected abstract IReadOnlyList<Decision> OwnDecisions { get; }

    /// <summary>The fields of a page that this method can fill, beside the answer.</summary>
    public abstract IReadOnlyList<WorkField> Fields { get; }

    /// <summary>The families whose methods come up where a student does another operation than the one that is set.</summary>
    public virtual IReadOnlyList<string> ConfusedWith => [];

    /// <summary>
    /// The families by whose methods numbers inside a working are dealt with beside it: their bugs show there, and nobody looks for new rules.
    /// </summary>
    public virtual IReadOnlyList<string> WorkedBeside => [];

    /// <summary>The questions on which schools differ and on which what this method writes depends.</summary>
    public virtual IReadOnlyList<SchoolQuestion> SchoolQuestions => [];

    /// <summary>The bugs that are declared for it.</summary>
    public abstract IReadOnlyList<Bug> Bugs { get; }

    /// <summary>How its tasks are written.</summary>
    internal abstract TaskGrammar Grammar { get; }

    /// <summary>In which order the digits of an answer come about, where that is the same for all.</summary>
    public virtual DigitOrder DigitsCome => DigitOrder.None;

    /// <summary>Decisions of parts that are only told where they go another way.</summary>
    public virtual IReadOnlyCollection<Decision> PassedOver => [];

    /// <summary>The decision that comes first where the classroom does first what others do last; null in most families.</summary>
    public virtual (Decision Decision, SchoolQuestion Question, int Answer, IReadOnlyList<Decision> Behind)? ComesFirst => null;

    /// <summary>How its items stand on squared paper; null where they are not laid out yet.</summary>
    internal virtual FamilyLayout? Layout => null;

    /// <summary>The model of an item after so much was written; null where the family has none, or the numbers are too long for one.</summary>
    /// <param name="task">A task of this family.</param>
    /// <param name="marks">The marks on the page so far.</param>
    /// <param name="answer">The answer, once it stands as a whole; null before.</param>
    public virtual ItemModel? ModelAt(ItemTask task, IReadOnlyList<Mark> marks, string? answer) => null;

    /// <summary>What is drawn beside an item when an idea is taught on it; null where it is the model of the family.</summary>
    /// <param name="idea">The idea.</param>
    /// <param name="task">A task of this family.</param>
    public virtual ItemModel? ModelFor(MissingIdea idea, ItemTask task) => null;

    /// <summary>The signs that its lines can hold beside digits and the letter of the task, for who has no keyboard; √ begins a root.</summary>
    public virtual string LineSigns => "";

    /// <summary>To what value an answer comes that the taught methods only come near; null where they come to it.</summary>
    /// <param name="task">A task of this family.</param>
    public virtual double? TrueValue(ItemTask task) => null;

    /// <summary>How an answer is checked, in sentences for the student; null where nothing can be planned for the family yet.</summary>
    public virtual string? Check => null;

    /// <summary>What an example shows and no student has to write: it stands in the place of what the method leaves in the same fields.</summary>
    /// <param name="task">The example.</param>
    public virtual IReadOnlyList<Mark> ShownIn(ItemTask task) => [];

    /// <summary>The marks of a run with those that an example shows.</summary>
    public IEnumerable<Mark> Shown(ItemTask task, IEnumerable<Mark> marks)
    {
        var shown = ShownIn(task);
        return marks.Where(m => !shown.Any(s => s.Field == m.Field)).Concat(shown);
    }

    /// <summary>A source of items as a teacher would set them; the same seed gives the same items.</summary>
    public abstract Func<ItemTask> Items(int seed);

    /// <summary>Walks through an item. The answer is left in the run.</summary>
    /// <param name="task">A task of this family.</param>
    /// <param name="run">A run that was made ready with <c>MethodRun.Begin</c>.</param>
    public abstract void Walk(ItemTask task, MethodRun run);

    /// <summary>
    /// What a line of a working says one by one: of sums and products what stands on each side of an equals sign, of equations the whole line.
    /// </summary>
    public virtual IEnumerable<string> StatementsOf(string line) => line.Split('=', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);

    /// <summary>What is to be done from a line that a student wrote; null for a line that the method cannot begin from.</summary>
    /// <param name="task">The task of the item.</param>
    /// <param name="from">What was to be done before the line: the task, or from the line before.</param>
    /// <param name="line">The line, without what stands before an equals sign.</param>
    public virtual ItemTask? Resume(ItemTask task, ItemTask from, string line) => null;

    /// <summary>Which answers to questions on schools the working of an item shows.</summary>
    public virtual IEnumerable<(SchoolQuestion Question, int Answer)> SchoolsShown(WorkedItem item) => [];

    /// <summary>Whether two lines of a working say the same, in whatever order and spelling.</summary>
    public virtual bool IsSameLine(string one, string other) => one == other;

    /// <summary>All that is known about a family.</summary>
    public static TaughtFamily Of(Family family) => (TaughtFamily)family;
}
