using Shouldly;
using Xunit;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Pages;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Tests.Remediation;

/// <summary>Who may be taught together: the same idea, the same method, whatever the score.</summary>
public sealed class SittingTogetherTests
{
    private static string Key(string rule, string school = "", int seed = 3) =>
        SittingTogether.KeyOf(PlanMaker.Make("K-1", Hypothesis.Parse(rule)!, [], new Classroom(ClassroomWord.Borrow, School.Parse(school)), StudentSize.UpTo(3), seed));

    [Fact]
    public void The_same_idea_in_the_same_family_sits_together_with_other_items() => Key("addition.carry-dropped", seed: 3).ShouldBe(Key("addition.carry-dropped", seed: 8));

    [Fact]
    public void Another_idea_does_not() => Key("subtraction.zeros-skipped").ShouldNotBe(Key("subtraction.turns-column-round"));

    [Fact]
    public void Where_the_school_makes_a_difference_for_these_items_it_must_be_the_same() => Key("addition.carry-dropped", "carry-mark=below").ShouldNotBe(Key("addition.carry-dropped"));

    [Fact]
    public void What_a_school_does_elsewhere_makes_none()
    {
        Key("subtraction.zeros-skipped", "factoring=trial-pairs").ShouldBe(Key("subtraction.zeros-skipped"));
        Key("subtraction.zeros-skipped", "zero-cycle=written").ShouldBe(Key("subtraction.zeros-skipped"));
    }

    [Theory]
    [InlineData(ProgressState.UnderAim, 4, 4, 20)]
    [InlineData(ProgressState.Back, 4, 4, 20)]
    [InlineData(ProgressState.TooFewChecks, 3, 3, 20)]
    [InlineData(ProgressState.GoOn, 3, 2, 20)]
    [InlineData(ProgressState.AboveAim, 2, 1, 20)]
    [InlineData(ProgressState.Loosening, 1, 1, 10)]
    [InlineData(ProgressState.Gone, 0, 1, 0)]
    [InlineData(ProgressState.Replaced, 0, 1, 0)]
    [InlineData(ProgressState.SlipsRemain, 0, 1, 0)]
    [InlineData(ProgressState.StillGone, 0, 1, 0)]
    public void How_it_stands_says_how_many_sessions_and_how_much_they_are_needed(ProgressState state, int sessions, int need, int minutes) => SessionNeed.Of(state).ShouldBe(new SessionNeed(sessions, need, minutes));
}
