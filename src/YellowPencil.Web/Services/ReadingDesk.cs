using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;
using YellowPencil.Core.Telling;
using YellowPencil.Data;
using YellowPencil.Web.Accounts;

namespace YellowPencil.Web.Services;

/// <summary>Readings of pages, what was decided about them, and the plans made from them.</summary>
public sealed class ReadingDesk(PencilContext data, ReadingCache cache, PlanDesk plans, RuleNaming names, CurrentSpecialist who, TimeProvider clock)
{
    /// <summary>Reads the page and keeps the reading, unless the same engine has read the same page before.</summary>
    /// <param name="page">The page.</param>
    /// <param name="cancellation">Ends the reading when nobody waits for it any more.</param>
    public async Task<Reading> ReadAsync(StudentPage page, CancellationToken cancellation = default)
    {
        var reading = cache.Read(page, cancellation);
        if (!await data.Readings.AnyAsync(r => r.PageId == page.Id && r.PageVersion == page.Version && r.EngineVersion == EngineVersion.Current && r.ClassLine != null, cancellation))
            await KeepAsync(Keep(page, reading, clock.GetUtcNow()), cancellation);
        return reading;
    }

    /// <summary>
    /// Keeps a reading. Two may read the same page at once: the first one's reading stays. What was read while the page was still being typed in
    /// makes room for it.
    /// </summary>
    internal async Task KeepAsync(StoredReading reading, CancellationToken cancellation)
    {
        await data.Database.ExecuteSqlAsync($"delete from readings where page_id = {reading.PageId} and is_passing and page_version < {reading.PageVersion}", cancellation);
        await data.Database.ExecuteSqlAsync(
            $"""
            insert into readings (id, owner_id, page_id, page_version, engine_version, outcome, rules, content, class_line, is_passing, made_at)
            values ({reading.Id}, {reading.OwnerId}, {reading.PageId}, {reading.PageVersion}, {reading.EngineVersion}, {reading.Outcome}, {reading.Rules}, {reading.Content}::jsonb,
                {reading.ClassLine}::jsonb, {reading.IsPassing}, {reading.MadeAt})
            on conflict (page_id, page_version, engine_version) do update set class_line = excluded.class_line
            """,
            cancellation);
    }

    /// <summary>A reading as it is kept.</summary>
    internal static StoredReading Keep(StudentPage page, Reading reading, DateTimeOffset at) => new()
    {
        Id = Guid.CreateVersion7(at),
        OwnerId = page.OwnerId,
        PageId = page.Id,
        PageVersion = page.Version,
        EngineVersion = EngineVersion.Current,
        Outcome = Spelling.Of(reading.Outcome),
        Rules = reading.Outcome is Outcome.Bug or Outcome.NotToldApart && reading.BestBug is { } best ? RulesOf(best) : "",
        Content = ReadingWriter.Write(reading, NextItems.For(reading)),
        ClassLine = ClassLine.Of(reading).Write(),
        IsPassing = page.State == PageState.Typing,
        MadeAt = at,
    };

    /// <summary>The rules of an explanation as they are kept: joined by +, none for "no systematic bug".</summary>
    public static string RulesOf(Explanation explanation) => string.Join('+', explanation.Hypothesis.RuleIds);

    /// <summary>What a stored reading came to, in a line for lists.</summary>
    public string Summary(string outcome, string rules, ClassroomWord word) =>
        ReadingText.Summary(Spelling.TryParse<Outcome>(outcome, out var known) ? known : Outcome.Unexplained, rules.Length == 0 ? "" : names.Of(rules, word));

    /// <summary>Keeps what was decided about an explanation of a held page.</summary>
    public async Task DecideAsync(StudentPage page, string rules, DecisionKind kind, string text)
    {
        data.Decisions.Add(new YellowPencil.Data.Decision
        {
            Id = Guid.CreateVersion7(clock.GetUtcNow()),
            PageId = page.Id,
            PageVersion = page.Version,
            Rules = rules,
            Kind = kind,
            Text = text,
            ByName = who.Name,
            At = clock.GetUtcNow(),
        });
        if (kind == DecisionKind.Renamed) await names.GiveAsync(rules, text, who.Name);
        await data.SaveChangesAsync();
        if (kind is not (DecisionKind.Rejected or DecisionKind.Restored)) return;

        // What lists say of the page is what it comes to without what was rejected.
        await data.Readings.Where(r => r.PageId == page.Id && r.PageVersion == page.Version).ExecuteDeleteAsync();
        await ReadAsync(page);
    }

    /// <summary>Keeps a plan for a held page that was changed after the plan was made, with all that was done with it.</summary>
    public async Task KeepPlanAsync(StudentPage page, Plan plan)
    {
        plan.PageVersion = page.Version;
        await DecideAsync(page, plan.Rules, DecisionKind.Accepted, "");
    }

    /// <summary>How an explanation that somebody thought of stands to a page; null where its rules are not known or are not of its families.</summary>
    public static Explanation? TryOn(StudentPage page, string rules)
    {
        var sheet = PageDesk.Sheet(page);
        var families = sheet.Items.Select(i => i.Task.Family).ToHashSet();
        if (rules.Length == 0 || Hypothesis.Parse(rules) is not { RuleCount: > 0 and <= Hypothesis.MostRules } hypothesis) return null;
        var known = families.SelectMany(Catalogue.Of).ToHashSet();
        if (!hypothesis.Bugs.All(known.Contains)) return null;
        var tried = SheetDiagnosis.Try(sheet, hypothesis);
        return hypothesis.Unlisted.Count > 0 && tried.ItemsWithChances == 0 ? null : tried;
    }

    /// <summary>The likeliest rules behind some items of a page alone; null where none gives two of them.</summary>
    public static string? BehindItems(StudentPage page, IReadOnlyCollection<string> items)
    {
        var sheet = PageDesk.Sheet(page);
        var reading = SheetDiagnosis.Read(sheet with { Items = [.. sheet.Items.Where(i => items.Contains(i.Id))] }, PageDesk.Rejected(page));
        return reading.Explanations.FirstOrDefault(e => !e.IsSound && e.Standing(Stand.Agrees, sheet).Count() >= Math.Min(2, items.Count)) is { } found ? RulesOf(found) : null;
    }

    /// <summary>Makes the plan from an explanation of a held page; the one that is there, where it was made before.</summary>
    public async Task<Plan> PlanAsync(StudentPage page, Reading reading, Explanation explanation)
    {
        var rules = RulesOf(explanation);
        if (page.Plans.OrderByDescending(p => p.MadeAt).FirstOrDefault(p => p.Rules == rules && p.PageVersion == page.Version) is { } made) return made;
        var plan = new Plan
        {
            Id = Guid.CreateVersion7(clock.GetUtcNow()),
            StudentId = page.StudentId,
            PageId = page.Id,
            PageVersion = page.Version,
            Rules = rules,
            AvoidedFacts = string.Join('|', reading.Facts.Select(f => f.Fact.ToString())),
            Word = page.Student!.Word,
            School = page.Student.School,
            MostDigits = StudentSize.Of(reading.Sheet.Items.Select(i => i.Task)).Level,
            Seed = BitConverter.ToUInt16(page.Id.ToByteArray(), 14),
            MadeAt = clock.GetUtcNow(),
        };
        await names.LoadAsync();
        await plans.MakeAsync(plan, explanation.Hypothesis, page.Student!.Code, ReadingText.RivalsOf(reading, e => names.Of(RulesOf(e), plan.Word)));
        data.Plans.Add(plan);
        await data.SaveChangesAsync();
        return plan;
    }
}
