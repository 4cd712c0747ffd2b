using System.Net;
using System.Net.Mail;
using System.Security.Claims;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;

namespace YellowPencil.Web.Accounts;

/// <summary>What came of an attempt to sign in.</summary>
public enum SignInOutcome
{
    /// <summary>Signed in.</summary>
    SignedIn,

    /// <summary>E-mail and password do not go together; also said where there is no such account, or where it is locked.</summary>
    NotTogether,

    /// <summary>Too many attempts from this network address.</summary>
    TooMany,
}

/// <summary>Signing in and out.</summary>
public sealed class SignInDesk(SignInManager<Specialist> signIn, PencilContext data, AttemptLimits limits, KnownBrowser known, TimeProvider clock)
{
    // What the password of an account that does not exist is compared with, so that it takes as long as one that does.
    private static readonly string Nobodys = new PasswordHasher<Specialist>().HashPassword(new Specialist(), Guid.NewGuid().ToString());

    // Comparing a password keeps a core busy for a tenth of a second: so many at once, and the rest of the application goes on.
    private static readonly SemaphoreSlim Gate = new(4);

    private UserManager<Specialist> Users => signIn.UserManager;

    /// <summary>Tries to sign in. A locked account and one that does not exist answer alike, in words and in time.</summary>
    /// <param name="email">As typed.</param>
    /// <param name="password">As typed.</param>
    /// <param name="from">The network address of the browser.</param>
    public async Task<SignInOutcome> TryAsync(string email, string password, IPAddress? from)
    {
        await Gate.WaitAsync();
        try
        {
            return await CompareAsync(email, password, from);
        }
        finally
        {
            Gate.Release();
        }
    }

    private async Task<SignInOutcome> CompareAsync(string email, string password, IPAddress? from)
    {
        if (await limits.SignInAsync(from, email, known.Of(email)) is not { } attempt) return SignInOutcome.TooMany;
        var account = await Users.FindByEmailAsync(email.Trim());
        var matches = Users.PasswordHasher.VerifyHashedPassword(account ?? new Specialist(), account?.PasswordHash ?? Nobodys, password) != PasswordVerificationResult.Failed;
        if (account?.PasswordHash is null || !matches || account.LockoutEnd > clock.GetUtcNow()) return SignInOutcome.NotTogether;
        await limits.GiveBackAsync(attempt);
        await SignInAsync(account);
        known.Remember(account.Email!);
        return SignInOutcome.SignedIn;
    }

    /// <summary>Signs this browser in.</summary>
    public async Task SignInAsync(Specialist account)
    {
        var browser = new SignedInBrowser { Id = Guid.NewGuid(), SpecialistId = account.Id, Since = clock.GetUtcNow() };
        data.SignedInBrowsers.Add(browser);
        await data.SaveChangesAsync();
        await signIn.SignInWithClaimsAsync(account, isPersistent: false, [new Claim(BrowserCookie.Claim, browser.Id.ToString())]);
    }

    /// <summary>Signs this browser out; a copy of its cookie is worth nothing from now on.</summary>
    public async Task SignOutAsync(ClaimsPrincipal who)
    {
        if (Guid.TryParse(who.FindFirstValue(BrowserCookie.Claim), out var browser)) await data.SignedInBrowsers.Where(b => b.Id == browser).ExecuteDeleteAsync();
        await signIn.SignOutAsync();
    }

    /// <summary>Changes a password and signs every other browser out.</summary>
    /// <returns>What is wrong, in sentences; empty when it was changed.</returns>
    public async Task<IReadOnlyList<string>> ChangePasswordAsync(Guid id, ClaimsPrincipal who, string now, string then)
    {
        if (await limits.PasswordAsync(id) is not { } attempt) return ["The password that you have now was given wrongly too often. Wait ten minutes, then try again."];
        var account = await Users.FindByIdAsync(id.ToString());
        var result = await Users.ChangePasswordAsync(account!, now, then);
        if (!result.Errors.Any(e => e.Code == "PasswordMismatch")) await limits.GiveBackAsync(attempt);
        if (!result.Succeeded) return AccountDesk.Say(result);
        var browser = Guid.Parse(who.FindFirstValue(BrowserCookie.Claim)!);
        await data.SignedInBrowsers.Where(b => b.SpecialistId == id && b.Id != browser).ExecuteDeleteAsync();
        return [];
    }

    /// <summary>Whether text has the shape of an e-mail address.</summary>
    internal static bool IsEmail(string text) => MailAddress.TryCreate(text, out var address) && address.Address == text && text.Length <= 200;
}
