using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>The plans that were made.</summary>
public sealed class PlanDesk(PencilContext data, TimeProvider clock)
{
    /// <summary>A plan with its student; null when there is none of this owner.</summary>
    public Task<Plan?> FindAsync(Guid id) => data.Plans.Include(p => p.Student).FirstOrDefaultAsync(p => p.Id == id);

    /// <summary>Notes that a plan was printed; false when there is none of this owner.</summary>
    public async Task<bool> MarkPrintedAsync(Guid id)
    {
        if (await FindAsync(id) is not { } plan) return false;
        plan.PrintedAt ??= clock.GetUtcNow();
        await data.SaveChangesAsync();
        return true;
    }
}
