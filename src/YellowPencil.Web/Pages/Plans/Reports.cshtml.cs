using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Printing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Plans;

/// <summary>Reports about a plan: proposed from the file, changed by hand, kept as they were given out.</summary>
public sealed class ReportsModel(PlanDesk plans, WeeksDesk weeks, PdfFiles pdf, SchoolTime time, CurrentSpecialist who) : PageModel
{
    /// <summary>The longest report, in characters: it stands on one page.</summary>
    public const int Longest = 3_000;

    /// <summary>The plan as kept.</summary>
    public Data.Plan? Plan { get; private set; }

    /// <summary>To whom the report goes that is shown.</summary>
    public ReportKind Kind { get; private set; }

    /// <summary>What it says.</summary>
    public string Text { get; private set; } = "";

    /// <summary>The reports that were given out, newest first.</summary>
    public IReadOnlyList<SentReport> Given { get; private set; } = [];

    /// <summary>What is wrong with what was sent.</summary>
    public string? Message { get; private set; }

    /// <summary>Shows a report as it is proposed, or one that was given out, or its file.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id, ReportKind kind = ReportKind.Teacher, Guid? given = null, string? size = null, string? @as = null)
    {
        if (await LoadAsync(id, kind) is not { } made) return Plan is null ? NotFound() : Redirect(Addresses.Plan(id));
        if (given is { } one)
        {
            if (Given.FirstOrDefault(r => r.Id == one) is not { } report) return NotFound();
            (Kind, Text) = (report.Kind, report.Text);
        }

        return @as == "pdf"
            ? File(pdf.Report(Core.Progress.Reports.NameOf(Kind), made.Student, Text, size == "letter" ? PaperSize.Letter : PaperSize.A4, $"{made.Student} · {SchoolTime.Date(time.Today)}"), "application/pdf", PdfFiles.Name(made.Student, Kind.ToString()))
            : Page();
    }

    /// <summary>Keeps a report as it is given out.</summary>
    public async Task<IActionResult> OnPostAsync(Guid id, ReportKind kind, string? text)
    {
        if (await LoadAsync(id, kind) is null) return NotFound();
        Text = (text ?? "").ReplaceLineEndings("\n").Trim();
        Message = Text.Length == 0 ? "Nothing is left of the report."
            : Text.Length > Longest ? $"The report has {Text.Length} characters; on one page there is room for {Longest}."
            : Core.Progress.Reports.UnwantedIn(kind, Text) is { } word ? word == "%" ? "“%”: no percentage without its “of how many”, and none to families." : $"“{word}…” may not stand in a report: say what was written and what to do."
            : null;
        if (Message is not null) return Page();
        var report = await weeks.GiveAsync(Plan!, kind, Text);
        return Redirect($"{Addresses.Reports(id)}?given={report.Id}");
    }

    private async Task<RemediationPlan?> LoadAsync(Guid id, ReportKind kind)
    {
        Plan = await plans.FindAsync(id);
        if (Plan is null || await plans.ReadAsync(Plan) is not { } made) return null;
        this.Shows("reports", Plan.StudentId);
        var standing = await weeks.OfAsync(Plan);
        (Kind, Given) = (kind, await weeks.GivenAsync(Plan));
        var proposed = string.Join("\n\n", Core.Progress.Reports.Of(kind, made, standing.Series, [.. standing.Sessions.Select(s => s.HeldOn)], standing.Due));
        Text = who.Account!.HasDecimalComma == true ? DecimalSign.WithComma(proposed) : proposed;
        return made;
    }
}
