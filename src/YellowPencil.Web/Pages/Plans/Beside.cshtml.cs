using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using YellowPencil.Core.Teaching;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Plans;

/// <summary>A part of two plans, side by side.</summary>
/// <param name="Name">What the part is.</param>
/// <param name="One">What the one plan says.</param>
/// <param name="Other">What the other says.</param>
public sealed record PartOfTwo(string Name, string One, string Other)
{
    /// <summary>Whether both say the same.</summary>
    public bool IsSame => One == Other;
}

/// <summary>Two plans side by side, to choose between them or to see what came of a change.</summary>
public sealed class BesideModel(PlanDesk plans) : PageModel
{
    /// <summary>The one plan.</summary>
    public Data.Plan? One { get; private set; }

    /// <summary>The other plan.</summary>
    public Data.Plan? Other { get; private set; }

    /// <summary>Their parts.</summary>
    public IReadOnlyList<PartOfTwo> Parts { get; private set; } = [];

    /// <summary>Shows both.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id, Guid other)
    {
        (One, Other) = (await plans.FindAsync(id), await plans.FindAsync(other));
        if (One is null || Other is null) return NotFound();
        if (await plans.ReadAsync(One) is not { } one) return Redirect(Addresses.Plan(id));
        if (await plans.ReadAsync(Other) is not { } second) return Redirect(Addresses.Plan(other));
        this.Shows("plan", One.StudentId, Other.StudentId);
        Parts = [.. Lines(one).Zip(Lines(second), (a, b) => new PartOfTwo(a.Name, a.Text, b.Text))];
        return Page();
    }

    private static IEnumerable<(string Name, string Text)> Lines(RemediationPlan plan) =>
    [
        ("Idea", plan.Idea.Name),
        ("Aim", plan.Script.Aim),
        ("The old rule", plan.OldRule),
        ("What is missing", plan.Idea.Statement),
        ("Why first", plan.WhyFirst),
        ("What must come first", plan.Script.First),
        ("Contrast", $"{(plan.Works is { } works ? $"{works.Written} = {works.RightWritten}; " : "")}{plan.Fails.Written} = {plan.Fails.RightWritten}, not {plan.Fails.OldWritten}"),
        ("What decides", plan.Differs),
        ("Worked example", $"{plan.Example.Written} = {plan.Example.RightWritten}"),
        ("Its steps", string.Join(' ', plan.ExampleSteps)),
        ("Why it works", plan.Script.Why),
        ("With", plan.Script.Material),
        ("Say", plan.Script.Say),
        ("Together", Written(plan.Together)),
        ("Alone", Written(plan.Alone)),
        ("Before each answer", plan.Script.StopAt),
        ("Check", plan.Check),
        ("Exit question", plan.Exit.Written),
        ("Practice, first day", Written(plan.PracticeFirst)),
        ("Practice, another day", Written(plan.PracticeMixed)),
    ];

    private static string Written(IEnumerable<PlanItem> items) => string.Join("; ", items.Select(i => i.Written));
}
