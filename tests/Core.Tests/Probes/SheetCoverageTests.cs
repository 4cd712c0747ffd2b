using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Probes;

public class SheetCoverageTests
{
    private static List<ItemTask> Tasks(params string[] texts) => [.. texts.Select(t => TaskText.TryParse(t).Value!)];

    [Fact]
    public void Where_nothing_is_renamed_rules_of_renaming_cannot_show()
    {
        var coverage = new SheetCoverage(Tasks("86 - 42", "57 - 23", "95 - 71"));
        coverage.Never.Select(b => b.Id).ShouldContain("subtraction.turns-column-round");
        coverage.Never.Select(b => b.Id).ShouldContain("subtraction.zeros-skipped");
        (coverage.Often.Count + coverage.Once.Count + coverage.Never.Count).ShouldBe(coverage.Bugs.Count);
    }

    [Fact]
    public void A_rule_that_shows_on_one_item_is_not_enough_to_hold_it()
    {
        new SheetCoverage(Tasks("52 - 38", "57 - 23")).Once.Select(b => b.Id).ShouldContain("subtraction.turns-column-round");
        new SheetCoverage(Tasks("52 - 38", "57 - 28")).Often.Select(b => b.Id).ShouldContain("subtraction.turns-column-round");
    }

    [Fact]
    public void The_key_names_the_answers_that_tell()
    {
        // 604 - 278: every column turned round is 474; the zero skipped and the hundreds lending twice leaves 236.
        var telling = new SheetCoverage(Tasks("604 - 278", "4.56 + 3.7")).Telling;
        telling[0].Single(a => a.Answer == "474").Bugs.Select(b => b.Id).ShouldContain("subtraction.turns-column-round");
        telling[0].Single(a => a.Answer == "236").Bugs.Select(b => b.Id).ShouldContain("subtraction.zeros-skipped");
        telling[1].Single(a => a.Answer == "4.93").Bugs.Select(b => b.Id).ShouldContain("decimal-sums.right-ends-lined-up");
        telling.SelectMany(t => t).ShouldAllBe(a => a.Answer != "326" && a.Answer != "8.26");
    }

    [Fact]
    public void Rules_that_say_the_same_everywhere_stand_together()
    {
        var together = new SheetCoverage(Tasks("52 - 38")).Together;
        together.SelectMany(g => g).ShouldBeUnique();
        together.ShouldAllBe(g => g.Count > 1);
        together.SelectMany(g => g).Select(b => b.Id).ShouldContain("subtraction.lender-unchanged");
    }

    [Fact]
    public void An_empty_sheet_tells_nothing() => new SheetCoverage([]).Bugs.ShouldBeEmpty();

    [Theory]
    [InlineData("604 - 278", 3, true, true, true)]
    [InlineData("604 - 278", 2, true, true, false)]
    [InlineData("604 - 278", 3, false, true, false)]
    [InlineData("614 - 278", 3, false, true, true)]
    [InlineData("604 - 278", 3, true, false, false)]
    [InlineData("86 - 42", 3, false, false, true)]
    [InlineData("0.5 + 0.4", 3, false, false, true)]
    [InlineData("0.5 + 0.7", 3, true, false, false)]
    public void A_wish_is_kept(string task, int digits, bool zeros, bool regroups, bool allowed) =>
        new SheetWish(digits, zeros, regroups).Allows(TaskText.TryParse(task).Value!).ShouldBe(allowed);

    [Theory]
    [InlineData("addition")]
    [InlineData("subtraction")]
    [InlineData("multiplication")]
    [InlineData("decimal-sums")]
    public void A_sheet_is_designed_as_wished(string family)
    {
        var wish = new SheetWish(3, Zeros: false);
        var tasks = SheetDesign.Of(FamilyList.Named(family), 12, 3, wish);
        tasks.Count.ShouldBe(12);
        tasks.ShouldAllBe(t => wish.Allows(t));
        tasks.Select(t => t.Text).ShouldBeUnique();
    }

    [Fact]
    public void Families_take_turns_on_a_mixed_sheet()
    {
        var tasks = SheetDesign.Of([FamilyList.Addition, FamilyList.Division, FamilyList.Integers], 8, 3);
        tasks.Select(t => t.Family).ShouldBe([FamilyList.Addition, FamilyList.Division, FamilyList.Integers, FamilyList.Addition, FamilyList.Division, FamilyList.Integers, FamilyList.Addition, FamilyList.Division]);
    }

    [Fact]
    public void A_parallel_form_has_other_numbers_on_which_the_same_rules_show()
    {
        var tasks = Tasks("604 - 278", "523 - 168", "86 - 42", "456 + 378", "47 * 38", "857 / 24", "4.56 + 3.7", "4.6 * 3.7", "8.4 / 0.6", "-7 - -12");
        var parallel = ParallelForm.Of(tasks, 5);
        parallel.Count.ShouldBe(tasks.Count);
        parallel.Select(t => t.Family).ShouldBe(tasks.Select(t => t.Family));
        parallel.Select(t => t.Text).Intersect(tasks.Select(t => t.Text)).ShouldBeEmpty();
        parallel.Select(t => t.Text).ShouldBeUnique();
        var (before, after) = (new SheetCoverage(tasks), new SheetCoverage(parallel));
        var shown = before.Often.Concat(before.Once).ToList();
        shown.Count(b => after.Often.Concat(after.Once).Contains(b)).ShouldBeGreaterThan(shown.Count * 8 / 10);
        parallel[2].Text.Length.ShouldBe(7);
    }
}
