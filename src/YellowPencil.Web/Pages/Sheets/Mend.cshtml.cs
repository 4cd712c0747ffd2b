using System.Text.Json;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Data;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>A page that cannot be read as it is stored: what is wrong, and its text, which can be mended or thrown away.</summary>
public sealed class MendModel(PageDesk pages, Removals removals) : PageModel
{
    private static readonly JsonSerializerOptions Readable = new() { WriteIndented = true, Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping };

    /// <summary>The page.</summary>
    public StudentPage? StudentPage { get; private set; }

    /// <summary>Its text, in the worked-sheet format.</summary>
    [BindProperty]
    public string? Text { get; set; }

    /// <summary>What is wrong with it.</summary>
    public string Fault { get; private set; } = "";

    /// <summary>Shows it; a page that can be read is shown as pages are.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id)
    {
        if ((StudentPage = await pages.FindAsync(id)) is null) return NotFound();
        if (PageDesk.TryStoredSheet(StudentPage, out var fault) is not null) return Redirect(Addresses.Page(id));
        this.Shows("page", StudentPage.StudentId);
        using var stored = JsonDocument.Parse(StudentPage.Content);
        (Fault, Text) = (fault!.ToString(), JsonSerializer.Serialize(stored.RootElement, Readable));
        return Page();
    }

    /// <summary>Takes the mended text.</summary>
    public async Task<IActionResult> OnPostAsync(Guid id)
    {
        if ((StudentPage = await pages.HoldAsync(id)) is null) return NotFound();
        if (await pages.MendAsync(StudentPage, Text ?? "") is not { } fault) return Redirect(Addresses.Page(id));
        this.Shows("page", StudentPage.StudentId);
        Fault = fault.ToString();
        return Page();
    }

    /// <summary>Throws the page away.</summary>
    public async Task<IActionResult> OnPostThrowAwayAsync(Guid id)
    {
        if ((StudentPage = await pages.HoldAsync(id)) is null) return NotFound();
        TempData["Thrown"] = (await removals.ThrowAsync(StudentPage)).ToString();
        return Redirect(Addresses.Student(StudentPage.Student!.Code));
    }
}
