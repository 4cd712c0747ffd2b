using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;
using YellowPencil.Core.Telling;
using YellowPencil.Data;
using YellowPencil.Web.Week;

namespace YellowPencil.Web.Services;

/// <summary>One pile on the desk.</summary>
public sealed record Pile(string Name, string Empty, IReadOnlyList<PiledSheet> Sheets)
{
    /// <summary>The lines of the pile: where the same was found on several sheets, these come first and together, under what they share, and then the others.</summary>
    public IReadOnlyList<(string? Shared, PiledSheet Sheet)> Lines
    {
        get
        {
            var shared = Sheets.Where(s => s.Finding is not null).GroupBy(s => s.Finding!).Where(g => g.Count() > 1).OrderByDescending(g => g.Count()).ToList();
            var others = Sheets.Where(s => shared.TrueForAll(g => g.Key != s.Finding));
            return
            [
                .. shared.SelectMany(g => g.Select((sheet, at) => (at == 0 ? $"{g.Key}: {g.Count()} students" : null, sheet with { Finding = null }))),
                .. others.Select((sheet, at) => (at == 0 && shared.Count > 0 ? "Others" : null, sheet)),
            ];
        }
    }

    /// <summary>The pile with the sheets only in which a text stands.</summary>
    public Pile With(string text) => text.Length == 0 ? this : this with { Sheets = [.. Sheets.Where(s => s.Holds(text))] };
}

/// <summary>What lies in a pile: whose, what, when, what is to be known about it, and what else waits of the same student.</summary>
public sealed record PiledSheet(Guid? Student, string Code, string CallName, string Title, string When, string Note, string Address)
{
    /// <summary>What else waits of the same student, further down in the order of the work.</summary>
    public IReadOnlyList<PiledSheet> Also { get; init; } = [];

    /// <summary>What was found and waits to be decided on; null where nothing does.</summary>
    public string? Finding { get; init; }

    /// <summary>Whether a text stands in it, or in what else waits of the student.</summary>
    public bool Holds(string text) => $"{Code} {CallName} {Title} {Note} {Finding}".Contains(text, StringComparison.OrdinalIgnoreCase) || Also.Any(a => a.Holds(text));
}

/// <summary>One student in the list.</summary>
public sealed record StudentLine(Guid Id, string Code, string CallName, int Pages, string? Latest, int Plans);

/// <summary>What waits for the specialist: each student lies in exactly one pile, by what comes first of it, and so does each sheet of a class.</summary>
public sealed class Desk(PencilContext data, ReadingDesk readings, RuleNaming names, SchoolTime time)
{
    private static readonly (Stage Stage, string Name, string Empty)[] Named =
    [
        (Stage.TypeIn, "To type in", "Nothing to type in."),
        (Stage.Read, "To read", "Nothing waits to be read."),
        (Stage.Decide, "To decide", "No explanation waits for you."),
        (Stage.Print, "To print", "No plan waits to be printed."),
        (Stage.Check, "To check", "No check is due."),
        (Stage.Taught, "Being taught", "Nobody is being taught."),
        (Stage.LookAgain, "Look again on", "Nobody has to be looked at again."),
    ];

    /// <summary>
    /// The students in the order of their codes, with what their latest reading came to; without those who are only known by the sheets of a class.
    /// </summary>
    /// <param name="isArchived">Whether those in the archive are asked for, or those on the desk.</param>
    public async Task<IReadOnlyList<StudentLine>> StudentsAsync(bool isArchived)
    {
        await names.LoadAsync();
        var rows = await data.Students.Where(s => s.ArchivedAt != null == isArchived).Where(s => isArchived || s.Classes.Count == 0 || s.CallName != "" || s.Plans.Count > 0 || s.Pages.Any(p => p.ClassSheetId == null)).OrderBy(s => s.CodeKey).Select(s => new
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

    /// <summary>How many files lie in the archive.</summary>
    public Task<int> ArchivedAsync() => data.Students.CountAsync(s => s.ArchivedAt != null);

    /// <summary>The piles in the order of the work.</summary>
    /// <param name="weeks">How it stands with what is taught.</param>
    /// <param name="next">The next session of plans that have one.</param>
    /// <param name="facts">The number facts that are learnt.</param>
    public async Task<IReadOnlyList<Pile>> PilesAsync(
        IReadOnlyList<PlanWeeks> weeks, IReadOnlyDictionary<Guid, (DateOnly Day, TimeOnly At)> next, IReadOnlyList<(Student Student, TrackedFact Fact)> facts)
    {
        await names.LoadAsync();
        var pages = await data.Pages.Where(p => p.Check == null && (p.ClassSheetId != null || p.Student!.ArchivedAt == null)).OrderBy(p => p.CreatedAt).Select(p => new WaitingPage(
            p.Id, p.StudentId, p.State, p.Title, p.Student!.Code, p.Student.CallName, p.ClassSheet == null ? null : p.ClassSheetId, p.ClassSheet!.Class!.Name, p.WrittenOn, p.CreatedAt, p.ItemCount, p.Version,
            p.Readings.OrderByDescending(r => r.MadeAt).Select(r => (int?)r.PageVersion).FirstOrDefault(),
            p.Decisions.Where(d => d.Kind == DecisionKind.Accepted || d.Kind == DecisionKind.PutAside || d.Kind == DecisionKind.Own).OrderByDescending(d => d.At).Select(d => (int?)d.PageVersion).FirstOrDefault(),
            p.Plans.Where(q => q.PrintedAt == null && q.ClosedAt == null && q.PageVersion == p.Version).OrderByDescending(q => q.MadeAt).Select(q => new WaitingPlan(q.Id, q.Content)).FirstOrDefault(),
            p.Readings.OrderByDescending(r => r.MadeAt).Select(r => new WaitingFinding(r.Outcome, r.Rules)).FirstOrDefault(), p.Student.Word, p.IsWrittenSo)).ToListAsync();
        var waiting = pages.Where(p => StageOf(p) < Stage.Finished).ToList();

        // The pages of a class lie together as one sheet; only plans are each student's own.
        var sheets = waiting.Where(p => p.ClassSheet is not null && StageOf(p) != Stage.Print).GroupBy(p => (Sheet: p.ClassSheet!.Value, Stage: StageOf(p)))
            .Select(g => (g.Key.Stage, Sheet: new PiledSheet(
                null, g.First().Class ?? "", "", g.First().Title, When(g.First()), $"{Items(g.First().Items)}, {Count(g.Count(), "student")}", g.Key.Stage == Stage.TypeIn ? Addresses.ClassSheet(g.Key.Sheet) : Addresses.ClassReading(g.Key.Sheet))));
        var own = waiting.Where(p => p.ClassSheet is null || StageOf(p) == Stage.Print).Select(p => (Stage: StageOf(p), Sheet: SheetOf(p)))
            .Concat(weeks.Where(w => w.Plan.PrintedAt is not null || w.Sessions.Count > 0 || w.Series.Checks.Count > 0 || w.Open is not null).Select(w => TaughtOf(w, next)))
            .Concat(facts.Where(f => f.Student.ArchivedAt is null).Select(f => LearntOf(f.Student, f.Fact)))
            .GroupBy(o => o.Sheet.Student).Select(g => g.OrderBy(o => o.Stage).ToList())
            .Select(g => (g[0].Stage, Sheet: g[0].Sheet with { Also = [.. g.Skip(1).Select(o => o.Sheet)] }));
        var lying = sheets.Concat(own).ToLookup(o => o.Stage, o => o.Sheet);
        return [.. Named.Select(n => new Pile(n.Name, n.Empty, [.. lying[n.Stage]]))];
    }

    private PiledSheet SheetOf(WaitingPage page)
    {
        var (note, address) = StageOf(page) switch
        {
            Stage.TypeIn => (page.ReadAt is null ? "" : "items were added", Addresses.Page(page.Id)),
            Stage.Read => (page.ReadAt is null ? "" : "changed since it was read", Addresses.Reading(page.Id)),
            Stage.Decide => (page.DecidedAt is null ? "" : "changed since you decided", Addresses.Reading(page.Id)),
            _ => ("plan" + PlanDesk.Waits(page.Plan!.Content), Addresses.Plan(page.Plan.Id)),
        };
        return new PiledSheet(page.Student, page.Code, page.CallName, page.Title, When(page), string.Join(", ", new[] { Items(page.Items), note }.Where(n => n.Length > 0)), address)
        {
            Finding = StageOf(page) == Stage.Decide && Found(page) is { Length: > 0 } found ? found : null,
        };
    }

    private string Found(WaitingPage page) => page.Found is not { } found ? ""
        : page.IsWrittenSo != true && Hypothesis.Parse(found.Rules) is { } rules && PageNotes.HasTurnedDigits(rules) ? "to ask: from which side was it typed in?"
        : readings.Summary(found.Outcome, found.Rules, page.Word);

    private (Stage Stage, PiledSheet Sheet) TaughtOf(PlanWeeks weeks, IReadOnlyDictionary<Guid, (DateOnly Day, TimeOnly At)> next)
    {
        var (plan, decision) = (weeks.Plan, weeks.Series.Decision);
        var stands = ProgressRules.NameOf(decision.State);
        var sheet = new PiledSheet(plan.StudentId, plan.Student!.Code, plan.Student.CallName, PlanDesk.NameOf(plan, names), "", stands, Addresses.Progress(plan.Id));
        if (weeks.Open is { } open) return (Stage.Check, sheet with { When = $"check {open.Number} to type in", Address = Addresses.Page(open.PageId) });
        if (weeks.Due is not { } due) return (Stage.Decide, sheet with { Note = $"{stands}: close the plan" });
        if (due <= time.Today && weeks.Sessions.Count > 0) return (Stage.Check, sheet with { When = $"due {SchoolTime.Weekday(due)}" });
        if (weeks.Series.GoneAt is not null) return (Stage.LookAgain, sheet with { When = SchoolTime.Date(due) });
        return (Stage.Taught, sheet with { When = $"session {weeks.Sessions.Count + 1}{(next.TryGetValue(plan.Id, out var at) ? $", {SchoolTime.Weekday(at.Day)} {at.At:H\\:mm}" : "")}" });
    }

    private (Stage Stage, PiledSheet Sheet) LearntOf(Student student, TrackedFact fact)
    {
        var due = fact.Track.Due!.Value;
        var when = due <= time.Today ? "two minutes, due" : $"two minutes, on {SchoolTime.Weekday(due)}";
        return (due <= time.Today ? Stage.Check : Stage.Taught, new PiledSheet(student.Id, student.Code, student.CallName, FactPlan.Say(fact.Fact), when, fact.Track.Says, Addresses.FactTracks(student.Code)));
    }

    private string When(WaitingPage page) => page.WrittenOn is { } on ? SchoolTime.Date(on) : time.Date(page.CreatedAt);

    private static string Items(int count) => Count(count, "item");

    private static string Count(int count, string what) => $"{count} {what}{(count == 1 ? "" : "s")}";

    private static Stage StageOf(WaitingPage page) =>
        page.State == PageState.Typing ? Stage.TypeIn
        : page.ReadAt != page.Version ? Stage.Read
        : page.DecidedAt != page.Version ? Stage.Decide
        : page.Plan is not null ? Stage.Print
        : Stage.Finished;

    /// <summary>Where something stands, in the order of the work.</summary>
    private enum Stage
    {
        TypeIn,
        Read,
        Decide,
        Print,
        Check,
        Taught,
        LookAgain,
        Finished,
    }

    private sealed record WaitingPage(
        Guid Id, Guid Student, PageState State, string Title, string Code, string CallName, Guid? ClassSheet, string? Class, DateOnly? WrittenOn, DateTimeOffset CreatedAt, int Items, int Version,
        int? ReadAt, int? DecidedAt, WaitingPlan? Plan, WaitingFinding? Found, Core.Notation.ClassroomWord Word, bool? IsWrittenSo);

    private sealed record WaitingFinding(string Outcome, string Rules);

    private sealed record WaitingPlan(Guid Id, string Content);
}
