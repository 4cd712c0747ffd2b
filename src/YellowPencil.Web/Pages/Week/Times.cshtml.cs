using System.Globalization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;
using YellowPencil.Web.Week;

namespace YellowPencil.Web.Pages.Week;

/// <summary>What the week is made of: slots, who cannot come when, days without teaching, the size of groups, calendars in and out.</summary>
public sealed class TimesModel(CalendarDesk calendar, WeeksDesk weeks, CurrentSpecialist who, SchoolTime time, TimeProvider clock) : PageModel
{
    /// <summary>So many students are in one form.</summary>
    public const int InOneForm = 15;

    /// <summary>The days of the week in their order.</summary>
    public static IReadOnlyList<DayOfWeek> Days { get; } = [.. Enum.GetValues<DayOfWeek>().OrderBy(CalendarDesk.FromMonday)];

    /// <summary>The slots.</summary>
    public IReadOnlyList<Slot> Slots { get; private set; } = [];

    /// <summary>The days without teaching.</summary>
    public IReadOnlyList<Holiday> Holidays { get; private set; } = [];

    /// <summary>The plans that are taught, with how many sessions a week each wants.</summary>
    public IReadOnlyList<(Data.Plan Plan, int Wanted, bool IsSet)> Taught { get; private set; } = [];

    /// <summary>How many busy times are kept, and until when.</summary>
    public (int Count, DateTimeOffset? Until) Busy { get; private set; }

    /// <summary>How many students sit together at most.</summary>
    public int GroupSize => calendar.GroupSize;

    /// <summary>Whether the calendar has a private address.</summary>
    public bool HasAddress => who.Account?.CalendarKey is not null;

    /// <summary>The key of an address that was made just now.</summary>
    [TempData]
    public string? Key { get; set; }

    /// <summary>What was done.</summary>
    [TempData]
    public string? Done { get; set; }

    /// <summary>What is wrong.</summary>
    public string? Message { get; private set; }

    /// <summary>Shows it.</summary>
    public Task OnGetAsync() => LoadAsync();

    /// <summary>Adds a slot.</summary>
    public async Task<IActionResult> OnPostSlotAsync(DayOfWeek[] days, string? start, int minutes) =>
        await AfterAsync(await calendar.AddSlotAsync(days, TimeOnly.TryParse(start, CultureInfo.InvariantCulture, out var at) ? at : null, minutes));

    /// <summary>Takes a slot out.</summary>
    public async Task<IActionResult> OnPostEndSlotAsync(Guid slot)
    {
        await calendar.EndSlotAsync(slot);
        return await AfterAsync(null);
    }

    /// <summary>Adds days without teaching.</summary>
    public async Task<IActionResult> OnPostHolidayAsync(DateOnly? first, DateOnly? last, string? name) => await AfterAsync(await calendar.AddHolidayAsync(first, last, name));

    /// <summary>Takes days without teaching out.</summary>
    public async Task<IActionResult> OnPostEndHolidayAsync(Guid holiday)
    {
        await calendar.RemoveHolidayAsync(holiday);
        return await AfterAsync(null);
    }

    /// <summary>Keeps who cannot come when, and how many sessions each wants.</summary>
    public async Task<IActionResult> OnPostFreeAsync(Guid[] students, string[] not, [FromForm(Name = "wanted")] Dictionary<Guid, int?>? wanted)
    {
        await calendar.KeepNotFreeAsync(students, not.Select(n => n.Split('_')).Where(n => n.Length == 2 && Guid.TryParse(n[0], out _) && Guid.TryParse(n[1], out _)).Select(n => (Guid.Parse(n[0]), Guid.Parse(n[1]))));
        await weeks.WantAsync(wanted ?? []);
        Done = "Kept.";
        return await AfterAsync(null);
    }

    /// <summary>Sets the size of groups.</summary>
    public async Task<IActionResult> OnPostSizeAsync(int size)
    {
        await calendar.SetGroupSizeAsync(size);
        return await AfterAsync(null);
    }

    /// <summary>Reads a calendar in.</summary>
    public async Task<IActionResult> OnPostBusyAsync(IFormFile? file)
    {
        if (file is null) return await AfterAsync("Choose a calendar file (.ics).");
        if (file.Length > CalendarFiles.MostBytes) return await AfterAsync($"The file has {file.Length:N0} bytes; {CalendarFiles.MostBytes:N0} are read.");
        using var bytes = new MemoryStream();
        await file.CopyToAsync(bytes);
        if (CalendarFiles.TryReadBusy(bytes.ToArray(), time, clock.GetUtcNow(), out var times) is { } fault) return await AfterAsync(fault);
        await calendar.KeepBusyAsync(times);
        Done = $"{times.Count} busy times of the next half year are kept, without what they are.";
        return await AfterAsync(null);
    }

    /// <summary>Forgets the busy times.</summary>
    public async Task<IActionResult> OnPostNotBusyAsync()
    {
        await calendar.KeepBusyAsync([]);
        return await AfterAsync(null);
    }

    /// <summary>Makes a private address; one of before leads nowhere then.</summary>
    public async Task<IActionResult> OnPostAddressAsync()
    {
        Key = await calendar.OpenAddressAsync();
        return await AfterAsync(null);
    }

    /// <summary>Revokes the private address.</summary>
    public async Task<IActionResult> OnPostRevokeAsync()
    {
        await calendar.CloseAddressAsync();
        Done = "The private address leads nowhere any more.";
        return await AfterAsync(null);
    }

    private async Task<IActionResult> AfterAsync(string? fault)
    {
        if (fault is null) return Redirect(WeekAddresses.Times);
        Message = fault;
        await LoadAsync();
        return Page();
    }

    private async Task LoadAsync()
    {
        Slots = await calendar.SlotsAsync();
        Holidays = await calendar.HolidaysAsync();
        Busy = await calendar.BusyAsync();
        Taught = [.. (await weeks.AllAsync()).OrderBy(w => w.Plan.Student!.CodeKey).Select(w => (w.Plan, Timetable.SeekerOf(w)?.Wanted ?? 0, w.Plan.SessionsAWeek is not null))];
        this.Shows("week", Taught.Select(t => t.Plan.StudentId));
    }
}
