using System.Text;
using YellowPencil.Core.Asking;
using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Parts.Columns;

namespace YellowPencil.Core.Telling;

/// <summary>Tells a reading to people.</summary>
public static class ReadingText
{
    /// <summary>What an outcome means, in a sentence.</summary>
    public static string Say(Outcome outcome) => outcome switch
    {
        Outcome.Bug => "A rule was found.",
        Outcome.NotToldApart => "There is a rule behind the errors, but this page does not tell which of several.",
        Outcome.Sound => "No systematic bug: what is wrong is a slip or a number fact.",
        Outcome.TooFewChances => "Too little on this page to say; more items are needed.",
        _ => "Something systematic goes on that no rule found fits.",
    };

    /// <summary>What a reading came to, with its counts where they say more.</summary>
    public static string Say(Reading reading)
    {
        var answered = reading.Items.Where(i => i.Item.IsAnswered).ToList();
        var wrong = answered.FindAll(i => i.Verdict == Verdict.Wrong);
        var isAllRight = answered.Count > 0 && answered.TrueForAll(i => i.Verdict == Verdict.Right) && !reading.Items.Any(i => i.Cause is not null);
        var ways = wrong.Select(i => i.FirstWrongStep?.Text).Distinct().Count();
        return reading.Outcome switch
        {
            Outcome.Sound when isAllRight => answered.Count == 1 ? "The one item is right, as taught." : $"All {answered.Count} right, as taught.",
            Outcome.TooFewChances when isAllRight => $"{(answered.Count == 1 ? "The one item is" : $"All {answered.Count} are")} right; few rules could have shown on them.",
            Outcome.TooFewChances or Outcome.Unexplained when wrong.Count >= LeastDifferent && ways >= wrong.Count - 1 =>
                $"{wrong.Count} wrong in {ways} ways: no rule.",
            _ => Say(reading.Outcome),
        };
    }

    /// <summary>What is less likely than this is not worth a reader's time.</summary>
    public const double LeastPrinted = 0.03;

    // Fewer wrong items than this that differ are too few to say that they have nothing in common.
    private const int LeastDifferent = 4;

    /// <summary>What is said of explanations that put together what happened once each.</summary>
    public const string OnceEach = "Several of these or other rules together, each seen on a single item: what happened once is no rule yet.";

    /// <summary>What the student does, in one sentence about them.</summary>
    /// <param name="reading">The reading.</param>
    /// <param name="who">The student's name or code.</param>
    /// <param name="word">The classroom's word.</param>
    /// <param name="nameOf">The name of an explanation's rules, as the specialist calls them.</param>
    public static string Headline(Reading reading, string who, ClassroomWord word, Func<Explanation, string> nameOf)
    {
        var wrong = reading.Items.Where(i => i.Verdict is Verdict.Wrong or Verdict.Unfinished).ToList();
        return reading.Outcome switch
        {
            Outcome.Bug => About(reading.Best, who).In(word),
            Outcome.NotToldApart => NotToldApart([.. Rivals(reading)], who, nameOf),
            Outcome.Sound when reading.Facts.Count > 0 =>
                $"{who} works as taught, but takes {string.Join(" and ", reading.Facts.Select(f => $"{Signs.Printed(f.Fact.ToString())} to be {f.Written}"))}.",
            Outcome.Sound =>
                wrong.Count == 0 ? $"{who} works as taught." : $"{who} works as taught; {ItemsOf(wrong)} {(wrong.Count == 1 ? "is a slip" : "are slips")}.",
            Outcome.Unexplained => $"{who} does something that no rule found fits: {ItemsOf(Unfitting(wrong))}.",
            _ => TooFew(reading, wrong, who),
        };
    }

    // Rules that all of the explanations share are known; what is open is the rest.
    internal static string NotToldApart(List<Explanation> rivals, string who, Func<Explanation, string> nameOf)
    {
        if (rivals.Count == 0) return $"{who} follows a rule, and this page cannot tell which of many.";
        if (rivals is [var one]) return $"{who} probably follows the rule “{nameOf(one)}” ({Math.Floor(Math.Min(99, 100 * one.Alone)):0} %); this page does not rule out others.";
        var shared = rivals.Select(e => e.Hypothesis.RuleIds.AsEnumerable()).Aggregate((all, rules) => all.Intersect(rules)).ToHashSet();
        var isShared = shared.Count > 0 && rivals.TrueForAll(e => e.Hypothesis.RuleCount > shared.Count);
        var open = string.Join(", or ", rivals.Select(e => $"“{(isShared ? Name(e, id => !shared.Contains(id)) : nameOf(e))}”"));
        return isShared
            ? $"{who} follows the rule “{Name(rivals[0], shared.Contains)}” and another one, and this page cannot tell which: {open}."
            : $"{who} follows a rule, and this page cannot tell which: {open}.";

        string Name(Explanation e, Func<string, bool> isMeant) => nameOf(e with { Hypothesis = e.Hypothesis.Only(at => isMeant(e.Hypothesis.RuleIds[at])) });
    }

    // Where each wrong item could be something by itself, it is all of them together that nothing fits.
    private static List<ItemReading> Unfitting(List<ItemReading> wrong) =>
        wrong.Exists(i => i.Cause == Cause.Unexplained) ? wrong.FindAll(i => i.Cause == Cause.Unexplained) : wrong;

    private static string TooFew(Reading reading, List<ItemReading> wrong, string who)
    {
        var answered = reading.Items.Count(i => i.Item.IsAnswered);
        if (answered == 0) return $"Nothing of {who}’s is typed in that can be read.";
        return wrong.Count == 0
            ? $"{who} has {(answered == 1 ? "the one item" : $"all {answered} items")} right, on which few rules could have shown."
            : $"{who} has {(wrong.Count == 1 ? "one wrong item" : $"{wrong.Count} wrong items")}, too little to know why.";
    }

    /// <summary>The explanations with a rule that a page which does not tell them apart leaves open.</summary>
    internal static IEnumerable<Explanation> Rivals(Reading reading) => reading.OneByOne.Where(e => !e.IsSound && e.Probability >= 0.1).Take(3);

    /// <summary>The names of the explanations that a page does not tell apart from the likeliest one with a rule; none where one is held.</summary>
    public static IReadOnlyList<string> RivalsOf(Reading reading, Func<Explanation, string>? nameOf = null) => reading.Outcome != Outcome.NotToldApart
        ? []
        : [
            .. Rivals(reading)
                .Where(e => e != reading.BestBug)
                .Select(
                    nameOf
                        ?? (e => string.Join(" and ", e.Hypothesis.RuleIds.Select(id => Catalogue.Find(id)?.Name ?? "a rule that is not in the catalogue"))))];

    private static string ItemsOf(List<ItemReading> items) => items.Count switch
    {
        1 => $"item {items[0].Item.Id}",
        <= 6 => $"items {string.Join(", ", items.Take(items.Count - 1).Select(i => i.Item.Id))} and {items[^1].Item.Id}",
        _ => $"{items.Count} items",
    };

    /// <summary>The rules as a sentence about the student: what somebody does, also behind where they do it; any other text as something in their work.</summary>
    private static string About(Explanation explanation, string who)
    {
        List<string> texts = [.. explanation.AsTold.Select(b => b.Text)];
        texts.InsertRange(0, explanation.Hypothesis.Unlisted.Select(u => $"Follows a rule that is not in the catalogue: {Lower(u.Text)}."));
        return $"{Doing(texts[0], who)}{string.Concat(texts.Skip(1).Select(t => $" Also: {Lower(t)}"))}";
    }

    internal static string Doing(string text, string who)
    {
        if (BeginsWithDoing(text)) return $"{who} {Lower(text)}";
        var where = text.Split(' ')[0] is "In" or "With" or "Where" ? text.IndexOf(", ", StringComparison.Ordinal) : -1;
        return where > 0 && BeginsWithDoing(text[(where + 2)..]) ? $"{text[..where]}, {who} {text[(where + 2)..]}" : $"In {who}’s work, {Lower(text)}";
    }

    /// <summary>Whether a text of the catalogue begins with what the student does, such as "Turns" or "{Renames}".</summary>
    internal static bool BeginsWithDoing(string text)
    {
        var word = text.Split(' ', ',')[0].Trim('{', '}');
        return word.EndsWith('s') && word is not ("Sums" or "Products" or "Digits" or "Zeros");
    }

    /// <summary>Other explanations by the names of their rules, the first few of them.</summary>
    private static string Others(IReadOnlyList<IReadOnlyList<string>> explanations)
    {
        const int Most = 3;
        var names = string.Join("; ", explanations.Take(Most).Select(rules => string.Join(" and ", rules.Select(NameOf))));
        return explanations.Count > Most ? $"{names}; and {explanations.Count - Most} rarer ones" : names;
    }

    private static string NameOf(string rule) =>
        Catalogue.Find(rule)?.Name is { } name ? $"“{name}”" : Hypothesis.Parse(rule)?.Unlisted is [{ } unlisted] ? Lower(unlisted.Text) : rule;

    private static string Lower(string text)
    {
        var at = text.StartsWith('{') ? 1 : 0;
        return $"{text[..at]}{char.ToLowerInvariant(text[at])}{text[(at + 1)..]}";
    }

    /// <summary>What a reading came to, in a line for lists: the names of the rules that are held, else the outcome.</summary>
    public static string Summary(Outcome outcome, string ruleNames) => outcome switch
    {
        Outcome.Bug when ruleNames.Length > 0 => ruleNames,
        Outcome.NotToldApart when ruleNames.Length > 0 => $"{ruleNames}, or another: not told apart yet",
        _ => Say(outcome),
    };

    /// <summary>What it means that nobody of a class got an item right.</summary>
    public static string Nobodys(ClassItem item) => item.IsTheClass
        ? "nobody got it right, and rules of theirs predict it: the class needs it taught"
        : "nobody got it right, and no rule of theirs predicts it: look at the item itself, how it was printed and read out";

    /// <summary>Which items to ask next, in a sentence; empty where none would tell more.</summary>
    public static string AskNext(IReadOnlyList<NextItem> next) =>
        next.Count == 0 ? "" : $"Ask next: {string.Join(", ", next.Select(n => Signs.Printed(n.Task.Text)))}.";

    /// <summary>The whole reading as text.</summary>
    public static string Write(Reading reading, IReadOnlyList<NextItem> next, ClassroomWord word = ClassroomWord.Rename)
    {
        var text = new StringBuilder();
        text.Append($"{reading.Sheet.Student}: {Say(reading)}\n");
        foreach (var explanation in reading.OneByOne.Where(e => e.Probability >= LeastPrinted))
        {
            text.Append($"  {Math.Min(99, 100 * explanation.Probability),3:0} %  {explanation.Text.In(word)}\n");
            if (explanation.NotSeparatedFrom.Count > 0) text.Append($"         not told apart from {Others(explanation.NotSeparatedFrom).In(word)}\n");
        }

        if (TurnedPage.Of(reading) is { } turned) text.Append($"  {turned.Text} Ask first from which side they were typed in.\n");
        if (reading.OnceEach >= LeastPrinted) text.Append($"  {Math.Min(99, 100 * reading.OnceEach),3:0} %  {OnceEach}\n");

        foreach (var note in PageNotes.For(reading)) text.Append($"  {$"{note.Text} {note.Caution}".TrimEnd()}\n");
        foreach (var fact in reading.Facts.Where(f => f.Items.Count > 0)) text.Append($"  fact: {fact.Fact} = {fact.Written} on items {string.Join(", ", fact.Items)}\n");
        foreach (var item in reading.Items)
        {
            text.Append($"  {item.Item.Id,3}. {item.Item.TaskAsWritten} = {item.Item.Answer ?? "(blank)"}: {Spelling.Of(item.Verdict)}");
            if (item.Verdict == Verdict.Wrong) text.Append($", should be {item.Item.Task.RightAnswer}; {item.Told.In(word)}");
            else if (item.Item.IsBrokenOff && item.FirstWrongStep is not null) text.Append($", right is {item.Item.Task.RightAnswer}; the work breaks off: {item.Told.In(word)}");
            text.Append('\n');
        }

        foreach (var prediction in reading.Predictions)
            text.Append($"  would answer {prediction.Task} with {prediction.Answer} ({Math.Min(99, 100 * prediction.Probability):0} %)\n");
        if (next.Count > 0) text.Append($"  {AskNext(next)}");
        else if (QuestionAloud.For(reading) is { } aloud) text.Append($"  Ask about item {aloud.ItemId}: {aloud.Question.In(word)}");
        return text.ToString().TrimEnd();
    }
}
