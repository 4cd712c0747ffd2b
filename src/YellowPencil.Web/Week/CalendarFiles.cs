using System.Globalization;
using System.Text;
using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Week;

/// <summary>The week as an iCalendar file (RFC 5545), and the busy times of one that is read in.</summary>
public static class CalendarFiles
{
    /// <summary>The largest file that is read.</summary>
    public const int MostBytes = 1_000_000;

    /// <summary>So far ahead busy times are kept.</summary>
    public static readonly TimeSpan Ahead = TimeSpan.FromDays(182);

    private const int MostTimes = 2_000;
    private const int MostEvents = 5_000;

    /// <summary>Sessions as events: when, and the codes of who comes; nothing else of a student.</summary>
    /// <param name="meetings">The sessions.</param>
    /// <param name="time">The school's clock.</param>
    /// <param name="now">When the file is made.</param>
    public static string Write(IEnumerable<Meeting> meetings, SchoolTime time, DateTimeOffset now)
    {
        var file = new Ical.Net.Calendar { ProductId = "-//Yellow Pencil//Sessions//EN" };
        foreach (var meeting in meetings)
        {
            var start = time.Begin(meeting.Day, meeting.Slot.Start).UtcDateTime;
            var moved = meeting.Students.Where(s => s.Moved is not null).Select(s => $"{s.Plan.Student!.Code} moved from {SchoolTime.Weekday(s.On)}");
            file.Events.Add(new CalendarEvent
            {
                Uid = $"{meeting.Slot.Id:N}-{meeting.Day.ToString("yyyyMMdd", CultureInfo.InvariantCulture)}@yellow-pencil",
                DtStamp = new CalDateTime(now.UtcDateTime),
                Start = new CalDateTime(start),
                End = new CalDateTime(start.AddMinutes(meeting.Slot.Minutes)),
                Summary = $"Session: {string.Join(", ", meeting.Students.Select(s => s.Plan.Student!.Code))}",
                Description = string.Join("; ", moved),
            });
        }

        return new CalendarSerializer().SerializeToString(file)!;
    }

    /// <summary>When a calendar says that its owner is busy, from a moment on. Events that are marked as free, and those of whole days, do not count.</summary>
    /// <param name="bytes">The file.</param>
    /// <param name="time">The school's clock, for times without a zone.</param>
    /// <param name="from">From when.</param>
    /// <param name="times">The times, in order.</param>
    /// <returns>What is wrong with the file, in a sentence; null where it could be read.</returns>
    public static string? TryReadBusy(byte[] bytes, SchoolTime time, DateTimeOffset from, out IReadOnlyList<(DateTimeOffset From, DateTimeOffset Until)> times)
    {
        times = [];
        if (bytes.Length > MostBytes) return $"The file has {bytes.Length:N0} bytes; {MostBytes:N0} are read.";
        CalendarCollection calendars;
        try
        {
            calendars = CalendarCollection.Load(Encoding.UTF8.GetString(bytes));
        }
        catch (Exception fault) when (fault is System.Runtime.Serialization.SerializationException or ArgumentException or FormatException)
        {
            return $"This is no calendar file (iCalendar, .ics): {fault.Message.Split('\n')[0]}";
        }

        if (calendars.Count == 0) return "This is no calendar file (iCalendar, .ics): it does not begin with BEGIN:VCALENDAR.";
        var events = calendars.SelectMany(c => c.Events).Where(e => e.Start is { HasTime: true } && e.Transparency != TransparencyType.Transparent && e.Status != EventStatus.Cancelled).ToList();
        if (events.Count > MostEvents) return $"The file has {events.Count:N0} events; {MostEvents:N0} are read.";
        var until = from + Ahead;
        var found = new List<(DateTimeOffset, DateTimeOffset)>();
        foreach (var one in events)
        {
            if (one.RecurrenceRule is { Frequency: FrequencyType.Secondly or FrequencyType.Minutely or FrequencyType.Hourly } rule) return $"The event of {one.Start!.Value:yyyy-MM-dd HH:mm} comes every {rule.Frequency.ToString().ToLowerInvariant()}; daily is the most often that is read.";
            foreach (var (begin, end) in Times(one, time, from, until))
            {
                if (end <= from || begin >= until || end <= begin) continue;
                found.Add((begin, end));
                if (found.Count > MostTimes) return $"The file has more than {MostTimes:N0} busy times in half a year; read in a calendar with fewer.";
            }
        }

        times = [.. found.Order()];
        return null;
    }

    private static IEnumerable<(DateTimeOffset Begin, DateTimeOffset End)> Times(CalendarEvent one, SchoolTime time, DateTimeOffset from, DateTimeOffset until)
    {
        var last = new CalDateTime(until.UtcDateTime);
        foreach (var occurrence in one.GetOccurrences(new CalDateTime(from.UtcDateTime.AddDays(-1))).TakeWhile(o => o.Period.StartTime < last))
            yield return (Moment(occurrence.Period.StartTime), Moment(occurrence.Period.EffectiveEndTime ?? occurrence.Period.StartTime));

        DateTimeOffset Moment(CalDateTime at) => at.IsFloating
            ? time.Begin(DateOnly.FromDateTime(at.Value), TimeOnly.FromDateTime(at.Value))
            : new DateTimeOffset(at.AsUtc, TimeSpan.Zero);
    }
}
