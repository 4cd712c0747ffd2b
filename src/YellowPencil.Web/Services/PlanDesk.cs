using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>The plans that were made.</summary>
public sealed class PlanDesk(PencilContext data, RuleNaming names, TimeProvider clock)
{
    /// <summary>A plan with its student and page; null when there is none of this owner.</summary>
    public Task<Plan?> FindAsync(Guid id) => data.Plans.Include(p => p.Student).Include(p => p.Page).FirstOrDefaultAsync(p => p.Id == id);

    /// <summary>What a plan is for: the rules that it was made for, or that it was read from a file.</summary>
    public static string NameOf(Plan plan, RuleNaming names) => NameOf(plan.Rules, plan.Word, names);

    /// <summary>What a plan for rules is called.</summary>
    public static string NameOf(string rules, ClassroomWord word, RuleNaming names) => rules.Length > 0 ? names.Of(rules, word) : "read from a file";

    /// <summary>What waits until a plan is done, as the end of a line; empty where nothing does.</summary>
    public static string Waits(string content) => PlanJson.WaitingIn(content) is { Count: > 0 } waiting ? $"; waiting: {string.Join(", ", waiting)}" : "";

    /// <summary>What has to be brought in a week: for each material the students in whose plans it is, those that have a slot, are to be printed or were printed since.</summary>
    /// <param name="since">When the week began.</param>
    public async Task<IReadOnlyList<(Material Material, IReadOnlyList<Student> Students)>> MaterialsAsync(DateTimeOffset since)
    {
        var kept = await data.Plans.Include(p => p.Student).Where(p => p.Content != "" && p.ClosedAt == null && (p.PrintedAt == null || p.PrintedAt >= since || p.Seats.Any(s => s.Until == null))).OrderBy(p => p.Student!.CodeKey).ToListAsync();
        return [.. kept.SelectMany(p => Materials.In(PlanJson.Read(p.Content).Script.Material).Select(m => (Material: m, p.Student)))
            .GroupBy(m => m.Material, m => m.Student!).OrderByDescending(g => g.Count()).ThenBy(g => g.Key.Name, StringComparer.Ordinal)
            .Select(g => (g.Key, (IReadOnlyList<Student>)[.. g.DistinctBy(s => s.Id)]))];
    }

    /// <summary>The other plans of the same student, newest first.</summary>
    public Task<List<Plan>> OthersAsync(Plan plan) => data.Plans.Where(p => p.StudentId == plan.StudentId && p.Id != plan.Id).OrderByDescending(p => p.MadeAt).ToListAsync();

    /// <summary>Makes a plan and keeps it as it is: what was printed never changes.</summary>
    public async Task MakeAsync(Plan plan, Hypothesis hypothesis, string code, IReadOnlyList<string>? rivals = null)
    {
        await names.LoadAsync();
        plan.Content = PlanJson.Write(PlanMaker.Make(code, hypothesis, Facts(plan.AvoidedFacts), plan.Classroom, await SizeAsync(plan), plan.Seed, names.Own, rivals));
        plan.EngineVersion = EngineVersion.Current;
    }

    /// <summary>The plan as it was made; null for one of before plans were kept, whose rules are of an earlier catalogue.</summary>
    public async Task<RemediationPlan?> ReadAsync(Plan plan)
    {
        if (plan.Content.Length == 0)
        {
            if (Hypothesis.Parse(plan.Rules) is not { } hypothesis || !PlanMaker.CanPlan(hypothesis)) return null;
            try
            {
                await MakeAsync(plan, hypothesis, plan.Student!.Code);
            }
            catch (TooFewItemsException)
            {
                return null;
            }

            await data.SaveChangesAsync();
        }

        return PlanJson.Read(plan.Content);
    }

    /// <summary>Puts another item with the same claim into the place of one.</summary>
    /// <returns>What is wrong, in a sentence; null where it was done.</returns>
    public async Task<string?> SwapAsync(Plan plan, string written)
    {
        if (await ReadAsync(plan) is not { } made || Hypothesis.Parse(plan.Rules) is not { } hypothesis) return "This version has no other item for this plan.";
        if (made.Changeable().All(i => i.Written != written)) return null; // done already, in another tab
        if (PlanMaker.Swap(made, written, hypothesis, Facts(plan.AvoidedFacts), await SizeAsync(plan), plan.Seed + made.Changed.Count + 1) is not { } changed) return $"There is no other item like {written}.";
        plan.Content = PlanJson.Write(changed);
        await data.SaveChangesAsync();
        return null;
    }

    /// <summary>Says sentences of a plan in another way.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="sentences">What they say now, by their keys.</param>
    /// <returns>What is wrong, in sentences; nothing is changed then.</returns>
    public async Task<IReadOnlyList<string>> RewordAsync(Plan plan, IReadOnlyDictionary<string, string> sentences)
    {
        if (await ReadAsync(plan) is not { } made) return ["This version has no plan for these rules."];
        var faults = new List<string>();
        foreach (var (key, text) in sentences)
            try
            {
                made = made.Reword(key, text);
            }
            catch (ArgumentException fault)
            {
                faults.Add(fault.Message);
            }

        if (faults.Count > 0) return faults;
        plan.Content = PlanJson.Write(made);
        await data.SaveChangesAsync();
        return [];
    }

    /// <summary>Lets the student's plans that are not printed yet follow how the classroom works now; a printed plan stays as it is.</summary>
    public async Task FollowAsync(Student student)
    {
        await names.LoadAsync();
        foreach (var plan in await data.Plans.Where(p => p.StudentId == student.Id && p.PrintedAt == null).ToListAsync())
            await RewriteAsync(plan, student.Classroom);
        await data.SaveChangesAsync();
    }

    /// <summary>Makes a plan beside a printed one, as the classroom works now; items and sentences that were changed by hand are taken along.</summary>
    public async Task<Plan> AnewAsync(Plan printed)
    {
        await names.LoadAsync();
        var plan = new Plan
        {
            Id = Guid.CreateVersion7(clock.GetUtcNow()),
            Turn = await TurnAsync(printed.PageId, printed.Rules),
            StudentId = printed.StudentId,
            PageId = printed.PageId,
            PageVersion = printed.PageVersion,
            Rules = printed.Rules,
            Content = printed.Content,
            EngineVersion = printed.EngineVersion,
            AvoidedFacts = printed.AvoidedFacts,
            MostDigits = printed.MostDigits,
            Seed = printed.Seed,
            MadeAt = clock.GetUtcNow(),
            Word = printed.Word,
            School = printed.School,
        };
        await RewriteAsync(plan, printed.Student!.Classroom);
        data.Plans.Add(plan);
        while (!await IsSavedAsync()) plan.Turn = await TurnAsync(printed.PageId, printed.Rules);
        return plan;

        // Somebody else may make one at the same time: then this one is the next.
        async Task<bool> IsSavedAsync()
        {
            try
            {
                await data.SaveChangesAsync();
                return true;
            }
            catch (DbUpdateException e) when (e.IsTaken())
            {
                return false;
            }
        }
    }

    /// <summary>Keeps a plan that was read from a file, for the student whose page it belongs to.</summary>
    /// <returns>The plan, or what is wrong.</returns>
    public async Task<(Plan? Plan, string? Fault)> TakeAsync(Student student, Stream file, CancellationToken cancellation)
    {
        RemediationPlan made;
        try
        {
            made = await PlanJson.ReadFileAsync(file, cancellation);
        }
        catch (JsonException fault)
        {
            return (null, $"This file holds no plan: {fault.Message}");
        }

        if (await data.Pages.Where(p => p.StudentId == student.Id).OrderByDescending(p => p.CreatedAt).FirstOrDefaultAsync(cancellation) is not { } page)
            return (null, $"{student.Code} has no page yet that a plan could belong to.");
        var plan = new Plan
        {
            Id = Guid.CreateVersion7(clock.GetUtcNow()),
            Turn = await TurnAsync(page.Id, ""),
            StudentId = student.Id,
            PageId = page.Id,
            PageVersion = page.Version,
            Rules = "",
            Content = PlanJson.Write(made with { Student = student.Code }),
            EngineVersion = EngineVersion.Current,
            MostDigits = 3,
            MadeAt = clock.GetUtcNow(),
            Word = made.Word,
            School = made.School,
        };
        data.Plans.Add(plan);
        await data.SaveChangesAsync(cancellation);
        return (plan, null);
    }

    private async Task<int> TurnAsync(Guid page, string rules) => 1 + (await data.Plans.IgnoreQueryFilters().Where(p => p.PageId == page && p.Rules == rules).Select(p => (int?)p.Turn).MaxAsync() ?? 0);

    private async Task RewriteAsync(Plan plan, Classroom classroom)
    {
        if (plan.Classroom == classroom || await ReadAsync(plan) is not { } made || Hypothesis.Parse(plan.Rules) is not { } hypothesis || !PlanMaker.CanPlan(hypothesis)) return;
        try
        {
            plan.Content = PlanJson.Write(PlanMaker.Rewrite(made, hypothesis, Facts(plan.AvoidedFacts), classroom, await SizeAsync(plan), plan.Seed, names.Own));
            (plan.Word, plan.School) = (classroom.Word, classroom.School.Key);
        }
        catch (TooFewItemsException)
        {
            // The page has changed since: the plan stays as it was made.
        }
    }

    /// <summary>Notes that a plan was printed, or that it was not after all.</summary>
    public async Task MarkPrintedAsync(Plan plan, bool isPrinted)
    {
        plan.PrintedAt = isPrinted ? plan.PrintedAt ?? clock.GetUtcNow() : null;
        await data.SaveChangesAsync();
    }

    // As hard as the page for which the plan is; where that cannot be read any more, as long as its numbers were.
    internal async Task<StudentSize> SizeAsync(Plan plan) =>
        (plan.Page ?? await data.Pages.FindAsync(plan.PageId)) is { } page && PageDesk.TryStoredSheet(page, out _) is { } sheet
            ? StudentSize.Of(sheet.Items.Select(i => i.Task)) : StudentSize.UpTo(plan.MostDigits);

    internal static List<NumberFact> Facts(string text) => [.. text.Split('|', StringSplitOptions.RemoveEmptyEntries).Select(NumberFact.Parse)];
}
