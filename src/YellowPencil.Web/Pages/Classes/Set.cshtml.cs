using Microsoft.AspNetCore.Mvc;
using YellowPencil.Data;
using YellowPencil.Web.Classes;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Pages.Sheets;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Classes;

/// <summary>Setting a sheet for a class or for some of it.</summary>
public sealed class SetModel(ClassDesk classes) : BeginModel
{
    /// <summary>The class.</summary>
    public SchoolClass? Kept { get; private set; }

    /// <summary>For whom it was to be, where the form comes back; null for all.</summary>
    public IReadOnlyCollection<Guid>? Chosen { get; private set; }

    /// <inheritdoc/>
    public override string KeptAs => $"new-sheet-{Kept!.Id}";

    /// <inheritdoc/>
    public override bool TakesAnswers => false;

    /// <summary>Shows the form, with designed items or the parallel of another sheet if asked for.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id, DesignWish wish, Guid? parallelTo)
    {
        if ((Kept = await classes.FindAsync(id)) is null) return NotFound();
        this.Shows("class", Kept.Students.Select(s => s.Id));
        var seed = 7 + Kept.Sheets.Count;
        Design(wish, seed);
        if (parallelTo is { } other && await classes.FindSheetAsync(other) is { } sheet) Parallel(ClassDesk.ItemsOf(sheet), sheet.Title, seed);
        return Page();
    }

    /// <summary>Sets the sheet.</summary>
    public async Task<IActionResult> OnPostAsync(Guid id, List<Guid> students)
    {
        if ((Kept = await classes.FindAsync(id)) is null) return NotFound();
        this.Shows("class", Kept.Students.Select(s => s.Id));
        Chosen = students;
        var having = Kept.Students.Where(s => students.Contains(s.Id)).ToList();
        if (Sent(having.Count == 0 ? ["Choose at least one student."] : []) is not { } items) return Page();
        return Redirect(Addresses.ClassSheet((await classes.SetAsync(Kept, PageTitle?.Trim() ?? "", WrittenOn, [.. items.Select(i => i with { Answer = null })], having)).Id));
    }
}
