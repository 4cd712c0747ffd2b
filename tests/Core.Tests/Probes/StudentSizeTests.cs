using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Probes;

/// <summary>Items that are asked next are as hard as those on the page and no harder.</summary>
public class StudentSizeTests
{
    private static readonly string Sums = "-7 + 4 = -11\n-9 + 3 = -12\n6 + -8 = -14\n-5 + 2 = -7\n-4 + -3 = -7\n8 + 3 = 11";

    private static Func<ItemTask, bool> Fitting(string page) => StudentSize.Of(Read(page).Sheet.Items.Select(i => i.Task)).Fits;

    private static Reading Read(string page) => SheetDiagnosis.Read(new WorkedSheet { Student = "K", Items = ItemList.TryParse(page, null, out _) });

    [Theory]
    [InlineData("84 / 4\n658 / 7", "96 / 3", true)]
    [InlineData("84 / 4\n658 / 7", "960 / 15", false)] // a divisor of two digits
    [InlineData("84 / 4\n658 / 7", "7645 / 5", false)] // a dividend of four
    [InlineData("-7 + 4\n-9 + 3", "-8 + 5", true)]
    [InlineData("-7 + 4\n-9 + 3", "-8 - 5", false)] // another operation
    [InlineData("7 + 4\n9 - 3", "-8 + 5", false)] // a minus before a number
    [InlineData("1.2 + 3.4\n5.6 + 7", "2.3 + 4.5", true)]
    [InlineData("1.2 + 3.4\n5.6 + 7", "2.35 + 4.5", false)] // more places
    [InlineData("24 + 13\n52 + 8", "24 + 13 + 5", false)] // more addends
    [InlineData("factor x^2 + 5x + 6\nfactor x^2 - 4", "factor x^2 + 4x + 3", true)]
    [InlineData("factor x^2 + 5x + 6\nfactor x^2 - 4", "factor 2x^2 + 7x + 3", false)] // a number before the square
    [InlineData("factor x^2 + 5x + 6\nfactor x^2 - 4", "factor a^2 + 4a + 3", false)] // another letter
    [InlineData("simplify (5x + 2) + (x + 1)", "simplify (5x + 2) - (x + 1)", false)] // a minus before a bracket
    [InlineData("solve 2x + 3 = 7\nsolve x - 4 = 9", "solve x/3 + 3 = 7", false)] // a fraction
    [InlineData("solve 2x + 3 = 7\nsolve x - 4 = 9", "solve 2(x + 3) = 7", false)] // a bracket
    [InlineData("sqrt(20)\nsqrt(57)", "sqrt(5.6)", false)] // a point
    [InlineData("sqrt(20)\nsqrt(57)", "sqrt(12)", true)]
    public void A_task_fits_a_page_that_has_all_that_makes_it_hard(string page, string task, bool fits) => Fitting(page)(TaskText.TryParse(task).Value!).ShouldBe(fits);

    [Fact]
    public void What_is_asked_next_of_a_page_with_short_divisors_has_short_divisors()
    {
        var reading = Read("84 / 4 = 21\n75 / 3 = 21 r 2\n96 / 3 = 32\n578 / 2 = 234\n693 / 3 = 231\n865 / 5 = 111");
        var next = NextItems.For(reading);
        next.ShouldNotBeEmpty();
        next.ShouldAllBe(n => n.Task.Numbers[1].Length == 1);
    }

    [Fact]
    public void What_is_asked_next_of_a_page_of_sums_is_a_sum() => NextItems.For(Read(Sums)).ShouldAllBe(n => n.Task.SetOperation == PairOperation.Plus);
}
