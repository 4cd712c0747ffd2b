using System.Globalization;
using System.Net;
using System.Threading.RateLimiting;
using Microsoft.AspNetCore.Http.Timeouts;
using Microsoft.AspNetCore.HttpOverrides;
using Microsoft.AspNetCore.Server.Kestrel.Core;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Diagnostics.HealthChecks;
using Npgsql;
using Serilog;
using Serilog.Formatting.Compact;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>How long a request may take, and how slowly it may come in.</summary>
internal static class Limits
{
    /// <summary>The longest that a request is worked on, in seconds, where no other is set; the longest reading takes a tenth of it.</summary>
    private const double Longest = 30;

    /// <summary>How long somebody may take to send the head of a request, or to go on with its body, in seconds, where nothing else is set.</summary>
    private const double Patience = 10;

    /// <summary>Requests that are worked on at once: fewer than there are connections to the database, so that none waits for one in vain.</summary>
    private const int AtOnce = 24;

    /// <summary>Requests that wait for their turn; beyond them somebody is asked to come again.</summary>
    private const int Waiting = 1_000;

    /// <summary>After so many seconds.</summary>
    private const string RetryAfter = "5";

    /// <summary>
    /// The connections of one instance: for pages, for the attempts that are counted beside them, and for the queue. Two instances and somebody who
    /// administers fit into the hundred that PostgreSQL gives.
    /// </summary>
    public const int Connections = 32;

    /// <summary>The connections of the queue of one instance.</summary>
    public const int ConnectionsOfQueue = 12;

    /// <summary>A connection string with a bound on its connections; a lower one that it sets itself stays.</summary>
    public static string WithPool(string connection, int most)
    {
        var builder = new NpgsqlConnectionStringBuilder(connection);
        builder.MaxPoolSize = Math.Min(builder.MaxPoolSize, most);
        return builder.ConnectionString;
    }

    private static bool NeedsDatabase(PathString path) =>
        !path.StartsWithSegments("/dist", StringComparison.Ordinal) && !path.StartsWithSegments("/healthz", StringComparison.Ordinal) && !path.StartsWithSegments("/readyz", StringComparison.Ordinal);

    public static void Configure(KestrelServerOptions kestrel, IConfiguration configuration)
    {
        var patience = TimeSpan.FromSeconds(configuration.GetValue("Requests:PatienceSeconds", Patience));
        kestrel.AddServerHeader = false;
        kestrel.Limits.RequestHeadersTimeout = patience;
        kestrel.Limits.MinRequestBodyDataRate = new MinDataRate(bytesPerSecond: 240, gracePeriod: patience);
        kestrel.Limits.MaxRequestBodySize = 8_000_000;
    }

    /// <summary>Takes the address of a visitor, and whether it is https, from the proxies that are named: addresses or networks, with commas between; else from this machine only.</summary>
    /// <exception cref="FormatException">What is named is no address.</exception>
    public static void Trust(ForwardedHeadersOptions options, string? proxies)
    {
        options.ForwardedHeaders = ForwardedHeaders.XForwardedFor | ForwardedHeaders.XForwardedProto;
        foreach (var proxy in (proxies ?? "").Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries))
        {
            if (proxy.Contains('/')) options.KnownIPNetworks.Add(System.Net.IPNetwork.Parse(proxy));
            else options.KnownProxies.Add(IPAddress.Parse(proxy));
        }
    }

    /// <summary>Writes the log to the console, for people or as a JSON object a line.</summary>
    public static LoggerConfiguration WriteToConsole(this LoggerConfiguration log, string? how) =>
        how == "json" ? log.WriteTo.Console(new RenderedCompactJsonFormatter()) : log.WriteTo.Console(formatProvider: CultureInfo.InvariantCulture);

    /// <summary>Ends the work of requests that take too long, and says whether the application is well.</summary>
    public static void AddLimits(this IServiceCollection services, IConfiguration configuration)
    {
        var longest = TimeSpan.FromSeconds(configuration.GetValue("Requests:LongestSeconds", Longest));
        services.AddRequestTimeouts(options => options.DefaultPolicy = new RequestTimeoutPolicy { Timeout = longest, TimeoutStatusCode = StatusCodes.Status503ServiceUnavailable });
        services.AddRateLimiter(options =>
        {
            options.RejectionStatusCode = StatusCodes.Status503ServiceUnavailable;
            options.OnRejected = (context, _) =>
            {
                context.HttpContext.Response.Headers.RetryAfter = RetryAfter;
                return ValueTask.CompletedTask;
            };
            options.GlobalLimiter = PartitionedRateLimiter.Create<HttpContext, string>(context => NeedsDatabase(context.Request.Path)
                ? RateLimitPartition.GetConcurrencyLimiter("pages", _ => new ConcurrencyLimiterOptions { PermitLimit = AtOnce, QueueLimit = Waiting, QueueProcessingOrder = QueueProcessingOrder.OldestFirst })
                : RateLimitPartition.GetNoLimiter("files"));
        });
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
