using Hangfire;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Core.Inference;
using YellowPencil.Data;
using YellowPencil.Web.Classes;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Pages.Sheets;
using YellowPencil.Web.Printing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Classes;

/// <summary>The reading of a class: who shares which rule, who needs a second look, what was written.</summary>
public sealed class ReadingModel(PencilContext data, RuleNaming names, IBackgroundJobClient jobs, ClassWork work, CountedChecks checks) : PageModel
{
    /// <summary>What is missing for what was asked.</summary>
    public string? Message { get; private set; }

    /// <summary>What was done for the students of a rule; shown once.</summary>
    [TempData]
    public string? Done { get; set; }

    /// <summary>The open plan of each page that has one, by page.</summary>
    public IReadOnlyDictionary<Guid, Guid> PlanOf { get; private set; } = new Dictionary<Guid, Guid>();

    /// <summary>The pages that are decided on as they stand.</summary>
    public IReadOnlySet<Guid> Decided { get; private set; } = new HashSet<Guid>();

    /// <summary>Whose page can count as a check of a plan that is taught.</summary>
    public IReadOnlyList<CountablePage> Countable { get; private set; } = [];

    /// <summary>What is shown.</summary>
    public ClassView? View { get; private set; }

    /// <summary>Why somebody needs a second look.</summary>
    public static string Why(Outcome outcome) => outcome switch
    {
        Outcome.NotToldApart => "A rule is followed, and the sheet does not tell which of several; ask the next items on the student’s own page",
        Outcome.TooFewChances => "Too few chances to say; ask more",
        _ => "Something systematic that no rule found fits; talk it through",
    };

    /// <summary>Shows the reading as far as it is; what is not read yet is put into the queue.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id)
    {
        if (!await LoadAsync(id)) return NotFound();
        if (View!.Board is { } board && board.Read < board.Of && board.Sheet.IsReadByItself) ClassReader.Ask(jobs, board.Sheet);
        return Page();
    }

    /// <summary>Accepts what the own page of each chosen student says, and makes each a plan.</summary>
    public async Task<IActionResult> OnPostPlanAsync(Guid id, string? rule, string[]? students)
    {
        if (!await LoadAsync(id)) return NotFound();
        if (View!.Rules.FirstOrDefault(r => !r.IsOpen && r.Rule == rule) is not { } lettered) Message = "The sheet reads otherwise by now: this rule is nobody’s any more.";
        else if (Chosen(lettered, students) is not { Count: > 0 } chosen) Message = "Tick the students first.";
        else
        {
            Done = (await work.PlanAsync(lettered.Rule, chosen)).Text;
            return Redirect(Addresses.ClassReading(id));
        }

        return Page();
    }

    /// <summary>Counts the pages of those who are chosen as checks of their plans.</summary>
    public async Task<IActionResult> OnPostChecksAsync(Guid id, Guid[]? plans)
    {
        if (!await LoadAsync(id)) return NotFound();
        var counted = new List<string>();
        foreach (var offered in Countable.Where(c => plans?.Contains(c.Plan.Id) == true))
            if (await checks.CountAsync(offered.Plan.Id, offered.Page)) counted.Add(offered.Plan.Student!.Code);
        Done = counted.Count == 0 ? "Nothing was counted: tick the students first." : $"Counted as a check: {string.Join(", ", counted)}.";
        return Redirect(Addresses.ClassReading(id));
    }

    /// <summary>Marks the plans of a rule's students as printed and leads to their papers in one file.</summary>
    public async Task<IActionResult> OnPostPapersAsync(Guid id, string? rule, string? size)
    {
        if (!await LoadAsync(id)) return NotFound();
        await work.MarkPrintedAsync(PagesOf(rule));
        return Redirect($"{Addresses.ClassReading(id)}?handler=Papers&rule={Uri.EscapeDataString(rule ?? "")}&size={(size == "letter" ? "letter" : "a4")}");
    }

    /// <summary>The papers of a rule's students in one file.</summary>
    public async Task<IActionResult> OnGetPapersAsync(Guid id, string? rule, string? size)
    {
        if (!await LoadAsync(id)) return NotFound();
        return await work.PapersAsync(PagesOf(rule), new PaperWish(size, As: "pdf")) is { } papers ? File(papers, "application/pdf", PdfFiles.Name("group", View!.Board.Sheet.Title)) : NotFound();
    }

    /// <summary>What the rule of a plan is called.</summary>
    public string NameOf(Plan plan) => PlanDesk.NameOf(plan, names);

    /// <summary>Those of a rule's students who have an open plan from this sheet.</summary>
    public int PlannedOf(LetteredRule rule) => rule.Students.Count(s => PlanOf.ContainsKey(View!.PageOf[s.Code]));

    private List<(string, Guid)> Chosen(LetteredRule rule, string[]? students) =>
        [.. rule.Students.Where(s => students?.Contains(s.Code) == true).Select(s => (s.Code, View!.PageOf[s.Code]))];

    private List<Guid> PagesOf(string? rule) => [.. View!.Rules.Where(r => !r.IsOpen && r.Rule == rule).SelectMany(r => r.Students).Select(s => View.PageOf[s.Code])];

    private async Task<bool> LoadAsync(Guid id)
    {
        if (await ClassBoard.LoadAsync(data, id) is not { } board) return false;
        this.Shows("class reading", board.Rows.Select(r => r.Student.Id));
        await names.LoadAsync();
        View = new ClassView(board, names);
        Countable = await checks.OfferedAsync([.. board.Rows.Where(r => r.HasAnswers).Select(r => r.Page.Id)]);
        PlanOf = (await data.Plans.Where(p => p.Page!.ClassSheetId == id && p.ClosedAt == null).OrderBy(p => p.MadeAt).Select(p => new { p.PageId, p.Id }).ToListAsync())
            .GroupBy(p => p.PageId).ToDictionary(g => g.Key, g => g.Last().Id);
        Decided = (await data.Pages.Where(p => p.ClassSheetId == id && p.Decisions.Any(d => d.PageVersion == p.Version && (d.Kind == DecisionKind.Accepted || d.Kind == DecisionKind.PutAside || d.Kind == DecisionKind.Own)))
            .Select(p => p.Id).ToListAsync()).ToHashSet();
        return true;
    }
}
