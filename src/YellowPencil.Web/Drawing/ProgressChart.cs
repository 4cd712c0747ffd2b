using System.Globalization;
using YellowPencil.Core.Progress;

namespace YellowPencil.Web.Drawing;

/// <summary>
/// The checks of a plan as they were, nothing smoothed: filled circles are the share of chances without the old rule, open squares the share of right answers, the
/// dashed line is the aim. Told apart by shape, so that it is readable in grey.
/// </summary>
internal sealed class ProgressChart
{
    private const double Left = 64, Top = 34, Wide = 560, High = 200, Dot = 5;
    private readonly List<Shape> shapes = [];
    private readonly ProgressSeries series;
    private readonly DateOnly from;
    private readonly int days;

    private ProgressChart(ProgressSeries series)
    {
        this.series = series;
        from = series.Beginning.On;
        var last = new[] { series.Beginning.On, series.TaughtFrom ?? series.Beginning.On }.Concat(series.Checks.Select(c => c.On)).Max();
        days = Math.Max(7 * ProgressSeries.WeeksToAim, last.DayNumber - from.DayNumber + 7);
    }

    /// <summary>What it shows, in a line.</summary>
    public static string Says(ProgressSeries series) =>
        series.Checks.Count == 0
            ? "Where it began. No check yet."
            : $"From {Percent(series.Beginning.Level)} of the chances without the old rule where it began to {Percent(series.Checks[^1].Level)} in check {series.Checks.Count}"
                + $" ({series.Checks[^1].Chances - series.Checks[^1].Followed} of {series.Checks[^1].Chances}).";

    /// <summary>The chart of a series.</summary>
    public static Sketch Of(ProgressSeries series)
    {
        var chart = new ProgressChart(series);
        chart.Frame();
        chart.Aim();
        chart.Phases();
        chart.Line([series.Beginning, .. series.Checks], c => c.Level, isMain: true);
        chart.Line([series.Beginning, .. series.Checks], c => c.Answered == 0 ? null : (double)c.Right / c.Answered, isMain: false);
        return new Sketch(Left + Wide + 20, Top + High + 64, Says(series), chart.shapes);
    }

    private void Frame()
    {
        shapes.Add(new LineShape("rail", Left, Top, Left, Top + High));
        shapes.Add(new LineShape("rail", Left, Top + High, Left + Wide, Top + High));
        foreach (var (level, name) in new[] { (0.0, "none"), (0.5, "half"), (1.0, "all") }) Word(Left - 26, Y(level), name);
        for (var week = 0; week * 7 <= days; week += Math.Max(1, days / 7 / 8)) Word(X(from.AddDays(7 * week)), Top + High + 16, from.AddDays(7 * week).ToString("d MMM", CultureInfo.InvariantCulture));
        shapes.Add(new OvalShape("", Left + 10, Top + High + 44, Dot, Dot));
        Word(Left + 118, Top + High + 44, "chances without the old rule");
        Square(Left + 230, Top + High + 44);
        Word(Left + 280, Top + High + 44, "right answers");
        shapes.Add(new LineShape("aim", Left + 340, Top + High + 44, Left + 370, Top + High + 44));
        Word(Left + 386, Top + High + 44, "aim");
    }

    private void Aim()
    {
        var start = series.TaughtFrom ?? from;
        var end = start.AddDays(7 * ProgressSeries.WeeksToAim);
        if (end.DayNumber > from.DayNumber + days) end = from.AddDays(days);
        shapes.Add(new LineShape("aim", X(start), Y(series.AimOn(start)), X(end), Y(series.AimOn(end))));
    }

    private void Phases()
    {
        if (series.TaughtFrom is { } taught) Mark(taught, "taught from here");
        if (series.GoneAt is { } gone) Mark(series.Checks[gone].On, "gone");
    }

    private void Mark(DateOnly on, string what)
    {
        shapes.Add(new LineShape("phase", X(on), Top - 12, X(on), Top + High));
        Word(X(on), Top - 22, what);
    }

    private void Line(IReadOnlyList<CheckResult> checks, Func<CheckResult, double?> level, bool isMain)
    {
        (double X, double Y)? before = null;
        foreach (var check in checks)
        {
            if (level(check) is not { } at) continue;
            var (x, y) = (X(check.On), Y(at));

            // What was before teaching and what comes after are two phases.
            if (before is { } last && check != checks[0] && last != (X(checks[0].On), last.Y)) shapes.Add(new LineShape(isMain ? "jump" : "rail", last.X, last.Y, x, y));
            if (isMain) shapes.Add(new OvalShape("", x, y, Dot, Dot));
            else Square(x, y);
            before = (x, y);
        }
    }

    private void Square(double x, double y) => shapes.Add(new RectShape("square", x - Dot, y - Dot, 2 * Dot, 2 * Dot));

    private void Word(double x, double y, string text) => shapes.Add(new TextShape("small", x, y, text, 12));

    private double X(DateOnly on) => Left + Wide * (on.DayNumber - from.DayNumber) / days;

    private static double Y(double level) => Top + High * (1 - level);

    private static string Percent(double? level) => level switch { null => "none", 0 => "none", 1 => "all", _ => string.Create(CultureInfo.InvariantCulture, $"{100 * level:0} in 100") };
}
