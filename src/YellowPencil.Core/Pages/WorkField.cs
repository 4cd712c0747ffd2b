using System.Text.Json;

namespace YellowPencil.Core.Pages;

/// <summary>
/// One kind of mark, as a field of <c>work</c> in the worked-sheet format: how it is read, written, compared and told, and where it can stand. A
/// new kind of mark is a new file here, with its line in <see cref="WorkFields"/>, and its place in the schema.
/// </summary>
public abstract class WorkField
{
    private protected WorkField(string name) => Name = name;

    /// <summary>The name in the format, for example <c>rewrittenBelow</c>.</summary>
    public string Name { get; }

    /// <summary>Whether its marks stand in rows, cycles or lines, which are counted.</summary>
    public virtual bool StandsInLines => false;

    /// <summary>Whether its marks stand in columns named by their place.</summary>
    public virtual bool StandsInColumns => false;

    /// <summary>A mark with where it stands, in words.</summary>
    public abstract string Say(Spot at, string text);

    /// <summary>Whether two marks of one line and part say the same.</summary>
    public virtual bool IsSame(Mark one, Mark other) => one.Text == other.Text;

    /// <summary>The column in which what was written begins to differ from what is due there; null where there are no columns.</summary>
    public virtual int? FirstDifference(Spot at, string due, string written) => StandsInColumns ? at.Place : null;

    /// <inheritdoc/>
    public override string ToString() => Name;

    internal abstract object Read(SheetField json);

    internal abstract void Write(Utf8JsonWriter json, object value);

    /// <summary>The marks that a recorded value holds, in the order of writing.</summary>
    internal abstract IEnumerable<Mark> MarksOf(object value);

    /// <summary>The value that marks of this field leave; for none, the one that says that no such mark was made. Null where that cannot be said.</summary>
    internal abstract object? ValueOf(IReadOnlyList<Mark> marks);

    /// <summary>The same for marks that somebody typed in from paper: what was not typed is not known.</summary>
    internal virtual object? ValueOfTyped(IReadOnlyList<Mark> marks) => ValueOf(marks);

    /// <summary>Whether a page tells more with the marks of a run than without them.</summary>
    internal virtual bool IsWorthRecording(IReadOnlyList<Mark> marks) => marks.Count > 0;

    /// <summary>Whether a recorded value says what stands, or does not stand, at a spot.</summary>
    internal virtual bool Records(object value, Spot at) => true;

    /// <summary>Compares what stands with what is due: one match for each part that people note by itself; none where nothing can be said.</summary>
    /// <param name="task">The task.</param>
    /// <param name="seen">The recorded value.</param>
    /// <param name="due">The marks of this field that a student would leave, in the order of writing.</param>
    internal abstract IEnumerable<FieldMatch> Compare(ItemTask task, object seen, IReadOnlyList<Mark> due);
}

/// <summary>A field whose value has a type of its own.</summary>
/// <typeparam name="T">The type of a recorded value.</typeparam>
public abstract class WorkField<T> : WorkField
    where T : class
{
    private protected WorkField(string name)
        : base(name)
    {
    }

    internal sealed override object Read(SheetField json) => ReadValue(json);

    internal sealed override void Write(Utf8JsonWriter json, object value) => WriteValue(json, (T)value);

    internal sealed override IEnumerable<Mark> MarksOf(object value) => Marks((T)value);

    internal sealed override bool Records(object value, Spot at) => Tells((T)value, at);

    internal sealed override IEnumerable<FieldMatch> Compare(ItemTask task, object seen, IReadOnlyList<Mark> due) => Match(task, (T)seen, due);

    internal sealed override object? ValueOf(IReadOnlyList<Mark> marks) => Value(marks);

    private protected abstract T ReadValue(SheetField json);

    private protected abstract void WriteValue(Utf8JsonWriter json, T value);

    private protected abstract IEnumerable<Mark> Marks(T value);

    private protected abstract T? Value(IReadOnlyList<Mark> marks);

    private protected virtual bool Tells(T value, Spot at) => true;

    private protected abstract IEnumerable<FieldMatch> Match(ItemTask task, T seen, IReadOnlyList<Mark> due);
}

/// <summary>The fields of <c>work</c>. Each file declares its own.</summary>
public static partial class WorkFields
{
    /// <summary>All of them, by name.</summary>
    public static IReadOnlyList<WorkField> All => Known.All;

    /// <summary>The field of a name; null where the format has none.</summary>
    public static WorkField? Find(string name) => Known.ByName.GetValueOrDefault(name);

    // Collected when first asked for: by then every declaration, in whichever file, stands.
    private static class Known
    {
        public static readonly WorkField[] All = [.. typeof(WorkFields).GetProperties().Where(p => p.PropertyType.IsAssignableTo(typeof(WorkField)))
            .Select(p => (WorkField)p.GetValue(null)!).OrderBy(f => f.Name, StringComparer.Ordinal)];

        public static readonly Dictionary<string, WorkField> ByName = All.ToDictionary(f => f.Name);
    }
}
