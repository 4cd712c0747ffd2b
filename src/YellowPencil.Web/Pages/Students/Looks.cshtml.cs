using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Students;

/// <summary>Who looked at a student's file, pages, readings and plans, and when.</summary>
public sealed class LooksModel(StudentFiles files, PencilContext data, SchoolTime time) : PageModel
{
    /// <summary>The most looks that are shown; older ones are kept all the same.</summary>
    public const int Most = 200;

    /// <summary>The student.</summary>
    public Student? Student { get; private set; }

    /// <summary>When, who, at what, newest first.</summary>
    public IReadOnlyList<(string When, string Who, string What)> Lines { get; private set; } = [];

    /// <summary>Shows them.</summary>
    public async Task<IActionResult> OnGetAsync(string code)
    {
        if ((Student = await files.FindAsync(code)) is null) return NotFound();
        this.Shows("looks", Student.Id);
        var looks = await data.Looks.Where(l => l.StudentId == Student.Id).OrderByDescending(l => l.At).Take(Most).ToListAsync();
        Lines = [.. looks.Select(l => (time.Moment(l.At), l.ByName, l.What))];
        return Page();
    }
}
