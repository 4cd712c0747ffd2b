using System.Text.Json;
using System.Text.Json.Serialization;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Teaching;

namespace YellowPencil.Core.Progress;

/// <summary>What an item of a check is for.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<CheckPart>))]
public enum CheckPart
{
    /// <summary>The old rule gives another answer here: a chance for it to show.</summary>
    [JsonStringEnumMemberName("shows")]
    Shows,

    /// <summary>The old rule gives the right answer here too.</summary>
    [JsonStringEnumMemberName("right-by-luck")]
    RightByLuck,

    /// <summary>The old rule is right here, and a new habit is not.</summary>
    [JsonStringEnumMemberName("new-habit")]
    NewHabit,
}

/// <summary>An item of a check.</summary>
/// <param name="Part">What it is for.</param>
/// <param name="Item">The item, with both answers.</param>
public sealed record CheckItem(CheckPart Part, PlanItem Item);

/// <summary>A short set of items that shows whether an old rule is still followed. Forms of one plan have other numbers and the same power.</summary>
/// <param name="Items">Four to six items, in the order in which they are set.</param>
public sealed record CheckForm(IReadOnlyList<CheckItem> Items)
{
    /// <summary>The fewest items of a check on which the rule would show.</summary>
    public const int Showing = 3;

    private const int ByLuck = 2;

    // Of a rule that shows everywhere there is nothing to put between.
    private const int Fewest = 4;

    /// <summary>Makes a form. The same input gives the same one.</summary>
    /// <param name="plan">The plan whose rule is looked for.</param>
    /// <param name="hypothesis">The rules that the plan was made for.</param>
    /// <param name="wrongFacts">Number facts that the student does not have.</param>
    /// <param name="size">How hard items are that the student meets.</param>
    /// <param name="number">Which form it is, from 1.</param>
    /// <param name="seed">The seed of the plan.</param>
    /// <param name="used">Items of earlier forms as they are written; they come again only where there are no others.</param>
    /// <returns>The form; null where the plan's rule is not known to this version, or shows on too few items.</returns>
    public static CheckForm? Make(
        RemediationPlan plan, Hypothesis hypothesis, IReadOnlyCollection<NumberFact> wrongFacts, StudentSize size, int number, int seed, IReadOnlySet<string> used)
    {
        if (PlanMaker.ItemsOf(plan, hypothesis, wrongFacts, size, seed + 101 * number) is not { AreEnough: true } items) return null;
        items.PutAside(used.Concat(plan.Changeable().Select(i => i.Written)).Append(plan.Example.Written).Append(plan.Fails.Written).ToHashSet());
        var habit = items.TakeGuard();
        var luck = items.TakeNotShowing(ByLuck);
        var shown = items.TakeShowing(Math.Max(Showing, Fewest - luck.Count - (habit is null ? 0 : 1)), 0.1, 0.7).Select(i => new CheckItem(CheckPart.Shows, i)).ToList();

        // The others stand between, so that no two of them tell what is asked.
        var between = luck.Concat(new[] { habit }.OfType<PlanItem>()).Select(i => new CheckItem(i.NewHabit is null ? CheckPart.RightByLuck : CheckPart.NewHabit, i)).ToList();
        var ordered = new List<CheckItem>();
        for (var at = 0; at < Math.Max(shown.Count, between.Count); at++)
        {
            if (at < shown.Count) ordered.Add(shown[at]);
            if (at < between.Count) ordered.Add(between[at]);
        }

        return new CheckForm(ordered);
    }

    /// <summary>A page as a form: what each of its items tells of the rules.</summary>
    /// <param name="tasks">The items of the page.</param>
    /// <param name="hypothesis">The rules.</param>
    public static CheckForm OfPage(IEnumerable<ItemTask> tasks, Hypothesis hypothesis)
    {
        var run = new MethodRun();
        return new CheckForm([.. tasks.Select(task =>
        {
            var item = PlanItem.Of(task, hypothesis.Outcomes.Select(outcome =>
            {
                Method.Run(task, run, outcome.Deviations);
                return run.Page.Answer.ToString();
            }));
            return new CheckItem(item.Shows ? CheckPart.Shows : CheckPart.RightByLuck, item);
        })]);
    }

    /// <summary>The form as it is kept: for each item, as it is written, what it is for and what the old rule and a new habit give.</summary>
    public string Write() => JsonSerializer.Serialize(Items.Select(i => new KeptItem(ItemList.Written(i.Item.Task), i.Part, i.Item.OldAnswer, i.Item.NewHabit)));

    /// <summary>The form as it was kept, of those items that are still on the page, in its order.</summary>
    /// <param name="kept">What <see cref="Write"/> wrote.</param>
    /// <param name="tasks">The items of the page.</param>
    public static CheckForm Read(string kept, IEnumerable<ItemTask> tasks)
    {
        var items = JsonSerializer.Deserialize<List<KeptItem>>(kept)!.ToDictionary(i => i.Task);
        return new CheckForm([.. tasks.Select(t => (Task: t, Kept: items.GetValueOrDefault(ItemList.Written(t)))).Where(t => t.Kept is not null)
            .Select(t => new CheckItem(t.Kept!.Part, new PlanItem(t.Task, t.Kept.Old) { NewHabit = t.Kept.NewHabit }))]);
    }

    private sealed record KeptItem(
        [property: JsonPropertyName("task")] string Task, [property: JsonPropertyName("part")] CheckPart Part, [property: JsonPropertyName("old")] string Old,
        [property: JsonPropertyName("newHabit")] string? NewHabit);

    /// <summary>What came of it.</summary>
    /// <param name="on">When it was written.</param>
    /// <param name="answers">The answers in the order of the items; null is blank and "?" unreadable.</param>
    /// <param name="otherRule">The name of another rule that the reading of the answers holds; empty where it holds none.</param>
    public CheckResult Judge(DateOnly on, IReadOnlyList<string?> answers, string otherRule = "")
    {
        if (answers.Count != Items.Count) throw new ArgumentException($"{Items.Count} items and {answers.Count} answers", nameof(answers));
        var outcomes = Items.Zip(answers, (item, answer) => new CheckedItem(item, answer, OutcomeOf(item.Item, answer))).ToList();
        return new CheckResult(on, outcomes, otherRule);
    }

    private static CheckOutcome OutcomeOf(PlanItem item, string? answer) => item.Task.Judge(answer) switch
    {
        Verdict.Right => CheckOutcome.Right,
        _ when string.IsNullOrWhiteSpace(answer) || answer.Trim() == "?" => CheckOutcome.Open,
        _ when item.Shows && item.IsOld(answer) => CheckOutcome.OldRule,
        _ => CheckOutcome.Other,
    };
}
