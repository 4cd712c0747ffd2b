using YellowPencil.Core.Engine;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Data;

/// <summary>A row that belongs to one specialist; the context shows a specialist only their own.</summary>
public interface IOwned
{
    /// <summary>The specialist who owns the row.</summary>
    Guid OwnerId { get; set; }
}

/// <summary>A student under a code.</summary>
public sealed class Student : IOwned, IRemovable
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <inheritdoc/>
    public Guid? RemovalId { get; set; }

    /// <summary>The code under which the student is kept, as it was typed.</summary>
    public required string Code
    {
        get;
        set
        {
            field = value;
            CodeKey = KeyOf(value);
        }
    }

    /// <summary>The code as it is compared, without case; unique for the owner among students who were not thrown away.</summary>
    public string CodeKey { get; private set; } = "";

    /// <summary>A code as it is compared.</summary>
    public static string KeyOf(string code) => code.Trim().ToUpperInvariant();

    /// <summary>A first name or nickname for the specialist's own use; may be empty.</summary>
    public string CallName { get; set; } = "";

    /// <summary>The classroom's word.</summary>
    public ClassroomWord Word { get; set; }

    /// <summary>What the classroom teaches where schools differ, as <see cref="School.Key"/> spells it.</summary>
    public string School { get; set; } = "";

    /// <summary>How the classroom speaks and works.</summary>
    public Classroom Classroom => new(Word, Core.Pages.School.Parse(School));

    /// <summary>When the file was opened.</summary>
    public DateTimeOffset CreatedAt { get; set; }

    /// <summary>When the file was laid into the archive, out of the desk's sight; null while it lies on the desk.</summary>
    public DateTimeOffset? ArchivedAt { get; set; }

    /// <summary>The student's pages.</summary>
    public List<StudentPage> Pages { get; } = [];

    /// <summary>The student's plans.</summary>
    public List<Plan> Plans { get; } = [];

    /// <summary>The classes that the student is in.</summary>
    public List<SchoolClass> Classes { get; } = [];

    /// <summary>The number facts that the student learns on their own track.</summary>
    public List<LearntFact> LearntFacts { get; } = [];

    /// <summary>The slots at which the student cannot come.</summary>
    public List<NotFree> NotFree { get; } = [];
}

/// <summary>How far a page has come.</summary>
public enum PageState
{
    /// <summary>Being typed in.</summary>
    Typing,

    /// <summary>Typed in and waiting to be read, or read.</summary>
    Typed,
}

/// <summary>One page of a student's written work.</summary>
public sealed class StudentPage : IOwned, IRemovable
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <inheritdoc/>
    public Guid? RemovalId { get; set; }

    /// <summary>The student.</summary>
    public Guid StudentId { get; set; }

    /// <summary>The student.</summary>
    public Student? Student { get; set; }

    /// <summary>The sheet of a class that it is one student's page of; null where it is a page by itself.</summary>
    public Guid? ClassSheetId { get; set; }

    /// <summary>The sheet of a class; null too where that sheet was thrown away.</summary>
    public ClassSheet? ClassSheet { get; set; }

    /// <summary>A name for the set of items.</summary>
    public string Title { get; set; } = "";

    /// <summary>When it was written by the student, if known.</summary>
    public DateOnly? WrittenOn { get; set; }

    /// <summary>How far it has come.</summary>
    public PageState State { get; set; }

    /// <summary>Whether every strike-out on the paper was typed in, so that a digit without one says that there is none.</summary>
    public bool MarksComplete { get; set; }

    /// <summary>From which side this page's answers are typed; null for the specialist's habit.</summary>
    public TypingDirection? Direction { get; set; }

    /// <summary>Whether the specialist said that the paper shows the answers as they were typed, where they make sense only from the other side.</summary>
    public bool? IsWrittenSo { get; set; }

    /// <summary>The page in the worked-sheet format.</summary>
    public required string Content { get; set; }

    /// <summary>The version of each item by its id, counted up with every change.</summary>
    public Dictionary<string, int> ItemVersions { get; set; } = [];

    /// <summary>
    /// What stands on the paper and is not read, by item: struck out, or worked on the side. Null on pages of before it was kept. The open format has no place
    /// for it.
    /// </summary>
    public Dictionary<string, List<NotReadText>>? NotRead { get; set; }

    /// <summary>
    /// What was known of the student when the page was begun, where it is read with that: how likely each set of rules was, by its rules joined by +. Kept as it
    /// was, so that a page reads the same whatever is typed later.
    /// </summary>
    public Dictionary<string, double>? Known { get; set; }

    /// <summary>What stands beside an item and is not read, in the order in which it was written.</summary>
    public IReadOnlyList<NotReadText> NotReadOn(string item) => NotRead?.GetValueOrDefault(item) ?? [];

    /// <summary>Counted up whenever an item, an answer or a mark changes; what was read, decided and planned carries the version it saw.</summary>
    public int Version { get; set; } = 1;

    /// <summary>How many items there are, for lists.</summary>
    public int ItemCount { get; set; }

    /// <summary>When it was begun.</summary>
    public DateTimeOffset CreatedAt { get; set; }

    /// <summary>When it was last changed.</summary>
    public DateTimeOffset ChangedAt { get; set; }

    /// <summary>The readings made of it, one for each engine version and content.</summary>
    public List<StoredReading> Readings { get; } = [];

    /// <summary>The plans made from it.</summary>
    public List<Plan> Plans { get; } = [];

    /// <summary>What the specialist decided about its explanations.</summary>
    public List<Decision> Decisions { get; } = [];

    /// <summary>The check that it is; null for any other page.</summary>
    public Check? Check { get; set; }
}

/// <summary>An answer or a line that the student struck out to write another, or what was worked out on the side.</summary>
/// <param name="Text">What stands there, or can still be read of it.</param>
/// <param name="Line">Behind how many of the lines that stand it was written, or beside which of them; 0 for an answer in squares.</param>
/// <param name="IsSideWork">Whether it is work on the side, a column of it or two; else it is struck out.</param>
public sealed record NotReadText(string Text, int Line, bool IsSideWork = false);

/// <summary>A reading of a page, kept with what made it.</summary>
public sealed class StoredReading : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>The page.</summary>
    public Guid PageId { get; set; }

    /// <summary>The version of the engine and catalogue that made it.</summary>
    public required string EngineVersion { get; set; }

    /// <summary>What it came to, as the reading format spells it.</summary>
    public required string Outcome { get; set; }

    /// <summary>The rules of its best explanation with a bug, joined by +; empty where none is held.</summary>
    public required string Rules { get; set; }

    /// <summary>The version of the page that was read.</summary>
    public int PageVersion { get; set; }

    /// <summary>The reading in its format.</summary>
    public required string Content { get; set; }

    /// <summary>What the reading of a class needs to know of it, as JSON; null for readings of before it was kept.</summary>
    public string? ClassLine { get; set; }

    /// <summary>Whether the page was still being typed in; the next reading then takes its place.</summary>
    public bool IsPassing { get; set; }

    /// <summary>When it was made.</summary>
    public DateTimeOffset MadeAt { get; set; }
}

/// <summary>What a specialist can say about an explanation.</summary>
public enum DecisionKind
{
    /// <summary>It is what the student does.</summary>
    Accepted,

    /// <summary>It is not.</summary>
    Rejected,

    /// <summary>It gets another name.</summary>
    Renamed,

    /// <summary>A note was added.</summary>
    Noted,

    /// <summary>The page was put aside without an explanation.</summary>
    PutAside,

    /// <summary>A rejection was taken back.</summary>
    Restored,

    /// <summary>The specialist's own explanation, in words.</summary>
    Own,
}

/// <summary>A decision about an explanation; never overwritten, also not by a newer reading.</summary>
public sealed class Decision : IOwned
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>The page.</summary>
    public Guid PageId { get; set; }

    /// <summary>The rules of the explanation, joined by +; empty for "no systematic bug".</summary>
    public required string Rules { get; set; }

    /// <summary>What was decided.</summary>
    public DecisionKind Kind { get; set; }

    /// <summary>The version of the page that it was decided on.</summary>
    public int PageVersion { get; set; }

    /// <summary>The new name, or the note.</summary>
    public string Text { get; set; } = "";

    /// <summary>Who decided.</summary>
    public required string ByName { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }
}

/// <summary>A plan made from an accepted explanation. Rules, facts, word, size and seed give the same plan again.</summary>
public sealed class Plan : IOwned, IRemovable
{
    /// <summary>The key.</summary>
    public Guid Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <inheritdoc/>
    public Guid? RemovalId { get; set; }

    /// <summary>The student.</summary>
    public Guid StudentId { get; set; }

    /// <summary>The student.</summary>
    public Student? Student { get; set; }

    /// <summary>The page whose explanation was accepted.</summary>
    public Guid PageId { get; set; }

    /// <summary>The page whose explanation was accepted.</summary>
    public StudentPage? Page { get; set; }

    /// <summary>The version of that page at the time.</summary>
    public int PageVersion { get; set; }

    /// <summary>The rules, joined by +.</summary>
    public required string Rules { get; set; }

    /// <summary>Which of several plans for these rules on this page it is: 0 for the first, then as they were made anew or read from files.</summary>
    public int Turn { get; set; }

    /// <summary>The plan as it was made, as JSON; empty for one of before it was kept so, until it is first looked at.</summary>
    public string Content { get; set; } = "";

    /// <summary>What made it: the fingerprint of engine and catalogue.</summary>
    public string EngineVersion { get; set; } = "";

    /// <summary>Wrong number facts to be avoided, joined by |.</summary>
    public string AvoidedFacts { get; set; } = "";

    /// <summary>The classroom's word at the time.</summary>
    public ClassroomWord Word { get; set; }

    /// <summary>What the classroom taught where schools differ, at the time.</summary>
    public string School { get; set; } = "";

    /// <summary>How the classroom spoke and worked at the time.</summary>
    public Classroom Classroom => new(Word, Core.Pages.School.Parse(School));

    /// <summary>The longest top number, in digits.</summary>
    public int MostDigits { get; set; }

    /// <summary>The seed of its items.</summary>
    public int Seed { get; set; }

    /// <summary>When it was made.</summary>
    public DateTimeOffset MadeAt { get; set; }

    /// <summary>When it was first printed, or null.</summary>
    public DateTimeOffset? PrintedAt { get; set; }

    /// <summary>When the specialist closed it, or null.</summary>
    public DateTimeOffset? ClosedAt { get; set; }

    /// <summary>The sessions in which it was taught.</summary>
    public List<Session> Sessions { get; } = [];

    /// <summary>The checks that were set for it.</summary>
    public List<Check> Checks { get; } = [];

    /// <summary>How many sessions a week the specialist wants for it; null where it is as the checks stand.</summary>
    public int? SessionsAWeek { get; set; }

    /// <summary>The slots in which it is taught.</summary>
    public List<Seat> Seats { get; } = [];
}

/// <summary>Who looked at which student's file, and when.</summary>
public sealed class Look : IOwned
{
    /// <summary>The key.</summary>
    public long Id { get; set; }

    /// <inheritdoc/>
    public Guid OwnerId { get; set; }

    /// <summary>The student.</summary>
    public Guid StudentId { get; set; }

    /// <summary>Who looked.</summary>
    public required string ByName { get; set; }

    /// <summary>At what: file, page, reading or plan.</summary>
    public required string What { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }
}
