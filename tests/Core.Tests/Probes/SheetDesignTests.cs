using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Probes;

/// <summary>What a designed sheet begins with and keeps to.</summary>
public class SheetDesignTests
{
    public static TheoryData<Family> Families => [.. FamilyList.All];

    [Theory]
    [MemberData(nameof(Families))]
    public void A_sheet_begins_with_a_short_item_on_which_something_shows(Family family)
    {
        var sheet = SheetDesign.Of(family, 12, seed: 7);
        sheet[0].Text.Length.ShouldBeLessThanOrEqualTo((int)sheet.Average(t => t.Text.Length));
        new SheetCoverage([sheet[0]]).Never.Count.ShouldBeLessThan(Catalogue.DeclaredFor(family).Count);
    }

    [Theory]
    [MemberData(nameof(Families))]
    public void A_sheet_keeps_to_one_form_of_answer(Family family) => SheetDesign.Of(family, 30, seed: 11).Select(t => t.Asked).Distinct().Count().ShouldBe(1);

    [Fact]
    public void Differences_begin_with_two_digits_and_one_place_that_is_too_small()
    {
        for (var seed = 1; seed <= 8; seed++)
        {
            var first = SheetDesign.Of(FamilyList.Subtraction, 9, seed)[0];
            first.Numbers[0].Length.ShouldBe(2);
            var (top, bottom) = (first.Numbers[0], first.Numbers[1]);
            (top.Digit(0) < bottom.Digit(0)).ShouldBeTrue(first.Text);
        }
    }

    [Fact]
    public void Small_signed_numbers_show_no_rule_of_a_column_and_large_ones_do()
    {
        var small = new SheetCoverage([.. new[] { "-4 + 7", "-3 - 5", "2 - -6" }.Select(t => TaskText.TryParse(t).Value!)]);
        small.PartsThatShow.ShouldBeEmpty();
        var large = new SheetCoverage([.. new[] { "-48 + 95", "-37 + -58" }.Select(t => TaskText.TryParse(t).Value!)]);
        large.PartsThatShow.ShouldBe([FamilyList.Addition, FamilyList.Subtraction], ignoreOrder: true);
    }

    [Fact]
    public void The_example_of_a_bug_is_mostly_its_own()
    {
        var examples = Catalogue.All.Select(BugExample.Of).ToList();
        examples.Count(e => e.Sharing.Count > 0).ShouldBeLessThan(examples.Count / 4);
        examples.ShouldAllBe(e => e.Answer != e.Task.RightAnswer);
        BugExample.Of(Catalogue.Find("addition.carry-dropped")!).Task.Numbers.ShouldAllBe(n => n.Length > 1);
    }
}
