using YellowPencil.Core.Asking;
using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Telling;

/// <summary>What a specialist can do next with a page.</summary>
public enum NextStepKind
{
    /// <summary>Type in what the student wrote.</summary>
    TypeIn,

    /// <summary>Let the student work a few more items.</summary>
    Ask,

    /// <summary>Accept the explanation and plan from it.</summary>
    Plan,

    /// <summary>Let the student talk an item through.</summary>
    TalkThrough,

    /// <summary>Set a longer page.</summary>
    SetLonger,

    /// <summary>Say that there is no systematic bug.</summary>
    FileAsSound,
}

/// <summary>The one thing to do next with a page, as it was read.</summary>
/// <param name="Kind">What.</param>
/// <param name="Why">Why, in a sentence.</param>
/// <param name="Items">The items to ask; empty where none are asked.</param>
/// <param name="ItemId">The item to talk through; null where none is.</param>
public sealed record NextStep(NextStepKind Kind, string Why, IReadOnlyList<ItemTask> Items, string? ItemId)
{
    /// <summary>What to ask about that item; null where the student is only to tell how it was done.</summary>
    public string? Question { get; init; }

    /// <summary>From this probability on, a rule that had no chance on the page is worth a word also where nothing is wrong.</summary>
    private const double MuchUnseen = 0.2;

    /// <summary>The next step after a reading; there always is exactly one.</summary>
    /// <param name="reading">The reading.</param>
    /// <param name="next">The items that tell its explanations apart, from <see cref="NextItems"/>.</param>
    public static NextStep After(Reading reading, IReadOnlyList<NextItem> next)
    {
        var answered = reading.Items.Count(i => i.Item.IsAnswered);
        if (answered == 0) return new(NextStepKind.TypeIn, "Nothing that can be read is typed in yet.", [], null);
        var apart = next.Select(n => n.Task).ToList();
        return reading.Outcome switch
        {
            Outcome.Bug => new(NextStepKind.Plan, "A rule was found: plan what replaces it.", [], null),
            Outcome.Sound => new(
                NextStepKind.FileAsSound, reading.NoChance < MuchUnseen ? "Enough chances, and no rule." : "No rule showed; some had no chance on a page of this length.", [], null),
            Outcome.NotToldApart when apart.Count > 0 => new(NextStepKind.Ask, "The explanations predict different answers to these.", apart, null),
            Outcome.TooFewChances when reading.Items.All(i => i.Verdict is Verdict.Right or Verdict.Blank or Verdict.Unreadable) =>
                new(
                    NextStepKind.SetLonger, "Everything that can be read is right, but most rules had no chance to show "
                        + "here.", ShowingItems.For(reading), null),
            Outcome.TooFewChances =>
                new(
                    NextStepKind.Ask, "What is wrong so far has too many possible causes: these show whether it happens again.",
                    apart.Count > 0 ? apart : ShowingItems.For(reading), null),
            Outcome.NotToldApart => TalkThrough(reading, "No item that was looked through tells these apart; how it was done does."),
            _ => TalkThrough(reading, "No rule that was tried gives these answers; the student knows how they came about."),
        };
    }

    /// <summary>To let the student talk a wrong item through.</summary>
    public static NextStep TalkThrough(Reading reading, string why)
    {
        if (QuestionAloud.For(reading) is { } aloud) return new(NextStepKind.TalkThrough, why, ShowingItems.For(reading), aloud.ItemId) { Question = aloud.Question };
        var item = reading.Items.FirstOrDefault(i => i.Cause == Cause.Unexplained)
            ?? reading.Items.FirstOrDefault(i => i.Verdict == Verdict.Wrong) ?? reading.Items.First(i => i.Item.IsAnswered);
        return new(NextStepKind.TalkThrough, why, ShowingItems.For(reading), item.Item.Id);
    }
}
