using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Progress;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>Rules that are a condition: one thing holds every time, and another is never looked at, so that it is open what stands there.</summary>
public class OpenRuleTests
{
    // The product is right eight times of eight, the sum twice; no one pair is taken: the second, the first, the one with 1.
    private static readonly string[] ProductOnly =
    [
        "factor x^2 + 9x + 20 = (x + 2)(x + 10)", "factor x^2 + 7x + 12 = (x + 2)(x + 6)", "factor x^2 + 5x + 6 = (x + 2)(x + 3)",
        "factor x^2 + 11x + 24 = (x + 4)(x + 6)", "factor x^2 + 11x + 18 = (x + 1)(x + 18)", "factor x^2 + 12x + 32 = (x + 2)(x + 16)",
        "factor x^2 + 9x + 8 = (x + 1)(x + 8)", "factor x^2 + 13x + 30 = (x + 5)(x + 6)",
    ];

    private static WorkedSheet Page(string[] items, params string[] predict) => new()
    {
        Student = "S",
        Items = [.. items.Select((text, i) => text.Split(" = ") is var parts ? WorkedItem.Of((i + 1).ToString(), TaskText.TryParse(parts[0]).Value!) with { Answer = parts[1] } : null!)],
        Predict = [.. predict.Select(task => new SetItem { Task = TaskText.TryParse(task).Value!, TaskAsWritten = task })],
    };

    [Fact]
    public void Some_pair_with_the_right_product_is_a_rule_and_each_item_says_which()
    {
        var reading = SheetDiagnosis.Read(Page(ProductOnly));
        reading.Outcome.ShouldBe(Outcome.Bug);
        reading.Best.Hypothesis.RuleIds.ShouldBe(["factoring.product-only"]);
        (reading.Best.ItemsFollowed, reading.Best.Standing(Stand.Silent, reading.Sheet)).ShouldBe((6, ["3", "7"]), Comparer);
        reading.Items[3].FirstWrongStep!.Text.ShouldBe("Takes 4 and 6: the product is right, and together they are 10, not 11.");
        reading.Best.Predictions["4"].ShouldBe(TaskText.TryParse("factor x^2 + 11x + 24").Value!.Canonical("(x + 4)(x + 6)"));
        reading.Items.Where(i => i.Verdict == Verdict.Wrong).ShouldAllBe(i => i.Cause == Cause.Bug && i.Replay.IsExplained);
    }

    [Fact]
    public void What_it_foretells_is_one_of_a_set()
    {
        // 2 and 14, 4 and 7, 1 and 28: one of three.
        var reading = SheetDiagnosis.Read(Page(ProductOnly, "factor x^2 + 11x + 28"));
        reading.Predictions[0].Probability.ShouldBe(1.0 / 3, 0.05);
    }

    [Fact]
    public void A_check_knows_every_answer_that_it_can_give()
    {
        ItemTask[] tasks = [TaskText.TryParse("factor x^2 + 11x + 24").Value!, TaskText.TryParse("factor x^2 + 7x + 12").Value!];
        var form = CheckForm.OfPage(tasks, Hypothesis.Of(Catalogue.Find("factoring.product-only")!));
        form.Items[0].Item.OldAnswers.Select(tasks[0].Canonical).ShouldBe(new[] { "(x + 2)(x + 12)", "(x + 4)(x + 6)", "(x + 1)(x + 24)" }.Select(tasks[0].Canonical));
        form.Judge(new DateOnly(2026, 3, 2), ["(x + 4)(x + 6)", "(x + 5)(x + 2)"]).Items.Select(i => i.Outcome).ShouldBe([CheckOutcome.OldRule, CheckOutcome.Other]);
    }

    [Fact]
    public void The_first_pair_each_time_is_a_rule_of_its_own()
    {
        var reading = SheetDiagnosis.Read(Page(
        [
            "factor x^2 + 9x + 20 = (x + 2)(x + 10)", "factor x^2 + 7x + 12 = (x + 2)(x + 6)", "factor x^2 + 10x + 24 = (x + 2)(x + 12)",
            "factor x^2 + 11x + 30 = (x + 2)(x + 15)", "factor x^2 + 5x + 6 = (x + 2)(x + 3)",
        ]));
        reading.Best.Hypothesis.RuleIds.ShouldBe(["factoring.first-pair-of-product"]);
    }

    [Fact]
    public void A_tenth_that_is_squared_and_kept_is_read_from_what_was_tried()
    {
        const string sheet = """
            {"format":"yellow-pencil.worked-sheet","version":1,"student":"S","methods":{"roots":"number-line"},"items":[
              {"id":"1","task":"sqrt(7)","answer":"2.4","work":{"between":["4","9"],"tried":[{"value":"2.4","result":"5.76"}]}},
              {"id":"2","task":"sqrt(60)","answer":"7.9","work":{"between":["49","64"],"tried":[{"value":"7.9","result":"62.41"}]}},
              {"id":"3","task":"sqrt(33)","answer":"5.7","work":{"between":["25","36"],"tried":[{"value":"5.7","result":"32.49"}]}},
              {"id":"4","task":"sqrt(44)","answer":"6.4","work":{"between":["36","49"],"tried":[{"value":"6.4","result":"40.96"}]}},
              {"id":"5","task":"sqrt(19)","answer":"4.5","work":{"between":["16","25"],"tried":[{"value":"4.5","result":"20.25"}]}},
              {"id":"6","task":"sqrt(90)","answer":"9.2","work":{"between":["81","100"],"tried":[{"value":"9.2","result":"84.64"}]}},
              {"id":"7","task":"sqrt(52)","answer":"7.6","work":{"between":["49","64"],"tried":[{"value":"7.6","result":"57.76"}]}},
              {"id":"8","task":"sqrt(12)","answer":"3.8","work":{"between":["9","16"],"tried":[{"value":"3.8","result":"14.44"}]}}]}
            """;
        var reading = SheetDiagnosis.Read(SheetReader.TryRead(sheet, out _)!);
        reading.Outcome.ShouldBe(Outcome.Bug);
        reading.Best.Hypothesis.RuleIds.ShouldBe(["roots.some-tenth-kept"]);
    }

    [Fact]
    public void The_point_anywhere_is_a_rule_where_no_count_fits()
    {
        // 0.322, 0.216, 0.735, 1.44, 0.252 and 9.36 are due: one place too few, none, one too many, one too few, none, one too many.
        var reading = SheetDiagnosis.Read(Page(
        [
            "0.46 * 0.7 = 3.22", "0.27 * 0.8 = 216", "1.05 * 0.7 = 0.0735", "4.8 * 0.3 = 14.4", "0.63 * 0.4 = 252", "1.56 * 6 = 0.936", "2.3 * 4 = 9.2",
            "3.4 * 0.16 = 0.544",
        ]));
        reading.Best.Hypothesis.RuleIds.ShouldBe(["decimal-products.point-by-feel"]);
    }

    public static TheoryData<string> OpenRules => [.. Catalogue.All.Where(b => b.IsOpen).Select(b => b.Id)];

    [Theory]
    [MemberData(nameof(OpenRules))]
    public void Where_one_outcome_shows_the_first_does(string id)
    {
        var bug = Catalogue.Find(id)!;
        var run = new MethodRun();
        foreach (var task in ItemPool.Of(bug.Family, 60, seed: 5))
        {
            var chances = bug.Outcomes.Select(outcome => Run(outcome.Alone)).ToList();
            if (chances.Exists(c => c > 0)) chances[0].ShouldBeGreaterThan(0, task.Text);

            int Run(DeviationSet does)
            {
                Method.Run(task, run, does);
                return run.Chances;
            }
        }
    }

    [Theory]
    [MemberData(nameof(OpenRules))]
    public void Its_students_are_found(string id)
    {
        var found = Enumerable.Range(0, 6).Count(seed =>
        {
            var bug = Catalogue.Find(id)!;
            var student = new SimulatedStudent(Hypothesis.Of(bug), 1, 0, seed);
            var tasks = ItemPool.Of(bug.Family, 60, seed).Where(t => t.RightAnswer.Length > 0).Take(12);
            return SheetDiagnosis.Read(new WorkedSheet { Student = "S", Items = [.. tasks.Select((t, i) => student.Write($"{i + 1}", t))] })
                .Explanations.Any(e => e.Hypothesis.RuleIds.Contains(id) && e.Probability > 0.05);
        });
        found.ShouldBeGreaterThanOrEqualTo(4);
    }

    private static readonly IEqualityComparer<(int, IEnumerable<string>)> Comparer =
        EqualityComparer<(int Followed, IEnumerable<string> Silent)>.Create((a, b) => a.Followed == b.Followed && a.Silent.SequenceEqual(b.Silent));
}
