using Microsoft.AspNetCore.Http.Timeouts;
using Microsoft.AspNetCore.Server.Kestrel.Core;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Diagnostics.HealthChecks;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>How long a request may take, and how slowly it may come in.</summary>
internal static class Limits
{
    /// <summary>The longest that a request is worked on; the longest reading takes a tenth of it.</summary>
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(30);

    /// <summary>How long somebody may take to send the head of a request, or to go on with its body.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(10);

    public static void Configure(KestrelServerOptions kestrel)
    {
        kestrel.AddServerHeader = false;
        kestrel.Limits.RequestHeadersTimeout = Patience;
        kestrel.Limits.MinRequestBodyDataRate = new MinDataRate(bytesPerSecond: 240, gracePeriod: Patience);
        kestrel.Limits.MaxRequestBodySize = 8_000_000;
    }

    /// <summary>Ends the work of requests that take too long, and says whether the application is well.</summary>
    public static void AddLimits(this IServiceCollection services)
    {
        services.AddRequestTimeouts(options => options.DefaultPolicy = new RequestTimeoutPolicy { Timeout = Longest, TimeoutStatusCode = StatusCodes.Status503ServiceUnavailable });
        services.AddHealthChecks().AddCheck<Readiness>("database");
    }
}

/// <summary>Whether the database answers and stands in the schema that this version needs.</summary>
internal sealed class Readiness(IServiceScopeFactory scopes) : IHealthCheck
{
    /// <inheritdoc/>
    public async Task<HealthCheckResult> CheckHealthAsync(HealthCheckContext context, CancellationToken cancellationToken = default)
    {
        try
        {
            await using var scope = scopes.CreateAsyncScope();
            var missing = await scope.ServiceProvider.GetRequiredService<PencilContext>().Database.GetPendingMigrationsAsync(cancellationToken);
            return missing.Any() ? HealthCheckResult.Unhealthy("the schema is older than this version") : HealthCheckResult.Healthy();
        }
        catch (Exception e) when (e is Npgsql.NpgsqlException or InvalidOperationException or TimeoutException)
        {
            return HealthCheckResult.Unhealthy("the database does not answer");
        }
    }
}
