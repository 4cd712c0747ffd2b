using Shouldly;
using Xunit;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Working;

/// <summary>Items as people write them.</summary>
public class ItemListTests
{
    private static readonly IReadOnlyCollection<Family> Subtraction = [FamilyList.Subtraction];

    [Theory]
    [InlineData("604 - 278", "604 - 278", null)]
    [InlineData("1) 604 - 278", "604 - 278", null)]
    [InlineData("(12)604-278", "604 - 278", null)]
    [InlineData("2. 523 − 168", "523 - 168", null)]
    [InlineData("523 – 168", "523 - 168", null)]
    [InlineData("523 — 168 = 355", "523 - 168", "355")]
    [InlineData("6 0 4 - 2 7 8 = 4 7 4", "604 - 278", "4 7 4")]
    [InlineData("12 604 - 5 278 = 7,326", "12604 - 5278", "7,326")]
    [InlineData("604 - 278\t474", "604 - 278", "474")]
    [InlineData("3\t604 - 278\t474", "604 - 278", "474")]
    [InlineData("3\t604 - 278 = 474", "604 - 278", "474")]
    [InlineData("3\tsolve 5 + 2y = 29\ty = 17", "solve 5 + 2y = 29", "y = 17")]
    [InlineData("3\t958 / 4 as a decimal\t239.5", "958 / 4", "239.5")]
    [InlineData("solve 5 + 2y = 29 = y = 17\t", "solve 5 + 2y = 29", "y = 17")]
    [InlineData("4\tsolve 5 + 2y = 29", "solve 5 + 2y = 29", null)]
    [InlineData("3\t604\t-\t278\t=\t474", "604 - 278", "474")]
    [InlineData("604\t−\t278", "604 - 278", null)]
    [InlineData("604 - 278 = ?", "604 - 278", "?")]
    [InlineData("604 - 278 =", "604 - 278", null)]
    public void A_line_is_read_as_it_is_meant(string line, string task, string? answer)
    {
        var items = ItemList.TryParse(line, [FamilyList.Subtraction, FamilyList.Division, FamilyList.Equations], out var faults);
        faults.ShouldBeEmpty();
        (items[0].Task.Text, items[0].Answer).ShouldBe((task, answer));
    }

    [Theory]
    [InlineData("52 - 38 = 47x", "the answer “47x” holds “x”")]
    [InlineData("52 - 38 = no", "the answer “no” holds “n”")]
    [InlineData("52 - 38 = , ", "the answer “,” has no digit")]
    [InlineData("604 - 1278", "this page takes column subtraction only")]
    [InlineData("36 + 27", "this page takes column subtraction only")]
    [InlineData("604\t278", "a sign is missing")]
    public void What_cannot_be_taken_is_named_with_its_line_and_what_to_do(string line, string message)
    {
        ItemList.TryParse("81 - 27\n" + line, Subtraction, out var faults);
        faults.Single().ShouldStartWith("Line 2, “");
        faults.Single().ShouldContain(message);
    }

    [Theory]
    [InlineData("7 / 4 as a decimal = 1.75", "7 / 4", "decimal", "1.75")]
    [InlineData("7 / 4 as a fraction = 1 3/4", "7 / 4", "fraction", "1 3/4")]
    [InlineData("7 / 4 = 1 r 3", "7 / 4", null, "1 r 3")]
    [InlineData("-7 - -12 = 5", "-7 - -12", null, "5")]
    [InlineData("4.6 * 3.7 = 17.02", "4.6 * 3.7", null, "17.02")]
    public void Every_family_is_taken_with_the_form_that_was_asked_for(string line, string task, string? form, string answer)
    {
        var items = ItemList.TryParse(line, PageLayout.Families, out var faults);
        faults.ShouldBeEmpty();
        (items[0].TaskAsWritten, items[0].Form, items[0].Answer).ShouldBe((task, form, answer));
        ItemList.TryParse(ItemList.Written(items[0].Task), null, out _)[0].Task.RightAnswer.ShouldBe(items[0].Task.RightAnswer);
    }

    [Fact]
    public void Where_all_families_are_taken_any_answer_is_kept_as_it_was_written()
    {
        var items = ItemList.TryParse("52 - 38 = 47x\n20 - 35 = -15", null, out var faults);
        faults.ShouldBeEmpty();
        items.Select(i => i.Answer).ShouldBe(["47x", "-15"]);
    }

    [Fact]
    public void A_page_of_numbers_that_are_too_long_is_refused_before_it_is_kept()
    {
        var lines = string.Join('\n', Enumerable.Repeat("987654321098765432109876543210 - 123456789012345678901234567890", 60));
        ItemList.TryParse(lines, [FamilyList.Subtraction], out var faults);
        faults.ShouldBe(["The numbers are too long to be read on one page: take shorter ones, or fewer items."]);
        ItemList.TryParse(string.Join('\n', Enumerable.Repeat("98765 - 12345", 60)), [FamilyList.Subtraction], out faults);
        faults.ShouldBeEmpty();
    }
}
