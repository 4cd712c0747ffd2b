using YellowPencil.Core.Families;
using YellowPencil.Core.Inference;

namespace YellowPencil.Core.Telling;

/// <summary>What to ask a student about a place on the page, where answers do not tell two explanations apart and only the student can.</summary>
/// <param name="ItemId">The item.</param>
/// <param name="Question">The question about the first step that goes two ways and comes to the same, for example "In the tens: who lends?".</param>
public sealed record QuestionAloud(string ItemId, string Question)
{
    /// <summary>The question that lies between the two likeliest explanations of a page; null where it is told apart, or they give no wrong answer of it both.</summary>
    public static QuestionAloud? For(Reading reading)
    {
        if (reading.Outcome != Outcome.NotToldApart || ReadingText.Rivals(reading).Take(2).ToList() is not [var one, var other]) return null;
        var (first, second) = (new MethodRun { Recording = true }, new MethodRun { Recording = true });
        foreach (var item in reading.Items.Where(i => i.Verdict == Verdict.Wrong))
        {
            Method.Run(item.Item.Task, first, one.Hypothesis.Deviations);
            Method.Run(item.Item.Task, second, other.Hypothesis.Deviations);
            if (!first.Page.Answer.SequenceEqual(second.Page.Answer) || item.Item.Task.Judge(first.Page.Answer.ToString()) != Verdict.Wrong) continue;
            var apart = first.Steps.Zip(second.Steps).FirstOrDefault(s => !IsSame(s.First, s.Second));
            if (apart.First is { } step) return new QuestionAloud(item.Item.Id, Ask(step));
        }

        return null;
    }

    private static bool IsSame(Step one, Step other) =>
        (one.Decision, one.Fact, one.Chosen, one.Line, one.Place) == (other.Decision, other.Fact, other.Chosen, other.Line, other.Place);

    private static string Ask(Step step)
    {
        if (step.Decision is not { } decision) return $"How much is {Signs.Printed($"{step.Fact}")}?";
        return step.Place is { } place ? $"In the {Place.Name(place)}: {char.ToLowerInvariant(decision.Question[0])}{decision.Question[1..]}" : decision.Question;
    }
}
