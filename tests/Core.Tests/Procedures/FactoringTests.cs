using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Tests.Procedures;

/// <summary>The three schools of factoring: what each writes, what each takes, and how their lines are followed.</summary>
public class FactoringTests
{
    private static readonly School[] Schools = [.. Enum.GetValues<FactoringSchool>().Select(s => School.Usual.With(School.Factoring, (int)s))];

    private static School ByGap => Schools[(int)FactoringSchool.MiddleAndGap];

    private static ItemTask Task(string text) => TaskText.TryParse(text).Value!;

    private static WorkedItem Item(string task, string answer, string lines = "") => WorkedItem.Of("1", Task(task)) with
    {
        Answer = answer,
        Work = lines.Length == 0 ? Work.None : Work.None.With(WorkFields.Lines, lines.Split(" | ")),
    };

    private static MethodRun Recorded(string task, School school)
    {
        var run = new MethodRun { Recording = true };
        Method.Run(Task(task), run, new DeviationSet(school, []));
        return run;
    }

    private static IReadOnlyList<string> Marks(MethodRun run, WorkField field) => [.. run.Page.Marks.Where(m => m.Field == field).Select(m => m.Text)];

    [Fact]
    public void Ten_thousand_quadratics_have_the_same_factors_in_all_three_schools()
    {
        var next = TaughtFamily.Of(FamilyList.Factoring).Items(5);
        var run = new MethodRun();
        for (var i = 0; i < 10_000; i++)
        {
            var task = next();
            foreach (var school in Schools)
            {
                Method.Run(task, run, new DeviationSet(school, []));
                run.Page.Answer.ToString().ShouldBe(task.RightAnswer, $"{task} {school.Key}");
            }
        }
    }

    // 6x^2 + x - 12: of the pairs of 72 the sixth, 8 and 9. Of the brackets twelve with 6x and x, six with 3x and 2x up to (3x - 3)(2x + 4), then (3x + 4)(2x - 3) and (3x - 4)(2x + 3).
    [Theory]
    [InlineData("factor 6x^2 + x - 12", 6, 20)]
    [InlineData("factor x^2 + 9x + 8", 1, 1)]
    [InlineData("factor x^2 - 7x + 12", 3, 6)]
    [InlineData("factor x^2 + 5x + 7", 1, 2)]
    [InlineData("factor x^2 - 25", 0, 0)]
    public void What_each_school_takes_is_counted(string task, int pairs, int brackets)
    {
        var efforts = SchoolEffort.Of(Task(task), School.Factoring);
        efforts.Select(e => e.School).ShouldBe(["cross-and-box", "trial-pairs", "middle-and-gap"]);
        efforts.Select(e => e.Trials).ShouldBe([pairs, brackets, 0]);
        efforts.Select(e => e.Answer).ShouldAllBe(answer => answer == Task(task).RightAnswer);
        efforts[2].Steps.ShouldBeGreaterThanOrEqualTo(efforts[0].Steps);
    }

    [Fact]
    public void The_cross_and_the_box_are_written_as_worked_by_hand()
    {
        var run = Recorded("factor 6x^2 + x - 12", Schools[0]);
        Marks(run, WorkFields.Cross).ShouldBe(["1", "-72", "-8", "9"]);
        Marks(run, WorkFields.Box).ShouldBe(["3x", "-4", "2x", "6x^2", "-8x", "3", "9x", "-12"]);
        Marks(run, WorkFields.Tried).ShouldBeEmpty();
    }

    [Fact]
    public void The_pairs_that_are_tried_end_with_the_one_that_fits() =>
        Marks(Recorded("factor 2x^2 + 11x + 12", Schools[1]), WorkFields.Tried).ShouldBe(
            ["(2x + 1)(x + 12)", "(2x - 1)(x - 12)", "(2x + 2)(x + 6)", "(2x - 2)(x - 6)", "(2x + 3)(x + 4)"]);

    [Fact]
    public void Middle_and_gap_are_written_as_numbers_and_as_lines()
    {
        var run = Recorded("factor 15a^2 - 22a - 5", ByGap);
        Marks(run, WorkFields.Gap).ShouldBe(["-11", "196", "14"]);
        Marks(run, WorkFields.Lines).ShouldBe(["m = -11", "g^2 = 196", "g = 14", "(a + 1/5)(a - 5/3)"]);
        Marks(run, WorkFields.Cross).ShouldBeEmpty();
    }

    // Each line by hand: half of the middle, its square less the product of the ends, the root, the two numbers over the first one.
    [Theory]
    [InlineData("factor x^2 + 4x - 21", "(x + 7)(x - 3)", "m = 4 / 2 = 2 | d^2 = 4 + 21 = 25 | d = 5", "right right right right")]
    [InlineData("factor x^2 + 4x - 21", "(x + 7)(x - 3)", "m = 2 | 4 - -21 = 25", "right right")]
    [InlineData("factor x^2 + 4x - 21", "(x + 7)(x - 3)", "d^2 = 25", "right right")]
    [InlineData("factor x^2 + 6x - 16", "prime", "m = 6/2 = 3 | d^2 = 9 - 16 = -7", "right wrong right")]
    [InlineData("factor x^2 + 6x - 16", "(x - 5)(x + 11)", "m = 3 | g^2 = 9 + 16 = 25 | g = 8", "right right wrong right")]
    [InlineData("factor x^2 - 14x + 45", "(x - 5)(x - 11)", "m = -14/2 = -8 | g^2 = 64 - 55 = 9 | g = 3", "wrong wrong right right")]
    [InlineData("factor 2x^2 + 16x + 30", "2(x + 3)(x + 5)", "2(x^2 + 8x + 15) | m = 4 | g^2 = 16 - 15 = 1 | (x + 3)(x + 5)", "right right right right right")]
    [InlineData("factor 2x^2 + 16x + 30", "2(x + 1)(x + 5)", "2(x^2 + 6x + 5)", "wrong right")]
    [InlineData("factor 18n^2 - 50", "2(3n + 5)(3n - 5)", "2(9n^2 - 25) | m = 0/2 = 0 | g^2 = 0 + 225 = 225 | g = 15 | (n + 5/3)(n - 5/3)", "right right right right right right")]
    [InlineData("factor 15a^2 - 22a - 5", "(3a - 5)(5a + 1)", "(a - 5/3)(a + 1/5)", "right right")]
    [InlineData("factor 15a^2 - 22a - 5", "(a - 5)(a + 1)", "(a - 5/3)(a + 1/5)", "right wrong")]
    [InlineData("factor 6x^2 + x - 12", "(2x + 3)(3x - 4)", "6x^2 + 9x - 8x - 12 | 3x(2x + 3) - 4(2x + 3)", "right right")]
    [InlineData("factor 6x^2 + x - 12", "(2x - 3)(3x + 4)", "6x^2 - 9x + 8x - 12", "wrong right")]
    [InlineData("factor 6x^2 + x - 12", "(2x + 3)(3x - 4)", "9 * (-8) = -72 | 9 - 8 = 1", "right right right")]
    [InlineData("factor 6x^2 + x - 12", "(2x + 3)(3x - 4)", "(6x + 9)(6x - 8)", "right right")]
    [InlineData("factor x^2 + 4x - 21", "(x + 7)(x - 3)", "looks hard | 21 = 3 * 7", "right")]
    [InlineData("factor x^2 + 4x - 21", "(x + 7)(x - 3)", "m = 5 | m = 2", "right right")]
    public void Lines_are_followed_one_from_the_other(string task, string answer, string lines, string verdicts) =>
        string.Join(' ', ItemEvidence.Of(Item(task, answer, lines), 0, [School.Usual, ByGap]).Select(s => s.IsRight ? "right" : "wrong")).ShouldBe(verdicts);

    [Theory]
    [InlineData("gap-not-rooted", "factor x^2 + 4x - 21", "(x + 27)(x - 23)")] // 2 and 25
    [InlineData("gap-halved", "factor x^2 + 4x - 12", "(x + 10)(x - 6)")] // 2 and 16/2
    [InlineData("middle-not-halved", "factor x^2 + 3x - 40", "(x + 10)(x - 4)")] // 3 and the root of 49
    [InlineData("middle-turned", "factor x^2 + 4x - 21", "(x + 3)(x - 7)")]
    [InlineData("last-added-to-square", "factor x^2 - 5x + 6", "(x + 1)(x - 6)")] // -5/2 and the root of 49/4
    [InlineData("middle-not-squared", "factor x^2 + 2x - 3", "(x + 3)(x - 1)")] // 1 and the root of 4
    [InlineData("gap-on-one-side", "factor x^2 + 4x - 21", "(x + 7)")]
    [InlineData("gap-twice-on-one-side", "factor x^2 + 4x - 21", "(x + 7)(x + 7)")]
    public void A_rule_of_middle_and_gap_gives_what_it_says(string rule, string task, string answer)
    {
        var run = new MethodRun();
        Method.Run(Task(task), run, Catalogue.Find($"factoring.{rule}")!.Alone);
        run.Page.Answer.ToString().ShouldBe(answer);
    }

    [Theory]
    [InlineData("""{"top":["3x","-4"],"side":["2x","3"],"cells":[["6x^2","-8x"],["9x","-12"]]}""", 2, 0)]
    [InlineData("""{"top":["2x","+3"],"side":["3x","-4"],"cells":[["6x²","9x"],["-8x","-12"]]}""", 2, 0)]
    [InlineData("""{"top":["2x","3"],"side":["3x","4"],"cells":[["6x^2","9x"],["-8x","-12"]]}""", 1, 1)]
    [InlineData("""{"top":["2x","3"],"side":["3x","-4"],"cells":[["6x^2","9x"],["8x","-12"]]}""", 1, 1)]
    [InlineData("""{"top":[],"side":[],"cells":[["6x^2",""],["","-12"]]}""", 0, 1)]
    [InlineData("""{"top":[],"side":[],"cells":[]}""", 0, 0)]
    public void A_box_is_compared_however_it_is_turned(string box, int same, int differing)
    {
        var (item, due) = Compared("factor 6x^2 + x - 12", $$"""{"box":{{box}}}""", Schools[0], WorkFields.Box);
        var match = WorkFields.Box.Compare(item.Task, item.Work.Get(WorkFields.Box)!, due).Aggregate(default(FieldMatch), (a, b) => a + b);
        (match.Same, match.Differ).ShouldBe((same, differing));
    }

    [Theory]
    [InlineData("(2x + 3)(x + 4)", 1, 0)]
    [InlineData("(x + 12)(2x + 1), (2x + 2)(x + 6), (x + 4)(2x + 3)", 2, 0)]
    [InlineData("(2x + 12)(x + 1)", 0, 1)]
    [InlineData("(2x + 5)(x + 2), (2x + 3)(x + 4)", 1, 1)]
    public void What_was_tried_is_compared_by_its_end_and_by_what_can_be_tried(string tried, int same, int differing)
    {
        var list = string.Join(',', tried.Split(", ").Select(t => $$"""{"value":"{{t}}"}"""));
        var (item, due) = Compared("factor 2x^2 + 11x + 12", $$"""{"tried":[{{list}}]}""", Schools[1], WorkFields.Tried);
        var match = WorkFields.Tried.Compare(item.Task, item.Work.Get(WorkFields.Tried)!, due).Aggregate(default(FieldMatch), (a, b) => a + b);
        (match.Same, match.Differ).ShouldBe((same, differing));
    }

    private static (WorkedItem Item, IReadOnlyList<Mark> Due) Compared(string task, string work, School school, WorkField field)
    {
        var sheet = $$"""{"format":"yellow-pencil.worked-sheet","version":1,"student":"F","items":[{"id":"1","task":"{{task}}","answer":"?","work":{{work}}}]}""";
        var read = SheetReader.TryRead(sheet, out var fault) ?? throw new InvalidOperationException(fault!.ToString());
        return (read.Items[0], [.. Recorded(task, school).Page.Marks.Where(m => m.Field == field)]);
    }

    [Theory]
    [InlineData("""{"cross":{"sum":"1"}}""", "cross-and-box")]
    [InlineData("""{"tried":[{"value":"(x + 1)(x + 2)"}]}""", "trial-pairs")]
    [InlineData("""{"gap":{"gap":"5"}}""", "middle-and-gap")]
    [InlineData("""{"lines":["m = 4/2 = 2"]}""", "middle-and-gap")]
    [InlineData("""{"lines":["h = 2"]}""", "middle-and-gap")]
    [InlineData("""{"lines":["6x^2 + 9x - 8x - 12"]}""", "cross-and-box")]
    [InlineData("""{"lines":["2(3x^2 + x - 6)"]}""", null)]
    public void The_working_shows_the_school(string work, string? school)
    {
        var (item, _) = Compared("factor 6x^2 + x - 12", work, Schools[0], WorkFields.Box);
        var shown = TaughtFamily.Of(FamilyList.Factoring).SchoolsShown(item);
        shown.Select(s => School.Factoring.Values[s.Answer]).SingleOrDefault().ShouldBe(school);
    }

    [Fact]
    public void A_wrong_gap_is_found_in_its_line_and_its_rule_is_held()
    {
        (string, string, string)[] page =
        [
            ("factor x^2 + 4x - 21", "(x + 27)(x - 23)", "m = 2 | g^2 = 25"), ("factor x^2 + 6x + 8", "(x + 4)(x + 2)", "m = 3 | g^2 = 1"), ("factor x^2 - 10x + 16", "(x + 4)(x - 14)", "m = -5 | g^2 = 9 | g = 9"),
            ("factor x^2 + 2x - 15", "(x + 17)(x - 15)", "m = 1 | g^2 = 16"), ("factor x^2 - 4x - 12", "(x + 14)(x - 18)", "m = -2 | g^2 = 16"), ("factor 3x^2 + 6x", "3x(x + 2)", ""),
        ];
        var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "F", Items = [.. page.Select((p, i) => Item(p.Item1, p.Item2, p.Item3) with { Id = $"{i + 1}" })] });
        reading.Outcome.ShouldBe(Outcome.Bug);
        reading.Explanations[0].Hypothesis.RuleIds.ShouldBe(["factoring.gap-not-rooted"]);
        var step = reading.Items[2].FirstWrongStep!;
        (step.Field, step.Row, step.Written).ShouldBe((WorkFields.Lines, 3, "g = 9"));
    }
}
