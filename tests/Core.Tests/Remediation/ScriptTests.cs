using Shouldly;
using Xunit;
using YellowPencil.Core.Bugs;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures.Subtraction;
using YellowPencil.Core.Remediation;

namespace YellowPencil.Core.Tests.Remediation;

/// <summary>How each missing idea is taught.</summary>
public class ScriptTests
{
    public static TheoryData<string> Ideas => [.. SubtractionScripts.All.Select(s => s.Idea.Id)];

    private static TeachingScript Script(string idea) => SubtractionScripts.All.Single(s => s.Idea.Id == idea);

    [Theory]
    [MemberData(nameof(Ideas))]
    public void A_script_speaks_to_the_student_and_gives_the_why(string idea)
    {
        var script = Script(idea);
        script.StopAt.ShouldEndWith("?");
        script.Say.ShouldContain("?");
        script.Why.ShouldEndWith(".");
        script.Material.ShouldEndWith(".");
        script.Aim.ShouldEndWith(".");
        script.First.ShouldNotEndWith(".");
        foreach (var text in new[] { script.Aim, script.Why, script.Material, script.Say, script.StopAt })
            text.In(ClassroomWord.Borrow).ShouldNotContain("{");
    }

    [Theory]
    [MemberData(nameof(Ideas))]
    public void Three_different_questions_check_what_must_come_first(string idea)
    {
        for (var seed = 0; seed < 20; seed++)
        {
            var questions = Script(idea).FirstQuestions(new Random(seed));
            questions.Select(q => q.Question).ShouldBeUnique();
            questions.Count.ShouldBe(3);
            questions.ShouldAllBe(q => q.Answer.Length > 0);
        }
    }

    [Theory]
    [InlineData("taking-nothing", " − 0 = ?")]
    [InlineData("zero-is-a-number", "no single pegs")]
    [InlineData("same-leaves-nothing", "= ?")]
    [InlineData("across-zeros", "00 = ")]
    public void The_questions_are_about_the_idea(string idea, string part) =>
        Script(idea).FirstQuestions(new Random(1)).ShouldAllBe(q => q.Question.Contains(part));

    [Fact]
    public void Answers_to_the_questions_are_right()
    {
        foreach (var question in Script("lender-pays").FirstQuestions(new Random(4)))
            (int.Parse(question.Question.Split(' ')[0]) - 1).ToString().ShouldBe(question.Answer);
        foreach (var question in Script("ten-for-one").FirstQuestions(new Random(4)))
            (10 + int.Parse(question.Question.Split(' ')[3])).ToString().ShouldBe(question.Answer);
        foreach (var question in Script("when-to-rename").FirstQuestions(new Random(4)))
        {
            var words = question.Question.TrimEnd('?').Split(' ');
            (int.Parse(words[1]) >= int.Parse(words[5])).ShouldBe(question.Answer == "yes", question.Question);
        }
    }

    [Fact]
    public void The_order_of_learning_is_the_order_of_the_scripts()
    {
        SubtractionScripts.All.Select(s => s.Order).ShouldBe(Enumerable.Range(0, SubtractionScripts.All.Count));
        Script("zero-is-a-number").Order.ShouldBeLessThan(Script("across-zeros").Order);
        Script("ten-for-one").Order.ShouldBeLessThan(Script("lender-pays").Order);
    }

    [Fact]
    public void Every_bug_of_subtraction_points_to_an_idea_with_a_script()
    {
        foreach (var bug in Catalogue.Of(Family.Subtraction)) SubtractionScripts.For(bug.Idea).Idea.ShouldBe(bug.Idea);
        foreach (var point in SubtractionPoints.All) SubtractionScripts.For(SubtractionScripts.IdeaOf(point)).ShouldNotBeNull();
    }

    [Theory]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    public void Items_of_a_plan_are_of_the_students_size(int digits)
    {
        var plan = PlanMaker.Make("K", Core.Inference.Hypothesis.Parse("subtraction.turns-column-round")!, [], ClassroomWord.Rename, digits);
        plan.PracticeFirst.Concat(plan.PracticeMixed).Concat(plan.Together).Concat(plan.Alone)
            .ShouldAllBe(i => ((ColumnDifference)i.Task).Top.Length <= digits);
    }

    [Fact]
    public void A_rule_that_needs_longer_numbers_gets_them()
    {
        var plan = PlanMaker.Make("K", Core.Inference.Hypothesis.Parse("subtraction.second-zero-skipped")!, [], ClassroomWord.Rename, 2);
        plan.Exit.Shows.ShouldBeTrue();
        ((ColumnDifference)plan.Exit.Task).Top.Length.ShouldBeGreaterThanOrEqualTo(4);
    }

    [Fact]
    public void The_contrast_looks_alike_and_comes_out_differently()
    {
        var plan = PlanMaker.Make("K", Core.Inference.Hypothesis.Parse("subtraction.zero-below-gives-zero")!, [], ClassroomWord.Rename);
        plan.Works!.OldAnswer.ShouldBe(plan.Works.Right);
        plan.Fails.OldAnswer.ShouldNotBe(plan.Fails.Right);
        plan.Works.Task.Text.Length.ShouldBe(plan.Fails.Task.Text.Length);
    }

    [Fact]
    public void Sentences_count_one_as_one_and_nothing_as_nothing()
    {
        var questions = SubtractionScripts.All.SelectMany(s => Enumerable.Range(0, 200).SelectMany(seed => s.FirstQuestions(new Random(seed)))).Select(q => q.Question).ToList();
        questions.ShouldContain(q => q.Contains("and 1 one, with"));
        questions.ShouldContain(q => q.Contains("= 1 hundred and"));
        questions.ShouldAllBe(q => !System.Text.RegularExpressions.Regex.IsMatch(q, @"\b1 (ones|tens|hundreds)\b|\b0 are\b| :"));
        Caption("140 - 60").ShouldContain("Strike 1 in the hundreds: nothing is left.");
        Caption("52 - 38").ShouldContain("Strike 5 in the tens: 4 are left.");
        Caption("24 - 8").ShouldContain("Strike 2 in the tens: 1 is left.");

        static List<string> Caption(string task)
        {
            var run = new Core.Procedures.MethodRun { Recording = true };
            Core.Procedures.Method.Run(Core.Notation.TaskText.TryParse(task).Value!, run, Core.Procedures.DeviationSet.Taught);
            return [.. run.Steps.Select(s => s.MadeText)];
        }
    }
}
