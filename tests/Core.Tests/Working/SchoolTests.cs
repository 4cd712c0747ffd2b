using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Working;

/// <summary>What a student was taught where schools differ: named on the sheet, or weighed.</summary>
public class SchoolTests
{
    [Fact]
    public void The_names_and_values_are_those_of_the_format() =>
        School.All.Select(q => $"{q.Name}: {string.Join(" ", q.Values)}").ShouldBe(
        [
            "facts: recalled counted",
            "carry-mark: above below beside",
            "product-carry: above beside remembered",
            "placeholder: zero-written row-shifted",
            "quotient-digit: facts skip-counting listed-multiples",
            "zero-cycle: passed-over written",
            "decimal-point: point-first point-last",
            "decimal-reading: by-place digit-by-digit",
            "product-sign: sign-first sign-last",
            "fractions: least-denominator product-of-denominators",
            "mixed-numbers: improper-first rename-a-whole",
            "binomials: box four-products",
            "factoring: cross-and-box trial-pairs middle-and-gap",
            "roots: straight-line number-line",
            "equation-moves: both-sides across",
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
        foreach (var question in School.All)
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

    [Theory]
    [InlineData("856 / 8", """{"multiples":["8","16","24"]}""", "quotient-digit=listed-multiples")]
    [InlineData("856 / 8", """{"steps":[{"quotient":"1","product":"8","difference":"0","broughtDown":"5"},{"quotient":"0","product":"0","difference":"5","broughtDown":"6"}]}""", "zero-cycle=written")]
    [InlineData("856 / 8", """{"steps":[{"quotient":"1","product":"8","difference":"0","broughtDown":"5"},{"quotient":"0","broughtDown":"6"}]}""", "zero-cycle=passed-over")]
    [InlineData("856 / 8", """{"steps":[{"quotient":"1"},{"quotient":"0"}]}""", "")]
    [InlineData("solve 2x + 7 = 15", """{"lines":["2x = 15 - 7","2x = 8"]}""", "equation-moves=across")]
    [InlineData("solve 2x + 7 = 15", """{"lines":["2x + 7 - 7 = 15 - 7","2x = 8"]}""", "equation-moves=both-sides")]
    [InlineData("solve 2x + 7 = 15", """{"lines":["2x = 8"]}""", "")]
    public void The_working_shows_the_school(string task, string work, string schools)
    {
        var sheet = SheetReader.TryRead($$"""{"format":"yellow-pencil.worked-sheet","version":1,"student":"R","items":[{"id":"1","task":"{{task}}","answer":"5","work":{{work}}}]}""", out _)!;
        var shown = TaughtFamily.Of(sheet.Items[0].Task.Family).SchoolsShown(sheet.Items[0]);
        string.Join(',', shown.Select(s => $"{s.Question.Name}={s.Question.Values[s.Answer]}")).ShouldBe(schools);
    }

    [Theory]
    [InlineData("solve 2x + 7 = 15", "equation-moves", 0, "2x = 8")]
    [InlineData("solve 2x + 7 = 15", "equation-moves", 1, "2x = 15 - 7; 2x = 8")]
    [InlineData("solve 5x - 3 = 2x + 12", "equation-moves", 0, "3x - 3 = 12; 3x = 15")]
    [InlineData("solve 5x - 3 = 2x + 12", "equation-moves", 1, "5x - 2x - 3 = 12; 3x - 3 = 12; 3x = 12 + 3; 3x = 15")]
    public void An_equation_is_written_in_the_school_of_the_classroom(string task, string question, int answer, string lines)
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(TaskText.TryParse(task).Value!, run, new DeviationSet(School.Usual.With(School.All.First(q => q.Name == question), answer), []));
        string.Join("; ", run.Page.Marks.Where(m => m.Field == WorkFields.Lines).Select(m => m.Text)).ShouldBe(lines);
    }

    [Theory]
    [InlineData(1, "1 8 0 5 0 0 5 6 7 56 0")]
    [InlineData(0, "1 8 0 5 0 6 7 56 0")]
    public void A_cycle_of_0_is_written_or_passed_over(int answer, string written)
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(TaskText.TryParse("856 / 8").Value!, run, new DeviationSet(School.Usual.With(School.ZeroCycle, answer), []));
        string.Join(' ', run.Page.Marks.Select(m => m.Text)).ShouldBe(written);
    }

    [Fact]
    public void A_wrong_entry_in_a_list_of_multiples_is_told_by_itself()
    {
        var sheet = SheetReader.TryRead("""
            {"format":"yellow-pencil.worked-sheet","version":1,"student":"R","methods":{"quotient-digit":"listed-multiples","facts":"counted"},
            "items":[{"id":"1","task":"912 / 24","answer":"38","work":{"multiples":["24","48","74"]}}]}
            """, out _)!;
        var reading = SheetDiagnosis.Read(sheet);
        PageNotes.For(reading).Select(n => n.Text).ShouldContain("In item 1 the list of multiples has 74 for 3 × 24 = 72.");
        SheetWriter.Write(sheet).ShouldContain("\"multiples\":[\"24\",\"48\",\"74\"]");
    }
}
