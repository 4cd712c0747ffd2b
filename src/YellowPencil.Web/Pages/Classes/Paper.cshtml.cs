using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Layouts;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Classes;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Pages.Sheets;
using YellowPencil.Web.Printing;

namespace YellowPencil.Web.Pages.Classes;

/// <summary>The sheet of a class on paper: one for each student, or the key.</summary>
public sealed class PaperModel(PencilContext data, CurrentSpecialist who, PdfFiles pdf) : PageModel
{
    /// <summary>The board.</summary>
    public ClassBoard? Board { get; private set; }

    /// <summary>The sheet on paper.</summary>
    public PaperView? Paper { get; private set; }

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id, PaperWish wish)
    {
        if ((Board = await ClassBoard.LoadAsync(data, id)) is null) return NotFound();
        this.Shows("class paper", Board.Rows.Select(r => r.Student.Id));
        Paper = PaperView.Of(wish, Board.Sheet.Title, Board.Rows.Select(r => r.Student.Code), Board.Items);
        return wish.IsPdf ? File(pdf.Sheet(Paper, who.Account!.HasNameLine), "application/pdf", PdfFiles.Name(Board.Sheet.Class!.Name, wish.IsKey ? "key" : "sheet", Board.Sheet.Title)) : Page();
    }
}
