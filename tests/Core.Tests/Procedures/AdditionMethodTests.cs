using System.Numerics;
using CsCheck;
using Shouldly;
using Xunit;
using YellowPencil.Core.Bugs;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Procedures.Addition;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Tests.Procedures;

public class AdditionMethodTests
{
    private static MethodRun Run(string task, params string[] bugs)
    {
        var run = new MethodRun { KeepsMarks = true };
        Method.Run(TaskText.TryParse(task).Value!, run, new DeviationSet([.. bugs.Select(b => Catalogue.Find("addition." + b)!.Deviations)]));
        return run;
    }

    [Fact]
    public void Without_deviations_the_answer_is_exact() =>
        Gen.ULong[0, 99_999_999].List[2, 5].Sample(addends =>
            Run(string.Join(" + ", addends)).Answer.SequenceEqual(addends.Aggregate(BigInteger.Zero, (sum, a) => sum + a).ToString()), iter: 10_000);

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
    public void A_bug_gives_the_answer_worked_by_hand(string task, string bug, string answer) => Run(task, bug).Answer.ToString().ShouldBe(answer);

    [Fact]
    public void Carries_stand_where_they_go()
    {
        var run = Run("386 + 75 + 259");
        run.Answer.ToString().ShouldBe("720");
        run.Marks.Where(m => m.Field == MarkField.Carries).ShouldBe([new Mark(MarkField.Carries, 1, "2"), new Mark(MarkField.Carries, 2, "2")]);
    }

    [Fact]
    public void A_bug_that_is_never_followed_changes_nothing()
    {
        foreach (var bug in Catalogue.Of(Family.Addition))
            foreach (var task in ItemPool.Of(Family.Addition, 60, seed: 4))
            {
                var run = new MethodRun();
                Method.Run(task, run, new DeviationSet([bug.Deviations]), declined: ulong.MaxValue);
                run.Answer.ToString().ShouldBe(task.RightAnswer);
            }
    }

    [Fact]
    public void Every_unlisted_deviation_ends_with_an_answer_or_a_blank()
    {
        var run = new MethodRun();
        foreach (var unlisted in AdditionPoints.All.SelectMany(p => p.AllDeviations()))
            foreach (var task in ItemPool.Of(Family.Addition, 30, seed: 2))
            {
                Method.Run(task, run, new DeviationSet([[unlisted.Deviation]]));
                foreach (var sign in run.Answer) char.IsAsciiDigit(sign).ShouldBeTrue(unlisted.Id);
            }
    }
}
