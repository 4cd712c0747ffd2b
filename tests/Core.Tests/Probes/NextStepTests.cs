using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families.Subtraction;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Probes;

/// <summary>After every reading there is exactly one next step, and it can be taken.</summary>
public class NextStepTests
{
    private static Reading Read(params string[] lines) =>
        SheetDiagnosis.Read(new WorkedSheet { Student = "K-17", Items = ItemList.TryParse(string.Join('\n', lines), null, out _) });

    private static NextStep Step(params string[] lines)
    {
        var reading = Read(lines);
        return NextStep.After(reading, NextItems.For(reading));
    }

    [Fact]
    public void A_rule_that_is_held_is_planned_for() => Step("604 - 278 = 474", "52 - 38 = 26", "81 - 27 = 66").Kind.ShouldBe(NextStepKind.Plan);

    [Fact]
    public void What_is_not_told_apart_is_asked()
    {
        var step = Step("604 - 278 = 426", "703 - 245 = 558", "805 - 347 = 558", "902 - 456 = 546", "586 - 243 = 343");
        step.Kind.ShouldBe(NextStepKind.Ask);
        step.Items.Count.ShouldBeInRange(1, 3);
    }

    [Fact]
    public void A_page_on_which_nothing_could_show_asks_for_a_longer_one_and_items_that_would_show_something()
    {
        var step = Step("86 - 42 = 44", "57 - 23 = 34", "95 - 71 = 24");
        step.Kind.ShouldBe(NextStepKind.SetLonger);
        step.Items.ShouldContain(t => NeedsRenaming((ColumnDifference)t));
        step.Items.ShouldAllBe(t => ((ColumnDifference)t).Top.Length <= 2);
    }

    [Fact]
    public void One_wrong_item_asks_for_a_second_chance()
    {
        var step = Step("52 - 38 = 26");
        step.Kind.ShouldBe(NextStepKind.Ask);
        step.Items.ShouldContain(t => NeedsRenaming((ColumnDifference)t));
    }

    [Fact]
    public void An_unexplained_page_lets_the_student_talk_the_first_unexplained_item_through()
    {
        var step = Step("86 - 42 = 44", "604 - 278 = 88888", "523 - 168 = 7777", "80 - 36 = 1", "703 - 245 = 99999", "952 - 367 = 3");
        step.Kind.ShouldBe(NextStepKind.TalkThrough);
        step.ItemId.ShouldBe("2");
        step.Items.Count.ShouldBe(3);
    }

    // A rule of signs and the minus of the letter give the same answers here: what was thought only the student knows.
    [Theory]
    [InlineData("What becomes of a minus before the letter?", "solve 16 - 2x = -4 = x = -10", "solve 5 - 2x = 13 = x = 4", "solve 2 - 3x = 14 = x = 4", "solve 3x + 1 = 10 = x = 3", "solve 8 - 5x = -2 = x = -2")]
    public void What_only_the_student_can_tell_is_asked_about_its_place(string question, params string[] lines)
    {
        var aloud = QuestionAloud.For(Read(lines))!;
        (aloud.ItemId, aloud.Question).ShouldBe(("1", question));
    }

    [Fact]
    public void A_page_without_answers_is_typed_in() => Step("604 - 278").Kind.ShouldBe(NextStepKind.TypeIn);

    [Theory]
    [InlineData("52 - 38 = 26")]
    [InlineData("52 - 38 = 26\n604 - 278 = 474")]
    [InlineData("86 - 42 = 44\n52 - 38 = 14")]
    public void One_or_two_items_are_never_enough_to_know(string lines) => Read(lines.Split('\n')).Outcome.ShouldBe(Outcome.TooFewChances);

    [Fact]
    public void A_rule_that_showed_once_is_not_held_however_long_the_page() =>
        Read("52 - 38 = 26", "86 - 42 = 44", "57 - 23 = 34", "95 - 71 = 24", "48 - 13 = 35").Outcome.ShouldBe(Outcome.TooFewChances);

    [Fact]
    public void What_had_no_chance_to_show_is_part_of_what_is_said()
    {
        // Nothing on this page goes past a zero or has a zero below: another rule may hide there.
        var reading = Read("52 - 38 = 26", "63 - 47 = 24", "91 - 56 = 45");
        reading.Outcome.ShouldBe(Outcome.Bug);
        reading.AnotherHidden.ShouldBeInRange(0.05, 0.5);
        reading.Best.Alone.ShouldBeLessThan(reading.Best.Probability - 0.05);
        (reading.Explanations.Sum(e => e.Alone) + reading.AnotherHidden + reading.NoChance + reading.SomethingElse).ShouldBeLessThanOrEqualTo(1.000001);
        Read("86 - 42 = 44", "57 - 23 = 34", "95 - 71 = 24").NoChance.ShouldBeGreaterThan(0.1);
    }

    [Fact]
    public void What_was_tried_is_counted()
    {
        var reading = Read("604 - 278 = 88888", "523 - 168 = 7777", "80 - 36 = 1", "703 - 245 = 99999", "952 - 367 = 3");
        reading.Tried.Rules.ShouldBe(72);
        reading.Tried.Unlisted.ShouldBeGreaterThan(100);
    }

    private static bool NeedsRenaming(ColumnDifference task) => Enumerable.Range(0, task.Bottom.Length).Any(place => task.Bottom.Digit(place) > task.Top.Digit(place));
}
