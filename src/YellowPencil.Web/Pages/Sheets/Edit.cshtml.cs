using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;
using YellowPencil.Data;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Sheets;

/// <summary>One item as it is offered for change.</summary>
public sealed record EditLine(string Id, string Task, string Answer);

/// <summary>Changing a page after it was begun: items, name, date; or throwing it away.</summary>
public sealed class EditModel(PageDesk pages, Removals removals) : PageModel
{
    /// <summary>The page.</summary>
    public StudentPage? StudentPage { get; private set; }

    /// <summary>Its items.</summary>
    public IReadOnlyList<EditLine> Lines { get; private set; } = [];

    /// <summary>Items to be added, as typed.</summary>
    [BindProperty]
    public string? More { get; set; }

    /// <summary>The name of the page.</summary>
    [BindProperty(Name = "title")]
    public string? PageTitle { get; set; }

    /// <summary>When it was written.</summary>
    [BindProperty]
    public DateOnly? WrittenOn { get; set; }

    /// <summary>What is wrong.</summary>
    public IReadOnlyList<string> Faults { get; private set; } = [];

    /// <summary>Shows the form.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id)
    {
        StudentPage = await pages.FindAsync(id);
        if (StudentPage is null) return NotFound();
        this.Shows("page", StudentPage.StudentId);
        (PageTitle, WrittenOn) = (StudentPage.Title, StudentPage.WrittenOn);
        Lines = [.. PageDesk.StoredSheet(StudentPage).Items.Select(i => Line(i, ItemList.Written(i.TaskAsWritten, i.Asked)))];
        return Page();
    }

    /// <summary>Saves the changes; all of them or none.</summary>
    public async Task<IActionResult> OnPostAsync(Guid id)
    {
        StudentPage = await pages.HoldAsync(id);
        if (StudentPage is null) return NotFound();
        this.Shows("page", StudentPage.StudentId);
        var items = PageDesk.StoredSheet(StudentPage).Items;
        // An item that the form did not know, as one that was asked meanwhile, stays as it is; one that was emptied goes.
        Lines = [.. items.Select(i => Line(i, Request.Form.TryGetValue($"task.{i.Id}", out var task) ? task.ToString().Trim() : ItemList.Written(i.TaskAsWritten, i.Asked)))];
        var faults = new List<string>();
        var kept = new Dictionary<string, ItemTask>();
        foreach (var line in Lines.Where(l => l.Task.Length > 0))
        {
            if (ItemList.TryParseTask(line.Task, BeginModel.Families, out var fault) is { } task) kept[line.Id] = task;
            else faults.Add($"Item {line.Id}, “{line.Task}”: {fault}");
        }

        IReadOnlyList<WorkedItem> added = [];
        if (!string.IsNullOrWhiteSpace(More))
        {
            added = ItemList.TryParse(More, BeginModel.Families, out var inMore);
            faults.AddRange(inMore);
        }

        if (kept.Count + added.Count == 0) faults.Add("A page has at least one item; it can be thrown away below.");
        if (kept.Count + added.Count > ItemList.MaxOnOnePage) faults.Add($"A page holds at most {ItemList.MaxOnOnePage} items.");
        if (PageTitle is { Length: > 200 }) faults.Add("The name of the page has more than 200 characters.");
        if (!ModelState.IsValid) faults.Add("The date cannot be read.");
        Faults = faults;
        if (faults.Count > 0) return Page();
        try
        {
            await pages.EditAsync(StudentPage, PageTitle?.Trim() ?? "", WrittenOn, kept, added);
            return Redirect(Addresses.Page(id));
        }
        catch (UnreadablePageException e)
        {
            Faults = [$"The page could not be read any more: {e.Fault}"];
            return Page();
        }
    }

    /// <summary>Throws the page away.</summary>
    public async Task<IActionResult> OnPostThrowAwayAsync(Guid id)
    {
        StudentPage = await pages.HoldAsync(id);
        if (StudentPage is null) return NotFound();
        TempData["Thrown"] = (await removals.ThrowAsync(StudentPage)).ToString();
        return Redirect(Addresses.Student(StudentPage.Student!.Code));
    }

    private static EditLine Line(WorkedItem item, string task) => new(item.Id, task, item.Answer switch { null => "no answer yet", "?" => "cannot be read", var answer => $"= {answer}" });
}
