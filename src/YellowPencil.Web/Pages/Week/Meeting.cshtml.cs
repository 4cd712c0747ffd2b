using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Layouts;
using YellowPencil.Web.Drawing;
using YellowPencil.Core.Teaching;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Printing;
using YellowPencil.Web.Services;
using YellowPencil.Web.Week;

namespace YellowPencil.Web.Pages.Week;

/// <summary>Those who are taught in a slot on a day: one script, and each student's own items.</summary>
public sealed class MeetingModel(Timetable timetable, PlanDesk plans, WeeksDesk weeks, PdfFiles pdf) : PageModel
{
    /// <summary>The meeting.</summary>
    public Meeting? Meeting { get; private set; }

    /// <summary>The card of each student, with the student's place in the meeting.</summary>
    public IReadOnlyList<(Attending Student, SessionCard Card)> Cards { get; private set; } = [];

    /// <summary>Shows it, or its file.</summary>
    public async Task<IActionResult> OnGetAsync(DateOnly day, Guid slot, string? size = null, string? @as = null)
    {
        if (!await FindAsync(day, slot)) return NotFound();
        this.Shows("session", Meeting!.Students.Select(s => s.Plan.StudentId));
        return @as == "pdf"
            ? File(pdf.Meeting([.. Cards.Select(c => c.Card)], size == "letter" ? PaperSize.Letter : PaperSize.A4, $"{SchoolTime.Weekday(day)}, {Meeting.Slot.Start:H\\:mm}"), "application/pdf", PdfFiles.Name("session", $"{day:yyyy-MM-dd}"))
            : Page();
    }

    /// <summary>Begins the session of everybody who comes, or goes to those that were begun.</summary>
    public async Task<IActionResult> OnPostBeginAsync(DateOnly day, Guid slot, Guid? plan = null)
    {
        if (!await FindAsync(day, slot)) return NotFound();
        var chosen = Meeting!.Students.FirstOrDefault(s => s.Plan.Id == plan) ?? Meeting.Students[0];
        var session = chosen.Held ?? await weeks.BeginSessionAsync(chosen.Plan, day);
        return Redirect(Addresses.Session(session.Id));
    }

    /// <summary>Begins the sessions of all who come and goes to where they are ticked together.</summary>
    public async Task<IActionResult> OnPostBeginAllAsync(DateOnly day, Guid slot)
    {
        if (!await FindAsync(day, slot)) return NotFound();
        foreach (var (student, _) in Cards.Where(c => c.Student.Held is null)) await weeks.BeginSessionAsync(student.Plan, day);
        return Redirect(WeekAddresses.Ticks(day, slot));
    }

    private async Task<bool> FindAsync(DateOnly day, Guid slot)
    {
        if ((Meeting = await timetable.MeetingAsync(day, slot)) is null) return false;
        var cards = new List<(Attending, SessionCard)>();
        foreach (var student in Meeting.Students)
            if (await plans.ReadAsync(student.Plan) is { } made) cards.Add((student, new SessionCard(made)));
        Cards = cards;
        return cards.Count > 0;
    }
}
