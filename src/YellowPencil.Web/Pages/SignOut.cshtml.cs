using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Data;

namespace YellowPencil.Web.Pages;

/// <summary>Signing out.</summary>
public sealed class SignOutModel(SignInManager<Specialist> signIn) : PageModel
{
    /// <summary>Signs out.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        await signIn.SignOutAsync();
        return RedirectToPage("/SignIn");
    }
}
