using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Remediation;
using YellowPencil.Core.Working;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Plans;

/// <summary>A plan, on the screen and on paper.</summary>
public sealed class ShowModel(PlanDesk plans, PageDesk pages, RuleNaming names, Removals removals) : PageModel
{
    /// <summary>The plan as kept.</summary>
    public Data.Plan? Plan { get; private set; }

    /// <summary>The plan itself; null where its rules are of an earlier catalogue.</summary>
    public RemediationPlan? Remediation { get; private set; }

    /// <summary>What its rules are called.</summary>
    public string RuleNames => names.Of(Plan!.Rules, Plan.Word);

    /// <summary>Whether the page was changed since the plan was made.</summary>
    public bool IsOutOfDate => Plan!.Page is { } page && page.Version != Plan.PageVersion;

    /// <summary>Shows the plan.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id)
    {
        Plan = await plans.FindAsync(id);
        if (Plan is null) return NotFound();
        await pages.LogLookAsync(Plan.StudentId, "plan");
        Remediation = await plans.ReadAsync(Plan);
        await names.LoadAsync();
        return Page();
    }

    /// <summary>Says that it was printed, which takes it off the desk, or that it was not after all.</summary>
    public async Task<IActionResult> OnPostAsync(Guid id, bool printed = true)
    {
        if (await plans.FindAsync(id) is not { } plan) return NotFound();
        await plans.MarkPrintedAsync(plan, printed);
        return Redirect(Addresses.Plan(id));
    }

    /// <summary>What is wrong with what was sent.</summary>
    public string? Message { get; private set; }

    /// <summary>Puts another item with the same claim into the place of one.</summary>
    public async Task<IActionResult> OnPostSwapAsync(Guid id, string? item)
    {
        if (await plans.FindAsync(id) is not { } plan) return NotFound();
        if ((Message = await plans.SwapAsync(plan, item ?? "")) is null) return Redirect(Addresses.Plan(id));
        (Plan, Remediation) = (plan, await plans.ReadAsync(plan));
        await names.LoadAsync();
        return Page();
    }

    /// <summary>Throws the plan away.</summary>
    public async Task<IActionResult> OnPostThrowAwayAsync(Guid id)
    {
        if (await plans.FindAsync(id) is not { } plan) return NotFound();
        TempData["Thrown"] = (await removals.ThrowAsync(plan)).ToString();
        return Redirect(Addresses.Student(plan.Student!.Code));
    }

    /// <summary>Items to be worked, with room for their marks, in one line.</summary>
    public static IReadOnlyList<PagePicture> Blanks(IReadOnlyList<PlanItem> items) => [.. items.Select(i => PagePicture.WithRoom(i.Task))];

    /// <summary>The worked example, with every mark.</summary>
    public static PagePicture Solved(RemediationPlan plan) =>
        PagePicture.Of(WorkedItem.Of("", plan.Example.Task) with { Answer = plan.Example.Right, Work = plan.ExampleWork });
}
