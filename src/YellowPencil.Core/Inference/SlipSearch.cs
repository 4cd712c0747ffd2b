using YellowPencil.Core.Families;

namespace YellowPencil.Core.Inference;

/// <summary>One altered step that leads to the written answer.</summary>
/// <param name="Slip">The step and what was done there instead.</param>
/// <param name="Step">The step as it would have gone without the slip.</param>
/// <param name="Probability">Its probability among all single altered steps of the run.</param>
internal sealed record SlipExplanation(Slip Slip, Step Step, double Probability);

/// <summary>
/// Which single altered step leads from a student's procedure to the written answer: every step of the run is altered in
/// turn, decisions to what people do there by a slip, number facts to other values, near ones being likelier. Alterations that <see cref="SlipReach"/>
/// says cannot lead there are not run.
/// </summary>
internal sealed class SlipSearch(MethodRun run)
{
    private const double FactWeight = 3;

    private readonly MethodRun trace = new() { Recording = true };

    /// <summary>The altered steps that give the answer, most probable first; empty where none does.</summary>
    public IReadOnlyList<SlipExplanation> Explain(ItemEvidence item, DeviationSet set, ulong declined = 0)
    {
        item.MakeReady(trace);
        item.MakeReady(run);
        Method.Run(item.Task, trace, set, declined);
        var reach = new SlipReach(item, trace);
        item.MakeReady(run, withMarks: true);
        var found = new List<SlipExplanation>();
        var total = 0.0;
        foreach (var step in trace.Steps)
        {
            var isOpen = reach.Allows(step);
            int? probed = null;
            foreach (var (slip, weight) in Alterations(step))
            {
                total += weight;
                if (!isOpen || (step.Fact is not null && probed is { } place && !reach.AllowsValue(slip.Choice - step.Chosen, place))) continue;
                Method.Run(item.Task, run, set, declined, slip);
                if (step.Fact is not null) probed ??= reach.LowestChange(run.Page.Answer);
                if (item.Matches(run)) found.Add(new SlipExplanation(slip, step, weight * (item.MarksOf(run)?.Weight ?? 1)));
            }
        }

        return [.. found.Select(f => f with { Probability = f.Probability / total }).OrderByDescending(f => f.Probability)];
    }

    /// <summary>The other ways in which one step could go by a slip, with their relative weights; of a number fact the nearest values first.</summary>
    internal static IEnumerable<(Slip Slip, double Weight)> Alterations(Step step)
    {
        if (step.Decision is not null)
        {
            foreach (var (made, weight) in step.Slips)
                if (made != step.Chosen) yield return (new Slip(step.Number, made), weight);
            yield break;
        }

        var values = step.Fact!.Value.Near(step.Chosen).OrderBy(v => Math.Abs(v.Value - step.Chosen)).ToList();
        var total = values.Sum(v => v.Weight);
        foreach (var (value, weight) in values) yield return (new Slip(step.Number, value), FactWeight * weight / total);
    }
}
