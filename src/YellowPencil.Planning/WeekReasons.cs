namespace YellowPencil.Planning;

/// <summary>Says in words why somebody gets fewer sessions than wanted.</summary>
public static class WeekReasons
{
    private const int MostNamed = 4;

    /// <summary>Those who get fewer than they want, most need first.</summary>
    public static IReadOnlyList<LeftOut> Of(WeekProblem problem, IReadOnlyCollection<Place> places) =>
    [
        .. problem.Seekers.Select(s => (Seeker: s, Got: places.Count(p => p.Plan == s.Plan))).Where(s => s.Got < s.Seeker.Wanted)
            .OrderByDescending(s => s.Seeker.Need).ThenBy(s => s.Got).ThenBy(s => s.Seeker.Code, StringComparer.Ordinal)
            .Select(s => new LeftOut(s.Seeker, s.Got, Because(problem, places, s.Seeker, s.Got))),
    ];

    private static string Because(WeekProblem problem, IReadOnlyCollection<Place> places, Seeker seeker, int got)
    {
        if (problem.Slots.Count == 0) return "There are no slots yet.";
        var free = problem.Slots.Where(s => !problem.NotFree.Contains((seeker.Student, s.Id))).ToList();
        if (free.Count == 0) return "Free at none of the slots.";
        var fitting = free.Where(s => s.Minutes >= seeker.Minutes).ToList();
        if (fitting.Count == 0) return $"The free slots ({Names(free)}) are shorter than {seeker.Minutes} minutes.";
        var days = fitting.Select(s => s.Day).Distinct().Count();
        if (days <= got) return $"Free on {(days == 1 ? "one day" : $"{days} days")} only ({Names(fitting)}), and once a day is the most.";
        var own = places.Where(p => problem.Seekers.Any(s => s.Plan == p.Plan && s.Student == seeker.Student)).Select(p => p.Slot).ToHashSet();
        var ownDays = problem.Slots.Where(s => own.Contains(s.Id)).Select(s => s.Day).ToHashSet();
        var others = fitting.Where(s => !ownDays.Contains(s.Day)).ToList();
        var holders = others.Select(s => (Slot: s, By: problem.Seekers.Where(o => places.Contains(new Place(o.Plan, s.Id))).ToList())).ToList();
        var named = holders.Take(MostNamed).Select(h => $"{h.Slot.Name} {Held(problem, seeker, h.By)}");
        var more = holders.Count > MostNamed ? $", and {holders.Count - MostNamed} more" : "";
        return $"The other free slots are taken: {string.Join("; ", named)}{more}.";
    }

    private static string Held(WeekProblem problem, Seeker seeker, List<Seeker> by)
    {
        var codes = string.Join(", ", by.Select(s => s.Code));
        return by.Count == 0 ? "is worth less than what it would undo"
            : by[0].Together == seeker.Together && by.Count >= problem.MostTogether ? $"is full ({codes})"
            : $"has {codes} ({(by.Any(s => s.Need > seeker.Need) ? "more need" : "as much need")}, another idea or school)";
    }

    private static string Names(IEnumerable<WeekSlot> slots) => string.Join(", ", slots.Select(s => s.Name));
}
