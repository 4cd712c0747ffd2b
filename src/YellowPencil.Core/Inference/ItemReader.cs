using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Inference;

/// <summary>Reads single items in the light of the explanations: the cause of what is wrong, and the first step that went wrong.</summary>
internal sealed class ItemReader(SheetLikelihood sheet, IReadOnlyList<Candidate> candidates)
{
    private readonly ProcedureSearch procedures = new();
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
            if (candidate.Items[item.Index].IsMet)
                return new ItemReplay(candidate.Hypothesis, procedures.LikeliestWay(item, candidate.Hypothesis, candidate.Consistency) ?? 0, null, true);
            var slips = sheet.Slips(item, candidate.Hypothesis);
            if (slips.Count > 0) return new ItemReplay(candidate.Hypothesis, 0, slips[0].Slip, true);
        }

        return new ItemReplay(candidates[0].Hypothesis, 0, null, false);
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
        var text = (wrong.Cause == StepCause.Slip ? "This once: " : "") + wrong.MadeText;
        var field = wrong.Point?.ShowsIn ?? MarkField.Cells;
        if (wrong.Place is null && MarkTexts.IsInColumns(field)) return new WrongStep(wrong.Name, null, field, item.Task.RightAnswer, item.Item.Answer!, text);
        var elsewhere = Method.Of(item.Task.Family).Fields.Where(f => f != field && f != MarkField.Cells).SelectMany(f => Spots(f, wrong.Place)).OrderBy(s => s.Row);
        foreach (var (shown, row, place) in Spots(field, wrong.Place).Concat(Spots(MarkField.Cells, wrong.Place)).Concat(elsewhere))
        {
            var (expected, written) = (Standing(mended, shown, row, place), Standing(trace, shown, row, place));
            if (expected != written && (place == wrong.Place || shown != MarkField.Cells))
                return new WrongStep(wrong.Name, MarkTexts.IsInColumns(shown) ? place : null, shown, expected, written, text);
        }

        return new WrongStep(wrong.Name, wrong.Place, field, wrong.TaughtText, wrong.MadeText, text);
    }

    /// <summary>Where marks of a field stand on either page: top row first, in it the place of the wrong step.</summary>
    private IEnumerable<(MarkField Field, int Row, int Place)> Spots(MarkField field, int? first) => mended.Marks.Concat(trace.Marks).Where(m => m.Field == field)
        .Select(m => (m.Field, m.Row, Place: MarkTexts.IsInColumns(field) ? m.Place : 0)).Distinct().OrderBy(s => s.Row).ThenBy(s => s.Place != first);

    private static string Standing(MethodRun page, MarkField field, int row, int place)
    {
        var marks = page.Marks.Where(m => m.Field == field && m.Row == row && (m.Place == place || !MarkTexts.IsInColumns(field))).ToList();
        return marks.Count == 0 ? "no mark" : MarkTexts.Of(marks[^1]);
    }

    private static WrongStep FirstWrongDigit(ItemEvidence item)
    {
        var (right, written) = (DecimalNumber.TryParse(item.Task.RightAnswer).Value, DecimalNumber.TryParse(item.Answer).Value);
        if (right is null || written is null)
            return new WrongStep("answer", null, MarkField.Cells, item.Task.RightAnswer, item.Answer, "No rule or single slip that was tried gives this answer.");
        for (var place = -Math.Max(right.Places, written.Places); place < Math.Max(right.Length, written.Length); place++)
        {
            var (should, does) = (DigitAt(right, place), DigitAt(written, place));
            if (should != does)
                return new WrongStep("answer", place, MarkField.Cells, should, does, $"The {Place.Name(place)} of the answer should be {(should.Length > 0 ? should : "empty")}; no rule or single slip that was tried gives {(does.Length > 0 ? does : "a blank")}.");
        }

        return new WrongStep("answer", null, MarkField.Cells, item.Task.RightAnswer, item.Answer, "The answer is not the right one.");
    }

    private static string DigitAt(DecimalNumber number, int place) => number.Digit(place) is >= 0 and var digit ? digit.ToString() : "";
}
