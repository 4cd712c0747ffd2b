using System.Security.Claims;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Data;

namespace YellowPencil.Web.Pages;

/// <summary>Signing in.</summary>
public sealed class SignInModel(SignInManager<Specialist> signIn, IConfiguration configuration) : PageModel
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
        var user = Email is null ? null : await signIn.UserManager.FindByEmailAsync(Email.Trim());
        var result = user is null ? Microsoft.AspNetCore.Identity.SignInResult.Failed : await signIn.CheckPasswordSignInAsync(user, password ?? "", lockoutOnFailure: true);
        if (result.Succeeded)
        {
            await signIn.SignInWithClaimsAsync(user!, isPersistent: false, [new Claim("name", user!.DisplayName)]);
            return LocalRedirect(Url.IsLocalUrl(ReturnUrl) ? ReturnUrl : "/");
        }

        Message = result.IsLockedOut
            ? "Too many tries. This account is locked for a few minutes; try again later."
            : "E-mail and password do not go together. Check both and try again.";
        return Page();
    }
}
