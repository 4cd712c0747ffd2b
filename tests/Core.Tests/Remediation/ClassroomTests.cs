using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Remediation;

/// <summary>Plans, scripts and paper on both sides of what schools disagree on.</summary>
public sealed class ClassroomTests
{
    private static Classroom With(SchoolQuestion question, int answer) => new(ClassroomWord.Rename, School.Usual.With(question, answer));

    [Theory]
    [InlineData("A {rename} here: {carry-mark?over|under|beside} it.", 0, "A rename here: over it.")]
    [InlineData("A {rename} here: {carry-mark?over|under|beside} it.", 1, "A rename here: under it.")]
    [InlineData("A {rename} here: {carry-mark?over|under|beside} it.", 2, "A rename here: beside it.")]
    [InlineData("Which comes first?", 2, "Which comes first?")]
    public void A_sentence_takes_the_wording_of_the_classroom(string sentence, int answer, string said) => sentence.In(With(School.CarryMark, answer)).ShouldBe(said);

    [Fact]
    public void Where_no_school_is_named_the_usual_wording_stands() => "{Rename} it, {placeholder?with a zero|shifted}.".In(ClassroomWord.Borrow).ShouldBe("Borrow it, with a zero.");

    [Fact]
    public void Every_question_on_schools_has_wordings_in_a_script_and_each_of_them_reads_as_a_sentence()
    {
        var sentences = TeachingScripts.All.SelectMany(s => new[] { s.Aim, s.Why, s.Material, s.Say, s.StopAt, s.First }).ToList();
        var asked = sentences.SelectMany(ClassroomSentences.QuestionsIn).ToList();
        foreach (var (name, wordings) in asked) wordings.ShouldBe(School.All.First(q => q.Name == name).Values.Count, name);
        asked.Select(a => a.Question).Distinct().Order().ShouldBe(School.All.Select(q => q.Name).Order());
        foreach (var question in School.All)
            for (var answer = 0; answer < question.Values.Count; answer++)
                foreach (var sentence in sentences)
                {
                    var said = sentence.In(With(question, answer));
                    said.ShouldNotContain("{");
                    said.ShouldNotContain("|");
                    said.ShouldNotContain("  ");
                    said.Count(c => c == '“').ShouldBe(said.Count(c => c == '”'), said);
                }
    }

    [Fact]
    public void A_school_is_the_same_after_it_was_kept()
    {
        foreach (var question in School.All)
            for (var answer = 0; answer < question.Values.Count; answer++)
                School.Parse(School.Usual.With(question, answer).Key).AnswerTo(question).ShouldBe(answer, question.Name);
        School.Parse("carry-mark=sideways,unknown=1,quotient-digit=listed-multiples").Key.ShouldBe("quotient-digit=listed-multiples");
    }

    [Theory]
    [InlineData("addition.carry-dropped", "carry-mark", 1, "under the line")]
    [InlineData("multiplication.placeholder-missing", "placeholder", 1, "which place stays free")]
    [InlineData("decimal-sums.right-ends-lined-up", "decimal-reading", 1, null)]
    public void A_plan_says_it_as_the_classroom_does(string rule, string question, int answer, string? says)
    {
        var hypothesis = Hypothesis.Parse(rule)!;
        var asked = School.All.First(q => q.Name == question);
        var usual = PlanMaker.Make("K", hypothesis, [], Classroom.Saying(ClassroomWord.Rename));
        var theirs = PlanMaker.Make("K", hypothesis, [], With(asked, answer));
        if (says is not null) PlanText.Markdown(theirs).ShouldContain(says);
        if (says is not null) PlanText.Markdown(usual).ShouldNotContain(says);
        theirs.School.ShouldBe($"{question}={asked.Values[answer]}");
        theirs.Changeable().ShouldBe(usual.Changeable());
    }

    [Theory]
    [InlineData("old-carry-used-again", 0, "strike it out.")]
    [InlineData("old-carry-used-again", 2, "say which product it came from.")]
    [InlineData("carry-dropped", 0, "The tens are noted above the next digit. If both digits are written here, or the tens are lost, lay the strips.")]
    [InlineData("carry-dropped", 1, "The tens are noted beside the row. If both digits are written here, or the tens are lost, lay the strips.")]
    public void The_carries_of_products_have_a_school_of_their_own(string bug, int answer, string says)
    {
        var hypothesis = Hypothesis.Parse($"multiplication.{bug}")!;
        PlanMaker.Make("K", hypothesis, [], With(School.ProductCarry, answer)).Script.Say.ShouldEndWith(says);
        PlanMaker.Make("K", hypothesis, [], With(School.CarryMark, 1)).Script.ShouldBe(PlanMaker.Make("K", hypothesis, [], Classroom.Saying(ClassroomWord.Rename)).Script);
    }

    [Fact]
    public void A_carry_stands_where_the_classroom_writes_it()
    {
        var task = TaskText.TryParse("478 + 256", null).Value!;
        int RowOf(int answer) => PageLayout.Of(task, School.Usual.With(School.CarryMark, answer)).Strips.First(s => s.Id == "carries").Row;
        int AnswerRow(int answer) => PageLayout.Of(task, School.Usual.With(School.CarryMark, answer)).Answer.Row;
        int LineRow(int answer) => PageLayout.Of(task, School.Usual.With(School.CarryMark, answer)).Lines[0].Row;
        RowOf(0).ShouldBe(0);
        (RowOf(1), LineRow(1), AnswerRow(1)).ShouldBe((2, 2, 3)); // under the line, above the answer
        LineRow(0).ShouldBe(AnswerRow(0));
    }

    [Fact]
    public void In_a_shifted_row_only_the_zeros_that_hold_its_place_are_left_out()
    {
        var task = TaskText.TryParse("350 * 204", null).Value!;
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(task, run, DeviationSet.Taught);
        string[] Rows(int answer, Func<int, bool> isHeld)
        {
            var layout = PageLayout.Of(task, School.Usual.With(School.Placeholder, answer));
            var squares = layout.Put(run.Page.Marks, isHeld);
            return [.. layout.Strips.Where(s => s.Id.StartsWith("rows-", StringComparison.Ordinal)).Select(s => squares.TextOf(s.Id) is var (text, last) ? $"{text}@{last}" : "").Where(t => t.Length > 0)];
        }

        Rows(0, _ => true).ShouldBe(["1400@0", "70000@0"]);
        Rows(1, _ => true).ShouldBe(["1400@0", "700@2"]); // the digit 0 of 204 has no row; the zero of 350 stays
        Rows(1, _ => false).ShouldBe(["1400@0", "70000@0"]);
    }

    [Theory]
    [InlineData("478 * 6", 0)]
    [InlineData("57 * 38", 1)] // the carry of the row sum is written all the same
    public void Carries_of_a_product_that_are_kept_in_the_head_are_not_drawn(string written, int drawn)
    {
        var task = TaskText.TryParse(written, null).Value!;
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(task, run, DeviationSet.Taught);
        int Carries(int answer)
        {
            var layout = PageLayout.Of(task, School.Usual.With(School.ProductCarry, answer));
            var squares = layout.Put(run.Page.Marks, _ => true);
            return layout.Strips.Where(s => s.Id.Contains("carries", StringComparison.Ordinal)).Sum(s => squares.In(s.Id).Count);
        }

        Carries(0).ShouldBeGreaterThan(drawn);
        Carries(2).ShouldBe(drawn);
    }

    [Fact]
    public void The_point_of_a_sum_is_told_first_or_last()
    {
        var run = new MethodRun { Recording = true };
        Method.Run(TaskText.TryParse("4.56 + 3.7", null).Value!, run, DeviationSet.Taught);
        string[] Told(int answer) => [.. ToldSteps.InOrder(run.Steps, FamilyList.DecimalSums, School.Usual.With(School.DecimalPoint, answer)).Select(s => s.Name)];
        Told(1)[^1].ShouldBe("decimal-sums.point");
        Told(0).Index().First(s => s.Item == "decimal-sums.point").Index.ShouldBe(1); // after the points are lined up
        Told(0).Order().ShouldBe(Told(1).Order());
    }
}
