using Shouldly;
using Xunit;
using YellowPencil.Core.Bugs;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Tests.Working;

/// <summary>What a simulated student leaves on the page, and marks in words.</summary>
public class SimulatedPageTests
{
    private static WorkedItem Written(string task, params string[] bugs)
    {
        var student = new Hypothesis([.. bugs.Select(b => Catalogue.Find(b)!)], null, []);
        return new SimulatedStudent(student, consistency: 1, slipRate: 0, seed: 1).Write("1", TaskText.TryParse(task).Value!);
    }

    [Fact]
    public void Rows_of_a_long_multiplication_stand_with_their_carries()
    {
        var work = Written("47 * 36").Work;
        work.Rows!.Select(r => r.Text).ShouldBe(["282", "1410"]);
        work.Rows![0].Carries!.At(1).ShouldBe(["4"]);
        work.Marks.ContainsKey(MarkField.Cells).ShouldBeFalse();
    }

    [Fact]
    public void A_product_by_one_digit_has_no_rows() => Written("47 * 8").Work.Rows.ShouldBeNull();

    [Fact]
    public void Numbers_are_recorded_where_they_are_not_lined_up()
    {
        Written("36.5 + 4.08").Work.Operands.ShouldBeNull();
        Written("36.5 + 4.08", "decimal-sums.right-ends-lined-up").Work.Operands.ShouldBe([new Operand("36.5", -1), new Operand("4.08", -1)]);
        Written("145 + 23", "addition.lines-up-left").Work.Operands.ShouldBe([new Operand("145", 0), new Operand("23", 1)]);
    }

    [Fact]
    public void The_order_is_recorded_where_it_is_not_the_usual_one()
    {
        Written("36 + 27").Work.Order.ShouldBeNull();
        Written("604 - 278", "subtraction.starts-at-left").Work.Order.ShouldBe("left-to-right");
    }

    [Fact]
    public void Cells_are_recorded_where_one_holds_two_digits() =>
        Written("36 + 27", "addition.writes-both-digits").Work.Marks[MarkField.Cells].At(0).ShouldBe(["13"]);

    [Fact]
    public void Cycles_of_a_division_stand_as_they_were_worked()
    {
        var steps = Written("612 / 6", "division.zero-left-out").Work.Steps!;
        steps.Select(s => s.Quotient).ShouldBe(["1", "2"]);
        steps[1].Product.ShouldBe("12");
    }

    [Fact]
    public void What_was_asked_for_stays_on_the_item()
    {
        var item = new SimulatedStudent(Hypothesis.Sound, 1, 0, 1).Write("7", LongDivision.Of(958, 4, QuotientForm.AsDecimal));
        (item.Form, item.Answer, item.TaskAsWritten).ShouldBe(("decimal", "239.5", "958 / 4"));
    }

    [Theory]
    [InlineData(MarkField.Cells, 1, 0, "7", "7")]
    [InlineData(MarkField.Carries, 1, 0, "1", "1 carried to the tens")]
    [InlineData(MarkField.Rewritten, -1, 0, "13", "13 over the tenths")]
    [InlineData(MarkField.Rows, 0, 1, "1410", "1410 in row 2")]
    [InlineData(MarkField.RowCarries, 2, 0, "4", "4 carried to the hundreds in row 1")]
    [InlineData(MarkField.StepDifference, 0, 0, "15", "15 left in cycle 1")]
    [InlineData(MarkField.StepBroughtDown, 0, 2, "8", "8 brought down in cycle 3")]
    [InlineData(MarkField.Places, 0, 0, "1", "1 decimal place")]
    [InlineData(MarkField.Places, 0, 0, "3", "3 decimal places")]
    [InlineData(MarkField.Operands, -1, 1, "4.08", "4.08 with its last digit in the tenths")]
    [InlineData(MarkField.Lines, 0, 0, "-7 + 4", "the line -7 + 4")]
    public void Marks_are_told_in_words(MarkField field, int place, int row, string text, string words) => MarkTexts.Of(new Mark(field, place, text, row)).ShouldBe(words);

    [Fact]
    public void What_is_recorded_can_be_asked_field_by_field()
    {
        var work = Written("-2.4 * 0.15").Work;
        work.Has(MarkField.Sign).ShouldBeTrue();
        work.Has(MarkField.Places).ShouldBeTrue();
        work.Has(MarkField.RowCarries).ShouldBeTrue();
        work.Has(MarkField.Lines).ShouldBeFalse();
        Work.None.IsEmpty.ShouldBeTrue();
        foreach (var field in Enum.GetValues<MarkField>()) Work.None.Has(field).ShouldBeFalse();
    }

    [Fact]
    public void Every_mark_that_a_method_leaves_is_in_one_of_its_fields()
    {
        var run = new MethodRun { KeepsMarks = true };
        foreach (var family in Method.Families.Where(f => f is not (Family.DecimalProducts or Family.DecimalDivision)))
            foreach (var task in ItemPool.Of(family, 30, seed: 3))
            {
                Method.Run(task, run, DeviationSet.Taught);
                run.Marks.Select(m => m.Field).Where(f => f is not MarkField.Order && !Method.Of(family).Fields.Contains(f)).ShouldBeEmpty(task.Text);
            }
    }
}
