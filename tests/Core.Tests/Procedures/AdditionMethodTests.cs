using System.Numerics;
using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Parts.Sums;

namespace YellowPencil.Core.Tests.Procedures;

public class AdditionMethodTests
{
    private static MethodRun Run(string task, params string[] bugs)
    {
        var run = new MethodRun { Page = { KeepsMarks = true } };
        Method.Run(TaskText.TryParse(task).Value!, run, new DeviationSet([.. bugs.Select(b => Catalogue.Find("addition." + b)!.Deviations)]));
        return run;
    }

    [Fact]
    public void Without_deviations_the_answer_is_exact() =>
        Gen.ULong[0, 99_999_999].List[2, 5].Sample(addends =>
            Run(string.Join(" + ", addends)).Page.Answer.SequenceEqual(addends.Aggregate(BigInteger.Zero, (sum, a) => sum + a).ToString()), iter: 10_000);

    [Theory]
    [InlineData("36 + 27", "writes-both-digits", "513")]
    [InlineData("36 + 27", "carry-dropped", "53")]
    [InlineData("36 + 27", "tens-written-ones-carried", "81")]
    [InlineData("36 + 27", "both-digits-and-carry", "613")]
    [InlineData("38 + 29 + 47", "carries-one-only", "104")]
    [InlineData("43 + 27", "exactly-ten-not-carried", "60")]
    [InlineData("156 + 278", "carries-once", "334")]
    [InlineData("43 + 25", "carries-always", "78")]
    [InlineData("156 + 238", "carry-one-column-too-far", "484")]
    [InlineData("58 + 67", "last-carry-dropped", "25")]
    [InlineData("58 + 67", "last-sum-turned-round", "215")]
    [InlineData("148 + 7", "carry-not-counted-in-single", "145")]
    [InlineData("36 + 27", "carry-counted-twice", "73")]
    [InlineData("136 + 227", "old-carry-again", "463")]
    [InlineData("36 + 27", "carry-counts-as-ten", "153")]
    [InlineData("145 + 23", "lines-up-left", "375")]
    [InlineData("145 + 23", "single-left-out", "68")]
    [InlineData("140 + 23", "zero-makes-zero", "160")]
    [InlineData("31 + 42 + 13", "first-two-only", "73")]
    [InlineData("36 + 27", "subtracts-columns", "11")]
    [InlineData("36 + 27", "adds-all-digits", "18")]
    [InlineData("31 + 42", "counts-start-number", "62")]
    [InlineData("36 + 27", "carry-always-over-first", "513")]
    [InlineData("283 + 68", "carry-always-over-first", "2412")]
    [InlineData("894 + 968", "carry-always-over-first", "17513")]
    [InlineData("894 + 900", "every-carry-to-the-right", "705")]
    [InlineData("283 + 968", "every-carry-to-the-right", "1512")]
    [InlineData("36 + 27", "carry-added-to-answer", "54")]
    [InlineData("36 + 27", "tens-written-only", "51")]
    [InlineData("36 + 27", "nine-is-the-most", "59")]
    [InlineData("38 + 29 + 47", "carry-dropped-from-twenty", "94")]
    [InlineData("43 + 27", "exactly-ten-written", "610")]
    [InlineData("156 + 278", "carries-from-ones-only", "3134")]
    [InlineData("43 + 26", "carries-from-nine", "79")]
    [InlineData("58 + 67", "last-tens-only", "15")]
    [InlineData("36 + 27", "carry-not-counted-last", "53")]
    [InlineData("136 + 207", "carry-not-counted-with-zero", "333")]
    [InlineData("145 + 23 + 12", "single-left-blank", "80")]
    [InlineData("33 + 43", "repeated-digit-once", "73")]
    [InlineData("36 + 27", "largest-digit", "37")]
    [InlineData("36 + 27", "subtracts-when-ten", "51")]
    [InlineData("23 + 12", "multiplies-columns", "26")]
    [InlineData("36 + 27", "subtracts-instead", "9")]
    [InlineData("36 + 27", "counts-start-number-past-ten", "62")]
    [InlineData("31 + 42", "counts-one-too-far", "84")]
    public void A_bug_gives_the_answer_worked_by_hand(string task, string bug, string answer) => Run(task, bug).Page.Answer.ToString().ShouldBe(answer);

    [Fact]
    public void Carries_stand_where_they_go()
    {
        var run = Run("386 + 75 + 259");
        run.Page.Answer.ToString().ShouldBe("720");
        run.Page.Marks.Where(m => m.Field == WorkFields.Carries).ShouldBe([new Mark(WorkFields.Carries, new Spot(Place: 1), "2"), new Mark(WorkFields.Carries, new Spot(Place: 2), "2")]);
    }

    [Fact]
    public void A_bug_that_is_never_followed_changes_nothing()
    {
        foreach (var bug in Catalogue.Of(FamilyList.Addition))
            foreach (var task in ItemPool.Of(FamilyList.Addition, 60, seed: 4))
            {
                var run = new MethodRun();
                Method.Run(task, run, bug.Alone, declined: ulong.MaxValue);
                run.Page.Answer.ToString().ShouldBe(task.RightAnswer);
            }
    }

    [Fact]
    public void Every_unlisted_deviation_ends_with_an_answer_or_a_blank()
    {
        var run = new MethodRun();
        foreach (var unlisted in AdditionDecisions.All.SelectMany(p => p.AllDeviations()))
            foreach (var task in ItemPool.Of(FamilyList.Addition, 30, seed: 2))
            {
                Method.Run(task, run, new DeviationSet([[unlisted.Deviation]]));
                foreach (var sign in run.Page.Answer) char.IsAsciiDigit(sign).ShouldBeTrue(unlisted.Id);
            }
    }

    /// <summary>Ten items worked by hand with their carries, by the place they stand over, and the answer.</summary>
    [Theory]
    [InlineData("31 + 42", "", "73")]
    [InlineData("36 + 27", "1:1", "63")]
    [InlineData("43 + 27", "1:1", "70")]
    [InlineData("58 + 67", "1:1", "125")]
    [InlineData("156 + 278", "1:1 2:1", "434")]
    [InlineData("148 + 7", "1:1", "155")]
    [InlineData("999 + 1", "1:1 2:1", "1000")]
    [InlineData("38 + 29 + 47", "1:2", "114")]
    [InlineData("386 + 75 + 259", "1:2 2:2", "720")]
    [InlineData("4070 + 930 + 58 + 6", "1:1 2:1 3:1", "5064")]
    public void Items_are_worked_with_the_marks_of_the_hand(string task, string carries, string answer)
    {
        var run = Run(task);
        string.Join(' ', run.Page.Marks.Where(m => m.Field == WorkFields.Carries).Select(m => $"{m.At.Place}:{m.Text}")).ShouldBe(carries);
        run.Page.Answer.ToString().ShouldBe(answer);
    }

    [Fact]
    public void Every_bug_of_the_catalogue_has_an_answer_worked_by_hand()
    {
        var worked = typeof(AdditionMethodTests).GetMethod(nameof(A_bug_gives_the_answer_worked_by_hand))!
            .GetCustomAttributes(typeof(InlineDataAttribute), false).Cast<InlineDataAttribute>().Select(d => "addition." + d.Data[1]).ToHashSet();
        Catalogue.Of(FamilyList.Addition).Select(b => b.Id).Where(id => !worked.Contains(id)).ShouldBeEmpty();
    }
}
