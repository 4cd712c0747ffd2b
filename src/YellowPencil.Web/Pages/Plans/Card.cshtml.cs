using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Teaching;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Printing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Plans;

/// <summary>The card of a session: a plan on one page, as it lies on the table while it is taught.</summary>
public sealed class CardModel(PlanDesk plans, PdfFiles pdf, SchoolTime time) : PageModel
{
    /// <summary>The plan as kept.</summary>
    public Data.Plan? Plan { get; private set; }

    /// <summary>The card.</summary>
    public SessionCard? Card { get; private set; }

    /// <summary>Shows the card, or its file.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id, string? size = null, string? @as = null)
    {
        if (await plans.FindAsync(id) is not { } plan) return NotFound();
        if (await plans.ReadAsync(plan) is not { } made) return Redirect(Addresses.Plan(id));
        this.Shows("plan", plan.StudentId);
        (Plan, Card) = (plan, new SessionCard(made));
        return @as == "pdf"
            ? File(pdf.Card(Card, size == "letter" ? PaperSize.Letter : PaperSize.A4, $"{made.Student} · plan of {time.Date(plan.MadeAt)}"), "application/pdf", PdfFiles.Name(made.Student, "card"))
            : Page();
    }
}
