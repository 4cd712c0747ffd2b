using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Inference;

/// <summary>Reads single items in the light of the explanations: the cause of what is wrong, and the first step that went wrong.</summary>
internal sealed class ItemReader(SheetLikelihood sheet, IReadOnlyList<Candidate> candidates)
{
    private readonly MethodRun run = new();
    private readonly MethodRun trace = new() { Recording = true };
    private readonly MethodRun mended = new() { Recording = true };

    /// <summary>Reads the items of the sheet in their order.</summary>
    public IReadOnlyList<ItemReading> Read(IReadOnlyList<WorkedItem> items)
    {
        var evidence = sheet.Items.ToDictionary(e => e.Item.Id);
        return [.. items.Select(item => evidence.TryGetValue(item.Id, out var answered)
            ? Read(answered)
            : new ItemReading(item, item.Task.Judge(item.Answer), null, null, new ItemReplay(candidates[0].Hypothesis, 0, null, false)))];
    }

    private ItemReading Read(ItemEvidence item)
    {
        var verdict = item.Task.Judge(item.Item.Answer);
        var replay = Replay(item);
        if (verdict == Verdict.Right) return new ItemReading(item.Item, verdict, null, null, replay);
        if (!replay.IsExplained) return new ItemReading(item.Item, verdict, Cause.Unexplained, FirstWrongDigit(item), replay);
        var wrong = FirstDeviantStep(item, replay);
        return new ItemReading(item.Item, verdict, CauseOf(wrong), Describe(item, replay, wrong), replay);
    }

    /// <summary>The likeliest procedure that gives the item: over the explanations, most probable first, followed or slipped.</summary>
    private ItemReplay Replay(ItemEvidence item)
    {
        foreach (var candidate in candidates.Take(1).Concat(candidates.Skip(1).Where(c => c.Probability > 0.05)))
        {
            if (candidate.Items[item.Index].IsMet) return new ItemReplay(candidate.Hypothesis, LikeliestWay(item, candidate), null, true);
            var slips = sheet.Slips(item, candidate.Hypothesis);
            if (slips.Count > 0) return new ItemReplay(candidate.Hypothesis, 0, slips[0].Slip, true);
        }

        return new ItemReplay(candidates[0].Hypothesis, 0, null, false);
    }

    private ulong LikeliestWay(ItemEvidence item, Candidate candidate)
    {
        ulong best = 0;
        var highest = -1.0;
        run.KeepsMarks = item.HasMarks;
        WayEnumeration.Visit(item.Task, run, candidate.Hypothesis.Deviations, declined =>
        {
            if (!item.Matches(run)) return;
            var weight = item.MarkLikelihood(run) * ItemLikelihood.Power(candidate.Consistency, run.Followed)
                * ItemLikelihood.Power(1 - candidate.Consistency, run.Chances - run.Followed);
            if (weight <= highest) return;
            (best, highest) = (declined, weight);
        });
        return best;
    }

    private Step FirstDeviantStep(ItemEvidence item, ItemReplay replay)
    {
        Method.Run(item.Task, trace, replay.Hypothesis.Deviations, replay.Declined, replay.Slip);
        return trace.Steps.First(s => s.Cause != StepCause.AsTaught);
    }

    private static Cause CauseOf(Step wrong) => wrong.Cause switch
    {
        StepCause.Slip => Cause.Slip,
        StepCause.Fact => Cause.Fact,
        _ => Cause.Bug,
    };

    /// <summary>
    /// Says what should stand where the wrong step shows, and what stands there. Where the marks happen to be the same, as when
    /// a wrong way gives the right digit, the steps themselves are told.
    /// </summary>
    private WrongStep Describe(ItemEvidence item, ItemReplay replay, Step wrong)
    {
        Method.Run(item.Task, mended, DeviationSet.Taught);
        var text = (replay.Slip is null ? "" : "This once: ") + wrong.MadeText;
        var field = wrong.Point?.ShowsIn ?? MarkField.Cells;
        if (wrong.Place is null) return new WrongStep(wrong.Name, null, field, item.Task.RightAnswer, item.Item.Answer!, text);
        foreach (var shown in new[] { field, MarkField.Cells }.Distinct())
            foreach (var place in Places(shown).OrderBy(p => p != wrong.Place))
            {
                var (expected, written) = (Standing(mended, shown, place), Standing(trace, shown, place));
                if (expected != written && (place == wrong.Place || shown != MarkField.Cells))
                    return new WrongStep(wrong.Name, place, shown, expected, written, text);
            }

        return new WrongStep(wrong.Name, wrong.Place, field, wrong.TaughtText, wrong.MadeText, text);
    }

    private IEnumerable<int> Places(MarkField field) => mended.Marks.Concat(trace.Marks).Where(m => m.Field == field).Select(m => m.Place).Distinct();

    private static string Standing(MethodRun page, MarkField field, int place)
    {
        var mark = page.Marks.Where(m => m.Field == field && m.Place == place).Select(m => m.Text).LastOrDefault();
        return mark is null ? "no mark" : MarkText(new Mark(field, place, mark));
    }

    private static string MarkText(Mark mark) => mark.Field switch
    {
        MarkField.Rewritten => $"{mark.Text} over the {Place.Name(mark.Place)}",
        MarkField.Carries => $"{mark.Text} carried to the {Place.Name(mark.Place)}",
        MarkField.RewrittenBelow => $"{mark.Text} over the bottom {Place.Name(mark.Place)}",
        _ => mark.Text,
    };

    private static WrongStep FirstWrongDigit(ItemEvidence item)
    {
        var right = item.Task.RightAnswer;
        for (var i = 0; i < Math.Max(right.Length, item.Answer.Length); i++)
        {
            var should = i < right.Length ? right[^(i + 1)].ToString() : "";
            var does = i < item.Answer.Length ? item.Answer[^(i + 1)].ToString() : "";
            if (should != does)
                return new WrongStep("answer", i, MarkField.Cells, should, does, $"The {Place.Name(i)} of the answer should be {(should.Length > 0 ? should : "empty")}; no rule or single slip that was tried gives {(does.Length > 0 ? does : "a blank")}.");
        }

        return new WrongStep("answer", null, MarkField.Cells, right, item.Answer, "The answer is not the right one.");
    }
}
