using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Pages.Plans;
using YellowPencil.Web.Pages.Sheets;
using YellowPencil.Web.Printing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Classes;

/// <summary>What was done for the students of a rule.</summary>
/// <param name="Planned">The codes of those whose explanation was accepted and who have a plan now.</param>
/// <param name="Left">Those whose page was left as it was, each with the reason.</param>
public sealed record ClassWorkDone(IReadOnlyList<string> Planned, IReadOnlyList<(string Student, string Why)> Left)
{
    /// <summary>In sentences.</summary>
    public string Text => string.Join(" ", new[]
    {
        Planned.Count > 0 ? $"Accepted and planned: {string.Join(", ", Planned)}." : "Nothing was planned.",
        Left.Count > 0 ? $"Left as it was: {string.Join("; ", Left.GroupBy(l => l.Why).Select(g => $"{string.Join(", ", g.Select(l => l.Student))} ({g.Key})"))}." : "",
    }.Where(s => s.Length > 0));
}

/// <summary>The work that the reading of a class leads to: accepted explanations, plans, and their papers in one file.</summary>
public sealed class ClassWork(PencilContext data, PageDesk pages, ReadingDesk readings, PlanDesk plans, PdfFiles pdf, CurrentSpecialist who)
{
    /// <summary>Accepts for each student what the own page says, where it holds the rule, and makes each a plan from the own page.</summary>
    /// <param name="rule">The rule.</param>
    /// <param name="students">The students, with their pages.</param>
    public async Task<ClassWorkDone> PlanAsync(string rule, IEnumerable<(string Student, Guid Page)> students)
    {
        var planned = new List<string>();
        var left = new List<(string Student, string Why)>();
        foreach (var (student, id) in students)
        {
            if (await PlanAsync(rule, id) is { } why) left.Add((student, why));
            else planned.Add(student);
        }

        return new(planned, left);
    }

    /// <summary>The papers of those who have a plan from these pages: each one's plan, session card with the key, and practice; null where nobody has one.</summary>
    public async Task<byte[]?> PapersAsync(IReadOnlyCollection<Guid> students, PaperWish wish)
    {
        var papers = new List<byte[]>();
        foreach (var plan in await OpenPlansAsync(students))
        {
            if (await plans.ReadAsync(plan) is not { } made) continue;
            papers.Add(pdf.Plan(made, wish.Paper, made.Student));
            papers.Add(pdf.Card(new SessionCard(made), wish.Paper, made.Student));
            papers.Add(pdf.Sheet(PracticeModel.ViewOf(made, School.Parse(made.School), wish), who.Account!.HasNameLine));
        }

        return papers.Count == 0 ? null : PdfFiles.InOne(papers);
    }

    /// <summary>Marks the plans that come from these pages as printed.</summary>
    /// <returns>How many there are.</returns>
    public async Task<int> MarkPrintedAsync(IReadOnlyCollection<Guid> students)
    {
        var open = await OpenPlansAsync(students);
        foreach (var plan in open) await plans.MarkPrintedAsync(plan, true);
        return open.Count;
    }

    private async Task<string?> PlanAsync(string rule, Guid id)
    {
        if (await pages.HoldAsync(id) is not { } page) return "thrown away";
        if (page.Decisions.Exists(d => d.PageVersion == page.Version && d.Kind is DecisionKind.Accepted or DecisionKind.PutAside or DecisionKind.Own)) return "decided already";
        var reading = await readings.ReadAsync(page);
        if (reading.Outcome != Outcome.Bug || !reading.Best.Hypothesis.RuleIds.Contains(rule)) return "its own page does not hold the rule alone";
        if (!PlanMaker.CanPlan(reading.Best.Hypothesis)) return "to be looked at first";
        await readings.DecideAsync(page, ReadingDesk.RulesOf(reading.Best), DecisionKind.Accepted, "");
        try
        {
            await readings.PlanAsync(page, reading, reading.Best);
            return null;
        }
        catch (TooFewItemsException)
        {
            return "accepted, but it shows on too few items for a plan";
        }
    }

    private Task<List<Plan>> OpenPlansAsync(IReadOnlyCollection<Guid> students) =>
        data.Plans.Include(p => p.Student).Include(p => p.Page).Where(p => p.ClosedAt == null && students.Contains(p.PageId)).OrderBy(p => p.Student!.CodeKey).ToListAsync();
}
