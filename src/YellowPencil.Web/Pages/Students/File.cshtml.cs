using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;
using YellowPencil.Data;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Students;

/// <summary>A line of the file.</summary>
public sealed record FileLine(DateTimeOffset When, string What, string Address, string Result, bool IsOutOfDate = false);

/// <summary>A rule over the pages of a student.</summary>
public sealed record RuleOverTime(string Name, string Course, IReadOnlyList<RuleThen> Pages);

/// <summary>How a rule stood on one page.</summary>
public sealed record RuleThen(string Address, string On, string Title, int Followed, int Shows);

/// <summary>A student's file: pages, readings and plans in order of time.</summary>
public sealed class FileModel(StudentFiles files, PlanDesk plans, ReadingDesk readings, RuleNaming names, Retention retention, SchoolTime time) : PageModel
{
    private const int LargestPlan = 256 * 1024;

    /// <summary>What is wrong with what was sent.</summary>
    public string? Message { get; private set; }

    /// <summary>The student.</summary>
    public Student? Student { get; private set; }

    /// <summary>When the file goes by itself; null where it stays.</summary>
    public DateTimeOffset? KeptUntil { get; private set; }

    /// <summary>What happened, newest first.</summary>
    public IReadOnlyList<FileLine> Events { get; private set; } = [];

    /// <summary>What became of each rule over the pages; empty with fewer than two pages that were read.</summary>
    public IReadOnlyList<RuleOverTime> Rules { get; private set; } = [];

    /// <summary>In what the classroom does not do what is usual.</summary>
    public IEnumerable<(string Question, string Says)> Ways =>
        School.All.Select(q => (Question: q, Answer: Student!.Classroom.School.AnswerTo(q))).Where(w => w.Answer > 0).Select(w => (w.Question.Asks, w.Question.Says[w.Answer]));

    /// <summary>Shows the file.</summary>
    public async Task<IActionResult> OnGetAsync(string code)
    {
        Student = await files.FindAsync(code);
        if (Student is null) return NotFound();
        await ShowAsync();
        return Page();
    }

    /// <summary>Everything about the student as one file.</summary>
    public async Task<IActionResult> OnGetExportAsync(string code, [FromServices] StudentExport export)
    {
        if ((Student = await files.FindAsync(code)) is null) return NotFound();
        this.Shows("export", Student.Id);
        return File(await export.WriteAsync(Student), "application/zip", $"{Student.Code}.zip");
    }

    /// <summary>Keeps a plan that was written by <c>plan --json</c>.</summary>
    public async Task<IActionResult> OnPostPlanAsync(string code, IFormFile? file)
    {
        Student = await files.FindAsync(code);
        if (Student is null) return NotFound();
        if (file is null || file.Length == 0) Message = "Choose the file of a plan first.";
        else if (file.Length > LargestPlan) Message = $"The file has {file.Length / 1024} KB; a plan has at most {LargestPlan / 1024}.";
        else
        {
            await using var text = file.OpenReadStream();
            (var plan, Message) = await plans.TakeAsync(Student, text, HttpContext.RequestAborted);
            if (plan is not null) return Redirect(Addresses.Plan(plan.Id));
        }

        await ShowAsync();
        return Page();
    }

    private async Task ShowAsync()
    {
        this.Shows("file", Student!.Id);
        await names.LoadAsync();
        KeptUntil = await retention.EndOfAsync(Student!);
        Events = [.. (await files.PagesAsync(Student!)).SelectMany(Lines).OrderByDescending(l => l.When)];
        var (rules, read) = await files.HistoryAsync(Student!);
        Rules = [.. rules.Select(line => new RuleOverTime(
            names.Of(line.Rule, Student!.Word), CourseText(line, Student.Word),
            [.. line.Pages.Select(p => new RuleThen(Addresses.Reading(read[p.Page].Id), SchoolTime.Date(read[p.Page].On), read[p.Page].Title, p.Followed, p.Shows))]))];
    }

    private string CourseText(RuleLine line, ClassroomWord word) => line.Course switch
    {
        RuleCourse.Followed => "is followed",
        RuleCourse.Forming => "is followed more than before",
        RuleCourse.ComingLoose => "is coming loose",
        RuleCourse.Gone => "has gone",
        RuleCourse.Returned => "had gone and is back",
        RuleCourse.Replaced => $"has gone; “{names.Of(line.By!, word)}” has taken its place",
        _ => $"no page since has {RuleHistory.LeastWithout} items on which it would show",
    };

    private IEnumerable<FileLine> Lines(FilePage page)
    {
        var word = Student!.Word;
        var name = page.Title.Length > 0 ? page.Title : "a page";
        var written = page.WrittenOn is { } on ? $", written {SchoolTime.Date(on)}" : "";
        var items = page.Items == 1 ? "1 item" : $"{page.Items} items";
        yield return new FileLine(page.CreatedAt, $"Page: {name}", Addresses.Page(page.Id), $"{items}{written}, {(page.State == PageState.Typing ? "to be typed in" : "typed in")}");
        foreach (var reading in page.Readings)
            yield return new FileLine(reading.MadeAt, $"Reading of {name}", Addresses.Reading(page.Id), readings.Summary(reading.Outcome, reading.Rules, word), reading.PageVersion != page.Version);
        foreach (var decision in page.Decisions)
            yield return new FileLine(decision.At, $"{DecisionText.Did(decision.Kind)} by {decision.ByName}: {names.Of(decision.Rules, word)}", Addresses.Reading(page.Id), decision.Text, decision.PageVersion != page.Version);
        foreach (var plan in page.Plans)
            yield return new FileLine(plan.MadeAt, $"Plan: {PlanDesk.NameOf(plan.Rules, word, names)}", Addresses.Plan(plan.Id), (plan.PrintedAt is { } at ? $"printed {time.Date(at)}" : "to be printed") + PlanDesk.Waits(plan.Content), plan.PageVersion != page.Version);
    }
}
