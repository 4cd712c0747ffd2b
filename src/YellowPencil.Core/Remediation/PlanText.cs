using System.Text;
using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Remediation;

/// <summary>Writes a plan, for people as Markdown and for programs as JSON.</summary>
public static class PlanText
{
    /// <summary>The plan as Markdown.</summary>
    public static string Markdown(RemediationPlan plan)
    {
        var text = new StringBuilder();
        Line($"# Plan for {plan.Student}: {plan.Idea.Name}");
        Line($"**Aim, in the student’s words:** {plan.Script.Aim}");
        Line($"**The old rule:** {plan.OldRule} {plan.Reason}");
        Line($"**What is missing:** {plan.Idea.Statement}");
        Line($"**Why this first:** {plan.WhyFirst}");
        if (plan.Waiting.Count > 0) Line($"**Waiting:** {string.Join("; ", plan.Waiting.Select(w => $"{w.Name} ({w.Idea})"))}");
        Line($"## What must come first: {plan.Script.First}");
        Lines(plan.First.Select(q => $"- {q.Question}  → {q.Answer}"));
        Line("## Contrast");
        if (plan.Works is { } works) Line($"Here the old rule happens to work: {Show(works)} = {works.Right}.");
        Line($"Here it does not: {Show(plan.Fails)} is {plan.Fails.Right}; the old rule gives {Old(plan.Fails)}.");
        Line("## Worked example");
        Line($"{Show(plan.Example)} = {plan.Example.Right}");
        Lines(plan.ExampleSteps.Select((s, i) => $"{i + 1}. {s}"));
        Line($"**Why it works:** {plan.Script.Why}");
        Line($"**Material:** {plan.Script.Material}");
        Line("## Together");
        Lines(plan.Together.Select(i => $"- {Show(i)} = {i.Right}"));
        Line($"Say: {plan.Script.Say}");
        Line("## Alone");
        Lines(plan.Alone.Select(i => $"- {Show(i)} = {i.Right}"));
        Line($"Stop before each answer is shown: “{plan.Script.StopAt}”");
        Line($"**Check:** {RemediationPlan.Check}");
        Line($"**Exit question:** {Show(plan.Exit)} → {plan.Exit.Right}; the old rule gives {Old(plan.Exit)}.");
        Line("## Practice, with key");
        Line("| | item | right | old rule |\n|---|---|---|---|\n" + string.Join('\n', plan.PracticeFirst.Concat(plan.PracticeMixed)
            .Select((i, n) => $"| {n + 1} | {Show(i)} | {i.Right} | {(i.Shows ? Old(i) : "the same")} |")));
        Line($"Items 1 to {plan.PracticeFirst.Count} first; the others, mixed with items where nothing is to be {{renamed}}, on a later day.".In(plan.Word));
        Line("## To keep in mind");
        Lines(RemediationPlan.Cautions.Select(c => $"- {c}"));
        return text.ToString();

        void Line(string line) => text.Append(line).Append("\n\n");
        void Lines(IEnumerable<string> lines) => Line(string.Join('\n', lines));
    }

    /// <summary>The plan as JSON.</summary>
    public static string Json(RemediationPlan plan) => JsonText.Write(true, json =>
    {
        json.WriteStartObject();
        json.WriteString("format", "yellow-pencil.plan");
        json.WriteNumber("version", 1);
        json.WriteString("student", plan.Student);
        json.WriteString("idea", plan.Idea.Id);
        json.WriteString("word", plan.Word.ToString().ToLowerInvariant());
        foreach (var (name, value) in new[]
        {
            ("aim", plan.Script.Aim), ("oldRule", plan.OldRule), ("reason", plan.Reason), ("missingIdea", plan.Idea.Statement), ("whyFirst", plan.WhyFirst),
            ("why", plan.Script.Why), ("material", plan.Script.Material), ("say", plan.Script.Say), ("stopAt", plan.Script.StopAt), ("check", RemediationPlan.Check),
        })
            json.WriteString(name, value);
        Texts("waiting", plan.Waiting.Select(w => w.Name));
        json.WriteStartArray("first");
        foreach (var question in plan.First)
        {
            json.WriteStartObject();
            json.WriteString("question", question.Question);
            json.WriteString("answer", question.Answer);
            json.WriteEndObject();
        }

        json.WriteEndArray();
        Items("contrast", plan.Works is null ? [plan.Fails] : [plan.Works, plan.Fails]);
        Items("example", [plan.Example]);
        Texts("exampleSteps", plan.ExampleSteps);
        Items("together", plan.Together);
        Items("alone", plan.Alone);
        Items("exit", [plan.Exit]);
        Items("practice", [.. plan.PracticeFirst, .. plan.PracticeMixed]);
        Texts("cautions", RemediationPlan.Cautions);
        json.WriteEndObject();

        void Texts(string name, IEnumerable<string> texts)
        {
            json.WriteStartArray(name);
            foreach (var text in texts) json.WriteStringValue(text);
            json.WriteEndArray();
        }

        void Items(string name, IReadOnlyList<PlanItem> items)
        {
            json.WriteStartArray(name);
            foreach (var item in items)
            {
                json.WriteStartObject();
                json.WriteString("task", item.Task.Text);
                json.WriteString("right", item.Right);
                json.WriteString("oldRule", item.OldAnswer);
                json.WriteEndObject();
            }

            json.WriteEndArray();
        }
    });

    private static string Show(PlanItem item) => item.Task.Text.Replace('-', '−');

    private static string Old(PlanItem item) => item.OldAnswer.Length == 0 ? "a blank" : item.OldAnswer;
}
