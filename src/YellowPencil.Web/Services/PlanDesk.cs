using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Remediation;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>The plans that were made.</summary>
public sealed class PlanDesk(PencilContext data, RuleNaming names, TimeProvider clock)
{
    /// <summary>A plan with its student and page; null when there is none of this owner.</summary>
    public Task<Plan?> FindAsync(Guid id) => data.Plans.Include(p => p.Student).Include(p => p.Page).FirstOrDefaultAsync(p => p.Id == id);

    /// <summary>The plan as it was made, with the specialist's own names for its rules; null where its rules are of an earlier catalogue.</summary>
    public async Task<RemediationPlan?> RemakeAsync(Plan plan)
    {
        await names.LoadAsync();
        if (Hypothesis.Parse(plan.Rules) is not { } hypothesis || !PlanMaker.CanPlan(hypothesis)) return null;
        return PlanMaker.Make(plan.Student!.Code, hypothesis, Facts(plan.AvoidedFacts), plan.Word, plan.MostDigits, plan.Seed, names.Own);
    }

    /// <summary>Notes that a plan was printed, or that it was not after all.</summary>
    public async Task MarkPrintedAsync(Plan plan, bool isPrinted)
    {
        plan.PrintedAt = isPrinted ? plan.PrintedAt ?? clock.GetUtcNow() : null;
        await data.SaveChangesAsync();
    }

    private static List<NumberFact> Facts(string text) => [.. text.Split('|', StringSplitOptions.RemoveEmptyEntries).Select(NumberFact.Parse)];
}
