using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Layouts;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Printing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>The page on paper, for the student: the items that are still open, all of them where none is.</summary>
public sealed class SheetModel(PageDesk pages, CurrentSpecialist who, PdfFiles pdf) : PageModel
{
    /// <summary>The page.</summary>
    public StudentPage? StudentPage { get; private set; }

    /// <summary>The sheet on paper.</summary>
    public PaperView? Paper { get; private set; }

    /// <summary>How many items the page has.</summary>
    public int All { get; private set; }

    /// <summary>Shows the sheet.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id, PaperWish wish)
    {
        StudentPage = await pages.FindAsync(id);
        if (StudentPage is null) return NotFound();
        this.Shows("sheet", StudentPage.StudentId);
        var items = PageDesk.StoredSheet(StudentPage).Items;
        All = items.Count;
        var open = items.Where(i => i.Answer is null).ToList();
        Paper = PaperView.Of(wish, StudentPage.Title, [StudentPage.Student!.Code], open.Count > 0 ? open : items, StudentPage.Student.Classroom.School);
        return wish.IsPdf ? File(pdf.Sheet(Paper, who.Account!.HasNameLine), "application/pdf", PdfFiles.Name(StudentPage.Student.Code, wish.IsKey ? "key" : "sheet", StudentPage.Title)) : Page();
    }
}
