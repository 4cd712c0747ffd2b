using System.Globalization;
using NodaTime;
using NodaTime.Extensions;
using YellowPencil.Web.Accounts;

namespace YellowPencil.Web.Services;

/// <summary>Dates and times as the clock on the school's wall shows them.</summary>
public sealed class SchoolTime(CurrentSpecialist who, TimeProvider clock)
{
    /// <summary>The names of all zones, as the tz database has them.</summary>
    public static IReadOnlyList<string> Zones { get; } = [.. DateTimeZoneProviders.Tzdb.Ids.Where(id => id.Contains('/') && !id.StartsWith("Etc/", StringComparison.Ordinal)).Order(StringComparer.Ordinal)];

    /// <summary>The zone of a name, with spaces or not, in capitals or not; null where there is none.</summary>
    public static string? Named(string? name) =>
        name?.Trim().Replace(' ', '_') is { Length: > 0 } asked ? Zones.FirstOrDefault(zone => string.Equals(zone, asked, StringComparison.OrdinalIgnoreCase)) : null;

    /// <summary>Whether the school's zone is known; if not, times are UTC and say so.</summary>
    public bool HasZone => who.Account is { TimeZone.Length: > 0 };

    private DateTimeZone Zone => DateTimeZoneProviders.Tzdb.GetZoneOrNull(who.Account?.TimeZone ?? "") ?? DateTimeZone.Utc;

    /// <summary>Today.</summary>
    public DateOnly Today => DayOf(clock.GetUtcNow());

    /// <summary>The time of day.</summary>
    public TimeOnly Now => TimeOnly.FromDateTime(Local(clock.GetUtcNow()).ToDateTimeUnspecified());

    /// <summary>The name of the school's zone in the tz database.</summary>
    public string ZoneName => Zone.Id;

    /// <summary>The moment at which a time of a day begins; one that the clock skips begins when it goes on.</summary>
    public DateTimeOffset Begin(DateOnly day, TimeOnly at) =>
        (day.ToLocalDate() + at.ToLocalTime()).InZoneLeniently(Zone).ToDateTimeOffset().ToUniversalTime();

    /// <summary>The day of a moment.</summary>
    public DateOnly DayOf(DateTimeOffset at) => Local(at).Date.ToDateOnly();

    /// <summary>The date, such as "9 Mar 2026".</summary>
    public string Date(DateTimeOffset at) => Date(DayOf(at));

    /// <summary>The date, such as "9 Mar 2026".</summary>
    public static string Date(DateOnly day) => day.ToString("d MMM yyyy", CultureInfo.InvariantCulture);

    /// <summary>The day with its name, such as "Mon 9 Mar".</summary>
    public static string Weekday(DateOnly day) => day.ToString("ddd d MMM", CultureInfo.InvariantCulture);

    /// <summary>Date and time of day, such as "9 Mar 2026, 14:05".</summary>
    public string Moment(DateTimeOffset at) => $"{Date(at)}, {Local(at).ToDateTimeUnspecified().ToString("HH:mm", CultureInfo.InvariantCulture)}{(HasZone ? "" : " UTC")}";

    private LocalDateTime Local(DateTimeOffset at) => at.ToInstant().InZone(Zone).LocalDateTime;
}
