using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Forms;

namespace YellowPencil.Web.Pages;

/// <summary>Signing out.</summary>
[ShowsNoStudent]
public sealed class SignOutModel(SignInDesk desk) : PageModel
{
    /// <summary>Signs this browser out.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        await desk.SignOutAsync(User);
        return Redirect("/sign-in");
    }
}
