using System.Globalization;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;

namespace YellowPencil.Web.Services;

/// <summary>Pages of work: begun, found, changed, typed in, asked further.</summary>
public sealed class PageDesk(PencilContext data, TimeProvider clock, CurrentSpecialist who)
{
    /// <summary>Begins a page with its items.</summary>
    public async Task<StudentPage> BeginAsync(Student student, string title, DateOnly? writtenOn, IReadOnlyList<WorkedItem> items)
    {
        var page = New(student, title, writtenOn, items, clock.GetUtcNow());
        data.Pages.Add(page);
        student.ArchivedAt = null; // who writes again lies on the desk again
        await data.SaveChangesAsync();
        return page;
    }

    /// <summary>A page that is not kept yet; typed in where every item has its answer.</summary>
    internal static StudentPage New(Student student, string title, DateOnly? writtenOn, IReadOnlyList<WorkedItem> items, DateTimeOffset at) => new()
    {
        Id = Guid.CreateVersion7(at),
        OwnerId = student.OwnerId,
        StudentId = student.Id,
        Title = title,
        WrittenOn = writtenOn,
        State = items.All(i => i.Answer is not null) ? PageState.Typed : PageState.Typing,
        Content = SheetWriter.Write(new WorkedSheet { Student = student.Code, Sheet = title.Length > 0 ? title : null, Date = writtenOn, Items = items }),
        ItemVersions = items.ToDictionary(i => i.Id, _ => 1),
        ItemCount = items.Count,
        CreatedAt = at,
        ChangedAt = at,
    };

    /// <summary>A page with its student, decisions and plans; null when there is none of this owner.</summary>
    public Task<StudentPage?> FindAsync(Guid id) =>
        data.Pages.Include(p => p.Student).Include(p => p.ClassSheet).Include(p => p.Check).Include(p => p.Decisions.OrderBy(d => d.At)).Include(p => p.Plans).FirstOrDefaultAsync(p => p.Id == id);

    /// <summary>The same page, held until the transaction of the request ends, so that no autosave comes in between.</summary>
    public async Task<StudentPage?> HoldAsync(Guid id)
    {
        await data.Database.ExecuteSqlAsync($"select 1 from pages where id = {id} and owner_id = {who.Id} for update");
        return await FindAsync(id);
    }

    /// <summary>The pages of a class sheet that stand before and behind one in the order of the students, where something stands on them.</summary>
    public async Task<(Guid? Before, Guid? Behind)> NeighboursAsync(StudentPage page)
    {
        if (page.ClassSheetId is not { } sheet) return (null, null);
        var order = await data.Pages.Where(p => p.ClassSheetId == sheet && p.State == PageState.Typed).OrderBy(p => p.Student!.CodeKey).ThenBy(p => p.CreatedAt).Select(p => p.Id).ToListAsync();
        var at = order.IndexOf(page.Id);
        return (at > 0 ? order[at - 1] : null, at >= 0 && at + 1 < order.Count ? order[at + 1] : null);
    }

    /// <summary>The page's sheet as it is stored.</summary>
    /// <exception cref="UnreadablePageException">What is stored cannot be read by this version.</exception>
    public static WorkedSheet StoredSheet(StudentPage page) => TryStoredSheet(page, out var fault) ?? throw new UnreadablePageException(page.Id, fault!);

    /// <summary>The page's sheet as it is stored; null, with what is wrong, where this version cannot read it.</summary>
    public static WorkedSheet? TryStoredSheet(StudentPage page, out SheetFault? fault) => SheetReader.TryRead(page.Content, out fault);

    /// <summary>The page's sheet as it is read: where all marks were typed in, items without one say that there is none.</summary>
    public static WorkedSheet Sheet(StudentPage page)
    {
        var sheet = StoredSheet(page);
        return page.MarksComplete ? sheet with { Items = [.. sheet.Items.Select(WithAllMarks)] } : sheet;
    }

    /// <summary>What was known of the student when a page was begun.</summary>
    public static KnownBefore Known(StudentPage page) => page.Known is { Count: > 0 } shares ? new KnownBefore(shares) : KnownBefore.Nothing;

    /// <summary>The explanations that the specialist rejected on a page as it stands, by their rules joined by +.</summary>
    public static IReadOnlyList<string> Rejected(StudentPage page) =>
    [
        .. page.Decisions.Where(d => d.PageVersion == page.Version && d.Kind is DecisionKind.Rejected or DecisionKind.Restored).OrderBy(d => d.At)
            .GroupBy(d => d.Rules).Where(g => g.Last().Kind == DecisionKind.Rejected).Select(g => g.Key).Order(StringComparer.Ordinal),
    ];

    /// <summary>Says of a held page whose answers make sense only from the other side that the paper shows them so.</summary>
    public async Task LeaveAsWrittenAsync(StudentPage page)
    {
        page.IsWrittenSo = true;
        await data.SaveChangesAsync();
    }

    /// <summary>Turns the answers of a held page round that were typed from the other side.</summary>
    /// <param name="page">The page.</param>
    /// <param name="turned">What it is turned into; answers that were changed since stay as they are.</param>
    public async Task TurnAsync(StudentPage page, TurnedPage turned)
    {
        var sheet = StoredSheet(page);
        var other = turned.Items.ToDictionary(i => i.Id);
        var items = sheet.Items.Select(i => other.TryGetValue(i.Id, out var turn) && i.Answer == turn.Answer ? i with { Answer = turn.Other } : i).ToList();
        Put(page, sheet with { Items = items }, turned.Items.Select(i => i.Id));
        await data.SaveChangesAsync();
    }

    /// <summary>Puts further items on a held page, to be answered by the student and typed in; the reading then covers old and new.</summary>
    public async Task AskAsync(StudentPage page, IEnumerable<ItemTask> tasks)
    {
        var sheet = StoredSheet(page);
        var items = sheet.Items.ToList();
        foreach (var task in tasks.Where(t => sheet.Items.All(i => i.Task.Text != t.Text))) items.Add(WorkedItem.Of(FreeId(items), task));
        if (items.Count > sheet.Items.Count) Put(page, sheet with { Items = items }, items.Skip(sheet.Items.Count).Select(i => i.Id));
        page.State = PageState.Typing;
        await data.SaveChangesAsync();
    }

    /// <summary>
    /// Changes a held page: name, date, and its items. An item that keeps its id keeps its answer and marks, also with another task; one that is
    /// missing is taken off the page.
    /// </summary>
    /// <param name="page">The page.</param>
    /// <param name="title">Its name.</param>
    /// <param name="writtenOn">When it was written, if known.</param>
    /// <param name="kept">The tasks of the items that stay, by their ids.</param>
    /// <param name="added">Items that come to the end; their ids are given anew.</param>
    public async Task EditAsync(StudentPage page, string title, DateOnly? writtenOn, IReadOnlyDictionary<string, ItemTask> kept, IReadOnlyList<WorkedItem> added)
    {
        var sheet = StoredSheet(page);
        var items = sheet.Items.Where(i => kept.ContainsKey(i.Id)).Select(i => i.Task.Equals(kept[i.Id]) ? i : i.Asking(kept[i.Id])).ToList();
        var changed = items.Where(i => !sheet.Items.Contains(i)).Select(i => i.Id).ToList();
        foreach (var item in added)
        {
            items.Add(item with { Id = FreeId([.. sheet.Items, .. items]) });
            changed.Add(items[^1].Id);
        }

        page.Title = title;
        page.WrittenOn = writtenOn;
        var isAsItWas = changed.Count == 0 && items.Count == sheet.Items.Count;
        Put(page, sheet with { Sheet = title.Length > 0 ? title : null, Date = writtenOn, Items = items }, changed);
        if (isAsItWas) page.Version--;
        if (added.Any(i => i.Answer is null)) page.State = PageState.Typing;
        await data.SaveChangesAsync();
    }

    /// <summary>Says that a page is typed in.</summary>
    public async Task FinishTypingAsync(StudentPage page, bool marksComplete)
    {
        if (page.MarksComplete != marksComplete) page.Version++;
        page.State = PageState.Typed;
        page.MarksComplete = marksComplete;
        page.ChangedAt = clock.GetUtcNow();
        await data.SaveChangesAsync();
        await data.Readings.Where(r => r.PageId == page.Id && r.PageVersion == page.Version).ExecuteUpdateAsync(set => set.SetProperty(r => r.IsPassing, false));
    }

    /// <summary>Puts the content of a page that cannot be read in order, as it was mended by hand.</summary>
    /// <returns>What is still wrong; null when it was taken.</returns>
    public async Task<SheetFault?> MendAsync(StudentPage page, string content)
    {
        if (SheetReader.TryRead(content, out var fault) is not { } sheet) return fault;
        Put(page, sheet with { Student = page.Student!.Code }, sheet.Items.Select(i => i.Id));
        await data.SaveChangesAsync();
        return null;
    }

    /// <summary>Puts changed content on a page and counts up its version and those of the items that changed.</summary>
    /// <exception cref="UnreadablePageException">The content could not be read again; nothing was put.</exception>
    internal void Put(StudentPage page, WorkedSheet sheet, IEnumerable<string> changed)
    {
        var content = SheetWriter.Write(sheet);
        if (SheetReader.TryRead(content, out var fault) is null) throw new UnreadablePageException(page.Id, fault!);
        page.Content = content;
        page.ItemVersions = sheet.Items.ToDictionary(i => i.Id, i => page.ItemVersions.GetValueOrDefault(i.Id, 0));
        page.NotRead = page.NotRead?.Where(s => page.ItemVersions.ContainsKey(s.Key)).ToDictionary();
        foreach (var id in changed) page.ItemVersions[id]++;
        page.ItemCount = sheet.Items.Count;
        page.Version++;
        page.ChangedAt = clock.GetUtcNow();
    }

    // An id is never given twice, also where the item that had it was taken off.
    private static string FreeId(List<WorkedItem> items) =>
        (items.Select(i => int.TryParse(i.Id, CultureInfo.InvariantCulture, out var number) ? number : 0).Append(0).Max() + 1).ToString(CultureInfo.InvariantCulture);

    private static WorkedItem WithAllMarks(WorkedItem item)
    {
        if (!item.IsAnswered || LineLayout.Has(item.Task.Family)) return item;
        var marked = PageLayout.Of(item.Task).Strips.Where(s => s.Kind == StripKind.Places && !s.IsRare).Select(s => s.Mark!.Value.Field).OfType<PlaceField>();
        return item with { Work = marked.Where(field => !item.Work.Has(field)).Aggregate(item.Work, (work, field) => work.With(field, new PlaceMarks())) };
    }
}

/// <summary>The content of a page cannot be read: it comes from a version that wrote more, or less strictly, than this one reads.</summary>
internal sealed class UnreadablePageException(Guid page, SheetFault fault) : InvalidOperationException($"page {page} cannot be read: {fault}")
{
    /// <summary>The page.</summary>
    public Guid Page => page;

    /// <summary>What is wrong.</summary>
    public SheetFault Fault => fault;
}
