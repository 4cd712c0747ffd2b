using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Probes;
using YellowPencil.Core.Working;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>Beginning a page: the set items.</summary>
public sealed class NewModel(StudentFiles files, PageDesk pages) : PageModel
{
    /// <summary>The student's code.</summary>
    [BindProperty(SupportsGet = true)]
    public string Code { get; set; } = "";

    /// <summary>The items as typed.</summary>
    [BindProperty]
    public string? Items { get; set; }

    /// <summary>The name of the page.</summary>
    [BindProperty(Name = "title")]
    public string? PageTitle { get; set; }

    /// <summary>When it was written.</summary>
    [BindProperty]
    public DateOnly? WrittenOn { get; set; }

    /// <summary>What is wrong, line by line.</summary>
    public IReadOnlyList<string> Faults { get; private set; } = [];

    /// <summary>Shows the form, with designed items if asked for.</summary>
    public async Task<IActionResult> OnGetAsync(int? designed)
    {
        if (await files.FindAsync(Code) is not { } student) return NotFound();
        if (designed is { } count)
            Items = string.Join('\n', SheetDesign.Of(Family.Subtraction, Math.Clamp(count, 1, 30), seed: 7 + student.Pages.Count).Select(t => t.Text));
        return Page();
    }

    /// <summary>Begins the page.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        if (await files.FindAsync(Code) is not { } student) return NotFound();
        var items = ItemList.TryParse(Items ?? "", [Family.Subtraction], out var faults);
        if (PageTitle is { Length: > 200 }) faults = [.. faults, "The name of the page has more than 200 characters."];
        if (!ModelState.IsValid) faults = [.. faults, "The date cannot be read."];
        Faults = faults;
        if (faults.Count > 0) return Page();
        var page = await pages.BeginAsync(student, PageTitle?.Trim() ?? "", WrittenOn, items);
        TempData["Taken"] = $"new-page-{Code}";
        return Redirect($"/pages/{page.Id}");
    }
}
