using Microsoft.AspNetCore.Mvc;
using YellowPencil.Data;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>Beginning a page: the set items.</summary>
public sealed class NewModel(StudentFiles files, PageDesk pages) : BeginModel
{
    /// <summary>The student.</summary>
    public Student? Student { get; private set; }

    /// <inheritdoc/>
    public override string KeptAs => $"new-page-{Student!.Id}";

    /// <summary>Shows the form, with designed items or the parallel of another page if asked for.</summary>
    public async Task<IActionResult> OnGetAsync(string code, DesignWish wish, Guid? parallelTo)
    {
        Student = await files.FindAsync(code);
        if (Student is null) return NotFound();
        this.Shows("begin", Student.Id);
        var seed = 7 + await files.CountPagesAsync(Student);
        Design(wish, seed);
        if (parallelTo is { } other && await pages.FindAsync(other) is { } page) Parallel(PageDesk.StoredSheet(page).Items, page.Title, seed);
        return Page();
    }

    /// <summary>Begins the page.</summary>
    public async Task<IActionResult> OnPostAsync(string code)
    {
        Student = await files.FindAsync(code);
        if (Student is null) return NotFound();
        this.Shows("begin", Student.Id);
        if (Sent() is not { } items) return Page();
        return Redirect(Addresses.Page((await pages.BeginAsync(Student, PageTitle?.Trim() ?? "", WrittenOn, items)).Id));
    }
}
