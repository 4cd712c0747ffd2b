using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Probes;
using YellowPencil.Core.Remediation;
using YellowPencil.Data;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>A decision as it is told: what, by whom, about which explanation; the note or name.</summary>
public sealed record DecisionLine(string What, string Text, bool IsOutOfDate);

/// <summary>The reading of a page, what was decided about it, and the next step.</summary>
public sealed class ReadingModel(PageDesk pages, ReadingDesk readings, RuleNaming names, SchoolTime time) : PageModel
{
    private const double LeastShown = 0.01;
    private const int MostShown = 6;

    /// <summary>The page's key.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid Id { get; set; }

    /// <summary>The page.</summary>
    public StudentPage? StudentPage { get; private set; }

    /// <summary>The reading.</summary>
    public Reading? Reading { get; private set; }

    /// <summary>The explanations shown.</summary>
    public IReadOnlyList<Explanation> Shown { get; private set; } = [];

    /// <summary>The explanations shown, those together that say the same on every item of the page.</summary>
    public IReadOnlyList<IReadOnlyList<Explanation>> Classes =>
        [.. Shown.GroupBy(e => string.Join('|', e.Predictions.OrderBy(p => p.Key, StringComparer.Ordinal).Select(p => p.Value))).Select(g => (IReadOnlyList<Explanation>)[.. g])];

    /// <summary>The explanation drawn over the page.</summary>
    public Explanation? Chosen { get; private set; }

    /// <summary>Its rules, joined by +.</summary>
    public string ChosenRules => Chosen is null ? "" : ReadingDesk.RulesOf(Chosen);

    /// <summary>The one thing to do next.</summary>
    public NextStep? Step { get; private set; }

    /// <summary>What is wrong with what was sent, if anything.</summary>
    public string? Message { get; private set; }

    /// <summary>The student's name or code.</summary>
    public string Who => StudentPage!.Student is { CallName.Length: > 0 } student ? student.CallName : StudentPage.Student!.Code;

    /// <summary>What the student does, in one sentence.</summary>
    public string Headline => $"{(Reading!.Outcome == Outcome.Bug && names.Own(ReadingDesk.RulesOf(Reading.Best)) is { } own ? $"“{own}”: " : "")}{ReadingText.Headline(Reading, Who, Word, NameOf)}";

    /// <summary>The decision that settles the page as it stands now; null while it waits.</summary>
    public Decision? Settled => StudentPage!.Decisions.LastOrDefault(d => d.Kind is DecisionKind.Accepted or DecisionKind.PutAside && d.PageVersion == StudentPage.Version);

    /// <summary>Whether it was decided on before the page was changed, and not since.</summary>
    public bool IsDecisionOutOfDate => Settled is null && StudentPage!.Decisions.Exists(d => d.Kind is DecisionKind.Accepted or DecisionKind.PutAside or DecisionKind.Rejected && d.PageVersion != StudentPage.Version);

    /// <summary>The plan of the explanation that was accepted.</summary>
    public Plan? Plan => StudentPage!.Plans.Find(p => p.Rules == Settled?.Rules && p.PageVersion == StudentPage.Version);

    /// <summary>Decisions about explanations that are no longer among those shown, and about the page.</summary>
    public IReadOnlyList<Decision> Earlier => [.. StudentPage!.Decisions.Where(d => d.Kind == DecisionKind.PutAside || Shown.All(e => ReadingDesk.RulesOf(e) != d.Rules))];

    /// <summary>What was tried to explain the page, in a phrase.</summary>
    public string Tried => $"{Reading!.Tried.Rules} listed rules, {Reading.Tried.Weighed} of them and of their combinations weighed item by item{(Reading.Tried.Unlisted > 0 ? $", {Reading.Tried.Unlisted} rules outside the catalogue" : "")}, and one slip an item.";

    private ClassroomWord Word => StudentPage!.Student!.Word;

    /// <summary>Shows the reading.</summary>
    public async Task<IActionResult> OnGetAsync(string? rules)
    {
        if (!await LoadAsync(Addresses.RulesIn(rules))) return NotFound();
        await pages.LogLookAsync(StudentPage!.StudentId, "reading");
        return Page();
    }

    /// <summary>Accepts an explanation; one with a rule is planned for.</summary>
    public async Task<IActionResult> OnPostAcceptAsync(string? rules)
    {
        if (await HoldAsync(rules) is { } missing) return missing;
        if (Message is not null) return Page();
        if (!Chosen!.IsSound && !PlanMaker.CanPlan(Chosen.Hypothesis)) Message = "There is no plan for this rule yet. Keep a note, or put the page aside.";
        if (Message is not null) return Page();
        if (Settled is null || Settled.Rules != ChosenRules) await readings.DecideAsync(StudentPage!, ChosenRules, DecisionKind.Accepted, "");
        return Redirect(Chosen.IsSound ? Addresses.Reading(Id) : Addresses.Plan((await readings.PlanAsync(StudentPage!, Reading!, Chosen)).Id));
    }

    /// <summary>Rejects an explanation; the page goes on waiting.</summary>
    public Task<IActionResult> OnPostRejectAsync(string? rules) => DecideAsync(rules, DecisionKind.Rejected, "");

    /// <summary>Keeps a note, about an item where one is named.</summary>
    public Task<IActionResult> OnPostNoteAsync(string? rules, string? text, string? item) =>
        DecideAsync(rules, DecisionKind.Noted, string.IsNullOrWhiteSpace(text) || item is null ? text ?? "" : $"item {item}: {text.Trim()}", "Write the note first.");

    /// <summary>Gives an explanation the specialist's own name.</summary>
    public Task<IActionResult> OnPostNameAsync(string? rules, string? text) => DecideAsync(rules, DecisionKind.Renamed, text ?? "", "Write the name first.", 200);

    /// <summary>Puts the page aside without an explanation.</summary>
    public Task<IActionResult> OnPostPutAsideAsync() => DecideAsync(null, DecisionKind.PutAside, "");

    /// <summary>Puts the items to ask next on the page and goes to where they are typed in.</summary>
    public async Task<IActionResult> OnPostAskAsync()
    {
        if (await HoldAsync(null) is { } missing) return missing;
        await pages.AskAsync(StudentPage!, Step!.Items);
        return Redirect(Addresses.Page(Id));
    }

    /// <summary>The picture of an item, with the circle and with what the chosen explanation predicts.</summary>
    public ColumnPicture Picture(ItemReading item)
    {
        var picture = ColumnPicture.Of(item.Item).WithCircle(item.FirstWrongStep);
        return Chosen is { IsSound: false } chosen && chosen.Predictions.TryGetValue(item.Item.Id, out var answer) && answer != item.Item.Task.RightAnswer
            ? picture.WithPrediction(answer)
            : picture;
    }

    /// <summary>A word beside the number of an item.</summary>
    public static string Mark(ItemReading item) => item.Verdict switch
    {
        Verdict.Right => "right",
        Verdict.Blank => "blank",
        Verdict.Unreadable => "unreadable",
        _ => item.Cause switch { Cause.Slip => "slip", Cause.Fact => "fact", Cause.Unexplained => "unexplained", _ => "bug" },
    };

    /// <summary>The explanation in a sentence, behind the specialist's own name where there is one.</summary>
    public string Text(Explanation e) => names.Own(ReadingDesk.RulesOf(e)) is { } own ? $"“{own}”: {e.Text.In(Word)}" : e.Text.In(Word);

    /// <summary>The name of an explanation.</summary>
    public string NameOf(Explanation e) => names.Of(ReadingDesk.RulesOf(e), Word);

    /// <summary>The specialist's own name for the chosen explanation.</summary>
    public string? OwnName => names.Own(ChosenRules);

    /// <summary>The strip in words.</summary>
    public static string StripText(Explanation e) => string.Join("; ", e.Stands.GroupBy(s => s.Value).OrderBy(g => g.Key)
        .Select(g => $"{(g.Key == Stand.Agrees ? "agrees on" : g.Key == Stand.Against ? "against it" : "silent")} {string.Join(", ", g.Select(s => s.Key))}"));

    /// <summary>What was decided about an explanation.</summary>
    public IEnumerable<Decision> DecisionsOn(Explanation e) => StudentPage!.Decisions.Where(d => d.Kind != DecisionKind.PutAside && d.Rules == ReadingDesk.RulesOf(e));

    /// <summary>A decision as it is told.</summary>
    public DecisionLine Line(Decision decision) => new(
        $"{DecisionText.Did(decision.Kind)} by {decision.ByName}, {time.Moment(decision.At)}{(decision.Kind == DecisionKind.PutAside ? "" : $": “{names.Of(decision.Rules, Word)}”")}", decision.Text, decision.PageVersion != StudentPage!.Version);

    private async Task<IActionResult> DecideAsync(string? rules, DecisionKind kind, string text, string? needed = null, int most = 2000)
    {
        if (await HoldAsync(kind == DecisionKind.PutAside ? null : rules ?? "") is { } missing) return missing;
        Message ??= needed is not null && string.IsNullOrWhiteSpace(text) ? needed : text.Length > most ? $"That is longer than {most} characters." : null;
        if (Message is not null) return Page();
        await readings.DecideAsync(StudentPage!, kind == DecisionKind.PutAside ? "" : ChosenRules, kind, text.Trim());
        return Redirect(Addresses.Reading(Id, kind == DecisionKind.PutAside ? null : ChosenRules));
    }

    /// <summary>Loads the page for a decision and holds it; the answer where there is none.</summary>
    private async Task<IActionResult?> HoldAsync(string? rules)
    {
        if (await pages.HoldAsync(Id) is null || !await LoadAsync(rules)) return NotFound();
        if (rules is not null && rules != ChosenRules) Message = "The page was changed since: this explanation is no longer among them. Decide on the reading as it is now.";
        return null;
    }

    private async Task<bool> LoadAsync(string? rules)
    {
        StudentPage = await pages.FindAsync(Id);
        if (StudentPage is null) return false;
        await names.LoadAsync();
        Reading = await readings.ReadAsync(StudentPage);
        var all = Reading.Explanations;
        Chosen = all.FirstOrDefault(e => ReadingDesk.RulesOf(e) == rules) ?? all[0];
        Shown = [.. all.Where(e => e.Probability >= LeastShown).Take(MostShown)];
        if (!Shown.Contains(Chosen)) Shown = [.. Shown, Chosen];
        Step = NextStep.After(Reading, NextItems.For(Reading));
        return true;
    }
}
