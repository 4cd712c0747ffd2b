using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;
using YellowPencil.Planning;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Week;

namespace YellowPencil.Web.Services;

/// <summary>How it stands with a plan that is taught.</summary>
/// <param name="Plan">The plan as kept.</param>
/// <param name="Series">Its checks.</param>
/// <param name="Typed">The checks that were typed in and had chances, in the order of the series.</param>
/// <param name="Sessions">Its sessions, the first one first.</param>
/// <param name="Open">The check that is set and not typed in yet; null for none.</param>
/// <param name="Due">When the next check is due; null where none is.</param>
public sealed record PlanWeeks(Plan Plan, ProgressSeries Series, IReadOnlyList<Check> Typed, IReadOnlyList<Session> Sessions, Check? Open, DateOnly? Due);

/// <summary>The weeks after a plan was made: sessions, checks, and what is decided by them.</summary>
public sealed class WeeksDesk(PencilContext data, PageDesk pages, PlanDesk plans, ReadingCache cache, RuleNaming names, CurrentSpecialist who, SchoolTime time, TimeProvider clock)
{
    /// <summary>Fewer answers than these, wrong in another way, are no rule.</summary>
    private const int FewestForARule = 3;

    /// <summary>Begins the row of a session, of today where no day is named.</summary>
    public async Task<Session> BeginSessionAsync(Plan plan, DateOnly? day = null)
    {
        var session = new Session { Id = Guid.CreateVersion7(clock.GetUtcNow()), PlanId = plan.Id, HeldOn = day ?? time.Today, ByName = who.Name, At = clock.GetUtcNow() };
        data.Sessions.Add(session);
        await data.SaveChangesAsync();
        return session;
    }

    /// <summary>A session with its plan and student; null when there is none of this owner.</summary>
    public async Task<Session?> FindSessionAsync(Guid id) =>
        await data.Sessions.Include(s => s.Plan).ThenInclude(p => p!.Student).FirstOrDefaultAsync(s => s.Id == id) is { Plan: not null } session ? session : null;

    /// <summary>Keeps how a session went, if it is still as it was when that was typed, or was kept so before and the acknowledgement was lost on the way.</summary>
    /// <returns>Whether it was kept; if not, somebody else has changed it, or taken it out.</returns>
    public async Task<bool> SaveAsync(Session session, int version, Action<Session> change)
    {
        await using var transaction = data.Database.CurrentTransaction is null ? await data.Database.BeginTransactionAsync() : null;
        await data.Database.ExecuteSqlAsync($"select 1 from sessions where id = {session.Id} for update");
        await data.Entry(session).ReloadAsync();
        if (data.Entry(session).State == EntityState.Detached) return false;
        var before = (session.HeldOn, session.Said, session.Changed, session.Overruled);
        var ticks = session.Ticks;
        change(session);
        var isSame = before == (session.HeldOn, session.Said, session.Changed, session.Overruled) && ticks.Count == session.Ticks.Count && !ticks.Except(session.Ticks).Any();
        if (isSame || session.Version != version)
        {
            await data.Entry(session).ReloadAsync();
            return isSame;
        }

        session.Version++;
        await data.SaveChangesAsync();
        if (transaction is not null) await transaction.CommitAsync();
        return true;
    }

    /// <summary>Takes a session out that was not held.</summary>
    public async Task RemoveAsync(Session session)
    {
        data.Sessions.Remove(session);
        await data.SaveChangesAsync();
    }

    /// <summary>Sets the next check of a plan as a page; the one that is open, where there is one.</summary>
    /// <returns>The page; null where this version knows no items for the plan's rule.</returns>
    public async Task<Guid?> SetCheckAsync(Plan plan)
    {
        // One at a time, so that two tabs set one check.
        await data.Database.ExecuteSqlAsync($"select 1 from plans where id = {plan.Id} for update");
        var earlier = await ChecksAsync(plan);
        if (earlier.Find(c => c.Page!.State == PageState.Typing) is { } open) return open.PageId;
        if (await plans.ReadAsync(plan) is not { } made || Hypothesis.Parse(plan.Rules) is not { } hypothesis) return null;
        var used = earlier.SelectMany(c => CheckForm.Read(c.Content, TasksOf(c.Page!)).Items).Select(i => i.Item.Written).ToHashSet();
        var number = await NextNumberAsync(plan);
        if (CheckForm.Make(made, hypothesis, PlanDesk.Facts(plan.AvoidedFacts), await plans.SizeAsync(plan), number, plan.Seed, used) is not { } form) return null;
        var page = await pages.BeginAsync(plan.Student!, $"Check {number}", null, [.. form.Items.Select((item, at) => WorkedItem.Of($"{at + 1}", item.Item.Task))]);
        page.Known = (await KnownAsync(plan)).Shares.ToDictionary();
        data.Checks.Add(new Check { Id = Guid.CreateVersion7(clock.GetUtcNow()), PlanId = plan.Id, Number = number, PageId = page.Id, Content = form.Write(), MadeAt = clock.GetUtcNow() });
        await data.SaveChangesAsync();
        return page.Id;
    }

    /// <summary>What is known of the student by the page of a plan and its checks, the newest first. A page that this version cannot read says nothing.</summary>
    internal async Task<KnownBefore> KnownAsync(Plan plan)
    {
        var begun = await data.Pages.Include(p => p.Decisions).FirstOrDefaultAsync(p => p.Id == plan.PageId);
        var pages = (await ChecksAsync(plan)).Where(c => c.Page!.State == PageState.Typed).OrderByDescending(c => c.Number).Select(c => c.Page).Append(begun).OfType<StudentPage>();
        return KnownBefore.From(
        [
            .. pages.Where(p => PageDesk.TryStoredSheet(p, out _) is not null).Take(MostKnown)
                .Select(p => (IReadOnlyDictionary<string, double>)cache.Read(p).Explanations.GroupBy(ReadingDesk.RulesOf).ToDictionary(e => e.Key, e => e.Sum(x => x.Probability))),
        ]);
    }

    /// <summary>The number of a plan's next check, whose plan is held.</summary>
    internal async Task<int> NextNumberAsync(Plan plan) => 1 + (await data.Checks.Where(c => c.PlanId == plan.Id).MaxAsync(c => (int?)c.Number) ?? 0);

    private Task<List<Check>> ChecksAsync(Plan plan) =>
        data.Checks.Include(c => c.Page).ThenInclude(p => p!.Decisions).Where(c => c.PlanId == plan.Id && c.Page != null).OrderBy(c => c.Number).ToListAsync();

    /// <summary>How it stands with a plan.</summary>
    public async Task<PlanWeeks> OfAsync(Plan plan)
    {
        await names.LoadAsync();
        var loaded = await Loaded().FirstAsync(p => p.Id == plan.Id);
        return Of(loaded);
    }

    /// <summary>All plans that are being taught or looked at again, those first whose check is due first.</summary>
    public async Task<IReadOnlyList<PlanWeeks>> AllAsync()
    {
        await names.LoadAsync();
        var taught = await Loaded().Where(p => p.ClosedAt == null && (p.PrintedAt != null || p.Sessions.Count > 0 || p.Checks.Count > 0)).ToListAsync();
        return [.. taught.Select(Of).OrderBy(w => w.Due ?? DateOnly.MaxValue).ThenBy(w => w.Plan.Student!.CodeKey)];
    }

    /// <summary>Keeps a report as it is given out.</summary>
    public async Task<SentReport> GiveAsync(Plan plan, ReportKind kind, string text)
    {
        var report = new SentReport { Id = Guid.CreateVersion7(clock.GetUtcNow()), PlanId = plan.Id, Kind = kind, Text = text, ByName = who.Name, At = clock.GetUtcNow() };
        data.Reports.Add(report);
        await data.SaveChangesAsync();
        return report;
    }

    /// <summary>The reports that were given out about a plan, newest first.</summary>
    public async Task<IReadOnlyList<SentReport>> GivenAsync(Plan plan) => await data.Reports.Where(r => r.PlanId == plan.Id).OrderByDescending(r => r.At).ToListAsync();

    /// <summary>Closes a plan, or takes it up again.</summary>
    public async Task CloseAsync(Plan plan, bool isClosed)
    {
        plan.ClosedAt = isClosed ? plan.ClosedAt ?? clock.GetUtcNow() : null;
        await data.SaveChangesAsync();
    }

    /// <summary>The slots in which a plan is taught every week, as they are said.</summary>
    public async Task<IReadOnlyList<string>> SeatsAsync(Plan plan) =>
        [.. (await data.Seats.Include(s => s.Slot).Where(s => s.PlanId == plan.Id && s.Until == null).ToListAsync()).Select(s => s.Slot!).OrderBy(s => CalendarDesk.FromMonday(s.Day)).ThenBy(s => s.Start).Select(CalendarDesk.NameOf)];

    /// <summary>Keeps how many sessions a week plans want; null is as the checks stand.</summary>
    public async Task WantAsync(IReadOnlyDictionary<Guid, int?> wanted)
    {
        var ids = wanted.Keys.ToList();
        foreach (var plan in await data.Plans.Where(p => ids.Contains(p.Id)).ToListAsync())
            plan.SessionsAWeek = wanted[plan.Id] is { } count ? Math.Clamp(count, 0, WeekProblem.MostSessions) : null;
        await data.SaveChangesAsync();
    }

    // So many older pages say what is known of a student; what is older still hardly counts.
    private const int MostKnown = 6;

    private IQueryable<Plan> Loaded() =>
        data.Plans.Include(p => p.Student).Include(p => p.Page).Include(p => p.Sessions).Include(p => p.Checks).ThenInclude(c => c.Page);

    private PlanWeeks Of(Plan plan)
    {
        var sessions = plan.Sessions.OrderBy(s => s.HeldOn).ThenBy(s => s.At).ToList();
        var hypothesis = Hypothesis.Parse(plan.Rules) ?? Hypothesis.Sound;
        var began = plan.Page is { } page && PageDesk.TryStoredSheet(page, out _) is { } sheet
            ? CheckForm.OfPage(sheet.Items.Select(i => i.Task), hypothesis).Judge(page.WrittenOn ?? time.DayOf(page.CreatedAt), [.. sheet.Items.Select(i => i.Answer)])
            : new CheckResult(time.DayOf(plan.MadeAt), []);
        List<(Check Check, CheckResult Result)> typed = [.. plan.Checks.Where(c => c.Page is { State: PageState.Typed }).Select(c => (Check: c, Result: ResultOf(c)))
            .Where(c => c.Result is { Chances: > 0 }).OrderBy(c => c.Result!.On).ThenBy(c => c.Check.Number).Select(c => (c.Check, c.Result!))];
        var results = typed.ConvertAll(c => c.Result);
        if (results.Count > 0 && OtherRule(plan, typed.ConvertAll(c => c.Check), results) is { Length: > 0 } other) results[^1] = results[^1] with { OtherRule = other };
        var series = new ProgressSeries(began, results, sessions.Count > 0 ? sessions[0].HeldOn : null);
        var last = series.Checks.Count > 0 ? series.Checks[^1].On : sessions.Count > 0 ? sessions[0].HeldOn : time.DayOf(plan.MadeAt);
        var due = plan.ClosedAt is null && series.Decision.DaysToNextCheck is { } days ? last.AddDays(days) : (DateOnly?)null;
        return new PlanWeeks(plan, series, typed.ConvertAll(c => c.Check), sessions, plan.Checks.FirstOrDefault(c => c.Page is { State: PageState.Typing }), due);
    }

    private CheckResult? ResultOf(Check check)
    {
        if (PageDesk.TryStoredSheet(check.Page!, out _) is not { } sheet) return null;
        var form = CheckForm.Read(check.Content, sheet.Items.Select(i => i.Task));
        var answers = sheet.Items.Where(i => form.Items.Any(c => c.Item.Task.Equals(i.Task))).Select(i => i.Answer).ToList();
        return form.Judge(check.Page!.WrittenOn ?? time.DayOf(check.IsCounted == true ? check.Page.CreatedAt : check.MadeAt), answers);
    }

    // One check is too short to find a rule in: the last two are read as one page, where the old rule is not what is wrong in them.
    private string OtherRule(Plan plan, IReadOnlyList<Check> typed, IReadOnlyList<CheckResult> results)
    {
        if (results.TakeLast(2).Sum(r => r.Items.Count(i => i.Outcome == CheckOutcome.Other)) < FewestForARule) return "";
        var items = typed.TakeLast(2).SelectMany(c => PageDesk.TryStoredSheet(c.Page!, out _)?.Items ?? []).Select((item, at) => item with { Id = $"{at + 1}" });
        var reading = cache.Read(new WorkedSheet { Student = plan.Student!.Code, Items = [.. items] }, CancellationToken.None);
        return reading is { Outcome: Outcome.Bug or Outcome.NotToldApart, BestBug: { } best } && best.Hypothesis.RuleIds.Except(plan.Rules.Split('+')).Any() ? names.Of(ReadingDesk.RulesOf(best), plan.Word) : "";
    }

    private static IEnumerable<ItemTask> TasksOf(StudentPage page) => PageDesk.TryStoredSheet(page, out _)?.Items.Select(i => i.Task) ?? [];
}
