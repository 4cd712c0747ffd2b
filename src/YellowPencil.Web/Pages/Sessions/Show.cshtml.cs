using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Teaching;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sessions;

/// <summary>A session: its card, ticked while it is taught or typed in from paper.</summary>
public sealed class ShowModel(WeeksDesk weeks, PlanDesk plans) : PageModel
{
    /// <summary>What is shown.</summary>
    public SessionView? Shown { get; private set; }

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id)
    {
        if (await weeks.FindSessionAsync(id) is not { } session) return NotFound();
        if (await plans.ReadAsync(session.Plan!) is not { } made) return Redirect(Addresses.Plan(session.PlanId));
        this.Shows("session", session.Plan!.StudentId);
        Shown = new SessionView(session, new SessionCard(made));
        return Page();
    }

    /// <summary>Puts it on another day.</summary>
    public async Task<IActionResult> OnPostDayAsync(Guid id, DateOnly? day)
    {
        if (await weeks.FindSessionAsync(id) is not { } session) return NotFound();
        if (day is { } on) await weeks.SaveAsync(session, session.Version, s => s.HeldOn = on);
        return Redirect(Addresses.Session(id));
    }

    /// <summary>Takes it out: it was not held.</summary>
    public async Task<IActionResult> OnPostRemoveAsync(Guid id)
    {
        if (await weeks.FindSessionAsync(id) is not { } session) return NotFound();
        await weeks.RemoveAsync(session);
        return Redirect(Addresses.Progress(session.PlanId));
    }
}
