using System.Text.Json;
using Shouldly;
using Xunit;
using YellowPencil.Core.Teaching.Examples;
using YellowPencil.Core.Format;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Knowledge;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts.Differences;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Tests.Remediation;

public class PlanMakerTests
{
    private static RemediationPlan Plan(ClassroomWord word, params string[] bugs) =>
        PlanMaker.Make("K-17", new Hypothesis([.. bugs.Select(b => Catalogue.Find("subtraction." + b)!)], [], []), [], Classroom.Saying(word));

    public static TheoryData<string> EveryFamily => [.. FamilyList.All.Select(f => f.Name)];

    [Theory]
    [InlineData("solve 2x + 7 = 15", "equation-moves", 0, "2x + 7 - 7 = 15 - 7", "2x = 8", "x = 4", "")]
    [InlineData("solve 2x + 7 = 15", "equation-moves", 1, "2x = 15 - 7", "2x = 8", "x = 4", "")]
    [InlineData("7 1/4 - 2 5/6", "mixed-numbers", 1, "", "1/4 = 3/12", "5/6 = 10/12", "7 3/12 - 2 10/12", "6 15/12 - 2 10/12", "4 5/12", "")]
    [InlineData("simplify (3y^2 + 5) - (6y^2 - 5y - 8)", "facts", 0, "3y^2 + 5 - 6y^2 + 5y + 8", "3y^2 - 6y^2 + 5y + 5 + 8", "-3y^2 + 5y + 13", "")]
    [InlineData("factor x^2 - 4x - 21", "factoring", 2, "m = -2", "g^2 = 25", "g = 5", "(x + 3)(x - 7)", "")]
    public void An_example_is_written_in_the_school_of_the_classroom(string task, string question, int answer, params string[] lines) =>
        WorkedExamples.Of(TaskText.TryParse(task).Value!, School.Usual.With(School.All.First(q => q.Name == question), answer))!.Select(l => l.Line).ShouldBe(lines);

    // 2/3 − 1/6 is right by luck, as 2 + 2 is 2 · 2; so is 11 − -14 where a sign is dropped, and 11 + 14 has none.
    [Theory]
    [InlineData("fractions.multiplier-added")]
    [InlineData("integers.sum-sign-dropped")]
    public void A_contrast_is_right_by_luck_only_where_there_is_no_other(string rule)
    {
        var (bug, run) = (Catalogue.Find(rule)!, new MethodRun());
        var works = PlanMaker.Make("K-17", Hypothesis.Of(bug), [], Classroom.Saying(ClassroomWord.Borrow), StudentSize.Of(ItemPool.Of(bug.Family, 12, seed: 3))).Works!;
        Method.Run(works.Task, run, bug.Alone);
        (run.Page.Answer.ToString(), run.CameToTheSame).ShouldBe((works.Right, false), works.Written);
    }

    private static RemediationPlan OnPages(string rule, int seed)
    {
        var bug = Catalogue.Find(rule)!;
        return PlanMaker.Make("K-17", Hypothesis.Of(bug), [], Classroom.Saying(ClassroomWord.Borrow), StudentSize.Of(ItemPool.Of(bug.Family, 12, seed)));
    }

    // The point of the quotient cannot be shown in 9.6 ÷ 0.2 = 48, nor places in 0.5 × 0.2 = 0.1, nor long division where it is by 1.
    [Theory]
    [InlineData("decimal-division.point-by-feel")]
    [InlineData("decimal-division.each-point-to-its-end")]
    [InlineData("decimal-products.places-of-first-only")]
    public void An_example_has_what_it_is_to_show(string rule)
    {
        for (var seed = 1; seed <= 6; seed++)
        {
            var example = OnPages(rule, seed).Example;
            if (rule.EndsWith("point-by-feel", StringComparison.Ordinal)) example.Right.ShouldContain('.', $"{example.Written}: the point has a place");
            example.Task.Numbers.ShouldAllBe(n => n.Text.Trim('-', '0', '.') != "1", example.Written);
            if (!rule.Contains("products", StringComparison.Ordinal)) continue;
            example.Right.Split('.')[1].Length.ShouldBe(example.Task.Numbers.Sum(n => n.Places), $"{example.Written}: every place that is counted is seen");
        }
    }

    // The bracket is what is to be seen, not a = −4/3.
    [Theory]
    [InlineData("equations.first-term-only")]
    [InlineData("equations.number-added")]
    public void An_example_of_whole_numbers_comes_out_whole(string rule)
    {
        for (var seed = 1; seed <= 6; seed++)
        {
            var plan = OnPages(rule, seed);
            (plan.Example.Right.Contains('/') && !plan.Example.Task.Text.Contains('/')).ShouldBeFalse($"{plan.Example.Written}: {plan.Example.Right}");
            (plan.Fails.Right.Contains('/') && !plan.Fails.Task.Text.Contains('/')).ShouldBeFalse($"{plan.Fails.Written}: {plan.Fails.Right}");
        }
    }

    // 0.2 + 7.7 as two numbers is 7.9, digit for digit; 0.2 + 7.9 is not.
    [Fact]
    public void A_rule_of_the_whole_page_is_right_where_it_writes_the_same()
    {
        var plan = OnPages("decimal-sums.two-numbers", 3);
        plan.Works.ShouldNotBeNull().OldAnswer.ShouldBe(plan.Works.Right);
        plan.Guard.ShouldNotBeNull().Shows.ShouldBeFalse();
        plan.PracticeFirst.Concat(plan.PracticeMixed).ShouldContain(i => !i.Shows);
    }

    [Theory]
    [InlineData("17 + 4", "The sign is +: 17 and 4 are put together.")]
    [InlineData("7 5/6 - 7", "The sign is −: 7 is taken away from 7 5/6.")]
    [InlineData("-8 - -12", "The sign is −: −12 is taken away from −8.")]
    [InlineData("1/2 + 1/3", "The sign is +: 1/2 and 1/3 are put together.")]
    [InlineData("23 + 41 + 9", "The sign is +: 23, 41 and 9 are put together.")]
    [InlineData("47 * 36", "The sign is ×: 47 times 36.")]
    public void What_the_sign_asks_is_said_with_the_numbers_of_the_item(string task, string said) => WorkedExamples.SaysWhatIsAsked(TaskText.TryParse(task).Value!).ShouldBe(said);

    [Theory]
    [MemberData(nameof(EveryFamily))]
    public void Every_sum_that_an_example_says_is_true(string name)
    {
        var family = FamilyList.All.Single(f => f.Name == name);
        var said = 0;
        foreach (var task in ItemPool.Of(family, 150, seed: 3))
            foreach (var school in new[] { School.Usual, Other() })
                foreach (var line in WorkedExamples.Of(task, school)!) said += SaidArithmetic.MustBeTrue(line.Words, task.Text);

        said.ShouldBeGreaterThan(20);

        static School Other() => School.All.Aggregate(School.Usual, (all, q) => all.With(q, q.Values.Count - 1));
    }

    [Fact]
    public void Items_with_the_letter_and_the_kinds_of_the_page()
    {
        var page = new[] { "solve 2n + 7 = 15", "solve 3n + 4 = 19", "solve 4n - 9 = 11", "solve 6n - 5 = 7", "solve 5n + 8 = 23" }.Select(t => TaskText.TryParse(t).Value!);
        var plan = PlanMaker.Make("K", Hypothesis.Parse("equations.number-added")!, [], Classroom.Saying(ClassroomWord.Rename), StudentSize.Of(page));
        foreach (var item in plan.Changeable().Append(plan.Example).Append(plan.Fails))
        {
            item.Task.Text.ShouldMatch(@"^solve \dn [+-] \d{1,2} = \d{1,2}$");
            item.Right.ShouldMatch(@"^n = \d{1,2}$");
        }

        plan.Gate.ShouldStartWith("3 of 3 right: begin.");
        plan.Afterwards.Count.ShouldBe(4);
        plan.ExampleLines[plan.DecidingStep!.Value].ShouldMatch(@"^\dn [+-] (\d+) [+-] \1 = \d+ [+-] \1$");
    }

    // Five of seven wrong items have their zero inside the multiplier, two have it at the end.
    [Fact]
    public void Every_shape_in_which_the_rule_showed_is_practised()
    {
        var page = new[] { "214 * 302", "63 * 40", "125 * 204", "342 * 21", "86 * 57", "231 * 103", "58 * 30", "407 * 36", "119 * 508", "73 * 62", "250 * 604", "64 * 25" };
        var items = PlanOf("multiplication.zero-row-loses-place", page).PracticeFirst.Where(i => i.Shows).Select(i => i.Task.Text).ToList();
        items.Count(t => System.Text.RegularExpressions.Regex.IsMatch(t, @"^\d{3} \* [1-9]0[1-9]$")).ShouldBeGreaterThanOrEqualTo(2, string.Join("; ", items));
        items.Count(t => System.Text.RegularExpressions.Regex.IsMatch(t, @"^\d{2} \* [1-9]0$")).ShouldBeGreaterThanOrEqualTo(1, string.Join("; ", items));
    }

    // Zeros are passed on a page of three and four digits: what stands in between is as long, and is renamed too.
    [Fact]
    public void Items_in_between_are_as_long_as_those_of_the_page_and_renamed_like_them()
    {
        var plan = PlanOf("subtraction.zeros-become-ten", "604 - 278", "5003 - 1467", "702 - 345", "8001 - 2635", "903 - 456", "4002 - 1358", "745 - 268");
        foreach (var item in plan.PracticeMixed.Where(i => !i.Shows))
        {
            item.Task.Numbers.ShouldAllBe(n => n.Text.Length >= 3);
            Enumerable.Range(1, 3).Any(place => Digit(item, 0, place) < Digit(item, 1, place)).ShouldBeTrue(item.Written);
        }

        static int Digit(PlanItem item, int number, int place) => item.Task.Numbers[number].Text is var text && place <= text.Length ? text[^place] - '0' : 0;
    }

    [Theory]
    [InlineData("polynomials.minus-first-term-only", "simplify (2x + 3) - (5x + 1)", "simplify (4a - 6) - (2a - 5)", "simplify (7x + 2) - (3x - 4)")]
    [InlineData("equations.number-added", "solve x + 7 = 15", "solve x - 4 = 9", "solve x + 3 = 11")]
    [InlineData("roots.gap-as-tenths", "sqrt(3)", "sqrt(13)", "sqrt(29)", "sqrt(60)")]
    public void No_item_of_a_contrast_is_one_that_nobody_would_set(string rule, params string[] page)
    {
        if (PlanOf(rule, page).Works is not { } works) return;
        works.Task.Text.ShouldNotMatch(@"(?<!sqrt)\(-?\w+\)|^solve [a-z] = |sqrt\(1\)");
    }

    [Fact]
    public void A_rule_of_columns_that_showed_in_decimals_is_practised_in_decimals_and_one_inside_a_division_by_itself()
    {
        var decimals = PlanOf("subtraction.turns-column-round", "7.42 - 2.58", "9.23 - 3.75", "8.34 - 4.16", "6.57 - 2.39", "5.12 - 1.84");
        decimals.Family.ShouldBe(FamilyList.DecimalSums);
        foreach (var item in decimals.Changeable().Append(decimals.Example).Append(decimals.Fails)) item.Task.Text.ShouldMatch(@"^\d\.\d\d - \d\.\d\d$");
        PlanOf("subtraction.turns-column-round", "912 / 4", "536 / 8", "742 / 3").Family.ShouldBe(FamilyList.Subtraction);
    }

    private static RemediationPlan PlanOf(string rule, params string[] page) =>
        PlanMaker.Make("K", Hypothesis.Parse(rule)!, [], Classroom.Saying(ClassroomWord.Rename), StudentSize.Of(page.Select(t => TaskText.TryParse(t).Value!)));

    [Fact]
    public void Items_of_a_plan_need_no_idea_that_comes_later_where_others_can_be_had()
    {
        // Which number is taken away comes before zeros that are passed, which half of all items with three digits have.
        var plan = Plan(ClassroomWord.Rename, "turns-column-round");
        plan.Idea.Id.ShouldBe("take-away-in-order");
        foreach (var item in plan.Together.Concat(plan.Alone).Concat(plan.PracticeFirst).Concat(plan.PracticeMixed).Append(plan.Example).Append(plan.Fails).Append(plan.Exit))
        {
            var run = new MethodRun { Recording = true };
            Method.Run(item.Task, run, DeviationSet.Taught);
            run.Steps.ShouldNotContain(s => s.Decision == SubtractionDecisions.PassedZero, item.Task.Text);
        }
    }

    [Fact]
    public void Guards_look_alike_and_the_same_question_comes_up_in_them()
    {
        // Is the top digit enough? Beside items where it is not, the same question stands in items where it is.
        var bug = Catalogue.Find("subtraction.turns-column-round")!;
        var plan = Plan(ClassroomWord.Rename, "turns-column-round");
        var run = new MethodRun { Recording = true };
        foreach (var item in plan.PracticeMixed.Where(i => !i.Shows))
        {
            Method.Run(item.Task, run, DeviationSet.Taught);
            run.Steps.ShouldContain(s => s.Decision == bug.Decision);
        }
    }

    // −5 + −3 goes on, −4 + 7 cancels: one rule for both, and two things to learn.
    [Theory]
    [InlineData("integers.product-rule-in-sums", "opposites-cancel", "same-signs-go-on", "-5 + -3", "-4 + 7", "6 + -9", "-2 + -8", "-3 + 8", "2 + -7")]
    [InlineData("integers.product-rule-in-sums", "same-signs-go-on", null, "-5 + -3", "-4 + -7", "-6 + -9", "-2 + -8", "-1 + -3")]
    [InlineData("unlisted:integers.magnitudes/always/add", "opposites-cancel", null, "-5 + -3", "-4 + 7", "6 + -9", "-2 + -8", "-3 + 8", "2 + -7")]
    [InlineData("unlisted:integers.magnitudes/always/subtract", "same-signs-go-on", null, "-5 + -3", "-4 + 7", "6 + -9", "-2 + -8", "-3 + 8", "2 + -7")]
    public void Same_signs_and_different_signs_are_two_ideas_with_two_plans(string rule, string idea, string? waits, params string[] page)
    {
        var tasks = page.Select(t => TaskText.TryParse(t).Value!).ToList();
        var plan = PlanMaker.Make("K", Hypothesis.Parse(rule)!, [], Classroom.Saying(ClassroomWord.Rename), StudentSize.Of(tasks));
        plan.Idea.Id.ShouldBe(idea);
        plan.Waiting.Select(w => w.Idea).ShouldBe(waits is null ? [] : [IdeaMap.All.Single(i => i.Id == waits).Name]);
        foreach (var item in plan.Changeable().Append(plan.Example).Append(plan.Fails).Where(i => i.Shows))
            item.Task.Numbers.Select(n => n.IsNegative).Distinct().Count().ShouldBe(idea == "same-signs-go-on" ? 1 : 2, item.Written);
    }

    [Fact]
    public void Rules_that_the_page_does_not_tell_apart_are_named()
    {
        var plan = PlanMaker.Make("K", Hypothesis.Parse("subtraction.turns-column-round")!, [], Classroom.Saying(ClassroomWord.Rename), rivals: ["Another rule"]);
        plan.WhyFirst.ShouldStartWith("It is the likeliest rule; the page does not tell it apart from “Another rule”.");
        PlanJson.Read(PlanJson.Write(plan)).Rivals.ShouldBe(["Another rule"]);
    }

    [Fact]
    public void The_rule_that_does_more_damage_comes_first_where_neither_idea_needs_the_other()
    {
        var plan = PlanMaker.Make("K", Hypothesis.Parse("subtraction.turns-column-round+decimal-sums.right-ends-lined-up") ?? throw new InvalidOperationException(), [], Classroom.Saying(ClassroomWord.Rename));
        plan.WhyFirst.ShouldContain("Neither idea is needed for the other, and this rule does more damage");
    }

    [Fact]
    public void An_item_that_is_swapped_makes_room_for_another_with_the_same_claim_and_nothing_else_changes()
    {
        var rule = Hypothesis.Parse("multiplication.carry-dropped")!;
        var plan = PlanMaker.Make("K", rule, [], Classroom.Saying(ClassroomWord.Rename));
        foreach (var old in plan.Changeable())
        {
            var changed = PlanMaker.Swap(plan, old.Written, rule, [], StudentSize.UpTo(3), 5)!;
            var other = changed.Changeable().Single(i => plan.Changeable().All(p => p.Written != i.Written));
            other.Shows.ShouldBe(old.Shows);
            changed.Changed.ShouldBe([other.Written]);
            changed.Changeable().Count(i => plan.Changeable().Any(p => p.Written == i.Written)).ShouldBe(plan.Changeable().Count() - 1);
            changed.Changeable().Select(i => i.Written).ToList().IndexOf(other.Written).ShouldBe(plan.Changeable().Select(i => i.Written).ToList().IndexOf(old.Written));
            PlanJson.Write(PlanJson.Read(PlanJson.Write(changed))).ShouldBe(PlanJson.Write(changed));
        }

        PlanMaker.Swap(plan, "1 × 1", rule, [], StudentSize.UpTo(3), 5).ShouldBeNull();
    }

    [Fact]
    public void Another_seed_gives_other_items_and_the_same_seed_the_same()
    {
        RemediationPlan With(int seed) => PlanMaker.Make("K", Hypothesis.Parse("multiplication.carry-dropped")!, [], Classroom.Saying(ClassroomWord.Rename), seed: seed);
        PlanJson.Write(With(3)).ShouldBe(PlanJson.Write(With(3)));
        With(3).PracticeFirst.Select(i => i.Task.Text).ShouldNotBe(With(4).PracticeFirst.Select(i => i.Task.Text));
    }

    [Fact]
    public void The_idea_that_is_learnt_first_comes_first_and_the_other_waits()
    {
        var plan = Plan(ClassroomWord.Rename, "zeros-skipped", "zero-below-gives-zero");
        plan.Idea.Id.ShouldBe("taking-nothing");
        plan.Waiting.Single().Name.ShouldBe("Zeros are skipped");
        plan.WhyFirst.ShouldContain("of 200 ordinary items");
    }

    [Fact]
    public void The_key_holds_what_the_old_rule_gives()
    {
        var run = new MethodRun();
        var plan = Plan(ClassroomWord.Rename, "turns-column-round");
        foreach (var item in plan.PracticeFirst.Concat(plan.PracticeMixed))
        {
            Method.Run(item.Task, run, Catalogue.Find("subtraction.turns-column-round")!.Alone);
            item.OldAnswer.ShouldBe(run.Page.Answer.ToString());
        }
    }

    [Fact]
    public void Later_practice_is_mixed_with_items_where_nothing_is_renamed() =>
        Plan(ClassroomWord.Rename, "turns-column-round").PracticeMixed.Count(i => !i.Shows).ShouldBe(3);

    [Fact]
    public void Facts_that_the_student_does_not_have_stay_out_of_the_way()
    {
        var missing = new NumberFact(FactKind.Minus, 13, 7);
        var plan = PlanMaker.Make("K-17", Hypothesis.Parse("subtraction.lender-unchanged")!, [missing], Classroom.Saying(ClassroomWord.Rename));
        var run = new MethodRun { Recording = true };
        foreach (var item in plan.PracticeFirst.Concat(plan.PracticeMixed).Concat(plan.Together).Concat(plan.Alone))
        {
            Method.Run(item.Task, run, DeviationSet.Taught);
            run.Steps.ShouldNotContain(s => s.Fact == missing);
        }
    }

    [Fact]
    public void The_worked_example_says_its_steps_in_the_classrooms_word() =>
        Plan(ClassroomWord.Exchange, "turns-column-round").ExampleSteps.ShouldContain(s => s.EndsWith("so exchange."));

    [Fact]
    public void A_rule_outside_the_catalogue_has_a_plan_too()
    {
        var rules = "unlisted:subtraction.column/below-is-9/write-top";
        var plan = PlanMaker.Make("K-17", Hypothesis.Parse(rules)!, [], Classroom.Saying(ClassroomWord.Rename));
        plan.Fails.Shows.ShouldBeTrue();
        plan.Reason.ShouldContain("found by search");
    }

    [Theory]
    [MemberData(nameof(EveryFamily))]
    public void Every_choice_that_nobody_listed_has_a_plan_or_shows_on_too_few_items_for_one(string name)
    {
        var family = FamilyList.All.Single(f => f.Name == name);
        var size = StudentSize.Of(ItemPool.Of(family, 10, seed: 5));
        var choices = new ChoiceIds();
        foreach (var decision in family.Decisions.Where(d => d.Id.StartsWith(name + ".", StringComparison.Ordinal))) decision.Accept(choices);
        var (made, few) = (0, new List<string>());
        for (var i = 0; i < 5; i++)
        {
            var id = choices.Ids[i * choices.Ids.Count / 5];
            if (Hypothesis.Parse("unlisted:" + id) is not { } rule) continue;
            try
            {
                PlanMaker.Make("K", rule, [], Classroom.Saying(ClassroomWord.Rename), size).Fails.Shows.ShouldBeTrue(id);
                made++;
            }
            catch (TooFewItemsException)
            {
                few.Add(id);
            }
        }

        // Some are what is taught, or nothing that comes up on ordinary items.
        made.ShouldBeGreaterThan(0, string.Join(' ', few));
    }

    private sealed class ChoiceIds : IDecisionVisitor
    {
        public List<string> Ids { get; } = [];

        public void Visit<TContext>(Decision<TContext> decision)
            where TContext : struct, IDecisionContext => Ids.AddRange(decision.Options.Select(o => $"{decision.Id}/always/{o.Id}"));
    }

    [Fact]
    public void A_student_without_a_rule_gets_no_plan() =>
        Should.Throw<ArgumentException>(() => PlanMaker.Make("K-17", Hypothesis.Sound, [], Classroom.Saying(ClassroomWord.Rename)));

    [Fact]
    public void The_plan_as_data_can_be_read()
    {
        var plan = Plan(ClassroomWord.Rename, "zeros-skipped");
        using var json = JsonDocument.Parse(PlanJson.Write(plan));
        (json.RootElement.GetProperty("practiceFirst").GetArrayLength() + json.RootElement.GetProperty("practiceMixed").GetArrayLength()).ShouldBe(12);
        json.RootElement.GetProperty("idea").GetProperty("id").GetString().ShouldBe("across-zeros");

        // What was kept comes back as it was, to the last sentence and mark.
        var back = PlanJson.Read(PlanJson.Write(plan));
        PlanJson.Write(back).ShouldBe(PlanJson.Write(plan));
        PlanText.Markdown(back).ShouldBe(PlanText.Markdown(plan));
    }
}
