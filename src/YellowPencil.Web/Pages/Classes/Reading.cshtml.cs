using Hangfire;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Inference;
using YellowPencil.Data;
using YellowPencil.Web.Classes;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Classes;

/// <summary>The reading of a class: who shares which rule, who needs a second look, what was written.</summary>
public sealed class ReadingModel(PencilContext data, RuleNaming names, IBackgroundJobClient jobs) : PageModel
{
    /// <summary>What is shown.</summary>
    public ClassView? View { get; private set; }

    /// <summary>Why somebody needs a second look.</summary>
    public static string Why(Outcome outcome) => outcome switch
    {
        Outcome.NotToldApart => "A rule is followed, and the sheet does not tell which of several; ask the next items on the student’s own page",
        Outcome.TooFewChances => "Too few chances to say; ask more",
        _ => "Something systematic that no rule found fits; talk it through",
    };

    /// <summary>Shows the reading as far as it is; what is not read yet is put into the queue.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id)
    {
        if (await ClassBoard.LoadAsync(data, id) is not { } board) return NotFound();
        this.Shows("class reading", board.Rows.Select(r => r.Student.Id));
        await names.LoadAsync();
        View = new ClassView(board, names);
        if (board.Read < board.Of && board.Sheet.IsReadByItself) ClassReader.Ask(jobs, board.Sheet);
        return Page();
    }
}
