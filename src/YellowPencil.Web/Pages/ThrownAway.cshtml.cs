using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Data;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages;

/// <summary>The log of what was thrown away, and taking it back.</summary>
[ShowsNoStudent]
public sealed class ThrownAwayModel(Removals removals) : PageModel
{
    /// <summary>The log, newest first.</summary>
    public IReadOnlyList<Removal> Log { get; private set; } = [];

    /// <summary>What is wrong, if anything.</summary>
    public string? Message { get; private set; }

    /// <summary>Whether a removal can still be undone.</summary>
    public bool CanUndo(Removal removal) => removals.CanUndo(removal);

    /// <summary>Shows the log.</summary>
    public async Task OnGetAsync() => Log = await removals.LogAsync();

    /// <summary>Takes something back.</summary>
    public async Task<IActionResult> OnPostAsync(Guid id)
    {
        Message = await removals.UndoAsync(id);
        if (Message is null) return Redirect(Addresses.ThrownAway);
        Log = await removals.LogAsync();
        return Page();
    }
}
