using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>What came of saving typed items: each one is taken, refused, or in conflict, by itself.</summary>
/// <param name="Page">The page as it now stands.</param>
/// <param name="Versions">The new version of every item that was taken.</param>
/// <param name="Conflicts">Items that had been changed elsewhere, as they stand.</param>
/// <param name="Refused">Items that cannot be taken, with the reason.</param>
public sealed record TypingSaved(
    StudentPage Page, IReadOnlyDictionary<string, int> Versions, IReadOnlyList<WorkedItem> Conflicts, IReadOnlyList<RefusedItem> Refused);

/// <summary>An item that cannot be taken.</summary>
public sealed record RefusedItem(string Id, string Message);

/// <summary>Saves items while they are typed.</summary>
public sealed class PageTyping(PencilContext data, PageDesk pages)
{
    /// <summary>Saves items of a page; null when there is no such page of this owner.</summary>
    /// <param name="id">The page.</param>
    /// <param name="items">The items as they were typed.</param>
    /// <param name="sheet">The sheet of a class on which the page must be; null where that does not matter.</param>
    public async Task<TypingSaved?> SaveAsync(Guid id, IReadOnlyList<TypedItem> items, Guid? sheet = null)
    {
        await using var transaction = await data.Database.BeginTransactionAsync();
        if (await pages.HoldAsync(id) is not { } page || (sheet is not null && page.ClassSheetId != sheet)) return null;
        var stored = PageDesk.StoredSheet(page);
        var known = stored.Items.ToDictionary(i => i.Id);
        var versions = new Dictionary<string, int>();
        var notRead = new Dictionary<string, List<NotReadText>>(page.NotRead ?? []);
        var conflicts = new List<WorkedItem>();
        var refused = new List<RefusedItem>();
        foreach (var typed in items)
        {
            if (!known.TryGetValue(typed.Id, out var item))
            {
                refused.Add(new(typed.Id, "it is not on this page any more"));
                continue;
            }

            if (Take(item, typed, out var fault) is not { } changed)
            {
                refused.Add(new(typed.Id, fault!));
                continue;
            }

            var version = page.ItemVersions.GetValueOrDefault(typed.Id, 1);
            if (version == typed.Version)
            {
                known[typed.Id] = changed;
                versions[typed.Id] = version + 1;
                if (typed.NotRead is { } now) notRead[typed.Id] = [.. now];
            }
            else if (Text(changed) == Text(item) && (typed.NotRead?.SequenceEqual(page.NotReadOn(typed.Id)) ?? true))
            {
                // Saved before, but the acknowledgement was lost on the way.
                versions[typed.Id] = version;
            }
            else
            {
                conflicts.Add(item);
            }
        }

        var taken = versions.Where(v => v.Value != page.ItemVersions.GetValueOrDefault(v.Key, 1)).Select(v => v.Key).ToList();
        if (taken.Count > 0)
        {
            var changed = stored with { Items = [.. stored.Items.Select(i => known[i.Id])] };
            if (SheetReader.TryRead(SheetWriter.Write(changed), out var fault) is null)
                return new TypingSaved(page, new Dictionary<string, int>(), [], [.. refused, .. taken.Select(id => new RefusedItem(id, fault!.ToString()))]);
            page.NotRead = notRead.Where(s => s.Value.Count > 0).ToDictionary();
            pages.Put(page, changed, taken);
            await data.SaveChangesAsync();
            await transaction.CommitAsync();
        }

        return new TypingSaved(page, versions, conflicts, refused);
    }

    /// <summary>An item with what was typed; null, with the reason, where the reader that reads it later would refuse it.</summary>
    internal static WorkedItem? Take(WorkedItem item, TypedItem typed, out string? fault)
    {
        if (typed.PutInto(item, out fault) is not { } changed) return null;
        if (SheetReader.TryRead(Text(changed), out var unread) is not null) return changed;
        fault = unread!.ToString();
        return null;
    }

    private static string Text(WorkedItem item) => SheetWriter.Write(new WorkedSheet { Student = "-", Items = [item] });
}
