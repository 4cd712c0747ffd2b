using System.Globalization;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Bugs;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Probes;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Remediation;
using YellowPencil.Core.Working;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>What can be done with pages of work: begun, typed into, read, decided about, planned from.</summary>
public sealed class PageDesk(PencilContext data, TimeProvider clock, ICurrentOwner owner)
{
    /// <summary>Begins a page with its items.</summary>
    public async Task<StudentPage> BeginAsync(Student student, string title, DateOnly? writtenOn, IReadOnlyList<WorkedItem> items)
    {
        var now = clock.GetUtcNow();
        var page = new StudentPage
        {
            Id = Guid.CreateVersion7(now),
            StudentId = student.Id,
            Title = title,
            WrittenOn = writtenOn,
            State = items.All(i => i.Answer is not null) ? PageState.Typed : PageState.Typing,
            Content = SheetWriter.Write(new WorkedSheet { Student = student.Code, Sheet = title.Length > 0 ? title : null, Date = writtenOn, Items = items }),
            ItemVersions = items.ToDictionary(i => i.Id, _ => 1),
            CreatedAt = now,
            ChangedAt = now,
        };
        data.Pages.Add(page);
        await data.SaveChangesAsync();
        return page;
    }

    /// <summary>A page with its student and decisions; null when there is none of this owner.</summary>
    public Task<StudentPage?> FindAsync(Guid id) =>
        data.Pages.Include(p => p.Student).Include(p => p.Decisions.OrderBy(d => d.At)).FirstOrDefaultAsync(p => p.Id == id);

    /// <summary>The page's sheet as it is stored.</summary>
    public static WorkedSheet StoredSheet(StudentPage page) =>
        SheetReader.TryRead(page.Content, out var fault) ?? throw new InvalidOperationException($"page {page.Id} cannot be read: {fault}");

    /// <summary>The page's sheet as it is read: where all marks were typed in, items without one say that there is none.</summary>
    public static WorkedSheet Sheet(StudentPage page)
    {
        var sheet = StoredSheet(page);
        return page.MarksComplete ? sheet with { Items = [.. sheet.Items.Select(WithAllMarks)] } : sheet;
    }

    /// <summary>Reads the page and keeps the reading, unless the same engine has read the same page before.</summary>
    public async Task<Reading> ReadAsync(StudentPage page)
    {
        var reading = SheetDiagnosis.Read(Sheet(page));
        var latest = await data.Readings.Where(r => r.PageId == page.Id).OrderByDescending(r => r.MadeAt).FirstOrDefaultAsync();
        if (latest is null || latest.EngineVersion != EngineVersion.Current || latest.MadeAt < page.ChangedAt)
        {
            data.Readings.Add(Keep(page, reading, page.Student!.Word, clock.GetUtcNow()));
            await data.SaveChangesAsync();
        }

        return reading;
    }

    /// <summary>A reading as it is kept.</summary>
    internal static StoredReading Keep(StudentPage page, Reading reading, ClassroomWord word, DateTimeOffset at) => new()
    {
        Id = Guid.CreateVersion7(at),
        OwnerId = page.OwnerId,
        PageId = page.Id,
        EngineVersion = EngineVersion.Current,
        Outcome = ReadingWriter.Spell(reading.Outcome),
        Summary = ReadingText.Summary(reading, word),
        Content = ReadingWriter.Write(reading, NextItems.For(reading)),
        MadeAt = at,
    };

    /// <summary>Puts further items on a page, to be answered by the student and typed in; the reading then covers old and new.</summary>
    public async Task AskAsync(StudentPage page, IEnumerable<ItemTask> tasks)
    {
        var sheet = StoredSheet(page);
        var added = tasks.Where(t => sheet.Items.All(i => i.Task.Text != t.Text)).ToList();
        var number = sheet.Items.Count;
        var items = sheet.Items.ToList();
        foreach (var task in added)
        {
            do number++;
            while (items.Exists(i => i.Id == number.ToString(CultureInfo.InvariantCulture)));
            items.Add(WorkedItem.Of(number.ToString(CultureInfo.InvariantCulture), task));
        }

        page.Content = SheetWriter.Write(sheet with { Items = items });
        page.ItemVersions = new Dictionary<string, int>(page.ItemVersions);
        foreach (var item in items.Skip(sheet.Items.Count)) page.ItemVersions[item.Id] = 1;
        page.State = PageState.Typing;
        page.ChangedAt = clock.GetUtcNow();
        await data.SaveChangesAsync();
    }

    /// <summary>Says that a page is typed in.</summary>
    public async Task FinishTypingAsync(StudentPage page, bool marksComplete)
    {
        page.State = PageState.Typed;
        page.MarksComplete = marksComplete;
        page.ChangedAt = clock.GetUtcNow();
        await data.SaveChangesAsync();
    }

    /// <summary>Keeps what was decided about an explanation.</summary>
    public async Task DecideAsync(StudentPage page, string rules, DecisionKind kind, string text, string byName)
    {
        data.Decisions.Add(new Decision
        {
            Id = Guid.CreateVersion7(clock.GetUtcNow()),
            PageId = page.Id,
            Rules = rules,
            Kind = kind,
            Text = text,
            ByName = byName,
            At = clock.GetUtcNow(),
        });
        await data.SaveChangesAsync();
    }

    /// <summary>Makes a plan from an explanation of a page.</summary>
    public async Task<Plan> PlanAsync(StudentPage page, Reading reading, Explanation explanation)
    {
        var plan = new Plan
        {
            Id = Guid.CreateVersion7(clock.GetUtcNow()),
            StudentId = page.StudentId,
            PageId = page.Id,
            Rules = string.Join('+', explanation.Hypothesis.RuleIds),
            AvoidedFacts = string.Join('|', reading.Facts.Select(f => f.Fact.ToString())),
            Word = page.Student!.Word,
            MostDigits = PlanMaker.DigitsOf(reading.Sheet),
            Seed = 7,
            MadeAt = clock.GetUtcNow(),
        };
        data.Plans.Add(plan);
        await data.SaveChangesAsync();
        return plan;
    }

    /// <summary>The plan as it was made.</summary>
    public static RemediationPlan Remake(Plan plan) => PlanMaker.Make(
        plan.Student!.Code, Hypothesis.Parse(plan.Rules) ?? throw new InvalidOperationException($"the rules {plan.Rules} are not known to this catalogue"),
        Facts(plan.AvoidedFacts), plan.Word, plan.MostDigits, plan.Seed);

    /// <summary>Writes into the log that a student's file was looked at.</summary>
    public async Task LogLookAsync(Guid studentId, string what, string byName)
    {
        data.Looks.Add(new Look { OwnerId = owner.Id ?? Guid.Empty, StudentId = studentId, What = what, ByName = byName, At = clock.GetUtcNow() });
        await data.SaveChangesAsync();
    }

    private static WorkedItem WithAllMarks(WorkedItem item) => item.Work.Marks.ContainsKey(MarkField.Rewritten) || !item.IsAnswered
        ? item
        : item with
        {
            Work = item.Work with
            {
                Marks = new Dictionary<MarkField, PlaceMarks>(item.Work.Marks) { [MarkField.Rewritten] = new PlaceMarks() },
            },
        };

    private static List<NumberFact> Facts(string text) =>
        [.. text.Split('|', StringSplitOptions.RemoveEmptyEntries).Select(NumberFact.Parse)];
}
