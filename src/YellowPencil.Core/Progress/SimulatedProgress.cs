using System.Globalization;
using System.Text;

namespace YellowPencil.Core.Progress;

/// <summary>What becomes of a rule in a simulated student.</summary>
public enum Course
{
    /// <summary>It fades.</summary>
    Fades,

    /// <summary>It is gone and comes back.</summary>
    Returns,

    /// <summary>It is gone, and another one comes.</summary>
    IsReplaced,

    /// <summary>It stays.</summary>
    Stays,
}

/// <summary>How well the decision rules see what becomes of a rule, on simulated students whose course is known.</summary>
/// <param name="Course">The course.</param>
/// <param name="Students">How many students.</param>
/// <param name="Seen">How many of the changes were seen within three checks; of those whose rule stays, none is to be seen.</param>
/// <param name="False">How many were said to have changed before anything had.</param>
public sealed record ProgressTrial(Course Course, int Students, int Seen, int False)
{
    /// <summary>How many students of each course.</summary>
    public const int OfEach = 500;

    /// <summary>The share of chances at which a rule is followed as long as it stands, and when it has faded: what readings of real pages come to.</summary>
    private const double Standing = 0.9;
    private const double Faded = 0.05;

    private const int Weeks = 8;
    private const int WithinChecks = 3;
    private static readonly DateOnly Begin = new(2026, 1, 5);

    /// <summary>Runs the trial of a course. The same seed gives the same.</summary>
    /// <param name="course">The course.</param>
    /// <param name="chances">The chances of one check.</param>
    /// <param name="seed">The seed.</param>
    public static ProgressTrial Run(Course course, int chances, int seed)
    {
        var random = new Random(seed + 10 * (int)course + chances);
        var (seen, wrong) = (0, 0);
        for (var student = 0; student < OfEach; student++)
        {
            var (isSeen, isFalse) = Follow(course, chances, random);
            if (isSeen) seen++;
            if (isFalse) wrong++;
        }

        return new ProgressTrial(course, OfEach, seen, wrong);
    }

    /// <summary>The table of all courses, for the documentation.</summary>
    public static string Markdown()
    {
        var text = new StringBuilder();
        text.AppendLine("# How progress is decided").AppendLine();
        text.AppendLine("Made by `dotnet run --project bench/YellowPencil.Bench -c Release progress`.").AppendLine();
        text.AppendLine("A check has four to six items: three or more on which the old rule gives another answer (its chances), two on which it is right by luck, one on which a new habit would be wrong, where one is known. "
            + "The level of a check is the share of its chances at which the old rule was not followed. The first of these that holds is the decision:").AppendLine();
        text.AppendLine("| | holds when | next |").AppendLine("|---|---|---|");
        foreach (var (state, when) in Whens) text.AppendLine(CultureInfo.InvariantCulture, $"| {ProgressRules.NameOf(state)} | {when} | {ProgressRules.NextFor(state)} |");
        text.AppendLine().AppendLine(CultureInfo.InvariantCulture, $"The aim line goes from where it began straight up to 1 in {ProgressSeries.WeeksToAim} weeks. The trend is the median of the slopes between all pairs of checks (Theil, Sen), its interval from Kendall’s count of pairs, nine in ten. Nothing is smoothed.").AppendLine();
        text.AppendLine("## Tried on simulated students").AppendLine();
        text.AppendLine(CultureInfo.InvariantCulture, $"{4 * OfEach} students, {OfEach} of each course, a check a week: a rule that stands is followed at {Standing} of its chances, one that has faded at {Faded}. The change comes after one to four checks. Seen: the decision says so within {WithinChecks} checks. False: it is said before.").AppendLine();
        text.AppendLine("| course | chances a check | seen | false |").AppendLine("|---|---|---|---|");
        foreach (var chances in new[] { 3, 5 })
            foreach (var course in Enum.GetValues<Course>())
            {
                var trial = Run(course, chances, seed: 1);
                text.AppendLine(CultureInfo.InvariantCulture, $"| {NameOf(course)} | {chances} | {(course == Course.Stays ? "–" : $"{trial.Seen} of {OfEach}")} | {trial.False} of {OfEach} |");
            }

        return text.ToString();
    }

    private static string NameOf(Course course) => course switch { Course.Fades => "fades", Course.Returns => "is gone and returns", Course.IsReplaced => "is replaced by another", _ => "stays" };

    private static readonly (ProgressState State, string When)[] Whens =
    [
        (ProgressState.TooFewChecks, "fewer than two checks"),
        (ProgressState.Back, "it was gone, and shows at two chances or more, and at half of them, in a check or in the last two together"),
        (ProgressState.Replaced, "two checks on different days without it, and one of the last two holds another rule"),
        (ProgressState.SlipsRemain, "two checks on different days without it, and fewer than 80 in 100 of their items are right"),
        (ProgressState.StillGone, "gone, and without it five weeks later or more"),
        (ProgressState.Gone, "two checks on different days without it (at none of the chances; one in five or fewer is taken for a slip), between which it showed once at most"),
        (ProgressState.UnderAim, "four checks in a row under the aim line"),
        (ProgressState.Loosening, "in the last two checks together not followed at 6 of 10 chances or more, and at most half as often as where it began"),
        (ProgressState.AboveAim, "three checks in a row at the aim line or above"),
        (ProgressState.GoOn, "none of these"),
    ];

    // One student: whether the change is seen in time, and whether one was said that had not come.
    private static (bool IsSeen, bool IsFalse) Follow(Course course, int chances, Random random)
    {
        var beginning = Check(Begin, 6, Standing, random, "");
        var change = course == Course.Stays ? Weeks : random.Next(1, 5);
        var checks = new List<CheckResult>();
        var (isFalse, returns) = (false, change + 4);
        for (var week = 1; week <= Weeks + 4; week++)
        {
            var isOther = course == Course.IsReplaced && week > change;
            var followed = week <= change || (course == Course.Returns && week > returns) ? Standing : Faded;
            checks.Add(Check(Begin.AddDays(7 * week), chances, followed, random, isOther && random.NextDouble() < Standing ? "another rule" : ""));
            var state = new ProgressSeries(beginning, checks, Begin).Decision.State;
            isFalse |= week <= change && state is (ProgressState.Gone or ProgressState.Loosening or ProgressState.SlipsRemain or ProgressState.Replaced or ProgressState.Back);
            if (course == Course.Returns && week > change && week <= returns) isFalse |= state == ProgressState.Back;
            var isSaid = course switch
            {
                Course.Fades => week > change && state is (ProgressState.Gone or ProgressState.Loosening),
                Course.IsReplaced => week > change && state == ProgressState.Replaced,
                Course.Returns => week > returns && state == ProgressState.Back,
                _ => false,
            };
            var from = course == Course.Returns ? returns : change;
            if (isSaid && week > from && week <= from + WithinChecks) return (true, isFalse);
            if (course != Course.Stays && week > from + WithinChecks) break;
            if (course == Course.Stays && week == Weeks) break;
        }

        return (false, isFalse);
    }

    private static CheckResult Check(DateOnly on, int chances, double followed, Random random, string other)
    {
        var count = Enumerable.Range(0, chances).Count(_ => random.NextDouble() < followed);
        return new CheckResult(on, [], other) { Chances = chances, Followed = count, Answered = chances + 3, Right = chances + 3 - count };
    }
}
