using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Beside;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>Bugs of whole numbers where these come up inside fractions, polynomials and equations: they keep their ids, and are found there.</summary>
public class NumbersInsideTests
{
    // Each by hand: 43 - 17 with the column turned round is 34, 34/60 is 17/30; 27 + 15 without the carry is 32; 6 times 14 without the carry is 64.
    [Theory]
    [InlineData("subtraction.turns-column-round", "43/60 - 17/60", "17/30")]
    [InlineData("subtraction.turns-column-round", "solve x + 17 = 43", "x = 34")]
    [InlineData("subtraction.turns-column-round", "simplify (43x^2 + 2) - (17x^2 + 1)", "34x^2 + 1")]
    [InlineData("addition.carry-dropped", "simplify (27x^2 + 4x) + (15x^2 + 3x)", "32x^2 + 7x")]
    [InlineData("addition.carry-dropped", "27/50 + 15/50", "16/25")] // 32/50
    [InlineData("multiplication.carry-dropped", "expand 6(14x + 1)", "64x + 6")]
    [InlineData("multiplication.carry-dropped", "solve 6(x + 14) = 6x + 64", "all")]
    public void A_bug_of_whole_numbers_shows_inside(string bug, string task, string answer)
    {
        var run = new MethodRun();
        Method.Run(TaskText.TryParse(task).Value!, run, Catalogue.Find(bug)!.Alone);
        run.Page.Answer.ToString().ShouldBe(answer);
    }

    [Theory]
    [InlineData("subtraction.turns-column-round", "43/60 - 17/60 = 17/30", "7/8 - 3/8 = 1/2", "52/75 - 28/75 = 12/25", "71/90 - 34/90 = 43/90", "5/6 - 2/5 = 13/30", "8/9 - 3/7 = 31/63")]
    [InlineData("addition.carry-dropped", "simplify (27x^2 + 4x) + (15x^2 + 38x) = 32x^2 + 32x", "simplify (3x^2 + 4x) + (5x^2 + 2x) = 8x^2 + 6x", "simplify (145x + 2) + (36x + 3) = 171x + 5",
        "simplify (18x - 4) + (24x - 1) = 32x - 5", "simplify (6x - 2) - (2x + 3) = 4x - 5", "simplify (57x + 2) + (26x + 3) = 73x + 5")]
    [InlineData("subtraction.turns-column-round", "solve x + 17 = 43 = x = 34", "solve x + 2 = 9 = x = 7", "solve x + 28 = 52 = x = 36", "solve 3x = 12 = x = 4", "solve x + 39 = 85 = x = 54", "solve x + 11 = 38 = x = 27")]
    public void It_is_found_there_by_its_id(string bug, params string[] items)
    {
        var reading = SheetDiagnosis.Read(new WorkedSheet
        {
            Student = "I",
            Items = [.. items.Select((item, i) => WorkedItem.Of($"{i + 1}", TaskText.TryParse(Split(item).Task).Value!) with { Answer = Split(item).Answer })],
        });
        reading.Explanations[0].Hypothesis.RuleIds.ShouldBe([bug]);
        reading.Explanations[0].Probability.ShouldBeGreaterThan(0.5);
    }

    // The answer of an equation holds an equals sign itself.
    private static (string Task, string Answer) Split(string item)
    {
        var at = item.StartsWith("solve", StringComparison.Ordinal) ? item.IndexOf(" = x", StringComparison.Ordinal) : item.IndexOf(" = ", StringComparison.Ordinal);
        return (item[..at], item[(at + 3)..]);
    }

    [Theory]
    [InlineData("999/7 + 1/998")]
    [InlineData("999/100 - 88/997")]
    [InlineData("999 998/999 + 7/8")]
    [InlineData("simplify (999999x^2 + 1) + (999999x^2 + 999999)")]
    [InlineData("expand 999999(999999x + 1)")]
    [InlineData("solve 999999(x + 999999) = 999999x + 1")]
    public void Long_numbers_end_with_an_answer_under_every_bug(string text)
    {
        var task = TaskText.TryParse(text).Value!;
        var run = new MethodRun();
        foreach (var bug in Catalogue.WorkedBeside(task.Family))
        {
            Method.Run(task, run, bug.Alone);
            run.Page.Answer.Length.ShouldBeGreaterThan(0, bug.Id);
        }
    }

    [Fact]
    public void Nobody_looks_for_new_rules_there_and_the_list_of_the_family_stays_its_own()
    {
        foreach (var family in new[] { FamilyList.Fractions, FamilyList.MixedNumbers, FamilyList.Polynomials, FamilyList.Expanding, FamilyList.Equations })
        {
            Catalogue.WorkedBeside(family).Select(b => b.Family).Distinct().ShouldBe([FamilyList.Addition, FamilyList.Subtraction, FamilyList.Multiplication]);
            TaughtFamily.Of(family).Decisions.Intersect(WholeNumbers.Decisions).ShouldBeEmpty();
            Catalogue.Of(family).Intersect(Catalogue.WorkedBeside(family)).ShouldBeEmpty();
        }

        Catalogue.WorkedBeside(FamilyList.Subtraction).ShouldBeEmpty();
    }
}
