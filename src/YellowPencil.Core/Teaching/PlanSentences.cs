namespace YellowPencil.Core.Teaching;

/// <summary>A sentence of a plan that a specialist can say in another way.</summary>
/// <param name="Key">Its key, for example <c>say</c> or <c>step-3</c>.</param>
/// <param name="Name">What it is for.</param>
/// <param name="Text">What it says; empty for a step that is left out.</param>
/// <param name="Before">What it said before it was changed; null where it was not.</param>
public sealed record PlanSentence(string Key, string Name, string Text, string? Before)
{
    /// <summary>Whether it can be left out.</summary>
    public bool IsStep => Key.StartsWith("step-", StringComparison.Ordinal);
}

/// <summary>The sentences of a plan one by one, and the plan with one of them said in another way.</summary>
public static class PlanSentences
{
    /// <summary>The longest that a sentence may be.</summary>
    public const int MostCharacters = 600;

    private static readonly (string Key, string Name, Func<RemediationPlan, string> Of, Func<RemediationPlan, string, RemediationPlan> With)[] Parts =
    [
        ("aim", "Aim", p => p.Script.Aim, (p, text) => p with { Script = p.Script with { Aim = text } }),
        ("first", "What must come first", p => p.Script.First, (p, text) => p with { Script = p.Script with { First = text } }),
        ("differs", "Contrast", p => p.Differs, (p, text) => p with { Differs = text }),
        ("why", "Why it works", p => p.Script.Why, (p, text) => p with { Script = p.Script with { Why = text } }),
        ("material", "With", p => p.Script.Material, (p, text) => p with { Script = p.Script with { Material = text } }),
        ("say", "Say while doing two together", p => p.Script.Say, (p, text) => p with { Script = p.Script with { Say = text } }),
        ("stop-at", "Question before each answer", p => p.Script.StopAt, (p, text) => p with { Script = p.Script with { StopAt = text } }),
        ("check", "Check", p => p.Check, (p, text) => p with { Check = text }),
    ];

    /// <summary>The sentences in the order of the plan, the steps of the example after the contrast.</summary>
    public static IReadOnlyList<PlanSentence> Of(RemediationPlan plan)
    {
        var parts = Parts.Select(p => new PlanSentence(p.Key, p.Name, p.Of(plan), plan.Reworded.GetValueOrDefault(p.Key))).ToList();
        var steps = plan.ExampleSteps.Select(
            (text, i) => new PlanSentence($"step-{i + 1}", $"Step {i + 1} of the example", text, plan.Reworded.GetValueOrDefault($"step-{i + 1}")));
        parts.InsertRange(parts.FindIndex(p => p.Key == "why"), steps);
        return parts;
    }

    /// <summary>The plan with a sentence said in another way; as it was before, it is no longer marked as changed.</summary>
    /// <exception cref="ArgumentException">There is no such sentence, or it cannot be so: the message says why.</exception>
    public static RemediationPlan Reword(this RemediationPlan plan, string key, string text)
    {
        text = string.Join(' ', text.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));
        var sentence = Of(plan).FirstOrDefault(s => s.Key == key) ?? throw new ArgumentException($"The plan has no sentence “{key}”.");
        if (text == sentence.Text) return plan;
        if (text.Length > MostCharacters)
            throw new ArgumentException($"{sentence.Name}: {text.Length} characters; a sentence that is said aloud has at most {MostCharacters}.");
        if (text.Length == 0 && !sentence.IsStep)
            throw new ArgumentException($"{sentence.Name}: nothing is left of it. Only steps of the example can be left out.");
        var changed = sentence.IsStep
            ? plan with { ExampleSteps = [.. plan.ExampleSteps.Select((step, i) => key == $"step-{i + 1}" ? text : step)] }
            : Parts.First(p => p.Key == key).With(plan, text);
        var before = new Dictionary<string, string>(plan.Reworded);
        before.TryAdd(key, sentence.Text);
        if (before[key] == text) before.Remove(key);
        return changed with { Reworded = before };
    }
}
