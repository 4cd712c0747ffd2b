using System.Text;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Week;

/// <summary>The calendar for other programs: as a file for whoever is signed in, and under the private address, which can be revoked.</summary>
internal static class CalendarApi
{
    private const int Weeks = 8;

    public static void Map(WebApplication app)
    {
        app.MapGet(WeekAddresses.File, FileAsync).RequireAuthorization();
        app.MapGet("/calendar/{name}", PrivateAsync).AllowAnonymous();
    }

    private static async Task<IResult> FileAsync(Timetable timetable, SchoolTime time, TimeProvider clock) =>
        Results.File(await WrittenAsync(timetable, time, clock), "text/calendar", "sessions.ics");

    private static async Task<IResult> PrivateAsync(string name, PencilContext data, CurrentSpecialist who, Timetable timetable, SchoolTime time, TimeProvider clock)
    {
        if (!name.EndsWith(".ics", StringComparison.Ordinal) || name.Length > 100) return Results.NotFound();
        var hash = CalendarDesk.HashOf(name[..^".ics".Length]);
        if (await data.Users.AsNoTracking().FirstOrDefaultAsync(u => u.CalendarKey == hash) is not { } account) return Results.NotFound();
        who.Serve(account);
        return Results.Bytes(await WrittenAsync(timetable, time, clock), "text/calendar; charset=utf-8");
    }

    private static async Task<byte[]> WrittenAsync(Timetable timetable, SchoolTime time, TimeProvider clock)
    {
        var monday = Timetable.MondayOf(time.Today);
        var meetings = new List<Meeting>();
        for (var week = 0; week < Weeks; week++) meetings.AddRange((await timetable.WeekAsync(monday.AddDays(7 * week))).Meetings);
        return Encoding.UTF8.GetBytes(CalendarFiles.Write(meetings, time, clock.GetUtcNow()));
    }
}
