using Hangfire;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;
using YellowPencil.Web.Week;

namespace YellowPencil.Web.Pages.Week;

/// <summary>A week: who is taught when, what was held, missed and moved.</summary>
public sealed class ShowModel(Timetable timetable, WeeksDesk weeks, PencilContext data, IBackgroundJobClient jobs, CurrentSpecialist who, SchoolTime time, TimeProvider clock) : PageModel
{
    /// <summary>The week.</summary>
    public HeldWeek? Week { get; private set; }

    /// <summary>How it stands with the plans that are taught, by their keys.</summary>
    public IReadOnlyDictionary<Guid, PlanWeeks> Plans { get; private set; } = new Dictionary<Guid, PlanWeeks>();

    /// <summary>Those who are taught and sit in no slot.</summary>
    public IReadOnlyList<PlanWeeks> WithoutSlot { get; private set; } = [];

    /// <summary>What was changed just now.</summary>
    [TempData]
    public string? Changed { get; set; }

    /// <summary>Today.</summary>
    public DateOnly Today => time.Today;

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(DateOnly? day = null)
    {
        if (day is { Year: < 2000 or > 2200 }) return NotFound();
        Week = await timetable.WeekAsync(Timetable.MondayOf(day ?? Today));
        var all = await weeks.AllAsync();
        Plans = all.ToDictionary(w => w.Plan.Id);
        var seated = data.Seats.Where(s => s.Until == null).Select(s => s.PlanId).ToHashSet();
        WithoutSlot = [.. all.Where(w => !seated.Contains(w.Plan.Id) && Timetable.SeekerOf(w) is not null)];
        this.Shows("week", Week.Meetings.SelectMany(m => m.Students).Concat(Week.Missing.Select(m => m.Who)).Select(s => s.Plan.StudentId).Concat(WithoutSlot.Select(w => w.Plan.StudentId)));
        return Page();
    }

    /// <summary>What is taught to somebody.</summary>
    public string IdeaOf(Attending attending) => attending.Plan.Content.Length > 0 ? Core.Teaching.PlanJson.Read(attending.Plan.Content).Idea.Name : "a plan";

    /// <summary>Looks for a week.</summary>
    public async Task<IActionResult> OnPostProposeAsync() => Redirect(WeekAddresses.Proposal((await WeekProposer.AskAsync(data, jobs, who, clock.GetUtcNow())).Id));

    /// <summary>Notes that a session is missed, and moves it.</summary>
    public async Task<IActionResult> OnPostMissAsync(Guid seat, DateOnly on)
    {
        if (await timetable.MissAsync(seat, on) is { } change)
            Changed = await GoneToAsync(change) is { } to
                ? $"The session of {SchoolTime.Weekday(on)} moved to {to}."
                : $"The session of {SchoolTime.Weekday(on)} is left out: no other slot of the week is free for it.";
        return Redirect(WeekAddresses.Week(on));
    }

    /// <summary>Moves all sessions of a week, from today on, that a day without teaching or a busy hour takes.</summary>
    public async Task<IActionResult> OnPostMoveAllAsync(DateOnly day)
    {
        if (day is { Year: < 2000 or > 2200 }) return NotFound();
        var (moved, left) = (new List<string>(), new List<string>());
        foreach (var missing in (await timetable.WeekAsync(Timetable.MondayOf(day))).Missing.Where(m => m.Who.Moved is null && m.On >= Today).OrderBy(m => m.On))
        {
            if (await timetable.MissAsync(missing.Who.Seat.Id, missing.On) is not { } change) continue;
            var code = missing.Who.Plan.Student!.Code;
            if (await GoneToAsync(change) is { } to) moved.Add($"{code} to {to}");
            else left.Add($"{code} of {SchoolTime.Weekday(missing.On)}");
        }

        Changed = string.Join(" ", ((string[])
        [
            moved.Count == 0 ? "" : $"Moved: {string.Join("; ", moved)}.", left.Count == 0 ? "" : $"Left out, as no other slot of the week is free: {string.Join("; ", left)}.",
        ]).Where(t => t.Length > 0));
        return Redirect(WeekAddresses.Week(day));
    }

    private async Task<string?> GoneToAsync(SeatChange change) =>
        change is { ToDay: { } day, ToSlotId: { } to } && await data.Slots.FindAsync(to) is { } slot ? $"{SchoolTime.Weekday(day)} at {slot.Start:H\\:mm}" : null;

    /// <summary>Puts a session back where it usually is.</summary>
    public async Task<IActionResult> OnPostPutBackAsync(Guid seat, DateOnly on)
    {
        await timetable.PutBackAsync(seat, on);
        Changed = $"The session of {SchoolTime.Weekday(on)} is back where it was.";
        return Redirect(WeekAddresses.Week(on));
    }
}
