using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages;

/// <summary>What has to be brought for the plans of the week, in one list.</summary>
public sealed class MaterialsModel(PlanDesk plans, TimeProvider clock) : PageModel
{
    private static readonly TimeSpan Week = TimeSpan.FromDays(7);

    /// <summary>Each material with the students in whose plans it is.</summary>
    public IReadOnlyList<(Material Material, IReadOnlyList<Student> Students)> Materials { get; private set; } = [];

    /// <summary>Shows the list.</summary>
    public async Task OnGetAsync()
    {
        Materials = await plans.MaterialsAsync(clock.GetUtcNow() - Week);
        this.Shows("materials", Materials.SelectMany(m => m.Students).Select(s => s.Id).Distinct());
    }
}
