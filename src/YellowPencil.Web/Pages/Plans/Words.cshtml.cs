using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Teaching;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Plans;

/// <summary>Saying the sentences of a plan in other words, and leaving out steps of its example.</summary>
public sealed class WordsModel(PlanDesk plans) : PageModel
{
    /// <summary>The plan as kept.</summary>
    public Data.Plan? Plan { get; private set; }

    /// <summary>The sentences, as kept or as they were typed.</summary>
    public IReadOnlyList<PlanSentence> Sentences { get; private set; } = [];

    /// <summary>What is wrong with what was typed.</summary>
    public IReadOnlyList<string> Faults { get; private set; } = [];

    /// <summary>Shows the sentences.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id) => await LoadAsync(id) ? Page() : Plan is null ? NotFound() : Redirect(Addresses.Plan(id));

    /// <summary>Keeps them.</summary>
    public async Task<IActionResult> OnPostAsync(Guid id, Dictionary<string, string?> sentence)
    {
        if (!await LoadAsync(id)) return Plan is null ? NotFound() : Redirect(Addresses.Plan(id));
        Faults = await plans.RewordAsync(Plan!, sentence.ToDictionary(s => s.Key, s => s.Value ?? ""));
        if (Faults.Count == 0) return Redirect(Addresses.Plan(id));
        Sentences = [.. Sentences.Select(s => s with { Text = sentence.GetValueOrDefault(s.Key) ?? "" })];
        return Page();
    }

    private async Task<bool> LoadAsync(Guid id)
    {
        if ((Plan = await plans.FindAsync(id)) is null || await plans.ReadAsync(Plan) is not { } made) return false;
        this.Shows("plan", Plan.StudentId);
        Sentences = PlanSentences.Of(made);
        return true;
    }
}
