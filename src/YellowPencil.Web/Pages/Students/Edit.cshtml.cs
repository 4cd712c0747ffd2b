using Microsoft.AspNetCore.Mvc;
using YellowPencil.Data;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Students;

/// <summary>Changing what a student's file says on its cover, or throwing it away.</summary>
public sealed class EditModel(StudentFiles files, Removals removals) : CoverModel
{
    /// <summary>The student as kept.</summary>
    public Student? Kept { get; private set; }

    /// <inheritdoc/>
    public override string KeptAs => $"edit-student-{Kept?.Id}";

    /// <summary>Shows the form.</summary>
    public async Task<IActionResult> OnGetAsync(string student)
    {
        Kept = await files.FindAsync(student);
        if (Kept is null) return NotFound();
        (Code, CallName, Word) = (Kept.Code, Kept.CallName, Kept.Word);
        return Page();
    }

    /// <summary>Saves it.</summary>
    public async Task<IActionResult> OnPostAsync(string student)
    {
        Kept = await files.FindAsync(student);
        if (Kept is null) return NotFound();
        Message = await files.EditAsync(Kept, Code ?? "", CallName ?? "", Word);
        return Message is null ? Redirect(Addresses.Student(Kept.Code)) : Page();
    }

    /// <summary>Throws the file away.</summary>
    public async Task<IActionResult> OnPostThrowAwayAsync(string student)
    {
        Kept = await files.FindAsync(student);
        if (Kept is null) return NotFound();
        TempData["Thrown"] = (await removals.ThrowAsync(Kept)).ToString();
        return Redirect(Addresses.Desk);
    }
}
