using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Telling;

/// <summary>A rule that students of a class share.</summary>
/// <param name="Rule">The id of the rule.</param>
/// <param name="Text">The rule in a sentence; may hold the classroom's word.</param>
/// <param name="Students">Who follows it, the surest first.</param>
/// <param name="Items">The ids of the items on which it led somebody to a wrong answer.</param>
public sealed record SharedRule(string Rule, string Text, IReadOnlyList<RuleFollower> Students, IReadOnlyList<string> Items);

/// <summary>A student who follows a rule.</summary>
/// <param name="Student">The student's code.</param>
/// <param name="Followed">The rule with its chances.</param>
public sealed record RuleFollower(string Student, FollowedRule Followed);

/// <summary>An item as a class answered it.</summary>
/// <param name="Id">The item, as the first sheet that has it numbers it.</param>
/// <param name="Task">The task.</param>
/// <param name="Right">How many answered it right.</param>
/// <param name="Wrong">How many wrong, or not in the form that was asked for.</param>
/// <param name="Blank">How many left it out, or wrote what cannot be read.</param>
/// <param name="Answers">The wrong answers, the commonest first.</param>
public sealed record ClassItem(string Id, ItemTask Task, int Right, int Wrong, int Blank, IReadOnlyList<ClassAnswer> Answers)
{
    /// <summary>Whether several tried and none got it right.</summary>
    public bool IsNobodys => Right == 0 && Wrong > 1;

    /// <summary>
    /// Where nobody got it right: whether rules of students foretell at least half of the wrong answers, so that it lies with what the class was taught;
    /// otherwise the item itself is to be looked at.
    /// </summary>
    public bool IsTheClass => 2 * Answers.Where(a => a.Rules.Count > 0).Sum(a => a.Students.Count) >= Wrong;
}

/// <summary>A wrong answer to an item.</summary>
/// <param name="Answer">The answer.</param>
/// <param name="Students">The codes of those who gave it.</param>
/// <param name="Rules">The rules of their explanations that foretell it, each explanation once.</param>
public sealed record ClassAnswer(string Answer, IReadOnlyList<string> Students, IReadOnlyList<IReadOnlyList<string>> Rules);

/// <summary>The sheets of a class read together: who shares which rule, how each item was answered, and who needs a second look.</summary>
public sealed class ClassReading
{
    /// <summary>Puts the lines of a class together.</summary>
    /// <param name="lines">One line a sheet, in the order of the sheets.</param>
    public ClassReading(IReadOnlyList<ClassLine> lines)
    {
        Students = lines.Select(l => l.Student).Distinct().Count();
        Rules =
            [.. lines.SelectMany(line => line.Rules.Select(rule => new RuleFollower(line.Student, rule))).GroupBy(f => f.Followed.Rule, StringComparer.Ordinal).Select(f => Shared(f, lines))
            .OrderByDescending(r => r.Students.Count).ThenBy(r => r.Rule, StringComparer.Ordinal)];
        Items = [
            .. lines.SelectMany(line => line.Cells.Select(cell => (line.Student, Cell: cell)))
                .GroupBy(i => (i.Cell.Task, i.Cell.Asked)).Select(g => Answered([.. g]))];
        LookAgain = [.. lines.Where(l => l.Outcome is not (Outcome.Bug or Outcome.Sound)).Select(l => (l.Student, l.Outcome))];
    }

    /// <summary>How many students there are.</summary>
    public int Students { get; }

    /// <summary>The rules, those of most students first.</summary>
    public IReadOnlyList<SharedRule> Rules { get; }

    /// <summary>The items, in the order of the sheet.</summary>
    public IReadOnlyList<ClassItem> Items { get; }

    /// <summary>Who needs a second look, and why.</summary>
    public IReadOnlyList<(string Student, Outcome Why)> LookAgain { get; }

    /// <summary>What a rule does, in a sentence.</summary>
    public static string TextOf(string rule) =>
        Catalogue.Find(rule)?.Text ?? (Hypothesis.Parse(rule)?.Unlisted is [{ } unlisted] ? $"A rule that is not in the catalogue. {unlisted.Text}." : rule);

    private static SharedRule Shared(IGrouping<string, RuleFollower> followers, IReadOnlyList<ClassLine> lines) => new(
        followers.Key, TextOf(followers.Key), [.. followers.OrderByDescending(f => f.Followed.Probability).ThenBy(f => f.Student, StringComparer.Ordinal)],
        [.. lines.SelectMany(line => line.Cells).Where(cell => cell.Rules.Any(rules => rules.Contains(followers.Key))).Select(cell => cell.Id).Distinct()]);

    private static ClassItem Answered(IReadOnlyList<(string Student, ClassCell Cell)> given)
    {
        var answers = given.Where(g => g.Cell.Wrong is not null).GroupBy(g => g.Cell.Wrong!).Select(g => new ClassAnswer(
            g.Key, [.. g.Select(a => a.Student).Distinct()], [.. g.SelectMany(a => a.Cell.Rules).DistinctBy(ids => string.Join('+', ids))]));
        var (task, asked) = (given[0].Cell.Task, given[0].Cell.Asked);
        return new ClassItem(
            given[0].Cell.Id, TaskText.TryParse(task, asked).Value ?? throw new ArgumentException($"{task} is not a task"),
            given.Count(g => g.Cell.Verdict == Verdict.Right), given.Count(g => g.Cell.Wrong is not null), given.Count(
                g => g.Cell.Verdict is Verdict.Blank or Verdict.Unreadable),
            [.. answers.OrderByDescending(a => a.Students.Count).ThenBy(a => a.Answer, StringComparer.Ordinal)]);
    }
}
