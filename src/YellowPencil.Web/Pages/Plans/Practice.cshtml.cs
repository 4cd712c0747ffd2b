using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Remediation;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Plans;

/// <summary>The practice items of a plan on squared paper, for the student.</summary>
public sealed class PracticeModel(PlanDesk plans) : PageModel
{
    /// <summary>The plan's key.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid Id { get; set; }

    /// <summary>The plan.</summary>
    public RemediationPlan? Remediation { get; private set; }

    /// <summary>The two phases with the number of their first item.</summary>
    public IReadOnlyList<(string Title, IReadOnlyList<PlanItem> Items, int From)> Parts =>
        [("First day", Remediation!.PracticeFirst, 1), ("Another day", Remediation.PracticeMixed, Remediation.PracticeFirst.Count + 1)];

    /// <summary>Shows the sheet.</summary>
    public async Task<IActionResult> OnGetAsync()
    {
        if (await plans.FindAsync(Id) is not { } plan) return NotFound();
        Remediation = await plans.ReadAsync(plan);
        return Remediation is null ? Redirect(Addresses.Plan(Id)) : Page();
    }
}
