using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Bugs;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Probes;
using YellowPencil.Core.Working;
using YellowPencil.Data;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>The reading of a page.</summary>
public sealed class ReadingModel(PageDesk pages) : PageModel
{
    private const double LeastShown = 0.01;

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

    /// <summary>Which of them is drawn over the page.</summary>
    public int ChosenIndex { get; private set; }

    /// <summary>The explanation drawn over the page.</summary>
    public Explanation? Chosen => ChosenIndex < Shown.Count ? Shown[ChosenIndex] : null;

    /// <summary>Items to ask next.</summary>
    public IReadOnlyList<NextItem> Next { get; private set; } = [];

    /// <summary>Whether asking more comes before deciding.</summary>
    public bool AskFirst => Next.Count > 0 && Reading!.Outcome is Outcome.NotToldApart or Outcome.TooFewChances;

    /// <summary>What is wrong with what was sent, if anything.</summary>
    public string? Message { get; private set; }

    /// <summary>Shows the reading.</summary>
    public async Task<IActionResult> OnGetAsync(int explanation = 0)
    {
        if (!await LoadAsync(explanation)) return NotFound();
        await pages.LogLookAsync(StudentPage!.StudentId, "reading", ByName);
        return Page();
    }

    /// <summary>Keeps a decision; accepting an explanation with a rule makes the plan.</summary>
    public async Task<IActionResult> OnPostAsync(string? rules, DecisionKind kind, string? text)
    {
        if (!await LoadAsync(0)) return NotFound();
        var about = Reading!.Explanations.FirstOrDefault(e => string.Join('+', e.Hypothesis.RuleIds) == (rules ?? ""));
        Message = about is null ? "The page was changed since: this explanation is no longer among them. Decide on the reading as it is now."
            : kind is DecisionKind.Renamed or DecisionKind.Noted && string.IsNullOrWhiteSpace(text) ? "Write the name or the note first."
            : text is { Length: > 2000 } ? "The note has more than 2000 characters." : null;
        if (Message is not null) return Page();
        await pages.DecideAsync(StudentPage!, rules ?? "", kind, text?.Trim() ?? "", ByName);
        TempData["Taken"] = $"note-{Id}";
        if (kind != DecisionKind.Accepted || about!.IsSound) return RedirectToPage(new { id = Id });
        var plan = await pages.PlanAsync(StudentPage!, Reading, about);
        return Redirect($"/plans/{plan.Id}");
    }

    /// <summary>Puts the items to ask next on the page and goes to where they are typed in.</summary>
    public async Task<IActionResult> OnPostAskAsync()
    {
        if (!await LoadAsync(0)) return NotFound();
        await pages.AskAsync(StudentPage!, Next.Select(n => n.Task));
        return Redirect($"/pages/{Id}");
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

    /// <summary>The place of an explanation in the list.</summary>
    public int IndexOf(Explanation e) => Shown.ToList().IndexOf(e);

    /// <summary>How sure an explanation is, in words and per cent.</summary>
    public static string Sure(Explanation e) => $"{Percent(e.Probability)}:";

    /// <summary>A share in per cent, never rounded up to certainty.</summary>
    public static string Percent(double share) => share < 0.01 ? "under 1 %" : $"{Math.Floor(Math.Min(99, 100 * share)):0} %";

    /// <summary>The explanation in the specialist's name for it if there is one, else in a sentence.</summary>
    public string Name(Explanation e)
    {
        var renamed = Decisions(e).LastOrDefault(d => d.Kind == DecisionKind.Renamed)?.Text;
        var sentence = e.Text.In(StudentPage!.Student!.Word);
        return renamed is null ? sentence : $"“{renamed}”: {sentence}";
    }

    /// <summary>The names of an explanation's rules.</summary>
    public string RuleNames(Explanation e) => string.Join(" and ", e.Hypothesis.RuleIds.Select(id => (Catalogue.Find(id)?.Name ?? "the rule that is not in the catalogue").In(StudentPage!.Student!.Word)));

    /// <summary>The strip in words.</summary>
    public static string StripText(Explanation e) => string.Join("; ", e.Stands.GroupBy(s => s.Value).OrderBy(g => g.Key)
        .Select(g => $"{(g.Key == Stand.Agrees ? "agrees on" : g.Key == Stand.Against ? "against it" : "silent")} {string.Join(", ", g.Select(s => s.Key))}"));

    /// <summary>What was decided about an explanation before.</summary>
    public IEnumerable<Decision> Decisions(Explanation e) => StudentPage!.Decisions.Where(d => d.Rules == string.Join('+', e.Hypothesis.RuleIds));

    private string ByName => User.FindFirst("name")?.Value ?? User.Identity?.Name ?? "";

    private async Task<bool> LoadAsync(int explanation)
    {
        StudentPage = await pages.FindAsync(Id);
        if (StudentPage is null) return false;
        Reading = await pages.ReadAsync(StudentPage);
        Shown = [.. Reading.Explanations.Where(e => e.Probability >= LeastShown).Take(6)];
        ChosenIndex = Math.Clamp(explanation, 0, Math.Max(0, Shown.Count - 1));
        Next = NextItems.For(Reading);
        return true;
    }
}
