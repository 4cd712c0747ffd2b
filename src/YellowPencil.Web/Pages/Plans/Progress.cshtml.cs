using System.Globalization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Printing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Plans;

/// <summary>The weeks of a plan: sessions, checks, how it stands and what comes next.</summary>
public sealed class ProgressModel(PlanDesk plans, WeeksDesk weeks, PdfFiles pdf, SchoolTime time) : PageModel
{
    /// <summary>How it stands.</summary>
    public PlanWeeks? Weeks { get; private set; }

    /// <summary>The plan itself; null where this version has none for its rules.</summary>
    public RemediationPlan? Remediation { get; private set; }

    /// <summary>The slots in which it is taught every week.</summary>
    public IReadOnlyList<string> Seats { get; private set; } = [];

    /// <summary>What is wrong with what was asked.</summary>
    public string? Message { get; private set; }

    /// <summary>Today.</summary>
    public DateOnly Today => time.Today;

    /// <summary>A trend in words.</summary>
    public static string Trend(RobustTrend trend)
    {
        string Points(double level) => string.Create(CultureInfo.InvariantCulture, $"{(level < 0 ? "−" : "+")}{Math.Abs(100 * level):0}");
        return $"{Points(trend.PerWeek)} in 100 a week{(trend is { Low: { } low, High: { } high } ? $" (between {Points(low)} and {Points(high)}, nine times in ten)" : "")}";
    }

    /// <summary>What the rule for the end of a session says of one.</summary>
    public SessionEnd EndOf(Session session) => Remediation is null ? new SessionEnd(SessionNext.NotSaid, "") : SessionEnd.Of(new SessionCard(Remediation).Items, session.Ticks);

    /// <summary>Shows it, or its file.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id, string? size = null, string? @as = null)
    {
        if (await LoadAsync(id) is not { } plan) return NotFound();
        return @as == "pdf" && Remediation is not null
            ? File(pdf.Progress(Weeks!, Remediation, size == "letter" ? PaperSize.Letter : PaperSize.A4, $"{plan.Student!.Code} · {SchoolTime.Date(Today)}"), "application/pdf", PdfFiles.Name(plan.Student.Code, "progress"))
            : Page();
    }

    /// <summary>Begins a session.</summary>
    public async Task<IActionResult> OnPostSessionAsync(Guid id)
    {
        if (await plans.FindAsync(id) is not { } plan) return NotFound();
        return Redirect(Addresses.Session((await weeks.BeginSessionAsync(plan)).Id));
    }

    /// <summary>Sets the next check and shows it on paper.</summary>
    public async Task<IActionResult> OnPostCheckAsync(Guid id)
    {
        if (await plans.FindAsync(id) is not { } plan) return NotFound();
        if (await weeks.SetCheckAsync(plan) is { } page) return Redirect(Addresses.Sheet(page));
        await LoadAsync(id);
        Message = "This version has no items for a check of this plan: its rules are not kept with it, or they show on too few items.";
        return Page();
    }

    /// <summary>Closes the plan, or takes it up again.</summary>
    public async Task<IActionResult> OnPostCloseAsync(Guid id, bool closed = true)
    {
        if (await plans.FindAsync(id) is not { } plan) return NotFound();
        await weeks.CloseAsync(plan, closed);
        return Redirect(Addresses.Progress(id));
    }

    private async Task<Data.Plan?> LoadAsync(Guid id)
    {
        if (await plans.FindAsync(id) is not { } plan) return null;
        this.Shows("progress", plan.StudentId);
        Remediation = await plans.ReadAsync(plan);
        Weeks = await weeks.OfAsync(plan);
        Seats = await weeks.SeatsAsync(plan);
        return plan;
    }
}
