using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Notation;
using YellowPencil.Data;
using YellowPencil.Web.Classes;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Classes;

/// <summary>Putting a class together, changing it, or throwing it away.</summary>
public sealed class EditModel(ClassDesk classes, Removals removals) : PageModel
{
    /// <summary>The class as kept; null while it is put together.</summary>
    public SchoolClass? Kept { get; private set; }

    /// <summary>Its name, as typed.</summary>
    [BindProperty]
    public string? Name { get; set; }

    /// <summary>The codes of its students, as typed.</summary>
    [BindProperty]
    public string? Codes { get; set; }

    /// <summary>The classroom's word.</summary>
    [BindProperty]
    public ClassroomWord Word { get; set; }

    /// <summary>What is wrong.</summary>
    public IReadOnlyList<string> Faults { get; private set; } = [];

    /// <summary>The name under which the browser keeps what is typed.</summary>
    public string KeptAs => Kept is null ? "new-class" : $"edit-class-{Kept.Id}";

    /// <summary>Shows the form.</summary>
    public async Task<IActionResult> OnGetAsync(Guid? id)
    {
        if (id is { } asked && (Kept = await classes.FindAsync(asked)) is null) return NotFound();
        this.Shows("class", Kept?.Students.Select(s => s.Id) ?? []);
        if (Kept is not null) (Name, Codes, Word) = (Kept.Name, string.Join('\n', Kept.Students.Select(s => s.Code)), Kept.Word);
        return Page();
    }

    /// <summary>Keeps the class.</summary>
    public async Task<IActionResult> OnPostAsync(Guid? id)
    {
        if (id is { } asked && (Kept = await classes.FindAsync(asked)) is null) return NotFound();
        this.Shows("class", Kept?.Students.Select(s => s.Id) ?? []);
        var (made, faults) = await classes.KeepAsync(Kept, Name ?? "", Codes ?? "", Word);
        Faults = faults;
        return made is null ? Page() : Redirect(Addresses.Class(made.Id));
    }

    /// <summary>Throws the class away.</summary>
    public async Task<IActionResult> OnPostThrowAwayAsync(Guid id)
    {
        if (await classes.FindAsync(id) is not { } kept) return NotFound();
        TempData["Thrown"] = (await removals.ThrowAsync(kept)).ToString();
        return Redirect(Addresses.Desk);
    }
}
