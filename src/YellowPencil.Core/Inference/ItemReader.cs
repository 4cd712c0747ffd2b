using YellowPencil.Core.Notation;
using YellowPencil.Core.Procedures;
using YellowPencil.Core.Working;
using YellowPencil.Core.Working.Fields;

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
        var evidence = sheet.Items.ToLookup(e => e.Item.Id);
        return [.. items.Select(item => evidence[item.Id].ToList() is { Count: > 0 } stretches
            ? Read(item, stretches)
            : new ItemReading(item, item.Task.Judge(item.Answer), null, null, new ItemReplay(candidates[0].Hypothesis, 0, null, false)))];
    }

    /// <summary>Reads an item by the first of its stretches that goes wrong; where none does, by the last.</summary>
    private ItemReading Read(WorkedItem item, List<ItemEvidence> stretches)
    {
        var verdict = item.Task.Judge(item.Answer);
        var first = stretches.Find(s => !s.IsRight) ?? stretches[^1];
        var replay = Replay(first);
        if (verdict == Verdict.Right) return new ItemReading(item, verdict, null, null, replay);
        if (!replay.IsExplained) return new ItemReading(item, verdict, Cause.Unexplained, first.IsLast ? FirstWrongDigit(first) : WrongLine(first, "line", "", ""), replay);
        var wrong = FirstDeviantStep(first, replay);
        return new ItemReading(item, verdict, CauseOf(wrong), Describe(first, replay, wrong), replay);
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
    /// Says what should stand where the wrong step shows, and what stands there, of what was recorded. Where that is the same, as when a wrong way gives
    /// the right digit, or was not recorded, the steps themselves are told.
    /// </summary>
    private WrongStep Describe(ItemEvidence item, ItemReplay replay, Step wrong)
    {
        Method.Run(item.Task, mended, new DeviationSet(replay.Hypothesis.School, []));
        var text = (wrong.Cause == StepCause.Slip ? "This once: " : "") + wrong.MadeText;
        if (!item.IsLast) return WrongLine(item, wrong.Name, wrong.TaughtText, text);
        var shows = wrong.Point?.ShowsIn ?? WorkFields.Cells;
        if (wrong.Place is null && shows.Field is PlaceField) return new WrongStep(wrong.Name, shows.Field, null, null, item.Task.RightAnswer, item.Item.Answer!, text);
        var elsewhere = Method.Of(item.Task.Family).AllFields.Where(f => f != shows.Field && f != WorkFields.Cells);
        (WorkField Field, Spot At)? unrecorded = null;
        foreach (var spot in Spots(shows.Field, wrong).OrderBy(s => s.At.Part != shows.Part).Concat(Spots(WorkFields.Cells, wrong)).Concat(elsewhere.SelectMany(f => Spots(f, wrong)).OrderBy(s => s.At.Line)))
        {
            var (due, done) = (Standing(mended, spot), Standing(trace, spot));
            var isAnswer = spot.Field == WorkFields.Cells;
            if (due == done || (isAnswer && spot.At.Place != wrong.Place)) continue;
            if (!isAnswer && !item.Item.Work.Records(spot.Field, spot.At))
            {
                unrecorded ??= spot;
                continue;
            }

            if (isAnswer && unrecorded is not null) break;
            var stands = isAnswer ? done : item.Item.Work.At(spot.Field, spot.At);
            if (stands == due) continue;
            return At(spot, due, stands, Say(due, spot), Say(stands, spot));
        }

        if (unrecorded is { } open) return At(open, Standing(mended, open), Standing(trace, open), wrong.TaughtText, wrong.MadeText);
        return new WrongStep(wrong.Name, shows.Field, shows.Field.StandsInLines ? wrong.Line + 1 : null, wrong.Place, wrong.TaughtText, wrong.MadeText, text);

        WrongStep At((WorkField Field, Spot At) spot, string? due, string? stands, string expected, string written) => new(
            wrong.Name, spot.Field, spot.Field.StandsInLines ? spot.At.Line + 1 : null, spot.Field.FirstDifference(spot.At, due ?? "", stands ?? ""), expected, written, text);

        static string Say(string? mark, (WorkField Field, Spot At) spot) => mark is null ? "no mark" : spot.Field.Say(spot.At, mark);
    }

    /// <summary>Where marks of a field stand on either page: top line first, in it the place of the wrong step.</summary>
    private IEnumerable<(WorkField Field, Spot At)> Spots(WorkField field, Step wrong) => mended.Page.Marks.Concat(trace.Page.Marks).Where(m => m.Field == field)
        .Select(m => (m.Field, At: field is PlaceField || m.Kind == WorkFields.Rows.Carry ? m.At : m.At with { Place = null })).Distinct()
        .OrderBy(s => s.At.Line).ThenBy(s => s.At.Place != wrong.Place)
        .Select(s => s.At.Place is null ? (s.Field, mended.Page.Marks.Concat(trace.Page.Marks).Last(m => m.Field == field && m.At.Line == s.At.Line && m.At.Part == s.At.Part).At) : s);

    private static string? Standing(MethodRun run, (WorkField Field, Spot At) spot) => run.Page.Marks
        .LastOrDefault(m => m.Field == spot.Field && m.At.Line == spot.At.Line && m.At.Part == spot.At.Part && (m.At.Place == spot.At.Place || !(spot.Field is PlaceField || m.Kind == WorkFields.Rows.Carry))).Text;

    private static WrongStep FirstWrongDigit(ItemEvidence item)
    {
        var (right, written) = (DecimalNumber.TryParse(item.Task.RightAnswer).Value, DecimalNumber.TryParse(item.Answer).Value);
        if (right is null || written is null) return OfAnswer(item, null, item.Task.RightAnswer, item.Answer, "No rule or single slip that was tried gives this answer.");
        if (right.Places != written.Places && right.Magnitude.Replace(".", "") == written.Magnitude.Replace(".", ""))
        {
            // The same digits: the point is told by the place before which it stands.
            var before = written.Places - 1 - right.Places;
            return OfAnswer(item, before, item.Task.RightAnswer, item.Answer, $"The digits are right and the point stands in the wrong place; no rule or single slip that was tried puts it there.");
        }

        for (var place = -Math.Max(right.Places, written.Places); place < Math.Max(right.Length, written.Length); place++)
        {
            var (should, does) = (right.Digit(place), written.Digit(place));
            if (should != does)
                return OfAnswer(item, place, Digit(should), Digit(does), $"The {Place.Name(place)} of the answer should be {(should >= 0 ? should : "empty")}; no rule or single slip that was tried gives {(does >= 0 ? does : "a blank")}.");
        }

        return OfAnswer(item, null, item.Task.RightAnswer, item.Answer, "The answer is not the right one.");

        static string Digit(int digit) => digit >= 0 ? digit.ToString() : "no digit";
    }

    private static WrongStep WrongLine(ItemEvidence item, string step, string expected, string text) => new(
        step, WorkFields.Lines, item.Row + 1, null, expected.Length > 0 ? expected : $"a line that goes on from {item.Task.Text}", item.Answer,
        text.Length > 0 ? text : "No rule or single slip that was tried gives this line.");

    private static WrongStep OfAnswer(ItemEvidence item, int? place, string expected, string written, string text) =>
        new("answer", WorkFields.Cells, null, place, expected, written.Length > 0 ? written : item.Item.Answer!, text);
}
