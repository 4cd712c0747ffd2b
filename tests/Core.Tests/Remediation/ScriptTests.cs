using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Families.Subtraction;
using YellowPencil.Core.Format;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Tests.Remediation;

/// <summary>How each missing idea is taught.</summary>
public class ScriptTests
{
    public static TheoryData<string> Ideas => [.. TeachingScripts.All.Select(Key)];

    private static string Key(TeachingScript script) => script.OnlyIn is { } family ? $"{script.Idea.Id} in {family.Name}" : script.Idea.Id;

    private static TeachingScript Script(string idea) => TeachingScripts.All.Single(s => Key(s) == idea);

    [Theory]
    [MemberData(nameof(Ideas))]
    public void A_script_speaks_to_the_student_and_gives_the_why(string idea)
    {
        var script = Script(idea);
        script.StopAt.In(ClassroomWord.Rename).ShouldEndWith("?");
        script.Say.In(ClassroomWord.Rename).ShouldContain("?");
        script.Why.In(ClassroomWord.Rename).ShouldEndWith(".");
        script.Why.Any(char.IsAsciiDigit).ShouldBeFalse("numbers of another item than the example");
        script.Material.In(ClassroomWord.Rename).ShouldEndWith(".");
        script.Aim.In(ClassroomWord.Rename).ShouldEndWith(".");
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
    [MemberData(nameof(Ideas))]
    public void The_questions_do_not_all_have_one_answer(string idea)
    {
        for (var seed = 0; seed < 20; seed++) Script(idea).FirstQuestions(new Random(seed)).Select(q => q.Answer).Distinct().Count().ShouldBeGreaterThan(1);
    }

    // Questions that are plain arithmetic are worked here by plain arithmetic.
    [Fact]
    public void Answers_to_questions_of_plain_arithmetic_are_right()
    {
        var checkedQuestions = 0;
        foreach (var question in TeachingScripts.All.SelectMany(s => Enumerable.Range(0, 40).SelectMany(seed => s.FirstQuestions(new Random(seed)))))
        {
            var plain = System.Text.RegularExpressions.Regex.Match(question.Question, @"^(\d+) ([−+×]) (\d+) = \?$");
            if (!plain.Success) continue;
            var (one, other) = (int.Parse(plain.Groups[1].Value), int.Parse(plain.Groups[3].Value));
            question.Answer.ShouldBe((plain.Groups[2].Value switch { "−" => one - other, "+" => one + other, _ => one * other }).ToString(), question.Question);
            checkedQuestions++;
        }

        checkedQuestions.ShouldBeGreaterThan(100);
    }

    [Fact]
    public void Every_idea_has_a_script_and_the_scripts_stand_in_the_order_of_learning()
    {
        TeachingScripts.All.Where(s => s.OnlyIn is null).Select(s => s.Idea).ShouldBe(IdeaMap.All);
        TeachingScripts.All.Select(s => s.Idea).Distinct().ShouldBe(IdeaMap.All);
        foreach (var bug in Catalogue.All.Where(b => TeachingScripts.Families.Contains(b.Family))) TeachingScripts.For(bug.Idea, bug.Family).Idea.ShouldBe(bug.Idea);
        foreach (var own in TeachingScripts.All.Where(s => s.OnlyIn is not null)) TaughtFamily.Of(own.OnlyIn!).Decisions.Select(d => d.Idea).Concat(Catalogue.DeclaredFor(own.OnlyIn!).Select(b => b.Idea)).ShouldContain(own.Idea, own.Aim);
        foreach (var family in TeachingScripts.Families) TaughtFamily.Of(family).Check!.ShouldEndWith(".");
    }

    [Fact]
    public void An_idea_stands_behind_all_that_it_needs_and_no_way_leads_back()
    {
        foreach (var idea in IdeaMap.All)
        {
            foreach (var needed in IdeaMap.Needs(idea)) IdeaMap.OrderOf(needed).ShouldBeLessThan(IdeaMap.OrderOf(idea), idea.Id);
            IdeaMap.ComesBefore(idea, idea).ShouldBeFalse();
            if (IdeaMap.Needs(idea).Count == 0) IdeaMap.Depth(idea).ShouldBe(0);
        }

        IdeaMap.ComesBefore(Core.Knowledge.Ideas.SamePlaceUnderSamePlace, Core.Knowledge.Ideas.AcrossZeros).ShouldBeTrue();
        IdeaMap.ComesBefore(Core.Knowledge.Ideas.NothingBelow, Core.Knowledge.Ideas.TenForOne).ShouldBeFalse();
        IdeaMap.OrderOf(Core.Knowledge.Ideas.NothingBelow).ShouldBeLessThan(IdeaMap.OrderOf(Core.Knowledge.Ideas.TenForOne));
        IdeaMap.OrderOf(Core.Knowledge.Ideas.TenForOne).ShouldBeLessThan(IdeaMap.OrderOf(Core.Knowledge.Ideas.ZeroIsANumber));
        IdeaMap.All.Where(i => IdeaMap.Needs(i).Count == 0).Select(i => i.Id).ShouldBe(["read-the-sign", "work-what-is-set", "write-what-was-found", "answer-the-question", "counting-on", "same-place-under-same-place", "bottom-names-the-part", "letter-is-one"]);
    }

    [Theory]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    public void Items_of_a_plan_are_of_the_students_size(int digits)
    {
        var plan = PlanMaker.Make("K", Core.Inference.Hypothesis.Parse("subtraction.turns-column-round")!, [], Classroom.Saying(ClassroomWord.Rename), StudentSize.UpTo(digits));
        plan.PracticeFirst.Concat(plan.PracticeMixed).Concat(plan.Together).Concat(plan.Alone)
            .ShouldAllBe(i => ((ColumnDifference)i.Task).Top.Length <= digits);
    }

    [Fact]
    public void A_rule_that_needs_longer_numbers_gets_them()
    {
        var plan = PlanMaker.Make("K", Core.Inference.Hypothesis.Parse("subtraction.second-zero-skipped")!, [], Classroom.Saying(ClassroomWord.Rename), StudentSize.UpTo(2));
        plan.Exit.Shows.ShouldBeTrue();
        ((ColumnDifference)plan.Exit.Task).Top.Length.ShouldBeGreaterThanOrEqualTo(4);
    }

    [Fact]
    public void The_contrast_looks_alike_and_comes_out_differently()
    {
        var plan = PlanMaker.Make("K", Core.Inference.Hypothesis.Parse("subtraction.zero-below-gives-zero")!, [], Classroom.Saying(ClassroomWord.Rename));
        plan.Works!.OldAnswer.ShouldBe(plan.Works.Right);
        plan.Fails.OldAnswer.ShouldNotBe(plan.Fails.Right);
        plan.Works.Task.Text.Length.ShouldBe(plan.Fails.Task.Text.Length);
        plan.Differs.ShouldStartWith("It is decided by one question: ");
    }

    [Fact]
    public void Sentences_count_one_as_one_and_nothing_as_nothing()
    {
        var questions = TeachingScripts.All.SelectMany(s => Enumerable.Range(0, 200).SelectMany(seed => s.FirstQuestions(new Random(seed)))).Select(q => q.Question).ToList();
        questions.ShouldContain(q => q.Contains("and 1 one, with"));
        questions.ShouldContain(q => q.Contains("is 1 hundred and"));
        questions.ShouldAllBe(q => !System.Text.RegularExpressions.Regex.IsMatch(q, @"\b1 (ones|tens|hundreds)\b|\b0 are\b| :"));
        Caption("140 - 60").ShouldContain("Strike 1 in the hundreds: nothing is left.");
        Caption("52 - 38").ShouldContain("Strike 5 in the tens: 4 are left.");
        Caption("24 - 8").ShouldContain("Strike 2 in the tens: 1 is left.");

        static List<string> Caption(string task)
        {
            var run = new MethodRun { Recording = true };
            Method.Run(TaskText.TryParse(task).Value!, run, DeviationSet.Taught);
            return [.. run.Steps.Select(s => s.ChosenText)];
        }
    }

    [Fact]
    public void The_published_scripts_are_those_of_the_program() =>
        File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "scripts.md")).ShouldBe(ScriptsText.Markdown(), "dotnet run --project bench/YellowPencil.Bench -c Release scripts");

    // Words for things that the other families have.
    [Theory]
    [InlineData("column,carry,letter,bracket", "fractions", "mixed-numbers")]
    [InlineData("column,carry,denominator,digit", "polynomials", "expanding", "factoring", "equations")]
    [InlineData("column,carry,letter,bracket,denominator", "roots")]
    [InlineData("denominator,letter,bracket,root", "addition", "subtraction", "multiplication", "decimal-sums", "decimal-products", "integers")]
    public void No_sentence_names_what_another_family_has(string words, params string[] families)
    {
        foreach (var family in families.Select(name => FamilyList.All.Single(f => f.Name == name)))
            foreach (var idea in Catalogue.DeclaredFor(family).Select(b => b.Idea).Distinct())
            {
                var script = TeachingScripts.For(idea, family);
                foreach (var sentence in new[] { idea.Name, idea.Statement, script.Aim, script.Why, script.Material, script.Say, script.StopAt, script.First, TaughtFamily.Of(family).Check! })
                    foreach (var word in words.Split(','))
                        System.Text.RegularExpressions.Regex.IsMatch(sentence, $@"\b{word}(s|es)?\b", System.Text.RegularExpressions.RegexOptions.IgnoreCase)
                            .ShouldBeFalse($"{family.Name}, {idea.Id}: “{word}” in “{sentence}”");
            }
    }
}
