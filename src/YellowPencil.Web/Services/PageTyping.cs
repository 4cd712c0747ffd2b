using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Working;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>What came of saving typed items.</summary>
/// <param name="Page">The page as it now stands; null with a fault.</param>
/// <param name="Versions">The new version of every item that was taken.</param>
/// <param name="Conflicts">Items that had been changed elsewhere, with the version and answer that stand.</param>
/// <param name="Fault">Why nothing was taken, in a sentence.</param>
public sealed record TypingSaved(
    StudentPage? Page, IReadOnlyDictionary<string, int> Versions, IReadOnlyList<ItemConflict> Conflicts, string? Fault);

/// <summary>An item that was changed elsewhere since the browser saw it.</summary>
public sealed record ItemConflict(string Id, int Version, string? Answer);

/// <summary>Saves items while they are typed. All of a request is taken, but for items that changed elsewhere, or nothing is.</summary>
public sealed class PageTyping(PencilContext data, TimeProvider clock)
{
    /// <summary>Saves items of a page; null when there is no such page of this owner.</summary>
    public async Task<TypingSaved?> SaveAsync(Guid id, IReadOnlyList<TypedItem> items)
    {
        await using var transaction = await data.Database.BeginTransactionAsync();
        var page = await data.Pages.FromSql($"select * from pages where id = {id} for update").Include(p => p.Student).FirstOrDefaultAsync();
        if (page is null) return null;
        var sheet = SheetReader.TryRead(page.Content, out _)!;
        var known = sheet.Items.ToDictionary(i => i.Id);
        var versions = new Dictionary<string, int>();
        var conflicts = new List<ItemConflict>();
        foreach (var typed in items)
        {
            if (!known.TryGetValue(typed.Id, out var item)) return Refused($"there is no item {typed.Id} on this page");
            if (WorkedItemReader.TryRead(item, typed.Answer, typed.Work, out var fault) is not { } changed) return Refused(fault!.ToString());
            var version = page.ItemVersions.GetValueOrDefault(typed.Id, 1);
            if (version == typed.Version)
            {
                known[typed.Id] = changed;
                versions[typed.Id] = version + 1;
            }
            else if (Text(changed) == Text(item))
            {
                // Saved before, but the acknowledgement was lost on the way.
                versions[typed.Id] = version;
            }
            else
            {
                conflicts.Add(new ItemConflict(typed.Id, version, item.Answer));
            }
        }

        if (versions.Count > 0)
        {
            page.Content = SheetWriter.Write(sheet with { Items = [.. sheet.Items.Select(i => known[i.Id])] });
            page.ItemVersions = new Dictionary<string, int>(page.ItemVersions);
            foreach (var (item, version) in versions) page.ItemVersions[item] = version;
            page.ChangedAt = clock.GetUtcNow();
            await data.SaveChangesAsync();
            await transaction.CommitAsync();
        }

        return new TypingSaved(page, versions, conflicts, null);
    }

    private static string Text(WorkedItem item) => SheetWriter.Write(new WorkedSheet { Student = "-", Items = [item] });

    private static TypingSaved Refused(string fault) => new(null, new Dictionary<string, int>(), [], fault);
}
