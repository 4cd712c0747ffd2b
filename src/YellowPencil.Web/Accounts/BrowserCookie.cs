using System.Security.Claims;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;

namespace YellowPencil.Web.Accounts;

/// <summary>
/// The cookie of a signed-in browser. It names a row in the database and counts only while the row is there: signing out, locking an
/// account and changing its password take effect at once, and everywhere the cookie was copied to.
/// </summary>
internal static class BrowserCookie
{
    /// <summary>The claim that names the row.</summary>
    public const string Claim = "browser";

    /// <summary>After this time a browser signs in again, however busy it was.</summary>
    public static readonly TimeSpan Longest = TimeSpan.FromDays(30);

    private static readonly TimeSpan WithoutUse = TimeSpan.FromHours(10);

    public static void Configure(CookieAuthenticationOptions cookie)
    {
        cookie.Cookie.Name = "pencil";
        cookie.Cookie.HttpOnly = true;
        cookie.Cookie.SameSite = SameSiteMode.Lax;
        cookie.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
        cookie.ExpireTimeSpan = WithoutUse;
        cookie.SlidingExpiration = true;
        cookie.LoginPath = "/sign-in";
        cookie.AccessDeniedPath = "/sign-in";
        cookie.Events.OnValidatePrincipal = ValidateAsync;
        cookie.Events.OnRedirectToLogin = context =>
        {
            // A request of a script gets a status, not a page.
            if (context.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal)) context.Response.StatusCode = StatusCodes.Status401Unauthorized;
            else context.Response.Redirect(context.RedirectUri);
            return Task.CompletedTask;
        };
    }

    private static async Task ValidateAsync(CookieValidatePrincipalContext context)
    {
        var services = context.HttpContext.RequestServices;
        if (Guid.TryParse(context.Principal?.FindFirstValue(Claim), out var browser))
        {
            var now = services.GetRequiredService<TimeProvider>().GetUtcNow();
            var since = now - Longest;
            var data = services.GetRequiredService<PencilContext>();
            var account = await data.SignedInBrowsers.Where(b => b.Id == browser && b.Since > since)
                .Join(data.Users, b => b.SpecialistId, u => u.Id, (_, u) => u).AsNoTracking().FirstOrDefaultAsync();
            if (account is not null && !(account.LockoutEnd > now))
            {
                CurrentSpecialist.Remember(context.HttpContext, account);
                return;
            }
        }

        context.RejectPrincipal();
        await context.HttpContext.SignOutAsync(IdentityConstants.ApplicationScheme);
    }
}
