using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Procedures;

/// <summary>Another operation than the one that is set is done by its own method: with its marks, facts, slips and bugs.</summary>
public class OtherOperationTests
{
    private static WorkedItem Written(string task, params string[] bugs) =>
        new SimulatedStudent(new Hypothesis([.. bugs.Select(b => Catalogue.Find(b)!)], [], []), 1, 0, 1).Write("1", TaskText.TryParse(task).Value!);

    [Theory]
    [InlineData("604 - 278", "882", "subtraction.minus-read-as-plus")]
    [InlineData("604 - 278", "872", "subtraction.minus-read-as-plus", "addition.carry-dropped")]
    [InlineData("386 + 75", "311", "addition.subtracts-instead")]
    [InlineData("385 + 76", "311", "addition.subtracts-instead", "subtraction.turns-column-round")]
    [InlineData("90 + 36 + 20", "34", "addition.subtracts-instead")]
    [InlineData("47 * 36", "83", "multiplication.adds-factors")]
    [InlineData("47 * 36", "73", "multiplication.adds-factors", "addition.carry-dropped")]
    [InlineData("58 / 4", "202", "division.multiplies-instead", "multiplication.carry-dropped")]
    [InlineData("52 / 8", "56", "division.subtracts-once", "subtraction.turns-column-round")]
    [InlineData("2.4 * 0.7", "2.1", "decimal-products.adds-decimals", "addition.carry-dropped")]
    [InlineData("-2.4 * 0.15", "-2.25", "decimal-products.adds-decimals")]
    [InlineData("3.4 * 2.5", "6.2", "decimal-products.parts-multiplied-apart")]
    [InlineData("38.4 * 2.5", "66.2", "decimal-products.parts-multiplied-apart", "multiplication.carry-dropped")]
    public void The_other_method_is_followed_with_its_bugs(string task, string answer, params string[] bugs) => Written(task, bugs).Answer.ShouldBe(answer);

    [Fact]
    public void The_other_method_leaves_its_marks()
    {
        Written("604 - 278", "subtraction.minus-read-as-plus").Work.Get(WorkFields.Carries)!.At(1).ShouldBe(["1"]);
        Written("386 + 75", "addition.subtracts-instead").Work.Get(WorkFields.Rewritten).ShouldBeNull();
        Written("385 + 76", "addition.subtracts-instead").Work.Get(WorkFields.Rewritten)!.At(0).ShouldBe(["15"]);
        Written("604 - 278").Work.Has(WorkFields.Carries).ShouldBeFalse();
    }

    [Fact]
    public void A_student_who_adds_and_drops_the_carry_is_found()
    {
        string[] lines = ["604 - 278 = 872", "523 - 168 = 681", "80 - 36 = 116", "415 - 203 = 618", "752 - 338 = 1080", "67 - 25 = 82", "346 - 128 = 464", "58 - 37 = 85"];
        var reading = SheetDiagnosis.Read(new WorkedSheet { Student = "O", Items = ItemList.TryParse(string.Join('\n', lines), null, out _) });
        reading.Explanations[0].Hypothesis.RuleIds.Order().ShouldBe(["addition.carry-dropped", "subtraction.minus-read-as-plus"]);
    }

    [Fact]
    public void Two_operations_that_call_for_each_other_come_to_an_end() =>
        Written("604 - 278", "subtraction.minus-read-as-plus", "addition.subtracts-instead").Answer.ShouldBe("882");
}
