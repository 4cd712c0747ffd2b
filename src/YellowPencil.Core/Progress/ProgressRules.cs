namespace YellowPencil.Core.Progress;

/// <summary>How it stands with a rule that is taught against.</summary>
public enum ProgressState
{
    /// <summary>There are not enough checks to say.</summary>
    TooFewChecks,

    /// <summary>It was gone, and is there again.</summary>
    Back,

    /// <summary>It is gone, and another rule has come.</summary>
    Replaced,

    /// <summary>It is gone; what is wrong now follows no rule.</summary>
    SlipsRemain,

    /// <summary>It is gone, and was looked at again six weeks later.</summary>
    StillGone,

    /// <summary>It is gone.</summary>
    Gone,

    /// <summary>Four checks in a row lie under the aim.</summary>
    UnderAim,

    /// <summary>It comes and goes.</summary>
    Loosening,

    /// <summary>Three checks in a row lie at the aim or above it.</summary>
    AboveAim,

    /// <summary>Nothing of it: it goes on.</summary>
    GoOn,
}

/// <summary>A decision with the numbers that led to it. It is the specialist's to take or not.</summary>
/// <param name="State">How it stands.</param>
/// <param name="Because">The numbers, in a sentence.</param>
/// <param name="Next">What to do next, in a sentence.</param>
/// <param name="DaysToNextCheck">In how many days the next check is due, from the last one; null where none is.</param>
public sealed record ProgressDecision(ProgressState State, string Because, string Next, int? DaysToNextCheck);

/// <summary>
/// The rules by which checks are read, as data: the first that holds is the decision. Aim line and runs of points are the usual ones of progress monitoring by
/// short repeated measures; a rule is gone by two checks on different days, so that one lucky day is none.
/// </summary>
public static class ProgressRules
{
    /// <summary>Fewer checks than these say nothing.</summary>
    public const int FewestChecks = 2;

    private const int Week = 7;
    private const int InARowUnder = 4;
    private const int InARowAbove = 3;

    /// <summary>So much of the chances without the rule, in the last two checks together, is loosening: six of eight, as a rule.</summary>
    private const double Loose = 0.6;

    private const double Half = 0.5;

    /// <summary>Under this share of right items, slips are worth a word.</summary>
    private const double MostlyRight = 0.8;

    /// <summary>Six weeks, and a week before or after.</summary>
    private const int SixWeeks = 42;

    private static readonly IReadOnlyList<(ProgressState State, Func<ProgressSeries, bool> Holds, string Next, Func<ProgressSeries, int?> Days)> Table =
    [
        (ProgressState.TooFewChecks, s => s.Checks.Count < FewestChecks, "Go on as planned; a check in a week.", _ => Week),
        (ProgressState.Back, s => s.IsBack, "Take the plan up again, from “together”; a check in a week.", _ => Week),
        (ProgressState.Replaced, s => EndsWithout(s) && s.Checks.TakeLast(2).Any(c => c.OtherRule.Length > 0), "Close this plan, and read the last check as a page: it needs a plan of its own.", _ => null),
        (ProgressState.SlipsRemain, s => EndsWithout(s) && Share(s.Checks.TakeLast(2), c => c.Right, c => c.Answered) < MostlyRight,
            "Close this plan. No more of it: slowing down, and the learner’s own check.", NextLook),
        (ProgressState.StillGone, s => s.GoneAt is { } gone && s.Checks[^1].IsWithoutRule && s.Checks[^1].On.DayNumber - s.Checks[gone].On.DayNumber >= SixWeeks - Week,
            "Nothing more is due. Transfer: longer numbers, the next family, one situation.", _ => null),
        (ProgressState.Gone, s => s.GoneAt is not null && s.Checks[^1].IsWithoutRule, "Stop teaching it. Mixed practice now and then; look again after two weeks and after six.", NextLook),
        (ProgressState.UnderAim, s => s.Checks.Count >= InARowUnder && s.Checks.TakeLast(InARowUnder).All(s.IsUnderAim),
            "Change one thing: the model, the words, a smaller step, or alone instead of in a group.", _ => Week),
        (ProgressState.Loosening, IsLoosening, "A good sign. Mixed practice only, not the whole plan; a check in a week.", _ => Week),
        (ProgressState.AboveAim, s => s.Checks.Count >= InARowAbove && !s.Checks.TakeLast(InARowAbove).Any(s.IsUnderAim), "Faster than planned: mixed practice, and a check in a week.", _ => Week),
        (ProgressState.GoOn, _ => true, "Go on as planned; a check in a week.", _ => Week),
    ];

    /// <summary>The decision about a series.</summary>
    public static ProgressDecision Decide(ProgressSeries series)
    {
        var rule = Table.First(r => r.Holds(series));
        return new ProgressDecision(rule.State, Because(series, rule.State), rule.Next, rule.Days(series));
    }

    /// <summary>What is to be done next in a state.</summary>
    public static string NextFor(ProgressState state) => Table.First(r => r.State == state).Next;

    /// <summary>What a state is called.</summary>
    public static string NameOf(ProgressState state) => state switch
    {
        ProgressState.TooFewChecks => "too few checks to say",
        ProgressState.Back => "back",
        ProgressState.Replaced => "gone, another rule has come",
        ProgressState.SlipsRemain => "gone, slips remain",
        ProgressState.StillGone => "gone, looked at again after six weeks",
        ProgressState.Gone => "gone",
        ProgressState.UnderAim => "four checks under the aim",
        ProgressState.Loosening => "loosening",
        ProgressState.AboveAim => "ahead of the aim",
        _ => "goes on",
    };

    private static bool EndsWithout(ProgressSeries series) => series.GoneAt is not null && series.Checks[^1].IsWithoutRule;

    /// <summary>
    /// Whether checks since a rule was gone show it again. Once by itself can be a slip that looks like it: twice in the last one and at half of its chances, or so
    /// often in the last two together.
    /// </summary>
    internal static bool ShowsAgain(IReadOnlyList<CheckResult> since)
    {
        static bool Shows(IReadOnlyList<CheckResult> checks) => checks.Sum(c => c.Followed) > 1 && Share(checks, c => c.Followed, c => c.Chances) >= Half;
        return Shows([since[^1]]) || Shows([.. since.TakeLast(2)]);
    }

    // In the last two checks together, and no more than half as often as where it began.
    private static bool IsLoosening(ProgressSeries series)
    {
        var last = series.Checks.TakeLast(2).ToList();
        var followed = Share(last, c => c.Followed, c => c.Chances);
        return 1 - followed >= Loose && 2 * followed <= 1 - (series.Beginning.Level ?? 0);
    }

    // Two weeks after it was gone, and then six.
    private static int? NextLook(ProgressSeries series) =>
        series.Checks[^1].On.DayNumber - series.Checks[series.GoneAt!.Value].On.DayNumber is < Week ? 2 * Week : SixWeeks - 2 * Week;

    private static double Share(IEnumerable<CheckResult> checks, Func<CheckResult, int> part, Func<CheckResult, int> of)
    {
        var all = checks.ToList();
        return all.Sum(of) == 0 ? 0 : (double)all.Sum(part) / all.Sum(of);
    }

    private static string Because(ProgressSeries series, ProgressState state)
    {
        var last = series.Checks.TakeLast(state == ProgressState.UnderAim ? InARowUnder : state == ProgressState.AboveAim ? InARowAbove : 2).ToList();
        var began = $"{series.Beginning.Followed} of {series.Beginning.Chances} where it began";
        if (series.Checks.Count == 0) return $"Old rule {began}; no check yet.";
        var checks = last.Count == 1 ? "the only check" : $"the last {Count(last.Count)} checks";
        var numbers = $"Old rule at {last.Sum(c => c.Followed)} of {last.Sum(c => c.Chances)} chances in {checks} ({string.Join(", ", last.Select(c => $"{c.Followed} of {c.Chances}"))}), {began}";
        return state switch
        {
            ProgressState.Replaced => $"{numbers}; they show “{series.Checks.TakeLast(2).Last(c => c.OtherRule.Length > 0).OtherRule}”.",
            ProgressState.SlipsRemain => $"{numbers}; {last.Sum(c => c.Right)} of {last.Sum(c => c.Answered)} items right.",
            _ => numbers + ".",
        };
    }

    private static string Count(int number) => number switch { 2 => "two", 3 => "three", _ => "four" };
}
