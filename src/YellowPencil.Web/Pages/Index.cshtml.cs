using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Web.Classes;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages;

/// <summary>The desk: what waits, as piles, and the students.</summary>
public sealed class IndexModel(Desk desk, ClassDesk classes, Retention retention) : PageModel
{
    /// <summary>What waits.</summary>
    public IReadOnlyList<Pile> Piles { get; private set; } = [];

    /// <summary>The students.</summary>
    public IReadOnlyList<StudentLine> Students { get; private set; } = [];

    /// <summary>The files that go soon.</summary>
    public IReadOnlyList<Leaving> Leaving { get; private set; } = [];

    /// <summary>The classes.</summary>
    public IReadOnlyList<ClassOnDesk> Classes { get; private set; } = [];

    /// <summary>Shows the desk.</summary>
    public async Task OnGetAsync()
    {
        Students = await desk.StudentsAsync();
        Classes = await classes.ListAsync();
        Leaving = await retention.SoonAsync();
        Piles = await desk.PilesAsync();
        this.Shows("desk", Students.Select(s => s.Id).Concat(Piles.SelectMany(p => p.Sheets).Select(s => s.Student).OfType<Guid>()));
    }
}
