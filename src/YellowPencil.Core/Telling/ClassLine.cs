using System.Text.Json;
using System.Text.Json.Serialization;
using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Telling;

/// <summary>What the reading of a class needs to know of one student's sheet; small enough to be kept with every reading.</summary>
/// <param name="Student">The student's code.</param>
/// <param name="Outcome">What the reading comes to.</param>
/// <param name="Rules">The rules that are the student's.</param>
/// <param name="Rivals">Where a rule is followed and the sheet does not tell which: the rules of each explanation that is open, the likeliest first; else
/// empty.</param>
/// <param name="Cells">The items in the order of the sheet.</param>
public sealed record ClassLine(
    string Student, Outcome Outcome, IReadOnlyList<FollowedRule> Rules, IReadOnlyList<IReadOnlyList<string>> Rivals, IReadOnlyList<ClassCell> Cells)
{
    /// <summary>A rule is a student's from this probability on, and an explanation that is held so says what a wrong answer is due to.</summary>
    private const double LeastProbable = 0.5;

    private static readonly JsonSerializerOptions Options = new()
    { Converters = { new JsonStringEnumConverter() }, DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull };

    /// <summary>The line of a reading.</summary>
    public static ClassLine Of(Reading reading)
    {
        List<Explanation> rivals = reading.Outcome == Outcome.NotToldApart ? [.. ReadingText.Rivals(reading)] : [];
        var telling = reading.Explanations.Where(e => !e.IsSound && e.Probability >= LeastProbable).Union(rivals).ToList();
        return new ClassLine(
            reading.Sheet.Student, reading.Outcome, [.. RulesOf(reading)], [.. rivals.Select(e => e.Hypothesis.RuleIds)], [
                .. reading.Items.Select(item => Cell(item, telling))]);
    }

    /// <summary>Reads what <see cref="Write"/> wrote.</summary>
    /// <exception cref="JsonException">It is something else.</exception>
    public static ClassLine Parse(string json) => JsonSerializer.Deserialize<ClassLine>(json, Options) ?? throw new JsonException("a class line is an object");

    /// <summary>The line as JSON.</summary>
    public string Write() => JsonSerializer.Serialize(this, Options);

    private static IEnumerable<FollowedRule> RulesOf(Reading reading)
    {
        var held = reading.Explanations.SelectMany(e => e.Hypothesis.RuleIds.Select(rule => (Rule: rule, Explanation: e)));
        foreach (var rule in held.GroupBy(h => h.Rule, StringComparer.Ordinal))
        {
            var probability = rule.Sum(h => h.Explanation.Probability);
            var best = rule.MaxBy(h => h.Explanation.Probability).Explanation;
            if (probability < LeastProbable || best.LeastShown < SheetDiagnosis.ShowingsNeeded) continue;
            yield return new FollowedRule(rule.Key, Math.Min(1, rule.Sum(h => h.Explanation.Alone)), best.Followed, best.Chances) { OnItems = best.LeastShown };
        }
    }

    private static ClassCell Cell(ItemReading item, IEnumerable<Explanation> telling)
    {
        var task = item.Item.Task;
        var answer = item.Verdict is Verdict.Wrong or Verdict.Unfinished ? task.Canonical(item.Item.Answer!) : null;
        var foretelling = answer is null ? [] : telling.Where(e => e.Predictions.GetValueOrDefault(item.Item.Id) == answer).Select(e => e.Hypothesis.RuleIds);
        return new ClassCell(item.Item.Id, task.Text, task.Asked.Form, item.Verdict, item.Cause, answer, [.. foretelling])
        { Over = task.Asked.Over, To = task.Asked.To };
    }
}

/// <summary>A rule that a student follows.</summary>
/// <param name="Rule">The id of the rule.</param>
/// <param name="Probability">How probable it is, over all explanations that hold the rule, as people are shown it.</param>
/// <param name="Shown">How many of the chances of the likeliest of these explanations were followed.</param>
/// <param name="Chances">How many chances it had.</param>
public sealed record FollowedRule(string Rule, double Probability, int Shown, int Chances)
{
    /// <summary>On how many wrong answers it showed.</summary>
    public int OnItems { get; init; }

    /// <summary>Whether it is held from no more than has to be: from the fewest showings from which anything is.</summary>
    [JsonIgnore]
    public bool IsThin => OnItems <= SheetDiagnosis.ShowingsNeeded;
}

/// <summary>One item of one student.</summary>
/// <param name="Id">The item.</param>
/// <param name="Task">The task.</param>
/// <param name="Form">The form of answer that was asked for, or null.</param>
/// <param name="Verdict">Right or wrong.</param>
/// <param name="Cause">Why it is wrong; null where it is not.</param>
/// <param name="Wrong">The answer where it is wrong or not finished, spelled as the format spells answers; else null.</param>
/// <param name="Rules">The rules of the explanations that foretell this wrong answer, each explanation once.</param>
public sealed record ClassCell(string Id, string Task, string? Form, Verdict Verdict, Cause? Cause, string? Wrong, IReadOnlyList<IReadOnlyList<string>> Rules)
{
    /// <summary>The numbers over which it was to be factored, or null.</summary>
    public string? Over { get; init; }

    /// <summary>The place to which it was to be estimated, or null.</summary>
    public string? To { get; init; }

    /// <summary>What was asked for.</summary>
    [JsonIgnore]
    public Asked Asked => new(Form, Over, To);
}
