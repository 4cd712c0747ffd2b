using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Bugs;
using YellowPencil.Core.Notation;
using YellowPencil.Data;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Students;

/// <summary>A line of the file.</summary>
public sealed record FileLine(DateTimeOffset When, string What, string Address, string Result);

/// <summary>A student's file: pages, readings and plans in order of time.</summary>
public sealed class FileModel(StudentFiles files, PageDesk pages) : PageModel
{
    /// <summary>The student.</summary>
    public Student? Student { get; private set; }

    /// <summary>What happened, newest first.</summary>
    public IReadOnlyList<FileLine> Events { get; private set; } = [];

    /// <summary>Shows the file.</summary>
    public async Task<IActionResult> OnGetAsync(string code)
    {
        Student = await files.FindAsync(code);
        if (Student is null) return NotFound();
        await pages.LogLookAsync(Student.Id, "file", User.FindFirst("name")?.Value ?? "");
        Events = [.. Lines(Student).OrderByDescending(l => l.When)];
        return Page();
    }

    /// <summary>Changes the classroom's word.</summary>
    public async Task<IActionResult> OnPostAsync(string code, ClassroomWord word)
    {
        Student = await files.FindAsync(code);
        if (Student is null || !Enum.IsDefined(word)) return NotFound();
        await files.ChangeWordAsync(Student, word);
        return RedirectToPage(new { code });
    }

    private static IEnumerable<FileLine> Lines(Student student)
    {
        foreach (var page in student.Pages)
        {
            var name = page.Title.Length > 0 ? page.Title : "a page of subtraction";
            yield return new FileLine(page.CreatedAt, $"Page: {name}", $"/pages/{page.Id}", page.State == PageState.Typing ? "to be typed in" : "typed in");
            foreach (var reading in page.Readings)
                yield return new FileLine(reading.MadeAt, $"Reading of {name}", $"/pages/{page.Id}/reading", reading.Summary);
            foreach (var decision in page.Decisions)
                yield return new FileLine(decision.At, $"{decision.Kind} by {decision.ByName}: {Names(decision.Rules)}", $"/pages/{page.Id}/reading", decision.Text);
        }

        foreach (var plan in student.Plans)
            yield return new FileLine(plan.MadeAt, "Plan", $"/plans/{plan.Id}", plan.PrintedAt is { } at ? $"printed {at:d MMM yyyy}" : "to be printed");
    }

    private static string Names(string rules) => rules.Length == 0
        ? "no systematic bug"
        : string.Join(" and ", rules.Split('+').Select(id => (Catalogue.Find(id)?.Name ?? "a rule that is not in the catalogue").In(ClassroomWord.Rename)));
}
