using Microsoft.AspNetCore.Mvc;
using YellowPencil.Core.Pages;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Students;

/// <summary>Adding a student.</summary>
[ShowsNoStudent]
public sealed class NewModel(StudentFiles files) : CoverModel
{
    /// <inheritdoc/>
    public override string KeptAs => "new-student";

    /// <summary>Adds the student.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        Message = await files.AddAsync(Code ?? "", CallName ?? "", Classroom);
        return Message is null ? Redirect(Addresses.Student(Code!.Trim())) : Page();
    }
}
