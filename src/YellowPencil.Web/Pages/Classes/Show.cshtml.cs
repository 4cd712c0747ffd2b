using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;
using YellowPencil.Web.Classes;
using YellowPencil.Web.Forms;

namespace YellowPencil.Web.Pages.Classes;

/// <summary>A class: its sheets and its students.</summary>
public sealed class ShowModel(ClassDesk classes, PencilContext data) : PageModel
{
    /// <summary>The class.</summary>
    public SchoolClass? Kept { get; private set; }

    /// <summary>How many students have each sheet.</summary>
    public IReadOnlyDictionary<Guid, int> Having { get; private set; } = new Dictionary<Guid, int>();

    /// <summary>Shows the class.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id)
    {
        if ((Kept = await classes.FindAsync(id)) is null) return NotFound();
        this.Shows("class", Kept.Students.Select(s => s.Id));
        Having = await data.Pages.Where(p => p.ClassSheet!.ClassId == id).GroupBy(p => p.ClassSheetId!.Value).Select(g => new { g.Key, Count = g.Count() }).ToDictionaryAsync(g => g.Key, g => g.Count);
        return Page();
    }
}
