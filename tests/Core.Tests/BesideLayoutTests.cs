using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Tests;

/// <summary>What is filled in beside the lines of a working.</summary>
public class BesideLayoutTests
{
    private static WorkedItem Item(string task) => WorkedItem.Of("1", ItemList.TryParseTask(task, FamilyList.All, out _)!);

    private static WorkedItem Take(WorkedItem item, params (string Cell, string Text)[] written) => BesideLayout.Take(item, written.ToDictionary(w => w.Cell, w => w.Text));

    [Fact]
    public void The_ends_of_the_x_and_the_box_become_fields_of_the_format()
    {
        var item = Take(Item("factor x^2 + x - 12"), ("cross-1", "-12"), ("cross-0", "1"), ("cross-2", "4"), ("cross-3", " -3 "), ("box-1", "x"), ("box-2", "4"), ("box-8", "x"), ("box-9", "x^2"), ("box-16", "-3"), ("box-18", "-12"));
        var sheet = SheetWriter.Write(new WorkedSheet { Student = "K", Items = [item] });
        sheet.ShouldContain("\"cross\":{\"sum\":\"1\",\"product\":\"-12\",\"left\":\"4\",\"right\":\"-3\"}");
        sheet.ShouldContain("\"box\":{\"top\":[\"x\",\"4\"],\"side\":[\"x\",\"-3\"],\"cells\":[[\"x^2\",\"\"],[\"\",\"-12\"]]}");
    }

    [Fact]
    public void Squares_round_a_root_and_trials_become_fields_of_the_format()
    {
        var sheet = SheetWriter.Write(new WorkedSheet { Student = "K", Items = [Take(Item("sqrt(31)"), ("between-0", "25"), ("between-1", "36"), ("tried-0", "5.5"), ("tried-1", "30.25"), ("tried-2", "5.6"))] });
        sheet.ShouldContain("\"between\":[\"25\",\"36\"]");
        sheet.ShouldContain("\"tried\":[{\"value\":\"5.5\",\"result\":\"30.25\"},{\"value\":\"5.6\"}]");
    }

    [Fact]
    public void One_square_of_two_and_multiples_with_a_gap_keep_their_places()
    {
        var half = Take(Item("sqrt(31)"), ("between-1", "36"));
        SheetWriter.Write(new WorkedSheet { Student = "K", Items = [half] }).ShouldContain("\"between\":[\"\",\"36\"]");
        BesideLayout.Written(half).ShouldBe(new Dictionary<string, string> { ["between-1"] = "36" });
        var listed = Take(Item("9568 / 8"), ("multiples-1", "16"), ("multiples-3", "32"));
        SheetWriter.Write(new WorkedSheet { Student = "K", Items = [listed] }).ShouldContain("\"multiples\":[\"\",\"16\",\"\",\"32\"]");
        MultiplesField.FirstWrong(listed.Work.Get(WorkFields.Multiples)!, 8).ShouldBeNull();
        MultiplesField.FirstWrong(["", "16", "25"], 8).ShouldBe((3, "25", 24));
        foreach (var item in new[] { half, listed }) SheetReader.TryRead(SheetWriter.Write(new WorkedSheet { Student = "K", Items = [item] }), out _).ShouldNotBeNull();
    }

    [Fact]
    public void A_family_has_the_parts_of_its_own_fields_only()
    {
        BesideLayout.Of(Item("2/3 + 3/5")).ShouldBeEmpty();
        BesideLayout.Of(Item("factor x^2 + x - 12")).Select(p => p.Field.Name).ShouldBe(["cross", "box", "gap", "tried"]);
        BesideLayout.Of(Item("sqrt(31)")).Select(p => p.Field.Name).ShouldBe(["between", "tried"]);
        foreach (var family in FamilyList.All.Where(f => TaughtFamily.Of(f).Layout is null))
            BesideLayout.Of(WorkedItem.Of("1", TaughtFamily.Of(family).Items(3)())).SelectMany(p => p.Cells).Select(c => c.Id).ShouldBeUnique();
    }

    /// <summary>Law: what students write beside their lines comes back from the cells as it was.</summary>
    [Fact]
    public void What_a_page_has_beside_its_lines_comes_back_from_its_cells()
    {
        var checkedItems = 0;
        foreach (var family in FamilyList.All.Where(f => TaughtFamily.Of(f).Layout is null))
        {
            var (items, student) = (TaughtFamily.Of(family).Items(5), new SimulatedStudent(Hypothesis.Sound, 1, 0, 5));
            for (var i = 0; i < 40; i++)
            {
                var item = student.Write("1", items());
                var cells = BesideLayout.Written(item);
                var bare = BesideLayout.Take(item, new Dictionary<string, string>());
                BesideLayout.Written(bare).ShouldBeEmpty();
                Written(BesideLayout.Take(bare, cells)).ShouldBe(Written(item));
                if (cells.Count > 0) checkedItems++;
            }
        }

        checkedItems.ShouldBeGreaterThan(60);

        static string Written(WorkedItem item) => SheetWriter.Write(new WorkedSheet { Student = "K", Items = [item] });
    }
}
