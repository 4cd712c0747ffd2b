using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>The reading of a page, what was decided about it, and the next step.</summary>
public sealed class ReadingModel(PageDesk pages, ReadingDesk readings, RuleNaming names, CountedChecks checks, SchoolTime time) : PageModel
{
    private const int LongestOwn = 300;

    /// <summary>The page's key.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid Id { get; set; }

    /// <summary>What is shown.</summary>
    public ReadingView? View { get; private set; }

    /// <summary>What is wrong with what was sent, if anything.</summary>
    public string? Message { get; private set; }

    /// <summary>What was done and could not be done, told after the page is loaded anew.</summary>
    [TempData]
    public string? Done { get; set; }

    /// <summary>The plans of which this page can count as a check.</summary>
    public IReadOnlyList<CountablePage> Countable { get; private set; } = [];

    /// <summary>What the rule of a plan is called.</summary>
    public string NameOf(Plan plan) => PlanDesk.NameOf(plan, names);

    /// <summary>The readings before and behind this one, where it is one of a class.</summary>
    public (Guid? Before, Guid? Behind) Neighbours { get; private set; }

    /// <summary>Shows the reading.</summary>
    public async Task<IActionResult> OnGetAsync(string? rules)
    {
        if (!await LoadAsync(Addresses.RulesIn(rules))) return NotFound();
        return Page();
    }

    /// <summary>Accepts an explanation; one with a rule is planned for.</summary>
    public async Task<IActionResult> OnPostAcceptAsync(string? rules)
    {
        if (await HoldAsync(rules ?? "") is { } missing) return missing;
        if (Message is not null) return Page();
        var (page, chosen, rulesChosen) = (View!.Page, View.Chosen, View.ChosenRules);
        if (View.Tried is { ItemsFollowed: 0 })
        {
            Message = "This explanation gives no answer of the page, so nothing is planned from it.";
            return Page();
        }

        if (!chosen.IsSound && !PlanMaker.CanPlan(chosen.Hypothesis))
        {
            Message = "Look first whether the student sees and sets the digits well; a plan comes after that. Keep a note, or put the page aside.";
            return Page();
        }

        if (View.Settled?.Rules != rulesChosen) await readings.DecideAsync(page, rulesChosen, DecisionKind.Accepted, "");
        try
        {
            return Redirect(chosen.IsSound ? Addresses.Reading(Id) : Addresses.Plan((await readings.PlanAsync(page, View.Reading, chosen)).Id));
        }
        catch (TooFewItemsException)
        {
            Done = "Accepted. The rule shows on too few items to plan a session for it: talk it through on the items of the page, and keep a note.";
            return Redirect(Addresses.Reading(Id));
        }
    }

    /// <summary>Keeps the plan that was made before the page was changed: what it is for is accepted of the page as it is now.</summary>
    public async Task<IActionResult> OnPostKeepPlanAsync(Guid plan)
    {
        if (await HoldAsync(null) is { } missing) return missing;
        if (View!.PlanBefore is not { } before || before.Id != plan)
        {
            Done = "This plan is not waiting to be kept any more.";
            return Redirect(Addresses.Reading(Id));
        }

        await readings.KeepPlanAsync(View.Page, before);
        return Redirect(Addresses.Plan(before.Id));
    }

    /// <summary>Rejects an explanation: the page is read without it, and goes on waiting.</summary>
    public async Task<IActionResult> OnPostRejectAsync(string? rules)
    {
        var done = await DecideAsync(rules, DecisionKind.Rejected, "");
        return done is RedirectResult ? Redirect(Addresses.Reading(Id)) : done;
    }

    /// <summary>Takes a rejection back.</summary>
    public async Task<IActionResult> OnPostRestoreAsync(string? rules)
    {
        if (await HoldAsync(null) is { } missing) return missing;
        if (View!.Rejected.Contains(rules ?? "")) await readings.DecideAsync(View.Page, rules ?? "", DecisionKind.Restored, "");
        return Redirect(Addresses.Reading(Id));
    }

    /// <summary>Keeps the specialist's own explanation in words; the page is decided on with it.</summary>
    public async Task<IActionResult> OnPostOwnAsync(string? text)
    {
        if (await HoldAsync(null) is { } missing) return missing;
        Message = string.IsNullOrWhiteSpace(text) ? "Write first what the student does." : text.Trim().Length > LongestOwn ? $"That is longer than {LongestOwn} characters." : null;
        if (Message is not null) return Page();
        await readings.DecideAsync(View!.Page, "", DecisionKind.Own, text!.Trim());
        return Redirect(Addresses.Reading(Id));
    }

    /// <summary>Looks for rules that give the answers of some items, and shows them over the whole page.</summary>
    public async Task<IActionResult> OnPostBehindAsync(string[]? items)
    {
        if (await HoldAsync(null) is { } missing) return missing;
        if (items is not { Length: >= 2 }) Message = "Choose two items or more that were done the same way.";
        else if (ReadingDesk.BehindItems(View!.Page, items) is { } rules) return Redirect(Addresses.Reading(Id, rules));
        else Message = $"No rule that was tried gives the answers of items {string.Join(", ", items)}.";
        return Page();
    }

    /// <summary>Turns a page round that was typed from the other side.</summary>
    public async Task<IActionResult> OnPostTurnAsync()
    {
        if (await HoldAsync(null) is { } missing) return missing;
        if (View!.Turned is { } turned) await pages.TurnAsync(View.Page, turned);
        return Redirect(Addresses.Reading(Id));
    }

    /// <summary>Says that the paper shows the answers as they were typed.</summary>
    public async Task<IActionResult> OnPostWrittenSoAsync()
    {
        if (await HoldAsync(null) is { } missing) return missing;
        await pages.LeaveAsWrittenAsync(View!.Page);
        return Redirect(Addresses.Reading(Id));
    }

    /// <summary>Keeps a note, about an item where one is named.</summary>
    public Task<IActionResult> OnPostNoteAsync(string? rules, string? text, string? item) =>
        DecideAsync(rules, DecisionKind.Noted, string.IsNullOrWhiteSpace(text) || item is null ? text ?? "" : $"item {item}: {text.Trim()}", "Write the note first.");

    /// <summary>Gives an explanation the specialist's own name.</summary>
    public Task<IActionResult> OnPostNameAsync(string? rules, string? text) => DecideAsync(rules, DecisionKind.Renamed, text ?? "", "Write the name first.", 200);

    /// <summary>Puts the page aside without an explanation.</summary>
    public Task<IActionResult> OnPostPutAsideAsync() => DecideAsync(null, DecisionKind.PutAside, "");

    /// <summary>Counts the page as a check of a plan that is taught.</summary>
    public async Task<IActionResult> OnPostCountAsync(Guid plan)
    {
        if (await HoldAsync(null) is { } missing) return missing;
        if (!await checks.CountAsync(plan, Id)) Done = "This page does not count as a check of that plan any more.";
        return Redirect(Addresses.Reading(Id));
    }

    /// <summary>Takes back that it counts as one.</summary>
    public async Task<IActionResult> OnPostNoCheckAsync()
    {
        if (await HoldAsync(null) is { } missing) return missing;
        await checks.TakeBackAsync(View!.Page);
        return Redirect(Addresses.Reading(Id));
    }

    /// <summary>Puts the items to ask next on the page and goes to where they are typed in.</summary>
    public async Task<IActionResult> OnPostAskAsync()
    {
        if (await HoldAsync(null) is { } missing) return missing;
        await pages.AskAsync(View!.Page, View.Step.Items);
        return Redirect(Addresses.Page(Id));
    }

    private async Task<IActionResult> DecideAsync(string? rules, DecisionKind kind, string text, string? needed = null, int most = 2000)
    {
        if (await HoldAsync(kind == DecisionKind.PutAside ? null : rules ?? "") is { } missing) return missing;
        Message ??= needed is not null && string.IsNullOrWhiteSpace(text) ? needed : text.Length > most ? $"That is longer than {most} characters." : null;
        if (Message is not null) return Page();
        var about = kind == DecisionKind.PutAside ? null : View!.ChosenRules;
        await readings.DecideAsync(View!.Page, about ?? "", kind, text.Trim());
        return Redirect(Addresses.Reading(Id, about));
    }

    /// <summary>Loads the page for a decision and holds it; the answer where there is none.</summary>
    private async Task<IActionResult?> HoldAsync(string? rules)
    {
        if (await pages.HoldAsync(Id) is null || !await LoadAsync(rules)) return NotFound();
        if (rules is not null && rules != View!.ChosenRules) Message = "The page was changed since: this explanation is no longer among them. Decide on the reading as it is now.";
        return null;
    }

    private async Task<bool> LoadAsync(string? rules)
    {
        if (await pages.FindAsync(Id) is not { } page) return false;
        this.Shows("reading", page.StudentId);
        await names.LoadAsync();
        View = new ReadingView(page, await readings.ReadAsync(page, HttpContext.RequestAborted), rules, names, time);
        Neighbours = await pages.NeighboursAsync(page);
        Countable = await checks.OfferedAsync([page.Id]);
        return true;
    }
}
