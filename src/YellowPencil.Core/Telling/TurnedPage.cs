using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Telling;

/// <summary>An answer that makes no sense as it stands, and does when it is read from the other side.</summary>
/// <param name="Id">The item.</param>
/// <param name="Answer">The answer as it was typed.</param>
/// <param name="Other">The same from the other side.</param>
public sealed record TurnedAnswer(string Id, string Answer, string Other);

/// <summary>
/// A page whose answers make sense only from the other side: probably typed in so, and else a student who sets digits the other way round. It is asked
/// about as a page before a rule is named.
/// </summary>
/// <param name="Items">The items whose answers read otherwise from the other side, with that answer.</param>
/// <param name="Right">How many of them are right from the other side.</param>
/// <param name="Sheet">The page with these answers turned round.</param>
public sealed record TurnedPage(IReadOnlyList<TurnedAnswer> Items, int Right, WorkedSheet Sheet)
{
    /// <summary>From so many answers on that can be turned, it is asked about the page.</summary>
    public const int LeastItems = 3;

    /// <summary>In one sentence.</summary>
    public string Text => Right == Items.Count
        ? $"All {Right} answers are right when they are read from the other side."
        : $"{Right} of {Items.Count} answers are right when they are read from the other side; none is as it stands.";

    /// <summary>What is to be asked about a page; null where it makes sense as it stands, or makes none from the other side either.</summary>
    /// <param name="reading">The page as it was read.</param>
    public static TurnedPage? Of(Reading reading)
    {
        var items = reading.Sheet.Items.Select(i => (Item: i, Other: OtherSide(i))).Where(i => i.Other is not null).ToList();
        if (items.Count < LeastItems || items.Exists(i => i.Item.Task.Judge(i.Item.Answer) == Verdict.Right)) return null;
        var isExplained = reading.Outcome is Outcome.Bug or Outcome.NotToldApart && !PageNotes.HasTurnedDigits(reading.Best.Hypothesis);
        if (isExplained) return null;
        var other = items.ToDictionary(i => i.Item.Id, i => i.Other!);
        var sheet = reading.Sheet with { Items = [.. reading.Sheet.Items.Select(i => other.TryGetValue(i.Id, out var answer) ? i with { Answer = answer } : i)] };
        var right = items.Count(i => i.Item.Task.Judge(i.Other) == Verdict.Right);
        return right == items.Count || (right > 0 && MakesSense(sheet)) ? new([.. items.Select(i => new TurnedAnswer(i.Item.Id, i.Item.Answer!, i.Other!))], right, sheet) : null;
    }

    private static bool MakesSense(WorkedSheet sheet)
    {
        var turned = SheetDiagnosis.Read(sheet);
        return turned.Outcome == Outcome.Sound || (turned.Outcome is Outcome.Bug or Outcome.NotToldApart && !PageNotes.HasTurnedDigits(turned.Best.Hypothesis));
    }

    /// <summary>An answer of plain digits from the other side; null where it reads the same, or where its squares are known one by one.</summary>
    private static string? OtherSide(WorkedItem item)
    {
        if (item.Answer is not { Length: > 1 } answer || !answer.All(char.IsAsciiDigit) || item.Work.Has(WorkFields.Cells)) return null;
        var other = string.Concat(answer.Reverse());
        return other == answer ? null : other;
    }
}
