using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages;

/// <summary>Taking up an invitation: the owner of an account sets a password.</summary>
[ShowsNoStudent]
public sealed class InvitationModel(AccountDesk accounts, SignInDesk desk, AttemptLimits limits) : PageModel
{
    /// <summary>The account; null where the invitation is not good.</summary>
    public Specialist? Account { get; private set; }

    /// <summary>The token of the invitation.</summary>
    [BindProperty(SupportsGet = true)]
    public string Token { get; set; } = "";

    /// <summary>What is wrong with the password.</summary>
    public IReadOnlyList<string> Faults { get; private set; } = [];

    /// <summary>Shows the form.</summary>
    public async Task OnGetAsync(Guid id) => await LoadAsync(id);

    /// <summary>Sets the password.</summary>
    public async Task<IActionResult> OnPostAsync(Guid id, string? password, string? again)
    {
        await LoadAsync(id);
        if (Account is null) return Page();
        Faults = password != again ? ["The two passwords are not the same."] : await accounts.TakeUpAsync(Account, Token!, password ?? "");
        if (Faults.Count > 0) return Page();
        await desk.SignInAsync(Account);
        return Redirect(Addresses.Desk);
    }

    // Too many guesses from one network find no invitation any more, not even one that is good.
    private async Task LoadAsync(Guid id)
    {
        if (await limits.InvitationAsync(HttpContext.Connection.RemoteIpAddress) is not { } attempt) return;
        Account = await accounts.InvitedAsync(id, Token ?? "");
        if (Account is not null) await limits.GiveBackAsync(attempt);
    }
}
