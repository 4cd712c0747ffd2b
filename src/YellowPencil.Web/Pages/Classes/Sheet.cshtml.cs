using System.Text;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Classes;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Classes;

/// <summary>Typing in what a class wrote: students down, items across.</summary>
public sealed class SheetModel(ClassDesk classes, PencilContext data, CurrentSpecialist who) : PageModel
{
    /// <summary>The board.</summary>
    public ClassBoard? Board { get; private set; }

    /// <summary>How many students of the class do not have the sheet.</summary>
    public int NotHaving { get; private set; }

    /// <summary>Shows the board.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id)
    {
        if ((Board = await ClassBoard.LoadAsync(data, id)) is null) return NotFound();
        this.Shows("class sheet", Board.Rows.Select(r => r.Student.Id));
        NotHaving = await data.Classes.Where(c => c.Id == Board.Sheet.ClassId).SelectMany(c => c.Students).CountAsync(s => !s.Pages.Any(p => p.ClassSheetId == id));
        return Page();
    }

    /// <summary>The answers as CSV.</summary>
    public async Task<IActionResult> OnGetCsvAsync(Guid id) =>
        await ExportAsync(id) is { } board ? File(Encoding.UTF8.GetPreamble().Concat(Encoding.UTF8.GetBytes(AnswerTable.Write(board, who.Account!.HasDecimalComma == true))).ToArray(), "text/csv; charset=utf-8", FileName(board, "csv")) : NotFound();

    /// <summary>The pages as worked sheets, one a line.</summary>
    public async Task<IActionResult> OnGetSheetsAsync(Guid id) =>
        await ExportAsync(id) is { } board ? File(Encoding.UTF8.GetBytes(string.Concat(board.Rows.Select(r => r.Page.Content.ReplaceLineEndings(" ") + "\n"))), "application/x-ndjson", FileName(board, "ndjson")) : NotFound();

    private async Task<ClassBoard?> ExportAsync(Guid id)
    {
        var board = await ClassBoard.LoadAsync(data, id);
        if (board is not null) this.Shows("export", board.Rows.Select(r => r.Student.Id));
        return board;
    }

    /// <summary>Gives the sheet to those of the class who do not have it.</summary>
    public async Task<IActionResult> OnPostGiveToAllAsync(Guid id)
    {
        if (await classes.FindSheetAsync(id) is not { Class: not null } sheet) return NotFound();
        await classes.GiveToAllAsync(sheet);
        return Redirect(Addresses.ClassSheet(id));
    }

    /// <summary>Ends the typing and goes to the reading of the class.</summary>
    public async Task<IActionResult> OnPostFinishAsync(Guid id)
    {
        if (await classes.FindSheetAsync(id) is not { Class: not null } sheet) return NotFound();
        await classes.FinishAsync(sheet);
        return Redirect(Addresses.ClassReading(id));
    }

    private static string FileName(ClassBoard board, string kind)
    {
        var name = string.Concat($"{board.Sheet.Class!.Name} {board.Sheet.Title}".Select(c => char.IsLetterOrDigit(c) ? c : '-')).Trim('-');
        return $"{(name.Length == 0 ? "class" : name)}.{kind}";
    }
}
