using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>One pile on the desk.</summary>
public sealed record Pile(string Name, string Empty, IReadOnlyList<PiledSheet> Sheets);

/// <summary>One sheet of a pile.</summary>
public sealed record PiledSheet(string Student, string What, string Address);

/// <summary>One student in the list.</summary>
public sealed record StudentLine(string Code, string CallName, int Pages, string? Latest, int Plans);

/// <summary>What waits for the specialist.</summary>
public sealed class Desk(PencilContext data)
{
    /// <summary>The students in the order of their codes, with what their latest reading came to.</summary>
    public async Task<IReadOnlyList<StudentLine>> StudentsAsync()
    {
        var rows = await data.Students.OrderBy(s => s.Code).Select(s => new
        {
            s.Code,
            s.CallName,
            Pages = s.Pages.Count,
            Latest = s.Pages.SelectMany(p => p.Readings).OrderByDescending(r => r.MadeAt).Select(r => r.Summary).FirstOrDefault(),
            Plans = s.Plans.Count,
        }).ToListAsync();
        return [.. rows.Select(r => new StudentLine(r.Code, r.CallName, r.Pages, r.Latest, r.Plans))];
    }

    /// <summary>The piles in the order of the work.</summary>
    public async Task<IReadOnlyList<Pile>> PilesAsync()
    {
        var pages = await data.Pages.OrderBy(p => p.CreatedAt).Select(p => new
        {
            p.Id,
            p.State,
            p.Title,
            Student = p.Student!.CallName.Length > 0 ? p.Student.Code + " " + p.Student.CallName : p.Student.Code,
            IsRead = p.Readings.Any(),
            Outcome = p.Readings.OrderByDescending(r => r.MadeAt).Select(r => r.Outcome).FirstOrDefault(),
            IsDecided = p.Decisions.Any(d => d.Kind == DecisionKind.Accepted || d.Kind == DecisionKind.Rejected),
        }).ToListAsync();
        var plans = await data.Plans.Where(p => p.PrintedAt == null).OrderBy(p => p.MadeAt).Select(p => new
        {
            p.Id,
            Student = p.Student!.CallName.Length > 0 ? p.Student.Code + " " + p.Student.CallName : p.Student.Code,
        }).ToListAsync();
        return
        [
            new("To type in", "Nothing to type in.", [.. pages.Where(p => p.State == PageState.Typing).Select(p => new PiledSheet(p.Student, p.Title, $"/pages/{p.Id}"))]),
            new("To read", "Nothing waits to be read.", [.. pages.Where(p => p.State == PageState.Typed && !p.IsRead).Select(p => new PiledSheet(p.Student, p.Title, $"/pages/{p.Id}/reading"))]),
            new("To confirm", "No explanation waits for you.", [.. pages.Where(p => p is { State: PageState.Typed, IsRead: true, IsDecided: false, Outcome: "bug" or "not-told-apart" }).Select(p => new PiledSheet(p.Student, p.Title, $"/pages/{p.Id}/reading"))]),
            new("To print", "No plan waits to be printed.", [.. plans.Select(p => new PiledSheet(p.Student, "plan", $"/plans/{p.Id}"))]),
        ];
    }
}
