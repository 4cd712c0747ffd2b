using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Engine;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>One pile on the desk.</summary>
public sealed record Pile(string Name, string Empty, IReadOnlyList<PiledSheet> Sheets);

/// <summary>One sheet of a pile: whose, which, its date and number of items, and what is to be known about it.</summary>
public sealed record PiledSheet(Guid? Student, string Code, string CallName, string Title, string When, int Items, string Note, string Address);

/// <summary>One student in the list.</summary>
public sealed record StudentLine(Guid Id, string Code, string CallName, int Pages, string? Latest, int Plans);

/// <summary>What waits for the specialist: every page that is not finished lies in exactly one pile.</summary>
public sealed class Desk(PencilContext data, ReadingDesk readings, RuleNaming names, SchoolTime time)
{
    /// <summary>
    /// The students in the order of their codes, with what their latest reading came to; without those who are only known by the sheets of a class.
    /// </summary>
    public async Task<IReadOnlyList<StudentLine>> StudentsAsync()
    {
        await names.LoadAsync();
        var rows = await data.Students.Where(s => s.Classes.Count == 0 || s.CallName != "" || s.Plans.Count > 0 || s.Pages.Any(p => p.ClassSheetId == null)).OrderBy(s => s.CodeKey).Select(s => new
        {
            s.Id,
            s.Code,
            s.CallName,
            s.Word,
            Pages = s.Pages.Count,
            Latest = s.Pages.SelectMany(p => p.Readings).OrderByDescending(r => r.MadeAt).Select(r => new { r.Outcome, r.Rules }).FirstOrDefault(),
            Plans = s.Plans.Count,
        }).ToListAsync();
        return [.. rows.Select(r => new StudentLine(r.Id, r.Code, r.CallName, r.Pages, r.Latest is null ? null : readings.Summary(r.Latest.Outcome, r.Latest.Rules, r.Word), r.Plans))];
    }

    /// <summary>The piles in the order of the work.</summary>
    public async Task<IReadOnlyList<Pile>> PilesAsync()
    {
        var pages = await data.Pages.OrderBy(p => p.CreatedAt).Select(p => new WaitingPage(
            p.Id, p.StudentId, p.State, p.Title, p.Student!.Code, p.Student.CallName, p.ClassSheet == null ? null : p.ClassSheetId, p.ClassSheet!.Class!.Name, p.WrittenOn, p.CreatedAt, p.ItemCount, p.Version,
            p.Readings.OrderByDescending(r => r.MadeAt).Select(r => (int?)r.PageVersion).FirstOrDefault(),
            p.Decisions.Where(d => d.Kind == DecisionKind.Accepted || d.Kind == DecisionKind.PutAside).OrderByDescending(d => d.At).Select(d => (int?)d.PageVersion).FirstOrDefault(),
            p.Plans.Where(q => q.PrintedAt == null && q.PageVersion == p.Version).OrderByDescending(q => q.MadeAt).Select(q => new WaitingPlan(q.Id, q.Content)).FirstOrDefault(), p.Check != null)).ToListAsync();
        var lying = pages.ToLookup(StageOf);
        return
        [
            Pile(Stage.TypeIn, "To type in", "Nothing to type in.", p => Addresses.Page(p.Id), p => p.ReadAt is null ? "" : "items were added"),
            Pile(Stage.Read, "To read", "Nothing waits to be read.", p => Addresses.Reading(p.Id), p => p.ReadAt is null ? "" : "changed since it was read"),
            Pile(Stage.Decide, "To decide", "No explanation waits for you.", p => Addresses.Reading(p.Id), p => p.DecidedAt is null ? "" : "changed since you decided"),
            Pile(Stage.Print, "To print", "No plan waits to be printed.", p => Addresses.Plan(p.Plan!.Id), p => "plan" + PlanDesk.Waits(p.Plan!.Content)),
        ];

        // The pages of a class lie together as one sheet; only plans are each student's own.
        Pile Pile(Stage stage, string name, string empty, Func<WaitingPage, string> address, Func<WaitingPage, string> note) => new(name, empty,
        [
            .. lying[stage].GroupBy(p => stage == Stage.Print ? p.Id : p.ClassSheet ?? p.Id).Select(together => (First: together.First(), Count: together.Count())).Select(p => p.First.ClassSheet is { } sheet && stage != Stage.Print
                ? new PiledSheet(null, p.First.Class ?? "", "", p.First.Title, When(p.First), p.First.Items, $"{p.Count} {(p.Count == 1 ? "student" : "students")}", stage == Stage.TypeIn ? Addresses.ClassSheet(sheet) : Addresses.ClassReading(sheet))
                : new PiledSheet(p.First.Student, p.First.Code, p.First.CallName, p.First.Title, When(p.First), p.First.Items, note(p.First), address(p.First))),
        ]);
    }

    private string When(WaitingPage page) => page.WrittenOn is { } on ? SchoolTime.Date(on) : time.Date(page.CreatedAt);

    private static Stage StageOf(WaitingPage page) =>
        page.State == PageState.Typing ? Stage.TypeIn
        : page.IsCheck ? Stage.Finished // it is read with its plan
        : page.ReadAt != page.Version ? Stage.Read
        : page.DecidedAt != page.Version ? Stage.Decide
        : page.Plan is not null ? Stage.Print
        : Stage.Finished;

    private enum Stage
    {
        TypeIn,
        Read,
        Decide,
        Print,
        Finished,
    }

    private sealed record WaitingPage(
        Guid Id, Guid Student, PageState State, string Title, string Code, string CallName, Guid? ClassSheet, string? Class, DateOnly? WrittenOn, DateTimeOffset CreatedAt, int Items, int Version,
        int? ReadAt, int? DecidedAt, WaitingPlan? Plan, bool IsCheck);

    private sealed record WaitingPlan(Guid Id, string Content);
}
