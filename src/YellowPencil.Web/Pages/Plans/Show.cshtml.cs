using Microsoft.AspNetCore.Html;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Notation;
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

    /// <summary>Throws the plan away.</summary>
    public async Task<IActionResult> OnPostThrowAwayAsync(Guid id)
    {
        if (await plans.FindAsync(id) is not { } plan) return NotFound();
        TempData["Thrown"] = (await removals.ThrowAsync(plan)).ToString();
        return Redirect(Addresses.Student(plan.Student!.Code));
    }

    /// <summary>A task with a proper minus sign.</summary>
    public static string Minus(PlanItem item) => Signs.Printed(item.Task.Text);

    /// <summary>What the old rule gives.</summary>
    public static string Old(PlanItem item) => item.OldAnswer.Length == 0 ? "a blank" : item.OldAnswer;

    /// <summary>Items to be worked, with room for their marks, in one line.</summary>
    public static IReadOnlyList<PagePicture> Blanks(IReadOnlyList<PlanItem> items)
    {
        var pictures = items.Select(i => PagePicture.WithRoom(i.Task)).ToList();
        return pictures;
    }

    /// <summary>The worked example, with every mark.</summary>
    public static PagePicture Solved(RemediationPlan plan) =>
        PagePicture.Of(WorkedItem.Of("", plan.Example.Task) with { Answer = plan.Example.Right, Work = plan.ExampleWork });

    /// <summary>A list of items with its key.</summary>
    public static IHtmlContent Key(IReadOnlyList<PlanItem> items, int from, string title)
    {
        var table = new HtmlContentBuilder().AppendHtml("<table class=\"ledger\"><caption class=\"text-left\">").Append(title)
            .AppendHtml("</caption><thead><tr><th></th><th>Item</th><th class=\"number\">Right</th><th class=\"number\">Old rule</th></tr></thead><tbody>");
        for (var i = 0; i < items.Count; i++)
            table.AppendFormat("<tr><td>{0}</td><td>{1}</td><td class=\"number\">{2}</td><td class=\"number\">{3}</td></tr>", from + i, Minus(items[i]), items[i].Right, items[i].Shows ? Old(items[i]) : "the same");
        return table.AppendHtml("</tbody></table>");
    }
}
