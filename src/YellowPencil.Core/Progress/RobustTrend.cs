namespace YellowPencil.Core.Progress;

/// <summary>
/// A straight line through measures that one odd day does not turn: its slope is the median of the slopes between all pairs of days (the estimator of Theil and
/// Sen), and the interval round it holds the true slope nine times in ten.
/// </summary>
/// <param name="PerWeek">The slope, in levels a week.</param>
/// <param name="Low">The lower end of the interval; null where there are too few pairs for one.</param>
/// <param name="High">The upper end.</param>
public sealed record RobustTrend(double PerWeek, double? Low, double? High)
{
    private const double NineInTen = 1.645;
    private const int FewestForInterval = 4;

    /// <summary>The trend of points; null where there are fewer than three on different days.</summary>
    public static RobustTrend? Of(IReadOnlyList<(DateOnly On, double Level)> points)
    {
        var slopes = new List<double>();
        for (var later = 0; later < points.Count; later++)
            for (var earlier = 0; earlier < later; earlier++)
                if (points[later].On.DayNumber - points[earlier].On.DayNumber is > 0 and var days) slopes.Add((points[later].Level - points[earlier].Level) * 7 / days);
        var count = points.Select(p => p.On).Distinct().Count();
        if (count < 3) return null;
        slopes.Sort();
        var median = slopes.Count % 2 == 1 ? slopes[slopes.Count / 2] : (slopes[slopes.Count / 2 - 1] + slopes[slopes.Count / 2]) / 2;
        if (count < FewestForInterval) return new RobustTrend(median, null, null);

        // How many pairs point up is spread like this where nothing changes (Kendall); so many slopes are left out at each end.
        var spread = NineInTen * Math.Sqrt(points.Count * (points.Count - 1.0) * (2.0 * points.Count + 5) / 18);
        var outside = (int)Math.Floor((slopes.Count - spread) / 2);
        return new RobustTrend(median, slopes[Math.Clamp(outside, 0, slopes.Count - 1)], slopes[Math.Clamp(slopes.Count - 1 - outside, 0, slopes.Count - 1)]);
    }
}
