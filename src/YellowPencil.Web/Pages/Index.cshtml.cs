using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Web.Classes;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;
using YellowPencil.Web.Week;

namespace YellowPencil.Web.Pages;

/// <summary>The desk: what waits, as piles, and the students.</summary>
public sealed class IndexModel(Desk desk, ClassDesk classes, Retention retention, WeeksDesk weeks, Timetable timetable, FactDesk facts, StudentFiles files, PageDesk pages, SchoolTime time) : PageModel
{
    /// <summary>So many lines of a pile are seen at once.</summary>
    public const int SeenAtOnce = 6;

    /// <summary>A pile with more lines than this is laid wide.</summary>
    public const int Few = 3;

    /// <summary>What waits.</summary>
    public IReadOnlyList<Pile> Piles { get; private set; } = [];

    /// <summary>From more lines than these on the desk, something can be looked for.</summary>
    public const int ManyStudents = 12;

    /// <summary>What is looked for on the desk; empty for all.</summary>
    public string Find { get; private set; } = "";

    /// <summary>Whether the archive is shown in the place of the students on the desk.</summary>
    public bool ShowsArchive { get; private set; }

    /// <summary>How many files lie in the archive.</summary>
    public int Archived { get; private set; }

    /// <summary>Whether there is so much on the desk that one looks for something.</summary>
    public bool CanFind => Find.Length > 0 || Students.Count + Piles.Sum(p => p.Sheets.Count) > ManyStudents;

    /// <summary>Whether nothing at all is on the desk yet.</summary>
    public bool IsNew => Students.Count == 0 && Find.Length == 0 && Archived == 0 && Classes.Count == 0 && Piles.All(p => p.Sheets.Count == 0);

    /// <summary>The students.</summary>
    public IReadOnlyList<StudentLine> Students { get; private set; } = [];

    /// <summary>The files that go soon.</summary>
    public IReadOnlyList<Leaving> Leaving { get; private set; } = [];

    /// <summary>The sessions of today.</summary>
    public IReadOnlyList<Meeting> Meetings { get; private set; } = [];

    /// <summary>Whether anybody is taught, so that there is a week to look at.</summary>
    public bool HasWeek { get; private set; }

    /// <summary>Today.</summary>
    public DateOnly Today => time.Today;

    /// <summary>The classes.</summary>
    public IReadOnlyList<ClassOnDesk> Classes { get; private set; } = [];

    /// <summary>The items of the sample page, as a student wrote them.</summary>
    public static readonly IReadOnlyList<WorkedItem> Sample = ItemList.TryParse(
        "604 - 278 = 236\n523 - 168 = 355\n800 - 374 = 336\n952 - 367 = 585\n703 - 245 = 368\n640 - 58 = 582\n405 - 129 = 186\n871 - 430 = 441", null, out _);

    /// <summary>Where the first item of the sample goes wrong.</summary>
    public static WrongStep? FirstWrong => SheetDiagnosis.Read(new WorkedSheet { Student = "sample", Items = Sample }).Items[0].FirstWrongStep;

    /// <summary>Adds a made-up student with a page that is typed in, and shows its reading.</summary>
    public async Task<IActionResult> OnPostSampleAsync()
    {
        const string Code = "SAMPLE";
        if (await files.FindAsync(Code) is null) await files.AddAsync(Code, "", Classroom.Saying(ClassroomWord.Rename));
        if (await files.FindAsync(Code) is not { } student) return Redirect(Addresses.Desk);
        return Redirect(Addresses.Reading((await pages.BeginAsync(student, "A sample page", null, Sample)).Id));
    }

    /// <summary>Shows the desk.</summary>
    public async Task OnGetAsync(string? find = null, bool archive = false)
    {
        (Find, ShowsArchive) = ((find ?? "").Trim(), archive);
        Students = [.. (await desk.StudentsAsync(archive)).Where(s => $"{s.Code} {s.CallName} {s.Latest}".Contains(Find, StringComparison.OrdinalIgnoreCase))];
        Archived = await desk.ArchivedAsync();
        Classes = await classes.ListAsync();
        Leaving = await retention.SoonAsync();
        var all = await weeks.AllAsync();
        var to = await timetable.ComingAsync();
        Meetings = [.. to.Where(m => m.Day == Today)];
        HasWeek = all.Count > 0;
        Piles = [.. (await desk.PilesAsync(all, Timetable.NextOf(to), await facts.AllAsync())).Select(p => p.With(Find))];
        this.Shows("desk", Students.Select(s => s.Id).Concat(Piles.SelectMany(p => p.Sheets).Select(s => s.Student).OfType<Guid>()).Concat(Meetings.SelectMany(m => m.Students).Select(s => s.Plan.StudentId)));
    }
}
