using Hangfire;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Inference;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Classes;

/// <summary>
/// Reads the pages of a class's sheet in the background. What is still to be read is what the pages and readings in the database say, so that
/// stopping, or an end of the application, loses nothing.
/// </summary>
public sealed class ClassReader(PencilContext data, ReadingDesk readings, ReadingCache cache, CurrentSpecialist who, TimeProvider clock)
{
    /// <summary>Puts the reading of a sheet into the queue.</summary>
    public static void Ask(IBackgroundJobClient jobs, ClassSheet sheet) => jobs.Enqueue<ClassReader>(reader => reader.ReadAsync(sheet.Id, sheet.OwnerId, CancellationToken.None));

    /// <summary>Reads what is not read yet. One job at a time reads a sheet; whoever comes meanwhile leaves the work to it.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="owner">Whose it is.</param>
    /// <param name="cancellation">Ends the job between two pages; the queue hands in its own.</param>
    [AutomaticRetry(Attempts = 2)]
    public async Task ReadAsync(Guid sheet, Guid owner, CancellationToken cancellation)
    {
        if (await data.Users.AsNoTracking().FirstOrDefaultAsync(u => u.Id == owner, cancellation) is not { } account) return;
        who.Serve(account);
        await data.Database.OpenConnectionAsync(cancellation);
        do
        {
            if (!await TryLockAsync(sheet, cancellation)) return;
            try
            {
                while (await ReadSomeAsync(sheet, cancellation))
                {
                }
            }
            finally
            {
                await data.Database.SqlQuery<bool>($"select pg_advisory_unlock(hashtextextended({sheet.ToString()}, 0)) as \"Value\"").SingleAsync(CancellationToken.None);
            }
        }
        while ((await UnreadAsync(sheet, cancellation)).Count > 0); // typed while another job gave up because of this one
    }

    private Task<bool> TryLockAsync(Guid sheet, CancellationToken cancellation) =>
        data.Database.SqlQuery<bool>($"select pg_try_advisory_lock(hashtextextended({sheet.ToString()}, 0)) as \"Value\"").SingleAsync(cancellation);

    /// <summary>Reads as many pages as there are cores.</summary>
    /// <returns>Whether there was one.</returns>
    private async Task<bool> ReadSomeAsync(Guid sheet, CancellationToken cancellation)
    {
        var pages = (await UnreadAsync(sheet, cancellation)).Take(Environment.ProcessorCount).ToList();
        var kept = pages.AsParallel().AsOrdered().Select(page => ReadingDesk.Keep(page, cache.Read(page, cancellation), clock.GetUtcNow())).ToList();
        foreach (var reading in kept) await readings.KeepAsync(reading, cancellation);
        return kept.Count > 0;
    }

    /// <summary>The pages with answers that are not read as they now stand; none where the reading was stopped.</summary>
    private async Task<List<StudentPage>> UnreadAsync(Guid sheet, CancellationToken cancellation)
    {
        var pages = await data.Pages.AsNoTracking().Include(p => p.Decisions).Where(p => p.ClassSheetId == sheet && p.ClassSheet!.IsReadByItself
            && !p.Readings.Any(r => r.PageVersion == p.Version && r.EngineVersion == EngineVersion.Current && r.ClassLine != null)).ToListAsync(cancellation);
        return [.. pages.Where(ClassDesk.HasAnswers)];
    }
}
