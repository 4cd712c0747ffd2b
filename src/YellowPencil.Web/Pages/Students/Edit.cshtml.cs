using Microsoft.AspNetCore.Mvc;
using YellowPencil.Core.Pages;
using YellowPencil.Data;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Students;

/// <summary>Changing what a student's file says on its cover, or throwing it away.</summary>
public sealed class EditModel(StudentFiles files, PlanDesk plans, Removals removals) : CoverModel
{
    /// <summary>The student as kept.</summary>
    public Student? Kept { get; private set; }

    /// <inheritdoc/>
    public override string KeptAs => $"edit-student-{Kept?.Id}";

    /// <summary>What keeps the file out of the archive.</summary>
    [TempData]
    public string? ArchiveFault { get; set; }

    /// <summary>Shows the form.</summary>
    public async Task<IActionResult> OnGetAsync(string student)
    {
        Kept = await files.FindAsync(student);
        if (Kept is null) return NotFound();
        this.Shows("cover", Kept.Id);
        (Code, CallName, Classroom) = (Kept.Code, Kept.CallName, Kept.Classroom);
        return Page();
    }

    /// <summary>Saves it.</summary>
    public async Task<IActionResult> OnPostAsync(string student)
    {
        Kept = await files.FindAsync(student);
        if (Kept is null) return NotFound();
        this.Shows("cover", Kept.Id);
        Message = await files.EditAsync(Kept, Code ?? "", CallName ?? "", Classroom);
        if (Message is not null) return Page();
        await plans.FollowAsync(Kept);
        return Redirect(Addresses.Student(Kept.Code));
    }

    /// <summary>Lays the file into the archive.</summary>
    public Task<IActionResult> OnPostArchiveAsync(string student) => ArchiveAsync(student, isArchived: true);

    /// <summary>Takes it out again.</summary>
    public Task<IActionResult> OnPostTakeOutAsync(string student) => ArchiveAsync(student, isArchived: false);

    private async Task<IActionResult> ArchiveAsync(string student, bool isArchived)
    {
        Kept = await files.FindAsync(student);
        if (Kept is null) return NotFound();
        ArchiveFault = await files.ArchiveAsync(Kept, isArchived);
        return Redirect(ArchiveFault is null ? Addresses.Student(Kept.Code) : Addresses.EditStudent(Kept.Code));
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
