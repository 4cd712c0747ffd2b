namespace YellowPencil.Core.Progress;

/// <summary>The checks of one plan in their order, from the page on which the rule was found.</summary>
public sealed class ProgressSeries
{
    /// <summary>In so many weeks from the first session, the old rule is to be gone.</summary>
    public const int WeeksToAim = 5;

    /// <summary>Puts a series together.</summary>
    /// <param name="beginning">The page on which the rule was found.</param>
    /// <param name="checks">The checks, in any order.</param>
    /// <param name="taughtFrom">When it was first taught; null where it was not yet.</param>
    public ProgressSeries(CheckResult beginning, IEnumerable<CheckResult> checks, DateOnly? taughtFrom)
    {
        (Beginning, TaughtFrom) = (beginning, taughtFrom);
        Checks = [.. checks.Where(c => c.Chances > 0).OrderBy(c => c.On)];
    }

    /// <summary>The page on which the rule was found: where it began.</summary>
    public CheckResult Beginning { get; }

    /// <summary>The checks that had chances, in the order of their days.</summary>
    public IReadOnlyList<CheckResult> Checks { get; }

    /// <summary>When it was first taught; null where it was not yet.</summary>
    public DateOnly? TaughtFrom { get; }

    /// <summary>The trend of the checks since it was taught.</summary>
    public RobustTrend? Trend => RobustTrend.Of([.. Checks.Select(c => (c.On, c.Level!.Value))]);

    /// <summary>Where the level is to be on a day: from where it began straight up to 1 in <see cref="WeeksToAim"/> weeks.</summary>
    public double AimOn(DateOnly day)
    {
        var (start, from) = (Beginning.Level ?? 0, TaughtFrom ?? Beginning.On);
        var part = Math.Clamp((day.DayNumber - from.DayNumber) / (7.0 * WeeksToAim), 0, 1);
        return start + (1 - start) * part;
    }

    /// <summary>Whether a check lies under the aim line.</summary>
    public bool IsUnderAim(CheckResult check) => check.Level < AimOn(check.On);

    /// <summary>
    /// The place in <see cref="Checks"/> of the check with which the rule was gone: the second of two on different days without it, between which it showed once at
    /// most; null where it was not yet, or has come back since.
    /// </summary>
    public int? GoneAt => Turns().Gone;

    /// <summary>Whether it was gone, and the last check shows it again.</summary>
    public bool IsBack => Turns().Back == Checks.Count - 1;

    // When it was gone, after it came back last, and when that was.
    private (int? Gone, int? Back) Turns()
    {
        int? gone = null, back = null;
        for (var at = 0; at < Checks.Count; at++)
        {
            var from = back + 1 ?? 0;
            if (gone is { } since)
            {
                if (!ProgressRules.ShowsAgain([.. Checks.Take(at + 1).Skip(since + 1)])) continue;
                (gone, back) = (null, at);
            }
            else if (Checks[at].IsWithoutRule && ((at > from && IsFirstOfTwo(at - 1, at)) || (at > from + 1 && Checks[at - 1].Followed <= 1 && IsFirstOfTwo(at - 2, at))))
            {
                gone = at;
            }
        }

        return (gone, back);
    }

    private bool IsFirstOfTwo(int first, int second) => Checks[first].IsWithoutRule && Checks[first].On != Checks[second].On;

    /// <summary>What is decided by it.</summary>
    public ProgressDecision Decision => ProgressRules.Decide(this);
}
