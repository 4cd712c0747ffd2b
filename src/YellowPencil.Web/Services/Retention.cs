using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;

namespace YellowPencil.Web.Services;

/// <summary>A file that will be thrown away by itself.</summary>
public sealed record Leaving(string Code, DateTimeOffset On);

/// <summary>How long students' files are kept: as many months after the last thing in them as their specialist has set.</summary>
public sealed class Retention(PencilContext data, Removals removals, CurrentSpecialist who, TimeProvider clock)
{
    /// <summary>What can be chosen.</summary>
    public static IReadOnlyList<int> Choices { get; } = [6, 12, 24, 36, 60];

    /// <summary>So long before it goes a file is named on the desk.</summary>
    private static readonly TimeSpan SaidBefore = TimeSpan.FromDays(30);

    /// <summary>When a file goes; null where it stays.</summary>
    public async Task<DateTimeOffset?> EndOfAsync(Student student) =>
        who.Account?.MonthsKept is { } months ? (await LastAsync(data.Students.Where(s => s.Id == student.Id))).Single().On.AddMonths(months) : null;

    /// <summary>The files that go within thirty days, the first to go first.</summary>
    public async Task<IReadOnlyList<Leaving>> SoonAsync()
    {
        if (who.Account?.MonthsKept is not { } months) return [];
        var untouched = await LastAsync(Untouched((clock.GetUtcNow() + SaidBefore).AddMonths(-months)));
        return [.. untouched.Select(l => l with { On = l.On.AddMonths(months) }).OrderBy(l => l.On)];
    }

    /// <summary>Throws the files away whose time is over: like by hand, with ten minutes to take them back, and a line in the log.</summary>
    public async Task ThrowAsync()
    {
        if (who.Account?.MonthsKept is not { } months) return;
        foreach (var student in await Untouched(clock.GetUtcNow().AddMonths(-months)).ToListAsync())
        {
            await using var transaction = await data.Database.BeginTransactionAsync();
            await removals.ThrowAsync(student, $"by itself, {months} months after the last thing in it");
            await transaction.CommitAsync();
        }
    }

    private IQueryable<Student> Untouched(DateTimeOffset since) => data.Students.Where(s => s.CreatedAt <= since
        && !s.Pages.Any(p => p.ChangedAt > since || p.Decisions.Any(d => d.At > since)) && !s.Plans.Any(p => p.MadeAt > since || p.PrintedAt > since));

    private static async Task<IEnumerable<Leaving>> LastAsync(IQueryable<Student> students)
    {
        var rows = await students.Select(s => new
        {
            s.Code,
            s.CreatedAt,
            Page = s.Pages.Max(p => (DateTimeOffset?)p.ChangedAt),
            Decision = s.Pages.SelectMany(p => p.Decisions).Max(d => (DateTimeOffset?)d.At),
            Plan = s.Plans.Max(p => (DateTimeOffset?)p.MadeAt),
            Printed = s.Plans.Max(p => p.PrintedAt),
        }).ToListAsync();
        return rows.Select(r => new Leaving(r.Code, new[] { r.CreatedAt, r.Page, r.Decision, r.Plan, r.Printed }.Max()!.Value));
    }
}
