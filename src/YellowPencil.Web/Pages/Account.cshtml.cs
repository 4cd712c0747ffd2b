using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages;

/// <summary>What a specialist sets for themselves and their school.</summary>
[ShowsNoStudent]
public sealed class AccountModel(CurrentSpecialist who, SignInDesk desk, PencilContext data) : PageModel
{
    /// <summary>The name beside decisions.</summary>
    [BindProperty]
    public string? Name { get; set; }

    /// <summary>The school's time zone.</summary>
    [BindProperty]
    public string? Zone { get; set; }

    /// <summary>From which side answers are typed.</summary>
    [BindProperty]
    public TypingDirection Direction { get; set; }

    /// <summary>Whether numbers have a decimal comma.</summary>
    [BindProperty]
    public bool Comma { get; set; }

    /// <summary>Whether sheets have a name line.</summary>
    [BindProperty]
    public bool NameLine { get; set; }

    /// <summary>How many months files are kept; null for as long as nobody throws them away.</summary>
    [BindProperty]
    public int? Kept { get; set; }

    /// <summary>The e-mail address.</summary>
    public string Email => who.Account!.Email!;

    /// <summary>What is wrong, in sentences.</summary>
    public IReadOnlyList<string> Faults { get; private set; } = [];

    /// <summary>What was done.</summary>
    [TempData]
    public string? Done { get; set; }

    /// <summary>Shows the account.</summary>
    public void OnGet()
    {
        var account = who.Account!;
        (Name, Zone, Direction, Comma, NameLine, Kept) = (account.DisplayName, account.TimeZone, account.TypingDirection, account.HasDecimalComma == true, account.HasNameLine, account.MonthsKept);
    }

    /// <summary>Saves the settings.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        var name = Name?.Trim() ?? "";
        if (name.Length is 0 or > 100) Faults = ["The name has 1 to 100 characters."];
        else if (!string.IsNullOrWhiteSpace(Zone) && SchoolTime.Named(Zone) is null) Faults = [$"No time zone is called “{Zone.Trim()}”: choose one of those offered while you type."];
        else if (!Enum.IsDefined(Direction) || (Kept is { } months && !Retention.Choices.Contains(months))) Faults = ["Choose one of the values offered."];
        if (Faults.Count > 0) return Page();
        var account = await data.Users.FirstAsync(u => u.Id == who.Id);
        (account.DisplayName, account.TimeZone, account.TypingDirection) = (name, SchoolTime.Named(Zone) ?? "", Direction);
        (account.HasDecimalComma, account.HasNameLine, account.MonthsKept) = (Comma, NameLine, Kept);
        await data.SaveChangesAsync();
        Done = "Saved.";
        return Redirect("/account");
    }

    /// <summary>Changes the password.</summary>
    public async Task<IActionResult> OnPostPasswordAsync(string? now, string? then)
    {
        OnGet();
        Faults = await desk.ChangePasswordAsync(who.Id!.Value, User, now ?? "", then ?? "");
        if (Faults.Count > 0) return Page();
        Done = "The password is changed; other browsers are signed out.";
        return Redirect("/account");
    }
}
