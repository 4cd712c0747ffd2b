using Microsoft.Extensions.Caching.Memory;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>
/// Readings that were made lately. The same sheet always reads the same, so what was read while a page was typed is not worked out again when it is looked
/// at, nor at the next look.
/// </summary>
public sealed class ReadingCache(Measures measures) : IDisposable
{
    private const int Most = 500;
    private static readonly TimeSpan Kept = TimeSpan.FromHours(2);
    private readonly MemoryCache readings = new(new MemoryCacheOptions { SizeLimit = Most });

    /// <summary>The reading of a sheet.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="cancellation">Ends the reading when nobody waits for it any more.</param>
    public Reading Read(WorkedSheet sheet, CancellationToken cancellation = default) => Read(sheet, [], KnownBefore.Nothing, cancellation);

    /// <summary>The reading of a page, with its decisions, without the explanations that were rejected on it, and with what was known of the student.</summary>
    public Reading Read(StudentPage page, CancellationToken cancellation = default) => Read(PageDesk.Sheet(page), PageDesk.Rejected(page), PageDesk.Known(page), cancellation);

    /// <summary>The reading of a part of a page, or of a page as it is being typed, with what was known of the student.</summary>
    public Reading Read(StudentPage page, WorkedSheet sheet, CancellationToken cancellation) => Read(sheet, [], PageDesk.Known(page), cancellation);

    private Reading Read(WorkedSheet sheet, IReadOnlyCollection<string> rejected, KnownBefore known, CancellationToken cancellation)
    {
        var before = string.Join(' ', known.Shares.OrderBy(s => s.Key, StringComparer.Ordinal).Select(s => $"{s.Key}={s.Value}"));
        var key = $"{string.Join(' ', rejected)} | {before} | {SheetWriter.Write(sheet)}";
        if (readings.TryGetValue(key, out Reading? kept)) return kept!;
        var reading = measures.Read(sheet, rejected, known, cancellation);
        readings.Set(key, reading, new MemoryCacheEntryOptions { Size = 1, SlidingExpiration = Kept });
        return reading;
    }

    /// <inheritdoc/>
    public void Dispose() => readings.Dispose();
}
