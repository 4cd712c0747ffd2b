using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Families.Division;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Divisions;

namespace YellowPencil.Core.Tests.Working;

/// <summary>What a simulated student leaves on the page, and marks in words.</summary>
public class SimulatedPageTests
{
    private static WorkedItem Written(string task, params string[] bugs)
    {
        var student = new Hypothesis([.. bugs.Select(b => Catalogue.Find(b)!)], [], []);
        return new SimulatedStudent(student, consistency: 1, slipRate: 0, seed: 1).Write("1", TaskText.TryParse(task).Value!);
    }

    [Fact]
    public void Rows_of_a_long_multiplication_stand_with_their_carries()
    {
        var work = Written("47 * 36").Work;
        work.Get(WorkFields.Rows)!.Select(r => r.Text).ShouldBe(["282", "1410"]);
        work.Get(WorkFields.Rows)![0].Carries!.At(1).ShouldBe(["4"]);
        work.Has(WorkFields.Cells).ShouldBeFalse();
    }

    [Fact]
    public void A_product_by_one_digit_has_no_rows() => Written("47 * 8").Work.Get(WorkFields.Rows).ShouldBeNull();

    [Fact]
    public void Numbers_are_recorded_where_they_are_not_lined_up()
    {
        Written("36.5 + 4.08").Work.Get(WorkFields.Operands).ShouldBeNull();
        Written("36.5 + 4.08", "decimal-sums.right-ends-lined-up").Work.Get(WorkFields.Operands).ShouldBe([new Operand("36.5", -1), new Operand("4.08", -1)]);
        Written("145 + 23", "addition.lines-up-left").Work.Get(WorkFields.Operands).ShouldBe([new Operand("145", 0), new Operand("23", 1)]);
    }

    [Fact]
    public void The_order_is_recorded_where_it_is_not_the_usual_one()
    {
        Written("36 + 27").Work.Get(WorkFields.Order).ShouldBeNull();
        Written("604 - 278", "subtraction.starts-at-left").Work.Get(WorkFields.Order).ShouldBe("left-to-right");
    }

    [Fact]
    public void Cells_are_recorded_where_one_holds_two_digits() =>
        Written("36 + 27", "addition.writes-both-digits").Work.Get(WorkFields.Cells)!.At(0).ShouldBe(["13"]);

    [Fact]
    public void Cycles_of_a_division_stand_as_they_were_worked()
    {
        var steps = Written("612 / 6", "division.zero-left-out").Work.Get(WorkFields.Cycles)!;
        steps.Select(s => (s.Quotient, s.Product, s.BroughtDown)).ShouldBe([("1", "6", "1"), (null, null, "2"), ("2", "12", null)]);
    }

    [Fact]
    public void What_was_asked_for_stays_on_the_item()
    {
        var item = new SimulatedStudent(Hypothesis.Sound, 1, 0, 1).Write("7", LongDivision.Of(958, 4, QuotientForm.AsDecimal));
        (item.Form, item.Answer, item.TaskAsWritten).ShouldBe(("decimal", "239.5", "958 / 4"));
    }

    [Theory]
    [InlineData("cells", 0, 1, 0, "7", "7")]
    [InlineData("carries", 0, 1, 0, "1", "1 carried to the tens")]
    [InlineData("rewritten", 0, -1, 0, "13", "13 over the tenths")]
    [InlineData("rewrittenBelow", 0, 1, 0, "2", "2 over the bottom tens")]
    [InlineData("rows", 0, 0, 1, "1410", "1410 in row 2")]
    [InlineData("rows", 0, 1, 1, "141", "141 in row 2, ending in the tens")]
    [InlineData("rows", 1, 2, 0, "4", "4 carried to the hundreds in row 1")]
    [InlineData("steps", 0, 1, 0, "2", "2 in the quotient in cycle 1")]
    [InlineData("steps", 1, 1, 0, "8", "8 taken away in cycle 1")]
    [InlineData("steps", 2, 1, 0, "15", "15 left in cycle 1")]
    [InlineData("steps", 3, 0, 2, "8", "8 brought down in cycle 3")]
    [InlineData("places", 0, null, 0, "1", "1 decimal place")]
    [InlineData("places", 0, null, 0, "3", "3 decimal places")]
    [InlineData("sign", 0, null, 0, "-", "the sign -")]
    [InlineData("scaled", 1, null, 0, "816.4", "dividend 816.4")]
    [InlineData("operands", 0, -1, 1, "4.08", "4.08 with its last digit in the tenths")]
    [InlineData("order", 0, null, 0, "left-to-right", "worked from the left")]
    [InlineData("lines", 0, null, 0, "-7 + 4", "the line -7 + 4")]
    public void Marks_are_told_in_words(string field, int part, int? place, int line, string text, string words) =>
        new Mark(WorkFields.Find(field)!, new Spot(line, place, part), text).ToString().ShouldBe(words);

    [Fact]
    public void What_is_recorded_can_be_asked_field_by_field()
    {
        var work = Written("-2.4 * 0.15").Work;
        work.Has(WorkFields.Sign).ShouldBeTrue();
        work.Has(WorkFields.Places).ShouldBeTrue();
        work.Get(WorkFields.Rows)![0].Carries.ShouldNotBeNull();
        work.Has(WorkFields.Lines).ShouldBeFalse();
        Work.None.IsEmpty.ShouldBeTrue();
        foreach (var field in WorkFields.All) Work.None.Has(field).ShouldBeFalse();
    }

    [Fact]
    public void Every_mark_that_a_method_leaves_is_in_one_of_its_fields()
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        foreach (var family in FamilyList.All.Where(f => f != FamilyList.DecimalProducts && f != FamilyList.DecimalDivision))
            foreach (var task in ItemPool.Of(family, 30, seed: 3))
            {
                Method.Run(task, run, DeviationSet.Taught);
                run.Page.Marks.Select(m => m.Field).Where(f => f != WorkFields.Order && !TaughtFamily.Of(family).Fields.Contains(f)).ShouldBeEmpty(task.Text);
            }
    }
}
