using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>
/// After a start, reads the pages that were worked on last into the memory in which readings are kept, so that the first who opens one does not wait for
/// the engine. One page at a time; a page that is asked for meanwhile is read beside it.
/// </summary>
internal sealed class ReadingAhead(IServiceScopeFactory scopes, ReadingCache cache, ILogger<ReadingAhead> log)
{
    /// <summary>So many pages are read, the newest first: a few weeks of a specialist's work, some seconds of one core.</summary>
    private const int Most = 300;

    /// <summary>Reads them.</summary>
    /// <returns>How many were read.</returns>
    public async Task<int> ReadAsync(CancellationToken cancellation)
    {
        await using var scope = scopes.CreateAsyncScope();
        var data = scope.ServiceProvider.GetRequiredService<PencilContext>();
        var newest = await data.Pages.IgnoreQueryFilters().AsNoTracking().Include(p => p.Decisions)
            .Where(p => p.RemovalId == null && p.State != PageState.Typing).OrderByDescending(p => p.ChangedAt).Take(Most).ToListAsync(cancellation);
        var read = 0;
        foreach (var page in newest)
        {
            try
            {
                cache.Read(page, cancellation);
                read++;
            }
            catch (InvalidOperationException e)
            {
                log.LogWarning("A page could not be read ahead: {Reason}", e.Message);
            }
        }

        return read;
    }
}
