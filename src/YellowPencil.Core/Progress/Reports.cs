using System.Globalization;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Progress;

/// <summary>To whom a report goes.</summary>
public enum ReportKind
{
    /// <summary>The class teacher.</summary>
    Teacher,

    /// <summary>The family.</summary>
    Family,

    /// <summary>The learner.</summary>
    Learner,

    /// <summary>The file at the end of the year.</summary>
    YearEnd,
}

/// <summary>Reports of one page, from what is known of a plan. They describe the procedure, never the child, and are the specialist's to change before they go.</summary>
public static class Reports
{
    // Words that name the child, a condition or a mark; each as it is looked for, at the beginning of a word.
    private static readonly string[] Unwanted =
    [
        "bug", "diagnos", "disab", "disorder", "dyscalc", "deficit", "weak", "lazy", "careless", "slow learner", "failed", "failure", "below average", "retard", "special needs", "iq", "grade", "ranking",
    ];

    /// <summary>What a report is called.</summary>
    public static string NameOf(ReportKind kind) => kind switch
    {
        ReportKind.Teacher => "For the class teacher",
        ReportKind.Family => "For the family",
        ReportKind.Learner => "For the learner",
        _ => "At the end of the year",
    };

    /// <summary>A word in a text that may not stand in a report, or a percentage where it may not; null where there is none.</summary>
    /// <param name="kind">To whom it goes.</param>
    /// <param name="text">The text.</param>
    public static string? UnwantedIn(ReportKind kind, string text)
    {
        var found = Array.Find(Unwanted, word => Begins(text, word));
        if (found is not null) return found;
        return text.Contains('%') && (kind is ReportKind.Family or ReportKind.Learner || !text.Contains(" of ", StringComparison.Ordinal)) ? "%" : null;
    }

    /// <summary>A report as it is proposed, a line a paragraph.</summary>
    /// <param name="kind">To whom it goes.</param>
    /// <param name="plan">The plan.</param>
    /// <param name="series">Its checks.</param>
    /// <param name="sessions">On which days it was taught.</param>
    /// <param name="next">When it is looked at again; null where it is not.</param>
    public static IReadOnlyList<string> Of(ReportKind kind, RemediationPlan plan, ProgressSeries series, IReadOnlyList<DateOnly> sessions, DateOnly? next) => kind switch
    {
        ReportKind.Teacher => ForTeacher(plan, series, sessions, next),
        ReportKind.Family => ForFamily(plan),
        ReportKind.Learner => [plan.Script.Aim, $"I check it myself: {plan.Check}"],
        _ => ForYearEnd(plan, series, sessions),
    };

    private static List<string> ForTeacher(RemediationPlan plan, ProgressSeries series, IReadOnlyList<DateOnly> sessions, DateOnly? next) =>
    [
        $"What is done: {Taught(sessions)} on “{plan.Idea.Name}”. The aim: “{plan.Script.Aim}”",
        $"Where it shows: in items such as {plan.Fails.Written}. There the old rule gives {plan.Fails.OldWritten}; right is {plan.Fails.RightWritten}.",
        $"What to say: “{plan.Script.StopAt}” Please do not give the answer, and do not show a second way of writing it: both are right; for these weeks this one.",
        $"The word: we say “{plan.Word.ToString().ToLowerInvariant()}”.",
        $"How it stands: {Stands(series)}{(next is { } on ? $" I look again on {Date(on)}." : "")}",
    ];

    private static List<string> ForFamily(RemediationPlan plan) =>
    [
        $"In these weeks we work on one thing: “{plan.Script.Aim}”",
        "Until now another rule was followed, with good sense behind it; we put this one in its place, step by step.",
        "Please show no other way of writing it for now: other ways are right too, and one at a time is easier.",
        $"Two minutes at the table, without paper: {string.Join(" ", plan.First.Take(2).Select(q => $"“{q.Question}” ({q.Answer})"))} If one is not known, say it together and leave it at that.",
    ];

    private static List<string> ForYearEnd(RemediationPlan plan, ProgressSeries series, IReadOnlyList<DateOnly> sessions) =>
    [
        $"Found on {Date(series.Beginning.On)}: {plan.OldRule} It showed at {series.Beginning.Followed} of {series.Beginning.Chances} chances.",
        $"Taught: {Taught(sessions)} on “{plan.Idea.Name}”.",
        $"Checked {series.Checks.Count} {(series.Checks.Count == 1 ? "time" : "times")}{(series.Checks.Count > 0 ? $", last on {Date(series.Checks[^1].On)}" : "")}: {ProgressRules.NameOf(series.Decision.State)}. {Stands(series)}",
        "These are observations of written work. They decide no placement and no label.",
    ];

    private static string Taught(IReadOnlyList<DateOnly> sessions) => sessions.Count switch
    {
        0 => "not taught yet",
        1 => $"one session, on {Date(sessions[0])},",
        _ => $"{sessions.Count} sessions from {Date(sessions[0])} to {Date(sessions[^1])}",
    };

    private static string Stands(ProgressSeries series) => series.Checks.Count == 0
        ? "not checked yet."
        : $"in the last check the old rule came at {series.Checks[^1].Followed} of {series.Checks[^1].Chances} chances, {series.Beginning.Followed} of {series.Beginning.Chances} where it began.";

    private static string Date(DateOnly day) => day.ToString("d MMMM yyyy", CultureInfo.InvariantCulture);

    private static bool Begins(string text, string word)
    {
        for (var at = text.IndexOf(word, StringComparison.OrdinalIgnoreCase); at >= 0; at = text.IndexOf(word, at + 1, StringComparison.OrdinalIgnoreCase))
            if ((at == 0 || !char.IsLetter(text[at - 1])) && (word.Length > 2 || at + word.Length == text.Length || !char.IsLetter(text[at + word.Length]))) return true;
        return false;
    }
}
