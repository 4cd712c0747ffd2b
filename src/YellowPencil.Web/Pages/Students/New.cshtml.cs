using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Notation;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Students;

/// <summary>Adding a student.</summary>
public sealed class NewModel(StudentFiles files) : PageModel
{
    /// <summary>The code as typed.</summary>
    [BindProperty]
    public string? Code { get; set; }

    /// <summary>The name as typed.</summary>
    [BindProperty]
    public string? CallName { get; set; }

    /// <summary>The classroom's word.</summary>
    [BindProperty]
    public ClassroomWord Word { get; set; }

    /// <summary>What is wrong, if anything.</summary>
    public string? Message { get; private set; }

    /// <summary>Adds the student.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        Message = await files.AddAsync(Code ?? "", CallName ?? "", Word);
        if (Message is not null) return Page();
        TempData["Taken"] = "new-student";
        return Redirect($"/students/{Uri.EscapeDataString(Code!.Trim())}");
    }
}
