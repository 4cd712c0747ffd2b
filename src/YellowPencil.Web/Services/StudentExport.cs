using System.Globalization;
using System.IO.Compression;
using System.Text;
using System.Text.Json;
using CsvHelper;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Progress;
using YellowPencil.Data;
using YellowPencil.Web.Week;

namespace YellowPencil.Web.Services;

/// <summary>Everything about one student as one file: readable for people, and in the open formats.</summary>
public sealed class StudentExport(PencilContext data, ReadingDesk readings, RuleNaming names, SchoolTime time)
{
    private const string About = """
        cover.txt        the file's cover, and everything in the order of time
        pages.ndjson     the pages, a worked sheet a line (yellow-pencil.worked-sheet)
        readings.ndjson  the readings, one a line (yellow-pencil.reading)
        plans/           the plans, a file each, as plan --json writes them
        not-read.csv     what was struck out on the paper or worked on the side, behind so many of the lines that are read
        decisions.csv    what was decided and noted
        sessions.csv     how each plan was taught: day, ticks as JSON, the learner's words, what was changed
        facts.csv        number facts on their own track, and how each check of them went
        slots.csv        in which slots of the week each plan is taught
        checks.csv       which pages are checks of which plan
        reports.csv      reports as they were given out
        looks.csv        who looked, at what and when
        """;

    /// <summary>The file: a ZIP archive.</summary>
    public async Task<byte[]> WriteAsync(Student student)
    {
        await names.LoadAsync();
        var pages = await data.Pages.AsNoTracking().Where(p => p.StudentId == student.Id).Include(p => p.Readings).Include(p => p.Decisions).OrderBy(p => p.CreatedAt).ToListAsync();
        var plans = await data.Plans.AsNoTracking().Where(p => p.StudentId == student.Id).OrderBy(p => p.MadeAt).ToListAsync();
        var facts = await data.LearntFacts.AsNoTracking().Include(x => x.Checks).Where(x => x.StudentId == student.Id).OrderBy(x => x.Fact).ToListAsync();
        var seats = await data.Seats.AsNoTracking().Include(x => x.Plan).Include(x => x.Slot).Where(x => x.Plan!.StudentId == student.Id).OrderBy(x => x.From).ToListAsync();
        var sessions = await data.Sessions.AsNoTracking().Include(x => x.Plan).Where(x => x.Plan!.StudentId == student.Id).OrderBy(x => x.HeldOn).ThenBy(x => x.At).ToListAsync();
        var checks = await data.Checks.AsNoTracking().Include(x => x.Plan).Include(x => x.Page).Where(x => x.Plan!.StudentId == student.Id && x.Page != null).OrderBy(x => x.MadeAt).ToListAsync();
        var reports = await data.Reports.AsNoTracking().Include(x => x.Plan).Where(x => x.Plan!.StudentId == student.Id).OrderBy(x => x.At).ToListAsync();
        var looks = await data.Looks.AsNoTracking().Where(l => l.StudentId == student.Id).OrderBy(l => l.At).ToListAsync();
        using var file = new MemoryStream();
        using (var zip = new ZipArchive(file, ZipArchiveMode.Create, leaveOpen: true))
        {
            Put(zip, "about.txt", About);
            Put(zip, "cover.txt", Cover(student, pages, plans));
            Put(zip, "pages.ndjson", Lines(pages.Select(p => p.Content)));
            Put(zip, "readings.ndjson", Lines(pages.SelectMany(p => p.Readings.Where(r => !r.IsPassing).OrderBy(r => r.MadeAt)).Select(r => r.Content)));
            foreach (var (at, plan) in plans.Index().Where(p => p.Item.Content.Length > 0)) Put(zip, $"plans/{at + 1}.json", plan.Content);
            Put(zip, "not-read.csv", Table(["page", "item", "behind line", "what", "text"], pages.SelectMany(p => (p.NotRead ?? []).SelectMany(s => s.Value.Select(x => new[] { Name(p), s.Key, x.Line.ToString(CultureInfo.InvariantCulture), x.IsSideWork ? "on the side" : "struck out", x.Text })))));
            Put(zip, "decisions.csv", Table(["page", "when", "who", "what", "rules", "text"], pages.SelectMany(p => p.Decisions.OrderBy(d => d.At).Select(d => new[] { Name(p), When(d.At), d.ByName, d.Kind.ToString(), d.Rules, d.Text }))));
            Put(zip, "sessions.csv", Table(["plan", "day", "who", "ticks", "said", "changed", "decided otherwise"], sessions.Select(x => new[] { PlanDesk.NameOf(x.Plan!, names), Day(x.HeldOn), x.ByName, JsonSerializer.Serialize(x.Ticks), x.Said, x.Changed, x.Overruled is { } next ? SessionEnd.TextOf(next) : "" })));
            Put(zip, "checks.csv", Table(["plan", "number", "set", "page", "counted", "items"], checks.Select(x => new[] { PlanDesk.NameOf(x.Plan!, names), x.Number.ToString(CultureInfo.InvariantCulture), When(x.MadeAt), Name(x.Page!), x.IsCounted == true ? "yes" : "", x.Content })));
            Put(zip, "reports.csv", Table(["plan", "when", "who", "report", "text"], reports.Select(x => new[] { PlanDesk.NameOf(x.Plan!, names), When(x.At), x.ByName, Reports.NameOf(x.Kind), x.Text })));
            Put(zip, "facts.csv", Table(["fact", "taken to be", "begun", "day", "right", "asked"], facts.SelectMany(FactLines)));
            Put(zip, "slots.csv", Table(["plan", "slot", "from", "until"], seats.Select(x => new[] { PlanDesk.NameOf(x.Plan!, names), CalendarDesk.NameOf(x.Slot!), Day(x.From), x.Until is { } until ? Day(until) : "" })));
            Put(zip, "looks.csv", Table(["when", "who", "what"], looks.Select(l => new[] { When(l.At), l.ByName, l.What })));
        }

        return file.ToArray();
    }

    private string Cover(Student student, List<StudentPage> pages, List<Plan> plans)
    {
        var text = new StringBuilder();
        text.AppendLine($"{student.Code} {student.CallName}".TrimEnd());
        text.AppendLine(CultureInfo.InvariantCulture, $"The classroom says {student.Word.ToString().ToLowerInvariant()}. File begun {time.Date(student.CreatedAt)}.");
        text.AppendLine();
        var lines = pages.Select(p => (p.CreatedAt, $"Page: {Name(p)}, {p.ItemCount} items"))
            .Concat(pages.SelectMany(p => p.Readings.Where(r => !r.IsPassing).Select(r => (r.MadeAt, $"Reading of {Name(p)}: {readings.Summary(r.Outcome, r.Rules, student.Word)}"))))
            .Concat(pages.SelectMany(p => p.Decisions.Select(d => (d.At, $"{d.Kind} by {d.ByName}, {Name(p)}: {(d.Rules.Length > 0 ? names.Of(d.Rules, student.Word) : "")} {d.Text}".TrimEnd()))))
            .Concat(plans.Select(p => (p.MadeAt, $"Plan: {PlanDesk.NameOf(p, names)}{(p.PrintedAt is { } printed ? $", printed {time.Date(printed)}" : "")}")));
        foreach (var (at, line) in lines.OrderBy(l => l.Item1)) text.AppendLine(CultureInfo.InvariantCulture, $"{time.Moment(at)}  {line}");
        return text.ToString();
    }

    private static string Name(StudentPage page) => page.Title.Length > 0 ? page.Title : "a page";

    // A line a check; one for a fact that was not checked yet.
    private static IEnumerable<string[]> FactLines(LearntFact fact)
    {
        string[] about = [fact.Fact, $"{fact.Written}", Day(fact.BegunOn)];
        return fact.Checks.Count == 0 ? [[.. about, "", "", ""]] : fact.Checks.OrderBy(c => c.On).Select(c => (string[])[.. about, Day(c.On), $"{c.Right}", $"{c.Asked}"]);
    }

    private static string Day(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    private static string When(DateTimeOffset at) => at.UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", CultureInfo.InvariantCulture);

    private static string Lines(IEnumerable<string> texts) => string.Concat(texts.Select(t => t.ReplaceLineEndings(" ") + "\n"));

    private static string Table(string[] head, IEnumerable<string[]> rows)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, Csv.Safe))
            foreach (var row in rows.Prepend(head))
            {
                foreach (var cell in row) csv.WriteField(cell);
                csv.NextRecord();
            }

        return text.ToString();
    }

    private static void Put(ZipArchive zip, string name, string text)
    {
        using var entry = zip.CreateEntry(name).Open();
        entry.Write(Encoding.UTF8.GetBytes(text));
    }
}
