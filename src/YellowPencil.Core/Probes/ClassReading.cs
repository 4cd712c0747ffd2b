using YellowPencil.Core.Bugs;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Probes;

/// <summary>A rule that students of a class share.</summary>
/// <param name="Rule">The id of the rule.</param>
/// <param name="Text">The rule in a sentence; may hold the classroom's word.</param>
/// <param name="Students">Who follows it, the surest first.</param>
public sealed record SharedRule(string Rule, string Text, IReadOnlyList<RuleFollower> Students);

/// <summary>A student who follows a rule.</summary>
/// <param name="Student">The student's code.</param>
/// <param name="Probability">How probable it is, over all explanations that hold the rule.</param>
/// <param name="Shown">How many of the chances of the likeliest of these explanations were followed.</param>
/// <param name="Chances">How many chances it had.</param>
public sealed record RuleFollower(string Student, double Probability, int Shown, int Chances);

/// <summary>An item as a class answered it.</summary>
/// <param name="Task">The task.</param>
/// <param name="Right">How many answered it right.</param>
/// <param name="Wrong">How many wrong, or not in the form that was asked for.</param>
/// <param name="Blank">How many left it out, or wrote what cannot be read.</param>
/// <param name="Answers">The wrong answers, the commonest first.</param>
public sealed record ClassItem(ItemTask Task, int Right, int Wrong, int Blank, IReadOnlyList<ClassAnswer> Answers);

/// <summary>A wrong answer to an item.</summary>
/// <param name="Answer">The answer.</param>
/// <param name="Students">The codes of those who gave it.</param>
/// <param name="Rules">The rules of their explanations that foretell it, each explanation once.</param>
public sealed record ClassAnswer(string Answer, IReadOnlyList<string> Students, IReadOnlyList<IReadOnlyList<string>> Rules);

/// <summary>The sheets of a class read together: who shares which rule, how each item was answered, and who needs a second look.</summary>
public sealed class ClassReading
{
    /// <summary>A rule is a student's from this probability on.</summary>
    private const double LeastProbable = 0.5;

    /// <summary>Puts the readings of a class together.</summary>
    /// <param name="readings">One reading a sheet, in the order of the sheets.</param>
    public ClassReading(IReadOnlyList<Reading> readings)
    {
        Students = readings.Select(r => r.Sheet.Student).Distinct().Count();
        Rules = [.. readings.SelectMany(RulesOf).GroupBy(r => r.Rule, StringComparer.Ordinal).Select(Shared)
            .OrderByDescending(r => r.Students.Count).ThenBy(r => r.Rule, StringComparer.Ordinal)];
        Items = [.. readings.SelectMany(reading => reading.Items.Select(item => (Reading: reading, Item: item)))
            .GroupBy(i => (i.Item.Item.Task.Text, i.Item.Item.Task.Form)).Select(g => Answered([.. g]))];
        LookAgain = [.. readings.Where(r => r.Outcome is not (Outcome.Bug or Outcome.Sound)).Select(r => (r.Sheet.Student, r.Outcome))];
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

    private static IEnumerable<(string Rule, RuleFollower Student)> RulesOf(Reading reading)
    {
        var held = reading.Explanations.SelectMany(e => e.Hypothesis.RuleIds.Select(rule => (Rule: rule, Explanation: e)));
        foreach (var rule in held.GroupBy(h => h.Rule, StringComparer.Ordinal))
        {
            var probability = rule.Sum(h => h.Explanation.Probability);
            var best = rule.MaxBy(h => h.Explanation.Probability).Explanation;
            if (probability < LeastProbable || best.LeastShown < SheetDiagnosis.LeastShown) continue;
            yield return (rule.Key, new RuleFollower(reading.Sheet.Student, Math.Min(1, probability), best.Followed, best.Chances));
        }
    }

    private static SharedRule Shared(IGrouping<string, (string Rule, RuleFollower Student)> rule) =>
        new(rule.Key, TextOf(rule.Key), [.. rule.Select(r => r.Student).OrderByDescending(s => s.Probability).ThenBy(s => s.Student, StringComparer.Ordinal)]);

    private static ClassItem Answered(IReadOnlyList<(Reading Reading, ItemReading Item)> items)
    {
        var wrong = items.Where(i => i.Item.Verdict is Verdict.Wrong or Verdict.Unfinished).ToList();
        var answers = wrong.GroupBy(i => i.Item.Item.Task.Canonical(i.Item.Item.Answer!)).Select(g => new ClassAnswer(
            g.Key, [.. g.Select(i => i.Reading.Sheet.Student).Distinct()],
            [.. g.SelectMany(i => i.Reading.Explanations.Where(e => !e.IsSound && e.Probability >= LeastProbable && e.Predictions.GetValueOrDefault(i.Item.Item.Id) == g.Key))
                .Select(e => e.Hypothesis.RuleIds).DistinctBy(ids => string.Join('+', ids))]));
        return new ClassItem(
            items[0].Item.Item.Task, items.Count(i => i.Item.Verdict == Verdict.Right), wrong.Count, items.Count(i => i.Item.Verdict is Verdict.Blank or Verdict.Unreadable),
            [.. answers.OrderByDescending(a => a.Students.Count).ThenBy(a => a.Answer, StringComparer.Ordinal)]);
    }
}
