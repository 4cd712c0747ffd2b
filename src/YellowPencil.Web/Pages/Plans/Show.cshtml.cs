using System.Text.Encodings.Web;
using Microsoft.AspNetCore.Html;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Printing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Plans;

/// <summary>A plan, on the screen and on paper.</summary>
public sealed class ShowModel(PlanDesk plans, RuleNaming names, Removals removals, PdfFiles pdf, SchoolTime time) : PageModel
{
    /// <summary>The plan as kept.</summary>
    public Data.Plan? Plan { get; private set; }

    /// <summary>The plan itself; null where its rules are of an earlier catalogue.</summary>
    public RemediationPlan? Remediation { get; private set; }

    /// <summary>What its rules are called.</summary>
    public string RuleNames => NameOf(Plan!);

    /// <summary>What a plan is for.</summary>
    public string NameOf(Data.Plan plan) => PlanDesk.NameOf(plan, names);

    /// <summary>Whether the page was changed since the plan was made.</summary>
    public bool IsOutOfDate => Plan!.Page is { } page && page.Version != Plan.PageVersion;

    /// <summary>Whether the classroom works in another way than when this plan was printed.</summary>
    public bool IsOtherClassroom => Plan!.PrintedAt is not null && Plan.Rules.Length > 0 && (Plan.Word, Plan.School) != (Plan.Student!.Word, Plan.Student.School);

    /// <summary>The other plans of the student, newest first.</summary>
    public IReadOnlyList<Data.Plan> Others { get; private set; } = [];

    /// <summary>Shows the plan, or its file.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id, string? size = null, string? @as = null)
    {
        if (await plans.FindAsync(id) is not { } plan) return NotFound();
        await LoadAsync(plan);
        if (@as != "pdf" || Remediation is null) return Page();
        return File(pdf.Plan(Remediation, size == "letter" ? PaperSize.Letter : PaperSize.A4, $"{Remediation.Student} · plan of {time.Date(plan.MadeAt)}"), "application/pdf", PdfFiles.Name(Remediation.Student, "plan"));
    }

    /// <summary>Makes a plan beside this printed one, as the classroom works now.</summary>
    public async Task<IActionResult> OnPostAnewAsync(Guid id)
    {
        if (await plans.FindAsync(id) is not { } plan) return NotFound();
        return Redirect(Addresses.Plan((await plans.AnewAsync(plan)).Id));
    }

    /// <summary>A sentence of the plan, which can be edited where it stands, and whether it was.</summary>
    public IHtmlContent Say(string key, string text) => new HtmlContentBuilder()
        .AppendFormat("<span data-sentence=\"{0}\">{1}</span>", key, text)
        .AppendHtml(Remediation!.Reworded.ContainsKey(key) ? " <span class=\"faint noprint\">changed</span>" : "");

    /// <summary>Says that it was printed, which takes it off the desk, or that it was not after all.</summary>
    public async Task<IActionResult> OnPostAsync(Guid id, bool printed = true)
    {
        if (await plans.FindAsync(id) is not { } plan) return NotFound();
        await plans.MarkPrintedAsync(plan, printed);
        return Redirect(Addresses.Plan(id));
    }

    /// <summary>What is wrong with what was sent.</summary>
    public string? Message { get; private set; }

    /// <summary>Puts another item with the same claim into the place of one.</summary>
    public async Task<IActionResult> OnPostSwapAsync(Guid id, string? item)
    {
        if (await plans.FindAsync(id) is not { } plan) return NotFound();
        if ((Message = await plans.SwapAsync(plan, item ?? "")) is null) return Redirect(Addresses.Plan(id));
        await LoadAsync(plan);
        return Page();
    }

    /// <summary>Throws the plan away.</summary>
    public async Task<IActionResult> OnPostThrowAwayAsync(Guid id)
    {
        if (await plans.FindAsync(id) is not { } plan) return NotFound();
        TempData["Thrown"] = (await removals.ThrowAsync(plan)).ToString();
        return Redirect(Addresses.Student(plan.Student!.Code));
    }

    /// <summary>A task, an answer or a line, built up where it is one; words in front of it stay words.</summary>
    public static IHtmlContent Math(string text)
    {
        var word = text.IndexOf(' ') is > 0 and var space && text[..space].Length > 1 && text[..space].All(char.IsAsciiLetter) ? text[..(space + 1)] : "";
        var line = WrittenLine.Read(text[word.Length..]);
        return new HtmlString(HtmlEncoder.Default.Encode(word) + (line.Root is null ? HtmlEncoder.Default.Encode(text[word.Length..]) : MathMarkup.Of(line)));
    }

    /// <summary>Items to be worked, with room for their marks, in one line.</summary>
    public static IReadOnlyList<PagePicture> Blanks(RemediationPlan plan, IReadOnlyList<PlanItem> items) => [.. items.Select(i => PagePicture.WithRoom(i.Task, School.Parse(plan.School)))];

    /// <summary>Items as they stand when they are done.</summary>
    public static IReadOnlyList<PagePicture> Worked(RemediationPlan plan, IReadOnlyList<PlanItem> items) => [.. items.Select(i => PagePicture.WithStepsOpen(i.Task, 0, School.Parse(plan.School)))];

    /// <summary>The worked example, with every mark; where it stands in lines, with those that its steps write.</summary>
    public static PagePicture Solved(RemediationPlan plan) => plan.ExampleLines.Count > 0
        ? LinesPicture.Worked(plan.Example.Task, plan.ExampleLines, plan.ExampleWork)
        : PagePicture.WithStepsOpen(plan.Example.Task, 0, School.Parse(plan.School));

    private async Task LoadAsync(Data.Plan plan)
    {
        this.Shows("plan", plan.StudentId);
        (Plan, Remediation) = (plan, await plans.ReadAsync(plan));
        Others = await plans.OthersAsync(plan);
        await names.LoadAsync();
    }
}
