using Shouldly;
using Xunit;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Telling;

namespace YellowPencil.Core.Tests.Probes;

/// <summary>Pages whose answers make sense only from the other side.</summary>
public class TurnedPageTests
{
    private static TurnedPage? Of(params string[] lines) =>
        TurnedPage.Of(SheetDiagnosis.Read(new WorkedSheet { Student = "T", Items = ItemList.TryParse(string.Join('\n', lines), null, out _)! }));

    [Fact]
    public void All_answers_right_from_the_other_side_are_asked_about()
    {
        var turned = Of("604 - 278 = 623", "523 - 168 = 553", "81 - 27 = 45", "60 - 27 = 33").ShouldNotBeNull();
        turned.Items.Select(i => (i.Id, i.Answer, i.Other)).ShouldBe([("1", "623", "326"), ("2", "553", "355"), ("3", "45", "54")]);
        turned.Text.ShouldBe("All 3 answers are right when they are read from the other side.");
        turned.Sheet.Items.Select(i => i.Answer).ShouldBe(["326", "355", "54", "33"]);
        var read = SheetDiagnosis.Read(new WorkedSheet { Student = "T", Items = ItemList.TryParse("604 - 278 = 623\n523 - 168 = 553\n81 - 27 = 45", null, out _)! });
        ReadingText.Write(read, []).ShouldContain("All 3 answers are right when they are read from the other side. Ask first from which side they were typed in.");
    }

    [Fact]
    public void So_is_a_page_with_a_rule_that_shows_only_from_the_other_side()
    {
        // Turns the column round: 474, 26, 66, 265; 523 is right.
        var turned = Of("624 - 278 = 454", "52 - 38 = 62", "91 - 27 = 67", "460 - 195 = 533", "935 - 412 = 325", "63 - 48 = 52").ShouldNotBeNull();
        turned.Right.ShouldBe(1);
        turned.Text.ShouldBe("1 of 5 answers are right when they are read from the other side; none is as it stands.");
    }

    [Theory]
    [InlineData("604 - 278 = 326", "523 - 168 = 553", "81 - 27 = 45", "96 - 14 = 28")] // one is right as it stands
    [InlineData("604 - 278 = 623", "523 - 168 = 553", "60 - 27 = 33", "40 - 18 = 22")] // two are too few
    [InlineData("604 - 278 = 474", "52 - 38 = 26", "81 - 27 = 66", "460 - 195 = 335")] // a rule explains them as they stand
    [InlineData("604 - 278 = 111", "523 - 168 = 890", "81 - 27 = 12", "460 - 195 = 700")] // they make no sense from either side
    public void Others_are_not(params string[] lines) => Of(lines).ShouldBeNull();
}
