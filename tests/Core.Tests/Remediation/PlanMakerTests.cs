using System.Text.Json;
using Shouldly;
using Xunit;
using YellowPencil.Core.Bugs;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Remediation;

namespace YellowPencil.Core.Tests.Remediation;

public class PlanMakerTests
{
    private static RemediationPlan Plan(ClassroomWord word, params string[] bugs) =>
        PlanMaker.Make("K-17", new Hypothesis([.. bugs.Select(b => Catalogue.Find("subtraction." + b)!)], [], []), [], word);

    public static TheoryData<string> EveryBug => [.. Catalogue.Of(Family.Subtraction).Select(b => b.Id)];

    [Theory]
    [MemberData(nameof(EveryBug))]
    public void Every_bug_has_a_whole_plan(string id)
    {
        var plan = PlanMaker.Make("K-17", Hypothesis.Parse(id)!, [], ClassroomWord.Borrow);
        plan.Fails.Shows.ShouldBeTrue();
        plan.Exit.Shows.ShouldBeTrue();
        plan.First.Count.ShouldBe(3);
        plan.Together.Count.ShouldBe(2);
        plan.Alone.Count.ShouldBe(3);
        plan.PracticeFirst.Count.ShouldBe(6);
        plan.PracticeMixed.Count.ShouldBe(6);
        plan.PracticeFirst.Count(i => i.Shows).ShouldBeGreaterThanOrEqualTo(5);
        if (plan.Works is { } works) works.Shows.ShouldBeFalse();
        var tasks = new[] { plan.Fails, plan.Example, plan.Exit }.Concat(plan.Together).Concat(plan.Alone).Concat(plan.PracticeFirst).Concat(plan.PracticeMixed);
        tasks.Select(t => t.Task.Text).ShouldBeUnique();
        var text = PlanText.Markdown(plan);
        text.ShouldNotContain("{");
        text.ShouldNotContain("rename", Case.Insensitive);
    }

    [Fact]
    public void The_idea_that_is_learnt_first_comes_first_and_the_other_waits()
    {
        var plan = Plan(ClassroomWord.Rename, "zeros-skipped", "zero-below-gives-zero");
        plan.Idea.Id.ShouldBe("taking-nothing");
        plan.Waiting.Single().Name.ShouldBe("Zeros are skipped");
        plan.WhyFirst.ShouldContain("of 200 ordinary items");
    }

    [Fact]
    public void The_key_holds_what_the_old_rule_gives()
    {
        var run = new MethodRun();
        var plan = Plan(ClassroomWord.Rename, "turns-column-round");
        foreach (var item in plan.PracticeFirst.Concat(plan.PracticeMixed))
        {
            Method.Run(item.Task, run, new DeviationSet([Catalogue.Find("subtraction.turns-column-round")!.Deviations]));
            item.OldAnswer.ShouldBe(run.Page.Answer.ToString());
        }
    }

    [Fact]
    public void Later_practice_is_mixed_with_items_where_nothing_is_renamed() =>
        Plan(ClassroomWord.Rename, "turns-column-round").PracticeMixed.Count(i => !i.Shows).ShouldBe(3);

    [Fact]
    public void Facts_that_the_student_does_not_have_stay_out_of_the_way()
    {
        var missing = new NumberFact(FactKind.Minus, 13, 7);
        var plan = PlanMaker.Make("K-17", Hypothesis.Parse("subtraction.lender-unchanged")!, [missing], ClassroomWord.Rename);
        var run = new MethodRun { Recording = true };
        foreach (var item in plan.PracticeFirst.Concat(plan.PracticeMixed).Concat(plan.Together).Concat(plan.Alone))
        {
            Method.Run(item.Task, run, DeviationSet.Taught);
            run.Steps.ShouldNotContain(s => s.Fact == missing);
        }
    }

    [Fact]
    public void The_worked_example_says_its_steps_in_the_classrooms_word() =>
        Plan(ClassroomWord.Exchange, "turns-column-round").ExampleSteps.ShouldContain(s => s.EndsWith("so exchange."));

    [Fact]
    public void A_rule_outside_the_catalogue_has_a_plan_too()
    {
        var rules = "unlisted:subtraction.column/below-is-9/write-top";
        var plan = PlanMaker.Make("K-17", Hypothesis.Parse(rules)!, [], ClassroomWord.Rename);
        plan.Fails.Shows.ShouldBeTrue();
        plan.Reason.ShouldContain("found by search");
    }

    [Fact]
    public void A_student_without_a_rule_gets_no_plan() =>
        Should.Throw<ArgumentException>(() => PlanMaker.Make("K-17", Hypothesis.Sound, [], ClassroomWord.Rename));

    [Fact]
    public void The_plan_as_data_can_be_read()
    {
        var plan = Plan(ClassroomWord.Rename, "zeros-skipped");
        using var json = JsonDocument.Parse(PlanJson.Write(plan));
        (json.RootElement.GetProperty("practiceFirst").GetArrayLength() + json.RootElement.GetProperty("practiceMixed").GetArrayLength()).ShouldBe(12);
        json.RootElement.GetProperty("idea").GetProperty("id").GetString().ShouldBe("across-zeros");

        // What was kept comes back as it was, to the last sentence and mark.
        var back = PlanJson.Read(PlanJson.Write(plan));
        PlanJson.Write(back).ShouldBe(PlanJson.Write(plan));
        PlanText.Markdown(back).ShouldBe(PlanText.Markdown(plan));
    }
}
