using System.Text.Json;
using Hangfire;
using Microsoft.EntityFrameworkCore;
using YellowPencil.Data;
using YellowPencil.Planning;
using YellowPencil.Web.Accounts;

namespace YellowPencil.Web.Week;

/// <summary>A proposal as it is kept: who is taught when, what is changed by it, and who is left out.</summary>
/// <param name="Places">Who is taught when.</param>
/// <param name="LeftOut">Who gets fewer sessions than wanted, with the reason.</param>
/// <param name="IsBest">Whether there is none better.</param>
/// <param name="Codes">The codes of the students, by their plans.</param>
public sealed record ProposedWeek(IReadOnlyList<Place> Places, IReadOnlyList<ProposedLess> LeftOut, bool IsBest, IReadOnlyDictionary<Guid, string> Codes)
{
    /// <summary>Reads one.</summary>
    public static ProposedWeek? Parse(string content) => content.Length == 0 ? null : JsonSerializer.Deserialize<ProposedWeek>(content);
}

/// <summary>A student who gets fewer sessions than wanted.</summary>
public sealed record ProposedLess(string Code, int Got, int Wanted, string Because);

/// <summary>Looks for a week in the background, keeping the best so far, until there is none better, the time is over, or the specialist has enough.</summary>
public sealed class WeekProposer(PencilContext data, Timetable timetable, CurrentSpecialist who, IServiceScopeFactory scopes, TimeProvider clock)
{
    private const int MostLooks = 50;
    private static readonly TimeSpan BetweenLooks = TimeSpan.FromMilliseconds(200);

    /// <summary>Asks for a proposal; one that is still looked for is the one.</summary>
    public static async Task<WeekProposal> AskAsync(PencilContext data, IBackgroundJobClient jobs, CurrentSpecialist who, DateTimeOffset now)
    {
        var lost = now - 10 * WeekPlanner.Time; // begun by an instance that is gone
        if (await data.WeekProposals.FirstOrDefaultAsync(p => p.State == ProposalState.Looking && p.At > lost) is { } open) return open;
        var proposal = new WeekProposal { Id = Guid.CreateVersion7(now), At = now };
        data.WeekProposals.Add(proposal);
        await data.SaveChangesAsync();
        Enqueue(jobs, proposal.Id, who.Id!.Value);
        return proposal;
    }

    private static void Enqueue(IBackgroundJobClient jobs, Guid proposal, Guid owner) => jobs.Enqueue<WeekProposer>(p => p.LookAsync(proposal, owner, CancellationToken.None));

    /// <summary>Looks for one.</summary>
    /// <param name="id">Under which key it is kept.</param>
    /// <param name="owner">Whose week it is.</param>
    /// <param name="cancellation">Ends the looking; the queue hands in its own.</param>
    [AutomaticRetry(Attempts = 2)]
    public async Task LookAsync(Guid id, Guid owner, CancellationToken cancellation)
    {
        if (await data.Users.AsNoTracking().FirstOrDefaultAsync(u => u.Id == owner, cancellation) is not { } account) return;
        who.Serve(account);
        if (await FindAsync(id, cancellation) is not { State: ProposalState.Looking } proposal) return;
        proposal.BeganAt = clock.GetUtcNow();
        await data.SaveChangesAsync(cancellation);
        var problem = await timetable.ProblemAsync();
        var found = 0;
        var answer = WeekPlanner.Solve(problem, WeekPlanner.Time, better => Keep(id, owner, Written(problem, better), ++found), () => cancellation.IsCancellationRequested || IsEnough(id, owner));
        await data.WeekProposals.Where(p => p.Id == id && p.State == ProposalState.Looking).ExecuteUpdateAsync(
            set => set.SetProperty(p => p.State, ProposalState.Found).SetProperty(p => p.Content, Written(problem, answer)).SetProperty(p => p.EndedAt, clock.GetUtcNow()), CancellationToken.None);
    }

    // The job can be taken up before the request that asked for it has ended its transaction.
    private async Task<WeekProposal?> FindAsync(Guid id, CancellationToken cancellation)
    {
        for (var look = 0; look < MostLooks; look++)
        {
            if (await data.WeekProposals.FirstOrDefaultAsync(p => p.Id == id, cancellation) is { } proposal) return proposal;
            await Task.Delay(BetweenLooks, cancellation);
        }

        return null;
    }

    private static string Written(WeekProblem problem, WeekAnswer answer) => JsonSerializer.Serialize(new ProposedWeek(
        answer.Places, [.. WeekReasons.Of(problem, answer.Places).Select(l => new ProposedLess(l.Seeker.Code, l.Got, l.Seeker.Wanted, l.Because))], answer.IsBest,
        problem.Seekers.ToDictionary(s => s.Plan, s => s.Code)));

    // The solver calls from threads of its own.
    private void Keep(Guid id, Guid owner, string content, int found) =>
        Beside(owner, other => other.WeekProposals.Where(p => p.Id == id).ExecuteUpdate(set => set.SetProperty(p => p.Content, content).SetProperty(p => p.Found, found)));

    private bool IsEnough(Guid id, Guid owner) => Beside(owner, other => other.WeekProposals.Where(p => p.Id == id).Select(p => p.IsEnough).FirstOrDefault());

    private T Beside<T>(Guid owner, Func<PencilContext, T> does)
    {
        using var scope = scopes.CreateScope();
        scope.ServiceProvider.GetRequiredService<CurrentSpecialist>().Serve(new Specialist { Id = owner });
        return does(scope.ServiceProvider.GetRequiredService<PencilContext>());
    }
}
