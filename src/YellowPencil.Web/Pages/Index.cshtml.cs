using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Web.Classes;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages;

/// <summary>The desk: what waits, as piles, and the students.</summary>
public sealed class IndexModel(Desk desk, ClassDesk classes, Retention retention, WeeksDesk weeks, RuleNaming names, SchoolTime time) : PageModel
{
    /// <summary>What waits.</summary>
    public IReadOnlyList<Pile> Piles { get; private set; } = [];

    /// <summary>The students.</summary>
    public IReadOnlyList<StudentLine> Students { get; private set; } = [];

    /// <summary>The files that go soon.</summary>
    public IReadOnlyList<Leaving> Leaving { get; private set; } = [];

    /// <summary>What is being taught or looked at again.</summary>
    public IReadOnlyList<PlanWeeks> Weeks { get; private set; } = [];

    /// <summary>Today.</summary>
    public DateOnly Today => time.Today;

    /// <summary>What a plan is for.</summary>
    public string NameOf(Data.Plan plan) => PlanDesk.NameOf(plan, names);

    /// <summary>The classes.</summary>
    public IReadOnlyList<ClassOnDesk> Classes { get; private set; } = [];

    /// <summary>Shows the desk.</summary>
    public async Task OnGetAsync()
    {
        Students = await desk.StudentsAsync();
        Classes = await classes.ListAsync();
        Leaving = await retention.SoonAsync();
        Piles = await desk.PilesAsync();
        Weeks = await weeks.AllAsync();
        this.Shows("desk", Students.Select(s => s.Id).Concat(Piles.SelectMany(p => p.Sheets).Select(s => s.Student).OfType<Guid>()));
    }
}
