using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Data;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>One item, replayed step by step: the taught method beside the student's.</summary>
public sealed class ItemModel(PageDesk pages) : PageModel
{
    /// <summary>The page's key.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid Id { get; set; }

    /// <summary>The item's name.</summary>
    [BindProperty(SupportsGet = true)]
    public string Item { get; set; } = "";

    /// <summary>The page.</summary>
    public StudentPage? StudentPage { get; private set; }

    /// <summary>The replay.</summary>
    public ItemFrames? Replay { get; private set; }

    /// <summary>The item before, if any.</summary>
    public string? Before { get; private set; }

    /// <summary>The item after, if any.</summary>
    public string? After { get; private set; }

    /// <summary>Shows the replay.</summary>
    public async Task<IActionResult> OnGetAsync()
    {
        StudentPage = await pages.FindAsync(Id);
        if (StudentPage is null) return NotFound();
        var reading = await pages.ReadAsync(StudentPage);
        var index = reading.Items.ToList().FindIndex(i => i.Item.Id == Item);
        if (index < 0) return NotFound();
        Replay = ItemFrames.Of(reading.Items[index], StudentPage.Student!.Word);
        Before = index > 0 ? Uri.EscapeDataString(reading.Items[index - 1].Item.Id) : null;
        After = index + 1 < reading.Items.Count ? Uri.EscapeDataString(reading.Items[index + 1].Item.Id) : null;
        return Page();
    }
}
