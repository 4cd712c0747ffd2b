using System.Security.Cryptography;
using Microsoft.AspNetCore.DataProtection;

namespace YellowPencil.Web.Accounts;

/// <summary>
/// A browser in which somebody signed in before. Its cookie signs nobody in; it says that who tries here is not the stranger who tries passwords at the same
/// address, so that a whole school is not kept out by one of its machines.
/// </summary>
public sealed class KnownBrowser(IHttpContextAccessor http, IDataProtectionProvider protection)
{
    private const string Cookie = "pencil-known";
    private static readonly TimeSpan Kept = TimeSpan.FromDays(180);
    private readonly ITimeLimitedDataProtector protector = protection.CreateProtector(nameof(KnownBrowser)).ToTimeLimitedDataProtector();

    /// <summary>The browser's key where it was signed in to the account before; null where it was not.</summary>
    public Guid? Of(string email)
    {
        if (http.HttpContext?.Request.Cookies[Cookie] is not { Length: > 0 and < 2_000 } cookie) return null;
        try
        {
            var (key, known) = Split(protector.Unprotect(cookie));
            return known == Spelt(email) ? key : null;
        }
        catch (CryptographicException)
        {
            return null; // Too old, or of somebody's own making.
        }
    }

    /// <summary>Remembers that the account was signed in to here.</summary>
    public void Remember(string email)
    {
        if (http.HttpContext is not { } context || Of(email) is not null) return;
        context.Response.Cookies.Append(Cookie, protector.Protect($"{Guid.NewGuid()} {Spelt(email)}", Kept), new CookieOptions
        {
            HttpOnly = true,
            SameSite = SameSiteMode.Strict,
            Secure = context.Request.IsHttps,
            MaxAge = Kept,
            Path = "/sign-in",
            IsEssential = true,
        });
    }

    private static string Spelt(string email) => email.Trim().ToUpperInvariant();

    private static (Guid Key, string Email) Split(string text) => (Guid.Parse(text.AsSpan(0, 36)), text[37..]);
}
