using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;

namespace YellowPencil.Web.Accounts;

/// <summary>One account, for lists.</summary>
public sealed record AccountLine(string Email, string Name, string State);

/// <summary>Making, inviting, locking and unlocking accounts.</summary>
public sealed class AccountDesk(UserManager<Specialist> users, PencilContext data, TimeProvider clock)
{
    /// <summary>Makes an account without a password; its owner sets one through an invitation.</summary>
    /// <returns>What is wrong, in sentences; empty when it was made.</returns>
    public async Task<IReadOnlyList<string>> AddAsync(string email, string name)
    {
        if (!SignInDesk.IsEmail(email)) return [$"“{email}” is not an e-mail address."];
        var account = new Specialist { Id = Guid.CreateVersion7(clock.GetUtcNow()), UserName = email, Email = email, DisplayName = name.Length > 0 ? name : email.Split('@')[0] };
        return Say(await users.CreateAsync(account));
    }

    /// <summary>
    /// The path of a link by which the owner of an account sets a password, once, within the time set; null where there is no such account, or where it is
    /// locked. Older links are worth nothing from now on, and all browsers are signed out.
    /// </summary>
    public async Task<string?> InviteAsync(string email)
    {
        if (await users.FindByEmailAsync(email) is not { } account || IsLocked(account)) return null;
        await EndAllAsync(account);
        return $"/invitation/{account.Id}?token={Uri.EscapeDataString(await users.GeneratePasswordResetTokenAsync(account))}";
    }

    /// <summary>The account of an invitation that is good; null where it has expired, was used, or never was.</summary>
    public async Task<Specialist?> InvitedAsync(Guid id, string token) =>
        await users.FindByIdAsync(id.ToString()) is { } account && !IsLocked(account)
        && await users.VerifyUserTokenAsync(account, users.Options.Tokens.PasswordResetTokenProvider, UserManager<Specialist>.ResetPasswordTokenPurpose, token)
            ? account : null;

    /// <summary>Takes an invitation up: sets the password, which uses the link up, and signs all browsers of the account out.</summary>
    public async Task<IReadOnlyList<string>> TakeUpAsync(Specialist account, string token, string password)
    {
        var result = await users.ResetPasswordAsync(account, token, password);
        if (result.Succeeded) await SignAllOutAsync(account.Id);
        return Say(result);
    }

    /// <summary>Locks an account, signing it out everywhere, or unlocks it; false where there is none.</summary>
    public async Task<bool> LockAsync(string email, bool isLocked)
    {
        if (await users.FindByEmailAsync(email) is not { } account) return false;
        await users.SetLockoutEnabledAsync(account, true);
        await users.SetLockoutEndDateAsync(account, isLocked ? DateTimeOffset.MaxValue : null);
        if (isLocked) await EndAllAsync(account);
        return true;
    }

    /// <summary>All accounts.</summary>
    public async Task<IReadOnlyList<AccountLine>> ListAsync()
    {
        var now = clock.GetUtcNow();
        var accounts = await data.Users.OrderBy(u => u.Email).ToListAsync();
        return [.. accounts.Select(a => new AccountLine(a.Email!, a.DisplayName, a.LockoutEnd > now ? "locked" : a.PasswordHash is null ? "invited" : "open"))];
    }

    /// <summary>What the framework found wrong, in sentences.</summary>
    internal static IReadOnlyList<string> Say(IdentityResult result) => [.. result.Errors.Where(e => e.Code != "DuplicateUserName").Select(e => e.Code switch
    {
        "DuplicateEmail" => "There is already an account with this e-mail address.",
        "InvalidToken" => "This invitation has expired or was used before. Ask for a new one.",
        "PasswordMismatch" => "The password that you have now is another one.",
        "PasswordTooShort" => "The new password is too short: take 12 characters or more, a few words for example.",
        _ => e.Description,
    })];

    private bool IsLocked(Specialist account) => account.LockoutEnd > clock.GetUtcNow();

    // With another stamp every invitation that was given out is worth nothing.
    private async Task EndAllAsync(Specialist account)
    {
        await users.UpdateSecurityStampAsync(account);
        await SignAllOutAsync(account.Id);
    }

    private Task<int> SignAllOutAsync(Guid id) => data.SignedInBrowsers.Where(b => b.SpecialistId == id).ExecuteDeleteAsync();
}
