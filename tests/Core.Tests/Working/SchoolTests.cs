using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Working;

/// <summary>What a student was taught where schools differ: named on the sheet, or weighed.</summary>
public class SchoolTests
{
    [Fact]
    public void The_names_and_values_are_those_of_the_format() =>
        School.Questions.Select(q => $"{q.Name}: {string.Join(" ", q.Values)}").ShouldBe(
        [
            "fractions: least-denominator product-of-denominators",
            "mixed-numbers: improper-first rename-a-whole",
            "binomials: box four-products",
            "carry-mark: above below beside",
            "factoring: cross-and-box trial-pairs middle-and-gap",
            "roots: straight-line number-line",
            "product-sign: sign-first sign-last",
            "decimal-point: point-first point-last",
        ]);

    [Fact]
    public void What_is_named_is_certain()
    {
        var possible = School.Possible(new Dictionary<string, string> { ["factoring"] = "trial-pairs", ["product-sign"] = "sign-last" }, [School.Factoring], []);
        possible.Count.ShouldBe(1);
        possible[0].School.Of(School.Factoring).ShouldBe(FactoringSchool.TrialPairs);
        possible[0].School.Of(School.ProductSign).ShouldBe(ProductSignSchool.SignLast);
        possible[0].School.Of(School.Roots).ShouldBe(RootSchool.StraightLine);
    }

    [Fact]
    public void What_is_not_named_is_weighed_where_it_matters()
    {
        var possible = School.Possible(new Dictionary<string, string>(), [School.Factoring, School.Roots, School.Roots], []);
        possible.Count.ShouldBe(4); // cross and box writes what trial pairs do, but for marks
        possible.Sum(p => p.Weight).ShouldBe(1, 1e-12);
        possible.Select(p => p.School.Key).ShouldBe(["", "roots=number-line", "factoring=middle-and-gap", "factoring=middle-and-gap,roots=number-line"]);
        possible.Single(p => p.School.Key == "factoring=middle-and-gap,roots=number-line").Weight.ShouldBe(0.1, 1e-12);
    }

    [Fact]
    public void What_the_working_shows_oftenest_is_taken()
    {
        (SchoolQuestion, int)[] shown = [(School.Factoring, 1), (School.Factoring, 2), (School.Factoring, 2), (School.Binomials, 1)];
        var possible = School.Possible(new Dictionary<string, string> { ["binomials"] = "box" }, [School.Factoring], shown);
        possible.ShouldHaveSingleItem().School.Key.ShouldBe("factoring=middle-and-gap");
    }

    [Fact]
    public void Weights_sum_to_1_for_every_question()
    {
        foreach (var question in School.Questions)
        {
            question.Weights.Count.ShouldBe(question.Values.Count, question.Name);
            question.Weights.Sum().ShouldBe(1, 1e-12, question.Name);
        }
    }

    [Theory]
    [InlineData("-6 * 9", "sign-first", "integers.product-sign fact")]
    [InlineData("-6 * 9", "sign-last", "fact integers.product-sign")]
    [InlineData("-0.3 * 2", "sign-last", "fact integers.product-sign")]
    [InlineData("-0.6 / 2", "sign-first", "integers.product-sign fact")]
    [InlineData("-0.6 / 2", "sign-last", "fact integers.product-sign")]
    public void The_walk_follows_the_school(string task, string value, string order)
    {
        var run = new MethodRun { Recording = true };
        Method.Run(TaskText.TryParse(task).Value!, run, new DeviationSet(School.Named(new Dictionary<string, string> { ["product-sign"] = value }), []));
        string.Join(' ', run.Steps.Select(s => s.Name).Where(n => n is "fact" or "integers.product-sign").Distinct()).ShouldBe(order);
    }

    [Fact]
    public void The_explanation_holds_the_school_that_the_sheet_names()
    {
        var sheet = new WorkedSheet
        {
            Student = "S",
            Methods = new Dictionary<string, string> { ["product-sign"] = "sign-last" },
            Items = ItemList.TryParse("-6 * 9 = 54\n-7 * 3 = 21\n8 * -4 = 32\n-5 * -6 = 30\n-5 + 8 = 3\n-9 - 4 = -13", null, out _),
        };
        var reading = SheetDiagnosis.Read(sheet);
        reading.Explanations.ShouldAllBe(e => e.Hypothesis.School.Of(School.ProductSign) == ProductSignSchool.SignLast);
        reading.Items[0].Replay.Hypothesis.School.Of(School.ProductSign).ShouldBe(ProductSignSchool.SignLast);
    }

    [Fact]
    public void A_bug_stays_with_the_school_it_is_added_to()
    {
        var last = School.Named(new Dictionary<string, string> { ["product-sign"] = "sign-last" });
        var student = Hypothesis.SoundIn(last).With(Catalogue.Find("integers.minus-minus-stays-minus")!);
        student.School.ShouldBe(last);
        student.Without(student.Bugs[0]).School.ShouldBe(last);
    }
}
