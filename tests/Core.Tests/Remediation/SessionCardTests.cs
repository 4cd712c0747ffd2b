using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
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
        SessionCard.AllMinutes.ShouldBe(2 + 2 + 4 + 5 + 5 + 2);
        SessionCard.Drawing(card.Plan).ShouldNotBeNull().Name.ShouldBe("Counters on a place-value mat");
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
