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

    /// <summary>From so many on, students can be looked for.</summary>
    public const int ManyStudents = 12;

    /// <summary>What is looked for among the students; empty for all.</summary>
    public string Find { get; private set; } = "";

    /// <summary>Whether nothing at all is on the desk yet.</summary>
    public bool IsNew => Students.Count == 0 && Find.Length == 0 && Classes.Count == 0 && Piles.All(p => p.Sheets.Count == 0);

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
    public async Task OnGetAsync(string? find = null)
    {
        Find = (find ?? "").Trim();
        Students = [.. (await desk.StudentsAsync()).Where(s => $"{s.Code} {s.CallName}".Contains(Find, StringComparison.OrdinalIgnoreCase))];
        Classes = await classes.ListAsync();
        Leaving = await retention.SoonAsync();
        var all = await weeks.AllAsync();
        var to = await timetable.ComingAsync();
        Meetings = [.. to.Where(m => m.Day == Today)];
        HasWeek = all.Count > 0;
        Piles = await desk.PilesAsync(all, Timetable.NextOf(to), await facts.AllAsync());
        this.Shows("desk", Students.Select(s => s.Id).Concat(Piles.SelectMany(p => p.Sheets).Select(s => s.Student).OfType<Guid>()).Concat(Meetings.SelectMany(m => m.Students).Select(s => s.Plan.StudentId)));
    }
}
