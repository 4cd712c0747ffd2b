using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Planning;

namespace YellowPencil.Web.Tests;

/// <summary>Who is taught when: against every possible answer where there are few, and by hand.</summary>
public sealed class WeekPlannerTests
{
    private static readonly TimeSpan Long = TimeSpan.FromSeconds(60);

    private static readonly IReadOnlyList<WeekSlot> Slots =
    [
        Slot(1, DayOfWeek.Monday, 9, 20), Slot(2, DayOfWeek.Monday, 11, 15), Slot(3, DayOfWeek.Wednesday, 9, 20), Slot(4, DayOfWeek.Friday, 9, 30),
    ];

    private static WeekSlot Slot(int number, DayOfWeek day, int hour, int minutes) => new(Id(number), day, new TimeOnly(hour, 0), minutes);

    private static Guid Id(int number) => new(number, 0, 0, [0, 0, 0, 0, 0, 0, 0, 0]);

    private static Seeker Seeker(int number, string together, int need, int wanted, int minutes = 20, int? student = null) => new(Id(100 + number), Id(200 + (student ?? number)), $"S-{number}", together, need, wanted, minutes);

    private static WeekProblem Problem(IReadOnlyList<Seeker> seekers, int together = 3, IEnumerable<(int Student, int Slot)>? not = null, IEnumerable<(int Plan, int Slot)>? agreed = null) => new(
        Slots, seekers, together, (not ?? []).Select(n => (Id(200 + n.Student), Id(n.Slot))).ToHashSet(), (agreed ?? []).Select(a => new Place(Id(100 + a.Plan), Id(a.Slot))).ToHashSet());

    private static string Written(WeekProblem problem, IEnumerable<Place> places) => string.Join("; ", problem.Slots.Select(s =>
        $"{s.Name}: {string.Join(" ", problem.Seekers.Where(k => places.Contains(new Place(k.Plan, s.Id))).Select(k => k.Code))}".TrimEnd()).Where(t => !t.EndsWith(':')));

    [Fact]
    public void The_answer_is_worth_as_much_as_the_best_of_all_possible_ones()
    {
        var one = Gen.Select(Gen.Int[0, 1], Gen.Int[1, 4], Gen.Int[0, 3], Gen.OneOfConst(10, 20, 30), (idea, need, wanted, minutes) => (Idea: idea == 0 ? "carry" : "zeros", need, wanted, minutes));
        var problems = Gen.Select(one.Array[1, 3], Gen.Int[1, 3], Gen.Bool.Array[12], Gen.Bool.Array[12], (seekers, together, free, agreed) => Problem(
            [.. seekers.Select((s, i) => Seeker(i, s.Idea, s.need, s.wanted, s.minutes))], together,
            from student in Enumerable.Range(0, 3) from slot in Enumerable.Range(1, 4) where !free[4 * student + slot - 1] && slot % 2 == student % 2 select (student, slot),
            from plan in Enumerable.Range(0, seekers.Length) from slot in Enumerable.Range(1, 4) where agreed[4 * plan + slot - 1] && slot != 2 select (plan, slot)));
        problems.Sample(
            problem =>
            {
                var answer = WeekPlanner.Solve(problem, Long);
                problem.WorthOf(answer.Places).ShouldBe(answer.Worth);
                answer.Worth.ShouldBe(BestOfAll(problem));
                answer.IsBest.ShouldBeTrue();
            },
            iter: 200, threads: 1);
    }

    private static long BestOfAll(WeekProblem problem)
    {
        var places = problem.Seekers.SelectMany(s => problem.Slots.Select(slot => new Place(s.Plan, slot.Id))).ToList();
        var best = long.MinValue;
        for (var chosen = 0; chosen < 1 << places.Count; chosen++)
            if (problem.WorthOf([.. places.Where((_, i) => (chosen & (1 << i)) != 0)]) is { } worth) best = Math.Max(best, worth);
        return best;
    }

    [Fact]
    public void Who_misses_the_same_idea_sits_together_and_who_does_not_sits_apart()
    {
        var problem = Problem([Seeker(1, "signs|same", 2, 3), Seeker(2, "signs|same", 2, 3), Seeker(3, "signs|different", 2, 3)]);
        var places = WeekPlanner.Solve(problem, Long).Places;
        places.GroupBy(p => p.Slot).ShouldAllBe(g => g.All(p => p.Plan == Id(103)) || g.All(p => p.Plan != Id(103)));
        Written(problem, places).Split("; ").ShouldContain(t => t.EndsWith("S-1 S-2", StringComparison.Ordinal));
    }

    [Fact]
    public void Most_need_comes_first_and_it_is_said_why_somebody_is_left_out()
    {
        var problem = Problem([Seeker(1, "carry", 4, 1), Seeker(2, "zeros", 1, 1), Seeker(3, "point", 2, 2, minutes: 30)], not: [(1, 3), (1, 4), (2, 3), (2, 4), (3, 4)]);
        var places = WeekPlanner.Solve(problem, Long).Places;
        Written(problem, places).ShouldBe("Mon 9:00: S-1");
        var left = WeekReasons.Of(problem, places);
        left.Select(l => $"{l.Seeker.Code} {l.Got} of {l.Seeker.Wanted}: {l.Because}").ShouldBe(
        [
            "S-3 0 of 2: The free slots (Mon 9:00, Mon 11:00, Wed 9:00) are shorter than 30 minutes.",
            "S-2 0 of 1: The other free slots are taken: Mon 9:00 has S-1 (more need, another idea or school).",
        ]);
    }

    [Fact]
    public void A_full_group_a_day_too_few_and_no_free_slot_are_said()
    {
        var problem = Problem([Seeker(1, "carry", 3, 1), Seeker(2, "carry", 3, 1), Seeker(3, "carry", 1, 1), Seeker(4, "zeros", 2, 2), Seeker(5, "zeros", 2, 1)], 2,
            [(1, 3), (1, 4), (2, 3), (2, 4), (3, 3), (3, 4), (4, 1), (4, 2), (4, 3), (5, 1), (5, 2), (5, 3), (5, 4)]);
        var places = WeekPlanner.Solve(problem, Long).Places;
        WeekReasons.Of(problem, places).Select(l => $"{l.Seeker.Code}: {l.Because}").ShouldBe(
        [
            "S-5: Free at none of the slots.",
            "S-4: Free on one day only (Fri 9:00), and once a day is the most.",
            "S-3: The other free slots are taken: Mon 9:00 is full (S-1, S-2).",
        ]);
    }

    [Fact]
    public void What_is_agreed_stays_where_nobody_gains_by_a_change()
    {
        var seekers = new[] { Seeker(1, "carry", 2, 1), Seeker(2, "zeros", 2, 1) };
        Written(Problem(seekers), WeekPlanner.Solve(Problem(seekers, agreed: [(1, 4), (2, 3)]), Long).Places).ShouldBe("Wed 9:00: S-2; Fri 9:00: S-1");
        Written(Problem(seekers), WeekPlanner.Solve(Problem(seekers, agreed: [(1, 3), (2, 1)]), Long).Places).ShouldBe("Mon 9:00: S-2; Wed 9:00: S-1");
    }

    [Fact]
    public void A_student_with_two_plans_is_at_one_place_at_a_time_and_once_a_day()
    {
        var problem = Problem([Seeker(1, "carry", 4, 3, student: 1), Seeker(2, "zeros", 4, 3, student: 1)], 3);
        var places = WeekPlanner.Solve(problem, Long).Places;
        places.Count.ShouldBe(3); // Monday, Wednesday, Friday
        places.Select(p => problem.Slots.First(s => s.Id == p.Slot).Day).ShouldBeUnique();
    }

    [Fact]
    public void Sixty_students_and_25_slots_have_an_answer_and_everybody_who_gets_less_a_reason()
    {
        var slots = Enumerable.Range(0, 25).Select(i => new WeekSlot(Id(i), (DayOfWeek)(1 + i / 5), new TimeOnly(8 + i % 5, 10), 20)).ToList();
        var seekers = Enumerable.Range(0, 60).Select(i => Seeker(i, $"idea {i * 7 % 19}", 1 + i % 4, 1 + i * 5 % 4)).ToList();
        var not = seekers.SelectMany((s, i) => slots.Where((_, j) => (i * 31 + j * 17) % 5 < 2).Select(slot => (s.Student, slot.Id))).ToHashSet();
        var problem = new WeekProblem(slots, seekers, 3, not, new HashSet<Place>());
        var better = new List<long>();
        var answer = WeekPlanner.Solve(problem, TimeSpan.FromSeconds(10), b => better.Add(b.Worth), () => better.Count >= 3);
        problem.WorthOf(answer.Places).ShouldBe(answer.Worth);
        better.ShouldBe(better.Order());
        answer.Places.Count.ShouldBeGreaterThan(0);
        var left = WeekReasons.Of(problem, answer.Places);
        left.Select(l => l.Seeker.Code).Order().ShouldBe(seekers.Where(s => answer.Places.Count(p => p.Plan == s.Plan) < s.Wanted).Select(s => s.Code).Order());
        left.ShouldAllBe(l => l.Because.EndsWith('.') && l.Because.Length < 400);
    }

    [Fact]
    public void Without_slots_or_students_the_answer_is_nobody()
    {
        WeekPlanner.Solve(Problem([]), Long).Places.ShouldBeEmpty();
        var none = new WeekProblem([], [Seeker(1, "carry", 2, 2)], 3, new HashSet<(Guid, Guid)>(), new HashSet<Place>());
        WeekPlanner.Solve(none, Long).Places.ShouldBeEmpty();
        WeekReasons.Of(none, []).Single().Because.ShouldBe("There are no slots yet.");
    }
}
