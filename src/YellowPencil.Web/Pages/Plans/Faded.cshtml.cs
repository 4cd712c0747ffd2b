using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Remediation;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Plans;

/// <summary>Faded examples of a plan: the worked one, then others with ever more of the last steps left open.</summary>
public sealed class FadedModel(PlanDesk plans) : PageModel
{
    /// <summary>So many more steps are left open from item to item; the last item is open from the start.</summary>
    private const int StepsMore = 2;

    /// <summary>The plan's key.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid Id { get; set; }

    /// <summary>The plan.</summary>
    public RemediationPlan? Remediation { get; private set; }

    /// <summary>The items, with as much of the work as stands on them.</summary>
    public IReadOnlyList<(int Number, string Written, PagePicture Picture)> Items { get; private set; } = [];

    /// <summary>Shows the sheet.</summary>
    public async Task<IActionResult> OnGetAsync()
    {
        if (await plans.FindAsync(Id) is not { } plan) return NotFound();
        if ((Remediation = await plans.ReadAsync(plan)) is null) return Redirect(Addresses.Plan(Id));
        List<PlanItem> items = [Remediation.Example, .. Remediation.Together, .. Remediation.Alone];
        Items = [.. items.Select((item, at) => (at + 1, item.Written, PagePicture.WithStepsOpen(item.Task, at == items.Count - 1 ? int.MaxValue : StepsMore * at)))];
        return Page();
    }
}
