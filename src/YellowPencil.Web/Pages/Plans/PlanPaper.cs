using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Pages.Sheets;
using YellowPencil.Web.Printing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Plans;

/// <summary>A paper of a plan for the student, on a page or as a PDF file.</summary>
public abstract class PlanPaper(PlanDesk plans, CurrentSpecialist who, PdfFiles pdf) : PageModel
{
    /// <summary>The plan's key.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid Id { get; set; }

    /// <summary>The plan.</summary>
    public RemediationPlan? Remediation { get; private set; }

    /// <summary>The paper.</summary>
    public PaperView? Paper { get; private set; }

    /// <summary>What the paper is called in the name of a file.</summary>
    protected abstract string FileName { get; }

    /// <summary>Shows the paper.</summary>
    public async Task<IActionResult> OnGetAsync(PaperWish wish)
    {
        if (await plans.FindAsync(Id) is not { } plan) return NotFound();
        if ((Remediation = await plans.ReadAsync(plan)) is null) return Redirect(Addresses.Plan(Id));
        this.Shows("plan", plan.StudentId);
        Paper = View(Remediation, School.Parse(Remediation.School), wish);
        return wish.IsPdf ? File(pdf.Sheet(Paper, who.Account!.HasNameLine), "application/pdf", PdfFiles.Name(Remediation.Student, wish.IsKey ? "key" : FileName)) : Page();
    }

    /// <summary>Puts the paper together.</summary>
    protected abstract PaperView View(RemediationPlan plan, School school, PaperWish wish);

    /// <summary>What the key of a plan's items says.</summary>
    protected static List<KeyLine> Key(IEnumerable<PlanItem> items) =>
        [.. items.Select((item, i) => new KeyLine($"{i + 1}", item.Written, item.RightWritten, item.Shows ? [(item.OldWritten, "the old rule come back")] : []))];

    /// <summary>The name of an item on paper.</summary>
    protected static string Name(int number, PlanItem item) => $"{number} {item.Task.Asked.Words}".TrimEnd();
}
