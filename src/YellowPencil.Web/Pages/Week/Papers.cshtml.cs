using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Pages.Plans;
using YellowPencil.Web.Pages.Sheets;
using YellowPencil.Web.Printing;
using YellowPencil.Web.Services;
using YellowPencil.Web.Week;

namespace YellowPencil.Web.Pages.Week;

/// <summary>What has to lie ready for the sessions of a day, in one file.</summary>
public sealed class PapersModel(Timetable timetable, WeeksDesk weeks, PlanDesk plans, PageDesk pages, CurrentSpecialist who, PdfFiles pdf, SchoolTime time) : PageModel
{
    /// <summary>The day.</summary>
    public DateOnly Day { get; private set; }

    /// <summary>The codes of those who are taught.</summary>
    public IReadOnlyList<string> Students { get; private set; } = [];

    /// <summary>Says what there is to print.</summary>
    public async Task<IActionResult> OnGetAsync(DateOnly? day = null)
    {
        if (day is { Year: < 2000 or > 2200 }) return NotFound();
        await MeetingsAsync(day);
        return Page();
    }

    /// <summary>Sets the checks that are due, and gives the file.</summary>
    public async Task<IActionResult> OnPostAsync(DateOnly? day, string? size)
    {
        if (day is { Year: < 2000 or > 2200 }) return NotFound();
        var meetings = await MeetingsAsync(day);
        if (meetings.Count == 0) return Page();
        return Redirect($"{WeekAddresses.Papers(Day)}&handler=File&size={(size == "letter" ? "letter" : "a4")}&checks={await SetChecksAsync(meetings)}");
    }

    /// <summary>The file.</summary>
    public async Task<IActionResult> OnGetFileAsync(DateOnly? day, string? size)
    {
        if (day is { Year: < 2000 or > 2200 }) return NotFound();
        var wish = new PaperWish(size, As: "pdf");
        var meetings = await MeetingsAsync(day);
        var papers = new List<byte[]>();
        foreach (var meeting in meetings) await AddAsync(meeting, wish, papers);
        return papers.Count == 0 ? NotFound() : File(PdfFiles.InOne(papers), "application/pdf", PdfFiles.Name("papers", $"{Day:yyyy-MM-dd}"));
    }

    private async Task AddAsync(Meeting meeting, PaperWish wish, List<byte[]> papers)
    {
        var cards = new List<SessionCard>();
        var sheets = new List<byte[]>();
        foreach (var student in meeting.Students)
        {
            if (await plans.ReadAsync(student.Plan) is not { } made) continue;
            cards.Add(new SessionCard(made));
            var stands = await weeks.OfAsync(student.Plan);
            if (stands.Sessions.Count == 0) sheets.Add(pdf.Sheet(PracticeModel.ViewOf(made, School.Parse(made.School), wish), who.Account!.HasNameLine));
            if (stands.Open is { } check && await pages.FindAsync(check.PageId) is { } page)
                sheets.Add(pdf.Sheet(PaperView.Of(wish, page.Title, [student.Plan.Student!.Code], PageDesk.StoredSheet(page).Items, student.Plan.Student.Classroom.School), who.Account!.HasNameLine));
        }

        if (cards.Count > 0) papers.Add(pdf.Meeting(cards, wish.Paper, $"{SchoolTime.Weekday(meeting.Day)}, {meeting.Slot.Start:H\\:mm}"));
        papers.AddRange(sheets);
    }

    private async Task<int> SetChecksAsync(IReadOnlyList<Meeting> meetings)
    {
        var set = 0;
        foreach (var student in meetings.SelectMany(m => m.Students))
            if (await weeks.OfAsync(student.Plan) is { Open: null, Due: { } due } && due <= Day && await plans.FindAsync(student.Plan.Id) is { } plan && await weeks.SetCheckAsync(plan) is not null) set++;
        return set;
    }

    private async Task<IReadOnlyList<Meeting>> MeetingsAsync(DateOnly? day)
    {
        Day = day ?? time.Today;
        List<Meeting> meetings = [.. (await timetable.WeekAsync(Timetable.MondayOf(Day))).Meetings.Where(m => m.Day == Day)];
        var there = meetings.SelectMany(m => m.Students).ToList();
        Students = [.. there.Select(s => s.Plan.Student!.Code)];
        this.Shows("papers", there.Select(s => s.Plan.StudentId));
        return meetings;
    }
}
