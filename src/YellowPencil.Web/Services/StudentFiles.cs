using System.Text.RegularExpressions;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>The files of the students.</summary>
public sealed partial class StudentFiles(PencilContext data, TimeProvider clock)
{
    private const int MostPagesJoined = 12;

    /// <summary>Opens a file.</summary>
    /// <returns>What is wrong, in a sentence; null when the file was opened.</returns>
    public async Task<string?> AddAsync(string code, string callName, Classroom classroom)
    {
        if (await FaultAsync(code, callName, classroom.Word, null) is { } fault) return fault;
        data.Students.Add(new Student { Id = Guid.CreateVersion7(clock.GetUtcNow()), Code = code.Trim(), CallName = callName.Trim(), Word = classroom.Word, School = classroom.School.Key, CreatedAt = clock.GetUtcNow() });
        return await SaveAsync(code);
    }

    /// <summary>Changes what a file says on its cover.</summary>
    /// <returns>What is wrong, in a sentence; null when it was changed.</returns>
    public async Task<string?> EditAsync(Student student, string code, string callName, Classroom classroom)
    {
        if (await FaultAsync(code, callName, classroom.Word, student.Id) is { } fault) return fault;
        (student.Code, student.CallName, student.Word, student.School) = (code.Trim(), callName.Trim(), classroom.Word, classroom.School.Key);
        if (await SaveAsync(code) is { } taken) return taken;
        await data.Database.ExecuteSqlAsync($"update pages set content = jsonb_set(content, '{{student}}', to_jsonb({student.Code}::text)) where student_id = {student.Id}");
        return null;
    }

    /// <summary>Lays a file into the archive, or takes it out of it. What is being taught stays on the desk.</summary>
    /// <returns>What is wrong, in a sentence; null when it was done.</returns>
    public async Task<string?> ArchiveAsync(Student student, bool isArchived)
    {
        if (isArchived && await data.Plans.AnyAsync(p => p.StudentId == student.Id && p.ClosedAt == null && (p.PrintedAt != null || p.Sessions.Count > 0)))
            return "A plan is being taught: close it first, on the page that shows how it stands.";
        student.ArchivedAt = isArchived ? student.ArchivedAt ?? clock.GetUtcNow() : null;
        await data.SaveChangesAsync();
        return null;
    }

    /// <summary>A student by code, in whatever case it is written; null when there is none of this owner.</summary>
    public Task<Student?> FindAsync(string code)
    {
        var key = Student.KeyOf(code);
        return data.Students.FirstOrDefaultAsync(s => s.CodeKey == key);
    }

    /// <summary>How many pages a student has.</summary>
    public Task<int> CountPagesAsync(Student student) => data.Pages.CountAsync(p => p.StudentId == student.Id);

    /// <summary>A file with the lines that its pages, readings, decisions and plans make; the work itself stays in the database.</summary>
    public Task<List<FilePage>> PagesAsync(Student student) => data.Pages.Where(p => p.StudentId == student.Id).Select(p => new FilePage(
        p.Id, p.Title, p.State, p.CreatedAt, p.WrittenOn, p.ItemCount, p.Version,
        p.Readings.Where(r => !r.IsPassing).Select(r => new FileReading(r.MadeAt, r.Outcome, r.Rules, r.PageVersion)).ToList(),
        p.Decisions.ToList(),
        p.Plans.Select(q => new FilePlan(q.Id, q.MadeAt, q.Rules, q.PrintedAt, q.PageVersion, q.Content)).ToList())).ToListAsync();

    /// <summary>What became of the rules of a student over the newest pages that were read, and when these were written, the oldest first.</summary>
    public async Task<(IReadOnlyList<RuleLine> Rules, IReadOnlyList<HistoryPage> Pages)> HistoryAsync(Student student)
    {
        var read = await data.Pages.Where(p => p.StudentId == student.Id).Select(p => new
        {
            p.Id,
            p.Title,
            p.WrittenOn,
            p.CreatedAt,
            Line = p.Readings.Where(r => r.PageVersion == p.Version && r.ClassLine != null).OrderByDescending(r => r.MadeAt).Select(r => r.ClassLine).FirstOrDefault(),
        }).Where(p => p.Line != null).ToListAsync();
        var inOrder = read.OrderBy(p => p.WrittenOn ?? DateOnly.FromDateTime(p.CreatedAt.UtcDateTime)).ThenBy(p => p.CreatedAt).TakeLast(MostPagesJoined).ToList();
        if (inOrder.Count < 2) return ([], []);
        return (RuleHistory.Of(inOrder.ConvertAll(p => ClassLine.Parse(p.Line!))),
            inOrder.ConvertAll(p => new HistoryPage(p.Id, p.Title, p.WrittenOn ?? DateOnly.FromDateTime(p.CreatedAt.UtcDateTime))));
    }

    /// <summary>Whether a text can be a code.</summary>
    internal static bool IsCode(string text) => CodeShape().IsMatch(text);

    // Another request may have given the code since it was looked for.
    private async Task<string?> SaveAsync(string code)
    {
        try
        {
            await data.SaveChangesAsync();
            return null;
        }
        catch (DbUpdateException e) when (e.IsTaken())
        {
            data.ChangeTracker.Clear();
            return $"There is already a student with the code {code.Trim()}.";
        }
    }

    private async Task<string?> FaultAsync(string code, string callName, ClassroomWord word, Guid? but)
    {
        var key = Student.KeyOf(code);
        if (!IsCode(code.Trim())) return "A code has 1 to 40 letters, digits, dashes or dots, without spaces: for example K-17.";
        if (callName.Trim().Length > 40) return "The name has more than 40 characters; a first name or nickname is enough.";
        if (!Enum.IsDefined(word)) return "Choose one of the words.";
        return await data.Students.Where(s => s.CodeKey == key && s.Id != but).Select(s => s.Code).FirstOrDefaultAsync() is { } taken ? $"There is already a student with the code {taken}." : null;
    }

    [GeneratedRegex(@"^[\p{L}\p{Nd}][\p{L}\p{Nd}.\-_]{0,39}$")]
    private static partial Regex CodeShape();
}

/// <summary>A page that was read, as the rules over time name it.</summary>
public sealed record HistoryPage(Guid Id, string Title, DateOnly On);

/// <summary>A page as a file lists it.</summary>
public sealed record FilePage(
    Guid Id, string Title, PageState State, DateTimeOffset CreatedAt, DateOnly? WrittenOn, int Items, int Version,
    List<FileReading> Readings, List<Decision> Decisions, List<FilePlan> Plans);

/// <summary>A reading as a file lists it.</summary>
public sealed record FileReading(DateTimeOffset MadeAt, string Outcome, string Rules, int PageVersion);

/// <summary>A plan as a file lists it.</summary>
public sealed record FilePlan(Guid Id, DateTimeOffset MadeAt, string Rules, DateTimeOffset? PrintedAt, int PageVersion, string Content);
