using System.Threading.RateLimiting;

namespace YellowPencil.Web.Accounts;

/// <summary>
/// Limits failed attempts to sign in, by network address and by network address and e-mail together. Nobody is locked out by what a
/// stranger does elsewhere, and whether an account exists makes no difference. Kept in memory: each instance counts for itself.
/// </summary>
public sealed class AttemptLimits : IDisposable
{
    private readonly PartitionedRateLimiter<string> byAddress;
    private readonly PartitionedRateLimiter<string> byEmail;

    /// <summary>Takes the limits from the configuration.</summary>
    public AttemptLimits(IConfiguration configuration)
    {
        var window = TimeSpan.FromMinutes(configuration.GetValue("SignIn:Minutes", 10));
        byAddress = Limiter(configuration.GetValue("SignIn:FailuresFromOneAddress", 30), window);
        byEmail = Limiter(configuration.GetValue("SignIn:FailuresForOneEmail", 8), window);
    }

    /// <summary>Whether another attempt may be made.</summary>
    public bool IsOpen(string from, string email) => Left(byAddress, from) > 0 && Left(byEmail, Pair(from, email)) > 0;

    /// <summary>Counts an attempt that failed.</summary>
    public void Failed(string from, string email)
    {
        byAddress.AttemptAcquire(from).Dispose();
        byEmail.AttemptAcquire(Pair(from, email)).Dispose();
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        byAddress.Dispose();
        byEmail.Dispose();
    }

    private static long Left(PartitionedRateLimiter<string> limiter, string key) => limiter.GetStatistics(key)?.CurrentAvailablePermits ?? 1;

    private static string Pair(string from, string email) => $"{from} {email.Trim().ToUpperInvariant()}";

    private static PartitionedRateLimiter<string> Limiter(int failures, TimeSpan window) => PartitionedRateLimiter.Create<string, string>(
        key => RateLimitPartition.GetFixedWindowLimiter(key, _ => new FixedWindowRateLimiterOptions { PermitLimit = failures, Window = window }));
}
