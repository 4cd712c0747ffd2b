using Hangfire;
using Hangfire.AspNetCore;
using Hangfire.PostgreSql;
using Hangfire.PostgreSql.Factories;

namespace YellowPencil.Web.Services;

/// <summary>
/// Work that no request waits for, in a queue kept in the database: any instance may take it up, and what an instance had begun when it ended is taken
/// up by another.
/// </summary>
internal static class Jobs
{
    private const string Schema = "jobs";
    private static readonly TimeSpan Poll = TimeSpan.FromMilliseconds(500);
    private static readonly TimeSpan Kept = TimeSpan.FromHours(1);

    /// <summary>Adds the queue. The storage is made when it is first asked for, which prepares its own tables.</summary>
    public static void AddJobs(this IServiceCollection services, string connection)
    {
        var options = new PostgreSqlStorageOptions { SchemaName = Schema, QueuePollInterval = Poll, EnableLongPolling = true };
        services.AddSingleton<JobStorage>(_ => new PostgreSqlStorage(new NpgsqlConnectionFactory(connection, options), options) { JobExpirationTimeout = Kept });
        services.AddSingleton<IBackgroundJobClient>(provider => new BackgroundJobClient(provider.GetRequiredService<JobStorage>()));
    }

    /// <summary>Takes up jobs while the application runs.</summary>
    public static void AddJobServer(this IServiceCollection services) => services.AddHostedService<Server>();

    private sealed class Server(IServiceProvider services, IServiceScopeFactory scopes) : IHostedService, IDisposable
    {
        private BackgroundJobServer? server;

        public Task StartAsync(CancellationToken cancellationToken)
        {
            var options = new BackgroundJobServerOptions { Activator = new AspNetCoreJobActivator(scopes), WorkerCount = Environment.ProcessorCount, ShutdownTimeout = TimeSpan.FromSeconds(5) };
            server = new BackgroundJobServer(options, services.GetRequiredService<JobStorage>());
            return Task.CompletedTask;
        }

        public Task StopAsync(CancellationToken cancellationToken)
        {
            server?.SendStop();
            return server?.WaitForShutdownAsync(cancellationToken) ?? Task.CompletedTask;
        }

        public void Dispose() => server?.Dispose();
    }
}
