using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;

namespace YellowPencil.Web.Services;

/// <summary>Throwing things away, with ten minutes to think again, and a log.</summary>
public sealed class Removals(PencilContext data, CurrentSpecialist who, TimeProvider clock)
{
    /// <summary>Throws a student's file away, with pages and plans.</summary>
    /// <param name="student">The student.</param>
    /// <param name="by">Who did it, where it was not whoever is signed in.</param>
    public async Task<Guid> ThrowAsync(Student student, string? by = null)
    {
        var removal = Add("student", student.Code, by);
        student.RemovalId = removal.Id;
        await data.SaveChangesAsync();
        await data.Pages.Where(p => p.StudentId == student.Id).ExecuteUpdateAsync(set => set.SetProperty(p => p.RemovalId, removal.Id));
        await data.Plans.Where(p => p.StudentId == student.Id).ExecuteUpdateAsync(set => set.SetProperty(p => p.RemovalId, removal.Id));
        return removal.Id;
    }

    /// <summary>Throws a page away, with its readings and plans.</summary>
    public async Task<Guid> ThrowAsync(StudentPage page)
    {
        var removal = Add("page", page.Student!.Code);
        page.RemovalId = removal.Id;
        await data.SaveChangesAsync();
        await data.Plans.Where(p => p.PageId == page.Id).ExecuteUpdateAsync(set => set.SetProperty(p => p.RemovalId, removal.Id));
        return removal.Id;
    }

    /// <summary>Throws a class away, with its sheets; what its students wrote stays in their files.</summary>
    public async Task<Guid> ThrowAsync(SchoolClass schoolClass)
    {
        var removal = Add("class", schoolClass.Name);
        schoolClass.RemovalId = removal.Id;
        await data.SaveChangesAsync();
        await data.ClassSheets.Where(s => s.ClassId == schoolClass.Id).ExecuteUpdateAsync(set => set.SetProperty(s => s.RemovalId, removal.Id));
        return removal.Id;
    }

    /// <summary>Throws a sheet of a class away, with the pages of all who have it.</summary>
    public async Task<Guid> ThrowAsync(ClassSheet sheet)
    {
        var removal = Add("sheet", sheet.Class!.Name);
        sheet.RemovalId = removal.Id;
        await data.SaveChangesAsync();
        await data.Plans.Where(p => p.Page!.ClassSheetId == sheet.Id).ExecuteUpdateAsync(set => set.SetProperty(p => p.RemovalId, removal.Id));
        await data.Pages.Where(p => p.ClassSheetId == sheet.Id).ExecuteUpdateAsync(set => set.SetProperty(p => p.RemovalId, removal.Id));
        return removal.Id;
    }

    /// <summary>Throws a plan away.</summary>
    public async Task<Guid> ThrowAsync(Plan plan)
    {
        var removal = Add("plan", plan.Student!.Code);
        plan.RemovalId = removal.Id;
        await data.SaveChangesAsync();
        return removal.Id;
    }

    /// <summary>The log, newest first.</summary>
    public async Task<IReadOnlyList<Removal>> LogAsync() => await data.Removals.OrderByDescending(r => r.At).Take(200).ToListAsync();

    /// <summary>Whether a removal can still be undone.</summary>
    public bool CanUndo(Removal removal) => removal is { UndoneAt: null, ErasedAt: null } && removal.At > clock.GetUtcNow() - Removal.TimeToUndo;

    /// <summary>Takes a removal back.</summary>
    /// <returns>What is wrong, in a sentence; null when everything is back.</returns>
    public async Task<string?> UndoAsync(Guid id)
    {
        if (await data.Removals.FirstOrDefaultAsync(r => r.Id == id) is not { } removal) return "There is nothing to take back.";
        if (removal.UndoneAt is not null) return null;
        if (!CanUndo(removal)) return "The ten minutes are over; it has been erased.";
        var student = await Thrown(data.Students, id).FirstOrDefaultAsync();
        if (student is not null && await data.Students.AnyAsync(s => s.CodeKey == student.CodeKey)) return $"There is another student with the code {student.Code} by now. Give that one another code first.";
        if (await IsMadeAgainAsync(id)) return "The same plan was made again since; throw that one away first.";
        if (removal.What != "student" && await IsWithoutHomeAsync(removal)) return "What it belonged to was thrown away too. Take that back first.";
        removal.UndoneAt = clock.GetUtcNow();
        await data.SaveChangesAsync();
        await Thrown(data.Students, id).ExecuteUpdateAsync(set => set.SetProperty(s => s.RemovalId, (Guid?)null));
        await Thrown(data.Classes, id).ExecuteUpdateAsync(set => set.SetProperty(c => c.RemovalId, (Guid?)null));
        await Thrown(data.ClassSheets, id).ExecuteUpdateAsync(set => set.SetProperty(s => s.RemovalId, (Guid?)null));
        await Thrown(data.Pages, id).ExecuteUpdateAsync(set => set.SetProperty(p => p.RemovalId, (Guid?)null));
        await Thrown(data.Plans, id).ExecuteUpdateAsync(set => set.SetProperty(p => p.RemovalId, (Guid?)null));
        return null;
    }

    /// <summary>Erases for good what was thrown away longer ago than can be undone, of all owners.</summary>
    public async Task EraseAsync()
    {
        var now = clock.GetUtcNow();
        var over = await data.Removals.IgnoreQueryFilters().Where(r => r.UndoneAt == null && r.ErasedAt == null && r.At <= now - Removal.TimeToUndo).ToListAsync();
        foreach (var removal in over)
        {
            await using var transaction = await data.Database.BeginTransactionAsync();
            await ForgetNamesAsync(removal);
            await data.Plans.IgnoreQueryFilters().Where(p => p.RemovalId == removal.Id).ExecuteDeleteAsync();
            await data.Pages.IgnoreQueryFilters().Where(p => p.RemovalId == removal.Id).ExecuteDeleteAsync();
            await data.ClassSheets.IgnoreQueryFilters().Where(s => s.RemovalId == removal.Id).ExecuteDeleteAsync();
            await data.Classes.IgnoreQueryFilters().Where(c => c.RemovalId == removal.Id).ExecuteDeleteAsync();
            await data.Students.IgnoreQueryFilters().Where(s => s.RemovalId == removal.Id).ExecuteDeleteAsync();
            if (removal.What == "student") await ForgetCodeAsync(removal);
            removal.ErasedAt = now;
            await data.SaveChangesAsync();
            await transaction.CommitAsync();
        }
    }

    // A name that was given to a rule on an erased page, and on no page that stays, goes with it: it may say of whom it was.
    private Task<int> ForgetNamesAsync(Removal removal) => data.Database.ExecuteSqlAsync($"""
        delete from rule_names n where n.owner_id = {removal.OwnerId}
          and exists (select 1 from decisions d join pages p on p.id = d.page_id
            where p.removal_id = {removal.Id} and d.kind = 'Renamed' and d.rules = n.rules and d.text = n.name)
          and not exists (select 1 from decisions d join pages p on p.id = d.page_id
            where p.removal_id is distinct from {removal.Id} and d.owner_id = n.owner_id and d.kind = 'Renamed' and d.rules = n.rules and d.text = n.name)
        """);

    // The log keeps that a file was erased, by whom and when; not whose it was.
    private async Task ForgetCodeAsync(Removal removal)
    {
        var file = Addresses.Student(removal.Code);
        await data.SentForms.IgnoreQueryFilters().Where(f => f.OwnerId == removal.OwnerId && (f.Address == file || f.Address.StartsWith(file + "/"))).ExecuteDeleteAsync();
        var (owner, code) = (removal.OwnerId, removal.Code);
        foreach (var other in await data.Removals.IgnoreQueryFilters().Where(r => r.OwnerId == owner && r.Code == code).ToListAsync()) other.Code = "";
    }

    private IQueryable<T> Thrown<T>(DbSet<T> rows, Guid removal)
        where T : class, IOwned, IRemovable => rows.IgnoreQueryFilters().Where(r => r.OwnerId == who.Id && r.RemovalId == removal);

    // A page whose student, a plan whose page, or a sheet whose class lies under another removal would come back to nowhere.
    private async Task<bool> IsWithoutHomeAsync(Removal removal)
    {
        var pages = await Thrown(data.Pages, removal.Id).Select(p => p.StudentId).Distinct().ToListAsync();
        var plans = await Thrown(data.Plans, removal.Id).Where(p => p.Page!.RemovalId != removal.Id).Select(p => p.PageId).Distinct().ToListAsync();
        var sheets = await Thrown(data.ClassSheets, removal.Id).Where(s => s.Class!.RemovalId != removal.Id).Select(s => s.ClassId).Distinct().ToListAsync();
        return await data.Students.CountAsync(s => pages.Contains(s.Id)) < pages.Count || await data.Pages.CountAsync(p => plans.Contains(p.Id)) < plans.Count
            || await data.Classes.CountAsync(c => sheets.Contains(c.Id)) < sheets.Count;
    }

    // The filters are off for the whole question, so what stands now is asked for by name.
    private Task<bool> IsMadeAgainAsync(Guid removal) => Thrown(data.Plans, removal).AnyAsync(thrown =>
        data.Plans.Any(plan => plan.RemovalId == null && plan.PageId == thrown.PageId && plan.PageVersion == thrown.PageVersion && plan.Rules == thrown.Rules));

    private Removal Add(string what, string code, string? by = null)
    {
        var removal = new Removal { Id = Guid.CreateVersion7(clock.GetUtcNow()), What = what, Code = code, ByName = by ?? who.Name, At = clock.GetUtcNow() };
        data.Removals.Add(removal);
        return removal;
    }
}
