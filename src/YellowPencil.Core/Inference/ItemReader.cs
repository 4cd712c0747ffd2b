using System.Numerics;
using YellowPencil.Core.Families;
using YellowPencil.Core.Layouts;
using YellowPencil.Core.Parts.Columns;
using YellowPencil.Core.Parts;

namespace YellowPencil.Core.Inference;

/// <summary>Reads single items in the light of the explanations: the cause of what is wrong, and the first step that went wrong.</summary>
internal sealed class ItemReader(SheetLikelihood sheet, IReadOnlyList<Share> candidates, Told told)
{
    private readonly ProcedureSearch procedures = new();
    private readonly MethodRun trace = new() { Recording = true };
    private readonly MethodRun mended = new() { Recording = true };

    /// <summary>Reads the items of the sheet in their order.</summary>
    public IReadOnlyList<ItemReading> Read(IReadOnlyList<WorkedItem> items)
    {
        var evidence = sheet.Items.ToLookup(e => e.Item.Id);
        return [.. items.Select(item => evidence[item.Id].ToList() is { Count: > 0 } stretches
            ? Read(item, stretches) with { FollowingLines = FollowingLines(item, stretches) }
            : new ItemReading(item, item.Task.Judge(item.Answer), null, null, new ItemReplay(candidates[0].Candidate.Hypothesis, 0, null, false)))];
    }

    private static IReadOnlyList<int> FollowingLines(WorkedItem item, List<ItemEvidence> stretches) => item.Work.Has(WorkFields.Lines)
        ? [.. stretches.SkipWhile(s => s.IsRight).Skip(1).GroupBy(s => s.IsLast ? s.RowOfAnswer ?? s.Row : s.Row).Where(line => line.All(s => s.IsRight)).Select(line => line.Key)]
        : [];

    /// <summary>Reads an item by the first of its stretches that goes wrong; where none does, by the last.</summary>
    private ItemReading Read(WorkedItem item, List<ItemEvidence> stretches)
    {
        var verdict = item.Task.Judge(item.Answer);
        var first = stretches.Find(s => !s.IsRight) ?? stretches[^1];
        var (replay, isOnce) = Replay(first);
        if (verdict == Verdict.Right || (first.IsRight && (verdict == Verdict.Unfinished || first.IsBrokenOff || !item.IsAnswered))) return new ItemReading(item, verdict, null, null, replay);
        if (first.IsCopied && first.IsRight) return new ItemReading(item, verdict, Cause.Slip, WrongCopy(first), replay);
        if (!replay.IsExplained && SlipOfThePen(first) is { } slipped) return new ItemReading(item, verdict, Cause.Slip, InRow(first, slipped), replay);

        // What is done by what the last line no longer shows is seen from the task on.
        var seen = first;
        var wrong = replay.IsExplained ? FirstDeviantStep(first, replay) ?? FirstDeviantStep(seen = ItemEvidence.Whole(item), replay) : null;
        if (wrong is null)
            return new ItemReading(
                item, verdict, Cause.Unexplained, InRow(first, first.IsLast ? FirstWrongDigit(first) : WrongLine(first, "line", "", "")), replay);
        isOnce |= wrong.Cause == StepCause.Slip;
        return new ItemReading(item, verdict, isOnce ? Cause.Slip : CauseOf(wrong), WithDue(seen, InRow(seen, Describe(seen, replay, wrong, isOnce))), replay);
    }

    // By a rule another answer was due, and one digit of it stands there as one more or one less.
    private WrongStep? SlipOfThePen(ItemEvidence item)
    {
        if (candidates[0].Candidate is not { Hypothesis.RuleCount: > 0 } best || best.Items[item.Index].Prediction is not { } due || item.OneDigitOff(due) != 1) return null;
        return FirstWrongDigit(item) with { Text = $"This once: by the rule it would be {Signs.Printed(due)}, and one digit of it is written as another one." };
    }

    // The taught method was run for the description: which of its lines the written one was to be; an answer was to be its answer.
    private WrongStep WithDue(ItemEvidence item, WrongStep wrong) => wrong.Field == WorkFields.Lines
        ? wrong with { Due = WrittenLine.Read(item.Answer).Closest(item.IsLast ? [mended.Page.Answer.ToString()] : [.. mended.Page.Passed, mended.Page.Answer.ToString()]) }
        : wrong;

    // Where the answer stands as the last line of a working, that line is where it is seen.
    private static WrongStep InRow(ItemEvidence item, WrongStep wrong) =>
        item.IsLast && wrong.Row is null && item.RowOfAnswer is { } row ? wrong with { Field = WorkFields.Lines, Row = row + 1, Place = null } : wrong;

    /// <summary>
    /// The likeliest procedure that gives the item: over the explanations, most probable first, followed or slipped; and whether it takes a rule that shows on
    /// this item only.
    /// </summary>
    private (ItemReplay Replay, bool IsOnce) Replay(ItemEvidence item)
    {
        foreach (var (candidate, _) in candidates.Take(1).Concat(candidates.Skip(1).Where(s => s.Probability > 0.05)))
        {
            if (candidate.Items[item.Index].IsMet)
                return (
                    procedures.LikeliestWay(item, candidate.Hypothesis, candidate.Consistency) ?? new ItemReplay(candidate.Hypothesis, 0, null, true),
                    !told.As(candidate).Items[item.Index].IsMet || IsSeenOnce(candidate.Hypothesis));
            var slips = sheet.Slips(item, candidate.Hypothesis);
            if (slips.Count > 0) return (new ItemReplay(candidate.Hypothesis, 0, slips[0].Slip, true), false);
        }

        return (new ItemReplay(candidates[0].Candidate.Hypothesis, 0, null, false), false);
    }

    // One item is no rule: what is done by a rule that shows on no other was done this once.
    private bool IsSeenOnce(Hypothesis hypothesis) => hypothesis.RuleCount > 0 && sheet.Shown(hypothesis).Max() < SheetDiagnosis.ShowingsNeeded;

    private Step? FirstDeviantStep(ItemEvidence item, ItemReplay replay)
    {
        item.MakeReady(trace);
        Method.Run(item.Task, trace, replay.Hypothesis.Deviations, replay.Declined, replay.Slip);
        return trace.Steps.FirstOrDefault(s => s.Cause != StepCause.AsTaught);
    }

    private static Cause CauseOf(Step wrong) => wrong.Cause == StepCause.Fact ? Cause.Fact : Cause.Bug;

    /// <summary>
    /// Says what should stand where the wrong step shows, and what stands there, of what was recorded. Where that is the same, as when a wrong way gives
    /// the right digit, or was not recorded, the steps themselves are told.
    /// </summary>
    private WrongStep Describe(ItemEvidence item, ItemReplay replay, Step wrong, bool isOnce)
    {
        item.MakeReady(mended);
        Method.Run(item.Task, mended, new DeviationSet(replay.Hypothesis.School, []));
        var (dueMarks, doneMarks) = (InOrderOf(item.Item, mended.Page.Marks), InOrderOf(item.Item, trace.Page.Marks));
        var text = (isOnce ? "This once: " : "") + wrong.ChosenText;
        if (!item.IsLast) return WrongLine(item, wrong.Name, wrong.TaughtText, text);
        var shows = wrong.Decision?.ShowsIn ?? WorkFields.Cells;
        if (wrong.Place is null && shows.Field is PlaceField)
            return new WrongStep(wrong.Name, shows.Field, null, FirstPlace(item), item.Task.RightAnswer, item.Answer, text);
        var elsewhere = FamilyList.FieldsOf(item.Task.Family).Where(f => f != shows.Field && f != WorkFields.Cells);
        (WorkField Field, Spot At)? unrecorded = null;
        var spots = Spots(shows.Field, wrong).OrderBy(s => s.At.Line).ThenBy(s => s.At.Part != shows.Part)
            .Concat(Spots(WorkFields.Cells, wrong))
            .Concat(elsewhere.SelectMany(f => Spots(f, wrong)).OrderBy(s => s.At.Line));
        foreach (var spot in spots)
        {
            var (due, done) = (Standing(dueMarks, spot), Standing(doneMarks, spot));
            var isAnswer = spot.Field == WorkFields.Cells;
            if (IsSame(due, done) || (isAnswer && spot.At.Place != wrong.Place)) continue;
            if (!isAnswer && !item.Item.Work.Records(spot.Field, spot.At))
            {
                unrecorded ??= spot;
                continue;
            }

            if (isAnswer && unrecorded is not null) break;
            var stands = isAnswer ? done : Standing(item.Item.Work.MarksOf(spot.Field), spot);
            if (!IsSame(due, stands)) return At(spot, due, stands, Say(due), Say(stands));
        }

        if (unrecorded is { } open) return At(open, Standing(dueMarks, open), Standing(doneMarks, open), wrong.TaughtText, wrong.ChosenText);
        return new WrongStep(
            wrong.Name, shows.Field, shows.Field.StandsInLines
                ? wrong.Line + 1
                : null, wrong.Place ?? FirstPlace(item), wrong.TaughtText, wrong.ChosenText, text);

        WrongStep At((WorkField Field, Spot At) spot, Mark? due, Mark? stands, string expected, string written)
        {
            var place = spot.Field.FirstDifference(spot.At, due?.Text ?? "", stands?.Text ?? "") ?? FirstPlace(item);
            return new WrongStep(wrong.Name, spot.Field, spot.Field.StandsInLines || spot.Field == WorkFields.Operands ? spot.At.Line + 1 : null, place, expected, written, text) { Part = spot.At.Part };
        }

        static bool IsSame(Mark? one, Mark? other) => one is { } due && other is { } done ? due.Field.IsSame(due, done) : one is null && other is null;

        static string Say(Mark? mark) => mark is { } written ? written.ToString() : "no mark";
    }

    /// <summary>
    /// Where marks of a field stand on either page: top line first, in it the place of the wrong step. In rows and cycles a place is that of the taught method.
    /// </summary>
    private IEnumerable<(WorkField Field, Spot At)> Spots(WorkField field, Step wrong) => mended.Page.Marks.Concat(trace.Page.Marks)
        .Where(m => m.Field == field)
        .DistinctBy(m => (m.At.Line, m.At.Part, Place: IsByPlace(m.Kind) ? m.At.Place : null))
        .Select(m => (m.Field, m.At))
        .OrderBy(s => s.At.Line).ThenBy(s => Math.Abs((s.At.Place ?? 0) - (wrong.Place ?? 0)));

    // What may change places stands as the student put it.
    private static IReadOnlyList<Mark> InOrderOf(WorkedItem item, IReadOnlyList<Mark> marks) => WorkFields.All.OfType<PartsField>()
        .Aggregate(marks, (all, field) => item.Work.Get(field) is { } seen ? field.InOrderOf(seen, all) : all);

    private static Mark? Standing(IEnumerable<Mark> marks, (WorkField Field, Spot At) spot) => marks
        .Where(m => m.Field == spot.Field && m.At.Line == spot.At.Line && m.At.Part == spot.At.Part && (m.At.Place == spot.At.Place || !IsByPlace(m.Kind)))
        .Select(m => (Mark?)m).LastOrDefault();

    /// <summary>Whether several marks of a kind can stand in one line, each in its place.</summary>
    private static bool IsByPlace(MarkKind kind) => kind.Field is PlaceField || kind == WorkFields.Rows.Carry;

    private static WrongStep FirstWrongDigit(ItemEvidence item)
    {
        var (right, written) = (DecimalNumber.TryParse(item.Task.RightAnswer).Value, DecimalNumber.TryParse(item.Answer).Value);
        if (item.IsBrokenOff) return OfAnswer(item, null, item.Task.RightAnswer, "no answer", "No rule or single slip that was tried leaves this work.");
        if (right is null || written is null)
            return OfAnswer(item, FirstPlace(item), item.Task.RightAnswer, item.Answer, "No rule or single slip that was tried gives this answer.");
        if (PointPlace(item) is { } before)
            return OfAnswer(
                item, before, item.Task.RightAnswer, item.Answer,
                "The digits are right and the point stands in the wrong place; no rule or single slip that was tried puts it there.");

        for (var place = -Math.Max(right.Places, written.Places); place < Math.Max(right.Length, written.Length); place++)
        {
            var (should, does) = (right.Digit(place), written.Digit(place));
            if (should == does) continue;
            var text =
                $"The {Place.Name(place)} of the answer should be {(should >= 0 ? should : "empty")}; no rule or single slip that was tried gives "
                    + $"{(does >= 0 ? does : "a blank")}.";
            return OfAnswer(item, place, Digit(should), Digit(does), text);
        }

        return OfAnswer(item, null, item.Task.RightAnswer, item.Answer, "The answer is not the right one.");

        static string Digit(int digit) => digit >= 0 ? digit.ToString() : "no digit";
    }

    /// <summary>
    /// The place in which an answer first goes wrong: where the point is put, else the smallest digit that differs, in a quotient the largest. Null where the
    /// answers are no numbers.
    /// </summary>
    private static int? FirstPlace(ItemEvidence item)
    {
        if (PointPlace(item) is { } point) return point;
        var (right, written) = (NumberIn(item.Item.Task.RightAnswer), NumberIn(item.Answer));
        if (right is null || written is null) return null;
        var places = Enumerable.Range(-Math.Max(right.Places, written.Places), Math.Max(right.Places, written.Places) + Math.Max(right.Length, written.Length));
        var differing = places.Where(p => Math.Max(0, right.Digit(p)) != Math.Max(0, written.Digit(p))).Select(p => (int?)p);
        return TaughtFamily.Of(item.Task.Family).DigitsCome == DigitOrder.LargestFirst ? differing.LastOrDefault() : differing.FirstOrDefault();

        static DecimalNumber? NumberIn(string answer) => DecimalNumber.TryParse(answer.Split(' ')[0]).Value;
    }

    /// <summary>
    /// Where the digits of an answer are right and the point is not: the place, by the right answer, before which it stands. Null for any other answer.
    /// </summary>
    private static int? PointPlace(ItemEvidence item)
    {
        var (right, written) = (DecimalNumber.TryParse(item.Task.RightAnswer).Value, DecimalNumber.TryParse(item.Answer).Value);
        if (right is null || written is null || right.Unscaled.IsZero || written.Unscaled.IsZero) return null;
        var ((digits, power), (others, otherPower)) = (Stripped(right), Stripped(written));
        return digits == others && power != otherPower ? power - otherPower - 1 : null;

        static (BigInteger Digits, int Power) Stripped(DecimalNumber number)
        {
            var (digits, power) = (BigInteger.Abs(number.Unscaled), -number.Places);
            for (; (digits % 10).IsZero; power++) digits /= 10;
            return (digits, power);
        }
    }

    /// <summary>The first number that was copied wrongly.</summary>
    private static WrongStep WrongCopy(ItemEvidence item)
    {
        var (set, copied) = (item.Item.Task, item.Task);
        var row = 0;
        while (copied.Numbers[row].Unscaled == set.Numbers[row].Unscaled) row++;
        var (due, written) = (set.Numbers[row].Text, copied.Numbers[row].Text);
        return new WrongStep(
            "operands", WorkFields.Operands, row + 1, FirstPlace(item), due, written,
            $"Copied as {Notation.Signs.Printed(copied.Text)}; what follows is right for that.");
    }

    private static WrongStep WrongLine(ItemEvidence item, string step, string expected, string text) => new(
        step, WorkFields.Lines, item.Row + 1, null, expected.Length > 0 ? expected : $"a line that goes on from {item.Task.StandsThere}", item.Answer,
        text.Length > 0 ? text : "No rule or single slip that was tried gives this line.");

    private static WrongStep OfAnswer(ItemEvidence item, int? place, string expected, string written, string text) =>
        new("answer", WorkFields.Cells, null, place, expected, written.Length > 0 ? written : item.Item.Answer!, text);
}
