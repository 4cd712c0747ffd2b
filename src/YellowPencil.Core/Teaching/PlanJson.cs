using System.Text.Json;
using System.Text.Json.Serialization;
using YellowPencil.Core.Families;
using YellowPencil.Core.Format;

namespace YellowPencil.Core.Teaching;

/// <summary>A plan as data: what the command line gives out, and what is kept of a plan as it was made.</summary>
public static class PlanJson
{
    /// <summary>The value of <c>format</c>.</summary>
    public const string Format = "yellow-pencil.plan";

    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        RespectNullableAnnotations = true,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower), new FamilyConverter(), new PlanItemConverter(), new WorkConverter() },
    };

    /// <summary>The plan as JSON.</summary>
    public static string Write(RemediationPlan plan) => JsonSerializer.Serialize(plan, Options);

    /// <summary>What a call for a plan gives out: the plan, or why there is none.</summary>
    /// <param name="student">The student's code.</param>
    /// <param name="plan">The plan; null where there is none.</param>
    /// <param name="why">Why there is none; null where there is one.</param>
    public static string Write(string student, RemediationPlan? plan, string? why) =>
        JsonSerializer.Serialize(new { format = Format, version = 1, student, plan, why }, Options);

    /// <summary>The plan of a JSON text that was kept.</summary>
    /// <exception cref="JsonException">The text is none.</exception>
    public static RemediationPlan Read(string json) =>
        JsonSerializer.Deserialize<RemediationPlan>(json, Options) ?? throw new JsonException("there is no plan in it");

    /// <summary>The names of the rules that wait in a plan that was kept, without reading the rest of it.</summary>
    public static IReadOnlyList<string> WaitingIn(string json)
    {
        if (json.Length == 0) return [];
        using var plan = JsonDocument.Parse(json);
        return plan.RootElement.TryGetProperty("waiting", out var waiting) ? [.. waiting.EnumerateArray().Select(w => w.GetProperty("name").GetString()!)] : [];
    }

    /// <summary>The plan of a file that <c>plan --json</c> wrote.</summary>
    /// <exception cref="JsonException">There is no plan in it; the message says why and where.</exception>
    public static async Task<RemediationPlan> ReadFileAsync(Stream file, CancellationToken cancellation = default)
    {
        using var document = await JsonDocument.ParseAsync(file, default, cancellation);
        return ReadFile(document.RootElement);
    }

    /// <summary>The plan of a file that <c>plan --json</c> wrote.</summary>
    /// <exception cref="JsonException">There is no plan in it; the message says why and where.</exception>
    public static RemediationPlan ReadFile(JsonElement root)
    {
        if (
            root.ValueKind != JsonValueKind.Object
                || !root.TryGetProperty("format", out var format) || format.ValueKind != JsonValueKind.String || format.GetString() != Format)
            throw new JsonException($"format: must be \"{Format}\"");
        if (
            !root.TryGetProperty("version", out var version)
                || version.ValueKind != JsonValueKind.Number || !version.TryGetInt32(out var number) || number != 1)
            throw new JsonException("version: must be 1");
        if (!root.TryGetProperty("plan", out var plan) || plan.ValueKind != JsonValueKind.Object)
            throw new JsonException(
                root.TryGetProperty("why", out var why) && why.ValueKind == JsonValueKind.String
                    ? $"plan: there is none: {why.GetString()}"
                    : "plan: is missing");
        try
        {
            var read = plan.Deserialize<RemediationPlan>(Options)!;
            return Faults(read).FirstOrDefault() is { } fault ? throw new JsonException(fault) : read;
        }
        catch (Exception fault) when (fault is InvalidOperationException or KeyNotFoundException)
        {
            throw new JsonException($"plan: {fault.Message}");
        }
    }

    // What is true of every plan that was made here, and on which its pages rest.
    private static IEnumerable<string> Faults(RemediationPlan plan)
    {
        if (plan.ExampleSteps.Count == 0) yield return "plan.exampleSteps: the example has no steps";
        foreach (
            var (name, count, items) in new[]
                {
                    ("together", 2, plan.Together), ("alone", 3, plan.Alone), (
                        "practiceFirst", 6, plan.PracticeFirst), ("practiceMixed", 6, plan.PracticeMixed),
                })
            if (items.Count != count) yield return $"plan.{name}: has {items.Count} items and must have {count}";
        if (plan.Guard is { NewHabit: { } habit } guard && guard.Task.Judge(habit) != Verdict.Wrong) yield return "plan.guard: newHabit must be a wrong answer";
        if (!plan.Fails.Shows) yield return "plan.fails: the old rule gives the right answer there, so it shows nothing";
        foreach (var item in plan.Changeable().Append(plan.Example).Append(plan.Fails).Where(i => i.Task.Family != plan.Family))
            yield return $"plan: {item.Written} is no item of {plan.Family.Name}";
        foreach (var sentence in PlanSentences.Of(plan).Where(s => s.Text.Length > PlanSentences.MostCharacters))
            yield return $"plan: {sentence.Name} has more than {PlanSentences.MostCharacters} characters";
    }

    private sealed class PlanItemConverter : JsonConverter<PlanItem>
    {
        public override PlanItem Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options)
        {
            using var item = JsonDocument.ParseValue(ref reader);
            var task = TaskText.TryParse(item.RootElement.GetProperty("task").GetString()!, Asked.Read(item.RootElement));
            return new PlanItem(task.Value ?? throw new JsonException(task.Fault.Message), item.RootElement.GetProperty("oldRule").GetString()!)
            {
                NewHabit = item.RootElement.TryGetProperty("newHabit", out var newHabit) ? newHabit.GetString() : null,
            };
        }

        public override void Write(Utf8JsonWriter json, PlanItem item, JsonSerializerOptions options)
        {
            json.WriteStartObject();
            json.WriteString("task", item.Task.Text);
            item.Task.Asked.Write(json);
            json.WriteString("right", item.Right);
            json.WriteString("oldRule", item.OldAnswer);
            if (item.NewHabit is { } newHabit) json.WriteString("newHabit", newHabit);
            json.WriteEndObject();
        }
    }

    private sealed class FamilyConverter : JsonConverter<Family>
    {
        public override Family Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options) =>
            FamilyList.TryParse(reader.GetString() ?? "", out var family) ? family : throw new JsonException("there is no such family");

        public override void Write(Utf8JsonWriter json, Family family, JsonSerializerOptions options) => json.WriteStringValue(family.Name);
    }

    private sealed class WorkConverter : JsonConverter<Work>
    {
        public override Work Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options)
        {
            using var work = JsonDocument.ParseValue(ref reader);
            return Work.TryRead(work.RootElement, out var fault) ?? throw new JsonException(fault!.ToString());
        }

        public override void Write(Utf8JsonWriter json, Work work, JsonSerializerOptions options) => work.Write(json);
    }
}
