using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Models;
using YellowPencil.Data;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>One item, replayed step by step: the taught method beside the student's, by the explanation that was chosen.</summary>
public sealed class ItemModel(PageDesk pages, ReadingDesk readings, RuleNaming names) : PageModel
{
    /// <summary>The page's key.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid Id { get; set; }

    /// <summary>The item's name.</summary>
    [BindProperty(SupportsGet = true)]
    public string Item { get; set; } = "";

    /// <summary>The rules of the explanation that was chosen, as the address names them; null for the likeliest.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Rules { get; set; }

    /// <summary>The page.</summary>
    public StudentPage? StudentPage { get; private set; }

    /// <summary>The replay.</summary>
    public ItemFrames? Replay { get; private set; }

    /// <summary>What it is played by.</summary>
    public string Explanation { get; private set; } = "";

    /// <summary>The item before, if any.</summary>
    public string? Before { get; private set; }

    /// <summary>The item after, if any.</summary>
    public string? After { get; private set; }

    /// <summary>Shows the replay.</summary>
    public async Task<IActionResult> OnGetAsync()
    {
        StudentPage = await pages.FindAsync(Id);
        if (StudentPage is null) return NotFound();
        await names.LoadAsync();
        this.Shows("replay", StudentPage.StudentId);
        var reading = await readings.ReadAsync(StudentPage, HttpContext.RequestAborted);
        var index = reading.Items.ToList().FindIndex(i => i.Item.Id == Item);
        if (index < 0) return NotFound();
        var student = StudentPage.Student!;
        var chosen = reading.Explanations.FirstOrDefault(e => ReadingDesk.RulesOf(e) == Addresses.RulesIn(Rules)) ?? reading.Best;
        Explanation = names.Of(ReadingDesk.RulesOf(chosen), student.Word);
        Replay = ItemFrames.Of(reading.Items[index], new ProcedureSearch().Find(reading.Items[index].Item, chosen), student.CallName.Length > 0 ? student.CallName : student.Code, student.Classroom);
        Before = index > 0 ? reading.Items[index - 1].Item.Id : null;
        After = index + 1 < reading.Items.Count ? reading.Items[index + 1].Item.Id : null;
        return Page();
    }
}
