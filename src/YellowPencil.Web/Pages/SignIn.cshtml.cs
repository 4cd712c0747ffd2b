using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Forms;

namespace YellowPencil.Web.Pages;

/// <summary>Signing in.</summary>
[ShowsNoStudent]
public sealed class SignInModel(SignInDesk desk, IConfiguration configuration) : PageModel
{
    /// <summary>Where to go afterwards.</summary>
    [BindProperty(SupportsGet = true)]
    public string? ReturnUrl { get; set; }

    /// <summary>What was typed.</summary>
    [BindProperty]
    public string? Email { get; set; }

    /// <summary>What is wrong, if anything.</summary>
    public string? Message { get; private set; }

    /// <summary>Whether the demo sign-in is shown.</summary>
    public bool IsDemo => configuration.GetValue<bool>("Demo");

    /// <summary>Tries to sign in.</summary>
    public async Task<IActionResult> OnPostAsync(string? password)
    {
        var result = await desk.TryAsync(Email ?? "", password ?? "", HttpContext.Connection.RemoteIpAddress);
        if (result == SignInOutcome.SignedIn) return LocalRedirect(Url.IsLocalUrl(ReturnUrl) ? ReturnUrl : "/");
        Message = result == SignInOutcome.TooMany
            ? "Too many tries from here. Wait ten minutes, then try again."
            : "E-mail and password do not go together. Check both and try again.";
        return Page();
    }
}
