using System.Text;

namespace YellowPencil.Core.Teaching;

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
        if (plan.Gate.Length > 0) Line(plan.Gate);
        Line("## Contrast");
        Line(plan.Works is { } works
            ? $"Here the old rule happens to be right: {works.Written} → {works.RightWritten}."
            : plan.WithoutContrast());
        Line($"{(plan.Works is null ? "" : "Here it does not: ")}{plan.Fails.Written} is {plan.Fails.RightWritten}; the old rule gives {plan.Fails.OldWritten}.");
        if (plan.Differs.Length > 0) Line(plan.Differs);
        Line("## Worked example");
        Line($"{plan.Example.Written} → {plan.Example.RightWritten}");
        Lines(plan.ExampleSteps.Select((s, i) => (Step: s, Line: Signs.Printed(plan.ExampleLines.ElementAtOrDefault(i) ?? ""), Decides: i == plan.DecidingStep)).Where(s => s.Step.Length > 0)
            .Select((s, i) => $"{i + 1}. {(s.Line.Length > 0 ? $"`{s.Line}` " : "")}{(s.Decides ? $"**{s.Step}**" : s.Step)}"));
        Line($"**Why it works:** {plan.Script.Why}");
        Line($"**Material:** {plan.Script.Material}");
        Line($"**To bring:** {Materials.Listed(Materials.In(plan.Script.Material))}");
        Line("## Together");
        Lines(plan.Together.Select(i => $"- {i.Written} → {i.RightWritten}"));
        Line($"Say: {plan.Script.Say}");
        Line("## Alone");
        Lines(plan.Alone.Select(i => $"- {i.Written} → {i.RightWritten}"));
        Line($"Stop before each answer is shown: “{plan.Script.StopAt}”");
        Line($"**Check:** {plan.Check}");
        Line($"**Exit question:** {plan.Exit.Written} → {plan.Exit.RightWritten}; the old rule gives {plan.Exit.OldWritten}.");
        if (plan.Guard is { } guard) Line($"**And one for the new habit:** {guard.Written} → {guard.RightWritten}; {guard.GuardsAgainst}.");
        if (plan.Afterwards.Count > 0) Line("## At the end of the session");
        if (plan.Afterwards.Count > 0) Lines(plan.Afterwards.Select(a => $"- {a}"));
        if (plan.OnceMore is { } more) Line($"Once more together: {more.Written} → {more.RightWritten}; the old rule gives {more.OldWritten}.");
        if (plan.Facts.Count > 0) Line($"**Facts by themselves:** {string.Join(", ", plan.Facts)}. Two minutes a session, asked and checked apart from this; no item here needs them.");
        Line("## Practice, with key");
        Line("| | item | right | old rule |\n|---|---|---|---|\n" + string.Join('\n', plan.PracticeFirst.Concat(plan.PracticeMixed)
            .Select((i, n) => $"| {n + 1} | {i.Written} | {i.RightWritten} | {(i.Shows ? i.OldWritten : "the same")} |")));
        Line($"Items 1 to {plan.PracticeFirst.Count} first; the others, mixed with items that look alike and need the other choice, on a later day.");
        Line("## To keep in mind");
        Lines(plan.Cautions.Select(c => $"- {c}"));
        return text.ToString();

        void Line(string line) => text.Append(line).Append("\n\n");
        void Lines(IEnumerable<string> lines) => Line(string.Join('\n', lines));
    }
}
