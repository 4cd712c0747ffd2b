using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Pages;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>Typing in what stands on the paper.</summary>
public sealed class TypeModel(PageDesk pages, CurrentSpecialist who) : PageModel
{
    /// <summary>The keys for signs that can be written in some squares: what is pressed, what is shown, and what it means.</summary>
    public static readonly IReadOnlyList<(string Sign, string Shown, string Label)> SignKeys =
    [
        (".", ".", "point"), ("-", "−", "minus"), ("+", "+", "plus"), ("*", "×", "times"), ("/", "/", "over"), ("(", "(", "bracket"), (")", ")", "closing bracket"), ("=", "=", "equals"), ("^", "^", "power"), ("sqrt(", "√", "root"), ("|", "|", "on the side"), ("r", "r", "what is left"),
        ("<", "⇤", "number to the left"), (">", "⇥", "number to the right"),
    ];

    /// <summary>The page.</summary>
    public StudentPage? StudentPage { get; private set; }

    /// <summary>Its sheet.</summary>
    public WorkedSheet? Sheet { get; private set; }

    /// <summary>From which side the answers of this page are typed.</summary>
    public TypingDirection Direction => StudentPage!.Direction ?? who.Account!.TypingDirection;

    /// <summary>The page as the typing script takes it.</summary>
    public string Json => TypingJson.Write(StudentPage!, Sheet!, Direction);

    /// <summary>Shows the page.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id)
    {
        StudentPage = await pages.FindAsync(id);
        if (StudentPage is null) return NotFound();
        Sheet = PageDesk.StoredSheet(StudentPage);
        this.Shows("page", StudentPage.StudentId);
        return Page();
    }

    /// <summary>Ends the typing and goes to the reading.</summary>
    public async Task<IActionResult> OnPostAsync(Guid id, bool marksComplete)
    {
        StudentPage = await pages.HoldAsync(id);
        if (StudentPage is null) return NotFound();
        await pages.FinishTypingAsync(StudentPage, marksComplete);
        return Redirect(Addresses.Reading(id));
    }
}
