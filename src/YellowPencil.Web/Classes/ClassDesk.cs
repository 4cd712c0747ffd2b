using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Format;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Data;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Classes;

/// <summary>A class as the desk lists it.</summary>
public sealed record ClassOnDesk(Guid Id, string Name, int Students, IReadOnlyList<(Guid Id, string Title)> Sheets);

/// <summary>Classes: lists of students under codes, and the sheets that are set for them.</summary>
public sealed class ClassDesk(PencilContext data, TimeProvider clock)
{
    /// <summary>The most students of one class.</summary>
    public const int MostStudents = 60;

    private const int LongestName = 100;

    /// <summary>The classes by name, with their sheets, the newest first.</summary>
    public async Task<IReadOnlyList<ClassOnDesk>> ListAsync()
    {
        var classes = await data.Classes.OrderBy(c => c.Name).Select(c => new { c.Id, c.Name, Students = c.Students.Count, Sheets = c.Sheets.OrderByDescending(s => s.CreatedAt).Select(s => new { s.Id, s.Title }).ToList() }).ToListAsync();
        return [.. classes.Select(c => new ClassOnDesk(c.Id, c.Name, c.Students, [.. c.Sheets.Select(s => (s.Id, s.Title))]))];
    }

    /// <summary>A class with its students in the order of their codes, and its sheets; null when there is none of this owner.</summary>
    public Task<SchoolClass?> FindAsync(Guid id) =>
        data.Classes.Include(c => c.Students.OrderBy(s => s.CodeKey)).Include(c => c.Sheets.OrderByDescending(s => s.CreatedAt)).FirstOrDefaultAsync(c => c.Id == id);

    /// <summary>A sheet with its class; null when there is none of this owner.</summary>
    public Task<ClassSheet?> FindSheetAsync(Guid id) => data.ClassSheets.Include(s => s.Class).FirstOrDefaultAsync(s => s.Id == id);

    /// <summary>The items of a sheet.</summary>
    public static IReadOnlyList<WorkedItem> ItemsOf(ClassSheet sheet) => ItemList.TryParse(sheet.Items, null, out _);

    /// <summary>Puts a class together, or changes it. A code that has no file yet gets one.</summary>
    /// <param name="found">The class; null for a new one.</param>
    /// <param name="name">Its name.</param>
    /// <param name="codes">The codes of its students, one a line or with commas between.</param>
    /// <param name="word">The classroom's word, for those who get a file now.</param>
    /// <returns>The class, or what is wrong, in sentences.</returns>
    public async Task<(SchoolClass? Class, IReadOnlyList<string> Faults)> KeepAsync(SchoolClass? found, string name, string codes, ClassroomWord word)
    {
        var faults = new List<string>();
        var listed = Codes(codes, faults);
        if (name.Trim().Length is 0 or > LongestName) faults.Insert(0, $"Give the class a name of 1 to {LongestName} characters, such as Kestrel.");
        if (!Enum.IsDefined(word)) faults.Add("Choose one of the words.");
        if (faults.Count > 0) return (null, faults);

        var keys = listed.Select(Student.KeyOf).ToList();
        var students = await data.Students.Where(s => keys.Contains(s.CodeKey)).ToListAsync();
        var now = clock.GetUtcNow();
        foreach (var code in listed.Where(c => students.TrueForAll(s => s.CodeKey != Student.KeyOf(c))))
        {
            var student = new Student { Id = Guid.CreateVersion7(now), Code = code, Word = word, CreatedAt = now };
            data.Students.Add(student);
            students.Add(student);
        }

        var kept = found ?? new SchoolClass { Id = Guid.CreateVersion7(now), Name = "", CreatedAt = now };
        if (found is null) data.Classes.Add(kept);
        (kept.Name, kept.Word) = (name.Trim(), word);
        kept.Students.RemoveAll(s => !students.Contains(s));
        kept.Students.AddRange(students.Except(kept.Students).ToList());
        try
        {
            await data.SaveChangesAsync();
            return (kept, []);
        }
        catch (DbUpdateException e) when (e.IsTaken())
        {
            // Another request has made files for the same codes since they were looked for: now they are there.
            data.ChangeTracker.Clear();
            return await KeepAsync(found is null ? null : await FindAsync(found.Id), name, codes, word);
        }
    }

    /// <summary>Sets a sheet: each of the students gets a page with its items.</summary>
    public async Task<ClassSheet> SetAsync(SchoolClass schoolClass, string title, DateOnly? writtenOn, IReadOnlyList<WorkedItem> items, IEnumerable<Student> students)
    {
        var now = clock.GetUtcNow();
        var sheet = New(schoolClass, title, writtenOn, items, now);
        data.ClassSheets.Add(sheet);
        foreach (var student in students) data.Pages.Add(PageOf(sheet, student, items, now));
        await data.SaveChangesAsync();
        return sheet;
    }

    /// <summary>Gives the sheet to students of the class who do not have it yet.</summary>
    public async Task<int> GiveToAllAsync(ClassSheet sheet)
    {
        var having = await data.Pages.Where(p => p.ClassSheetId == sheet.Id).Select(p => p.StudentId).ToListAsync();
        var others = await data.Classes.Where(c => c.Id == sheet.ClassId).SelectMany(c => c.Students).Where(s => !having.Contains(s.Id)).ToListAsync();
        var items = ItemsOf(sheet);
        foreach (var student in others) data.Pages.Add(PageOf(sheet, student, items, clock.GetUtcNow()));
        await data.SaveChangesAsync();
        return others.Count;
    }

    /// <summary>Says that the sheet is typed in: pages on which nothing stands go on waiting.</summary>
    public async Task FinishAsync(ClassSheet sheet)
    {
        var pages = await data.Pages.Where(p => p.ClassSheetId == sheet.Id && p.State == PageState.Typing).ToListAsync();
        foreach (var page in pages.Where(HasAnswers)) page.State = PageState.Typed;
        await data.SaveChangesAsync();
        await data.Readings.Where(r => r.IsPassing && data.Pages.Any(p => p.Id == r.PageId && p.Version == r.PageVersion && p.ClassSheetId == sheet.Id && p.State == PageState.Typed))
            .ExecuteUpdateAsync(set => set.SetProperty(r => r.IsPassing, false));
    }

    /// <summary>Says whether the sheet is read by itself.</summary>
    public Task LetReadAsync(Guid id, bool byItself) => data.ClassSheets.Where(s => s.Id == id).ExecuteUpdateAsync(set => set.SetProperty(s => s.IsReadByItself, byItself));

    /// <summary>Whether anything stands on a page.</summary>
    public static bool HasAnswers(StudentPage page) => PageDesk.TryStoredSheet(page, out _)?.Items.Any(i => i.Answer is not null) == true;

    internal static ClassSheet New(SchoolClass schoolClass, string title, DateOnly? writtenOn, IReadOnlyList<WorkedItem> items, DateTimeOffset at) => new()
    {
        Id = Guid.CreateVersion7(at),
        OwnerId = schoolClass.OwnerId,
        ClassId = schoolClass.Id,
        Title = title,
        WrittenOn = writtenOn,
        Items = string.Join('\n', items.Select(i => ItemList.Written(i.TaskAsWritten, i.Asked))),
        CreatedAt = at,
    };

    internal static StudentPage PageOf(ClassSheet sheet, Student student, IReadOnlyList<WorkedItem> items, DateTimeOffset at)
    {
        var page = PageDesk.New(student, sheet.Title, sheet.WrittenOn, items, at);
        page.ClassSheetId = sheet.Id;
        return page;
    }

    private static List<string> Codes(string text, List<string> faults)
    {
        var listed = text.Split('\n', ',', ';', '\t').Select(c => c.Trim()).Where(c => c.Length > 0).DistinctBy(Student.KeyOf).ToList();
        foreach (var code in listed.Where(c => !StudentFiles.IsCode(c)).Take(5))
            faults.Add($"“{code}” is no code: a code has 1 to 40 letters, digits, dashes or dots, without spaces, such as K-17. Names are not needed.");
        if (listed.Count == 0) faults.Add("A class has at least one student: write a code, such as K-17.");
        if (listed.Count > MostStudents) faults.Add($"A class has at most {MostStudents} students; these are {listed.Count}.");
        return listed;
    }
}
