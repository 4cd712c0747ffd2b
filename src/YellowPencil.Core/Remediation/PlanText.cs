using System.Text;
using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Remediation;

/// <summary>Writes a plan, for people, as Markdown.</summary>
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
        Line($"**Check:** {plan.Check}");
        Line($"**Exit question:** {Show(plan.Exit)} → {plan.Exit.Right}; the old rule gives {Old(plan.Exit)}.");
        Line("## Practice, with key");
        Line("| | item | right | old rule |\n|---|---|---|---|\n" + string.Join('\n', plan.PracticeFirst.Concat(plan.PracticeMixed)
            .Select((i, n) => $"| {n + 1} | {Show(i)} | {i.Right} | {(i.Shows ? Old(i) : "the same")} |")));
        Line($"Items 1 to {plan.PracticeFirst.Count} first; the others, mixed with items where nothing is to be {{renamed}}, on a later day.".In(plan.Word));
        Line("## To keep in mind");
        Lines(plan.Cautions.Select(c => $"- {c}"));
        return text.ToString();

        void Line(string line) => text.Append(line).Append("\n\n");
        void Lines(IEnumerable<string> lines) => Line(string.Join('\n', lines));
    }

    private static string Show(PlanItem item) => Signs.Printed(item.Task.Text);

    private static string Old(PlanItem item) => item.OldAnswer.Length == 0 ? "a blank" : item.OldAnswer;
}
