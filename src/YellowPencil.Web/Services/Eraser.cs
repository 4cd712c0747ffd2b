using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;

namespace YellowPencil.Web.Services;

/// <summary>Every minute, throws files away that were kept as long as their specialist has set, erases what was thrown away long enough ago, and forgets forms and browsers that are over.</summary>
internal sealed class Eraser(IServiceScopeFactory scopes, TimeProvider clock, ILogger<Eraser> log) : BackgroundService
{
    private static readonly TimeSpan Pause = TimeSpan.FromMinutes(1);
    private static readonly TimeSpan FormsKept = TimeSpan.FromDays(1);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var timer = new PeriodicTimer(Pause, clock);
        try
        {
            while (await timer.WaitForNextTickAsync(stoppingToken)) await EraseAsync(stoppingToken);
        }
        catch (OperationCanceledException) when (stoppingToken.IsCancellationRequested)
        {
            // The application ends.
        }
    }

    private async Task ThrowOldAsync(PencilContext data, CancellationToken stoppingToken)
    {
        foreach (var owner in await data.Users.AsNoTracking().Where(u => u.MonthsKept != null).ToListAsync(stoppingToken))
        {
            await using var scope = scopes.CreateAsyncScope();
            scope.ServiceProvider.GetRequiredService<CurrentSpecialist>().Serve(owner);
            await scope.ServiceProvider.GetRequiredService<Retention>().ThrowAsync();
        }
    }

    private async Task EraseAsync(CancellationToken stoppingToken)
    {
        try
        {
            await using var scope = scopes.CreateAsyncScope();
            var data = scope.ServiceProvider.GetRequiredService<PencilContext>();
            await ThrowOldAsync(data, stoppingToken);
            await scope.ServiceProvider.GetRequiredService<Removals>().EraseAsync();
            var (forms, browsers) = (clock.GetUtcNow() - FormsKept, clock.GetUtcNow() - BrowserCookie.Longest);
            await data.SentForms.IgnoreQueryFilters().Where(f => f.At < forms).ExecuteDeleteAsync(stoppingToken);
            await data.Attempts.Where(a => a.Since < forms).ExecuteDeleteAsync(stoppingToken);
            await data.SignedInBrowsers.Where(b => b.Since < browsers).ExecuteDeleteAsync(stoppingToken);
        }
        catch (Exception e) when (e is Npgsql.NpgsqlException or InvalidOperationException or DbUpdateException)
        {
            // The database may be restarting; the next minute tries again.
            log.LogWarning("What was thrown away could not be erased: {Reason}", e.Message);
        }
    }
}
