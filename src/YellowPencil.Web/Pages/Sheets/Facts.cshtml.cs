using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>Short plans for the number facts that a page shows to be held wrongly.</summary>
public sealed class FactsModel(PageDesk pages, ReadingDesk readings, FactDesk facts) : PageModel
{
    /// <summary>Of the ways to a fact, so many are offered.</summary>
    public const int MostWays = 3;

    /// <summary>The page.</summary>
    public StudentPage? StudentPage { get; private set; }

    /// <summary>A plan for each fact.</summary>
    public IReadOnlyList<FactPlan> Plans { get; private set; } = [];

    /// <summary>Shows the plans.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id)
    {
        if (!await LoadAsync(id)) return NotFound();
        return Page();
    }

    /// <summary>Follows a fact on its own track.</summary>
    public async Task<IActionResult> OnPostAsync(Guid id, string fact)
    {
        if (!await LoadAsync(id)) return NotFound();
        if (Plans.FirstOrDefault(p => p.Fact.ToString() == fact) is { } plan) await facts.BeginAsync(StudentPage!.Student!, plan.Fact, plan.Written);
        return Redirect(Addresses.FactTracks(StudentPage!.Student!.Code));
    }

    private async Task<bool> LoadAsync(Guid id)
    {
        if ((StudentPage = await pages.FindAsync(id)) is null) return false;
        var reading = await readings.ReadAsync(StudentPage, HttpContext.RequestAborted);
        Plans = [.. reading.Facts.Select(f => new FactPlan(reading, f, StudentPage.Student!.Classroom.School))];
        this.Shows("facts", StudentPage.StudentId);
        return true;
    }
}
