using Google.OrTools.Sat;

namespace YellowPencil.Planning;

/// <summary>Finds who is to be taught when, with the CP-SAT solver of OR-Tools: the best answer, or the best that is found in the time.</summary>
public static class WeekPlanner
{
    /// <summary>So long is looked for the best answer.</summary>
    public static TimeSpan Time { get; } = TimeSpan.FromSeconds(10);

    private static readonly TimeSpan Glance = TimeSpan.FromMilliseconds(200);

    /// <summary>Finds an answer.</summary>
    /// <param name="problem">The problem.</param>
    /// <param name="time">How long to look at most.</param>
    /// <param name="better">Is told of each better answer that is found.</param>
    /// <param name="isEnough">Is asked now and then whether to stop with what is found; null never stops before the time.</param>
    /// <returns>The answer; without a place where there is none for anybody.</returns>
    public static WeekAnswer Solve(WeekProblem problem, TimeSpan time, Action<WeekAnswer>? better = null, Func<bool>? isEnough = null)
    {
        var model = new Model(problem);
        using var solver = new CpSolver { StringParameters = FormattableString.Invariant($"max_time_in_seconds:{time.TotalSeconds}, num_workers:2, random_seed:1") };
        using var found = new Found(model, better);
        using var ended = new CancellationTokenSource();
        var watching = isEnough is null ? Task.CompletedTask : Task.Run(async () =>
        {
            while (!ended.IsCancellationRequested)
            {
                if (isEnough()) solver.StopSearch();
                await Task.Delay(Glance, CancellationToken.None).ConfigureAwait(false);
            }
        });
        var status = solver.Solve(model.Cp, found);
        ended.Cancel();
        watching.GetAwaiter().GetResult();
        return status is CpSolverStatus.Optimal or CpSolverStatus.Feasible
            ? new WeekAnswer(model.Places(solver.Value), Whole(solver.ObjectiveValue), Whole(solver.BestObjectiveBound))
            : new WeekAnswer([], problem.WorthOf([]) ?? 0, long.MaxValue);
    }

    // The solver counts in whole numbers and tells them as floating ones.
    private static long Whole(double value) => (long)Math.Round(value);

    private sealed class Found(Model model, Action<WeekAnswer>? better) : CpSolverSolutionCallback
    {
        public override void OnSolutionCallback() => better?.Invoke(new WeekAnswer(model.Places(v => Value(v)), Whole(ObjectiveValue()), Whole(BestObjectiveBound())));
    }

    /// <summary>The problem as the solver takes it.</summary>
    private sealed class Model
    {
        private readonly Dictionary<Place, BoolVar> taken = [];

        public Model(WeekProblem problem)
        {
            var worth = LinearExpr.NewBuilder();
            foreach (var seeker in problem.Seekers)
                foreach (var slot in problem.Slots.Where(s => problem.Fits(seeker, s)))
                    taken[new Place(seeker.Plan, slot.Id)] = Cp.NewBoolVar("");
            foreach (var slot in problem.Slots) AddSlot(problem, slot, worth);
            foreach (var seeker in problem.Seekers) AddSeeker(problem, seeker, worth);
            foreach (var student in problem.Seekers.GroupBy(s => s.Student))
                foreach (var day in problem.Slots.GroupBy(s => s.Day))
                    Cp.AddAtMostOne(student.SelectMany(s => day.Select(slot => taken.GetValueOrDefault(new Place(s.Plan, slot.Id)))).OfType<BoolVar>());
            foreach (var agreed in problem.Agreed.Where(problem.Possible))
            {
                worth.AddTerm(taken[agreed], WeekProblem.CostOfGivingUp);
                worth.Add(-WeekProblem.CostOfGivingUp);
                Cp.AddHint(taken[agreed], 1);
            }

            Cp.Maximize(worth);
        }

        public CpModel Cp { get; } = new();

        public IReadOnlyList<Place> Places(Func<BoolVar, long> value) => [.. taken.Where(t => value(t.Value) == 1).Select(t => t.Key)];

        // Those in a slot may all sit together, and are not too many.
        private void AddSlot(WeekProblem problem, WeekSlot slot, LinearExprBuilder worth)
        {
            List<BoolVar> groups = [];
            foreach (var together in problem.Seekers.GroupBy(s => s.Together))
            {
                var seats = together.Select(s => taken.GetValueOrDefault(new Place(s.Plan, slot.Id))).OfType<BoolVar>().ToList();
                if (seats.Count == 0) continue;
                var isTheirs = Cp.NewBoolVar("");
                foreach (var seat in seats) Cp.AddImplication(seat, isTheirs);
                Cp.AddBoolOr([.. seats, isTheirs.Not()]);
                Cp.Add(LinearExpr.Sum(seats) <= problem.MostTogether);
                worth.AddTerm(isTheirs, -1);
                groups.Add(isTheirs);
            }

            Cp.AddAtMostOne(groups);
        }

        // As many as are wanted at most, each worth less than the one before.
        private void AddSeeker(WeekProblem problem, Seeker seeker, LinearExprBuilder worth)
        {
            var seats = problem.Slots.Select(s => taken.GetValueOrDefault(new Place(seeker.Plan, s.Id))).OfType<BoolVar>().ToList();
            var counted = Enumerable.Range(0, Math.Min(seeker.Wanted, seats.Count)).Select(number => (Worth: WeekProblem.WorthOf(seeker, number), Var: Cp.NewBoolVar(""))).ToList();
            if (seats.Count == 0) return;
            Cp.Add(LinearExpr.Sum(seats) == (counted.Count == 0 ? LinearExpr.Constant(0) : LinearExpr.Sum(counted.Select(c => c.Var))));
            foreach (var (before, after) in counted.Zip(counted.Skip(1))) Cp.AddImplication(after.Var, before.Var);
            foreach (var (session, value) in counted.Select(c => (c.Var, c.Worth))) worth.AddTerm(session, value);
        }
    }
}
