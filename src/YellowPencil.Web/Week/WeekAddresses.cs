using System.Globalization;

namespace YellowPencil.Web.Week;

/// <summary>The addresses of the week and what belongs to it.</summary>
public static class WeekAddresses
{
    /// <summary>Slots, days without teaching, free times, calendars.</summary>
    public const string Times = "/week/times";

    /// <summary>This week, or the one of a day.</summary>
    public static string Week(DateOnly? day = null) => day is { } of ? $"/week?day={Written(of)}" : "/week";

    /// <summary>A proposal for the week.</summary>
    public static string Proposal(Guid id) => $"/week/proposals/{id}";

    /// <summary>Those who are taught in a slot on a day.</summary>
    public static string Meeting(DateOnly day, Guid slot) => $"/week/{Written(day)}/{slot}";

    /// <summary>Their sessions, ticked on one page.</summary>
    public static string Ticks(DateOnly day, Guid slot) => $"{Meeting(day, slot)}/ticks";

    /// <summary>The papers of a day in one file.</summary>
    public static string Papers(DateOnly day) => $"/week/papers?day={Written(day)}";

    /// <summary>The file of the calendar.</summary>
    public const string File = "/week/calendar";

    /// <summary>The private address of the calendar.</summary>
    public static string Private(string key) => $"/calendar/{key}.ics";

    private static string Written(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
}
