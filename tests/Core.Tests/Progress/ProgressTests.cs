using Shouldly;
using Xunit;
using YellowPencil.Core.Progress;

namespace YellowPencil.Core.Tests.Progress;

/// <summary>Series of checks with their decisions, worked out by hand, and simulated students whose course is known.</summary>
public class ProgressTests
{
    private static readonly DateOnly Monday = new(2026, 3, 2);

    // "0/3" is the old rule at none of three chances; the checks are a week apart, the beginning a week before the first.
    private static ProgressSeries Series(string beginning, params string[] checks) => new(
        Result(beginning, Monday), checks.Select((c, i) => Result(c, Monday.AddDays(7 * (i + 1)))), Monday);

    private static CheckResult Result(string text, DateOnly on)
    {
        var parts = text.Split(' ', '/');
        var (followed, chances) = (int.Parse(parts[0]), int.Parse(parts[1]));
        var right = parts.Length > 2 && int.TryParse(parts[2], out var said) ? said : chances + 3 - followed;
        return new CheckResult(on, [], parts.Length > 3 ? parts[3] : "") { Chances = chances, Followed = followed, Answered = chances + 3, Right = right };
    }

    [Theory]
    [InlineData(ProgressState.TooFewChecks)]
    [InlineData(ProgressState.TooFewChecks, "0/3")]
    [InlineData(ProgressState.GoOn, "3/3", "3/3")]
    [InlineData(ProgressState.GoOn, "3/3", "0/3")]
    [InlineData(ProgressState.Loosening, "1/4", "1/4")] // 6 of 8 without it
    [InlineData(ProgressState.GoOn, "2/4", "2/4")]
    [InlineData(ProgressState.Gone, "3/3", "0/3", "0/3")]
    [InlineData(ProgressState.Gone, "0/3", "0/3", "1/3", "0/3")] // once in between is a slip
    [InlineData(ProgressState.SlipsRemain, "3/3", "0/3 4", "0/3 4")] // 8 of 12 right
    [InlineData(ProgressState.Replaced, "3/3", "0/3", "0/3 3 other")]
    [InlineData(ProgressState.Back, "0/3", "0/3", "2/3")]
    [InlineData(ProgressState.Back, "0/3", "0/3", "1/3", "2/3")]
    [InlineData(ProgressState.Loosening, "0/3", "0/3", "1/3", "1/3")] // it comes and goes
    [InlineData(ProgressState.Gone, "3/3", "0/3", "1/3", "0/3")]
    [InlineData(ProgressState.Gone, "4/5", "1/5", "0/5")]
    [InlineData(ProgressState.Loosening, "0/3", "0/3", "0/3", "0/3", "0/3", "3/3", "0/3", "1/3")] // what was gone before it came back does not count
    [InlineData(ProgressState.Gone, "0/3", "0/3", "0/3", "0/3", "0/3", "3/3", "0/3", "0/3")]
    [InlineData(ProgressState.UnderAim, "3/3", "3/3", "2/3", "3/3")]
    [InlineData(ProgressState.StillGone, "0/3", "0/3", "0/3", "0/3", "0/3", "0/3", "0/3")] // five weeks after it was gone
    public void Checks_a_week_apart_lead_to_a_decision(ProgressState state, params string[] checks) => Series("5/5", checks).Decision.State.ShouldBe(state);

    [Fact]
    public void Two_checks_of_one_day_are_no_two_days()
    {
        var series = new ProgressSeries(Result("5/5", Monday), [Result("0/3", Monday.AddDays(7)), Result("0/3", Monday.AddDays(7))], Monday);
        series.GoneAt.ShouldBeNull();
        series.Decision.State.ShouldBe(ProgressState.Loosening);
    }

    [Fact]
    public void A_check_without_an_answered_chance_is_none() => Series("5/5", "0/0", "0/3").Decision.State.ShouldBe(ProgressState.TooFewChecks);

    [Fact]
    public void The_decision_names_its_numbers_and_when_the_next_check_is_due()
    {
        var decision = Series("5/5", "3/3", "1/4", "1/4").Decision;
        decision.Because.ShouldBe("Old rule at 2 of 8 chances in the last two checks (1 of 4, 1 of 4), 5 of 5 where it began.");
        decision.DaysToNextCheck.ShouldBe(7);
        Series("5/5", "0/3", "0/3").Decision.DaysToNextCheck.ShouldBe(14);
        Series("5/5", "0/3", "0/3", "0/3", "0/3").Decision.DaysToNextCheck.ShouldBe(28); // two weeks on: six weeks after it was gone
        Series("5/5", "0/3", "0/3", "0/3", "0/3", "0/3", "0/3", "0/3").Decision.DaysToNextCheck.ShouldBeNull();
    }

    [Fact]
    public void The_aim_goes_straight_up_from_where_it_began_to_all_in_five_weeks()
    {
        var series = Series("3/5", "1/4");
        series.AimOn(Monday).ShouldBe(0.4, 1e-9);
        series.AimOn(Monday.AddDays(14)).ShouldBe(0.4 + 0.6 * 2 / 5, 1e-9);
        series.AimOn(Monday.AddDays(70)).ShouldBe(1);
    }

    [Fact]
    public void The_trend_is_the_median_of_the_slopes()
    {
        // Levels 0, 1/4, 0, 3/4, 1, a week apart: the ten slopes in order are -1/4, 0, six times 1/4, 1/2, 3/4.
        var trend = Series("4/4", "4/4", "3/4", "4/4", "1/4", "0/4").Trend!;
        trend.PerWeek.ShouldBe(0.25, 1e-9);

        // Kendall's spread for five points is 1.645 times the root of 5 * 4 * 15 / 18, 6.7: one slope is left out at each end.
        (trend.Low!.Value, trend.High!.Value).ShouldBe((0, 0.5));
        Series("4/4", "4/4", "3/4").Trend.ShouldBeNull();
        Series("4/4", "4/4", "3/4", "2/4").Trend.ShouldBe(new RobustTrend(0.25, null, null));
    }

    [Theory]
    [InlineData(3)]
    [InlineData(5)]
    public void Two_thousand_simulated_students_are_seen_through_in_time_and_without_false_alarm(int chances)
    {
        foreach (var course in Enum.GetValues<Course>())
        {
            var trial = ProgressTrial.Run(course, chances, seed: 2);
            trial.Students.ShouldBe(500);
            if (course != Course.Stays) trial.Seen.ShouldBeGreaterThanOrEqualTo(450, course.ToString());
            trial.False.ShouldBeLessThan(25, course.ToString());
        }
    }

    [Fact]
    public void The_documentation_says_what_is_measured() =>
        File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "progress.md")).ShouldBe(ProgressTrial.Markdown(), "dotnet run --project bench/YellowPencil.Bench -c Release progress");
}
