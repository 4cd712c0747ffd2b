using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Teaching;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Pages.Sheets;
using YellowPencil.Web.Printing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Plans;

/// <summary>The practice items of a plan on squared paper, for the student, or their key on a page of its own.</summary>
public sealed class PracticeModel(PlanDesk plans, CurrentSpecialist who, PdfFiles pdf) : PlanPaper(plans, who, pdf)
{
    /// <inheritdoc/>
    protected override string FileName => "practice";

    /// <inheritdoc/>
    protected override PaperView View(RemediationPlan plan, School school, PaperWish wish) => ViewOf(plan, school, wish);

    /// <summary>The practice of a plan on paper.</summary>
    internal static PaperView ViewOf(RemediationPlan plan, School school, PaperWish wish) => new(
        wish, $"{plan.Student}, practice", [plan.Student],
        [Part("First day", plan.PracticeFirst, 1, school), Part("Another day", plan.PracticeMixed, plan.PracticeFirst.Count + 1, school)],
        Key(plan.PracticeFirst.Concat(plan.PracticeMixed)), plan.Script.Aim, "Not for the student. An answer in the last column is the old rule come back.");

    private static PaperPart Part(string title, IReadOnlyList<PlanItem> items, int from, School school) =>
        new(title, [.. items.Select((item, i) => new PaperItem(Name(from + i, item), PagePicture.WithRoom(item.Task, school)))]);
}
