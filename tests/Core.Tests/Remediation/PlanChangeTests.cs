using System.Text.Json;
using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Tests.Remediation;

/// <summary>Sentences said in another way, plans written anew for another classroom, plans read from files.</summary>
public sealed class PlanChangeTests
{
    private static readonly Hypothesis Dropped = Hypothesis.Parse("addition.carry-dropped")!;

    private static RemediationPlan Plan(int carryMark = 0) => PlanMaker.Make("K-3", Dropped, [], new Classroom(ClassroomWord.Rename, School.Usual.With(School.CarryMark, carryMark)));

    private static string Written(RemediationPlan plan) => PlanJson.Write("K-3", plan, null);

    private static RemediationPlan Read(string json) => PlanJson.ReadFile(JsonDocument.Parse(json).RootElement);

    [Fact]
    public void A_sentence_is_said_in_another_way_and_marked_until_it_is_as_before()
    {
        var plan = Plan();
        var changed = plan.Reword("say", "  Count it\n too. ").Reword("step-2", "");
        changed.Script.Say.ShouldBe("Count it too.");
        changed.ExampleSteps[1].ShouldBeEmpty();
        changed.Reworded.Keys.Order().ShouldBe(["say", "step-2"]);
        var back = changed.Reword("say", plan.Script.Say).Reword("step-2", plan.ExampleSteps[1]);
        Written(back).ShouldBe(Written(plan));
    }

    [Theory]
    [InlineData("say", "", "Say while doing two together: nothing is left of it. Only steps of the example can be left out.")]
    [InlineData("shout", "x", "The plan has no sentence “shout”.")]
    public void What_is_no_sentence_is_refused(string key, string text, string fault) => Should.Throw<ArgumentException>(() => Plan().Reword(key, text)).Message.ShouldBe(fault);

    [Fact]
    public void A_sentence_that_nobody_could_say_is_refused() =>
        Should.Throw<ArgumentException>(() => Plan().Reword("aim", new string('a', 601))).Message.ShouldBe("Aim: 601 characters; a sentence that is said aloud has at most 600.");

    [Fact]
    public void Written_anew_for_another_classroom_items_and_own_sentences_stay()
    {
        var swapped = PlanMaker.Swap(Plan(), Plan().Exit.Written, Dropped, [], StudentSize.UpTo(3), 5)!.Reword("why", "Because ten ones are one ten.");
        var anew = PlanMaker.Rewrite(swapped, Dropped, [], new Classroom(ClassroomWord.Exchange, School.Usual.With(School.CarryMark, 1)), StudentSize.UpTo(3), 7);
        anew.Script.Say.ShouldContain("under the line");
        anew.Script.Why.ShouldBe("Because ten ones are one ten.");
        anew.Reworded.Keys.ShouldBe(["why"]);
        anew.Changed.ShouldBe(swapped.Changed);
        anew.Changeable().ShouldBe(swapped.Changeable());
        (anew.Word, anew.School).ShouldBe((ClassroomWord.Exchange, "carry-mark=below"));
    }

    [Fact]
    public void A_plan_in_a_file_is_the_same_when_it_is_read_back()
    {
        foreach (var rule in new[] { "subtraction.lender-unchanged", "multiplication.carry-dropped", "division.zero-inside-left-out", "decimal-sums.right-ends-lined-up", "integers.minus-minus-stays-minus" })
        {
            var plan = PlanMaker.Make("K-3", Hypothesis.Parse(rule)!, [], Classroom.Saying(ClassroomWord.Borrow)).Reword("aim", "I look first.");
            Written(Read(Written(plan))).ShouldBe(Written(plan), rule);
        }
    }

    [Theory]
    [InlineData("""{"format":"yellow-pencil.sheet","version":1}""", "format: must be \"yellow-pencil.plan\"")]
    [InlineData("""{"format":"yellow-pencil.plan","version":2}""", "version: must be 1")]
    [InlineData("""{"format":"yellow-pencil.plan","version":1,"plan":null,"why":"Nothing was found."}""", "plan: there is none: Nothing was found.")]
    [InlineData("""[1]""", "format: must be \"yellow-pencil.plan\"")]
    public void A_file_without_a_plan_says_why(string json, string fault) => Should.Throw<JsonException>(() => Read(json)).Message.ShouldBe(fault);

    [Fact]
    public void A_plan_whose_claims_do_not_hold_is_refused()
    {
        var plan = Plan();
        Should.Throw<JsonException>(() => Read(Written(plan with { Alone = [plan.Alone[0]] }))).Message.ShouldBe("plan.alone: has 1 items and must have 3");
        Should.Throw<JsonException>(() => Read(Written(plan with { Fails = plan.Fails with { OldAnswer = plan.Fails.Right } }))).Message.ShouldBe("plan.fails: the old rule gives the right answer there, so it shows nothing");
        Should.Throw<JsonException>(() => Read(Written(plan with { Guard = plan.Guard! with { NewHabit = plan.Guard.Right } }))).Message.ShouldBe("plan.guard: newHabit must be a wrong answer");
        Should.Throw<JsonException>(() => Read(Written(plan).Replace("\"task\":", "\"tusk\":", StringComparison.Ordinal))).Message.ShouldStartWith("plan: ");
        Should.Throw<JsonException>(() => Read(Written(plan).Replace("\"oldRule\":\"", "\"oldRule\":", StringComparison.Ordinal)));
    }
}
