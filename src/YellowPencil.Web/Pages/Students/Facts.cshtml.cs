using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Students;

/// <summary>The number facts that a student learns: two minutes a session, checked by themselves.</summary>
public sealed class FactsModel(StudentFiles files, FactDesk desk, SchoolTime time) : PageModel
{
    private const int MostWays = 2;

    /// <summary>The student.</summary>
    public Student? Student { get; private set; }

    /// <summary>The facts.</summary>
    public IReadOnlyList<TrackedFact> Facts { get; private set; } = [];

    /// <summary>Today.</summary>
    public DateOnly Today => time.Today;

    /// <summary>What is wrong.</summary>
    public string? Message { get; private set; }

    /// <summary>Ways to a fact, as the classroom goes.</summary>
    public IEnumerable<string> Ways(NumberFact fact) =>
        (Student!.Classroom.School.Of(School.Facts) == FactSchool.Counted ? FactPlan.Counted(fact) : []).Concat(FactPlan.WaysTo(fact)).Take(MostWays).Select(w => w.Text);

    /// <summary>Shows them.</summary>
    public async Task<IActionResult> OnGetAsync(string code) => await LoadAsync(code) ? Page() : NotFound();

    /// <summary>Keeps how a check went.</summary>
    public async Task<IActionResult> OnPostCheckAsync(string code, Guid fact, int right)
    {
        if (!await LoadAsync(code)) return NotFound();
        if ((Message = await desk.CheckAsync(Student!, fact, right)) is not null) return Page();
        return Redirect(Addresses.FactTracks(Student!.Code));
    }

    /// <summary>Takes a fact off the list.</summary>
    public async Task<IActionResult> OnPostRemoveAsync(string code, Guid fact)
    {
        if (!await LoadAsync(code)) return NotFound();
        await desk.RemoveAsync(Student!, fact);
        return Redirect(Addresses.FactTracks(Student!.Code));
    }

    private async Task<bool> LoadAsync(string code)
    {
        if ((Student = await files.FindAsync(code)) is null) return false;
        this.Shows("facts", Student.Id);
        Facts = await desk.OfAsync(Student);
        return true;
    }
}
