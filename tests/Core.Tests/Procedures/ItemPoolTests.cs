using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Families.Addition;
using YellowPencil.Core.Families.DecimalDivision;
using YellowPencil.Core.Families.DecimalProducts;
using YellowPencil.Core.Families.DecimalSums;
using YellowPencil.Core.Families.Division;
using YellowPencil.Core.Families.Integers;
using YellowPencil.Core.Families.Multiplication;
using YellowPencil.Core.Families.Subtraction;
using YellowPencil.Core.Format;
using YellowPencil.Core.Pages;

namespace YellowPencil.Core.Tests.Procedures;

/// <summary>Items as a teacher would set them.</summary>
public class ItemPoolTests
{
    private static List<ColumnDifference> Differences(int seed = 5) => [.. ItemPool.Of(FamilyList.Subtraction, 2_000, seed).Cast<ColumnDifference>()];

    private static List<ColumnSum> Sums(int seed = 5) => [.. ItemPool.Of(FamilyList.Addition, 2_000, seed).Cast<ColumnSum>()];

    private static bool Renames(ColumnDifference task)
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(task, run, DeviationSet.Taught);
        return run.Page.Marks.Any(m => m.Field == WorkFields.Rewritten);
    }

    [Fact]
    public void The_same_seed_gives_the_same_items_and_another_seed_others()
    {
        Differences().Select(t => t.Text).ShouldBe(Differences().Select(t => t.Text));
        Differences().Select(t => t.Text).ShouldNotBe(Differences(6).Select(t => t.Text));
        Sums().Select(t => t.Text).ShouldBe(Sums().Select(t => t.Text));
    }

    [Fact]
    public void No_item_comes_twice()
    {
        Differences().Select(t => t.Text).ShouldBeUnique();
        Sums().Select(t => t.Text).ShouldBeUnique();
    }

    [Fact]
    public void Differences_are_never_absurd()
    {
        foreach (var task in Differences())
        {
            (task.Top.Value > task.Bottom.Value + 2).ShouldBeTrue(task.Text);
            (task.Bottom.Value > 2).ShouldBeTrue(task.Text);
            task.Top.Length.ShouldBeInRange(2, 5);
            task.Text.ShouldBe(TaskText.TryParse(task.Text).Value!.Text);
        }
    }

    [Fact]
    public void Differences_show_every_kind_of_column()
    {
        var tasks = Differences();
        tasks.Count(Renames).ShouldBeInRange(1_000, 1_800);
        tasks.Count(t => Enumerable.Range(1, t.Top.Length - 1).Any(p => t.Top.Digit(p) == 0)).ShouldBeGreaterThan(300);
        tasks.Count(t => t.Bottom.Length < t.Top.Length).ShouldBeGreaterThan(300);
        tasks.Count(t => Enumerable.Range(0, t.Bottom.Length).Any(p => t.Bottom.Digit(p) == 0)).ShouldBeGreaterThan(200);
        tasks.Count(t => Enumerable.Range(0, t.Bottom.Length).Any(p => t.Bottom.Digit(p) == t.Top.Digit(p))).ShouldBeGreaterThan(300);
    }

    [Fact]
    public void Sums_have_two_to_four_addends_with_and_without_carrying()
    {
        var tasks = Sums();
        tasks.Select(t => t.Addends.Count).Distinct().Order().ShouldBe([2, 3, 4]);
        var run = new MethodRun { Page = { KeepsMarks = true } };
        var carried = tasks.Count(t =>
        {
            Method.Run(t, run, DeviationSet.Taught);
            return run.Page.Marks.Any(m => m.Field == WorkFields.Carries);
        });
        carried.ShouldBeInRange(900, 1_850);
        tasks.Count(t => t.Addends.Select(a => a.Length).Distinct().Count() > 1).ShouldBeGreaterThan(300);
        tasks.ShouldAllBe(t => t.Addends.All(a => a.Length <= 4 && a.Value > 0));
    }

    [Theory]
    [InlineData(0)]
    [InlineData(-3)]
    [InlineData(5_001)]
    public void So_many_items_cannot_be_asked_for(int count) =>
        Should.Throw<ArgumentOutOfRangeException>(() => ItemPool.Of(FamilyList.Subtraction, count, 1));

    [Fact]
    public void Products_are_never_absurd()
    {
        var tasks = ItemPool.Of(FamilyList.Multiplication, 1_000, 5).Cast<ColumnProduct>().ToList();
        tasks.ShouldAllBe(t => t.First.Length <= 4 && t.Second.Length <= 3 && t.First.Value > 1 && t.Second.Value > 1);
        tasks.Count(t => t.Second.Length == 1 || t.First.Length == 1).ShouldBeGreaterThan(200);
        tasks.Count(t => Enumerable.Range(0, t.First.Length).Any(p => t.First.Digit(p) == 0)).ShouldBeGreaterThan(100);
    }

    [Fact]
    public void Quotients_have_more_than_one_cycle_and_all_three_forms()
    {
        var tasks = ItemPool.Of(FamilyList.Division, 1_000, 5).Cast<LongDivision>().ToList();
        tasks.ShouldAllBe(t => t.Dividend.Length <= 5 && t.Divisor.Length <= 2 && t.Divisor.Value > 1 && t.Dividend.Value > t.Divisor.Value);
        tasks.Select(t => t.AnswerForm).Distinct().Count().ShouldBe(3);
        tasks.Count(t => t.RightAnswer.Split(' ')[0].Contains('0')).ShouldBeGreaterThan(150);
        tasks.Count(t => t.Divisor.Length == 2).ShouldBeGreaterThan(150);
    }

    [Fact]
    public void Decimals_are_those_of_a_classroom()
    {
        ItemPool.Of(FamilyList.DecimalSums, 1_000, 5).Cast<DecimalSum>().ShouldAllBe(t => t.Numbers.All(n => n.Places <= 3 && n.Length <= 6) && t.Numbers.Any(n => n.HasPoint) && !t.IsNegative);
        ItemPool.Of(FamilyList.DecimalProducts, 1_000, 5).Cast<DecimalProduct>().ShouldAllBe(t => t.First.Places + t.Second.Places <= 5 && t.First.Places + t.Second.Places > 0);
        ItemPool.Of(FamilyList.DecimalDivision, 1_000, 5).Cast<DecimalQuotient>().ShouldAllBe(t => t.RightAnswer.Length <= 7 && t.Divisor.Length <= 4);
    }

    [Fact]
    public void Signed_items_have_all_four_operations_and_both_places_of_the_minus()
    {
        var tasks = ItemPool.Of(FamilyList.Integers, 1_000, 5).Cast<SignedPair>().ToList();
        tasks.Select(t => t.Operation).Distinct().Count().ShouldBe(4);
        tasks.Count(t => t.First.Sign < 0 && t.Second.Sign < 0).ShouldBeGreaterThan(200);
        tasks.Count(t => t.First.Sign > 0).ShouldBeGreaterThan(200);
        tasks.ShouldAllBe(t => t.RightAnswer != "0");
    }

    [Theory]
    [InlineData("addition")]
    [InlineData("subtraction")]
    public void A_designed_sheet_is_easy_every_third_item_and_never_long(string family)
    {
        for (var seed = 1; seed <= 5; seed++)
        {
            var tasks = SheetDesign.Of(FamilyList.Named(family), 12, seed);
            tasks.Count.ShouldBe(12);
            tasks.Select(t => t.Text).ShouldBeUnique();
            tasks.ShouldAllBe(t => t.Text.Split(' ', StringSplitOptions.None).All(part => part.Length <= 4));
            var ordinary = tasks.Where((_, i) => i % 3 == 0).Average(t => t.Text.Length);
            tasks.Where((_, i) => i % 3 != 0).Average(t => t.Text.Length).ShouldBeGreaterThan(ordinary);
        }
    }

    [Theory]
    [InlineData(0)]
    [InlineData(61)]
    public void A_sheet_has_1_to_60_items(int items) => Should.Throw<ArgumentOutOfRangeException>(() => SheetDesign.Of(FamilyList.Subtraction, items, 1));
}
