using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Inference;

/// <summary>How an explanation that was chosen comes to what stands on the page.</summary>
public class ProcedureSearchTests
{
    private static readonly Reading Page = SheetDiagnosis.Read(new WorkedSheet
    {
        Student = "K",
        Items = ItemList.TryParse("604 - 278 = 474\n52 - 38 = 26\n81 - 27 = 66\n93 - 46 = 47\n75 - 28 = 46\n415 - 203 = 99\n62 - 35\n61 - 35 = ?", null, out _),
    });

    private static readonly Explanation Turns = Page.Explanations.First(e => e.Hypothesis.RuleIds.SequenceEqual(["subtraction.turns-column-round"]));

    private static ItemReplay Find(int item, Explanation by) => new ProcedureSearch().Find(Page.Items[item].Item, by);

    private static string Answer(ItemReplay replay, int item)
    {
        var run = new MethodRun();
        Method.Run(Page.Items[item].Item.Task, run, replay.Hypothesis.Deviations, replay.Declined, replay.Slip);
        return run.Page.Answer.ToString();
    }

    [Theory]
    [InlineData(0, "474")]
    [InlineData(3, "47")] // The rule was not followed here.
    [InlineData(4, "46")] // A slip: 15 − 8.
    public void It_is_played_to_what_was_written(int item, string written)
    {
        var replay = Find(item, Turns);
        replay.IsExplained.ShouldBeTrue();
        Answer(replay, item).ShouldBe(written);
    }

    [Fact]
    public void The_explanation_that_was_chosen_is_played_not_the_best() =>
        Find(0, Page.Explanations.First(e => e.IsSound)).Hypothesis.RuleCount.ShouldBe(0);

    [Fact]
    public void What_it_does_not_give_is_not_known() => Find(5, Turns).IsExplained.ShouldBeFalse();

    [Theory]
    [InlineData(6)]
    [InlineData(7)]
    public void A_blank_or_unreadable_item_is_what_the_student_would_do(int item)
    {
        var replay = Find(item, Turns);
        replay.IsExplained.ShouldBeFalse();
        Answer(replay, item).ShouldBe(item == 6 ? "33" : "34");
    }

    [Fact]
    public void This_once_stands_before_a_slip_and_never_before_the_rule()
    {
        Page.Items.Where(i => i.FirstWrongStep?.Text.StartsWith("This once", StringComparison.Ordinal) == true).ShouldAllBe(i => i.Cause == Cause.Slip);
        Page.Items[0].FirstWrongStep!.Text.ShouldStartWith("Ones: turns the column round");
    }
}
