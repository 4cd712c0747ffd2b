using System.Text;
using YellowPencil.Core.Inference;
using YellowPencil.Core.Notation;

namespace YellowPencil.Core.Probes;

/// <summary>Tells a reading to people.</summary>
public static class ReadingText
{
    /// <summary>What an outcome means, in a sentence.</summary>
    public static string Say(Outcome outcome) => outcome switch
    {
        Outcome.Bug => "One explanation is held.",
        Outcome.NotToldApart => "There is a rule behind the errors, but this page does not tell which of several.",
        Outcome.Sound => "No systematic bug: what is wrong is a slip or a number fact.",
        Outcome.TooFewChances => "Not enough on this page to say.",
        _ => "Something systematic goes on that no rule found fits.",
    };

    /// <summary>What a reading comes to, in a line for lists: the names of the rules that are held, else the outcome.</summary>
    public static string Summary(Reading reading, ClassroomWord word)
    {
        if (reading.Outcome is not (Outcome.Bug or Outcome.NotToldApart) || reading.BestBug is not { } best) return Say(reading.Outcome);
        List<string> names = [.. best.Hypothesis.Bugs.Select(b => b.Name.In(word))];
        if (best.Hypothesis.Unlisted is not null) names.Add("A rule that is not in the catalogue");
        return string.Join(" and ", names) + (reading.Outcome == Outcome.NotToldApart ? ", or another: not told apart yet" : "");
    }

    /// <summary>Which items to ask next, in a sentence; empty where none would tell more.</summary>
    public static string AskNext(IReadOnlyList<NextItem> next) =>
        next.Count == 0 ? "" : $"Ask next: {string.Join(", ", next.Select(n => n.Task.Text.Replace('-', '−')))}.";

    /// <summary>The whole reading as text.</summary>
    public static string Write(Reading reading, IReadOnlyList<NextItem> next, ClassroomWord word = ClassroomWord.Rename)
    {
        var text = new StringBuilder();
        text.Append($"{reading.Sheet.Student}: {Say(reading.Outcome)}\n");
        foreach (var explanation in reading.Explanations.Where(e => e.Probability >= 0.01))
        {
            text.Append($"  {100 * explanation.Probability,3:0} %  {explanation.Text.In(word)}\n");
            foreach (var other in explanation.NotSeparatedFrom) text.Append($"         not told apart from {string.Join(" + ", other)}\n");
        }

        foreach (var fact in reading.Facts) text.Append($"  fact: {fact.Fact} = {fact.Written} on items {string.Join(", ", fact.Items)}\n");
        foreach (var item in reading.Items)
        {
            text.Append($"  {item.Item.Id,3}. {item.Item.TaskAsWritten} = {item.Item.Answer ?? "(blank)"}: {ReadingWriter.Spell(item.Verdict)}");
            if (item.Verdict == Verdict.Wrong) text.Append($", should be {item.Item.Task.RightAnswer}; {item.FirstWrongStep!.Text.In(word)}");
            text.Append('\n');
        }

        foreach (var prediction in reading.Predictions) text.Append($"  would answer {prediction.Task} with {prediction.Answer} ({100 * prediction.Probability:0} %)\n");
        text.Append($"  {AskNext(next)}");
        return text.ToString().TrimEnd();
    }
}
