using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Probes;

/// <summary>What becomes of a rule over several pages.</summary>
public class RuleHistoryTests
{
    // Where a zero lends: taking from the next digit that is not 0 and leaving the zero as it is.
    private const string Skipped = "subtraction.zeros-skipped";

    private static readonly string[] All = ["604 - 278 = 236", "703 - 245 = 368", "805 - 347 = 368", "402 - 156 = 156", "900 - 431 = 379", "86 - 42 = 44"];
    private static readonly string[] Half = ["604 - 278 = 326", "703 - 245 = 368", "805 - 347 = 458", "402 - 156 = 156", "900 - 431 = 469", "501 - 264 = 147"];
    private static readonly string[] None = ["604 - 278 = 326", "703 - 245 = 458", "805 - 347 = 458", "402 - 156 = 246", "900 - 431 = 469", "86 - 42 = 44"];
    private static readonly string[] Elsewhere = ["86 - 42 = 44", "57 - 23 = 34", "95 - 71 = 24", "68 - 35 = 33"];

    [Fact]
    public void A_rule_that_is_followed_on_fewer_items_comes_loose()
    {
        var line = Line(All, Half);
        line.Course.ShouldBe(RuleCourse.ComingLoose);
        line.Pages.ShouldBe([new RuleOnPage(0, 5, 5, 0), new RuleOnPage(1, 6, 3, 3)]);

        // 3 of 6 on the new page, and 5 of 5 on the older one, which weighs 0.6.
        line.Share.ShouldBe((3 + 0.6 * 5) / (6 + 0.6 * 5), 1e-9);
    }

    [Fact]
    public void A_rule_without_which_its_items_come_out_is_gone()
    {
        Line(All, Half, None).Course.ShouldBe(RuleCourse.Gone);
        Line(All, None).Pages[^1].ShouldBe(new RuleOnPage(1, 5, 0, 5));
    }

    [Fact]
    public void A_rule_that_was_gone_can_return() => Line(All, None, All).Course.ShouldBe(RuleCourse.Returned);

    [Fact]
    public void A_page_on_which_it_cannot_show_says_nothing_of_it()
    {
        var line = Line(All, Elsewhere);
        line.Course.ShouldBe(RuleCourse.NotTried);
        line.Pages.Count.ShouldBe(1);
    }

    [Fact]
    public void Two_items_without_it_are_not_enough_to_call_it_gone() => Line(All, ["604 - 278 = 326", "703 - 245 = 458", "86 - 42 = 44", "57 - 23 = 34"]).Course.ShouldBe(RuleCourse.NotTried);

    [Fact]
    public void A_rule_that_forms_is_followed_more_and_more() => Line(Half, All).Course.ShouldBe(RuleCourse.Followed);

    [Fact]
    public void Another_rule_can_take_its_place()
    {
        // Every column that is too small is now turned round: 604 - 278 is 4, 7, 4.
        string[] turned = ["604 - 278 = 474", "703 - 245 = 542", "805 - 347 = 542", "402 - 156 = 354", "900 - 431 = 531", "86 - 42 = 44"];
        var lines = RuleHistory.Of([Read(All), Read(turned)]);
        var old = lines.Single(l => l.Rule == Skipped);
        old.Course.ShouldBe(RuleCourse.Replaced);
        old.By.ShouldBe("subtraction.turns-column-round");
        lines[0].Rule.ShouldBe("subtraction.turns-column-round", "what is followed now comes first");
    }

    [Fact]
    public void No_pages_no_rules()
    {
        RuleHistory.Of([]).ShouldBeEmpty();
        RuleHistory.Of([Read(None)]).ShouldBeEmpty();
    }

    private static RuleLine Line(params string[][] pages) => RuleHistory.Of([.. pages.Select(Read)]).Single(l => l.Rule == Skipped);

    private static ClassLine Read(string[] lines)
    {
        var items = ItemList.TryParse(string.Join('\n', lines), null, out var faults);
        faults.ShouldBeEmpty();
        return ClassLine.Of(SheetDiagnosis.Read(new WorkedSheet { Student = "H", Items = items }));
    }
}
