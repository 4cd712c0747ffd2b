using System.Globalization;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Data;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>An item worked by one school.</summary>
/// <param name="Says">The school, as a specialist says it.</param>
/// <param name="IsTaught">Whether it is that of the classroom.</param>
/// <param name="Picture">What stands on the page.</param>
/// <param name="Effort">What it takes.</param>
/// <param name="Truth">How far from the true value it comes; empty where it comes to it.</param>
public sealed record SchoolWay(string Says, bool IsTaught, PagePicture Picture, string Effort, string Truth);

/// <summary>A question on which schools differ, with the item worked by each.</summary>
public sealed record SchoolWays(string Asks, IReadOnlyList<SchoolWay> Ways);

/// <summary>One item worked by each school, side by side.</summary>
public sealed class SchoolsModel(PageDesk pages) : PageModel
{
    private const int PlacesOfTruth = 4;

    /// <summary>The page's key.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid Id { get; set; }

    /// <summary>The item's name.</summary>
    [BindProperty(SupportsGet = true)]
    public string Item { get; set; } = "";

    /// <summary>The page.</summary>
    public StudentPage? StudentPage { get; private set; }

    /// <summary>The task, as it is printed.</summary>
    public string Task { get; private set; } = "";

    /// <summary>The questions on which its working depends.</summary>
    public IReadOnlyList<SchoolWays> Questions { get; private set; } = [];

    /// <summary>Lays the schools side by side.</summary>
    public async Task<IActionResult> OnGetAsync()
    {
        StudentPage = await pages.FindAsync(Id);
        if (StudentPage is null || PageDesk.Sheet(StudentPage).Items.FirstOrDefault(i => i.Id == Item) is not { } item) return NotFound();
        this.Shows("schools", StudentPage.StudentId);
        Task = Signs.Printed(item.Task.Text);
        var school = StudentPage.Student!.Classroom.School;
        Questions = [.. SchoolEffort.Questions(item.Task).Select(question => Ways(item.Task, question, school))];
        return Page();
    }

    private static SchoolWays Ways(ItemTask task, SchoolQuestion question, School school)
    {
        var ways = SchoolEffort.Of(task, question).Select((effort, answer) =>
        {
            var run = new MethodRun { Recording = true };
            var taught = school.With(question, answer);
            Method.Run(task, run, new DeviationSet(taught, []));
            return new SchoolWay(question.Says[answer], school.AnswerTo(question) == answer, PagePicture.Of(task, run, school: taught), Told(effort), Truth(task, effort.Answer));
        }).ToList();
        PagePicture.LineUp([.. ways.Select(w => w.Picture)]);
        return new SchoolWays(question.Asks, ways);
    }

    private static string Told(SchoolEffort effort) => string.Join(", ", ((string[])
    [
        effort.Lines > 0 ? Counted(effort.Lines, "line") : "", Counted(effort.Steps, "step"), effort.Trials > 0 ? Counted(effort.Trials, "trial") : "",
    ]).Where(t => t.Length > 0)) + $"; it comes to {Signs.Printed(effort.Answer)}.";

    private static string Truth(ItemTask task, string answer)
    {
        if (TaughtFamily.Of(task.Family).TrueValue(task) is not { } truth || !double.TryParse(answer, NumberStyles.Float, CultureInfo.InvariantCulture, out var written)) return "";
        return Signs.Printed(string.Create(CultureInfo.InvariantCulture, $"The true value is {Math.Round(truth, PlacesOfTruth)} and more; the error is {Math.Round(written - truth, PlacesOfTruth)}."));
    }

    private static string Counted(int count, string what) => $"{count} {what}{(count == 1 ? "" : "s")}";
}
