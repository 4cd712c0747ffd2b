using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Teaching;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Pages.Sessions;
using YellowPencil.Web.Services;
using YellowPencil.Web.Week;

namespace YellowPencil.Web.Pages.Week;

/// <summary>The sessions of those who are taught together, ticked on one page: an item after the other, for each student the own one.</summary>
public sealed class TicksModel(Timetable timetable, WeeksDesk weeks, PlanDesk plans) : PageModel
{
    /// <summary>The meeting.</summary>
    public Meeting? Meeting { get; private set; }

    /// <summary>The session of each student, in the order of their codes.</summary>
    public IReadOnlyList<SessionView> Sessions { get; private set; } = [];

    /// <summary>The items in the order in which they are done: everybody's first, then everybody's second.</summary>
    public IEnumerable<(SessionPart Part, IEnumerable<TickRow> Rows)> Parts => Sessions
        .SelectMany(s => s.Card.Items.GroupBy(i => i.Part).SelectMany(part => part.Select((item, at) => (At: at, Item: item, Row: new TickRow(s.Session.Id, item, s.Session.Plan!.Student!.Code)))))
        .GroupBy(r => r.Item.Part).OrderBy(g => g.Key).Select(g => (g.Key, g.OrderBy(r => r.At).Select(r => r.Row)));

    /// <summary>Shows it; the meeting where no session of it was begun.</summary>
    public async Task<IActionResult> OnGetAsync(DateOnly day, Guid slot)
    {
        if ((Meeting = await timetable.MeetingAsync(day, slot)) is null) return NotFound();
        var shown = new List<SessionView>();
        foreach (var held in Meeting.Students.Select(s => s.Held).OfType<Data.Session>())
            if (await weeks.FindSessionAsync(held.Id) is { } session && await plans.ReadAsync(session.Plan!) is { } made) shown.Add(new SessionView(session, new SessionCard(made), IsOfGroup: true));
        if (shown.Count == 0) return Redirect(WeekAddresses.Meeting(day, slot));
        Sessions = shown;
        this.Shows("session", shown.Select(s => s.Session.Plan!.StudentId));
        return Page();
    }
}
