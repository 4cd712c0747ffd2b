using System.Net;
using System.Net.Sockets;
using Npgsql;

namespace YellowPencil.Web.Accounts;

/// <summary>
/// Limits how often a password or an invitation is tried. An attempt is counted before anything is compared, in the database that all instances share, and
/// given back when it was right: so the limit holds for attempts that come at once. Nobody is locked out by what a stranger does elsewhere, and whether an
/// account exists makes no difference.
/// </summary>
public sealed class AttemptLimits(NpgsqlDataSource database, IConfiguration configuration, TimeProvider clock)
{
    private readonly TimeSpan window = TimeSpan.FromMinutes(configuration.GetValue("SignIn:Minutes", 10));
    private readonly int fromOneAddress = configuration.GetValue("SignIn:FailuresFromOneAddress", 300);
    private readonly int forOneAccount = configuration.GetValue("SignIn:FailuresForOneEmail", 8);

    /// <summary>Counts an attempt to sign in.</summary>
    /// <param name="from">The network address.</param>
    /// <param name="email">The account.</param>
    /// <param name="known">The browser, where it has been signed in to this account before: then it has a limit of its own, whatever others do at its address.</param>
    /// <returns>The attempt, to be given back when it was right; null where there were too many.</returns>
    public Task<Attempt?> SignInAsync(IPAddress? from, string email, Guid? known) => known is { } browser
        ? TryAsync(($"sign-in browser {browser}", forOneAccount))
        : TryAsync(($"sign-in {Network(from)} {email.Trim().ToUpperInvariant()}", forOneAccount), ($"sign-in {Network(from)}", fromOneAddress));

    /// <summary>Counts a password that somebody who is signed in gives as the one they have.</summary>
    public Task<Attempt?> PasswordAsync(Guid account) => TryAsync(($"password {account}", forOneAccount));

    /// <summary>Counts an invitation that is opened.</summary>
    public Task<Attempt?> InvitationAsync(IPAddress? from) => TryAsync(($"invitation {Network(from)}", fromOneAddress));

    /// <summary>Gives an attempt back that was right.</summary>
    public async Task GiveBackAsync(Attempt attempt)
    {
        foreach (var key in attempt.Keys)
        {
            await using var command = database.CreateCommand("update attempts set count = count - 1 where key = $1 and count > 0");
            command.Parameters.AddWithValue(key);
            await command.ExecuteNonQueryAsync();
        }
    }

    /// <summary>Where an attempt comes from: an address, of IPv6 the network of one household or school.</summary>
    internal static string Network(IPAddress? address)
    {
        if (address is null) return "";
        if (address.IsIPv4MappedToIPv6) address = address.MapToIPv4();
        if (address.AddressFamily != AddressFamily.InterNetworkV6) return address.ToString();
        var bytes = address.GetAddressBytes();
        Array.Clear(bytes, 8, 8);
        return $"{new IPAddress(bytes)}/64";
    }

    private async Task<Attempt?> TryAsync(params (string Key, int Most)[] limits)
    {
        var counted = new List<string>();
        foreach (var (key, most) in limits)
        {
            counted.Add(key);
            if (await CountAsync(key) <= most) continue;
            return null;
        }

        return new Attempt(counted);
    }

    // On a connection of its own: what is counted stays counted, whatever becomes of the request.
    private async Task<int> CountAsync(string key)
    {
        await using var command = database.CreateCommand("""
            insert into attempts (key, since, count) values ($1, $2, 1)
            on conflict (key) do update set
              count = case when attempts.since < $3 then 1 else attempts.count + 1 end,
              since = case when attempts.since < $3 then excluded.since else attempts.since end
            returning count
            """);
        var now = clock.GetUtcNow();
        command.Parameters.AddWithValue(key);
        command.Parameters.AddWithValue(now);
        command.Parameters.AddWithValue(now - window);
        return (int)(await command.ExecuteScalarAsync())!;
    }
}

/// <summary>An attempt that was counted.</summary>
/// <param name="Keys">Under what.</param>
public sealed record Attempt(IReadOnlyList<string> Keys);
