using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Tests.Remediation;

/// <summary>A plan as it is held in the hand while it is taught.</summary>
public class SessionCardTests
{
    // Ideas for which nothing but the page is needed.
    private static readonly string[] OfThePage = ["work-what-is-set", "write-what-was-found", "same-signs-positive", "square-the-guess", "last-done-first-undone", "false-or-always-true"];

    private static RemediationPlan Plan(string bug, params NumberFact[] facts) =>
        PlanMaker.Make("K-24", Hypothesis.Of(Catalogue.Find(bug)!), facts, Classroom.Saying(ClassroomWord.Rename));

    [Fact]
    public void A_session_asks_first_then_together_alone_and_at_the_end()
    {
        var card = new SessionCard(Plan("subtraction.turns-column-round"));
        card.Items.Select(i => i.Name).ShouldBe(["First 1", "First 2", "First 3", "Together 1", "Together 2", "Once more", "Alone 1", "Alone 2", "Alone 3", "Exit", "New habit"]);
        card.Items.Where(i => i.IsSpare).Select(i => i.Name).ShouldBe(["Once more"]);
        SessionCard.Drawing(card.Plan).ShouldNotBeNull().Name.ShouldBe("Counters on a place-value mat");
    }

    [Fact]
    public void Minutes_go_by_the_steps_of_the_items_and_a_long_plan_says_where_to_stop()
    {
        // Signs: an item is a handful of steps, and all of it takes less than a usual session.
        var brief = new SessionCard(Plan("integers.minus-minus-stays-minus"));
        (brief.Minutes(SessionPart.First), brief.Minutes(SessionPart.Contrast), brief.Minutes(SessionPart.Exit)).ShouldBe((2, 2, 2));
        brief.AllMinutes.ShouldBeLessThan(SessionCard.UsualMinutes);
        brief.Split.ShouldBe("");

        // Three digits by two: six products to an item, and their sum.
        var size = StudentSize.Of(new[] { "347 * 26", "586 * 47", "298 * 63" }.Select(t => TaskText.TryParse(t).Value!));
        var bug = Hypothesis.Of(Catalogue.Find("multiplication.carry-dropped")!);
        var longer = new SessionCard(PlanMaker.Make("K-24", bug, [], Classroom.Saying(ClassroomWord.Rename), size));
        longer.Minutes(SessionPart.Alone).ShouldBeGreaterThan(brief.Minutes(SessionPart.Alone));
        longer.AllMinutes.ShouldBeInRange(SessionCard.UsualMinutes + 1, 30);
        longer.Split.ShouldBe("With 20 minutes: stop after “together”, and begin the next session with “alone”.");
    }

    [Fact]
    public void The_first_questions_are_made_from_the_digits_of_items_on_which_the_rule_shows()
    {
        // On the page the rule shows in 743 − 586 only: 74, 43, 35, 58, 86 are what its digits make.
        var size = StudentSize.Of(new[] { "743 - 586", "999 - 111", "888 - 222" }.Select(t => TaskText.TryParse(t).Value!));
        var plan = PlanMaker.Make("K-24", Hypothesis.Of(Catalogue.Find("subtraction.turns-column-round")!), [], Classroom.Saying(ClassroomWord.Rename), size);
        var script = TeachingScripts.For(plan.Idea, plan.Family);
        var own = new[] { 74, 43, 35, 58, 86 }.SelectMany(n => script.Questions.Select(q => q(n).Question)).ToHashSet();
        plan.First.ShouldAllBe(q => own.Contains(q.Question));
    }

    [Fact]
    public void The_drawing_of_a_decimal_example_has_its_gaps_filled()
    {
        var size = StudentSize.Of(new[] { "7.4 - 2.58", "9.2 - 3.75", "8.3 - 4.16" }.Select(t => TaskText.TryParse(t).Value!));
        var plan = PlanMaker.Make("K-24", Hypothesis.Of(Catalogue.Find("decimal-sums.gap-copies-bottom")!), [], Classroom.Saying(ClassroomWord.Rename), size);
        plan.Example.Task.Numbers.Select(n => n.Places).ShouldBe([1, 2]);
        var set = plan.ExampleWork.Get(WorkFields.Operands).ShouldNotBeNull();
        set.ShouldBe([new Operand(plan.Example.Task.Numbers[0].Text + "0", -2), new Operand(plan.Example.Task.Numbers[1].Text, -2)]);
    }

    [Fact]
    public void Where_the_old_rule_has_another_answer_the_key_names_it()
    {
        var card = new SessionCard(Plan("subtraction.turns-column-round"));
        card.Items.Where(i => i.Part is SessionPart.Together or SessionPart.Alone || i.Name == "Exit").ShouldAllBe(i => i.Old.Length > 0 && i.Old != i.Right);
        card.Items.Single(i => i.Name == "New habit").Old.ShouldBe("");
    }

    [Fact]
    public void Facts_stand_by_themselves_and_in_no_item()
    {
        var plan = Plan("multiplication.carry-dropped", new NumberFact(FactKind.Times, 7, 8));
        plan.Facts.ShouldBe(["7 × 8 = 56"]);
        PlanText.Markdown(plan).ShouldContain("**Facts by themselves:** 7 × 8 = 56. Two minutes a session");
    }

    [Theory]
    [InlineData("Counters of two kinds, paired off one against one; or the number line.", "counters of two kinds, number line.")]
    [InlineData("Base-ten blocks: change one ten into ten ones on the mat and count the amount again.", "base-ten blocks.")]
    [InlineData("The answer is said aloud before it is written, and read aloud after it.", "paper and pencil.")]
    [InlineData("A number line with squares above and roots below; the finger goes from the lower end to the number.", "number line, squares above and roots below.")]
    public void What_to_bring_is_read_from_the_sentence_on_material(string sentence, string listed) => Materials.Listed(Materials.In(sentence)).ShouldBe(listed);

    [Fact]
    public void Every_script_says_what_to_bring()
    {
        var without = TeachingScripts.All.Where(s => Materials.In(s.Material.In(ClassroomWord.Rename)).Count == 0).Select(s => s.Idea.Id).Except(OfThePage);
        without.ShouldBeEmpty(string.Join(' ', without));
    }
}
