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

    /// <summary>Makes a plan and keeps it as it is: what was printed never changes.</summary>
    public async Task MakeAsync(Plan plan, Hypothesis hypothesis, string code, IReadOnlyList<string>? rivals = null)
    {
        await names.LoadAsync();
        plan.Content = PlanJson.Write(PlanMaker.Make(code, hypothesis, Facts(plan.AvoidedFacts), plan.Word, plan.MostDigits, plan.Seed, names.Own, rivals));
        plan.EngineVersion = EngineVersion.Current;
    }

    /// <summary>The plan as it was made; null for one of before plans were kept, whose rules are of an earlier catalogue.</summary>
    public async Task<RemediationPlan?> ReadAsync(Plan plan)
    {
        if (plan.Content.Length == 0)
        {
            if (Hypothesis.Parse(plan.Rules) is not { } hypothesis || !PlanMaker.CanPlan(hypothesis)) return null;
            await MakeAsync(plan, hypothesis, plan.Student!.Code);
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
        if (PlanMaker.Swap(made, written, hypothesis, Facts(plan.AvoidedFacts), plan.MostDigits, plan.Seed + made.Changed.Count + 1) is not { } changed) return $"There is no other item like {written}.";
        plan.Content = PlanJson.Write(changed);
        await data.SaveChangesAsync();
        return null;
    }

    /// <summary>Notes that a plan was printed, or that it was not after all.</summary>
    public async Task MarkPrintedAsync(Plan plan, bool isPrinted)
    {
        plan.PrintedAt = isPrinted ? plan.PrintedAt ?? clock.GetUtcNow() : null;
        await data.SaveChangesAsync();
    }

    private static List<NumberFact> Facts(string text) => [.. text.Split('|', StringSplitOptions.RemoveEmptyEntries).Select(NumberFact.Parse)];
}
