using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Families.Subtraction;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>The parts of the reading, each on its own.</summary>
public class PartsTests
{
    private static readonly MethodRun Run = new();

    private static Hypothesis Student(params string[] bugs) => new([.. bugs.Select(b => Catalogue.Find("subtraction." + b)!)], [], []);

    private static ItemEvidence Item(string line) => ItemEvidence.Whole(ItemList.TryParse(line, null, out _)[0]);

    private static ItemEvidence Marked(string task, string answer, params (WorkField Field, int Place, string Text)[] marks)
    {
        var fields = marks.Select(m => m.Field).Append(WorkFields.Rewritten).Distinct().ToArray();
        return ItemEvidence.Whole(new WorkedItem
        {
            Id = "1",
            Task = TaskText.TryParse(task).Value!,
            TaskAsWritten = task,
            Answer = answer,
            Work = Work.Of(marks.Select(m => new Mark(m.Field, new Spot(Place: m.Place), m.Text)), fields),
        });
    }

    [Fact]
    public void Two_chances_can_be_followed_in_as_many_ways_as_the_method_leaves()
    {
        var ways = new List<string>();
        WayEnumeration.Visit(TaskText.TryParse("523 - 168").Value!, Run, Student("turns-column-round").Deviations, declined => ways.Add($"{declined}:{Run.Page.Answer}"));
        ways.ShouldBe(["0:445", "1:455", "2:365", "3:355"]);
    }

    [Fact]
    public void A_way_that_has_fewer_chances_is_met_once()
    {
        var ways = new List<string>();
        WayEnumeration.Visit(TaskText.TryParse("604 - 278").Value!, Run, Student("turns-column-round").Deviations, declined => ways.Add($"{Run.Chances}:{Run.Page.Answer}"));
        ways.ShouldBe(["2:474", "1:326", "2:334"]);
    }

    [Fact]
    public void With_many_chances_at_most_two_are_declined()
    {
        var declined = new List<ulong>();
        WayEnumeration.Visit(ColumnDifference.Of(876_543, 123_321), Run, Student("counts-start-number").Deviations, declined.Add);
        declined.Count.ShouldBe(1 + 6 + 15);
        declined.ShouldBeUnique();
    }

    [Fact]
    public void Declining_that_opens_many_more_chances_stays_bounded()
    {
        var ways = 0;
        var student = new Hypothesis([Catalogue.Find("decimal-division.zeros-not-appended-after-point")!, Catalogue.Find("division.digit-too-small")!], [], []);
        foreach (var task in ItemPool.Of(FamilyList.DecimalDivision, 200, seed: 3))
        {
            ways = 0;
            WayEnumeration.Visit(task, Run, student.Deviations, _ => ways++);
            ways.ShouldBeLessThan(400, task.Text);
        }
    }

    [Fact]
    public void The_answers_of_a_student_sum_to_one()
    {
        var answers = AnswerPrediction.Answers(TaskText.TryParse("523 - 168").Value!, Student("turns-column-round"), 0.9, Run);
        answers["445"].ShouldBe((0.81 + 0.9) / 2, 1e-12);
        answers["455"].ShouldBe(0.09 / 2, 1e-12);
        answers["355"].ShouldBe((0.01 + 0.1) / 2, 1e-12);
        answers.Values.Sum().ShouldBe(1, 1e-12);
    }

    [Fact]
    public void A_wrong_difference_is_a_slip_at_one_fact()
    {
        var slips = new SlipSearch(Run).Explain(Item("523 - 168 = 356"), DeviationSet.Taught);
        slips[0].Step.Fact.ShouldBe(new NumberFact(FactKind.Minus, 13, 8));
        slips[0].Slip.Choice.ShouldBe(6);
    }

    [Fact]
    public void A_forgotten_strike_out_is_a_slip_at_the_lender()
    {
        var slips = new SlipSearch(Run).Explain(Item("86 - 47 = 49"), DeviationSet.Taught);
        slips.ShouldContain(s => s.Step.Name == "subtraction.lender-value");
    }

    [Fact]
    public void What_no_single_step_explains_has_no_slip() =>
        new SlipSearch(Run).Explain(Item("523 - 168 = 917"), DeviationSet.Taught).ShouldBeEmpty();

    [Fact]
    public void Slips_on_one_run_are_probabilities()
    {
        foreach (var answer in Enumerable.Range(0, 100))
            new SlipSearch(Run).Explain(Item($"86 - 47 = {answer}"), DeviationSet.Taught).Sum(s => s.Probability).ShouldBeInRange(0, 1);
    }

    [Fact]
    public void Among_ways_to_one_answer_the_marks_choose()
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(TaskText.TryParse("52 - 38").Value!, run, DeviationSet.Taught);
        Marked("52 - 38", "14", (WorkFields.Rewritten, 0, "12"), (WorkFields.Rewritten, 1, "4")).MarksOf(run)!.Weight.ShouldBe(1);
        Marked("52 - 38", "14", (WorkFields.Rewritten, 0, "12")).MarksOf(run)!.Weight.ShouldBe(0.8, 1e-12);
        Marked("52 - 38", "14").MarksOf(run)!.Weight.ShouldBe(0.8 * 0.8, 1e-12);
        Marked("52 - 38", "14", (WorkFields.Rewritten, 0, "12"), (WorkFields.Rewritten, 1, "5")).MarksOf(run)!.Weight.ShouldBe(0.2, 1e-12);
        Item("52 - 38 = 14").MarksOf(run).ShouldBeNull();
    }

    [Fact]
    public void Only_the_last_of_several_marks_in_one_place_is_compared()
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(TaskText.TryParse("604 - 278").Value!, run, DeviationSet.Taught);
        Marked("604 - 278", "326", (WorkFields.Rewritten, 0, "14"), (WorkFields.Rewritten, 1, "9"), (WorkFields.Rewritten, 2, "5")).MarksOf(run)!.Weight.ShouldBe(1);
    }

    [Theory]
    [InlineData(2, 0, 0, 0, 0.15 + 0.85 * (0.5 * 2.1375 * 2.1375 + 0.3 * 1.125 * 1.125 + 0.2 * 0.1125 * 0.1125))]
    [InlineData(0, 0, 1, 0, 0.15 + 0.85 * (0.5 * 0.05 + 0.3 * 0.5 + 0.2 * 0.95))]
    [InlineData(0, 1, 0, 0, 0.15 + 0.85 * (0.5 * 0.2375 + 0.3 * 0.125 + 0.2 * 0.0125))]
    [InlineData(0, 0, 0, 1, 0.15 + 0.85 * 0.25)]
    public void A_page_is_marked_by_a_habit_or_in_a_way_of_its_own(int same, int differ, int missing, int extra, double expected)
    {
        var marks = new SheetMarks();
        marks.Add(new MarkEvidence([(0, new FieldMatch(same, differ, missing, extra))]));
        Math.Exp(marks.LogEvidence).ShouldBe(expected, 1e-9);
    }

    [Fact]
    public void However_often_marks_differ_they_rule_nothing_out()
    {
        var marks = new SheetMarks();
        for (var item = 0; item < 100; item++) marks.Add(new MarkEvidence([(0, new FieldMatch(0, 5, 5, 5))]));
        marks.LogEvidence.ShouldBe(Math.Log(0.15), 1e-9);
    }

    [Fact]
    public void The_likelihood_of_an_item_adds_up_its_ways()
    {
        var item = new ItemLikelihood([new Way(2, 2, false, 0), new Way(2, 1, true, 0), new Way(2, 1, false, 0.1), new Way(2, 0, false, 0)], "445");
        // One of two chances is followed by those who decide chance by chance only, which is half of them.
        var expected = 0.045 * 0.95 + 0.045 * 0.05 * Priors.SlipIsOneStep * 0.1 + 0.05 * Priors.OtherSlip;
        item.At(0.9, 0.05).ShouldBe(expected, 1e-12);
        item.IsMet.ShouldBeTrue();
        item.MostProbable(0.9)!.Value.Followed.ShouldBe(1);
    }

    [Theory]
    [InlineData(0.9, 0, 0, 1)]
    [InlineData(0.9, 1, 1, 0.9)]
    [InlineData(0.9, 1, 0, 0.1)]
    [InlineData(0.9, 2, 2, 0.855)]
    [InlineData(0.9, 2, 1, 0.045)]
    [InlineData(0.9, 2, 0, 0.055)]
    [InlineData(0.75, 3, 0, 0.1328125)]
    public void Rules_are_followed_chance_by_chance_or_item_by_item(double consistency, int chances, int followed, double probability) =>
        Priors.Following(consistency, chances, followed).ShouldBe(probability, 1e-12);

    /// <summary>All ways of an item together: each count of followed chances as often as there are ways to it.</summary>
    [Theory]
    [InlineData(0.98, 4)]
    [InlineData(0.55, 5)]
    public void The_ways_of_an_item_sum_to_one(double consistency, int chances)
    {
        var (sum, ways) = (0.0, 1);
        for (var followed = 0; followed <= chances; followed++)
        {
            sum += ways * Priors.Following(consistency, chances, followed);
            ways = ways * (chances - followed) / (followed + 1);
        }

        sum.ShouldBe(1, 1e-12);
    }

    [Fact]
    public void The_priors_are_probabilities()
    {
        Priors.Consistency.Sum(c => c.Weight).ShouldBe(1, 1e-12);
        Priors.SlipRate.Sum(s => s.Weight).ShouldBe(1, 1e-12);
        (Priors.Sound + Priors.OneBug + Priors.TwoBugs + Priors.ThreeBugs + Priors.SomethingElse).ShouldBe(1, 1e-12);
    }

    [Fact]
    public void Near_values_of_a_fact_leave_out_the_one_that_is_held()
    {
        var near = new NumberFact(FactKind.Minus, 13, 8).Near(5).ToList();
        near.Select(v => v.Value).ShouldBe([0, 1, 2, 3, 4, 6, 7, 8, 9]);
        near.Single(v => v.Value == 6).Weight.ShouldBeGreaterThan(near.Single(v => v.Value == 9).Weight);
        new NumberFact(FactKind.Plus, 7, 8).Near(15).ShouldContain(v => v.Value == 25);
    }

    [Theory]
    [InlineData("13 - 8")]
    [InlineData("7 + 8")]
    [InlineData("6 * 9")]
    public void Facts_are_written_and_read(string text) => NumberFact.Parse(text).ToString().ShouldBe(text);

    [Fact]
    public void The_narrower_of_two_rules_is_the_exception()
    {
        var both = Student("turns-column-round", "zero-top-gives-zero");
        both.RuleIds.ShouldBe(["subtraction.zero-top-gives-zero", "subtraction.turns-column-round"]);
        Method.Run(TaskText.TryParse("80 - 36").Value!, Run, both.Deviations);
        Run.Page.Answer.ToString().ShouldBe("50");
        Method.Run(TaskText.TryParse("82 - 36").Value!, Run, both.Deviations);
        Run.Page.Answer.ToString().ShouldBe("54");
    }

    [Fact]
    public void Rules_are_named_and_found_again()
    {
        var rules = "unlisted:subtraction.column/below-is-9/write-top+subtraction.zeros-skipped";
        string.Join('+', Hypothesis.Parse(rules)!.RuleIds).ShouldBe(rules);
        Hypothesis.Parse("subtraction.no-such-bug").ShouldBeNull();
        Hypothesis.Parse("")!.RuleCount.ShouldBe(0);
    }

    [Fact]
    public void A_simulated_student_is_the_same_for_the_same_seed_and_slips_at_the_rate()
    {
        var tasks = ItemPool.Of(FamilyList.Subtraction, 400, seed: 8);
        string[] Write(int seed)
        {
            var student = new SimulatedStudent(Hypothesis.Sound, 1, 0.1, seed);
            return [.. tasks.Select(t => student.Write("1", t).Answer ?? "")];
        }

        Write(3).ShouldBe(Write(3));
        Write(3).ShouldNotBe(Write(4));
        Write(3).Zip(tasks).Count(p => p.First != p.Second.RightAnswer).ShouldBeInRange(15, 60);
    }

    [Fact]
    public void A_simulated_page_records_the_cells_only_where_the_answer_does_not_tell_them()
    {
        var student = new SimulatedStudent(Student("renames-always"), 1, 0, 1);
        student.Write("1", TaskText.TryParse("47 - 23").Value!).Work.Has(WorkFields.Cells).ShouldBeTrue();
        student.Write("1", TaskText.TryParse("23 - 5").Value!).Work.Has(WorkFields.Cells).ShouldBeFalse();
    }

    [Theory]
    [InlineData("52 - 38 = 24", """{"0":"12"}""", "lender-unchanged", 1, "4 over the tens", "no mark")]
    [InlineData("604 - 278 = 336", """{"2":"5","1":"10","0":"14"}""", "zeros-become-ten", 1, "9 over the tens", "10 over the tens")]
    [InlineData("52 - 38 = 15", """{"1":"4","0":"3"}""", "receiver-one-more", 0, "12 over the ones", "3 over the ones")]
    [InlineData("52 - 38 = 24", null, "lender-unchanged", 1, "Strike 5 in the tens: 4 are left.", "The tens stay at 5, though they lend.")]
    [InlineData("604 - 278 = 336", null, "zeros-become-ten", 1, "The 0 in the tens becomes 10, lends one, and 9 are left.", "The 0 in the tens becomes 10 and stays so.")]
    [InlineData("52 - 38 = 26", null, "turns-column-round", 0, "4", "6")]
    [InlineData("415 - 203 = 202", null, "zero-below-gives-zero", 1, "1", "0")]
    [InlineData("46 - 26 = 2", null, "equal-left-blank", 0, "0", "no mark")]
    public void The_first_wrong_step_says_what_should_stand_there_and_what_does(string line, string? rewritten, string bug, int place, string expected, string written)
    {
        var item = Item(line);
        if (rewritten is not null)
        {
            using var marks = System.Text.Json.JsonDocument.Parse($$"""{"rewritten":{{rewritten}}}""");
            item = ItemEvidence.Whole(WorkedItemReader.TryRead(item.Item, item.Item.Answer, marks.RootElement, out _)!);
        }

        var sheet = new SheetLikelihood([item], [Catalogue.Find("subtraction." + bug)!], []);
        var candidate = sheet.Rough(Student(bug));
        var trusted = new Trusted([new Share(candidate, 1)], 0, 0);
        var step = new ItemReader(sheet, trusted.Candidates, Told.Of(trusted, sheet)).Read([item.Item])[0].FirstWrongStep!;
        (step.Place, step.Expected, step.Written).ShouldBe((place, expected, written));
    }
}
