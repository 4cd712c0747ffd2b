using System.Numerics;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Parts;
using YellowPencil.Core.Parts.Columns;
using YellowPencil.Core.Parts.Copying;

namespace YellowPencil.Core.Telling;

/// <summary>Something that a page shows beside its rules.</summary>
/// <param name="Text">What, in a sentence.</param>
/// <param name="Caution">What to rule out or to ask first; empty where nothing has to be.</param>
public sealed record PageNote(string Text, string Caution);

/// <summary>
/// What a careful reader sees on a page beside its rules: answers that belong to other items, wrong copies, blanks that are no chance, digits the other way
/// round.
/// </summary>
public static class PageNotes
{
    /// <summary>From so many items on there is something to note.</summary>
    private const int LeastItems = 3;

    private const string AskFirst = "Ask how it came about before anything else is made of these answers.";
    private const string SightFirst =
        "Digits the other way round or out of line can come from sight, motor control, the paper, or how numbers are said at home: rule these out first.";

    /// <summary>The notes on a page, in the order of their weight.</summary>
    public static IReadOnlyList<PageNote> For(Reading reading)
    {
        IEnumerable<PageNote?> notes = [
            AnswersOfNeighbours(reading, 1), AnswersOfNeighbours(reading, -1), WrongCopies(reading), OneAnswer(reading), Blanks(reading), TurnedRound(reading),
            SlipsOfOneKind(reading), MissingBrackets(reading), WrongMultiples(reading),
        ];
        return [.. notes.OfType<PageNote>()];
    }

    /// <summary>Wrong answers that are the right ones of the items next to them.</summary>
    private static PageNote? AnswersOfNeighbours(Reading reading, int offset)
    {
        var wrong = reading.Items.Index().Where(i => i.Item.Verdict == Verdict.Wrong).ToList();
        var shifted = wrong.Where(i => i.Index + offset is >= 0 and var other && other < reading.Items.Count && reading.Items[other].Item.Task is var neighbour
            && neighbour.Canonical(i.Item.Item.Answer!) == neighbour.RightAnswer).Select(i => i.Item).ToList();
        if (shifted.Count < LeastItems || 3 * shifted.Count < 2 * wrong.Count) return null;
        var (where, how) = offset > 0 ? ("after", "early") : ("before", "late");
        return new PageNote($"The answers under {ItemsOf(shifted)} are right for the items {where} them: they stand one item too {how}.", AskFirst);
    }

    private static PageNote? WrongCopies(Reading reading)
    {
        var copied = reading.Items.Where(i => i.FirstWrongStep?.Step == "operands" && i.Cause == Cause.Slip).ToList();
        if (copied.Count == 0) return null;
        var copies = string.Join(", ", copied.Select(i => $"{i.FirstWrongStep!.Written} for {i.FirstWrongStep.Expected}"));
        return new PageNote($"In {ItemsOf(copied)} the numbers were copied wrongly ({copies}); what was worked is right for them.", SightFirst);
    }

    // What the rule that is held, or each of those that a page leaves open, foretells is no coincidence to be asked about.
    private static bool IsForetold(Reading reading, ItemReading item) => reading.Outcome is Outcome.Bug or Outcome.NotToldApart
        && ReadingText.Rivals(reading).ToList() is { Count: > 0 } rivals
        && rivals.TrueForAll(e => e.Predictions.TryGetValue(item.Item.Id, out var answer) && answer == item.Item.Task.Canonical(item.Item.Answer!));

    private static PageNote? OneAnswer(Reading reading)
    {
        var same = reading.Items.Where(i => i.Verdict == Verdict.Wrong)
            .GroupBy(i => i.Item.Answer!.Trim()).OrderByDescending(g => g.Count()).FirstOrDefault()?.ToList();
        return same is null || same.Count < LeastItems || same.TrueForAll(i => IsForetold(reading, i)) || same.Select(i => i.Item.Task.Text).Distinct().Count() < LeastItems
            ? null
            : new PageNote($"The same answer, {same[0].Item.Answer!.Trim()}, stands under {ItemsOf(same)}.", AskFirst);
    }

    /// <summary>Blanks at the end of a page, or on all items of one kind and no others.</summary>
    private static PageNote? Blanks(Reading reading)
    {
        var blank = reading.Items.Where(i => i.Verdict == Verdict.Blank).ToList();
        var written = reading.Items.Where(i => i.Item.IsAnswered).ToList();
        if (blank.Count < LeastItems || written.Count < LeastItems) return null;
        if (reading.Items.Take(reading.Items.Count - blank.Count).All(i => i.Verdict != Verdict.Blank))
            return new PageNote($"The last {blank.Count} items are blank: time or will may have run out, and nothing is known of them.", "");
        var kind = CopyingDecisions.Reading.Kinds.FirstOrDefault(
            k => blank.TrueForAll(i => k.Holds(new TaskContext(i.Item.Task))) && written.TrueForAll(i => !k.Holds(new TaskContext(i.Item.Task))));
        return kind is null
            ? null
            : new PageNote(
                $"{Capital(ItemsOf(blank))} are blank: left out {kind.Text}, and only then.",
                "What is left out is part of the evidence: have one of these worked with you beside.");
    }

    private static PageNote? TurnedRound(Reading reading) =>
        HasTurnedDigits(reading.Best.Hypothesis) ? new PageNote("The answers are right but for the order of their digits.", SightFirst) : null;

    /// <summary>Whether digits stand the other way round: then sight, motor control and paper come before any plan.</summary>
    public static bool HasTurnedDigits(Hypothesis hypothesis)
    {
        string[] turned = ["/reversed", "/last-two-exchanged", "/reversed-first", "/reversed-second", "/reversed-each"];
        return hypothesis.Unlisted.Any(u => turned.Any(t => u.Id.EndsWith(t, StringComparison.Ordinal)));
    }

    /// <summary>Slips of one kind on several items: a rule may be coming on, or going.</summary>
    private static PageNote? SlipsOfOneKind(Reading reading)
    {
        var slips = reading.Items.Where(i => i is { Cause: Cause.Slip, FirstWrongStep.Step: not ("operands" or "fact") }).GroupBy(i => i.FirstWrongStep!.Step)
            .OrderByDescending(g => g.Count()).FirstOrDefault()?.ToList();
        return slips is null || slips.Count < 2
            ? null
            : new PageNote(
                $"The slips in {ItemsOf(slips)} are of one kind "
                    + $"({slips[0].FirstWrongStep!.Text.Replace("This once: ", "", StringComparison.Ordinal).TrimEnd('.')}): a rule may be coming on, or "
                    + $"going.",
                "");
    }

    /// <summary>Brackets that were put back so that a line or an answer could be read.</summary>
    private static PageNote? MissingBrackets(Reading reading)
    {
        var guessed = reading.Items.Where(i => i.Item.IsAnswered)
            .SelectMany(i => (i.Item.Work.Get(WorkFields.Lines) ?? []).Append(i.Item.Answer!).Select(MissingBracket.PutBack).OfType<string>().Take(1)
            .Select(whole => (Item: i, Whole: Signs.Printed(whole)))).ToList();
        return guessed.Count == 0
            ? null
            : new PageNote(
                $"In {ItemsOf([.. guessed.Select(g => g.Item)])} a bracket is missing; read as {string.Join(", ", guessed.Select(g => g.Whole))}.", "");
    }

    /// <summary>Entries of lists of multiples that are not the multiple at their place.</summary>
    private static PageNote? WrongMultiples(Reading reading)
    {
        var wrong = reading.Items.Where(i => TaughtFamily.Of(i.Item.Task.Family).Fields.Contains(WorkFields.Multiples))
            .Select(i => (Item: i, Divisor: BigInteger.Abs(i.Item.Task.Numbers[^1].Unscaled), Listed: i.Item.Work.Get(WorkFields.Multiples)))
            .Select(i => (i.Item, i.Divisor, Fault: i.Listed is null ? null : MultiplesField.FirstWrong(i.Listed, i.Divisor))).Where(i => i.Fault is not null).ToList();
        if (wrong.Count == 0) return null;
        var faults = wrong.Select(i => $"{i.Fault!.Value.Written} for {i.Fault.Value.Count} × {i.Divisor} = {i.Fault.Value.Due}").Distinct();
        return new PageNote($"In {ItemsOf(wrong.ConvertAll(i => i.Item))} the list of multiples has {string.Join(", ", faults)}.", "A fact or a slip of counting on, no rule of dividing.");
    }

    private static string ItemsOf(List<ItemReading> items) => items.Count == 1
        ? $"item {items[0].Item.Id}"
        : $"items {string.Join(", ", items.Take(items.Count - 1).Select(i => i.Item.Id))} and {items[^1].Item.Id}";

    private static string Capital(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
