using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Week;

/// <summary>What a specialist's week is made of: slots, days without teaching, who cannot come when, and when the specialist is busy elsewhere.</summary>
public sealed class CalendarDesk(PencilContext data, CurrentSpecialist who, SchoolTime time, TimeProvider clock)
{
    /// <summary>How many students sit together at most, where it was not set.</summary>
    public const int UsualGroup = 3;

    /// <summary>The largest group that can be set.</summary>
    public const int LargestGroup = 6;

    /// <summary>The shortest and the longest slot, in minutes.</summary>
    public static readonly (int Shortest, int Longest) Minutes = (10, 30);

    private const int MostSlots = 60;
    private const int MostHolidays = 60;
    private const int LongestName = 60;
    private const int KeyBytes = 24;

    /// <summary>How many students sit together at most.</summary>
    public int GroupSize => who.Account?.GroupSize ?? UsualGroup;

    /// <summary>The slots of the week in their order, with who cannot come.</summary>
    public async Task<IReadOnlyList<Slot>> SlotsAsync() =>
        [.. (await data.Slots.Include(s => s.NotFree).Where(s => s.EndedOn == null).ToListAsync()).OrderBy(s => FromMonday(s.Day)).ThenBy(s => s.Start)];

    /// <summary>A day of the week counted from Monday.</summary>
    public static int FromMonday(DayOfWeek day) => ((int)day + 6) % 7;

    /// <summary>A slot as it is said, such as "Mon 9:10".</summary>
    public static string NameOf(Slot slot) => new Planning.WeekSlot(slot.Id, slot.Day, slot.Start, slot.Minutes).Name;

    /// <summary>Adds a slot on one or more days.</summary>
    /// <returns>What is wrong, in a sentence; null where it was added.</returns>
    public async Task<string?> AddSlotAsync(IReadOnlyCollection<DayOfWeek> days, TimeOnly? start, int minutes)
    {
        if (days.Count == 0) return "Choose the days on which the slot is.";
        if (days.Any(d => !Enum.IsDefined(d)) || start is not { } from) return "Say when the slot begins, as 9:10.";
        if (minutes < Minutes.Shortest || minutes > Minutes.Longest) return $"A slot has {Minutes.Shortest} to {Minutes.Longest} minutes.";
        if (from.ToTimeSpan() + TimeSpan.FromMinutes(minutes) > TimeSpan.FromHours(24)) return "The slot goes past midnight.";
        var slots = await SlotsAsync();
        if (slots.Count + days.Count > MostSlots) return $"A week has at most {MostSlots} slots here.";
        foreach (var day in days.Distinct())
        {
            if (slots.FirstOrDefault(s => s.Day == day && s.Start < from.AddMinutes(minutes) && from < s.Start.AddMinutes(s.Minutes)) is { } other)
                return $"On {day} it would meet the slot at {other.Start.ToString("H:mm", CultureInfo.InvariantCulture)} ({other.Minutes} minutes).";
            data.Slots.Add(new Slot { Id = Guid.CreateVersion7(clock.GetUtcNow()), Day = day, Start = from, Minutes = minutes });
        }

        await data.SaveChangesAsync();
        return null;
    }

    /// <summary>Takes a slot out of the week from today on; what was taught in it stays.</summary>
    public async Task EndSlotAsync(Guid id)
    {
        await data.Slots.Where(s => s.Id == id && s.EndedOn == null).ExecuteUpdateAsync(set => set.SetProperty(s => s.EndedOn, time.Today));
        await data.Seats.Where(s => s.SlotId == id && s.Until == null).ExecuteUpdateAsync(set => set.SetProperty(s => s.Until, time.Today));
    }

    /// <summary>Keeps at which slots students cannot come, for the students that are named.</summary>
    public async Task KeepNotFreeAsync(IReadOnlyCollection<Guid> students, IEnumerable<(Guid Student, Guid Slot)> not)
    {
        var own = (await data.Students.Where(s => students.Contains(s.Id)).Select(s => s.Id).ToListAsync()).ToHashSet();
        var slots = (await SlotsAsync()).Select(s => s.Id).ToHashSet();
        await data.NotFree.Where(n => own.Contains(n.StudentId)).ExecuteDeleteAsync();
        data.ChangeTracker.Clear();
        data.NotFree.AddRange(not.Distinct().Where(n => own.Contains(n.Student) && slots.Contains(n.Slot)).Select(n => new NotFree { StudentId = n.Student, SlotId = n.Slot }));
        await data.SaveChangesAsync();
    }

    /// <summary>The days without teaching, those to come and of this week.</summary>
    public async Task<IReadOnlyList<Holiday>> HolidaysAsync() => await data.Holidays.Where(h => h.Last >= time.Today.AddDays(-7)).OrderBy(h => h.First).ToListAsync();

    /// <summary>Adds days without teaching.</summary>
    /// <returns>What is wrong, in a sentence; null where they were added.</returns>
    public async Task<string?> AddHolidayAsync(DateOnly? first, DateOnly? last, string? name)
    {
        if (first is not { } from) return "Say on which day it begins.";
        var to = last ?? from;
        if (to < from) return $"It ends on {SchoolTime.Date(to)}, before it begins on {SchoolTime.Date(from)}.";
        if (to.DayNumber - from.DayNumber > 100) return "More than a hundred days are no holiday here; check the year.";
        if ((name ?? "").Trim().Length > LongestName) return $"The name has more than {LongestName} characters.";
        if (await data.Holidays.CountAsync() >= MostHolidays) return $"There are {MostHolidays} already; take old ones out first.";
        data.Holidays.Add(new Holiday { Id = Guid.CreateVersion7(clock.GetUtcNow()), First = from, Last = to, Name = (name ?? "").Trim() });
        await data.SaveChangesAsync();
        return null;
    }

    /// <summary>Takes days without teaching out.</summary>
    public Task RemoveHolidayAsync(Guid id) => data.Holidays.Where(h => h.Id == id).ExecuteDeleteAsync();

    /// <summary>Sets how many students sit together at most.</summary>
    public Task SetGroupSizeAsync(int size) =>
        data.Users.Where(u => u.Id == who.Id).ExecuteUpdateAsync(set => set.SetProperty(u => u.GroupSize, Math.Clamp(size, 1, LargestGroup)));

    /// <summary>Keeps when the specialist is busy elsewhere, in the place of what was kept before.</summary>
    public async Task KeepBusyAsync(IEnumerable<(DateTimeOffset From, DateTimeOffset Until)> times)
    {
        await data.BusyTimes.ExecuteDeleteAsync();
        data.BusyTimes.AddRange(times.Select(t => new BusyTime { Id = Guid.CreateVersion7(clock.GetUtcNow()), From = t.From.ToUniversalTime(), Until = t.Until.ToUniversalTime() }));
        await data.SaveChangesAsync();
    }

    /// <summary>How many busy times are kept, and until when.</summary>
    public async Task<(int Count, DateTimeOffset? Until)> BusyAsync() => (await data.BusyTimes.CountAsync(), await data.BusyTimes.MaxAsync(b => (DateTimeOffset?)b.Until));

    /// <summary>Gives the calendar a private address; one that it had before leads nowhere from now on.</summary>
    /// <returns>The key, which is shown this once and not kept.</returns>
    public async Task<string> OpenAddressAsync()
    {
        var key = Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(KeyBytes));
        await SetKeyAsync(HashOf(key));
        return key;
    }

    /// <summary>Revokes the private address.</summary>
    public Task CloseAddressAsync() => SetKeyAsync(null);

    /// <summary>What is kept of a key.</summary>
    public static string HashOf(string key) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(key)));

    private Task<int> SetKeyAsync(string? hash) => data.Users.Where(u => u.Id == who.Id).ExecuteUpdateAsync(set => set.SetProperty(u => u.CalendarKey, hash));
}
