using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Progress;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>A page that can count as a check of a plan.</summary>
/// <param name="Plan">The plan, with its student.</param>
/// <param name="Page">The page.</param>
/// <param name="Chances">On how many of its items the plan's rule would show.</param>
public sealed record CountablePage(Plan Plan, Guid Page, int Chances);

/// <summary>Pages that were written for something else, such as the sheet of a class, and count as a check of a plan that is taught.</summary>
public sealed class CountedChecks(PencilContext data, WeeksDesk weeks, SchoolTime time, TimeProvider clock)
{
    /// <summary>Which of some pages can count as a check, for which plans: written since the plan was made, with as many chances as a check has.</summary>
    public async Task<IReadOnlyList<CountablePage>> OfferedAsync(IReadOnlyCollection<Guid> pages)
    {
        var free = await data.Pages.AsNoTracking().Where(p => pages.Contains(p.Id) && p.State == PageState.Typed && p.Check == null && p.Plans.Count == 0).ToListAsync();
        var students = free.Select(p => p.StudentId).ToHashSet();
        var plans = await data.Plans.AsNoTracking().Include(p => p.Student)
            .Where(p => students.Contains(p.StudentId) && p.ClosedAt == null && (p.PrintedAt != null || p.Sessions.Count > 0 || p.Checks.Count > 0)).OrderBy(p => p.Student!.CodeKey).ThenBy(p => p.MadeAt).ToListAsync();
        return
        [
            .. from plan in plans
               from page in free
               where page.StudentId == plan.StudentId && DayOf(page) >= time.DayOf(plan.MadeAt)
               let chances = FormOf(page, plan)?.Items.Count(i => i.Part == CheckPart.Shows) ?? 0
               where chances >= CheckForm.Showing
               select new CountablePage(plan, page.Id, chances),
        ];
    }

    /// <summary>Counts a page as the next check of a plan. It is read with what is known of the student then, unless it was decided on as it was read.</summary>
    /// <returns>Whether it could be counted.</returns>
    public async Task<bool> CountAsync(Guid plan, Guid page)
    {
        await data.Database.ExecuteSqlAsync($"select 1 from plans where id = {plan} for update");
        await data.Database.ExecuteSqlAsync($"select 1 from pages where id = {page} for update");
        if ((await OfferedAsync([page])).FirstOrDefault(o => o.Plan.Id == plan) is not { } offered) return false;
        var counted = await data.Pages.Include(p => p.Decisions).FirstAsync(p => p.Id == page);
        if (!counted.Decisions.Exists(d => d.PageVersion == counted.Version)) (counted.Known, counted.Version) = ((await weeks.KnownAsync(offered.Plan)).Shares.ToDictionary(), counted.Version + 1);
        data.Checks.Add(new Check
        {
            Id = Guid.CreateVersion7(clock.GetUtcNow()),
            PlanId = plan,
            Number = await weeks.NextNumberAsync(offered.Plan),
            PageId = page,
            Content = FormOf(counted, offered.Plan)!.Write(),
            MadeAt = clock.GetUtcNow(),
            IsCounted = true,
        });
        await data.SaveChangesAsync();
        return true;
    }

    /// <summary>Takes back that a page counts as a check; one that was set as a check stays one.</summary>
    public async Task TakeBackAsync(StudentPage page)
    {
        if (page.Check is not { IsCounted: true } check) return;
        data.Checks.Remove(check);
        if (page.Known is not null && !page.Decisions.Exists(d => d.PageVersion == page.Version)) (page.Known, page.Version) = (null, page.Version + 1);
        await data.SaveChangesAsync();
    }

    private DateOnly DayOf(StudentPage page) => page.WrittenOn ?? time.DayOf(page.CreatedAt);

    // Items that stand on the page twice are one of a form.
    private static CheckForm? FormOf(StudentPage page, Plan plan) =>
        Hypothesis.Parse(plan.Rules) is { } hypothesis && PageDesk.TryStoredSheet(page, out _) is { } sheet ? CheckForm.OfPage(sheet.Items.Select(i => i.Task).Distinct(), hypothesis) : null;
}
