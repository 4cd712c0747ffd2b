using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;
using YellowPencil.Planning;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Week;

/// <summary>One plan in a session of a day.</summary>
/// <param name="Seat">Its seat.</param>
/// <param name="On">The day on which it usually is.</param>
/// <param name="Held">The session, where it was begun.</param>
/// <param name="Moved">What was changed, where something was.</param>
public sealed record Attending(Seat Seat, DateOnly On, Session? Held, SeatChange? Moved)
{
    /// <summary>The plan.</summary>
    public Data.Plan Plan => Seat.Plan!;
}

/// <summary>A slot on a day, with those who are taught in it.</summary>
public sealed record Meeting(DateOnly Day, Slot Slot, IReadOnlyList<Attending> Students);

/// <summary>A session that is not held.</summary>
/// <param name="Who">Whose.</param>
/// <param name="On">On which day it would have been.</param>
/// <param name="Because">Why not, in a sentence.</param>
public sealed record Missing(Attending Who, DateOnly On, string Because);

/// <summary>A week as it is held.</summary>
/// <param name="Monday">Its first day.</param>
/// <param name="Meetings">Who is taught when, in order.</param>
/// <param name="Missing">What is not held.</param>
/// <param name="Holidays">The days without teaching.</param>
public sealed record HeldWeek(DateOnly Monday, IReadOnlyList<Meeting> Meetings, IReadOnlyList<Missing> Missing, IReadOnlyList<Holiday> Holidays);

/// <summary>Who is taught when: what is agreed for every week, and what single days make of it.</summary>
public sealed class Timetable(PencilContext data, WeeksDesk weeks, CalendarDesk calendar, CurrentSpecialist who, SchoolTime time, TimeProvider clock)
{
    /// <summary>The Monday of a day's week.</summary>
    public static DateOnly MondayOf(DateOnly day) => day.AddDays(-CalendarDesk.FromMonday(day.DayOfWeek));

    /// <summary>What is to be solved for the weeks to come, as everything stands now.</summary>
    public async Task<WeekProblem> ProblemAsync()
    {
        var slots = await calendar.SlotsAsync();
        var seekers = (await weeks.AllAsync()).Select(SeekerOf).OfType<Seeker>().ToList();
        var agreed = await data.Seats.Where(s => s.Until == null).Select(s => new Place(s.PlanId, s.SlotId)).ToListAsync();
        return new WeekProblem(
            [.. slots.Select(s => new WeekSlot(s.Id, s.Day, s.Start, s.Minutes))], seekers, calendar.GroupSize,
            slots.SelectMany(s => s.NotFree).Select(n => (n.StudentId, n.SlotId)).ToHashSet(), agreed.ToHashSet());
    }

    /// <summary>What a plan asks for; null where it asks for no session.</summary>
    public static Seeker? SeekerOf(PlanWeeks of)
    {
        var need = SessionNeed.Of(of.Series.Decision.State);
        var sessions = of.Plan.SessionsAWeek ?? need.Sessions;
        if (sessions == 0 || of.Plan.Content.Length == 0) return null;
        return new Seeker(of.Plan.Id, of.Plan.StudentId, of.Plan.Student!.Code, SittingTogether.KeyOf(PlanJson.Read(of.Plan.Content)), need.Need, sessions, need.Minutes > 0 ? need.Minutes : SessionCard.UsualMinutes);
    }

    /// <summary>Lets a proposal hold from today on: seats that it keeps stay, others end or begin.</summary>
    /// <param name="proposed">The proposal; what was thrown away, closed or taken out of the week since it was made is passed over.</param>
    public async Task TakeAsync(IReadOnlyCollection<Place> proposed)
    {
        var plans = (await data.Plans.Where(p => p.ClosedAt == null).Select(p => p.Id).ToListAsync()).ToHashSet();
        var slots = (await calendar.SlotsAsync()).Select(s => s.Id).ToHashSet();
        var places = proposed.Where(p => plans.Contains(p.Plan) && slots.Contains(p.Slot)).ToHashSet();
        var seats = await data.Seats.Where(s => s.Until == null).ToListAsync();
        foreach (var seat in seats.Where(s => !places.Contains(new Place(s.PlanId, s.SlotId)))) seat.Until = time.Today;
        foreach (var place in places.Where(p => seats.TrueForAll(s => s.PlanId != p.Plan || s.SlotId != p.Slot)))
            data.Seats.Add(new Seat { Id = Guid.CreateVersion7(clock.GetUtcNow()), PlanId = place.Plan, SlotId = place.Slot, From = time.Today });
        await data.SaveChangesAsync();
    }

    /// <summary>A week as it is held.</summary>
    public async Task<HeldWeek> WeekAsync(DateOnly monday)
    {
        var sunday = monday.AddDays(6);
        var slots = await data.Slots.Include(s => s.NotFree).ToDictionaryAsync(s => s.Id);
        var holidays = await data.Holidays.Where(h => h.First <= sunday && h.Last >= monday).OrderBy(h => h.First).ToListAsync();
        var seats = await data.Seats.Include(s => s.Plan!.Student).Include(s => s.Changes.Where(c => c.On >= monday && c.On <= sunday))
            .Where(s => s.From <= sunday && (s.Until == null || s.Until > monday)).ToListAsync();
        var plans = seats.ConvertAll(s => s.PlanId);
        var held = (await data.Sessions.Where(s => plans.Contains(s.PlanId) && s.HeldOn >= monday && s.HeldOn <= sunday).ToListAsync()).ToLookup(s => (s.PlanId, s.HeldOn));
        var busy = await data.BusyTimes.Where(b => b.Until > time.Begin(monday, TimeOnly.MinValue) && b.From < time.Begin(sunday, TimeOnly.MaxValue)).ToListAsync();
        var there = new List<(DateOnly Day, Slot Slot, Attending Who)>();
        var missing = new List<Missing>();
        foreach (var seat in seats.Where(s => s.Plan is not null))
        {
            var on = monday.AddDays(CalendarDesk.FromMonday(slots[seat.SlotId].Day));
            if (on < seat.From || on >= seat.Until || (seat.Plan!.ClosedAt is { } closed && time.DayOf(closed) <= on)) continue;
            var change = seat.Changes.Find(c => c.On == on);
            var (day, slot) = change is { ToDay: { } toDay, ToSlotId: { } toSlot } ? (toDay, slots[toSlot]) : (on, slots[seat.SlotId]);
            var attending = new Attending(seat, on, held[(seat.PlanId, day)].FirstOrDefault(), change);
            if (change is { ToDay: null }) missing.Add(new Missing(attending, on, change.Because));
            else if (WhyNot(day, slot, holidays, busy) is { } why) missing.Add(new Missing(attending, on, why));
            else there.Add((day, slot, attending));
        }

        return new HeldWeek(
            monday,
            [.. there.GroupBy(t => (t.Day, t.Slot)).OrderBy(g => g.Key.Day).ThenBy(g => g.Key.Slot.Start).Select(g => new Meeting(g.Key.Day, g.Key.Slot, [.. g.Select(t => t.Who).OrderBy(w => w.Plan.Student!.CodeKey)]))],
            [.. missing.OrderBy(m => m.On).ThenBy(m => m.Who.Plan.Student!.CodeKey)], holidays);
    }

    /// <summary>Those who are taught in a slot on a day; null for nobody.</summary>
    public async Task<Meeting?> MeetingAsync(DateOnly day, Guid slot)
    {
        if (day.Year is < 2000 or > 2200) return null;
        if (data.Database.CurrentTransaction is not null) await data.Database.ExecuteSqlAsync($"select 1 from slots where id = {slot} for update"); // Two tabs begin a session once.
        return (await WeekAsync(MondayOf(day))).Meetings.FirstOrDefault(m => m.Day == day && m.Slot.Id == slot);
    }

    /// <summary>The sessions from today to the end of next week.</summary>
    public async Task<IReadOnlyList<Meeting>> ComingAsync()
    {
        var monday = MondayOf(time.Today);
        return [.. (await WeekAsync(monday)).Meetings.Concat((await WeekAsync(monday.AddDays(7))).Meetings).Where(m => m.Day >= time.Today)];
    }

    /// <summary>The next session of each plan that was not begun.</summary>
    public static IReadOnlyDictionary<Guid, (DateOnly Day, TimeOnly At)> NextOf(IEnumerable<Meeting> coming) =>
        coming.SelectMany(m => m.Students.Where(s => s.Held is null).Select(s => (s.Plan.Id, m.Day, m.Slot.Start))).GroupBy(m => m.Id).ToDictionary(g => g.Key, g => (g.First().Day, g.First().Start));

    /// <summary>Moves a session that is missed to the next slot of the week that is free for it, or leaves it out where there is none.</summary>
    /// <returns>What was changed; null where there is no such session.</returns>
    public async Task<SeatChange?> MissAsync(Guid seat, DateOnly on)
    {
        var week = await WeekAsync(MondayOf(on));
        var missed = week.Meetings.SelectMany(m => m.Students.Select(s => (m.Day, m.Slot, Who: s))).Concat(week.Missing.Select(m => (Day: m.On, Slot: m.Who.Seat.Slot!, m.Who))).FirstOrDefault(m => m.Who.Seat.Id == seat && m.Who.On == on);
        if (missed.Who is null || missed.Who.Held is not null) return null;
        var change = missed.Who.Moved;
        if (change is null)
        {
            change = new SeatChange { Id = Guid.CreateVersion7(clock.GetUtcNow()), SeatId = seat, On = on, ByName = who.Name };
            data.SeatChanges.Add(change);
        }

        var from = time.Today > missed.Day ? time.Today : missed.Day;
        var next = await NextAsync(week, missed.Who, missed.Day, from);
        (change.ToDay, change.ToSlotId, change.ByName, change.At) = (next?.Day, next?.Slot.Id, who.Name, clock.GetUtcNow());
        change.Because = next is null ? "Missed; no other slot of the week is free for it." : "Missed, and moved.";
        await data.SaveChangesAsync();
        return change;
    }

    /// <summary>Puts a session back where it usually is.</summary>
    public Task PutBackAsync(Guid seat, DateOnly on) => data.SeatChanges.Where(c => c.SeatId == seat && c.On == on).ExecuteDeleteAsync();

    private async Task<(DateOnly Day, Slot Slot)?> NextAsync(HeldWeek week, Attending missed, DateOnly missedOn, DateOnly from)
    {
        var minutes = (await data.Slots.FirstAsync(s => s.Id == missed.Seat.SlotId)).Minutes;
        var busy = await data.BusyTimes.Where(b => b.Until > time.Begin(week.Monday, TimeOnly.MinValue)).ToListAsync();
        var key = KeyOf(missed.Plan);
        var ownDays = week.Meetings.Where(m => m.Students.Any(s => s.Plan.StudentId == missed.Plan.StudentId && s != missed)).Select(m => m.Day).ToHashSet();
        var now = time.Now;
        foreach (var day in Enumerable.Range(0, 7).Select(week.Monday.AddDays).Where(d => d >= from && d != missedOn && !ownDays.Contains(d)))
            foreach (var slot in (await calendar.SlotsAsync()).Where(s => s.Day == day.DayOfWeek && s.Minutes >= Math.Min(minutes, SessionCard.UsualMinutes)))
            {
                if (day == time.Today && slot.Start <= now || slot.NotFree.Exists(n => n.StudentId == missed.Plan.StudentId) || WhyNot(day, slot, week.Holidays, busy) is not null) continue;
                var there = week.Meetings.FirstOrDefault(m => m.Day == day && m.Slot.Id == slot.Id)?.Students ?? [];
                if (there.Count < calendar.GroupSize && there.All(s => KeyOf(s.Plan) == key && s.Held is null)) return (day, slot);
            }

        return null;
    }

    private static string KeyOf(Data.Plan plan) => plan.Content.Length > 0 ? SittingTogether.KeyOf(PlanJson.Read(plan.Content)) : plan.Id.ToString();

    private string? WhyNot(DateOnly day, Slot slot, IReadOnlyList<Holiday> holidays, IReadOnlyList<BusyTime> busy)
    {
        if (holidays.FirstOrDefault(h => h.First <= day && day <= h.Last) is { } holiday) return $"No teaching on this day{(holiday.Name.Length > 0 ? $": {holiday.Name}" : "")}.";
        var (from, until) = (time.Begin(day, slot.Start), time.Begin(day, slot.Start).AddMinutes(slot.Minutes));
        return busy.Any(b => b.From < until && from < b.Until) ? "Your calendar says that you are busy then." : null;
    }
}
