using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;
using YellowPencil.Data;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Classes;

/// <summary>One student's row of a sheet.</summary>
/// <param name="Page">The page, with its student.</param>
/// <param name="Sheet">What stands on it.</param>
/// <param name="Line">What its reading says, where the page is read as it now stands; else null.</param>
public sealed record ClassRow(StudentPage Page, WorkedSheet Sheet, ClassLine? Line)
{
    /// <summary>The student.</summary>
    public Student Student => Page.Student!;

    /// <summary>Whether anything stands on the page.</summary>
    public bool HasAnswers { get; } = Sheet.Items.Any(i => i.Answer is not null);

    /// <summary>The student's item; null where it was taken off the page.</summary>
    public WorkedItem? Item(string id) => Sheet.Items.FirstOrDefault(i => i.Id == id);
}

/// <summary>A sheet of a class: students down, items across, with what was read so far.</summary>
public sealed class ClassBoard
{
    private ClassBoard(ClassSheet sheet, IReadOnlyList<ClassRow> rows, IReadOnlyList<StudentPage> unreadable)
    {
        (Sheet, Rows, Items, Unreadable) = (sheet, rows, ClassDesk.ItemsOf(sheet), unreadable);
        Of = rows.Count(r => r.HasAnswers);
        Read = rows.Count(r => r.HasAnswers && r.Line is not null);
    }

    /// <summary>The sheet, with its class.</summary>
    public ClassSheet Sheet { get; }

    /// <summary>The students who have it, in the order of their codes.</summary>
    public IReadOnlyList<ClassRow> Rows { get; }

    /// <summary>The items.</summary>
    public IReadOnlyList<WorkedItem> Items { get; }

    /// <summary>Pages that cannot be read as they are stored; they stand in no row.</summary>
    public IReadOnlyList<StudentPage> Unreadable { get; }

    /// <summary>How many pages have something on them.</summary>
    public int Of { get; }

    /// <summary>How many of those are read as they now stand.</summary>
    public int Read { get; }

    /// <summary>Loads the board of a sheet; null when there is none of this owner.</summary>
    public static async Task<ClassBoard?> LoadAsync(PencilContext data, Guid id)
    {
        if (await data.ClassSheets.AsNoTracking().Include(s => s.Class).FirstOrDefaultAsync(s => s.Id == id) is not { Class: not null } sheet) return null;
        var pages = await data.Pages.AsNoTracking().Where(p => p.ClassSheetId == id).Include(p => p.Student).OrderBy(p => p.Student!.CodeKey).ThenBy(p => p.CreatedAt).ToListAsync();
        var lines = await (from reading in data.Readings
                           join page in data.Pages on new { reading.PageId, reading.PageVersion } equals new { PageId = page.Id, PageVersion = page.Version }
                           where page.ClassSheetId == id && reading.EngineVersion == EngineVersion.Current && reading.ClassLine != null
                           select new { reading.PageId, reading.ClassLine }).ToDictionaryAsync(r => r.PageId, r => r.ClassLine!);
        var rows = pages.Select(p => PageDesk.TryStoredSheet(p, out _) is { } read ? new ClassRow(p, read, lines.TryGetValue(p.Id, out var line) ? ClassLine.Parse(line) : null) : null);
        return new ClassBoard(sheet, [.. rows.OfType<ClassRow>()], [.. pages.Where(p => PageDesk.TryStoredSheet(p, out _) is null)]);
    }

    /// <summary>What the class does, from what was read so far.</summary>
    public ClassReading Together() => new([.. Rows.Where(r => r is { HasAnswers: true, Line: not null }).Select(r => r.Line! with { Student = r.Student.Code })]);
}
