using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Telling;

/// <summary>What became of a rule over the pages of a student.</summary>
public enum RuleCourse
{
    /// <summary>It is followed.</summary>
    Followed,

    /// <summary>It is followed on more items than before, and not yet throughout.</summary>
    Forming,

    /// <summary>It is followed on fewer items than before.</summary>
    ComingLoose,

    /// <summary>It was followed, and items on which it would show came out without it.</summary>
    Gone,

    /// <summary>It was gone and is followed again.</summary>
    Returned,

    /// <summary>It is gone, and items on which it would show now go by another rule.</summary>
    Replaced,

    /// <summary>No page since has enough items on which it would show.</summary>
    NotTried,
}

/// <summary>How a rule stands on one page.</summary>
/// <param name="Page">Which page, from 0 for the oldest.</param>
/// <param name="Shows">On how many answered items the rule gives another answer than without it; where it is followed, beside the other rules of the
/// page.</param>
/// <param name="Followed">On how many of these the answer is the rule's.</param>
/// <param name="Right">On how many of these it is right.</param>
public sealed record RuleOnPage(int Page, int Shows, int Followed, int Right);

/// <summary>A rule over the pages of a student.</summary>
/// <param name="Rule">The id of the rule.</param>
/// <param name="Pages">The pages that have an item on which it would show, the oldest first.</param>
/// <param name="Course">What became of it.</param>
/// <param name="Share">The share of such items on which it is followed, older pages weighing less.</param>
/// <param name="By">The rule that took its place; null where none did.</param>
public sealed record RuleLine(string Rule, IReadOnlyList<RuleOnPage> Pages, RuleCourse Course, double Share, string? By);

/// <summary>The pages of a student joined: for each rule that was found on one of them, what became of it.</summary>
public static class RuleHistory
{
    /// <summary>What a page weighs beside the next younger one.</summary>
    public const double OlderWeighs = 0.6;

    /// <summary>So many items on which a rule would show have to come out without it before it is gone.</summary>
    public const int LeastWithout = 3;

    private const double Mostly = 0.75;

    private const double Hardly = 0.25;

    /// <summary>The rules of a student's pages, those that are followed now first.</summary>
    /// <param name="pages">What was read of each page, the oldest first.</param>
    public static IReadOnlyList<RuleLine> Of(IReadOnlyList<ClassLine> pages)
    {
        var tasks = pages.Select(
            page =>
                page.Cells.Where(c => c.Verdict is Verdict.Right or Verdict.Wrong or Verdict.Unfinished)
                    .Select(c => (Cell: c, Task: TaskText.TryParse(c.Task, c.Asked).Value)).ToList())
            .ToList();
        var rules = pages.SelectMany(p => p.Rules).Select(r => r.Rule).Distinct().Where(rule => Hypothesis.Parse(rule) is not null).ToList();
        var run = new MethodRun();
        var stands = rules.ToDictionary(
            rule => rule, rule => (IReadOnlyList<RuleOnPage>)[.. pages.Select((page, at) => OnPage(at, rule, page, tasks[at], run)).Where(p => p.Shows > 0)]);
        return
        [
            .. rules.Select(rule => LineOf(rule, stands, pages.Count))
                .OrderBy(l => l.Course is RuleCourse.Gone or RuleCourse.Replaced).ThenByDescending(l => l.Share).ThenBy(l => l.Rule, StringComparer.Ordinal),
        ];
    }

    private static RuleOnPage OnPage(int at, string rule, ClassLine page, List<(ClassCell Cell, ItemTask? Task)> items, MethodRun run)
    {
        // On a page on which it is followed, beside the others there: where two are at work on an item, neither alone gives its answer.
        var isFollowed = page.Rules.Any(r => r.Rule == rule);
        var others = page.Rules.Select(r => r.Rule)
            .Where(r => isFollowed && r != rule && Hypothesis.Parse(r) is not null).Take(Hypothesis.MostRules - 1).ToList();
        if (Hypothesis.Parse(string.Join('+', others.Append(rule))) is not { } with || Hypothesis.Parse(string.Join('+', others)) is not { } without)
            return new RuleOnPage(at, 0, 0, 0);
        var (shows, followed, right) = (0, 0, 0);
        foreach (var (cell, task) in items)
        {
            if (task is null) continue;
            var taken = Answer(task, without, run);
            var its = with.Outcomes.Select(o => Answer(task, o, run)).Where(a => a != taken && a != task.RightAnswer).ToList();
            if (its.Count == 0) continue;
            shows++;
            if (cell.Verdict == Verdict.Right) right++;
            else if (cell.Wrong is { } wrong && its.Contains(wrong)) followed++;
        }

        return new RuleOnPage(at, shows, followed, right);
    }

    private static string Answer(ItemTask task, Hypothesis student, MethodRun run)
    {
        Method.Run(task, run, student.Deviations);
        return task.Canonical(run.Page.Answer.ToString());
    }

    private static RuleLine LineOf(string rule, Dictionary<string, IReadOnlyList<RuleOnPage>> stands, int pages)
    {
        var pagesOfRule = stands[rule];
        double followed = 0, shows = 0;
        foreach (var page in pagesOfRule)
        {
            var weight = Math.Pow(OlderWeighs, pages - 1 - page.Page);
            (followed, shows) = (followed + weight * page.Followed, shows + weight * page.Shows);
        }

        var course = CourseOf(pagesOfRule, pages);
        var by = course == RuleCourse.Gone ? InPlaceOf(rule, pagesOfRule[^1], stands) : null;
        return new RuleLine(rule, pagesOfRule, by is null ? course : RuleCourse.Replaced, shows == 0 ? 0 : followed / shows, by);
    }

    private static RuleCourse CourseOf(IReadOnlyList<RuleOnPage> stands, int pages)
    {
        var held = -1;
        var wasGone = false;
        var course = RuleCourse.Followed;
        var before = 0.0;
        for (var i = 0; i < stands.Count; i++)
        {
            var (shows, followed) = (stands[i].Shows, stands[i].Followed);
            var share = (double)followed / shows;
            var isFollowed = followed >= SheetDiagnosis.ShowingsNeeded || share >= Mostly;
            if (held < 0 && !isFollowed) continue;
            if (share <= Hardly)
            {
                // A page or two with few such items are taken together.
                var without = stands.Skip(held + 1).Take(i - held).Sum(s => s.Shows - s.Followed);
                wasGone |= followed == 0 && without >= LeastWithout;
                course = followed == 0 ? without >= LeastWithout ? RuleCourse.Gone : RuleCourse.NotTried : RuleCourse.ComingLoose;
            }
            else
            {
                course = wasGone
                    ? RuleCourse.Returned
                    : share >= Mostly
                    ? RuleCourse.Followed
                    : held < 0 || share > before
                    ? RuleCourse.Forming
                    : RuleCourse.ComingLoose;
                held = i;
            }

            before = share;
        }

        // Younger pages without such an item leave it open.
        return course is RuleCourse.Followed or RuleCourse.Returned && stands.Count > 0 && stands[^1].Page < pages - 1 ? RuleCourse.NotTried : course;
    }

    private static string? InPlaceOf(string rule, RuleOnPage last, Dictionary<string, IReadOnlyList<RuleOnPage>> stands) =>
        last.Right * 2 > last.Shows ? null : stands.Where(s => s.Key != rule)
            .Select(s => (Rule: s.Key, On: s.Value.FirstOrDefault(p => p.Page == last.Page)))
                .Where(s => s.On is { } on && on.Followed >= SheetDiagnosis.ShowingsNeeded && on.Followed >= Mostly * on.Shows)
            .OrderByDescending(s => s.On!.Followed).ThenBy(s => s.Rule, StringComparer.Ordinal).Select(s => s.Rule).FirstOrDefault();
}
