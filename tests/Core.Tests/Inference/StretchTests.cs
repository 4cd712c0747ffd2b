using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>Workings in lines: each line leads to the next, and the reading goes on from what was written.</summary>
public class StretchTests
{
    private static WorkedItem Item(string task, string answer, params string[] lines) =>
        WorkedItem.Of("1", TaskText.TryParse(task).Value!) with { Answer = answer, Work = Work.None.With(WorkFields.Lines, lines) };

    private static string Stretches(WorkedItem item) => string.Join("; ", ItemEvidence.Of(item, 0, [School.Usual]).Select(s => $"{s.Task.StandsThere} to {s.Answer} {(s.IsRight ? "right" : "wrong")}"));

    [Theory]
    [InlineData("-7 - -4", "-3", "", "-7 - -4 to -3 right")]
    [InlineData("-7 - -4", "-3", "-7 + 4", "-7 - -4 to -7 + 4 right; -7 + 4 to -3 right")]
    [InlineData("-7 - 4", "-11", "-7 + -4", "-7 - 4 to -7 + -4 right; -7 + -4 to -11 right")]
    [InlineData("-7 - 4", "-11", "-7 + (-4) = -11", "-7 - 4 to -7 + (-4) right; -7 + -4 to -11 right")]
    [InlineData("-7 - -4", "-11", "-7 - 4", "-7 - -4 to -7 - 4 wrong; -7 - 4 to -11 right")]
    [InlineData("-7 - -4", "8", "11 - 3", "-7 - -4 to 11 - 3 wrong; 11 - 3 to 8 right")]
    [InlineData("-5 + 8", "3", "8 - 5", "-5 + 8 to 8 - 5 right; 8 - 5 to 3 right")]
    [InlineData("-6 * 9", "-54", "9 * -6", "-6 * 9 to 9 * -6 right; 9 * -6 to -54 right")]
    [InlineData("-5 + 8", "-3", "8 - 5", "-5 + 8 to 8 - 5 right; 8 - 5 to -3 wrong")]
    public void A_working_is_read_line_by_line(string task, string answer, string line, string stretches) => Stretches(Item(task, answer, line)).ShouldBe(stretches);

    [Theory]
    [InlineData("-7 - 4", "-11", "7 + 4 = 11", "worked beside it without the signs")]
    [InlineData("-7 - 4", "-11", "- 7 − 4", "a copy of the task")]
    [InlineData("-7 - 4", "-11", "what?", "no line of numbers")]
    [InlineData("-7 - 4", "-11", "-11", "the answer")]
    [InlineData("-6 * 9", "-54", "6 * 9 = 54", "worked beside it without the signs")]
    public void What_is_no_step_of_the_working_is_passed_over(string task, string answer, string line, string what) =>
        Stretches(Item(task, answer, line)).ShouldBe($"{task} to {answer} right", what);

    [Fact]
    public void Two_steps_merged_into_one_line_are_met() =>
        Stretches(Item("-7 - -4", "-3", "4 - 7", "-3")).ShouldBe("-7 - -4 to 4 - 7 right; 4 - 7 to -3 right");

    [Fact]
    public void A_wrong_line_is_the_one_error_of_what_follows_from_it()
    {
        var items = new[] { ("-7 - -4", "-11", "-7 - 4"), ("-9 - -5", "-14", "-9 - 5"), ("-2 - -8", "-10", "-2 - 8"), ("-12 - -3", "-15", "-12 - 3"), ("6 - -8", "-2", "6 - 8"), ("-5 + 8", "3", "8 - 5"), ("-6 * 9", "-54", "") };
        var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "L", Items = [.. items.Select((item, i) => Item(item.Item1, item.Item2, item.Item3) with { Id = $"{i + 1}" })] });
        reading.Explanations[0].Hypothesis.RuleIds.ShouldBe(["integers.minus-minus-stays-minus"]);
        var step = reading.Items[0].FirstWrongStep!;
        (step.Field, step.Row, step.Place, step.Written).ShouldBe((WorkFields.Lines, 1, null, "-7 - 4"));
        reading.Items[0].Cause.ShouldBe(Cause.Bug);
        reading.Explanations[0].Predictions["1"].ShouldBe("-11");
    }

    [Fact]
    public void Lines_that_follow_from_a_wrong_one_are_known_and_the_wrong_one_is_not_among_them()
    {
        Follow("7/12 + 5/6", "1 5/9", "42/72 + 60/72", "112/72", "14/9").ShouldBe([2, 3], "14/9 and 1 5/9 are what 112/72 is");
        Follow("7/12 + 5/6", "1 5/9", "42/72 + 60/72", "112/72", "14/8").ShouldBe([3], "14/8 is another number, and 1 5/9 is what 112/72 comes to");
        Follow("7/12 + 5/6", "1 5/12", "42/72 + 60/72", "102/72").ShouldBe([], "nothing is wrong");
        Follow("2/3 + 3/5", "5/8").ShouldBe([], "there are no lines");

        static IReadOnlyList<int> Follow(string task, string answer, params string[] lines) =>
            SheetDiagnosis.Read(new WorkedSheet { Student = "L", Items = [lines.Length > 0 ? Item(task, answer, lines) : Item(task, answer) with { Work = Work.None }] }).Items[0].FollowingLines;
    }

    [Fact]
    public void A_wrong_line_is_told_with_what_stands_there_and_what_is_due()
    {
        var reading = SheetDiagnosis.Read(new WorkedSheet
        {
            Student = "L",
            Items = [.. new[] { (7, 15, 22), (4, 20, 24), (3, 11, 14), (5, 17, 22) }.Select((n, i) => Item($"solve 2x + {n.Item1} = {n.Item2}", $"x = {n.Item3 / 2}", $"2x = {n.Item3}") with { Id = $"{i + 1}" })],
        });
        reading.Items[0].Told.ShouldBe("Brings the number of the left to the right with the same sign: 2x = 22; due is 2x = 8.");
        reading.Items[2].Told.ShouldEndWith(": 2x = 14; due is 2x = 8.");
        SheetDiagnosis.Read(new WorkedSheet { Student = "L", Items = [Item("2/3 + 3/5", "1 4/15", "10/15 + 9/15")] }).Items[0].Told.ShouldBe("");
    }

    [Theory]
    [InlineData("3/4 + 5/8", "44/32", "24/32 + 20/32", true)]
    [InlineData("3/4 + 5/8", "11/8", "", true)]
    [InlineData("3/4 + 5/8", "8/12", "", false)]
    [InlineData("3/4 + 5/8", "1 3/8", "", false)]
    public void What_is_right_and_not_at_its_end_is_told_from_what_is_wrong(string task, string answer, string line, bool isRightSoFar) =>
        SheetDiagnosis.Read(new WorkedSheet { Student = "L", Items = [line.Length > 0 ? Item(task, answer, line) : Item(task, answer) with { Work = Work.None }] })
            .Items[0].IsRightSoFar.ShouldBe(isRightSoFar);

    [Fact]
    public void The_end_of_the_x_that_is_wrong_is_named()
    {
        var item = Item("factor x^2 + x - 12", "(x + 4)(x + 3)") with { Work = Work.Of([new Mark(WorkFields.Cross, new Spot(Part: 0), "1"), new Mark(WorkFields.Cross, new Spot(Part: 1), "-12"), new Mark(WorkFields.Cross, new Spot(Part: 2), "4"), new Mark(WorkFields.Cross, new Spot(Part: 3), "3")], WorkFields.Cross) };
        var wrong = SheetDiagnosis.Read(new WorkedSheet { Student = "L", Items = [item] }).Items[0].FirstWrongStep!;
        (wrong.Field, wrong.Expected, wrong.Written).ShouldBe((WorkFields.Cross, "right -3", "right 3"), "4 and -3 may stand either way round");
        wrong.Part.ShouldBe(3);
    }

    [Fact]
    public void A_slip_behind_a_right_line_is_found_from_there()
    {
        var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "L", Items = [Item("-7 - -4", "-2", "-7 + 4"), Item("-5 + 8", "3") with { Id = "2" }, Item("-9 - 4", "-13") with { Id = "3" }, Item("-6 * 9", "-54") with { Id = "4" }] });
        reading.Outcome.ShouldNotBe(Outcome.Bug);
        reading.Items[0].Cause.ShouldBe(Cause.Slip);
        reading.Items[0].FirstWrongStep!.Text.ShouldContain("7 − 4 = 2");
    }

    // 9 + 13/19 is 9.684: written 9.68, or rounded there, and 9.7. 19.846 is 19.8, rounded twice it is 19.9.
    [Theory]
    [InlineData("sqrt(94)", "9.7", "9 + 13/19 | 9.68", "sqrt(94) to 9 + 13/19 right; 9 + 13/19 to 9.68 right; 9.68 to 9.7 right")]
    [InlineData("sqrt(94)", "9.6", "9 + 12/19 | 9.63", "sqrt(94) to 9 + 12/19 wrong; 9 + 12/19 to 9.63 right; 9.63 to 9.6 right")]
    [InlineData("sqrt(94)", "9.8", "9 + 13/19 | 9.78", "sqrt(94) to 9 + 13/19 right; 9 + 13/19 to 9.78 wrong; 9.78 to 9.8 right")]
    [InlineData("sqrt(31)", "5.5", "5.55", "sqrt(31) to 5.5 right")]
    [InlineData("sqrt(394)", "19.9", "19 + 33/39 | 19.85", "sqrt(394) to 19 + 33/39 right; 19 + 33/39 to 19.85 wrong; 19.85 to 19.9 right")]
    [InlineData("sqrt(94)", "9.7", "94 - 81 = 13", "sqrt(94) to 9.7 right")]
    [InlineData("sqrt(49)", "7", "7", "sqrt(49) to 7 right")]
    public void A_root_is_read_line_by_line(string task, string answer, string lines, string stretches) => Stretches(Item(task, answer, lines.Split(" | "))).ShouldBe(stretches);

    [Fact]
    public void A_difference_that_was_worked_wrongly_is_the_one_error_of_a_root()
    {
        var items = new[] { ("sqrt(94)", "9.6", "9 + 12/19"), ("sqrt(31)", "5.5", "5 + 6/11"), ("sqrt(50)", "7.1", "7 + 1/15"), ("sqrt(160)", "12.6", "12 + 16/25") };
        var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "L", Items = [.. items.Select((item, i) => Item(item.Item1, item.Item2, item.Item3) with { Id = $"{i + 1}" })] });
        reading.Outcome.ShouldBe(Outcome.Sound);
        var step = reading.Items[0].FirstWrongStep!;
        (step.Field, step.Row, step.Expected, step.Written).ShouldBe((WorkFields.Lines, 1, "94 − 81 = 13", "9 + 12/19"));
    }

    [Theory]
    [InlineData("-7 - 4", "-7 + -4", true)]
    [InlineData("-7 - 4", "-4 - 7", true)]
    [InlineData("-7 - 4", "-7 - -4", false)]
    [InlineData("9 * -6", "-6 * 9", true)]
    [InlineData("-24 / 6", "6 / -24", false)]
    public void Lines_that_say_the_same_are_known(string one, string other, bool same) => TaughtFamily.Of(FamilyList.Integers).IsSameLine(one, other).ShouldBe(same);

    private static Reading Read(params (string Task, string Answer, string[] Lines)[] items) => SheetDiagnosis.Read(
        new WorkedSheet { Student = "L", Items = [.. items.Select((item, i) => Item(item.Task, item.Answer, item.Lines) with { Id = $"{i + 1}" })] });

    [Fact]
    public void A_right_answer_behind_a_right_line_speaks_against_a_rule_that_the_line_no_longer_shows()
    {
        // −7 − 6 as −7 + −6 is no taking away from a negative number any more, and was one.
        var reading = Read(
            ("-4 - 4", "0", []), ("-7 - 6", "-13", ["-7 + -6"]), ("-9 - 9", "0", []), ("-8 - 5", "-13", ["-8 + -5"]), ("-3 - 3", "0", []), ("-12 - 4", "-16", ["-12 + -4"]));
        var towardsZero = reading.Explanations.Single(e => e.Hypothesis.RuleIds is ["integers.taking-from-negative-goes-up"]);
        (towardsZero.ItemsFollowed, towardsZero.ItemsWithChances).ShouldBe((3, 6));
        towardsZero.Probability.ShouldBeLessThan(0.7);
    }

    [Fact]
    public void Both_parts_are_divided_in_as_many_lines_as_somebody_likes() =>
        Stretches(Item("7/12 + 1/12", "2/3", "8/12", "4/6")).ShouldBe("7/12 + 1/12 to 8/12 right; 8/12 to 4/6 right; 4/6 to 2/3 right");

    [Fact]
    public void One_halving_behind_another_is_no_halving_once()
    {
        var reading = Read(
            ("1/4 - 1/8", "1/8", ["8/32 - 4/32", "4/32", "2/16"]), ("3/10 + 1/2", "4/5", ["6/20 + 10/20", "16/20", "8/10"]),
            ("5/6 - 3/6", "2/6", []), ("7/9 - 4/9", "3/9", []), ("3/4 + 1/8", "7/8", ["6/8 + 1/8"]), ("11/15 - 1/15", "10/15", []));
        reading.Explanations[0].Hypothesis.Key.ShouldNotContain("halved-once");
    }

    [Fact]
    public void Who_divides_once_and_then_takes_the_wholes_out_is_told_by_the_task_and_not_by_the_last_line()
    {
        var reading = Read(
            ("7/12 + 5/6", "1 15/36", ["42/72 + 60/72", "102/72", "51/36", "1 15/36"]), ("1/4 - 2/12", "2/24", ["12/48 - 8/48", "4/48"]), ("5/18 - 1/6", "6/54", ["30/108 - 18/108", "12/108"]),
            ("14/15 - 9/12", "11/60", ["168/180 - 135/180", "33/180"]), ("7/9 - 11/18", "9/54", ["126/162 - 99/162", "27/162"]));
        reading.Explanations[0].Hypothesis.RuleIds.ShouldBe(["fractions.reduced-once"]);
        reading.Explanations[0].ItemsFollowed.ShouldBe(4);
        reading.Items[0].Cause.ShouldBe(Cause.Bug);
        var step = reading.Items[0].FirstWrongStep!;
        (step.Field, step.Row, step.Due).ShouldBe((WorkFields.Lines, 4, "1 5/12"));
    }
}
