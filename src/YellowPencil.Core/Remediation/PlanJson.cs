using System.Text.Json;
using System.Text.Json.Serialization;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Remediation;

/// <summary>A plan as data: what the command line gives out, and what is kept of a plan as it was made.</summary>
public static class PlanJson
{
    /// <summary>The value of <c>format</c>.</summary>
    public const string Format = "yellow-pencil.plan";

    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
        RespectNullableAnnotations = true,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower), new PlanItemConverter(), new WorkConverter() },
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
    public static RemediationPlan Read(string json) => JsonSerializer.Deserialize<RemediationPlan>(json, Options) ?? throw new JsonException("there is no plan in it");

    private sealed class PlanItemConverter : JsonConverter<PlanItem>
    {
        public override PlanItem Read(ref Utf8JsonReader reader, Type type, JsonSerializerOptions options)
        {
            using var item = JsonDocument.ParseValue(ref reader);
            var form = item.RootElement.TryGetProperty("form", out var asked) ? asked.GetString() : null;
            var task = TaskText.TryParse(item.RootElement.GetProperty("task").GetString()!, form);
            return new PlanItem(task.Value ?? throw new JsonException(task.Fault.Message), item.RootElement.GetProperty("oldRule").GetString()!);
        }

        public override void Write(Utf8JsonWriter json, PlanItem item, JsonSerializerOptions options)
        {
            json.WriteStartObject();
            json.WriteString("task", item.Task.Text);
            if (item.Task.Form is { } form) json.WriteString("form", form);
            json.WriteString("right", item.Right);
            json.WriteString("oldRule", item.OldAnswer);
            json.WriteEndObject();
        }
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
