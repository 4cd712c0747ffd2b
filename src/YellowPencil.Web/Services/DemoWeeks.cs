using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;
using YellowPencil.Data;

namespace YellowPencil.Web.Services;

/// <summary>A made-up student who has been taught for some weeks.</summary>
/// <param name="Code">The code.</param>
/// <param name="CallName">What the student is called.</param>
/// <param name="Title">The name of the page on which the rule was found.</param>
/// <param name="Rule">The rule.</param>
/// <param name="WeeksAgo">When the page was written.</param>
/// <param name="Tasks">Its items.</param>
/// <param name="Sessions">In which weeks from then it was taught.</param>
/// <param name="Checks">In which weeks it was checked, and at how much of the chances the rule was followed.</param>
/// <param name="Other">The rule that comes in its place; empty for none.</param>
internal sealed record DemoCourse(
    string Code, string CallName, string Title, string Rule, int WeeksAgo, string[] Tasks, int[] Sessions, (int Week, double Followed)[] Checks, string Other = "");

/// <summary>The weeks after the plan, in the demo: gone, loosening, replaced, stuck, back, just begun.</summary>
internal static class DemoWeeks
{
    private static readonly string[] Differences = ["604 - 278", "523 - 168", "80 - 36", "415 - 203", "703 - 245", "952 - 367", "500 - 123", "867 - 452"];

    private static readonly string[] Sums = ["456 + 378", "27 + 58", "604 + 297", "83 + 14", "745 + 86", "369 + 254", "512 + 203", "70 + 25"];

    private static readonly string[] OtherSums = ["38 + 47", "265 + 178", "54 + 23", "709 + 196", "86 + 37", "447 + 385", "61 + 18", "528 + 94"];

    private static readonly string[] Decimals = ["4.6 * 3.7", "0.8 * 0.4", "2.35 * 6", "7.5 * 2.4", "12.4 * 3", "3.2 * 1.6", "5.1 * 0.3", "0.6 * 9"];

    private static readonly string[] Signed = ["-7 - -12", "4 - -3", "-8 + 5", "-6 - 9", "9 - -2", "-3 + -4", "-10 - -4", "6 - 11"];

    private static readonly string[] Fractions = ["1/2 + 1/3", "3/4 - 1/6", "5/6 - 1/4", "2/3 + 3/4", "1/6 + 3/8", "4/5 - 1/2", "2/5 + 1/5", "7/8 - 3/8"];

    private static readonly DemoCourse[] All =
    [
        new("K-28", "Piran", "Spars cut in March", "subtraction.turns-column-round", 10, Differences, [1, 2, 3], [(2, 1), (3, 0.7), (4, 0), (5, 0), (7, 0)]),
        new("K-29", "Elowen", "Beads on four lines", "addition.carry-dropped", 5, Sums, [1, 2, 3, 4], [(2, 1), (3, 0.4), (4, 0.3)]),
        new("K-30", "Cador", "Tide marks", "integers.minus-minus-stays-minus", 8, Signed, [1, 2, 3, 4], [(2, 0.7), (3, 0.3), (4, 0), (5, 0)], "integers.first-sign-changed-too"),
        new("K-31", "Sidwell", "Cloth by the piece", "decimal-products.places-of-first-only", 6, Decimals, [1, 2, 3, 4, 5], [(2, 1), (3, 1), (4, 0.7), (5, 1)]),
        new("K-32", "Rosen", "Ribbon shared out", "fractions.across", 10, Fractions, [1, 2], [(2, 0.3), (3, 0), (4, 0), (6, 0), (10, 1)]),
        new("K-33", "Talan", "Reels on the shelf", "subtraction.zeros-skipped", 1, Differences, [1], []),
        new("K-34", "Morwen", "Beads in the tray", "addition.carry-dropped", 2, OtherSums, [1], []),
    ];

    // When is taught, and whom; those who stand together are a group.
    private static readonly (DayOfWeek Day, int Hour, int Minute, int Minutes, string[] Codes)[] Slots =
    [
        (DayOfWeek.Monday, 9, 10, 20, ["K-29", "K-34"]), (DayOfWeek.Monday, 10, 30, 20, ["K-31"]), (DayOfWeek.Monday, 13, 0, 15, []),
        (DayOfWeek.Tuesday, 9, 10, 20, ["K-31"]), (DayOfWeek.Tuesday, 10, 30, 20, ["K-33"]), (DayOfWeek.Wednesday, 9, 10, 20, ["K-29", "K-34"]),
        (DayOfWeek.Wednesday, 10, 30, 20, ["K-31"]), (DayOfWeek.Thursday, 9, 10, 20, ["K-32"]), (DayOfWeek.Thursday, 10, 30, 20, ["K-33"]),
        (DayOfWeek.Friday, 9, 10, 20, ["K-29", "K-34"]), (DayOfWeek.Friday, 10, 30, 20, ["K-31"]), (DayOfWeek.Friday, 13, 0, 15, []),
    ];

    /// <summary>Adds their files.</summary>
    public static void Add(PencilContext data, Guid owner, string by, DateTimeOffset now)
    {
        var plans = All.ToDictionary(c => c.Code, c => Add(data, owner, by, now, c));
        AddFactOnly(data, owner, now);
        foreach (var (day, hour, minute, minutes, codes) in Slots)
        {
            var slot = new Slot { Id = Guid.CreateVersion7(now), OwnerId = owner, Day = day, Start = new TimeOnly(hour, minute), Minutes = minutes };
            data.Slots.Add(slot);
            foreach (var code in codes) data.Seats.Add(new Seat { Id = Guid.CreateVersion7(now), OwnerId = owner, PlanId = plans[code].Id, SlotId = slot.Id, From = DateOnly.FromDateTime(now.UtcDateTime) });
        }
    }

    // No rule at all: one number fact, 7 × 8, learnt on its own track for two weeks.
    private static void AddFactOnly(PencilContext data, Guid owner, DateTimeOffset now)
    {
        var begun = now.AddDays(-14);
        static DateOnly Day(DateTimeOffset at) => DateOnly.FromDateTime(at.UtcDateTime);
        var student = new Student { Id = Guid.CreateVersion7(begun), OwnerId = owner, Code = "K-35", CallName = "Colan", Word = ClassroomWord.Regroup, CreatedAt = begun };
        data.Students.Add(student);
        var written = new[] { "47 * 8 = 374", "83 * 7 = 561", "36 * 4 = 144", "58 * 7 = 404", "29 * 3 = 87", "65 * 5 = 325", "87 * 7 = 589", "42 * 6 = 252" };
        var page = PageDesk.New(student, "Line by the reel", Day(begun), ItemList.TryParse(string.Join('\n', written), null, out _), begun);
        data.Pages.Add(page);
        var reading = SheetDiagnosis.Read(PageDesk.Sheet(page));
        data.Readings.Add(ReadingDesk.Keep(page, reading, begun));
        data.Decisions.Add(new Data.Decision { Id = Guid.CreateVersion7(begun), OwnerId = owner, PageId = page.Id, PageVersion = page.Version, Rules = "", Kind = DecisionKind.PutAside, Text = "A fact, no rule.", ByName = "Demo specialist", At = begun });
        var fact = new LearntFact { Id = Guid.CreateVersion7(begun), OwnerId = owner, StudentId = student.Id, Fact = "7 * 8", Written = 54, BegunOn = Day(begun) };
        data.LearntFacts.Add(fact);
        foreach (var (after, right) in new[] { (0, 3), (1, 2), (2, 4), (4, 4) })
            data.FactChecks.Add(new Data.FactCheck { Id = Guid.CreateVersion7(now), OwnerId = owner, LearntFactId = fact.Id, On = Day(begun.AddDays(after)), Right = right, Asked = 4 });
    }

    private static Plan Add(PencilContext data, Guid owner, string by, DateTimeOffset now, DemoCourse course)
    {
        DateTimeOffset At(int week) => now.AddDays(7 * (week - course.WeeksAgo)).AddHours(-2);
        static DateOnly Day(DateTimeOffset at) => DateOnly.FromDateTime(at.UtcDateTime);
        var student = new Student { Id = Guid.CreateVersion7(At(0)), OwnerId = owner, Code = course.Code, CallName = course.CallName, Word = ClassroomWord.Regroup, CreatedAt = At(0) };
        data.Students.Add(student);

        var hypothesis = Hypothesis.Parse(course.Rule)!;
        var tasks = course.Tasks.Select(t => TaskText.TryParse(t).Value!).ToList();
        var page = PageDesk.New(student, course.Title, Day(At(0)), [.. tasks.Select((t, i) => Answered($"{i + 1}", t, Answer(t, hypothesis)))], At(0));
        data.Pages.Add(page);
        var reading = ReadingDesk.Keep(page, SheetDiagnosis.Read(PageDesk.Sheet(page)), At(0));
        data.Readings.Add(reading);
        data.Decisions.Add(new Data.Decision { Id = Guid.CreateVersion7(At(0)), OwnerId = owner, PageId = page.Id, PageVersion = page.Version, Rules = course.Rule, Kind = DecisionKind.Accepted, ByName = by, At = At(0) });

        var size = StudentSize.Of(tasks);
        var made = PlanMaker.Make(course.Code, hypothesis, [], student.Classroom, size, Seed(course));
        var plan = new Plan
        {
            Id = Guid.CreateVersion7(At(0)),
            OwnerId = owner,
            StudentId = student.Id,
            PageId = page.Id,
            PageVersion = page.Version,
            Rules = course.Rule,
            Content = PlanJson.Write(made),
            EngineVersion = EngineVersion.Current,
            Word = student.Word,
            MostDigits = size.Level,
            Seed = Seed(course),
            MadeAt = At(0),
            PrintedAt = At(0),
        };
        data.Plans.Add(plan);
        foreach (var week in course.Sessions) data.Sessions.Add(Session(plan, made, by, Day(At(week)), At(week), IsHard(course, week)));
        AddChecks(data, course, plan, made, hypothesis, size, student, At);
        return plan;
    }

    private static void AddChecks(
        PencilContext data, DemoCourse course, Plan plan, RemediationPlan made, Hypothesis hypothesis, StudentSize size, Student student, Func<int, DateTimeOffset> at)
    {
        var used = new HashSet<string>();
        foreach (var (index, (week, followed)) in course.Checks.Index())
        {
            if (CheckForm.Make(made, hypothesis, [], size, index + 1, plan.Seed, used) is not { } form) continue;
            var chances = form.Items.Count(i => i.Part == CheckPart.Shows);
            var left = (int)Math.Round(followed * chances, MidpointRounding.AwayFromZero);
            var other = course.Other.Length > 0 && followed == 0 ? Hypothesis.Parse(course.Other) : null;
            var items = new List<WorkedItem>();
            foreach (var (number, item) in form.Items.Index())
            {
                var isOld = item.Part == CheckPart.Shows && left-- > 0;
                items.Add(Answered($"{number + 1}", item.Item.Task, isOld ? item.Item.OldAnswers[0] : other is null ? item.Item.Right : Answer(item.Item.Task, other)));
                used.Add(item.Item.Written);
            }

            var page = PageDesk.New(student, $"Check {index + 1}", DateOnly.FromDateTime(at(week).UtcDateTime), items, at(week));
            data.Pages.Add(page);
            data.Checks.Add(new Check { Id = Guid.CreateVersion7(at(week)), OwnerId = plan.OwnerId, PlanId = plan.Id, Number = index + 1, PageId = page.Id, Content = form.Write(), MadeAt = at(week) });
        }
    }

    // As long as the rule is followed at half of the chances or more, it comes back in the session too.
    private static bool IsHard(DemoCourse course, int week) => course.Checks.Where(c => c.Week > week).Select(c => c.Followed).FirstOrDefault() >= 0.5;

    private static Session Session(Plan plan, RemediationPlan made, string by, DateOnly day, DateTimeOffset at, bool isHard)
    {
        var ticks = new Dictionary<string, Ticked>();
        foreach (var item in new SessionCard(made).Items.Where(i => !i.IsSpare || isHard))
            ticks[item.Name] = new Ticked(isHard && item is { Name: "Alone 2" or "Exit", Old.Length: > 0 } ? Tick.OldRule : Tick.Right, item.Part == SessionPart.Together, !isHard && item.Part == SessionPart.Alone);
        return new Session
        {
            Id = Guid.CreateVersion7(at),
            OwnerId = plan.OwnerId,
            PlanId = plan.Id,
            HeldOn = day,
            Ticks = ticks,
            Said = isHard ? "I did it the quick way again." : "I can say why now.",
            ByName = by,
            At = at,
        };
    }

    private static int Seed(DemoCourse course) => 7 + Array.IndexOf(All, course);

    private static string Answer(ItemTask task, Hypothesis hypothesis)
    {
        var run = new MethodRun();
        Method.Run(task, run, hypothesis.Deviations);
        return run.Page.Answer.ToString();
    }

    private static WorkedItem Answered(string id, ItemTask task, string answer) => WorkedItem.Of(id, task) with { Answer = answer };
}
