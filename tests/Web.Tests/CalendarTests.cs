using System.Globalization;
using System.Net;
using AngleSharp.Html.Dom;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using UglyToad.PdfPig;
using Xunit;
using YellowPencil.Tests.Shared;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Services;
using YellowPencil.Web.Week;

namespace YellowPencil.Web.Tests;

/// <summary>The week: slots, who cannot come, proposals, sessions that move, holidays, calendars in and out. The clock stands at eight on the Monday after today.</summary>
public sealed class CalendarTests : IAsyncDisposable
{
    private static readonly DateTimeOffset Now = new(DateTime.UtcNow.Date.AddDays(1 + (7 - (int)DateTime.UtcNow.AddDays(1).DayOfWeek + 1) % 7), TimeSpan.Zero);

    private static readonly DateOnly Monday = DateOnly.FromDateTime(Now.UtcDateTime);

    private readonly PencilApp app = new() { More = services => services.AddSingleton<TimeProvider>(new Standing(Now.AddHours(8))) };

    private sealed class Standing(DateTimeOffset at) : TimeProvider
    {
        public override DateTimeOffset GetUtcNow() => at;
    }

    public ValueTask DisposeAsync() => app.DisposeAsync();

    private static string Day(int after) => Monday.AddDays(after).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    // Each row of the week as "Mon 9:10 K-29 K-34".
    private static List<string> Rows(IHtmlDocument week) => [.. week.QuerySelectorAll("tbody").SelectMany(day => Day(day)).Order()];

    private static IEnumerable<string> Day(AngleSharp.Dom.IElement body)
    {
        var day = body.QuerySelector("th")!.TextContent.Trim()[..3];
        var time = "";
        foreach (var row in body.QuerySelectorAll("tr").Skip(1))
        {
            time = row.QuerySelector("td a[href^='/week/']")?.TextContent ?? time;
            yield return $"{day} {time} {row.QuerySelectorAll("td")[1].TextContent.Trim().Split(' ')[0]}";
        }
    }

    private static async Task MissAsync(Visitor visitor, IHtmlDocument week, string label)
    {
        var form = week.QuerySelectorAll("form").First(f => f.QuerySelector("button")?.GetAttribute("aria-label") == label);
        await visitor.PostAsync(form.GetAttribute("action")!, [.. new[] { "seat", "on" }.Select(n => (n, form.QuerySelector($"input[name={n}]")!.GetAttribute("value")!))]);
    }

    private static string Said(int after) => SchoolTime.Weekday(Monday.AddDays(after));

    [Fact]
    public async Task A_missed_session_moves_to_the_next_slot_that_is_free_and_can_be_put_back()
    {
        using var visitor = await new Visitor(app).SignInAsync();
        var week = await visitor.GetAsync("/week");
        Rows(week).ShouldContain("Mon 9:10 K-34");
        Rows(week).Count.ShouldBe(13);

        // K-33 comes on Tuesday and Thursday at 10:30. Wednesday is full of others; on Friday at 13:00 a quarter of an hour is too short.
        await MissAsync(visitor, week, $"K-33, {Said(1)}: missed");
        week = await visitor.GetAsync("/week");
        week.QuerySelector("h2")!.TextContent.ShouldBe("Not held");
        week.Body!.TextContent.ShouldContain("Missed; no other slot of the week is free for it.");

        // Put back, and with a free slot on Wednesday it moves there.
        await MissAsync(visitor, week, $"K-33, {Said(1)}: put it back");
        await visitor.GetAsync("/week/times");
        await visitor.PostAsync("/week/times?handler=Slot", ("days", "Wednesday"), ("start", "14:00"), ("minutes", "25"));
        week = await visitor.GetAsync("/week");
        Rows(week).ShouldContain("Tue 10:30 K-33");
        await MissAsync(visitor, week, $"K-33, {Said(1)}: missed");
        week = await visitor.GetAsync("/week");
        Rows(week).ShouldContain("Wed 14:00 K-33");
        Rows(week).ShouldNotContain("Tue 10:30 K-33");
        week.Body!.TextContent.ShouldContain($"moved here from {Said(1)}");

        // The week after is as it always is.
        Rows(await visitor.GetAsync($"/week?day={Day(7)}")).ShouldContain("Tue 10:30 K-33");
    }

    [Fact]
    public async Task A_holiday_and_a_busy_hour_are_not_taught_and_said()
    {
        using var visitor = await new Visitor(app).SignInAsync();
        await visitor.GetAsync("/week/times");
        await visitor.PostAsync("/week/times?handler=Holiday", ("first", Day(1)), ("last", Day(0)), ("name", ""));
        (await visitor.Last!.Content.ReadAsStringAsync()).ShouldContain("before it begins");
        await visitor.PostAsync("/week/times?handler=Holiday", ("first", Day(1)), ("last", Day(1)), ("name", "Regatta"));
        await visitor.GetAsync("/week/times");
        await visitor.PostFileAsync("/week/times?handler=Busy", "file", $"BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:1\r\nSUMMARY:Secret meeting\r\nDTSTART:{Monday:yyyyMMdd}T091500Z\r\nDTEND:{Monday:yyyyMMdd}T093000Z\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n");
        var week = await visitor.GetAsync("/week");
        week.Body!.TextContent.ShouldContain("Regatta");
        Rows(week).ShouldNotContain(r => r.StartsWith("Tue", StringComparison.Ordinal) || r.StartsWith("Mon 9:10", StringComparison.Ordinal));
        Rows(week).ShouldContain("Mon 10:30 K-31");
        var missing = week.QuerySelectorAll("ul li").Select(li => li.TextContent).ToList();
        missing.ShouldContain(m => m.Contains($"K-33, {Said(1)}: No teaching on this day: Regatta."));
        missing.ShouldContain(m => m.Contains($"K-29, {Said(0)}: Your calendar says that you are busy then."));
        ((long)(await app.SqlAsync("select count(*) from busy_times b where to_jsonb(b)::text like '%Secret%'"))!).ShouldBe(0);

        // All at once: whoever finds a free slot comes there, and nobody is lost.
        var all = Rows(week).Count + missing.Count(m => m.Contains("No teaching") || m.Contains("busy then"));
        await visitor.GetAsync("/week/times");
        await visitor.PostAsync("/week/times?handler=Slot", ("days", "Wednesday"), ("start", "14:00"), ("minutes", "25"));
        await visitor.GetAsync("/week");
        week = await visitor.PostAsync("/week?handler=MoveAll", ("day", Day(0)));
        var told = week.QuerySelector(".note[role=status]")!.TextContent;
        told.ShouldStartWith("Moved: ");
        told.ShouldContain($" to {Said(2)} at 14:00");
        Rows(week).ShouldContain(r => r.StartsWith("Wed 14:00", StringComparison.Ordinal));
        week.QuerySelectorAll("ul li").ShouldNotContain(li => li.TextContent.Contains("No teaching on this day"));
        (Rows(week).Count + week.QuerySelectorAll("ul li").Count(li => li.TextContent.Contains("Missed; no other slot"))).ShouldBe(all);
    }

    [Fact]
    public async Task A_week_is_proposed_in_the_background_and_holds_from_the_day_on_which_it_is_taken()
    {
        using var visitor = await new Visitor(app).SignInAsync();
        await visitor.GetAsync("/week/times");

        // K-34 cannot come on Mondays; K-32, who came back to the old rule, has the most need.
        var student = (Guid)(await app.SqlAsync("select id from students where code = 'K-34'"))!;
        var monday = (Guid)(await app.SqlAsync("select id from slots where day = 1 and start = '09:10'"))!;
        await visitor.PostAsync("/week/times?handler=Free", ("students", $"{student}"), ("not", $"{student}_{monday}"));
        (await visitor.GetAsync("/week/times")).QuerySelectorAll("input[name=not][checked]").Length.ShouldBe(1);
        await visitor.GetAsync("/week");
        await visitor.PostAsync("/week?handler=Propose");
        var address = visitor.Address;
        address.ShouldStartWith("/week/proposals/");
        IHtmlDocument page;
        do
        {
            await Task.Delay(200);
            page = await visitor.GetAsync(address);
        }
        while (page.QuerySelector("[data-follow]")!.GetAttribute("data-follow") == "true");

        page.Body!.TextContent.ShouldContain("There is no better week than this one.");
        page.QuerySelectorAll("tbody tr").First(r => r.TextContent.Contains("Mon 9:10")).QuerySelectorAll("span").Select(s => s.TextContent).ShouldContain("K-34 no more");
        page.QuerySelectorAll("li").ShouldContain(li => li.TextContent.StartsWith("K-3") && li.TextContent.Contains("sessions. The other free slots are taken"));
        await visitor.PostAsync($"{address}?handler=Take");
        visitor.Address.ShouldBe("/week");
        var rows = Rows(await visitor.GetAsync("/week"));
        rows.ShouldNotContain("Mon 9:10 K-34");
        rows.Count(r => r.EndsWith("K-32", StringComparison.Ordinal)).ShouldBeGreaterThanOrEqualTo(3);

        // Taken twice, or after it was put aside, it changes nothing.
        await visitor.PostAsync($"{address}?handler=Take");
        Rows(await visitor.GetAsync("/week")).ShouldBe(rows);
    }

    [Fact]
    public async Task A_group_has_one_script_and_each_students_own_items_and_the_day_its_papers()
    {
        using var visitor = await new Visitor(app).SignInAsync();
        var week = await visitor.GetAsync("/week");
        var meeting = week.QuerySelector("td a[href^='/week/']")!.GetAttribute("href")!;
        var page = await visitor.GetAsync(meeting);
        page.QuerySelectorAll("caption").Select(c => c.TextContent.Trim()).ShouldBe(["K-29 Elowen", "K-34 Morwen"]);
        var items = page.QuerySelectorAll("table").Select(t => t.QuerySelectorAll("math").Select(m => m.TextContent).ToHashSet()).ToList();
        items[0].ShouldNotBe(items[1]);
        using (var pdf = PdfDocument.Open(await visitor.GetFileAsync($"{meeting}?as=pdf")))
        {
            pdf.NumberOfPages.ShouldBe(1);
            pdf.GetPage(1).Text.ShouldContain("K-29, K-34");
        }

        await visitor.GetAsync(meeting);
        await visitor.PostAsync($"{meeting}?handler=Begin", ("plan", page.QuerySelectorAll("input[name=plan]")[1].GetAttribute("value")!));
        visitor.Address.ShouldStartWith("/sessions/");
        (await visitor.GetAsync(visitor.Address)).QuerySelector("h1")!.TextContent.ShouldContain("K-34");
        (await visitor.GetAsync("/week")).QuerySelectorAll("td a[href^='/sessions/']").Length.ShouldBe(1);

        // Ticked together: only who was not begun is begun now, whoever presses it again, and the items stand in turn.
        await visitor.GetAsync(meeting);
        await visitor.PostAsync($"{meeting}?handler=BeginAll");
        visitor.Address.ShouldBe($"{meeting}/ticks");
        await visitor.GetAsync(meeting);
        var together = await visitor.PostAsync($"{meeting}?handler=BeginAll");
        together.QuerySelectorAll("[data-session]").Length.ShouldBe(2);
        together.QuerySelectorAll("[data-tick]").Take(3).Select(t => t.GetAttribute("aria-label")!.Split(':')[0]).ShouldBe(["K-29, First 1", "K-34, First 1", "K-29, First 2"]);
        (await visitor.GetAsync("/week")).QuerySelectorAll("td a[href^='/sessions/']").Length.ShouldBe(2);

        // The papers: two cards on Monday, practice for those who had none, and the checks that are due.
        var before = (long)(await app.SqlAsync("select count(*) from checks"))!;
        await visitor.GetAsync($"/week/papers?day={Day(0)}");
        await visitor.PostAsync("/week/papers", ("day", Day(0)), ("size", "a4"));
        using (var pdf = PdfDocument.Open(await visitor.GetFileAsync(visitor.Address)))
        {
            var text = string.Join('\n', pdf.GetPages().Select(p => p.Text));
            text.ShouldContain("K-29, K-34");
            text.ShouldContain("K-31");
        }

        ((long)(await app.SqlAsync("select count(*) from checks"))!).ShouldBeGreaterThan(before);
        var desk = await visitor.GetAsync("/");
        desk.QuerySelector(".today")!.TextContent.ShouldContain("K-29 Elowen, K-34 Morwen");
    }

    [Fact]
    public async Task A_student_lies_in_one_pile_of_the_desk()
    {
        // Eight days on, the first check of the student who has just begun is due, whatever day it is today.
        await using var later = new PencilApp { More = services => services.AddSingleton<TimeProvider>(new Standing(DateTimeOffset.UtcNow.AddDays(8))) };
        using var visitor = await new Visitor(later).SignInAsync();
        var desk = await visitor.GetAsync("/");
        var codes = desk.QuerySelectorAll(".pile li > a").Where(a => a.GetAttribute("href")!.StartsWith("/class-sheets", StringComparison.Ordinal) is false).Select(a => a.TextContent.Split(' ')[0]).ToList();
        codes.ShouldBeUnique();
        codes.Count.ShouldBeGreaterThan(25);
        string PileOf(string code) => desk.QuerySelectorAll(".pile").First(p => p.QuerySelectorAll("li > a").Any(a => a.TextContent.StartsWith(code + " ", StringComparison.Ordinal))).QuerySelector("h2")!.TextContent.Trim();
        PileOf("K-30").ShouldStartWith("To decide"); // another rule has come: the plan is to be closed
        PileOf("K-33").ShouldStartWith("To check");
        PileOf("K-28").ShouldMatch("^(Look again on|To check)");
    }

    [Fact]
    public async Task The_calendar_goes_out_with_codes_only_and_its_private_address_can_be_revoked()
    {
        using var visitor = await new Visitor(app).SignInAsync();
        var file = System.Text.Encoding.UTF8.GetString(await visitor.GetFileAsync("/week/calendar"));
        var events = Ical.Net.Calendar.Load(file)!.Events.ToList();
        events.Count.ShouldBe(8 * 10);
        var first = events.OrderBy(e => e.Start!.AsUtc).First();
        (first.Start!.AsUtc, first.End!.AsUtc, first.Summary).ShouldBe((Now.UtcDateTime.AddHours(9).AddMinutes(10), Now.UtcDateTime.AddHours(9).AddMinutes(30), "Session: K-29, K-34"));
        file.ShouldNotContain("Elowen");
        file.ShouldNotContain("carr", Case.Insensitive);

        await visitor.GetAsync("/week/times");
        var times = await visitor.PostAsync("/week/times?handler=Address");
        var address = new Uri(times.QuerySelector("code")!.TextContent).PathAndQuery;
        using var stranger = new Visitor(app);
        System.Text.Encoding.UTF8.GetString(await stranger.GetFileAsync(address)).ShouldContain("Session: K-29");
        (await stranger.GetFileAsync("/calendar/0123456789.ics")).ShouldNotBeNull();
        stranger.Last!.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        ((string)(await app.SqlAsync("select calendar_key from \"AspNetUsers\" where calendar_key is not null"))!).ShouldNotBe(address.Split('/', '.')[2]);

        // The key is shown once; another address ends the first one, and revoking ends both.
        (await visitor.GetAsync("/week/times")).QuerySelector("code").ShouldBeNull();
        var second = new Uri((await visitor.PostAsync("/week/times?handler=Address")).QuerySelector("code")!.TextContent).PathAndQuery;
        await stranger.GetFileAsync(address);
        stranger.Last!.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        await visitor.GetAsync("/week/times");
        await visitor.PostAsync("/week/times?handler=Revoke");
        await stranger.GetFileAsync(second);
        stranger.Last!.StatusCode.ShouldBe(HttpStatusCode.NotFound);
        await stranger.GetAsync("/week");
        stranger.Address.ShouldStartWith("/sign-in");
    }

    [Fact]
    public async Task Slots_are_checked_and_belong_to_one_specialist()
    {
        using var visitor = await new Visitor(app).SignInAsync();
        async Task<string> AddAsync(params (string, string)[] fields)
        {
            await visitor.GetAsync("/week/times");
            return (await visitor.PostManyAsync("/week/times?handler=Slot", fields)).QuerySelector("[role=alert]")?.TextContent ?? "";
        }

        (await AddAsync(("start", "8:00"), ("minutes", "20"))).ShouldBe("Choose the days on which the slot is.");
        (await AddAsync(("days", "Monday"), ("start", "soon"), ("minutes", "20"))).ShouldBe("Say when the slot begins, as 9:10.");
        (await AddAsync(("days", "Monday"), ("start", "8:00"), ("minutes", "45"))).ShouldBe("A slot has 10 to 30 minutes.");
        (await AddAsync(("days", "Monday"), ("start", "9:00"), ("minutes", "20"))).ShouldBe("On Monday it would meet the slot at 9:10 (20 minutes).");
        (await AddAsync(("days", "Monday"), ("start", "23:50"), ("minutes", "20"))).ShouldBe("The slot goes past midnight.");
        (await AddAsync(("days", "Monday"), ("days", "Saturday"), ("start", "8:00"), ("minutes", "30"))).ShouldBe("");
        ((long)(await app.SqlAsync("select count(*) from slots"))!).ShouldBe(14);
        ((long)(await app.SqlAsync("select count(distinct owner_id) from slots"))!).ShouldBe(1);
    }

    private static string? Read(string events, out IReadOnlyList<(DateTimeOffset From, DateTimeOffset Until)> times)
    {
        var accessor = new Microsoft.AspNetCore.Http.HttpContextAccessor();
        var who = new CurrentSpecialist(accessor);
        who.Serve(new Data.Specialist { TimeZone = "Europe/Lisbon" });
        return CalendarFiles.TryReadBusy(
            System.Text.Encoding.UTF8.GetBytes($"BEGIN:VCALENDAR\r\nVERSION:2.0\r\n{events.ReplaceLineEndings("\r\n")}\r\nEND:VCALENDAR\r\n"), new SchoolTime(who, TimeProvider.System), new DateTimeOffset(2026, 3, 2, 0, 0, 0, TimeSpan.Zero), out times);
    }

    private static string Event(string lines) => $"BEGIN:VEVENT\nUID:{Guid.NewGuid()}\n{lines}\nEND:VEVENT";

    [Fact]
    public void Busy_times_are_read_with_zones_repeats_and_exceptions()
    {
        // Lisbon is at UTC until 29 March 2026 and an hour ahead from then on: a weekly meeting at nine stays at nine.
        Read(Event("DTSTART;TZID=Europe/Lisbon:20260316T090000\nDTEND;TZID=Europe/Lisbon:20260316T100000\nRRULE:FREQ=WEEKLY;COUNT=4\nEXDATE;TZID=Europe/Lisbon:20260323T090000"), out var weekly).ShouldBeNull();
        weekly.Select(t => t.From.UtcDateTime.ToString("MM-dd HH:mm", CultureInfo.InvariantCulture)).ShouldBe(["03-16 09:00", "03-30 08:00", "04-06 08:00"]);

        // A time without a zone is the school's; whole days, free, cancelled and past events do not count.
        Read(
            string.Join('\n', Event("DTSTART:20260401T120000\nDTEND:20260401T121500"), Event("DTSTART;VALUE=DATE:20260402\nDTEND;VALUE=DATE:20260403"),
                Event("DTSTART:20260403T120000Z\nDTEND:20260403T130000Z\nTRANSP:TRANSPARENT"), Event("DTSTART:20260404T120000Z\nDTEND:20260404T130000Z\nSTATUS:CANCELLED"), Event("DTSTART:20250404T120000Z\nDTEND:20250404T130000Z")),
            out var some).ShouldBeNull();
        some.ShouldBe([(new DateTimeOffset(2026, 4, 1, 11, 0, 0, TimeSpan.Zero), new DateTimeOffset(2026, 4, 1, 11, 15, 0, TimeSpan.Zero))]);
    }

    [Fact]
    public void What_is_no_calendar_or_repeats_too_often_is_refused_with_a_reason()
    {
        Read(Event("DTSTART:19000101T000000Z\nDTEND:19000101T000001Z\nRRULE:FREQ=SECONDLY"), out var none)!.ShouldStartWith("The event of 1900-01-01 00:00 comes every secondly");
        none.ShouldBeEmpty();
        Read(string.Join('\n', Enumerable.Range(0, 20).Select(i => Event($"DTSTART:20260302T{i:00}0000Z\nDTEND:20260302T{i:00}3000Z\nRRULE:FREQ=DAILY"))), out none)!.ShouldContain("more than 2,000 busy times");
        CalendarFiles.TryReadBusy("PK\u0003\u0004 a picture"u8.ToArray(), null!, default, out none)!.ShouldStartWith("This is no calendar file (iCalendar, .ics)");
        CalendarFiles.TryReadBusy([], null!, default, out none)!.ShouldStartWith("This is no calendar file");
        CalendarFiles.TryReadBusy(new byte[1_000_001], null!, default, out none)!.ShouldBe("The file has 1,000,001 bytes; 1,000,000 are read.");
    }
}
