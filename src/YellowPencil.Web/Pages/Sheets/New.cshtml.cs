using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Probes;
using YellowPencil.Core.Working;
using YellowPencil.Data;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>Beginning a page: the set items.</summary>
public sealed class NewModel(StudentFiles files, PageDesk pages) : PageModel
{
    /// <summary>The families that these pages take.</summary>
    internal static readonly IReadOnlyCollection<Family> Families = [.. PageLayout.Families];

    /// <summary>The student.</summary>
    public Student? Student { get; private set; }

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
    public async Task<IActionResult> OnGetAsync(string code, int? designed, string? family)
    {
        Student = await files.FindAsync(code);
        if (Student is null) return NotFound();
        if (designed is { } count && FamilyNames.TryParse(family ?? Family.Subtraction.Name(), out var asked) && Families.Contains(asked))
            Items = string.Join('\n', SheetDesign.Of(asked, Math.Clamp(count, 1, 30), seed: 7 + await files.CountPagesAsync(Student)).Select(ItemList.Written));
        return Page();
    }

    /// <summary>Begins the page.</summary>
    public async Task<IActionResult> OnPostAsync(string code)
    {
        Student = await files.FindAsync(code);
        if (Student is null) return NotFound();
        var items = ItemList.TryParse(Items ?? "", Families, out var faults);
        if (PageTitle is { Length: > 200 }) faults = [.. faults, "The name of the page has more than 200 characters."];
        if (!ModelState.IsValid) faults = [.. faults, "The date cannot be read."];
        Faults = faults;
        if (faults.Count > 0) return Page();
        return Redirect(Addresses.Page((await pages.BeginAsync(Student, PageTitle?.Trim() ?? "", WrittenOn, items)).Id));
    }
}
