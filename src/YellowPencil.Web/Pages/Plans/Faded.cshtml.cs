using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;
using YellowPencil.Web.Accounts;
using YellowPencil.Web.Drawing;
using YellowPencil.Web.Pages.Sheets;
using YellowPencil.Web.Printing;
using YellowPencil.Web.Services;

namespace YellowPencil.Web.Pages.Plans;

/// <summary>Faded examples of a plan: the worked one, then others with ever more of the last steps left open.</summary>
public sealed class FadedModel(PlanDesk plans, CurrentSpecialist who, PdfFiles pdf) : PlanPaper(plans, who, pdf)
{
    /// <summary>So many more steps are left open from item to item; the last item is open from the start.</summary>
    private const int StepsMore = 2;

    /// <inheritdoc/>
    protected override string FileName => "faded-examples";

    /// <inheritdoc/>
    protected override PaperView View(RemediationPlan plan, School school, PaperWish wish)
    {
        List<PlanItem> items = [plan.Example, .. plan.Together, .. plan.Alone];
        var faded = items.Select((item, at) => new PaperItem(Name(at + 1, item), PagePicture.WithStepsOpen(item.Task, at == items.Count - 1 ? int.MaxValue : StepsMore * at, school)));
        return new PaperView(wish, $"{plan.Student}, faded examples", [plan.Student], [new PaperPart("", [.. faded])], Key(items), plan.Script.Aim, "Not for the student.");
    }
}
