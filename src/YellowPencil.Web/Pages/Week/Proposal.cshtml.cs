using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;
using YellowPencil.Planning;
using YellowPencil.Web.Forms;
using YellowPencil.Web.Services;
using YellowPencil.Web.Week;

namespace YellowPencil.Web.Pages.Week;

/// <summary>A proposal of who is taught when: how far the looking is, what it comes to, what it changes, and who is left out.</summary>
public sealed class ProposalModel(PencilContext data, Timetable timetable, CalendarDesk calendar) : PageModel
{
    /// <summary>The proposal.</summary>
    public WeekProposal? Proposal { get; private set; }

    /// <summary>The best so far; null before the first.</summary>
    public ProposedWeek? Best { get; private set; }

    /// <summary>The slots in their order.</summary>
    public IReadOnlyList<Slot> Slots { get; private set; } = [];

    /// <summary>What is agreed already.</summary>
    public IReadOnlySet<Place> Agreed { get; private set; } = new HashSet<Place>();

    /// <summary>The codes of students by their plans.</summary>
    public IReadOnlyDictionary<Guid, string> Codes { get; private set; } = new Dictionary<Guid, string>();

    /// <summary>Whether it is still looked for.</summary>
    public bool IsOpen => Proposal!.State == ProposalState.Looking;

    /// <summary>What is agreed and would end, as plan and slot.</summary>
    public IEnumerable<Place> Ending => Best is null ? [] : Agreed.Except(Best.Places);

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGetAsync(Guid id)
    {
        if (await FindAsync(id) is not { } proposal) return NotFound();
        (Proposal, Best) = (proposal, ProposedWeek.Parse(proposal.Content));
        Slots = await calendar.SlotsAsync();
        var seats = await data.Seats.Include(s => s.Plan!.Student).Where(s => s.Until == null && s.Plan != null).ToListAsync();
        Agreed = seats.Select(s => new Place(s.PlanId, s.SlotId)).ToHashSet();
        var plans = (Best?.Places ?? []).Select(p => p.Plan).Concat(seats.Select(s => s.PlanId)).ToHashSet();
        var students = await data.Plans.Where(p => plans.Contains(p.Id)).Select(p => new { p.Id, p.StudentId, p.Student!.Code }).ToListAsync();
        Codes = students.ToDictionary(s => s.Id, s => s.Code);
        this.Shows("week", students.Select(s => s.StudentId));
        return Page();
    }

    /// <summary>Has enough with what is found so far.</summary>
    public async Task<IActionResult> OnPostEnoughAsync(Guid id)
    {
        if (await FindAsync(id) is not { } proposal) return NotFound();
        proposal.IsEnough = true;
        await data.SaveChangesAsync();
        return Redirect(WeekAddresses.Proposal(id));
    }

    /// <summary>Takes it: from today on it holds.</summary>
    public async Task<IActionResult> OnPostTakeAsync(Guid id)
    {
        if (await FindAsync(id) is not { State: ProposalState.Found } proposal || ProposedWeek.Parse(proposal.Content) is not { } best) return Redirect(WeekAddresses.Proposal(id));
        await timetable.TakeAsync(best.Places);
        proposal.State = ProposalState.Taken;
        await data.SaveChangesAsync();
        return Redirect(WeekAddresses.Week());
    }

    /// <summary>Puts it aside: everything stays as it is.</summary>
    public async Task<IActionResult> OnPostPutAsideAsync(Guid id)
    {
        if (await FindAsync(id) is not { } proposal) return NotFound();
        (proposal.State, proposal.IsEnough) = (ProposalState.PutAside, true);
        await data.SaveChangesAsync();
        return Redirect(WeekAddresses.Week());
    }

    private Task<WeekProposal?> FindAsync(Guid id) => data.WeekProposals.FirstOrDefaultAsync(p => p.Id == id);
}
