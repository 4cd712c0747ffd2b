using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Procedures;

/// <summary>What is said step by step, as a teacher would say it at the board.</summary>
public class ReplayTests
{
    private static string[] Told(string task, params string[] bugs)
    {
        var run = new MethodRun { Recording = true };
        Method.Run(TaskText.TryParse(task).Value!, run, new DeviationSet([.. bugs.Select(b => Catalogue.Find("subtraction." + b)!.Deviations)]));
        return [.. run.Steps.Where(s => ToldSteps.IsToldAloud(s, FamilyList.Subtraction)).Select(s => s.ChosenText.In(ClassroomWord.Borrow))];
    }

    [Fact]
    public void The_taught_method_next_door() => Told("52 - 38").ShouldBe(
    [
        "Ones: 2 is less than 8, so borrow.",
        "The tens lend.",
        "Strike 5 in the tens: 4 are left.",
        "One ten is ten ones: 2 becomes 12.",
        "12 − 8 = 4",
        "Tens: 4 is enough to take 3 away.",
        "4 − 3 = 1",
    ]);

    [Fact]
    public void The_taught_method_across_a_zero() => Told("604 - 278").ShouldBe(
    [
        "Ones: 4 is less than 8, so borrow.",
        "The tens have 0, so the hundreds lend.",
        "Strike 6 in the hundreds: 5 are left.",
        "The 0 in the tens becomes 10, lends one, and 9 are left.",
        "One ten is ten ones: 4 becomes 14.",
        "14 − 8 = 6",
        "Tens: 9 is enough to take 7 away.",
        "9 − 7 = 2",
        "Hundreds: 5 is enough to take 2 away.",
        "5 − 2 = 3",
    ]);

    [Fact]
    public void The_taught_method_past_two_zeros_and_over_nothing() => Told("5003 - 8").ShouldBe(
    [
        "Ones: 3 is less than 8, so borrow.",
        "Past the zeros, the thousands lend.",
        "Strike 5 in the thousands: 4 are left.",
        "The 0 in the hundreds becomes 10, lends one, and 9 are left.",
        "The 0 in the tens becomes 10, lends one, and 9 are left.",
        "One ten is ten ones: 3 becomes 13.",
        "13 − 8 = 5",
        "Tens: nothing to take away, 9 stays.",
        "Hundreds: nothing to take away, 9 stays.",
        "Thousands: nothing to take away, 4 stays.",
    ]);

    [Fact]
    public void A_column_turned_round() => Told("52 - 38", "turns-column-round").ShouldBe(
    [
        "Ones: turns the column round, 8 − 2.",
        "8 − 2 = 6",
        "Tens: 5 is enough to take 3 away.",
        "5 − 3 = 2",
    ]);

    // A thousand is taken and ten ones come: no ten was changed, and the replay does not say that one was.
    [Theory]
    [InlineData("5004 - 1236", "zeros-skipped", "Puts ten to the 4 in the ones: 14.")]
    [InlineData("604 - 278", "lender-unchanged", "Puts ten to the 4 in the ones: 14.")]
    [InlineData("684 - 278", "zeros-skipped", "One ten is ten ones: 4 becomes 14.")]
    public void A_ten_that_nobody_paid_is_not_said_to_be_changed(string task, string bug, string says) => Told(task, bug).ShouldContain(says);

    [Fact]
    public void A_zero_left_as_it_is() => Told("604 - 278", "zeros-skipped").ShouldContain("The 0 in the tens is left as it is.");

    [Fact]
    public void A_lender_that_does_not_pay() => Told("52 - 38", "lender-unchanged").ShouldContain("The tens stay at 5, though they lend.");

    [Fact]
    public void A_receiver_that_gets_one() => Told("52 - 38", "receiver-one-more").ShouldContain("Adds one instead of ten: 2 becomes 3.");

    [Fact]
    public void An_end_that_comes_too_soon() => Told("645 - 32", "stops-when-bottom-ends")[^1].ShouldBe("Stops here.");

    [Theory]
    [InlineData("52 - 38", "lender-unchanged", "subtraction.lender-value", 1)]
    [InlineData("52 - 38", "turns-column-round", "subtraction.column", 0)]
    [InlineData("604 - 278", "zeros-become-ten", "subtraction.passed-zero", 1)]
    [InlineData("645 - 32", "stops-when-bottom-ends", "subtraction.onward", 2)]
    [InlineData("645 - 32", "lines-up-left", "subtraction.alignment", null)]
    [InlineData("52 - 38", "minus-read-as-plus", "subtraction.operation", null)]
    public void The_deviant_step_is_named_with_its_place(string task, string bug, string point, int? place)
    {
        var run = new MethodRun { Recording = true };
        Method.Run(TaskText.TryParse(task).Value!, run, Catalogue.Find("subtraction." + bug)!.Alone);
        var step = run.Steps.First(s => s.Cause == StepCause.Bug);
        (step.Name, step.Place).ShouldBe((point, place));
        step.ChosenText.ShouldNotBe(step.TaughtText);
    }

    [Fact]
    public void Every_choice_of_every_decision_can_be_said()
    {
        var run = new MethodRun { Recording = true };
        foreach (var family in FamilyList.All)
        {
            var pool = ItemPool.Of(family, 6, seed: 3);
            foreach (var unlisted in TaughtFamily.Of(family).Decisions.SelectMany(p => p.AllDeviations()))
            {
                var text = unlisted.Text.In(ClassroomWord.Regroup);
                (text.Length > 7 && char.IsUpper(text[0])).ShouldBeTrue(unlisted.Text);
                if (!unlisted.Id.Contains("/always/")) continue; // What is done is told alike in contexts of every kind.
                foreach (var task in pool)
                {
                    Method.Run(task, run, new DeviationSet([[unlisted.Deviation]]));
                    foreach (var step in run.Steps) (step.ChosenText.Length > 2 && step.TaughtText.Length > 2).ShouldBeTrue(unlisted.Id);
                }
            }
        }
    }

    [Fact]
    public void Steps_and_runs_without_a_recorder_come_to_the_same()
    {
        var recorded = new MethodRun { Recording = true };
        var plain = new MethodRun();
        foreach (var family in FamilyList.All)
        {
            var pool = ItemPool.Of(family, 8, seed: 9);
            foreach (var bug in Catalogue.Of(family))
                foreach (var task in pool)
                {
                    Method.Run(task, recorded, bug.Alone);
                    Method.Run(task, plain, bug.Alone);
                    plain.Page.Answer.ToString().ShouldBe(recorded.Page.Answer.ToString());
                    plain.StepCount.ShouldBe(recorded.Steps.Count);
                }
        }
    }
}
