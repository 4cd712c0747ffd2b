using Shouldly;
using Xunit;
using YellowPencil.Core.Engine;
using YellowPencil.Core.Progress;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Tests.Progress;

/// <summary>A number fact on its own track: checks ever further apart, begun again where it is wrong.</summary>
public sealed class FactTrackTests
{
    private static readonly DateOnly Begun = new(2026, 3, 2);

    private static FactTrack Track(params (int Day, int Right)[] results) => new(Begun, results.Select(r => new FactResult(Begun.AddDays(r.Day), r.Right, 4)));

    [Fact]
    public void The_first_check_is_due_on_the_day_on_which_it_is_taught()
    {
        Track().Due.ShouldBe(Begun);
        Track().Says.ShouldBe("not checked yet");
    }

    [Fact]
    public void Checks_stand_ever_further_apart_while_everything_is_right()
    {
        Track((0, 4)).Due.ShouldBe(Begun.AddDays(2));
        Track((0, 4), (2, 4)).Due.ShouldBe(Begun.AddDays(6));
        var held = Track((0, 4), (2, 4), (6, 4));
        (held.IsHeld, held.Due, held.Says).ShouldBe((true, Begun.AddDays(20), "held: right on 3 days in a row"));
        Track((0, 4), (2, 4), (6, 4), (20, 4), (48, 4)).Due.ShouldBeNull();
    }

    [Fact]
    public void One_wrong_answer_begins_it_again()
    {
        var track = Track((0, 4), (2, 4), (6, 3));
        (track.IsHeld, track.InARow, track.Due, track.Says).ShouldBe((false, 0, Begun.AddDays(7), "wrong in the last check (3 of 4)"));
        Track((0, 4), (2, 3), (3, 4)).Says.ShouldBe("right on 1 of 3 days in a row");
    }

    [Fact]
    public void Two_checks_on_one_day_are_one_day() => Track((0, 4), (0, 4), (0, 4)).InARow.ShouldBe(1);

    [Fact]
    public void The_fact_is_asked_both_ways_round_between_its_neighbours()
    {
        var fact = new NumberFact(FactKind.Times, 7, 8);
        FactPlan.Questions(fact, 0).ShouldBe([("7 × 8 =", "56"), ("6 × 8 =", "48"), ("8 × 8 =", "64"), ("8 × 7 =", "56")], ignoreOrder: true);
        FactPlan.Questions(fact, 1)[0].ShouldBe(("8 × 7 =", "56"));
        FactPlan.Questions(fact, 1).ShouldContain(("7 × 8 =", "56"));
    }
}
